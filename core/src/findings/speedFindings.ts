import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { spindleLimits } from '../facts/spindle/spindleLimits'
import { set } from '../plan'
import { amount, hertz, rpm, message } from '../quantities'
import { rpmAtHertz } from '../motor'
import { spindleAt } from '../facts/spindle/spindleAt'
import { doesNotApply, ended, good, isUnjudged, lacks, need, type CannotBeJudged } from './answer'
import { judgement, type Answer, type Remedy } from './finding'
import { highestHertz } from './hertzPatch'
import { hertzAt, isUsed } from './positions'

/** Belt speeds at which iron pulleys are watched and refused, m/s. */
const BELT_WATCH = 30
const BELT_STOP = 33

export const speedFindings = [
  judgement(
    { id: 'belts.over-speed', asks: 'Belt speed', stage: 'speeds', chainLink: 'belts', by: 'on-machine', danger: true },
    (facts) => {
      if (facts.speeds.positions.length === 0) return lacks('survey.positions')
      const answers = facts.speeds.positions.flatMap((position) =>
        position.belts.map(({ stageIndex, speedMPerS }): Answer => {
          const about = `${position.position.id}-${stageIndex}`
          const v = numberOf(speedMPerS)
          const maxHz = numberOf(facts.settings.maximumHz)
          if (v === undefined) return { ...(need(speedMPerS) as CannotBeJudged), about }
          if (v <= BELT_WATCH)
            return good(
              message`On ${position.name} ${amount('beltSpeed', v)}, of ${amount('beltSpeed', BELT_WATCH)}.`,
              { about, figures: [speedMPerS.id] },
            )
          const over = v > BELT_STOP
          const used = isUsed(facts, position)
          const safeHz = maxHz === undefined ? undefined : Math.floor((maxHz * BELT_STOP) / v)
          return {
            severity: over && used ? 'stop' : 'watch',
            about,
            title: message`The belt on ${position.name} runs ${over ? 'too fast' : 'near its limit'}`,
            says: message`Belt ${stageIndex + 1} runs ${amount('beltSpeed', v)} at the highest hertz; iron pulleys are watched over ${amount('beltSpeed', BELT_WATCH)} and refused over ${amount('beltSpeed', BELT_STOP)}.${used || safeHz === undefined ? '' : message` No job uses it; it is safe to ${hertz(safeHz)}.`}`,
            why: 'Grey-iron pulleys burst, and a belt lifts out of its grooves, at speed.',
            remedies:
              over && safeHz !== undefined && safeHz >= 1
                ? [
                    {
                      label: message`Lower the highest hertz to ${hertz(safeHz)}`,
                      patch: highestHertz(facts.plan, safeHz),
                    },
                  ]
                : [],
            figures: [speedMPerS.id],
            path: 'settings.chosen.maximumHz',
          }
        }),
      )
      return answers.length > 0 ? answers : doesNotApply('No belt with a rim drives the spindle')
    },
  ),

  judgement(
    {
      id: 'spindle.job-out-of-reach',
      asks: 'Speeds that the jobs want',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'buying',
    },
    (facts) => {
      if (facts.speeds.jobs.length === 0) return lacks('survey.jobs')
      return facts.speeds.jobs.map((job): Answer => {
        const about = job.job.id
        const wanted = numberOf(job.wantedRpm)
        if (wanted === undefined) return { ...(need(job.wantedRpm) as CannotBeJudged), about }
        if (!job.on) return { ...lacks('survey.mainPositionId'), about }
        if (job.reach === 'unknown') return { ...(need(job.on.bottomRpm, job.on.topRpm) as CannotBeJudged), about }
        if (job.reach === 'reached')
          return good(message`${job.name} at ${rpm(wanted)} is within reach on ${job.on.name}.`, {
            about,
            figures: [job.wantedRpm.id],
          })
        const below = job.reach === 'below'
        const edge = numberOf(below ? job.on.bottomRpm : job.on.topRpm) ?? 0
        const others = job.reachedOn
        const use = others.map((p): Remedy => ({
          label: message`Use ${p.name} for it`,
          patch: [set(`survey.jobs.${job.index}.positionId`, p.position.id)],
        }))
        const [first] = others
        return {
          severity: 'watch',
          about,
          title: message`${job.name} at ${rpm(wanted)} is out of reach on ${job.on.name}`,
          says: message`${below ? 'Its slowest is' : 'Its fastest is'} ${rpm(edge)}. ${first ? message`${first.name} gives ${rpm(numberOf(first.bottomRpm) ?? 0)} to ${rpm(numberOf(first.topRpm) ?? 0)}.` : 'No other belt position reaches it.'}`,
          why: below
            ? 'Too fast for the work burns the tool, or is not safe to do.'
            : 'Too slow for the work leaves a poor finish and takes long.',
          remedies: [...use.slice(0, 2), ...(below ? [] : raise(facts, job.on, wanted))],
          figures: [`position.${job.on.position.id}.${below ? 'bottomRpm' : 'topRpm'}`, job.wantedRpm.id],
          path: `survey.jobs.${job.index}.positionId`,
        }
      })
    },
  ),

  judgement(
    {
      id: 'spindle.job-too-heavy',
      asks: 'Torque that the jobs want',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'buying',
    },
    (facts) => {
      const { torque, speeds } = facts
      if (speeds.jobs.length === 0) return lacks('survey.jobs')
      return speeds.jobs.map((job): Answer => {
        const about = job.job.id
        if (!job.on) return { ...lacks('survey.mainPositionId'), about }
        if (job.reach === 'below' || job.reach === 'above')
          return doesNotApply('Its speed is out of reach already', about)
        const asks = job.torqueNm
          ? need(job.wantedRpm, job.torqueNm)
          : lacks(`survey.jobs.${job.index}.torqueNm`, `survey.jobs.${job.index}.material`)
        if (isUnjudged(asks)) return { ...asks, about }
        const [wanted, asked] = asks
        if (!torque) return { ...lackOfTorque(facts), about }
        const on = (position: PositionFacts) => {
          const [speedRatio, efficiency] = [numberOf(position.speedRatio), numberOf(position.efficiency)]
          return speedRatio === undefined || efficiency === undefined
            ? undefined
            : spindleAt(torque.curve, { speedRatio, efficiency }, wanted, asked)
        }
        const has = on(job.on)
        if (!has) return { ...(need(job.on.speedRatio, job.on.efficiency) as CannotBeJudged), about }
        const moments = has.peakNm >= asked
        if (moments && has.continuousNm === undefined) return { ...lacks('motor.cooling'), about }
        if (has.continuousNm !== undefined && has.continuousNm >= asked)
          return good(
            message`${job.name} asks ${amount('torque', asked)}; on ${job.on.name} the spindle has ${amount('torque', has.continuousNm)} all day there.`,
            { about, figures: job.torqueNm ? [job.torqueNm.id] : [] },
          )
        const stronger = job.reachedOn.filter((p) => p !== job.on && (on(p)?.continuousNm ?? 0) >= asked)
        return {
          severity: moments ? 'note' : 'watch',
          about,
          title: moments
            ? message`${job.name} is for moments only on ${job.on.name}`
            : message`${job.name} is too heavy on ${job.on.name}`,
          says: message`It asks ${amount('torque', asked)} at ${rpm(wanted)}; the spindle has ${has.continuousNm === undefined ? 'an amount not known' : amount('torque', has.continuousNm)} all day there, ${amount('torque', has.peakNm)} for moments.`,
          why: moments
            ? 'Held on, the motor runs hot. Short cuts with rests are good.'
            : 'The motor stalls in the cut, and a stalled cut breaks tools.',
          remedies: stronger.slice(0, 2).map((p): Remedy => ({
            label: message`Use ${p.name} for it`,
            patch: [set(`survey.jobs.${job.index}.positionId`, p.position.id)],
          })),
          figures: [...(job.torqueNm ? [job.torqueNm.id] : []), job.wantedRpm.id],
          path: `survey.jobs.${job.index}.positionId`,
        }
      })
    },
  ),

  judgement(
    { id: 'spindle.knob-ends-early', asks: 'Top of the knob', stage: 'speeds', chainLink: 'spindle', by: 'on-machine' },
    (facts) => {
      const known = need(facts.speeds.knobTopHz, facts.settings.maximumHz)
      if (isUnjudged(known)) return known
      const [knobHz, maxHz] = known
      if (knobHz >= maxHz * 0.99)
        return good(message`${hertz(knobHz)} of ${hertz(maxHz)}.`, { figures: ['controls.topHz'] })
      const missed = facts.speeds.jobs.filter((j) => {
        const wanted = numberOf(j.wantedRpm)
        const needs = wanted !== undefined && j.on ? hertzAt(facts, j.on, wanted) : undefined
        return needs !== undefined && needs > knobHz && needs <= maxHz
      })
      return {
        severity: missed.length > 0 ? 'watch' : 'note',
        title:
          missed.length > 0
            ? message`The knob ends below the highest job`
            : message`The knob ends before the highest hertz`,
        says: message`At the top of the knob the drive gives ${hertz(knobHz)}; the highest hertz is ${hertz(maxHz)}.${missed.length > 0 ? ` Missed: ${missed.map((j) => j.name).join(', ')}.` : ''}`,
        why: 'The drive scales the knob by a setting of its own. Until that is raised, everything runs slower than asked.',
        remedies: [
          { label: message`Scale the knob to ${hertz(maxHz)}`, patch: [set('controls.knobTopHz', undefined)] },
        ],
        figures: ['controls.topHz'],
        path: 'controls.knobTopHz',
      }
    },
  ),

  judgement(
    {
      id: 'spindle.lowest-over-highest',
      asks: 'Lowest hertz under highest',
      stage: 'speeds',
      chainLink: 'drive',
      by: 'first-spin',
    },
    ({ settings }) => {
      const known = need(settings.minimumHz, settings.maximumHz)
      if (isUnjudged(known)) return known
      const [low, high] = known
      return low < high
        ? good(message`${hertz(low)} to ${hertz(high)}.`)
        : {
            severity: 'stop',
            title: message`Lowest hertz over highest`,
            says: message`Lowest is ${hertz(low)}, highest ${hertz(high)}.`,
            why: 'The drive refuses it, or the knob does nothing.',
            remedies: [
              {
                label: message`Take both from the plan again`,
                patch: [
                  set('settings.chosen.minimumHz', undefined),
                  set('settings.chosen.maximumHz', undefined),
                  set('settings.inDrive.minimumHz', undefined),
                  set('settings.inDrive.maximumHz', undefined),
                ],
              },
            ],
            path: 'settings.chosen.minimumHz',
          }
    },
  ),
]

/** What the motor's torque waits for. */
function lackOfTorque({ motor, physics }: Facts): CannotBeJudged {
  if (motor.suitable === false) return ended('Of a motor that a drive cannot run the torque is not told')
  const known = need(motor.torqueNm, motor.frequencyHz, motor.poles, physics.breakdownRatio)
  return isUnjudged(known) ? known : ended('The plate does not tell its torque')
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
