import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { jointEnds, type JointEnd, type JointView } from '@firm-line/core/stations/join';
import type { Level } from '@firm-line/core/inspect';
import type { MateVerdict } from '@firm-line/core/trade/threads';
import { LevelSign } from '../../kit/level-sign';
import { PlanStore } from '../../session/plan-store';
import { ListRow } from '../../kit/list-row';

export const VERDICT_WORDS: Record<MateVerdict, string> = {
  seals: 'Seals',
  'threads-but-will-not-seal': 'Screws in, does not seal',
  binds: 'Binds',
  'will-not-start': 'Does not start',
};
/** The worst of an end's joints, which is the end's. */
const worst = (joints: readonly JointView[]): MateVerdict | null =>
  (['will-not-start', 'binds', 'threads-but-will-not-seal', 'seals'] as const).find((verdict) =>
    joints.some((joint) => joint.verdict === verdict),
  ) ?? null;

/** Every end of every line and hose with its verdict; the chosen one stands out. */
@Component({
  selector: 'fl-joint-list',
  imports: [ListRow, LevelSign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <ul aria-label="Joints">
      @for (row of rows(); track row.key) {
        <li>
          <button
            [flListRow]="row.chosen"
            [attr.data-joint]="row.key"
            (click)="picked.emit(row.at)"
          >
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
  readonly chosen = input.required<JointEnd | null>();
  readonly picked = output<JointEnd>();

  protected readonly rows = computed(() => {
    const levels = new Map<string, Level>();
    const titles = new Map(this.store.plan().hoses.map(({ id, title }) => [id, title]));
    for (const snag of this.store.snags())
      if (snag.station === 'join' && !levels.has(snag.where)) levels.set(snag.where, snag.level);
    return jointEnds(this.store.view()).map((at) =>
      this.row(at, levels.get(at.name) ?? null, titles),
    );
  });

  private row(at: JointEnd, level: Level | null, titles: ReadonlyMap<string, string>) {
    const verdict = at.joints && worst(at.joints);
    const key = `${at.id}-${at.end}`;
    const chosen = this.chosen();
    const open = !at.at && at.of === 'line';
    return {
      key,
      at,
      name: at.name.replace(', end', ''),
      port: at.at
        ? `${at.at.part.name}, ${at.at.port.name}`
        : open
          ? 'open end'
          : titles.get(at.id) || 'at a place of its own',
      verdict: verdict ? VERDICT_WORDS[verdict] : open ? 'No port' : 'Thread and seat not known',
      ink: verdict === 'seals' ? 'text-ink' : verdict ? 'text-stop' : 'text-ink-soft',
      level,
      chosen: chosen !== null && key === `${chosen.id}-${chosen.end}`,
    };
  }
}
