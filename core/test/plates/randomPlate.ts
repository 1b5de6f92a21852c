import fc from 'fast-check'
import type { PlanPath } from '../../src/plan'

/** A made-up plate that agrees with itself, printed in one of many ways, with the noise that plates carry. */
export interface RandomPlate {
  text: string
  truth: ReadonlyMap<PlanPath, number | string>
}

type Tongue = 'us' | 'uk' | 'de' | 'fr' | 'it' | 'es'
/** Words before a number that needs its unit, words that may stand for word and unit both, and the unit. */
interface Words {
  label: readonly string[]
  unit: readonly string[]
}

const words: Record<Tongue, Record<'power' | 'speed' | 'volts' | 'amps' | 'hertz' | 'cos' | 'eff', Words>> = {
  us: {
    power: { label: ['HP', 'H.P.'], unit: ['HP', 'hp'] },
    speed: { label: ['RPM', 'R.P.M.', 'SPEED'], unit: ['RPM', 'rpm'] },
    volts: { label: ['VOLTS', 'V', 'VOLTAGE'], unit: ['V', 'VOLTS'] },
    amps: { label: ['AMPS', 'A', 'F.L.A.', 'AMP'], unit: ['A', 'AMPS'] },
    hertz: { label: ['HZ', 'CYC', 'CYCLES', 'HERTZ'], unit: ['HZ', 'Hz', 'CYC.'] },
    cos: { label: ['PF', 'P.F.', 'POWER FACTOR'], unit: ['PF'] },
    eff: { label: ['NEMA NOM EFF', 'EFF', 'NOM. EFF.'], unit: ['EFF'] },
  },
  uk: {
    power: { label: ['kW', 'KW', 'Output'], unit: ['kW', 'KW', 'kw'] },
    speed: { label: ['RPM', 'rpm', 'Speed', 'r/min'], unit: ['rpm', 'r/min', 'RPM', 'rev/min'] },
    volts: { label: ['Volts', 'V', 'Voltage'], unit: ['V', 'volts'] },
    amps: { label: ['Amps', 'A', 'Current'], unit: ['A', 'amps'] },
    hertz: { label: ['Hz', 'Cycles', 'Freq.'], unit: ['Hz', 'cycles'] },
    cos: { label: ['cos φ', 'PF', 'Power factor'], unit: ['PF'] },
    eff: { label: ['Eff', 'Efficiency', 'η'], unit: ['% eff'] },
  },
  de: {
    power: { label: ['kW', 'Leistung', 'P'], unit: ['kW'] },
    speed: { label: ['min-1', 'U/min', '1/min', 'Drehzahl'], unit: ['min-1', 'U/min', '1/min', 'min⁻¹'] },
    volts: { label: ['V', 'Spannung', 'Volt'], unit: ['V', 'Volt'] },
    amps: { label: ['A', 'Strom', 'Nennstrom'], unit: ['A'] },
    hertz: { label: ['Hz', 'Frequenz'], unit: ['Hz'] },
    cos: { label: ['cos φ', 'cosφ', 'cos phi'], unit: ['cosφ'] },
    eff: { label: ['Wirkungsgrad', 'η', 'eta'], unit: ['% η'] },
  },
  fr: {
    power: { label: ['kW', 'Puissance'], unit: ['kW'] },
    speed: { label: ['tr/min', 'Vitesse'], unit: ['tr/min', 'min-1'] },
    volts: { label: ['V', 'Tension'], unit: ['V'] },
    amps: { label: ['A', 'Intensité'], unit: ['A'] },
    hertz: { label: ['Hz', 'Fréquence'], unit: ['Hz'] },
    cos: { label: ['cos φ', 'cosφ'], unit: ['cosφ'] },
    eff: { label: ['Rend.', 'rendement', 'η'], unit: ['% η'] },
  },
  it: {
    power: { label: ['kW', 'Potenza'], unit: ['kW'] },
    speed: { label: ['giri/min', 'Giri', 'min-1'], unit: ['giri/min', 'g/min', 'min-1'] },
    volts: { label: ['V', 'Tensione', 'Volt'], unit: ['V'] },
    amps: { label: ['A', 'Corrente', 'Amp'], unit: ['A'] },
    hertz: { label: ['Hz', 'Frequenza'], unit: ['Hz'] },
    cos: { label: ['cosfi', 'cos φ', 'cosφ'], unit: ['cosfi'] },
    eff: { label: ['rend.', 'Rendimento'], unit: ['% rend.'] },
  },
  es: {
    power: { label: ['kW', 'Potencia'], unit: ['kW'] },
    speed: { label: ['r.p.m.', 'RPM', 'Velocidad'], unit: ['r.p.m.', 'rpm', 'min-1'] },
    volts: { label: ['V', 'Tensión'], unit: ['V'] },
    amps: { label: ['A', 'Intensidad'], unit: ['A'] },
    hertz: { label: ['Hz', 'Frecuencia'], unit: ['Hz'] },
    cos: { label: ['cos φ', 'cosfi'], unit: ['cosφ'] },
    eff: { label: ['Rendimiento', 'η'], unit: ['% η'] },
  },
}
/** Labels that leave their number without a unit. */
const bareLabels = new Set('Output Leistung P Puissance Potenza Potencia'.split(' '))

const KW = [0.12, 0.18, 0.25, 0.37, 0.55, 0.75, 1.1, 1.5, 2.2, 3, 4, 5.5, 7.5, 11] as const
const HP: readonly (readonly [string, number])[] = [
  ['1/4', 0.25],
  ['1/3', 1 / 3],
  ['1/2', 0.5],
  ['3/4', 0.75],
  ['1', 1],
  ['1.5', 1.5],
  ['1-1/2', 1.5],
  ['1 1/2', 1.5],
  ['2', 2],
  ['3', 3],
  ['5', 5],
  ['7.5', 7.5],
  ['7-1/2', 7.5],
  ['10', 10],
]
const W_PER_HP = 745.7

const noise = [
  'Serial No. 48213',
  'S/N 7719-A',
  'No 1203344',
  'Model QX-71',
  'TYPE ZZ',
  'Type QT 112-B',
  'DUTY CONT',
  'S1',
  'CODE J',
  'CODE K DES B',
  'DESIGN B',
  'AMB 40C',
  'MAX AMB 40°C',
  '40 °C',
  'BRG 6205',
  'IEC 60034-1',
  'EN 60034',
  'TIME RATING 60 MIN',
  '2017',
  'MADE 05/2014',
  'CE',
  'IE2',
  'Bearings 6203 6204',
  'TENV',
  'INS F',
  'IP55',
  'IP 54',
  'CL F',
  'IM B3',
  'RISE 40C',
  'ORDER 99-1812',
  '3~',
  '3 PH',
  'Th.Cl. F',
  '24 Nm',
  'GREASE Q2',
  'Motor',
  'Made in the shed',
  'IC411',
] as const
/** What each of them says, where it says a field. */
const noiseSays: Readonly<Record<string, [PlanPath, string]>> = {
  TENV: ['motor.enclosure', 'TENV'],
  'INS F': ['motor.insulationClass', 'F'],
  'CL F': ['motor.insulationClass', 'F'],
  'Th.Cl. F': ['motor.insulationClass', 'F'],
  IP55: ['motor.enclosure', 'IP55'],
  'IP 54': ['motor.enclosure', 'IP54'],
  'IM B3': ['motor.mounting', 'feet'],
  '3~': ['motor.kind', 'induction'],
  '3 PH': ['motor.kind', 'induction'],
  IC411: ['motor.cooling', 'shaft-fan'],
}

const commaOf = (text: string, comma: boolean): string => (comma ? text.replaceAll('.', ',') : text)
const upTo = (n: number) => fc.nat({ max: n - 1 })

/** Plates of three-phase motors as they are made, with what people leave out and add in typing. */
export const randomPlate: fc.Arbitrary<RandomPlate> = fc
  .record({
    tongue: fc.constantFrom<Tongue>('us', 'uk', 'de', 'fr', 'it', 'es'),
    size: upTo(14),
    poles: fc.constantFrom(2, 4, 6),
    slip: fc.integer({ min: 15, max: 80 }),
    two: fc.boolean(),
    high: fc.constantFrom<'usual' | 'high'>('usual', 'high'),
    share: fc.integer({ min: 55, max: 75 }),
    cos: fc.integer({ min: 70, max: 89 }),
    shape: fc.constantFrom('word first', 'number first', 'mixed', 'lines', 'heading', 'columns', 'colons', 'typed'),
    pick: fc.infiniteStream(fc.nat({ max: 10_000 })),
    order: fc.shuffledSubarray([0, 1, 2, 3, 4, 5, 6], { minLength: 5 }),
    extra: fc.subarray([...noise], { maxLength: 5 }),
    forget: fc.option(upTo(7), { freq: 5 }),
    letters: fc.constantFrom<'as is' | 'upper' | 'lower'>('as is', 'as is', 'upper', 'lower'),
  })
  .map(({ tongue, size, poles, slip, two, high, share, cos, shape, pick, order, extra, forget, letters }) => {
    const next = (): number => pick.next().value as number
    const any = <T>(of: readonly T[]): T => of[next() % of.length] as T
    const us = tongue === 'us'
    const hp = HP[size] as readonly [string, number]
    const powerW = us ? hp[1] * W_PER_HP : (KW[size] ?? 1) * 1000
    const hz = us ? 60 : 50
    const speed = Math.round((((120 * hz) / poles) * (1 - slip / 1000)) / 5) * 5
    const low = us ? (two || high === 'usual' ? 230 : 460) : two ? (high === 'usual' ? 230 : 400) : 400
    const top = us ? 460 : low === 230 ? 400 : 690
    const amps = (v: number) => powerW / (Math.sqrt(3) * v * (share / 100))
    const places = amps(top) < 2 ? 2 : 1
    const [la, ha] = [amps(low).toFixed(places), amps(top).toFixed(places)]
    const eff = Math.round((share / cos) * 1000) / 10
    const withEff = eff > 50 && eff < 96
    const comma = ['de', 'fr', 'it', 'es'].includes(tongue) && next() % 4 > 0
    const thousand =
      next() % 9 === 0
        ? us
          ? `${speed}`.replace(/(\d)(\d{3})$/, '$1,$2')
          : comma
            ? `${speed}`.replace(/(\d)(\d{3})$/, '$1.$2')
            : `${speed}`
        : `${speed}`
    const both = two ? any(['/', ' / ', '-']) : ''
    const slash = both === '-' ? '/' : both
    const truth = new Map<PlanPath, number | string>()
    const of = words[tongue]
    const sayings = [
      { words: of.power, value: us ? hp[0] : commaOf(String(powerW / 1000), comma), says: [['motor.powerW', powerW]] },
      { words: of.speed, value: thousand, says: [['motor.ratedSpeedRpm', speed]] },
      {
        words: of.volts,
        value: two ? `${us && low === 230 && next() % 2 ? '208-230' : low}${slash}${top}` : `${low}`,
        says: [['motor.lowVoltageV', low], ...(two ? [['motor.highVoltageV', top]] : [])],
      },
      {
        words: of.amps,
        value: commaOf(two ? `${la}${slash}${ha}` : la, comma),
        says: [['motor.lowVoltageA', Number(la)], ...(two ? [['motor.highVoltageA', Number(ha)]] : [])],
      },
      { words: of.hertz, value: `${hz}`, says: [['motor.ratedFrequencyHz', hz]] },
      { words: of.cos, value: commaOf((cos / 100).toFixed(2), comma), says: [['motor.powerFactor', cos / 100]] },
      { words: of.eff, value: commaOf(eff.toFixed(1), comma), says: [['motor.efficiency', eff / 100]] },
    ] as { words: Words; value: string; says: [PlanPath, number][] }[]
    const told = order
      .filter((i) => i !== 6 || withEff)
      .map((i) => ({ ...(sayings[i] as (typeof sayings)[number]), i }))
    for (const { says } of told) for (const [path, value] of says) truth.set(path, value)
    const wordFirst = ({ words: w, value, i }: (typeof told)[number], mark = ''): string => {
      if (i === forget) return value
      const label = any(w.label)
      const unit = (bareLabels.has(label) || next() % 4 === 0) && !us ? any(w.unit) : ''
      return `${label}${mark} ${value}${unit === '' ? '' : `${next() % 2 ? ' ' : ''}${unit}`}`
    }
    const numberFirst = ({ words: w, value, i }: (typeof told)[number]): string => {
      const unit = any(w.unit)
      return i === forget ? value : `${value}${/^[a-z]/i.test(unit) && next() % 2 ? '' : ' '}${unit}`
    }
    const gap = any(['  ', '   ', ' ', ', ', '\n', '\t', ' ; '])
    let text: string
    if (shape === 'heading') {
      const between = any(['\t', '   ', ' | ', ';'])
      const heads = told.map(({ words: w, i }) =>
        i === 0 && !us ? 'kW' : any(w.label.filter((l) => !bareLabels.has(l))),
      )
      text = `${heads.join(between)}\n${told.map((s) => s.value.replace(/ \/ /g, '/')).join(between)}`
    } else if (shape === 'columns')
      text = told.map((s) => wordFirst(s).replace(/ (?=[\d.,])/, any(['\t', '   ', ': ']))).join('\n')
    else if (shape === 'colons') text = told.map((s) => wordFirst(s, any([':', ' =']))).join(gap)
    else if (shape === 'lines') text = told.map((s) => (next() % 2 ? wordFirst(s) : numberFirst(s))).join('\n')
    else if (shape === 'mixed')
      text = told.map((s) => (next() % 6 ? wordFirst(s) : numberFirst(s))).join(gap === ' ' ? '  ' : gap)
    else if (shape === 'typed') text = told.map(numberFirst).join(' ')
    else text = told.map((s) => (shape === 'word first' ? wordFirst(s) : numberFirst(s))).join(gap)
    for (const piece of extra) {
      const says = noiseSays[piece]
      if (says && truth.has(says[0])) continue
      if (says) truth.set(says[0], says[1])
      text = next() % 2 ? `${text}\n${piece}` : `${piece}\n${text}`
    }
    if (letters === 'upper') text = text.toUpperCase()
    if (letters === 'lower') text = text.toLowerCase()
    return { text, truth }
  })
