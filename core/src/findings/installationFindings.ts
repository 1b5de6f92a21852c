import { filterFan } from '../drive'
import { ingressOf, letsIn } from '../facts/drive/ingress'
import { doesNotApply, good, isUnjudged, lacks, need, typed } from './answer'
import { numberOf } from '../facts/figure'
import { hazards, set, type Plan } from '../plan'
import { amount, amps, listed, percent, message, volts, type Message } from '../quantities'
import { findingId, judgement, type Remedy } from './finding'

const RATED_AIR_C = 40
/** Above this the drive's capacitors do not live. */
const COOKS_C = 60
const STEP_MM = 50
const FAN_STEP = 20
/** Over this an earth that is only plugged is not enough (IEC 61800-5-1). */
const LEAKAGE_A = 0.0035
/** Earths that are: wired in, and by an industrial plug. */
const FIXED_EARTH_MM2 = 10
const PLUG_EARTH_MM2 = 2.5

/** Why an earth is enough for any leakage, where it is (IEC 61800-5-1). */
function earthedForLeakage({ supply }: Plan): Message | undefined {
  const { plugOrFixed, plugKind, secondEarth, cableMm2 = 0 } = supply
  if (plugOrFixed === 'fixed' && secondEarth === true)
    return message`Wired in, with a second protective conductor: any leakage of a filter is carried away.`
  if (plugOrFixed === 'fixed' && cableMm2 >= FIXED_EARTH_MM2)
    return message`Wired in, with an earth of ${amount('area', FIXED_EARTH_MM2)} or more: any leakage of a filter is carried away.`
  if (plugOrFixed === 'plug' && plugKind === 'industrial' && cableMm2 >= PLUG_EARTH_MM2)
    return message`An industrial plug, with an earth of ${amount('area', PLUG_EARTH_MM2)} or more: any leakage of a filter is carried away.`
  return undefined
}

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

/** A filter fan that keeps the rise, in steps of 20 m³/h; not where dust or wet would come in through it. */
function fanFor({ survey, installation }: Plan, lossW: number | undefined, allowedK: number): Remedy[] {
  if (lossW === undefined || allowedK <= 0 || survey.hazards.length > 0) return []
  const one = filterFan.run({ lossW, airflowM3PerH: FAN_STEP, roomC: 0 })
  if (!one.ok) return []
  const flow = Math.ceil((1.1 * one.value.riseK) / allowedK) * FAN_STEP
  if (flow > 1000 || flow <= (installation.filterFanM3PerH ?? 0)) return []
  return [
    {
      label: message`A filter fan of ${amount('airflow', flow)}`,
      patch: [set('installation.filterFanM3PerH', flow)],
    },
  ]
}

const apart: Remedy = {
  label: message`Hang it in a clean place, controls on a lead`,
  patch: [set('installation.place', 'apart')],
}

/** Where the drive hangs, what reaches it, and the leads that leave it. */
export const installationFindings = [
  judgement(
    {
      id: 'installation.box-hot',
      asks: 'Heat in the drive’s box',
      stage: 'drive',
      chainLink: 'drive',
      by: 'in-use',
      danger: true,
    },
    ({ plan, installation }) => {
      const { place } = plan.installation
      if (place === undefined) return lacks('installation.place')
      if (!installation.riseK) return doesNotApply('It hangs in no box')
      const known = need(installation.airC, installation.riseK)
      if (isUnjudged(known)) return known
      const [airC, riseK] = known
      const ratedC = plan.drive.ratedAmbientC ?? RATED_AIR_C
      if (airC <= ratedC)
        return good(
          message`The air in the box comes to ${amount('temperature', airC)}; the drive is made for ${amount('temperature', ratedC)}.`,
          {
            figures: ['installation.insideC'],
          },
        )
      return {
        severity: airC > COOKS_C ? 'stop' : 'watch',
        title: message`The drive cooks in its box`,
        says: message`At full load it gives off ${amount('heat', numberOf(installation.lossW) ?? 0)}; the air in the box rises by ${amount('temperatureRise', riseK)} to ${amount('temperature', airC)}. It is made for ${amount('temperature', ratedC)}.${plan.installation.boxDuty === undefined ? ' It is planned for full load all day: say how long it runs.' : ''}`,
        why: 'Every ten kelvin halve the life of its capacitors, and it trips in the middle of a cut. A hole in the box lets the dust in.',
        remedies: [
          ...largerBox(plan, riseK, ratedC - (airC - riseK)),
          ...fanFor(plan, numberOf(installation.lossW), ratedC - (airC - riseK)),
          apart,
        ],
        figures: ['installation.insideC', 'installation.riseK', 'installation.lossW'],
        path: 'installation.boxHeightMm',
      }
    },
  ),

  judgement(
    {
      id: 'installation.hazards',
      asks: 'Dust and wet at the drive',
      stage: 'drive',
      chainLink: 'drive',
      by: 'on-machine',
      danger: true,
    },
    ({ plan }) => {
      const { place } = plan.installation
      if (place === undefined) return lacks('installation.place')
      if (place !== 'at-machine') return doesNotApply('It hangs where none of it comes')
      if (plan.survey.hazards.length === 0) return lacks('survey.hazards')
      const ingress = ingressOf(plan.drive.enclosure)
      const entering = ingress ? letsIn(ingress, plan.survey.hazards) : plan.survey.hazards
      if (entering.length === 0) return good(message`${plan.drive.enclosure ?? ''} keeps out what reaches the machine.`)
      const named = listed(entering.map((h) => hazards[h].toLowerCase()))
      return {
        severity: ingress ? 'stop' : 'watch',
        title: ingress
          ? message`An open drive within reach of ${named}`
          : message`Is the drive sealed against ${named}?`,
        says: ingress
          ? message`${plan.drive.enclosure ?? ''} does not keep out ${named}.`
          : message`It hangs on the machine, within reach of ${named}, and its enclosure is not known.`,
        why: 'Grit and coolant on the boards short the bus at full volts. Sealed on the machine or open in a clean place: both are right, an open drive on the machine is not.',
        remedies: [apart, { label: message`Put it in a closed box`, patch: [set('installation.place', 'in-box')] }],
        path: 'drive.enclosure',
      }
    },
  ),

  judgement(
    {
      id: 'motor.hazards',
      asks: 'Dust and wet at the motor',
      stage: 'motor',
      chainLink: 'motor',
      by: 'on-machine',
    },
    ({ plan }) => {
      if (plan.survey.hazards.length === 0) return lacks('survey.hazards')
      const ingress = ingressOf(plan.motor.enclosure)
      if (!ingress) return lacks('motor.enclosure')
      const entering = letsIn(ingress, plan.survey.hazards).filter((h) => h !== 'chips' && h !== 'damp')
      if (entering.length === 0) return good(message`${plan.motor.enclosure ?? ''} keeps out what reaches the machine.`)
      const named = listed(entering.map((h) => hazards[h].toLowerCase()))
      return {
        severity: 'watch',
        title: message`An open motor within reach of ${named}`,
        says: message`${plan.motor.enclosure ?? ''} does not keep out ${named}.`,
        why: 'It packs the winding, holds the wet and takes the cooling. A closed motor, or a hood that leaves the air free.',
        path: 'motor.enclosure',
      }
    },
  ),

  judgement(
    {
      id: 'drive.derated',
      asks: 'What the drive gives where it hangs',
      stage: 'drive',
      chainLink: 'drive',
      by: 'buying',
    },
    ({ plan, drive }) => {
      if (drive.onOnePhase) return doesNotApply('What one phase leaves is judged by itself')
      const known = need(drive.outputA, typed('drive.ratedOutputA', plan.drive.ratedOutputA))
      if (isUnjudged(known)) return known
      const [outputA, plateA] = known
      if (outputA > plateA * 0.995)
        return good(message`${amps(outputA)}, all of its plate.`, { figures: ['drive.outputA'] })
      return {
        severity: 'note',
        // The heat of its box is told there.
        ...(plan.installation.place === 'in-box' ? { follows: findingId('installation.box-hot') } : {}),
        title: message`The drive gives less where it hangs`,
        says: message`For its carrier, the height and the heat ${percent(outputA / plateA)} of its plate is left: ${amps(outputA)} of ${amps(plateA)}.`,
        why: 'These are planning values; the manual has tables of its own, and they rule.',
        figures: ['drive.outputA'],
        path: 'drive.carrierHz',
      }
    },
  ),

  judgement(
    {
      id: 'drive.jumper',
      asks: 'Jumper inside the drive',
      stage: 'drive',
      chainLink: 'drive',
      by: 'first-power',
      danger: true,
    },
    ({ plan }) => {
      const { jumper, jumperSet } = plan.drive
      if (jumper === undefined) return lacks('drive.jumper')
      if (jumper === 'none') return doesNotApply('The drive has none')
      if (jumperSet === true) return good(message`It was set for this shop, and looked at.`)
      const words = {
        volts: message`chooses the input volts; this wall gives ${volts(plan.supply.voltageV ?? 0)}`,
        power: message`chooses the power of the motor; the plate says ${amount('power', plan.motor.powerW ?? 0)}`,
        phases: message`chooses one or three phases; this wall has ${plan.supply.phases ?? '?'}`,
      }[jumper]
      return {
        severity: 'stop',
        toDo: true,
        title: message`A jumper to be set before first power`,
        says: message`A link or switch inside ${words}. Power off, waited, measured, before the lid comes off.`,
        why:
          jumper === 'volts'
            ? 'Left wrong it doubles the volts on the bus and the capacitors burst at the first switching on.'
            : 'Left wrong it trips at once, or lets through amps that the motor may not have.',
        remedies: [{ label: message`It is set and looked at`, patch: [set('drive.jumperSet', true)] }],
        path: 'drive.jumperSet',
      }
    },
  ),

  judgement(
    {
      id: 'motor.peak',
      asks: 'Volts at the end of the motor cable',
      stage: 'drive',
      chainLink: 'motor',
      by: 'on-machine',
    },
    ({ plan, motorCable }) => {
      if (plan.installation.outputFilter === true)
        return good(message`A reactor or filter at the drive takes the edge off.`)
      const known = need(motorCable.peakV, motorCable.standsV, motorCable.criticalM)
      if (isUnjudged(known)) return known
      const [peakV, standsV, criticalM] = known
      if (peakV <= standsV)
        return good(message`${volts(peakV)} at the motor; its winding stands ${volts(standsV)}.`, {
          figures: ['motor.peakV', 'motor.standsV'],
        })
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
    },
  ),

  judgement(
    {
      id: 'drive.leakage',
      asks: 'Standing leakage to earth',
      stage: 'drive',
      chainLink: 'drive',
      by: 'first-power',
      danger: true,
    },
    ({ plan, motorCable }) => {
      const earthed = earthedForLeakage(plan)
      if (earthed) return good(earthed)
      // A second conductor settles it whatever the filter leaks, and is easier to tell.
      if (plan.drive.filterFarad === undefined && plan.supply.secondEarth === undefined)
        return lacks('supply.secondEarth')
      const known = need(motorCable.leakageA)
      if (isUnjudged(known)) return known
      const [leakageA] = known
      if (leakageA <= LEAKAGE_A)
        return good(message`${amps(leakageA)}, of ${amps(LEAKAGE_A)} that a plug may have.`, {
          figures: ['drive.leakageA'],
        })
      return {
        severity: 'watch',
        title: message`The filter leaks more than a plug may carry away`,
        says: message`${amps(leakageA)} go to earth all the time; over ${amps(LEAKAGE_A)} the connection is fixed, with an earth of 10 mm² or a second protective conductor, or by an industrial plug with an earth of 2.5 mm².`,
        why: 'If the one thin earth comes loose, whoever touches the machine carries that current.',
        figures: ['drive.leakageA'],
        path: 'drive.filterFarad',
      }
    },
  ),
]
