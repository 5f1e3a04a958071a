import stylistic from '@stylistic/eslint-plugin'
import pluginVue from 'eslint-plugin-vue'
import tseslint from 'typescript-eslint'
import vueParser from 'vue-eslint-parser'

const FORBIDDEN_IN_CORE = ['vue', 'vue-*', 'vuetify', 'vuetify/*', 'pinia', 'nuxt', 'nuxt/*', '#app', '#imports', 'nitropack', 'nitropack/*', 'echarts', 'echarts/*', 'localforage', 'node:*', 'fs', 'path', 'crypto', '~/*', '~~/*', '@/*', '**/app/*', '**/app/**', '**/server/*', '**/server/**']

export default tseslint.config(
  { ignores: ['.nuxt/**', '.output/**', 'node_modules/**', 'test-results/**', 'playwright-report/**', '.shots/**'] },
  ...tseslint.configs.recommended,
  ...pluginVue.configs['flat/recommended'],
  stylistic.configs.customize({ indent: 2, quotes: 'single', semi: false, braceStyle: 'stroustrup', arrowParens: false }),
  {
    languageOptions: { parser: vueParser, parserOptions: { parser: tseslint.parser, sourceType: 'module', ecmaVersion: 'latest' } },
    linterOptions: { reportUnusedDisableDirectives: 'error', noInlineConfig: true },
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports', prefer: 'type-imports', disallowTypeAnnotations: false }],
      '@stylistic/max-statements-per-line': ['error', { max: 2 }],
      '@stylistic/arrow-parens': 'off',
      '@stylistic/multiline-ternary': 'off',
      '@stylistic/operator-linebreak': ['error', 'before', { overrides: { '=': 'after' } }],
      '@stylistic/member-delimiter-style': ['error', { multiline: { delimiter: 'none' }, singleline: { delimiter: 'semi', requireLast: false } }],
      '@stylistic/indent': ['error', 2, { SwitchCase: 1, offsetTernaryExpressions: true, ignoredNodes: ['TemplateLiteral *', 'ConditionalExpression'] }],
      '@stylistic/indent-binary-ops': 'off',
      '@stylistic/quote-props': 'off',
      'eqeqeq': 'error',
      'no-console': 'error',
      'vue/multi-word-component-names': 'off',
      'vue/max-attributes-per-line': 'off',
      'vue/singleline-html-element-content-newline': 'off',
      'vue/multiline-html-element-content-newline': 'off',
      'vue/html-self-closing': 'off',
      'vue/first-attribute-linebreak': 'off',
      'vue/html-closing-bracket-newline': 'off',
      'vue/require-default-prop': 'off',
      'vue/attributes-order': 'off',
      'vue/no-v-html': 'error',
      'vue/html-indent': ['error', 2],
    },
  },
  {
    files: ['core/**/*.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [{ group: FORBIDDEN_IN_CORE, message: 'core/ imports nothing of app/, server/, Vue, the DOM or Node.' }] }],
      'no-restricted-globals': ['error', 'window', 'document', 'navigator', 'localStorage', 'fetch', 'process', 'Buffer', 'console', 'performance', 'setTimeout'],
    },
  },
  {
    files: ['app/**/*.{ts,vue}'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [
        { group: ['**/server/*', '**/server/**', 'node:*'], message: 'app/ imports core/, never server/ or Node.' },
        { group: ['#core/*/*', '**/core/**'], message: 'Import the core folder by its index: #core/chain.' },
      ] }],
    },
  },
  { files: ['server/**/*.ts'], rules: { 'no-restricted-imports': ['error', { patterns: [{ group: ['~/*', '**/app/**', 'vue', 'vuetify'], message: 'server/ imports core/, never app/.' }] }] } },
  { files: ['scripts/**', 'tests/**'], rules: { 'no-console': 'off' } },
)
