import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { HoseState, HoseView } from '@firm-line/core/stations/route';
import { formatLengthUnit } from '@firm-line/core/lib/units';
import { HARD_MPA } from '@firm-line/core/plan';
import { allowedMlPerM, hoseMlPerM } from '@firm-line/core/trade/stock';
import { angleDeg, scale, sub } from '@firm-line/core/lib/vec';
import { PlanStore } from '../../../session/plan-store';

/** What else is known of a hose in the state that is looked at: slack, the way it leaves its ends, twist, what it comes near. */
@Component({
  selector: 'fl-hose-figures',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { class: 'block' },
  template: `
    <dl class="grid grid-cols-[auto_1fr] gap-x-3 text-sm" data-test="hose-figures">
      @for (row of rows(); track row[0]) {
        <dt class="text-ink-soft">{{ row[0] }}</dt>
        <dd>{{ row[1] }}</dd>
      }
    </dl>
  `,
})
export class HoseFigures {
  private readonly store = inject(PlanStore);
  readonly view = input.required<HoseView>();
  readonly state = input.required<HoseState>();
  protected readonly rows = computed((): readonly (readonly [string, string])[] => {
    const { ends, twistDeg, freeMm, states } = this.view();
    const { chordMm, slackMm, clampB, near, verdict } = this.state();
    const full = (mm: number): string => formatLengthUnit(mm, this.store.units());
    const { clamp } = ends.a;
    const across = sub(clampB.pointMm, clamp.pointMm);
    const [a, b] = [
      angleDeg(clamp.direction, across),
      angleDeg(clampB.direction, scale(across, -1)),
    ].map(Math.round);
    const slack: readonly [string, string] =
      slackMm < 0
        ? ['Too short by', `${full(-slackMm)}: ${full(chordMm)} straight line`]
        : ['Slack', `${full(slackMm)} of ${full(freeMm)}, ${full(chordMm)} straight line`];
    if (verdict === 'out-of-reach') return [slack];
    // Between the states of the cells neither is looked at.
    const at = states.indexOf(this.state());
    const turned = twistDeg[at] ?? null;
    const twist =
      turned === null
        ? ''
        : `${Math.round(Math.abs(turned))}° end to end, tightened at ride height`;
    const nearest = near
      ? `${near.thing.name}, ${full(near.distanceMm)} (${full(near.wantedMm)} wanted)`
      : 'nothing nearby';
    return [
      slack,
      ['End angles', `A ${a}° and B ${b}° off the straight line between the ends`],
      ...(at < 0
        ? []
        : (
            [
              ['Twist', twist],
              ['Closest', nearest],
            ] as const
          ).filter(([, said]) => said)),
      ...this.swell(),
    ];
  });
  /** What it takes under a hard stop, beside the most that the rule allows. */
  private swell(): readonly (readonly [string, string])[] {
    const { hose, stock, freeMm } = this.view();
    const { pressure, volume } = this.store.quantities();
    const taken = hoseMlPerM(stock, HARD_MPA);
    if (hose.service !== 'pressure' || taken === null) return [];
    const ml = (perM: number): string => volume((perM * freeMm) / 1000, 2);
    const most = allowedMlPerM(stock, HARD_MPA);
    const said = most ? ` (typical; the rule allows ${ml(most)})` : '';
    return [['Swell', `${ml(taken)} at ${pressure(HARD_MPA)}${said}`]];
  }
}
