import js from '@eslint/js'
import prettier from 'eslint-config-prettier'
import globals from 'globals'
import vue from 'eslint-plugin-vue'
import ts from 'typescript-eslint'

export default ts.config(
  { ignores: ['**/dist/**', '**/.build/**', '**/node_modules/**', 'test-results/**'] },
  js.configs.recommended,
  ...ts.configs.recommended,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
    rules: { 'vue/multi-word-component-names': 'off', 'vue/require-default-prop': 'off' },
  },
  {
    files: ['**/*.{ts,vue}'],
    rules: {
      'no-undef': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
    },
  },
  // amounts on a screen are in the person's units and with the person's decimal sign: web/src/session/useShow.ts writes and reads them
  {
    files: ['web/src/**/*.vue'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [
            { name: '@selvrin/core', importNames: ['showMass', 'showVolume', 'showTemperature', 'showConcentration', 'parseQuantity'] },
          ],
        },
      ],
    },
  },
  { files: ['**/*.mjs'], languageOptions: { globals: globals.nodeBuiltin } },
  { files: ['**/*.cjs'], languageOptions: { globals: globals.commonjs } },
  {
    files: ['web/public/**/*.js', 'scripts/shots.mjs', 'bench/clicks.mjs', 'bench/board.mjs'],
    languageOptions: { globals: { ...globals.nodeBuiltin, ...globals.browser } },
  },
  // what answers a request can be read at a glance
  {
    files: ['server/src/**/*.ts'],
    ignores: ['**/*.test.ts', 'server/src/test/**', 'server/src/demo/**'],
    rules: { 'max-lines-per-function': ['error', { max: 60, skipBlankLines: true, skipComments: true }] },
  },
  // a fixture that needs no other names an empty pattern
  { files: ['e2e/support/house.ts'], rules: { 'no-empty-pattern': 'off' } },
  {
    files: ['core/src/**/*.ts'],
    rules: { 'no-restricted-imports': ['error', { patterns: ['@selvrin/*', 'node:*', 'vue', 'express', 'sequelize'] }] },
  },
  prettier,
)
