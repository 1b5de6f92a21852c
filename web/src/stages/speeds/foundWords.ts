import { connections, type Found } from '@zesty/core'

/** How the motor of a found combination is linked, in small letters. */
export const connectionWords = ({ motor }: Found): string => connections[motor.connection].toLowerCase()
