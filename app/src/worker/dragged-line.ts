import { inject, Injectable } from '@angular/core';
import { keepSpace, type Around, type LineSpace, type LineView } from '@firm-line/core/plan';
import { PlanStore } from '../session/plan-store';
import { Calls } from './calls';
import type { SpaceJobs } from './jobs/space';
import { createSpaceWorker } from './workers';

interface Measured {
  readonly view: LineView;
  readonly tell: (view: LineView) => void;
}
const nobody = (): void => undefined;

/**
 * Measures a line while a corner of it is dragged: clearances, clips and spans come from a worker, so
 * that the picture keeps up. One line is under way at a time, and of those that wait only the newest counts.
 */
@Injectable({ providedIn: 'root' })
export class DraggedLine {
  private readonly store = inject(PlanStore);
  private readonly calls = new Calls<SpaceJobs>(createSpaceWorker, 'The measurement');
  /** The worker could not be had: the page measures each line itself when it is shown. */
  private broken = false;
  private around: Around | null = null;
  private asked: Measured | null = null;
  private next: Measured | null = null;
  private tell: Measured['tell'] = nobody;

  /** Gets the worker ready for the plan as it stands: it may have to read meshes. */
  prepare(): void {
    const { things, clipSettings: holding } = this.store.plan();
    if (this.around?.things === things && this.around.clipSettings === holding) return;
    this.around = { things, clipSettings: holding };
    void this.calls.call('surround', this.around).catch(() => (this.broken = true));
  }
  /** Begins a drag: `tell` is given every line that has been measured. */
  begin(tell: (view: LineView) => void): void {
    this.prepare();
    this.tell = tell;
  }
  measure(view: LineView): void {
    this.ask({ view, tell: this.tell });
  }
  /** Ends a drag: what is under way is told to nobody. */
  end(): void {
    this.tell = nobody;
    this.next = null;
    if (this.asked) this.asked = { ...this.asked, tell: nobody };
  }

  private ask(line: Measured): void {
    if (this.broken) return line.tell(line.view);
    if (this.asked) {
      this.next = line;
      return;
    }
    this.asked = line;
    void this.calls.call('measure', line.view).then(
      (space) => this.answered(space),
      () => {
        this.broken = true;
        this.answered(null);
      },
    );
  }
  private answered(space: LineSpace | null): void {
    const { asked, next } = this;
    [this.asked, this.next] = [null, null];
    if (asked && space) keepSpace(this.around!, asked.view, space);
    asked?.tell(asked.view);
    if (next) this.ask(next);
  }
}
