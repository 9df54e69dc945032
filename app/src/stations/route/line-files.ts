import { CIRCUIT_STROKES } from '../../kit/circuit-ink';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { fileStem, lineSpace, type LineView } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { polyline } from '@firm-line/core/shape/tube';
import { distance, type Vec3 } from '@firm-line/core/lib/vec';
import { Notices } from '../../kit/notices';
import { placesOf, projectFlat } from '../../kit/flat-projection';
import { PlanStore } from '../../session/plan-store';
import { saveFile } from '../../kit/save-file';
import { printSheet } from '../../kit/print-sheet';
import { bestScale, layOut, PAPERS, SCALES, type Paper } from './sheet-layout';
import { Disclosure } from '../../kit/disclosure';
import { FileField } from '../../kit/fields/file-field';

const MOST_BYTES = 20_000_000;

/** A tube in a file has no end A: it is the one nearer to where this line begins. */
function fromEndA(nodesMm: readonly Vec3[], { ports, nodesMm: own }: LineView): readonly Vec3[] {
  const start = ports.a?.fixed.atMm ?? own[0];
  if (!start) return nodesMm;
  return distance(nodesMm[0]!, start) <= distance(nodesMm.at(-1)!, start)
    ? nodesMm
    : [...nodesMm].reverse();
}

/** Drawings and files of the lines: flat views and brackets, center lines, tubes; and the views printed to scale. */
@Component({
  selector: 'fl-line-files',
  imports: [FileField, Disclosure],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <fl-disclosure
      class="border-b border-rule px-4 py-1"
      data-test="line-files"
      summary="Drawings and files…"
      (opened)="open.set($event)"
    >
      <div class="grid grid-cols-2 gap-2 py-1">
        <button type="button" class="btn px-2" (click)="flatDxf()">Flat views, DXF</button>
        <button type="button" class="btn px-2" (click)="bracketDxf()">Brackets 1:1, DXF</button>
        <button type="button" class="btn px-2" (click)="step()">Tubes, STEP</button>
        <button type="button" class="btn px-2" (click)="csv()">Center lines, CSV</button>
        <fl-file-field
          class="col-span-2"
          label="Import center lines from CSV or STEP…"
          accept=".csv,text/csv,.step,.stp,model/step"
          (picked)="read($event[0]!)"
        />
      </div>
      @if (fault(); as text) {
        <p class="fault" role="alert">{{ text }}</p>
      }
      @if (brackets().length) {
        <p class="text-sm">Brackets needed: {{ bracketWords() }}</p>
      }
      @if (open()) {
        <div class="mt-1 flex flex-wrap items-end gap-2 border-t border-rule py-2">
          <div>
            <label class="label block" for="print-paper">Paper</label>
            <select #list id="print-paper" class="field" (change)="choosePaper(list.value)">
              @for (one of papers; track one) {
                <option [value]="one" [selected]="one === paper()">{{ one }}</option>
              }
            </select>
          </div>
          <div>
            <label class="label block" for="print-scale">Scale</label>
            <select #list2 id="print-scale" class="field" (change)="scaleChosen.set(+list2.value)">
              @for (one of scales; track one) {
                <option [value]="one" [selected]="one === scale()">1:{{ one }}</option>
              }
            </select>
          </div>
          <button type="button" class="btn px-3" (click)="print()">Print to scale</button>
          @if (!sheet().fits) {
            <p class="fault w-full">
              At 1:{{ scale() }} the drawing does not fit on {{ paper() }}: 1:{{ best() }} fits, or
              use a larger sheet.
            </p>
          }
        </div>
      }
    </fl-disclosure>
    @if (open()) {
      <svg
        class="print-sheet hidden"
        [attr.width]="sheet().widthMm + 'mm'"
        [attr.height]="sheet().heightMm + 'mm'"
        [attr.viewBox]="'0 0 ' + sheet().widthMm + ' ' + sheet().heightMm"
        data-test="print-sheet"
      >
        <text x="10" y="15" font-size="5" font-weight="700">
          {{ store.plan().name }}: lines from above and from the left, 1:{{ scale() }}
        </text>
        <text x="10" y="20" font-size="3">
          Print at 100 %. This bar is {{ sheet().barMm }} mm on paper and
          {{ length(sheet().barMm * scale()) }} on the vehicle. The makers’ sheets and the vehicle
          itself come first.
        </text>
        <path
          [attr.d]="
            'M' +
            (sheet().widthMm - 70) +
            ' 13h' +
            sheet().barMm +
            'm0 -2v4m-' +
            sheet().barMm +
            ' 0v-4'
          "
          fill="none"
          stroke="black"
          stroke-width="0.4"
          data-test="scale-bar"
        />
        @for (thing of sheet().things; track $index) {
          <path [attr.d]="thing.d" fill="none" class="stroke-ink-soft" stroke-width="0.15" />
        }
        @for (line of sheet().lines; track line.name) {
          <path
            [attr.d]="line.d"
            fill="none"
            [class]="strokes[line.ink]"
            stroke-width="0.7"
            stroke-linejoin="round"
          />
          <text [attr.x]="line.x" [attr.y]="line.y - 1" font-size="3" font-weight="700">
            {{ line.name }}
          </text>
        }
        <text [attr.x]="sheet().above[0]" [attr.y]="sheet().above[1]" font-size="3">
          From above, front to the left
        </text>
        <text [attr.x]="sheet().left[0]" [attr.y]="sheet().left[1]" font-size="3">
          From the left
        </text>
      </svg>
    }
  `,
})
export class LineFiles {
  protected readonly store = inject(PlanStore);
  private readonly notices = inject(Notices);
  protected readonly papers = Object.keys(PAPERS) as Paper[];
  protected readonly scales = SCALES;
  protected readonly strokes = CIRCUIT_STROKES;
  /** Laid out only while it is looked at: a sheet of many lines takes its time at every edit. */
  protected readonly open = signal(false);
  protected readonly fault = signal<string | null>(null);
  protected readonly paper = signal<Paper>('A4');
  protected readonly scaleChosen = signal<number | null>(null);
  private readonly extent = computed(() =>
    projectFlat(placesOf(this.store.view()), { width: 1000, height: 700 }),
  );
  protected readonly best = computed(() => bestScale(this.extent(), this.paper()));
  protected readonly scale = computed(() => this.scaleChosen() ?? this.best());
  protected readonly sheet = computed(() =>
    layOut(this.store.view(), this.extent(), this.paper(), this.scale()),
  );
  private readonly name = computed(() => fileStem(this.store.plan()));
  private readonly whole = computed(() => this.store.view().lines.filter((line) => line.card));
  protected readonly brackets = computed(() =>
    this.whole().flatMap((line) =>
      lineSpace(this.store.view().plan, line)!
        .clips.filter((clip) => clip.bracket)
        .map((clip) => ({
          name: `${line.line.name} at ${Math.round(clip.atMm)} on ${clip.to!.name}`,
          standoffMm: Math.round(clip.gapMm + line.tube.odMm / 2),
        })),
    ),
  );
  protected readonly bracketWords = computed(() =>
    this.brackets()
      .map(({ name, standoffMm }) => `${name}, ${this.length(standoffMm)}`)
      .join('; '),
  );

  protected length(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }
  protected choosePaper(text: string): void {
    this.paper.set(this.papers.find((one) => one === text)!);
    this.scaleChosen.set(null);
  }

  protected async flatDxf(): Promise<void> {
    const { flatViewsDxf } = await import('@firm-line/core/shape/formats');
    const { circuits } = this.store.view();
    const lines = this.whole().map((line) => ({
      name: line.line.name,
      layer: circuits.get(line.line.circuitId)!.name,
      points: polyline(line.pieces, 5),
    }));
    saveFile(`${this.name()}-flat.dxf`, flatViewsDxf(lines), 'image/vnd.dxf');
  }
  protected async bracketDxf(): Promise<void> {
    if (!this.brackets().length)
      return this.notices.say('No clip stands off far enough to need a bracket.');
    const { bracketsDxf } = await import('@firm-line/core/shape/formats');
    saveFile(`${this.name()}-brackets.dxf`, bracketsDxf(this.brackets()), 'image/vnd.dxf');
  }
  protected async step(): Promise<void> {
    const { tubesStep } = await import('@firm-line/core/shape/formats');
    const tubes = this.whole().map((line) => ({
      name: line.line.name,
      pieces: line.pieces,
      odMm: line.tube.odMm,
      wallMm: line.tube.wallMm,
    }));
    saveFile(`${this.name()}-tubes.step`, tubesStep(tubes, new Date().toISOString()), 'model/step');
  }
  protected async csv(): Promise<void> {
    const { centerLinesCsv } = await import('@firm-line/core/shape/formats');
    const lines = this.store
      .view()
      .lines.filter((line) => line.nodesMm.length > 1)
      .map((line) => ({ name: line.line.name, nodesMm: line.nodesMm }));
    saveFile(`${this.name()}-lines.csv`, centerLinesCsv(lines), 'text/csv');
  }

  /** Corners of lines that this plan has by the same name; ends stay at their ports. Nothing is taken where one of them is not known. */
  protected async read(file: File): Promise<void> {
    this.fault.set(null);
    try {
      if (file.size > MOST_BYTES)
        throw new Error(
          `The file holds ${(file.size / 1e6).toFixed(1)} MB; ${MOST_BYTES / 1e6} MB is the limit.`,
        );
      const { readCenterLinesCsv, readTubesStep } = await import('@firm-line/core/shape/formats');
      const text = await file.text();
      const read = /\.(step|stp)$/i.test(file.name)
        ? readTubesStep(text)
        : readCenterLinesCsv(text);
      const calls = read.map(({ name, nodesMm }) => {
        const view = this.store.view().lines.find(({ line }) => line.name === name);
        if (!view)
          throw new Error(
            `No line in this plan is called ${name}: add the line first, between its two ports.`,
          );
        const cornersMm = fromEndA(nodesMm, view).slice(1, -1);
        return { edit: 'setCorners', with: { id: view.line.id, cornersMm } } as const;
      });
      if (this.store.apply(...calls))
        this.notices.say(
          `The corners of ${read.map(({ name }) => name).join(', ')} were read from ${file.name}.`,
        );
    } catch (error) {
      this.fault.set((error as Error).message);
    }
  }

  protected print(): void {
    printSheet(this.sheet());
  }
}
