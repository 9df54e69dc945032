import {
  ChangeDetectionStrategy,
  Component,
  computed,
  inject,
  input,
  output,
  signal,
} from '@angular/core';
import { figure } from '@firm-line/core/lib/faults';
import type { LineView } from '@firm-line/core/plan';
import { parseMove } from '@firm-line/core/lib/units/move';
import { add, angleDeg, sub, type Vec3 } from '@firm-line/core/lib/vec';
import { PlanStore } from '../../session/plan-store';
import { Selection } from '../../session/selection';

/** The line at the foot: a move is read as it is typed, drawn before Enter, and placed by Enter. */
@Component({
  selector: 'fl-move-line',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <form class="card flex flex-wrap items-center gap-x-3 px-4 py-1" (submit)="place($event)">
      <label class="label" for="move-line"
        >From {{ start() ? 'corner ' + start() : 'end A' }}</label
      >
      <input
        #field
        id="move-line"
        class="min-h-11 min-w-44 flex-1 rounded-md border border-rule bg-transparent px-2 font-mono font-semibold"
        placeholder="aft 140, up 90"
        autocomplete="off"
        spellcheck="false"
        [value]="text()"
        [attr.aria-describedby]="'move-reading'"
        (input)="type(field.value)"
        (keydown.escape)="type('')"
      />
      <button type="submit" class="btn">Place</button>
      <p
        id="move-reading"
        class="w-full text-sm"
        [class]="read() && !read()!.ok ? 'fault' : 'text-ink-soft'"
      >
        {{ reading() }}
      </p>
    </form>
  `,
})
export class MoveLine {
  private readonly store = inject(PlanStore);
  private readonly selection = inject(Selection);
  readonly view = input.required<LineView>();
  readonly ghost = output<readonly Vec3[] | null>();
  protected readonly text = signal('');

  /** Node the move starts from: the chosen corner, else the last before B. */
  protected readonly start = computed(() => {
    const last = Math.max(this.view().nodesMm.length - 2, 0);
    return Math.min(this.selection.node() ?? last, last);
  });
  private readonly from = computed(() => this.view().nodesMm[this.start()]!);
  protected readonly read = computed(() =>
    this.text().trim() && this.from()
      ? parseMove(this.text(), this.store.units(), this.from()[1])
      : null,
  );
  private readonly corner = computed(() => {
    const read = this.read();
    return read?.ok ? add(this.from(), read.value) : null;
  });
  protected readonly reading = computed(() => {
    const read = this.read();
    if (!read)
      return 'Type moves as you say them: aft, fore, left, right, up, down, in, out. Press Enter to add a corner.';
    if (!read.ok) return read.message;
    const before = this.view().nodesMm[this.start() - 1];
    return before
      ? `Bends ${figure(angleDeg(sub(this.from(), before), read.value))}° at corner ${this.start()}. Press Enter to add the corner.`
      : 'Press Enter to add the corner.';
  });

  protected type(text: string): void {
    this.text.set(text);
    const [corner, next] = [this.corner(), this.view().nodesMm[this.start() + 1]];
    this.ghost.emit(corner && next ? [this.from(), corner, next] : null);
  }
  protected place(event: Event): void {
    event.preventDefault();
    const corner = this.corner();
    if (!corner) return;
    const index = this.start();
    if (
      this.store.apply({
        edit: 'insertCorner',
        with: { id: this.view().line.id, index, atMm: corner },
      })
    ) {
      this.selection.chooseNode(index + 1);
      this.type('');
    }
  }
}
