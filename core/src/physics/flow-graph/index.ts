export * from './network.ts';
