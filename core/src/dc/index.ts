export * from './brushlessSpeed'
export * from './dcSpeed'
