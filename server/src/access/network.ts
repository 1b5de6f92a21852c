/** Injection token of how other machines reach this one; undefined where it answers to itself alone. */
export const NETWORK = Symbol('network')

/**
 * What only a shop with a network needs, and which is large: loaded when it is opened to it, while every file may still be
 * read.
 */
export async function networkTools() {
  const [qr, argon2] = await Promise.all([import('qrcode'), import('@node-rs/argon2')])
  return { qr, argon2 }
}

export interface Network {
  /** `https://192.0.2.7:4748` */
  address: string
  /** Names and addresses under which it may be asked for. */
  names: ReadonlySet<string>
  /** SHA-256 of the certificate; none where it is not encrypted. */
  fingerprint?: string
}
