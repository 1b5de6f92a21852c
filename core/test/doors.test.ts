import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { basename, join } from 'node:path'
import ts from 'typescript'
import * as axes from '../src/doors/axes'
import * as hearts from '../src/doors/hearts'
import * as index from '../src/doors/index'
import * as manual from '../src/doors/manual'
import * as measurements from '../src/doors/measurements'
import * as runIn from '../src/doors/run-in'
import * as search from '../src/doors/search'
import * as settings from '../src/doors/settings'
import * as speeds from '../src/doors/speeds'
import * as wiring from '../src/doors/wiring'

const folder = join(import.meta.dirname, '..', 'src', 'doors')

/** A name that leaves core, with what stands above it where it is made. */
interface Shown {
  door: string
  name: string
  kind: 'function' | 'other'
  comment: string
  examples: string[]
}

const parse = (file: string) => ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true)

/** The statement that makes a name, a function or not. */
function madeAt(file: ts.SourceFile, name: string): { at: ts.Node; isFunction: boolean } | undefined {
  for (const statement of file.statements) {
    if (ts.isVariableStatement(statement))
      for (const { name: made, initializer } of statement.declarationList.declarations)
        if (made.getText() === name)
          return { at: statement, isFunction: initializer !== undefined && ts.isArrowFunction(initializer) }
    if (ts.isFunctionDeclaration(statement) && statement.name?.text === name) return { at: statement, isFunction: true }
    if (
      (ts.isInterfaceDeclaration(statement) ||
        ts.isTypeAliasDeclaration(statement) ||
        ts.isClassDeclaration(statement)) &&
      statement.name?.text === name
    )
      return { at: statement, isFunction: false }
  }
  return undefined
}

const shown: Shown[] = readdirSync(folder).flatMap((file) =>
  parse(join(folder, file)).statements.flatMap((statement) => {
    if (!ts.isExportDeclaration(statement) || !statement.moduleSpecifier || !statement.exportClause)
      throw new Error(`${file}: a door is a list of names: ${statement.getText()}`)
    if (!ts.isNamedExports(statement.exportClause)) throw new Error(`${file}: a door names what it shows`)
    const from = parse(join(folder, `${(statement.moduleSpecifier as ts.StringLiteral).text}.ts`))
    return statement.exportClause.elements.map((element): Shown => {
      const name = (element.propertyName ?? element.name).text
      const made = madeAt(from, name)
      if (!made) throw new Error(`${file}: ${name} is not made in ${from.fileName}`)
      const docs = ts.getJSDocCommentsAndTags(made.at).filter(ts.isJSDoc)
      return {
        door: basename(file, '.ts'),
        name,
        kind: made.isFunction ? 'function' : 'other',
        comment: docs.map((doc) => ts.getTextOfJSDocComment(doc.comment) ?? '').join(' '),
        examples: docs
          .flatMap((doc) => [...(doc.tags ?? [])])
          .filter((tag) => tag.tagName.text === 'example')
          .map((tag) => ts.getTextOfJSDocComment(tag.comment) ?? ''),
      }
    })
  }),
)

describe('what leaves core', () => {
  const functions = shown.filter(({ kind }) => kind === 'function')
  test('leaves it by one door', () => {
    const names = shown.map(({ name }) => name)
    expect(names.filter((name, i) => names.indexOf(name) !== i)).toEqual([])
  })
  test('is a function that says what it does', () => {
    expect(functions.length).toBeGreaterThan(60)
    expect(functions.filter(({ comment }) => comment.length < 20).map(({ door, name }) => `${door}: ${name}`)).toEqual(
      [],
    )
  })
})

describe('an example above a function', () => {
  const names: Record<string, unknown> = {
    ...index,
    ...search,
    ...speeds,
    ...manual,
    ...measurements,
    ...wiring,
    ...settings,
    ...runIn,
    ...axes,
    ...hearts,
  }
  /** What a line of an example comes to, with every name of the doors at hand. */
  const valueOf = (code: string): unknown =>
    // eslint-disable-next-line @typescript-eslint/no-implied-eval -- the code stands in our own comments
    (new Function(...Object.keys(names), `return (${code})`) as (...all: unknown[]) => unknown)(...Object.values(names))
  const lines = shown.flatMap(({ name, examples }) =>
    examples.flatMap((text) =>
      text
        .split('\n')
        .filter((line) => line.trim() !== '')
        .map((line) => ({ name, line })),
    ),
  )
  test('stands above the twenty most used at least', () => {
    expect(new Set(lines.map(({ name }) => name)).size).toBeGreaterThanOrEqual(20)
  })
  for (const { name, line } of lines)
    test(`${name}: ${line}`, () => {
      const [code, outcome] = line.split(' // ')
      if (code === undefined || outcome === undefined) throw new Error('an example is: call // what it comes to')
      expect(code).toContain(name)
      expect(valueOf(code)).toEqual(valueOf(outcome))
    })
})
