import { applyEdit, type EditCall, type Plan } from '@firm-line/core/plan';
import { typicalSingle, typicalTrailer } from '@firm-line/core/plan/typical';
import { viewPlan } from '@firm-line/core/plan/results';
import { gannet } from '../../testing/open-gannet';
import { pictureOf, type SheetPicture } from './sheet-pictures';

const after = (...calls: EditCall[]): Plan => calls.reduce(applyEdit, gannet());
const drawn = (of: string, plan: Plan): SheetPicture => pictureOf(of, viewPlan(plan))!;
/** The height of a line over a place, straight between its points. */
const over = ({ lines }: SheetPicture, name: string, x: number): number => {
  const points = lines
    .find((line) => line.name === name)!
    .points.map(({ x, y }) => ({ x: x!, y: y! }));
  const i = Math.max(
    1,
    points.findIndex((point) => point.x >= x - 1e-9),
  );
  const [a, b] = [points[i - 1]!, points[i]!];
  return a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
};

describe('the picture of a sheet says what its figures say', () => {
  test('trailer: an axle locks where its grip used is all there is', () => {
    const plan = after({ edit: 'setSheet', with: { sheet: 'trailer', to: typicalTrailer() } });
    const { trailer } = plan;
    for (const share of [0, 0.5, 1]) {
      const [axle] = viewPlan(plan).works.trailer!.at(share).axles;
      const locks = (trailer!.actuatorMPa * trailer!.mu) / axle!.adhesion;
      expect(over(drawn('trailer', plan), 'axle 1 locks', 100 * share)).toBeCloseTo(locks, 6);
    }
  });
  test('clutch: nothing moves in the free stroke, the whole pedal gives the whole travel, it frees in between', () => {
    const plan = gannet();
    const [{ pedal, deadMm, releaseMm }, at] = [plan.clutch!, viewPlan(plan).works.clutch!];
    const picture = drawn('clutch', plan);
    expect(over(picture, 'bearing', deadMm * pedal.ratio)).toBe(0);
    expect(over(picture, 'bearing', pedal.strokeMm)).toBeCloseTo(at.bearingStrokeMm, 9);
    const [, frees] = /releases at (\d+) mm of/.exec(picture.words)!;
    expect(Math.abs(over(picture, 'bearing', Number(frees)) - releaseMm)).toBeLessThan(0.15);
  });
  test('a clutch that does not free says so', () => {
    const plan = after({ edit: 'setFigure', with: { of: 'clutch', path: 'releaseMm', to: 900 } });
    expect(drawn('clutch', plan).words).toMatch(
      /The clutch does not release within the pedal travel/,
    );
  });
  test('lever: its wheels lock where the force is the grip of its load', () => {
    const plan = after({
      edit: 'setSheet',
      with: { sheet: 'singles', to: [typicalSingle('Hand', null)] },
    });
    const picture = drawn('singles.0', plan);
    const [, locks] = /lock from (\d+) N/.exec(picture.words)!;
    const grip = plan.sizing!.mu * plan.singles[0]!.loadKg * 9.80665;
    expect(
      (viewPlan(plan).works.singles[0]!.forceN * Number(locks)) /
        plan.singles[0]!.lever.forceN /
        grip,
    ).toBeCloseTo(1, 2);
  });
  test('parking: the slope that is held is where the lower of its two levels is asked', () => {
    const picture = drawn('parking', gannet());
    const { holdsGrade } = viewPlan(gannet()).works.parking!;
    const least = Math.min(
      ...['lever gives', 'rear wheels slide, nose down'].map((name) => over(picture, name, 10)),
    );
    expect(over(picture, 'slope demands', 100 * holdsGrade!)).toBeCloseTo(least, 2);
  });
});
