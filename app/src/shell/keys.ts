import { inject, Injectable, signal, type DestroyRef } from '@angular/core';
import { tinykeys } from 'tinykeys';
import { Jump } from '../session/jump';
import { writeSetting, readSetting } from '../kit/settings';
import { PanelLayout } from '../kit/panel-layout';
import { PlanStore } from '../session/plan-store';
import { STATIONS } from '../stations/registry';
import { stationKey } from './station-key';

const KEPT_AS = 'firm-line single keys';

const isTyping = ({ target }: Event): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName));

/** What keys do that stand for a dialog or a button of the frame. */
export interface Acts {
  readonly find: () => void;
  readonly snags: () => void;
  readonly keys: () => void;
  readonly units: () => void;
}

/** The keys of the app. Single keys can be switched off, for those whose speech or tremor would press them. */
@Injectable({ providedIn: 'root' })
export class Keys {
  private readonly jump = inject(Jump);
  private readonly store = inject(PlanStore);
  private readonly room = inject(PanelLayout);
  private readonly singleNow = signal(readSetting(KEPT_AS) !== 'off');
  readonly single = this.singleNow.asReadonly();

  setSingle(on: boolean): void {
    this.singleNow.set(on);
    writeSetting(KEPT_AS, on ? 'on' : 'off');
  }

  /** Listens for as long as whoever calls it lives. */
  listen(acts: Acts, destroy: DestroyRef): void {
    const alone =
      (act: () => void) =>
      (event: KeyboardEvent): void => {
        if (
          !this.single() ||
          isTyping(event) ||
          event.defaultPrevented ||
          document.querySelector('dialog[open]')
        )
          return;
        event.preventDefault();
        act();
      };
    const anywhere =
      (act: () => void) =>
      (event: KeyboardEvent): void => {
        if (isTyping(event)) return;
        event.preventDefault();
        act();
      };
    const stop = tinykeys(window, {
      ...Object.fromEntries(
        STATIONS.map(({ path }, i) => [stationKey(i).press, alone(() => this.jump.to(path))]),
      ),
      '/': alone(acts.find),
      'Shift+?': alone(acts.keys),
      '?': alone(acts.keys),
      '.': alone(() => this.jump.toNextSnag()),
      s: alone(acts.snags),
      u: alone(acts.units),
      f: alone(() => this.room.toggleFull()),
      b: alone(() => this.room.toggleFolded()),
      v: alone(() => this.room.fit()),
      Escape: (event: KeyboardEvent) => {
        if (!isTyping(event) && !event.defaultPrevented && !document.querySelector('dialog[open]'))
          this.room.setFull(false);
      },
      m: alone(() => document.getElementById('move-line')?.focus()),
      '$mod+z': anywhere(() => this.store.undo()),
      '$mod+Shift+z': anywhere(() => this.store.redo()),
      '$mod+Shift+Z': anywhere(() => this.store.redo()),
    });
    destroy.onDestroy(stop);
  }
}
