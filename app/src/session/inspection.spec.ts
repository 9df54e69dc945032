import { TestBed } from '@angular/core/testing';
import { demo } from '../../../core/src/testing/demo-plans';
import type { Plan } from '@firm-line/core/plan';
import { Notices } from '../kit/notices';
import { until } from '../testing/open-gannet';
import { Inspection } from './inspection';

const gannet = demo('gannet');
/** A plan that the check refuses: a line without its ends cannot be inspected. */
const broken = { ...gannet, lines: [{ id: 'line-x' }] } as unknown as Plan;

function inspection() {
  const said: string[] = [];
  TestBed.inject(Notices).say = (text) => void said.push(text);
  return { of: TestBed.inject(Inspection), said };
}

describe('inspecting while a plan is still being checked', () => {
  test('a sound plan has its snags, and is not inspected again once it is checked', async () => {
    const { of, said } = inspection();
    of.lookAhead(gannet);
    await until(() => of.isOf(gannet));
    const first = of.last();
    expect(first.length).toBeGreaterThan(0);
    of.look(gannet);
    await Promise.resolve();
    expect(of.last()).toBe(first);
    expect(said).toEqual([]);
  });

  test('a plan that cannot be inspected is left to the check to report; after it, it is said', async () => {
    const { of, said } = inspection();
    of.lookAhead(broken);
    await until(() => !of['busy'] && of['next'] === null);
    expect(said).toEqual([]);
    of.look({ ...broken });
    await until(() => said.length > 0);
    expect(said[0]).toMatch(/Snags appear again after the next edit/);
  });
});
