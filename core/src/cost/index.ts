export * from './costSum'
export * from './routeCost'
export * from './crossover'
