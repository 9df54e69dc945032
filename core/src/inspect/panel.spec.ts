import { type Hole, type Thing } from '../shape/obstacles/index.ts';
import { newThing } from '../shape/obstacles/fresh.ts';
import { applyEdit, layPlan, type EditCall, type Plan } from '../plan/index.ts';
import { demo } from '../testing/demo-plans.ts';
import { distance, type Vec3 } from '../lib/vec/index.ts';
import { inspect } from './index.ts';

const gannet = demo('gannet');
const after = (plan: Plan, ...calls: EditCall[]): Plan => calls.reduce(applyEdit, plan);
const said = (plan: Plan, rule: string): string[] =>
  inspect(plan)
    .filter((snag) => snag.rule === rule)
    .map(({ where, text }) => `${where}: ${text}`);
const put = (thing: Thing): EditCall => ({ edit: 'addThing', with: { thing } });

/** A panel across R1's way along the left rail: where the tube meets it, and the plan. */
const middle = ((): Vec3 => {
  const { nodesMm } = layPlan(gannet).lines.find(({ line }) => line.name === 'R1')!;
  const i = nodesMm.findIndex((node, k) => k > 0 && node[0] - nodesMm[k - 1]![0] > 600);
  return nodesMm[i]!.map((v, axis) => (v + nodesMm[i - 1]![axis]!) / 2) as unknown as Vec3;
})();
const panel = (holes: readonly Hole[]): Thing => ({
  ...newThing('panel', 'Seat box side', 'engine'),
  keepMm: 5,
  shape: {
    kind: 'block',
    minMm: [middle[0] - 1, middle[1] - 60, middle[2] - 60],
    maxMm: [middle[0] + 1, middle[1] + 60, middle[2] + 60],
  },
  holes,
});
const hole = (lined: Hole['lined'], diameterMm = 12, atMm: Vec3 = middle): Hole => ({
  atMm,
  diameterMm,
  lined,
});

describe('a panel with a hole that a line passes', () => {
  const runs = (holes: readonly Hole[]) =>
    said(after(gannet, put(panel(holes))), 'runs-into').filter((text) =>
      text.includes('Seat box side'),
    );
  test('without a hole, through one that is too small or beside one, the tube runs into it', () => {
    expect(runs([])).toHaveLength(1);
    expect(runs([hole('grommet', 4)])).toHaveLength(1);
    expect(runs([hole('grommet', 12, [middle[0], middle[1] + 15, middle[2]])])).toHaveLength(1);
  });
  test('through a hole it fits, it does not', () => {
    expect(runs([hole('grommet')])).toEqual([]);
  });
  test('hole-bare: a bare edge is told, one with a grommet or a bulkhead is not, nor one that nothing passes', () => {
    const bare = (holes: readonly Hole[]) => said(after(gannet, put(panel(holes))), 'hole-bare');
    expect(bare([hole('none')])).toEqual([
      'R1: The line passes through a bare hole in Seat box side. Fit a grommet or a bulkhead, or the edge will saw through the tube.',
    ]);
    for (const lined of ['grommet', 'bulkhead'] as const) expect(bare([hole(lined)])).toEqual([]);
    expect(bare([hole('none', 12, [middle[0], middle[1] + 40, middle[2]])])).toEqual([]);
  });
});

describe('the body of a part', () => {
  const tee = gannet.parts.find(({ name }) => name === 'Rear tee')!;
  const at = layPlan(gannet).ports.get(tee.ports[0]!.id)!.fixed.atMm;
  const body = (minMm: Vec3, maxMm: Vec3, partId = tee.id): Thing => ({
    ...newThing('b', 'Rear tee, body', 'body'),
    partId,
    shape: { kind: 'block', minMm, maxMm },
  });
  test('heat reaches it where it does not reach its ports', () => {
    const exhaust = gannet.things.find(({ kind }) => kind === 'exhaust')!;
    const before = said(gannet, 'part-hot').filter((text) => text.startsWith('Rear tee'));
    const reaching = after(
      gannet,
      put(body([at[0] - 20, at[1], at[2] - 20], [at[0] + 20, 250, at[2] + 20])),
    );
    const now = said(reaching, 'part-hot').filter((text) => text.startsWith('Rear tee'));
    expect(before.some((text) => text.includes(`from ${exhaust.name}`))).toBe(false);
    expect(now.join()).toMatch(/84 mm from Exhaust, 150 required/);
  });
  test('moved and turned, the part takes ports, body and lines along, in one edit', () => {
    const plan = after(
      gannet,
      put(body([at[0] - 20, at[1] - 10, at[2] - 30], [at[0] + 40, at[1] + 10, at[2] + 5])),
    );
    const moved = after(plan, { edit: 'movePart', with: { id: tee.id, byMm: [10, 0, 5] } });
    const port = (of: Plan, i: number) => layPlan(of).ports.get(tee.ports[i]!.id)!;
    tee.ports.forEach((_, i) =>
      expect(distance(port(moved, i).fixed.atMm, port(plan, i).fixed.atMm)).toBeCloseTo(
        Math.hypot(10, 5),
        0,
      ),
    );
    expect(moved.things.at(-1)!.shape).toMatchObject({
      minMm: [at[0] - 10, at[1] - 10, at[2] - 25].map((v) => expect.closeTo(v, 0) as number),
    });
    expect(moved.lines.filter((line, i) => line !== plan.lines[i]).map(({ name }) => name)).toEqual(
      ['R1', 'R2', 'R3'],
    );
    // Four quarters about the upright line bring everything back.
    const turned = [1, 2, 3, 4].reduce(
      (now) =>
        applyEdit(now, {
          edit: 'movePart',
          with: { id: tee.id, byMm: [0, 0, 0], turn: 'upright', quarters: 1 },
        }),
      plan,
    );
    tee.ports.forEach((own, i) => {
      expect(distance(port(turned, i).fixed.atMm, port(plan, i).fixed.atMm)).toBeLessThan(0.5);
      expect(distance(port(turned, i).port.direction, own.direction)).toBeLessThan(1e-9);
    });
    // One quarter, seen from above: what left it to the front leaves it to one side.
    const once = applyEdit(plan, {
      edit: 'movePart',
      with: { id: tee.id, byMm: [0, 0, 0], turn: 'upright', quarters: 1 },
    });
    expect(port(once, 0).port.direction.map(Math.abs)).toEqual([0, 1, 0]);
  });
  test('a part that is deleted lets its body go: it stays as a thing of its own', () => {
    const plan = after(gannet, put(body([0, 0, 0], [10, 10, 10])), {
      edit: 'removePart',
      with: { id: tee.id },
    });
    expect(plan.things.at(-1)).toMatchObject({ id: 'b', partId: null });
  });
});
