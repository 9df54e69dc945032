import type { FillMethod, FillTool, Filling, Plan } from '../../plan/index.ts';
import { fluidById } from '../../trade/stock/index.ts';
import type { AirNetwork } from '../../physics/air/index.ts';

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
    right: 'The usual way: nothing bought, and whoever pushes feels the pedal.',
    beware: 'Shut before the pedal comes up, every time.',
    cap: 'Cap on loosely between top-ups',
  },
  {
    id: 'one-way',
    name: 'Alone, one-way bleeder',
    people: 1,
    tools: ['hose and jar', 'one-way bleeder'],
    right: 'Alone: the valve lets nothing back, so that it stays open while you pump.',
    beware: 'A valve that sticks draws air: look at the hose on the return stroke.',
    cap: 'Cap on loosely between top-ups',
  },
  {
    id: 'vacuum',
    name: 'Vacuum at the bleeder',
    people: 1,
    tools: ['vacuum pump', 'hose and jar'],
    flows: true,
    right: 'Alone, and quick to fill dry lines: about half the time. Finish with a few strokes.',
    beware: 'It draws false bubbles past the bleeder’s thread; silicone froths.',
    cap: 'Cap off, so that air follows',
  },
  {
    id: 'pressure',
    name: 'Pressure pot',
    people: 1,
    tools: ['pressure pot', 'cap adapter', 'hose and jar'],
    flows: true,
    right: 'Alone, steady flow: 0.10 to 0.14 MPa (15 to 20 psi).',
    beware:
      'Vent the pot before its adapter or cap is loosened and before any top-up. Never over 0.14 MPa.',
    cap: 'Cap off, adapter sealed on',
  },
  {
    id: 'gravity',
    name: 'Gravity',
    people: 1,
    tools: ['hose and jar'],
    flows: true,
    severalOpen: true,
    right: 'Slow and gentle, where the reservoir stands well over the bleeders.',
    beware: 'Slow fluid leaves air on top of humps. Look at the reservoir often.',
    cap: 'Cap loose, so that air follows',
  },
  {
    id: 'back-fill',
    name: 'Back-filling by syringe',
    people: 1,
    tools: ['syringe', 'hose and jar'],
    flows: true,
    right: 'A dry caliper that gives nothing, and a clutch slave: air goes up with the fluid.',
    beware: 'Draw the reservoir down first: what is pushed in comes up there.',
    cap: 'Cap off, reservoir drawn down',
  },
  {
    id: 'actuator',
    name: 'Trailer actuator, its pin',
    people: 1,
    tools: ['hose and jar'],
    flows: true,
    right: 'A trailer: the actuator pumps while its breakaway pin is pulled.',
    beware:
      'Push the pin back in between corners, or it runs hot and its battery flat. Cap as its sheet says.',
    cap: 'Cap as the actuator’s sheet says',
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
  { parts, bleeding }: Pick<Plan, 'parts' | 'bleeding'>,
  network: AirNetwork | null,
): MethodView[] {
  const actuated = parts.some(({ kind }) => kind === 'actuator');
  const silicone = fluidById(bleeding.fluidId)?.family === 'silicone';
  const above = network
    ? network.bleeders.filter(({ heightMm }) =>
        network.outlets.every((outlet) => outlet.heightMm <= heightMm),
      )
    : [];
  return METHODS.map((method) => {
    const missing = method.tools.filter((tool) => !tools.includes(tool));
    const wrong =
      method.id === 'actuator' && !actuated
        ? 'there is no actuator'
        : actuated && (method.id === 'two-people' || method.id === 'one-way')
          ? 'a trailer has no pedal'
          : method.id === 'gravity' && above.length
            ? `the reservoir stands below ${above.length === 1 ? 'a bleeder' : `${above.length} bleeders`}`
            : method.id === 'vacuum' && silicone
              ? 'silicone froths under vacuum'
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
  plan: Pick<Plan, 'parts' | 'bleeding'>,
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
