import { ChangeDetectionStrategy, Component, DestroyRef, inject, signal } from '@angular/core';
import { fileStem } from '@firm-line/core/plan';
import { tableCsv } from '@firm-line/core/shape/formats';
import { saveFile } from '../../kit/save-file';
import { PlanStore } from '../../session/plan-store';
import { PlanZips } from '../../storage/plan-zips';
import { PackWork } from '../../worker/pack-work';
import { ProveFacade } from './prove-facade';

/** The pack for whoever signs: one PDF of the whole plan, or all of it as files. */
@Component({
  selector: 'fl-pack-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex flex-col gap-4' },
  template: `
    <h2 class="mt-2 text-xl font-bold">The pack</h2>
    <p class="text-sm text-ink-soft">
      One PDF of the whole plan for the person who signs, or a zip with the photographs too.
    </p>
    @if (share() !== null) {
      <div
        class="h-4 rounded-full bg-rule"
        role="progressbar"
        [attr.aria-valuenow]="100 * share()!"
      >
        <div class="h-4 rounded-full bg-fluid" [style.width.%]="100 * share()!"></div>
      </div>
      <button type="button" class="btn min-h-14" (click)="cancel()">Cancel</button>
    } @else {
      <button
        type="button"
        class="btn min-h-14"
        (click)="pdf()"
        [disabled]="!sheet.signoff()"
        data-test="pack"
      >
        Make the PDF
      </button>
    }
    @if (fault()) {
      <p class="fault" role="alert">{{ fault() }}</p>
    }
    <button type="button" class="btn min-h-14" (click)="zip()">Everything, as a zip</button>
    <button
      type="button"
      class="btn min-h-14"
      (click)="csv()"
      [disabled]="!sheet.proving().curves.length"
    >
      Curves, as CSV
    </button>
  `,
})
export class PackPanel {
  protected readonly sheet = inject(ProveFacade);
  private readonly store = inject(PlanStore);
  private readonly packs = inject(PackWork);
  private readonly zips = inject(PlanZips);
  protected readonly share = signal<number | null>(null);
  protected readonly fault = signal('');
  private ended: AbortController | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.ended?.abort());
  }
  protected async pdf(): Promise<void> {
    const ended = (this.ended = new AbortController());
    const plan = this.store.plan();
    this.fault.set('');
    this.share.set(0);
    try {
      const bytes = await this.packs.pdf(
        { plan, snags: [...this.store.snags()], madeAt: new Date().toISOString() },
        { signal: ended.signal, progress: (share) => this.share.set(share) },
      );
      saveFile(`${fileStem(plan)}.pdf`, bytes as BlobPart, 'application/pdf');
    } catch (error) {
      if (!ended.signal.aborted)
        this.fault.set(`The pack could not be made: ${(error as Error).message}`);
    } finally {
      this.share.set(null);
    }
  }
  protected cancel(): void {
    this.ended?.abort();
  }
  protected zip(): void {
    void this.zips.export(this.store.plan());
  }
  protected csv(): void {
    const rows = this.sheet
      .proving()
      .curves.flatMap(({ at, circuitId, engine, points }) =>
        points.map(({ pressureMPa, travelMm }) => [at, circuitId, engine, pressureMPa, travelMm]),
      );
    saveFile(
      `${fileStem(this.store.plan())}-curves.csv`,
      tableCsv([['at', 'circuit', 'engine', 'pressure_mpa', 'travel_mm'], ...rows]),
      'text/csv',
    );
  }
}
