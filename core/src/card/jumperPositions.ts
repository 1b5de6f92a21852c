import { mostForMoments } from '../facts/settings/protectionSettings'
import type { Manual } from '../manual'
import { heartOf } from '../plan'
import { part, type Known } from '../conversion/known'

type Jumper = Manual['jumpers'][number]

/** A jumper, strap or switch inside, and the position that this plan wants. */
export interface JumperPosition {
  jumper: Jumper
  /** Undefined where the manual or the plan does not say. */
  position?: string
  why: string
}

/** The first number of a text before one of these units. */
function amountIn(text: string, unit: string): number | undefined {
  const found = new RegExp(`(\\d+(?:[.,]\\d+)?)\\s*${unit}\\b`, 'i').exec(text)?.[1]
  return found === undefined ? undefined : Number(found.replace(',', '.'))
}

/** The smallest position that is no smaller than what is wanted. */
function atLeast(jumper: Jumper, unit: string, wanted: number): string | undefined {
  const sizes = jumper.positions.flatMap(({ prints, means }) => {
    const size = amountIn(means, unit)
    return size === undefined || size < wanted ? [] : [{ prints, size }]
  })
  return sizes.sort((a, b) => a.size - b.size)[0]?.prints
}

/** The largest position that is no larger than what is wanted. */
function atMost(jumper: Jumper, unit: string, wanted: number): string | undefined {
  const sizes = jumper.positions.flatMap(({ prints, means }) => {
    const size = amountIn(means, unit)
    return size === undefined || size > wanted ? [] : [{ prints, size }]
  })
  return sizes.sort((a, b) => b.size - a.size)[0]?.prints
}

/** Nominal volts within this of each other are one class: 230 on 240. */
const ALIKE = 0.15

const named = (jumper: Jumper, pattern: RegExp): string | undefined =>
  jumper.positions.find(({ prints, means }) => pattern.test(means) || pattern.test(prints))?.prints

const chosen = (jumper: Jumper, position: string | undefined, why: string, lacking: string): JumperPosition =>
  position === undefined ? { jumper, why: lacking } : { jumper, position, why }

function wantedOf({ plan, facts }: Known, jumper: Jumper): JumperPosition {
  const { supply, motor, controls } = plan
  const unsaid = 'Which position it is, is not known: read it in the manual.'
  switch (jumper.chooses) {
    case 'sink-source': {
      const { logic } = facts.wiring.wiring
      return chosen(
        jumper,
        jumper.positions.find((p) => p.logic === logic)?.prints,
        logic === 'source' ? 'Switches are closed to the volts.' : 'Switches are closed to the common.',
        unsaid,
      )
    }
    case 'input-volts': {
      const volts = supply.voltageV
      if (volts === undefined) return { jumper, why: 'Needs the volts of the wall.' }
      const fits = jumper.positions.find(({ means, prints }) => {
        const printed = amountIn(means, 'V') ?? Number(prints)
        return Number.isFinite(printed) && Math.abs(printed - volts) <= ALIKE * volts
      })
      return chosen(
        jumper,
        fits?.prints,
        `The wall has ${volts} V.`,
        `No position for ${volts} V: it cannot stand on this wall.`,
      )
    }
    case 'motor-power': {
      const amps = motor.connection === 'star' || motor.connection === 'high' ? motor.highVoltageA : motor.lowVoltageA
      const byAmps = amps === undefined ? undefined : atLeast(jumper, 'A', amps)
      if (byAmps !== undefined)
        return {
          jumper,
          position: byAmps,
          why: `The motor’s plate has ${amps} A${heartOf(plan) === 'inverter' ? ' for these links' : ''}.`,
        }
      const watts = motor.powerW
      const byPower =
        watts === undefined ? undefined : (atLeast(jumper, 'kW', watts / 1000) ?? atLeast(jumper, 'W', watts))
      return chosen(
        jumper,
        byPower,
        `The motor has ${watts} W.`,
        'Needs the motor’s amps; or none of its positions is large enough.',
      )
    }
    case 'current-limit': {
      const plateA = motor.lowVoltageA
      if (plateA === undefined) return { jumper, why: 'Needs the motor’s amps.' }
      const most = mostForMoments(plateA, motor.peakA)
      return chosen(
        jumper,
        atMost(jumper, 'A', most),
        `The largest that is not over ${Number(most.toPrecision(3))} A, what this motor bears for moments.`,
        `None of its positions is under ${Number(most.toPrecision(3))} A: it pushes more than this motor bears.`,
      )
    }
    case 'volts-or-milliamps':
      return controls.reference === 'knob' || controls.reference === 'analogue'
        ? chosen(jumper, named(jumper, /\bvolts?\b|^V$/i), 'A knob or a controller gives volts.', unsaid)
        : { jumper, why: 'No knob and no volts give the speed.' }
    case 'input-phases':
      return supply.phases === undefined
        ? { jumper, why: 'Needs the phases of the supply.' }
        : chosen(
            jumper,
            named(jumper, supply.phases === 1 ? /\b(1|one|single)\b/i : /\b(3|three)\b/i),
            `The supply has ${supply.phases === 1 ? 'one phase' : 'three phases'}.`,
            unsaid,
          )
    case 'filter-earth':
      return supply.earthing === undefined
        ? { jumper, why: 'Needs how the neutral is earthed: the filter is earthed only where it is.' }
        : chosen(
            jumper,
            named(jumper, supply.earthing === 'earthed' ? /^in$/i : /^out$/i),
            supply.earthing === 'earthed' ? 'The neutral is earthed.' : 'The neutral is not plainly earthed.',
            unsaid,
          )
    default:
      return {
        jumper,
        ...(jumper.comesIn === undefined ? {} : { position: jumper.comesIn }),
        why: 'As it comes; its manual says what it does.',
      }
  }
}

/** Every jumper, strap and switch inside the drive, with the position that this plan wants and why. */
export const jumperPositions = part('jumperPositions', (of): JumperPosition[] =>
  (of.plan.manual?.jumpers ?? []).map((jumper) => wantedOf(of, jumper)),
)
