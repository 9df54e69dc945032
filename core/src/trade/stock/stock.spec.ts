import Qty from 'js-quantities';
import {
  ADAPTERS,
  adapterById,
  comesAs,
  END_FORMS,
  FLARES,
  FLUIDS,
  fluidById,
  isTaper,
  nutById,
  nutFitsTube,
  NUTS,
  REFUSED_TUBE,
  SEAT_FORMS,
  threadByName,
  THREADS,
  threadTakes,
  tubeBoreMm,
  tubeById,
  tubeLabel,
  TUBES,
  tubeVolumeMl,
} from './index.ts';

describe('tube', () => {
  // SAE J1047 sizes (from memory); bores and contents by hand: 3/16 x 0.028 in bores 3.340 mm and holds 8.76 mL/m, 1/4 x 0.028 in 4.928 mm and 19.07 mL/m.
  test.each([
    ['3-16-steel', 3.34, 8.76],
    ['1-4-steel', 4.928, 19.07],
    ['4.75-copper-nickel', 3.35, 8.814],
    ['6-copper-nickel', 4.6, 16.619],
    // Bore: outside less two walls; volume π/4·bore² by hand.
    ['5-16-steel', 6.5151, 33.338],
    ['3-8-steel', 8.1026, 51.563],
    ['5-steel', 3.5, 9.6211],
    ['8-steel', 6, 28.274],
  ])('%s bores %d mm and holds %d mL a metre', (id, boreMm, mlPerM) => {
    const tube = tubeById(id)!;
    expect(tubeBoreMm(tube)).toBeCloseTo(boreMm, 3);
    expect(tubeVolumeMl(tube, 1000)).toBeCloseTo(mlPerM, 2);
  });

  // js-quantities turns the inch sizes into mm on its own.
  test.each([
    ['3-16-steel', '0.1875 in', '0.028 in'],
    ['1-4-stainless', '0.25 in', '0.028 in'],
  ])('%s is the inch size it is called', (id, od, wall) => {
    const tube = tubeById(id)!;
    expect(tube.odMm).toBeCloseTo(Qty(od).to('mm').scalar, 9);
    expect(tube.wallMm).toBeCloseTo(Qty(wall).to('mm').scalar, 9);
  });

  test('every size comes in every material, once, under an id and a label of its own', () => {
    expect(new Set(TUBES.map((t) => t.id)).size).toBe(TUBES.length);
    expect(new Set(TUBES.map(tubeLabel)).size).toBe(TUBES.length);
    const [sizes, materials] = [
      TUBES.map(({ odMm }) => odMm),
      TUBES.map(({ material }) => material),
    ];
    for (const odMm of sizes)
      for (const material of materials)
        expect(TUBES.filter((t) => t.odMm === odMm && t.material === material)).toHaveLength(1);
  });

  test('tube that is no brake tube says so wherever it is named', () => {
    for (const tube of TUBES)
      expect(tubeLabel(tube).includes('not for brakes')).toBe(REFUSED_TUBE.includes(tube.material));
  });
});

describe('tube nuts', () => {
  // SAE J512 for the inverted flare, ISO 4038 and DIN 74233 for the bubble, SAE J514 for the sleeve nut (all from memory).
  test.each([
    ['3/8-24-inverted', '3/8-24 UNF', 0.1875],
    ['7/16-24-inverted', '7/16-24 UNS', 0.25],
    ['-3-sleeve', '3/8-24 UNF', 3 / 16],
    ['-4-sleeve', '7/16-20 UNF', 4 / 16],
    ['1/2-20-inverted', '1/2-20 UNF', 5 / 16],
    ['5/8-18-inverted', '5/8-18 UNF', 3 / 8],
    ['-5-sleeve', '1/2-20 UNF', 5 / 16],
    ['-6-sleeve', '9/16-18 UNF', 6 / 16],
  ])('%s has the thread %s for tube of %d in', (id, thread, inch) => {
    expect(nutById(id)!.thread).toBe(thread);
    expect(nutById(id)!.tubeOdMm).toBeCloseTo(inch * 25.4, 9);
  });

  test('each has a thread of the catalog that takes its flare, and a flare of the bench', () => {
    for (const nut of NUTS) {
      const thread = threadByName(nut.thread);
      expect(thread).toBeDefined();
      expect(FLARES[nut.flare]).toBeDefined();
      expect(threadTakes(thread!, nut.flare === 'cone-37' ? 'flare-37' : nut.flare)).toBe(true);
    }
  });

  test('3/16 in and 4.75 mm are one size to a nut, 6 mm and 1/4 in are two', () => {
    const fits = (id: string, tube: string): boolean =>
      nutFitsTube(nutById(id)!, tubeById(tube)!.odMm);
    expect([fits('M10x1-bubble', '3-16-steel'), fits('3/8-24-inverted', '4.75-steel')]).toEqual([
      true,
      true,
    ]);
    expect([fits('M12x1-bubble', '1-4-steel'), fits('7/16-24-inverted', '6-steel')]).toEqual([
      false,
      false,
    ]);
  });
});

describe('threads', () => {
  test('each of those asked for at the counter is there under its own name', () => {
    for (const name of [
      'M8x1.25',
      'M10x1',
      'M18x1.5',
      '5/16-24 UNF',
      '7/16-24 UNS',
      '3/4-16 UNF',
      '1/16-27 NPT',
      '1/4-18 NPT',
      'G 1/4',
      'R 1/8',
      'Rc 1/8',
      'Rp 1/8',
    ])
      expect(threadByName(name)?.name).toBe(name);
    expect(new Set(THREADS.map((t) => t.name)).size).toBe(THREADS.length);
  });

  // ISO 7-1: R is outside, Rc a taper inside, Rp parallel inside. ISO 228-1: G is parallel both ways. ASME B1.20.1: NPT tapers both ways.
  test.each([
    ['R 1/8', true, true, false],
    ['Rc 1/8', true, false, true],
    ['Rp 1/8', false, false, true],
    ['G 1/8', false, true, true],
    ['1/8-27 NPT', true, true, true],
  ])('%s: taper %s, male %s, female %s', (name, taper, male, female) => {
    const thread = threadByName(name)!;
    expect([isTaper(thread), comesAs(thread, 'male'), comesAs(thread, 'female')]).toEqual([
      taper,
      male,
      female,
    ]);
  });

  test('a pipe thread takes no flare and a fine thread no taper', () => {
    const takes = (name: string): string[] =>
      [...END_FORMS, ...SEAT_FORMS].filter((form) => threadTakes(threadByName(name)!, form));
    expect(takes('1/8-27 NPT')).not.toContain('bubble');
    expect(takes('M10x1')).not.toContain('npt-taper');
    expect(takes('3/8-24 UNF')).toEqual(
      expect.arrayContaining(['double-flare-45', 'cone-37', 'o-ring-boss', 'banjo']),
    );
  });
});

describe('adapters', () => {
  test('120 or more, each once, each on threads that carry them', () => {
    expect(ADAPTERS.length).toBeGreaterThanOrEqual(120);
    expect(new Set(ADAPTERS.map((a) => a.id)).size).toBe(ADAPTERS.length);
    for (const { id, halves, costMinor } of ADAPTERS) {
      expect(adapterById(id)!.halves.length).toBeGreaterThanOrEqual(1);
      expect(Number.isInteger(costMinor) && costMinor > 0).toBe(true);
      for (const half of halves) {
        const thread = threadByName(half.thread)!;
        expect(comesAs(thread, half.gender)).toBe(true);
        expect(threadTakes(thread, half.gender === 'male' ? half.end : half.seat)).toBe(true);
      }
    }
  });
});

describe('fluids', () => {
  // 49 CFR 571.116 S5.1.1 and S5.1.2 (from memory).
  test.each([
    ['dot-3', 205, 140],
    ['dot-4', 230, 155],
    ['dot-5', 260, 180],
    ['dot-5.1', 260, 180],
    // ISO 4925 class 6 (from memory).
    ['dot-4-thin', 250, 165],
  ])('%s boils dry at %d °C or above and wet at %d', (id, dry, wet) => {
    expect(fluidById(id)).toMatchObject({ dryBoilC: dry, wetBoilC: wet });
  });
  test('wet boils before dry, and only glycols share a family', () => {
    for (const f of FLUIDS) expect(f.wetBoilC === null || f.wetBoilC < f.dryBoilC!).toBe(true);
    expect(FLUIDS.filter((f) => f.family === 'glycol').map((f) => f.id)).toEqual([
      'dot-3',
      'dot-4',
      'dot-4-thin',
      'dot-5.1',
    ]);
    expect(FLUIDS.filter((f) => f.family === 'silicone').map((f) => f.id)).toEqual(['dot-5']);
  });
});
