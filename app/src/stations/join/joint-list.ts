import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { jointsAt, type JointView } from '@firm-line/core/joints';
import type { LineView } from '@firm-line/core/plan';
import type { Level } from '@firm-line/core/snags';
import type { MateVerdict } from '@firm-line/core/threads';
import { LevelSign } from '../../kit/level-sign';
import { PlanStore } from '../../session/plan-store';
import { ListRow } from '../../kit/list-row';

export const VERDICT_WORDS: Record<MateVerdict, string> = {
  seals: 'Seals',
  'threads-but-will-not-seal': 'Screws in, will not seal',
  binds: 'Binds',
  'will-not-start': 'Will not start',
};
/** The end of a line that is looked at. */
export interface EndRef {
  readonly lineId: string;
  readonly end: 'a' | 'b';
}

/** The worst of an end's joints, which is the end's. */
const worst = (joints: readonly JointView[]): MateVerdict | null =>
  (['will-not-start', 'binds', 'threads-but-will-not-seal', 'seals'] as const).find((verdict) => joints.some((joint) => joint.verdict === verdict)) ?? null; // prettier-ignore

/** Every end of every line with its verdict; the ends of the chosen line stand out. */
@Component({
  selector: 'fl-joint-list',
  imports: [ListRow, LevelSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <ul aria-label="Joints">
      @for (row of rows(); track row.key) {
        <li>
          <button [flListRow]="row.chosen" [attr.data-joint]="row.key" (click)="picked.emit(row.ref)">
            <span class="w-14 font-bold">{{ row.name }}</span>
            <span class="min-w-0 flex-1 leading-tight">
              <span class="block truncate text-sm">{{ row.port }}</span>
              <span class="block text-sm font-semibold" [class]="row.ink">{{ row.verdict }}</span>
            </span>
            @if (row.level; as level) {
              <fl-level-sign [level]="level" />
            }
          </button>
        </li>
      }
    </ul>
  `,
})
export class JointList {
  private readonly store = inject(PlanStore);
  readonly chosen = input.required<EndRef | null>();
  readonly picked = output<EndRef>();

  protected readonly rows = computed(() => {
    const levels = new Map<string, Level>();
    for (const snag of this.store.snags()) if (snag.station === 'join' && !levels.has(snag.where)) levels.set(snag.where, snag.level);
    return this.store.view().lines.flatMap((line) => (['a', 'b'] as const).map((end) => this.row(line, end, levels)));
  }); // prettier-ignore

  private row(line: LineView, end: 'a' | 'b', levels: ReadonlyMap<string, Level>) {
    const at = line.ports[end];
    const joints = jointsAt(line, end);
    const verdict = joints && worst(joints);
    const letter = end.toUpperCase();
    const chosen = this.chosen();
    return {
      key: `${line.line.id}-${end}`,
      ref: { lineId: line.line.id, end },
      name: `${line.line.name} ${letter}`,
      port: at ? `${at.part.name}, ${at.port.name}` : 'open end',
      verdict: verdict ? VERDICT_WORDS[verdict] : at ? 'Thread and seat not known' : 'Joins no port',
      ink: verdict === 'seals' ? 'text-ink' : verdict ? 'text-stop' : 'text-ink-soft',
      level: levels.get(`${line.line.name}, end ${letter}`) ?? null,
      chosen: chosen?.lineId === line.line.id && chosen.end === end,
    };
  }
}
