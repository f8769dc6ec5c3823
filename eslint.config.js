import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';
import prettier from 'eslint-config-prettier';

const clocks = [
  {
    selector: "CallExpression[callee.object.name='Date'][callee.property.name='now']",
    message: 'Time comes in as an argument.',
  },
  {
    selector: "NewExpression[callee.name='Date'][arguments.length=0]",
    message: 'Time comes in as an argument.',
  },
  {
    selector: "MemberExpression[object.name='Math'][property.name='random']",
    message: 'Randomness comes in as a seed.',
  },
  {
    selector: "MemberExpression[object.property.name='Now'], MemberExpression[property.name='Now']",
    message: 'Time comes in as an argument.',
  },
];

export default tseslint.config(
  { ignores: ['dist', 'data', 'node_modules', 'test-results', 'playwright-report', '**/*.cjs'] },
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  reactHooks.configs.flat['recommended-latest'],
  {
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      '@typescript-eslint/consistent-type-imports': 'error',
      'max-lines': ['error', { max: 250, skipBlankLines: true }],
      'max-lines-per-function': ['error', { max: 100 }],
      // We do not compile with the React compiler; tables and virtual lists keep state of their own.
      'react-hooks/incompatible-library': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      '@typescript-eslint/no-unused-vars': [
        'error',
        { argsIgnorePattern: '^_', varsIgnorePattern: '^_', ignoreRestSiblings: true },
      ],
    },
  },
  { files: ['src/core/**', 'src/contract/**'], rules: { 'no-restricted-syntax': ['error', ...clocks] } },
  {
    // Tests, and tables of data.
    files: ['**/*.test.{ts,tsx}', 'e2e/**', 'src/core/testkit/**', 'src/core/diagnosis/causes.ts'],
    rules: { 'max-lines': 'off', 'max-lines-per-function': 'off' },
  },
  prettier,
);
