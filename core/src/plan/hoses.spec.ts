import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { hoseById, hoseMlPerM } from '../trade/stock/index.ts';
import {
  applyEdit,
  fittingMm,
  freeMm,
  freshId,
  hoseOf,
  hoseVolumeMl,
  PlanFileError,
  validatePlan,
  writePlan,
  type Hose,
  type Plan,
} from './index.ts';
import { readPlan } from './file/index.ts';
import { viewPlan } from './results/index.ts';

const plan: Plan = readPlan(
  readFileSync(join(__dirname, '../../../demo/wheatear.firmline.json'), 'utf8'),
);
const first = plan.hoses[0]!;
const put = (patch: object): Plan => ({
  ...plan,
  hoses: [{ ...first, ...patch }, ...plan.hoses.slice(1)],
});
const end = (patch: object): object => ({
  ends: { ...first.ends, a: { ...first.ends.a, ...patch } },
});

describe('hoses in a plan', () => {
  test('are written and read back as they are, and have ids of their own', () => {
    expect(readPlan(writePlan(plan)).hoses).toEqual(plan.hoses);
    expect(validatePlan(plan)).toEqual([]);
    expect(freshId(put({ id: 'hose-1' }), 'hose')).toBe('hose-2');
  });

  test.each([
    [{ circuitId: 'none' }, 'hoses[0].circuitId'],
    [{ stockId: 'garden' }, 'hoses[0].stockId'],
    [end({ fittingId: 'tape' }), 'hoses[0].ends.a.fittingId'],
    [end({ portId: 'nowhere' }), 'hoses[0].ends.a.portId'],
    [end({ direction: [0, 0, 0] }), 'hoses[0].ends.a.direction'],
    [{ motion: { ...first.motion, axis: [0, 0, 0] } }, 'hoses[0].motion.axis'],
    [
      { motion: { ...first.motion, steer: { ...first.motion.steer, axis: [0, 0, 0] } } },
      'hoses[0].motion.steer.axis',
    ],
    [{ id: plan.lines[0]!.id }, 'hoses[0].id'],
  ])('what does not meet its kind is named: %j', (patch, path) => {
    expect(validatePlan(put(patch)).map((fault) => fault.path)).toContain(path);
  });

  test.each([
    [{ madeOn: '2026-13' }, 'hoses[0].madeOn'],
    [{ madeOn: 'last year' }, 'hoses[0].madeOn'],
    [{ orderMm: 0 }, 'hoses[0].orderMm'],
    [{ service: 'garden' }, 'hoses[0].service'],
    [{ fixing: 'hope' }, 'hoses[0].fixing'],
    [{ motion: { ...first.motion, heaveMm: [50, -50] } }, 'hoses[0].motion.heaveMm[0]'],
    [
      { motion: { ...first.motion, steer: { ...first.motion.steer, lockDeg: [5, 20] } } },
      'hoses[0].motion.steer.lockDeg[0]',
    ],
  ])('a file that says %j is refused at its place', (patch, path) => {
    try {
      readPlan(JSON.stringify(put(patch)));
      throw new Error('It was read.');
    } catch (error) {
      expect(error).toBeInstanceOf(PlanFileError);
      expect((error as PlanFileError).faults.map((fault) => fault.path)).toContain(path);
    }
  });

  test('a hose lets go of a port that is gone, and stays', () => {
    const part = plan.parts.find(({ ports }) =>
      ports.some((port) => port.id === first.ends.a.portId),
    )!;
    const after = applyEdit(plan, { edit: 'removePart', with: { id: part.id } });
    expect(after.hoses[0]!.ends.a.portId).toBeNull();
    expect(after.hoses).toHaveLength(plan.hoses.length);
    expect(validatePlan(after)).toEqual([]);
  });

  test('are added, changed, made alike and removed, each at one stroke', () => {
    const added = applyEdit(plan, {
      edit: 'addHose',
      with: { hose: { ...first, id: 'new', name: 'H9' } },
    });
    expect(added.hoses.at(-1)!.name).toBe('H9');
    const changed = applyEdit(added, {
      edit: 'changeHose',
      with: { id: 'new', patch: { orderMm: 410 } },
    });
    expect(changed.hoses.map((hose) => hose.orderMm)).toEqual([
      ...plan.hoses.map((hose) => hose.orderMm),
      410,
    ]);
    const alike = applyEdit(changed, {
      edit: 'equalizeHoseLengths',
      with: { ids: ['new', first.id], orderMm: 380 },
    });
    expect(alike.hoses.filter((hose) => hose.orderMm === 380).map((hose) => hose.id)).toEqual([
      first.id,
      'new',
    ]);
    expect(applyEdit(alike, { edit: 'removeHose', with: { id: 'new' } }).hoses).toHaveLength(
      plan.hoses.length,
    );
    expect(() => applyEdit(plan, { edit: 'changeHose', with: { id: 'gone', patch: {} } })).toThrow(
      /no longer in the plan/,
    );
  });
});

describe('figures of hoses', () => {
  const of = (patch: Partial<Hose>): Hose => ({ ...first, ...patch });
  test('the free length is what the fittings leave of the ordered one', () => {
    // Bulkhead 40 mm, banjo 6 + 38 mm.
    expect(freeMm(first)).toBe(350 - 40 - 44);
    expect(
      fittingMm({
        id: '',
        name: '',
        kind: 'angled',
        stemMm: 20,
        legMm: 25,
        bendDeg: 90,
        swivels: true,
        clamped: false,
      }),
    ).toBe(45);
  });
  test('its fluid is the bore times the length', () => {
    expect(hoseVolumeMl(of({ orderMm: 1000 }))).toBeCloseTo((Math.PI / 4) * 3.2 ** 2, 9);
  });
  test('hoses of two classes take together what each takes by its length, feeds none', () => {
    const [rubber, braided] = [of({ stockId: 'rubber-1-8', orderMm: 584 }), of({ orderMm: 284 })];
    const both = hoseOf([rubber, braided, of({ service: 'feed' })], [first.circuitId])!;
    const per = (id: string): number => hoseMlPerM(hoseById(id)!, 6.9)! / 6.9;
    expect(both.hoseMm).toBe(500 + 200);
    expect(both.hoseMlPerMPaM * 700).toBeCloseTo(500 * per('rubber-1-8') + 200 * per('ptfe-3'), 9);
    expect(hoseOf([rubber], ['another'])).toBeNull();
  });
  test('a hose between the ports of two parts is a pipe that is bled through', () => {
    const bleedOf = (on: Plan) => viewPlan(on).bleeding[0]!.result!;
    const [left, right] = ['port-13', 'port-15'];
    const without: Plan = {
      ...plan,
      hoses: [],
      lines: plan.lines.filter((line) => line.ends.b.portId !== right),
    };
    const joining = of({
      id: 'join',
      circuitId: 'circuit-2',
      orderMm: 900,
      ends: { a: { ...first.ends.a, portId: left }, b: { ...first.ends.b, portId: right } },
    });
    const through = bleedOf({ ...without, hoses: [joining] });
    const path = (id: string): number => through.order.find((step) => step.id === id)!.pathMm;
    expect(path('port-16') - path('port-14')).toBeCloseTo(900, 6);
  });
});
