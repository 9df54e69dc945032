import { nearness } from './_nearness.ts';

/** An edge cuts a tube that trembles against it. */
export const nearSharp = nearness('near-sharp', 'sharp', 'mind', () => ': an edge saws through');
