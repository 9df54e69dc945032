/** A Jest project of plain TypeScript that runs under Node. */
export const swc = [
  '@swc/jest',
  { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
];
/**
 * What counting code asks for most. Looked up in the context of a test each costs a call into C++;
 * handed to each module, core's longest tests take a third of the time.
 */
export const fastGlobals = [
  ...['Array', 'Infinity', 'JSON', 'Map', 'Math', 'Number', 'Object', 'Set', 'String'],
  ...['Float32Array', 'Float64Array', 'Int32Array', 'Uint8Array', 'Uint32Array'],
];
export const nodeProject = (displayName) => ({
  displayName,
  sandboxInjectedGlobals: fastGlobals,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/**/*.spec.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  transform: { '^.+\\.[tj]s$': swc },
  transformIgnorePatterns: ['node_modules/(?!(three|fast-check|pure-rand|flatqueue)/)'],
  moduleNameMapper: {
    '^@firm-line/core/(.*)$': ['<rootDir>/../core/src/$1/index.ts', '<rootDir>/../core/src/$1.ts'],
  },
});
