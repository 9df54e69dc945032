import { ListKeyManager, type ListKeyManagerOption } from '@angular/cdk/a11y';
import type { ElementRef } from '@angular/core';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type MiniSearch from 'minisearch';
import { recordsIn } from '@firm-line/core/plan';
import { PlanStore } from '../session/plan-store';
import { Jump } from '../session/jump';
import { STATIONS, stationFor } from '../stations/registry';
import type { GlossaryEntry } from '@firm-line/core/trade/glossary';
import { Dialog } from '../kit/dialog';
import { Glossary } from '../kit/glossary';
import { GlossaryCard } from '../kit/glossary-card';

interface Hit extends ListKeyManagerOption {
  readonly text: string;
  readonly kind: string;
  readonly go: () => void;
}
const MOST_HITS = 30;

/** Finds anything by typing: stations, pages, records of the plan, snags, and terms of the glossary. */
@Component({
  selector: 'fl-find-anything',
  imports: [Dialog, GlossaryCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <fl-dialog
      #dialog
      label="Find anything"
      [light]="true"
      look="mt-24 w-full max-w-xl"
      (closed)="isOpened.set(false)"
    >
      <input
        #field
        class="w-full border-b border-rule bg-sheet px-5 py-4 text-lg"
        role="combobox"
        aria-expanded="true"
        aria-controls="find-list"
        aria-autocomplete="list"
        aria-label="Find a line, place, part, snag or term"
        placeholder="Find a line, place, part, snag or term"
        autocomplete="off"
        [attr.aria-activedescendant]="hits().length ? 'find-' + keys.activeItemIndex : null"
        (input)="type(field.value)"
        (keydown)="key($event)"
      />
      <ul id="find-list" role="listbox" aria-label="Found" class="max-h-96 overflow-auto p-2">
        @for (hit of hits(); track $index; let i = $index) {
          <li
            role="option"
            [id]="'find-' + i"
            [attr.aria-selected]="i === keys.activeItemIndex"
            class="flex min-h-11 cursor-pointer items-center justify-between gap-4 rounded-lg px-3"
            [class.bg-fluid-pale]="i === keys.activeItemIndex"
            (click)="take(hit)"
            (keydown.enter)="take(hit)"
            tabindex="-1"
          >
            <span class="truncate">{{ hit.text }}</span><span
              class="text-sm text-ink-soft"
              [class.text-ink]="i === keys.activeItemIndex"
              >{{ hit.kind }}</span
            >
          </li>
        }
      </ul>
      @if (!hits().length) {
        <p class="px-5 pb-4 text-ink-soft">No match. Try part of a name, such as front or R2.</p>
      }
    </fl-dialog>
    <fl-dialog #explained label="Term" [light]="true" (closed)="term.set(null)">
      @if (term(); as entry) {
        <fl-glossary-card [entry]="entry" />
        <div class="mt-4 flex gap-2">
          <button type="button" class="btn" (click)="explained.close()">Close</button>
        </div>
      }
    </fl-dialog>
  `,
})
export class FindAnything {
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  private readonly dialog = viewChild.required<Dialog>('dialog');
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  /** The keys and settings are asked for. */
  readonly settings = output();
  private readonly explained = viewChild.required<Dialog>('explained');
  private readonly glossary = inject(Glossary);
  protected readonly term = signal<GlossaryEntry | null>(null);
  private readonly query = signal('');
  protected readonly isOpened = signal(false);

  private readonly all = computed((): Hit[] => {
    if (!this.store.isOpen()) return [];
    return [
      ...STATIONS.map(({ name, path }) => ({
        text: name,
        kind: 'station',
        go: () => this.jump.to(path),
      })),
      ...STATIONS.flatMap(({ path, name, pages }) =>
        pages.map((page) => ({
          text: page.title ?? page.name,
          kind: `page of ${name}`,
          go: () => this.jump.toPage(path, page.path),
        })),
      ),
      ...recordsIn(this.store.plan()).map(({ ref, noun, name }) => ({
        text: name,
        kind: noun,
        go: () => this.jump.to(stationFor('measure', ref), ref),
      })),
      ...this.store.snags().map((snag) => ({
        text: `${snag.where}: ${snag.text}`,
        kind: 'snag',
        go: () => this.jump.toSnag(snag),
      })),
      {
        text: 'Keys and settings: units, theme, shortcuts',
        kind: 'settings',
        go: () => this.settings.emit(),
      },
      ...this.glossary.entries().map((entry) => ({
        text: [entry.term, ...(entry.also ?? [])].join(', '),
        kind: 'term',
        go: () => this.explain(entry),
      })),
    ];
  });
  /** The library is had when the dialog is first opened; until then words must stand in what they find. */
  private readonly library = signal<typeof MiniSearch | null>(null);
  private readonly index = computed(() => {
    const Library = this.library();
    if (!Library || !this.isOpened()) return null;
    const index = new Library<{ id: number; text: string; kind: string }>({
      fields: ['text', 'kind'],
    });
    index.addAll(this.all().map(({ text, kind }, id) => ({ id, text, kind })));
    return index;
  });
  protected readonly hits = computed(() => {
    if (!this.isOpened()) return [];
    // A tag's text is the plan and the code: of this plan the code is looked for.
    const typed = this.query().trim();
    const own = `${this.store.plan().id} `;
    const query = typed.startsWith(own) ? typed.slice(own.length) : typed;
    const all = this.all();
    const index = this.index();
    if (query && index)
      return index
        .search(query, { prefix: true, fuzzy: 0.2, combineWith: 'AND', boost: { text: 2 } })
        .slice(0, MOST_HITS)
        .map(({ id }) => all[id as number]!);
    const words = query.toLowerCase().split(/\s+/).filter(Boolean);
    return all
      .filter((hit) =>
        words.every((word) => `${hit.text} ${hit.kind}`.toLowerCase().includes(word)),
      )
      .slice(0, MOST_HITS);
  });

  protected readonly keys = new ListKeyManager(this.hits, inject(Injector))
    .withPageUpDown()
    .withWrap();
  constructor() {
    this.keys.change.subscribe((index) =>
      document.getElementById(`find-${index}`)?.scrollIntoView({ block: 'nearest' }),
    );
  }

  open(): void {
    void this.glossary.load();
    void import('minisearch').then(({ default: library }) => this.library.set(library));
    this.isOpened.set(true);
    this.field().nativeElement.value = '';
    this.type('');
    this.dialog().show();
  }
  private explain(entry: GlossaryEntry): void {
    this.term.set(entry);
    this.explained().show();
  }
  protected type(text: string): void {
    this.query.set(text);
    this.keys.updateActiveItem(0);
  }
  protected key(event: KeyboardEvent): void {
    const hit = this.hits()[this.keys.activeItemIndex ?? 0];
    if (event.key !== 'Enter') this.keys.onKeydown(event);
    else if (hit) {
      event.preventDefault();
      this.take(hit);
    }
  }
  protected take(hit: Hit): void {
    this.dialog().close();
    hit.go();
  }
}
