import { spanForHz } from '../shape/clips/index.ts';
import {
  addMesh,
  keptFrom,
  segmentShares,
  THING_SPECS,
  type Shape,
  type Thing,
  type ThingKind,
} from '../shape/obstacles/index.ts';
import { meshIndex, treeOf } from '../shape/mesh/index.ts';
import {
  applyEdit,
  lineSpace,
  writePlan,
  type EditCall,
  type LineView,
  type Plan,
} from '../plan/index.ts';
import { readPlan } from '../plan/file/index.ts';
import { placeClips } from '../plan/layout/place-clips.ts';
import { viewPlan } from '../plan/results/index.ts';
import { addScaled, distance, sub, type Vec3 } from '../lib/vec/index.ts';
import { fixOf, inspect, type Snag } from './index.ts';
import { demo } from '../testing/demo-plans.ts';

const gannet = (): Plan => demo('gannet');
const after = (plan: Plan, ...calls: EditCall[]): Plan => calls.reduce(applyEdit, plan);
const found = (plan: Plan, rule: string): Snag[] =>
  inspect(plan).filter((snag) => snag.rule === rule);
const words = (plan: Plan, rule: string): string[] =>
  found(plan, rule).map((s) => `${s.level} ${s.where}: ${s.text}`);
const thing = (kind: ThingKind, shape: Shape, patch: Partial<Thing> = {}): EditCall => {
  const { nature, keepMm, holds } = THING_SPECS[kind];
  const made: Thing = {
    id: 'new',
    name: 'New thing',
    kind,
    shape,
    nature,
    keepMm,
    holds,
    surfaceC: null,
    travel: null,
    ...patch,
  };
  return { edit: 'addThing', with: { thing: made } };
};
const block = (minMm: Vec3, maxMm: Vec3): Shape => ({ kind: 'block', minMm, maxMm });
const patch = (id: string, to: object): EditCall => ({
  edit: 'changeLine',
  with: { id, patch: to },
});
const r1 = (plan: Plan): LineView => viewPlan(plan).lines.find((v) => v.line.id === 'line-r1')!;

/** R1 runs straight along the left rail from x 720 to 2240 at y -335, z 435. */
describe('each rule of space against a vehicle spoilt for it', () => {
  test.each<[string, EditCall[], RegExp]>([
    [
      'near-hot',
      [
        thing('exhaust', {
          kind: 'pipe',
          pathMm: [
            [1800, -335, 300],
            [2000, -335, 300],
          ],
          diameterMm: 50,
        }),
      ],
      /^caution R1: 108 mm from New thing, 150 required/,
    ],
    [
      'near-hot',
      [
        thing(
          'exhaust',
          {
            kind: 'pipe',
            pathMm: [
              [1800, -335, 300],
              [2000, -335, 300],
            ],
            diameterMm: 50,
          },
          { surfaceC: 420 },
        ),
      ],
      /its surface reaches 420 °C/,
    ],
    [
      'near-moving',
      [
        thing('prop-shaft', {
          kind: 'pipe',
          pathMm: [
            [1800, -335, 380],
            [2000, -335, 380],
          ],
          diameterMm: 40,
        }),
      ],
      /^caution R1: 33 mm from New thing, 40 required: it moves/,
    ],
    [
      'near-moving',
      [
        thing(
          'axle',
          {
            kind: 'bar',
            section: 'round',
            pathMm: [
              [1900, -600, 300],
              [1900, 0, 300],
            ],
            widthMm: 60,
            heightMm: 60,
            wallMm: 5,
            opens: 'left',
          },
          { travel: { heaveMm: [-50, 120], rollDeg: 0, lockDeg: 0, aboutMm: [1900, 0, 300] } },
        ),
      ],
      /^stop R1: The line runs into New thing at 1453 mm of its length, including its travel/,
    ],
    [
      'near-sharp',
      [thing('zone', block([1800, -330, 430], [1900, -328, 440]), { nature: 'sharp', keepMm: 10 })],
      /^caution R1: 3 mm from New thing, 10 required: an edge saws through/,
    ],
    [
      'runs-into',
      [thing('tank', block([1850, -345, 420], [1950, -300, 500]))],
      /^stop R1: The line runs into New thing at 1430 mm of its length/,
    ],
    [
      'hangs-low',
      [
        {
          edit: 'setCorners',
          with: {
            id: 'line-r1',
            cornersMm: [
              [500, -335, 445],
              [720, -335, 300],
              [2240, -335, 300],
              [2380, -335, 524],
              [2640, -335, 524],
              [2700, -149, 524],
            ],
          },
        },
      ],
      /^caution R1: The line hangs 38 mm below the rails/,
    ],
    [
      'span-long',
      [patch('line-r1', { clipsMm: [150, 378, 605, 1061, 1850, 2427] })],
      /^caution R1: 789 mm between two clips, 450 mm at most/,
    ],
    [
      'span-long',
      [patch('line-r1', { clipsMm: [400, 700, 1100, 1500, 1900, 2300] })],
      /^caution R1: 400 mm from its end A to the nearest clip, 150 mm at most/,
    ],
    [
      'span-rings',
      [patch('line-r1', { shakes: [{ fromMm: 0, toMm: 9000, hz: 300 }] })],
      /With 300 Hz nearby and a margin of 1\.2 it must be 153 mm or less/,
    ],
    [
      'clip-loose',
      [
        {
          edit: 'setCorners',
          with: {
            id: 'line-r1',
            cornersMm: [
              [500, 300, 445],
              [720, 0, 600],
              [2240, 0, 600],
              [2380, -335, 524],
              [2640, -335, 524],
              [2700, -149, 524],
            ],
          },
        },
      ],
      /^caution R1: The clip at 378 mm has nothing to fasten to within 150 mm/,
    ],
    [
      'clips-one-way',
      [patch('line-r1', { clipsMm: [300, 600, 900, 1200, 1500, 1750] })],
      /^note R1: All 6 clips are in one plane, so the tube can slide/,
    ],
    [
      'high-point',
      [
        {
          edit: 'setCorners',
          with: {
            id: 'line-r1',
            cornersMm: [
              [500, -335, 445],
              [720, -335, 700],
              [2240, -335, 700],
              [2380, -335, 524],
              [2640, -335, 524],
              [2700, -149, 524],
            ],
          },
        },
      ],
      /^note R1: The line rises 176 mm and falls again/,
    ],
    [
      'high-point',
      [
        {
          edit: 'setCorners',
          with: {
            id: 'line-c1',
            cornersMm: [
              [450, -460, 690],
              [450, -460, 740],
              [520, -330, 740],
              [1176, -330, 397],
            ],
          },
        },
      ],
      /^caution C1: The line rises 50 mm and falls again\. Air collects there, and in this bore a bubble/,
    ],
    [
      'wrench-room',
      [
        thing('zone', block([480, -420, 460], [520, -330, 500])),
        thing('zone', block([480, -420, 390], [520, -330, 431]), { id: 'under' }),
        thing('zone', block([400, -420, 380], [489, -330, 520]), { id: 'fore' }),
        thing('zone', block([511, -420, 380], [600, -330, 520]), { id: 'aft' }),
      ],
      /^caution R1, end A: No room to swing a wrench/,
    ],
    [
      'wrench-room',
      [thing('zone', block([490, -378, 440], [510, -350, 450]))],
      /^caution R1, end A: No room to slide the nut back: New thing is in the way/,
    ],
    [
      'behind-gate',
      [{ edit: 'changeGate', with: { id: 'gate-bed', patch: { closed: true } } }],
      /^caution R2, end A: Bed on is closed over this joint, and no torque is recorded/,
    ],
    [
      'tube-to-moving',
      [
        thing(
          'axle',
          {
            kind: 'bar',
            section: 'round',
            pathMm: [
              [2830, -300, 520],
              [2830, 0, 520],
            ],
            widthMm: 40,
            heightMm: 40,
            wallMm: 4,
            opens: 'left',
          },
          { travel: { heaveMm: [-60, 60], rollDeg: 0, lockDeg: 0, aboutMm: [2830, 0, 520] } },
        ),
      ],
      /^stop R1, end B/,
    ],
    ['lines-touch', [patch('line-r1', { sleeves: [] })], /^caution R1 and C1: R1 and C1 touch/],
    [
      'joint-unsupported',
      [
        { edit: 'removeThing', with: { id: 'member-front' } },
        { edit: 'removeThing', with: { id: 'engine' } },
      ],
      /^caution Front tee: No mounting within 150 mm/,
    ],
    [
      'mesh-size',
      [thing('mesh', { kind: 'mesh', digest: 'nowhere', scale: 1, atMm: [0, 0, 0] })],
      /^note New thing: The mesh file is not in this browser, so no clearance is checked against it/,
    ],
  ])('%s %#', (rule, calls, sentence) => {
    const plan = after(gannet(), ...calls);
    expect(words(plan, rule)).toEqual(expect.arrayContaining([expect.stringMatching(sentence)]));
    if (rule !== 'lines-touch')
      expect(words(gannet(), rule)).not.toEqual(
        expect.arrayContaining([expect.stringMatching(sentence)]),
      );
    expect(readPlan(writePlan(plan))).toEqual(plan);
    const snag = found(plan, rule).find((s) => sentence.test(`${s.level} ${s.where}: ${s.text}`))!;
    const fix = fixOf(plan, snag.key);
    if (fix)
      expect(words(applyEdit(plan, fix.call), rule)).not.toContain(
        `${snag.level} ${snag.where}: ${snag.text}`,
      );
  });

  test('a plan without a vehicle says so once, and judges nothing of it', () => {
    const bare = { ...gannet(), things: [] };
    expect(found(bare, 'frame-unknown')).toHaveLength(1);
    for (const rule of ['unheld', 'near-hot', 'clip-loose', 'hangs-low', 'joint-unsupported'])
      expect(found(bare, rule)).toEqual([]);
  });

  test('an end that waits for its mate keeps its tube, and is asked to be capped', () => {
    const end = r1(gannet()).line.ends.b;
    const open = {
      atMm: [2834, -149, 524] as Vec3,
      slackMm: 50,
      capped: false,
      waitsFor: 'axle swap',
    };
    const plan = after(gannet(), {
      edit: 'changeEnd',
      with: { id: 'line-r1', end: 'b', patch: { ...end, portId: null, open } },
    });
    expect(r1(plan).card!.developedMm).toBeCloseTo(r1(gannet()).card!.developedMm, 0);
    expect(words(plan, 'line-open')[0]).toMatch(/^stop R1, end B: The line waits for axle swap/);
    const [snag] = found(plan, 'open-uncapped');
    expect(found(applyEdit(plan, fixOf(plan, snag!.key)!.call), 'open-uncapped')).toEqual([]);
    expect(readPlan(writePlan(plan))).toEqual(plan);
  });

  test('a mesh that comes in after a first look is measured to from then on, and one far off is said to be near to nothing', () => {
    const brought = (digest: string): Plan =>
      after(gannet(), thing('mesh', { kind: 'mesh', digest, scale: 1, atMm: [0, 0, 0] }));
    const at = (yMm: number): Float32Array =>
      Float32Array.from([800, yMm, 380, 2200, yMm, 380, 1500, yMm, 500]);
    // In the rail's own face R1 runs 65 mm before; through it, or a metre off.
    for (const [digest, yMm, isMet] of [
      ['late-through', -335, true],
      ['late-far', -1400, false],
    ] as const) {
      const plan = brought(digest);
      expect(words(plan, 'runs-into')).toEqual([]);
      expect(words(plan, 'mesh-size').join()).toMatch(/not in this browser/);
      addMesh(digest, meshIndex({ positions: at(yMm), tree: treeOf(at(yMm)) }));
      expect(words(plan, 'mesh-size')).toEqual([]);
      expect(
        words(plan, 'runs-into').some((text) =>
          text.startsWith('stop R1: The line runs into New thing'),
        ),
      ).toBe(isMet);
      expect(words(plan, 'runs-into').length > 0).toBe(isMet);
    }
  });

  test('a mesh drawn in meters is seen by its size, and taken as meters its own distance counts', () => {
    // A slab 0.4 long whose face stands at y -0.3.
    const nearest = (
      from: Vec3,
      to: Vec3,
      within: number,
    ): ReturnType<Parameters<typeof addMesh>[1]['nearest']> => {
      const [a, b] = [
        [0, -0.3, 0.4],
        [2, -0.3, 0.4],
      ] as [Vec3, Vec3];
      const [share, other] = segmentShares(from, to, a, b);
      const [onLine, onThing] = [
        addScaled(from, sub(to, from), share),
        addScaled(a, sub(b, a), other),
      ];
      const distanceMm = distance(onLine, onThing);
      return distanceMm > within ? null : { distanceMm, share, onLine, onThing };
    };
    addMesh('slab', { box: { min: [0, -0.3, 0.4], max: [2, -0.3, 0.4] }, triangles: 2, nearest });
    const plan = after(
      gannet(),
      thing('mesh', { kind: 'mesh', digest: 'slab', scale: 1, atMm: [0, 0, 0] }, { keepMm: 60 }),
    );
    const [snag] = found(plan, 'mesh-size');
    expect(snag!.text).toMatch(/^It is 2 mm across/);
    const mended = applyEdit(plan, fixOf(plan, snag!.key)!.call);
    expect(found(mended, 'mesh-size')).toEqual([]);
    // √(35² + 35²) less the tube's half.
    expect(words(mended, 'runs-into').join('\n')).toMatch(
      /^caution R1: 47 mm from New thing, 60 required/m,
    );
  });
});

describe('sleeves', () => {
  const hot = thing('exhaust', {
    kind: 'pipe',
    pathMm: [
      [1800, -335, 300],
      [2000, -335, 300],
    ],
    diameterMm: 50,
  });
  const with_ = (fromMm: number, toMm: number, kind: 'heat' | 'chafe'): Plan =>
    after(gannet(), hot, patch('line-r1', { sleeves: [{ fromMm, toMm, kind }] }));

  test('a heat sleeve over the stretch lowers what is wanted, one beside it or of another kind does not', () => {
    expect(found(with_(900, 1900, 'heat'), 'near-hot').filter((s) => s.where === 'R1')).toEqual([]);
    expect(found(with_(100, 600, 'heat'), 'near-hot').filter((s) => s.where === 'R1')).toHaveLength(
      1,
    );
    expect(
      found(with_(900, 1900, 'chafe'), 'near-hot').filter((s) => s.where === 'R1'),
    ).toHaveLength(1);
  });
  test('but never to zero: what lies under the sleeve keeps its own floor', () => {
    const close = thing('exhaust', {
      kind: 'pipe',
      pathMm: [
        [1800, -335, 375],
        [2000, -335, 375],
      ],
      diameterMm: 50,
    });
    const plan = after(
      gannet(),
      close,
      patch('line-r1', { sleeves: [{ fromMm: 0, toMm: 2600, kind: 'heat' }] }),
    );
    expect(words(plan, 'near-hot').find((w) => w.includes('R1'))).toMatch(
      /33 mm from New thing, 60 required/,
    );
  });
});

describe('clips along the lines of the demo', () => {
  test('every clip placed sits on no bend and no nut, near something to hold to, with spans as short as the limits ask', () => {
    const plan = gannet();
    for (const view of viewPlan(plan).lines) {
      if (view.line.id === 'line-c1') continue;
      const clipsMm = placeClips(plan, view);
      const held = after(plan, patch(view.line.id, { clipsMm }));
      const space = lineSpace(
        held,
        viewPlan(held).lines.find((v) => v.line.id === view.line.id)!,
      )!;
      for (const clip of space.clips) {
        expect(clip.to).not.toBeNull();
        for (const piece of view.pieces)
          if (piece.kind === 'arc')
            expect(clip.atMm > piece.startMm - 7.9 && clip.atMm < piece.endMm + 7.9).toBe(false);
      }
      for (const span of space.spans) expect(span.lengthMm).toBeLessThanOrEqual(span.mostMm + 1e-6);
      expect(found(held, 'span-rings').filter((s) => s.where === view.line.name)).toEqual([]);
    }
  });

  test('what shakes the engine counts near it, what shakes the frame away from it, and a figure of the line above both', () => {
    const space = lineSpace(gannet(), r1(gannet()))!;
    expect(space.spans[0]!.excitationHz).toBe(120);
    expect(space.spans.at(-1)!.excitationHz).toBe(60);
    const shaken = after(
      gannet(),
      patch('line-r1', { shakes: [{ fromMm: 0, toMm: 9000, hz: 20 }] }),
    );
    expect(lineSpace(shaken, r1(shaken))!.spans.every((span) => span.excitationHz === 20)).toBe(
      true,
    );
    // Set down for a stretch alone it counts there, and the hardest of what shakes a span counts for all of it.
    const part = after(
      gannet(),
      patch('line-r1', {
        shakes: [
          { fromMm: 0, toMm: 200, hz: 20 },
          { fromMm: 1500, toMm: 1600, hz: 250 },
        ],
      }),
    );
    for (const { fromMm, toMm, excitationHz } of lineSpace(part, r1(part))!.spans) {
      if (fromMm < 1600 && toMm > 1500) expect(excitationHz).toBe(250);
      else if (toMm <= 200) expect(excitationHz).toBe(20);
      else expect([60, 120]).toContain(excitationHz);
    }
    const held = after(part, patch('line-r1', { clipsMm: placeClips(part, r1(part)) }));
    for (const span of lineSpace(held, r1(held))!.spans)
      expect(span.lengthMm).toBeLessThanOrEqual(span.mostMm + 1e-6);
    expect(placeClips(part, r1(part)).length).toBeGreaterThan(
      placeClips(gannet(), r1(gannet())).length,
    );
    // A slower shake allows longer spans, as the root of its frequency.
    const beam = {
      odMm: 4.7625,
      wallMm: 0.7112,
      youngGPa: 135,
      densityKgM3: 8900,
      fluidKgM3: 1060,
    };
    expect(spanForHz(beam, 60) / spanForHz(beam, 120)).toBeCloseTo(Math.SQRT2, 9);
    expect(placeClips(shaken, r1(shaken)).length).toBeLessThan(
      placeClips(gannet(), r1(gannet())).length,
    );
  });

  test('the same line among the same things is measured once', () => {
    const plan = gannet();
    expect(lineSpace(plan, r1(plan))).toBe(lineSpace(plan, r1(plan)));
    const renamed = after(plan, { edit: 'rename', with: { name: 'Other' } });
    expect(lineSpace(renamed, r1(renamed))).toBe(lineSpace(plan, r1(plan)));
    const moved = after(plan, { edit: 'removeThing', with: { id: 'tank' } });
    expect(lineSpace(moved, r1(moved))).not.toBe(lineSpace(plan, r1(plan)));
  });
});

describe('heat', () => {
  const port = viewPlan(gannet()).ports.get('port-rt-in')!.fixed.atMm;
  const pipe = (by: Vec3, patch: Partial<Thing> = {}): EditCall => {
    const at = port.map((v, i) => v + by[i]!) as unknown as Vec3;
    return thing(
      'exhaust',
      {
        kind: 'pipe',
        pathMm: [
          [at[0] - 60, at[1], at[2]],
          [at[0] + 60, at[1], at[2]],
        ],
        diameterMm: 40,
      },
      patch,
    );
  };
  const said = (...calls: EditCall[]): string[] =>
    words(after(gannet(), ...calls), 'part-hot').filter((text) => text.includes('New thing'));
  test('a part near it, and one over it at any height, are told; one beside it is not', () => {
    expect(said(pipe([0, 0, -100])).join()).toMatch(
      /caution Rear tee, inlet: 80 mm from New thing, 150 required/,
    );
    expect(said(pipe([0, 0, -10])).join()).toMatch(/^stop Rear tee, inlet/);
    expect(said(pipe([0, 0, -350])).join()).toMatch(/caution Rear tee, inlet/);
    expect(said(pipe([0, 400, -350]))).toEqual([]);
  });
  // 100 mm to 400 °C, 150 to 650 °C, 200 above; never nearer than it was set down to.
  test.each([
    [350, 100, 100],
    [350, 150, 150],
    [500, 100, 150],
    [800, 100, 200],
    [800, 250, 250],
    [null, 100, 100],
  ])('at %s °C, set down to keep %d mm, %d mm are wanted', (surfaceC, keepMm, wantedMm) => {
    expect(keptFrom({ nature: 'hot', keepMm, surfaceC })).toBe(wantedMm);
    expect(keptFrom({ nature: 'solid', keepMm, surfaceC })).toBe(keepMm);
  });
  test('a line that touches it is a stop, one that is near it a caution', () => {
    const at = (z: number): EditCall =>
      thing('exhaust', {
        kind: 'pipe',
        pathMm: [
          [1800, -335, z],
          [2000, -335, z],
        ],
        diameterMm: 50,
      });
    expect(words(after(gannet(), at(435)), 'near-hot').join()).toMatch(
      /stop R1: The line runs into New thing at 1353 mm of its length\.,caution R3/,
    );
    expect(words(after(gannet(), at(300)), 'near-hot').join()).toMatch(
      /caution R1: 108 mm from New thing/,
    );
  });
  test('a line along a live axle may lie below the rails', () => {
    const low: EditCall = {
      edit: 'setCorners',
      with: {
        id: 'line-r1',
        cornersMm: [
          [500, -335, 445],
          [720, -335, 300],
          [2240, -335, 300],
          [2380, -335, 524],
          [2640, -335, 524],
          [2700, -149, 524],
        ],
      },
    };
    const axle = thing('axle', {
      kind: 'bar',
      section: 'round',
      pathMm: [
        [500, -335, 270],
        [2500, -335, 270],
      ],
      widthMm: 60,
      heightMm: 60,
      wallMm: 5,
      opens: 'left',
    });
    expect(words(after(gannet(), low), 'hangs-low')).toHaveLength(1);
    expect(words(after(gannet(), low, axle), 'hangs-low')).toEqual([]);
  });
});
