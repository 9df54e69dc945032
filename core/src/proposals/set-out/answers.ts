import { FLUIDS, TUBES, REFUSED_TUBE } from '../../trade/stock/index.ts';

export const VEHICLES = [
  'van',
  'pickup',
  'unibody',
  'space-frame',
  'trailer',
  'motorcycle',
  'aircraft',
] as const;
export type Vehicle = (typeof VEHICLES)[number];

/** What a user says of his vehicle: each has a default, and none has to be answered. */
export interface Answers {
  /** All brakes new, or what is changed on a vehicle that has brakes. */
  readonly job: 'new' | 'front' | 'rear' | 'master' | 'booster' | 'line' | 'clutch';
  readonly use: 'road' | 'hills' | 'towing' | 'track';
  readonly emptyKg: number;
  readonly ladenKg: number;
  readonly towKg: number;
  readonly topKmh: number;
  readonly vehicle: Vehicle;
  readonly axles: '1' | '2' | '3';
  readonly wheelbaseMm: number;
  readonly frontTrackMm: number;
  readonly rearTrackMm: number;
  readonly tyre: string;
  readonly railsOverMm: number;
  readonly railHeightMm: number;
  readonly railUnderMm: number;
  readonly section: 'box' | 'channel' | 'round';
  readonly kickUp: 'none' | 'rear' | 'both';
  readonly front: 'sliding' | 'fixed' | 'drum';
  readonly rear: 'sliding' | 'fixed' | 'drum';
  readonly frontAxle: 'independent' | 'solid';
  readonly rearAxle: 'independent' | 'solid';
  readonly master: 'tandem' | 'twin';
  readonly masterAt: 'bulkhead-left' | 'bulkhead-right' | 'floor-left' | 'floor-right';
  readonly booster: 'none' | 'vacuum';
  readonly split: 'axles' | 'diagonal';
  readonly clutch: 'hydraulic' | 'none';
  readonly parking: 'cable' | 'none';
  readonly exhaust: 'left' | 'right' | 'none';
  readonly engine: 'lengthwise' | 'across' | 'rear' | 'none';
  readonly tube: string;
  readonly fluid: string;
}
export type Ask = keyof Answers;
type ChoiceAsk = {
  [K in Ask]: string extends Answers[K]
    ? K extends 'tube' | 'fluid'
      ? K
      : never
    : Answers[K] extends string
      ? K
      : never;
}[Ask];
export type NumberAsk = { [K in Ask]: Answers[K] extends number ? K : never }[Ask];

const ORDINARY: Answers = {
  job: 'new',
  use: 'road',
  emptyKg: 1400,
  ladenKg: 1900,
  towKg: 0,
  topKmh: 130,
  vehicle: 'van',
  axles: '2',
  wheelbaseMm: 2650,
  frontTrackMm: 1480,
  rearTrackMm: 1500,
  tyre: '205/65 R16',
  railsOverMm: 860,
  railHeightMm: 100,
  railUnderMm: 430,
  section: 'box',
  kickUp: 'rear',
  front: 'sliding',
  rear: 'drum',
  frontAxle: 'independent',
  rearAxle: 'solid',
  master: 'tandem',
  masterAt: 'bulkhead-left',
  booster: 'vacuum',
  split: 'axles',
  clutch: 'hydraulic',
  parking: 'cable',
  exhaust: 'right',
  engine: 'lengthwise',
  tube: '3-16-copper-nickel',
  fluid: 'dot-4',
};
/** What is otherwise than on an ordinary van. Invented ordinary figures, every one of them a guess. */
const BY_VEHICLE: Record<Vehicle, Partial<Answers>> = {
  van: {},
  pickup: {
    wheelbaseMm: 3100,
    emptyKg: 1700,
    ladenKg: 2500,
    railHeightMm: 130,
    railUnderMm: 460,
    tyre: '235/75 R15',
    section: 'channel',
  },
  unibody: {
    wheelbaseMm: 2550,
    emptyKg: 1150,
    ladenKg: 1600,
    tyre: '195/60 R15',
    railsOverMm: 900,
    railHeightMm: 80,
    railUnderMm: 300,
    kickUp: 'both',
    split: 'diagonal',
    rearAxle: 'independent',
    engine: 'across',
    clutch: 'none',
  },
  'space-frame': {
    use: 'track',
    wheelbaseMm: 2400,
    frontTrackMm: 1420,
    rearTrackMm: 1440,
    emptyKg: 620,
    ladenKg: 780,
    topKmh: 220,
    tyre: '205/50 R15',
    railsOverMm: 600,
    railHeightMm: 40,
    railUnderMm: 140,
    section: 'round',
    kickUp: 'none',
    front: 'fixed',
    rear: 'fixed',
    rearAxle: 'independent',
    master: 'twin',
    booster: 'none',
    engine: 'rear',
    clutch: 'hydraulic',
    parking: 'none',
    exhaust: 'right',
  },
  trailer: {
    use: 'towing',
    wheelbaseMm: 2600,
    frontTrackMm: 1800,
    rearTrackMm: 1800,
    emptyKg: 700,
    ladenKg: 2400,
    topKmh: 90,
    tyre: '195 R14',
    railsOverMm: 900,
    railHeightMm: 100,
    railUnderMm: 480,
    section: 'channel',
    kickUp: 'none',
    front: 'fixed',
    rear: 'fixed',
    frontAxle: 'solid',
    clutch: 'none',
    parking: 'none',
    exhaust: 'none',
    engine: 'none',
  },
  motorcycle: {
    wheelbaseMm: 1450,
    emptyKg: 190,
    ladenKg: 370,
    topKmh: 170,
    tyre: '120/70 R17',
    railsOverMm: 260,
    railHeightMm: 32,
    railUnderMm: 330,
    section: 'round',
    kickUp: 'none',
    front: 'fixed',
    rear: 'sliding',
    rearAxle: 'independent',
    master: 'twin',
    clutch: 'none',
    parking: 'none',
    exhaust: 'left',
    engine: 'across',
  },
  aircraft: {
    use: 'road',
    wheelbaseMm: 1700,
    frontTrackMm: 1900,
    rearTrackMm: 1900,
    emptyKg: 420,
    ladenKg: 640,
    topKmh: 90,
    tyre: '6.00-6',
    railsOverMm: 700,
    railHeightMm: 30,
    railUnderMm: 560,
    section: 'round',
    kickUp: 'none',
    front: 'fixed',
    rear: 'fixed',
    rearAxle: 'independent',
    master: 'twin',
    masterAt: 'floor-left',
    clutch: 'none',
    parking: 'none',
    exhaust: 'none',
    engine: 'lengthwise',
  },
};
export const defaultsFor = (vehicle: Vehicle): Answers => ({
  ...ORDINARY,
  ...BY_VEHICLE[vehicle],
  vehicle,
});

/** The words of each choice, as they stand in its sentence. */
export const CHOICES: { readonly [K in ChoiceAsk]: readonly (readonly [Answers[K], string])[] } = {
  job: [
    ['new', 'All brakes are new'],
    ['front', 'The front brakes are replaced'],
    ['rear', 'The rear brakes are replaced'],
    ['master', 'The master cylinder is replaced'],
    ['booster', 'A booster is added'],
    ['line', 'The long line to the rear is replaced'],
    ['clutch', 'A hydraulic clutch is added'],
  ],
  use: [
    ['road', 'on the road'],
    ['hills', 'on the road with long hills'],
    ['towing', 'on the road, towing'],
    ['track', 'on a track only'],
  ],
  vehicle: [
    ['van', 'car or van on two rails'],
    ['pickup', 'pickup on two rails'],
    ['unibody', 'unibody car'],
    ['space-frame', 'space frame of tubes'],
    ['trailer', 'trailer'],
    ['motorcycle', 'motorcycle'],
    ['aircraft', 'light aircraft'],
  ],
  axles: [
    ['1', 'one axle'],
    ['2', 'two axles'],
    ['3', 'three axles'],
  ],
  section: [
    ['box', 'box'],
    ['channel', 'channel'],
    ['round', 'round tube'],
  ],
  kickUp: [
    ['none', 'straight'],
    ['rear', 'kicked up over the rear axle'],
    ['both', 'kicked up over both axles'],
  ],
  front: [
    ['sliding', 'discs with sliding calipers'],
    ['fixed', 'discs with fixed calipers'],
    ['drum', 'drums'],
  ],
  rear: [
    ['sliding', 'discs with sliding calipers'],
    ['fixed', 'discs with fixed calipers'],
    ['drum', 'drums'],
  ],
  frontAxle: [
    ['independent', 'independent'],
    ['solid', 'solid'],
  ],
  rearAxle: [
    ['independent', 'independent'],
    ['solid', 'solid'],
  ],
  master: [
    ['tandem', 'One tandem master cylinder is'],
    ['twin', 'Two masters on a balance bar are'],
  ],
  masterAt: [
    ['bulkhead-left', 'on the bulkhead, left'],
    ['bulkhead-right', 'on the bulkhead, right'],
    ['floor-left', 'under the floor, left'],
    ['floor-right', 'under the floor, right'],
  ],
  booster: [
    ['none', 'no booster'],
    ['vacuum', 'with a vacuum booster'],
  ],
  split: [
    ['axles', 'front and rear'],
    ['diagonal', 'diagonally'],
  ],
  clutch: [
    ['hydraulic', 'hydraulic'],
    ['none', 'not hydraulic'],
  ],
  parking: [
    ['cable', 'by cable'],
    ['none', 'not decided yet'],
  ],
  exhaust: [
    ['right', 'down the right side'],
    ['left', 'down the left side'],
    ['none', 'nowhere near'],
  ],
  engine: [
    ['lengthwise', 'in front, lengthwise'],
    ['across', 'in front, across'],
    ['rear', 'ahead of the rear axle'],
    ['none', 'not fitted'],
  ],
  tube: TUBES.filter(({ odMm, material }) => odMm < 5 && !REFUSED_TUBE.includes(material)).map(
    ({ id, name, material }) => [id, `${name} ${material}`],
  ),
  fluid: FLUIDS.map(({ id, name }) => [id, name]),
};

interface Limits {
  readonly least: number;
  readonly most: number;
  readonly unit: 'length' | 'kg' | 'km/h';
  readonly name: string;
}
export const NUMBERS: Record<NumberAsk, Limits> = {
  emptyKg: { least: 50, most: 20_000, unit: 'kg', name: 'Mass empty' },
  ladenKg: { least: 50, most: 30_000, unit: 'kg', name: 'Mass laden' },
  towKg: { least: 0, most: 20_000, unit: 'kg', name: 'Mass towed' },
  topKmh: { least: 10, most: 400, unit: 'km/h', name: 'Top speed' },
  wheelbaseMm: { least: 800, most: 8000, unit: 'length', name: 'Wheelbase' },
  frontTrackMm: { least: 700, most: 2600, unit: 'length', name: 'Front track' },
  rearTrackMm: { least: 700, most: 2600, unit: 'length', name: 'Rear track' },
  railsOverMm: { least: 180, most: 1600, unit: 'length', name: 'Width over rails' },
  railHeightMm: { least: 15, most: 400, unit: 'length', name: 'Rail height' },
  railUnderMm: { least: 50, most: 1500, unit: 'length', name: 'Rail underside' },
};
export const isNumberAsk = (ask: Ask): ask is NumberAsk => ask in NUMBERS;
