import { evaluate } from '../conversion/evaluate'
import type { Evaluation } from '../evaluate/evaluation'
import { nothingMeasured } from '../measurements/measured'
import type { FigureState } from '../facts/figure'
import { ingressOf, letsIn } from '../facts/drive/ingress'
import { named, type Ledger } from '../facts/ledger'
import { terminalNeeds, type TerminalNeed } from '../facts/drive/terminalNeeds'
import { costSum } from '../cost'
import { applyPatch, namedDrive, takeDrive, type DrivePlate, type Hazard, type Plan } from '../plan'
import type { FieldFigureId } from '../facts/figureId'
import { continued, slowestJob, type SlowestJob } from './slowestJob'

/** One part of what a drive costs in the end. */
export interface CostPart {
  what: 'bare' | 'box and glands' | 'brake resistor' | 'keypad lead' | 'filter or choke'
  price: number | undefined
  /** False where this plan does without it. */
  wanted: boolean
}

/** A drive as it would do in this plan. */
export interface DriveColumn {
  /** Undefined for the drive that the plan has now. */
  id: string | undefined
  name: string
  plate: DrivePlate
  evaluation: Evaluation
  slowest: SlowestJob | undefined
  needs: TerminalNeed[]
  /** What its enclosure does not keep out of what reaches the machine; undefined where it is not known. */
  letsIn: Hazard[] | undefined
  cost: FigureState
  parts: CostPart[]
}

/** The plan's drive, where its plate says anything, and every drive thought of, side by side, judged by what was read off the machine too. */
export function compareDrives(plan: Plan, measured = nothingMeasured): DriveColumn[] {
  const own =
    Object.keys(plan.drive).length > 0
      ? [{ id: undefined, name: plan.drive.name?.trim() || 'In the plan', plate: plan.drive }]
      : []
  const thought = plan.candidates.drives.map(({ id, name, plate }, i) => ({
    id,
    name: name?.trim() || plate.name?.trim() || `Drive ${i + 1}`,
    plate: namedDrive(name, plate),
  }))
  return [...own, ...thought].map(({ id, name, plate }) => {
    const tried = id === undefined ? plan : applyPatch(plan, takeDrive(plate))
    const evaluation = evaluate(tried, undefined, measured)
    const ledger = continued(tried, evaluation)
    const slowest = slowestJob(evaluation, ledger)
    const ingress = ingressOf(plate.enclosure)
    const parts = costParts(tried)
    return {
      id,
      name,
      plate,
      slowest,
      needs: terminalNeeds(tried, plate),
      letsIn: ingress ? letsIn(ingress, plan.survey.hazards) : undefined,
      cost: trueCost(ledger, parts),
      parts,
      evaluation: { ...evaluation, figures: ledger.figures, blocked: ledger.blocked },
    }
  })
}

/** The bare drive and what it then wants here. */
function costParts({ drive, installation, controls }: Plan): CostPart[] {
  const sealed = ingressOf(drive.enclosure)
  return [
    { what: 'bare', price: drive.price, wanted: true },
    {
      what: 'box and glands',
      price: drive.boxPrice,
      wanted: installation.place === 'in-box' || (sealed !== undefined && sealed.solids < 4),
    },
    { what: 'brake resistor', price: drive.resistorPrice, wanted: drive.resistor !== undefined },
    { what: 'keypad lead', price: drive.keypadLeadPrice, wanted: controls.remoteKeypad === true },
    {
      what: 'filter or choke',
      price: drive.filterPrice,
      wanted: installation.outputFilter === true || drive.filterPrice !== undefined,
    },
  ]
}

const paths: Readonly<Record<CostPart['what'], FieldFigureId>> = {
  bare: 'drive.price',
  'box and glands': 'drive.boxPrice',
  'brake resistor': 'drive.resistorPrice',
  'keypad lead': 'drive.keypadLeadPrice',
  'filter or choke': 'drive.filterPrice',
}

function trueCost(ledger: Ledger, parts: readonly CostPart[]): FigureState {
  const naming = named('drive.trueCost', 'True cost, all in', 'money')
  const wanted = parts.filter((p) => p.wanted)
  const from = wanted.map((p) => ledger.given(paths[p.what], p.what))
  if (wanted.some((p) => p.price === undefined)) return ledger.block(naming, from)
  return ledger.derive(costSum, 'cost', naming, {
    prices: {
      raw: wanted.map((p) => p.price),
      shown: wanted.map((p) => p.what).join(', '),
      label: 'The bare price and what this drive then wants here, as typed',
      from,
    },
  })
}
