import { provideZonelessChangeDetection } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { until } from '../testing/open-gannet';
import { PlanDb } from '../storage/plan-db';
import { readDraft, writeDraft } from './draft';
import { SetOutPage } from './set-out-page';

jest.setTimeout(60_000);
async function page() {
  TestBed.configureTestingModule({
    providers: [provideZonelessChangeDetection(), provideRouter([{ path: '**', children: [] }])],
  });
  const fixture = TestBed.createComponent(SetOutPage);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const field = (ask: string) =>
    root.querySelector<HTMLInputElement | HTMLSelectElement>(`[data-ask=${ask}]`)!;
  const say = async (ask: string, text: string): Promise<void> => {
    field(ask).value = text;
    field(ask).dispatchEvent(new Event('change'));
    await fixture.whenStable();
  };
  const press = async (name: string): Promise<void> => {
    [...root.querySelectorAll('button')].find((b) => b.textContent!.trim() === name)!.click();
    await fixture.whenStable();
  };
  const words = (selector: string): string =>
    root.querySelector(selector)?.textContent?.replace(/\s+/g, ' ').trim() ?? '';
  return { fixture, root, field, say, press, words };
}
beforeEach(() => sessionStorage.clear());

describe('the page on which a plan is set out', () => {
  test('sentences stand with their defaults, and the picture with its dimensions', async () => {
    const at = await page();
    expect(at.words('ol li')).toMatch(/^1 ?.*wheelbase.*, track.*front and.*rear, on.*tires\.$/);
    expect(
      [...at.root.querySelectorAll('fl-set-out-picture text')].map((t) => t.textContent!.trim()),
    ).toEqual(expect.arrayContaining(['2650', '860', '1500', 'Tandem master']));
    expect(at.words('[data-test=sums]')).toMatch(/^\d+ parts, \d+ lines, \d+ hoses/);
  });

  test.each([
    ['wheelbaseMm', `7'6"`, 2286],
    ['wheelbaseMm', '2.6 m', 2600],
    ['topKmh', '60 mph', 96.56064],
    ['topKmh', '110', 110],
    ['emptyKg', '3000 lb', 1360.77711],
    ['ladenKg', '2 t', 2000],
  ])(
    '%s said as %s is taken as it is meant and stands as it was said',
    async (ask, text, value) => {
      const at = await page();
      await at.say(ask, text);
      expect(at.field(ask).value).toBe(text);
      // 1 ft = 304.8 mm, 1 mile = 1.609344 km, 1 lb = 0.45359237 kg (NIST SP 811).
      expect(readDraft()!.answers[ask as 'topKmh']).toBeCloseTo(value, 4);
      expect(readDraft()!.said).toEqual([ask]);
    },
  );

  test.each([
    ['wheelbaseMm', 'long', /Wheelbase: .*"long"/],
    ['topKmh', 'fast', /"fast" is not a number/],
    ['tyre', 'fat', /“fat” is not a known tire size/],
    ['ladenKg', '900', /Laden mass is 900 kg, less than the empty mass of 1400 kg/],
  ])(
    '%s said as %s is refused in a sentence, and nothing is set out meanwhile',
    async (ask, text, sentence) => {
      const at = await page();
      await at.say(ask, text);
      expect(at.words('footer .fault')).toMatch(sentence);
      expect(at.root.querySelector<HTMLButtonElement>('footer .btn-main')!.disabled).toBe(true);
      await at.say(ask, String(ask === 'tyre' ? '195/60 R15' : 2500));
      expect(at.words('footer .fault')).toBe(
        ask === 'topKmh' ? 'Top speed of 2500 km/h is outside 10 to 400 km/h.' : '',
      );
    },
  );

  test('what is kept and what comes off is said where a vehicle is changed', async () => {
    const at = await page();
    await at.say('job', 'rear');
    await until(() => at.words('footer').includes('Parts to remove:'));
    expect(at.words('footer')).toMatch(
      /Parts to remove: rear calipers, or drums with their cylinders; rear hose or hoses; rear lines\./,
    );
    await at.press('Set out the plan');
    await until(() => TestBed.inject(Router).url.includes('/measure'));
    const { plan } = (await TestBed.inject(PlanDb).get(TestBed.inject(Router).url.split('/')[2]!))!;
    expect(plan.lines.filter(({ origin }) => origin === 'made').map(({ name }) => name[0])).toEqual(
      ['R', 'R', 'R'],
    );
    expect(plan.lines.filter(({ origin }) => origin === 'kept').map(({ name }) => name)).toEqual([
      'F1',
      'F2',
      'F3',
      'C1',
    ]);
    // The draft goes with it: the next plan begins anew.
    expect(readDraft()).toBeNull();
  });

  test('a draft that cannot be read is not', () => {
    for (const kept of [
      '',
      'null',
      '{',
      '{"answers":{"vehicle":"ship"}}',
      '{"answers":{"vehicle":"van","tyre":"fat"},"said":[]}',
    ]) {
      sessionStorage.setItem('firm-line-set-out', kept);
      expect(readDraft()).toBeNull();
    }
    writeDraft(null);
    expect(sessionStorage.length).toBe(0);
  });

  test('millimeters or inches, as the button says', async () => {
    const at = await page();
    await at.press('mm');
    expect(at.field('railsOverMm').value).toBe('33 27/32');
    expect(readDraft()!.answers.railsOverMm).toBe(860);
  });
});
