import type { Reading } from './measurement'

/**
 * Readings that were taken at a stage of the run-in say so in what they are of. They are held against what that stage
 * expects, and not counted among coasts, run-ups and amps of the machine as it works: another thing was on it.
 */
export const RUN_IN = 'Run-in: '

/** Of which stage and thing a reading is, in words: `Run-in: bare motor, housing`. */
export const ofRunIn = (stage: string, thing?: string): string =>
  `${RUN_IN}${stage}${thing === undefined ? '' : `, ${thing}`}`

/** Whether a reading was taken at a stage of the run-in. */
export const isOfRunIn = ({ of }: Pick<Reading, 'of'>): boolean => of?.startsWith(RUN_IN) === true

/** By what the newest reading of a thing is found again. */
export const takenKey = ({
  kind,
  of,
  lead,
  positionId,
}: Pick<Reading, 'kind' | 'of' | 'lead' | 'positionId'>): string =>
  [kind, of ?? '', lead ?? '', positionId ?? ''].join('|')
