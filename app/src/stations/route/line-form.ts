import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  model,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import {
  LINE,
  OPEN_END,
  benderFor,
  FRESH_LINE,
  freshEnd,
  freshId,
  portsHeldBy,
  withTube,
  type Line,
  type LineEnd,
  type OpenEnd,
  LINE_END,
} from '@firm-line/core/plan';
import {
  FLARES,
  nutById,
  nutFitsTube,
  NUTS,
  tubeById,
  tubeLabel,
  TUBES,
} from '@firm-line/core/trade/stock';
import { SelectField } from '../../kit/fields/select-field';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';
import { focusFirstInvalid } from '../../kit/fields/focus-first-invalid';
import { Dialog } from '../../kit/dialog';
import { FieldOf } from '../../kit/fields/field';

const ENDS = ['a', 'b'] as const;

/** What a line is: its name, circuit and tube, the ports it joins and the nut at each end. Makes new lines and changes old ones. */
@Component({
  selector: 'fl-line-form',
  imports: [Dialog, FieldOf, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog #dialog look="w-full max-w-2xl p-6" [label]="isNew() ? 'New line' : 'Line details'">
      @if (draft(); as line) {
        <form method="dialog" (submit)="keep($event)">
          <h2 class="h2">{{ isNew() ? 'New line' : 'Line ' + line.name }}</h2>
          <div class="mt-3 grid grid-cols-[6rem_1fr] gap-3 sm:grid-cols-[6rem_1fr_1fr]">
            <fl-field
              [of]="fields.name"
              field="line-name"
              [value]="line.name"
              (changed)="set({ name: $event })"
            />
            <fl-field
              [of]="fields.title"
              field="line-title"
              [value]="line.title"
              (changed)="set({ title: $event })"
            />
            <fl-field
              [of]="fields.circuitId"
              field="line-circuit"
              [options]="circuits()"
              [value]="line.circuitId"
              (changed)="set({ circuitId: $event })"
            />
          </div>
          <div class="mt-3 grid gap-3 sm:grid-cols-2">
            <fl-field
              [of]="fields.tubeId"
              field="line-tube"
              [options]="tubes"
              [value]="line.tubeId"
              (changed)="setTube($event)"
            />
            <fl-field
              [of]="fields.benderId"
              field="line-bender"
              [options]="benders()"
              [value]="line.benderId"
              (changed)="set({ benderId: $event })"
            />
            @if (!isNew()) {
              <fl-field
                [of]="fields.origin"
                field="line-origin"
                [value]="line.origin"
                (changed)="set({ origin: $event })"
              />
            }
            @for (end of ends; track end) {
              <fieldset class="rounded-lg border border-rule p-3">
                <legend class="px-1 font-semibold">End {{ end.toUpperCase() }}</legend>
                <fl-field
                  [of]="endFields.portId"
                  [field]="'port-' + end"
                  [options]="free(end)"
                  none="No port yet"
                  [value]="line.ends[end].portId"
                  (changed)="setPort(end, $event || null)"
                />
                @if (line.ends[end].open; as open) {
                  <div class="mt-2 grid grid-cols-2 gap-2" data-test="open-end">
                    <fl-field
                      class="col-span-2"
                      [of]="openFields.waitsFor"
                      [field]="'waits-' + end"
                      placeholder="the axle swap"
                      [value]="open.waitsFor"
                      (changed)="setOpen(end, { waitsFor: $event })"
                    />
                    <fl-field
                      [of]="openFields.slackMm"
                      [value]="open.slackMm"
                      (changed)="setOpen(end, { slackMm: $event })"
                    />
                    <fl-field
                      class="self-end"
                      [of]="openFields.capped"
                      [value]="open.capped"
                      (changed)="setOpen(end, { capped: $event })"
                    />
                  </div>
                }
                <fl-select-field
                  class="mt-2"
                  [field]="'nut-' + end"
                  label="Flare and nut"
                  [options]="nuts()"
                  [value]="line.ends[end].nutId"
                  (changed)="setNut(end, $event)"
                />
              </fieldset>
            }
          </div>
          <p class="mt-3 text-sm text-ink-soft">
            Identify thread and seat at the port before you buy. Two that screw together may still
            leak. The part maker’s sheet comes first.
          </p>
          @if (fault(); as text) {
            <p class="fault mt-2" role="alert">{{ text }}</p>
          }
          <div class="mt-4 flex flex-wrap justify-end gap-2">
            @if (!isNew()) {
              <button type="button" class="btn mr-auto" (click)="remove()">Delete line</button>
            }
            <button type="button" class="btn" (click)="dialog.close()">Cancel</button>
            <button type="submit" class="btn-main">{{ isNew() ? 'Add line' : 'Save' }}</button>
          </div>
        </form>
      }
    </fl-dialog>
  `,
})
export class LineForm {
  protected readonly fields = LINE.fields;
  protected readonly endFields = LINE_END.fields;
  protected readonly openFields = OPEN_END.fields;
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  private readonly dialog = viewChild.required<Dialog>('dialog');
  /** The line to open it on, or a new one; nothing once it is open. */
  readonly wanted = model<Line | 'new' | null>(null);
  protected readonly draft = signal<Line | null>(null);
  protected readonly isNew = signal(false);
  protected readonly fault = signal<string | null>(null);
  protected readonly ends = ENDS;
  protected readonly tubes = TUBES.map((tube) => [tube.id, tubeLabel(tube)] as const);
  protected readonly circuits = computed(() => this.store.plan().circuits);
  protected readonly benders = computed(() => this.store.plan().bench.benders);
  protected readonly nuts = computed(() => {
    const line = this.draft();
    const fitting = line ? NUTS.filter((nut) => nutFitsTube(nut, tubeById(line.tubeId)!.odMm)) : [];
    return fitting.map((nut) => [nut.id, `${FLARES[nut.flare].name}, ${nut.name}`] as const);
  });

  constructor() {
    effect(() => {
      const wanted = this.wanted();
      if (!wanted) return;
      untracked(() => {
        this.wanted.set(null);
        if (wanted === 'new') this.openNew();
        else this.open(false, wanted);
      });
    });
  }

  private openNew(): void {
    const plan = this.store.plan();
    const tube =
      TUBES.find((t) => t.id === plan.lines.at(-1)?.tubeId) ??
      TUBES.find((t) => t.material === 'copper-nickel')!;
    const nut = NUTS.find((n) => nutFitsTube(n, tube.odMm))!;
    const end = freshEnd(null, nut.flare, nut.id);
    const names = new Set(plan.lines.map((l) => l.name));
    const name = Array.from({ length: plan.lines.length + 1 }, (_, i) => `L${i + 1}`).find(
      (n) => !names.has(n),
    )!;
    this.open(true, {
      id: freshId(plan, 'line'),
      name,
      title: '',
      circuitId: plan.circuits[0]!.id,
      tubeId: tube.id,
      benderId: (benderFor(plan.bench, tube.odMm) ?? plan.bench.benders[0]!).id,
      ends: { a: end, b: end },
      cornersMm: [],
      ticks: [],
      ...FRESH_LINE,
    });
  }
  private open(isNew: boolean, line: Line): void {
    this.isNew.set(isNew);
    this.draft.set(line);
    this.fault.set(null);
    this.dialog().show();
  }

  /** Ports that this end may take: not a bleeder, not held by another line nor by the other end. */
  protected free(end: 'a' | 'b'): { id: string; name: string }[] {
    const draft = this.draft()!;
    const held = portsHeldBy(this.store.plan().lines.filter((line) => line.id !== draft.id));
    const other = draft.ends[end === 'a' ? 'b' : 'a'].portId;
    return [...this.store.view().ports.values()]
      .filter(({ port }) => port.role !== 'bleeder' && port.id !== other && !held.has(port.id))
      .map(({ part, port }) => ({ id: port.id, name: `${part.name}, ${port.name}` }));
  }
  protected set(patch: Partial<Line>): void {
    this.draft.update((line) => line && { ...line, ...patch });
  }
  /** An end taken off its port stays where it was, open, with tube kept over for what comes. */
  protected setPort(end: 'a' | 'b', portId: string | null): void {
    const view = this.store.view().lines.find((one) => one.line.id === this.draft()!.id);
    const atMm = view?.nodesMm.at(end === 'a' ? 0 : -1);
    this.setEnd(end, {
      portId,
      open: portId === null && atMm ? { atMm, slackMm: 50, capped: false, waitsFor: '' } : null,
    });
  }
  protected setOpen(end: 'a' | 'b', patch: Partial<OpenEnd>): void {
    const { open } = this.draft()!.ends[end];
    if (open) this.setEnd(end, { open: { ...open, ...patch } });
  }
  protected setEnd(end: 'a' | 'b', patch: Partial<LineEnd>): void {
    this.draft.update(
      (line) => line && { ...line, ends: { ...line.ends, [end]: { ...line.ends[end], ...patch } } },
    );
  }
  protected setNut(end: 'a' | 'b', nutId: string): void {
    this.setEnd(end, { nutId, flare: nutById(nutId)!.flare });
  }
  protected setTube(tubeId: string): void {
    this.draft.update((line) => line && withTube(line, this.store.plan().bench, tubeId));
  }

  protected keep(event: Event): void {
    event.preventDefault();
    if (focusFirstInvalid(event)) return;
    const line = this.draft()!;
    if (!line.ends.a.portId || !line.ends.b.portId) {
      if (this.isNew())
        return this.fault.set(
          'Choose the port at each end. A line runs between two ports. Add ports in Measure.',
        );
    }
    const made = this.isNew()
      ? this.store.apply({ edit: 'addLine', with: { line } })
      : this.store.apply({ edit: 'changeLine', with: { id: line.id, patch: line } });
    // What was refused is said, and stays in the form to be put right.
    if (!made) return;
    this.selection.chooseLine(line.id);
    this.dialog().close();
  }
  protected remove(): void {
    this.store.apply({ edit: 'removeLine', with: { id: this.draft()!.id } });
    this.dialog().close();
  }
}
