import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { figure } from '@firm-line/core/fault';
import { cutSigmaMm } from '@firm-line/core/plan';
import { FLARES, tubeLabel } from '@firm-line/core/stock';
import { formatLength } from '@firm-line/core/units';
import { Hints } from '../../pieces/hints';
import { SnagRow } from '../../pieces/snag-row';
import { Strip } from '../../pieces/strip';
import { TurnDial } from '../../kit/turn-dial';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { Ribbon } from '../../pieces/ribbon';
import { BenchPanel } from './bench-panel';
import { stepWords } from './step-words';
import { Empty } from '../../kit/empty';

@Component({
  selector: 'fl-make-station',
  imports: [Empty, Hints, RouterLink, Ribbon, Strip, TurnDial, SnagRow, BenchPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    <h1 class="sr-only">Make</h1>
    @if (selection.line(); as view) {
      <fl-ribbon class="print:hidden" />
      <div class="grid flex-1 content-start gap-5 p-5 lg:grid-cols-[1fr_20rem] print:block print:p-0">
        <section class="card min-w-0 p-5 print:border-0 print:p-0" aria-label="Bend card">
          <div class="flex items-start gap-4">
            <h2 class="mr-auto text-2xl font-bold">
              {{ view.line.name }} <span class="text-lg font-normal">{{ view.line.title }}</span>
            </h2>
            <p class="hidden text-right text-sm print:block">{{ store.plan().name }}<br />card {{ view.digest }}</p>
            <button
              type="button"
              class="btn print:hidden"
              [disabled]="!view.card || view.line.origin === 'kept'"
              (click)="print()"
            >
              Print card
            </button>
          </div>
          @if (view.line.origin === 'kept') {
            <p class="mt-4 text-lg">It stays on the vehicle: it has no card.</p>
            <p class="mt-1 text-ink-soft">If it is bent anew after all, say so in Route, under Change.</p>
          } @else if (view.card; as card) {
            <dl class="mt-2 flex flex-wrap gap-x-10 gap-y-2">
              <div>
                <dt class="label">Cut</dt>
                <dd class="font-mono text-4xl" data-test="cut">{{ mm(card.stockCutMm) }}</dd>
                <dd class="text-sm text-ink-soft">{{ cutNote() }}</dd>
              </div>
              <div>
                <dt class="label">Bends</dt>
                <dd class="font-mono text-4xl">{{ card.bends.length }}</dd>
              </div>
              @for (end of ends(); track end.name) {
                <div>
                  <dt class="label">{{ end.name }}</dt>
                  <dd class="mt-1 font-semibold">{{ end.flare }}</dd>
                  <dd class="text-sm">{{ end.nut }}</dd>
                </div>
              }
              <div>
                <dt class="label">Tube and bender</dt>
                <dd class="mt-1 font-semibold">{{ label(view.tube) }}</dd>
                <dd class="text-sm">{{ view.bender.name }}</dd>
              </div>
            </dl>
            @if (doubt(); as text) {
              <p class="mt-2 rounded-lg bg-copper-pale px-3 py-2 text-sm">{{ text }}</p>
            }
            <fl-strip
              class="mt-3 print:hidden"
              marks="draw"
              [view]="view"
              [node]="selection.node()"
              (picked)="selection.chooseNode($event)"
            />
            @if (card.bends.length) {
              <div class="overflow-x-auto">
                <table class="mt-2 w-full text-left print:text-sm" data-test="bends">
                  <thead class="align-bottom text-sm text-ink-soft">
                    <tr>
                      <th class="py-1 pr-3 font-normal">Bend</th>
                      <th class="pr-3 font-normal">Mark<br />from cut end A</th>
                      <th class="pr-3 font-normal">Turn<br />bender · tube</th>
                      <th class="pr-3 font-normal">Dial<br />to keep</th>
                      <th class="pr-3 font-normal">End A square to<br />new straight</th>
                      <th class="pr-3 font-normal">End A<br />over the bench</th>
                      <th class="font-normal">Tip<br />to tip</th>
                    </tr>
                  </thead>
                  <tbody class="font-mono">
                    @for (bend of card.bends; track bend.node; let i = $index) {
                      <tr class="border-t border-rule" [class.bg-copper-pale]="bend.node === selection.node()">
                        <td class="py-1 pr-3 font-sans font-bold">{{ i + 1 }}</td>
                        <td class="pr-3 text-xl">{{ mm(bend.drawMarkMm, 1) }}</td>
                        <td class="pr-3">
                          @if (i) {
                            <span class="flex items-center gap-2"
                              ><fl-turn-dial [deg]="bend.rotateDeg" sizeClass="size-9" /><span
                                >{{ deg(bend.rotateDeg) }} · {{ deg(bend.tubeTurnDeg) }}</span
                              ></span
                            >
                          } @else {
                            <span class="font-sans text-sm text-ink-soft">sets the plane</span>
                          }
                        </td>
                        <td class="pr-3">
                          <span class="text-xl">{{ bend.dialDeg.toFixed(1) }}°</span
                          ><span class="block text-sm">for {{ bend.bendDeg.toFixed(1) }}°</span>
                        </td>
                        <td class="pr-3">{{ mm(bend.check.endToBendMm, 1) }}</td>
                        <td class="pr-3">{{ mm(bend.check.heightMm, 1) }}</td>
                        <td>{{ mm(bend.check.tipToTipMm, 1) }}</td>
                      </tr>
                    }
                  </tbody>
                </table>
              </div>
              <p class="mt-2 text-sm text-ink-soft">
                Lay the mark to the die's own mark; flare, springback and die reference are in it. Dials look along the tube from
                A: “bender” is how far a hand bender turns round the tube, “tube” how far the tube turns in a bender that stays
                put; clockwise is plus. After each bend lay it flat on the bench and measure: from end A square across to the
                outside of the new straight, end A's height over the bench, and tip to tip. Eye protection on.
              </p>
            } @else {
              <p class="mt-4">A straight tube: cut, flare and fit.</p>
            }
          } @else {
            <p class="mt-4 text-lg">There is no card yet: {{ view.fault?.message ?? 'an end of this line joins no port.' }}</p>
            <a class="btn mt-3" routerLink="../route">Mend it in Route</a>
          }
          @for (snag of snags(); track $index) {
            <fl-snag-row class="mt-3 print:hidden" [snag]="snag" />
          }
        </section>
        <section
          class="card py-4 print:mt-3 print:border-0 print:py-0"
          aria-labelledby="order"
          [hidden]="view.line.origin === 'kept'"
        >
          <fl-hints class="px-5" station="make" />
          <h2 id="order" class="h2 px-5 print:px-0">Do it in this order</h2>
          <ol class="mt-1 print:columns-2 print:text-sm">
            @for (step of steps(); track step.id) {
              <li class="border-b border-rule print:break-inside-avoid" [class.bg-copper-pale]="step.next">
                <label
                  class="flex min-h-tap items-center gap-4 px-5 py-1 print:min-h-0 print:px-1"
                  [class.cursor-pointer]="!step.locked"
                >
                  <input
                    #field
                    type="checkbox"
                    class="size-7 shrink-0 accent-ok print:size-4"
                    [checked]="step.done"
                    [disabled]="step.locked"
                    [attr.data-step]="step.id"
                    (change)="tick(step.id, field.checked)"
                  />
                  <span [class.font-bold]="step.next" [class.text-ink-soft]="step.locked"
                    >{{ step.text }}
                    @if (step.locked) {
                      <span class="text-sm"> (first the nut)</span>
                    }
                  </span>
                </label>
              </li>
            }
          </ol>
          <p class="px-5 pt-3 text-sm text-ink-soft print:hidden">{{ orderNote() }}</p>
        </section>
        <fl-bench-panel class="lg:col-span-2 print:hidden" [view]="view" />
      </div>
    } @else {
      <fl-empty heading="No line to make yet" text="Lay a line in Route; its card appears here.">
        <a class="btn-main" routerLink="../route">Go to Route</a>
      </fl-empty>
    }
  `,
})
export class MakeStation {
  protected readonly store = inject(PlanStore);
  protected readonly selection = inject(Selection);
  protected readonly label = tubeLabel;

  protected readonly ends = computed(() => {
    const view = this.selection.line()!;
    return (['a', 'b'] as const).map((end) => ({
      name: `End ${end.toUpperCase()}`,
      flare: FLARES[view.line.ends[end].flare].name,
      nut: `${view.nuts[end].name}, ${view.nuts[end].wrench}`,
    }));
  });
  protected readonly cutNote = computed(() => {
    const view = this.selection.line()!;
    const sigma = cutSigmaMm(view);
    const trim = view.card!.trimMm ? `${this.mm(view.card!.cutMm)} and ${this.mm(view.card!.trimMm)} to trim` : 'no trim';
    return sigma === null ? trim : `±${this.mm(2 * sigma, 1)} (2σ), ${trim}`;
  });
  /** Nothing is green while it rests on a guess. */
  protected readonly doubt = computed(() => {
    const { ports } = this.selection.line()!;
    const open = [ports.a, ports.b].filter((port) => port?.fixed.guess).map((port) => `${port!.part.name}, ${port!.port.name}`);
    return open.length
      ? `Do not cut yet: ${open.join(' and ')} ${open.length === 1 ? 'is' : 'are'} not measured for certain.`
      : null;
  });
  protected readonly snags = computed(() =>
    this.store.laidOutSnags().filter((snag) => snag.place.kind === 'line' && snag.place.id === this.selection.line()!.line.id),
  );
  protected readonly steps = computed(() => {
    const view = this.selection.line()!;
    const done = new Set(view.line.ticks.filter((tick) => tick.digest === view.digest).map((tick) => tick.step));
    const steps = view.card?.steps ?? [];
    const next = steps.find((step) => !done.has(step.id))?.id;
    return steps.map((step) => ({
      id: step.id,
      text: stepWords(step, view, this.store.units()),
      done: done.has(step.id),
      locked: step.after !== undefined && !done.has(step.after) && !done.has(step.id),
      next: step.id === next,
    }));
  });
  protected readonly orderNote = computed(() => {
    const card = this.selection.line()!.card;
    if (!card) return '';
    const early =
      card.flareBBefore === null
        ? ''
        : ` B is flared before bend ${card.flareBBefore + 1}: only ${this.mm(card.tailMm)} of straight is left after the last bend.`;
    return `A flare stays locked until its nut is ticked: a forgotten nut is the commonest scrapped line.${early} Ticks are kept; they count only while the card stays the same.`;
  });

  protected tick(step: string, on: boolean): void {
    const { line, digest } = this.selection.line()!;
    this.store.apply(
      on
        ? { edit: 'tick', with: { id: line.id, step, digest, at: new Date().toISOString() } }
        : { edit: 'untick', with: { id: line.id, step } },
    );
  }
  protected print(): void {
    window.print();
  }
  protected mm(mm: number, digits = 0): string {
    return formatLength(mm, this.store.units(), digits);
  }
  protected deg(value: number): string {
    return `${figure(value)}°`;
  }
}
