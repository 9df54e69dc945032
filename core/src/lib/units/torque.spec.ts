import Qty from 'js-quantities';
import { formatTorque, parseTorque } from './torque.ts';

const nm = (text: string): number | string => {
  const read = parseTorque(text);
  return read.ok ? read.value : read.message;
};

const FOOT_POUND = Qty('1 ft*lbf').to('J').scalar;

describe('torques as people say them', () => {
  // Against js-quantities: 1 ft·lbf and 1 in·lbf in N·m.
  test.each([
    ['17', 17],
    ['17 N·m', 17],
    ['17Nm', 17],
    ['12,5 lb ft', 12.5 * FOOT_POUND],
    ['12.5 ft-lb', 12.5 * FOOT_POUND],
    ['140 in lb', (140 / 12) * FOOT_POUND],
  ])('%s', (text, expected) => expect(nm(text)).toBeCloseTo(expected, 3));
  test.each([
    ['168 N', /Newtons are a force. Is it 168 N·m/],
    ['20 lb', /Pounds are a force\. Is it 20 lbf ft or lbf in\? Enter which/],
    ['tight', /"tight" is not a torque/],
    ['17 bar', /not a unit of torque/],
    ['-3', /"-3" is not a torque/],
  ])('%s is asked about', (text, sentence) => expect(nm(text)).toMatch(sentence));
  // 168 N·m is 123.9 lbf·ft. Source: NIST SP 811.
  test('both units are shown', () => expect(formatTorque(168)).toBe('168 N·m (123.9 lbf·ft)'));
});
