import prettier from 'eslint-config-prettier';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const CLOCK = [
  {
    selector: "MemberExpression[object.name='Date'][property.name='now']",
    message: 'Take the instant as an argument; the server reads now() of live/clock.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Take the instant as an argument; the server reads now() of live/clock.',
  },
];
const CORE = [
  ...CLOCK,
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Core has no chance: take it as an argument.',
  },
  {
    selector:
      'CallExpression[callee.property.name=/^(get|set)(Hours|Minutes|Day|Date|Month|FullYear|TimezoneOffset)$/]',
    message: 'The process has no zone here: use the UTC forms or engine [H16].',
  },
  {
    selector: "NewExpression[callee.property.name='DateTimeFormat'][arguments.length<2]",
    message: 'A time without a zone is the process’s: name the zone.',
  },
  {
    selector: 'CallExpression[callee.property.name=/^toLocale/]',
    message: 'Only words/format-text.ts formats, with Intl and a locale.',
  },
];
/** A closed kind is answered kind by kind; only what a later program may have written goes to a function that says so. */
const NO_DEFAULT = {
  selector: 'SwitchCase[test=null]:not(:has(CallExpression[callee.name=/Unknown$/]))',
  message: 'Name every kind, so that a new one does not compile; unknown data goes to a function …Unknown.',
};
const MODULE_STATE = {
  selector: 'Program > VariableDeclaration[kind="let"]',
  message: 'The entry and Next are two bundles: what lives longer than a request belongs to server/state.ts.',
};

export default tseslint.config(
  { ignores: ['.next/**', 'dist/**', 'data/**', 'node_modules/**', 'next-env.d.ts', '**/*.mjs'] },
  ...tseslint.configs.recommendedTypeChecked,
  {
    languageOptions: {
      parserOptions: {
        project: ['./tsconfig.json', './src/widget/tsconfig.json', './src/core/tsconfig.json'],
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }], // a parameter that only the compiler reads
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      '@typescript-eslint/unbound-method': 'off', // our interfaces are closures; none uses this
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}', 'src/app/**/*.{ts,tsx}', 'src/widget/panel/**/*.tsx'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['src/core/**/*.ts', 'src/formats/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', ...CORE, NO_DEFAULT] },
  },
  {
    files: ['src/server/**/*.ts', 'src/app/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', 'src/server/live/clock.ts'],
    rules: {
      'no-restricted-syntax': ['error', ...CLOCK, MODULE_STATE, NO_DEFAULT],
      'no-restricted-globals': [
        'error',
        { name: 'setTimeout', message: 'Use wakeAt of live/clock.' },
        { name: 'setInterval', message: 'Use wakeAt of live/clock.' },
      ],
    },
  },
  {
    files: ['src/ui/**/*.{ts,tsx}'],
    ignores: ['**/start-*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: "NewExpression[callee.name='Worker']",
          message: 'Workers start in a file start-….ts only.',
        },
        NO_DEFAULT,
        {
          selector: 'TSInterfaceDeclaration[id.name=/Props$/] > TSInterfaceBody[body.length>8]',
          message: 'At most eight props: what belongs together is one object, or comes from a context.',
        },
      ],
    },
  },
  {
    files: ['tests/**/*.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'CallExpression[callee.property.name="waitForTimeout"]',
          message: 'Wait for what should come, not for time.',
        },
        { selector: 'Property[key.name="retries"]', message: 'Mend the cause.' },
        {
          selector: 'MemberExpression[object.name=/^(it|test)$/][property.name=/^(only|skip)$/]',
          message: 'Every test runs.',
        },
      ],
    },
  },
  {
    files: [
      'src/server/entry.ts',
      'src/widget/guard.ts',
      'src/widget/panel/window-file-loader.ts',
      'src/demo/**/*.ts',
      'bench/**/*.ts',
    ],
    rules: { 'no-console': 'off' },
  },
  prettier,
);
