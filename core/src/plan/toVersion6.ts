import { asKind } from './asKind'
import { motorSchema } from './motorPlate'

type Tree = Record<string, unknown>

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null && !Array.isArray(value)

const withoutHertz = new Set(['dc', 'brushless', 'servo'])

/** A motor that has no hertz keeps none; any other stays as it is. */
function motorOf(motor: unknown): unknown {
  if (!isTree(motor)) return motor
  const { kind } = motor
  return typeof kind === 'string' && withoutHertz.has(kind) ? asKind(motorSchema, motor, kind) : motor
}

/**
 * Version 6 gives machines of other hearts their sections, and takes hertz, a second voltage and cos phi from motors that
 * have none.
 */
export function toVersion6(document: Tree): Tree {
  const { motor, candidates } = document
  const motors: unknown = isTree(candidates) ? candidates['motors'] : undefined
  return {
    dcDrive: {},
    driver: {},
    highFrequency: {},
    commanded: {},
    ...document,
    motor: motorOf(motor),
    ...(isTree(candidates) && Array.isArray(motors)
      ? {
          candidates: {
            ...candidates,
            motors: motors.map((one: unknown) => (isTree(one) ? { ...one, plate: motorOf(one['plate']) } : one)),
          },
        }
      : {}),
  }
}
