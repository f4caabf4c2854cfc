import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The arrows between workspaces go one way: core ← contract ← server, core ← contract ← app. */
const forbid = (...patterns) => ({
  'no-restricted-imports': [
    'error',
    {
      patterns: patterns.map((group) => ({
        group: [group],
        message: 'The arrows between workspaces go one way; see docs/layout.md.',
      })),
    },
  ],
});
const OUTSIDE_CORE = [
  '@weskopos/*',
  'react',
  'react-native',
  'react-native/*',
  'express',
  'zod',
  'node:*',
  '@electric-sql/*',
  'expo*',
];

export default tseslint.config(
  {
    ignores: [
      '**/node_modules/**',
      '**/dist/**',
      '**/.expo/**',
      '.cache/**',
      '.demo-data/**',
      '**/*.js',
      'scripts/**',
      'app/scripts/**',
      '**/*.mjs',
    ],
  },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      'max-lines': ['error', { max: 450, skipBlankLines: true }],
    },
  },
  {
    files: ['core/src/**'],
    ignores: ['**/*.test.ts'],
    rules: {
      ...forbid(...OUTSIDE_CORE),
      'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random' },
        { object: 'Date', property: 'now' },
      ],
    },
  },
  {
    files: ['contract/src/**'],
    ignores: ['**/*.test.ts'],
    rules: forbid('@weskopos/server', '@weskopos/app', 'react*', 'express', 'node:*'),
  },
  { files: ['server/src/**'], rules: forbid('@weskopos/app', '@weskopos/demo', 'react*', 'expo*', '**/app/**') },
  {
    files: ['app/**'],
    rules: { ...forbid('@weskopos/server', '**/server/**', 'express', 'node:*'), ...hooks.configs.recommended.rules },
    plugins: { 'react-hooks': hooks },
  },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**', 'bench/**', '**/tests/**'],
    rules: {
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
      'react-hooks/rules-of-hooks': 'off',
    },
  },
);
