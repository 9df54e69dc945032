import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output, signal } from '@angular/core';
import { guidanceFor } from '@firm-line/core/ends';
import { figure } from '@firm-line/core/fault';
import {
  torqueOf,
  WRENCH_SHARE,
  withDone,
  withFound,
  withLater,
  withLook,
  withOpened,
  withoutDone,
  withoutLater,
  withTight,
  type TaskView,
} from '@firm-line/core/floor';
import type { Floor } from '@firm-line/core/plan';
import { formatTorque, parseTorque } from '@firm-line/core/units/torque';
import { Entry, type Read } from '../../kit/fields/entry';
import { Jump } from '../../session/jump';
import { JointSection } from '../join/joint-section';
import { stationFor } from '../registry';

/** One task in large type: how it is done, what is wanted, what the wrench said, and what came of it. */
@Component({
  selector: 'fl-task-detail',
  imports: [Entry, JointSection],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block max-w-3xl' },
  template: `
    <h2 class="text-3xl leading-tight font-bold" data-test="task">{{ view().task.name }}</h2>
    <p class="mt-2 text-lg">{{ view().task.how }}</p>
    <p class="mt-1 text-ink-soft">{{ facts() }}</p>
    @if (view().state === 'waits') {
      <p class="mt-4 rounded-lg bg-copper-pale px-4 py-3 text-lg" data-test="waits">It waits. {{ view().why }}.</p>
    }
    @if (view().state === 'later') {
      <p class="mt-4 rounded-lg bg-copper-pale px-4 py-3">{{ view().why }}. <button type="button" class="link" (click)="told.emit(backNow())">Take it up again</button></p>
    }
    @if (drawn(); as join) {
      <div class="card mt-5 p-4"><fl-joint-section class="h-36" [male]="join.male" [female]="join.female" [together]="true" /></div>
    }
    @if (torque(); as joint) {
      <div class="mt-5 grid gap-4 sm:grid-cols-2">
        <div class="card p-4">
          <p class="label">Wanted</p>
          <p class="font-mono text-4xl">{{ joint.wantedNm === null ? 'see sheet' : figure(joint.wantedNm) }}<span class="text-xl"> {{ joint.wantedNm === null ? '' : 'N·m' }}</span></p>
          <p class="text-sm text-ink-soft">{{ wantedWords() }}</p>
        </div>
        <div class="card p-4" [class.border-ok]="joint.verdict === 'good'">
          <fl-entry [id]="'wrench-said'" label="Your wrench said" placeholder="17 N·m" [shown]="said()" [read]="readTorque" (taken)="saidNm.set($event)" />
          <p class="mt-1 text-sm" role="status" data-test="torque">{{ verdictWords() }}</p>
        </div>
      </div>
    }
    <div class="mt-6 flex flex-wrap gap-3">
      @if (view().state === 'done') {
        <button type="button" class="btn min-h-14 px-5 text-lg" (click)="told.emit(undone())">It is not done</button>
        @if (view().task.joint) {
          <button type="button" class="btn min-h-14 px-5 text-lg" (click)="told.emit(opened())">It was opened</button>
        }
      } @else {
        @if (torque()) {
          <button type="button" class="btn-main min-h-14 flex-1 px-5 text-xl" [disabled]="saidNm() === null || view().state === 'waits'" (click)="told.emit(tight())">Tight, marked: next</button>
        } @else if (view().task.kind === 'look') {
          <button type="button" class="btn-main min-h-14 flex-1 px-5 text-xl" [disabled]="view().state === 'waits'" (click)="told.emit(looked(true))">Looked at, good: next</button>
          <button type="button" class="btn min-h-14 px-5 text-lg" [disabled]="view().state === 'waits'" (click)="told.emit(looked(false))">Not good</button>
        } @else {
          <button type="button" class="btn-main min-h-14 flex-1 px-5 text-xl" [disabled]="view().state === 'waits'" (click)="told.emit(done())">Done: next</button>
        }
        <button type="button" class="btn min-h-14 px-5 text-lg" (click)="asking.set(asking() === 'later' ? null : 'later')">Later</button>
      }
      <button type="button" class="btn min-h-14 px-5 text-lg" (click)="asking.set(asking() === 'found' ? null : 'found')">Not as planned…</button>
      <button type="button" class="btn min-h-14 px-5 text-lg" (click)="show()">Show it</button>
    </div>
    @if (asking(); as what) {
      <form class="card mt-4 flex flex-wrap items-end gap-3 p-4" (submit)="say($event, words.value, day.value)">
        <div class="min-w-48 flex-1"><label class="label block" for="task-words">{{ what === 'later' ? 'Why it is left' : 'What is otherwise: a hole off by 25 mm, a flat filed' }}</label><input #words id="task-words" class="field w-full" maxlength="200" /></div>
        <div [hidden]="what !== 'later'"><label class="label block" for="task-day">Until</label><input #day id="task-day" type="date" class="field" /></div>
        <button type="submit" class="btn">{{ what === 'later' ? 'Leave it' : 'Note it' }}</button>
      </form>
    }
    <div class="mt-4 max-w-xs">
      <label class="label block" for="task-by">Who does it</label><input #who id="task-by" class="field w-full" maxlength="80" [value]="by()" (input)="by.set(who.value)" />
    </div>
  `,
}) // prettier-ignore
export class TaskDetail {
  private readonly jump = inject(Jump);
  readonly view = input.required<TaskView>();
  readonly floor = input.required<Floor>();
  readonly told = output<Floor>();
  protected readonly figure = figure;
  /** Kept while tasks change: the same hands do the next. */
  protected readonly by = signal('');
  protected readonly asking = linkedSignal<string, 'later' | 'found' | null>({ source: () => this.view().task.id, computation: () => null });
  /** When this task was first looked at: how long it took is reckoned from it. */
  private readonly begun = linkedSignal({ source: () => this.view().task.id, computation: () => Date.now() });

  protected readonly facts = computed(() => {
    const { task, minutes } = this.view();
    return [`about ${minutes} minutes`, task.people > 1 ? `${task.people} people` : 'alone', ...task.tools, ...(task.gate ? [`before ${task.gate.name}${task.gate.on ? `, ${task.gate.on}` : ''}`] : [])].join(' · ');
  });
  protected readonly torque = computed(() => {
    const { task } = this.view();
    return task.kind === 'tighten' && task.joint ? torqueOf(task.id, task.joint, this.floor()) : null;
  });
  /** The joint at the nut, where both its halves are known. */
  protected readonly drawn = computed(() => (this.torque() ? (this.view().task.joint?.joints?.at(-1)?.join ?? null) : null));
  protected readonly saidNm = linkedSignal<number | null>(() => this.torque()?.saidNm ?? null);
  protected readonly said = computed(() => {
    const nm = this.saidNm();
    return nm === null ? '' : figure(nm);
  });
  protected readonly readTorque = (text: string): Read<number | null> => {
    if (!text.trim()) return { ok: true, value: null };
    const read = parseTorque(text);
    return read.ok && read.value <= 0 ? { ok: false, message: 'A torque is more than nothing.' } : read;
  };
  protected readonly wantedWords = computed(() => {
    const joint = this.torque()!;
    const near = this.view().task.joint?.joints?.at(-1);
    const usual = joint.likely ? ` Such joints mostly take ${figure(joint.likely.least)} to ${figure(joint.likely.most)} N·m.` : '';
    if (joint.wantedNm !== null) return `${formatTorque(joint.wantedNm)}. ${joint.source ? `By ${joint.source}.` : 'No source is set down: whose word is it?'}`;
    return `No figure is set down: look up the maker’s sheet and put it in Join.${near ? ` Until then: ${guidanceFor(near)}` : ''}${usual}`;
  });
  protected readonly verdictWords = computed(() => {
    const said = this.saidNm();
    const joint = this.torque()!;
    if (joint.opened) return 'It was opened since: tighten it again, on new washers.';
    if (said === null) return 'Once, then mark it.';
    if (joint.wantedNm === null) return 'There is no figure to hold it against.';
    const [least, most] = [joint.wantedNm * (1 - WRENCH_SHARE), joint.wantedNm * (1 + WRENCH_SHARE)];
    const range = `±4 % of the wrench: ${figure(least)} to ${figure(most)}.`;
    return said < least ? `Too little. ${range}` : said > most ? `Too much: loosen it, look at the flare, tighten anew. ${range}` : `Good. ${range}`;
  });

  private at(): string {
    return new Date().toISOString();
  }
  private minutes(): number | null {
    const minutes = Math.round((Date.now() - this.begun()) / 60_000);
    return minutes >= 1 && minutes <= 600 ? minutes : null;
  }
  protected done(): Floor {
    return withDone(this.floor(), this.view().task, this.at(), this.by().trim(), this.minutes());
  }
  protected tight(): Floor {
    return withTight(this.floor(), this.view().task, this.saidNm()!, this.at(), this.by().trim());
  }
  protected looked(good: boolean): Floor {
    return withLook(this.floor(), this.view().task, { good, note: '', at: this.at() });
  }
  protected undone(): Floor {
    return withoutDone(this.floor(), this.view().task.id);
  }
  protected opened(): Floor {
    return withOpened(this.floor(), this.view().task.id, this.at());
  }
  protected backNow(): Floor {
    return withoutLater(this.floor(), this.view().task.id);
  }
  protected say(event: Event, words: string, day: string): void {
    event.preventDefault();
    const { task } = this.view();
    if (this.asking() === 'later') this.told.emit(withLater(this.floor(), { task: task.id, until: day || null, why: words.trim() }));
    else if (words.trim()) this.told.emit(withFound(this.floor(), task.id, `${task.name}: ${words.trim()}`, this.at()));
    this.asking.set(null);
  }
  protected show(): void {
    const { place, kind } = this.view().task;
    if (place.kind === 'plan') return;
    this.jump.to(stationFor(kind === 'tighten' || kind === 'join' ? 'join' : place.kind === 'port' ? 'plumb' : 'route', place), place);
  }
} // prettier-ignore
