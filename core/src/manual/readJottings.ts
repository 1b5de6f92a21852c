import { settingIds, settingNames, type SettingId } from '../stages/settingTable'
import { terminalFunctions, type TerminalFunction } from './terminalFunctions'

/** A terminal as somebody jotted it down: what is printed, what was written behind it, and what that seems to mean. */
export interface JottedTerminal {
  prints: string
  words: string
  does: TerminalFunction | undefined
}

/** A setting as somebody jotted it down: its code, its value where one was written, and what it seems to set. */
export interface JottedCode {
  code: string
  value: string | undefined
  words: string
  sets: SettingId | undefined
}

export interface Jottings {
  terminals: JottedTerminal[]
  codes: JottedCode[]
  /** Lines of which nothing was understood. */
  rest: string[]
}

/** What people write for what a terminal does, tried in this order: what says more stands before what says less. */
const terminalWords: readonly [RegExp, TerminalFunction][] = [
  [/\b(sto|torque off)\b.*\b(2|b)\b|\b(2|b)\b.*\b(sto|torque off)\b/i, 'torque-off-2'],
  [/\b(sto|torque off)\b/i, 'torque-off-1'],
  [/\b(thermistor|ptc)\b/i, 'thermistor-1'],
  [/\brelay\b.*\b(com|common)\b|\b(com|common)\b.*\brelay\b/i, 'relay-common'],
  [/\brelay\b.*\b(nc|closed)\b|\bnc\b.*\brelay\b/i, 'relay-closed'],
  [/\brelay\b/i, 'relay-open'],
  [/\b(rs ?-?485|serial|modbus)\b.*(\ba\b|\+)/i, 'bus-line-a'],
  [/\b(rs ?-?485|serial|modbus)\b.*(\bb\b|-)/i, 'bus-line-b'],
  [
    /\bwiper\b|\b(0 ?(-|to) ?10|0 ?(-|to) ?5) ?v|\bspeed\b.*\b(in|input|volts?)\b|\bai ?\d?\b|\banalog(ue)? in/i,
    'reference-in',
  ],
  [/\b(0|4) ?(-|to) ?20 ?ma\b/i, 'reference-current'],
  [
    /\b(pot|knob)\b.*\b(top|supply|\+|cw|high)\b|\+ ?(5|10|12) ?v\b|\b(5|10|12) ?v (out|supply|ref)/i,
    'reference-supply',
  ],
  [/\b(pot|knob)\b.*\b(bottom|ccw|low|common|0 ?v)\b|\banalog(ue)? (gnd|ground|common)\b|\bacm\b/i, 'reference-common'],
  [/\banalog(ue)? out|\bao ?\d?\b|\bmeter\b/i, 'analogue-out'],
  [/\+? ?24 ?v/i, 'supply-24'],
  [/\b(run|start|go)\b.*\b(rev|reverse|backward|ccw)\b|\b(rev|reverse)\b.*\b(run|start)\b/i, 'run-reverse'],
  [/\b(run|start|go)\b.*\b(fwd|forward|cw)\b|\b(fwd|forward)\b/i, 'run-forward'],
  [/\b(rev|reverse)\b/i, 'run-reverse'],
  [/\bdir(ection)?\b/i, 'direction'],
  [/\b(quick|fast|emergency|e-?) ?stop\b/i, 'quick-stop'],
  [/\bstop\b/i, 'stop-open'],
  [/\bstart\b/i, 'start'],
  [/\benable\b|\ben\b|\binhibit\b/i, 'enable'],
  [/\b(fault|alarm|trip)\b.*\breset\b|\breset\b/i, 'fault-reset'],
  [/\b(external|outside) (fault|trip|alarm)\b/i, 'outside-fault'],
  [/\bjog\b/i, 'jog'],
  [/\b(faster|speed ?up|up)\b/i, 'speed-up'],
  [/\b(slower|speed ?down|down)\b/i, 'speed-down'],
  [/\bpreset\b.*\b3\b|\bspeed 3\b/i, 'preset-3'],
  [/\bpreset\b.*\b2\b|\bspeed 2\b/i, 'preset-2'],
  [/\bpreset\b|\bfixed speed\b/i, 'preset-1'],
  [/\b(brake|braking) (resistor|res)\b|\bresistor\b/i, 'resistor-1'],
  [/\b(dc|bus) ?(\+|plus|pos)/i, 'bus-plus'],
  [/\b(dc|bus) ?(-|minus|neg)/i, 'bus-minus'],
  [/\b(pe|earth|ground|chassis)\b/i, 'earth'],
  [/\bneutral\b/i, 'neutral'],
  [/\b(live|line|mains|phase)\b.*\b3\b/i, 'line-3'],
  [/\b(live|line|mains|phase)\b.*\b2\b/i, 'line-2'],
  [/\b(live|line|mains|phase)\b/i, 'line-1'],
  [/\bmotor\b.*\b(u|1)\b/i, 'motor-u'],
  [/\bmotor\b.*\b(v|2)\b/i, 'motor-v'],
  [/\bmotor\b.*\b(w|3)\b/i, 'motor-w'],
  [/\brun\b/i, 'run'],
  [/\b(com|common|gnd|0 ?v|dcm)\b/i, 'digital-common'],
  [/\b(nothing|unused|spare|n\/?c|leave)\b/i, 'nothing'],
]

/**
 * What words say that a terminal does; nothing where they say nothing known.
 *
 * @example functionNamed('run in reverse') // 'run-reverse'
 */
export const functionNamed = (words: string): TerminalFunction | undefined =>
  terminalWords.find(([pattern]) => pattern.test(words))?.[1]

/** What people write for what a setting is, before the product's own labels are tried. */
const settingWords: readonly [RegExp, SettingId][] = [
  [/\b(rated|motor) (volts?|voltage)\b/i, 'ratedVoltageV'],
  [/\b(overload|thermal|trip) (amps?|current|protection)\b|\boverload\b/i, 'overloadA'],
  [/\b(rated|motor|full load) (amps?|current)\b|\bfla\b/i, 'ratedCurrentA'],
  [/\b(base|rated|motor) (hertz|hz|freq(uency)?)\b/i, 'baseFrequencyHz'],
  [/\b(max(imum)?|highest|top|upper) (hertz|hz|freq(uency)?|speed)\b/i, 'maximumHz'],
  [/\b(min(imum)?|lowest|lower) (hertz|hz|freq(uency)?|speed)\b/i, 'minimumHz'],
  [/\b(rated|motor) (rpm|speed)\b/i, 'ratedSpeedRpm'],
  [/\b(accel(eration)?|ramp up|run[- ]?up)\b/i, 'accelerationS'],
  [/\b(decel(eration)?|ramp down|slow(ing)? down)\b/i, 'decelerationS'],
  [/\bstop (mode|by|type)\b|\bcoast\b/i, 'stopMode'],
  [/\b(run|start|command) (from|source|by)\b/i, 'commandSource'],
  [/\b(speed|reference|freq(uency)?) (from|source|by)\b/i, 'referenceSource'],
  [/\b(restart|power[- ]?(up|on) start|auto ?start)\b/i, 'restart'],
]

/** `code value words`: letters and digits that belong together, a number or a word, and what it is. */
const CODE =
  /^(?<code>[A-Za-z]{0,3}[ .:-]?\d{1,4}(?:[.:-]\d{1,4})?)\s*(?:=|:|\s)\s*(?<value>[+-]?\d+(?:[.,]\d+)?|on|off|yes|no)\b\s*(?<unit>hz|v|a|s|kw|hp|rpm|%)?\s*(?<words>\D.*)?$/i
const TERMINAL = /^(?<prints>[^\s=:]{1,12})\s*(?:=|:|-(?=\s)|\s)\s*(?<words>.*[A-Za-z].*)$/

/**
 * Lines as they were jotted beside a drive, one thing a line: a terminal with what it is for, or a code with its value and
 * what it sets. What is not understood is given back, never guessed.
 */
export function readJottings(text: string): Jottings {
  const jottings: Jottings = { terminals: [], codes: [], rest: [] }
  for (const line of text.slice(0, LONGEST).split(/\r?\n/).slice(0, MOST_LINES)) {
    const jotted = line.replace(/^[\s•*>-]+/, '').trim()
    if (jotted !== '') read(jotted, jottings)
  }
  return jottings
}

const LONGEST = 100_000
const MOST_LINES = 600
const LONGEST_LINE = 200

function read(line: string, { terminals, codes, rest }: Jottings): void {
  const short = line.slice(0, LONGEST_LINE)
  const code = CODE.exec(short)?.groups
  const sets = code && settingNamed(code['words'] ?? '')
  // A number behind a short name is a value only where words say that it is a setting.
  if (code && (sets !== undefined || /[A-Za-z].*\d|\d{2,}[.:-]\d/.test(code['code'] ?? ''))) {
    codes.push({ code: code['code']?.trim() ?? '', value: code['value'], words: (code['words'] ?? '').trim(), sets })
    return
  }
  const terminal = TERMINAL.exec(short)?.groups
  const words = terminal?.['words']?.trim() ?? ''
  const does = functionNamed(words)
  if (terminal && (does !== undefined || isName(terminal['prints'] ?? '')))
    terminals.push({ prints: terminal['prints']?.trim() ?? '', words, does })
  else rest.push(line)
}

/** What is printed at a screw has a digit or a sign, or is a few capitals; other words are only words. */
const isName = (text: string): boolean => /\d|[+-]|^[A-Z]{1,3}$/.test(text)

export function settingNamed(words: string): SettingId | undefined {
  const found = settingWords.find(([pattern]) => pattern.test(words))?.[1]
  return found ?? settingIds.find((id) => words.toLowerCase().includes(labelOf(id)))
}

const labelOf = (id: SettingId): string => settingNames[id].toLowerCase()

/** What a function is called, for whoever shows what was understood. */
export const functionWords = (does: TerminalFunction): string => terminalFunctions[does].words
