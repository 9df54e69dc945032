import { figure } from '../faults/index.ts';
import { LBF_FT_NM } from './constants.ts';

const NM: Readonly<Record<string, number>> = {
  nm: 1,
  'lbf·ft': LBF_FT_NM,
  'lbf·in': LBF_FT_NM / 12,
};
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
 * A torque as people say it, in N·m: `17` in the unit `bare`, `17 N·m`, `12.5 lb ft`, `140 in lb`. Newtons alone or pounds
 * alone are a force: the sentence asks what was meant. Nothing is guessed.
 */
export function parseTorque(text: string, bare: 'N·m' | 'lbf·ft' = 'N·m'): TorqueRead {
  const tidy = text.trim().toLowerCase().replace(/\s+/g, ' ');
  const match = /^(\d+(?:[.,]\d+)?)\s*([a-z.·\- ]*)$/.exec(tidy);
  if (!match)
    return {
      ok: false,
      message: `"${text.trim()}" is not a torque. Enter one such as 17 N·m or 12.5 lbf ft.`,
    };
  const number = Number(match[1]!.replace(',', '.'));
  const unit = match[2]!.trim() || bare.toLowerCase();
  if (unit === 'n' || unit === 'newton' || unit === 'newtons')
    return {
      ok: false,
      message: `Newtons are a force. Is it ${figure(number)} N·m? Check, then enter it so.`,
    };
  if (['lb', 'lbs', 'lbf', 'pounds'].includes(unit))
    return {
      ok: false,
      message: `Pounds are a force. Is it ${figure(number)} lbf ft or lbf in? Enter which.`,
    };
  const known = UNIT_NAMES[unit];
  return known
    ? { ok: true, value: number * NM[known]! }
    : { ok: false, message: `"${unit}" is not a unit of torque. Use N·m, lbf ft or lbf in.` };
}

/** `17 N·m (12.5 lbf·ft)`, the chosen one first: both, since wrenches come with either. */
export function formatTorque(nm: number, first: 'N·m' | 'lbf·ft' = 'N·m'): string {
  const metric = `${figure(nm, 1)} N·m`;
  const inch = `${figure(nm / LBF_FT_NM, 1)} lbf·ft`;
  return first === 'N·m' ? `${metric} (${inch})` : `${inch} (${metric})`;
}
