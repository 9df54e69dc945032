import { NgTemplateOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import type { Level, Snag } from '@firm-line/core/inspect';
import { LEVELS, LEVEL_WORDS } from '../kit/level-sign';
import { SnagRow } from '../pieces/snag-row';
import { PlanStore } from '../session/plan-store';
import { Jump } from '../session/jump';
import { STATIONS, stationFor } from '../stations/registry';
import { Dialog } from '../kit/dialog';
import { Disclosure } from '../kit/disclosure';

const MEANING: Record<Level, string> = {
  stop: 'unsafe or will not work',
  caution: 'likely to cost rework',
  note: 'worth knowing',
};

/** So many of a kind stand open; of more, the first, and the rest behind it. */
const FEW = 2;
/** Snags of one rule together, where the first of them stood. */
function kindsOf(snags: readonly Snag[]): Snag[][] {
  const kinds = new Map<string, Snag[]>();
  for (const snag of snags) kinds.set(snag.rule, [...(kinds.get(snag.rule) ?? []), snag]);
  return [...kinds.values()];
}

/** Everything the plan has against it, with a way to each place. */
@Component({
  selector: 'fl-snag-drawer',
  imports: [Dialog, Disclosure, NgTemplateOutlet, SnagRow],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog
      #dialog
      label="Snags"
      [light]="true"
      look="m-0 ml-auto h-dvh max-h-none w-full max-w-md rounded-none"
      (closed)="isOpened.set(false)"
    >
      @if (isOpened()) {
        <div class="flex h-full flex-col">
          <div class="flex items-center justify-between border-b border-rule px-5 py-2">
            <h2 class="h2">Snags</h2>
            <button type="button" class="btn" (click)="dialog.close()">Close</button>
          </div>
          <div class="flex-1 overflow-auto px-5 py-3" tabindex="0" aria-label="All snags">
            @for (group of groups(); track group.level) {
              <h3 class="mt-2 mb-1 font-bold">
                {{ group.word }} <span class="font-normal text-ink-soft">{{ group.meaning }}</span>
              </h3>
              @for (kind of group.kinds; track kind[0]!.key) {
                <ng-container *ngTemplateOutlet="row; context: { $implicit: kind[0] }" />
                @if (kind.length > few) {
                  <fl-disclosure class="pl-7" [summary]="kind.length - 1 + ' more like this'">
                    @for (snag of kind.slice(1); track snag.key) {
                      <ng-container *ngTemplateOutlet="row; context: { $implicit: snag }" />
                    }
                  </fl-disclosure>
                } @else {
                  @for (snag of kind.slice(1); track snag.key) {
                    <ng-container *ngTemplateOutlet="row; context: { $implicit: snag }" />
                  }
                }
              }
            } @empty {
              <p class="py-6 text-ink-soft" [class.invisible]="!store.isJudged()">
                No snags found. Only what is in the plan can be checked.
              </p>
            }
          </div>
          <p class="border-t border-rule px-5 py-3 text-sm text-ink-soft">
            Brakes can kill. The part makers’ sheets and local rules come before this plan, and a
            qualified person inspects before road use.
          </p>
        </div>
      }
    </fl-dialog>
    <ng-template #row let-snag>
      <div class="flex items-start gap-2 border-t border-rule py-2">
        <fl-snag-row class="flex-1" [snag]="snag" [named]="true" />
        <button
          type="button"
          class="btn px-3"
          (click)="go(snag)"
          [attr.aria-label]="'Go to ' + snag.where + ' in ' + stationName(snag)"
        >
          {{ stationName(snag) }}
        </button>
      </div>
    </ng-template>
  `,
})
export class SnagDrawer {
  protected readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  private readonly dialog = viewChild.required<Dialog>('dialog');
  protected readonly few = FEW;
  protected readonly isOpened = signal(false);
  protected readonly groups = computed(() =>
    LEVELS.map((level) => ({
      level,
      word: LEVEL_WORDS[level],
      meaning: MEANING[level],
      kinds: kindsOf(this.store.laidOutSnags().filter((snag) => snag.level === level)),
    })).filter((group) => group.kinds.length),
  );

  open(): void {
    this.isOpened.set(true);
    this.dialog().show();
  }
  protected go(snag: Snag): void {
    this.dialog().close();
    this.jump.toSnag(snag);
  }
  protected stationName(snag: Snag): string {
    return STATIONS.find((station) => station.path === stationFor(snag.station, snag.place))!.name;
  }
}
