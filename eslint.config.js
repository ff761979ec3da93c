import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import typescript from 'typescript-eslint';

/** Imports point one way: web -> contract, core; server -> contract, core; contract -> core; core -> libraries. */
function mayNotImport(folder, patterns, message, ...more) {
  return {
    files: [`${folder}/src/**/*.{ts,vue}`],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        { patterns: [{ group: patterns, message }, ...more] },
      ],
    },
  };
}

const NODE_ONLY = ['node:*', 'fs', 'path', 'express', 'kysely', 'better-sqlite3', 'sharp'];
const SCREEN_ONLY = ['vue', 'vue-*', 'pinia', 'ant-design-vue', 'ant-design-vue/*', '@vueuse/*'];

export default typescript.config(
  {
    ignores: [
      '**/dist/**',
      '**/bundle/**',
      // AssemblyScript: its compiler checks it.
      'core/assembly/**',
      'node_modules/**',
      '**/test-results/**',
      '**/playwright-report/**',
      '.cache/**',
      'demo-data/**',
      'data/**',
    ],
  },
  js.configs.recommended,
  ...typescript.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    languageOptions: { globals: { ...globals.es2023 } },
    rules: {
      '@typescript-eslint/no-non-null-assertion': 'off',
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/unified-signatures': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
    },
  },
  {
    files: ['**/*.vue'],
    languageOptions: {
      parserOptions: { parser: typescript.parser },
      globals: globals.browser,
    },
    rules: {
      'vue/block-order': ['error', { order: ['script', 'template', 'style'] }],
      'vue/define-macros-order': 'off',
    },
  },
  {
    files: ['web/src/**/*.ts'],
    languageOptions: { globals: globals.browser },
    rules: { 'no-console': 'off' },
  },
  {
    files: ['scripts/**', 'test/**', 'e2e/**', 'server/**', 'harness/**', '*.config.*', 'jest.config.cjs'],
    languageOptions: { globals: globals.node },
  },
  { files: ['scripts/**'], rules: { 'no-console': 'off' } },
  { files: ['**/*.cjs'], languageOptions: { sourceType: 'commonjs' } },
  mayNotImport(
    'core',
    ['@icy-ribbon/*', '**/contract/**', '**/server/**', '**/web/**', ...NODE_ONLY, ...SCREEN_ONLY],
    'core imports libraries only: no package of ours, no input or output, no interface.',
  ),
  mayNotImport(
    'contract',
    ['@icy-ribbon/server', '@icy-ribbon/web', '**/server/**', '**/web/**', ...NODE_ONLY, ...SCREEN_ONLY],
    'contract imports core and Zod only.',
  ),
  mayNotImport(
    'server',
    ['@icy-ribbon/web', '**/web/**', ...SCREEN_ONLY],
    'server imports contract and core, never the interface.',
  ),
  mayNotImport(
    'web',
    ['@icy-ribbon/server', '**/server/**', ...NODE_ONLY],
    'web imports contract and core, never the server.',
    {
      regex: String.raw`^\.\./\.\./(?!\.\./core/testing)`,
      message: 'Give it its one name: #store/units.ts.',
    },
  ),
  prettier,
);
