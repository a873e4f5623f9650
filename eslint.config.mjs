import js from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import expo from 'eslint-config-expo/flat.js';
import tseslint from 'typescript-eslint';

const strict = {
  files: ['**/*.ts', '**/*.tsx'],
  extends: [js.configs.recommended, tseslint.configs.strictTypeChecked],
  languageOptions: {
    parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname },
  },
  rules: {
    '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
    '@typescript-eslint/no-unused-vars': [
      'error',
      { argsIgnorePattern: '^_', varsIgnorePattern: '^_' },
    ],
    '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    '@typescript-eslint/consistent-type-imports': 'error',
    // The bundler takes a package as a whole: a date's format alone is a tenth of all dates.
    '@typescript-eslint/no-restricted-imports': [
      'error',
      {
        paths: ['date-fns', 'lucide-react-native'].map((name) => ({
          name,
          message: 'Import the one file of it that is used.',
          allowTypeImports: true,
        })),
      },
    ],
    // A document's type is its schema's, under a name that messages show.
    '@typescript-eslint/no-empty-object-type': [
      'error',
      { allowInterfaces: 'with-single-extends' },
    ],
    // TypeORM's EntitySchema takes plain objects by design.
    '@typescript-eslint/no-unsafe-class-instance-assignment': 'off',
  },
};

export default defineConfig([
  globalIgnores([
    '**/node_modules/',
    '**/dist/',
    '**/dist-pseudo/',
    '**/.expo/',
    '.data/',
    'docs/',
    'test-results/',
  ]),
  {
    files: ['apps/app/**/*.{ts,tsx}'],
    extends: [expo],
    rules: {
      'import/no-unresolved': 'off',
      'import/namespace': 'off',
      'import/no-duplicates': 'off',
    },
  },
  strict,
  {
    // Effects that reach outside React are named; a ref that holds the latest value is a habit here.
    files: ['apps/app/**/*.{ts,tsx}'],
    rules: { 'react-hooks/refs': 'off' },
  },
  {
    files: ['apps/app/src/**/*.{ts,tsx}'],
    ignores: ['**/readAnew.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        {
          property: 'invalidateQueries',
          message: 'It lets a first reading be that began before the change: use readAnew.',
        },
      ],
    },
  },
  // react-native-svg marks its own x and y as deprecated through an inherited type.
  { files: ['apps/app/src/drawing/*.tsx'], rules: { '@typescript-eslint/no-deprecated': 'off' } },
  {
    // A function is read on one page; a screen’s may run over it.
    files: ['packages/**/*.ts', 'apps/server/**/*.ts', 'cli/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 70 }] },
  },
  {
    files: ['apps/app/**/*.{ts,tsx}', 'scripts/**/*.mjs'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: { 'max-lines-per-function': ['error', { max: 95 }] },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**/*.ts'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
    },
  },
  {
    files: ['**/*.mjs', '**/*.cjs'],
    extends: [js.configs.recommended],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        setInterval: 'readonly',
        clearInterval: 'readonly',
        clearTimeout: 'readonly',
        URL: 'readonly',
        fetch: 'readonly',
        AbortSignal: 'readonly',
        AbortController: 'readonly',
        BroadcastChannel: 'readonly',
        structuredClone: 'readonly',
        afterEach: 'readonly',
        navigator: 'readonly',
        indexedDB: 'readonly',
        module: 'writable',
        require: 'readonly',
        __dirname: 'readonly',
        globalThis: 'readonly',
        Buffer: 'readonly',
        performance: 'readonly',
        jest: 'readonly',
      },
    },
  },
]);
