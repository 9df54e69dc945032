export default {
  projects: [
    '<rootDir>/core',
    '<rootDir>/cli',
    '<rootDir>/server',
    '<rootDir>/app',
    '<rootDir>/e2e',
  ],
  testSequencer: '<rootDir>/tools/longest-first.mjs',
  // Machines are noisy: a screen's first spec reads all of its modules.
  testTimeout: 20_000,
};
