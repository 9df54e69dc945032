import presets from 'jest-preset-angular/presets/index.js';
import { swc } from '../tools/jest-node.mjs';

const preset = presets.createCjsPreset({ tsconfig: '<rootDir>/tsconfig.spec.json' });
export default {
  displayName: 'app',
  ...preset,
  transform: { '/core/src/.+\\.ts$': swc, '/node_modules/three.+\\.js$': swc, ...preset.transform },
  transformIgnorePatterns: ['node_modules/(?!.*\\.mjs$|three)'],
  setupFilesAfterEnv: ['<rootDir>/jest.setup.ts'],
  testMatch: ['<rootDir>/src/**/*.spec.ts'],
  moduleNameMapper: {
    '^@firm-line/core/(.*)$': '<rootDir>/../core/src/$1/index.ts',
    '/elk-worker\\.factory$': '<rootDir>/src/testing/elk-worker.stub.ts',
    '/space-worker\\.factory$': '<rootDir>/src/testing/space-worker.stub.ts',
    '/mesh-worker\\.factory$': '<rootDir>/src/testing/elk-worker.stub.ts',
    '/way-worker\\.factory$': '<rootDir>/src/testing/way-worker.stub.ts',
    '/hose-worker\\.factory$': '<rootDir>/src/testing/hose-worker.stub.ts',
    '/plan-worker\\.factory$': '<rootDir>/src/testing/plan-worker.stub.ts',
  },
};
