import ts from 'typescript';

/** One small change of one file. */
export interface Mutant {
  readonly file: string;
  readonly line: number;
  /** The declared function it lies in; null at the top of the file. */
  readonly inside: string | null;
  readonly start: number;
  readonly end: number;
  readonly text: string;
  readonly was: string;
}

const SWAPS: Partial<Record<ts.SyntaxKind, string>> = {
  [ts.SyntaxKind.EqualsEqualsEqualsToken]: '!==',
  [ts.SyntaxKind.ExclamationEqualsEqualsToken]: '===',
  [ts.SyntaxKind.LessThanToken]: '<=',
  [ts.SyntaxKind.LessThanEqualsToken]: '<',
  [ts.SyntaxKind.GreaterThanToken]: '>=',
  [ts.SyntaxKind.GreaterThanEqualsToken]: '>',
  [ts.SyntaxKind.AmpersandAmpersandToken]: '||',
  [ts.SyntaxKind.BarBarToken]: '&&',
  [ts.SyntaxKind.MinusToken]: '+',
  [ts.SyntaxKind.AsteriskToken]: '/',
  [ts.SyntaxKind.SlashToken]: '*',
};
const NAMES: Record<string, string> = { some: 'every', every: 'some', min: 'max', max: 'min' };

/** Every single change this file could suffer: comparisons, joins, sums, numbers, truths, filters, early returns. */
export function createMutants(file: string, source: string): Mutant[] {
  const tree = ts.createSourceFile(file, source, ts.ScriptTarget.ES2022, true);
  const mutants: Mutant[] = [];
  const change = (node: ts.Node, text: string) => {
    const start = node.getStart(tree);
    mutants.push({
      file,
      line: tree.getLineAndCharacterOfPosition(start).line + 1,
      inside: findFunctionName(node),
      start,
      end: node.end,
      text,
      was: source.slice(start, node.end),
    });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node) || ts.isInterfaceDeclaration(node)) return;
    if (ts.isBinaryExpression(node)) {
      const swap = SWAPS[node.operatorToken.kind];
      if (swap) change(node.operatorToken, swap);
    } else if (ts.isNumericLiteral(node) && !ts.isPropertyName(node.parent)) change(node, `${Number(node.text) + 1}`);
    else if (node.kind === ts.SyntaxKind.TrueKeyword) change(node, 'false');
    else if (node.kind === ts.SyntaxKind.FalseKeyword) change(node, 'true');
    else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      change(node, node.operand.getText(tree));
    else if (ts.isConditionalExpression(node)) change(node.condition, `!(${node.condition.getText(tree)})`);
    else if (ts.isIfStatement(node) && !node.elseStatement && ts.isReturnStatement(node.thenStatement))
      change(node, '/* gone */;');
    else if (ts.isCallExpression(node) && ts.isPropertyAccessExpression(node.expression)) {
      const { name, expression } = node.expression;
      if (name.text === 'filter') change(node, `${expression.getText(tree)}.slice()`);
      else if (NAMES[name.text]) change(name, NAMES[name.text]!);
    }
    ts.forEachChild(node, visit);
  };
  visit(tree);
  return mutants;
}

/** Functions in constants lose their name on the way to the engine, so they count to the declaration round them. */
function findFunctionName(node: ts.Node): string | null {
  for (let at = node.parent; at; at = at.parent)
    if ((ts.isFunctionDeclaration(at) || ts.isMethodDeclaration(at)) && at.name) return at.name.getText();
  return null;
}
