import { ingressOf, letsIn } from '../evaluate/ingress'
import { numberOf } from '../evaluate/figure'
import { hazards, set, type Plan } from '../plan'
import { amount, amps, percent, say, volts } from '../quantities'
import { judgement, type Remedy } from './finding'

const RATED_AIR_C = 40
/** Above this the drive's capacitors do not live. */
const COOKS_C = 60
const STEP_MM = 50
/** Over this an earth that is only plugged is not enough (IEC 61800-5-1). */
const LEAKAGE_A = 0.0035

/** A box of the same shape, large enough for the rise that is allowed, in steps of 50 mm. */
function largerBox({ mount }: Plan, riseK: number, allowedK: number): Remedy[] {
  const { boxWidthMm: w, boxHeightMm: h, boxDepthMm: d } = mount
  if (w === undefined || h === undefined || d === undefined || allowedK <= 0) return []
  const scale = Math.sqrt(riseK / allowedK)
  const [width, height, depth] = [w, h, d].map((side) => Math.ceil((side * scale) / STEP_MM) * STEP_MM)
  if (width === undefined || height === undefined || depth === undefined) return []
  return [
    {
      label: say`A box of ${amount('length', width)} by ${amount('length', height)} by ${amount('length', depth)}`,
      patch: [set('mount.boxWidthMm', width), set('mount.boxHeightMm', height), set('mount.boxDepthMm', depth)],
    },
  ]
}

const apart: Remedy = {
  label: say`Hang it in a clean place, controls on a lead`,
  patch: [set('mount.place', 'apart')],
}

/** Where the drive hangs, what reaches it, and the leads that leave it. */
export const mountFindings = [
  judgement('mount.box-hot', 'drive', 'drive', ({ plan, mount }) => {
    const [airC, riseK] = [numberOf(mount.airC), numberOf(mount.riseK)]
    const ratedC = plan.drive.ratedAmbientC ?? RATED_AIR_C
    if (airC === undefined || riseK === undefined || airC <= ratedC) return undefined
    return {
      severity: airC > COOKS_C ? 'stop' : 'watch',
      title: say`The drive cooks in its box`,
      says: say`At full load it gives off ${amount('power', numberOf(mount.lossW) ?? 0)}; the air in the closed box rises by ${amount('temperatureRise', riseK)} to ${amount('temperature', airC)}. It is made for ${amount('temperature', ratedC)}.`,
      why: 'Every ten kelvin halve the life of its capacitors, and it trips in the middle of a cut. A hole in the box lets the dust in.',
      remedies: [...largerBox(plan, riseK, ratedC - (airC - riseK)), apart],
      figures: ['mount.insideC', 'mount.riseK', 'mount.lossW'],
      path: 'mount.boxHeightMm',
    }
  }),

  judgement('mount.hazards', 'drive', 'drive', ({ plan }) => {
    const { place } = plan.mount
    if (place !== 'at-machine' || plan.survey.hazards.length === 0) return undefined
    const ingress = ingressOf(plan.drive.enclosure)
    const entering = ingress ? letsIn(ingress, plan.survey.hazards) : plan.survey.hazards
    if (entering.length === 0) return undefined
    const named = entering.map((h) => hazards[h].toLowerCase()).join(', ')
    return {
      severity: ingress ? 'stop' : 'watch',
      title: ingress ? say`An open drive where the ${named} flies` : say`Is the drive sealed against ${named}?`,
      says: ingress
        ? say`${plan.drive.enclosure ?? ''} does not keep out: ${named}.`
        : say`It hangs on the machine, where ${named} reaches it, and its enclosure is not known.`,
      why: 'Grit and coolant on the boards short the bus at full volts. Sealed on the machine or open in a clean place: both are right, an open drive on the machine is not.',
      remedies: [apart, { label: say`Put it in a closed box`, patch: [set('mount.place', 'in-box')] }],
      path: 'drive.enclosure',
    }
  }),

  judgement('drive.derated', 'drive', 'drive', ({ plan, drive }) => {
    const [outputA, plateA] = [numberOf(drive.outputA), plan.drive.ratedOutputA]
    if (drive.onOnePhase || outputA === undefined || plateA === undefined || outputA > plateA * 0.995) return undefined
    return {
      severity: 'note',
      title: say`The drive gives less where it hangs`,
      says: say`For its carrier, the height and the heat ${percent(outputA / plateA)} of its plate is left: ${amps(outputA)} of ${amps(plateA)}.`,
      why: 'These are planning values; the manual has tables of its own, and they rule.',
      figures: ['drive.outputA'],
      path: 'drive.carrierHz',
    }
  }),

  judgement('drive.jumper', 'drive', 'drive', ({ plan }) => {
    const { jumper, jumperSet } = plan.drive
    if (jumper === undefined || jumper === 'none' || jumperSet === true) return undefined
    const words = {
      volts: say`chooses the input volts; this wall gives ${volts(plan.supply.voltageV ?? 0)}`,
      power: say`chooses the power of the motor; the plate says ${amount('power', plan.motor.powerW ?? 0)}`,
      phases: say`chooses one or three phases; this wall has ${plan.supply.phases ?? '?'}`,
    }[jumper]
    return {
      severity: 'stop',
      title: say`A jumper to be set before first power`,
      says: say`A link or switch inside ${words}.`,
      why:
        jumper === 'volts'
          ? 'Left wrong it doubles the volts on the bus and the capacitors burst at the first switching on.'
          : 'Left wrong it trips at once, or lets through amps that the motor may not have.',
      remedies: [{ label: say`It is set and looked at`, patch: [set('drive.jumperSet', true)] }],
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
      plan.mount.outputFilter === true
    )
      return undefined
    const busV = peakV / (1 + Math.min(1, (plan.mount.motorCableM ?? 0) / criticalM))
    const shortM = Math.floor((standsV / busV - 1) * criticalM * 10) / 10
    return {
      severity: 'watch',
      title: say`The motor cable doubles the volts`,
      says: say`Fronts running back and forth make ${volts(peakV)} at the motor’s terminals; its winding stands ${volts(standsV)}.`,
      why: 'An old winding breaks down between its first turns, after weeks or years. A filter at the drive, a shorter cable or a motor made for drives cures it.',
      remedies: [
        { label: say`Plan a reactor or dV/dt filter at the drive`, patch: [set('mount.outputFilter', true)] },
        ...(shortM >= 0.5
          ? [
              {
                label: say`Shorten the cable to ${amount('distance', shortM)}`,
                patch: [set('mount.motorCableM', shortM)],
              },
            ]
          : []),
      ],
      figures: ['motor.peakV', 'motor.standsV'],
      path: 'mount.motorCableM',
    }
  }),

  judgement('drive.leakage', 'drive', 'drive', ({ motorCable }) => {
    const leakageA = numberOf(motorCable.leakageA)
    if (leakageA === undefined || leakageA <= LEAKAGE_A) return undefined
    return {
      severity: 'watch',
      title: say`The filter leaks more than a plug may carry away`,
      says: say`${amps(leakageA)} go to earth all the time; over ${amps(LEAKAGE_A)} the connection is fixed, with an earth of 10 mm² or a second protective conductor.`,
      why: 'If the one thin earth comes loose, whoever touches the machine carries that current.',
      figures: ['drive.leakageA'],
      path: 'drive.filterFarad',
    }
  }),
]
