/** Unit tests run as CommonJS; packages of ours are read from their sources. */
module.exports = {
  /** As many as there are cores: the long tests share no data. */
  maxWorkers: '100%',
  /** A machine that does other work beside is no failure; what hangs is one. */
  testTimeout: 60_000,
  testEnvironment: 'node',
  roots: [
    '<rootDir>/core/src',
    '<rootDir>/contract/src',
    '<rootDir>/server/src',
    '<rootDir>/web/src',
    '<rootDir>/harness',
    '<rootDir>/test',
  ],
  testMatch: ['**/*.test.ts'],
  moduleFileExtensions: ['ts', 'js', 'mjs', 'cjs', 'json', 'vue'],
  transform: {
    '^.+\\.vue$': [
      '<rootDir>/test/vue.cjs',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
    '^.+\\.ts$': [
      '<rootDir>/test/fastGlobals.cjs',
      { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
    ],
    '^.+\\.m?js$': [
      '<rootDir>/test/fastGlobals.cjs',
      { jsc: { target: 'es2022' }, module: { type: 'commonjs' } },
    ],
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
