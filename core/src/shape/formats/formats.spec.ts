import DxfParser from 'dxf-parser';
import occt from 'occt-import-js';
import fc from 'fast-check';
import { InputError } from '../../lib/faults/index.ts';
import { centerLine, polyline } from '../tube/index.ts';
import {} from '../../plan/index.ts';
import { viewPlan } from '../../plan/results/index.ts';
import type { Vec3 } from '../../lib/vec/index.ts';
import {
  bracketFlat,
  bracketsDxf,
  centerLinesCsv,
  csvRows,
  flatViewsDxf,
  platesDxf,
  tableCsv,
  metalMm3,
  readCenterLinesCsv,
  readTubesStep,
  tubesStep,
  type StepTube,
} from './index.ts';
import { demo } from '../../testing/demo-plans.ts';

const gannet = viewPlan(demo('gannet'));
const tube = (nodesMm: readonly Vec3[], radiusMm = 15): StepTube => ({
  name: 'T',
  pieces: centerLine(nodesMm, () => radiusMm),
  odMm: 4.7625,
  wallMm: 0.7112,
});
jest.setTimeout(60_000);

interface Read {
  readonly names: readonly string[];
  readonly volumeMm3: number;
  readonly min: Vec3;
  readonly max: Vec3;
}
/** A STEP file read by Open CASCADE's own importer, tessellated finely enough that the facets do not count. */
async function read(text: string): Promise<Read> {
  const reader = await occt();
  const found = reader.ReadStepFile(new TextEncoder().encode(text), {
    linearUnit: 'millimeter',
    linearDeflectionType: 'absolute_value',
    linearDeflection: 0.004,
    angularDeflection: 0.5,
  });
  expect(found.success).toBe(true);
  let volume = 0;
  const [min, max] = [
    [Infinity, Infinity, Infinity],
    [-Infinity, -Infinity, -Infinity],
  ];
  for (const { attributes, index } of found.meshes) {
    const at = attributes.position.array;
    const corner = (i: number): Vec3 => [at[3 * i]!, at[3 * i + 1]!, at[3 * i + 2]!];
    for (let i = 0; i < index.array.length; i += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => corner(index.array[i + k]!)) as [Vec3, Vec3, Vec3];
      volume +=
        (a[0] * (b[1] * c[2] - b[2] * c[1]) -
          a[1] * (b[0] * c[2] - b[2] * c[0]) +
          a[2] * (b[0] * c[1] - b[1] * c[0])) /
        6;
    }
    for (let i = 0; i < at.length; i++) {
      min[i % 3] = Math.min(min[i % 3]!, at[i]!);
      max[i % 3] = Math.max(max[i % 3]!, at[i]!);
    }
  }
  return {
    names: found.meshes.map((mesh) => mesh.name),
    volumeMm3: volume,
    min: min as unknown as Vec3,
    max: max as unknown as Vec3,
  };
}

describe('tubes as STEP, read by occt-import-js', () => {
  test.each<[string, Vec3[]]>([
    [
      'straight along x',
      [
        [0, 0, 0],
        [300, 0, 0],
      ],
    ],
    [
      'one square bend',
      [
        [0, 0, 0],
        [200, 0, 0],
        [200, 150, 0],
      ],
    ],
    [
      'out of plane',
      [
        [0, 0, 0],
        [200, 0, 0],
        [200, 150, 0],
        [200, 150, 120],
      ],
    ],
    [
      'askew',
      [
        [10, -20, 30],
        [180, 40, 60],
        [260, -90, 210],
        [400, -60, 180],
      ],
    ],
    [
      'a bend right at its end',
      [
        [0, 0, 0],
        [15, 0, 0],
        [15, 100, 0],
      ],
    ],
  ])('%s: the metal it holds, and where it lies, to 0.5 %%', async (_, nodesMm) => {
    const made = tube(nodesMm);
    const found = await read(tubesStep([made], '2026-01-01T00:00:00Z'));
    expect(found.volumeMm3 / metalMm3(made)).toBeCloseTo(1, 2);
    expect(Math.abs(found.volumeMm3 / metalMm3(made) - 1)).toBeLessThan(0.005);
    const line = polyline(made.pieces, 1);
    for (const axis of [0, 1, 2] as const) {
      const values = line.map((p) => p[axis]);
      const size = Math.max(...values) - Math.min(...values) + 4.7625;
      // An end that points along an axis has no half of the tube beyond it.
      expect(found.max[axis] - found.min[axis]).toBeGreaterThan((size - 4.7625) * 0.995);
      expect(found.max[axis] - found.min[axis]).toBeLessThan(size * 1.005);
    }
  });

  test('lines of the demo, each a product by its name', async () => {
    const tubes = gannet.lines.slice(0, 3).map((v) => ({
      name: v.line.name,
      pieces: v.pieces,
      odMm: v.tube.odMm,
      wallMm: v.tube.wallMm,
    }));
    const found = await read(tubesStep(tubes, '2026-01-01T00:00:00Z'));
    expect([...found.names].sort()).toEqual(tubes.map((t) => t.name).sort());
    const metal = tubes.reduce((sum, t) => sum + metalMm3(t), 0);
    expect(Math.abs(found.volumeMm3 / metal - 1)).toBeLessThan(0.005);
  });

  test('a name with a quote or a letter from elsewhere does not break the file', async () => {
    const found = await read(
      tubesStep(
        [
          {
            ...tube([
              [0, 0, 0],
              [100, 0, 0],
            ]),
            name: "R1 'né' \\ 2",
          },
        ],
        'now',
      ),
    );
    expect(found.names).toHaveLength(1);
  });
});

describe('tubes read from STEP', () => {
  const BENT: Vec3[] = [
    [10, -20, 30],
    [180, 40, 60],
    [260, -90, 210],
    [400, -60, 180],
  ];
  const same = (found: readonly Vec3[], asked: readonly Vec3[], scale = 1): void => {
    const text = (nodes: readonly Vec3[], by: number): string[] =>
      nodes.map((node) => node.map((v) => Math.round(v * by * 1e4) / 1e4 + 0).join(' '));
    expect([text(asked, scale), text([...asked].reverse(), scale)]).toContainEqual(text(found, 1));
  };

  test('any bent line comes back with its corners, ends, name and diameter', () => {
    const step = fc.tuple(
      fc.integer({ min: 0, max: 5 }),
      fc.integer({ min: 45, max: 400 }),
      fc.integer({ min: -40, max: 40 }),
    );
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
        const nodes: Vec3[] = [[5, 6, 7]];
        let before = -1;
        for (const [way, long, askew] of steps) {
          if (way >> 1 === before >> 1 && before >= 0) continue;
          before = way;
          const to = [...nodes.at(-1)!];
          to[way >> 1]! += (way & 1 ? 1 : -1) * long;
          to[((way >> 1) + 1) % 3]! += askew / 4;
          nodes.push(to as unknown as Vec3);
        }
        const [found] = readTubesStep(tubesStep([tube(nodes)], 'now'));
        same(found!.nodesMm, nodes);
        expect(found!.name).toBe('T');
        expect(found!.odMm).toBeCloseTo(4.7625, 6);
      }),
      { numRuns: 60 },
    );
  });

  test('lines of the demo, several in one file', () => {
    const tubes = gannet.lines.map((v) => ({
      name: v.line.name,
      pieces: v.pieces,
      odMm: v.tube.odMm,
      wallMm: v.tube.wallMm,
    }));
    const found = readTubesStep(tubesStep(tubes, 'now'));
    expect(found.map(({ name }) => name)).toEqual(gannet.lines.map((v) => v.line.name));
    for (const [i, { nodesMm }] of found.entries()) same(nodesMm, gannet.lines[i]!.nodesMm);
  });

  const made = tubesStep([tube(BENT)], 'now');
  test.each([
    ['meters', '(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT($,.METRE.))', 1000],
    ['centimeters', '(LENGTH_UNIT() NAMED_UNIT(*) SI_UNIT(.CENTI.,.METRE.))', 10],
    ['inches', "(CONVERSION_BASED_UNIT('INCH',#9)LENGTH_UNIT()NAMED_UNIT(#8))", 25.4],
  ])('a file in %s', (_, unit, scale) => {
    // A tube of centimeters, so that in meters it is still one of a vehicle's.
    const small = BENT.map((at) => at.map((v) => v / 20)) as unknown as Vec3[];
    const [found] = readTubesStep(
      tubesStep([tube(small, 0.5)], 'now').replace(/\(LENGTH_UNIT\(\).*?\)\);/, `${unit};`),
    );
    same(found!.nodesMm, small, scale);
    expect(found!.odMm).toBeCloseTo(4.7625 * scale, 4);
  });

  test('a skin cut lengthwise into two faces, as other writers have it, over several rows and with remarks', () => {
    const halves = made
      .replace(/CLOSED_SHELL\('',\((#\d+),(#\d+)/, "CLOSED_SHELL('',($1,$2,\n  $2 , $1")
      .replace('DATA;', 'DATA;\n/* #1=a remark; */');
    same(readTubesStep(halves)[0]!.nodesMm, BENT);
  });

  test.each([
    ['nothing of the kind', 'solid a', /Not a STEP file/],
    ['no solid', made.replace('MANIFOLD_SOLID_BREP', 'FACETED_BREP'), /The file has no solid/],
    [
      'no unit',
      made.replace('SI_UNIT(.MILLI.,.METRE.)', 'SI_UNIT(.KILO.,.METRE.)'),
      /The file does not say whether it is in millimeters, meters or inches/,
    ],
    [
      'an assembly that moves its parts',
      `${made}#9=ITEM_DEFINED_TRANSFORMATION('','',#1,#2);`,
      /The file is an assembly that moves its solids/,
    ],
    [
      'a lost instance',
      made.replace(/#\d+=CLOSED_SHELL.*?;/, ''),
      /it refers to #312, which is missing/,
    ],
    [
      'a face removed',
      made.replace(/(CLOSED_SHELL\('',\(#\d+),#\d+/, '$1'),
      /T is not a plain tube: it has 4 ends/,
    ],
    [
      'a place that is none',
      made.replace(/(CARTESIAN_POINT\('',\()[^,]+/g, '$1'),
      /T is not a plain tube/,
    ],
    [
      'a place far away',
      made.replace(
        '(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.))',
        '(LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT($,.METRE.))',
      ),
      /T has a corner far outside any vehicle, or with no position/,
    ],
    [
      'no round skin',
      made.replaceAll(/CYLINDRICAL_SURFACE|TOROIDAL_SURFACE/g, 'B_SPLINE_SURFACE'),
      /T is not a tube: it has no round skin/,
    ],
  ])('%s ends in a sentence', (_, text, sentence) => {
    expect(() => readTubesStep(text)).toThrow(sentence);
    expect(() => readTubesStep(text)).toThrow(InputError);
  });
});

describe('flat views and brackets as DXF, read by dxf-parser', () => {
  const parse = (text: string): { entities: any[] } => new DxfParser().parseSync(text) as never;

  test('every line stands there from above and from the left, to scale, on the layer of its circuit', () => {
    const lines = gannet.lines.map((v) => ({
      name: v.line.name,
      layer: gannet.circuits.get(v.line.circuitId)!.name,
      points: polyline(v.pieces, 5),
    }));
    const { entities } = parse(flatViewsDxf(lines));
    const runs = entities.filter((e) => e.type === 'LWPOLYLINE');
    expect(runs).toHaveLength(2 * lines.length);
    for (const [i, line] of lines.entries()) {
      const [above, left] = [runs[2 * i], runs[2 * i + 1]];
      expect(above.layer).toBe(line.layer);
      above.vertices.forEach((v: { x: number; y: number }, k: number) =>
        expect([v.x, v.y]).toEqual([
          expect.closeTo(line.points[k]![0], 6),
          expect.closeTo(line.points[k]![1], 6),
        ]),
      );
      const [first, last] = [left.vertices[0], left.vertices.at(-1)];
      expect(last.y - first.y).toBeCloseTo(line.points.at(-1)![2] - line.points[0]![2], 6);
    }
    expect(entities.filter((e) => e.type === 'TEXT').map((e) => e.text)).toEqual(
      lines.map((l) => l.name),
    );
  });

  test('a bracket is its strip, three holes and a bend, 1:1', () => {
    const bracket = { name: 'R1 at 2427', standoffMm: 118 };
    const { entities } = parse(bracketsDxf([bracket, { name: 'F1', standoffMm: 42 }]));
    const outline = entities.find((e) => e.type === 'LWPOLYLINE');
    const xs = outline.vertices.map((v: { x: number }) => v.x);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(bracketFlat(bracket).lengthMm, 6);
    expect(bracketFlat(bracket).lengthMm).toBe(40 + 118 + 12);
    expect(outline.shape).toBe(true);
    const holes = entities.filter((e) => e.type === 'CIRCLE');
    expect(holes).toHaveLength(6);
    // The clip's hole stands off the bend by what the tube stands off the frame.
    expect(holes[2].center.x - entities.find((e) => e.type === 'LINE').vertices[0].x).toBeCloseTo(
      118,
      6,
    );
    expect(holes.every((hole) => hole.radius === 3.3)).toBe(true);
  });

  test('nothing to draw is an empty drawing, not a fault', () => {
    expect(parse(flatViewsDxf([])).entities).toEqual([]);
    expect(parse(bracketsDxf([])).entities).toEqual([]);
  });
});

describe('center lines as CSV', () => {
  test('what is written reads back to a thousandth', () => {
    const mm = fc.integer({ min: -9_999_999, max: 9_999_999 }).map((n) => n / 1000);
    const line = fc.record({
      name: fc.string({ minLength: 1, maxLength: 12 }).filter((s) => s.trim() === s && s !== ''),
      nodesMm: fc.array(fc.tuple(mm, mm, mm), { minLength: 2, maxLength: 8 }),
    });
    fc.assert(
      fc.property(fc.uniqueArray(line, { maxLength: 6, selector: (l) => l.name }), (lines) =>
        expect(readCenterLinesCsv(centerLinesCsv(lines))).toEqual(lines.length ? lines : []),
      ),
    );
  });

  test.each(['=1+1', "'@", "''=a", "'quoted'", '-3'])(
    'a name like %s is no formula to a spreadsheet and comes back',
    (name) => {
      const lines = [
        {
          name,
          nodesMm: [
            [0, 0, 0],
            [1, 0, 0],
          ] as const,
        },
      ];
      const written = centerLinesCsv(lines);
      expect(written).not.toMatch(/^"?[=+\-@]/m);
      expect(readCenterLinesCsv(written)).toEqual(lines);
    },
  );

  test('columns in another order, more of them, and a byte order mark are read', () => {
    const text = '\ufeffz_mm;line;x_mm;y_mm;who\n500;R1;0;-400;A\n510;R1;200;-400;A\n';
    expect(readCenterLinesCsv(text)).toEqual([
      {
        name: 'R1',
        nodesMm: [
          [0, -400, 500],
          [200, -400, 510],
        ],
      },
    ]);
  });

  test.each([
    ['line,x_mm,y_mm\nR1,0,0', '', /column "z_mm" is missing/],
    [
      'line,x_mm,y_mm,z_mm\nR1,0,zero,0\nR1,1,1,1',
      'rows[0].y_mm',
      /Row 2: "zero" in y_mm is not a coordinate/,
    ],
    ['line,x_mm,y_mm,z_mm\nR1,0,,0', 'rows[0].y_mm', /Row 2: "" in y_mm/],
    ['line,x_mm,y_mm,z_mm\nR1,0,1e9,0', 'rows[0].y_mm', /"1e9"/],
    ['line,x_mm,y_mm,z_mm\n,0,0,0', 'rows[0].line', /Row 2 has no line name/],
    ['line,x_mm,y_mm,z_mm\nR1,0,0,0', '', /R1 has one point/],
    ['', '', /column "line" is missing/],
  ])('%j is refused with its place', (text, path, sentence) => {
    try {
      readCenterLinesCsv(text);
      throw new Error('not refused');
    } catch (error) {
      expect(error).toBeInstanceOf(InputError);
      expect(error).toMatchObject({ path, message: expect.stringMatching(sentence) });
    }
  });
});

describe('plates and tables', () => {
  test('a plate in DXF: outline, a round hole, one with two flats, its bend on a layer of its own (dxf-parser)', () => {
    const plate = {
      name: 'Tab A',
      widthMm: 40,
      heightMm: 60,
      bendMm: 26,
      holes: [
        { acrossMm: 0, upMm: 44, diameterMm: 12.2, flatsMm: 10.2 },
        { acrossMm: 5, upMm: 11, diameterMm: 8.5, flatsMm: null },
      ],
    };
    const entities = new DxfParser().parseSync(
      platesDxf([plate, { ...plate, name: 'Tab B', bendMm: null, holes: [] }]),
    )!.entities as {
      type: string;
      layer: string;
      vertices?: { x: number; y: number }[];
      center?: { x: number; y: number };
      radius?: number;
    }[];
    const cut = entities.filter(({ layer }) => layer === 'cut');
    expect(
      cut
        .filter(({ type }) => type === 'CIRCLE')
        .map(({ center, radius }) => [center!.x, center!.y, radius]),
    ).toEqual([[25, 11, 4.25]]);
    const [outline, flats, second] = cut
      .filter(({ type }) => type === 'LWPOLYLINE')
      .map(({ vertices }) => vertices!);
    expect(outline!.map(({ x, y }) => [x, y])).toEqual([
      [0, 0],
      [40, 0],
      [40, 60],
      [0, 60],
    ]);
    expect(
      Math.max(...flats!.map(({ y }) => y)) - Math.min(...flats!.map(({ y }) => y)),
    ).toBeCloseTo(10.2, 6);
    expect(
      Math.max(...flats!.map(({ x }) => x)) - Math.min(...flats!.map(({ x }) => x)),
    ).toBeCloseTo(12.2, 6);
    // The second plate lies beside the first.
    expect(Math.min(...second!.map(({ x }) => x))).toBeGreaterThan(40);
    expect(entities.filter(({ layer, type }) => layer === 'bend' && type === 'LINE')).toHaveLength(
      1,
    );
  });

  test('a table comes back as it went, whatever stands in it; what begins like a formula is marked', () => {
    const rows = [
      ['What', 'Price'],
      ['Nut, 3/8-24', '1,20'],
      ['a "quoted" one', ''],
    ];
    expect(csvRows(tableCsv(rows))).toEqual(rows);
    expect(tableCsv([['=1+1', 2]])).toMatch(/^"?'=1\+1/);
    expect(csvRows('Nut;1,20\nClip;0,30')).toEqual([
      ['Nut', '1,20'],
      ['Clip', '0,30'],
    ]);
  });
});
