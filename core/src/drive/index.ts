export * from './busVoltage'
export * from './outputVoltage'
export * from './inputCurrent'
export * from './singlePhaseRating'
