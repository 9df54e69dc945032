import fc from 'fast-check';
import { bendTable } from '../../shape/tube/index.ts';
import { distance, sub, type Vec3 } from '../../lib/vec/index.ts';
import { inspect } from '../../inspect/index.ts';
import {
  applyEdit,
  laidTemplate,
  writePlan,
  type EditCall,
  type LineView,
  type Plan,
} from '../index.ts';
import { checkPlan, readPlan } from '../file/index.ts';
import { snapPlace, snapsFor } from '../layout/snap.ts';
import { viewPlan } from '../results/index.ts';
import { demo } from '../../testing/demo-plans.ts';

const gannet = (): Plan => demo('gannet');
const after = (...calls: EditCall[]): Plan => {
  const plan = calls.reduce(applyEdit, gannet());
  // Whatever an edit makes can be written and read.
  expect(readPlan(writePlan(plan))).toEqual(plan);
  return checkPlan(plan);
};
const view = (plan: Plan, id = 'line-r1'): LineView =>
  viewPlan(plan).lines.find((v) => v.line.id === id)!;
const corners = (plan: Plan, id = 'line-r1'): readonly Vec3[] => view(plan, id).line.cornersMm;

describe('edits of a line in space', () => {
  test('straighten takes out what lies between two nodes', () => {
    const plan = after({ edit: 'straighten', with: { id: 'line-r1', from: 2, to: 5 } });
    expect(corners(plan)).toEqual([
      corners(gannet())[0],
      corners(gannet())[1],
      corners(gannet())[4],
      corners(gannet())[5],
    ]);
  });

  // R1's third move runs aft 1520 mm; an offset of 40 at 30° is 69.28 long from corner to corner (40/tan 30°).
  test('an offset steps aside and what follows goes with it', () => {
    const plan = after({
      edit: 'stepAside',
      with: { id: 'line-r1', index: 2, riseMm: [0, 0, 40], bendDeg: 30, topMm: null },
    });
    const made = corners(plan);
    expect(made).toHaveLength(8);
    const [low, high] = [made[2]!, made[3]!];
    expect(sub(high, low)).toEqual([
      expect.closeTo(69.28, 0),
      expect.closeTo(0, 6),
      expect.closeTo(40, 6),
    ]);
    expect(made[4]![2]).toBeCloseTo(corners(gannet())[2]![2] + 40, 1);
    const bends = view(plan).card!.bends.map((b) => b.bendDeg);
    expect(bends[2]).toBeCloseTo(30, 1);
    expect(bends[3]).toBeCloseTo(30, 1);
  });
  test('a saddle comes back, and nothing else of the line moves', () => {
    const plan = after({
      edit: 'stepAside',
      with: { id: 'line-r1', index: 2, riseMm: [0, 30, 0], bendDeg: 45, topMm: 120 },
    });
    const made = corners(plan);
    expect(made).toHaveLength(10);
    expect([...made.slice(0, 2), ...made.slice(6)]).toEqual(corners(gannet()));
    expect(distance(made[3]!, made[4]!)).toBeCloseTo(120, 0);
    expect(made[3]![1] - made[2]![1]).toBeCloseTo(30, 1);
  });
  test.each<[string, EditCall, RegExp]>([
    [
      'no room',
      {
        edit: 'stepAside',
        with: { id: 'line-r1', index: 0, riseMm: [0, 0, 40], bendDeg: 30, topMm: null },
      },
      /This offset needs 129\.3 mm of straight, and there is 59 mm/,
    ],
    [
      'along the tube',
      {
        edit: 'stepAside',
        with: { id: 'line-r1', index: 2, riseMm: [40, 0, 0], bendDeg: 30, topMm: null },
      },
      /goes across the tube/,
    ],
    [
      'not enough rise for the bends',
      {
        edit: 'stepAside',
        with: { id: 'line-r1', index: 2, riseMm: [0, 0, 2], bendDeg: 60, topMm: null },
      },
      /rise|step/i,
    ],
    [
      'no rail',
      {
        edit: 'followRail',
        with: { id: 'line-r1', from: 1, to: 4, thingId: 'engine', side: 'right', standoffMm: 12 },
      },
      /Engine is not a rail/,
    ],
    [
      'a rail elsewhere',
      {
        edit: 'followRail',
        with: {
          id: 'line-r1',
          from: 1,
          to: 2,
          thingId: 'member-rear',
          side: 'above',
          standoffMm: 12,
        },
      },
      /does not run between/,
    ],
    [
      'a union where there is no straight',
      { edit: 'splitLine', with: { id: 'line-r1', index: 0, by: 'union' } },
      /A union needs 124 mm of straight for the fitting and both nuts/,
    ],
    ['a line that is gone', { edit: 'swapEnds', with: { id: 'nobody' } }, /no longer in the plan/],
  ])('%s is refused in a sentence and changes nothing', (_, call, sentence) => {
    const plan = gannet();
    expect(() => applyEdit(plan, call)).toThrow(sentence);
    expect(plan).toEqual(gannet());
  });

  test('following a rail keeps its standoff and takes its crank', () => {
    const plan = after({
      edit: 'followRail',
      with: { id: 'line-r1', from: 2, to: 5, thingId: 'rail-left', side: 'right', standoffMm: 12 },
    });
    const along = corners(plan).filter(([x]) => x > 800 && x < 2600);
    // The rail's inner face lies at y -355; its crank runs from x 2200 to 2380.
    for (const at of along) expect(at[1]).toBeCloseTo(-355 + 12 + 4.7625 / 2, 1);
    expect(along.map(([x]) => Math.round(x))).toEqual(expect.arrayContaining([2200, 2380]));
  });

  test('the other side: corners mirrored, ends at free ports that lie there or open', () => {
    const bare = after({ edit: 'removeLine', with: { id: 'line-f3' } });
    const plan = applyEdit(bare, { edit: 'mirrorLine', with: { id: 'line-f2' } });
    const made = plan.lines.at(-1)!;
    expect(made).toMatchObject({
      name: 'F2b',
      ends: { a: { portId: 'port-ft-right' }, b: { portId: 'port-fr' } },
    });
    expect(made.cornersMm).toEqual(corners(bare, 'line-f2').map(([x, y, z]) => [x, -y, z]));
    const open = after({ edit: 'mirrorLine', with: { id: 'line-c1' } }).lines.at(-1)!;
    expect(open.ends.a).toMatchObject({
      portId: null,
      open: { atMm: [380, 460, 690], capped: false },
    });
    expect(checkPlan(plan)).toEqual(plan);
  });

  test('read from its other end a tube is the same tube', () => {
    const plan = after({ edit: 'swapEnds', with: { id: 'line-r1' } });
    const [there, back] = [view(gannet()), view(plan)];
    expect(back.card!.developedMm).toBeCloseTo(there.card!.developedMm, 9);
    expect(back.line.clipsMm.map((at) => back.pieces.at(-1)!.endMm - at).reverse()).toEqual(
      there.line.clipsMm.map((at) => expect.closeTo(at, 6)),
    );
    expect(corners(applyEdit(plan, { edit: 'swapEnds', with: { id: 'line-r1' } }))).toEqual(
      corners(gannet()),
    );
  });

  test('a union makes two lines of one, joined and fed, as long together as before less itself', () => {
    const plan = after({ edit: 'splitLine', with: { id: 'line-r1', index: 2, by: 'union' } });
    const [one, two] = ['R1', 'R1b'].map((name) =>
      viewPlan(plan).lines.find((v) => v.line.name === name)!,
    ) as [LineView, LineView];
    expect(one.card!.developedMm + two.card!.developedMm + 24).toBeCloseTo(
      view(gannet()).card!.developedMm,
      1,
    );
    expect(one.ports.b!.part).toBe(two.ports.a!.part);
    expect(one.ports.b!.part.name).toBe('Union in R1');
    expect(
      inspect(plan).filter((s) => ['part-unfed', 'line-open', 'port-open'].includes(s.rule)),
    ).toEqual([]);
    expect(viewPlan(plan).bleeding[0]!.result!.order).toHaveLength(4);
  });
});

describe('a template laid between two ports', () => {
  test('what was bent from the card lies where it was, rolled as it must be', () => {
    let laidLines = 0;
    for (const { line, card, bender, ...rest } of viewPlan(gannet()).lines) {
      const own: LineView = { line, card, bender, ...rest };
      if (!card!.bends.length) continue;
      // The same line at the die's own radius, read off as feeds, turns and angles.
      const table = bendTable({ nodesMm: own.nodesMm, clrMm: bender.dieRadiusMm });
      const bends = table.bends.map(({ feedMm, rotateDeg, bendDeg }) => ({
        feedMm,
        rotateDeg,
        bendDeg,
      }));
      const first = sub(own.nodesMm[1]!, own.nodesMm[0]!);
      const straight = {
        ...own,
        ports: {
          ...own.ports,
          a: { ...own.ports.a!, port: { ...own.ports.a!.port, direction: first } },
        },
      };
      const laid = laidTemplate(straight, bends, table.tailMm, bends.length);
      laidLines++;
      expect(Math.hypot(...laid.misclosureMm)).toBeLessThan(0.1);
      laid.cornersMm.forEach((at, i) =>
        expect(
          distance(at, own.nodesMm.filter((_, k) => table.bends.some((b) => b.node === k))[i]!),
        ).toBeLessThan(0.3),
      );
    }
    expect(laidLines).toBe(gannet().lines.filter(({ cornersMm }) => cornersMm.length).length);
  });

  test('one that does not fit says by how much, and the leg that is named takes it up', () => {
    const bends = [
      { feedMm: 45, rotateDeg: 0, bendDeg: 90 },
      { feedMm: 2200, rotateDeg: 0, bendDeg: 90 },
    ];
    const laid = laidTemplate(view(gannet()), bends, 200, 1);
    expect(Math.hypot(...laid.misclosureMm)).toBeGreaterThan(20);
    const plan = after({
      edit: 'layTemplate',
      with: { id: 'line-r1', bends, tailMm: 200, takeUp: 1, origin: 'kept' },
    });
    expect(view(plan).line).toMatchObject({ origin: 'kept', cornersMm: laid.cornersMm });
    // The first corner, before the leg that gives way, is where the template has it.
    expect(distance(laid.cornersMm[0]!, view(gannet()).nodesMm[0]!)).toBeCloseTo(45 + 15, 0);
  });

  test.each([
    [[], 0, /A template needs at least one bend/],
    [[{ feedMm: 50, rotateDeg: 0, bendDeg: 90 }], 5, /Choose a leg from 1 to 2/],
  ])('%j with leg %i is refused', (bends, takeUp, sentence) => {
    expect(() => laidTemplate(view(gannet()), bends, 100, takeUp)).toThrow(sentence);
  });
});

describe('what a dragged corner is drawn to', () => {
  const plan = gannet();
  const snaps = snapsFor(plan, view(plan), 2, viewPlan(plan).lines);

  test('its own other corners, the standoff of a rail, the spacing of another line', () => {
    const what = snaps[1].map((s) => s.what);
    expect(what).toEqual(
      expect.arrayContaining([
        'in line with corner 1',
        'clip’s standoff from Left rail',
        '20 mm from C1',
      ]),
    );
    // 18 mm from the rail's face at y -355, and half the tube.
    expect(snaps[1].find((s) => s.what.includes('Left rail') && s.mm > -355)!.mm).toBeCloseTo(
      -355 + 18 + 4.7625 / 2,
      6,
    );
  });
  test('the nearest within reach wins, else it lands on 5 mm; an axis that is held stays', () => {
    const at = snapPlace([1001.7, -333.1, 436.4], [true, true, false], snaps, 4);
    expect(at.at[0]).toBe(1000);
    expect(at.at[1]).toBeCloseTo(-334.6, 1);
    expect(at.at[2]).toBe(436.4);
    expect(at.what[1]).toMatch(/standoff|line with/);
    fc.assert(
      fc.property(
        fc.tuple(
          fc.double({ min: -500, max: 3000, noNaN: true }),
          fc.double({ min: -500, max: 500, noNaN: true }),
          fc.double({ min: 0, max: 900, noNaN: true }),
        ),
        (place) => {
          const { at: got } = snapPlace(place, [true, true, true], snaps, 6);
          got.forEach((v, i) => expect(Math.abs(v - place[i]!)).toBeLessThanOrEqual(6.06));
        },
      ),
    );
  });
});
