import unit from '../jest.config.mjs';

/** Journeys through the real interface on the built application; one after another. */
export default {
  rootDir: '..',
  transform: unit.projects[0].transform,
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/var'],
  testEnvironment: 'node',
  testMatch: ['<rootDir>/e2e/**/*.test.ts'],
  testTimeout: 420_000,
  maxWorkers: 1,
};
