import prettier from 'eslint-config-prettier'
import pluginVue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

const FORBIDDEN_IN_CORE = [
  ...['vue', 'vue-*', 'vuetify', 'vuetify/*', 'pinia', 'nuxt', 'nuxt/*', '#app', '#imports'],
  ...['nitropack', 'nitropack/*', 'echarts', 'echarts/*', 'localforage', 'node:*', 'fs', 'path', 'crypto'],
  ...['~/*', '~~/*', '@/*', '**/app/*', '**/app/**', '**/server/*', '**/server/**'],
]
const AMBIENT = [
  ...['window', 'document', 'navigator', 'localStorage', 'fetch', 'process', 'Buffer', 'console'],
  ...['performance', 'setTimeout'],
]
const restricted = (...patterns) => ({ 'no-restricted-imports': ['error', { patterns }] })

export default tseslint.config(
  {
    ignores: [
      '.nuxt/**',
      '.output/**',
      'dist/**',
      'node_modules/**',
      'test-results/**',
      'playwright-report/**',
      '.shots/**',
      '.stryker/**',
    ],
  },
  ...tseslint.configs.recommended,
  ...pluginVue.configs['flat/recommended'],
  prettier,
  {
    languageOptions: {
      parser: vueParser,
      parserOptions: { parser: tseslint.parser, sourceType: 'module', ecmaVersion: 'latest' },
    },
    linterOptions: { reportUnusedDisableDirectives: 'error', noInlineConfig: true },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', prefer: 'type-imports', disallowTypeAnnotations: false },
      ],
      eqeqeq: 'error',
      'no-console': ['error', { allow: ['error'] }],
      'no-nested-ternary': 'error',
      'max-params': ['error', 4],
      complexity: ['warn', 15],
      'no-restricted-syntax': [
        'error',
        {
          selector: ':function > Identifier.params[name="of"]',
          message: 'Say what it is: a parameter called “of” names nothing.',
        },
      ],
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
      'vue/no-v-html': 'error',
    },
  },
  {
    // The columns of a table of cases are the parameters of its test.
    files: ['tests/**/*.ts'],
    rules: { 'max-params': 'off' },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      ...restricted({
        group: FORBIDDEN_IN_CORE,
        message: 'core/ imports nothing of app/, server/, Vue, the DOM or Node.',
      }),
      'no-restricted-globals': ['error', ...AMBIENT],
    },
  },
  {
    // A truth of its own: it shares no law with what it is asked to catch.
    files: ['core/study/physical/**/*.ts'],
    rules: restricted(
      {
        group: FORBIDDEN_IN_CORE,
        message: 'core/ imports nothing of app/, server/, Vue, the DOM or Node.',
      },
      {
        group: [
          '**/uncertainty',
          '**/uncertainty/**',
          '**/chain',
          '**/chain/**',
          '**/virtual',
          '**/virtual/**',
        ],
        message: 'The physical study imports nothing of uncertainty/, chain/ or virtual/.',
      },
    ),
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: restricted(
      {
        group: ['**/server/*', '**/server/**', 'node:*'],
        message: 'app/ imports core/, never server/ or Node.',
      },
      { group: ['#core/*/*', '**/core/**'], message: 'Import the core folder by its index: #core/chain.' },
    ),
  },
  {
    // The settings read this file before there is an alias for the core.
    files: ['app/theme/themes.ts'],
    rules: restricted({
      group: ['#core/**', '~/**', '**/server/**'],
      message: 'By its path: no alias is known yet.',
    }),
  },
  {
    files: ['server/**/*.ts'],
    rules: restricted({
      group: ['~/*', '**/app/**', 'vue', 'vuetify'],
      message: 'server/ imports core/, never app/.',
    }),
  },
  { files: ['scripts/**', 'tests/**'], rules: { 'no-console': 'off' } },
)
