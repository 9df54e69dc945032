/**
 * What may be wrong with a pedal, how it shows, and how often, each with its reason. Our judgement, from common
 * practice: no published table is known to us. The bench holds what comes of it against vehicles of another model.
 */
export interface CauseRow {
  readonly words: string;
  /** How often it is there in a system that was just built or opened, before anything is known. */
  readonly often: number;
  readonly why: string;
  /** What the circuit must have for it. */
  readonly needs?: 'drums' | 'hoses' | 'booster' | 'modulator';
}
export const CAUSES = {
  air: { words: 'air in the fluid', often: 0.2, why: 'Every opened circuit starts full of it.' },
  drums: {
    words: 'drums not adjusted',
    often: 0.08,
    why: 'New shoes are seldom adjusted up.',
    needs: 'drums',
  },
  weep: { words: 'weeping joint', often: 0.08, why: 'Many new flares, each tightened once.' },
  sticking: { words: 'sticking piston', often: 0.06, why: 'Stood dry, or came used.' },
  hose: { words: 'swelling hose', often: 0.05, why: 'Old or soft rubber hose.', needs: 'hoses' },
  long: {
    words: 'pushrod too long: port closed',
    often: 0.05,
    why: 'A changed pedal or booster is seldom measured.',
  },
  short: { words: 'pushrod too short', often: 0.05, why: 'The same parts, the other way.' },
  cup: {
    words: 'worn cup in the master cylinder',
    often: 0.04,
    why: 'Used masters, full strokes.',
  },
  bore: { words: 'master bore not as planned', often: 0.03, why: 'Masters look alike.' },
  box: { words: 'flexing pedal box', often: 0.05, why: 'A thin or cut firewall.' },
  pads: { words: 'glazed or oiled linings', often: 0.04, why: 'Fluid or heat before bedding.' },
  knock: { words: 'pads knocked back', often: 0.03, why: 'Loose bearing, disc out of true.' },
  boiled: { words: 'boiled fluid', often: 0.02, why: 'Old fluid and heat, seldom in a new one.' },
  collapsed: {
    words: 'collapsed hose',
    often: 0.03,
    why: 'Old hoses close from inside.',
    needs: 'hoses',
  },
  booster: {
    words: 'booster gives no help',
    often: 0.03,
    why: 'No vacuum, or a torn diaphragm.',
    needs: 'booster',
  },
  checkValve: {
    words: 'booster’s check valve leaks',
    often: 0.03,
    why: 'Old rubber, hose on loosely.',
    needs: 'booster',
  },
  modulator: {
    words: 'leak inside the modulator',
    often: 0.02,
    why: 'A grain holds a valve open.',
    needs: 'modulator',
  },
  feed: { words: 'feed and pressure ports swapped', often: 0.01, why: 'Ports not marked.' },
  other: { words: 'something else', often: 0.04, why: 'No list has everything.' },
} satisfies Record<string, CauseRow>;
export type Cause = keyof typeof CAUSES;
export const causeRow = (cause: Cause): CauseRow => CAUSES[cause];

/** One thing that is checked: how it is done, how long it takes, and what makes it show. */
export interface CheckRow {
  readonly group: 'Pedal' | 'Engine and booster' | 'Fluid' | 'Wheels' | 'Parts and tests' | 'Curve';
  readonly label: string;
  readonly yes: string;
  readonly no: string;
  readonly act: string;
  readonly minutes: number;
  readonly needs?: CauseRow['needs'];
  /** How often it is seen where nothing is wrong. */
  readonly by: number;
  /** How often each cause makes it show, and why. */
  readonly from: Partial<Record<Cause, readonly [chance: number, why: string]>>;
}
/** What nobody listed shows so often, whatever is checked. */
export const OTHER_SHOWS = 0.12;

const CURVE = { group: 'Curve', label: 'Curve', act: 'Take a pedal curve', minutes: 15 } as const;
export const CHECKS = {
  curveAir: {
    ...CURVE,
    yes: 'more air than allowed',
    no: 'no more air than allowed',
    by: 0.02,
    from: {
      air: [0.75, 'air takes up travel at a light foot'],
      feed: [0.6, 'fluid is drawn back and air with it'],
      boiled: [0.1, 'vapor condenses when cold'],
      weep: [0.1, 'what leaks out lets air in'],
    },
  },
  curveFlex: {
    ...CURVE,
    yes: 'flexes more than calculated',
    no: 'flexes as calculated',
    by: 0.03,
    from: {
      hose: [0.75, 'a hose swells with pressure'],
      box: [0.7, 'metal gives with force'],
      drums: [0.25, 'shoes far out bend before they seat'],
      short: [0.05, 'the pushrod stands at an angle'],
      bore: [0.3, 'another bore moves other volumes'],
    },
  },
  curvePlay: {
    ...CURVE,
    yes: 'more free play than calculated',
    no: 'free play as calculated',
    by: 0.03,
    from: {
      short: [0.85, 'the pedal moves before the piston does'],
      drums: [0.35, 'shoes far out cost fluid before any pressure'],
      knock: [0.2, 'pads stand off the disc'],
      sticking: [0.1, 'a piston drawn back too far'],
    },
  },
  curveNoPlay: {
    ...CURVE,
    yes: 'less free play than calculated',
    no: 'free play as calculated',
    by: 0.03,
    from: { long: [0.75, 'the pushrod already holds the piston in'] },
  },
  curveLag: {
    ...CURVE,
    yes: 'hangs on the way back',
    no: 'comes back as it went down',
    by: 0.04,
    from: {
      sticking: [0.55, 'a piston lets go late'],
      collapsed: [0.65, 'fluid comes back late'],
      long: [0.1, 'the port opens late or never'],
    },
  },
  pumps: {
    group: 'Pedal',
    label: 'Pumped three times quickly',
    yes: 'pedal comes up',
    no: 'pedal stays',
    act: 'Pump three times: does the pedal come up?',
    minutes: 1,
    by: 0.03,
    from: {
      air: [0.5, 'each stroke leaves more fluid behind air'],
      drums: [0.9, 'shoes do not go all the way back between strokes'],
      knock: [0.6, 'the first stroke brings the pads back'],
      short: [0.1, 'a short stroke is made up by a second'],
      feed: [0.5, 'fluid goes the wrong way'],
      boiled: [0.3, 'vapor behaves as air'],
      sticking: [0.2, 'a piston comes out by steps'],
    },
  },
  sinks: {
    group: 'Pedal',
    label: 'Held for a minute',
    yes: 'pedal sinks',
    no: 'pedal stays',
    act: 'Hold the pedal for a minute: does it sink?',
    minutes: 2,
    by: 0.02,
    from: {
      weep: [0.85, 'fluid leaves'],
      cup: [0.9, 'fluid passes the cup'],
      modulator: [0.85, 'fluid passes a valve inside'],
      feed: [0.4, 'the wrong port does not close'],
    },
  },
  longHot: {
    group: 'Pedal',
    label: 'Hot against cold',
    yes: 'longer when hot',
    no: 'the same',
    act: 'Warm the brakes on closed ground, then compare the pedal',
    minutes: 30,
    by: 0.03,
    from: {
      boiled: [0.9, 'fluid turns to vapor'],
      drums: [0.25, 'hot drums grow away from the shoes'],
    },
  },
  longAfterDrive: {
    group: 'Pedal',
    label: 'First press after corners and bumps',
    yes: 'long, then normal',
    no: 'as always',
    act: 'Drive slowly on closed ground, turn, then press once',
    minutes: 15,
    by: 0.03,
    from: {
      knock: [0.85, 'the disc pushes the pads away'],
      drums: [0.15, 'shoes settle back'],
    },
  },
  pressureOff: {
    group: 'Parts and tests',
    label: 'Pressure for the foot’s force',
    yes: 'over 15 % off',
    no: 'as calculated',
    act: 'Gauge at a bleeder, scales under the foot',
    minutes: 15,
    by: 0.03,
    from: {
      bore: [0.9, 'area sets the pressure'],
      booster: [0.9, 'the booster makes most of it'],
      checkValve: [0.4, 'help is gone with the vacuum'],
      cup: [0.25, 'what passes the cup makes no pressure'],
    },
  },
  noDrop: {
    group: 'Engine and booster',
    label: 'Pedal held, engine started',
    yes: 'pedal does not drop',
    no: 'pedal drops a little',
    act: 'Engine off, pump five times, hold, start the engine',
    minutes: 2,
    needs: 'booster',
    by: 0.03,
    from: {
      booster: [0.93, 'no help, no drop'],
      checkValve: [0.15, 'vacuum builds up slowly'],
    },
  },
  noReserve: {
    group: 'Engine and booster',
    label: 'First press, engine off for two minutes',
    yes: 'hard at once',
    no: 'assisted',
    act: 'Stop the engine, wait two minutes, press',
    minutes: 4,
    needs: 'booster',
    by: 0.03,
    from: {
      checkValve: [0.9, 'the vacuum leaks back'],
      booster: [0.9, 'there is no vacuum to keep'],
    },
  },
  wet: {
    group: 'Fluid',
    label: 'A rag at every joint',
    yes: 'one is wet',
    no: 'all dry',
    act: 'A clean rag at every joint, pedal held',
    minutes: 10,
    by: 0.02,
    from: { weep: [0.9, 'what leaks is wet'], cup: [0.08, 'a cup may leak outwards'] },
  },
  bubbles: {
    group: 'Fluid',
    label: 'Reservoir while pumping slowly',
    yes: 'bubbles rise',
    no: 'no bubbles',
    act: 'Glasses on, cap off: pump slowly ten times and watch for bubbles',
    minutes: 3,
    by: 0.03,
    from: {
      air: [0.45, 'air near the master comes back through the port'],
      feed: [0.6, 'the reservoir is pumped into'],
      cup: [0.1, 'air passes the cup'],
    },
  },
  fountain: {
    group: 'Fluid',
    label: 'Reservoir, pedal going down',
    yes: 'a jet through the whole stroke',
    no: 'a small jet at first, or none',
    act: 'Glasses on, cap off: watch the port from the side as the pedal goes down',
    minutes: 2,
    by: 0.02,
    from: {
      feed: [0.92, 'pressure goes to the reservoir'],
      cup: [0.2, 'fluid comes past the cup'],
    },
  },
  potFell: {
    group: 'Fluid',
    label: 'Pressure pot from wheel to wheel',
    yes: 'fell, or was topped up',
    no: 'held at each wheel',
    act: 'Bleed again with the pot, and note its pressure at each wheel',
    minutes: 40,
    by: 0.15,
    from: { air: [0.35, 'too little pressure leaves bubbles in'] },
  },
  drags: {
    group: 'Wheels',
    label: 'Wheels, pedal up',
    yes: 'one drags',
    no: 'all free',
    act: 'Pedal up: turn each wheel by hand',
    minutes: 5,
    by: 0.03,
    from: {
      long: [0.6, 'fluid cannot go back'],
      sticking: [0.75, 'the piston stays out'],
      collapsed: [0.5, 'fluid comes back slowly'],
    },
  },
  dragsHot: {
    group: 'Wheels',
    label: 'Wheels, after heat',
    yes: 'one drags',
    no: 'all free',
    act: 'Warm the brakes on closed ground, then turn each wheel',
    minutes: 30,
    by: 0.04,
    from: {
      long: [0.93, 'warm fluid expands behind a closed port'],
      sticking: [0.7, 'the piston stays out'],
      collapsed: [0.5, 'fluid comes back slowly'],
    },
  },
  freesAtBleeder: {
    group: 'Wheels',
    label: 'Dragging wheel, its bleeder opened',
    yes: 'frees',
    no: 'still drags, or none drags',
    act: 'At a wheel that drags, open the bleeder a moment: does it free?',
    minutes: 5,
    by: 0.02,
    from: {
      collapsed: [0.8, 'pressure is shut in behind the hose'],
      long: [0.5, 'pressure is shut in behind the port'],
    },
  },
  pistonStill: {
    group: 'Wheels',
    label: 'Pistons and shoes as the pedal is pressed',
    yes: 'one does not move',
    no: 'each moves',
    act: 'Watch each piston or shoe while someone presses lightly',
    minutes: 10,
    by: 0.02,
    from: {
      sticking: [0.75, 'it is stuck'],
      collapsed: [0.3, 'no fluid gets there'],
    },
  },
  pulls: {
    group: 'Wheels',
    label: 'Slow stop on closed ground',
    yes: 'pulls to one side',
    no: 'straight',
    act: 'Stop from walking pace on closed ground, hands light',
    minutes: 10,
    by: 0.05,
    from: {
      collapsed: [0.55, 'one side comes late'],
      sticking: [0.55, 'one side does less'],
      pads: [0.45, 'oil on one side'],
    },
  },
  weakStop: {
    group: 'Wheels',
    label: 'Wheels at the planned pressure',
    yes: 'can be turned, or stop too long',
    no: 'hold as calculated',
    act: 'Planned pressure by gauge: try to turn each wheel with a bar',
    minutes: 10,
    by: 0.04,
    from: {
      pads: [0.85, 'linings do not grip'],
      sticking: [0.3, 'one brake does nothing'],
      collapsed: [0.25, 'one brake does nothing'],
    },
  },
  drumsLoose: {
    group: 'Parts and tests',
    label: 'Drum adjusters',
    yes: 'turn far before the shoes rub',
    no: 'rub at once',
    act: 'Turn each drum adjuster until the shoes rub, counting',
    minutes: 15,
    needs: 'drums',
    by: 0.06,
    from: { drums: [0.93, 'that is the gap'] },
  },
  softPlugged: {
    group: 'Parts and tests',
    label: 'Circuit plugged at the master',
    yes: 'still long or soft',
    no: 'hard at once',
    act: 'Plug the circuit at the master, press once',
    minutes: 15,
    by: 0.03,
    from: {
      box: [0.85, 'the box is ahead of the plug'],
      short: [0.85, 'the free play is ahead of the plug'],
      feed: [0.6, 'the wrong port is plugged'],
      air: [0.15, 'air in the master itself'],
    },
  },
  sinksPlugged: {
    group: 'Parts and tests',
    label: 'Plugged and held for a minute',
    yes: 'sinks',
    no: 'stays',
    act: 'With the circuit plugged at the master, hold for a minute',
    minutes: 15,
    by: 0.02,
    from: { cup: [0.92, 'nothing else is left to leak'], feed: [0.3, 'the wrong port is open'] },
  },
  boxMoves: {
    group: 'Parts and tests',
    label: 'Pedal box and firewall, pressed hard',
    yes: 'seen moving',
    no: 'still',
    act: 'Someone presses hard: watch the pedal box and the firewall',
    minutes: 3,
    by: 0.05,
    from: { box: [0.85, 'that is the flex'] },
  },
  hoseSwells: {
    group: 'Parts and tests',
    label: 'Hoses, pressed hard',
    yes: 'one swells',
    no: 'none swells',
    act: 'Someone presses hard: feel each hose, glasses on',
    minutes: 5,
    needs: 'hoses',
    by: 0.04,
    from: { hose: [0.75, 'that is the swell'] },
  },
} satisfies Record<string, CheckRow>;
export type Symptom = keyof typeof CHECKS;
export const SYMPTOMS = Object.keys(CHECKS) as Symptom[];
export const checkRow = (symptom: Symptom): CheckRow => CHECKS[symptom];
