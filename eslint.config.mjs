// @ts-check
import js from '@eslint/js'
import hooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

export default tseslint.config(
  { ignores: ['.local/**', '**/node_modules/**', 'server/migrations/**', 'test-results/**'] },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: {
      parserOptions: {
        // Without references: through what those build, inferred types are read back at length, and lint takes five times as long.
        project: ['core', 'core-test', 'pdf', 'cli', 'server', 'web', 'e2e'].map((name) => `tools/lint/${name}.json`),
        tsconfigRootDir: import.meta.dirname,
      },
    },
    rules: {
      // Amounts, counts and rpm go into sentences all over; printing them is the point.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      '@typescript-eslint/no-confusing-void-expression': [
        'error',
        { ignoreArrowShorthand: true, ignoreVoidOperator: true },
      ],
      '@typescript-eslint/consistent-type-imports': 'off',
      eqeqeq: 'error',
    },
  },
  {
    files: ['web/src/**/*.{ts,tsx}'],
    plugins: { 'react-hooks': hooks },
    rules: { 'react-hooks/rules-of-hooks': 'error', 'react-hooks/exhaustive-deps': 'error' },
  },
  // Nest declares its options as classes and takes literals for them.
  { files: ['server/src/application.ts'], rules: { '@typescript-eslint/no-unsafe-class-instance-assignment': 'off' } },
  // Nest's modules are classes that hold nothing.
  { files: ['server/src/**/*.module.ts'], rules: { '@typescript-eslint/no-extraneous-class': 'off' } },
  // Answers of the API under test have no type until they are asserted on.
  {
    files: ['server/test/**', 'e2e/**'],
    rules: {
      '@typescript-eslint/no-unsafe-member-access': 'off',
      '@typescript-eslint/no-unsafe-assignment': 'off',
      '@typescript-eslint/no-unsafe-argument': 'off',
      '@typescript-eslint/no-unsafe-call': 'off',
      '@typescript-eslint/no-unsafe-return': 'off',
    },
  },
  {
    files: ['**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        fetch: 'readonly',
        setTimeout: 'readonly',
        URL: 'readonly',
        document: 'readonly',
        performance: 'readonly',
        structuredClone: 'readonly',
        Response: 'readonly',
        Headers: 'readonly',
        TextEncoder: 'readonly',
        TextDecoder: 'readonly',
      },
    },
    rules: { 'no-undef': 'error' },
  },
)
