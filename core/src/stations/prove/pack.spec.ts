import { viewPlan } from '../../plan/results/index.ts';
import { demo } from '../../testing/demo-plans.ts';
import { proved } from '../../testing/proved.ts';
import { applyEdit, type Plan } from '../../plan/index.ts';
import { packOf, signedDigest, signedSections, signoff, type PackSection } from './index.ts';

const gannet = demo('gannet');
const made = (plan: Plan): PackSection[] => packOf(viewPlan(plan), [], '2026-03-05T10:20:00Z');
const section = (plan: Plan, title: string): PackSection =>
  made(plan).find((one) => one.title.startsWith(title))!;

describe('the pack', () => {
  it('opens with what it is a record of: digest, signature, and that local rules come first', () => {
    const words = made(gannet)[0]!.words!.join(' ');
    expect(words).toContain(signedDigest(viewPlan(gannet)));
    expect(words).toMatch(
      /Local rules .* Not signed\. Not ready for the road: \d+ tasks left, \d+ tests left\./,
    );
    const { proving } = proved(gannet);
    const signedFor = viewPlan({ ...gannet, proving });
    const rests = signedDigest(signedFor);
    const sign = {
      at: '2026-03-05',
      by: 'AB',
      as: 'qualified',
      scope: 'move',
      rests,
      sections: signedSections(signedFor),
      exceptions: [],
    } as const;
    const signed = (patch: object): Plan => ({
      ...gannet,
      proving: { ...proving, signed: [{ ...sign, ...patch }] },
    });
    expect(made(signed({}))[0]!.words!.join(' ')).toMatch(
      /Signed 2026-03-05 by AB \(qualified person\).*NOT FOR THE ROAD\./,
    );
    expect(made(signed({ rests: 'other' }))[0]!.words!.join(' ')).toMatch(
      /NOT FOR THE ROAD; no longer valid\. Its digest is not that/,
    );
  });

  it('draws every line and hose by name, in the ink of its circuit, through its corners', () => {
    const { runs, places } = section(gannet, 'Line map').picture!;
    expect(runs.map(({ name }) => name)).toEqual(
      [...gannet.lines, ...gannet.hoses].map(({ name }) => name),
    );
    const r1 = gannet.lines.find(({ name }) => name === 'R1')!;
    const run = runs.find(({ name }) => name === 'R1')!;
    expect(run.ink).toBe(gannet.circuits.find(({ id }) => id === r1.circuitId)!.ink);
    // Its corners and both of its ends.
    expect(run.points).toHaveLength(r1.cornersMm.length + 2);
    expect(run.points.slice(1, -1)).toEqual(r1.cornersMm);
    expect(runs.filter(({ dashed }) => dashed).map(({ name }) => name)).toEqual(
      gannet.hoses.map(({ name }) => name),
    );
    expect(places.map(({ name }) => name)).toEqual(gannet.parts.map(({ name }) => name));
  });

  it('holds a card a line, every joint with its torque, all that is left', () => {
    const titles = made(gannet).map(({ title }) => title);
    for (const { name } of gannet.lines)
      expect(titles.some((title) => title.startsWith(`Card ${name} `))).toBe(true);
    const card = made(gannet).find(({ title }) => title.startsWith('Card '))!;
    expect(card.table!.rows.map(([bend]) => bend)).toEqual(
      card.table!.rows.map((_, i) => String(i + 1)),
    );
    const joints = section(gannet, 'Joints').table!.rows.map(([name]) => name);
    for (const { name } of gannet.lines)
      expect(joints).toEqual(expect.arrayContaining([`${name}, end A`, `${name}, end B`]));
    const done = proved(gannet);
    expect(section(gannet, 'Torques').table!.rows.map((row) => row.at(-1))).not.toContain('tight');
    expect(new Set(section(done, 'Torques').table!.rows.map((row) => row.at(-1)))).toEqual(
      new Set(['tight']),
    );
    // What was asked for, whose figure it is and what the wrench read stand in each row.
    const r1 = gannet.lines.find(({ id }) => id === 'line-r1')!;
    const figured = applyEdit(gannet, {
      edit: 'changeJoint',
      with: { of: 'line', id: r1.id, end: 'a', patch: { torqueNm: 16, torqueSource: 'Sheet 4' } },
    });
    const row = section(proved(figured), 'Torques').table!.rows.find(
      ([name]) => name === 'R1, end A',
    );
    expect(row).toEqual(['R1, end A', '16 N·m', 'Sheet 4', '16 N·m', 'tight']);
    const { items } = signoff(viewPlan(gannet), []);
    for (const [kind, title] of [
      ['task', 'Tasks left'],
      ['test', 'Tests left'],
    ])
      expect(section(gannet, title!).words).toHaveLength(
        items.filter((item) => item.kind === kind).length,
      );
    for (const { rows } of [section(done, 'Tests').table!])
      expect(new Set(rows.map(([, state]) => state))).toEqual(new Set(['good']));
  });

  it('of an empty plan is a pack too, which nobody signs', () => {
    const empty: Plan = { ...gannet, lines: [], hoses: [], parts: [], circuits: [] };
    expect(section(empty, 'Line map').picture).toEqual({ runs: [], places: [] });
    expect(section(empty, 'Blockers').words![0]).toMatch(/There is nothing to sign for/);
  });
});
