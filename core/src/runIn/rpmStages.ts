import { dcOperatingPoint } from '../dc'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { held } from '../facts/spindle/held'
import { holderName, limitOf } from '../facts/spindle/spindleLimits'
import { ofRunIn } from '../readings/runInReadings'
import { hasFedField, heartOf } from '../plan'
import { amps as ampsOf, message, messageText, rpm as rpmOf } from '../quantities'
import { actingRamp } from './actingRamp'
import { noise } from './bareStage'
import { witness, workedPositions } from './beltStages'
import { coastExpected, coastFrom } from './massOn'
import { missingOf } from './motorAt'
import { runInReading, within, type Expected, type NotExpected, type RunInReading } from './reading'
import { DEAD_CLIPS, type RunInStage, type SeenItem } from './stage'
import { line, lines } from './working'

/** Amps without a load over the plate's, of a motor with brushes and one with magnets: planning values, with a wide band. */
const IDLE_SHARE = { dc: 0.12, driver: 0.1 } as const
const WIDE = [0.8, 1.2] as const

const print = (rpm: number): string => messageText([rpmOf(Math.round(rpm))])

/** Of the motor, from a third of its plate's speed. */
const slowRpm = ({ motor, settings }: Facts): number | undefined => {
  const rated = numberOf(motor.ratedSpeedRpm)
  const least = settings.leastSpeedRpm && numberOf(settings.leastSpeedRpm)
  return rated === undefined ? undefined : Math.max(Math.round(rated / 3), Math.ceil(least ?? 0))
}

/** The plate's speed, or the most that is set where that is less. */
const fullRpm = ({ motor, settings }: Facts): number | undefined => {
  const [rated, most] = [motor.ratedSpeedRpm, settings.mostSpeedRpm].map((f) => f && numberOf(f))
  return rated === undefined ? undefined : Math.floor(Math.min(rated, most ?? rated))
}

/** Amps through the motor: of the armature, or of a lead, without a load. */
function idleAmps(facts: Facts, stage: string, motorRpm: number, positionId?: string): RunInReading {
  const isDc = heartOf(facts.plan) === 'dc'
  const plateA = numberOf(facts.motor.plateCurrentA)
  const share = isDc ? IDLE_SHARE.dc : IDLE_SHARE.driver
  const place = positionId === undefined ? {} : { positionId }
  return runInReading(
    'amps',
    isDc ? 'Amps of the armature' : 'Amps of one lead',
    { kind: 'amps', of: ofRunIn(stage, isDc ? 'armature' : 'lead'), motorRpm, ...place },
    plateA === undefined
      ? missingOf(facts.motor.plateCurrentA)
      : within(
          plateA * share,
          WIDE,
          message`A share of the plate’s ${ampsOf(plateA)} that is usual without a load.`,
          {
            citation: 'a share of the plate’s amps without a load, a planning value',
            from: lines({ plateA: facts.motor.plateCurrentA, share: line('Share', share, 'number', 'typical') }),
          },
          { typical: true, stopOver: plateA },
        ),
    DEAD_CLIPS,
  )
}

/** Volts of the armature at a speed, on full field. */
function armatureVolts(facts: Facts, stage: string, motorRpm: number): RunInReading[] {
  const { dc, motor } = facts
  if (!dc) return []
  const known = [motor.plateVoltageV, motor.plateCurrentA, motor.ratedSpeedRpm, dc.armatureOhm] as const
  const [armatureV, ratedA, baseRpm, armatureOhm] = known.map(numberOf)
  const expected = (): Expected | NotExpected => {
    if (armatureV === undefined || ratedA === undefined || baseRpm === undefined || armatureOhm === undefined)
      return missingOf(...known)
    const currentA = IDLE_SHARE.dc * ratedA
    const speedRpm = Math.min(motorRpm, baseRpm)
    const made = dcOperatingPoint.run({ armatureV, ratedA, armatureOhm, baseRpm, speedRpm, currentA })
    if (!made.ok) return { missing: [], because: made.faults[0]?.message ?? 'No volts there' }
    return within(
      made.value.terminalV,
      [0.1, 0.1],
      message`By its plate, on full field at ${rpmOf(motorRpm)} with ${ampsOf(currentA)}.`,
      {
        ruleId: 'dc.operating-point',
        from: lines({
          armatureV: motor.plateVoltageV,
          ratedA: motor.plateCurrentA,
          armatureOhm: dc.armatureOhm,
          baseRpm: motor.ratedSpeedRpm,
          speedRpm: line('Speed', speedRpm, 'speed'),
          currentA: line('Amps without a load', currentA, 'current', 'typical'),
        }),
      },
      { stopOver: armatureV * 1.1 },
    )
  }
  return [
    runInReading(
      'armature-volts',
      'Volts of the armature',
      { kind: 'volts', of: ofRunIn(stage, 'armature'), motorRpm },
      expected(),
      'Direct volts, by clips that went on dead; or the drive’s display.',
    ),
  ]
}

/** Amps of a field that is fed by itself: the plate's, whatever the speed below base. */
function fieldAmps(facts: Facts, stage: string, motorRpm: number): RunInReading[] {
  if (!facts.dc || !hasFedField(facts.plan)) return []
  const { fieldCurrentA } = facts.plan.motor
  return [
    runInReading(
      'field',
      'Amps of the field',
      { kind: 'amps', of: ofRunIn(stage, 'field'), motorRpm },
      fieldCurrentA === undefined
        ? { missing: ['motor.fieldCurrentA'] }
        : {
            value: fieldCurrentA,
            least: fieldCurrentA * 0.85,
            most: fieldCurrentA * 1.15,
            stopUnder: fieldCurrentA * 0.5,
            by: message`The plate’s field, cold; warm it takes a tenth less.`,
            working: { citation: 'the plate’s field amps', from: [] },
            typical: false,
          },
      DEAD_CLIPS,
    ),
  ]
}

/** Spindle rpm, by the motor's and the ratio. */
function spindleRpm(stage: string, motorRpm: number, position: PositionFacts): RunInReading {
  const ratio = numberOf(position.speedRatio)
  return runInReading(
    'rpm',
    'Spindle speed',
    { kind: 'spindle-speed', of: ofRunIn(stage), motorRpm, positionId: position.position.id },
    ratio === undefined
      ? missingOf(position.speedRatio)
      : within(motorRpm * ratio, [0.04, 0.03], message`${rpmOf(motorRpm)} of the motor through ${position.name}.`, {
          ruleId: 'drivetrain.shaft-speed',
          from: lines({ speedRpm: line('Motor', motorRpm, 'speed'), speedRatio: position.speedRatio }),
        }),
    'By a tachometer held at a mark on the end of the spindle, sleeves tight; not at the chuck.',
  )
}

/** Seconds of a ramp to a speed: its share of the whole. */
function rampReading(
  facts: Facts,
  stage: string,
  motorRpm: number,
  id: 'up' | 'down',
  positionId?: string,
): RunInReading {
  const setting = id === 'up' ? 'accelerationS' : 'decelerationS'
  const whole = actingRamp(facts, setting)
  const { mostSpeedRpm } = facts.settings
  const most = mostSpeedRpm && numberOf(mostSpeedRpm)
  const place = positionId === undefined ? {} : { positionId }
  const made = whole === undefined || most === undefined || most <= 0 ? undefined : (whole * motorRpm) / most
  return runInReading(
    id,
    id === 'up' ? 'Seconds up' : 'Seconds down on STOP',
    { kind: id === 'up' ? 'run-up' : 'run-down', of: ofRunIn(stage), motorRpm, ...place },
    made === undefined
      ? { ...missingOf(mostSpeedRpm), ...(whole === undefined ? { because: 'Its ramp is not known' } : {}) }
      : {
          value: made,
          least: Math.max(0, made * 0.8 - 0.5),
          most: made * 1.25 + 0.7,
          by: message`The ramp as it is set, to ${rpmOf(motorRpm)}.`,
          working: {
            citation: 'the ramp counts from standstill to the most speed, and other speeds take their share of it',
            from: lines({
              ramp: line(id === 'up' ? 'Acceleration as it acts' : 'Deceleration as it acts', whole ?? 0, 'time'),
              speed: line('Speed', motorRpm, 'speed'),
              mostSpeedRpm,
            }),
          },
          typical: false,
        },
  )
}

const down = (facts: Facts, stage: string, motorRpm: number, positionId?: string): RunInReading[] =>
  facts.settings.lines.some(({ id, value, inDrive }) => id === 'stopMode' && (inDrive ?? value) === 'coast')
    ? []
    : [rampReading(facts, stage, motorRpm, 'down', positionId)]

const brushes: SeenItem = {
  id: 'brushes',
  ask: 'The brushes are dark, or a faint blue at their trailing edge',
  stops: true,
  ifBad: 'Off. Brushes free and bedded, springs, commutator clean; then the neutral, then the armature bar to bar.',
}

/** The motor by itself, then with what proves its field. */
function bare(facts: Facts): RunInStage[] {
  const isDc = heartOf(facts.plan) === 'dc'
  const at = (id: string, name: string, motorRpm: number | undefined, first: boolean): RunInStage => {
    const words = name.toLowerCase()
    return {
      id,
      name,
      do: [
        ...(first ? ['Motor clamped down, belt off, key taped or out. One person at the isolator.'] : []),
        `RUN, the knob up to ${motorRpm === undefined ? 'that speed' : print(motorRpm)} by a tachometer on the shaft; wait ten seconds, then read.`,
      ],
      ...(first
        ? { caution: 'A loose key leaves the shaft like a bullet. Nothing is put on or taken off while it has power.' }
        : {}),
      ...(motorRpm === undefined ? {} : { motorRpm }),
      readings:
        motorRpm === undefined
          ? []
          : [
              idleAmps(facts, words, motorRpm),
              ...armatureVolts(facts, words, motorRpm),
              ...fieldAmps(facts, words, motorRpm),
              ...(first ? [] : [rampReading(facts, words, motorRpm, 'up')]),
            ],
      seen: [
        ...(first
          ? [
              {
                id: 'direction',
                ask: 'The shaft turns the way that gives the spindle its forward',
                stops: true,
                ifBad: isDc
                  ? 'Off, locked, waited, measured; then change the armature’s two leads. The field’s stay as they are.'
                  : 'Off, locked, waited, measured; then the other of the two orders that run well.',
              },
            ]
          : []),
        ...(isDc ? [brushes] : []),
        noise,
      ],
      hold: first ? 'Amps and volts as expected, direction right.' : 'Amps as expected; nothing hot, nothing loud.',
    }
  }
  const field: RunInStage = {
    id: 'field-trip',
    name: 'Field lost, on purpose',
    do: [
      'Belt off, least speed, one person at the isolator and nobody at the motor.',
      'A switch in one field lead, wired in dead and insulated: opened once. Then dead, and the lead as it was.',
    ],
    caution:
      'Where nothing trips it runs off until it bursts: the hand is on the isolator before the switch is touched.',
    readings: [],
    seen: [
      {
        id: 'armature-off',
        ask: 'The armature was off before the speed rose',
        stops: true,
        ifBad:
          'Off. The relay in the field’s circuit, its threshold, and its contact in the armature’s: nothing goes on until this is so.',
      },
    ],
    hold: 'A lost field takes the armature away.',
  }
  return [
    at('bare-low', 'Bare motor, slow', slowRpm(facts), true),
    ...(isDc && hasFedField(facts.plan) ? [field] : []),
    at('bare-base', 'Bare motor at its plate’s speed', fullRpm(facts), false),
  ]
}

function onPositions(facts: Facts): RunInStage[] {
  const positions = workedPositions(facts)
  const noSpindle = facts.plan.survey.spindleNose === 'none'
  const slow = slowRpm(facts)
  return positions.flatMap((position, i): RunInStage[] => {
    const place = { id: position.position.id, name: position.name }
    const belt: RunInStage = {
      id: 'first-belt',
      name: 'First belt',
      do: [
        `Belt on ${position.name}, tensioned; guard shut; nothing on the spindle.`,
        'Turn it once round by hand, power locked off: nothing touches.',
        `RUN, the motor at ${slow === undefined ? 'a third of its speed' : print(slow)}.`,
      ],
      caution: 'Guard shut before RUN: a belt takes a sleeve and the hand with it.',
      ...(slow === undefined ? {} : { motorRpm: slow }),
      position: place,
      readings:
        slow === undefined || noSpindle
          ? []
          : [spindleRpm('first belt', slow, position), idleAmps(facts, 'first belt', slow, place.id)],
      seen: [
        {
          id: 'spindle-direction',
          ask: 'The spindle turns forward, looked at from where you stand to work',
          stops: true,
          ifBad: 'Off, locked, waited, measured; then turned over at the motor, as its first spin says.',
        },
        noise,
      ],
      hold: 'Belt true, direction right, speed as computed.',
    }
    const name = i === 0 ? 'Empty spindle' : `Empty spindle, ${position.name}`
    const words = name.toLowerCase()
    const ratio = numberOf(position.speedRatio)
    const limit = facts.plan.survey.originalTopRpm
    const full = fullRpm(facts)
    const motorRpm =
      full === undefined || ratio === undefined
        ? undefined
        : Math.floor(Math.min(full, limit === undefined ? full : limit / ratio))
    const fromRpm = motorRpm === undefined || ratio === undefined ? undefined : motorRpm * ratio
    const empty: RunInStage = {
      id: `empty-${place.id}`,
      name,
      do: [
        `Belt on ${position.name}. Nothing on the spindle. RUN, the motor up to ${motorRpm === undefined ? 'its plate' : print(motorRpm)}.`,
        'Two minutes, then read; then STOP; then once more, and let it coast.',
      ],
      ...(motorRpm === undefined ? {} : { motorRpm }),
      position: place,
      readings:
        motorRpm === undefined
          ? []
          : [
              ...(noSpindle ? [] : [spindleRpm(words, motorRpm, position)]),
              idleAmps(facts, words, motorRpm, place.id),
              rampReading(facts, words, motorRpm, 'up', place.id),
              ...down(facts, words, motorRpm, place.id),
              ...(fromRpm === undefined ? [] : [coasts(facts, words, position, undefined, fromRpm)]),
            ],
      seen: [noise],
      hold: 'Speed, amps and times as expected on this position.',
    }
    return i === 0 ? [belt, empty] : [empty]
  })
}

const coasts = (
  facts: Facts,
  words: string,
  position: PositionFacts,
  holder: number | undefined,
  fromRpm: number,
): RunInReading =>
  runInReading(
    'coast',
    'Coasts, drive off',
    { kind: 'coast', of: ofRunIn(words), positionId: position.position.id, fromRpm },
    coastExpected(
      coastFrom(facts, position, holder, fromRpm),
      (typical) =>
        message`What turns against the friction, from ${rpmOf(fromRpm)}${typical ? '; the friction is a planning value until a coast is timed' : ''}.`,
    ),
    'By the contactor or the isolator: let go and time it. No hand, no rag, no brake.',
  )

/** Each thing that is put on the spindle, at a part of its limit. */
function withHolders(facts: Facts): RunInStage[] {
  const [position] = workedPositions(facts)
  const ratio = position && numberOf(position.speedRatio)
  const top = position && numberOf(position.unloadedTopRpm)
  if (!position || ratio === undefined || facts.plan.survey.spindleNose === 'none') return []
  return facts.plan.survey.holders.flatMap((holder, index): RunInStage[] => {
    if (holder.alwaysTurns === true) return []
    const name = holderName(holder)
    const words = `with ${name}`
    const limit = limitOf(facts.plan, holder, index)?.rpm
    const spindle = limit === undefined || top === undefined ? undefined : Math.min(limit, top) * 0.6
    const motorRpm = spindle === undefined ? undefined : Math.floor(spindle / ratio)
    const threaded = held(facts.plan, holder) === 'thread'
    return [
      {
        id: `holder-${holder.id}`,
        name: `With ${name}`,
        do: [
          ...(holder.kind === 'wheel'
            ? ['Wheel: ring test, blotters on both sides, flanges alike, guard shut. One minute from aside.']
            : [`${name} on, jaws closed or work in; nobody in its plane.`]),
          ...(threaded ? ['A witness mark across chuck and nose, by scriber or paint.'] : []),
          spindle === undefined
            ? 'Its limit is not known: it does not turn until it is.'
            : `RUN up to ${print(spindle)} of the spindle, and no more.`,
        ],
        caution: 'Guards shut, key out of the chuck, nobody in the plane of what spins.',
        ...(motorRpm === undefined ? {} : { motorRpm }),
        position: { id: position.position.id, name: position.name },
        holder: { index, name },
        readings:
          motorRpm === undefined || spindle === undefined
            ? []
            : [
                spindleRpm(words, motorRpm, position),
                rampReading(facts, words, motorRpm, 'up', position.position.id),
                ...down(facts, words, motorRpm, position.position.id),
                coasts(facts, words, position, index, motorRpm * ratio),
              ],
        seen: [...(threaded ? [witness] : []), noise],
        hold: `${name} holds, and stops as expected.`,
      },
    ]
  })
}

/** The first cuts, at the plate's speed on the position used most. */
function cuts(facts: Facts): RunInStage[] {
  const [position] = workedPositions(facts)
  const motorRpm = fullRpm(facts)
  if (!position || motorRpm === undefined || facts.plan.survey.spindleNose === 'none') return []
  const isDc = heartOf(facts.plan) === 'dc'
  const allDay = facts.dc ? facts.dc.continuousA : facts.motor.plateCurrentA
  const mostA = numberOf(allDay)
  const amps = (stage: string, share: readonly [number, number]): RunInReading =>
    runInReading(
      'amps',
      'Amps under the cut',
      { kind: 'amps', of: ofRunIn(stage, isDc ? 'armature' : 'lead'), motorRpm, positionId: position.position.id },
      mostA === undefined
        ? missingOf(allDay)
        : {
            value: mostA * share[1],
            least: mostA * share[0],
            most: mostA * share[1],
            stopOver: mostA * 1.15,
            by: isDc
              ? message`All day it may carry ${ampsOf(mostA)} of this current.`
              : message`The plate has ${ampsOf(mostA)}.`,
            working: { citation: 'a share of the amps that it may carry all day', from: lines({ allDay }) },
            typical: false,
          },
      DEAD_CLIPS,
    )
  const at = { motorRpm, position: { id: position.position.id, name: position.name } }
  return [
    {
      id: 'light-cut',
      name: 'Light cut',
      do: ['A cut that any machine takes, a minute long.', 'Read while it cuts, from where you stand to work.'],
      caution: 'Glasses on, guards shut. Hands off the work: nothing is felt while it turns.',
      ...at,
      readings: [amps('light cut', [0.15, 0.75]), spindleRpm('light cut', motorRpm, position)],
      seen: [noise, ...(isDc ? [brushes] : [])],
      hold: 'It holds its speed, amps well under what it may carry.',
    },
    {
      id: 'rated-cut',
      name: 'Rated cut',
      do: [
        'Deepen the cut until the amps are at what it may carry, for a minute and no longer.',
        'Then back, and let it run light.',
      ],
      caution: 'At those amps stop deepening: over them the winding cooks.',
      ...at,
      readings: [amps('rated cut', [0.8, 1])],
      seen: isDc ? [brushes] : [noise],
      hold: 'It gives its power without tripping or slipping.',
    },
  ]
}

/** The run-in of a motor that is set by its rpm. */
export const rpmStages = (facts: Facts): RunInStage[] => [
  ...bare(facts),
  ...onPositions(facts),
  ...withHolders(facts),
  ...cuts(facts),
]
