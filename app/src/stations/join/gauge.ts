import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { Gender } from '@firm-line/core/trade/stock';
import { identify, type ThreadCandidate } from '@firm-line/core/trade/threads/identify';

/** A thread picked from the readings, with the readings it was picked by. */
export interface Gauged {
  readonly thread: string;
  readonly readings: { readonly diameterMm: number; readonly pitchMm: number | null };
}
/** Pieces in the simulated vernier's bin. */
const PIECES: Record<Gender, readonly string[]> = {
  male: ['a', 'b', 'e', 'f'],
  female: ['c', 'd', 'g', 'h'],
};
/** Readings that must agree before a vernier's figure is taken, and within what, mm. */
const STEADY = 3;
const WITHIN_MM = 0.02;

let nextId = 0;

/** Vernier and pitch gauge: a diameter and a pitch, and the threads they fit, best first. */
@Component({
  selector: 'fl-gauge',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid grid-cols-2 gap-3">
      <div>
        <label class="label block" [attr.for]="id + '-d'">{{
          gender() === 'male' ? 'Over the crests, mm' : 'Bore at the crests, mm'
        }}</label>
        <input
          #field
          [id]="id + '-d'"
          class="field-mono w-full"
          inputmode="decimal"
          autocomplete="off"
          [value]="diameterText()"
          (change)="diameterText.set(field.value)"
        />
      </div>
      <div>
        <label class="label block" [attr.for]="id + '-p'">Pitch, mm or tpi</label>
        <input
          #field2
          [id]="id + '-p'"
          class="field-mono w-full"
          inputmode="text"
          autocomplete="off"
          placeholder="1.0 or 24 tpi"
          [value]="pitchText()"
          (change)="pitchText.set(field2.value)"
        />
      </div>
    </div>
    <div class="mt-2 flex flex-wrap items-center gap-2">
      <select #piece class="field" aria-label="Piece in the simulated vernier">
        @for (one of pieces(); track one) {
          <option [value]="one">piece {{ one.toUpperCase() }}</option>
        }
      </select>
      <button type="button" class="btn px-3" (click)="read(piece.value)">
        {{ reading() ? 'Reading…' : 'Read the vernier' }}
      </button>
    </div>
    <p class="text-sm text-ink-soft">
      A vernier that types like a keyboard works in the first field. The simulated one measures
      sample pieces.
    </p>
    @if (fault(); as text) {
      <p class="fault" role="alert">{{ text }}</p>
    }
    @if (found(); as threads) {
      <ul class="mt-2" aria-label="Threads that fit">
        @for (one of threads.candidates; track one.thread) {
          <li class="border-t border-rule py-1">
            <button
              type="button"
              class="flex min-h-tap w-full items-center gap-3 text-left"
              (click)="take(one)"
            >
              <span class="w-28 font-semibold">{{ one.thread }}</span>
              <span class="h-2 flex-1 rounded bg-rule"
                ><span
                  class="block h-2 rounded bg-fluid"
                  [style.width.%]="100 * one.confidence"
                ></span
              ></span>
              <span class="w-12 text-right font-mono">{{ percent(one) }}</span>
            </button>
            @if (one.alikes.length) {
              <p class="pb-1 text-sm text-ink-soft">Closest match: {{ one.alikes.join(', ') }}.</p>
            }
          </li>
        } @empty {
          <li class="py-1 text-sm">
            No thread in the catalog fits these readings. The nearest is {{ threads.nearest }}:
            measure again.
          </li>
        }
      </ul>
      @if (threads.candidates.length) {
        <p class="text-sm text-ink-soft">Tap a thread to set it at the port.</p>
      }
    }
  `,
})
export class Gauge {
  protected readonly id = `gauge-${nextId++}`;
  readonly gender = input.required<Gender>();
  readonly picked = output<Gauged>();
  protected readonly pieces = computed(() => PIECES[this.gender()]);
  protected readonly diameterText = signal('');
  protected readonly pitchText = signal('');
  protected readonly reading = signal(false);
  private readonly lost = signal<string | null>(null);
  private stream: EventSource | null = null;

  /** What was typed, or why it cannot be read. */
  private readonly read_ = computed(
    (): { diameterMm: number | null; pitchMm: number | null; fault: string | null } => {
      const plain = /^\d+(?:[.,]\d+)?$/;
      const d = this.diameterText()
        .trim()
        .replace(/\s*mm$/i, '');
      const p = this.pitchText()
        .trim()
        .replace(/\s*mm$/i, '');
      const tpi = /^(\d+(?:[.,]\d+)?)\s*tpi$/i.exec(p);
      const number = (text: string): number => Number(text.replace(',', '.'));
      if (d === '') return { diameterMm: null, pitchMm: null, fault: null };
      if (!plain.test(d) || number(d) <= 0)
        return {
          diameterMm: null,
          pitchMm: null,
          fault: `"${d}" is not a diameter. Enter one in mm, such as 9.4.`,
        };
      if (p !== '' && !tpi && !(plain.test(p) && number(p) > 0))
        return {
          diameterMm: null,
          pitchMm: null,
          fault: `"${p}" is not a pitch. Enter 1.0 for mm, or 24 tpi.`,
        };
      return {
        diameterMm: number(d),
        pitchMm: p === '' ? null : tpi ? 25.4 / number(tpi[1]!) : number(p),
        fault: null,
      };
    },
  );
  protected readonly fault = computed(() => this.lost() ?? this.read_().fault);
  protected readonly found = computed(() => {
    const { diameterMm, pitchMm } = this.read_();
    if (diameterMm === null) return null;
    return identify({
      gender: this.gender(),
      diameterMm,
      ...(pitchMm === null ? {} : { pitchMm }),
    });
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.stream?.close());
  }

  protected percent({ confidence }: ThreadCandidate): string {
    return `${figure(100 * confidence, 0)} %`;
  }
  protected take({ thread }: ThreadCandidate): void {
    const { diameterMm, pitchMm } = this.read_();
    this.picked.emit({ thread, readings: { diameterMm: diameterMm!, pitchMm } });
  }

  /** Follows the instrument until its figure holds still. */
  protected read(piece: string): void {
    this.stream?.close();
    this.lost.set(null);
    this.reading.set(true);
    const last: number[] = [];
    // The service worker would wait for the end of a stream that it handed on.
    const stream = (this.stream = new EventSource(`/api/vernier/${piece}?ngsw-bypass=true`));
    const end = (): void => {
      stream.close();
      this.reading.set(false);
    };
    stream.onmessage = ({ data }: MessageEvent<string>) => {
      this.diameterText.set(data);
      last.push(Number(data));
      const steady = last.slice(-STEADY);
      if (steady.length === STEADY && Math.max(...steady) - Math.min(...steady) <= WITHIN_MM) end();
    };
    stream.addEventListener('done', end);
    stream.onerror = () => {
      this.lost.set('The vernier does not answer. Type the reading.');
      end();
    };
  }
}
