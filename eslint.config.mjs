import { createRequire } from 'node:module';
import next from '@next/eslint-plugin-next';
import importX from 'eslint-plugin-import-x';
import { createTypeScriptImportResolver } from 'eslint-import-resolver-typescript';
import tseslint from 'typescript-eslint';
import { areaZones, layerZones, layerZonesOfTests, testingZone } from './scripts/lint/layers.mjs';
import { noCircle } from './scripts/lint/no-circle.mjs';

const require = createRequire(import.meta.url);
const parser = require.resolve('@typescript-eslint/parser', {
  paths: [require.resolve('typescript-eslint')],
});

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

const TESTS = ['**/*.test.ts', '**/*.test.tsx', 'src/{core,server,ui}/testing/**'];

export default tseslint.config(
  { ignores: ['.next/**', 'node_modules/**', 'next-env.d.ts', 'var/**', 'coverage/**'] },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { 'import-x': importX, '@next/next': next, house: { rules: { circle: noCircle } } },
    settings: {
      'import-x/resolver-next': [createTypeScriptImportResolver({ project: './tsconfig.json' })],
      // Without these the rules below see no TypeScript and find nothing.
      'import-x/extensions': ['.ts', '.tsx', '.mjs', '.js'],
      'import-x/parsers': { [parser]: ['.ts', '.tsx'] },
    },
    rules: {
      ...next.configs.recommended.rules,
      // A module is a part of a bow here.
      '@next/next/no-assign-module-variable': 'off',
      'import-x/no-restricted-paths': [
        'error',
        { zones: [...layerZones, ...areaZones, testingZone] },
      ],
      // The usual rule for circles lets those of types through, and takes twenty times as long.
      'house/circle': 'error',
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
      ],
      eqeqeq: ['error', 'always'],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}', 'demo/**/*.ts', 'scripts/**/*.{ts,mjs,cjs}'],
    ignores: TESTS,
    rules: { 'max-lines': ['error', 300] },
  },
  {
    files: TESTS,
    rules: { 'import-x/no-restricted-paths': ['error', { zones: layerZonesOfTests }] },
  },
  { files: ['**/*.cjs'], rules: { '@typescript-eslint/no-require-imports': 'off' } },
  {
    files: ['src/core/**/*.ts'],
    ignores: TESTS,
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
