import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { lineSpace, movesOf, type Line, type LineView } from '@firm-line/core/plan';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { formatMove } from '@firm-line/core/lib/units/move';
import { tenths, type Vec3 } from '@firm-line/core/lib/vec';
import { LengthField } from '../../kit/fields/length-field';
import { PlanStore } from '../../session/plan-store';
import type { Picked } from './picked';

/** What is said of a clip or a straight that was tapped, and what can be done there. */
@Component({
  selector: 'fl-picked-box',
  imports: [LengthField],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'card flex flex-wrap items-end gap-x-4 gap-y-1 px-3 py-2' },
  template: `
    <div class="min-w-44 flex-1 self-center">
      <h2 class="h2">{{ said().head }}</h2>
      <p class="text-sm">{{ said().words }}</p>
    </div>
    @if (clip(); as one) {
      <fl-length-field
        class="w-32"
        label="From end A"
        [leastMm]="1"
        [mostMm]="lengthMm() - 1"
        [valueMm]="one.atMm"
        (changed)="moveClip(one.index, $event)"
      />
      <button type="button" class="btn px-3" (click)="moveClip(one.index, null)">
        Remove clip
      </button>
    } @else {
      <button type="button" class="btn px-3" (click)="corner()">Add corner</button>
      <button type="button" class="btn px-3" (click)="addClip()">Add clip</button>
    }
  `,
})
export class PickedBox {
  private readonly store = inject(PlanStore);
  readonly view = input.required<LineView>();
  readonly picked = input.required<Picked>();
  /** A corner was put in: its node. Null: nothing is picked any more. */
  readonly put = output<number | null>();
  private readonly space = computed(() => lineSpace(this.store.view().plan, this.view()));
  protected readonly lengthMm = computed(() => this.space()?.lengthMm ?? 0);
  protected readonly clip = computed(() => {
    const picked = this.picked();
    const clip = picked.kind === 'clip' && this.space()?.clips[picked.index];
    return clip ? { ...clip, index: (picked as { index: number }).index } : null;
  });
  protected readonly said = computed(() => {
    const [view, picked, clip] = [this.view(), this.picked(), this.clip()];
    if (clip) {
      const on =
        clip.to &&
        (clip.bracket
          ? `Bracket of ${this.full(clip.gapMm)} on ${clip.to.name}`
          : `On ${clip.to.name}`);
      return {
        head: `Clip at ${this.full(clip.atMm)}`,
        words: `${on ?? 'Nothing near to hold to'}.`,
      };
    }
    if (picked.kind === 'clip') return { head: 'Clip removed', words: '' };
    const { toNode } = picked;
    const name = (node: number): string =>
      node === 0 ? 'end A' : node === view.nodesMm.length - 1 ? 'end B' : `corner ${node}`;
    const straight = view.pieces.find(
      (piece) =>
        piece.kind === 'straight' && piece.startMm <= picked.atMm && piece.endMm >= picked.atMm,
    );
    const move = movesOf(view.nodesMm)[toNode - 1];
    const words = [
      move ? formatMove(move, this.store.units(), 0) : '',
      straight ? `${this.full(straight.endMm - straight.startMm)} straight` : '',
      this.nearest(picked.atMm),
    ];
    return {
      head: `From ${name(toNode - 1)} to ${name(toNode)}`,
      words: `${words.filter(Boolean).join('; ')}.`,
    };
  });
  /** What comes nearest on the span that was tapped. */
  private nearest(atMm: number): string {
    const near = this.space()?.near.filter(
      ({ stretchMm }) => stretchMm && stretchMm[0] <= atMm && stretchMm[1] >= atMm,
    );
    return near?.length
      ? `too close: ${near.map(({ thing, distanceMm }) => `${thing.name}, ${this.full(distanceMm)}`).join('; ')}`
      : '';
  }
  protected full(mm: number): string {
    return formatLengthUnit(mm, this.store.units());
  }

  protected moveClip(index: number, atMm: number | null): void {
    const rest = this.view().line.clipsMm.filter((_, i) => i !== index);
    this.patch({ clipsMm: atMm === null ? rest : [...rest, atMm].sort((a, b) => a - b) });
    this.put.emit(null);
  }
  protected addClip(): void {
    const { atMm } = this.picked() as { atMm: number };
    this.patch({ clipsMm: [...this.view().line.clipsMm, Math.round(atMm)].sort((a, b) => a - b) });
    this.put.emit(null);
  }
  protected corner(): void {
    const { toNode, at } = this.picked() as { toNode: number; at: Vec3 };
    const atMm = tenths(at);
    if (
      this.store.apply({
        edit: 'insertCorner',
        with: { id: this.view().line.id, index: toNode - 1, atMm },
      })
    )
      this.put.emit(toNode);
  }
  private patch(patch: Partial<Line>): void {
    this.store.apply({ edit: 'changeLine', with: { id: this.view().line.id, patch } });
  }
}
