import { faultsOf, firstFaults, type Fault, type Outcome } from '../rules/rule'
import { groupOf, MANUAL_FORMAT, manualFileSchema, type Manual } from './manual'

/** The document that `readManual` reads, to be kept as JSON. */
export const manualFile = (manual: Manual) => ({ format: MANUAL_FORMAT, manual })

/**
 * Reads a manual's file whole, or says everything that is wrong with it, also where its parts do not fit each other.
 *
 * @example readManual({}).ok // false
 */
export function readManual(document: unknown): Outcome<Manual> {
  if (typeof document !== 'object' || document === null || Array.isArray(document))
    return { ok: false, faults: [{ field: '', message: 'a manual’s file must hold one JSON object' }] }
  if (Reflect.get(document, 'format') !== MANUAL_FORMAT)
    return { ok: false, faults: [{ field: 'format', message: `must be "${MANUAL_FORMAT}"` }] }
  const parsed = manualFileSchema.safeParse(document)
  if (!parsed.success) return { ok: false, faults: firstFaults(faultsOf(parsed.error, document)) }
  const faults = incoherence(parsed.data.manual).map((fault) => ({ ...fault, field: `manual.${fault.field}` }))
  return faults.length > 0 ? { ok: false, faults: firstFaults(faults) } : { ok: true, value: parsed.data.manual }
}

/** What within a manual does not fit together: names that lead nowhere, one name for two things, sizes the wrong way round. */
export function incoherence(manual: Manual): Fault[] {
  const faults: Fault[] = []
  const say = (field: string, message: string) => void faults.push({ field, message })
  const { terminals, factoryLinks, jumpers, trims, codes, clamps } = manual
  const ids = new Set(terminals.map(({ id }) => id))
  for (const [list, items] of Object.entries({ terminals, factoryLinks, jumpers, trims }))
    for (const i of repeated(items.map(({ id }) => id))) say(`${list}[${i}].id`, 'stands there twice')
  for (const i of repeated(codes.map(({ code }) => code))) say(`codes[${i}].code`, 'stands there twice')
  const known = (at: string, terminal: string | undefined) => {
    if (terminal !== undefined && !ids.has(terminal)) say(at, `"${terminal}" is no terminal of it`)
  }
  terminals.forEach(({ does, group }, i) => {
    if (does !== undefined && does !== 'nothing' && groupOf(does) !== group)
      say(`terminals[${i}].does`, `"${does}" does not belong to the group ${group}`)
  })
  terminals.forEach(({ takes }, i) => {
    if ((takes?.leastV ?? 0) > (takes?.mostV ?? Infinity))
      say(`terminals[${i}].takes`, 'has its least volts over its most')
  })
  factoryLinks.forEach(({ from, to }, i) => {
    known(`factoryLinks[${i}].from`, from)
    known(`factoryLinks[${i}].to`, to)
    if (from === to) say(`factoryLinks[${i}].to`, 'is the terminal that it begins at')
  })
  clamps.forEach(({ leastMm2, mostMm2 }, i) => {
    if ((leastMm2 ?? 0) > (mostMm2 ?? Infinity)) say(`clamps[${i}].leastMm2`, 'is over the most')
  })
  jumpers.forEach(({ positions, comesIn }, i) => {
    if (comesIn !== undefined && !positions.some(({ prints }) => prints === comesIn))
      say(`jumpers[${i}].comesIn`, `"${comesIn}" is none of its positions`)
  })
  codes.forEach(({ terminal, macro, values }, i) => {
    known(`codes[${i}].terminal`, terminal)
    values.forEach(({ does, all }, k) => {
      if (does !== undefined && terminal === undefined)
        say(`codes[${i}].values[${k}].does`, 'wants to know of which terminal')
      if (all !== undefined && macro !== true)
        say(`codes[${i}].values[${k}].all`, 'is for a code that chooses all at once')
      for (const id of Object.keys(all ?? {})) known(`codes[${i}].values[${k}].all`, id)
    })
  })
  return [...faults, ...codeFaults(manual)]
}

/** What within the codes does not fit together: needs that lead nowhere, ends the wrong way round, values twice. */
function codeFaults({ codes, unlock, reset, trims }: Manual): Fault[] {
  const faults: Fault[] = []
  const byName = new Map(codes.map((c) => [c.code, c]))
  const names = (at: string, ...wanted: (string | undefined)[]) => {
    for (const name of wanted)
      if (name !== undefined && !byName.has(name)) faults.push({ field: at, message: `"${name}" is no code of it` })
  }
  codes.forEach((code, i) => {
    const at = (what: string) => `codes[${i}].${what}`
    if ((code.least ?? -Infinity) > (code.most ?? Infinity))
      faults.push({ field: at('least'), message: 'is over the most' })
    names(at('after'), ...(code.after ?? []))
    names(at('mostBy'), code.mostBy)
    names(at('leastBy'), code.leastBy)
    names(at('onlyWhile'), code.onlyWhile?.code)
    names(at('changes'), ...(code.changes ?? []).map((c) => c.code))
    const gate = code.onlyWhile && byName.get(code.onlyWhile.code)
    if (gate && gate.values.length > 0 && !gate.values.some((v) => v.value === code.onlyWhile?.value))
      faults.push({ field: at('onlyWhile'), message: `"${code.onlyWhile?.value ?? ''}" is none of that code’s values` })
    for (const needed of [...(code.after ?? []), code.mostBy, code.leastBy, code.onlyWhile?.code])
      if (needed === code.code) faults.push({ field: at('after'), message: 'waits for itself' })
    for (const k of repeated(code.values.map(({ value }) => value)))
      faults.push({ field: at(`values[${k}].value`), message: 'stands there twice' })
    code.digits?.forEach(({ values }, d) => {
      for (const k of repeated(values.map(({ digit }) => digit)))
        faults.push({ field: at(`digits[${d}].values[${k}].digit`), message: 'stands there twice' })
    })
    if (code.digits && code.values.length > 0)
      faults.push({ field: at('digits'), message: 'a value is a list or digits, not both' })
    if (code.locked === true && unlock === undefined)
      faults.push({ field: at('locked'), message: 'the manual names no code that unlocks' })
  })
  names('unlock.code', unlock?.code)
  names('reset.code', reset?.code)
  trims.forEach(({ leastValue, mostValue }, i) => {
    if ((leastValue ?? -Infinity) > (mostValue ?? Infinity))
      faults.push({ field: `trims[${i}].leastValue`, message: 'is over the most' })
  })
  return faults
}

/** Places at which something stands that stood there before. */
const repeated = (names: readonly string[]): number[] =>
  names.flatMap((name, i) => (names.indexOf(name) < i ? [i] : []))
