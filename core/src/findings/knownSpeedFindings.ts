import { beltSections, FLANK, type BeltSectionId } from '../data/beltSections'
import { isPlainBelt, ratioStages, trainRatio, trainStages } from '../drivetrain'
import type { KnownRatio } from '../facts/belts/knownRatio'
import type { TrainFacts } from '../facts/belts/trainFacts'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { set, type TransmissionStage } from '../plan'
import { message, printNumber, type Message } from '../quantities'
import { Refusal } from '../rules/rule'
import { doesNotApply, good, waitsFor } from './answer'
import { judgement, type Answer, type Remedy } from './finding'

/** Known and reckoned this near are one: readings of a tachometer and of a rule across a pulley. */
const SAME = 0.03
/** So near to another explanation, that is likely the one. */
const NEAR = 0.02
/** A belt that gives more than this is not creeping, it is slipping and burns. */
const MOST_SLIP = 0.08

/** What is known of a position’s speed beside what its sizes make. */
export const knownSpeedFindings = [
  judgement(
    {
      id: 'belts.known-speed',
      asks: 'Speed as known against the pulleys',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) => {
      const answers = facts.speeds.positions.flatMap((p): Answer[] => [
        ...(p.told ? [{ ...compared(facts, p, p.told), about: p.position.id }] : []),
        ...(p.measured ? [{ ...compared(facts, p, p.measured), about: `${p.position.id}-read` }] : []),
      ])
      return answers.length === 0 ? doesNotApply('No position’s speed is known beside its sizes') : answers
    },
  ),
]

function compared(facts: Facts, train: TrainFacts, known: KnownRatio): Answer {
  const { bySizes, name, index, position } = train
  if (!bySizes && (known === train.told || !train.told))
    return doesNotApply('Its ratio is taken from what is known of its speed')
  const [told, made] = [known.speedRatio, train.speedRatio].map(numberOf)
  if (told === undefined || made === undefined) return waitsFor(known.speedRatio, train.speedRatio)
  const off = told / made - 1
  const both = message`The spindle turns ${ratio(told)} for one of the motor as ${known.basis === 'measured' ? 'measured' : 'known'}, ${ratio(made)} ${bySizes ? 'by its sizes' : 'as the plan says'}`
  if (Math.abs(off) <= SAME) return good(message`${both}.`, { figures: [known.speedRatio.id, train.speedRatio.id] })
  const slips = slipping(train, known, off)
  const causes = likelyCauses(facts, train, known, told, made)
  return {
    severity: 'watch',
    title: message`The speed of ${name} is not what its pulleys make`,
    says: message`${both}: ${percent(Math.abs(off))} ${off < 0 ? 'slower' : 'faster'}. ${causes}`,
    why: 'One of the two is wrong, and speeds, torque and belt are reckoned from the sizes until that is settled.',
    remedies: slips ? [slips] : [],
    figures: [known.speedRatio.id, train.speedRatio.id],
    path:
      position.knownRatio === undefined
        ? `survey.positions.${index}.knownSpindleRpm`
        : `survey.positions.${index}.knownRatio`,
  }
}

const ratio = (value: number): string => printNumber(value, 3, 3)
const percent = (share: number): string => `${printNumber(share * 100, 2, 0)} %`

/** A measured speed a little low is what a slipping belt gives: it is taken into the belt where there is only one. */
function slipping({ position, index }: TrainFacts, known: KnownRatio, off: number): Remedy | undefined {
  const belts = position.transmission.flatMap((stage, i) => (isPlainBelt(stage.kind) ? [{ stage, i }] : []))
  const [only, another] = belts
  if (known.basis !== 'measured' || !only || another || off >= 0 || off < -MOST_SLIP) return undefined
  const slip = 1 - (1 - (only.stage.slip ?? 0)) * (1 + off)
  return {
    label: message`The belt slips by ${percent(slip)}: count it`,
    patch: [set(`survey.positions.${index}.transmission.${only.i}.slip`, Math.round(slip * 1000) / 1000)],
  }
}

/** Each explanation that brings the two together, tried. */
function likelyCauses(facts: Facts, train: TrainFacts, known: KnownRatio, told: number, made: number): Message {
  const fits = (by: number) => Math.abs(told / by - 1) <= NEAR
  const { position } = train
  const other = facts.speeds.positions.find((p) => p !== train && p.bySizes && fits(numberOf(p.speedRatio) ?? NaN))
  const outside = fromOutsides(position.transmission)
  const off = told / made - 1
  const found: Message[] = []
  if (other) found.push(message`it fits ${other.name}, so the belt may have stood there`)
  if (fits(1 / made)) found.push(message`driving and driven pulley may be exchanged`)
  if (fits(made * 1.2) || fits(made / 1.2)) found.push(message`50 and 60 Hz may be exchanged`)
  if (fits(made * 2) || fits(made / 2))
    found.push(message`the motor’s speed may be that of other poles, or the tachometer saw two marks a turn`)
  if (outside !== undefined && fits(outside))
    found.push(message`the pulleys may be measured over their rims: a belt runs on its cord, a little inside`)
  if (off < 0 && off >= -MOST_SLIP)
    found.push(
      known.byHertz
        ? message`the belt slips, or the motor’s own slip under load is in it: its speed is taken from the hertz`
        : message`the belt slips`,
    )
  if (found.length === 0)
    return off > 0
      ? message`No slip makes it faster: another step or groove was in use, or a size or the reading is off.`
      : message`That is more than a belt slips: another step or groove was in use, or a size or the reading is off.`
  return message`Likely: ${found.reduce((all, cause) => message`${all}; or ${cause}`)}.`
}

/** The ratio there would be, had the V-pulleys been measured over their rims. */
function fromOutsides(stages: readonly TransmissionStage[]): number | undefined {
  if (!stages.some((s) => s.kind === 'v-belt' && s.section !== undefined)) return undefined
  const read = trainStages.safeParse(
    ratioStages(
      stages.map((s) => {
        const inside = s.kind === 'v-belt' && s.section !== undefined ? 2 * cordDepth(s.section) : 0
        return { ...s, driverMm: less(s.driverMm, inside), drivenMm: less(s.drivenMm, inside) }
      }),
    ),
  )
  const made = read.success ? trainRatio(read.data) : undefined
  return made === undefined || made instanceof Refusal ? undefined : made.speedRatio
}

const less = (mm: number | undefined, by: number): number | undefined => (mm === undefined ? undefined : mm - by)

/** From the back of a belt to its cord, mm. */
function cordDepth(id: string): number {
  const { topMm, datumMm } = beltSections.sections[id as BeltSectionId]
  return (topMm - datumMm) / (2 * FLANK)
}
