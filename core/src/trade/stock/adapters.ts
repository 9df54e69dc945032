import { END_NAMES, SEAT_NAMES, type EndForm, type SeatForm } from './joints.ts';

/** One half of a joint, male or female. */
export type Half =
  | { readonly gender: 'male'; readonly thread: string; readonly end: EndForm }
  | { readonly gender: 'female'; readonly thread: string; readonly seat: SeatForm };

/** A half of a joint as it is said: `M10x1 male, bubble flare`, `3/8-24 UNF female, inverted flare seat`. */
export const halfWords = (half: Half): string =>
  `${half.thread} ${half.gender}, ${half.gender === 'male' ? END_NAMES[half.end] : SEAT_NAMES[half.seat]}`;

export interface Adapter {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly halves: readonly Half[];
  readonly material: 'brass' | 'steel' | 'aluminum' | 'stainless';
  /** Price in the smallest coin. Invented, like all prices here. */
  readonly costMinor: number;
}

const male = (thread: string, end: EndForm): Half => ({ gender: 'male', thread, end });
const female = (thread: string, seat: SeatForm): Half => ({ gender: 'female', thread, seat });

/** A kind of end in its sizes: what a size is called, and the half it is. */
type Kind = (size: string) => Half;
const INVERTED: Kind = (thread) => female(thread, 'inverted-flare-45');
const FLARED: Kind = (thread) => male(thread, 'double-flare-45');
const BUBBLE: Kind = (thread) => female(thread, 'bubble');
const BUBBLED: Kind = (thread) => male(thread, 'bubble');
const DASH: Readonly<Record<string, string>> = {
  '-3': '3/8-24 UNF',
  '-4': '7/16-20 UNF',
  '-6': '9/16-18 UNF',
  '-8': '3/4-16 UNF',
  '-10': '7/8-14 UNF',
};
const CONE: Kind = (dash) => male(DASH[dash]!, 'cone-37');
const SWIVEL: Kind = (dash) => female(DASH[dash]!, 'flare-37');
const BOSS: Kind = (dash) => male(DASH[dash]!, 'o-ring-boss');
const PIPE: Readonly<Record<string, string>> = {
  '1/16': '1/16-27 NPT',
  '1/8': '1/8-27 NPT',
  '1/4': '1/4-18 NPT',
  '3/8': '3/8-18 NPT',
};
const NPT: Kind = (size) => male(PIPE[size]!, 'npt-taper');
const NPT_IN: Kind = (size) => female(PIPE[size]!, 'npt-taper');
const R: Kind = (size) => male(`R ${size}`, 'bspt-taper');
const RC: Kind = (size) => female(`Rc ${size}`, 'bspt-taper');
const FACE: Kind = (thread) => male(thread, 'flat');
const BANJO: Kind = (thread) => male(thread, 'banjo');
const FACED: Kind = (thread) => female(thread, 'banjo-face');

type Material = Adapter['material'];
/** A family as a trade counter stocks it: its name, the kinds of its ends, the sizes that are made, and a price to begin with. */
interface Family {
  readonly id: string;
  readonly name: string;
  readonly kinds: readonly Kind[];
  readonly sizes: readonly (readonly string[])[];
  readonly material: Material;
  readonly costMinor: number;
}
const same = (count: number, ...sizes: string[]): string[][] =>
  sizes.map((size) => Array.from({ length: count }, () => size));
/** Every size of the first list with those of the second that go with it. */
const pairs = (...list: readonly (readonly [string, ...string[]])[]): string[][] =>
  list.flatMap(([first, ...others]) => others.map((other) => [first, other]));

const I3 = '3/8-24 UNF';
const I4 = '7/16-24 UNS';
const I5 = '1/2-20 UNF';
const I6 = '5/8-18 UNF';

const FAMILIES: readonly Family[] = [
  // Inverted flare: unions, tees and the reducers that go into a larger port.
  { id: 'union-inverted', name: 'Union, inverted flare', kinds: [INVERTED, INVERTED], sizes: same(2, I3, I4, I5, I6, 'M10x1', 'M12x1'), material: 'brass', costMinor: 420 },
  { id: 'tee-inverted', name: 'Tee, inverted flare', kinds: [INVERTED, INVERTED, INVERTED], sizes: [...same(3, I3, I4, I5, 'M10x1'), [I4, I3, I3], [I4, I4, I3]], material: 'brass', costMinor: 780 },
  { id: 'reducer-inverted', name: 'Port reducer, inverted flare', kinds: [FLARED, INVERTED], sizes: pairs([I4, I3, 'M10x1'], [I5, I3, I4], ['9/16-18 UNF', I3, I4, I5], [I6, I4, I5], [I3, 'M10x1', I4], ['M10x1', I3, 'M12x1'], ['M12x1', I3, 'M10x1']), material: 'brass', costMinor: 390 },
  { id: 'bulkhead-inverted', name: 'Bulkhead union, inverted flare', kinds: [INVERTED, INVERTED], sizes: same(2, I3, I4, 'M10x1'), material: 'brass', costMinor: 690 },
  // Bubble flare.
  { id: 'union-bubble', name: 'Union, bubble flare', kinds: [BUBBLE, BUBBLE], sizes: same(2, 'M10x1', 'M12x1', I3), material: 'brass', costMinor: 440 },
  { id: 'tee-bubble', name: 'Tee, bubble flare', kinds: [BUBBLE, BUBBLE, BUBBLE], sizes: same(3, 'M10x1', 'M12x1'), material: 'brass', costMinor: 820 },
  { id: 'reducer-bubble', name: 'Port reducer, bubble flare', kinds: [BUBBLED, BUBBLE], sizes: pairs(['M12x1', 'M10x1'], ['M10x1', 'M12x1'], [I3, 'M10x1'], ['M10x1', I3]), material: 'brass', costMinor: 430 },
  { id: 'bubble-to-inverted', name: 'Bubble port to inverted flare', kinds: [BUBBLED, INVERTED], sizes: pairs(['M10x1', I3, I4, 'M10x1'], ['M12x1', I3, I4]), material: 'brass', costMinor: 560 },
  { id: 'inverted-to-bubble', name: 'Inverted flare port to bubble flare', kinds: [FLARED, BUBBLE], sizes: pairs([I3, 'M10x1'], [I4, 'M10x1', 'M12x1'], ['M10x1', 'M10x1']), material: 'brass', costMinor: 560 },
  // Pipe to inverted flare, straight and at 90°.
  { id: 'npt-to-inverted', name: 'NPT to inverted flare', kinds: [NPT, INVERTED], sizes: pairs(['1/8', I3, I4, I5, 'M10x1'], ['1/4', I3, I4, I5, I6], ['3/8', I5, I6]), material: 'brass', costMinor: 360 },
  { id: 'npt-elbow-inverted', name: 'NPT to inverted flare, 90°', kinds: [NPT, INVERTED], sizes: pairs(['1/8', I3, I4], ['1/4', I4, I5]), material: 'brass', costMinor: 520 },
  { id: 'npt-in-to-flared', name: 'NPT socket on an inverted flare port', kinds: [FLARED, NPT_IN], sizes: pairs([I3, '1/8'], [I4, '1/8'], ['M10x1', '1/8']), material: 'brass', costMinor: 610 },
  // Pipe among itself.
  { id: 'npt-bushing', name: 'NPT bushing', kinds: [NPT, NPT_IN], sizes: pairs(['1/8', '1/16'], ['1/4', '1/8'], ['3/8', '1/8', '1/4']), material: 'brass', costMinor: 240 },
  { id: 'npt-coupling', name: 'NPT coupling', kinds: [NPT_IN, NPT_IN], sizes: [...same(2, '1/8', '1/4', '3/8'), ['1/4', '1/8']], material: 'brass', costMinor: 310 },
  { id: 'npt-nipple', name: 'NPT nipple', kinds: [NPT, NPT], sizes: [...same(2, '1/16', '1/8', '1/4', '3/8'), ['1/4', '1/8']], material: 'brass', costMinor: 230 },
  { id: 'npt-elbow', name: 'NPT elbow, 90°', kinds: [NPT, NPT_IN], sizes: same(2, '1/8', '1/4'), material: 'brass', costMinor: 380 },
  { id: 'npt-tee', name: 'NPT tee', kinds: [NPT_IN, NPT_IN, NPT_IN], sizes: same(3, '1/8', '1/4'), material: 'brass', costMinor: 640 },
  { id: 'r-to-npt-in', name: 'R to NPT socket', kinds: [R, NPT_IN], sizes: pairs(['1/8', '1/8'], ['1/4', '1/8', '1/4']), material: 'brass', costMinor: 520 },
  { id: 'npt-to-rc', name: 'NPT to Rc socket', kinds: [NPT, RC], sizes: pairs(['1/8', '1/8'], ['1/4', '1/4']), material: 'brass', costMinor: 520 },
  // 37°: unions, reducers, swivels, bulkheads, tees.
  { id: 'union-37', name: '37° union', kinds: [CONE, CONE], sizes: [...same(2, '-3', '-4', '-6', '-8', '-10'), ...pairs(['-4', '-3'], ['-6', '-3', '-4'], ['-8', '-6'])], material: 'steel', costMinor: 480 },
  { id: 'bulkhead-37', name: '37° bulkhead', kinds: [CONE, CONE], sizes: same(2, '-3', '-4', '-6', '-8'), material: 'steel', costMinor: 790 },
  { id: 'bulkhead-elbow-37', name: '37° bulkhead, 90°', kinds: [CONE, CONE], sizes: same(2, '-3', '-4', '-6'), material: 'steel', costMinor: 1150 },
  { id: 'tee-37', name: '37° tee', kinds: [CONE, CONE, CONE], sizes: same(3, '-3', '-4', '-6'), material: 'steel', costMinor: 1240 },
  { id: 'coupler-37', name: '37° swivel coupler', kinds: [SWIVEL, SWIVEL], sizes: [...same(2, '-3', '-4', '-6'), ['-4', '-3']], material: 'steel', costMinor: 860 },
  { id: 'swivel-elbow-37', name: '37° swivel, 90°', kinds: [SWIVEL, CONE], sizes: same(2, '-3', '-4', '-6'), material: 'steel', costMinor: 1080 },
  { id: 'swivel-reducer-37', name: '37° reducer with swivel', kinds: [SWIVEL, CONE], sizes: pairs(['-4', '-3'], ['-6', '-4'], ['-8', '-6']), material: 'steel', costMinor: 840 },
  // Into 37°.
  { id: 'npt-to-37', name: 'NPT to 37°', kinds: [NPT, CONE], sizes: pairs(['1/16', '-3', '-4'], ['1/8', '-3', '-4', '-6'], ['1/4', '-3', '-4', '-6', '-8'], ['3/8', '-6', '-8', '-10']), material: 'steel', costMinor: 390 },
  { id: 'npt-45-to-37', name: 'NPT to 37°, 45°', kinds: [NPT, CONE], sizes: pairs(['1/8', '-3', '-4'], ['1/4', '-4', '-6']), material: 'steel', costMinor: 760 },
  { id: 'npt-elbow-to-37', name: 'NPT to 37°, 90°', kinds: [NPT, CONE], sizes: pairs(['1/8', '-3', '-4', '-6'], ['1/4', '-4', '-6']), material: 'steel', costMinor: 740 },
  { id: 'npt-in-to-37', name: 'NPT socket to 37°', kinds: [NPT_IN, CONE], sizes: pairs(['1/8', '-3', '-4'], ['1/4', '-4', '-6']), material: 'steel', costMinor: 620 },
  { id: 'swivel-to-npt', name: '37° swivel to NPT', kinds: [SWIVEL, NPT], sizes: pairs(['-3', '1/8'], ['-4', '1/8', '1/4'], ['-6', '1/4']), material: 'steel', costMinor: 720 },
  { id: 'boss-to-37', name: 'O-ring boss to 37°', kinds: [BOSS, CONE], sizes: [...same(2, '-3', '-4', '-6', '-8', '-10'), ...pairs(['-6', '-4'], ['-8', '-6'])], material: 'steel', costMinor: 520 },
  { id: 'boss-elbow-to-37', name: 'O-ring boss to 37°, 90°', kinds: [BOSS, CONE], sizes: same(2, '-4', '-6', '-8'), material: 'steel', costMinor: 1120 },
  { id: 'flared-to-37', name: 'Inverted flare port to 37°', kinds: [FLARED, CONE], sizes: pairs([I3, '-3', '-4'], [I4, '-3', '-4'], [I5, '-3', '-4'], ['9/16-18 UNF', '-4', '-6'], [I6, '-6'], ['M10x1', '-3'], ['M12x1', '-3', '-4']), material: 'steel', costMinor: 540 },
  { id: 'bubbled-to-37', name: 'Bubble port to 37°', kinds: [BUBBLED, CONE], sizes: pairs(['M10x1', '-3', '-4'], ['M12x1', '-3', '-4'], [I3, '-3']), material: 'steel', costMinor: 560 },
  { id: 'inverted-to-37', name: 'Inverted flare nut to 37°', kinds: [INVERTED, CONE], sizes: pairs([I3, '-3', '-4'], [I4, '-4'], ['M10x1', '-3']), material: 'steel', costMinor: 610 },
  { id: 'inverted-to-swivel', name: 'Inverted flare nut to 37° swivel', kinds: [INVERTED, SWIVEL], sizes: pairs([I3, '-3'], [I4, '-4']), material: 'steel', costMinor: 920 },
  { id: 'bubble-to-37', name: 'Bubble flare nut to 37°', kinds: [BUBBLE, CONE], sizes: pairs(['M10x1', '-3'], ['M12x1', '-4']), material: 'steel', costMinor: 640 },
  { id: 'face-to-37', name: 'Faced port to 37°, crush washer', kinds: [FACE, CONE], sizes: pairs(['M10x1', '-3', '-4'], ['M10x1.25', '-3'], ['M10x1.5', '-3'], ['M12x1', '-3', '-4'], ['M12x1.25', '-4'], ['M12x1.5', '-3', '-4'], ['M14x1.5', '-4', '-6'], ['M16x1.5', '-6'], ['M18x1.5', '-6', '-8'], [I3, '-3'], ['7/16-20 UNF', '-3', '-4']), material: 'steel', costMinor: 580 },
  { id: 'g-to-37', name: 'G to 37°, crush washer', kinds: [FACE, CONE], sizes: pairs(['G 1/8', '-3', '-4'], ['G 1/4', '-4', '-6']), material: 'steel', costMinor: 620 },
  { id: 'r-to-37', name: 'R to 37°', kinds: [R, CONE], sizes: pairs(['1/8', '-3', '-4'], ['1/4', '-4', '-6']), material: 'steel', costMinor: 560 },
  // Faced ports to flares, and banjos.
  { id: 'face-to-inverted', name: 'Faced port to inverted flare, crush washer', kinds: [FACE, INVERTED], sizes: pairs(['M10x1', I3, 'M10x1'], ['M10x1.25', I3], ['M12x1', I3], ['M12x1.5', I3, I4], ['7/16-20 UNF', I3]), material: 'steel', costMinor: 640 },
  { id: 'face-to-bubble', name: 'Faced port to bubble flare, crush washer', kinds: [FACE, BUBBLE], sizes: pairs(['M10x1', 'M10x1'], ['M12x1', 'M10x1'], ['M12x1.5', 'M10x1']), material: 'steel', costMinor: 640 },
  { id: 'banjo-to-37', name: 'Banjo with its bolt to 37°', kinds: [BANJO, CONE], sizes: pairs(['M10x1', '-3', '-4'], ['M10x1.25', '-3'], ['M10x1.5', '-3'], ['M12x1', '-3', '-4'], ['M12x1.5', '-4'], [I3, '-3'], ['7/16-20 UNF', '-3', '-4'], ['7/16-24 UNS', '-3']), material: 'steel', costMinor: 980 },
  { id: 'banjo-to-inverted', name: 'Banjo with its bolt to inverted flare', kinds: [BANJO, INVERTED], sizes: pairs(['M10x1', I3, 'M10x1'], ['M12x1', I3], ['7/16-20 UNF', I3], ['7/16-24 UNS', I3]), material: 'steel', costMinor: 940 },
  { id: 'banjo-to-bubble', name: 'Banjo with its bolt to bubble flare', kinds: [BANJO, BUBBLE], sizes: pairs(['M10x1', 'M10x1'], ['M12x1', 'M10x1'], ['M12x1.5', 'M10x1']), material: 'steel', costMinor: 940 },
  { id: 'faced-coupling', name: 'Coupling with faced ends', kinds: [FACED, CONE], sizes: pairs(['M10x1', '-3'], ['M12x1.5', '-4']), material: 'steel', costMinor: 760 },
  // Plugs and caps: one half only.
  { id: 'plug-flared', name: 'Plug, inverted flare port', kinds: [FLARED], sizes: same(1, I3, I4, 'M10x1', 'M12x1'), material: 'brass', costMinor: 190 },
  { id: 'plug-bubble', name: 'Plug, bubble port', kinds: [BUBBLED], sizes: same(1, 'M10x1', 'M12x1'), material: 'brass', costMinor: 190 },
  { id: 'plug-npt', name: 'Plug, NPT', kinds: [NPT], sizes: same(1, '1/16', '1/8', '1/4', '3/8'), material: 'brass', costMinor: 150 },
  { id: 'plug-boss', name: 'Plug, O-ring boss', kinds: [BOSS], sizes: same(1, '-3', '-4', '-6'), material: 'steel', costMinor: 240 },
  { id: 'plug-face', name: 'Plug with crush washer', kinds: [FACE], sizes: same(1, 'M10x1', 'M12x1.5', 'G 1/8'), material: 'steel', costMinor: 210 },
  { id: 'cap-37', name: '37° cap', kinds: [SWIVEL], sizes: same(1, '-3', '-4', '-6', '-8'), material: 'steel', costMinor: 260 },
  { id: 'plug-37', name: '37° plug', kinds: [CONE], sizes: same(1, '-3', '-4', '-6'), material: 'steel', costMinor: 240 },
]; // prettier-ignore

/** Adapters, tees, unions, bulkheads, reducers and plugs as a trade counter stocks them; pairs that are not made are not here. Common practice. */
export const ADAPTERS: readonly Adapter[] = FAMILIES.flatMap(
  ({ id, name, kinds, sizes, material, costMinor }) =>
    sizes.map((size, i): Adapter => {
      const words = [...new Set(size)].length === 1 ? size[0]! : size.join(' to ');
      return {
        id: `${id}:${size.join(':')}`,
        name: `${name}, ${words}`,
        family: id,
        halves: kinds.map((kind, k) => kind(size[k]!)),
        material,
        costMinor: costMinor + 20 * i,
      };
    }),
);
const PIPE_FORMS: readonly string[] = ['npt-taper', 'bspt-taper'];
/** Brass with pipe threads on every side: plumbing fittings, which flare fittings and brake adapters are not. */
export const isPipeFitting = ({ halves, material }: Adapter): boolean =>
  material === 'brass' &&
  halves.every((half) => PIPE_FORMS.includes(half.gender === 'male' ? half.end : half.seat));

const byId = new Map(ADAPTERS.map((adapter) => [adapter.id, adapter]));
export const adapterById = (id: string): Adapter | undefined => byId.get(id);
