import { station } from '../../testing/station';

const order = (at: Awaited<ReturnType<typeof station>>): string[] =>
  at.texts('[data-work=brake] tbody tr td:first-child').map((text) => text.replace(/^\d /, ''));

describe('the order on the maker’s sheet', () => {
  test('is taken as listed, moved, and wins over the length of pipe', async () => {
    const at = await station('fill', 'g1');
    await at.click(at.one<HTMLInputElement>('input[value=as-listed]'));
    expect(order(at)).toEqual(['Front left', 'Front right', 'Rear right', 'Rear left']);
    await at.click(at.button('Rear left earlier'));
    await at.click(at.button('Rear left earlier'));
    expect(order(at)).toEqual(['Front left', 'Rear left', 'Front right', 'Rear right']);
    await at.click(at.button('Front left later'));
    expect(order(at)[0]).toBe('Rear left');
    // The clutch has one bleeder: it needs no list.
    expect(at.texts('[data-work=clutch] tbody tr')).toHaveLength(1);
  });

  test('a bleeder that is not in the list is missed, and put in', async () => {
    const at = await station('fill', 'g2');
    at.store.apply({
      edit: 'changeBleeding',
      with: { patch: { school: 'as-listed', listed: ['bleed-rr', 'bleed-rl', 'bleed-fl'] } },
    });
    await at.settle();
    expect(at.texts('.fault')[0]).toMatch(/Brakes: "Front right.*" is not in the list/);
    const button = [...at.root.querySelectorAll<HTMLElement>('li')]
      .find((row) => row.textContent!.includes('Front right'))!
      .querySelector('button')!;
    await at.click(button);
    expect(order(at)).toEqual(['Rear right', 'Rear left', 'Front left', 'Front right']);
  });

  test('more pushed through is more to buy, in bottles; another fluid says what it mixes with', async () => {
    const at = await station('fill', 'g3');
    expect(at.texts('[data-buy=Brakes]')).toEqual(['1 L']);
    await at.type(at.one<HTMLInputElement>('fl-number-field input'), '8');
    expect(at.texts('[data-buy=Brakes]')).toEqual(['2 L']);
    await at.choose(at.one<HTMLSelectElement>('#fluid-brake'), 'DOT 5 silicone');
    expect(at.root.textContent).toMatch(/mixes with nothing; color proves nothing/);
  });

  test('amounts follow the units of the plan', async () => {
    const at = await station('fill', 'g4');
    at.store.apply({ edit: 'setUnits', with: { units: 'inch' } });
    await at.settle();
    expect(at.texts('[data-buy=Brakes]')).toEqual(['33.8 fl oz']);
    expect(at.texts('[data-work=brake] tbody tr td:nth-child(2)')[0]).toMatch(/in$/);
  });
});
