/**
 * Small changes to a source file that its tests should notice, all built into one text: each stands behind a switch
 * (`__mutant === n`), so that a file is compiled once and tried many times.
 */
// eslint-disable-next-line @typescript-eslint/no-require-imports
const ts = require('typescript');

const SWAPS = {
  [ts.SyntaxKind.LessThanToken]: '>=',
  [ts.SyntaxKind.LessThanEqualsToken]: '>',
  [ts.SyntaxKind.GreaterThanToken]: '<=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '<',
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
  [ts.SyntaxKind.PlusToken]: '-',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
};

/** Numbers that say where to look rather than how much: places in lists, digits that are shown. */
const PLACES = new Set(['at', 'slice', 'toFixed', 'toPrecision', 'splice', 'toSpliced']);

function otherNumber(text) {
  const value = Number(text.replaceAll('_', ''));
  if (value === 0) return '1';
  return Number.isInteger(value) && value < 10 ? String(value + 1) : String(value * 1.5);
}

const isType = (node) =>
  ts.isTypeNode(node) || ts.isInterfaceDeclaration(node) || ts.isTypeAliasDeclaration(node);

/** Whether the text is put together from words: adding to words is no arithmetic. */
const isText = (node) =>
  ts.isStringLiteral(node) || ts.isTemplateExpression(node) || ts.isNoSubstitutionTemplateLiteral(node);

/**
 * @param {string} source
 * @returns {{ start: number, end: number, line: number, was: string, becomes: string }[]} in the order of the file
 */
function mutationsOf(source) {
  const file = ts.createSourceFile('mutated.ts', source, ts.ScriptTarget.Latest, true);
  const found = [];
  const textOf = (node) => source.slice(node.getStart(file), node.getEnd());
  const add = (node, becomes) => {
    const start = node.getStart(file);
    const line = file.getLineAndCharacterOfPosition(start).line + 1;
    found.push({ start, end: node.getEnd(), line, was: textOf(node), becomes });
  };
  const isPlace = (node) => {
    const { parent } = node;
    if (ts.isElementAccessExpression(parent)) return true;
    if (ts.isPrefixUnaryExpression(parent)) return isPlace(parent);
    return (
      ts.isCallExpression(parent) &&
      ts.isPropertyAccessExpression(parent.expression) &&
      PLACES.has(parent.expression.name.text)
    );
  };
  const visit = (node) => {
    if (isType(node) || ts.isImportDeclaration(node) || ts.isExportDeclaration(node)) return;
    if (ts.isNumericLiteral(node) && !isPlace(node)) add(node, otherNumber(node.getText(file)));
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.kind];
      if (swap && !isText(node.left) && !isText(node.right)) {
        add(node, `(${textOf(node.left)}) ${swap} (${textOf(node.right)})`);
      }
    }
    if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken) {
      add(node, `!!(${textOf(node.operand)})`);
    }
    if (ts.isConditionalExpression(node)) {
      add(node, `(${textOf(node.condition)}) ? (${textOf(node.whenFalse)}) : (${textOf(node.whenTrue)})`);
    }
    if (
      ts.isPropertyAccessExpression(node) &&
      node.expression.getText(file) === 'Math' &&
      ['min', 'max'].includes(node.name.text)
    ) {
      add(node, node.name.text === 'min' ? 'Math.max' : 'Math.min');
    }
    ts.forEachChild(node, visit);
  };
  visit(file);
  return found.sort((a, b) => a.start - b.start || b.end - a.end);
}

/** The source with every mutation behind its switch; mutations may lie inside each other. */
function withSwitches(source, mutations, id) {
  const inserts = [];
  mutations.forEach(({ start, end, becomes }, index) => {
    inserts.push({
      at: start,
      text: `(__mutant === "${id}:${index}" ? (${becomes}) : (`,
      end,
      opens: true,
    });
    inserts.push({ at: end, text: '))', start, opens: false });
  });
  // At one place: closings first, the innermost of them first; then openings, the outermost first.
  inserts.sort(
    (a, b) =>
      a.at - b.at || Number(a.opens) - Number(b.opens) || (a.opens ? b.end - a.end : b.start - a.start),
  );
  let text = '';
  let last = 0;
  for (const { at, text: inserted } of inserts) {
    text += source.slice(last, at) + inserted;
    last = at;
  }
  // Read once: in Jest's sandbox a global is slow to look up.
  return `const __mutant = process.env.ICY_RIBBON_MUTANT;${text}${source.slice(last)}`;
}

module.exports = { mutationsOf, withSwitches };
