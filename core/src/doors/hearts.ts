// Machines of other hearts: what a spindle, a commanded speed and a driver's leads are held against.
export { commandedRanges, isCommanded, type CommandedRange } from '../commanded/commandedRanges'
export { registerWord, type RegisterWord } from '../commanded/registerWord'
export { commandedOf } from '../commanded/commandedOf'
export { registerScales } from '../stages/registerScales'
export { registersOf } from '../commanded/registersOf'
export { warmUpSteps } from '../findings/warmUpSteps'
export { MOST_COMMAND_READINGS, type CommandReading } from '../plan/commanded'
export { leadOrderIds, leadOrders, type LeadOrder } from '../plan/driver'
