import type { Facts } from '../../facts/facts'
import { numberOf } from '../../facts/figure'
import type { RunInReading } from '../reading'
import { told, type Candidate } from './cause'

/** Of a speed that is off: another position, hertz that were never raised, poles, the tachometer, slip. */
export function speedCauses(facts: Facts, reading: RunInReading, expected: number, high: boolean): Candidate[] {
  const { hz = 0, positionId } = reading.row
  const poles = numberOf(facts.motor.poles)
  const here = facts.speeds.positions.find((p) => p.position.id === positionId)
  const ratio = numberOf(here?.speedRatio)
  const others = facts.speeds.positions.flatMap((p): Candidate[] => {
    const other = numberOf(p.speedRatio)
    return p === here || other === undefined || ratio === undefined
      ? []
      : [
          told(
            {
              id: `on-${p.position.id}`,
              says: `The belt stands on ${p.name}`,
              test: 'Off and locked: open the guard and look.',
              change: 'Move the belt, or read it for that position.',
            },
            (expected * other) / ratio,
          ),
        ]
  })
  const limits = [50, 60].filter((limit) => limit < hz)
  return [
    ...others,
    ...limits.map((limit) =>
      told(
        {
          id: `held-${limit}`,
          says: `The drive holds at ${limit} Hz: its highest hertz was never raised`,
          test: 'What hertz does its display show?',
          change: 'Highest hertz as the card has it; an upper limit may stand before it.',
        },
        (expected * limit) / hz,
      ),
    ),
    told(
      {
        id: 'two-marks',
        says: 'The tachometer saw two marks a turn',
        test: 'One mark, the rest of the spindle dulled with a pen.',
        change: 'Read again.',
      },
      expected * 2,
    ),
    told(
      {
        id: 'half',
        says: 'It read only each second turn',
        test: 'Hold it nearer, the mark clean.',
        change: 'Read again.',
      },
      expected / 2,
    ),
    ...(poles === undefined
      ? []
      : [2, 4, 6, 8]
          .filter((p) => p !== poles)
          .map((p) =>
            told(
              {
                id: `poles-${p}`,
                says: `The motor has ${p} poles`,
                test: 'Its plate: rpm at its hertz.',
                change: 'Plate and poles in the Motor stage.',
              },
              (expected * poles) / p,
            ),
          )),
    ...(high
      ? []
      : [
          told(
            {
              id: 'slip',
              says: 'The belt slips, or the motor is loaded',
              test: 'Motor’s rpm beside the spindle’s: which one falls?',
              change: 'Belt tension; then what drags.',
            },
            expected * 0.93,
          ),
        ]),
    told(
      {
        id: 'pulleys',
        says: 'A pulley has another diameter than was typed',
        test: 'A tape round both pulleys at the belt’s line; or turn the motor ten times by hand and count the spindle.',
        change: 'Keep the reading: the ratio follows it.',
      },
      undefined,
    ),
  ]
}
