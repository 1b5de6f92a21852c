import type { z } from 'zod'
import { fieldLines } from './fieldLines'
import { quickInput } from './quickInput'
import { cut } from './text'

/** One thing wrong with an input: where, what, and what would have been right. */
export interface Fault {
  /** Path of the field, `stages[0].driverMm`; empty when the whole is wrong. */
  field: string
  message: string
}

/** How many faults are told; whoever mends fifty asks again. */
const FAULTS_TOLD = 50

/** The first fifty faults, and how many more there are. */
export const firstFaults = (faults: readonly Fault[]): Fault[] =>
  faults.length <= FAULTS_TOLD
    ? [...faults]
    : [...faults.slice(0, FAULTS_TOLD), { field: '', message: `has ${faults.length - FAULTS_TOLD} more faults` }]

export type Outcome<T> = { ok: true; value: T } | { ok: false; faults: Fault[] }

/** Returned by a rule's arithmetic when the numbers cannot be: names the input and the permitted range. */
export class Refusal {
  constructor(
    readonly field: string,
    readonly message: string,
  ) {}
}

export const refuse = (field: string, message: string): Refusal => new Refusal(field, message)

/** The arithmetic of one figure, as a textbook states it; its words lie beside it in `ruleWords.ts`. */
export interface RuleDefinition<I extends z.ZodObject, O extends z.ZodObject, Id extends string = string> {
  /** Subject and name, `motor.rated-torque`. */
  id: Id
  input: I
  output: O
  compute: (input: z.output<I>) => z.output<O> | Refusal
}

export interface Rule<
  I extends z.ZodObject = z.ZodObject,
  O extends z.ZodObject = z.ZodObject,
  Id extends string = string,
> extends RuleDefinition<I, O, Id> {
  /** Validates, computes and returns the output or every fault; never throws on bad input. */
  run: (input: unknown) => Outcome<z.output<O>>
}

/** Makes a rule out of its definition. */
export function rule<I extends z.ZodObject, O extends z.ZodObject, const Id extends string>(
  definition: RuleDefinition<I, O, Id>,
): Rule<I, O, Id> {
  let takes: Map<string, string> | undefined
  const permitted = (field: string): string | undefined => {
    takes ??= new Map(fieldLines(definition.input).map((l) => [l.key, l.takes.replace(/, .* unless given$/, '')]))
    return takes.get(field.replace(/\[\d+\]/g, '[]'))
  }
  const quick = quickInput(definition.input)
  return {
    ...definition,
    run: (input) => {
      let read = quick(input)
      if (read === undefined) {
        const parsed = definition.input.safeParse(input)
        if (!parsed.success) return { ok: false, faults: faultsOf(parsed.error, input, permitted) }
        read = parsed.data
      }
      const result = definition.compute(read)
      if (result instanceof Refusal) return { ok: false, faults: [{ field: result.field, message: result.message }] }
      for (const key in result) {
        const value = (result as Record<string, unknown>)[key]
        if (typeof value === 'number' && !Number.isFinite(value))
          return { ok: false, faults: [{ field: '', message: `these inputs give no finite ${key}` }] }
      }
      return { ok: true, value: result }
    },
  }
}

/** `stages[0].driverMm` from a path of keys and indices. */
export const fieldPath = (path: readonly PropertyKey[]): string =>
  path.map((p, i) => (typeof p === 'number' ? `[${p}]` : i === 0 ? String(p) : `.${String(p)}`)).join('')

const show = (value: unknown): string => {
  const text =
    typeof value === 'string' ? `"${value}"` : typeof value === 'object' && value !== null ? 'an object' : String(value)
  return text.length > 40 ? `${cut(text, 37)}...` : text
}

/**
 * Zod's complaints as faults that say what is permitted. `input` is what was validated;
 * `permitted` gives a field's whole range in words, where there is one.
 */
export function faultsOf(
  error: z.ZodError,
  input: unknown,
  permitted: (field: string) => string | undefined = () => undefined,
): Fault[] {
  return error.issues.flatMap((issue) => {
    const field = fieldPath(issue.path)
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({ field: fieldPath([...issue.path, key]), message: 'is not a key known here' }))
    const got = issue.path.reduce<unknown>(
      (at, key) => (typeof at === 'object' && at !== null ? Reflect.get(at, key) : undefined),
      input,
    )
    const range = permitted(field)
    const plain = issue.code === 'invalid_type' || issue.code === 'too_small' || issue.code === 'too_big'
    if (range && plain)
      return [
        {
          field,
          message: got === undefined ? `is missing; it takes: ${range}` : `must be: ${range}; not ${show(got)}`,
        },
      ]
    return [{ field, message: complaint(issue, got) }]
  })
}

function complaint(issue: z.core.$ZodIssue, got: unknown): string {
  switch (issue.code) {
    case 'invalid_type':
      return got === undefined
        ? `is missing; it takes ${article(issue.expected)}`
        : `must be ${article(issue.expected)}, not ${show(got)}`
    case 'too_small':
      if (issue.origin === 'string' || issue.origin === 'array')
        return `must have at least ${String(issue.minimum)} entries or letters`
      return `must be ${issue.inclusive === false ? 'above' : 'at least'} ${String(issue.minimum)}, not ${show(got)}`
    case 'too_big':
      if (issue.origin === 'string' || issue.origin === 'array') return `is too long: at most ${String(issue.maximum)}`
      return `must be ${issue.inclusive === false ? 'under' : 'at most'} ${String(issue.maximum)}, not ${show(got)}`
    case 'invalid_value':
      return `must be one of ${issue.values.map(String).join(', ')}, not ${show(got)}`
    default:
      return issue.message
  }
}

const article = (expected: string): string => {
  if (expected === 'nan') return 'a number'
  if (expected === 'int') return 'a whole number'
  return /^[aeiou]/.test(expected) ? `an ${expected}` : `a ${expected}`
}
