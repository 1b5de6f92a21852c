import type { Response } from 'express'

/** The prefix binds it to this very server and to an encrypted way; browsers refuse it without. */
const SAFE = '__Host-zesty-device'
const PLAIN = 'zesty-device'
/** Browsers keep a cookie for at most 400 days; each visit is a new start. */
const KEPT_MS = 400 * 86_400_000

/** What a device shows, of the `Cookie` header. */
export function tokenIn(header: string | undefined): string | undefined {
  for (const part of (header ?? '').split(';')) {
    const [name = '', value = ''] = part.trim().split('=', 2)
    if (name === SAFE || name === PLAIN) return value
  }
  return undefined
}

/** Gives a device what it shows from now on; its page cannot read it, and no other site’s can send it. */
export function giveToken(res: Response, token: string, isEncrypted: boolean): void {
  res.cookie(isEncrypted ? SAFE : PLAIN, token, {
    httpOnly: true,
    sameSite: 'strict',
    secure: isEncrypted,
    path: '/',
    maxAge: KEPT_MS,
  })
}

export function takeToken(res: Response, isEncrypted: boolean): void {
  res.clearCookie(isEncrypted ? SAFE : PLAIN, { httpOnly: true, sameSite: 'strict', secure: isEncrypted, path: '/' })
}
