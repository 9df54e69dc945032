import { Location } from '@angular/common';
import { computed, inject, Injectable, signal } from '@angular/core';
import { NavigationEnd, Router } from '@angular/router';
import type { Thing } from '@firm-line/core/shape/obstacles';
import { type Hose, type LineView, type Ref, type Target } from '@firm-line/core/plan';
import { filter } from 'rxjs';
import { PlanStore } from './plan-store';
import { readRef, refText } from './ref-text';

/** What the user is looking at, shared by all stations; it stands in the address, so that Back works and a place can be linked to. */
@Injectable({ providedIn: 'root' })
export class Selection {
  private readonly store = inject(PlanStore);
  private readonly router = inject(Router);
  private readonly location = inject(Location);
  private readonly refNow = signal<Ref | null>(null);
  /** What was last chosen of each kind of record: going to another station and back finds it again. */
  private readonly last = signal<Readonly<Partial<Record<Ref['kind'], Ref>>>>({});
  private readonly amongNow = signal<'lines' | 'hoses'>('lines');
  private readonly pointedNow = signal<number | null>(null);

  /** The record chosen last, of whatever kind. */
  readonly ref = this.refNow.asReadonly();
  /** The chosen line, else the first there is. */
  readonly line = computed((): LineView | null => {
    const { lines } = this.store.view();
    return lines.find((v) => v.line.id === this.last().line?.id) ?? lines[0] ?? null;
  });
  /** The chosen node of that line, as an index into its nodes. */
  readonly node = computed(() => {
    const { id, node } = this.last().line ?? {};
    return id === this.line()?.line.id ? (node ?? null) : null;
  });
  /** Which of them Route shows. */
  readonly among = this.amongNow.asReadonly();
  /** The chosen hose, else the first there is. */
  readonly hose = computed((): Hose | null => {
    const { hoses } = this.store.plan();
    return hoses.find((hose) => hose.id === this.last().hose?.id) ?? hoses[0] ?? null;
  });
  /** The chosen thing of the vehicle, else the first there is. */
  readonly thing = computed((): Thing | null => {
    const { things } = this.store.plan();
    return things.find(({ id }) => id === this.last().thing?.id) ?? things[0] ?? null;
  });
  /** The node that is pointed at, wherever: every picture of the line marks it. */
  readonly pointed = this.pointedNow.asReadonly();
  /** The chosen point or port, while it is still in the plan. */
  readonly target = computed((): Target | null => {
    const { points, ports } = this.store.view();
    const chosen = this.last().port ?? this.last().point ?? null;
    const { kind, id } = chosen ?? {};
    if (kind === 'point' && points.has(id!)) return { kind, id: id! };
    return kind === 'port' && ports.has(id!) ? { kind, id: id! } : null;
  });

  constructor() {
    this.router.events
      .pipe(filter((event) => event instanceof NavigationEnd))
      .subscribe(() => this.readAddress());
    this.readAddress();
  }

  choose(ref: Ref, replaceUrl = false): void {
    const same = this.refNow()?.kind === ref.kind && this.refNow()?.id === ref.id;
    this.look(ref);
    void this.router.navigate([], {
      queryParams: { at: refText(ref) },
      replaceUrl: replaceUrl || same,
    });
  }
  chooseLine(id: string, node: number | null = null): void {
    this.choose({ kind: 'line', id, ...(node === null ? {} : { node }) });
  }
  chooseNode(node: number | null): void {
    const line = this.line();
    if (line) this.chooseLine(line.line.id, node);
  }
  chooseHose(id: string | null): void {
    this.amongNow.set('hoses');
    const hose = id ?? this.hose()?.id;
    if (hose) this.choose({ kind: 'hose', id: hose });
  }
  showLines(): void {
    this.amongNow.set('lines');
    const line = this.line();
    if (line) this.chooseLine(line.line.id);
  }
  chooseTarget(target: Ref | null): void {
    if (target) this.choose(target);
    else this.last.update(({ port: _port, point: _point, ...rest }) => rest);
  }
  point(node: number | null): void {
    this.pointedNow.set(node);
  }

  /** Selects without navigating; the caller navigates. */
  look(ref: Ref): void {
    this.refNow.set(ref);
    this.last.update((last) => {
      const { port: _port, point: _point, ...rest } = last;
      return { ...(ref.kind === 'port' || ref.kind === 'point' ? rest : last), [ref.kind]: ref };
    });
    if (ref.kind === 'line') this.amongNow.set('lines');
    if (ref.kind === 'hose') this.amongNow.set('hoses');
  }
  /** The address has changed by itself: Back, Forward, a link. */
  private readAddress(): void {
    const ref = readRef(new URLSearchParams(this.location.path().split('?')[1] ?? '').get('at'));
    if (ref && refText(ref) !== (this.refNow() && refText(this.refNow()!))) this.look(ref);
  }
}
