import { each, isRaw, type Raw } from './raw.ts';

/** Kinds that fluid is poured into; a master only where it draws from no other. */
const isReservoir = ({ kind, ports }: Raw): boolean =>
  kind === 'reservoir' ||
  kind === 'actuator' ||
  (kind === 'master' &&
    !(Array.isArray(ports) && ports.some((port) => isRaw(port) && port['role'] === 'feed')));

/** One answer for all that lies close at a corner becomes one for each: what touched was not said, so it is the shield. */
const eachClearance = ({ clear, ...fit }: Raw): Raw => ({
  ...fit,
  clears: {
    discShield: clear,
    caliperShield: clear === true ? true : null,
    caliperWheel: clear === true ? true : null,
    hoseWheel: clear === true ? true : null,
    hoseSuspension: clear === true ? true : null,
    sensorWire: clear === true ? true : null,
  },
});

/** The digests of a signature are of sections as they were written then: none of them can be held against what is written now. */
const undigested = ({ sections: _, ...sign }: Raw): Raw => sign;

/** What is done before a gate closes is what Fit has done: what was ticked is no longer asked, and is kept in the notes. */
const unticked = ({ done: _, ...gate }: Raw): Raw => gate;
const ticked = ({ name, done }: Raw): string =>
  Array.isArray(done) && done.length ? `Ticked before ${name} closes: ${done.join('; ')}.` : '';

/** A fluid belongs to a reservoir: the plan's goes to each one that has no record of its own. */
export function from7(old: Raw): Raw {
  const raw: Raw = { ...old, version: 8 };
  const { gates, notes } = old;
  if (Array.isArray(gates)) {
    raw['gates'] = each(gates, unticked);
    const kept = [notes, ...gates.filter(isRaw).map(ticked)].filter(Boolean);
    if (kept.length) raw['notes'] = kept.join('\n').slice(0, 10_000);
  }
  const { wheelEnds, proving, bleeding, filling, parts } = old;
  if (isRaw(wheelEnds))
    raw['wheelEnds'] = { ...wheelEnds, calipers: each(wheelEnds['calipers'], eachClearance) };
  if (isRaw(proving)) raw['proving'] = { ...proving, signed: each(proving['signed'], undigested) };
  if (!isRaw(bleeding)) return raw;
  const { fluidId, ...order } = bleeding;
  const fluids = isRaw(filling) ? filling['fluids'] : undefined;
  if (!isRaw(filling) || !Array.isArray(fluids) || !Array.isArray(parts))
    return { ...raw, bleeding: order };
  const known = new Set(fluids.map((one) => (isRaw(one) ? one['part'] : undefined)));
  const fresh = parts
    .filter((part): part is Raw => isRaw(part) && isReservoir(part) && !known.has(part['id']))
    .map(({ id }) => ({
      part: id,
      fluidId,
      batch: '',
      source: '',
      openedOn: null,
      filledOn: null,
      nextOn: null,
      boilC: null,
      hotC: null,
      wasId: null,
      seals: false,
      flushed: false,
      named: false,
    }));
  return {
    ...raw,
    bleeding: order,
    filling: { ...filling, fluids: [...fluids, ...fresh] },
  };
}
