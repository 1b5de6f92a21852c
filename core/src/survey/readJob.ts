import { threadPitches } from '../data/threadPitches'
import { fieldAt, type Job, type PlanPath } from '../plan'
import { MM_PER_INCH, parseQuantity, plainText, printQuantity, type Dimension, type UnitSystem } from '../quantities'

/** A job read from one line, as it was understood. */
export interface JobRead {
  job: Omit<Job, 'id'>
  understood: { label: string; shown: string }[]
  /** Words that were not understood. */
  rest: string
}

type Field = Exclude<keyof Job, 'id' | 'positionId'>
type Found = Partial<Record<Field, string | number>>

/** What a word says; longer sayings first. */
const words: readonly (readonly [RegExp, Found])[] = [
  [/\bhole[ -]?saw(?:ing)?\b/, { kind: 'hole-saw' }],
  [/\bfly[ -]?cut(?:ting|ter)?\b/, { kind: 'fly-cutting' }],
  [/\b(?:end[ -]?|slot[ -]?|face[ -]?)?mill(?:ing)?\b|\bslot(?:ting)?\b/, { kind: 'milling' }],
  [/\bpart(?:ing)?(?:[ -]off)?\b|\bcut[ -]?off\b/, { kind: 'turning' }],
  [/\bscrew[ -]?cut(?:ting)?\b|\bthread(?:ing)?\b/, { kind: 'threading' }],
  [/\btap(?:ping)?\b/, { kind: 'tapping' }],
  [/\bream(?:ing|er)?\b/, { kind: 'reaming' }],
  [/\bdrill(?:ing)?\b/, { kind: 'drilling' }],
  [/\bbor(?:e|ing)\b/, { kind: 'boring' }],
  [/\bfac(?:e|ing)\b/, { kind: 'facing' }],
  [/\bturn(?:ing)?\b/, { kind: 'turning' }],
  [/\brout(?:e|er|ing)\b/, { kind: 'routing' }],
  [/\bgrind(?:ing)?\b/, { kind: 'grinding' }],
  [/\bpolish(?:ing)?\b|\b(?:sand|linish)(?:ing)?\b/, { kind: 'polishing' }],
  [/\bsaw(?:ing)?\b/, { kind: 'sawing' }],

  [/\bstainless(?: steel)?\b|\binox\b|\b(?:304|316)\b/, { material: 'stainless' }],
  [/\b(?:tool|alloy) steel\b|\b4140\b|\ben24\b|\b42crmo4\b/, { material: 'alloy-steel' }],
  [/\bcarbon steel\b|\b1045\b|\ben8\b|\bc45\b/, { material: 'carbon-steel' }],
  [/\b(?:mild|low carbon) steel\b|\b1018\b|\ben1a\b|\bs235\b|\bsteel\b|\bplate\b/, { material: 'mild-steel' }],
  [/\b(?:cast|grey|gray) iron\b|\biron\b/, { material: 'cast-iron' }],
  [/\bbrass\b/, { material: 'brass' }],
  [/\balumin(?:i)?um\b|\balu\b|\bally\b|\b6061\b|\b6082\b/, { material: 'aluminium' }],
  [/\bplastic\b|\bnylon\b|\bacetal\b|\bdelrin\b|\bpom\b|\bhdpe\b/, { material: 'plastic' }],
  [/\bwood\b|\bply(?:wood)?\b|\bmdf\b|\boak\b|\bpine\b|\bhardwood\b|\bsoftwood\b/, { material: 'wood' }],

  [/\bcarbide\b|\binserts?\b/, { tool: 'carbide' }],
  [/\bh\.?s\.?s\.?\b|\bhigh[ -]speed steel\b/, { tool: 'hss' }],
  [/\ball day\b|\bproduction\b/, { duty: 'all-day' }],
  [/\bfor minutes\b/, { duty: 'minutes' }],
  [/\b(?:for moments|now and then|once)\b/, { duty: 'moments' }],
  [/\b(?:wished|would like|maybe)\b/, { wanted: 'wished' }],
]

const N = String.raw`(\d+[ -]\d+\/\d+|\d+\/\d+|\d+(?:[.,]\d+)?|[.,]\d+)`
/** `60 in plate` is sixty of the shop's own; inches end their word. */
const LENGTH = String.raw`\s*(mm|cm|inch(?:es)?\b|in\b(?!\s+[a-z])|"|”)?`

/** A number with what it is: field, dimension and how it is written, before or behind its word. */
const numbers: readonly (readonly [RegExp, Field, Dimension])[] = [
  [new RegExp(String.raw`${N}\s*(rpm|r\/min|revs?|min-1)\b`), 'speedRpm', 'speed'],
  [
    new RegExp(String.raw`${N}\s*(m\/min|mpm|sfm|sfpm|fpm|ft\/min|m\/s)(?![a-z])`),
    'surfaceSpeedMPerMin',
    'surfaceSpeed',
  ],
  [new RegExp(String.raw`${N}\s*(n\s?m|lbf?[ -]?ft|ft[ -]?lbf?|in[ -]?lbf?)\b`), 'torqueNm', 'torque'],
  [new RegExp(String.raw`\b(?:depth(?: of cut)?|doc|ap)\s*=?\s*${N}${LENGTH}`), 'depthMm', 'length'],
  [new RegExp(String.raw`${N}${LENGTH}\s*(?:deep|depth(?: of cut)?|doc)\b`), 'depthMm', 'length'],
  [new RegExp(String.raw`\b(?:width(?: of cut)?|woc|ae)\s*=?\s*${N}${LENGTH}`), 'widthMm', 'length'],
  [new RegExp(String.raw`${N}${LENGTH}\s*(?:wide|width|woc|kerf)\b`), 'widthMm', 'length'],
  [
    new RegExp(String.raw`\b(?:feed(?:ing)?(?: of)?|f)\s*=?\s*${N}${LENGTH}(?:\s*(?:\/|a|per)\s*(?:rev|turn|tooth))?`),
    'feedMm',
    'length',
  ],
  [new RegExp(String.raw`${N}${LENGTH}\s*(?:feed|(?:\/|a |per )\s?(?:rev|turn|tooth))`), 'feedMm', 'length'],
  [new RegExp(String.raw`\b(?:pilot|pre-?drilled|opened from|from)\s*=?\s*${N}${LENGTH}`), 'pilotMm', 'length'],
  [new RegExp(String.raw`${N}${LENGTH}\s*pilot\b`), 'pilotMm', 'length'],
  [new RegExp(String.raw`${N}${LENGTH}\s*pitch\b|pitch\s*=?\s*${N}${LENGTH}`), 'pitchMm', 'length'],
  [new RegExp(String.raw`${N}\s*-?\s*(?:teeth|tooth|flutes?|z)\b`), 'teeth', 'number'],
]

const SIZE = new RegExp(String.raw`(?<![#\d/])(?:ø|⌀|dia(?:meter)?\.?\s*)?(?<!#)${N}${LENGTH}`)

/** `M8`, `M8x1`, `1/4-20`, `1/2 UNC`, `#10-32`: diameter and pitch, mm. */
function threadIn(text: string): { found: string; diameterMm: number; pitchMm: number | undefined } | undefined {
  const metric = /\bm\s?(\d+(?:[.,]\d+)?)(?:\s*[x×*-]\s*(\d+(?:[.,]\d+)?))?(?![\d/])/.exec(text)
  if (metric) {
    const diameterMm = Number((metric[1] ?? '').replace(',', '.'))
    const coarse = threadPitches.metric.find(([d]) => d === diameterMm)?.[1]
    return { found: metric[0], diameterMm, pitchMm: metric[2] ? Number(metric[2].replace(',', '.')) : coarse }
  }
  const inch = /(#\d+|\d+\/\d+)\s*"?\s*(?:-\s*(\d{1,2})\b|\s?(?:unc|bsw|coarse)\b)/.exec(text)
  const size = inch && threadPitches.inch.find(([name]) => name === inch[1])
  if (!inch || !size) return undefined
  return {
    found: inch[0],
    diameterMm: size[1] * MM_PER_INCH,
    pitchMm: MM_PER_INCH / (inch[2] ? Number(inch[2]) : size[2]),
  }
}

/** Said twice the same way is said. */
const alike = (told: string | number | undefined, again: string | number | undefined): boolean =>
  told === undefined || told === again

const threads: ReadonlySet<string | number | undefined> = new Set(['tapping', 'threading'])

/**
 * Reads a job as people say it: `drill 16 mm mild steel`, `tap M8 brass`, `turn 25 mm steel 0.2 feed`. A bare number is a
 * diameter in the system's own unit. What was not understood is given back; nothing is guessed beside it.
 *
 * @example readJob('drill 16 mm mild steel').job // { name: 'drill 16 mm mild steel', kind: 'drilling', material: 'mild-steel', diameterMm: 16 }
 */
export function readJob(text: string, system: UnitSystem = 'metric'): JobRead {
  const said = plainText(text).slice(0, 200)
  let rest = said.toLowerCase()
  const found: Found = {}
  const take = (match: string, values: Found) => {
    for (const [field, value] of Object.entries(values) as [Field, string | number][]) found[field] ??= value
    rest = rest.replace(match, ' | ')
  }
  const thread = threadIn(rest)
  if (thread)
    take(thread.found, {
      diameterMm: thread.diameterMm,
      ...(thread.pitchMm === undefined ? {} : { pitchMm: thread.pitchMm }),
    })
  for (const [pattern, field, dimension] of numbers) {
    const match = pattern.exec(rest)
    const value = match ? read(match, dimension, system) : undefined
    if (match && value !== undefined) take(match[0], { [field]: value })
  }
  const takeWords = (wanted: (match: string) => boolean) => {
    for (const [pattern, values] of words) {
      const match = pattern.exec(rest)?.[0]
      if (match === undefined || !wanted(match)) continue
      if (Object.keys(values).every((field) => alike(found[field as Field], values[field as Field])))
        take(match, values)
    }
  }
  // 304 is a steel; a number that is none is a size, read while the words that follow it still stand.
  takeWords((match) => /\d/.test(match))
  const size = SIZE.exec(rest)
  const diameter = size ? read(size, 'length', system) : undefined
  if (size && diameter !== undefined && found.diameterMm === undefined) take(size[0], { diameterMm: diameter })
  takeWords(() => true)
  // A thread that nobody names is cut by a tap.
  if (thread && found.kind === undefined) found.kind = 'tapping'
  if (!threads.has(found.kind)) delete found.pitchMm
  const job = believed(found)
  return {
    job: { ...(said === '' ? {} : { name: said.slice(0, 60) }), ...job },
    understood: shown(job, system),
    rest: rest
      .split('|')
      .map((part) =>
        part
          .replace(/\b(?:in|of|with|the|at|a|an|to|into|on|by|and)\b/g, ' ')
          .replace(/[\s,;.]+/g, ' ')
          .trim(),
      )
      .filter((part) => part !== '')
      .join(' '),
  }
}

/** The number of a match with its unit; without one, in the system's own. */
function read(match: RegExpExecArray, dimension: Dimension, system: UnitSystem): number | undefined {
  const [number, unit] = (match.slice(1) as (string | undefined)[]).filter((part) => part !== undefined)
  // Nobody says three quarters of a millimetre.
  const inches = dimension === 'length' && unit === undefined && number?.includes('/') ? 'in' : ''
  const made = parseQuantity(`${number ?? ''} ${unit ?? inches}`.trim(), dimension, system)
  return made.ok ? made.value : undefined
}

const pathOf = (field: Field): PlanPath => `survey.jobs.0.${field}`

/** Only what the plan may hold. */
const believed = (found: Found): Omit<Job, 'id'> =>
  Object.fromEntries(Object.entries(found).filter(([field, value]) => fieldAt(pathOf(field as Field)).accepts(value)))

function shown(job: Omit<Job, 'id'>, system: UnitSystem): JobRead['understood'] {
  return (Object.entries(job) as [Field, string | number][]).map(([field, value]) => {
    const { label, dimension, options } = fieldAt(pathOf(field))
    return {
      label,
      shown:
        typeof value === 'string'
          ? (options?.[value] ?? value)
          : dimension
            ? printQuantity({ value, dimension }, system)
            : String(value),
    }
  })
}
