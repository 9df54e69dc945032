import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import fc from 'fast-check';
import { TestBed } from '@angular/core/testing';
import { APP_PROVIDERS, openGannet } from '../../testing/open-gannet';
import { LengthField } from './length-field';
import { NumberField } from './number-field';
import { nearest, toPolyline } from '../picking';
import type { Vec3 } from '@firm-line/core/lib/vec';
import { shownUnits } from '@firm-line/core/lib/units';
import { shownNumber } from './shown-number';
import { VectorField } from './vector-field';
import { Notices } from '../notices';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [LengthField, NumberField],
  template: `
    <fl-length-field
      label="Stroke"
      [valueMm]="mm()"
      [leastMm]="1"
      [mostMm]="500"
      (changed)="mm.set($event)"
    />
    <fl-number-field
      label="Ratio"
      [value]="ratio()"
      [least]="1"
      [most]="10"
      (changed)="ratio.set($event)"
    />
  `,
})
class Host {
  readonly mm = signal(120);
  readonly ratio = signal(6.2);
}

async function host(id: string) {
  TestBed.configureTestingModule({ providers: APP_PROVIDERS });
  const store = await openGannet(id);
  const fixture = TestBed.createComponent(Host);
  await fixture.whenStable();
  const [length, number] = fixture.nativeElement.querySelectorAll('input') as [
    HTMLInputElement,
    HTMLInputElement,
  ];
  const type = async (field: HTMLInputElement, text: string): Promise<string> => {
    field.value = text;
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    return fixture.nativeElement.querySelector('.fault')?.textContent.trim() ?? '';
  };
  return {
    store,
    fixture,
    length: length!,
    number: number!,
    type,
    host: fixture.componentInstance,
  };
}

describe('fields', () => {
  test('shown in either system and left as it stands, a length is not changed by it: property', async () => {
    const at = await host('l0');
    for (const mm of fc.sample(fc.double({ min: 1, max: 500, noNaN: true }), {
      numRuns: 60,
      seed: 14,
    })) {
      at.host.mm.set(mm);
      for (const units of ['inch', 'metric'] as const) {
        at.store.apply({ edit: 'setUnits', with: { units } });
        await at.fixture.whenStable();
        expect(await at.type(at.length, at.length.value)).toBe('');
        expect(at.host.mm()).toBe(mm);
      }
    }
  });

  test('a length is taken as people say it and shown in the units of the plan, the other beside it', async () => {
    const at = await host('l1');
    expect([at.length.value, at.length.title]).toEqual(['120', '4 23/32 in']);
    expect(await at.type(at.length, '4 1/2 in')).toBe('');
    expect(at.host.mm()).toBeCloseTo(114.3, 9);
    at.store.apply({ edit: 'setUnits', with: { units: 'inch' } });
    await at.fixture.whenStable();
    expect([at.length.value, at.length.title]).toEqual(['4 1/2', '114.3 mm']);
    await at.type(at.length, '5');
    expect(at.host.mm()).toBe(127);
  });

  test.each([
    ['0', /must be 1 mm or more/],
    ['2 m', /must be 500 mm or less/],
    ['2,850', /2\.850 or 2850/],
    ['long', /cannot be read/],
  ])(
    'a length of "%s" is said and not taken, and Escape brings the old one back',
    async (text, sentence) => {
      const at = await host(`l-${text}`);
      expect(await at.type(at.length, text)).toMatch(sentence);
      expect(at.host.mm()).toBe(120);
      expect(at.length.getAttribute('aria-invalid')).toBe('true');
      at.length.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape' }));
      await at.fixture.whenStable();
      expect(at.length.value).toBe('120');
      expect(at.length.getAttribute('aria-invalid')).toBeNull();
    },
  );

  test.each([
    ['7,5', 7.5, ''],
    ['0.5', 6.2, '0.5 cannot be used: must be 1 or more.'],
    ['11', 6.2, '11 cannot be used: must be 10 or less.'],
    ['six', 6.2, '"six" is not a number.'],
  ])('a number of "%s" becomes %f', async (text, value, sentence) => {
    const at = await host(`n-${text}`);
    expect(await at.type(at.number, text)).toBe(sentence);
    expect(at.host.ratio()).toBe(value);
  });
});

describe('a figure whose label ends in a unit', () => {
  const [metric, inch] = [shownUnits('metric'), shownUnits('inch')];
  const read = (text: string, label: string, units = metric) =>
    shownNumber(label, units).read(text);
  // NIST SP 811: 1 psi 6.894757 kPa, 1 mile 1.609344 km, 1 ft 0.3048 m, 1 lbf·ft 1.355818 N·m, 1 lbf 4.448222 N.
  test.each([
    ['1,000 psi', 'Knee, MPa', 6.894757],
    ['72 bar', 'Knee, MPa', 7.2],
    ['60 mph', 'Top speed, km/h', 96.56064],
    ['130 ft', 'Stopping distance, m', 39.624],
    ['45 lbf ft', 'Torque, N·m', 61.01181],
    ['45 lbf·ft', 'Torque, N·m', 61.01181],
    ['110 lbf', 'Force, N', 489.3044],
    ['2 fl oz', 'Volume, mL', 59.14706],
  ])('takes %s for %s', (text, label, value) =>
    expect(read(text, label)).toEqual({ ok: true, value: expect.closeTo(value, 4) }),
  );
  test('says what does not fit; a plain figure has no unit', () => {
    expect(read('12 mm', 'Knee, MPa')).toMatchObject({ ok: false });
    expect(read('1.5', 'Ratio')).toEqual({ ok: true, value: 1.5 });
    expect(read('1.5 psi', 'Ratio')).toMatchObject({ ok: false });
  });
  test('is labelled, shown and read in the unit that was chosen for its kind', () => {
    const knee = shownNumber('Knee, MPa', inch);
    expect([knee.label, knee.show(6.894757), knee.words(6.894757)]).toEqual([
      'Knee, psi',
      '1000',
      '1000 psi',
    ]);
    expect(knee.read('1000')).toEqual({ ok: true, value: expect.closeTo(6.894757, 5) });
    expect(knee.read('7 MPa')).toEqual({ ok: true, value: expect.closeTo(7, 9) });
    expect(shownNumber('Knee, MPa', shownUnits('inch', { pressure: 'bar' })).label).toBe(
      'Knee, bar',
    );
    expect(shownNumber('Mass, kg', inch).label).toBe('Mass, kg');
  });
});

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [VectorField],
  template: `<fl-vector-field [valueMm]="at()" (changed)="take($event)" />`,
})
class VectorHost {
  readonly at = signal<Vec3>([1, 2, 3]);
  refuses = false;
  take(at: Vec3): void {
    if (!this.refuses) this.at.set(at);
  }
}
test('two lengths of three typed before the first is shown again are both kept; one that is refused goes no further', async () => {
  TestBed.configureTestingModule({ providers: APP_PROVIDERS });
  await openGannet('v1');
  const fixture = TestBed.createComponent(VectorHost);
  await fixture.whenStable();
  const fields = [...fixture.nativeElement.querySelectorAll('input')] as HTMLInputElement[];
  const type = (i: number, text: string): void => {
    fields[i]!.value = text;
    fields[i]!.dispatchEvent(new Event('change'));
  };
  type(0, '10');
  type(1, '20');
  type(2, '30');
  expect(fixture.componentInstance.at()).toEqual([10, 20, 30]);
  await fixture.whenStable();
  fixture.componentInstance.refuses = true;
  type(0, '77');
  fixture.componentInstance.refuses = false;
  fixture.detectChanges();
  await fixture.whenStable();
  type(1, '21');
  expect(fixture.componentInstance.at()).toEqual([10, 21, 30]);
});

describe('picking on a drawing', () => {
  test('distance to a polyline: beside it, past its ends, at a corner, a point alone', () => {
    const line = [
      [0, 0],
      [100, 0],
      [100, 50],
    ] as const;
    expect(toPolyline([50, 7], line)).toBe(7);
    expect(toPolyline([-3, -4], line)).toBe(5);
    expect(toPolyline([103, -4], line)).toBe(5);
    expect(
      toPolyline(
        [3, 4],
        [
          [0, 0],
          [0, 0],
        ],
      ),
    ).toBe(5);
  });
  test('the nearest within reach, else none', () => {
    const away = (n: number): number => Math.abs(n - 10);
    expect(nearest([1, 8, 14], 5, away)).toBe(8);
    expect(nearest([1, 20], 5, away)).toBeNull();
  });
});

describe('notices', () => {
  test('stand until closed, the same sentence once, four at the most', () => {
    const notices = TestBed.inject(Notices);
    notices.clear();
    for (const text of ['a', 'b', 'c', 'd', 'e', 'e']) notices.say(text);
    expect(notices.list().map((n) => n.text)).toEqual(['b', 'c', 'd', 'e']);
    notices.close(notices.list()[0]!.id);
    expect(notices.list()).toHaveLength(3);
  });
});
