import js from '@eslint/js';
import boundaries from 'eslint-plugin-boundaries';
import imports from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import ts from 'typescript-eslint';

/** The walls of the house: which workspace may import which. Server and app never meet. */
const WALLS = {
  catalogue: [],
  core: ['catalogue'],
  say: ['core', 'catalogue'],
  contract: ['say', 'core', 'catalogue'],
  server: ['contract', 'say', 'core', 'catalogue'],
  app: ['contract', 'say', 'core', 'catalogue'],
  journeys: ['contract', 'say', 'core', 'catalogue'],
};

const rooms = Object.keys(WALLS);
const TSCONFIG = (room) => (room.includes('/') ? `${room}.json` : `${room}/tsconfig.json`);

export default ts.config(
  {
    ignores: [
      '**/node_modules/**',
      '**/dist/**',
      '.open-larder/**',
      'app/.expo/**',
      'test-results/**',
      'scripts/bare-app/**',
    ],
  },
  js.configs.recommended,
  ...ts.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    plugins: { boundaries },
    settings: {
      'boundaries/elements': rooms.map((room) => ({
        type: room,
        pattern: `${room}/**`,
        partialMatch: false,
      })),
      'import/resolver': { typescript: { project: rooms.map(TSCONFIG) } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          message: '{{from.element.type}} may not import {{to.element.type}}: see WALLS',
          policies: rooms.map((room) => ({
            from: { element: { type: room } },
            allow: { to: { element: { type: [room, ...WALLS[room]] } } },
          })),
        },
      ],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', destructuredArrayIgnorePattern: '^_' },
      ],
      '@typescript-eslint/consistent-type-imports': ['error', { disallowTypeAnnotations: false }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      'no-console': 'error',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
    },
  },
  {
    // What needs types: no promise is left alone, none is given where it is not awaited; no file needs
    // one that needs it.
    files: rooms.filter((room) => room !== 'journeys').map((room) => `${room}/src/**/*.{ts,tsx}`),
    plugins: { 'import-x': imports },
    languageOptions: {
      parserOptions: {
        project: [...rooms, 'core/tsconfig.test'].map((room) => TSCONFIG(room)),
        tsconfigRootDir: import.meta.dirname,
      },
    },
    settings: {
      'import-x/resolver': { typescript: { project: rooms.map((room) => TSCONFIG(room)) } },
      'import-x/parsers': { '@typescript-eslint/parser': ['.ts', '.tsx'] },
    },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': [
        'error',
        { checksVoidReturn: { attributes: false } },
      ],
      // A bundle is asked for when it is needed, also by what lies in it.
      'import-x/no-cycle': [
        'error',
        { ignoreExternal: true, allowUnsafeDynamicCyclicDependency: true },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.testkit.ts'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              // The geometry of a piece is one for the check of the rows and for the computation.
              regex: '^@open-larder/catalogue(?!/piece$)',
              allowTypeImports: true,
              message: 'the core takes catalogue rows as data: import their types only',
            },
            { group: ['node:*', 'fs', 'path', 'react*'], message: 'the core is pure' },
          ],
        },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'the core has no clock: take the day and zone as arguments',
        },
        {
          selector: 'MemberExpression[object.name="Math"][property.name="random"]',
          message: 'the core has no unseeded chance: take a seed',
        },
        {
          selector: 'MemberExpression[object.name="Date"][property.name="now"]',
          message: 'the core has no clock: take the day and zone as arguments',
        },
        {
          selector: 'MemberExpression[property.name="toFixed"]',
          message: 'the core returns figures: `say` words them',
        },
      ],
    },
  },
  {
    files: ['app/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: {
      ...hooks.configs.recommended.rules,
      'react-hooks/exhaustive-deps': 'error',
      // It names libraries that the React Compiler cannot memoize: that compiler is not used here.
      'react-hooks/incompatible-library': 'off',
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          paths: [
            {
              name: '@open-larder/core',
              message:
                'import from a room, such as @open-larder/core/fish: a screen loads what it uses',
            },
          ],
        },
      ],
    },
  },
  {
    // One clock a side, which tests set: what reads the machine's own passes on some days alone.
    files: ['app/src/**/*.{ts,tsx}', 'server/src/**/*.ts'],
    ignores: ['**/clock.ts', 'app/src/testing/frames.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'ask the clock: store/clock in the app, the Clock in the server',
        },
        {
          selector:
            'CallExpression[callee.object.name="Date"][callee.property.name="now"][arguments.length=0]',
          message: 'ask the clock: store/clock in the app, the Clock in the server',
        },
      ],
    },
  },
  {
    files: ['**/*.js', '**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        module: 'writable',
        require: 'readonly',
        __dirname: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        URL: 'readonly',
        Buffer: 'readonly',
      },
    },
    rules: {
      '@typescript-eslint/no-require-imports': 'off',
      '@typescript-eslint/no-unused-vars': ['error', { varsIgnorePattern: '^_' }],
    },
  },
);
