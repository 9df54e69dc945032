import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { figure, InputError } from '@firm-line/core/lib/faults';
import {
  FRESH_FRAME,
  labelOf,
  type EditCall,
  type FrameCheck,
  FRAME_CHECK,
} from '@firm-line/core/plan';
import { CORNERS, SPANS, type Corner, type Span } from '@firm-line/core/shape/survey';
import {
  placedMarks,
  suspectTapes,
  square,
  type Slip,
  type Square,
} from '@firm-line/core/shape/taping';
import { tenths, type Vec3 } from '@firm-line/core/lib/vec';
import { PlanStore } from '../../session/plan-store';
import { FramePicture } from './frame-picture';
import { PedalRoom } from './pedal-room';
import { FieldOf } from '../../kit/fields/field';

type Found =
  | { readonly kind: 'waits'; readonly left: number }
  | { readonly kind: 'refused'; readonly why: string }
  | { readonly kind: 'found'; readonly square: Square; readonly slips: Record<Span, Slip> };

const whole = <K extends string>(
  of: Readonly<Record<K, number | null>>,
): of is Readonly<Record<K, number>> => Object.values(of).every((value) => value !== null);

/** Whether the frame is square and flat: four marks, six tapes, four heights. */
@Component({
  selector: 'fl-frame-page',
  imports: [FieldOf, FramePicture, PedalRoom],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block overflow-auto p-4' },
  template: `
    <div class="grid gap-4 xl:grid-cols-[minmax(0,1fr)_26rem]">
      <section class="card p-5" aria-label="Square and flat">
        <h2 class="text-2xl font-bold">Square and flat</h2>
        <p class="max-w-prose">
          Punch four marks on the frame, a front and a rear pair, where a tape can hook. Six tapes
          between them show whether the frame is square. Heights, by water level or laser, show
          whether it is flat.
        </p>
        <div class="mt-3 grid gap-x-4 gap-y-2 sm:grid-cols-3">
          @for (span of spans; track span) {
            <fl-field
              [of]="fields.readMm.fields[span]"
              [value]="frame().readMm[span]"
              (changed)="read(span, $event)"
            />
          }
          <fl-field
            [of]="fields.sigmaMm"
            [value]="frame().sigmaMm"
            (changed)="set({ sigmaMm: $event })"
          />
        </div>
        <div class="mt-4 grid gap-x-4 gap-y-2 sm:grid-cols-5">
          @for (corner of corners; track corner) {
            <fl-field
              [of]="fields.heightsMm.fields[corner]"
              [value]="frame().heightsMm[corner]"
              (changed)="height(corner, $event)"
            />
          }
          <fl-field
            [of]="fields.heightSigmaMm"
            [value]="frame().heightSigmaMm"
            (changed)="set({ heightSigmaMm: $event })"
          />
        </div>
        @switch (found().kind) {
          @case ('waits') {
            <p class="mt-4 text-ink-soft">{{ waitWords() }}</p>
          }
          @case ('refused') {
            <p class="fault mt-4 text-base" role="alert">{{ refusal() }}</p>
          }
        }
        @if (squared(); as one) {
          <p class="mt-4 text-xl font-semibold" data-test="square-verdict">{{ verdict() }}</p>
          <p class="mt-1 text-xl font-semibold" data-test="flat-verdict">{{ flat() }}</p>
          <table class="mt-3 w-full text-left">
            <thead class="text-sm text-ink-soft">
              <tr>
                <th class="font-normal">Tape</th>
                <th class="text-right font-normal">error</th>
                <th class="text-right font-normal">single misreading</th>
                <th class="text-right font-normal">undetected below</th>
              </tr>
            </thead>
            <tbody class="font-mono">
              @for (span of spans; track span) {
                <tr class="border-t border-rule">
                  <td class="py-1 font-sans">{{ spanName(span) }}</td>
                  <td class="text-right">{{ mm(one.square.residualsMm[span]) }}</td>
                  <td class="text-right">{{ mm(one.slips[span].explainsMm) }}</td>
                  <td class="text-right">{{ mm(one.slips[span].unseenMm) }}</td>
                </tr>
              }
            </tbody>
          </table>
          <p class="mt-2 max-w-prose text-sm text-ink-soft">
            Six tapes show that one is wrong, not which one. A misreading smaller than the last
            column goes undetected. Read the long ones twice.
          </p>
        }
        <section class="mt-4 border-t border-rule pt-3" aria-label="Marks as datums">
          <h3 class="font-bold">Marks as datums</h3>
          <div class="mt-1 grid gap-x-4 gap-y-2 sm:grid-cols-4">
            @for (corner of corners; track corner) {
              <fl-field
                [of]="fields.marks.fields[corner]"
                [field]="'mark-' + corner"
                [options]="points()"
                [value]="frame().marks[corner]"
                (changed)="mark(corner, $event || null)"
              />
            }
          </div>
          @if (moves(); as list) {
            <p class="mt-2" data-test="datum-moves">{{ moveWords() }}</p>
            <button type="button" class="btn-main mt-2" (click)="moveDatums()">
              Move the datums to the measured positions
            </button>
          } @else {
            <p class="mt-2 text-sm text-ink-soft">
              Choose the points at the four marks. You can then move them to their measured
              positions; every point taped from them, and every line, follows.
            </p>
          }
        </section>
      </section>
      <div class="flex min-w-0 flex-col gap-4">
        @if (squared(); as one) {
          <section class="card p-4" aria-label="The frame from above">
            <fl-frame-picture [square]="one.square" />
          </section>
        }
        <fl-pedal-room />
      </div>
    </div>
  `,
})
export class FramePage {
  protected readonly fields = FRAME_CHECK.fields;
  private readonly store = inject(PlanStore);
  protected readonly spans = SPANS;
  protected readonly corners = CORNERS;
  protected spanName(span: Span): string {
    return labelOf(this.fields.readMm.fields[span]);
  }
  protected readonly frame = computed(() => this.store.plan().frame ?? FRESH_FRAME);
  protected readonly points = computed(() => this.store.plan().points);

  protected readonly found = computed((): Found => {
    const { readMm, sigmaMm, heightsMm, heightSigmaMm } = this.frame();
    if (!whole(readMm))
      return {
        kind: 'waits',
        left: Object.values(readMm).filter((value) => value === null).length,
      };
    try {
      const heights = whole(heightsMm) ? { heightsMm, heightSigmaMm } : {};
      return {
        kind: 'found',
        square: square({ readMm, sigmaMm, ...heights }),
        slips: suspectTapes({ readMm, sigmaMm }),
      };
    } catch (error) {
      if (!(error instanceof InputError)) throw error;
      return { kind: 'refused', why: error.message };
    }
  });
  protected readonly squared = computed(() => {
    const found = this.found();
    return found.kind === 'found' ? found : null;
  });
  protected readonly waitWords = computed(() => {
    const found = this.found();
    const left = found.kind === 'waits' ? found.left : 0;
    return left === SPANS.length
      ? 'No readings yet.'
      : `${left} ${left === 1 ? 'tape is' : 'tapes are'} not read yet.`;
  });
  protected readonly refusal = computed(() => {
    const found = this.found();
    return found.kind === 'refused' ? found.why : '';
  });
  protected readonly verdict = computed(() => {
    const { verdict, rackMm, rackSigmaMm, taperMm, misfit } = this.squared()!.square;
    const rack = `${this.mm(Math.abs(rackMm))} ±${this.mm(2 * rackSigmaMm)}`;
    const side = rackMm >= 0 ? 'right' : 'left';
    const taper = `; wider at the rear by ${this.mm(taperMm)}`;
    const said = {
      'tapes-disagree': `The tapes disagree (misfit ${figure(misfit, 1)}, maximum 3.29). One is wrong: read the most likely one again.`,
      square: `Square: the ${side} rail is ${rack} farther back`,
      racked: `Racked: the ${side} rail is ${rack} farther back`,
      'cannot-tell': `Cannot tell: the ${side} rail is ${rack} farther back (limit 3 mm). Read the tapes again, more closely`,
    }[verdict];
    return verdict === 'tapes-disagree' ? said : `${said}${Math.abs(taperMm) < 0.05 ? '' : taper}.`;
  });
  protected readonly flat = computed(() => {
    const { flat, twistMm, twistSigmaMm } = this.squared()!.square;
    if (flat === null || twistMm === null)
      return 'Flat: not checked. Tapes alone cannot show twist. Read the four heights.';
    const by = `${this.mm(Math.abs(twistMm))} ±${this.mm(2 * twistSigmaMm!)}`;
    return {
      flat: `Flat: twisted by ${by}.`,
      twisted: `Twisted by ${by}: one corner is out of the plane of the others.`,
      'cannot-tell': `Cannot tell whether it is flat: ${by} (limit 5 mm).`,
    }[flat];
  });

  /** Where the datums would go; null while a mark is no point, two marks are one, or nothing is found. */
  protected readonly moves = computed(() => {
    const one = this.squared();
    const { marks, heightsMm } = this.frame();
    const ids = CORNERS.map((corner) => marks[corner]);
    if (
      !one ||
      one.square.verdict === 'tapes-disagree' ||
      ids.includes(null) ||
      new Set(ids).size < CORNERS.length
    )
      return null;
    const { points } = this.store.view();
    const thought = Object.fromEntries(
      CORNERS.map((c) => [c, points.get(marks[c]!)!.fixed.atMm]),
    ) as Record<Corner, Vec3>;
    const placed = placedMarks(one.square, thought, whole(heightsMm) ? heightsMm : null);
    return CORNERS.map((corner) => ({
      id: marks[corner]!,
      corner,
      from: thought[corner],
      to: tenths(placed[corner]),
    }));
  });
  protected readonly moveWords = computed(() => {
    const { points } = this.store.view();
    const far = this.moves()!.map(
      ({ id, from, to }) =>
        `${points.get(id)!.point.name.split(',')[0]} by ${this.mm(Math.hypot(...to.map((v, i) => v - from[i]!)))}`,
    );
    return `The tapes put these marks elsewhere: ${far.join(', ')}.`;
  });

  protected mm(value: number): string {
    const { units } = this.store;
    return units() === 'metric' ? `${figure(value, 1)} mm` : `${figure(value / 25.4, 2)} in`;
  }
  protected set(patch: Partial<FrameCheck>): void {
    this.store.apply({
      edit: 'setSheet',
      with: { sheet: 'frame', to: { ...this.frame(), ...patch } },
    });
  }
  protected read(span: Span, value: number | null): void {
    this.set({ readMm: { ...this.frame().readMm, [span]: value } });
  }
  protected height(corner: Corner, value: number | null): void {
    this.set({ heightsMm: { ...this.frame().heightsMm, [corner]: value } });
  }
  protected mark(corner: Corner, id: string | null): void {
    this.set({ marks: { ...this.frame().marks, [corner]: id } });
  }
  protected moveDatums(): void {
    const { sigmaMm, heightsMm, heightSigmaMm } = this.frame();
    const { points } = this.store.view();
    const up = whole(heightsMm);
    const calls = this.moves()!.map(({ id, to }): EditCall => {
      const { sigmaMm: was } = points.get(id)!.fixed;
      const sigma: Vec3 = [sigmaMm, sigmaMm, up ? heightSigmaMm : was[2]];
      return {
        edit: 'setKnown',
        with: { target: { kind: 'point', id }, known: { how: 'typed', atMm: to, sigmaMm: sigma } },
      };
    });
    this.store.apply(...calls);
  }
}
