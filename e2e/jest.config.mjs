import unit from '../jest.config.mjs';

/** Journeys through the real interface on the built application, two files side by side. */
export default {
  rootDir: '..',
  transform: unit.projects[0].transform,
  sandboxInjectedGlobals: unit.projects[0].sandboxInjectedGlobals,
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/var'],
  testEnvironment: 'node',
  testMatch: ['<rootDir>/e2e/**/*.test.ts'],
  globalSetup: '<rootDir>/e2e/global-setup.cjs',
  globalTeardown: '<rootDir>/e2e/global-teardown.cjs',
  testTimeout: 420_000,
  maxWorkers: 2,
};
