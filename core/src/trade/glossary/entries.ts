/** What a line of a drawing stands for, which says how it is colored. */
export type GlossaryInk = 'copper' | 'fluid' | 'ink' | 'soft' | 'stop';
/** One path of a drawing, 120 wide and 72 high. */
export interface GlossaryStroke {
  readonly d: string;
  readonly ink: GlossaryInk;
  /** Filled instead of drawn as a line. */
  readonly solid?: true;
  readonly dashed?: true;
}
/** A term that a newcomer may not know. Source of the definitions: common practice. */
export interface GlossaryEntry {
  readonly id: string;
  readonly term: string;
  /** Other words for it, and its plural where that is not an added s. */
  readonly also?: readonly string[];
  /** Also an ordinary word, so its own name is not marked in texts; the names in `also` are. */
  readonly common?: true;
  readonly means: string;
  readonly drawing: readonly GlossaryStroke[];
}

const line = (ink: GlossaryInk, d: string): GlossaryStroke => ({ d, ink });
const dashed = (ink: GlossaryInk, d: string): GlossaryStroke => ({ d, ink, dashed: true });
const solid = (ink: GlossaryInk, d: string): GlossaryStroke => ({ d, ink, solid: true });
/** The axes of a curve. */
const AXES = line('soft', 'M16 6V60H112');
const GROUND = line('soft', 'M6 66H114');
const wheelAt = (x: number, y: number): GlossaryStroke =>
  line('ink', `M${x - 16} ${y}a16 16 0 1 0 32 0a16 16 0 1 0 -32 0`);

export const GLOSSARY: readonly GlossaryEntry[] = [
  {
    id: 'knee',
    term: 'knee',
    means:
      'The pressure at which a proportioning valve starts to hold the rear brakes back. Below the knee, front and rear pressure are equal.',
    drawing: [
      AXES,
      line('fluid', 'M16 60L58 28L108 18'),
      dashed('soft', 'M58 28L92 2M58 28V60'),
      solid('stop', 'M54 28a4 4 0 1 0 8 0a4 4 0 1 0 -8 0'),
    ],
  },
  {
    id: 'slope',
    term: 'slope of a valve',
    also: ['valve slope'],
    means:
      'How much rear pressure rises for each unit of front pressure, above the knee. A slope of 0.3 passes on 30 % of the increase.',
    drawing: [AXES, line('fluid', 'M16 60L58 28L108 18'), line('stop', 'M70 25H98V20')],
  },
  {
    id: 'springback',
    term: 'springback',
    means:
      'How far a tube opens again when it leaves the bender. Dial the angle you want plus the springback.',
    drawing: [
      line('copper', 'M8 58H52Q74 58 74 36V8'),
      dashed('soft', 'M52 58Q78 58 86 34L96 10'),
      line('stop', 'M75 14Q84 12 93 16'),
    ],
  },
  {
    id: 'residual-valve',
    term: 'residual valve',
    also: ['residual pressure valve', 'residual pressure'],
    means:
      'A check valve that keeps a little pressure in the line: 10 psi for drums, 2 psi for calipers above the fluid level.',
    drawing: [
      line('copper', 'M6 28H40M6 44H40M80 28H114M80 44H114'),
      line('ink', 'M40 18H80V54H40Z'),
      line('ink', 'M52 28L66 36L52 44ZM68 26V46'),
      line('fluid', 'M10 36H36M84 36H110'),
    ],
  },
  {
    id: 'free-play',
    term: 'free play',
    also: ['pushrod play'],
    means:
      'The small gap between pushrod and piston with the pedal up. Without it the compensating port stays closed, and the brakes drag and lock on.',
    drawing: [
      line('ink', 'M20 6L34 52M28 30H58'),
      line('ink', 'M66 18H112V42H66'),
      line('fluid', 'M74 19V41M82 30H108'),
      line('stop', 'M58 50V58H66V50'),
    ],
  },
  {
    id: 'compensating-port',
    term: 'compensating port',
    also: ['compensating ports'],
    means:
      'The small hole between reservoir and bore. Open with the pedal up, it lets fluid expand and return. The piston covers it as the pedal goes down.',
    drawing: [
      line('ink', 'M34 6V26H22V58H108V26H70V6'),
      line('fluid', 'M52 26V40'),
      line('ink', 'M38 38V58M38 48H8'),
      solid('stop', 'M50 24h4v6h-4z'),
    ],
  },
  {
    id: 'bench-bleed',
    term: 'bench-bleed',
    also: ['bench-bled', 'bench bleed', 'bench-bleeding'],
    means:
      'Pumping a new master cylinder with short strokes before it goes on, outlets piped back under fluid, until no bubbles come.',
    drawing: [
      line('ink', 'M24 40H92V58H24ZM40 40V18H78V40M24 49H8'),
      line('copper', 'M52 40Q48 10 60 26M84 40Q96 8 70 26'),
      line('fluid', 'M42 24H76'),
    ],
  },
  {
    id: 'droop',
    term: 'droop',
    means:
      'The wheel at its lowest, hanging from the frame. A hose that is too short is torn out here.',
    drawing: [
      line('ink', 'M6 14H60'),
      wheelAt(90, 48),
      line('ink', 'M40 18L88 46'),
      line('copper', 'M44 14Q52 52 84 44'),
      line('stop', 'M112 22V50M108 44L112 50L116 44'),
    ],
  },
  {
    id: 'bump',
    term: 'bump',
    means:
      'The wheel at its highest, pushed up toward the frame. A hose that is too long rubs or kinks here.',
    drawing: [
      line('ink', 'M6 40H60'),
      wheelAt(90, 24),
      line('ink', 'M40 42L88 26'),
      line('copper', 'M44 40Q60 66 84 28'),
      line('stop', 'M112 50V22M108 28L112 22L116 28'),
    ],
  },
  {
    id: 'lock',
    term: 'lock',
    common: true,
    also: ['full lock', 'lock to lock'],
    means: 'The steering turned as far as it goes, left or right.',
    drawing: [
      dashed('soft', 'M60 6V66'),
      line('ink', 'M40 12L56 6L80 60L64 66Z'),
      line('stop', 'M60 20Q50 18 44 24'),
    ],
  },
  {
    id: 'kingpin',
    term: 'kingpin',
    also: ['kingpin line'],
    means: 'The axis a front wheel steers about, through its two ball joints or its pin.',
    drawing: [
      wheelAt(84, 42),
      dashed('stop', 'M52 6L74 66'),
      line('ink', 'M10 20H56M10 58H70'),
      GROUND,
    ],
  },
  {
    id: 'banjo',
    term: 'banjo',
    also: ['banjo bolt', 'banjo fitting'],
    means:
      'A ring fitting held by a hollow bolt, with a new washer on each face. Turn the ring to line up before you tighten the bolt.',
    drawing: [
      line('ink', 'M40 8H70V18H40ZM49 18V64H61V18'),
      line('copper', 'M36 30H74V44H36ZM74 33H114M74 41H114'),
      solid('stop', 'M34 25h42v4h-42zM34 45h42v4h-42z'),
    ],
  },
  {
    id: 'crush-washer',
    term: 'crush washer',
    also: ['sealing washer'],
    means:
      'A soft copper or aluminum washer that is squeezed once to seal. A used one is hard and leaks: always fit new.',
    drawing: [
      line(
        'copper',
        'M26 36a34 26 0 1 0 68 0a34 26 0 1 0 -68 0M44 36a16 12 0 1 0 32 0a16 12 0 1 0 -32 0',
      ),
    ],
  },
  {
    id: 'dash-size',
    term: 'dash size',
    also: ['dash sizes', 'dash number'],
    means:
      'Hose and fitting size in sixteenths of an inch: -3 is 3/16 in, -4 is 1/4 in, -6 is 3/8 in. It is a nominal size, not the bore.',
    drawing: [
      line(
        'soft',
        'M8 50H112M8 40V50M14.5 45V50M21 42V50M27.5 45V50M34 38V50M60 34V50M86 38V50M112 30V50',
      ),
      line('stop', 'M8 24H27.5M8 20V28M27.5 20V28'),
    ],
  },
  {
    id: 'double-flare',
    term: 'double flare',
    also: ['45° double flare'],
    means:
      'A 45° flare with the tube folded back on itself, so the seat meets two layers. For inverted flare seats. Never use a single 45° flare on brakes.',
    drawing: [
      line('copper', 'M8 24H70L94 6M8 48H70L94 66M94 6L78 22H66M94 66L78 50H66'),
      dashed('soft', 'M8 36H112'),
    ],
  },
  {
    id: 'bubble-flare',
    term: 'bubble flare',
    means:
      'A flare formed outward into a rounded bulb, for metric bubble seats. It does not seal in an inverted flare seat.',
    drawing: [
      line('copper', 'M8 24H68Q84 4 96 20Q102 30 94 30M8 48H68Q84 68 96 52Q102 42 94 42'),
      dashed('soft', 'M8 36H112'),
    ],
  },
  {
    id: 'flare-37',
    term: '37° flare',
    also: ['single 37° flare'],
    means:
      'A single flare at 37° to the axis, held by a sleeve and nut. Used with dash-size fittings. It does not seal on a 45° seat.',
    drawing: [
      line('copper', 'M8 24H76L96 9M8 48H76L96 63'),
      line('ink', 'M52 20H76L84 14M52 52H76L84 58'),
      dashed('soft', 'M8 36H112'),
    ],
  },
  {
    id: 'bleeder',
    term: 'bleeder',
    also: ['bleed screw', 'bleed nipple'],
    means:
      'The hollow screw at the highest point of a brake. Open it a quarter turn to let air and fluid out.',
    drawing: [
      line('ink', 'M20 66V34H100V66M52 34V26H68V34M56 26V8H64V26'),
      line('fluid', 'M24 44H96M60 44V30'),
      line('copper', 'M60 8Q60 2 80 4T112 20'),
    ],
  },
  {
    id: 'tandem-master',
    term: 'tandem master',
    also: ['tandem master cylinder'],
    means:
      'One master cylinder with two pistons in a row, one for each circuit. If one circuit leaks, the other still brakes with a longer pedal.',
    drawing: [
      line('ink', 'M14 30H106V58H14ZM28 30V12H52V30M68 30V12H92V30'),
      line('fluid', 'M20 44H38M62 44H80'),
      line('ink', 'M44 30V58M86 30V58M86 44H116'),
    ],
  },
  {
    id: 'balance-bar',
    term: 'balance bar',
    means:
      'A bar across the pedal that shares foot force between two master cylinders. Turning the bar moves braking front or rear.',
    drawing: [
      line('ink', 'M12 36H108M60 36V8'),
      line('ink', 'M24 36V50M96 36V50M16 50H32V66H16ZM88 50H104V66H88Z'),
      line('stop', 'M52 24H68M64 20L68 24L64 28M56 20L52 24L56 28'),
    ],
  },
  {
    id: 'proportioning-valve',
    term: 'proportioning valve',
    means:
      'A valve that limits rear pressure in hard braking, so the rear wheels do not lock first and the vehicle does not spin.',
    drawing: [
      line('copper', 'M6 36H36M84 36H114'),
      line('ink', 'M36 20H84V52H36ZM60 20V8M52 8H68'),
      line('fluid', 'M44 36H58M66 36H76'),
    ],
  },
  {
    id: 'metering-valve',
    term: 'metering valve',
    means:
      'A valve that holds the front disc brakes off until the rear shoes touch their drums. Hold its pin out for bleeding at low pressure.',
    drawing: [
      line('copper', 'M6 36H36M84 36H114'),
      line('ink', 'M36 20H84V52H36ZM84 46H98M98 42V50'),
      line('fluid', 'M44 36H56'),
      line('stop', 'M62 26V46'),
    ],
  },
  {
    id: 'compliance',
    term: 'compliance',
    means:
      'How much a brake system gives under pressure: hoses swell, calipers spread, tubes stretch. It shows as pedal travel that grows with pressure.',
    drawing: [AXES, line('fluid', 'M16 60L30 52L104 16'), line('soft', 'M70 33H96V20')],
  },
  {
    id: 'effective-radius',
    term: 'effective radius',
    also: ['pad middle'],
    means:
      'The distance from the wheel axis to the middle of the pads. Brake torque is pad force times this radius.',
    drawing: [
      line(
        'ink',
        'M28 36a32 32 0 1 0 64 0a32 32 0 1 0 -64 0M50 36a10 10 0 1 0 20 0a10 10 0 1 0 -20 0',
      ),
      solid('copper', 'M46 6Q60 0 74 6L70 16Q60 12 50 16Z'),
      line('stop', 'M60 36V11'),
    ],
  },
  {
    id: 'brake-factor',
    term: 'brake factor',
    means:
      'Friction force at a drum divided by the force that spreads the shoes. Leading shoes pull themselves on, so the factor is over 1.',
    drawing: [
      line('ink', 'M28 36a32 32 0 1 0 64 0a32 32 0 1 0 -64 0'),
      line('copper', 'M52 62Q34 54 34 36Q34 18 52 10M68 62Q86 54 86 36Q86 18 68 10'),
      line('fluid', 'M54 12H66M50 12L54 8V16ZM70 12L66 8V16Z'),
    ],
  },
  {
    id: 'deceleration-z',
    term: 'deceleration z',
    means:
      'Braking as a share of gravity: z 0.5 slows by 4.9 m/s each second. On a road with grip 0.5, z cannot go higher.',
    drawing: [
      GROUND,
      line('ink', 'M20 54H96V34H76L64 20H34L26 34H20Z'),
      line('stop', 'M112 44H100M104 40L100 44L104 48'),
    ],
  },
  {
    id: 'datum',
    term: 'datum',
    also: ['datums'],
    means:
      'A point on the frame whose position you know, where a tape can hook. Other points are measured from at least three datums.',
    drawing: [
      line('ink', 'M8 62H112'),
      solid('stop', 'M16 58h8v8h-8zM56 58h8v8h-8zM96 58h8v8h-8z'),
      dashed('soft', 'M20 60L72 14M60 60L72 14M100 60L72 14'),
      solid('copper', 'M68 14a4 4 0 1 0 8 0a4 4 0 1 0 -8 0'),
    ],
  },
  {
    id: 'sigma',
    term: '1σ',
    also: ['sigma'],
    means:
      'How uncertain a reading is: two readings in three are within ± this figure, and 19 in 20 within twice as much.',
    drawing: [
      line('soft', 'M8 62H112'),
      line('fluid', 'M10 61C36 60 44 10 60 10S84 60 110 61'),
      line('stop', 'M44 40H76M44 36V44M76 36V44'),
    ],
  },
  {
    id: 'die-radius',
    term: 'die radius',
    also: ['center line radius'],
    means:
      'The radius of a bend, measured to the center line of the tube. The bender’s die sets it.',
    drawing: [
      line('copper', 'M8 64H40Q84 64 84 22V6'),
      line('ink', 'M40 22m-30 0a30 30 0 1 0 60 0a30 30 0 1 0 -60 0'),
      line('stop', 'M40 22L71 52'),
    ],
  },
  {
    id: 'feed',
    term: 'feed',
    common: true,
    means: 'The straight length of tube between two bends.',
    drawing: [
      line('copper', 'M8 12Q24 12 24 28V36Q24 52 40 52H80Q96 52 96 36V8'),
      line('stop', 'M40 64H80M40 60V68M80 60V68'),
    ],
  },
  {
    id: 'rotation',
    term: 'rotation',
    common: true,
    means:
      'How far the tube turns about its own axis before the next bend. It sets the plane of that bend.',
    drawing: [
      line('copper', 'M8 36H76'),
      line('ink', 'M70 36a10 22 0 1 0 20 0a10 22 0 1 0 -20 0'),
      line('stop', 'M96 18Q108 36 96 54M92 50L96 54L101 52'),
    ],
  },
  {
    id: 'trim',
    term: 'trim',
    common: true,
    means:
      'Extra length left at end B. After bending, offer the line up, mark where it seats, and cut the trim off.',
    drawing: [
      line('copper', 'M8 30H84M8 42H84'),
      dashed('copper', 'M84 30H110V42H84'),
      line('stop', 'M84 18V54'),
    ],
  },
  {
    id: 'standoff',
    term: 'standoff',
    means: 'The distance at which a clip or bracket holds the tube off the rail.',
    drawing: [
      line('ink', 'M8 60H112M52 60V36H68V60'),
      line('copper', 'M50 26a10 10 0 1 0 20 0a10 10 0 1 0 -20 0'),
      line('stop', 'M88 36V60M84 36H92M84 60H92'),
    ],
  },
  {
    id: 'gallery',
    term: 'gallery',
    also: ['galleries'],
    means: 'A passage inside a part. Ports on one gallery share fluid and pressure.',
    drawing: [line('ink', 'M28 16H92V56H28Z'), line('fluid', 'M8 36H92M60 36V56M60 56V68')],
  },
  {
    id: 'gate',
    term: 'gate',
    common: true,
    means:
      'A build step that closes access: bed on, dash in, floor down. Every joint behind it must be finished and checked first.',
    drawing: [
      line('ink', 'M10 56H110M10 30H110V42H10Z'),
      line('copper', 'M20 50H100'),
      line('stop', 'M60 4V22M54 16L60 22L66 16'),
    ],
  },
  {
    id: 'breakaway',
    term: 'breakaway',
    also: ['breakaway pin', 'breakaway switch'],
    means:
      'The switch that puts the trailer brakes on by itself if the trailer comes off. A cable on the tow vehicle pulls its pin.',
    drawing: [
      line('ink', 'M8 52H44M76 52H112M76 40H98V52'),
      line('copper', 'M44 44Q60 20 74 44'),
      line('stop', 'M70 46H76M52 52L58 46M62 58L68 52'),
    ],
  },
];
