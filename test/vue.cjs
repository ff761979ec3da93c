/** Compiles a Vue component for the unit tests: its script with the template inside; styles are left out. */
/* eslint-disable @typescript-eslint/no-require-imports */
const { compileScript, parse, registerTS } = require('@vue/compiler-sfc');
const fast = require('./fastGlobals.cjs');

registerTS(() => require('typescript'));

module.exports = {
  createTransformer(options) {
    const inner = fast.createTransformer(options);
    const scriptOf = (source, path) => {
      const { descriptor, errors } = parse(source, { filename: path });
      if (errors.length > 0) throw errors[0];
      return compileScript(descriptor, { id: path, inlineTemplate: true, sourceMap: false }).content;
    };
    return {
      ...inner,
      process: (source, path, ...given) => inner.process(scriptOf(source, path), `${path}.ts`, ...given),
      getCacheKey: (source, path, ...given) => `vue-1-${inner.getCacheKey(source, path, ...given)}`,
    };
  },
};
