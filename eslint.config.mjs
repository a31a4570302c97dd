import next from '@next/eslint-plugin-next';
import importX from 'eslint-plugin-import-x';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import tseslint from 'typescript-eslint';

/** What each layer may not import; the arrows of the house point one way. */
const AREAS = [
  'fit',
  'bow',
  'arrow',
  'flight',
  'kit',
  'route',
  'tuning',
  'balance',
  'hold',
  'sheet',
].map((area) => `./src/core/${area}`);

const forbid = (target, from, message) => ({ target, from, message });

const zones = [
  forbid('./src/core/units', [...AREAS, './src/core/numerics'], 'units stands alone'),
  forbid('./src/core/numerics', [...AREAS, './src/core/units'], 'numerics knows no trade words'),
  forbid(
    './src/core',
    ['contracts', 'data', 'server', 'devices', 'workers', 'ui', 'app'].map((d) => `./src/${d}`),
    'core imports nothing but core',
  ),
  forbid(
    './src/contracts',
    ['data', 'server', 'devices', 'workers', 'ui', 'app'].map((d) => `./src/${d}`),
    'contracts may import core only',
  ),
  forbid(
    ['./src/data', './src/devices', './src/workers'],
    ['server', 'ui', 'app'].map((d) => `./src/${d}`),
    'data, devices and workers may import core and contracts',
  ),
  forbid('./src/server', ['./src/ui', './src/app'], 'server does not know the screens'),
  forbid(
    './src/ui',
    ['data', 'server', 'devices', 'app'].map((d) => `./src/${d}`),
    'ui may import core, contracts and workers',
  ),
];

const CORE_PURE = [
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Seeds are passed into core.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Times are passed into core.',
  },
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Times are passed into core.',
  },
  { selector: "MemberExpression[object.name='performance']", message: 'Core has no clock.' },
];

export default tseslint.config(
  { ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'var/**', 'coverage/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': importX, '@next/next': next },
    settings: {
      'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })],
    },
    rules: {
      ...next.configs.recommended.rules,
      // A module is a part of a bow here.
      '@next/next/no-assign-module-variable': 'off',
      'import-x/no-restricted-paths': ['error', { zones }],
      'import-x/no-cycle': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      eqeqeq: ['error', 'always'],
    },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/testing/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            'react*',
            'next*',
            '@mui/*',
            'better-sqlite3',
            'node:*',
            'fs',
            'path',
            'crypto',
          ],
        },
      ],
      'no-restricted-syntax': ['error', ...CORE_PURE],
    },
  },
);
