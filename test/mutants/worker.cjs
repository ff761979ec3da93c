/* eslint-disable @typescript-eslint/no-require-imports */
/** Runs the tests of one mutant after the other in a process of its own; killed from outside when one hangs. */
const { runCLI } = require('jest');

/** Mutants are switched on inside the sandbox, where nothing is bundled. */
const [, sandbox] = require('../../jest.config.cjs').projects;

process.on('message', async ({ mutant, tests }) => {
  // Not by Jest's globals: they would have every file compiled anew.
  process.env.ICY_RIBBON_MUTANT = mutant;
  const config = JSON.stringify({
    ...sandbox,
    rootDir: process.cwd(),
    transform: {
      '^.+\\.ts$': [
        '<rootDir>/test/mutants/transform.cjs',
        { jsc: { parser: { syntax: 'typescript' }, target: 'es2022' }, module: { type: 'commonjs' } },
      ],
      ...Object.fromEntries(Object.entries(sandbox.transform).filter(([pattern]) => pattern !== '^.+\\.ts$')),
    },
    roots: ['<rootDir>/core/src', '<rootDir>/web/src/words'],
    reporters: [],
  });
  const { results } = await runCLI(
    { config, _: tests, runInBand: true, bail: 1, silent: true, watchman: false, ci: true },
    [process.cwd()],
  );
  process.send({ survived: results.success && results.numTotalTests > 0, ran: results.numTotalTests });
});
process.send('ready');
