import { and, asc, eq, sql } from 'drizzle-orm'
import type { Db } from '../db/open'
import { builds, links } from '../db/schema'
import { HttpProblem } from '../http/problem'
import { newToken } from '../share/token'

/** Links to one build at once. [ours] */
const MOST = 20

export interface Link {
  token: string
  createdAt: string
}

export const listLinks = (db: Db, buildId: string): Promise<Link[]> =>
  db.select({ token: links.token, createdAt: links.createdAt }).from(links).where(eq(links.buildId, buildId)).orderBy(asc(links.createdAt))

export async function addLink(db: Db, buildId: string): Promise<Link> {
  const row = { token: `shown-${newToken()}`, buildId, createdAt: new Date().toISOString() }
  await db.transaction(async (tx) => {
    await tx.select({ id: builds.id }).from(builds).where(eq(builds.id, buildId)).for('update')
    const [{ n } = { n: 0 }] = await tx.select({ n: sql<number>`count(*)::int` }).from(links).where(eq(links.buildId, buildId))
    if (n >= MOST) throw new HttpProblem(422, `A build has at most ${MOST} links; take one back first.`)
    await tx.insert(links).values(row)
  })
  return { token: row.token, createdAt: row.createdAt }
}

/** Takes a link back: what it led to cannot be seen by it any more. */
export async function removeLink(db: Db, buildId: string, token: string): Promise<void> {
  const gone = await db
    .delete(links)
    .where(and(eq(links.token, token), eq(links.buildId, buildId)))
    .returning({ token: links.token })
  if (!gone.length) throw new HttpProblem(404, 'There is no such link any more.')
}

/** The build a link leads to. */
export async function buildShown(db: Db, token: string): Promise<string | undefined> {
  const [row] = await db.select({ id: links.buildId }).from(links).where(eq(links.token, token))
  return row?.id
}
