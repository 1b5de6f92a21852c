/** Preferred resistances within a decade (IEC 60063, E12). */
const E12 = [1, 1.2, 1.5, 1.8, 2.2, 2.7, 3.3, 3.9, 4.7, 5.6, 6.8, 8.2]

/** Resistances from stock, from a tenth of an ohm to under a megohm, rising. Source: IEC 60063, series E12. */
export const preferredOhms: readonly number[] = [-1, 0, 1, 2, 3, 4, 5].flatMap((d) =>
  E12.map((e) => Number((e * 10 ** d).toPrecision(2))),
)
