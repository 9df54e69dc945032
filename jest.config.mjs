export default { projects: ['<rootDir>/core', '<rootDir>/cli', '<rootDir>/server', '<rootDir>/app', '<rootDir>/e2e'] };
