import { and, asc, eq, gt, isNotNull, lt, ne, sql } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { tell } from '../db/news'
import type { Db } from '../db/open'
import { benches, sessions } from '../db/schema'
import { isPhrase, keptPhrase, newPhrase } from '../share/phrase'
import { hashed, newToken } from '../share/token'

/** Letters a bench's name has at most. */
export const NAME_AT_MOST = 60
/** Days a device stays signed in. [ours] */
const DAYS = 30
/** Wrong phrases that may be said for one bench in an hour, whoever says them; nobody guesses five words with these. [ours] */
const WRONG_AT_MOST = 20
const HOUR = 3_600_000

/** What cannot be done with benches, in one sentence. */
export class BadBench extends Error {}

const plainName = (name: string) => name.normalize('NFC').trim().replace(/\s+/g, ' ')

export interface BenchAbout {
  id: string
  name: string
  /** Somebody can sign in to it. */
  open: boolean
}

export const listBenches = async (db: Db): Promise<BenchAbout[]> =>
  (await db.select({ id: benches.id, name: benches.name, phrase: benches.phrase }).from(benches).orderBy(asc(benches.name))).map(
    ({ phrase, ...b }) => ({ ...b, open: phrase !== null }),
  )

/** Is there one that somebody can sign in to? */
export const anyBench = async (db: Db): Promise<boolean> => (await listBenches(db)).some((b) => b.open)

/** Names of the benches a build can be handed to. */
export const otherBenches = async (db: Db, bench: string): Promise<string[]> =>
  (
    await db
      .select({ name: benches.name })
      .from(benches)
      .where(and(ne(benches.id, bench), isNotNull(benches.phrase)))
      .orderBy(asc(benches.name))
  ).map((b) => b.name)

/** A new bench. @returns its pass-phrase, which is kept nowhere @throws BadBench */
export async function addBench(db: Db, said: string, phrase = newPhrase()): Promise<string> {
  const name = plainName(said)
  if (!name || name.length > NAME_AT_MOST) throw new BadBench(`A bench has a name of 1 to ${NAME_AT_MOST} letters.`)
  const row = { id: randomUUID(), name, phrase: await keptPhrase(phrase), updatedAt: new Date().toISOString() }
  const made = await db.insert(benches).values(row).onConflictDoNothing({ target: benches.name }).returning({ id: benches.id })
  if (!made.length) throw new BadBench(`There is a bench called ${name} already.`)
  return phrase
}

/** A new pass-phrase for a bench, and nobody is signed in to it any more. @throws BadBench */
export async function newPhraseFor(db: Db, said: string, phrase = newPhrase()): Promise<string> {
  const name = plainName(said)
  const set = { phrase: await keptPhrase(phrase), wrong: 0, wrongSince: null, updatedAt: new Date().toISOString() }
  const id = await db.transaction(async (tx) => {
    const [row] = await tx.update(benches).set(set).where(eq(benches.name, name)).returning({ id: benches.id })
    if (!row) throw new BadBench(`There is no bench called ${name}.`)
    await tx.delete(sessions).where(eq(sessions.benchId, row.id))
    return row.id
  })
  tell(db, { signedIn: true }, id)
  return phrase
}

/** Another name for a bench. @throws BadBench */
export async function renameBench(db: Db, from: string, to: string): Promise<void> {
  const [old, name] = [plainName(from), plainName(to)]
  if (!name || name.length > NAME_AT_MOST) throw new BadBench(`A bench has a name of 1 to ${NAME_AT_MOST} letters.`)
  const id = await db.transaction(async (tx) => {
    const [taken] = await tx.select({ id: benches.id }).from(benches).where(eq(benches.name, name))
    if (taken) throw new BadBench(`There is a bench called ${name} already.`)
    const rows = await tx.update(benches).set({ name }).where(eq(benches.name, old)).returning({ id: benches.id })
    if (!rows.length) throw new BadBench(`There is no bench called ${old}.`)
    return rows[0]!.id
  })
  tell(db, { signedIn: true }, id)
}

/** Kept for comparing where there is no such bench, so that the answer takes as long. */
const nobody = keptPhrase(newPhrase())

/**
 * Signs a device in.
 * @returns its token; nothing where name and phrase do not belong together; 'wait' after too many wrong ones
 */
export async function signIn(db: Db, name: string, phrase: string, now = Date.now()): Promise<string | 'wait' | undefined> {
  const [row] = await db
    .select()
    .from(benches)
    .where(eq(benches.name, plainName(name)))
  const since = row?.wrongSince ? Date.parse(row.wrongSince) : 0
  if (row && row.wrong >= WRONG_AT_MOST && now - since < HOUR) return 'wait'
  const right = await isPhrase(row?.phrase ?? (await nobody), phrase)
  if (!row?.phrase) return undefined
  if (!right) {
    const hourAgo = new Date(now - HOUR).toISOString()
    const fresh = sql`(${benches.wrongSince} is null or ${benches.wrongSince} < ${hourAgo})`
    await db
      .update(benches)
      .set({
        wrong: sql`case when ${fresh} then 1 else ${benches.wrong} + 1 end`,
        wrongSince: sql`case when ${fresh} then ${new Date(now).toISOString()}::timestamptz else ${benches.wrongSince} end`,
      })
      .where(eq(benches.id, row.id))
    return undefined
  }
  const token = newToken()
  await db.transaction(async (tx) => {
    await tx.delete(sessions).where(lt(sessions.until, new Date(now).toISOString()))
    await tx.insert(sessions).values({ token: hashed(token), benchId: row.id, until: new Date(now + DAYS * 24 * HOUR).toISOString() })
  })
  return token
}

/** Whose token it is, while it holds. */
export async function signedIn(db: Db, token: string | undefined, now = Date.now()): Promise<{ id: string; name: string } | undefined> {
  if (!token) return undefined
  const [row] = await db
    .select({ id: benches.id, name: benches.name })
    .from(sessions)
    .innerJoin(benches, eq(benches.id, sessions.benchId))
    .where(and(eq(sessions.token, hashed(token)), gt(sessions.until, new Date(now).toISOString())))
  return row
}

export async function signOut(db: Db, token: string): Promise<void> {
  const [row] = await db
    .delete(sessions)
    .where(eq(sessions.token, hashed(token)))
    .returning({ bench: sessions.benchId })
  if (row) tell(db, { signedIn: true }, row.bench)
}
