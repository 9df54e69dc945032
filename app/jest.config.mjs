import presets from 'jest-preset-angular/presets/index.js';
import { fastGlobals, swc } from '../tools/jest-node.mjs';

const preset = presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' });
export default {
  displayName: 'app',
  ...preset,
  sandboxInjectedGlobals: fastGlobals,
  transform: { '/core/src/.+\\.ts$': swc, '/node_modules/three.+\\.js$': swc, ...preset.transform },
  transformIgnorePatterns: ['node_modules/(?!.*\\.mjs$|three|flatqueue)'],
  setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: {
    '^@firm-line/core/(.*)$': ['<rootDir>/../core/src/$1/index.ts', '<rootDir>/../core/src/$1.ts'],
    '/workers$': '<rootDir>/src/testing/workers.stub.ts',
    '^minisearch$': '<rootDir>/../node_modules/minisearch/dist/cjs/index.cjs',
    '^tinykeys$': '<rootDir>/../node_modules/tinykeys/dist/tinykeys.js',
  },
};
