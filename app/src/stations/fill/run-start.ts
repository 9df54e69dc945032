import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  output,
  signal,
} from '@angular/core';
import { allConfirmed, beginRun, preFillChecks } from '@firm-line/core/stations/fill';
import type { BleedView } from '@firm-line/core/plan/results';
import { Toggle } from '../../kit/toggle';
import { BeforeList } from './before-list';
import { FillFacade } from './fill-facade';
import { sentenceCase } from './run-words';

/** What goes before the first pump, and the button that begins a run once all of it is said. */
@Component({
  selector: 'fl-run-start',
  imports: [BeforeList, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="mx-auto grid max-w-5xl gap-5 p-5">
      <h2 class="text-2xl font-bold">Before the first pump</h2>
      @if (works().length > 1) {
        <fl-toggle
          label="What to bleed"
          [options]="works()"
          [value]="work()!.work"
          (changed)="picked.set($event!)"
        />
      }
      @if (work(); as work) {
        @if (work.result) {
          <p>
            {{ methodName() }}, {{ work.result.order.length }}
            {{ work.result.order.length === 1 ? 'bleeder' : 'bleeders' }}. Confirm every item before
            you start. Bleeding stays locked until all are confirmed.
          </p>
          <fl-before-list class="card block p-3" [work]="work" />
          @if (free()) {
            <button type="button" class="btn-main min-h-20 text-2xl" (click)="begin()">
              Start bleeding
            </button>
          } @else {
            <button type="button" class="btn min-h-20 text-xl" disabled>
              Locked: {{ left() }} to go
            </button>
          }
        } @else {
          <p class="fault">{{ work.fault?.message }}</p>
        }
      }
    </div>
  `,
})
export class RunStart {
  private readonly sheet = inject(FillFacade);
  readonly begun = output();
  protected readonly picked = signal<BleedView['work'] | null>(null);
  protected readonly works = computed(() =>
    this.sheet
      .works()
      .map(({ work }) => ({ value: work, name: work === 'brake' ? 'Brakes' : 'Clutch' })),
  );
  protected readonly work = computed(
    () =>
      this.sheet.works().find(({ work }) => work === this.picked()) ??
      this.sheet.first() ??
      this.sheet.works()[0] ??
      null,
  );
  protected readonly methodName = computed(() => sentenceCase(this.sheet.method().name));
  private readonly before = computed(() =>
    this.work()?.result
      ? preFillChecks(this.work()!, this.sheet.view(), this.sheet.method().id)
      : [],
  );
  protected readonly free = computed(() => allConfirmed(this.before()));
  protected readonly left = computed(() => this.before().filter(({ done }) => !done).length);

  protected begin(): void {
    const run = beginRun(this.work()!, this.sheet.view(), new Date().toISOString());
    if (!run) return;
    this.sheet.apply({ edit: 'recordFillRun', with: { run } });
    this.begun.emit();
  }
}
