export { naturalHz, spanForHz, type Beam } from './beam.ts';
export { clips, type Clips, type ClipLimits, type ClipSpan, type Stretch } from './place.ts';
export { stretchesLeft } from './stretches.ts';
