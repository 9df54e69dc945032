import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { preFillChecks, type PreFillCheck } from '@firm-line/core/stations/fill';
import type { BleedView } from '@firm-line/core/plan/results';
import { FillFacade } from './fill-facade';

/** What goes before the first pump, each to be said; what Fit or the plan knows is said by them. */
@Component({
  selector: 'fl-before-list',
  imports: [RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <ul>
      @for (one of list(); track one.key) {
        <li class="border-t border-rule">
          <button
            type="button"
            class="flex min-h-tap w-full items-start gap-3 rounded-lg px-2 py-2 text-left hover:bg-paper disabled:hover:bg-transparent"
            [attr.aria-pressed]="one.done"
            [attr.data-before]="one.key"
            [disabled]="one.known"
            (click)="toggle(one)"
          >
            <span
              class="text-xl leading-6 font-bold"
              [class]="one.done ? 'text-ok' : 'text-caution'"
              aria-hidden="true"
              >{{ one.done ? '✓' : '▲' }}</span
            >
            <span class="min-w-0"
              ><span class="block font-semibold">{{ one.name }}</span
              ><span class="block text-sm text-ink-soft">{{ one.how }}</span></span
            >
          </button>
          @if (one.open === 'Route') {
            <a class="btn mb-2 ml-9" routerLink="../../route">Go to Route</a>
          }
          @if (one.open === 'Fit') {
            <a
              class="link mb-2 ml-9 inline-flex min-h-tap items-center"
              routerLink="../../fit/parking"
              >Measure again in Fit</a
            >
          }
          @if (one.key.startsWith('joints') && !one.done) {
            <a class="link mb-2 ml-9 inline-flex min-h-tap items-center" routerLink="../../fit"
              >Go to Fit</a
            >
          }
        </li>
      }
    </ul>
  `,
})
export class BeforeList {
  readonly work = input.required<BleedView>();
  private readonly sheet = inject(FillFacade);
  readonly list = computed(() =>
    preFillChecks(this.work(), this.sheet.view(), this.sheet.method().id),
  );
  protected toggle(one: PreFillCheck): void {
    const { key, stamp } = one;
    this.sheet.apply(
      one.done
        ? { edit: 'removePreFillConfirmation', with: { id: key } }
        : {
            edit: 'putPreFillConfirmation',
            with: { preFillConfirmation: { key, stamp, at: new Date().toISOString() } },
          },
    );
  }
}
