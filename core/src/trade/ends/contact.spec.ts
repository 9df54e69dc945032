import {
  comesAs,
  END_FORMS,
  SEAT_FORMS,
  THREADS,
  threadTakes,
  type FemaleHalf,
  type MaleHalf,
} from '../stock/index.ts';
import { mate } from '../threads/index.ts';
import { touch } from './index.ts';

const males: MaleHalf[] = THREADS.filter((t) => comesAs(t, 'male')).flatMap((t) =>
  END_FORMS.filter((end) => threadTakes(t, end)).map((end) => ({ thread: t.name, end })),
);
const females: FemaleHalf[] = THREADS.filter((t) => comesAs(t, 'female')).flatMap((t) =>
  SEAT_FORMS.filter((seat) => threadTakes(t, seat)).map((seat) => ({ thread: t.name, seat })),
);

describe('the section and the verdict', () => {
  /** Two ways to one answer: `mate` by names and basic sizes, `touch` by angles, diameters and tolerances. */
  test.each(males.map((male) => [`${male.thread} ${male.end}`, male] as const))(
    '%s on every female half',
    (_, male) => {
      const wrong = females.filter(
        (female) =>
          (mate({ male, female }).verdict === 'seals') !==
          (touch(male, female).contact?.seals ?? false),
      );
      expect(wrong).toEqual([]);
    },
  );
  test('there is something to compare: thousands of pairs, of which few seal', () => {
    expect(males.length * females.length).toBeGreaterThan(10_000);
    const sealing = males.flatMap((male) =>
      females.filter((female) => touch(male, female).contact?.seals),
    );
    expect(sealing.length).toBeGreaterThan(150);
  });
});
