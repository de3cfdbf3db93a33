import { LIMITS, sameJson, type Edit, type Json } from '@snug/core'
import { and, asc, eq, gt, inArray, lt, sql } from 'drizzle-orm'
import type { Db } from '../db/open'
import { builds, events } from '../db/schema'

/** Changes of one place within such a while are one act of a person: turning a number until it is right. [ours] */
const ONE_ACT = 3_600_000
/** Events looked at together. */
const PAGE = 1000

type Row = typeof events.$inferSelect

/**
 * Brings the older part of every long history into less: where one and the same place was changed several times within an hour, only
 * what it was before and what it was at last is kept. What can still be taken back one by one is not touched.
 * @returns how many events were given up
 */
export async function compactAll(db: Db): Promise<number> {
  const long = await db
    .select({ id: events.buildId })
    .from(events)
    .groupBy(events.buildId)
    .having(sql`count(*) > ${2 * LIMITS.undo}`)
  let gone = 0
  for (const { id } of long) gone += await compact(db, id)
  return gone
}

export async function compact(db: Db, id: string): Promise<number> {
  let gone = 0
  // The last of a page may go together with the first of the next, so it is looked at again with it.
  for (let from: number | undefined = 0; from !== undefined; ) {
    const next: { gone: number; on: number | undefined } = await page(db, id, from)
    gone += next.gone
    from = next.on
  }
  return gone
}

const page = (db: Db, id: string, from: number): Promise<{ gone: number; on: number | undefined }> =>
  db.transaction(async (tx) => {
    const [build] = await tx
      .select({ revision: builds.revision, undo: builds.undo, redo: builds.redo })
      .from(builds)
      .where(eq(builds.id, id))
      .for('update')
    if (!build) return { gone: 0, on: undefined }
    const before = Math.min(build.revision - LIMITS.undo, ...build.undo, ...build.redo)
    const rows = await tx
      .select()
      .from(events)
      .where(and(eq(events.buildId, id), gt(events.revision, from), lt(events.revision, before)))
      .orderBy(asc(events.revision))
      .limit(PAGE)
    const { kept, given } = brought(rows)
    for (const row of kept)
      await tx
        .update(events)
        .set({ edits: row.edits, kind: 'change' })
        .where(and(eq(events.buildId, id), eq(events.revision, row.revision)))
    if (given.length) await tx.delete(events).where(and(eq(events.buildId, id), inArray(events.revision, given)))
    const last = rows.at(-1)?.revision
    return { gone: given.length, on: rows.length < PAGE || last === undefined ? undefined : last - 1 }
  })

/** What becomes of a stretch of events. @returns those that now say more than before, and the revisions that are given up */
export function brought(rows: readonly Row[]): { kept: Row[]; given: number[] } {
  const kept = new Map<number, Row>()
  const given: number[] = []
  let last: Row | undefined
  for (const row of rows) {
    const one: Row | undefined = last && together(last, row)
    if (one && last) {
      given.push(last.revision)
      kept.delete(last.revision)
      kept.set(one.revision, one)
    }
    last = one ?? row
  }
  return { kept: [...kept.values()], given }
}

/** Two events that follow each other, as one; nothing where they are not one act on one place. */
function together(a: Row, b: Row): Row | undefined {
  const [x, y] = [a.edits[0], b.edits[0]]
  if (!x || !y || a.edits.length > 1 || b.edits.length > 1) return undefined
  if (!sameJson(x.path as unknown as Json, y.path as unknown as Json) || !sameJson(x.to as Json, y.from as Json)) return undefined
  if (Date.parse(b.at) - Date.parse(a.at) > ONE_ACT) return undefined
  const edit: Edit = { path: y.path, ...(x.from === undefined ? {} : { from: x.from }), ...(y.to === undefined ? {} : { to: y.to }) }
  return { ...b, edits: [edit] }
}
