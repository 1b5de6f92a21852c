export * from './voltageDrop'
export * from './protection'
export * from './cable'
export * from './sources'
