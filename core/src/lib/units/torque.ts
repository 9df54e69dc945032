import { figure } from '../faults/index.ts';

/** Source: NIST SP 811: 1 lbf·ft = 1.355818 N·m, 1 lbf·in = 0.1129848 N·m. */
const NM: Readonly<Record<string, number>> = { nm: 1, 'lbf·ft': 1.355818, 'lbf·in': 0.1129848 };
const UNIT_NAMES: Readonly<Record<string, string>> = {
  nm: 'nm',
  'n·m': 'nm',
  'n.m': 'nm',
  'n m': 'nm',
  'newton metres': 'nm',
  'newton meters': 'nm',
  'lbf·ft': 'lbf·ft',
  'lbf ft': 'lbf·ft',
  'lb ft': 'lbf·ft',
  'lb-ft': 'lbf·ft',
  lbft: 'lbf·ft',
  'ft lb': 'lbf·ft',
  'ft-lb': 'lbf·ft',
  'ft lbs': 'lbf·ft',
  'foot pounds': 'lbf·ft',
  'ft·lbf': 'lbf·ft',
  'lbf·in': 'lbf·in',
  'lbf in': 'lbf·in',
  'lb in': 'lbf·in',
  'lb-in': 'lbf·in',
  'in lb': 'lbf·in',
  'in-lb': 'lbf·in',
  'in lbs': 'lbf·in',
  'inch pounds': 'lbf·in',
};

export type TorqueRead =
  { readonly ok: true; readonly value: number } | { readonly ok: false; readonly message: string };

/**
 * A torque as people say it, in N·m: `17`, `17 N·m`, `12.5 lb ft`, `140 in lb`. Newtons alone or pounds
 * alone are a force: the sentence asks what was meant. Nothing is guessed.
 */
export function parseTorque(text: string): TorqueRead {
  const tidy = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const match = /^(\d+(?:[.,]\d+)?)\s*([a-z.·\- ]*)$/.exec(tidy);
  if (!match)
    return {
      ok: false,
      message: `"${text.trim()}" cannot be read as a torque: write it as 17 N·m or 12.5 lb ft.`,
    };
  const number = Number(match[1]!.replace(',', '.'));
  const unit = match[2]!.trim();
  if (unit === '') return { ok: true, value: number };
  if (unit === 'n' || unit === 'newton' || unit === 'newtons')
    return {
      ok: false,
      message: `Newtons are a force. Is it ${figure(number)} N·m? Write it so, once you are sure.`,
    };
  if (['lb', 'lbs', 'lbf', 'pounds'].includes(unit))
    return {
      ok: false,
      message: `Pounds are a force. Is it ${figure(number)} lb ft, or lb in? Write which.`,
    };
  const known = UNIT_NAMES[unit];
  return known
    ? { ok: true, value: number * NM[known]! }
    : { ok: false, message: `"${unit}" is not a unit of torque: write N·m, lb ft or lb in.` };
}

/** `17 N·m (12.5 lbf·ft)`: both, since wrenches come with either. */
export const formatTorque = (nm: number): string =>
  `${figure(nm, 1)} N·m (${figure(nm / NM['lbf·ft']!, 1)} lbf·ft)`;
