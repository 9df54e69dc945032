import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import type { SignoffItem } from '@firm-line/core/stations/prove';
import { TextField } from '../../kit/fields/text-field';
import { LevelSign } from '../../kit/level-sign';
import { Jump } from '../../session/jump';
import { stationAt } from '../registry';
import { ProveFacade } from './prove-facade';

/** One thing between the plan and a signature: what it is, where it is closed, and who took it on. */
@Component({
  selector: 'fl-sign-item',
  imports: [LevelSign, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block border-t border-rule py-2' },
  template: `
    <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
      @switch (item().kind) {
        @case ('blocker') {
          <fl-level-sign level="stop" />
        }
        @case ('caution') {
          @if (item().accepted) {
            <span class="w-5 text-center font-bold text-ok" aria-hidden="true">✓</span>
          } @else {
            <fl-level-sign level="caution" />
          }
        }
        @default {
          <span class="w-5 text-center font-bold text-copper" aria-hidden="true">○</span>
        }
      }
      <div class="min-w-56 flex-1">
        <p class="font-semibold">{{ item().where }}</p>
        <p class="text-sm">{{ item().text }}</p>
        @if (item().accepted; as accepted) {
          <p class="mt-1 rounded-lg border border-rule bg-sheet px-3 py-2 text-sm">
            <b>Accepted by {{ accepted.by }}, {{ accepted.at.slice(0, 10) }}:</b>
            {{ accepted.reason }}
          </p>
        }
      </div>
      <div class="flex flex-wrap gap-2">
        @if (item().accepted) {
          <button type="button" class="btn" (click)="withdraw()">Withdraw</button>
        } @else if (item().kind === 'caution' && !asking()) {
          <button type="button" class="btn" (click)="asking.set(true)">Accept with reason…</button>
        }
        <button type="button" class="btn" (click)="open()">Open {{ station() }}</button>
      </div>
    </div>
    @if (asking()) {
      <div class="mt-2 flex flex-wrap items-end gap-3 pl-8">
        <fl-text-field
          class="w-40"
          [field]="'by-' + item().key"
          label="Initials or name"
          [limits]="{ least: 0, most: 100 }"
          [value]="by()"
          (changed)="by.set($event)"
        />
        <fl-text-field
          class="min-w-64 flex-1"
          [field]="'reason-' + item().key"
          label="Reason"
          [limits]="{ least: 0, most: 200 }"
          [value]="reason()"
          (changed)="reason.set($event)"
        />
        <button
          type="button"
          class="btn-main disabled:opacity-60"
          [disabled]="!by().trim() || !reason().trim()"
          (click)="accept()"
        >
          Accept
        </button>
        <button type="button" class="btn" (click)="asking.set(false)">Cancel</button>
      </div>
    }
  `,
})
export class SignItem {
  readonly item = input.required<SignoffItem>();
  private readonly sheet = inject(ProveFacade);
  private readonly jump = inject(Jump);
  protected readonly asking = signal(false);
  protected readonly by = signal('');
  protected readonly reason = signal('');
  protected readonly station = computed(() =>
    this.item().kind === 'test'
      ? 'Tests'
      : (stationAt(this.item().station)?.name ?? this.item().station),
  );

  protected open(): void {
    const { kind, station, place, rule } = this.item();
    if (kind === 'test') this.jump.toPage('prove', 'rounds');
    else this.jump.to(station, place, rule ?? undefined);
  }
  protected accept(): void {
    const { key, figures } = this.item();
    this.asking.set(false);
    this.sheet.apply({
      edit: 'acceptCaution',
      with: {
        accepted: {
          key,
          figures,
          by: this.by().trim(),
          at: new Date().toISOString(),
          reason: this.reason().trim(),
        },
      },
    });
  }
  protected withdraw(): void {
    this.sheet.apply({ edit: 'withdrawAcceptance', with: { key: this.item().key } });
  }
}
