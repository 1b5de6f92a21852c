// @ts-check
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import ts from 'typescript'
import { root } from './paths.mjs'

/** One slip: what stands between two places becomes another text. @typedef {{file: string, start: number, end: number, instead: string}} Mutant */

/** @type {Record<string, string>} */
const otherOperator = {
  '<': '<=',
  '<=': '<',
  '>': '>=',
  '>=': '>',
  '===': '!==',
  '!==': '===',
  '+': '-',
  '-': '+',
  '*': '/',
  '/': '*',
  '&&': '||',
  '||': '&&',
}

/** Every slip of a file: other operators, other numbers, a truth turned round. @param {string} file @returns {Mutant[]} */
export function mutantsOf(file) {
  const source = ts.createSourceFile(file, readFileSync(join(root, file), 'utf8'), ts.ScriptTarget.Latest, true)
  /** @type {Mutant[]} */
  const found = []
  /** @param {ts.Node} node @param {string} instead */
  const slip = (node, instead) => found.push({ file, start: node.getStart(), end: node.getEnd(), instead })
  /** @param {ts.Node} node */
  const visit = (node) => {
    if (ts.isTypeNode(node) || ts.isImportDeclaration(node)) return
    if (ts.isBinaryExpression(node)) {
      const other = otherOperator[node.operatorToken.getText()]
      if (other !== undefined) slip(node.operatorToken, other)
    } else if (ts.isNumericLiteral(node)) slip(node, String(Number(node.text) + 1))
    else if (node.kind === ts.SyntaxKind.TrueKeyword) slip(node, 'false')
    else if (node.kind === ts.SyntaxKind.FalseKeyword) slip(node, 'true')
    else if (ts.isPrefixUnaryExpression(node) && node.operator === ts.SyntaxKind.ExclamationToken)
      slip(node, node.operand.getText())
    else if (ts.isConditionalExpression(node)) slip(node.condition, `!(${node.condition.getText()})`)
    else if (ts.isIfStatement(node)) slip(node.expression, `!(${node.expression.getText()})`)
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}
