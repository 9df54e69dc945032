import { each, type Raw } from './raw.ts';

function axleOf(circuit: Raw): 'front' | 'rear' | null {
  if (circuit['work'] !== 'brake') return null;
  const { name } = circuit;
  return (
    (['front', 'rear'] as const).find(
      (axle) => typeof name === 'string' && name.toLowerCase().includes(axle),
    ) ?? null
  );
}

/** Circuits learn their axle, sizing is not begun. */
export const from1 = (raw: Raw): Raw => ({
  ...raw,
  version: 2,
  circuits: each(raw['circuits'], (circuit) => ({ ...circuit, axle: axleOf(circuit) })),
  sizing: null,
});
