import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { PROVING } from '@firm-line/core/plan';
import type { FollowUpView } from '@firm-line/core/stations/prove';
import { FieldOf } from '../../kit/fields/field';
import { TextField } from '../../kit/fields/text-field';
import { Jump } from '../../session/jump';
import { ProveFacade } from './prove-facade';

/** What falls due once it is signed for the road: by distance and by day, and what was found. */
@Component({
  selector: 'fl-follow-up-list',
  imports: [FieldOf, TextField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <h2 class="text-xl font-bold">After signing</h2>
    @if (isSigned()) {
      <fl-field
        class="mt-2 w-44"
        [of]="driven"
        [value]="sheet.proving().drivenKm ?? 0"
        (changed)="drive($event)"
      />
    }
    <ul class="mt-2">
      @for (one of checks(); track one.key) {
        <li class="border-t border-rule py-2 text-sm" [attr.data-follow-up]="one.key">
          <div class="flex items-start gap-3">
            <span class="w-24 shrink-0 font-mono">{{ dueOf(one) }}</span>
            <span class="min-w-0 flex-1"
              >{{ one.text }}
              @if (wordOf(one); as said) {
                <b class="block" [class]="said.ink">{{ said.text }}</b>
              }
            </span>
          </div>
          @if (isSigned() && one.state !== 'done') {
            <div class="mt-1 flex flex-wrap items-end gap-2">
              @if (one.inFit) {
                <button type="button" class="btn" (click)="jump.toPage('fit', 'tasks')">
                  Open Fit
                </button>
              } @else if (asking() === one.key) {
                <fl-text-field
                  class="min-w-40 flex-1"
                  [field]="'found-' + one.key"
                  label="What is wrong"
                  [limits]="{ least: 0, most: 200 }"
                  [value]="note()"
                  (changed)="note.set($event)"
                />
                <button
                  type="button"
                  class="btn disabled:opacity-60"
                  [disabled]="!note().trim()"
                  (click)="record(one.key, false)"
                >
                  Record
                </button>
                <button type="button" class="btn" (click)="asking.set(null)">Cancel</button>
              } @else {
                <button type="button" class="btn" (click)="record(one.key, true)">Good</button>
                <button type="button" class="btn" (click)="asking.set(one.key)">Not good…</button>
              }
            </div>
          }
        </li>
      }
    </ul>
  `,
})
export class FollowUpList {
  readonly checks = input.required<readonly FollowUpView[]>();
  protected readonly sheet = inject(ProveFacade);
  protected readonly jump = inject(Jump);
  protected readonly driven = PROVING.fields.drivenKm;
  protected readonly asking = signal<string | null>(null);
  protected readonly note = signal('');
  /** Before anybody signed for the road nothing falls due. */
  protected readonly isSigned = computed(() =>
    this.sheet.proving().signed.some(({ scope }) => scope === 'road'),
  );

  protected dueOf({ dueKm, dueOn }: FollowUpView): string {
    return dueKm === null ? (dueOn ?? 'by date') : `${dueKm} km`;
  }
  protected wordOf({ state, note }: FollowUpView): { text: string; ink: string } | null {
    switch (state) {
      case 'due':
        return { text: '▲ Due now.', ink: 'text-caution' };
      case 'done':
        return { text: `✓ Good. ${note}`, ink: 'text-ok' };
      case 'bad':
        return { text: `✗ Not good. ${note}`, ink: 'text-stop' };
      case 'open':
        return note ? { text: note, ink: '' } : null;
    }
  }
  protected drive(km: number | null | undefined): void {
    this.sheet.apply({ edit: 'setDriven', with: { km: km ?? 0 } });
  }
  protected record(key: string, good: boolean): void {
    const followUp = { key, at: new Date().toISOString(), good, note: good ? '' : this.note() };
    this.asking.set(null);
    this.note.set('');
    this.sheet.apply({ edit: 'recordFollowUp', with: { followUp } });
  }
}
