import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  signal,
  viewChild,
} from '@angular/core';
import { aboutKey, beforeAndNow, byDayFound, photosOf } from '@firm-line/core/stations/fit/log';
import type { LogEntry, Photo, Ref } from '@firm-line/core/plan';
import { Dialog } from '../../kit/dialog';
import { SelectField } from '../../kit/fields/select-field';
import { Jump } from '../../session/jump';
import { PlanStore } from '../../session/plan-store';
import { PlanZips } from '../../storage/plan-zips';
import { stationFor } from '../registry';
import { BeforeNow } from './before-now';
import { LogEntryForm } from './log-entry-form';
import { LogFacade, refOf } from './log-facade';
import { PhotoView } from './photo-view';

/** What was seen and read, by day: text, readings and photographs on any place of the plan. */
@Component({
  selector: 'fl-log-page',
  imports: [BeforeNow, Dialog, LogEntryForm, PhotoView, SelectField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block p-5' },
  template: `
    <div class="flex flex-wrap items-end gap-3 print:hidden">
      <h2 class="mr-auto text-2xl font-bold">Log</h2>
      <button
        type="button"
        class="btn"
        [disabled]="!sheet.log().entries.length"
        (click)="print('log')"
      >
        Print
      </button>
      <button type="button" class="btn" [disabled]="!bags().length" (click)="print('bags')">
        Print bag labels
      </button>
      <button type="button" class="btn" [disabled]="!photoCount()" (click)="export()">
        Export with photographs
      </button>
    </div>
    <fl-log-entry-form class="mt-4 block print:hidden" />
    @if (pair(); as both) {
      <section class="mt-6 print:hidden" aria-label="Before and now">
        <h3 class="text-lg font-bold">{{ placeNow() }}: before and now</h3>
        <fl-before-now class="mt-2" [before]="both.before" [now]="both.now" />
      </section>
    }
    <div class="mt-6 grid gap-3 sm:grid-cols-2 print:hidden">
      <div>
        <label class="label block" for="log-search">Search</label
        ><input
          #search
          id="log-search"
          type="search"
          class="field w-full"
          [value]="words()"
          (input)="words.set(search.value)"
        />
      </div>
      <fl-select-field
        field="log-place"
        label="Where"
        none="anywhere"
        [options]="places()"
        [value]="place()"
        (changed)="place.set($event)"
      />
    </div>
    @for (day of days(); track day.day) {
      <section class="mt-5" [attr.aria-label]="day.day" [class.print:hidden]="printed() === 'bags'">
        <h3 class="text-lg font-bold">{{ day.day }}</h3>
        @for (entry of day.entries; track entry.id) {
          <article class="card mt-2 p-4" data-test="entry">
            <p class="flex flex-wrap items-center gap-x-3">
              <button type="button" class="link" (click)="show(entry)">
                {{ sheet.nameOf(entry.about) }}
              </button>
              <span class="text-sm text-ink-soft"
                >{{ entry.at.slice(11, 16) }}{{ entry.by ? ', ' + entry.by : ''
                }}{{ entry.when === 'before' ? ', before' : '' }}</span
              >
              <button
                type="button"
                class="btn ml-auto px-3 print:hidden"
                [attr.aria-label]="'Remove the entry on ' + sheet.nameOf(entry.about)"
                (click)="remove(entry.id)"
              >
                Remove
              </button>
            </p>
            <p class="whitespace-pre-wrap">
              {{ entry.bag ? 'Bag ' + entry.bag + ': ' : '' }}{{ entry.text }}
            </p>
            @if (entry.reading) {
              <p class="font-mono">{{ entry.reading }}</p>
            }
            @if (entry.photos.length) {
              <div class="mt-2 flex flex-wrap gap-2">
                @for (photo of entry.photos; track photo.digest; let i = $index) {
                  <button
                    type="button"
                    class="size-32 print:size-48"
                    [attr.aria-label]="'Photograph ' + (i + 1) + ', larger'"
                    (click)="enlarge(photo)"
                  >
                    <fl-photo-view
                      class="size-full"
                      [photo]="photo"
                      [alt]="
                        'Photograph ' + (i + 1) + ': ' + (entry.text || sheet.nameOf(entry.about))
                      "
                    />
                  </button>
                }
              </div>
            }
          </article>
        }
      </section>
    } @empty {
      <p class="mt-5">
        {{
          sheet.log().entries.length
            ? 'No entry matches.'
            : 'No entries yet. Photograph everything before you take it apart.'
        }}
      </p>
    }
    <ul
      class="hidden grid-cols-2 gap-3"
      [class.print:grid]="printed() === 'bags'"
      aria-label="Bag labels"
    >
      @for (entry of bags(); track entry.id) {
        <li class="break-inside-avoid rounded border-2 border-ink p-3" data-test="bag">
          <p class="text-3xl font-bold">Bag {{ entry.bag }}</p>
          <p class="text-lg">{{ entry.text }}</p>
          <p>Goes to: {{ sheet.nameOf(entry.about) }}</p>
          <p class="text-sm">{{ store.plan().name }}, {{ entry.at.slice(0, 10) }} {{ entry.by }}</p>
        </li>
      }
    </ul>
    <fl-dialog
      #dialog
      label="Photograph"
      look="max-w-5xl p-2"
      [light]="true"
      (closed)="large.set(null)"
    >
      @if (large(); as photo) {
        <fl-photo-view
          class="h-[80dvh]"
          which="picture"
          [photo]="photo"
          alt="The photograph, larger"
        />
        <button type="button" class="btn mt-2 w-full" (click)="dialog.close()">Close</button>
      }
    </fl-dialog>
  `,
})
export class LogPage {
  protected readonly sheet = inject(LogFacade);
  protected readonly store = inject(PlanStore);
  private readonly zips = inject(PlanZips);
  private readonly jump = inject(Jump);
  private readonly dialogRef = viewChild.required(Dialog);
  protected readonly bags = computed(() =>
    this.sheet.log().entries.filter(({ bag }) => bag !== undefined),
  );
  protected readonly printed = signal<'log' | 'bags'>('log');
  protected readonly words = signal('');
  protected readonly place = signal('');
  protected readonly large = signal<Photo | null>(null);

  protected readonly photoCount = computed(() => photosOf(this.sheet.log()).length);
  protected readonly days = computed(() =>
    byDayFound(
      this.sheet.log().entries,
      { words: this.words(), about: this.place() },
      this.sheet.nameOf,
    ),
  );
  protected readonly places = computed(() => [
    ...new Map(
      this.sheet.log().entries.map(({ about }) => [aboutKey(about), this.sheet.nameOf(about)]),
    ).entries(),
  ]);
  /** Of the place that is looked at, else of the one that is written of. */
  private readonly seen = computed(() => this.place() || aboutKey(this.sheet.about()));
  protected readonly placeNow = computed(() => this.sheet.nameOf(refOf(this.seen())));
  protected readonly pair = computed(() => beforeAndNow(this.sheet.log().entries, this.seen()));

  protected remove(id: string): void {
    this.sheet.apply({ edit: 'removeLogEntry', with: { id } });
  }
  protected show({ about: { kind, id } }: LogEntry): void {
    if (kind === 'plan' || kind === 'task' || kind === 'sheet') return;
    const place: Ref = { kind, id };
    this.jump.to(stationFor('route', place), place);
  }
  protected enlarge(photo: Photo): void {
    this.large.set(photo);
    this.dialogRef().show();
  }
  protected print(what: 'log' | 'bags'): void {
    this.printed.set(what);
    setTimeout(() => window.print());
  }
  protected export(): void {
    void this.zips.export(this.store.plan());
  }
}
