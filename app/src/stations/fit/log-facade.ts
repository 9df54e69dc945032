import { computed, inject, Injectable, linkedSignal } from '@angular/core';
import {
  ABOUT_KINDS,
  recordsIn,
  type EditCall,
  type Log,
  type LogEntry,
} from '@firm-line/core/plan';
import { floorView } from '@firm-line/core/stations/fit/tasks';
import { viewPlan } from '@firm-line/core/plan/results';
import { PlanStore } from '../../session/plan-store';
import { Jump } from '../../session/jump';

type About = LogEntry['about'];
/** A place that a log entry can be about, by what it is called. */
export interface AboutChoice extends About {
  readonly name: string;
}

/** What an entry is about, from its key. */
export function refOf(key: string): About {
  const at = key.indexOf(':');
  return { kind: key.slice(0, at) as About['kind'], id: key.slice(at + 1) };
}

/** The log of the open plan, the places it can be about, and its edits. */
@Injectable({ providedIn: 'root' })
export class LogFacade {
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  readonly log = computed((): Log => this.store.plan().log);
  /** Subject of the next entry; the whole vehicle by default. */
  readonly about = linkedSignal<string, About>({
    source: () => this.store.plan().id,
    computation: (id) => ({ kind: 'plan', id }),
  });

  readonly choices = computed((): readonly AboutChoice[] => {
    const plan = this.store.plan();
    const records = recordsIn(plan).flatMap(({ ref: { kind, id }, name }): AboutChoice[] => {
      const about = kind === 'makerSheet' ? 'sheet' : ABOUT_KINDS.find((one) => one === kind);
      return about ? [{ kind: about, id, name }] : [];
    });
    const tasks = floorView(viewPlan(plan)).map(({ task: { id, name } }): AboutChoice => ({
      kind: 'task',
      id,
      name,
    }));
    return [
      { kind: 'plan', id: plan.id, name: 'The whole vehicle' },
      ...[...records, ...tasks].sort(
        (a, b) => ABOUT_KINDS.indexOf(a.kind) - ABOUT_KINDS.indexOf(b.kind),
      ),
    ];
  });
  private readonly byKey = computed(
    () => new Map(this.choices().map((choice) => [`${choice.kind}:${choice.id}`, choice.name])),
  );
  readonly nameOf = ({ kind, id }: About): string =>
    this.byKey().get(`${kind}:${id}`) ?? 'something that is no longer in the plan';

  apply(call: EditCall): boolean {
    return this.store.apply(call);
  }
  freshId(prefix: string): string {
    return this.store.freshId(prefix);
  }
  /** Opens the log to write of something. */
  write(about: About): void {
    this.about.set(about);
    this.jump.toPage('fit', 'log');
  }
}
