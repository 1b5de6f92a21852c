import type { FastifyReply, FastifyRequest } from 'fastify'

/** The prefix binds it to this very server and to an encrypted way; browsers refuse it without. */
const SAFE = '__Host-zesty-device'
const PLAIN = 'zesty-device'
/** Browsers keep a cookie for at most 400 days; each visit is a new start. */
const KEPT_S = 400 * 86_400

/**
 * What a device shows, of the `Cookie` header: on an encrypted way by the bound name alone, since the plain one may have been
 * planted by whoever answers at another port or another name.
 */
export function tokenIn(header: string | undefined, isEncrypted: boolean): string | undefined {
  const wanted = isEncrypted ? SAFE : PLAIN
  for (const part of (header ?? '').split(';')) {
    const [name = '', value = ''] = part.trim().split('=', 2)
    if (name === wanted) return value
  }
  return undefined
}

/** Whether a request came by an encrypted way. */
export const isEncrypted = ({ protocol }: FastifyRequest): boolean => protocol === 'https'

/** Gives a device what it shows from now on; its page cannot read it, and no other site’s can send it. */
export const giveToken = (reply: FastifyReply, token: string, isEncrypted: boolean): void =>
  setCookie(reply, token, KEPT_S, isEncrypted)

export const takeToken = (reply: FastifyReply, isEncrypted: boolean): void => setCookie(reply, '', 0, isEncrypted)

function setCookie(reply: FastifyReply, value: string, seconds: number, isEncrypted: boolean): void {
  const safe = isEncrypted ? '; Secure' : ''
  reply.header(
    'Set-Cookie',
    `${isEncrypted ? SAFE : PLAIN}=${value}; Max-Age=${seconds}; Path=/; HttpOnly${safe}; SameSite=Strict`,
  )
}
