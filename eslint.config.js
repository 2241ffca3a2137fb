import js from '@eslint/js'
import globals from 'globals'
import tseslint from 'typescript-eslint'
import vue from 'eslint-plugin-vue'
import vueParser from 'vue-eslint-parser'
import prettier from 'eslint-config-prettier'
import { walls } from './walls.js'

export default tseslint.config(
  { ignores: ['dist/', 'dist-with-warnings/', '.types/', 'data/', 'test-results/', '.cache/', 'node_modules/'] },
  js.configs.recommended,
  ...tseslint.configs.strict,
  ...tseslint.configs.stylistic,
  ...vue.configs['flat/recommended'],
  prettier,
  {
    rules: {
      // The type-aware walls need allowTypeImports, which the plain rule lacks.
      'no-restricted-imports': 'off',
      'no-undef': 'off',
      eqeqeq: ['error', 'always'],
      'no-console': 'error',
      'no-duplicate-imports': ['error', { allowSeparateTypeImports: true }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/attributes-order': 'off',
      'no-restricted-exports': [
        'error',
        {
          restrictDefaultExports: {
            direct: true,
            named: true,
            defaultFrom: true,
            namedFrom: true,
            namespaceFrom: true,
          },
        },
      ],
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, extraFileExtensions: ['.vue'] } },
  },
  {
    files: ['*.config.{js,ts}', 'scripts/unit/*.ts', 'scripts/e2e/*.ts', '**/*.vue'],
    rules: { 'no-restricted-exports': 'off' },
  },
  {
    files: ['scripts/**', 'src/server/main.ts'],
    languageOptions: { globals: globals.node },
    rules: { 'no-console': 'off' },
  },
  {
    // No function grows past a screen; migrations and the tables' schema list what there is.
    files: ['src/**/*.{ts,vue}', 'scripts/**'],
    ignores: ['**/*.test.ts', 'src/testing/**', 'src/server/db/migrations/**', 'src/server/db/models.ts'],
    rules: { 'max-lines-per-function': ['error', { max: 60 }] },
  },
  ...walls.map(asTypeAware),
)

/** The walls' import rule in its typescript-eslint form, which knows type imports. */
function asTypeAware(config) {
  const { 'no-restricted-imports': imports, ...rest } = config.rules
  return imports ? { ...config, rules: { ...rest, '@typescript-eslint/no-restricted-imports': imports } } : config
}
