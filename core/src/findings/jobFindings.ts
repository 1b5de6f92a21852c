import { fluxLimits } from '../data/fluxLimits'
import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import { cutNeeds } from '../facts/spindle/jobCut'
import type { JobVerdicts } from '../facts/spindle/jobVerdicts'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { lowestSpindleLimit, spindleLimits } from '../facts/spindle/spindleLimits'
import { rpmAtHertz } from '../motor'
import { set } from '../plan'
import { amount, hertz, rpm, message } from '../quantities'
import { doesNotApply, ended, good, isUnjudged, lacks, need, waitsFor } from './answer'
import { findingId, judgement, type Answer, type Remedy } from './finding'
import { highestHertz } from './hertzPatch'
import { lackOfTorque } from './lackOfTorque'
import { hertzAt } from './positions'

/** Whether the speed that a job wants is there on the position it is done on. */
function reach(facts: Facts, job: JobVerdicts): Answer {
  const { on, here, name } = job
  const about = job.job.id
  const wanted = numberOf(job.wantedRpm)
  if (wanted === undefined) return { ...waitsFor(job.wantedRpm), about }
  if (!on) return { ...lacks('survey.mainPositionId'), about }
  if (!here) return { ...waitsFor(on.bottomRpm, on.topRpm, on.speedRatio, on.efficiency), about }
  const others = job.doneOn.slice(0, 2).map((p): Remedy => ({
    label: message`Use ${p.name} for it`,
    patch: [set(`survey.jobs.${job.index}.positionId`, p.position.id)],
  }))
  const path = `survey.jobs.${job.index}.positionId` as const
  if (here.verdict === 'over-limit') {
    const limit = lowestSpindleLimit(facts.plan)
    return {
      severity: 'watch',
      about,
      title: message`${name} at ${rpm(wanted)} is over what spins on ${on.name}`,
      says: message`${limit?.what ?? 'What spins'} has ${rpm(limit?.rpm ?? 0)}; slower than ${rpm(wanted * job.window.slower)} the work is not good.`,
      why: 'The knob goes there, and what spins must not. Another chuck or cutter, or another way to do it.',
      remedies: others,
      figures: [job.wantedRpm.id],
      path,
    }
  }
  if (here.verdict !== 'too-fast' && here.verdict !== 'too-slow')
    return good(message`${name} at ${rpm(here.rpm ?? wanted)} is within reach on ${on.name}.`, {
      about,
      figures: [job.wantedRpm.id],
    })
  const below = here.verdict === 'too-fast'
  const edge = numberOf(below ? on.bottomRpm : on.topRpm) ?? 0
  const [first] = job.doneOn
  return {
    severity: 'watch',
    about,
    title: message`${name} at ${rpm(wanted)} is out of reach on ${on.name}`,
    says: message`${below ? 'Its slowest is' : 'Its fastest is'} ${rpm(edge)}. ${first ? message`${first.name} gives ${rpm(numberOf(first.bottomRpm) ?? 0)} to ${rpm(numberOf(first.topRpm) ?? 0)}.` : 'No other belt position does it.'}`,
    why: below
      ? 'Too fast for the work burns the tool, or is not safe to do.'
      : 'Too slow for the work leaves a poor finish and takes long.',
    remedies: [...others, ...(below ? [] : raise(facts, on, wanted))],
    figures: [`position.${on.position.id}.${below ? 'bottomRpm' : 'topRpm'}`, job.wantedRpm.id],
    path,
  }
}

const heavyWords = {
  warm: {
    severity: 'note',
    title: 'is for moments only',
    why: 'Held on, the motor runs hot. Short cuts with rests are good.',
  },
  hot: {
    severity: 'watch',
    title: 'runs the motor hot',
    why: 'All day it cooks, slowly and without a trip. Say that it is for moments, take a lighter cut, or another position.',
  },
  'may-stall': {
    severity: 'watch',
    title: 'may stall',
    why: 'There is less than a third in hand over what it asks: a hard spot or a blunt edge stalls it.',
  },
  stalls: {
    severity: 'watch',
    title: 'is too heavy',
    why: 'The motor stalls in the cut, and a stalled cut breaks tools.',
  },
} as const satisfies Record<string, { severity: 'note' | 'watch'; title: string; why: string }>

/** What the torque of a job waits for; of work that no rule reckons nobody is asked what he cannot know. */
function lackOfCut({ job, index }: JobVerdicts): ReturnType<typeof lacks> {
  const needs = cutNeeds(job)
  return needs.every((key) => key === 'torqueNm')
    ? ended('No rule here reckons the torque of such work; type it where you know it')
    : lacks(...needs.map((key) => `survey.jobs.${index}.${key}` as const))
}

/** Whether the spindle has the torque that a job asks, for as long as it lasts. */
function heaviness(facts: Facts, job: JobVerdicts): Answer {
  const { on, here, name } = job
  const about = job.job.id
  if (!on) return { ...lacks('survey.mainPositionId'), about }
  const asks = job.torqueNm ? need(job.wantedRpm, job.torqueNm) : lackOfCut(job)
  if (isUnjudged(asks)) return { ...asks, about }
  if (!facts.torque) return { ...lackOfTorque(facts), about }
  if (!here) return { ...waitsFor(on.bottomRpm, on.topRpm, on.speedRatio, on.efficiency), about }
  const { verdict, marginContinuous, marginPeak = 0 } = here
  if (verdict === 'too-fast' || verdict === 'too-slow' || verdict === 'over-limit')
    return doesNotApply('Its speed is out of reach already', about)
  const [wanted, asked] = asks
  const at = rpm(here.rpm ?? wanted)
  const has = message`${marginContinuous === undefined ? 'an amount not known' : amount('torque', marginContinuous * asked)} all day there, ${amount('torque', marginPeak * asked)} for moments`
  const duty = job.job.duty ?? 'all-day'
  if (verdict === 'all-day' || (verdict === 'moments' && duty === 'moments'))
    return good(message`${name} asks ${amount('torque', asked)} at ${at}; on ${on.name} the spindle has ${has}.`, {
      about,
      figures: job.torqueNm ? [job.torqueNm.id] : [],
    })
  if (verdict === 'moments' && marginContinuous === undefined) return { ...lacks('motor.cooling'), about }
  const beyond = duty === 'minutes' ? ('warm' as const) : ('hot' as const)
  const words = heavyWords[verdict === 'moments' ? beyond : verdict === 'may-stall' ? 'may-stall' : 'stalls']
  const stronger = job.doneOn.filter((p) => {
    const there = job.verdicts[facts.speeds.positions.findIndex(({ index }) => index === p.index)]
    return p !== on && there?.verdict === 'all-day'
  })
  return {
    severity: words.severity,
    about,
    follows:
      (numberOf(facts.speeds.fluxFraction) ?? 1) < fluxLimits.weak ? findingId('motor.flux', 'under') : undefined,
    title: message`${name} ${words.title} on ${on.name}`,
    says: message`It asks ${amount('torque', asked)} at ${at}; the spindle has ${has}.`,
    why: words.why,
    remedies: stronger.slice(0, 2).map((p): Remedy => ({
      label: message`Use ${p.name} for it`,
      patch: [set(`survey.jobs.${job.index}.positionId`, p.position.id)],
    })),
    figures: [...(job.torqueNm ? [job.torqueNm.id] : []), job.wantedRpm.id],
    path: `survey.jobs.${job.index}.positionId`,
  }
}

/** Offers the highest hertz a job needs, where motor and drive allow it. */
function raise(facts: Facts, position: PositionFacts, wantedRpm: number): Remedy[] {
  const [hz, slip, safe, poles] = [
    hertzAt(facts, position, wantedRpm),
    numberOf(facts.motor.slip) ?? 0,
    numberOf(facts.motor.safeRpm),
    numberOf(facts.motor.poles),
  ]
  if (hz === undefined || safe === undefined || poles === undefined || poles === 2) return []
  const needed = Math.ceil(hz / (facts.plan.drive.control === 'vector' ? 1 : 1 - slip))
  const top = rpmAtHertz(needed, poles) * (numberOf(position.speedRatio) ?? 0)
  const allowed =
    rpmAtHertz(needed, poles) <= safe &&
    needed <= (facts.plan.drive.maximumHz ?? Infinity) &&
    spindleLimits(facts.plan).every((l) => top <= l.rpm)
  return allowed && facts.plan.controls.knobTopHz === undefined
    ? [{ label: message`Raise the highest hertz to ${hertz(needed)}`, patch: highestHertz(facts.plan, needed) }]
    : []
}

const ofEachJob =
  (ask: (facts: Facts, job: JobVerdicts) => Answer) =>
  (facts: Facts): Answer | Answer[] =>
    facts.jobs.length === 0 ? lacks('survey.jobs') : facts.jobs.map((job) => ask(facts, job))

/** Whether the jobs can be done on the positions they are done on. */
export const jobFindings = [
  judgement(
    {
      id: 'spindle.job-out-of-reach',
      asks: 'Speed that a job wants',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'buying',
    },
    ofEachJob(reach),
  ),

  judgement(
    {
      id: 'spindle.job-too-heavy',
      asks: 'Torque that a job wants',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'buying',
    },
    ofEachJob(heaviness),
  ),
]
