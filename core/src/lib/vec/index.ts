export * from './vec.ts';
export * from './polyline.ts';
