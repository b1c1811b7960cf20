import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** Arrows point one way: web → core, server → core. The core knows nothing of where it runs. */
const never = (patterns, message) => ({
  'no-restricted-imports': ['error', { patterns: [{ regex: patterns, message }] }],
});

/** Rooms of core/src/trails. */
const TRAILS = ['spark', 'crank', 'charge', 'fuel', 'timing', 'stop', 'air', 'compression'];

export default tseslint.config(
  { ignores: ['**/dist/**', '**/.cache/**', '**/node_modules/**', 'data/**'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  {
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      eqeqeq: 'error',
    },
  },
  {
    // What only types can tell: a promise that nobody waits for, a case that nobody wrote.
    files: ['{core,server,web}/src/**/*.{ts,tsx}', 'server/__tests__/**/*.ts', '{bench,e2e}/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/await-thenable': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: false }],
      '@typescript-eslint/switch-exhaustiveness-check': ['error', { considerDefaultExhaustiveForUnions: true }],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      ...never(
        '^(node:|react|express|sequelize|sqlite3|@pondu/)|/(server|web)/',
        'core imports neither DOM, Node, React nor Express, and no other workspace.',
      ),
      'no-restricted-globals': [
        'error',
        'Date',
        'performance',
        'setTimeout',
        'process',
        'window',
        'document',
        'console',
      ],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'Chance is passed in.' }],
    },
  },
  {
    // The maths must not pull the schemas' library into the worker: types only.
    files: ['core/src/**/*.ts'],
    ignores: ['core/src/schema/**', 'core/src/__tests__/**', 'core/src/**/*.test.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '/schema/(?!stages|symptoms|cautions|fit\\.ts)',
              allowTypeImports: true,
              message: 'Import types only from the schemas.',
            },
          ],
        },
      ],
    },
  },
  // No trail imports another: what one knows of another it asks of the machine.
  ...TRAILS.map((trail) => ({
    files: [`core/src/trails/${trail}/**/*.ts`],
    ignores: ['core/src/**/*.test.ts'],
    rules: {
      ...never(
        `^(node:|react|express|sequelize|sqlite3|@pondu/)|/(server|web)/|/(${TRAILS.filter((t) => t !== trail).join('|')})/`,
        'A trail imports no other trail.',
      ),
    },
  })),
  {
    files: ['core/src/trails/shared/**/*.ts', 'core/src/machine/**/*.ts', 'core/src/engine/**/*.ts'],
    ignores: ['core/src/**/*.test.ts'],
    rules: never(`^(node:|react|express|@pondu/)|/(${TRAILS.join('|')})/`, 'What trails share knows no single trail.'),
  },
  { files: ['server/**/*.ts'], rules: never('^react|/web/', 'server imports only core.') },
  {
    files: ['web/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      ...never('^(node:|express|sequelize)|/server/|@pondu/server', 'web reaches the server over HTTP only.'),
    },
  },
  {
    files: ['scripts/**/*.mjs', 'bench/**/*.mjs'],
    languageOptions: {
      globals: Object.fromEntries(
        [
          'Buffer',
          'clearInterval',
          'console',
          'document',
          'fetch',
          'localStorage',
          'location',
          'navigator',
          'process',
          'setInterval',
          'setTimeout',
        ].map((g) => [g, 'readonly']),
      ),
    },
  },
);
