import { X509Certificate } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { generate } from 'selfsigned'
import type { TlsKeys } from '../guard/listener'

const DAY_MS = 86_400_000
/** Phones take no certificate that holds longer. */
const HOLDS_MS = 820 * DAY_MS
/** It is made anew when it ends within so long. */
const RENEWED_MS = 30 * DAY_MS

/**
 * The shop's own certificate, for these names and addresses; made on first use, and again where it ends soon or lacks a
 * name. A device that has taken it once sees the same from then on.
 */
export async function shopCertificate(
  folder: string,
  names: readonly string[],
): Promise<TlsKeys & { fingerprint: string }> {
  const file = join(folder, 'certificate.json')
  const kept = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as TlsKeys) : undefined
  const keys = kept && isGood(new X509Certificate(kept.cert), names) ? kept : await made(names)
  if (keys !== kept) {
    mkdirSync(folder, { recursive: true, mode: 0o700 })
    writeFileSync(`${file}.making`, JSON.stringify(keys), { mode: 0o600 })
    renameSync(`${file}.making`, file)
  }
  return { ...keys, fingerprint: new X509Certificate(keys.cert).fingerprint256 }
}

function isGood(certificate: X509Certificate, names: readonly string[]): boolean {
  const ends = new Date(certificate.validTo).getTime()
  return (
    ends - Date.now() > RENEWED_MS &&
    names.every((name) => (isIP(name) === 0 ? certificate.checkHost(name) : certificate.checkIP(name)) !== undefined)
  )
}

async function made(names: readonly string[]): Promise<TlsKeys> {
  const { private: key, cert } = await generate([{ name: 'commonName', value: 'Zesty Lathe, this shop' }], {
    keyType: 'ec',
    curve: 'P-256',
    notBeforeDate: new Date(Date.now() - DAY_MS),
    notAfterDate: new Date(Date.now() + HOLDS_MS),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) => (isIP(name) === 0 ? { type: 2, value: name } : { type: 7, ip: name })),
      },
    ],
  })
  return { key, cert }
}
