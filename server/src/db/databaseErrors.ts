/** An error and what caused it, in turn; what throws wraps the driver's error. */
export function causes(error: unknown): Error[] {
  const chain: Error[] = []
  for (let e = error; e instanceof Error && !chain.includes(e); e = e.cause) chain.push(e)
  return chain
}

/** Codes that PostgreSQL or the socket gave, outermost first. */
export const databaseCodes = (error: unknown): string[] =>
  causes(error).flatMap((e) => ('code' in e && typeof e.code === 'string' ? [e.code] : []))

/** PostgreSQL's unique_violation. */
export const isNameTaken = (error: unknown): boolean => databaseCodes(error).includes('23505')
