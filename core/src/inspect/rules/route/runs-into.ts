import { nearness } from './_nearness.ts';

/** Engine, gearbox, tank or mesh: a tube that touches it rubs through. */
export const runsInto = nearness('runs-into', 'solid', { slight: 1, grave: 0 }, () => '');
