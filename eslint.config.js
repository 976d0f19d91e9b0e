import astro from 'eslint-plugin-astro';
import reactHooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

const CLOCKS_AND_CHANCE = [
  { object: 'Date', property: 'now', message: 'The clock is an argument here.' },
  { object: 'Math', property: 'random', message: 'Chance is a seed, and an argument here.' },
];

const NO_CLOCK = {
  selector: "NewExpression[callee.name='Date'][arguments.length=0]",
  message: 'The clock is an argument here.',
};

// A count that words follow is a message with a plural (messages/author): nobody counts by hand in a sentence.
const NO_PLURAL_BY_HAND = ['Literal[raw=/^.[^\\d#]/]', 'TemplateLiteral'].map((words) => ({
  selector: `ConditionalExpression[test.operator=/^[!=]==$/][test.right.value=1] > ${words}.consequent`,
  message: 'A sentence that counts is an ICU message: sayScreen (messages/screenWords.ts).',
}));

// Fields stand one by one: packed into an object that is spread, they only make a long function look short.
const NO_PACKING = {
  selector: "ObjectExpression > SpreadElement[argument.type='ObjectExpression']",
  message: 'Write the fields themselves; a function that grows too long is split.',
};

export default tseslint.config(
  { ignores: ['dist', '.astro', '.data', 'node_modules', 'tests/tools/violating', 'test-results', 'public'] },
  ...tseslint.configs.recommended,
  ...astro.configs.recommended,
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      'no-console': 'error',
      'no-eval': 'error',
      'max-lines': ['error', 300],
      'no-restricted-imports': [
        'error',
        { name: 'date-fns', message: 'The whole package takes a second to load: import date-fns/<function>.' },
      ],
      'no-duplicate-imports': ['error', { allowSeparateTypeImports: true }],
    },
  },
  { rules: { 'no-restricted-syntax': ['error', NO_PACKING] } },
  {
    files: ['src/core/**/*.ts', 'src/makers/**/*.ts'],
    rules: {
      'no-restricted-properties': ['error', ...CLOCKS_AND_CHANCE],
      'no-restricted-syntax': ['error', NO_CLOCK, NO_PACKING],
      'no-restricted-globals': ['error', 'process', 'fetch', 'window', 'document', 'setTimeout'],
    },
  },
  {
    files: ['src/islands/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  {
    files: ['src/**/*.{ts,tsx,astro}'],
    ignores: ['src/{core,makers}/**', 'src/**/*.test.ts'],
    rules: { 'no-restricted-syntax': ['error', NO_PACKING, ...NO_PLURAL_BY_HAND] },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['src/**/*.test.ts', 'src/server/db/migrations/*.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
  {
    files: ['src/contracts/**/*.ts', 'src/server/services/**/*.ts', 'src/server/db/repositories/**/*.ts'],
    ignores: ['src/**/*.test.ts', 'src/contracts/{fields,problems,entryField}.ts'],
    rules: {
      'no-restricted-syntax': [
        'error',
        NO_PACKING,
        ...NO_PLURAL_BY_HAND,
        {
          selector: 'TSAsExpression > TSAsExpression > TSUnknownKeyword.typeAnnotation',
          message: 'A schema’s type is inferred; what Yup cannot tell is said with knownAs (contracts/fields.ts).',
        },
      ],
    },
  },
  { files: ['tests/**/*.ts', 'src/cli/**/*.ts'], rules: { 'no-console': 'off' } },
  // A table of words: split, a caution would be in two places.
  { files: ['src/messages/cautionWords.ts'], rules: { 'max-lines': 'off' } },
  { files: ['src/env.d.ts'], rules: { '@typescript-eslint/triple-slash-reference': 'off' } },
);
