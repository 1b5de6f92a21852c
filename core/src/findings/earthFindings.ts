import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import { earthings, earthLeakageDevices, set } from '../plan'
import { amps, message, volts } from '../quantities'
import { motorCable } from '../supply'
import { doesNotApply, good, isUnjudged, lacks, need, typed } from './answer'
import { judgement, type Answer } from './finding'

/** Standing leakage over this share of what a device trips at makes it trip for nothing. */
const STANDING = 0.3
/** A high leg to neutral, about. */
const HIGH_LEG = { fromV: 195, toV: 220 }

const rank = { none: -1, ac: 0, a: 1, f: 2, b: 3, gfci: -1 } as const

/** Whether the device that is there sees what a drive may leak, and is not blinded by it. */
function earthLeakage({ plan, branchCircuit }: Facts): Answer {
  const { earthLeakageDevice: device, earthLeakageUpstream: before } = plan.supply
  if (device === undefined) return lacks('supply.earthLeakageDevice')
  const path = 'supply.earthLeakageDevice' as const
  const name = earthLeakageDevices[device]
  if (device === 'none')
    return {
      severity: 'note',
      about: 'none',
      title: message`No earth-leakage device`,
      says: message`Whether there must be one is for the code where you live; for a drive it would be ${wantedWords(branchCircuit.earthLeakageType)}.`,
      why: 'The protective earth alone then carries a fault away: prove it before first power.',
      path,
    }
  if (device === 'gfci')
    return {
      severity: 'watch',
      about: 'gfci',
      title: message`A 5 mA device before a drive`,
      says: message`The filter of a drive leaks about as much by itself, and it trips for nothing.`,
      why: 'Where the code asks for it, it stays: it is never bridged. Where the code lets it, the drive is wired in on a circuit of its own.',
      path,
    }
  const wanted = branchCircuit.earthLeakageType
  if (device === 'ac')
    return {
      severity: 'stop',
      about: 'ac',
      title: message`The earth-leakage device does not see a drive`,
      says: message`${name} sees only plain alternating current; a drive leaks high and pulsing currents${wanted === 'B' ? ', and smooth direct current, which blinds it' : ''}.`,
      why: 'It looks as if it protected, and does not. An electrician changes it for the right type.',
      path,
    }
  if (wanted === undefined) return lacks('supply.topology', 'supply.frequencyHz', 'drive.ratedInputA')
  if (before !== undefined && before !== 'none' && device === 'b' && rank[before] < rank.b)
    return {
      severity: 'stop',
      about: 'upstream',
      title: message`A type B behind a device that it blinds`,
      says: message`${earthLeakageDevices[before]} stands before it, and the same current passes both: smooth direct current stops it from tripping, for everything behind it.`,
      why: 'All that hangs on the first device loses its protection. The type B stands beside it, on a way of its own.',
      path: 'supply.earthLeakageUpstream',
    }
  if (rank[device] >= rank[wanted === 'B' ? 'b' : 'f'])
    return good(message`${name}, where ${wantedWords(wanted)} is wanted.`)
  const blind = wanted === 'B'
  return {
    severity: blind ? 'stop' : 'watch',
    about: blind ? 'blind' : 'type-a',
    title: blind
      ? message`The earth-leakage device is blinded by this drive`
      : message`A type A before a one-phase drive`,
    says: blind
      ? message`${name} stands there; on these conductors a drive may leak smooth direct current, and ${wantedWords('B')} is wanted.`
      : message`${name} stands there; ${wantedWords('F')} is wanted unless the manual says that A is enough.`,
    why: blind
      ? 'Direct current of a few milliamps holds its core, and it no longer trips for anybody.'
      : 'It trips for nothing, or late. The manual rules.',
    path,
  }
}

const wantedWords = (type: 'F' | 'B' | undefined): string => (type === undefined ? 'type F or B' : `type ${type}`)

/** Whether the links inside the drive suit how the supply stands to earth. */
function earthing({ plan, supply }: Facts): Answer {
  const { earthing: how, topology } = plan.supply
  // Both belong together and are asked at once.
  if (how === undefined)
    return plan.drive.filterLink === undefined ? lacks('supply.earthing', 'drive.filterLink') : lacks('supply.earthing')
  const path = 'supply.earthing' as const
  if (how === 'neutral-as-earth')
    return {
      severity: 'stop',
      about: 'neutral',
      title: message`Neutral is used as earth`,
      says: message`A plug or outlet without an earth of its own ties the machine to the neutral.`,
      why: 'If the neutral comes loose the whole machine is live. It wants a conductor for earth alone before anything is switched on.',
      path,
    }
  const feedV = numberOf(supply.feedV)
  if (how === 'high-leg' && topology === undefined) return lacks('supply.topology')
  if (
    how === 'high-leg' &&
    topology === 'line-neutral' &&
    feedV !== undefined &&
    feedV > HIGH_LEG.fromV &&
    feedV < HIGH_LEG.toV
  )
    return {
      severity: 'stop',
      about: 'high-leg',
      title: message`The high leg never feeds line to neutral`,
      says: message`${volts(feedV)} to neutral is the high leg; nothing of one phase stands between it and neutral.`,
      why: 'Only between lines does this supply give what it says. Take one of the other legs, or two lines.',
      path,
    }
  const link = plan.drive.filterLink
  if (link === undefined) return lacks('drive.filterLink')
  if (link === 'none') return good(message`${earthings[how]}; the drive has no link to earth.`)
  const shouldBeIn = how === 'earthed'
  if ((link === 'in') === shouldBeIn) return good(message`${earthings[how]}; the filter’s link is ${link}.`)
  return shouldBeIn
    ? {
        severity: 'watch',
        about: 'out',
        title: message`The filter’s link is out on an earthed supply`,
        says: message`With its neutral earthed the link belongs in; out, filter and varistors do nothing.`,
        why: 'The drive disturbs everything near it, and a surge finds no way but through it. The manual shows the link; power away, waited, measured.',
        remedies: [{ label: message`The link is in`, patch: [set('drive.filterLink', 'in')] }],
        path: 'drive.filterLink',
      }
    : {
        severity: 'stop',
        about: 'in',
        title: message`The filter’s link is in on a supply that is not earthed at its neutral`,
        says: message`${earthings[how]}: capacitors and varistors to earth then stand at more volts than they are made for.`,
        why: 'They fail, loudly. The manual shows the link; power away, waited, measured.',
        remedies: [{ label: message`The link is out`, patch: [set('drive.filterLink', 'out')] }],
        path: 'drive.filterLink',
      }
}

/** What protects people from a fault to earth. */
export const earthFindings = [
  judgement(
    {
      id: 'supply.earth-leakage',
      asks: 'Earth-leakage device',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    earthLeakage,
  ),

  judgement(
    {
      id: 'supply.standing-leakage',
      asks: 'Standing leakage against what the device trips at',
      stage: 'drive',
      chainLink: 'wall',
      by: 'in-use',
    },
    ({ plan, motorCable: leads }): Answer => {
      const { earthLeakageDevice: device, earthLeakageTripsA: trips } = plan.supply
      if (device === 'none') return doesNotApply('There is no earth-leakage device')
      const known = need(leads.leakageA, typed('supply.earthLeakageTripsA', trips))
      if (isUnjudged(known)) return known
      const [leakageA, tripsA] = known
      return leakageA <= STANDING * tripsA
        ? good(message`${amps(leakageA)} all the time, of ${amps(tripsA)}.`, { figures: ['drive.leakageA'] })
        : {
            severity: 'watch',
            title: message`The earth-leakage device will trip for nothing`,
            says: message`${amps(leakageA)} leak all the time behind it; over ${amps(STANDING * tripsA)}, three tenths of what it trips at, a start or a surge trips it.`,
            why: 'A device that trips for nothing is soon bridged by somebody. Fewer drives behind one, a filter of low leakage, or a circuit of its own.',
            figures: ['drive.leakageA'],
            path: 'supply.earthLeakageTripsA',
          }
    },
  ),

  judgement(
    {
      id: 'supply.earthing',
      asks: 'Supply’s earthing and the drive’s filter',
      stage: 'drive',
      chainLink: 'wall',
      by: 'first-power',
      danger: true,
    },
    earthing,
  ),

  judgement(
    {
      id: 'checks.earth',
      asks: 'Earth of machine, motor and spindle',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    ({ plan }): Answer =>
      plan.checks.earthProved === undefined
        ? lacks('checks.earthProved')
        : plan.checks.earthProved
          ? good(message`Proved from the drive’s earth to machine, motor and spindle.`)
          : {
              severity: 'stop',
              title: message`The earth is not proved`,
              says: message`From the drive’s earth to the machine, the motor’s frame and the spindle’s body there must be less than 0.1 Ω.`,
              why: 'A winding that fails to the frame makes the whole machine live, and no breaker moves.',
              path: 'checks.earthProved',
            },
  ),

  judgement(
    {
      id: 'motor.cable',
      asks: 'Leads from drive to motor',
      stage: 'drive',
      chainLink: 'motor',
      by: 'first-spin',
      danger: true,
    },
    ({ plan, motor, settings, branchCircuit }): Answer => {
      const known = need(
        typed('installation.motorCableMm2', plan.installation.motorCableMm2),
        motor.plateCurrentA,
        settings.overloadA,
        typed('supply.frequencyHz', branchCircuit.region),
      )
      if (isUnjudged(known)) return known
      const [areaMm2, motorA, overloadA, region] = known
      const made = motorCable.run({ areaMm2, motorA, overloadA, region })
      const [carriesA, neededA] = made.ok ? [made.value.ampacityA, made.value.neededA] : [0, overloadA]
      return made.ok && made.value.permitted
        ? good(message`They carry ${amps(carriesA)} at 40 °C; ${amps(neededA)} are let through.`)
        : {
            severity: 'stop',
            title: message`The leads to the motor are too light`,
            says: made.ok
              ? message`They carry ${amps(carriesA)} at 40 °C; overload and motor let ${amps(neededA)} through.`
              : message`They are lighter than any motor cable of the tables; ${amps(neededA)} are let through.`,
            why: 'Nothing else protects them: the drive’s overload is all there is.',
            path: 'installation.motorCableMm2',
          }
    },
  ),

  judgement(
    {
      id: 'drive.laid',
      asks: 'Drive that lay without power',
      stage: 'drive',
      chainLink: 'drive',
      by: 'first-power',
      danger: true,
    },
    ({ plan }): Answer => {
      switch (plan.drive.laid) {
        case undefined:
          return lacks('drive.laid')
        case 'used':
          return good(message`It was in use, or is new.`)
        case 'reformed':
          return good(message`Its capacitors were reformed.`)
        case 'a-year':
          return {
            severity: 'stop',
            toDo: true,
            title: message`Bus capacitors to be reformed before first power`,
            says: message`It lay a year or more: brought up slowly, by the steps of its manual.`,
            why: 'At full volts their dried-out film lets go, with a bang.',
            remedies: [{ label: message`They were reformed, by the manual`, patch: [set('drive.laid', 'reformed')] }],
            path: 'drive.laid',
          }
      }
    },
  ),
]
