import { supplyFit, wireSizeName, type SupplyRun } from './index.ts';
import { carriesA, dropV, WIRE_SIZES, type WireSize } from './wire-size.ts';

const run: SupplyRun = {
  currentA: 30,
  wayMm: 6000,
  wire: '6',
  ground: '6',
  breakerA: 30,
  breakerAtMm: 200,
  mostDropV: null,
};

const fit = (more: Partial<SupplyRun> = {}) => supplyFit({ ...run, ...more })!;

describe('the wire of an actuator', () => {
  test('is not judged while its current, its way or a wire is not known', () => {
    for (const key of ['currentA', 'wayMm', 'wire', 'ground'] as const)
      expect([key, supplyFit({ ...run, [key]: null })]).toEqual([key, null]);
  });
  // 2·30 A·6 m·0.0172 Ω·mm²/m ÷ 6 mm² = 1.032 V (practice value 1.03).
  test('loses 1.03 V of 12 at 30 A over 6 m of 6 mm²', () => {
    expect(fit().dropV).toBeCloseTo(1.032, 6);
    expect(dropV(30, 6000, '6')).toBeCloseTo(0.516, 6);
    // A thinner ground loses more than its half.
    expect(fit({ ground: '2.5' }).dropV).toBeCloseTo(0.516 + 1.2384, 6);
  });
  test('is the thinnest of its kind that loses no more than is allowed and carries the breaker', () => {
    // 2·30·6·0.0172/0.6 = 10.3 mm²: 16, or gauge 6 (13.3 mm²).
    expect(fit().take).toBe('16');
    expect(fit({ wire: 'awg-10', ground: 'awg-10' }).take).toBe('awg-6');
    expect(fit({ mostDropV: 1.04 }).take).toBe('6');
    // A short way loses nothing to speak of, and a breaker of 60 A still asks for 10 mm².
    expect(fit({ wayMm: 500, breakerA: 60 }).take).toBe('10');
    expect(fit({ wayMm: 60_000 }).take).toBeNull();
  });
  // ASTM B258: 0.127 mm · 92^((36 − n)/39) (from memory).
  test.each((Object.keys(WIRE_SIZES) as WireSize[]).filter((size) => size.startsWith('awg')))(
    '%s has the area that its number stands for',
    (size) => {
      const mm = 0.127 * 92 ** ((36 - Number(size.slice(4))) / 39);
      expect((Math.PI / 4) * mm * mm).toBeCloseTo(WIRE_SIZES[size], 1);
      expect(wireSizeName(size)).toMatch(/^AWG \d+, [\d.]+ mm²$/);
    },
  );
  // Tables after DIN 72551 (from memory): 2.5 mm² 32 A, 6 mm² 54 A.
  test('carries more the thicker it is, by its table', () => {
    expect([carriesA('2.5'), carriesA('6')]).toEqual([32, 54]);
    const sizes = (Object.keys(WIRE_SIZES) as WireSize[]).sort(
      (a, b) => WIRE_SIZES[a] - WIRE_SIZES[b],
    );
    sizes.slice(1).forEach((size, i) => {
      expect(carriesA(size)).toBeGreaterThan(carriesA(sizes[i]!));
    });
  });
});
