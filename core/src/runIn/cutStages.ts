import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { ofRunIn, takenKey } from '../readings/runInReadings'
import { fanCooling, temperatureRise } from '../motor'
import { amount, message } from '../quantities'
import { workedPositions } from './beltStages'
import { missingOf } from './motorAt'
import { noise } from './bareStage'
import { runInReading, type Expected, type NotExpected, type RunInReading } from './reading'
import { line, lines } from './working'
import { cutAmps, loadedRpm, type RunInStage } from './stage'

/** The first cuts, on the position used most at base hertz. */
export function cutStages(facts: Facts): RunInStage[] {
  const [position] = workedPositions(facts)
  const hz = numberOf(facts.settings.baseFrequencyHz)
  if (!position || hz === undefined || facts.plan.survey.spindleNose === 'none') return []
  const at = { hz, position: { id: position.position.id, name: position.name } }
  return [
    {
      id: 'light-cut',
      name: 'Light cut',
      do: ['A cut that any machine takes, a minute long.', 'Read while it cuts, from where you stand to work.'],
      caution: 'Glasses on, guards shut. Hands off the work: nothing is felt while it turns.',
      ...at,
      readings: [
        cutAmps(facts, 'light cut', [0.2, 0.75], hz, position.position.id),
        loadedRpm(facts, 'light cut', hz, position),
      ],
      seen: [noise],
      hold: 'It holds its speed, amps well under the plate.',
    },
    {
      id: 'rated-cut',
      name: 'Rated cut',
      do: [
        'Deepen the cut until the amps are at the plate’s, for a minute and no longer.',
        'Then back, and let it run light.',
      ],
      caution: 'At the plate’s amps stop deepening: over them the winding cooks.',
      ...at,
      readings: [
        cutAmps(facts, 'rated cut', [0.8, 1], hz, position.position.id),
        loadedRpm(facts, 'rated cut', hz, position),
      ],
      seen: [
        {
          id: 'belt-holds',
          ask: 'The belt did not slip or squeal',
          stops: false,
          ifBad: 'Tension by its deflection, then a clean belt; then a wider one.',
        },
      ],
      hold: 'It gives its power without tripping or slipping.',
    },
  ]
}

const HOUSING_K = 45
const TIME_CONSTANT_MIN = 30
const ROOM_C = 20
const HOUSING_STOP_C = 90
const BEARING_RISE_K = 40
const BEARING_STOP_C = 85
/** A hand-held thermometer on paint. */
const UNSURE_K = 8

const ROOM = ofRunIn('warm', 'the room')

/** How warm the housing should be after some minutes at the amps that were read, or at the plate's. */
function housingAfter(facts: Facts, minutes: number, roomC: number): Expected | NotExpected {
  const plateA = numberOf(facts.motor.plateCurrentA)
  if (plateA === undefined) return missingOf(facts.motor.plateCurrentA)
  const [position] = workedPositions(facts)
  const read =
    facts.measured.taken?.[
      takenKey({ kind: 'amps', of: ofRunIn('warm'), lead: 'u', positionId: position?.position.id })
    ]?.value
  const amps = read ?? plateA * 0.75
  const [hz, plateHz] = [facts.settings.baseFrequencyHz, facts.motor.frequencyHz].map(numberOf)
  const cooled =
    facts.plan.motor.cooling === 'shaft-fan' && hz !== undefined && plateHz !== undefined
      ? fanCooling.run({ frequencyFraction: Math.min(1, hz / plateHz) })
      : undefined
  const made = temperatureRise.run({
    fullRiseK: HOUSING_K,
    currentA: amps,
    ratedCurrentA: plateA,
    coolingFraction: cooled?.ok === true ? cooled.value.torqueFraction : 1,
    minutes,
    timeConstantMin: TIME_CONSTANT_MIN,
  })
  if (!made.ok) return { missing: [], because: 'Amps far over the plate: stop, and let it cool' }
  const value = roomC + made.value.riseK
  return {
    value,
    least: roomC - 2,
    most: value + UNSURE_K,
    stopOver: HOUSING_STOP_C,
    working: {
      ruleId: 'motor.temperature-rise',
      from: lines({
        fullRiseK: line('Rise of the housing at full load', HOUSING_K, 'temperatureRise', 'typical'),
        currentA: line(
          read === undefined ? 'Amps, until they are read' : 'Amps as read',
          amps,
          'current',
          read === undefined ? 'typical' : 'measured',
        ),
        ratedCurrentA: facts.motor.plateCurrentA,
        minutes: line('Minutes', minutes, 'number'),
        timeConstantMin: line('Time constant, minutes', TIME_CONSTANT_MIN, 'number', 'typical'),
        room: line('The room', roomC, 'temperature'),
      }),
    },
    by: message`${amount('temperatureRise', made.value.riseK)} over the room after ${minutes} min at ${amount('current', amps)}${read === undefined ? ', taken until they are read' : ''}; ${amount('temperatureRise', HOUSING_K)} at full load is a planning value.`,
    typical: true,
  }
}

/** An hour of work, read as it warms. */
export function warmStages(facts: Facts): RunInStage[] {
  const [position] = workedPositions(facts)
  const hz = numberOf(facts.settings.baseFrequencyHz)
  const roomC = facts.measured.taken?.[takenKey({ kind: 'temperature', of: ROOM })]?.value ?? ROOM_C
  const temperature = (id: string, label: string, thing: string, expected: RunInReading['expected']) =>
    runInReading(
      id,
      label,
      { kind: 'temperature', of: ofRunIn('warm', thing) },
      expected,
      'By an infrared or contact thermometer on paint, from outside, spindle stopped and locked; no fingers.',
    )
  const bearing: Expected = {
    value: roomC + BEARING_RISE_K / 2,
    least: roomC - 2,
    most: roomC + BEARING_RISE_K,
    stopOver: BEARING_STOP_C,
    working: {
      citation: 'a planning value over the room: grease-packed bearings of this size, run in',
      from: lines({ room: line('The room', roomC, 'temperature') }),
    },
    by: message`Up to ${amount('temperatureRise', BEARING_RISE_K)} over the room is usual: a planning value.`,
    typical: true,
  }
  return [
    {
      id: 'warm',
      name: 'Warm',
      do: ['An hour of the work that it is for.', 'Read the room first; then after 15, 30 and 60 minutes.'],
      caution: 'A housing too hot to keep a hand on is over 60 °C, a hot one burns: the thermometer, not the hand.',
      ...(hz === undefined ? {} : { hz }),
      ...(position ? { position: { id: position.position.id, name: position.name } } : {}),
      readings: [
        temperature('room', 'The room', 'the room', {
          value: ROOM_C,
          least: -5,
          most: 40,
          working: { citation: 'a usual room', from: [] },
          by: message`What the rest is counted from.`,
          typical: false,
        }),
        ...(position && hz !== undefined ? [cutAmps(facts, 'warm', [0.2, 1], hz, position.position.id)] : []),
        ...[15, 30, 60].map((minutes) =>
          temperature(
            `housing-${minutes}`,
            `Housing after ${minutes} min`,
            `housing after ${minutes} min`,
            housingAfter(facts, minutes, roomC),
          ),
        ),
        temperature('bearing-motor', 'Motor’s bearing, belt side', 'motor’s bearing', bearing),
        ...(facts.plan.survey.spindleNose === 'none'
          ? []
          : [temperature('bearing-spindle', 'Spindle’s front bearing', 'spindle’s bearing', bearing)]),
      ],
      seen: [
        {
          id: 'smell',
          ask: 'No smell of varnish or rubber',
          stops: true,
          ifBad: 'Off. Varnish: the winding, its amps and its links. Rubber: the belt slips.',
        },
      ],
      hold: 'Warm, steady and quiet after an hour.',
    },
  ]
}
