import { applyEdit, type Plan } from '../index.ts';
import { size } from '../../physics/hydraulics/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { runChoices, viewPlan, type RunChoice } from './index.ts';

const gannet = demo('gannet');
const choices = (id: string, plan: Plan = gannet): RunChoice[] => {
  const view = viewPlan(plan);
  return runChoices(
    view,
    view.lines.find(({ line }) => line.id === id)!,
  );
};
const of = (list: readonly RunChoice[], id: string): RunChoice =>
  list.find((one) => one.id === id)!;

describe('one run in each of what it could be made of', () => {
  test('costs the pedal what taking it out of the sum leaves', () => {
    // The whole sum of `size`, with and without this line's length of the tube that it is made of.
    const view = viewPlan(gannet);
    const r1 = view.lines.find(({ line }) => line.id === 'line-r1')!;
    const { input } = view.size!.empty;
    const without = {
      ...input,
      lines: {
        ...input.lines,
        rear: { ...input.lines.rear, tubeMm: input.lines.rear.tubeMm - r1.card!.developedMm },
      },
    };
    const now = choices('line-r1').find(({ now }) => now)!;
    expect(now.pedalMm).toBeCloseTo(size(input).travelMm.total - size(without).travelMm.total, 6);
  });
  test('softer stuff takes more: steel, copper-nickel, and braided hose many times that', () => {
    const list = choices('line-r1');
    expect(of(list, 'steel').takesMl).toBeLessThan(of(list, 'copper-nickel').takesMl);
    // Thin tube takes walls (p·D/(4·t·E))·(5 − 4ν) and fluid p/K, hose by 49 CFR 571.106-like points: five times and more.
    expect(of(list, 'braided-ptfe').takesMl).toBeGreaterThan(5 * of(list, 'copper-nickel').takesMl);
  });
  test('says which flares the bench can make: double flares in stainless are none', () => {
    const proven = applyEdit(gannet, {
      edit: 'changeBench',
      with: {
        patch: {
          flares: {
            ...gannet.bench.flares,
            'cone-37': { ...gannet.bench.flares['cone-37'], owned: false },
          },
        },
      },
    });
    expect(of(choices('line-r1', proven), 'stainless').flares).toBe(
      'single 37° flare alone: no tool on the bench',
    );
    const owned = applyEdit(gannet, {
      edit: 'changeBench',
      with: {
        patch: {
          flares: {
            ...gannet.bench.flares,
            'cone-37': { ...gannet.bench.flares['cone-37'], owned: true, provenOn: ['stainless'] },
          },
        },
      },
    });
    expect(of(choices('line-r1', owned), 'stainless').flares).toBe('single 37° flare alone');
  });
  test('of a clutch no pedal of the brakes speaks, of a line without a card nothing', () => {
    expect(choices('line-c1').map(({ pedalMm }) => pedalMm)).toEqual([null, null, null, null]);
    const line = gannet.lines.find(({ id }) => id === 'line-r1')!;
    const open = applyEdit(gannet, {
      edit: 'changeEnd',
      with: { id: 'line-r1', end: 'b', patch: { ...line.ends.b, portId: null } },
    });
    expect(choices('line-r1', open)).toEqual([]);
  });
});
