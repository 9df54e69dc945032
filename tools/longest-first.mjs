import TestSequencer from '@jest/test-sequencer';

/** The files that take longest, the longest first: started last, one would keep a single processor busy at the end. */
const LONGEST = [
  'e2e/odd-plans',
  'e2e/odd-fields',
  'e2e/set-out',
  'e2e/screens',
  'e2e/keeping',
  'e2e/server',
  'stations/stations',
  'proposals/set-out/set-out',
  'route/hoses/hoses',
  'route/line-files',
  'route/hoses',
  'nesting/nest',
  'formats/formats',
  'make/make',
  'inspect/hose-joints',
  'scene/space-view',
  'inspect/verdicts',
  'testing/unread',
];

/** Begins with the files that take longest, on a machine too that has not run them yet. */
export default class LongestFirst extends TestSequencer {
  sort(tests) {
    const place = ({ path }) => {
      const found = LONGEST.findIndex((name) => path.endsWith(`${name}.spec.ts`));
      return found < 0 ? LONGEST.length : found;
    };
    return super.sort(tests).sort((a, b) => place(a) - place(b));
  }
}
