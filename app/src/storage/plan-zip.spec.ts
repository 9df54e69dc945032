import { PlanFileError } from '@firm-line/core/plan';
import { strToU8, zipSync } from 'fflate';
import { whyNotKept } from './photos';
import { unzipPlan, zipPlan } from './plan-zip';

const faults = (bytes: Uint8Array): string => {
  try {
    unzipPlan(bytes);
    return '';
  } catch (error) {
    expect(error).toBeInstanceOf(PlanFileError);
    return (error as PlanFileError).faults[0]!.message;
  }
};

describe('a plan with its photographs in one file', () => {
  const photos = new Map([
    ['a1', new Uint8Array([1, 2, 3])],
    ['b-2', new Uint8Array([4])],
  ]);
  test('comes out as it went in', () => {
    const { text, photos: back } = unzipPlan(zipPlan('{"name":"Gänsesäger"}', photos));
    expect(text).toBe('{"name":"Gänsesäger"}');
    expect([...back].map(([digest, bytes]) => [digest, [...bytes]])).toEqual([
      ['a1', [1, 2, 3]],
      ['b-2', [4]],
    ]);
  });
  test('what is none, damaged, or without a plan is refused in a sentence; what else is in it is left out', () => {
    expect(faults(strToU8('nonsense'))).toBe(
      'This file cannot be unpacked. It is damaged, or not a zip file.',
    );
    expect(faults(zipPlan('{}', photos).slice(0, 40))).toMatch(/damaged/);
    expect(faults(zipSync({ 'other.txt': strToU8('x') }))).toBe(
      'There is no plan.firmline.json in it.',
    );
    const more = zipSync({
      'plan.firmline.json': strToU8('{}'),
      '../photos/evil.jpg': strToU8('x'),
      'photos/a b.jpg': strToU8('x'),
      'photos/ok.jpg': strToU8('x'),
    });
    expect([...unzipPlan(more).photos.keys()]).toEqual(['ok']);
  });
  test('what would be too big when it is unpacked is refused before it is', () => {
    // A hundred and sixty million noughts pack into little.
    const bomb = zipSync({ 'plan.firmline.json': new Uint8Array(160_000_000) }, { level: 1 });
    expect(bomb.length).toBeLessThan(2_000_000);
    expect(faults(bomb)).toMatch(/plan\.firmline\.json is too large when unpacked/);
  });
  test('no room in the browser is said, and that nothing was lost', () => {
    const full = Object.assign(new Error('full'), { name: 'QuotaExceededError' });
    expect(whyNotKept(full)).toMatch(/no room for more photographs\. Nothing was lost/);
    // As the library that keeps tables wraps it.
    expect(
      whyNotKept(Object.assign(new Error('aborted'), { name: 'AbortError', inner: full })),
    ).toMatch(/Nothing was lost/);
    expect(whyNotKept(new Error('It cannot be read.'))).toBe('It cannot be read.');
  });
});
