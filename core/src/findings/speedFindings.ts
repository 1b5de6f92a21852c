import { numberOf } from '../facts/figure'
import type { Facts } from '../facts/facts'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { loadedSlip } from '../facts/motor/motorFacts'
import { speedAgainst, spindleLimits, type SpindleLimit } from '../facts/spindle/spindleLimits'
import { set } from '../plan'
import { amount, hertz, rpm, message } from '../quantities'
import { hertzAtRpm, rpmAtHertz } from '../motor'
import { wheelSpeed } from '../workholding'
import { spindleAt } from '../facts/spindle/spindleAt'
import { judgement, type Remedy, type Verdict } from './finding'
import { highestHertz } from './hertzPatch'

/** Belt speeds at which iron pulleys are watched and refused, m/s. */
const BELT_WATCH = 30
const BELT_STOP = 33

/** Hertz at which an unloaded spindle reaches a speed on a position. */
function hertzFor({ motor }: Facts, position: PositionFacts, spindleRpm: number): number | undefined {
  const [poles, ratio] = [numberOf(motor.poles), numberOf(position.speedRatio)]
  return poles === undefined || ratio === undefined || ratio === 0 ? undefined : hertzAtRpm(spindleRpm / ratio, poles)
}

/** Whole hertz at which the spindle stays inside a limit. */
function hertzWithin(facts: Facts, position: PositionFacts, limit: SpindleLimit): number | undefined {
  const hz = hertzFor(facts, position, limit.rpm)
  return hz === undefined
    ? undefined
    : Math.floor(hz / (limit.marked ? 1 : 1 - loadedSlip(facts.plan, facts.motor)) + 1e-9)
}

/** Positions the plan uses: the main one, those of jobs, or all while none is chosen. */
function used({ speeds }: Facts): PositionFacts[] {
  const chosen = speeds.positions.filter((p) => p === speeds.main || speeds.jobs.some((j) => j.on === p))
  return chosen.length > 0 ? chosen : speeds.positions
}

const fastest = (positions: readonly PositionFacts[]): PositionFacts | undefined =>
  positions.reduce<PositionFacts | undefined>(
    (best, p) => ((numberOf(p.unloadedTopRpm) ?? -1) > (numberOf(best?.unloadedTopRpm) ?? -1) ? p : best),
    undefined,
  )

export const speedFindings = [
  judgement('spindle.over-limit', 'speeds', 'spindle', (facts) => {
    const position = fastest(used(facts))
    const unloaded = numberOf(position?.unloadedTopRpm)
    if (!position || unloaded === undefined) return undefined
    return spindleLimits(facts.plan).flatMap((limit, i): Verdict[] => {
      const top = speedAgainst(limit, unloaded, loadedSlip(facts.plan, facts.motor))
      if (top <= limit.rpm * 1.001 || limit.holder?.kind === 'wheel') return []
      const hz = hertzWithin(facts, position, limit)
      const spindleItself = limit.holder === undefined
      const unmarked = message` carries no mark, so the machine’s original ${rpm(limit.rpm)} is its ceiling`
      return [
        {
          severity: spindleItself ? 'watch' : 'stop',
          about: limit.holder?.id ?? `spindle-${i}`,
          title: spindleItself ? message`Faster than the spindle was built for` : message`Too fast for ${limit.what}`,
          says: message`On ${position.name} the spindle reaches ${rpm(top)}${limit.marked ? ' unloaded' : ''}; ${spindleItself ? message`it was built for ${rpm(limit.rpm)}` : limit.marked ? message`${limit.what} is marked ${rpm(limit.rpm)}` : message`${limit.what}${unmarked}`}.`,
          why: spindleItself
            ? 'Its bearings and lubrication were made for that. Warm bearings and a growing whine are the warning.'
            : 'A chuck that is turned too fast lets go of its jaws or the work.',
          remedies:
            hz === undefined
              ? []
              : [{ label: message`Lower the highest hertz to ${hertz(hz)}`, patch: highestHertz(facts.plan, hz) }],
          figures: [`position.${position.position.id}.unloadedTopRpm`],
          path: 'settings.chosen.maximumHz',
        },
      ]
    })
  }),

  judgement('spindle.wheel-over-mark', 'speeds', 'spindle', (facts) => {
    const position = fastest(used(facts))
    const unloaded = numberOf(position?.unloadedTopRpm)
    if (!position || unloaded === undefined || unloaded <= 0) return undefined
    return facts.plan.survey.holders.flatMap((holder, index): Verdict[] => {
      if (holder.kind !== 'wheel') return []
      const limit = spindleLimits(facts.plan).find((l) => l.index === index)
      const top = limit ? speedAgainst(limit, unloaded, loadedSlip(facts.plan, facts.motor)) : unloaded
      const name = holder.name?.trim() || 'The wheel'
      const overRpm = holder.markedRpm !== undefined && top > holder.markedRpm
      const rim =
        holder.diameterMm === undefined
          ? undefined
          : wheelSpeed.run({
              diameterMm: holder.diameterMm,
              speedRpm: top,
              markedMPerS: holder.markedMPerS,
              originalSpeedRpm: facts.plan.survey.originalTopRpm,
            })
      const unmarked = holder.markedMPerS === undefined && holder.markedRpm === undefined
      const badRim = rim?.ok === true && !rim.value.permitted && (holder.markedMPerS !== undefined || unmarked)
      if (!overRpm && !badRim) return []
      const hz = limit === undefined ? undefined : hertzWithin(facts, position, limit)
      const mark = unmarked
        ? message`it carries no marking${facts.plan.survey.originalTopRpm === undefined ? ', and the machine’s original speed is not known' : message`, so the original ${rpm(facts.plan.survey.originalTopRpm)} is its ceiling`}`
        : holder.markedMPerS !== undefined
          ? message`it is marked ${amount('beltSpeed', holder.markedMPerS)}`
          : message`it is marked ${rpm(holder.markedRpm ?? 0)}`
      return [
        {
          severity: 'stop',
          about: holder.id,
          title: message`${name} would run over its marked speed`,
          says: message`At ${rpm(top)}${rim?.ok === true ? message` its rim runs ${amount('beltSpeed', rim.value.speedMPerS)}` : ''}; ${mark}.`,
          why: 'An over-sped wheel bursts. Nothing but its own marking says how fast it may turn.',
          remedies:
            hz === undefined
              ? []
              : [{ label: message`Lower the highest hertz to ${hertz(hz)}`, patch: highestHertz(facts.plan, hz) }],
          figures: [`position.${position.position.id}.unloadedTopRpm`],
          path: 'settings.chosen.maximumHz',
        },
      ]
    })
  }),

  judgement('belts.over-speed', 'speeds', 'belts', (facts) =>
    facts.speeds.positions.flatMap((position) =>
      position.belts.flatMap(({ stageIndex, speedMPerS }): Verdict[] => {
        const v = numberOf(speedMPerS)
        const maxHz = numberOf(facts.settings.maximumHz)
        if (v === undefined || v <= BELT_WATCH) return []
        const over = v > BELT_STOP
        return [
          {
            severity: over ? 'stop' : 'watch',
            about: `${position.position.id}-${stageIndex}`,
            title: message`The belt on ${position.name} runs ${over ? 'too fast' : 'near its limit'}`,
            says: message`Belt ${stageIndex + 1} runs ${amount('beltSpeed', v)} at the highest hertz; iron pulleys are watched over ${amount('beltSpeed', BELT_WATCH)} and refused over ${amount('beltSpeed', BELT_STOP)}.`,
            why: 'Grey-iron pulleys burst, and a belt lifts out of its grooves, at speed.',
            remedies:
              over && maxHz !== undefined
                ? [
                    {
                      label: message`Lower the highest hertz to ${hertz(Math.floor((maxHz * BELT_STOP) / v))}`,
                      patch: highestHertz(facts.plan, Math.floor((maxHz * BELT_STOP) / v)),
                    },
                  ]
                : [],
            figures: [speedMPerS.id],
            path: 'settings.chosen.maximumHz',
          },
        ]
      }),
    ),
  ),

  judgement('spindle.job-out-of-reach', 'speeds', 'spindle', (facts) =>
    facts.speeds.jobs.flatMap((job): Verdict[] => {
      const wanted = numberOf(job.wantedRpm)
      if (wanted === undefined || !job.on || (job.reach !== 'below' && job.reach !== 'above')) return []
      const below = job.reach === 'below'
      const edge = numberOf(below ? job.on.bottomRpm : job.on.topRpm) ?? 0
      const others = job.reachedOn
      const use = others.map((p): Remedy => ({
        label: message`Use ${p.name} for it`,
        patch: [set(`survey.jobs.${job.index}.positionId`, p.position.id)],
      }))
      const [first] = others
      return [
        {
          severity: 'watch',
          about: job.job.id,
          title: message`${job.name} at ${rpm(wanted)} is out of reach on ${job.on.name}`,
          says: message`${below ? 'Its slowest is' : 'Its fastest is'} ${rpm(edge)}. ${first ? message`${first.name} gives ${rpm(numberOf(first.bottomRpm) ?? 0)} to ${rpm(numberOf(first.topRpm) ?? 0)}.` : 'No other belt position reaches it.'}`,
          why: below
            ? 'Too fast for the work burns the tool, or is not safe to do.'
            : 'Too slow for the work leaves a poor finish and takes long.',
          remedies: [...use.slice(0, 2), ...(below ? [] : raise(facts, job.on, wanted))],
          figures: [`position.${job.on.position.id}.${below ? 'bottomRpm' : 'topRpm'}`, job.wantedRpm.id],
          path: `survey.jobs.${job.index}.positionId`,
        },
      ]
    }),
  ),

  judgement('spindle.job-too-heavy', 'speeds', 'spindle', (facts) => {
    const { torque, speeds } = facts
    if (!torque) return undefined
    return speeds.jobs.flatMap((job): Verdict[] => {
      const [wanted, asked] = [numberOf(job.wantedRpm), numberOf(job.torqueNm)]
      if (wanted === undefined || asked === undefined || !job.on || job.reach !== 'reached') return []
      const on = (position: PositionFacts) => {
        const [speedRatio, efficiency] = [numberOf(position.speedRatio), numberOf(position.efficiency)]
        return speedRatio === undefined || efficiency === undefined
          ? undefined
          : spindleAt(torque.curve, { speedRatio, efficiency }, wanted, asked)
      }
      const has = on(job.on)
      if (!has || (has.continuousNm !== undefined && has.continuousNm >= asked)) return []
      const moments = has.peakNm >= asked
      if (moments && has.continuousNm === undefined) return []
      const stronger = job.reachedOn.filter((p) => p !== job.on && (on(p)?.continuousNm ?? 0) >= asked)
      return [
        {
          severity: moments ? 'note' : 'watch',
          about: job.job.id,
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
        },
      ]
    })
  }),

  judgement('spindle.knob-ends-early', 'speeds', 'spindle', (facts) => {
    const [knobHz, maxHz] = [numberOf(facts.speeds.knobTopHz), numberOf(facts.settings.maximumHz)]
    if (knobHz === undefined || maxHz === undefined || knobHz >= maxHz * 0.99) return undefined
    const missed = facts.speeds.jobs.filter((j) => {
      const wanted = numberOf(j.wantedRpm)
      const needs = wanted !== undefined && j.on ? hertzFor(facts, j.on, wanted) : undefined
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
      remedies: [{ label: message`Scale the knob to ${hertz(maxHz)}`, patch: [set('controls.knobTopHz', undefined)] }],
      figures: ['controls.topHz'],
      path: 'controls.knobTopHz',
    }
  }),

  judgement('spindle.lowest-over-highest', 'speeds', 'drive', ({ settings }) => {
    const [low, high] = [numberOf(settings.minimumHz), numberOf(settings.maximumHz)]
    return low === undefined || high === undefined || low < high
      ? undefined
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
  }),
]

/** Offers the highest hertz a job needs, where motor and drive allow it. */
function raise(facts: Facts, position: PositionFacts, wantedRpm: number): Remedy[] {
  const [hz, slip, safe, poles] = [
    hertzFor(facts, position, wantedRpm),
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
