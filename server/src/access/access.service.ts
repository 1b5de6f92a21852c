import { Inject, Injectable } from '@nestjs/common'
import type { Device, Invitation, NewInvitation, NewPerson, Pair, Person, SignIn } from '@zesty/core/http'
import { and, asc, count, eq, gt, lt, sql } from 'drizzle-orm'
import { conversionMustExist } from '../conversions/conversionMustExist'
import { DATABASE, type Database } from '../db/database'
import { isNameTaken } from '../db/databaseErrors'
import { attempts, conversions, devices, invitations, people } from '../db/schema'
import { notFound, Problem } from '../problems/problem'
import { NETWORK, networkTools, type Network } from './network'
import { hashOf, newToken, newWords, wordsMeant } from './secrets'
import type { Asker } from './who'

const MINUTE_MS = 60_000
/** How long a way in stands open. */
const INVITED_MS = 10 * MINUTE_MS
/** Ways in that may be tried within as long, from one address and from all together. */
const TRIES_EACH = 10
const TRIES_ALL = 100
/** A device is noted as seen at most so often. */
const SEEN_MS = MINUTE_MS

const STRANGE_WORDS = 'These words let nobody in: they hold once, for ten minutes. Have new ones shown at the computer.'

/** What is known of a device that is let in. */
const known = {
  id: devices.id,
  name: devices.name,
  person: people.name,
  rights: devices.rights,
  conversionId: devices.conversionId,
  lastSeenAt: devices.lastSeenAt,
}

type Rights = Pick<typeof devices.$inferInsert, 'rights' | 'conversionId' | 'personId'>

/** Who is let in from other machines, and who no longer is. All of it stands in the database, none in this process. */
@Injectable()
export class AccessService {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(NETWORK) private readonly network: Network | undefined,
  ) {}

  /** Whoever has shown this token; undefined where it lets nobody in. */
  async askerOf(token: string): Promise<Asker | undefined> {
    const [found] = await this.db
      .select({
        ...known,
        shopId: conversions.shopId,
      })
      .from(devices)
      .leftJoin(people, eq(people.id, devices.personId))
      .leftJoin(conversions, eq(conversions.id, devices.conversionId))
      .where(eq(devices.tokenHash, hashOf(token)))
    if (!found) return undefined
    const now = new Date()
    if (now.getTime() - found.lastSeenAt.getTime() > SEEN_MS)
      await this.db.update(devices).set({ lastSeenAt: now }).where(eq(devices.id, found.id))
    return {
      at: 'network',
      name: found.person === null ? found.name : `${found.person}, ${found.name}`,
      rights: found.rights,
      deviceId: found.id,
      conversionId: found.conversionId ?? undefined,
      shopId: found.shopId ?? undefined,
    }
  }

  /** Opens a way in. Only the hash of its words is kept: they are told this once. */
  async invite({ rights, conversionId }: NewInvitation): Promise<Invitation> {
    const { network } = this
    if (!network)
      throw new Problem(409, 'No other machine can reach this one: start it with --host and this machine’s address.')
    if (conversionId !== undefined) await conversionMustExist(this.db, conversionId)
    const words = newWords()
    const { toString: pictureOf } = (await networkTools()).qr
    const expiresAt = new Date(Date.now() + INVITED_MS)
    await this.db.delete(invitations).where(lt(invitations.expiresAt, new Date()))
    await this.db.insert(invitations).values({ codeHash: hashOf(words), rights, conversionId, expiresAt })
    // After the mark, so that no server on the way is told the words.
    const address = `${network.address}/pair#${words.replaceAll(' ', '-')}`
    return {
      words,
      address,
      qr: await pictureOf(address, { type: 'svg', margin: 2 }),
      expiresAt: expiresAt.toISOString(),
      ...(network.fingerprint === undefined ? {} : { fingerprint: network.fingerprint }),
    }
  }

  /** Lets a device in for the words it was told, once. Returns what it shows from then on. */
  async pair({ words, deviceName }: Pair, origin: string): Promise<string> {
    return this.tried(origin, STRANGE_WORDS, () =>
      this.db.transaction(async (tx) => {
        const [used] = await tx
          .delete(invitations)
          .where(and(eq(invitations.codeHash, hashOf(wordsMeant(words))), gt(invitations.expiresAt, new Date())))
          .returning()
        return used && admit(tx, deviceName, { rights: used.rights, conversionId: used.conversionId })
      }),
    )
  }

  /** Lets a device in for a name and its pass-phrase. */
  async signIn({ name, passphrase, deviceName }: SignIn, origin: string): Promise<string> {
    return this.tried(origin, 'There is no such name with this pass-phrase.', async () => {
      const [person] = await this.db.select().from(people).where(eq(people.name, name))
      // A name that is not there takes as long as one that is.
      const { hash, verify } = (await networkTools()).argon2
      const right = await verify(person?.passphraseHash ?? (await hash(newToken())), passphrase)
      return person && right ? admit(this.db, deviceName, { rights: person.rights, personId: person.id }) : undefined
    })
  }

  /** One try of a way in: counted before it is made, so that many at once are no more than one after the other. */
  private async tried(origin: string, refusal: string, way: () => Promise<string | undefined>): Promise<string> {
    const id = await this.db.transaction(async (tx) => {
      // Whoever tries meanwhile waits here, and then sees this one.
      await tx.execute(sql`select pg_advisory_xact_lock(hashtext('tries'))`)
      const since = new Date(Date.now() - INVITED_MS)
      await tx.delete(attempts).where(lt(attempts.at, since))
      const [there] = await tx
        .select({ all: count(), own: sql<number>`count(*) filter (where ${attempts.origin} = ${origin})::int` })
        .from(attempts)
      if ((there?.all ?? 0) >= TRIES_ALL || (there?.own ?? 0) >= TRIES_EACH)
        throw new Problem(429, 'Too many were tried. Wait ten minutes.', { title: 'Too many attempts' })
      const [made] = await tx.insert(attempts).values({ origin }).returning({ id: attempts.id })
      return made?.id
    })
    const token = await way()
    if (token === undefined) throw new Problem(403, refusal)
    if (id !== undefined) await this.db.delete(attempts).where(eq(attempts.id, id))
    return token
  }

  async devices(): Promise<Device[]> {
    const rows = await this.db
      .select({
        ...known,
        pairedAt: devices.pairedAt,
      })
      .from(devices)
      .leftJoin(people, eq(people.id, devices.personId))
      .orderBy(asc(devices.pairedAt), asc(devices.id))
    return rows.map(({ person, conversionId, pairedAt, lastSeenAt, ...row }) => ({
      ...row,
      ...(person === null ? {} : { person }),
      ...(conversionId === null ? {} : { conversionId }),
      pairedAt: pairedAt.toISOString(),
      lastSeenAt: lastSeenAt.toISOString(),
    }))
  }

  /** A device that is withdrawn is a stranger at its next request. */
  async withdraw(id: string): Promise<void> {
    const gone = await this.db.delete(devices).where(eq(devices.id, id)).returning({ id: devices.id })
    if (gone.length === 0) throw notFound('device')
  }

  async people(): Promise<Person[]> {
    return this.db.select({ id: people.id, name: people.name, rights: people.rights }).from(people).orderBy(people.name)
  }

  async addPerson({ name, passphrase, rights }: NewPerson): Promise<Person> {
    const passphraseHash = await (await networkTools()).argon2.hash(passphrase)
    const [made] = await this.db
      .insert(people)
      .values({ name, passphraseHash, rights })
      .returning({ id: people.id })
      .catch((error: unknown) => {
        throw isNameTaken(error) ? new Problem(409, `There is a ${name} already.`, { title: 'Name taken' }) : error
      })
    if (!made) throw new Error('an insert gave no row')
    return { id: made.id, name, rights }
  }

  /** With somebody go the devices that they signed in on. */
  async removePerson(id: string): Promise<void> {
    const gone = await this.db.delete(people).where(eq(people.id, id)).returning({ id: people.id })
    if (gone.length === 0) throw notFound('person')
  }
}

async function admit(db: Pick<Database, 'insert'>, name: string, rights: Rights): Promise<string> {
  const token = newToken()
  await db.insert(devices).values({ tokenHash: hashOf(token), name, ...rights })
  return token
}
