/** The rooms of core whose tests are tried by mutants, and the tests that have a say about them. */
const ROOMS = {
  'piece/order': ['core/src/piece/order', 'core/src/piece/check', 'web/src/words/order'],
  'judgement/diagnose': ['core/src/judgement/diagnose', 'web/src/words/cause'],
  'piece/check': ['core/src/piece/check', 'web/src/words/finding'],
  'thickness/match': ['core/src/thickness/match', 'web/src/words/contrast'],
  'flow/air': ['core/src/flow/air', 'core/src/piece/amount', 'core/src/piece/check', 'core/src/registry'],
  'judgement/compare': ['core/src/judgement/compare', 'core/src/judgement/outcome', 'web/src/words/quantity'],
};

const isMutated = (path) =>
  Object.keys(ROOMS).some((room) => path.includes(`core/src/${room}/`)) &&
  !/\.(test|calculation)\.ts$|\/index\.ts$/.test(path);

/** A file by its path in core. */
const idOf = (path) => path.replaceAll('\\', '/').replace(/^.*core\/src\//, '');

module.exports = { ROOMS, idOf, isMutated };
