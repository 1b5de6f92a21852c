import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { held } from '../facts/spindle/held'
import { holderName, limitOf } from '../facts/spindle/spindleLimits'
import { ofRunIn } from '../readings/runInReadings'
import { hertzAtRpm, rpmAtHertz } from '../motor'
import { hertz, message, messageText, rpm } from '../quantities'
import { firstHz, noise } from './bareStage'
import { coastExpected, coastFrom } from './massOn'
import { runInReading, type RunInReading } from './reading'
import { ampsReadings, downReading, rpmReading, upReading, type RunInStage, type SeenItem } from './stage'

/** Positions that the work is done on: the one used most first, then those of jobs; the first where nothing says. */
export function workedPositions({ speeds }: Facts): PositionFacts[] {
  const { main, positions, jobs } = speeds
  const of = positions.filter((p) => p.index !== main?.index && jobs.some((j) => j.on?.index === p.index))
  const all = [...(main ? [main] : []), ...of]
  return all.length > 0 ? all : positions.slice(0, 1)
}

/** Base hertz, or what the spindle as it was built allows on a faster position. */
function hertzWithinSpindle(
  { plan }: Facts,
  base: number | undefined,
  ratio: number | undefined,
  poles: number | undefined,
): number | undefined {
  const { originalTopRpm } = plan.survey
  if (base === undefined || originalTopRpm === undefined || ratio === undefined || ratio <= 0 || poles === undefined)
    return base
  return Math.min(base, Math.max(1, Math.floor(hertzAtRpm(originalTopRpm / ratio, poles))))
}

/** Friction of the train as the motor's shaft feels it. */
const frictionAtMotor = ({ stop }: Facts, position: PositionFacts): number => {
  const [nm, ratio, efficiency] = [stop.frictionNm, position.speedRatio, position.efficiency].map(numberOf)
  return nm === undefined || ratio === undefined ? 0 : (nm * ratio) / (efficiency ?? 1)
}

/** How far it runs on by itself, timed by letting it coast. */
function coastReading(
  facts: Facts,
  stage: string,
  position: PositionFacts,
  holder: number | undefined,
  fromRpm: number | undefined,
): RunInReading[] {
  if (fromRpm === undefined) return []
  return [
    runInReading(
      'coast',
      'Coasts, drive off',
      { kind: 'coast', of: ofRunIn(stage), positionId: position.position.id, fromRpm },
      coastExpected(
        coastFrom(facts, position, holder, fromRpm),
        (typical) =>
          message`What turns against the friction, from ${rpm(fromRpm)}${typical ? '; the friction is a planning value until a coast is timed' : ''}.`,
      ),
      'By a coast input or the isolator: let go and time it. No hand, no rag, no brake.',
    ),
  ]
}

export function beltStages(facts: Facts): RunInStage[] {
  const positions = workedPositions(facts)
  const [first] = positions
  if (!first) return []
  const low = firstHz(facts)
  const base = numberOf(facts.settings.baseFrequencyHz)
  const noSpindle = facts.plan.survey.spindleNose === 'none'
  const print = (hz: number | undefined) => (hz === undefined ? 'those hertz' : messageText([hertz(hz)]))
  const belt: RunInStage = {
    id: 'first-belt',
    name: 'First belt',
    do: [
      `Belt on ${first.name}, tensioned; guard shut; nothing on the spindle.`,
      'Turn it once round by hand, power locked off: nothing touches.',
      `RUN at ${print(low)}.`,
    ],
    caution: 'Guard shut before RUN: a belt takes a sleeve and the hand with it.',
    ...(low === undefined ? {} : { hz: low }),
    position: { id: first.position.id, name: first.name },
    readings:
      low === undefined
        ? []
        : [
            ...(noSpindle ? [] : [rpmReading(facts, 'first belt', low, first)]),
            ...ampsReadings(facts, 'first belt', {
              hz: low,
              positionId: first.position.id,
              shaftNm: frictionAtMotor(facts, first),
              band: [0.3, 0.35],
            }),
          ],
    seen: [
      {
        id: 'spindle-direction',
        ask: noSpindle
          ? 'The machine moves the right way'
          : 'The spindle turns forward, looked at from where you stand to work',
        stops: true,
        ifBad: 'Off, locked, waited, measured; then change two motor leads at the drive.',
      },
      {
        id: 'belt-track',
        ask: 'The belt runs in the middle and does not walk',
        stops: false,
        ifBad:
          'Straight edge over both pulleys: within half a millimetre for each 100 mm of distance; then crown, then a keeper.',
      },
      noise,
    ],
    hold: 'Belt true, direction right, speed as computed.',
  }
  const empty = positions.map((position, i): RunInStage => {
    const name = i === 0 ? 'Empty spindle' : `Empty spindle, ${position.name}`
    const words = name.toLowerCase()
    const spindle = numberOf(position.speedRatio)
    const poles = numberOf(facts.motor.poles)
    const at = hertzWithinSpindle(facts, base, spindle, poles)
    const from =
      at === undefined || spindle === undefined || poles === undefined ? undefined : rpmAtHertz(at, poles) * spindle
    const down = at === undefined ? undefined : downReading(facts, words, at, position.position.id)
    return {
      id: `empty-${position.position.id}`,
      name,
      do: [
        `Belt on ${position.name}. Nothing on the spindle. RUN, up to ${print(at)}.`,
        'Two minutes, then read; then STOP; then once more, and let it coast.',
      ],
      ...(at === undefined ? {} : { hz: at }),
      position: { id: position.position.id, name: position.name },
      readings:
        at === undefined
          ? []
          : [
              ...(noSpindle ? [] : [rpmReading(facts, words, at, position)]),
              ...ampsReadings(facts, words, {
                hz: at,
                positionId: position.position.id,
                shaftNm: frictionAtMotor(facts, position),
                band: [0.25, 0.3],
              }),
              upReading(facts, words, at, position.position.id),
              ...(down ? [down] : []),
              ...coastReading(facts, words, position, undefined, from),
            ],
      seen: [
        noise,
        {
          id: 'shake',
          ask: 'It does not shake anywhere from slow to fast',
          stops: false,
          ifBad: 'Note the hertz where it shakes, and skip that band in the drive; or sensorless vector.',
        },
      ],
      hold: 'Speed, amps and times as expected on this position.',
    }
  })
  return [belt, ...empty]
}

/** Marks across chuck and nose, looked at after a stop. */
export const witness: SeenItem = {
  id: 'witness',
  ask: 'Dead and locked: the marks on chuck and nose still meet',
  stops: true,
  ifBad: 'The chuck moved on its thread. A longer ramp, or coast; seat it again, and begin this stage anew.',
}

/** Each thing that is put on the spindle, at half its limit, then at what the plan lets it reach. */
export function holderStages(facts: Facts): RunInStage[] {
  const [position] = workedPositions(facts)
  if (!position || facts.plan.survey.spindleNose === 'none') return []
  const [poles, ratio, top, maximum] = [
    facts.motor.poles,
    position.speedRatio,
    position.unloadedTopRpm,
    facts.settings.maximumHz,
  ].map(numberOf)
  return facts.plan.survey.holders.flatMap((holder, index): RunInStage[] => {
    if (holder.alwaysTurns === true) return []
    const name = holderName(holder)
    const words = `with ${name}`
    const limit = limitOf(facts.plan, holder, index)?.rpm
    const cap = limit === undefined || top === undefined ? undefined : Math.min(limit, top) * 0.6
    const hz =
      cap === undefined || poles === undefined || ratio === undefined || maximum === undefined
        ? undefined
        : Math.min(maximum, Math.floor(hertzAtRpm(cap / ratio, poles)))
    const down = hz === undefined ? undefined : downReading(facts, words, hz, position.position.id)
    const isWheel = holder.kind === 'wheel'
    const threaded = held(facts.plan, holder) === 'thread'
    return [
      {
        id: `holder-${holder.id}`,
        name: `With ${name}`,
        do: [
          ...(isWheel
            ? [
                'Wheel: ring test, blotters on both sides, flanges alike, guard shut. One minute from aside before anybody stands in front.',
              ]
            : [`${name.charAt(0).toUpperCase()}${name.slice(1)} on, jaws closed or work in; nobody in its plane.`]),
          ...(threaded ? ['A witness mark across chuck and nose, by scriber or paint.'] : []),
          hz === undefined
            ? 'Its limit is not known: it does not turn until it is.'
            : `RUN at ${messageText([hertz(hz)])}: ${messageText([rpm(rpmAtHertz(hz, poles ?? 1) * (ratio ?? 0))])}, and no more.`,
        ],
        caution: isWheel
          ? 'Only its own marking says how fast it may turn. Never stand in the plane of a wheel.'
          : 'Guards shut, key out of the chuck, nobody in the plane of what spins.',
        ...(hz === undefined ? {} : { hz }),
        position: { id: position.position.id, name: position.name },
        holder: { index, name },
        readings:
          hz === undefined
            ? []
            : [
                rpmReading(facts, words, hz, position),
                upReading(facts, words, hz, position.position.id),
                ...(down ? [down] : []),
                ...coastReading(
                  facts,
                  words,
                  position,
                  index,
                  ratio === undefined || poles === undefined ? undefined : rpmAtHertz(hz, poles) * ratio,
                ),
              ],
        seen: [...(threaded ? [witness] : []), noise],
        hold: `${name.charAt(0).toUpperCase()}${name.slice(1)} holds, and stops as expected.`,
      },
    ]
  })
}
