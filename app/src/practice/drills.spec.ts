import { TestBed } from '@angular/core/testing';
import type { Type } from '@angular/core';
import { APP_PROVIDERS } from '../testing/open-gannet';
import { BleedDrillPage } from './bleed-drill-page';
import { FaultDrillPage } from './fault-drill-page';

async function open<T>(type: Type<T>) {
  TestBed.configureTestingModule({ providers: APP_PROVIDERS });
  const fixture = TestBed.createComponent(type);
  const root = fixture.nativeElement as HTMLElement;
  await fixture.whenStable();
  return {
    texts: (selector: string): string[] =>
      [...root.querySelectorAll(selector)].map((e) => e.textContent!.replace(/\s+/g, ' ').trim()),
    press: async (at: string | HTMLElement): Promise<void> => {
      (typeof at === 'string'
        ? [...root.querySelectorAll('button')].find((b) => b.textContent!.trim().startsWith(at))!
        : at
      ).click();
      await fixture.whenStable();
    },
    buttons: (selector: string): HTMLButtonElement[] => [
      ...root.querySelectorAll<HTMLButtonElement>(`${selector} button`),
    ],
  };
}

describe('bleed a vehicle', () => {
  const reservoir = (at: Awaited<ReturnType<typeof open>>): number =>
    parseInt(at.texts('[data-test=drill-reservoir]')[0]!, 10);
  test('strokes are counted, the reservoir falls and is topped up, and the work is judged beside the usual way', async () => {
    const at = await open(BleedDrillPage);
    const full = reservoir(at);
    for (let i = 0; i < 3; i++) await at.press('Pedal down, close, pedal up');
    expect(at.texts('[data-test=drill-strokes]')).toEqual(['3']);
    expect(reservoir(at)).toBeLessThan(full);
    expect(at.texts('[data-test=drill-out]')[0]).toMatch(/Only air came out|Bubbles/);
    await at.press('Top up');
    expect(reservoir(at)).toBe(full);
    await at.press('Wait a minute');
    expect(at.texts('[data-test=drill-out]')[0]).toMatch(/One minute passes/);
    await at.press('Check the result');
    expect(at.texts('[data-test=drill-score]')[0]).toMatch(
      /mL of air left, \d+ mL used in 3 strokes\. The usual method/,
    );
    // It is judged: no corner is chosen any more.
    expect(at.buttons('[aria-label="Your turn"] .grid').every(({ disabled }) => disabled)).toBe(
      true,
    );
    await at.press('Another vehicle');
    expect(at.texts('[data-test=drill-strokes]')).toEqual(['0']);
    expect(at.texts('[data-test=drill-score]')).toEqual([]);
  });
});

describe('find the fault', () => {
  test('looks cost their minutes once; an answer ends it and says what it was', async () => {
    const at = await open(FaultDrillPage);
    const minutes = (): number => parseInt(at.texts('[data-test=fault-minutes]')[0]!, 10);
    expect(minutes()).toBe(0);
    const looks = at.buttons('[aria-label=Instruments]');
    expect(looks.length).toBeGreaterThan(5);
    let sum = 0;
    for (const look of looks) {
      sum += parseInt(look.textContent!.match(/(\d+) min/)![1]!, 10);
      await at.press(look);
    }
    await at.press('Nothing');
    expect(minutes()).toBe(sum);
    expect(looks.every(({ disabled }) => disabled)).toBe(true);
    const [result] = at.texts('[data-test=fault-result]');
    expect(result).toMatch(
      /^(Right|No: .*), after \d+ minutes\. ?From the same checks, the fault finder ranks: .* \d+ %/,
    );
    await at.press('Another vehicle');
    expect(minutes()).toBe(0);
  });
});
