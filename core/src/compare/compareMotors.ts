import { evaluate } from '../conversion/evaluate'
import type { Evaluation } from '../evaluate/evaluation'
import { nothingMeasured } from '../measurements/measured'
import { ofMachine } from '../measurements/ofMachine'
import { applyPatch, type MotorPlate, type Plan } from '../plan'
import { motorFit, type FitLine } from './motorFit'
import { continued, slowestJob, type SlowestJob } from './slowestJob'
import { takeMotor } from '../plan/takePlate'

/** A motor as it would do in this plan. */
export interface MotorColumn {
  /** Undefined for the motor that the plan has now. */
  id: string | undefined
  name: string
  plate: MotorPlate
  /** The plan judged with this motor, settings as the card would have them; its figures open to their working. */
  evaluation: Evaluation
  slowest: SlowestJob | undefined
  fit: FitLine[]
  jobsReached: number
  jobs: number
}

/** The plan's motor, where its plate says anything, and every motor thought of, side by side, judged by what was read off the machine too. */
export function compareMotors(plan: Plan, measured = nothingMeasured): MotorColumn[] {
  const own = Object.keys(plan.motor).length > 0 ? [{ id: undefined, name: 'In the plan', plate: plan.motor }] : []
  const thought = plan.candidates.motors.map(({ id, name, plate }, i) => ({
    id,
    name: name?.trim() || `Motor ${i + 1}`,
    plate,
  }))
  return [...own, ...thought].map(({ id, name, plate }) => {
    const tried = id === undefined ? plan : applyPatch(plan, takeMotor(plate))
    const evaluation = evaluate(tried, undefined, id === undefined ? measured : ofMachine(measured))
    const ledger = continued(tried, evaluation)
    const slowest = slowestJob(evaluation, ledger)
    return {
      id,
      name,
      plate,
      evaluation: { ...evaluation, figures: ledger.figures, blocked: ledger.blocked },
      slowest,
      fit: motorFit(plan.oldMotor, plate),
      jobsReached: evaluation.jobs.filter((j) => j.doneOn.length > 0).length,
      jobs: evaluation.jobs.length,
    }
  })
}
