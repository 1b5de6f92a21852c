import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amount, hertz, message } from '../quantities'
import { doesNotApply, good, isUnjudged, lacks, need, waitsFor } from './answer'
import { judgement, type Answer } from './finding'
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
          if (v === undefined) return { ...waitsFor(speedMPerS), about }
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
      const untold = facts.plan.survey.positions.flatMap(({ id, transmission }, p) =>
        transmission.flatMap(({ kind }, s): Answer[] =>
          kind === undefined ? [{ ...lacks(`survey.positions.${p}.transmission.${s}.kind`), about: `${id}-${s}` }] : [],
        ),
      )
      const all = [...answers, ...untold]
      return all.length > 0 ? all : doesNotApply('No belt with a rim drives the spindle')
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
