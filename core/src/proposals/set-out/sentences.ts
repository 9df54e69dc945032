import type { Ask, Answers } from './answers.ts';

/** A part of a sentence: words, or what is asked there. */
export type Said = string | { readonly ask: Ask };
const ask = (one: Ask): Said => ({ ask: one });

type Sentence = readonly Said[];
const speed: Sentence = [', top speed', ask('topKmh'), '.'];
const masses: Sentence = [
  'The vehicle weighs',
  ask('emptyKg'),
  'empty and',
  ask('ladenKg'),
  'laden',
];
const made: Sentence = ['Tube', ask('tube'), ', fluid', ask('fluid'), '.'];

const TRAILER: readonly Sentence[] = [
  ['All brakes of a', ask('vehicle'), 'with', ask('axles'), '.'],
  [...masses, ...speed],
  [
    'From coupling to the first axle',
    ask('wheelbaseMm'),
    ', track',
    ask('rearTrackMm'),
    ', on',
    ask('tyre'),
    'tires.',
  ],
  [
    'The rails are',
    ask('railsOverMm'),
    'apart, outside to outside,',
    ask('railHeightMm'),
    'high',
    ask('section'),
    ', underside',
    ask('railUnderMm'),
    'above ground.',
  ],
  ['Brakes:', ask('rear'), '.'],
  made,
];

const MOTORCYCLE: readonly Sentence[] = [
  ['All brakes of a', ask('vehicle'), ', used', ask('use'), '.'],
  [...masses, ...speed],
  ['Wheelbase', ask('wheelbaseMm'), 'on', ask('tyre'), 'tires.'],
  ['Front disc, rear brake:', ask('rear'), '. The exhaust runs', ask('exhaust'), '.'],
  made,
];

const AIRCRAFT: readonly Sentence[] = [
  ['The wheel brakes of a', ask('vehicle'), '.'],
  [...masses, '.'],
  [
    'From nose wheel to main wheels',
    ask('wheelbaseMm'),
    ', track',
    ask('rearTrackMm'),
    'on',
    ask('tyre'),
    'tires, the longerons',
    ask('railsOverMm'),
    'apart and',
    ask('railUnderMm'),
    'above ground.',
  ],
  made,
];

/** Where the frame of a vehicle on four wheels stands. */
function frameSentence(vehicle: Answers['vehicle']): Sentence {
  if (vehicle === 'space-frame')
    return [
      'The lower tubes are',
      ask('railsOverMm'),
      'apart, outside to outside,',
      ask('railHeightMm'),
      'thick, underside',
      ask('railUnderMm'),
      'above ground.',
    ];
  return [
    vehicle === 'unibody' ? 'The legs and sills are' : 'The rails are',
    ask('railsOverMm'),
    'apart, outside to outside,',
    ask('railHeightMm'),
    'high',
    ask('section'),
    ', underside',
    ask('railUnderMm'),
    'above ground,',
    ask('kickUp'),
    '.',
  ];
}

const onFourWheels = ({ vehicle, job, use }: Answers): readonly Sentence[] => [
  [
    ask('job'),
    'on a',
    ask('vehicle'),
    ', wheelbase',
    ask('wheelbaseMm'),
    ', track',
    ask('frontTrackMm'),
    'front and',
    ask('rearTrackMm'),
    'rear, on',
    ask('tyre'),
    'tires.',
  ],
  [
    'The vehicle is used',
    ask('use'),
    '.',
    ...masses,
    ...(use === 'towing' ? [', and tows', ask('towKg'), 'without brakes'] : []),
    ...speed,
  ],
  frameSentence(vehicle),
  [
    'Front brakes:',
    ask('front'),
    ', rear brakes:',
    ask('rear'),
    '. The axles are',
    ask('frontAxle'),
    'and',
    ask('rearAxle'),
    '.',
  ],
  [
    ask('master'),
    ask('masterAt'),
    ',',
    ask('booster'),
    '; the circuits split',
    ask('split'),
    '.',
    ...(job === 'clutch' ? [] : ['The clutch is', ask('clutch'), ',']),
    'the parking brake',
    ask('parking'),
    '.',
  ],
  ['The engine is', ask('engine'), ', and the exhaust runs', ask('exhaust'), '.'],
  made,
];

/** Sentences that a vehicle is said in; each `ask` is a word that can be changed. Full stops and commas follow their word. */
export function sentencesFor(answers: Answers): readonly Sentence[] {
  if (answers.vehicle === 'trailer') return TRAILER;
  if (answers.vehicle === 'motorcycle') return MOTORCYCLE;
  return answers.vehicle === 'aircraft' ? AIRCRAFT : onFourWheels(answers);
}
