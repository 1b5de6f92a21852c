import { connections, printNumber } from '@zesty/core'
import { type Combination } from '@zesty/core/search'

/** How the motor of a found combination is linked, in small letters. */
export const connectionWords = ({ motor }: Combination): string => connections[motor.connection].toLowerCase()

/** Pulleys with their belt, where a stock one is known; both are bought by millimetres everywhere. */
export const pulleyWords = ({ train, belts }: Combination): string =>
  train.beltMm === undefined
    ? train.name
    : `${train.name}, ${belts === undefined || belts === 1 ? 'belt' : `${belts} belts of`} ${printNumber(train.beltMm, 5, 1)} mm`
