import { applyEdit, newPart, type EditCall, type Plan } from '../plan/index.ts';
import { viewPlan } from '../plan/results/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { fixOf, inspect, type Snag } from './index.ts';

const gannet = demo('gannet');
const wheatear = demo('wheatear');
const after = (plan: Plan, ...calls: EditCall[]): Plan => calls.reduce(applyEdit, plan);
const found = (plan: Plan, rule: string): Snag[] => inspect(plan).filter((snag) => snag.rule === rule);
const part = (id: string, patch: object): EditCall => ({ edit: 'changePart', with: { id, patch } });
const sized = (path: string, to: unknown): EditCall => ({ edit: 'setFigure', with: { of: 'sizing', path, to } });
const hose = (patch: object): EditCall => ({ edit: 'changeHose', with: { id: 'hose-fl', patch } });
const tee = gannet.parts.find(({ name }) => name === 'Rear tee')!;
const drum = gannet.parts.find(({ kind }) => kind === 'wheel-cylinder')!;
const modulator = { ...newPart(gannet, 'modulator', gannet.points[0]!.known), id: 'abs' };
const withModulator = after(gannet, { edit: 'addPart', with: { part: modulator } });
const hottest = Math.max(...viewPlan(gannet).size!.laden.heat!.map(({ peakC }) => peakC.front));
const [none, both] = [
  { circuit: false, parking: false },
  { circuit: true, parking: true },
];

describe('what is asked of a part, a hose or a vehicle: the plan in which it must speak, and the nearest in which it must not', () => {
  test.each<[rule: string, level: Snag['level'], speaks: Plan, silent: Plan, text: RegExp]>([
    ['purpose-unknown', 'mind', after(gannet, part(tee.id, { kind: 'other' })), after(gannet, part(tee.id, { kind: 'other', facts: { copied: true } })), /nothing says what it does/],
    // Common practice: an end of the line is no part in it.
    ['purpose-unknown', 'mind', after(gannet, part(tee.id, { kind: 'other' })), after(gannet, part(drum.id, { kind: 'other' })), /nothing says what it does/],
    // ISO 4925 class 6 (from memory).
    ['fluid-thick', 'mind', after(withModulator, part('abs', { facts: { thinFluid: true } })), withModulator, /asks for fluid of low viscosity and the plan fills DOT 4/],
    // 49 CFR 571.106 S5.1 (from memory): crimped or swaged on the road.
    ['hose-made-up', 'mind', after(wheatear, hose({ madeUp: true }), sized('category', 'light')), after(wheatear, sized('category', 'light')), /made up with reusable ends: on the road/],
    ['hose-made-up', 'note', after(wheatear, hose({ madeUp: true })), wheatear, /ask whoever makes it up/],
    // 49 CFR 571.105 S5.3, 571.135 S5.5 (from memory).
    ['lamp-missing', 'note', after(gannet, sized('lamps', none)), gannet, /a failed circuit or low fluid, and one the parking brake on/],
    ['lamp-missing', 'note', after(gannet, sized('lamps', { ...both, parking: false })), after(gannet, sized('lamps', none), sized('category', 'competition')), /a lamp tells the parking brake on/],
    // The pad maker's limit, set a degree either side of what is reached.
    ['brakes-fade', 'mind', after(gannet, sized('heat.rotor.front.fadeC', hottest - 1)), after(gannet, sized('heat.rotor.front.fadeC', hottest + 1)), /6 km down 6 % at 30 km\/h, laden, they come to \d+ °C and fade from/],
    // 49 CFR 571.116 (from memory): DOT 4 with water in it boils from 155 °C.
    ['fluid-boils', 'stop', after(gannet, sized('heat.fluidC', 155)), after(gannet, sized('heat.fluidC', 129)), /measured at 155 °C, and DOT 4 with water in it boils from 155 °C: its bubbles/],
    ['fluid-boils', 'mind', after(gannet, sized('heat.fluidC', 130)), gannet, /measured at 130 °C/],
  ])('%s, %s', (rule, level, speaks, silent, text) => {
    const [snag] = found(speaks, rule);
    expect(snag).toMatchObject({ level, text: expect.stringMatching(text) as string });
    expect(found(silent, rule)).toEqual([]);
    const fix = fixOf(speaks, snag!.key);
    if (fix) expect(found(applyEdit(speaks, fix.call), rule)).toEqual([]);
  }); // prettier-ignore

  // Common practice: cups with expanders are pressed to their bore without residual pressure.
  test('drums whose cups have expanders want no residual valve: none is missing, and one that is there is needless', () => {
    const valve = (residualMPa: number): EditCall => ({ edit: 'changePort', with: { id: 'port-master-rear', patch: { residualMPa } } });
    const expanders = gannet.parts.filter(({ kind }) => kind === 'wheel-cylinder').map(({ id }) => part(id, { facts: { cupExpanders: true } }));
    const drums = (plan: Plan, rule: string): string[] => found(plan, rule).filter(({ text }) => !text.includes('drains back')).map(({ level, where }) => `${level} ${where}`);
    expect(drums(after(gannet, valve(0)), 'residual-missing')).toEqual(['note Rear left', 'note Rear right']);
    expect(drums(after(gannet, valve(0), ...expanders), 'residual-missing')).toEqual([]);
    expect(found(after(gannet, valve(0.0689)), 'residual-needless')).toEqual([]);
    expect(found(after(gannet, valve(0.0689), ...expanders), 'residual-needless').length).toBeGreaterThan(0);
  }); // prettier-ignore
});
