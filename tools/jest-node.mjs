/** A Jest project of plain TypeScript that runs under Node. */
export const swc = [
  '@swc/jest',
  { jsc: { target: 'es2022', parser: { syntax: 'typescript' } }, module: { type: 'commonjs' } },
];
export const nodeProject = (displayName) => ({
  displayName,
  testEnvironment: 'node',
  testMatch: ['<rootDir>/**/*.spec.ts'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  transform: { '^.+\\.[tj]s$': swc },
  transformIgnorePatterns: ['node_modules/(?!(three|fast-check|pure-rand|flatqueue)/)'],
  moduleNameMapper: {
    '^@firm-line/core/(.*)$': ['<rootDir>/../core/src/$1/index.ts', '<rootDir>/../core/src/$1.ts'],
  },
});
