import {
  type ElementRef,
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  Injector,
  signal,
  viewChild,
} from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { Router } from '@angular/router';
import { fromEvent } from 'rxjs';
import { Notices } from '../kit/notices';
import { PlanDb } from '../storage/plan-db';
import type { PlanHead } from '../storage/stored-plan';
import { DEMOS } from '../storage/demos';
import type { PlanFiles } from '../storage/plan-files';
import { Tabs } from '../session/tabs';
import { Dialog } from '../kit/dialog';
import { FileField } from '../kit/fields/file-field';

/** All plans of this browser: new, in and out of files, copied, deleted and brought back. */
@Component({
  selector: 'fl-plans-page',
  imports: [FileField, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    '(dragover)': '$event.preventDefault(); over.set(true)',
    '(dragleave)': 'over.set(false)',
    '(drop)': 'drop($event)',
    class: 'block min-h-dvh',
  },
  template: `
    <header class="flex flex-wrap items-center gap-4 border-b border-rule bg-sheet px-6 py-3">
      <img src="favicon.svg" alt="" class="size-11" />
      <div class="mr-auto">
        <h1 class="text-2xl font-bold">Firm Line</h1>
        <p class="text-ink-soft">From the first tape reading to a firm pedal.</p>
      </div>
      <fl-file-field
        label="Import a plan file"
        accept=".json,.zip,application/json,application/zip"
        multiple
        (picked)="take($event)"
      />
      <a class="btn-main" href="/new" (click)="begin($event)">New plan</a>
    </header>
    <main class="mx-auto max-w-4xl px-6 py-8" [class.bg-fluid-pale]="over()">
      <section aria-labelledby="yours">
        <h2 id="yours" class="h2">Plans in this browser</h2>
        <p class="mb-3 text-sm text-ink-soft">
          Plans are stored in this browser only. Export a file to back one up or share it. To open
          one, drop its
          <span class="font-mono">*.firmline.json</span> file here.
        </p>
        @if (storage() === 'none') {
          <p class="mb-3 rounded-lg bg-stop px-4 py-2 text-sheet" role="alert">
            This browser cannot store plans here ({{ why() }}). You can open, edit and export plans,
            but they are lost when the tab closes.
          </p>
        } @else if (storage() === 'fleeting') {
          <p class="mb-3 text-sm text-ink-soft">
            The browser may clear plans when disk space is short. Export every plan you need.
          </p>
        }
        @if (reading(); as file) {
          <p class="mb-3 flex items-center gap-3" role="status">
            Reading {{ file.name }}…
            <button type="button" class="btn px-3" (click)="cancelReading()">Cancel</button>
          </p>
        }
        <ul class="flex flex-col gap-2">
          @for (row of kept(); track row.id) {
            <li class="card flex flex-wrap items-center gap-2 px-4 py-2" data-test="plan-row">
              <a
                class="mr-auto min-w-48 py-2"
                [href]="address(row.id)"
                (click)="open($event, row.id)"
              >
                <span class="block text-lg font-bold underline-offset-4 hover:underline">{{
                  row.name
                }}</span>
                <span class="text-sm text-ink-soft"
                  >{{ row.lines }} lines, changed {{ when(row.changedAt) }}</span
                >
              </a>
              <button
                type="button"
                class="btn px-3"
                (click)="rename(row)"
                [attr.aria-label]="'Rename ' + row.name"
              >
                Rename
              </button>
              <button
                type="button"
                class="btn px-3"
                (click)="export(row)"
                [attr.aria-label]="'Export ' + row.name"
              >
                Export
              </button>
              <button
                type="button"
                class="btn px-3"
                (click)="duplicate(row)"
                [attr.aria-label]="'Duplicate ' + row.name"
              >
                Duplicate
              </button>
              <button
                type="button"
                class="btn px-3"
                (click)="remove(row)"
                [attr.aria-label]="'Delete ' + row.name"
              >
                Delete
              </button>
            </li>
          } @empty {
            <li class="card px-4 py-6 text-ink-soft">
              {{
                loaded()
                  ? 'No plans yet. Open a demo plan below, set out a new plan, or import a plan file.'
                  : 'Loading plans…'
              }}
            </li>
          }
        </ul>
      </section>
      @if (demos().length) {
        <section class="mt-8" aria-labelledby="demos">
          <h2 id="demos" class="h2">Demo plans</h2>
          <ul class="mt-3 flex flex-col gap-2">
            @for (demo of demos(); track demo.id) {
              <li class="card flex items-center gap-4 px-4 py-2">
                <span class="mr-auto"
                  ><span class="block text-lg font-bold">{{ demo.name }}</span
                  ><span class="text-sm text-ink-soft"
                    >{{ demo.about }} Invented figures.</span
                  ></span
                >
                <a class="btn" [href]="address(demo.id)" (click)="open($event, demo.id)"
                  >Open {{ demo.name }}</a
                >
              </li>
            }
          </ul>
        </section>
      }
      @if (deleted().length) {
        <section class="mt-8" aria-labelledby="deleted">
          <h2 id="deleted" class="h2">Deleted</h2>
          <ul class="mt-3 flex flex-col gap-2">
            @for (row of deleted(); track row.id) {
              <li class="flex items-center gap-4 border-t border-rule px-4 py-1">
                <span class="mr-auto">{{ row.name }}</span>
                <button type="button" class="link" (click)="restore(row)">
                  Restore {{ row.name }}
                </button>
              </li>
            }
          </ul>
        </section>
      }
      <p class="mt-10 max-w-prose text-sm text-ink-soft">
        Brakes can kill. A plan helps the builder and approves nothing. Local rules and the part
        makers’ sheets come first, and a qualified person inspects the work before road use.
      </p>
    </main>
    <fl-dialog #naming label="Rename plan" [light]="true" look="w-full max-w-sm p-5">
      <form method="dialog" (submit)="named(name.value)">
        <label class="label" for="plan-name">Name of the plan</label>
        <input
          #name
          id="plan-name"
          class="field mt-1 w-full"
          maxlength="200"
          required
          autocomplete="off"
        />
        <div class="mt-4 flex justify-end gap-2">
          <button type="button" class="btn" (click)="naming.close()">Cancel</button
          ><button type="submit" class="btn-main">Rename</button>
        </div>
      </form>
    </fl-dialog>
  `,
})
export class PlansPage {
  private readonly db = inject(PlanDb);
  private readonly router = inject(Router);
  private readonly notices = inject(Notices);
  private readonly injector = inject(Injector);
  private readonly tabs = inject(Tabs);
  private readonly all = signal<readonly PlanHead[]>([]);
  protected readonly loaded = signal(false);
  protected readonly over = signal(false);
  protected readonly reading = signal<{ name: string; stop: AbortController } | null>(null);
  /** Whether this browser keeps plans, and may it clear them when space is short. */
  protected readonly storage = signal<'kept' | 'fleeting' | 'none'>('kept');
  protected readonly why = signal('');
  protected readonly kept = computed(() => this.all().filter((row) => !row.deletedAt));
  protected readonly deleted = computed(() => this.all().filter((row) => row.deletedAt));
  protected readonly demos = computed(() =>
    DEMOS.filter((demo) => !this.kept().some((row) => row.id === demo.id)),
  );
  private readonly naming = viewChild.required<Dialog>('naming');
  private readonly nameField = viewChild.required<ElementRef<HTMLInputElement>>('name');
  private renaming: PlanHead | null = null;

  constructor() {
    void this.load();
    // Another tab may have changed the list meanwhile.
    fromEvent(document, 'visibilitychange')
      .pipe(takeUntilDestroyed())
      .subscribe(() => void (document.hidden || this.load()));
  }

  /** What reads and writes plans comes when it is asked for: the list is shown without. */
  private async files(): Promise<PlanFiles> {
    const { PlanFiles } = await import('../storage/plan-files');
    return this.injector.get(PlanFiles);
  }

  protected address(id: string): string {
    return `/plan/${encodeURIComponent(id)}/route`;
  }
  protected open(event: Event, id: string): void {
    event.preventDefault();
    void this.router.navigate(['/plan', id, 'route']);
  }
  protected begin(event: Event): void {
    event.preventDefault();
    void this.router.navigate(['/new']);
  }
  protected export(row: PlanHead): Promise<void> {
    return this.act(`${row.name} was not exported`, async () => {
      const files = await this.files();
      files.export((await files.kept(row.id)).plan);
    });
  }
  protected duplicate(row: PlanHead): Promise<void> {
    return this.act(`${row.name} was not duplicated`, async () => {
      const files = await this.files();
      await files.duplicate((await files.kept(row.id)).plan);
    });
  }
  protected remove(row: PlanHead): Promise<void> {
    return this.act(`${row.name} was not deleted`, async () => {
      await this.db.setDeleted(row.id, new Date().toISOString());
      this.tabs.tell(row.id, { kind: 'deleted' });
      this.notices.say(`${row.name} was deleted.`, {
        action: { label: 'Undo', run: () => void this.restore(row) },
      });
    });
  }
  protected restore(row: PlanHead): Promise<void> {
    return this.act(`${row.name} was not restored`, async () => {
      await this.db.setDeleted(row.id, null);
      this.tabs.tell(row.id, { kind: 'restored' });
    });
  }
  protected rename(row: PlanHead): void {
    this.renaming = row;
    this.nameField().nativeElement.value = row.name;
    this.naming().show();
  }
  protected async named(text: string): Promise<void> {
    const [row, name] = [this.renaming, text.trim()];
    if (!row || !name) return;
    await this.act(
      `${row.name} was not renamed`,
      async () => {
        // The tab that writes the plan names it; one that nobody has open is named here.
        if (await this.tabs.isWritten(row.id)) {
          this.tabs.tell(row.id, { kind: 'rename', name });
          this.all.update((rows) =>
            rows.map((one) => (one.id === row.id ? { ...one, name } : one)),
          );
          return;
        }
        const { plan, revision } = await (await this.files()).kept(row.id);
        await this.db.write({ ...plan, name, changedAt: new Date().toISOString() }, revision);
        await this.load();
      },
      false,
    );
  }
  protected drop(event: DragEvent): void {
    event.preventDefault();
    this.over.set(false);
    void this.take([...(event.dataTransfer?.files ?? [])]);
  }
  protected when(time: string): string {
    return new Date(time).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
  }
  protected cancelReading(): void {
    this.reading()?.stop.abort();
  }

  protected async take(list: readonly File[]): Promise<void> {
    const files = await this.files().catch((error: Error) => error);
    if (files instanceof Error) return this.notices.say(`Nothing was imported: ${files.message}`);
    for (const file of list) {
      const stop = new AbortController();
      this.reading.set({ name: file.name, stop });
      try {
        const plan = await files.import(file, stop.signal);
        this.notices.say(`${plan.name} was imported from ${file.name}.`);
      } catch (error) {
        const details = files.faultsOf(error as Error);
        this.notices.say(`${file.name} was not imported. Nothing was changed.`, { details });
      }
      this.reading.set(null);
    }
    await this.load();
  }
  /** Does something to the kept plans and shows them again; what fails is said. */
  private async act(failed: string, work: () => Promise<void>, again = true): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.notices.say(`${failed}: ${(error as Error).message}`);
    }
    if (again) await this.load();
  }
  private async load(): Promise<void> {
    try {
      this.all.set(await this.db.all());
      this.storage.set(
        (await navigator.storage?.persisted?.()) === false && this.all().length
          ? 'fleeting'
          : 'kept',
      );
    } catch (error) {
      this.storage.set('none');
      this.why.set((error as Error).message);
    }
    this.loaded.set(true);
  }
}
