import { axisFindings } from './axisFindings'
import { beltFindings } from './beltFindings'
import { beltLoadFindings } from './beltLoadFindings'
import { cardFindings } from './cardFindings'
import { commandedFindings } from './commandedFindings'
import { dcFindings } from './dcFindings'
import { driverFindings } from './driverFindings'
import { highFrequencyFindings } from './highFrequencyFindings'
import { rpmFindings } from './rpmFindings'
import { checkFindings } from './checkFindings'
import { choiceFindings } from './choiceFindings'
import { driveFindings } from './driveFindings'
import { causes } from './causes'
import { severities, type Finding, type FindingId, type JudgedLine, type Judgement, type Said } from './finding'
import { plugAndLeadFindings } from './plugAndLeadFindings'
import { measuredFindings } from './measuredFindings'
import { mountFindings } from './mountFindings'
import { motorFluxFindings } from './motorFluxFindings'
import { motorPlateFindings } from './motorPlateFindings'
import { motorSpeedFindings } from './motorSpeedFindings'
import { earthFindings } from './earthFindings'
import { installationFindings } from './installationFindings'
import { jobFindings } from './jobFindings'
import { knownSpeedFindings } from './knownSpeedFindings'
import { pulleyFindings } from './pulleyFindings'
import { rotationFindings } from './rotationFindings'
import { runInFindings } from './runInFindings'
import { runUpFindings } from './runUpFindings'
import { settingFindings } from './settingFindings'
import { turningFindings } from './turningFindings'
import { resonanceFindings } from './resonanceFindings'
import { supplyUnitFindings } from './supplyUnitFindings'
import { variatorFindings } from './variatorFindings'
import { speedFindings } from './speedFindings'
import { startFindings } from './startFindings'
import { spinningFindings } from './spinningFindings'
import { stopFindings } from './stopFindings'
import { threadFindings } from './threadFindings'
import { wallFindings } from './wallFindings'
import { wiringJudgements } from './wiring'
import { stageOrder } from '../stages/stages'

export const judgements = [
  ...wallFindings,
  ...supplyUnitFindings,
  ...plugAndLeadFindings,
  ...earthFindings,
  ...motorPlateFindings,
  ...motorFluxFindings,
  ...motorSpeedFindings,
  ...checkFindings,
  ...driveFindings,
  ...runUpFindings,
  ...installationFindings,
  ...choiceFindings,
  ...beltFindings,
  ...beltLoadFindings,
  ...pulleyFindings,
  ...variatorFindings,
  ...knownSpeedFindings,
  ...spinningFindings,
  ...jobFindings,
  ...speedFindings,
  ...rotationFindings,
  ...resonanceFindings,
  ...stopFindings,
  ...threadFindings,
  ...turningFindings,
  ...startFindings,
  ...settingFindings,
  ...cardFindings,
  ...measuredFindings,
  ...runInFindings,
  ...mountFindings,
  ...axisFindings,
  ...dcFindings,
  ...driverFindings,
  ...rpmFindings,
  ...highFrequencyFindings,
  ...commandedFindings,
]

/** What a judgement is called. */
export type JudgementId = (typeof judgements)[number]['id'] | (typeof wiringJudgements)[number]['id']

/** The finding that one hangs under by the table of causes, if it was found too; it is never under what hangs under it. */
function causeOf({ id }: Finding, firsts: ReadonlyMap<string, FindingId>): FindingId | undefined {
  for (const cause of causes[judgementOf(id)] ?? []) {
    const first = firsts.get(cause)
    if (first !== undefined) return first
  }
  return undefined
}

const judgementOf = (id: FindingId): string => id.split('/', 1)[0] ?? ''

/** Every judgement there is, in the order in which they are listed. */
export const everyJudgement: readonly Judgement[] = [...judgements, ...wiringJudgements]

/** What all judgements say together: what was found with stops first, then watches and notes, each in the order of the work. */
export function judgedTogether(said: readonly Said[]): Said {
  const all: Finding[] = []
  const lines: JudgedLine[] = []
  for (const one of said) {
    for (const finding of one.findings) all.push(finding)
    for (const line of one.lines) lines.push(line)
  }
  const ids = new Set(all.map((f) => f.id))
  /** Of each judgement the first that it found. */
  const firsts = new Map<string, FindingId>()
  for (const { id } of all) {
    const judgement = judgementOf(id)
    if (!firsts.has(judgement)) firsts.set(judgement, id)
  }
  const findings = all.map((finding): Finding => {
    const { follows, ...alone } = finding
    // What follows from nothing that was found stands by itself.
    const cause = follows !== undefined && ids.has(follows) ? follows : causeOf(finding, firsts)
    return cause === follows ? finding : { ...alone, ...(cause === undefined ? {} : { follows: cause }) }
  })
  findings.sort(
    (a, b) =>
      severities.indexOf(a.severity) - severities.indexOf(b.severity) || stageOrder(a.stage) - stageOrder(b.stage),
  )
  return { lines, findings }
}
