import { evaluate, type Evaluation } from '../evaluate/evaluate'
import type { Reading } from '../evaluate/figure'
import { ingressOf, letsIn } from '../evaluate/ingress'
import type { Ledger } from '../evaluate/ledger'
import { terminalNeeds, type TerminalNeed } from '../evaluate/terminalNeeds'
import { applyPatch, type DrivePlate, type Hazard, type Plan } from '../plan'
import { continued, slowestJob, type SlowestJob } from './slowestJob'
import { takeDrive } from './takePlate'

/** One part of what a drive costs in the end. */
export interface CostPart {
  what: string
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
  cost: Reading
  parts: CostPart[]
}

/** The plan's drive, where its plate says anything, and every drive thought of, side by side. */
export function compareDrives(plan: Plan): DriveColumn[] {
  const own =
    Object.keys(plan.drive).length > 0
      ? [{ id: undefined, name: plan.drive.name?.trim() || 'In the plan', plate: plan.drive }]
      : []
  const thought = plan.candidates.drives.map(({ id, name, plate }, i) => ({
    id,
    name: name?.trim() || plate.name?.trim() || `Drive ${i + 1}`,
    plate,
  }))
  return [...own, ...thought].map(({ id, name, plate }) => {
    const tried = id === undefined ? plan : applyPatch(plan, takeDrive(plate))
    const evaluation = evaluate(tried)
    const ledger = continued(tried, evaluation)
    const slowest = slowestJob(tried, evaluation, ledger)
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
function costParts({ drive, mount, controls }: Plan): CostPart[] {
  const sealed = ingressOf(drive.enclosure)
  return [
    { what: 'bare', price: drive.price, wanted: true },
    {
      what: 'box and glands',
      price: drive.boxPrice,
      wanted: mount.place === 'in-box' || (sealed !== undefined && sealed.solids < 4),
    },
    { what: 'brake resistor', price: drive.resistorPrice, wanted: drive.resistorFitted === true },
    { what: 'keypad lead', price: drive.keypadLeadPrice, wanted: controls.remoteKeypad === true },
    {
      what: 'filter or choke',
      price: drive.filterPrice,
      wanted: mount.outputFilter === true || drive.filterPrice !== undefined,
    },
  ]
}

const paths: Readonly<Record<string, string>> = {
  bare: 'drive.price',
  'box and glands': 'drive.boxPrice',
  'brake resistor': 'drive.resistorPrice',
  'keypad lead': 'drive.keypadLeadPrice',
  'filter or choke': 'drive.filterPrice',
}

function trueCost(ledger: Ledger, parts: readonly CostPart[]): Reading {
  const naming = { id: 'drive.trueCost', label: 'True cost, all in', dimension: 'money' as const }
  const wanted = parts.filter((p) => p.wanted)
  const from = wanted.map((p) => ledger.given(paths[p.what] ?? 'drive.price', p.what))
  if (wanted.some((p) => p.price === undefined)) return ledger.block(naming, from)
  return ledger.stated(
    naming,
    wanted.reduce((sum, p) => sum + (p.price ?? 0), 0),
    'computed',
    from,
    'The bare price and what this drive then wants here, as typed',
  )
}
