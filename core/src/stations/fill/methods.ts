import type { FillMethod, FillTool, Filling, Plan } from '../../plan/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import { AirSim, GLYCOL_FLUID, type AirNetwork } from '../../physics/air/index.ts';

/** A way to bleed: what it needs, when it is right, and how one go of it is done. */
export interface Method {
  readonly id: FillMethod;
  readonly name: string;
  readonly people: number;
  readonly tools: readonly FillTool[];
  readonly right: string;
  readonly beware: string;
  /** The bleeder is shut before each return stroke. */
  readonly shuts?: boolean;
  /** Fluid goes by itself: what came is read off the jar. */
  readonly flows?: boolean;
  /** Bleeders may stand open beside one another. */
  readonly severalOpen?: boolean;
  readonly cap: string;
}
/** Common practice; the maker's sheet comes first. */
export const METHODS: readonly Method[] = [
  {
    id: 'two-people',
    name: 'Two people, pedal',
    people: 2,
    tools: ['hose and jar'],
    shuts: true,
    right: 'The usual method: no special tools, and the helper feels the pedal.',
    beware: 'Close the bleeder before the pedal comes up, every time.',
    cap: 'Cap on loosely between top-ups',
  },
  {
    id: 'one-way',
    name: 'Alone, one-way bleeder',
    people: 1,
    tools: ['hose and jar', 'one-way bleeder'],
    right: 'Works alone: the valve lets nothing back, so the bleeder stays open while you pump.',
    beware: 'A sticking valve draws air. Watch the hose on the return stroke.',
    cap: 'Cap on loosely between top-ups',
  },
  {
    id: 'vacuum',
    name: 'Vacuum at the bleeder',
    people: 1,
    tools: ['vacuum pump', 'hose and jar'],
    flows: true,
    right:
      'Works alone, and fills dry lines in about half the time. Finish with a few pedal strokes.',
    beware: 'Draws false bubbles past the bleeder thread. Silicone fluid foams.',
    cap: 'Cap off, so air can enter',
  },
  {
    id: 'pressure',
    name: 'Pressure pot',
    people: 1,
    tools: ['pressure pot', 'cap adapter', 'hose and jar'],
    flows: true,
    right: 'Works alone, with steady flow: 0.10 to 0.14 MPa (15 to 20 psi).',
    beware:
      'A pressurized pot sprays fluid in your face: vent it before you loosen the adapter or cap, and before any top-up. Never over 0.14 MPa.',
    cap: 'Cap off, adapter sealed on',
  },
  {
    id: 'gravity',
    name: 'Gravity',
    people: 1,
    tools: ['hose and jar'],
    flows: true,
    severalOpen: true,
    right: 'Slow and gentle, when the reservoir is well above the bleeders.',
    beware: 'Slow flow leaves air at the top of humps. Check the reservoir often.',
    cap: 'Cap loose, so air can enter',
  },
  {
    id: 'back-fill',
    name: 'Back-filling by syringe',
    people: 1,
    tools: ['syringe', 'hose and jar'],
    flows: true,
    right: 'For a dry caliper with no flow, and a clutch slave: air rises with the fluid.',
    beware: 'Lower the reservoir level first: the fluid pushed in rises there.',
    cap: 'Cap off, reservoir level lowered',
  },
  {
    id: 'actuator',
    name: 'Trailer actuator, its pin',
    people: 1,
    tools: ['hose and jar'],
    flows: true,
    right: 'For a trailer: the actuator pumps while the breakaway pin is out.',
    beware:
      'Push the pin back in between wheels, or the actuator overheats and the battery goes flat. Cap as on the actuator’s sheet.',
    cap: 'Cap as on the actuator’s sheet',
  },
];
export const methodById = (id: FillMethod): Method => METHODS.find((method) => method.id === id)!;

export interface MethodView {
  readonly method: Method;
  /** What is lacking for it, or why it will not do here; empty where it fits. */
  readonly lacks: string;
  readonly fits: boolean;
}
/** Pot and pump are common in this order where nobody says otherwise. */
const LIKED: readonly FillMethod[] = [
  'actuator',
  'two-people',
  'pressure',
  'one-way',
  'vacuum',
  'gravity',
  'back-fill',
];

/** Every method with whether it will do: by people, tools, the vehicle and its fluid. */
export function methodsFor(
  { people, tools }: Pick<Filling, 'people' | 'tools'>,
  { parts, filling }: Pick<Plan, 'parts' | 'filling'>,
  network: AirNetwork | null,
): MethodView[] {
  const actuated = parts.some(({ kind }) => kind === 'actuator');
  const silicone = filling.fluids.some(({ fluidId }) => fluidById(fluidId)?.family === 'silicone');
  // Each by the reservoir that its own way leads to.
  const heads = network && new AirSim(network, GLYCOL_FLUID, false);
  const above = network?.bleeders.filter(({ id }) => heads!.headOf(id) <= 0) ?? [];
  return METHODS.map((method) => {
    const missing = method.tools.filter((tool) => !tools.includes(tool));
    const wrong =
      method.id === 'actuator' && !actuated
        ? 'no actuator'
        : actuated && (method.id === 'two-people' || method.id === 'one-way')
          ? 'a trailer has no pedal'
          : method.id === 'gravity' && above.length
            ? `the reservoir is below ${above.length === 1 ? 'a bleeder' : `${above.length} bleeders`}`
            : method.id === 'vacuum' && silicone
              ? 'silicone foams under vacuum'
              : '';
    const lacks =
      wrong ||
      (method.people > people
        ? `needs ${method.people} people`
        : missing.length
          ? `needs ${missing.join(', ')}`
          : '');
    return { method, lacks, fits: !lacks };
  });
}
/** The method that was chosen, else the first that fits; two people where none does. */
export function methodOf(
  filling: Pick<Filling, 'method' | 'people' | 'tools'>,
  plan: Pick<Plan, 'parts' | 'filling'>,
  network: AirNetwork | null,
): Method {
  if (filling.method) return methodById(filling.method);
  const fits = methodsFor(filling, plan, network)
    .filter((view) => view.fits)
    .map(({ method }) => method.id);
  return methodById(
    LIKED.find((id) => fits.includes(id)) ??
      LIKED[plan.parts.some(({ kind }) => kind === 'actuator') ? 0 : 1]!,
  );
}
