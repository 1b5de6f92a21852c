import type { Plan } from './plan'

/** Paths to everything that stands in a value, their steps joined by dots; items of a list go by their index. */
type PathsIn<T> = T extends readonly (infer Item)[]
  ? `${number}` | `${number}.${PathsIn<Item>}`
  : T extends object
    ? { [K in keyof T & string]: K | `${K}.${PathsIn<T[K]>}` }[keyof T & string]
    : never

/** A path into the plan: `survey.positions.0.name`. Paths that no plan has do not compile. */
export type PlanPath = PathsIn<Omit<Plan, 'manual'>> | 'manual'

/** What stands under a key of a value, whichever kind of a union the value is. */
type Under<T, K extends string> = T extends readonly (infer Item)[]
  ? K extends `${number}`
    ? Item
    : never
  : T extends object
    ? K extends keyof T
      ? T[K]
      : never
    : never

type ValueIn<T, P extends string> = P extends `${infer First}.${infer Rest}`
  ? ValueIn<Under<T, First>, Rest>
  : Under<T, P>

/** What stands at a path of the plan: a number at `motor.powerW`. Undefined too where it may be unknown. */
export type ValueAt<P extends PlanPath> = ValueIn<Plan, P>

/** One position, stage of a train, job or thing that spins, by where it stands in its list. */
export type PositionPath = `survey.positions.${number}`
export type TransmissionStagePath = `${PositionPath}.transmission.${number}`
export type JobPath = `survey.jobs.${number}`
export type HolderPath = `survey.holders.${number}`
