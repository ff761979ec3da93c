/** What needs no page runs in plain Node, from bundles of its sources; pages run in Jest's sandbox as CommonJS. */
const shared = {
  testEnvironment: 'node',
  testMatch: ['**/*.test.ts'],
  moduleFileExtensions: ['ts', 'js', 'mjs', 'cjs', 'json', 'vue'],
};

const plain = {
  ...shared,
  displayName: 'plain',
  runner: '<rootDir>/test/plain/runner.mjs',
  setupFilesAfterEnv: ['<rootDir>/test/plain/setup.mjs'],
  roots: ['core/src', 'contract/src', 'server/src', 'harness'].map((folder) => `<rootDir>/${folder}`),
};

const swc = (target) => ({ jsc: target, module: { type: 'commonjs' } });
const typescript = { parser: { syntax: 'typescript' }, target: 'es2022' };

const pages = {
  ...shared,
  displayName: 'pages',
  roots: ['<rootDir>/web/src', '<rootDir>/test'],
  transform: {
    '^.+\\.vue$': ['<rootDir>/test/vue.cjs', swc(typescript)],
    '^.+\\.ts$': ['<rootDir>/test/fastGlobals.cjs', swc(typescript)],
    '^.+\\.m?js$': ['<rootDir>/test/fastGlobals.cjs', swc({ target: 'es2022' })],
  },
  transformIgnorePatterns: [
    '/node_modules/(?!(@tanstack|@tus|srvx|culori|d3-[a-z]+|internmap|pinia|nostics|@vueuse|@vue/devtools[^/]*)/)',
  ],
  moduleNameMapper: {
    '^ant-design-vue/es/(.*)$': 'ant-design-vue/lib/$1',
    '^@icy-ribbon/core/(.*)$': '<rootDir>/core/src/$1/index.ts',
    '^@icy-ribbon/contract$': '<rootDir>/contract/src/index.ts',
    '^@icy-ribbon/contract/(.*)$': '<rootDir>/contract/src/$1.ts',
  },
};

module.exports = {
  /** As many as there are cores: the long tests share no data. */
  maxWorkers: '100%',
  /** A machine that does other work beside is no failure; what hangs is one. */
  testTimeout: 60_000,
  projects: [plain, pages],
};
