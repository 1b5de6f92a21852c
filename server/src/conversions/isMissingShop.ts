const FOREIGN_KEY_VIOLATION = '23503'

/** Whether a row was refused because its shop is not there. */
export const isMissingShop = (error: unknown): boolean =>
  error instanceof Error && (('code' in error && error.code === FOREIGN_KEY_VIOLATION) || isMissingShop(error.cause))
