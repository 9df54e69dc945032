import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  Injector,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { Title } from '@angular/platform-browser';
import { Router, RouterLink, RouterOutlet } from '@angular/router';
import { PanelLayout } from '../kit/panel-layout';
import { PlanFiles } from '../storage/plan-files';
import { DISPLAY_UNITS, SHOWN_UNITS } from '../kit/units';
import { PlanStore } from '../session/plan-store';
import { Tabs } from '../session/tabs';
import { stationAt } from '../stations/registry';
import { FindAnything } from './find-anything';
import { KeyList } from './key-list';
import { earlyKeys } from './early-keys';
import type { Acts } from './keys';
import { PendingEditDialog } from './pending-edit';
import { NoPlan } from './no-plan';
import { RefusedPlan } from './refused-plan';
import { SnagDrawer } from './snag-drawer';
import { StationBoundary } from './station-boundary';
import { StationNav } from './station-nav';

/** Moves the focus to the head of the page, unless it has moved on from where it was. */
function focusHead(from: Element | null): void {
  if (document.activeElement !== from && document.activeElement !== document.body) return;
  const head = document.querySelector<HTMLElement>('main h1');
  head?.setAttribute('tabindex', '-1');
  head?.focus({ preventScroll: true });
}

/** The frame round every station: the plan's name, the way through, whether it is saved, and what stands in the way of using it. */
@Component({
  selector: 'fl-shell',
  imports: [
    RouterOutlet,
    RouterLink,
    StationNav,
    SnagDrawer,
    FindAnything,
    PendingEditDialog,
    KeyList,
    NoPlan,
    RefusedPlan,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  providers: [
    { provide: DISPLAY_UNITS, useFactory: () => inject(PlanStore).units },
    { provide: SHOWN_UNITS, useFactory: () => inject(PlanStore).shownUnits },
  ],
  host: { class: 'flex min-h-dvh flex-col', '[class.floor]': 'floor()' },
  template: `
    <header
      [class.hidden]="room.full()"
      class="flex flex-wrap items-center gap-x-6 gap-y-1 border-b border-rule bg-sheet px-4 py-1.5 print:hidden"
    >
      <a routerLink="/" class="flex min-h-tap w-52 items-center gap-3 rounded-lg" title="All plans">
        <img src="favicon.svg" alt="" class="size-9" />
        <span class="min-w-0">
          <span class="block text-lg leading-tight font-bold">Firm Line</span>
          <span class="block truncate text-sm leading-tight text-ink-soft"
            >{{ name() }} · <span data-test="saved">{{ savedWord() }}</span></span
          >
        </span>
      </a>
      <fl-station-nav class="order-last min-w-80 flex-1 lg:order-none" />
      <div class="ml-auto flex gap-2">
        <button
          type="button"
          class="btn px-3"
          (click)="wanted.set('find')"
          title="Find anything (/)"
        >
          Find
        </button>
        <button
          type="button"
          class="btn w-12 px-0"
          (click)="switchUnits()"
          [attr.aria-label]="'Units: ' + unitWord() + '. Switch.'"
          title="Switch units (u)"
        >
          {{ unitWord() }}
        </button>
        <button
          type="button"
          class="btn px-3"
          [disabled]="!store.canUndo()"
          (click)="store.undo()"
          title="Undo (Ctrl z)"
        >
          Undo
        </button>
        <button
          type="button"
          class="btn px-3"
          [disabled]="!store.canRedo()"
          (click)="store.redo()"
          title="Redo (Shift Ctrl z)"
        >
          Redo
        </button>
        <button
          type="button"
          class="btn px-3"
          [disabled]="!store.isOpen()"
          (click)="exportPlan()"
          title="Export this plan as a file"
        >
          Export
        </button>
        <button
          type="button"
          class="btn-dark whitespace-nowrap"
          (click)="wanted.set('snags')"
          title="All snags (s)"
          data-test="snags"
        >
          {{ snagWord() }}
        </button>
      </div>
    </header>
    @if (store.saveFailure(); as why) {
      <div
        class="sticky top-0 z-40 flex flex-wrap items-center gap-3 bg-stop px-6 py-1 text-sheet print:hidden"
        role="alert"
        data-test="not-saved"
      >
        <p class="flex-1 py-2">
          <strong>Not saved:</strong> {{ why }} Saving is retried automatically. Until it works,
          export the plan or keep this tab open.
        </p>
        <button
          type="button"
          class="min-h-tap px-3 font-semibold underline"
          (click)="store.tryAgain()"
        >
          Save now
        </button>
        <button type="button" class="min-h-tap px-3 font-semibold underline" (click)="exportPlan()">
          Export
        </button>
      </div>
    }
    @if (store.follows()) {
      <div
        class="flex flex-wrap items-center gap-3 border-b border-rule bg-copper-pale px-6 py-1 text-sm print:hidden"
        role="status"
        data-test="follows"
      >
        <p class="flex-1 py-2">
          This plan is being edited in another tab. Changes appear here as they are made.
        </p>
        <button type="button" class="btn px-3" (click)="store.takeOver()">Edit here instead</button>
      </div>
    } @else if (tabs.others().size) {
      <p
        class="border-b border-rule bg-copper-pale px-6 py-2 text-sm print:hidden"
        data-test="other-tab"
      >
        This plan is also open in another tab. Your changes appear there too.
      </p>
    }
    @switch (store.phase()) {
      @case ('missing') {
        <main class="p-10">
          @defer (on immediate) {
            <fl-no-plan [deleted]="false" />
          }
        </main>
      }
      @case ('refused') {
        <main class="p-6">
          @defer (on immediate) {
            <fl-refused-plan [refused]="store.refused()!" />
          }
        </main>
      }
      @case ('deleted') {
        <main class="p-10">
          @defer (on immediate) {
            <fl-no-plan [deleted]="true" />
          }
        </main>
      }
      @case ('ready') {
        @if (boundary.broken(); as broken) {
          <main class="p-10" data-test="broken">
            <h1 class="text-2xl font-bold">This station cannot be shown</h1>
            @if (broken.isMissing) {
              <p class="mt-2 max-w-prose">
                Part of the program did not load: there is a newer version, or no network. Reload
                the page. Saved work is safe.
              </p>
              <button type="button" class="btn-main mt-4" (click)="reload()">Reload</button>
            } @else {
              <p class="mt-2 max-w-prose">
                This plan ran into a program fault ({{ broken.message }}). The plan is safe. The
                other stations, Undo and Export still work.
              </p>
              <div class="mt-4 flex gap-2">
                <button type="button" class="btn-main" (click)="boundary.tryAgain()">
                  Try again
                </button>
                <button type="button" class="btn" (click)="exportPlan()">Export the plan</button>
              </div>
            }
          </main>
        } @else {
          <main class="flex min-h-0 flex-1 flex-col" [attr.inert]="store.editable() ? null : ''">
            <router-outlet />
          </main>
        }
      }
      @case ('checking') {
        <main class="flex min-h-0 flex-1 flex-col" inert aria-busy="true"><router-outlet /></main>
      }
      @default {
        <main class="p-10 text-ink-soft">Opening the plan…</main>
      }
    }
    @defer (when store.held()) {
      @if (store.held()) {
        <fl-pending-edit />
      }
    }
    @defer (when store.interactive()) {
      <fl-snag-drawer #drawer class="print:hidden" />
      <fl-find-anything #find class="print:hidden" (settings)="keys.open()" />
      <fl-key-list #keys class="print:hidden" />
    }
  `,
})
export class Shell {
  protected readonly store = inject(PlanStore);
  protected readonly tabs = inject(Tabs);
  protected readonly boundary = inject(StationBoundary);
  protected readonly room = inject(PanelLayout);
  private readonly router = inject(Router);
  private readonly files = inject(PlanFiles);
  private readonly title = inject(Title);
  // They come after the first look at the plan.
  private readonly drawerRef = viewChild<SnagDrawer>('drawer');
  private readonly findRef = viewChild<FindAnything>('find');
  private readonly keysRef = viewChild<KeyList>('keys');
  /** What is to be opened: at once, or as soon as its part of the program is here. */
  protected readonly wanted = signal<'find' | 'snags' | 'keys' | null>(null);
  readonly planId = input.required<string>();
  protected readonly name = computed(() =>
    this.store.isOpen() ? this.store.plan().name : (this.store.refused()?.raw.name ?? ''),
  );
  protected readonly savedWord = computed(
    () => ({ saved: 'saved', saving: 'saving…', failed: 'not saved' })[this.store.saved()],
  );
  protected readonly unitWord = computed(() => (this.store.units() === 'metric' ? 'mm' : 'in'));
  protected readonly snagWord = computed(() => {
    if (this.store.phase() === 'refused' || this.store.phase() === 'missing') return 'No snags';
    if (!this.store.isJudged()) return 'Snags…';
    const count = this.store.snags().length;
    return count === 1 ? '1 snag' : `${count || 'No'} snags`;
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.store.close());
    effect(() => {
      const id = this.planId();
      untracked(() => void this.store.open(id));
    });
    effect(() =>
      this.title.setTitle(
        `${[this.station(), this.name() || 'Plan', 'Firm Line'].filter(Boolean).join(' · ')}`,
      ),
    );
    effect(() => {
      this.path();
      // Another page begins at its head; Back comes to where it was left.
      const back = untracked(this.router.lastSuccessfulNavigation)?.trigger === 'popstate';
      if (!back) document.scrollingElement?.scrollTo?.({ top: 0 });
    });
    let last = '';
    effect(() => {
      const now = this.station();
      // Whoever goes on by keys or by ear begins at the head of what was opened.
      if (last && now && now !== last) {
        this.room.setFull(false);
        const from = document.activeElement;
        requestAnimationFrame(() => focusHead(from));
      }
      if (now) last = now;
    });
    effect(() => {
      const wanted = this.wanted();
      const ref =
        wanted && { find: this.findRef(), snags: this.drawerRef(), keys: this.keysRef() }[wanted];
      if (!ref) return;
      untracked(() => {
        this.wanted.set(null);
        ref.open();
      });
    });
    // Keys come once there is something that they do.
    const injector = inject(Injector);
    const acts: Acts = {
      find: () => this.wanted.set('find'),
      snags: () => this.wanted.set('snags'),
      keys: () => this.wanted.set('keys'),
      units: () => this.switchUnits(),
    };
    const load = earlyKeys(acts, inject(DestroyRef), () =>
      import('./keys').then(({ Keys }) => injector.get(Keys)),
    );
    effect(() => {
      if (!this.store.interactive()) return;
      load();
      // What leaving asks is here by then, though the network may not be.
      void import('./leave-plan').catch(() => undefined);
    });
  }
  private readonly address = computed(() => {
    this.router.lastSuccessfulNavigation();
    return this.router.url;
  });
  private readonly path = computed(() => this.address().split(/[?#]/)[0]);
  private readonly entry = computed(() => stationAt(this.address().split(/[/?#]/)[3] ?? ''));
  protected readonly floor = computed(() => this.entry()?.floor ?? false);
  private station(): string {
    return this.entry()?.name ?? '';
  }

  protected exportPlan(): void {
    if (this.store.isOpen()) this.files.export(this.store.plan());
  }
  protected switchUnits(): void {
    this.store.apply({
      edit: 'setUnits',
      with: { units: this.store.units() === 'metric' ? 'inch' : 'metric' },
    });
  }
  protected reload(): void {
    location.reload();
  }
}
