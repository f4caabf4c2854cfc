import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The arrows between workspaces go one way: core ← contract ← words ← server ← demo, core ← contract ← words ← app. */
const FORBIDDEN = 'The arrows between workspaces go one way; see docs/layout.md.';
/** Folders of a workspace, lowest first: each may use those before it. */
const LAYERS = {
  core: 'units sums vehicle catalogue house parts inspection limits rules grading plausibility sheets acts route wear calculators jobs trends score states fleet outlook report works prices decks simulator tests',
  contract: 'records',
  server:
    'config db signing ledger http audit people rules photos vehicles inspections fleet trends prices reports live changes lines keeper links calendars tables bundle sheets verify backup openapi tests',
  app: 'sync words workers kit controls shell visit features',
};
const pattern = (group, message) => ({ group: [group], message });
const restricted = (patterns) => ({ 'no-restricted-imports': ['error', { patterns }] });
const outside = (...groups) => [
  ...groups.map((group) => pattern(group, FORBIDDEN)),
  pattern('@weskopos/*/src/*', 'A package is entered by its doors; see its package.json.'),
];
const forbid = (...groups) => restricted(outside(...groups));

/** For each folder of a workspace: what its workspace may not use, and none of the folders above it. */
const layered = (workspace, ...groups) =>
  LAYERS[workspace].split(' ').map((folder, at, folders) => ({
    files: [`${workspace}/src/${folder}/**`],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: restricted([
      ...outside(...groups),
      ...folders
        .slice(at + 1)
        .map((above) => pattern(`**/../${above}/**`, `${folder} lies below ${above}; see docs/layout.md.`)),
    ]),
  }));
/** Time is handed in: only what is named here asks the clock. */
const CLOCK = [
  { selector: "NewExpression[callee.name='Date'][arguments.length=0]", message: 'Time is handed in.' },
  { selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']", message: 'Time is handed in.' },
];
/** What a person reads stands in `words`: two words next to each other, a label, or text between tags. */
const INTERFACE_TEXT = [
  'Literal[value=/[A-Za-z]{2,} [A-Za-z]{2,}/]:not(NewExpression > Literal):not(CallExpression[callee.object.name=/^(console|document)$/] > Literal)',
  'TemplateElement[value.raw=/[A-Za-z]{2,} [A-Za-z]{2,}/]:not(NewExpression TemplateElement)',
  'JSXText[value=/[A-Za-z]{3,}/]',
  'JSXAttribute[name.name=/^(label|hint|title|placeholder|help|over|problem|aria-label)$/] > Literal[value=/[A-Za-z]{2,}/]',
].map((selector) => ({ selector, message: 'Every word of the interface is in words/src.' }));
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
      '**/*.cjs',
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
  ...layered('core', ...OUTSIDE_CORE),
  {
    files: ['contract/src/**'],
    ignores: ['**/*.test.ts'],
    rules: forbid('@weskopos/words', '@weskopos/server', '@weskopos/app', 'react*', 'express', 'node:*'),
  },
  {
    files: ['words/src/**'],
    ignores: ['**/*.test.ts'],
    rules: forbid('@weskopos/server', '@weskopos/app', 'react*', 'express', 'node:*'),
  },
  { files: ['server/src/**'], rules: forbid('@weskopos/app', '@weskopos/demo', 'react*', 'expo*', '**/app/**') },
  ...layered('server', '@weskopos/app', '@weskopos/demo', 'react*', 'expo*', '**/app/**'),
  {
    files: ['app/**'],
    rules: { ...forbid('@weskopos/server', '**/server/**', 'express', 'node:*'), ...hooks.configs.recommended.rules },
    plugins: { 'react-hooks': hooks },
  },
  ...layered('app', '@weskopos/server', '@weskopos/demo', '**/server/**', 'express', 'node:*'),
  {
    files: ['core/src/**', 'contract/src/**', 'words/src/**', 'server/src/**', 'app/src/**'],
    ignores: [
      '**/*.test.ts',
      '**/*.test.tsx',
      '**/tests/**',
      'server/src/run.ts',
      'server/src/*Command.ts',
      'app/src/sync/clock.ts',
    ],
    rules: { 'no-restricted-syntax': ['error', ...CLOCK] },
  },
  {
    files: ['app/src/features/**', 'app/src/visit/**', 'app/src/shell/**', 'app/src/controls/**', 'app/src/kit/**'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: { 'no-restricted-syntax': ['error', ...CLOCK, ...INTERFACE_TEXT] },
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
