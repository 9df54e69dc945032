import { type EditCall, type Floor, type TemporaryFix, TEMPORARY } from '@firm-line/core/plan';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { type TaskView } from '@firm-line/core/stations/fit/tasks';
import { Jump } from '../../session/jump';
import { PlanStore } from '../../session/plan-store';
import { stationFor } from '../registry';
import { Initials } from './initials';
import { LogFacade } from './log-facade';
import { OwnForm } from './own-form';
import { TorqueCard } from './torque-card';
import { FieldOf } from '../../kit/fields/field';
import { Words } from '../../kit/words';

type Asking = 'later' | 'found' | 'held';
const ASKED: Record<Asking, string> = {
  later: 'Reason for putting off',
  found: 'What differs: hole off by 25 mm, flat filed',
  held: 'What is held temporarily, and where',
};

/** One task in large type: how it is done, what is wanted, what the wrench said, and what came of it. */
@Component({
  selector: 'fl-task-detail',
  imports: [Words, FieldOf, OwnForm, TorqueCard],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-3xl' },
  template: `
    <h2 class="text-3xl leading-tight font-bold" data-test="task">{{ view().task.name }}</h2>
    <p class="mt-2 text-lg"><fl-words [text]="view().task.how" /></p>
    <p class="mt-1 text-ink-soft">{{ facts() }}</p>
    @if (view().state === 'waits') {
      <p class="mt-4 rounded-lg bg-copper-pale px-4 py-3 text-lg" data-test="waits">
        Waiting. {{ view().why }}.
      </p>
    }
    @if (view().state === 'later') {
      <p class="mt-4 rounded-lg bg-copper-pale px-4 py-3">
        {{ view().why }}.
        <button type="button" class="link" (click)="told.emit(backNow())">Resume</button>
      </p>
    }
    @if (isTightened()) {
      <fl-torque-card
        class="mt-5"
        [task]="view().task"
        [floor]="floor()"
        (changed)="told.emit($event)"
      />
    }
    @if (own(); as one) {
      <fl-own-form
        class="mt-5"
        [own]="one"
        [floor]="floor()"
        [views]="views()"
        [gates]="store.plan().gates"
        (changed)="told.emit($event)"
      />
    }
    <div class="mt-6 flex flex-wrap gap-3">
      @if (view().task.isKnown) {
        <p class="flex-1 py-3 text-lg" data-test="known">Done: recorded in Fill.</p>
      } @else if (view().state === 'done') {
        <button type="button" class="btn min-h-14 px-5 text-lg" (click)="told.emit(undone())">
          Mark as not done
        </button>
        @if (isTightened()) {
          <button type="button" class="btn min-h-14 px-5 text-lg" (click)="told.emit(opened())">
            Mark as opened
          </button>
        }
      } @else {
        @if (isTightened()) {
          <button
            type="button"
            class="btn-main min-h-14 min-w-64 flex-1 px-5 text-xl"
            [disabled]="!said() || view().state === 'waits'"
            (click)="told.emit(tight())"
          >
            Tight and marked: next
          </button>
        } @else if (view().task.kind === 'look') {
          <button
            type="button"
            class="btn-main min-h-14 min-w-64 flex-1 px-5 text-xl"
            [disabled]="view().state === 'waits'"
            (click)="told.emit(looked(true))"
          >
            Checked, good: next
          </button>
          <button
            type="button"
            class="btn min-h-14 px-5 text-lg"
            [disabled]="view().state === 'waits'"
            (click)="told.emit(looked(false))"
          >
            Not good
          </button>
        } @else {
          <button
            type="button"
            class="btn-main min-h-14 min-w-64 flex-1 px-5 text-xl"
            [disabled]="view().state === 'waits'"
            (click)="told.emit(done())"
          >
            Done: next
          </button>
        }
        <button
          type="button"
          class="btn min-h-14 px-5 text-lg"
          (click)="asking.set(asking() === 'later' ? null : 'later')"
        >
          Put off…
        </button>
      }
      <button
        type="button"
        class="btn min-h-14 px-5 text-lg"
        (click)="asking.set(asking() === 'found' ? null : 'found')"
      >
        Record a deviation…
      </button>
      <button
        type="button"
        class="btn min-h-14 px-5 text-lg"
        (click)="asking.set(asking() === 'held' ? null : 'held')"
      >
        Record a temporary fix…
      </button>
      <button
        type="button"
        class="btn min-h-14 px-5 text-lg"
        [hidden]="view().task.place.kind === 'plan'"
        (click)="show()"
      >
        Show on the vehicle
      </button>
      <button
        type="button"
        class="btn min-h-14 px-5 text-lg"
        (click)="log.write({ kind: 'task', id: view().task.id })"
      >
        Photograph for the log
      </button>
      @if (comesOff()) {
        <button
          type="button"
          class="btn min-h-14 px-5 text-lg"
          (click)="stays.emit(view().task.id)"
        >
          Part stays on
        </button>
      }
      @if (isOwn()) {
        <button type="button" class="btn min-h-14 px-5 text-lg" (click)="told.emit(removed())">
          Remove task
        </button>
      }
    </div>
    @if (asking(); as what) {
      <form
        class="card mt-4 flex flex-wrap items-end gap-3 p-4"
        (submit)="say($event, words.value, day.value)"
      >
        <div class="min-w-48 flex-1">
          <label class="label block" for="task-words">{{ asked[what] }}</label><input
            #words
            id="task-words"
            class="field w-full"
            maxlength="200"
          />
        </div>
        <div [hidden]="what !== 'later'">
          <label class="label block" for="task-day">Until</label
          ><input #day id="task-day" type="date" class="field" />
        </div>
        @if (what === 'held') {
          <fl-field
            [of]="temporary.by"
            field="task-held-by"
            [value]="holder()"
            (changed)="holder.set($event)"
          />
        }
        <button type="submit" class="btn">{{ what === 'later' ? 'Put off' : 'Record' }}</button>
      </form>
    }
    <div class="mt-4 max-w-xs">
      <label class="label block" for="task-by">Person</label
      ><input
        #who
        id="task-by"
        class="field w-full"
        maxlength="80"
        [value]="by.value()"
        (input)="by.set(who.value)"
      />
    </div>
  `,
})
export class TaskDetail {
  protected readonly temporary = TEMPORARY.fields;
  private readonly jump = inject(Jump);
  protected readonly store = inject(PlanStore);
  readonly view = input.required<TaskView>();
  readonly floor = input.required<Floor>();
  readonly views = input.required<readonly TaskView[]>();
  readonly told = output<EditCall>();
  /** Emitted when a strip task is cancelled because the part stays on. */
  readonly stays = output<string>();
  protected readonly by = inject(Initials);
  protected readonly log = inject(LogFacade);
  protected readonly asking = linkedSignal<string, Asking | null>({
    source: () => this.view().task.id,
    computation: () => null,
  });
  protected readonly asked = ASKED;
  protected readonly holder = signal<TemporaryFix['by']>('zip-tie');
  /** When this task was first looked at: how long it took is reckoned from it. */
  private readonly begun = linkedSignal({
    source: () => this.view().task.id,
    computation: () => Date.now(),
  });

  protected readonly facts = computed(() => {
    const { task, minutes } = this.view();
    return [
      `about ${minutes} minutes`,
      task.people > 1 ? `${task.people} people` : 'alone',
      ...task.tools,
      ...(task.gate ? [`before ${task.gate.name}${task.gate.on ? `, ${task.gate.on}` : ''}`] : []),
    ].join(' · ');
  });
  /** It is tightened: a joint's nut, or bolts. */
  protected readonly isTightened = computed(() =>
    Boolean(this.view().task.joint ?? this.view().task.fastener),
  );
  private readonly card = viewChild(TorqueCard);
  protected readonly said = computed(() => this.card()?.said() ?? null);
  protected readonly own = computed(
    () => this.floor().own.find(({ id }) => `own:${id}` === this.view().task.id) ?? null,
  );
  protected readonly comesOff = computed(() => this.view().task.id.startsWith('strip:'));
  /** The user made it: a task, or bolts that follow from no part. */
  protected readonly isOwn = computed(
    () =>
      this.own() !== null ||
      this.floor().wanted.some(
        ({ key, name }) => name !== undefined && key === this.view().task.id,
      ),
  );

  private at(): string {
    return new Date().toISOString();
  }
  private minutes(): number | null {
    const minutes = Math.round((Date.now() - this.begun()) / 60_000);
    return minutes >= 1 && minutes <= 600 ? minutes : null;
  }
  protected done(): EditCall {
    return {
      edit: 'recordWorkDone',
      with: { ...this.work(), by: this.by.value().trim(), minutes: this.minutes() },
    };
  }
  protected tight(): EditCall {
    const { nm, washers } = this.said()!;
    return {
      edit: 'recordTorque',
      with: { ...this.work(), nm, by: this.by.value().trim(), ...(washers ? { washers } : {}) },
    };
  }
  protected removed(): EditCall {
    return { edit: 'removeOwnWork', with: { task: this.view().task.id } };
  }
  protected looked(good: boolean): EditCall {
    return { edit: 'recordInspection', with: { ...this.work(), good, note: '' } };
  }
  protected undone(): EditCall {
    return { edit: 'clearWork', with: { task: this.view().task.id } };
  }
  protected opened(): EditCall {
    return { edit: 'recordOpened', with: { task: this.view().task.id, at: this.at() } };
  }
  protected backNow(): EditCall {
    return { edit: 'removePutOff', with: { id: this.view().task.id } };
  }
  /** The task as an edit that records work names it. */
  private work(): { task: string; stamp: string; at: string } {
    const { id, stamp } = this.view().task;
    return { task: id, stamp, at: this.at() };
  }
  protected say(event: Event, words: string, day: string): void {
    event.preventDefault();
    const { task } = this.view();
    if (this.asking() === 'later')
      this.told.emit({
        edit: 'putPutOff',
        with: { putOff: { task: task.id, until: day || null, why: words.trim() } },
      });
    else if (words.trim() && this.asking() === 'held')
      this.told.emit({
        edit: 'beginTemporaryFix',
        with: {
          what: words.trim(),
          by: this.holder(),
          task: task.id,
          since: this.at().slice(0, 10),
        },
      });
    else if (words.trim())
      this.told.emit({
        edit: 'recordDeviation',
        with: { task: task.id, what: `${task.name}: ${words.trim()}`, at: this.at() },
      });
    this.asking.set(null);
  }
  protected show(): void {
    const { place, kind } = this.view().task;
    if (place.kind === 'plan') return;
    this.jump.to(
      stationFor(
        kind === 'tighten' || kind === 'join' ? 'join' : place.kind === 'port' ? 'plumb' : 'route',
        place,
      ),
      place,
    );
  }
}
