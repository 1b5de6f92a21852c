type KeyOf<U> = U extends unknown ? keyof U : never

/**
 * A union whose members may all be asked for any key of any of them; where a member does not have it, it is unknown.
 *
 *     AllKeys<{ kind: 'a'; x?: number } | { kind: 'b' }>['x'] // number | undefined
 */
export type AllKeys<U, K extends PropertyKey = KeyOf<U>> = U extends unknown
  ? U & { [Missing in Exclude<K, keyof U>]?: undefined }
  : never
