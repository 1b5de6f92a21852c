import { toothPitches } from '../data/beltPitches'
import { ratioOfStages, toothMesh } from '../drivetrain'
import type { BeltFacts } from '../facts/belts/beltFacts'
import type { Facts } from '../facts/facts'
import { amount, message } from '../quantities'
import { good, isUnjudged, lacks, need, typed } from './answer'
import type { Answer } from './finding'

/** A toothed belt that runs faster is heard through a door, m/s: a planning value. */
const QUIET_M_PER_S = 10

/** Whether a toothed belt is heard at the top of the knob. */
export function toothNoise(facts: Facts, { id, name, path, stage }: BeltFacts, about: string): Answer {
  const pitch = Object.entries(toothPitches.pitches).find(([section]) => section === stage.section)?.[1]
  if (!pitch) return { ...lacks(`${path}.section`), about }
  const position = facts.speeds.positions.find((p) => id.startsWith(`position.${p.position.id}.belt`))
  if (!position) return { ...lacks('survey.positions'), about }
  const from = position.position.transmission.slice(Number(path.split('.').at(-1)))
  const onward = ratioOfStages(from)
  const known = need(position.unloadedTopRpm, typed(`${path}.driverTeeth`, stage.driverTeeth))
  if (isUnjudged(known)) return { ...known, about }
  if (onward === undefined) return { ...lacks(`${path}.drivenTeeth`), about }
  const [topRpm, teeth] = known
  const made = toothMesh.run({ teeth, pitchMm: pitch.pitchMm, speedRpm: topRpm / onward })
  if (!made.ok) return { missing: [], ended: made.faults[0]?.message ?? 'The rule does not take these', about }
  const { meshHz, speedMPerS } = made.value
  const says = message`At the top ${amount('frequency', meshHz)} of teeth at ${amount('beltSpeed', speedMPerS)}.`
  if (speedMPerS <= QUIET_M_PER_S) return good(says, { about })
  return {
    severity: 'note',
    about,
    title: message`The toothed belt of ${name} will whine`,
    says,
    why: 'Over about 10 m/s, a planning value, each tooth pushes out its air as it meets the pulley. A narrower belt, smaller pulleys on both shafts, or a cover lined with foam; a tighter one is louder.',
    path: `${path}.driverTeeth`,
  }
}
