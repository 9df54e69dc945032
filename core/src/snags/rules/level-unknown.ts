import type { Rule, Snag } from '../snag.ts';

/** Said once for each master whose discs cannot be judged. */
export const levelUnknown: Rule = (view) => {
  const masters = new Set(view.residuals.filter((of) => of.wanted === null).map((of) => of.master));
  return [...masters].map((master): Snag => ({
    rule: 'level-unknown',
    level: 'note',
    station: 'plumb',
    place: { kind: 'port', id: master.ports[0]!.id },
    where: master.name,
    text: 'How high its fluid stands is not set down: whether its calipers want a residual valve cannot be judged.',
  }));
};
