import { isTaper, type Thread } from './threads.ts';

/** What is on the male half of a joint. */
export const END_FORMS = [
  'double-flare-45',
  'cone-45',
  'cone-37',
  'bubble',
  'banjo',
  'o-ring-boss',
  'npt-taper',
  'bspt-taper',
  'flat',
] as const;
export type EndForm = (typeof END_FORMS)[number];
/** What the female half offers it. */
export const SEAT_FORMS = [
  'inverted-flare-45',
  'flare-45',
  'flare-37',
  'bubble',
  'banjo-face',
  'o-ring-boss',
  'npt-taper',
  'bspt-taper',
] as const;
export type SeatForm = (typeof SEAT_FORMS)[number];

export const END_NAMES: Record<EndForm, string> = {
  'double-flare-45': '45° double flare', 'cone-45': '45° cone', 'cone-37': '37° cone', bubble: 'bubble flare', banjo: 'banjo with two washers',
  'o-ring-boss': 'O-ring boss end', 'npt-taper': 'taper thread', 'bspt-taper': 'taper thread', flat: 'flat face with a crush washer',
}; // prettier-ignore
export const SEAT_NAMES: Record<SeatForm, string> = {
  'inverted-flare-45': 'inverted flare seat', 'flare-45': '45° flare', 'flare-37': '37° flare', bubble: 'bubble seat', 'banjo-face': 'faced port',
  'o-ring-boss': 'O-ring boss port', 'npt-taper': 'tapered port', 'bspt-taper': 'pipe port',
}; // prettier-ignore

/** Ends that seal on a seat; no other pair does. Common practice and the standards of each. */
const SEALS: Record<EndForm, readonly SeatForm[]> = {
  'double-flare-45': ['inverted-flare-45'],
  'cone-45': ['flare-45'],
  'cone-37': ['flare-37'],
  bubble: ['bubble'],
  banjo: ['banjo-face'],
  'o-ring-boss': ['o-ring-boss'],
  'npt-taper': ['npt-taper'],
  'bspt-taper': ['bspt-taper'],
  flat: ['banjo-face'],
};
export const formsSeal = (end: EndForm, seat: SeatForm): boolean => SEALS[end].includes(seat);

/** A male half or a female half of a joint. */
export interface MaleHalf {
  readonly thread: string;
  readonly end: EndForm;
}
export interface FemaleHalf {
  readonly thread: string;
  readonly seat: SeatForm;
}

const FLARED: readonly string[] = [
  'double-flare-45',
  'cone-45',
  'cone-37',
  'bubble',
  'inverted-flare-45',
  'flare-45',
  'flare-37',
];
/** Threads of the male 45° cone: tube of 3/16, 1/4, 5/16 and 3/8 in. Source: SAE J512 (from memory). */
const CONE_45: readonly string[] = ['3/8-24 UNF', '7/16-20 UNF', '1/2-20 UNF', '5/8-18 UNF'];
/** Whether such a thread is made with such an end or seat: taper threads seal in themselves, G never carries a flare. */
export function threadTakes(thread: Thread, form: EndForm | SeatForm): boolean {
  if (thread.family === 'npt') return form === 'npt-taper';
  if (isTaper(thread) || thread.family === 'rp') return form === 'bspt-taper';
  if (form === 'npt-taper' || form === 'bspt-taper') return false;
  if (form === 'cone-45' || form === 'flare-45') return CONE_45.includes(thread.name);
  return thread.family !== 'g' || !FLARED.includes(form);
}
