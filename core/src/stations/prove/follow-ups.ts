import { yearsAfter } from '../../lib/units/index.ts';
import { fluidIn, reservoirParts, type SignOff } from '../../plan/index.ts';
import type { PlanView } from '../../plan/results/index.ts';
import { floorView, isAfterSigning } from '../fit/tasks/index.ts';

/** `due`: its day or its distance has come. `bad`: looked at, and not good. */
export type FollowUpState = 'open' | 'due' | 'done' | 'bad';
/** A check that falls due after a vehicle is signed for the road. */
export interface FollowUpView {
  readonly key: string;
  readonly text: string;
  /** Driven since the signature, km; null: it is not due by distance. */
  readonly dueKm: number | null;
  /** Day, `2026-12-01`; null: it is not due by day, or nothing is signed yet. */
  readonly dueOn: string | null;
  readonly state: FollowUpState;
  /** What was found; empty before it was looked at. */
  readonly note: string;
  /** Recorded with the work in Fit and nowhere else. */
  readonly inFit: boolean;
}
/** Where and when it is asked: the core has no clock of its own. Null: nothing is due by it. */
export interface Today {
  readonly on: string | null;
  /** Driven since the signature, km. */
  readonly km: number | null;
}
export const NO_DAY: Today = { on: null, km: null };

const JOINTS_KM = 50;
const SETTLED_KM = 500;
/** Glycol fluid takes up water: two years at the latest. Common practice. */
const FLUID_YEARS = 2;
const HOSE_YEARS = 1;

interface Asked extends Pick<FollowUpView, 'key' | 'text'> {
  readonly dueKm?: number;
  readonly dueOn?: string | null;
}
/** What is asked after signing. Common practice; the makers' sheets come first. */
function asked({ plan }: PlanView, signedOn: string | null): Asked[] {
  const after = (years: number): string | null => signedOn && yearsAfter(signedOn, years);
  return [
    {
      key: 'joints',
      text: 'Every joint dry and tight, pushrod free play checked hot.',
      dueKm: JOINTS_KM,
    },
    {
      key: 'settled',
      text: 'Every joint, the reservoir level, clips and hoses.',
      dueKm: SETTLED_KM,
    },
    ...(plan.parts.some(({ kind }) => kind === 'wheel-cylinder')
      ? [{ key: 'drums', text: 'Drums adjusted again after bedding in.', dueKm: SETTLED_KM }]
      : []),
    ...reservoirParts(plan.parts).map((part) => ({
      key: `fluid:${part.id}`,
      text: `${part.name}: replace the fluid.`,
      dueOn: fluidIn(plan, part.id).nextOn ?? after(FLUID_YEARS),
    })),
    ...(plan.hoses.length
      ? [
          {
            key: 'hoses',
            text: 'Hoses checked for cracks and chafing. Replace them by the maker’s age limit.',
            dueOn: after(HOSE_YEARS),
          },
        ]
      : []),
  ];
}

/** Checks due after the latest signature for the road, with the state of each. */
export function followUps(view: PlanView, today: Today = NO_DAY): FollowUpView[] {
  const sign: SignOff | undefined = view.plan.proving.signed.findLast(
    ({ scope }) => scope === 'road',
  );
  const recorded = new Map(
    (view.plan.proving.followUps ?? [])
      .filter(({ at }) => sign !== undefined && at >= sign.at)
      .map((one) => [one.key, one]),
  );
  const isDue = ({ dueKm, dueOn = null }: Omit<Asked, 'key' | 'text'>): boolean =>
    sign !== undefined &&
    ((dueKm !== undefined && today.km !== null && today.km >= dueKm) ||
      (dueOn !== null && today.on !== null && today.on >= dueOn));
  const checks = asked(view, sign?.at.slice(0, 10) ?? null).map((one): FollowUpView => {
    const found = recorded.get(one.key);
    return {
      key: one.key,
      text: one.text,
      dueKm: one.dueKm ?? null,
      dueOn: one.dueOn ?? null,
      state: found ? (found.good ? 'done' : 'bad') : isDue(one) ? 'due' : 'open',
      note: found?.note ?? '',
      inFit: false,
    };
  });
  const nuts = floorView(view).filter(
    ({ task }) => task.kind === 'tighten' && isAfterSigning(task.id),
  );
  if (!nuts.length) return checks;
  const left = nuts.filter(({ state }) => state !== 'done').length;
  const wheels: FollowUpView = {
    key: 'wheel-nuts',
    text: 'Wheel nuts tightened again, cold.',
    dueKm: JOINTS_KM,
    dueOn: null,
    state: !left ? 'done' : isDue({ dueKm: JOINTS_KM }) ? 'due' : 'open',
    note: left && left < nuts.length ? `${left} of ${nuts.length} wheels left.` : '',
    inFit: true,
  };
  return [wheels, ...checks];
}
