import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked, viewChild } from '@angular/core';
import { Title } from '@angular/platform-browser';
import { RouterLink, RouterOutlet } from '@angular/router';
import { PlanFiles } from '../plan/plan-files';
import { PlanStore } from '../plan/plan-store';
import { Tabs } from '../plan/tabs';
import { FindAnything } from './find-anything';
import { Jump } from './jump';
import { KeyList } from './key-list';
import { SnagDrawer } from './snag-drawer';
import { STATIONS } from './stations';
import { WayThrough } from './way-through';

const isTyping = (event: KeyboardEvent): boolean =>
  event.target instanceof HTMLElement && event.target.closest('input, textarea, select, [contenteditable]') !== null;

/** The frame round an open plan: the way through, units, undo, snags, finding and keys. */
@Component({
  selector: 'fl-shell',
  imports: [RouterOutlet, RouterLink, WayThrough, SnagDrawer, FindAnything, KeyList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)', class: 'flex min-h-dvh flex-col' },
  template: `
    <header class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-rule bg-sheet px-4 py-1.5 print:hidden">
      <a routerLink="/" class="flex min-h-12 w-52 items-center gap-3 rounded-lg" title="All plans">
        <img src="favicon.svg" alt="" class="size-9" />
        <span class="min-w-0">
          <span class="block text-lg leading-tight font-bold">Firm Line</span>
          <span class="block truncate text-sm leading-tight text-ink-soft"
            >{{ store.plan()?.name }} ·
            <span data-test="saved" [class.text-stop]="store.saved() === 'failed'">{{ savedWord() }}</span></span
          >
        </span>
      </a>
      <fl-way-through class="order-last min-w-80 flex-1 lg:order-none" />
      <div class="ml-auto flex gap-2">
        <button type="button" class="btn px-3" (click)="find.open()" title="Find anything (/)">Find</button>
        <button
          type="button"
          class="btn w-12 px-0"
          (click)="switchUnits()"
          [attr.aria-label]="'Units: ' + unitWord() + '. Switch.'"
          title="Switch units (u)"
        >
          {{ unitWord() }}
        </button>
        <button type="button" class="btn px-3" [disabled]="!store.canUndo()" (click)="store.undo()" title="Undo (Ctrl z)">
          Undo
        </button>
        <button type="button" class="btn px-3" [disabled]="!store.canRedo()" (click)="store.redo()" title="Redo (Shift Ctrl z)">
          Redo
        </button>
        <button type="button" class="btn px-3" (click)="exportPlan()" title="Export this plan as a file">Export</button>
        <button type="button" class="btn-dark whitespace-nowrap" (click)="drawer.open()" title="All snags (s)" data-test="snags">
          {{ snagWord() }}
        </button>
      </div>
    </header>
    @if (tabs.others().size) {
      <p class="border-b border-rule bg-copper-pale px-6 py-2 text-sm print:hidden" data-test="other-tab">
        This plan is also open in another tab. What one saves, the other shows.
      </p>
    }
    @switch (store.phase()) {
      @case ('missing') {
        <main class="p-10">
          <h1 class="text-2xl font-bold">There is no such plan here</h1>
          <p class="mt-2">Plans live in this browser. It may have been made in another one, or be among the deleted.</p>
          <a routerLink="/" class="btn-main mt-4">See all plans</a>
        </main>
      }
      @case ('loading') {
        <main class="p-10 text-ink-soft">Opening the plan…</main>
      }
      @default {
        @if (store.phase() === 'refused') {
          <p class="bg-stop px-6 py-2 text-sheet">This plan is damaged and can only be looked at.</p>
        }
        <main
          class="flex min-h-0 flex-1 flex-col"
          [attr.inert]="store.editable() ? null : ''"
          [attr.aria-busy]="store.phase() === 'checking'"
        >
          <router-outlet />
        </main>
      }
    }
    <fl-snag-drawer #drawer class="print:hidden" />
    <fl-find-anything #find class="print:hidden" />
    <fl-key-list #keys class="print:hidden" />
  `,
})
export class Shell {
  protected readonly store = inject(PlanStore);
  protected readonly tabs = inject(Tabs);
  private readonly files = inject(PlanFiles);
  private readonly jump = inject(Jump);
  private readonly title = inject(Title);
  private readonly drawerRef = viewChild.required(SnagDrawer);
  private readonly findRef = viewChild.required(FindAnything);
  private readonly keysRef = viewChild.required(KeyList);
  readonly planId = input.required<string>();
  protected readonly savedWord = computed(
    () => ({ saved: 'saved', saving: 'saving…', failed: `not saved: ${this.store.saveFailure()}` })[this.store.saved()],
  );
  protected readonly unitWord = computed(() => (this.store.units() === 'metric' ? 'mm' : 'in'));
  protected readonly snagWord = computed(() => {
    const count = this.store.snags().length;
    if (!this.store.judged()) return 'Snags…';
    return count === 1 ? '1 snag' : `${count || 'No'} snags`;
  });

  constructor() {
    effect(() => {
      const id = this.planId();
      untracked(() => void this.store.open(id));
    });
    effect(() => this.title.setTitle(`${this.store.plan()?.name ?? 'Plan'} · Firm Line`));
  }

  protected exportPlan(): void {
    const plan = this.store.plan();
    if (plan) this.files.export(plan);
  }

  protected switchUnits(): void {
    this.store.apply({ edit: 'setUnits', with: { units: this.store.units() === 'metric' ? 'inch' : 'metric' } });
  }

  protected key(event: KeyboardEvent): void {
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      if (isTyping(event)) return;
      event.preventDefault();
      return event.shiftKey ? this.store.redo() : this.store.undo();
    }
    if (isTyping(event) || event.ctrlKey || event.metaKey || event.altKey || document.querySelector('dialog[open]')) return;
    const station = STATIONS[Number(event.key) - 1];
    const act = station ? () => this.jump.to(station.path) : this.actions[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  }

  private readonly actions: Readonly<Record<string, () => void>> = {
    '/': () => this.findRef().open(),
    '.': () => this.jump.toNextSnag(),
    s: () => this.drawerRef().open(),
    u: () => this.switchUnits(),
    m: () => document.getElementById('move-line')?.focus(),
    '?': () => this.keysRef().open(),
  };
}
