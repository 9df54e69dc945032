import type { EditCall } from '@firm-line/core/plan';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  signal,
} from '@angular/core';
import { floorView, gateProgress, type TaskView } from '@firm-line/core/stations/fit/tasks';
import { beforeItCloses } from '@firm-line/core/stations/fit/gates';
import { type Floor, type SessionMeans } from '@firm-line/core/plan';
import { viewPlan } from '@firm-line/core/plan/results';
import { EmptyState } from '../../kit/empty-state';
import { ListRow } from '../../kit/list-row';
import { Hints } from '../../pieces/hints';
import { PlanStore } from '../../session/plan-store';
import { BenchWork } from '../../worker/bench-work';
import type { PlannedSession } from '../../worker/jobs/making';
import { HeldForNow } from './held-for-now';
import { SessionForm } from './session-form';
import { TaskDetail } from './task-detail';
import { today } from '../../kit/today';

/** So many tasks of a list are shown until all are asked for. */
const MOST_LISTED = 12;
const DAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short' });
const DAY_MS = 86_400_000;
const daysBefore = (day: string, days: number): string =>
  new Date(Date.parse(`${day}T12:00:00Z`) - days * DAY_MS).toISOString().slice(0, 10);
const dayOf = (day: string): string => DAY.format(new Date(`${day}T12:00:00`));

/** What can be done now, one task at a time; what waits and why; what closes when; what is held for now. */
@Component({
  selector: 'fl-tasks-page',
  imports: [EmptyState, HeldForNow, Hints, ListRow, SessionForm, TaskDetail],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  template: `
    @if (views().length) {
      <div
        class="grid flex-1 content-start md:grid-cols-[18rem_minmax(0,1fr)] xl:grid-cols-[21rem_minmax(0,1fr)_18rem] print:block"
      >
        <aside class="border-r border-rule bg-sheet py-3" aria-label="Tasks">
          <div class="flex items-center gap-3 px-4">
            <h2 class="mr-auto text-lg font-bold">{{ heading() }}</h2>
            <button
              type="button"
              class="btn"
              [attr.aria-expanded]="changing()"
              (click)="changing.set(!changing())"
            >
              Change
            </button>
          </div>
          @if (changing()) {
            <fl-session-form
              class="px-4 py-2"
              [means]="floor().session"
              [tools]="tools()"
              (changed)="changeSession($event)"
              (begun)="begin()"
            />
          }
          <p class="px-4 py-1 text-sm text-ink-soft" role="status" data-test="session">
            {{ sessionWords() }}
          </p>
          <ol aria-label="Now">
            @for (view of now().slice(0, shown()); track view.task.id) {
              <li class="border-t border-rule px-2">
                <button
                  [flListRow]="view.task.id === chosen()?.task?.id"
                  [attr.data-task]="view.task.id"
                  (click)="id.set(view.task.id)"
                >
                  <span class="min-w-0 flex-1"
                    ><span class="block font-semibold">{{ view.task.name }}</span
                    ><span class="block text-sm text-ink-soft">{{ aside(view) }}</span></span
                  >
                  <span class="shrink-0 font-mono text-sm">{{ view.minutes }} min</span>
                </button>
              </li>
            } @empty {
              <li class="border-t border-rule px-4 py-3 text-sm">
                {{
                  left()
                    ? 'Nothing can be done now. See below what each task waits for.'
                    : 'All tasks are done.'
                }}
              </li>
            }
          </ol>
          @if (now().length > shown()) {
            <button type="button" class="btn mx-4 my-2" (click)="all.set(true)">
              Show all {{ now().length }}
            </button>
          }
          @for (group of groups(); track group.name) {
            <details class="border-t border-rule" [open]="group.open">
              <summary class="flex min-h-tap items-center px-4 font-semibold">
                {{ group.name }} ({{ group.views.length }})
              </summary>
              <ol>
                @for (view of group.views.slice(0, shown()); track view.task.id) {
                  <li class="border-t border-rule px-2">
                    <button
                      [flListRow]="view.task.id === chosen()?.task?.id"
                      [attr.data-task]="view.task.id"
                      (click)="id.set(view.task.id)"
                    >
                      <span class="min-w-0 flex-1"
                        ><span class="block">{{ view.task.name }}</span
                        ><span class="block text-sm text-ink-soft">{{ view.why }}</span></span
                      >
                    </button>
                  </li>
                }
              </ol>
              @if (group.views.length > shown()) {
                <button type="button" class="btn mx-4 my-2" (click)="all.set(true)">
                  Show all {{ group.views.length }}
                </button>
              }
            </details>
          }
          <form
            class="flex flex-wrap items-end gap-2 border-t border-rule px-4 pt-3"
            (submit)="add($event, 'task')"
          >
            <div class="min-w-40 flex-1">
              <label class="label block" for="own-task"
                >Add a task, bolts, or a part to remove</label
              ><input
                #own
                id="own-task"
                class="field w-full"
                maxlength="200"
                placeholder="Hub nut, front left"
                [value]="ownName()"
                (input)="ownName.set(own.value)"
              />
            </div>
            <button type="submit" class="btn" [disabled]="!ownName().trim()">Add</button>
            <button
              type="button"
              class="btn"
              [disabled]="!ownName().trim()"
              (click)="add($event, 'bolts')"
            >
              Add with torque
            </button>
            <button
              type="button"
              class="btn"
              [disabled]="!ownName().trim()"
              (click)="add($event, 'off')"
            >
              Add part to remove
            </button>
          </form>
        </aside>
        <section
          class="min-w-0 self-start p-5 xl:sticky xl:top-0 xl:max-h-dvh xl:overflow-auto"
          aria-label="The task"
        >
          <fl-hints station="fit" />
          @if (chosen(); as view) {
            <fl-task-detail
              [view]="view"
              [floor]="floor()"
              [views]="views()"
              (told)="tell($event)"
              (stays)="stays($event)"
            />
          } @else {
            <p class="text-lg">All tasks are done.</p>
          }
        </section>
        <aside
          class="border-l border-rule bg-sheet p-4 max-xl:col-span-full max-xl:border-t"
          aria-label="Gates and temporary fixes"
        >
          <h2 class="text-lg font-bold">Before it closes</h2>
          @for (gate of gates(); track gate.id) {
            <div class="border-b border-rule py-3">
              <p class="flex justify-between gap-2">
                <span class="font-semibold">{{ gate.name }}</span><span class="font-mono text-sm">{{
                  gate.on
                }}</span>
              </p>
              <div
                class="mt-1 h-2 rounded-full bg-rule"
                role="img"
                [attr.aria-label]="gate.done + ' of ' + gate.all + ' done'"
              >
                <div
                  class="h-2 rounded-full bg-copper"
                  [style.width.%]="gate.all ? (100 * gate.done) / gate.all : 100"
                ></div>
              </div>
              <p class="mt-1 text-sm text-ink-soft">{{ gate.words }}</p>
              @if (gate.last) {
                <p class="text-sm font-semibold" data-test="last">{{ gate.last }}</p>
              }
            </div>
          } @empty {
            <p class="py-2 text-sm text-ink-soft">
              No gate yet. Add what closes access in Measure, on the Closes page.
            </p>
          }
          <fl-held-for-now
            class="mt-4"
            [floor]="floor()"
            [taskName]="taskName"
            (changed)="tell($event)"
          />
          @if (floor().found.length) {
            <h2 class="mt-4 text-lg font-bold">Deviations from the plan</h2>
            <ul class="text-sm">
              @for (one of floor().found; track one.id) {
                <li class="border-t border-rule py-1">{{ one.what }}</li>
              }
            </ul>
          }
          <p class="mt-4 text-sm text-ink-soft">
            A vehicle that falls off a jack kills. Work on stands only. The maker’s sheet and a
            qualified person come first.
          </p>
        </aside>
      </div>
    } @else {
      <fl-empty-state
        heading="Nothing to fit yet"
        text="This page lists the work in order. It needs lines and parts: start in Plumb, then Route."
      />
    }
  `,
})
export class TasksPage {
  private readonly store = inject(PlanStore);
  private readonly work = inject(BenchWork);
  /** Lists are short until they are asked for whole. */
  protected readonly all = signal(false);
  protected readonly shown = computed(() => (this.all() ? Infinity : MOST_LISTED));
  protected readonly changing = signal(false);
  protected readonly ownName = signal('');
  protected readonly floor = computed((): Floor => this.store.plan().floor);
  private readonly plan = computed(() => viewPlan(this.store.plan()));
  protected readonly views = computed(() => floorView(this.plan()));
  /** Whether anything is still to be done. */
  protected readonly left = computed(() => this.views().some(({ state }) => state !== 'done'));
  private readonly byId = computed(() => new Map(this.views().map((view) => [view.task.id, view])));
  protected readonly tools = computed(() =>
    [...new Set(this.views().flatMap(({ task }) => task.tools))].sort(),
  );

  private readonly planned = signal<PlannedSession | null>(null);
  /** What is planned for the session and can be begun, then what else can be. */
  protected readonly now = computed(() => {
    const open = this.views().filter(({ state }) => state === 'now');
    const first = [...(this.planned()?.tasks ?? []), ...(this.planned()?.besides ?? [])];
    const rank = (view: TaskView): number => {
      if (view.task.kind === 'safety') return -1;
      const at = first.indexOf(view.task.id);
      return at < 0 ? first.length : at;
    };
    return [...open].sort((a, b) => rank(a) - rank(b));
  });
  protected readonly groups = computed(() => {
    const of = (state: TaskView['state']): TaskView[] =>
      this.views().filter((view) => view.state === state);
    const at = new Map(this.floor().done.map(({ task }, i) => [task, i]));
    const latest = (views: TaskView[]): TaskView[] =>
      views.toSorted((a, b) => at.get(b.task.id)! - at.get(a.task.id)!);
    return [
      { name: 'Put off', views: of('later'), open: true },
      { name: 'Waiting', views: of('waits'), open: true },
      { name: 'Done', views: latest(of('done')), open: false },
    ].filter(({ views }) => views.length);
  });
  /** The task that was tapped; none: the first that can be done. */
  protected readonly id = signal<string | null>(null);
  protected readonly chosen = computed(
    (): TaskView | null => this.byId().get(this.id() ?? '') ?? this.now()[0] ?? null,
  );

  protected readonly heading = computed(() => {
    const { minutes, people } = this.floor().session;
    const hours =
      minutes % 60 === 0
        ? `${minutes / 60} ${minutes === 60 ? 'hour' : 'hours'}`
        : `${minutes} minutes`;
    return `Now, ${people === 1 ? 'alone' : `${people} of you`}, ${hours}`;
  });
  protected readonly sessionWords = computed(() => {
    const planned = this.planned();
    const { lacks } = this.floor().session;
    const without = lacks.length ? `, without ${lacks.join(', ')}` : '';
    if (!planned) return 'Planning the session…';
    const done = this.views().filter(({ state }) => state === 'done').length;
    const { length } = planned.tasks;
    return `Next ${length} ${length === 1 ? 'task takes' : 'tasks take'} ${planned.minutes} minutes and ${length === 1 ? 'unblocks' : 'unblock'} ${planned.freed} more${without}. ${done} of ${this.views().length} done.`;
  });
  protected readonly gates = computed(() =>
    gateProgress(this.views(), this.store.plan().gates, this.floor().session).map(
      ({ gate, all, left, minutes, sessions }) => {
        const measure = beforeItCloses(this.plan(), gate).filter(
          ({ kind }) => kind === 'measure',
        ).length;
        const words = gate.closed
          ? 'closed'
          : left.length
            ? `${left.length} left: ${left
                .slice(0, 3)
                .map(({ task }) => task.name)
                .join('; ')}${left.length > 3 ? '; …' : ''}`
            : 'nothing left to do';
        const hours = minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;
        const last =
          gate.on && !gate.closed && sessions
            ? `${hours} of work before it closes, ${sessions === 1 ? 'one session' : `${sessions} sessions`} like this one, one a day: start by ${dayOf(daysBefore(gate.on, sessions))}`
            : '';
        return {
          id: gate.id,
          name: gate.name,
          on: gate.on ? dayOf(gate.on) : 'no date',
          all,
          done: all - left.length,
          words: measure ? `${words}; ${measure} to measure` : words,
          last,
        };
      },
    ),
  );
  protected readonly taskName = (id: string): string => this.byId().get(id)?.task.name ?? '';

  constructor() {
    effect((clear) => {
      const views = this.views();
      const means = this.floor().session;
      const ended = new AbortController();
      const rest = setTimeout(
        () =>
          void this.work.session(views, means, ended.signal).then(
            (found) => this.planned.set(found),
            () => undefined,
          ),
        80,
      );
      clear(() => {
        clearTimeout(rest);
        ended.abort();
      });
    });
  }
  protected aside({ task }: TaskView): string {
    return [
      ...task.tools,
      ...(task.people > 1 ? [`${task.people} people`] : []),
      ...(task.gate?.on ? [`before ${dayOf(task.gate.on)}`] : []),
    ].join(' · ');
  }
  protected changeSession(patch: Partial<SessionMeans>): void {
    this.tell({ edit: 'changeSession', with: { patch } });
  }
  protected tell(call: EditCall): void {
    const was = this.chosen();
    this.store.apply(call);
    // What is done gives way to the next.
    if (was && was.state !== 'done' && this.byId().get(was.task.id)?.state === 'done')
      this.id.set(null);
  }
  /** A new day on the floor: stands and chocks are looked at before anything else. */
  protected begin(): void {
    this.changing.set(false);
    this.changeSession({ on: today() });
  }
  /** What comes off the vehicle; taken off the list, nothing is told of it any more. */
  protected comesOff(to: readonly string[]): void {
    this.store.apply({ edit: 'setComesOff', with: { to } });
  }
  protected stays(task: string): void {
    this.comesOff((this.store.plan().comesOff ?? []).filter((name) => `strip:${name}` !== task));
  }
  protected add(event: Event, what: 'task' | 'bolts' | 'off'): void {
    event.preventDefault();
    const name = this.ownName().trim();
    if (!name) return;
    if (what === 'off') this.comesOff([...new Set([...(this.store.plan().comesOff ?? []), name])]);
    else
      this.tell(
        what === 'task'
          ? { edit: 'beginOwnTask', with: { name, gateId: null } }
          : { edit: 'addFastener', with: { name } },
      );
    this.ownName.set('');
  }
}
