import { computed, inject, Injectable, signal } from '@angular/core';
import type { Target } from '@firm-line/core/plan';
import { PlanStore } from './plan-store';

/** What the user is looking at, shared by all stations: a line with one of its nodes, and a point or port. */
@Injectable({ providedIn: 'root' })
export class Selection {
  private readonly store = inject(PlanStore);
  private readonly lineId = signal<string | null>(null);
  private readonly nodeNow = signal<number | null>(null);
  private readonly hoseId = signal<string | null>(null);
  private readonly amongNow = signal<'lines' | 'hoses'>('lines');
  private readonly targetNow = signal<Target | null>(null);

  /** The chosen line, else the first there is. */
  readonly line = computed(() => {
    const lines = this.store.view()?.lines ?? [];
    return lines.find((v) => v.line.id === this.lineId()) ?? lines[0] ?? null;
  });
  /** Which of them Route shows. */
  readonly among = this.amongNow.asReadonly();
  /** The chosen hose, else the first there is. */
  readonly hose = computed(() => {
    const hoses = this.store.plan()?.hoses ?? [];
    return hoses.find((hose) => hose.id === this.hoseId()) ?? hoses[0] ?? null;
  });
  /** The chosen node of that line, as an index into its nodes. */
  readonly node = this.nodeNow.asReadonly();
  private readonly pointedNow = signal<number | null>(null);
  /** The node that is pointed at, wherever: every picture of the line marks it. */
  readonly pointed = this.pointedNow.asReadonly();
  /** The chosen point or port, while it is still in the plan. */
  readonly target = computed(() => {
    const [view, target] = [this.store.view(), this.targetNow()];
    return view && target && (view.points.has(target.id) || view.ports.has(target.id)) ? target : null;
  });

  chooseLine(id: string, node: number | null = null): void {
    this.lineId.set(id);
    this.nodeNow.set(node);
    this.amongNow.set('lines');
  }
  chooseHose(id: string | null): void {
    this.hoseId.set(id);
    this.amongNow.set('hoses');
  }
  showLines(): void {
    this.amongNow.set('lines');
  }
  point(node: number | null): void {
    this.pointedNow.set(node);
  }
  chooseNode(node: number | null): void {
    this.nodeNow.set(node);
  }
  chooseTarget(target: Target | null): void {
    this.targetNow.set(target);
  }
}
