/** What turns a machine. Each has its own words, judgements, wiring and settings; the stages are the same. */
export const hearts = {
  inverter: 'A three-phase motor on a drive',
  dc: 'A DC motor and its drive',
  driver: 'A motor with a driver of its own',
} as const

export type Heart = keyof typeof hearts

export const heartIds = Object.keys(hearts) as Heart[]
