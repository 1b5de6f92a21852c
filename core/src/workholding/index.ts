export * from './wheelSpeed'
export * from './cylinderInertia'
export * from './unscrew'
