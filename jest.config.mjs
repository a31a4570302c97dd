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

const GLOBALS = [
  ...['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'WeakMap', 'String', 'Symbol', 'JSON'],
  ...['Error', 'Promise', 'Float64Array', 'Uint8Array'],
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
  // A test runs in a machine of its own, where every use of a global is looked up from outside: these are handed in.
  sandboxInjectedGlobals: GLOBALS,
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
      moduleNameMapper: {
        ...shared.moduleNameMapper,
        '^@emotion/sheet$': '<rootDir>/scripts/no-styles.cjs',
      },
      sandboxInjectedGlobals: [...GLOBALS, 'window', 'document'],
      testMatch: ['<rootDir>/src/ui/**/*.test.tsx'],
      setupFiles: ['<rootDir>/scripts/jsdom-setup.cjs'],
      setupFilesAfterEnv: ['@testing-library/jest-dom', '<rootDir>/scripts/jsdom-patience.cjs'],
    },
  ],
};
