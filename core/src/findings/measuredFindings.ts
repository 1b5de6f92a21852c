import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import type { Disagreement } from '../measurements/measured'
import { amount, amps, message, printNumber, seconds, type Message } from '../quantities'
import { doesNotApply, good, isUnjudged, need } from './answer'
import { judgement, type Answer } from './finding'

/** So near to another explanation, that is likely the one. */
const NEAR = 0.04
/** A drive feeds three alike leads; amps that differ more than this are not the drive’s doing. */
const ALIKE = 0.1

/** What was read off the machine, held against itself and against the plate. */
export const measuredFindings = [
  judgement(
    {
      id: 'measured.disagree',
      asks: 'Readings that agree',
      stage: 'survey',
      chainLink: 'spindle',
      by: 'in-use',
    },
    (facts) => {
      const { count, disagreements } = facts.measured
      if (count === 0) return doesNotApply('Nothing was read yet')
      if (disagreements.length === 0)
        return good(message`${count} ${count === 1 ? 'reading' : 'readings'}, none against another.`)
      return disagreements.map((pair): Answer => ({
        severity: 'watch',
        about: `${pair.of}-${pair.positionId ?? 'anywhere'}-${pair.odd.id}`,
        title: message`Two readings ${ofWhat(facts, pair)} do not agree`,
        says: message`${said(pair, pair.kept.value)} by one, ${said(pair, pair.odd.value)} by another. ${explained(facts, pair)}`,
        why: 'What is judged by them rests on the middle one. Read again, and take the wrong one away.',
        path: 'survey.positions',
      }))
    },
  ),

  judgement(
    {
      id: 'measured.amps',
      asks: 'Amps read, against the plate',
      stage: 'motor',
      chainLink: 'motor',
      by: 'in-use',
      danger: true,
    },
    ({ measured, motor }) => {
      const read = Object.values(measured.amps).filter((a) => a !== undefined)
      if (read.length === 0) return doesNotApply('No amps were read at the motor’s leads')
      const known = need(motor.plateCurrentA)
      if (isUnjudged(known)) return known
      const [plateA] = known
      const [least, most] = [Math.min(...read), Math.max(...read)]
      const unlike = read.length > 1 && most > least * (1 + ALIKE)
      if (most > plateA)
        return {
          severity: 'watch',
          title: message`The motor takes more than its plate`,
          says: message`${amps(most)} was read on a lead; the plate allows ${amps(plateA)} for these links.`,
          why: 'For minutes it is warm, for hours it burns. Lower the load, or look for a wrong link, too many volts at low hertz or a brake that drags.',
          figures: [motor.plateCurrentA.id],
          path: 'motor.lowVoltageA',
        }
      if (unlike)
        return {
          severity: 'watch',
          title: message`The three leads do not carry alike`,
          says: message`From ${amps(least)} to ${amps(most)} were read. A drive feeds all three alike.`,
          why: 'A loose link, a lead with a bad end, or a winding with shorted turns: power away, and measure the three windings.',
          figures: [motor.plateCurrentA.id],
          path: 'checks.phase1Ohm',
        }
      return good(message`At most ${amps(most)} of ${amps(plateA)}.`, { figures: [motor.plateCurrentA.id] })
    },
  ),
]

const ofWhat = ({ speeds }: Facts, { of, positionId }: Disagreement): Message => {
  const position = speeds.positions.find((p) => p.position.id === positionId)
  const on = position ? message` on ${position.name}` : message``
  return {
    'per-turn': message`of the speed${on}`,
    'per-hertz': message`of the speed${on}`,
    surface: message`of the blade or belt${on}`,
    coast: message`of the coast${on}`,
    'seat-torque': message`of the torque that loosens the chuck`,
    insulation: message`of the insulation`,
  }[of]
}

function said({ of }: Pick<Disagreement, 'of'>, value: number): Message {
  switch (of) {
    case 'per-turn':
      return message`${printNumber(value, 3, 3)} spindle turns for one of the motor`
    case 'per-hertz':
      return message`${printNumber(value, 3, 2)} spindle rpm for a hertz`
    case 'surface':
      return message`${amount('surfaceSpeed', value)} for a hertz`
    case 'coast':
      return message`${seconds(value)}`
    case 'seat-torque':
      return message`${amount('torque', value)}`
    case 'insulation':
      return message`${amount('insulation', value)}`
  }
}

/** Each explanation that makes one of the other, tried. */
function explained(facts: Facts, { of, positionId, kept, odd }: Disagreement): Message {
  const { speeds } = facts
  const times = odd.value / kept.value
  const fits = (factor: number) => Math.abs(times / factor - 1) <= NEAR
  const either = (factor: number) => fits(factor) || fits(1 / factor)
  if (of === 'coast')
    return message`Likely something else was on the spindle, it stood on another position, or the time was taken from another speed.`
  if (of === 'seat-torque')
    return message`Likely the seat was dry once and oiled once, or the bar stood at another length.`
  if (of === 'insulation') return message`Likely the winding was damp or warm at one of them.`
  const here = speeds.positions.find((p) => p.position.id === positionId)
  const own = numberOf(here?.speedRatio)
  const other = speeds.positions.find((p) => {
    const ratio = numberOf(p.speedRatio)
    return p !== here && ratio !== undefined && own !== undefined && either(ratio / own)
  })
  const found = [
    ...(either(2) ? [message`the tachometer saw two marks a turn`] : []),
    ...(either(1.2) ? [message`50 and 60 Hz are exchanged`] : []),
    ...(either(10) || either(100) ? [message`a decimal is misplaced`] : []),
    ...(either(60) ? [message`one is in turns a second`] : []),
    ...(of === 'surface' && either(3.2808) ? [message`feet and metres are exchanged`] : []),
    ...(other ? [message`one was read on ${other.name}`] : []),
    ...(Math.abs(times - 1) <= 0.12 ? [message`the belt slips, or the motor was loaded at one of them`] : []),
  ]
  const causes =
    found.length === 0
      ? message`Nothing tried here explains it: look at position, setting and instrument of both.`
      : message`Likely ${found.reduce((all, cause) => message`${all}; or ${cause}`)}.`
  const right = [kept, odd].find(
    ({ value }) => own !== undefined && Math.abs(turnsOf(facts, of, value) / own - 1) <= NEAR,
  )
  return right === undefined ? causes : message`The pulleys speak for ${said({ of }, right.value)}. ${causes}`
}

/** Spindle turns for one of the motor that a reading comes to; the motor's slip is left out. Not a number of a blade's. */
const turnsOf = ({ motor }: Facts, of: Disagreement['of'], value: number): number =>
  of === 'per-turn' ? value : of === 'per-hertz' ? (value * (numberOf(motor.poles) ?? NaN)) / 120 : NaN
