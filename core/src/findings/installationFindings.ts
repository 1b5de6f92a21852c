import { ingressOf, letsIn } from '../facts/drive/ingress'
import { numberOf } from '../facts/figure'
import { hazards, set, type Plan } from '../plan'
import { amount, amps, listed, percent, message, volts } from '../quantities'
import { judgement, type Remedy } from './finding'

const RATED_AIR_C = 40
/** Above this the drive's capacitors do not live. */
const COOKS_C = 60
const STEP_MM = 50
/** Over this an earth that is only plugged is not enough (IEC 61800-5-1). */
const LEAKAGE_A = 0.0035

/** A box of the same shape, large enough for the rise that is allowed, in steps of 50 mm. */
function largerBox({ installation }: Plan, riseK: number, allowedK: number): Remedy[] {
  const { boxWidthMm: w, boxHeightMm: h, boxDepthMm: d } = installation
  if (w === undefined || h === undefined || d === undefined || allowedK <= 0) return []
  const scale = Math.sqrt(riseK / allowedK)
  const [width, height, depth] = [w, h, d].map((side) => Math.ceil((side * scale) / STEP_MM) * STEP_MM)
  if (width === undefined || height === undefined || depth === undefined) return []
  return [
    {
      label: message`A box of ${amount('length', width)} by ${amount('length', height)} by ${amount('length', depth)}`,
      patch: [
        set('installation.boxWidthMm', width),
        set('installation.boxHeightMm', height),
        set('installation.boxDepthMm', depth),
      ],
    },
  ]
}

const apart: Remedy = {
  label: message`Hang it in a clean place, controls on a lead`,
  patch: [set('installation.place', 'apart')],
}

/** Where the drive hangs, what reaches it, and the leads that leave it. */
export const installationFindings = [
  judgement('installation.box-hot', 'drive', 'drive', ({ plan, installation }) => {
    const [airC, riseK] = [numberOf(installation.airC), numberOf(installation.riseK)]
    const ratedC = plan.drive.ratedAmbientC ?? RATED_AIR_C
    if (airC === undefined || riseK === undefined || airC <= ratedC) return undefined
    return {
      severity: airC > COOKS_C ? 'stop' : 'watch',
      title: message`The drive cooks in its box`,
      says: message`At full load it gives off ${amount('power', numberOf(installation.lossW) ?? 0)}; the air in the closed box rises by ${amount('temperatureRise', riseK)} to ${amount('temperature', airC)}. It is made for ${amount('temperature', ratedC)}.`,
      why: 'Every ten kelvin halve the life of its capacitors, and it trips in the middle of a cut. A hole in the box lets the dust in.',
      remedies: [...largerBox(plan, riseK, ratedC - (airC - riseK)), apart],
      figures: ['installation.insideC', 'installation.riseK', 'installation.lossW'],
      path: 'installation.boxHeightMm',
    }
  }),

  judgement('installation.hazards', 'drive', 'drive', ({ plan }) => {
    const { place } = plan.installation
    if (place !== 'at-machine' || plan.survey.hazards.length === 0) return undefined
    const ingress = ingressOf(plan.drive.enclosure)
    const entering = ingress ? letsIn(ingress, plan.survey.hazards) : plan.survey.hazards
    if (entering.length === 0) return undefined
    const named = listed(entering.map((h) => hazards[h].toLowerCase()))
    return {
      severity: ingress ? 'stop' : 'watch',
      title: ingress ? message`An open drive within reach of ${named}` : message`Is the drive sealed against ${named}?`,
      says: ingress
        ? message`${plan.drive.enclosure ?? ''} does not keep out ${named}.`
        : message`It hangs on the machine, within reach of ${named}, and its enclosure is not known.`,
      why: 'Grit and coolant on the boards short the bus at full volts. Sealed on the machine or open in a clean place: both are right, an open drive on the machine is not.',
      remedies: [apart, { label: message`Put it in a closed box`, patch: [set('installation.place', 'in-box')] }],
      path: 'drive.enclosure',
    }
  }),

  judgement('drive.derated', 'drive', 'drive', ({ plan, drive }) => {
    const [outputA, plateA] = [numberOf(drive.outputA), plan.drive.ratedOutputA]
    if (drive.onOnePhase || outputA === undefined || plateA === undefined || outputA > plateA * 0.995) return undefined
    return {
      severity: 'note',
      title: message`The drive gives less where it hangs`,
      says: message`For its carrier, the height and the heat ${percent(outputA / plateA)} of its plate is left: ${amps(outputA)} of ${amps(plateA)}.`,
      why: 'These are planning values; the manual has tables of its own, and they rule.',
      figures: ['drive.outputA'],
      path: 'drive.carrierHz',
    }
  }),

  judgement('drive.jumper', 'drive', 'drive', ({ plan }) => {
    const { jumper, jumperSet } = plan.drive
    if (jumper === undefined || jumper === 'none' || jumperSet === true) return undefined
    const words = {
      volts: message`chooses the input volts; this wall gives ${volts(plan.supply.voltageV ?? 0)}`,
      power: message`chooses the power of the motor; the plate says ${amount('power', plan.motor.powerW ?? 0)}`,
      phases: message`chooses one or three phases; this wall has ${plan.supply.phases ?? '?'}`,
    }[jumper]
    return {
      severity: 'stop',
      title: message`A jumper to be set before first power`,
      says: message`A link or switch inside ${words}.`,
      why:
        jumper === 'volts'
          ? 'Left wrong it doubles the volts on the bus and the capacitors burst at the first switching on.'
          : 'Left wrong it trips at once, or lets through amps that the motor may not have.',
      remedies: [{ label: message`It is set and looked at`, patch: [set('drive.jumperSet', true)] }],
      path: 'drive.jumperSet',
    }
  }),

  judgement('motor.peak', 'drive', 'motor', ({ plan, motorCable }) => {
    const [peakV, standsV, criticalM] = [motorCable.peakV, motorCable.standsV, motorCable.criticalM].map(numberOf)
    if (
      peakV === undefined ||
      standsV === undefined ||
      criticalM === undefined ||
      peakV <= standsV ||
      plan.installation.outputFilter === true
    )
      return undefined
    const busV = peakV / (1 + Math.min(1, (plan.installation.motorCableM ?? 0) / criticalM))
    const shortM = Math.floor((standsV / busV - 1) * criticalM * 10) / 10
    return {
      severity: 'watch',
      title: message`The motor cable doubles the volts`,
      says: message`Fronts running back and forth make ${volts(peakV)} at the motor’s terminals; its winding stands ${volts(standsV)}.`,
      why: 'An old winding breaks down between its first turns, after weeks or years. A filter at the drive, a shorter cable or a motor made for drives cures it.',
      remedies: [
        {
          label: message`Plan a reactor or dV/dt filter at the drive`,
          patch: [set('installation.outputFilter', true)],
        },
        ...(shortM >= 0.5
          ? [
              {
                label: message`Shorten the cable to ${amount('distance', shortM)}`,
                patch: [set('installation.motorCableM', shortM)],
              },
            ]
          : []),
      ],
      figures: ['motor.peakV', 'motor.standsV'],
      path: 'installation.motorCableM',
    }
  }),

  judgement('drive.leakage', 'drive', 'drive', ({ motorCable }) => {
    const leakageA = numberOf(motorCable.leakageA)
    if (leakageA === undefined || leakageA <= LEAKAGE_A) return undefined
    return {
      severity: 'watch',
      title: message`The filter leaks more than a plug may carry away`,
      says: message`${amps(leakageA)} go to earth all the time; over ${amps(LEAKAGE_A)} the connection is fixed, with an earth of 10 mm² or a second protective conductor.`,
      why: 'If the one thin earth comes loose, whoever touches the machine carries that current.',
      figures: ['drive.leakageA'],
      path: 'drive.filterFarad',
    }
  }),
]
