import { from6 } from './migrations/from-6.ts';
import { applyEdit, validatePlan, writePlan, type Plan } from '../index.ts';
import { readPlan } from '../file/index.ts';
import { richPlan } from '../../testing/rich-plan.ts';

/** A plan as version 6 wrote it. */
const asVersion6 = ({
  wheelEnds,
  clipSettings,
  bleeding,
  ...plan
}: Plan): Record<string, unknown> => ({
  ...(JSON.parse(JSON.stringify(plan)) as object),
  bleeding: { ...bleeding, fluidId: 'dot-4' },
  corners: {
    ...(JSON.parse(JSON.stringify(wheelEnds)) as object),
    calipers: wheelEnds.calipers.map(({ clears, ...fit }) => ({
      ...fit,
      clear: clears.discShield,
    })),
  },
  holding: clipSettings,
  version: 6,
});
const whole = richPlan();
/** Signatures of that time had no digests of sections. */
const rich: Plan = {
  ...whole,
  proving: {
    ...whole.proving,
    signed: whole.proving.signed.map(({ sections: _, ...sign }) => sign),
  },
};

describe('a plan of version 6', () => {
  test('is read with all that it held', () => {
    expect(readPlan(JSON.stringify(asVersion6(rich)))).toEqual(JSON.parse(writePlan(rich)));
  });
  test('gets the sections that it did without', () => {
    const { corners: _corners, log: _log, ...bare } = asVersion6(rich);
    const plan = readPlan(JSON.stringify({ ...bare, floor: null }));
    expect([plan.log.entries, plan.wheelEnds.wheels, plan.floor.done]).toEqual([[], [], []]);
  });
  test('one id in two lists: the later record gets another, and what was recorded of a task follows it', () => {
    const own = { ...rich.floor.own[0]!, id: 'own-1' };
    const floor = {
      ...rich.floor,
      own: [own, { ...own, id: 'own-2', needs: ['own:own-1'] }],
      done: [{ ...rich.floor.done[0]!, task: 'own:own-1' }],
    };
    const buying = { ...rich.buying, own: [{ id: 'own-1', name: 'Ties', count: 1 }] };
    const plan = readPlan(JSON.stringify(asVersion6({ ...rich, floor, buying })));
    expect(plan.buying.own[0]!.id).toBe('own-1');
    expect(plan.floor.own.map(({ id, needs }) => [id, needs])).toEqual([
      ['own-1-2', own.needs],
      ['own-2', ['own:own-1-2']],
    ]);
    expect(plan.floor.done.map(({ task }) => task)).toEqual(['own:own-1-2']);
  });
  test('one key twice: the later record counts; what belongs to a part that is gone goes', () => {
    const [first] = rich.floor.done;
    const [fluid] = rich.filling.fluids;
    const plan = readPlan(
      JSON.stringify(
        asVersion6({
          ...rich,
          floor: { ...rich.floor, done: [first!, { ...first!, by: 'later' }] },
          filling: { ...rich.filling, fluids: [fluid!, { ...fluid!, part: 'gone' }] },
        }),
      ),
    );
    expect(plan.floor.done.map(({ by }) => by)).toEqual(['later']);
    expect(plan.filling.fluids[0]).toEqual(fluid);
    expect(plan.filling.fluids.some(({ part }) => part === 'gone')).toBe(false);
  });
  test('what is no section is handed on for the reader to refuse', () => {
    expect(from6({ floor: 7, holding: 1 })).toMatchObject({
      floor: 7,
      clipSettings: 1,
      version: 7,
    });
  });
});

describe('references', () => {
  test('what belongs to a part or a wheel is deleted with it; past work keeps the name of what it was done on', () => {
    const fit = rich.wheelEnds.calipers[0]!;
    const without = applyEdit(rich, { edit: 'removePart', with: { id: fit.key } });
    expect(without.wheelEnds.calipers).toEqual([]);
    const run = rich.filling.runs[0]!;
    const part = rich.parts.find(({ ports }) => ports.some(({ id }) => id === run.order[0]))!;
    expect(applyEdit(rich, { edit: 'removePart', with: { id: part.id } }).filling.runs).toEqual(
      rich.filling.runs,
    );
  });
  test('a record may not name what it belongs to where that is not there, nor two be of one key', () => {
    const { wheelEnds, floor } = rich;
    const [fit] = wheelEnds.wheels;
    const stray = { ...wheelEnds, wheels: [{ ...fit!, key: 'gone' }] };
    expect(validatePlan({ ...rich, wheelEnds: stray })).toEqual([
      { path: 'wheelEnds.wheels[0].key', message: 'There is no thing "gone".' },
    ]);
    const twice = { ...floor, done: [floor.done[0]!, floor.done[0]!] };
    expect(validatePlan({ ...rich, floor: twice })).toHaveLength(1);
  });
});
