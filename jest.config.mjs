const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
  },
];

const shared = {
  transform: { '^.+\\.(t|j)sx?$': swc },
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '\\.module\\.css$': '<rootDir>/scripts/class-names.cjs',
    '\\.css$': '<rootDir>/scripts/empty.cjs',
    '^server-only$': '<rootDir>/scripts/empty.cjs',
  },
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/var'],
};

/** A slow machine is no fault: hung tests alone are to be ended. */
const testTimeout = 120_000;

export default {
  testTimeout,
  // Jest leaves a core free; there is nobody else here while tests run.
  maxWorkers: '100%',
  projects: [
    {
      ...shared,
      displayName: 'node',
      testEnvironment: 'node',
      testMatch: ['<rootDir>/{src,demo,scripts}/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'jsdom',
      testEnvironment: 'jsdom',
      testMatch: ['<rootDir>/src/ui/**/*.test.tsx'],
      setupFiles: ['<rootDir>/scripts/jsdom-setup.cjs'],
      setupFilesAfterEnv: ['@testing-library/jest-dom'],
    },
  ],
};
