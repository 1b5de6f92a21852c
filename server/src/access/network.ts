/** Injection token of how other machines reach this one; undefined where it answers to itself alone. */
export const NETWORK = Symbol('network')

export interface Network {
  /** `https://192.0.2.7:4748` */
  address: string
  /** Names and addresses under which it may be asked for. */
  names: ReadonlySet<string>
  /** SHA-256 of the certificate; none where it is not encrypted. */
  fingerprint?: string
}
