import {
  functionWords,
  linesFor,
  readJottings,
  readManual,
  terminalFunctions,
  terminalGroups,
  type Manual,
  type TerminalFunction,
} from '@zesty/core/manual'
import { complain, faultLine } from './complain'
import { readJson, readText } from './readFile'

const isFunction = (name: string): name is TerminalFunction => Object.hasOwn(terminalFunctions, name)

/**
 * `manual FILE`: what is printed at a drive's screws and what it does; `--for NAMES` the terminals and lines for a wiring,
 * `--jotted` reads a page of jottings instead.
 */
export function readManuals(args: string[]): number {
  const at = args.indexOf('--for')
  const wanted = at < 0 ? [] : (args[at + 1] ?? '').split(',').filter((name) => name !== '')
  const [file, ...more] = args.filter((arg, i) => !arg.startsWith('--') && (at < 0 || i !== at + 1))
  const strange = args.find((arg) => arg.startsWith('--') && arg !== '--for' && arg !== '--jotted')
  if (strange !== undefined) return complain(`manual does not know ${strange}; it takes --for NAMES and --jotted`)
  if (file === undefined || more.length > 0) return complain('manual takes one file')
  const unknown = wanted.find((name) => !isFunction(name))
  if (at >= 0 && (wanted.length === 0 || unknown !== undefined))
    return complain(`--for takes functions with commas between, of: ${Object.keys(terminalFunctions).join(', ')}`)
  if (args.includes('--jotted')) {
    const text = readText(file)
    return text.ok ? printJottings(text.value) : complain(text.says)
  }
  const document = readJson(file, 'manual’s file')
  if (!document.ok) return complain(document.says)
  const read = readManual(document.value)
  if (!read.ok) return complain(`${file}: ${faultLine(read.faults)}`)
  return at < 0 ? printTerminals(read.value) : printLines(read.value, wanted.filter(isFunction))
}

const print = (lines: readonly string[]): number => {
  process.stdout.write(`${lines.join('\n')}\n`)
  return 0
}

function printTerminals({ name, terminals, factoryLinks, isolated }: Manual): number {
  const printed = new Map(terminals.map((t) => [t.id, t.prints]))
  return print([
    name,
    ...(isolated === true ? [] : ['Its control terminals may stand at mains potential.']),
    ...Object.entries(terminalGroups).flatMap(([group, words]) => {
      const here = terminals.filter((t) => t.group === group)
      return here.length === 0
        ? []
        : [
            `${words}:`,
            ...here.map(
              (t) =>
                `  ${t.prints.padEnd(8)} ${t.does === undefined ? 'not known' : functionWords(t.does)}${t.basis === 'assumed' ? ', assumed' : ''}${t.note === undefined ? '' : ` (${t.note})`}`,
            ),
          ]
    }),
    ...factoryLinks.map(
      (l) =>
        `Linked as it comes: ${printed.get(l.from) ?? ''} to ${printed.get(l.to) ?? ''}. ${l.purpose}.${l.keypadNeedsIt === true ? ' The keypad alone needs it.' : ''}`,
    ),
  ])
}

function printLines(manual: Manual, wanted: readonly TerminalFunction[]): number {
  const found = linesFor(manual, wanted)
  if ('lacking' in found)
    return complain(`this drive has no terminal for ${found.lacking.join(', ')} beside the others`)
  return print([
    ...[...found.terminals].map(([does, { prints }]) => `${functionWords(does)}: ${prints}`),
    ...(found.lines.length === 0 ? ['Nothing to enter: it comes so.'] : []),
    ...found.lines.map(
      ({ code, value }) =>
        `Enter ${code.code} = ${value}   ${code.words}: ${code.values.find((v) => v.value === value)?.means ?? ''}`,
    ),
  ])
}

function printJottings(text: string): number {
  const { terminals, codes, rest } = readJottings(text)
  return print([
    ...terminals.map(
      (t) => `${t.prints}: ${t.does === undefined ? `${t.words} (not understood)` : functionWords(t.does)}`,
    ),
    ...codes.map((c) => `${c.code} = ${c.value ?? ''}: ${c.sets ?? `${c.words} (not understood)`}`),
    ...rest.map((line) => `Not read: ${line}`),
  ])
}
