import { isShifted, ratioOfStages } from '../drivetrain'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { heartOf, namedPositions, set, type Patch, type TransmissionStage, type TransmissionStagePath } from '../plan'
import { message, rpm } from '../quantities'
import { doesNotApply, good, lacks, waitsFor } from './answer'
import { judgement, type Answer } from './finding'

interface ShiftedStage {
  stage: TransmissionStage
  path: TransmissionStagePath
  about: string
  /** Of the position it is in. */
  name: string
  position: number
  index: number
}

/** Asks of every stage that is shifted while it turns, where it is no belt on fixed pulleys. */
function ofEachShifted(
  { plan }: Facts,
  ask: (one: ShiftedStage) => Answer,
  only: (stage: TransmissionStage) => string | undefined = () => undefined,
): Answer | Answer[] {
  const { positions } = plan.survey
  const names = namedPositions(plan)
  if (positions.length === 0) return lacks('survey.positions')
  const all = positions.flatMap(({ id, transmission }, position) =>
    transmission.flatMap((stage, index): ShiftedStage[] =>
      isShifted(stage.kind)
        ? [
            {
              stage,
              path: `survey.positions.${position}.transmission.${index}`,
              about: `${id}-${index}`,
              name: names[position]?.name ?? '',
              position,
              index,
            },
          ]
        : [],
    ),
  )
  if (all.length === 0) return doesNotApply('Nothing here is shifted while it turns')
  return all.map((one) => {
    const why = only(one.stage)
    return why === undefined ? ask(one) : doesNotApply(why, one.about)
  })
}

const at = { stage: 'survey', chainLink: 'belts', by: 'on-machine' } as const

/** Units that were shifted for speed before a drive made it: kept as one ratio, and what wears or starves in them. */
export const variatorFindings = [
  judgement({ id: 'belts.shifted', asks: 'A variable unit beside a drive', ...at }, (facts) =>
    ofEachShifted(facts, ({ stage, path, about, name }) => {
      if (stage.shifting === undefined) return { ...lacks(`${path}.shifting`), about }
      if (stage.shifting === 'locked')
        return good(message`${name}: locked at one ratio, and the drive makes the speeds.`, { about })
      return {
        severity: 'watch',
        about,
        title: message`${name} can be shifted away from all that is told here`,
        says: message`Speeds, limits, torque and dial hold at the one ratio that is typed; shifted faster, the spindle passes its limit with the knob in the green.`,
        why: 'Two ways to change speed are one too many. Lock it where the jobs lie, marked, and let the drive do the rest; shifted standing it breaks.',
        remedies: [{ label: message`Lock it at this ratio`, patch: [set(`${path}.shifting`, 'locked')] }],
        path: `${path}.shifting`,
      }
    }),
  ),

  judgement({ id: 'belts.sheave-wear', asks: 'Belt of variable sheaves', ...at }, (facts) =>
    ofEachShifted(
      facts,
      ({ stage, path, about, name }) => {
        if (stage.wear === undefined) return { ...lacks(`${path}.wear`), about }
        if (stage.wear === 'good') return good(message`${name}: full width and even.`, { about })
        return {
          severity: 'watch',
          about,
          title: message`The wide belt of ${name} is worn`,
          says: message`A worn belt rides deeper in the sheave that is sprung and higher in the other: another ratio than the one typed, and it slips at the edges.`,
          why: 'Its sizes are old stock and cost more than they look; with a drive two fixed pulleys and a common belt do the same. Measure the ratio by rpm until then.',
          path: `${path}.wear`,
        }
      },
      ({ kind }) => (kind === 'variable-sheave' ? undefined : 'It has no belt'),
    ),
  ),

  judgement({ id: 'belts.variator-starved', asks: 'Slowest drive of a variator', danger: true, ...at }, (facts) =>
    ofEachShifted(
      facts,
      (one) => starved(facts, one),
      ({ kind }) => (kind === 'variator' ? undefined : 'Sheaves run at any speed'),
    ),
  ),
]

function starved(facts: Facts, { stage, path, about, name, position, index }: ShiftedStage): Answer {
  if (stage.leastRpm === undefined) return { ...lacks(`${path}.leastRpm`), about }
  const of = facts.speeds.positions[position]
  const before = ratioOfStages(facts.plan.survey.positions[position]?.transmission.slice(0, index) ?? [])
  if (!of || before === undefined) return { ...lacks('survey.positions'), about }
  const [bottom, ratio] = [numberOf(of.bottomRpm), numberOf(of.speedRatio)]
  if (bottom === undefined || ratio === undefined) return { ...waitsFor(of.bottomRpm, of.speedRatio), about }
  const driven = (bottom / ratio) * before
  if (driven >= stage.leastRpm * (1 - 1e-9))
    return good(message`${name}: driven at ${rpm(driven)} at least, of ${rpm(stage.leastRpm)} that it wants.`, {
      about,
    })
  const raise = raised(facts, stage.leastRpm / driven)
  return {
    severity: 'stop',
    about,
    title: message`The variator of ${name} is driven too slowly`,
    says: message`At the slow end of the knob it is driven at ${rpm(driven)}; it wants ${rpm(stage.leastRpm)}.`,
    why: 'Its pump or its rolling parts get no oil there, and it seizes. The spindle then stops at once, with what spins on it.',
    remedies: raise ? [{ label: message`Raise the slow end of the knob`, patch: raise }] : [],
    path: `${path}.leastRpm`,
  }
}

/** The lowest speed of the knob, so many times higher. */
function raised({ plan, settings }: Facts, times: number): Patch | undefined {
  const up = (value: number) => Math.ceil(value * times * 10) / 10
  if (heartOf(plan) === 'inverter') {
    const low = numberOf(settings.minimumHz)
    if (low === undefined) return undefined
    return [set('settings.chosen.minimumHz', up(low)), set('settings.inDrive.minimumHz', undefined)]
  }
  const low = settings.leastSpeedRpm && numberOf(settings.leastSpeedRpm)
  if (low === undefined) return undefined
  return [set('settings.chosen.leastSpeedRpm', up(low)), set('settings.inDrive.leastSpeedRpm', undefined)]
}
