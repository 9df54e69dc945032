import { computed, inject, Injectable, signal } from '@angular/core';
import { type AboutKind, type EditCall, type Log, type LogEntry } from '@firm-line/core/plan';
import { floorView } from '@firm-line/core/stations/fit/tasks';
import { viewPlan } from '@firm-line/core/plan/results';
import { PlanStore } from '../../session/plan-store';
import { Jump } from '../../session/jump';

type About = LogEntry['about'];
/** A place that a log entry can be about, by what it is called. */
export interface AboutChoice extends About {
  readonly name: string;
}

/** The log of the open plan, the places it can be about, and its edits. */
@Injectable({ providedIn: 'root' })
export class LogFacade {
  private readonly store = inject(PlanStore);
  private readonly jump = inject(Jump);
  readonly log = computed((): Log => this.store.plan().log);
  /** What the next entry is about. */
  readonly about = signal<About | null>(null);

  readonly choices = computed((): readonly AboutChoice[] => {
    const plan = this.store.plan();
    const named = (
      kind: AboutKind,
      of: readonly { readonly id: string; readonly name: string }[],
    ): AboutChoice[] => of.map(({ id, name }) => ({ kind, id, name }));
    return [
      { kind: 'plan', id: plan.id, name: 'The whole vehicle' },
      ...named(
        'line',
        plan.lines.map(({ id, name, title }) => ({ id, name: `${name} ${title}`.trim() })),
      ),
      ...named('hose', plan.hoses),
      ...named('part', plan.parts),
      ...plan.parts.flatMap((part) =>
        part.ports.map(({ id, name }): AboutChoice => ({
          kind: 'port',
          id,
          name: `${part.name}, ${name}`,
        })),
      ),
      ...named('thing', plan.things),
      ...named('gate', plan.gates),
      ...named('point', plan.points),
      ...named(
        'task',
        floorView(viewPlan(plan)).map(({ task }) => task),
      ),
      ...named('sheet', this.log().sheets),
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
