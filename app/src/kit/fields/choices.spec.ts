import { ChangeDetectionStrategy, Component, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { APP_PROVIDERS, openGannet } from '../../testing/open-gannet';
import { OptionalNumberField } from './optional-number-field';
import { SelectField, type Choice } from './select-field';

@Component({
  changeDetection: ChangeDetectionStrategy.OnPush,
  imports: [OptionalNumberField, SelectField],
  template: `
    <fl-select-field
      field="kind"
      label="Kind"
      [options]="kinds()"
      [value]="kind()"
      (changed)="kind.set($event)"
    />
    <fl-select-field
      field="port"
      label="Port"
      none="none yet"
      [options]="ports"
      [value]="port()"
      (changed)="port.set($event || null)"
    />
    <fl-optional-number-field
      label="Free play"
      unit="length"
      [least]="0"
      [most]="50"
      [value]="play()"
      (changed)="play.set($event)"
    />
    <fl-optional-number-field
      label="Rated, MPa"
      none="no sheet"
      [least]="1"
      [most]="200"
      [value]="rated()"
      (changed)="rated.set($event)"
    />
  `,
})
class Host {
  readonly kinds = signal<readonly Choice[]>([
    ['disc', 'Disc'],
    ['drum', 'Drum'],
  ]);
  readonly ports = [
    { id: 'p1', name: 'Front' },
    { id: 'p2', name: 'Rear' },
  ];
  readonly kind = signal('drum');
  readonly port = signal<string | null>(null);
  readonly play = signal<number | null>(2);
  readonly rated = signal<number | null>(null);
}

async function host(id: string) {
  TestBed.configureTestingModule({ providers: APP_PROVIDERS });
  const store = await openGannet(id);
  const fixture = TestBed.createComponent(Host);
  await fixture.whenStable();
  const root = fixture.nativeElement as HTMLElement;
  const select = (name: string): HTMLSelectElement => root.querySelector(`#${name}`)!;
  const shown = (name: string): string[] =>
    [...select(name).options].map((one) => `${one.selected ? '*' : ''}${one.text}`);
  const [play, rated] = root.querySelectorAll('input') as unknown as [
    HTMLInputElement,
    HTMLInputElement,
  ];
  const put = async (
    field: HTMLInputElement | HTMLSelectElement,
    value: string,
  ): Promise<string> => {
    field.value = value;
    field.dispatchEvent(new Event('change'));
    await fixture.whenStable();
    return root.querySelector('.fault')?.textContent!.trim() ?? '';
  };
  return { store, root, fixture, select, shown, play, rated, put, host: fixture.componentInstance };
}

describe('a labelled choice', () => {
  test('shows what is chosen under its label, by pair or by id and name, and hands on the id of another', async () => {
    const at = await host('c1');
    expect(at.root.querySelector('label[for=kind]')!.textContent).toBe('Kind');
    expect([at.shown('kind'), at.shown('port')]).toEqual([
      ['Disc', '*Drum'],
      ['*none yet', 'Front', 'Rear'],
    ]);
    await at.put(at.select('kind'), 'disc');
    await at.put(at.select('port'), 'p2');
    expect([at.host.kind(), at.host.port()]).toEqual(['disc', 'p2']);
    await at.put(at.select('port'), '');
    expect(at.host.port()).toBeNull();
  });
  test('what is chosen and no longer offered is shown all the same, so that it is not changed unseen', async () => {
    const at = await host('c2');
    at.host.kinds.set([['disc', 'Disc']]);
    await at.fixture.whenStable();
    expect(at.shown('kind')).toEqual(['Disc', '*drum']);
    expect(at.host.kind()).toBe('drum');
  });
});

describe('a figure that may not be known', () => {
  test('empty is not known, and says what that means', async () => {
    const at = await host('m1');
    expect([at.play.value, at.play.placeholder, at.rated.value, at.rated.placeholder]).toEqual([
      '2',
      'not known',
      '',
      'no sheet',
    ]);
    expect(await at.put(at.play, ' ')).toBe('');
    expect(at.host.play()).toBeNull();
    expect(await at.put(at.rated, '13,8')).toBe('');
    expect(at.host.rated()).toBe(13.8);
  });
  test('lengths are read in the units of the plan or with their own', async () => {
    const at = await host('m2');
    await at.put(at.play, '1/8 in');
    expect(at.host.play()).toBeCloseTo(3.175, 9);
    at.store.apply({ edit: 'setUnits', with: { units: 'inch' } });
    await at.fixture.whenStable();
    expect(at.play.value).toBe('1/8');
    await at.put(at.play, '1');
    expect(at.host.play()).toBe(25.4);
  });
  test.each([
    ['play', 'some', /cannot be read/],
    ['play', '60', /^60 cannot be used: must be 50 mm or less\.$/],
    ['rated', '0.5', /^0\.5 cannot be used: must be 1 or more\.$/],
    ['rated', '1e3', /^"1e3" is not a number\.$/],
  ] as const)('%s of "%s" is said and not taken', async (which, text, sentence) => {
    const at = await host(`m-${text}`);
    expect(await at.put(at[which], text)).toMatch(sentence);
    expect([at.host.play(), at.host.rated()]).toEqual([2, null]);
    expect(at[which].getAttribute('aria-invalid')).toBe('true');
  });
});
