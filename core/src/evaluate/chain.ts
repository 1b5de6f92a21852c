import { severities, linkIds, type Finding, type LinkId, type Severity } from '../findings/finding'
import type { Connection } from '../plan'
import { amount, amps, hertz, newtonMetres, printNumber, rpm, say, volts, type Said } from '../quantities'
import type { Facts } from './facts'
import { numberOf } from './figure'

export interface ChainLink {
  id: LinkId
  name: string
  /** The worst finding on this link, `ok` without one, `open` while its main numbers are unknown. */
  state: Severity | 'ok' | 'open'
  headline: Said
  detail: Said
}

const names: Record<LinkId, string> = {
  wall: 'Wall',
  drive: 'Drive',
  motor: 'Motor',
  belts: 'Belts',
  spindle: 'Spindle',
}

interface Text {
  headline: Said
  detail: Said
  known: boolean
}

const unknown = (detail: string): Text => ({ headline: say`Not known yet`, detail: [detail], known: false })

function wall({ plan, drive }: Facts): Text {
  const { voltageV, phases, breakerA } = plan.supply
  if (voltageV === undefined) return unknown('volts and breaker')
  const inputA = numberOf(drive.inputA)
  return {
    headline: say`${volts(voltageV)}${phases ? `, ${phases}-phase` : ''}${breakerA === undefined ? '' : say`, ${amps(breakerA)}`}`,
    detail: inputA === undefined ? say`load not known yet` : say`takes ${amps(inputA)} at full load`,
    known: phases !== undefined && breakerA !== undefined,
  }
}

function driveText({ plan, drive, speeds, settings }: Facts): Text {
  const outputA = numberOf(drive.outputA)
  if (outputA === undefined) return unknown('output amps')
  const [setV, low, high] = [numberOf(speeds.setVoltageV), numberOf(settings.minimumHz), numberOf(settings.maximumHz)]
  return {
    headline: say`${amps(outputA)} out${plan.drive.powerW === undefined ? '' : say`, ${amount('power', plan.drive.powerW)}`}`,
    detail:
      low === undefined || high === undefined
        ? say`hertz not known yet`
        : say`${hertz(low)} to ${hertz(high)}${setV === undefined ? '' : say`, ${volts(setV)} at base`}`,
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

function motorText({ motor, speeds }: Facts): Text {
  const [poles, current, torque, k] = [motor.poles, motor.plateCurrentA, motor.torqueNm, speeds.fluxFraction].map(
    numberOf,
  )
  if (poles === undefined && torque === undefined) return unknown('the nameplate')
  const links = motor.connection === undefined ? 'Links?' : linkWords[motor.connection]
  const weak = k !== undefined && k < 0.9 && torque !== undefined
  return {
    headline: say`${links}${poles === undefined ? '' : `, ${poles}-pole`}${current === undefined ? '' : say`, ${amps(current)}`}`,
    detail:
      torque === undefined
        ? say`torque not known yet`
        : weak
          ? say`${newtonMetres(torque * k * k)} of ${newtonMetres(torque)} left`
          : say`${newtonMetres(torque)}`,
    known: poles !== undefined && current !== undefined,
  }
}

/** `2.49 : 1` where the spindle is slower than the motor, `1 : 1.5` where it is faster. */
const reduction = (speedRatio: number): string =>
  speedRatio <= 1 ? `${printNumber(1 / speedRatio, 3, 2)} : 1` : `1 : ${printNumber(speedRatio, 3, 2)}`

function belts({ speeds }: Facts): Text {
  const shown = speeds.main ?? speeds.positions[0]
  const ratio = numberOf(shown?.speedRatio)
  if (!shown || ratio === undefined || ratio === 0) return unknown('pulley sizes')
  const others = speeds.positions.filter((p) => p !== shown).length
  return {
    headline: say`${reduction(ratio)} on ${shown.name}`,
    detail:
      others === 0
        ? say`the only position`
        : say`${others} other ${others === 1 ? 'position' : 'positions'}${shown.reversed ? ', turns against the motor' : ''}`,
    known: true,
  }
}

function spindle({ speeds }: Facts): Text {
  const shown = speeds.main ?? speeds.positions[0]
  const [bottom, top, torque] = [numberOf(shown?.bottomRpm), numberOf(shown?.topRpm), numberOf(shown?.torqueNm)]
  if (bottom === undefined || top === undefined) return unknown('speeds')
  const judged = speeds.jobs.filter((j) => j.reach !== 'unknown')
  const reached = judged.filter((j) => j.reach === 'reached').length
  return {
    headline: say`${printNumber(bottom, 3, 0)} to ${rpm(Number(top.toPrecision(3)))}`,
    detail: say`${torque === undefined ? '' : say`${newtonMetres(torque)}`}${judged.length === 0 ? '' : `${torque === undefined ? '' : ', '}${reached} of ${judged.length} ${judged.length === 1 ? 'job' : 'jobs'}`}`,
    known: true,
  }
}

const texts: Record<LinkId, (facts: Facts) => Text> = { wall, drive: driveText, motor: motorText, belts, spindle }

/** The chain from wall to spindle, with what matters at each link. */
export const chain = (facts: Facts, findings: readonly Finding[]): ChainLink[] =>
  linkIds.map((id) => {
    const { headline, detail, known } = texts[id](facts)
    const worst = severities.find((s) => findings.some((f) => f.link === id && f.severity === s))
    return {
      id,
      name: names[id],
      state: worst === 'stop' || worst === 'watch' ? worst : known ? (worst ?? 'ok') : 'open',
      headline,
      detail,
    }
  })
