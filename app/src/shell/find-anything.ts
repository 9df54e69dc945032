import type { ElementRef } from '@angular/core';
import { ChangeDetectionStrategy, Component, computed, inject, signal, viewChild } from '@angular/core';
import type { Place, Station } from '@firm-line/core/snags';
import { PlanStore } from '../plan/plan-store';
import { Jump } from './jump';
import { STATIONS } from './stations';

interface Hit {
  readonly text: string;
  readonly kind: string;
  readonly go: () => void;
}
const MOST_HITS = 30;

/** Types to anything in the plan: stations, lines, points, ports and snags. */
@Component({
  selector: 'fl-find-anything',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <dialog closedby="any" #dialog class="mt-24 w-full max-w-xl rounded-xl bg-sheet p-0 shadow-xl" aria-label="Find anything">
      <input
        #field
        class="w-full border-b border-rule bg-sheet px-5 py-4 text-lg"
        role="combobox"
        aria-expanded="true"
        aria-controls="find-list"
        aria-autocomplete="list"
        aria-label="Find a line, a place, a part or a snag"
        placeholder="Find a line, a place, a part or a snag"
        autocomplete="off"
        [attr.aria-activedescendant]="hits().length ? 'find-' + at() : null"
        (input)="type($any($event.target).value)"
        (keydown)="key($event)"
      />
      <ul id="find-list" role="listbox" aria-label="Found" class="max-h-96 overflow-auto p-2">
        @for (hit of hits(); track $index; let i = $index) {
          <li
            role="option"
            [id]="'find-' + i"
            [attr.aria-selected]="i === at()"
            class="flex min-h-11 cursor-pointer items-center justify-between gap-4 rounded-lg px-3"
            [class.bg-fluid-pale]="i === at()"
            (click)="take(hit)"
            (keydown.enter)="take(hit)"
            tabindex="-1"
          >
            <span class="truncate">{{ hit.text }}</span><span class="text-sm text-ink-soft" [class.text-ink]="i === at()">{{
              hit.kind
            }}</span>
          </li>
        }
      </ul>
      @if (!hits().length) {
        <p class="px-5 pb-4 text-ink-soft">Nothing in this plan is called that.</p>
      }
    </dialog>
  `,
})
export class FindAnything {
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  private readonly dialog = viewChild.required<ElementRef<HTMLDialogElement>>('dialog');
  private readonly field = viewChild.required<ElementRef<HTMLInputElement>>('field');
  private readonly query = signal('');
  protected readonly at = signal(0);

  private readonly all = computed((): Hit[] => {
    const view = this.store.view();
    if (!view) return [];
    const to = (station: Station, place?: Place) => () => this.jump.to(station, place);
    return [
      ...STATIONS.map((s) => ({ text: s.name, kind: 'Station', go: to(s.path) })),
      ...view.lines.map(({ line }) => ({
        text: `${line.name} ${line.title}`,
        kind: 'Line',
        go: to('route', { kind: 'line', id: line.id }),
      })),
      ...view.plan.hoses.map((hose) => ({
        text: `${hose.name} ${hose.title}`,
        kind: 'Hose',
        go: to('route', { kind: 'hose', id: hose.id }),
      })),
      ...[...view.points.values()].map(({ point }) => ({
        text: point.name,
        kind: 'Point',
        go: to('measure', { kind: 'point', id: point.id }),
      })),
      ...[...view.ports.values()].map(({ part, port }) => ({
        text: `${part.name}, ${port.name}`,
        kind: 'Port',
        go: to('measure', { kind: 'port', id: port.id }),
      })),
      ...this.store
        .snags()
        .map((snag) => ({ text: `${snag.where}: ${snag.text}`, kind: 'Snag', go: () => this.jump.toSnag(snag) })),
    ];
  });
  protected readonly hits = computed(() => {
    const words = this.query().toLowerCase().split(/\s+/).filter(Boolean);
    return this.all().filter((hit) => words.every((word) => `${hit.text} ${hit.kind}`.toLowerCase().includes(word))).slice(0, MOST_HITS); // prettier-ignore
  });

  open(): void {
    this.field().nativeElement.value = '';
    this.type('');
    this.dialog().nativeElement.showModal();
  }
  protected type(text: string): void {
    this.query.set(text);
    this.at.set(0);
  }
  protected key(event: KeyboardEvent): void {
    const count = this.hits().length;
    if (event.key === 'Enter' && this.hits()[this.at()]) this.take(this.hits()[this.at()]!);
    else if (event.key === 'ArrowDown' && count) this.at.update((i) => (i + 1) % count);
    else if (event.key === 'ArrowUp' && count) this.at.update((i) => (i + count - 1) % count);
    else return;
    event.preventDefault();
    queueMicrotask(() => document.getElementById(`find-${this.at()}`)?.scrollIntoView({ block: 'nearest' }));
  }
  protected take(hit: Hit): void {
    this.dialog().nativeElement.close();
    hit.go();
  }
}
