import { figure } from '../faults/index.ts';
import { unit, type Vec3 } from '../vec/index.ts';
import {
  formatLength,
  parseLength,
  parsed,
  unread,
  type Parsed,
  type UnitSystem,
} from './length.ts';

type Axis = 0 | 1 | 2;
const WAY_AXES: Record<string, readonly [Axis, 1 | -1]> = {
  aft: [0, 1],
  back: [0, 1],
  rearward: [0, 1],
  fore: [0, -1],
  forward: [0, -1],
  right: [1, 1],
  left: [1, -1],
  up: [2, 1],
  down: [2, -1],
};
const WAY_WORDS: readonly (readonly [string, string])[] = [
  ['aft', 'fore'],
  ['right', 'left'],
  ['up', 'down'],
];
const WAY_WORD = /[a-z]+/gi;

/** The axis and sign a word stands for; `in` and `out` are told from the side of the vehicle that `fromYMm` lies on. */
function wayOf(word: string, fromYMm: number): Parsed<readonly [Axis, number]> {
  if (word === 'in' || word === 'out') {
    if (Math.abs(fromYMm) < 1e-6)
      return unread(`"${word}" means nothing on the center plane. Use left or right.`);
    return parsed([1, (word === 'out' ? 1 : -1) * Math.sign(fromYMm)]);
  }
  const way = WAY_AXES[word];
  return way
    ? parsed(way)
    : unread(`"${word}" is not a direction. Use aft, fore, left, right, up, down, in or out.`);
}

const isUnitWord = (word: string): boolean => /^(mm|cm|m|in|inch|inches|ft|foot|feet)$/.test(word);

/** Splits a typed move into its directions, each with the length that follows it. `in` after a figure is the unit. */
function terms(text: string): { word: string; lengthText: string }[] {
  const found: { word: string; start: number; end: number }[] = [];
  for (const match of text.matchAll(WAY_WORD)) {
    const word = match[0].toLowerCase();
    const before = text.slice(0, match.index).trimEnd();
    const afterFigure = /[\d"'¼½¾⅛⅜⅝⅞]$/.test(before);
    if (word === 'and' || (isUnitWord(word) && afterFigure)) continue;
    found.push({ word, start: match.index, end: match.index + match[0].length });
  }
  return found.map(({ word, end }, i) => ({
    word,
    lengthText: text
      .slice(end, found[i + 1]?.start ?? text.length)
      .replace(/\band\b/gi, ' ')
      .replace(/[\s,;]+$/, ''),
  }));
}

/**
 * A move as a fabricator speaks it, "aft 420, up 60", as a vector in mm. Also "in" and "out",
 * toward and away from the center plane, told from `fromYMm`. Says what it cannot read.
 */
export function parseMove(text: string, system: UnitSystem = 'metric', fromYMm = 0): Parsed<Vec3> {
  const list = terms(text);
  if (!list.length) return unread('Enter a direction and a length, such as aft 420, up 60.');
  const lead = text.slice(0, text.toLowerCase().indexOf(list[0]!.word)).trim();
  if (lead) return unread(`"${lead}" has no direction before it. Enter aft 420, not 420 aft.`);
  const move: [number, number, number] = [0, 0, 0];
  const used = new Set<Axis>();
  for (const { word, lengthText } of list) {
    const way = wayOf(word, fromYMm);
    if (!way.ok) return way;
    const [axis, sign] = way.value;
    if (used.has(axis))
      return unread(`"${text.trim()}" moves ${WAY_WORDS[axis].join(' or ')} twice.`);
    if (!lengthText.trim()) return unread(`How far ${word}? Enter it as ${word} 120.`);
    const mm = parseLength(lengthText, system);
    if (!mm.ok) return mm;
    if (mm.value < 0)
      return unread(
        `"${word} ${lengthText.trim()}": use the opposite direction instead of a minus.`,
      );
    used.add(axis);
    move[axis] = sign * mm.value;
  }
  return parsed(move);
}

/**
 * A vector in mm as a spoken move, the parts in the order of their size, to `digits` decimals; parts that
 * round to nothing are left out, "stay" where all do.
 */
export function formatMove(move: Vec3, system: UnitSystem = 'metric', digits = 1): string {
  const leastMm = 0.5 / 10 ** digits;
  const parts = ([0, 1, 2] as const)
    .filter((axis) => Math.abs(move[axis]) >= leastMm)
    .sort((a, b) => Math.abs(move[b]) - Math.abs(move[a]))
    .map(
      (axis) =>
        `${WAY_WORDS[axis][move[axis] > 0 ? 0 : 1]} ${formatLength(Math.abs(move[axis]), system, digits)}`,
    );
  return parts.length ? parts.join(', ') : 'stay';
}

/** A direction as spoken, "aft" or "right 1, down 1", as a unit vector. A word alone counts 1. */
export function parseDirection(text: string, fromYMm = 0): Parsed<Vec3> {
  const filled = text.trim().replace(/([a-z]+)\s*(?=,|;|$)/gi, '$1 1');
  const move = parseMove(filled, 'metric', fromYMm);
  if (!move.ok) return move;
  const direction = unit(move.value);
  return direction
    ? parsed(direction)
    : unread('A direction needs a length, such as aft, or right 1, down 1.');
}

/** A unit vector as spoken: "aft" where it lies along an axis, else "right 0.71, down 0.71". */
export function formatDirection(direction: Vec3): string {
  const parts = ([0, 1, 2] as const)
    .filter((axis) => Math.abs(direction[axis]) >= 0.005)
    .sort((a, b) => Math.abs(direction[b]) - Math.abs(direction[a]));
  const name = (axis: Axis): string => WAY_WORDS[axis][direction[axis] > 0 ? 0 : 1];
  return parts.length === 1
    ? name(parts[0]!)
    : parts.map((a) => `${name(a)} ${figure(Math.abs(direction[a]), 2)}`).join(', ');
}
