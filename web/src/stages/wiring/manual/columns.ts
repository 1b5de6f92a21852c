import {
  codeSchemes,
  displayMoments,
  freeId,
  functionNamed,
  jumperChoices,
  linkPurposes,
  shareBases,
  terminalFunctions,
  terminalGroups,
  trimFunctions,
} from '@zesty/core/manual'
import { rampMeanings, settingIds, settingNames } from '@zesty/core'

/** One thing of a manual as it is typed. */
export interface Column {
  /** Within its item: `gives.volts`. */
  path: string
  label: string
  kind: 'text' | 'number' | 'choice' | 'terminal' | 'yes-no' | 'lines'
  options?: Readonly<Record<string, string>>
  /** Of lines: how each is told, and what one that was typed is. */
  lines?: { print: (one: unknown) => string; read: (line: string, before: readonly unknown[], item: object) => unknown }
  wide?: boolean
}

/** A list of a manual: its rows, and a new one. */
export interface Part {
  key: 'terminals' | 'clamps' | 'factoryLinks' | 'jumpers' | 'trims' | 'codes' | 'display' | 'faults'
  name: string
  one: string
  columns: readonly Column[]
  make: (ids: ReadonlySet<string>) => object
}

const words = (table: Readonly<Record<string, { words: string }>>): Record<string, string> =>
  Object.fromEntries(Object.entries(table).map(([key, { words: said }]) => [key, said]))

const text = (path: string, label: string, wide = false): Column => ({ path, label, kind: 'text', wide })
const number = (path: string, label: string): Column => ({ path, label, kind: 'number' })
const choice = (path: string, label: string, options: Readonly<Record<string, string>>): Column => ({
  path,
  label,
  kind: 'choice',
  options,
})
const yesNo = (path: string, label: string): Column => ({ path, label, kind: 'yes-no' })
/** One of the manual's own terminals. */
const terminal = (path: string, label: string): Column => ({ path, label, kind: 'terminal' })
const page = number('page', 'Page')

/** `value words`: the first word, and the rest. */
const split = (line: string): [string, string] => {
  const [first = '', ...rest] = line.trim().split(/\s+/)
  return [first, rest.join(' ')]
}
const member = (of: unknown, key: string): unknown =>
  typeof of === 'object' && of !== null ? Reflect.get(of, key) : undefined
const said = (of: unknown, key: string): string => {
  const value = member(of, key)
  return typeof value === 'string' || typeof value === 'number' ? String(value) : ''
}

/** What a value stands for: `= stopMode ramp, knobZero lowest`; nothing where it stands for none. */
function printIs(of: unknown): string {
  const is = member(of, 'is')
  const pairs = typeof is === 'object' && is !== null ? Object.entries(is) : []
  return pairs.length === 0 ? '' : ` = ${pairs.map(([id, value]) => `${id} ${String(value)}`).join(', ')}`
}

/** A line before its last equals sign, and what stands behind it as settings with their values. */
function splitIs(line: string): [string, Record<string, string | number> | undefined] {
  const at = line.lastIndexOf(' = ')
  if (at === -1) return [line.trim(), undefined]
  const pairs = line
    .slice(at + 3)
    .split(',')
    .map((pair): [string, string | number] => {
      const [id, value] = split(pair)
      // A rate or a half of the world is a word of figures: only numbers of numeric settings are numbers.
      const isWord = /^(mainsHertz|busRate)$/.test(id)
      return [id, !isWord && value !== '' && Number.isFinite(Number(value)) ? Number(value) : value]
    })
  return [line.slice(0, at).trim(), Object.fromEntries(pairs)]
}

/** One place of a value that is written digit by digit. */
function printPlace(one: unknown): string {
  const values = member(one, 'values')
  const told = (Array.isArray(values) ? values : []).map(
    (v: unknown) => `${said(v, 'digit')} ${said(v, 'means')}${printIs(v)}`,
  )
  return `${said(one, 'name')}: ${told.join('; ')}`
}

function readPlace(line: string): object {
  const at = line.indexOf(':')
  const values = line
    .slice(at + 1)
    .split(';')
    .map((part) => {
      const [before, is] = splitIs(part)
      const [digit, means] = split(before)
      return { digit, means, ...(is === undefined ? {} : { is }) }
    })
  return { name: line.slice(0, Math.max(at, 0)).trim(), values }
}

/** What is said of the whole. */
export const headColumns: readonly Column[] = [
  text('name', 'Name'),
  text('edition', 'Edition'),
  choice('style', 'Kind', { digital: 'Digital', 'trim-pot': 'Trim potentiometers', brushless: 'Brushless' }),
  yesNo('isolated', 'Control isolated from the mains'),
  choice('logic', 'Switch inputs close', { sink: 'To the common', source: 'To the volts', either: 'Either way' }),
  yesNo('runsAtPowerOn', 'Runs at power-on'),
  choice('rampMeans', 'Its ramps count', rampMeanings),
  choice('scheme', 'Its codes are', codeSchemes),
  text('keying', 'How a value is entered, with {code} and {value}', true),
  text('unlock.code', 'Unlocking code'),
  text('unlock.value', 'Unlocks at'),
  text('reset.code', 'Reset by code'),
  text('reset.value', 'Reset at'),
  text('reset.keys', 'Reset by keys'),
  text('reset.keeps', 'A reset keeps'),
  text('localKey.prints', 'Key for keypad or terminals'),
  text('localKey.shows', 'That key shows'),
  text('lies.file', 'Its file'),
  text('lies.address', 'Its address'),
  number('pages.wiring', 'Wiring on page'),
  number('pages.settings', 'Settings on page'),
  number('pages.faults', 'Faults on page'),
  number('fuse.amps', 'Fuse it wants, A'),
  text('fuse.kind', 'Fuse, kind'),
  number('outline.widthMm', 'Width, mm'),
  number('outline.heightMm', 'Height, mm'),
  number('outline.depthMm', 'Depth, mm'),
  number('outline.holesAcrossMm', 'Holes across, mm'),
  number('outline.holesDownMm', 'Holes down, mm'),
  number('outline.aboveMm', 'Air above, mm'),
  number('outline.belowMm', 'Air below, mm'),
  number('outline.besideMm', 'Air beside, mm'),
  number('outline.lossW', 'Loss, W'),
  {
    path: 'outline.knockouts',
    label: 'Knockouts: mm, how many, plugged',
    kind: 'lines',
    wide: true,
    lines: {
      print: (one) => `${said(one, 'mm')} ${said(one, 'count')}${member(one, 'plugged') === true ? ' plugged' : ''}`,
      read: (line) => {
        const [mm, rest] = split(line)
        const [count] = split(rest)
        return { mm: Number(mm), count: Number(count), ...(/plug/i.test(rest) ? { plugged: true } : {}) }
      },
    },
  },
  text('notes', 'Notes', true),
]

export const parts: readonly Part[] = [
  {
    key: 'terminals',
    name: 'Terminals',
    one: 'terminal',
    columns: [
      text('prints', 'Prints'),
      choice('does', 'Does', words(terminalFunctions)),
      choice('group', 'Group', terminalGroups),
      text('joined', 'Joined inside, name'),
      number('gives.volts', 'Gives, V'),
      number('gives.milliamps', 'Gives, mA'),
      number('takes.leastV', 'Takes from, V'),
      number('takes.mostV', 'Takes up to, V'),
      number('takes.milliamps', 'Takes, mA'),
      number('takes.ohm', 'Its ohms'),
      yesNo('takes.bothSigns', 'Through zero'),
      number('wires', 'Wires under it'),
      choice('basis', 'Known from', { printed: 'Print', assumed: 'Only assumed' }),
      text('note', 'Note', true),
      page,
    ],
    make: (ids) => ({ id: freeId('terminal', ids), prints: '?', group: 'control', wires: 1, basis: 'printed' }),
  },
  {
    key: 'clamps',
    name: 'Screws',
    one: 'kind of screw',
    columns: [
      choice('group', 'Of', terminalGroups),
      number('torqueNm', 'Torque, N m'),
      number('leastMm2', 'Wire from, mm²'),
      number('mostMm2', 'Wire up to, mm²'),
      number('bareMm', 'Bare, mm'),
    ],
    make: () => ({ group: 'control' }),
  },
  {
    key: 'factoryLinks',
    name: 'Links fitted at the factory',
    one: 'link',
    columns: [
      terminal('from', 'From terminal'),
      terminal('to', 'To terminal'),
      choice('outFor', 'Comes out for', linkPurposes),
      yesNo('keypadNeedsIt', 'The keypad needs it'),
      text('purpose', 'What for', true),
      page,
    ],
    make: (ids) => ({ id: freeId('link', ids), from: '', to: '', purpose: '', outFor: 'other' }),
  },
  {
    key: 'jumpers',
    name: 'Jumpers and switches inside',
    one: 'jumper',
    columns: [
      text('prints', 'Prints'),
      choice('kind', 'Is a', { jumper: 'Jumper', dip: 'DIP switch', strap: 'Strap' }),
      choice('chooses', 'Chooses', jumperChoices),
      text('comesIn', 'Comes in position'),
      yesNo('onlyWithoutPower', 'Only without power'),
      page,
      {
        path: 'positions',
        label: 'Positions, a line each: what is printed, what it means',
        kind: 'lines',
        wide: true,
        lines: {
          print: (one) => `${said(one, 'prints')} ${said(one, 'means')}`,
          read: (line, before) => {
            const [prints, means] = split(line)
            const logic = /\bsink\b/i.test(means) ? 'sink' : /\bsource\b/i.test(means) ? 'source' : undefined
            const old = before.find((one) => said(one, 'prints') === prints)
            const kept = logic ?? member(old, 'logic')
            return { prints, means, ...(kept === undefined ? {} : { logic: kept }) }
          },
        },
      },
    ],
    make: (ids) => ({
      id: freeId('jumper', ids),
      prints: '?',
      kind: 'jumper',
      positions: [
        { prints: '1', means: '' },
        { prints: '2', means: '' },
      ],
      chooses: 'other',
      onlyWithoutPower: true,
    }),
  },
  {
    key: 'trims',
    name: 'Trim potentiometers',
    one: 'trim',
    columns: [
      text('prints', 'Prints'),
      choice('sets', 'Sets', trimFunctions),
      choice('moreIs', 'More is', { clockwise: 'Clockwise', 'counter-clockwise': 'Counter-clockwise' }),
      text('least', 'Least'),
      text('most', 'Most'),
      number('leastValue', 'Least, number'),
      number('mostValue', 'Most, number'),
      number('fromHour', 'Least at, o’clock'),
      number('toHour', 'Most at, o’clock'),
      page,
    ],
    make: (ids) => ({ id: freeId('trim', ids), prints: '?', sets: 'other' }),
  },
  {
    key: 'codes',
    name: 'Codes',
    one: 'code',
    columns: [
      text('code', 'Code'),
      text('words', 'Words', true),
      choice('sets', 'Sets', Object.fromEntries(settingIds.map((id) => [id, settingNames[id]]))),
      terminal('terminal', 'Of terminal'),
      yesNo('macro', 'Chooses all terminals'),
      text('comesWith', 'Comes with'),
      text('foundWith', 'Found with'),
      text('counts.unit', 'Unit'),
      number('counts.each', 'Base units in one'),
      number('counts.decimals', 'Decimals'),
      choice('counts.shareOf', 'Is a share of', shareBases),
      number('least', 'Least'),
      number('most', 'Most'),
      number('step', 'Step'),
      text('menu', 'Menu'),
      text('keys', 'Keys'),
      yesNo('onlyStopped', 'Only stopped'),
      yesNo('onlyUnplugged', 'Only unplugged'),
      yesNo('locked', 'Locked'),
      yesNo('keptAtReset', 'Kept at a reset'),
      yesNo('atFirstPower', 'Asked at first power'),
      text('mostBy', 'Not over code'),
      text('leastBy', 'Not under code'),
      text('onlyWhile.code', 'Only while code'),
      text('onlyWhile.value', 'holds'),
      page,
      {
        path: 'after',
        label: 'Codes entered before it, a line each',
        kind: 'lines',
        lines: { print: (one) => String(one), read: (line) => line.trim() },
      },
      {
        path: 'changes',
        label: 'What it changes behind one’s back, a line each: code, to',
        kind: 'lines',
        wide: true,
        lines: {
          print: (one) => `${said(one, 'code')}${member(one, 'to') === undefined ? '' : ` = ${said(one, 'to')}`}`,
          read: (line) => {
            const [code = '', to] = line.split('=').map((part) => part.trim())
            return { code, ...(to === undefined || to === '' ? {} : { to }) }
          },
        },
      },
      {
        path: 'digits',
        label: 'Digit by digit, a place each: name: 0 Ramps = stopMode ramp; 1 Coasts = stopMode coast',
        kind: 'lines',
        wide: true,
        lines: { print: printPlace, read: readPlace },
      },
      {
        path: 'values',
        label: 'Values, a line each: value, what it means = setting value',
        kind: 'lines',
        wide: true,
        lines: {
          print: (one) => `${said(one, 'value')} ${said(one, 'means')}${printIs(one)}`,
          read: (line, before, item) => {
            const [head, is] = splitIs(line)
            const [value, means] = split(head)
            const old = before.find((one) => said(one, 'value') === value)
            // Of a terminal's code, what the words say it does; what was there before stays where they say nothing.
            const same = said(old, 'means') === means
            const does =
              said(item, 'terminal') === ''
                ? undefined
                : ((same ? member(old, 'does') : undefined) ?? functionNamed(means) ?? member(old, 'does'))
            const all = member(old, 'all')
            return {
              value,
              means,
              ...(does === undefined ? {} : { does }),
              ...(all === undefined ? {} : { all }),
              ...(is === undefined ? {} : { is }),
            }
          },
        },
      },
    ],
    make: () => ({ code: '?', words: '', values: [] }),
  },
  {
    key: 'display',
    name: 'What display and lamps say',
    one: 'display',
    columns: [choice('when', 'When', displayMoments), text('prints', 'Display'), text('lamp', 'Lamp', true), page],
    make: () => ({ when: 'idle', prints: '?' }),
  },
  {
    key: 'faults',
    name: 'Faults',
    one: 'fault',
    columns: [
      text('code', 'Code'),
      text('means', 'Means', true),
      page,
      {
        path: 'causes',
        label: 'Usual causes, a line each',
        kind: 'lines',
        wide: true,
        lines: { print: (one) => (typeof one === 'string' ? one : ''), read: (line) => line.trim() },
      },
    ],
    make: () => ({ code: '?', means: '', causes: [] }),
  },
]
