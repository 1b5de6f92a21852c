import { fluxLimits } from '../data/fluxLimits'
import { severities, type Finding, type JudgedLine, type Severity } from '../findings/finding'
import { chainLinkIds, chainLinks, type ChainLinkId } from '../stages/chainLinks'
import { fieldKinds, heartOf, isBareMotor, type Connection } from '../plan'
import { amount, amps, hertz, newtonMetres, printNumber, rpm, message, volts, type Message } from '../quantities'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { isCovered } from '../facts/spindle/jobOn'

export interface ChainLink {
  id: ChainLinkId
  name: string
  /** The worst finding on this link, `ok` without one, `open` while its main numbers are unknown or something due on it that is dangerous is not judged. */
  state: Severity | 'ok' | 'open'
  headline: Message
  detail: Message
}

interface Text {
  headline: Message
  detail: Message
  known: boolean
}

const unknown = (detail: string): Text => ({ headline: message`Not known yet`, detail: [detail], known: false })

function wall({ plan, drive }: Facts): Text {
  const { voltageV, phases, breakerA } = plan.supply
  if (voltageV === undefined) return unknown('volts and breaker')
  const inputA = numberOf(drive.inputA)
  return {
    headline: message`${volts(voltageV)}${phases ? `, ${phases}-phase` : ''}${breakerA === undefined ? '' : message`, ${amps(breakerA)}`}`,
    detail: inputA === undefined ? message`load not known yet` : message`takes ${amps(inputA)} at full load`,
    known: phases !== undefined && breakerA !== undefined,
  }
}

function driveText({ plan, drive, speeds, settings }: Facts): Text {
  const outputA = numberOf(drive.outputA)
  if (outputA === undefined) return unknown('output amps')
  const [setV, low, high] = [numberOf(speeds.setVoltageV), numberOf(settings.minimumHz), numberOf(settings.maximumHz)]
  const headline = message`${amps(outputA)} out${plan.drive.powerW === undefined ? '' : message`, ${amount('power', plan.drive.powerW)}`}`
  const { leastSpeedRpm, mostSpeedRpm } = settings
  if (leastSpeedRpm && mostSpeedRpm) {
    const [least, most] = [numberOf(leastSpeedRpm), numberOf(mostSpeedRpm)]
    const detail =
      least === undefined || most === undefined
        ? message`speeds not known yet`
        : message`${printNumber(least, 3, 0)} to ${rpm(most)} of the motor`
    return { headline, detail, known: true }
  }
  return {
    headline,
    detail:
      low === undefined || high === undefined
        ? message`hertz not known yet`
        : message`${hertz(low)} to ${hertz(high)}${setV === undefined ? '' : message`, ${volts(setV)} at base`}`,
    known: true,
  }
}

const linkWords: Record<Connection, string> = {
  star: 'Star',
  delta: 'Delta',
  low: 'Parallel',
  high: 'Series',
  'low-delta': 'Delta, low',
  'low-star': 'Star, low',
  'high-delta': 'Delta, high',
  'high-star': 'Star, high',
  fixed: 'One voltage',
}

function motorText({ plan, motor, speeds }: Facts): Text {
  const [poles, current, torque, usable, k] = [
    motor.poles,
    motor.plateCurrentA,
    motor.torqueNm,
    speeds.usableNm,
    speeds.fluxFraction,
  ].map(numberOf)
  if (poles === undefined && torque === undefined) return unknown('the nameplate')
  if (heartOf(plan) !== 'inverter') {
    const { fieldKind, platePoles } = plan.motor
    const what =
      heartOf(plan) === 'dc'
        ? fieldKind === undefined
          ? 'DC'
          : `DC, ${fieldKind === 'shunt' ? fieldKind : fieldKinds[fieldKind].toLowerCase()}`
        : platePoles === undefined
          ? 'Magnets'
          : `Magnets, ${platePoles}-pole`
    return {
      headline: message`${what}${current === undefined ? '' : message`, ${amps(current)}`}`,
      detail: usable === undefined ? message`torque not known yet` : message`${newtonMetres(usable)} all day`,
      known: torque !== undefined && current !== undefined,
    }
  }
  const links = motor.connection === undefined ? 'Links?' : linkWords[motor.connection]
  const weak = k !== undefined && k < fluxLimits.weak && usable !== undefined
  return {
    headline: message`${links}${poles === undefined ? '' : `, ${poles}-pole`}${current === undefined ? '' : message`, ${amps(current)}`}`,
    detail:
      torque === undefined
        ? message`torque not known yet`
        : weak
          ? message`${newtonMetres(usable)} of ${newtonMetres(torque)} left`
          : message`${newtonMetres(torque)}`,
    known: poles !== undefined && current !== undefined,
  }
}

/** `2.49 : 1` where the spindle is slower than the motor, `1 : 1.5` where it is faster. */
const reduction = (speedRatio: number): string =>
  speedRatio <= 1 ? `${printNumber(1 / speedRatio, 3, 2)} : 1` : `1 : ${printNumber(speedRatio, 3, 2)}`

function belts({ plan, speeds }: Facts): Text {
  if (isBareMotor(plan)) return { headline: message`None`, detail: message`the motor’s own shaft`, known: true }
  const shown = speeds.main ?? speeds.positions[0]
  const ratio = numberOf(shown?.speedRatio)
  if (!shown || ratio === undefined || ratio === 0) return unknown('pulley sizes')
  const others = speeds.positions.filter((p) => p.index !== shown.index).length
  return {
    headline: message`${reduction(ratio)} on ${shown.name}`,
    detail:
      others === 0
        ? message`the only position`
        : message`${others} other ${others === 1 ? 'position' : 'positions'}${shown.reversed ? ', turns against the motor' : ''}`,
    known: true,
  }
}

function spindle({ speeds, jobs }: Facts): Text {
  const shown = speeds.main ?? speeds.positions[0]
  const [bottom, top, torque] = [numberOf(shown?.bottomRpm), numberOf(shown?.topRpm), numberOf(shown?.torqueNm)]
  if (bottom === undefined || top === undefined) return unknown('speeds')
  const judged = jobs.filter((j) => j.here !== undefined)
  const reached = judged.filter((j) => j.here && isCovered(j.here)).length
  return {
    headline: message`${printNumber(bottom, 3, 0)} to ${rpm(Number(top.toPrecision(3)))}`,
    detail: message`${torque === undefined ? '' : message`${newtonMetres(torque)}`}${judged.length === 0 ? '' : `${torque === undefined ? '' : ', '}${reached} of ${judged.length} ${judged.length === 1 ? 'job' : 'jobs'}`}`,
    known: true,
  }
}

const texts: Record<ChainLinkId, (facts: Facts) => Text> = { wall, drive: driveText, motor: motorText, belts, spindle }

/** The chain from wall to spindle, with what matters at each link. */
export const chain = (facts: Facts, findings: readonly Finding[], judged: readonly JudgedLine[]): ChainLink[] =>
  chainLinkIds.map((id) => {
    const { headline, detail, known } = texts[id](facts)
    const worst = severities.find((s) => findings.some((f) => f.chainLink === id && f.due && f.severity === s))
    const unjudged = judged.some((j) => j.chainLink === id && j.due && j.danger && j.answer === 'cannot-be-judged')
    return {
      id,
      name: id === 'spindle' && isBareMotor(facts.plan) ? 'Shaft' : chainLinks[id].name,
      state: worst === 'stop' || worst === 'watch' ? worst : known && !unjudged ? (worst ?? 'ok') : 'open',
      headline,
      detail,
    }
  })
