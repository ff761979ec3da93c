/* eslint-disable @typescript-eslint/no-require-imports */
/** The transform of the unit tests, with every mutation of a tried file built in behind its switch. */
const fast = require('../fastGlobals.cjs');
const { mutationsOf, withSwitches } = require('./mutations.cjs');
const { idOf, isMutated } = require('./rooms.cjs');

module.exports = {
  createTransformer(options) {
    const inner = fast.createTransformer(options);
    const switched = (source, path) =>
      isMutated(path) ? withSwitches(source, mutationsOf(source), idOf(path)) : source;
    return {
      ...inner,
      process: (source, path, ...given) => inner.process(switched(source, path), path, ...given),
      getCacheKey: (source, path, ...given) =>
        `mutants-2-${inner.getCacheKey(switched(source, path), path, ...given)}`,
    };
  },
};
