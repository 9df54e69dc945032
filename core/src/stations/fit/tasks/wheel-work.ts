import { derive } from '../../../lib/derive/index.ts';
import { distance, type Vec3 } from '../../../lib/vec/index.ts';
import {
  isBrake,
  type LaidPlan,
  type Part,
  type Plan,
  type PortView,
  type Ref,
  type WheelFit,
} from '../../../plan/index.ts';
import type { Thing } from '../../../shape/obstacles/index.ts';
import { boltThreadName } from '../../../trade/stock/index.ts';
import type { Fastener } from './fasteners.ts';
import { AGAIN, stampOf, taskOf, type TaskContext, type Task } from './task.ts';

/** Wheel nuts settle: they are tightened again, cold, after so many kilometers. Common practice: 50 to 100. */
const AGAIN_KM = 50;
/** A brake belongs to the wheel whose center is within this many of its radii of one of its ports. */
const WITHIN_RADII = 1.2;
/** What holds a wheel until its studs are counted. Common practice: five nuts; one axle nut on a motorcycle or light aircraft. */
const NUTS = { what: 'Wheel nuts', count: 5 };
const AXLE_NUT = { what: 'Axle nut', count: 1 };
/** Motorcycles and light aircraft have levers or pedals that brake one wheel each. */
const hasAxleNuts = ({ sizing, singles }: Pick<Plan, 'sizing' | 'singles'>): boolean =>
  sizing
    ? sizing.category === 'motorcycle' || sizing.category === 'aircraft'
    : singles.some(({ wheels }) => wheels === 1);

/** The check of a brake, or of a wheel without one, before the wheel's nuts are tightened. */
export const wheelCheckId = (id: string): string => `look:wheel:${id}`;

/** The wheel of a brake: the one that it names, else the nearest to any of its ports; null where none is near. */
function wheelOf(
  { wheelId }: Pick<Part, 'wheelId'>,
  at: readonly (Vec3 | undefined)[],
  wheels: readonly Thing[],
): Thing | null {
  const named = wheels.find(({ id }) => id === wheelId);
  if (named) return named;
  let nearest: { readonly wheel: Thing; readonly radii: number } | null = null;
  for (const wheel of wheels)
    for (const here of at) {
      if (!here || wheel.shape.kind !== 'wheel') continue;
      const radii = distance(here, wheel.shape.centreMm) / wheel.shape.radiusMm;
      if (radii <= WITHIN_RADII && (!nearest || radii < nearest.radii)) nearest = { wheel, radii };
    }
  return nearest?.wheel ?? null;
}

type Vehicle = Pick<Plan, 'parts' | 'things' | 'wheelEnds'>;
/** Every wheel with its brakes and with what was measured of it. */
const brakedWheels = (
  { parts, things, wheelEnds }: Vehicle,
  ports: ReadonlyMap<string, PortView>,
): { readonly wheel: Thing; readonly brakes: readonly Part[]; readonly fit: WheelFit | null }[] => {
  const wheels = things.filter(({ shape }) => shape.kind === 'wheel');
  const brakes = parts.filter(isBrake).map((part) => ({
    part,
    wheel: wheelOf(
      part,
      part.ports.map(({ id }) => ports.get(id)?.fixed.atMm),
      wheels,
    ),
  }));
  return wheels.map((wheel) => ({
    wheel,
    brakes: brakes.filter((one) => one.wheel === wheel).map(({ part }) => part),
    fit: wheelEnds.wheels.find(({ key }) => key === wheel.id) ?? null,
  }));
};

/** How nuts go on, with what the wheel's own record says of them. */
function nutWords(fit: WheelFit | null): string {
  const { studs = null, hand = 'right' } = fit ?? {};
  const seat = studs?.seat ? `${studs.seat} seats` : 'seats';
  const known = studs
    ? `${studs.count} × ${boltThreadName(studs)}${hand === 'left' ? ', left-hand thread: they tighten counterclockwise' : ''}. `
    : '';
  return `${known}Nut ${seat} clean and dry, unless the sheet differs. Half tight in the air, full torque on the ground, in star order.`;
}

/** The check and the nuts of one wheel, with the brakes in it that are fitted here. */
function wheelWork(
  { wheel, fit }: Pick<ReturnType<typeof brakedWheels>[number], 'wheel' | 'fit'>,
  fitted: readonly Part[],
  usual: typeof NUTS,
  ground: TaskContext,
): Task[] {
  const place: Ref = { kind: 'thing', id: wheel.id };
  const nuts: Fastener = {
    key: `wheel:${fitted[0]?.id ?? wheel.id}`,
    what: usual.what,
    count: fit?.studs?.count ?? usual.count,
    place,
    againKm: AGAIN_KM,
    ...(fit?.studs ? { thread: boltThreadName(fit.studs) } : {}),
  };
  const name = `${wheel.name}: ${usual.what.toLowerCase()}`;
  const tighten = (said: Pick<Task, 'id' | 'name' | 'how' | 'needs'>): Task =>
    taskOf(
      {
        ...said,
        place,
        kind: 'tighten',
        fastener: nuts,
        stamp: stampOf(fitted[0]?.kind ?? 'wheel', nuts.key),
      },
      ground,
    );
  const check = taskOf(
    {
      place,
      id: wheelCheckId(wheel.id),
      kind: 'look',
      name: `${wheel.name}: wheel turns freely`,
      how: 'Good: nothing rubs or catches through a full turn.',
      needs: ground.before,
      stamp: '',
    },
    ground,
  );
  return [
    ...(fitted.length ? [] : [check]),
    tighten({
      id: nuts.key,
      name,
      how: nutWords(fit),
      needs: ['fill', ...(fitted.length ? fitted : [wheel]).map(({ id }) => wheelCheckId(id))],
    }),
    tighten({
      id: `${AGAIN}${nuts.key}`,
      name: `${name} again`,
      how: `After the first ${AGAIN_KM} km and after heat, with the wheel cold: in star order, to the same torque.`,
      needs: ['drive', nuts.key],
    }),
  ];
}

/**
 * The nuts of every wheel of a vehicle whose brakes are fitted: after the fluid, and again after the first drive. On
 * a vehicle that was only changed, wheels without a new brake stay on.
 */
export const wheelsWork = derive(
  'work on wheels',
  (
    {
      plan,
      ports,
    }: { readonly plan: Vehicle & Pick<Plan, 'comesOff' | 'sizing' | 'singles'> } & Pick<
      LaidPlan,
      'ports'
    >,
    ground: TaskContext,
  ) =>
    [
      ports,
      ground,
      plan.parts,
      plan.things,
      plan.wheelEnds,
      plan.sizing,
      plan.singles,
      plan.comesOff,
    ] as const,
  (ports, ground, parts, things, wheelEnds, sizing, singles, comesOff): readonly Task[] => {
    if (!parts.some((part) => isBrake(part) && !part.kept)) return [];
    const usual = hasAxleNuts({ sizing, singles }) ? AXLE_NUT : NUTS;
    return brakedWheels({ parts, things, wheelEnds }, ports).flatMap((one) => {
      const fitted = one.brakes.filter(({ kept }) => !kept);
      const staysOn = !fitted.length && (one.brakes.length > 0 || (comesOff ?? []).length > 0);
      return staysOn ? [] : wheelWork(one, fitted, usual, ground);
    });
  },
);
