import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  inject,
  signal,
} from '@angular/core';
import { RouterLink } from '@angular/router';
import {
  followUpChecks,
  maySign,
  signedDigest,
  latestSignature,
  localRules,
} from '@firm-line/core/stations/prove';
import { fileStem } from '@firm-line/core/plan';
import { tableCsv } from '@firm-line/core/shape/formats';
import { CheckField } from '../../kit/fields/check-field';
import { TextField } from '../../kit/fields/text-field';
import { Toggle } from '../../kit/toggle';
import { saveFile } from '../../kit/save-file';
import { PlanStore } from '../../session/plan-store';
import { PlanZips } from '../../storage/plan-zips';
import { PackWork } from '../../worker/pack-work';
import { STATIONS } from '../registry';
import { ProveFacade } from './prove-facade';

/** What stands in the way of signing, the signature, and the pack for whoever signs. */
@Component({
  selector: 'fl-sign-page',
  imports: [CheckField, RouterLink, TextField, Toggle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <div class="grid min-h-full lg:grid-cols-[minmax(0,1fr)_24rem]">
      <section class="p-5" aria-label="Before you can sign">
        <h2 class="text-2xl font-bold" data-test="open-count">{{ heading() }}</h2>
        @if (points(); as points) {
          <ul class="mt-3">
            @for (point of points; track point.key) {
              <li
                class="flex flex-wrap items-start gap-3 border-t border-rule py-2"
                data-test="open-point"
              >
                <span
                  class="w-6 text-center font-bold"
                  [class]="point.never ? 'text-stop' : 'text-caution'"
                  aria-hidden="true"
                  >{{ point.never ? '✗' : '▲' }}</span
                >
                <span class="min-w-0 flex-1"
                  >{{ point.text }}{{ point.never ? ' Blocks sign-off.' : '' }}</span
                >
                @if (scope() === 'move' && !point.never) {
                  <fl-check-field
                    label="named exception"
                    [checked]="excepted().includes(point.key)"
                    (changed)="except(point.key)"
                  />
                }
                <a
                  class="btn"
                  [routerLink]="point.station === 'prove' ? '../rounds' : '../../' + point.station"
                  >{{ nameOf(point.station) }}</a
                >
              </li>
            }
          </ul>
        }
      </section>
      <aside
        class="flex flex-col gap-4 border-l border-rule bg-sheet p-5"
        aria-label="Signature and pack"
      >
        <h2 class="text-xl font-bold">Signature</h2>
        <p>{{ words() }}</p>
        @if (signed(); as signed) {
          <p
            class="font-semibold"
            [class]="signed.stands ? 'text-ok' : 'text-stop'"
            data-test="signed"
          >
            {{ signed.stands ? '✓' : '✗' }} Signed {{ signed.sign.at.slice(0, 10) }} by
            {{ signed.sign.by }},
            {{
              signed.sign.scope === 'road'
                ? 'for the road'
                : 'for moving at walking pace on closed ground, not for the road'
            }}{{
              signed.stands
                ? '.'
                : '. The plan has changed since. This signature is no longer valid.'
            }}
          </p>
          @if (signed.sign.exceptions.length) {
            <p class="text-sm">Excepted: {{ signed.sign.exceptions.join('; ') }}</p>
          }
        }
        <fl-toggle label="Use" [options]="scopes" [value]="scope()" (changed)="scope.set($event)" />
        <fl-toggle
          label="Signed as"
          [options]="roles"
          [value]="role()"
          (changed)="role.set($event)"
        />
        <fl-text-field
          field="signed-by"
          label="Initials or name"
          [limits]="{ least: 0, most: 100 }"
          [value]="by()"
          (changed)="by.set($event)"
        />
        @if (!may().may) {
          <p class="fault" data-test="refused">{{ may().why }}</p>
        }
        <button
          type="button"
          class="btn-main min-h-16 text-xl disabled:opacity-60"
          [disabled]="!may().may || !by().trim()"
          (click)="sign()"
          data-test="sign"
        >
          {{ scope() === 'road' ? 'Sign for the road' : 'Sign for moving only, not for the road' }}
        </button>
        @if (signed()?.stands && signed()?.sign?.scope === 'road') {
          <h3 class="font-bold">Follow-up checks</h3>
          <ul class="list-disc pl-5 text-sm">
            @for (due of due(); track due) {
              <li>{{ due }}</li>
            }
          </ul>
        }
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
            [disabled]="!points()"
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
      </aside>
    </div>
  `,
})
export class SignPage {
  protected readonly sheet = inject(ProveFacade);
  private readonly store = inject(PlanStore);
  private readonly packs = inject(PackWork);
  private readonly zips = inject(PlanZips);
  protected readonly scopes = [
    { value: 'road', name: 'For the road' },
    { value: 'move', name: 'For moving only' },
  ] as const;
  protected readonly roles = [
    { value: 'builder', name: 'Builder' },
    { value: 'qualified', name: 'Qualified person' },
  ] as const;
  protected readonly scope = signal<'road' | 'move'>('road');
  protected readonly role = signal<'builder' | 'qualified'>('builder');
  protected readonly by = signal('');
  protected readonly excepted = signal<readonly string[]>([]);
  protected readonly points = this.sheet.points;
  protected readonly heading = computed(() => {
    const points = this.points();
    return !points
      ? 'Checking…'
      : points.length
        ? `${points.length} open ${points.length === 1 ? 'point' : 'points'} before you can sign`
        : 'Ready to sign';
  });
  protected readonly may = computed(() => {
    const points = this.points();
    return points
      ? maySign(this.scope(), points, this.excepted())
      : { may: false, why: 'Snags are still being checked.' };
  });
  protected readonly words = computed(() => localRules(this.store.plan().sizing?.category));
  protected readonly signed = computed(() => latestSignature(this.sheet.view()));
  protected readonly due = computed(() => followUpChecks(this.sheet.view()));
  protected readonly share = signal<number | null>(null);
  protected readonly fault = signal('');
  private ended: AbortController | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.ended?.abort());
  }
  protected nameOf(station: string): string {
    return STATIONS.find(({ path }) => path === station)?.name ?? station;
  }
  protected except(key: string): void {
    this.excepted.update((keys) =>
      keys.includes(key) ? keys.filter((one) => one !== key) : [...keys, key],
    );
  }
  protected sign(): void {
    const points = this.points();
    if (!points || !this.may().may) return;
    const exceptions = points
      .filter(({ key }) => this.excepted().includes(key))
      .map(({ text }) => text);
    this.sheet.apply({
      edit: 'sign',
      with: {
        signature: {
          at: new Date().toISOString(),
          by: this.by().trim(),
          as: this.role(),
          scope: this.scope(),
          rests: signedDigest(this.sheet.view()),
          exceptions: this.scope() === 'move' ? exceptions : [],
        },
      },
    });
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
