import { nearness } from './_nearness.ts';

/** An edge cuts a tube that trembles against it. */
export const nearSharp = nearness(
  'near-sharp',
  'sharp',
  { slight: 1, grave: 1 },
  () => ': an edge saws through',
);
