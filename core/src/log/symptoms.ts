import { heartIds, type Heart } from '../stages/hearts'

/** What people say is wrong, in their words. */
export const symptoms = {
  'belt-start': 'The belt squeals or is thrown at a start',
  'belt-walks': 'The belt still walks after a soft start',
  'belt-whine': 'The belt whines',
  'over-voltage': 'Trips while it stops',
  'over-current': 'Trips at a start or at once',
  overload: 'Trips after minutes of work',
  'under-voltage': 'Trips when something else starts, or in a dip',
  unscrews: 'The chuck loosens on stopping or reversing',
  shakes: 'Shakes in the middle of its range',
  whistle: 'It whistles',
  'no-pull': 'No pull at low speed',
  hot: 'Hot at low speed',
  'nothing-on-run': 'Nothing happens on RUN',
  'takes-no-value': 'The drive will not take a value',
  'too-slow': 'Slower than asked',
  slows: 'It slows by itself',
  wobbles: 'Its speed wobbles',
  'earth-leakage': 'The shop’s earth-leakage device trips',
  died: 'The drive died within a few starts',
  'wrong-way': 'It runs the wrong way',
  'starts-itself': 'It runs at once when power comes',
  readout: 'Noise on a digital readout',
  'stops-late': 'It runs on after the emergency stop',
  'axis-waits': 'An axis ignores moves',
  'runs-away': 'It runs faster than asked, or off',
  sparks: 'Its brushes spark',
  'field-lost': 'Trips on its field',
  jerks: 'It jerks, hums or only twitches at a start',
} as const

export type SymptomId = keyof typeof symptoms

/** Symptoms that only some hearts have; all others every machine may have. */
const ofSome: Readonly<Partial<Record<SymptomId, readonly Heart[]>>> = {
  sparks: ['dc'],
  'field-lost': ['dc'],
  jerks: ['driver'],
}

/** What may be wrong with a machine, by what turns it, in the order listed. */
export const symptomsOf = (heart: Heart): SymptomId[] =>
  (Object.keys(symptoms) as SymptomId[]).filter((id) => (ofSome[id] ?? heartIds).includes(heart))

/** Symptoms that somebody may be hurt by: nothing runs until they are found. */
export const dangerous: ReadonlySet<SymptomId> = new Set([
  'unscrews',
  'starts-itself',
  'stops-late',
  'died',
  'runs-away',
  'field-lost',
])

/** Which symptom a fault of a drive's manual is, by what the manual says of it. */
export const symptomOfFault = (means: string): SymptomId | undefined =>
  (
    [
      [/\bfield\b/i, 'field-lost'],
      [/hall|sensor|encoder|rotor position/i, 'jerks'],
      [/over-?volt|bus (?:too )?high|bus over|regen/i, 'over-voltage'],
      [/under-?volt|bus (?:too )?low|power (?:loss|dip)|phase loss/i, 'under-voltage'],
      [/over-?load|i2t|thermal|too (?:hot|warm)|temperature/i, 'overload'],
      [/over-?current|short|earth|ground/i, 'over-current'],
    ] as const
  ).find(([pattern]) => pattern.test(means))?.[1]
