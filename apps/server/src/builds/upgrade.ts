import { checkedBuild } from '@snug/contract'
import { migrated, sameJson, SCHEMA, type Build, type Edit, type Json } from '@snug/core'
import { eq, sql } from 'drizzle-orm'
import type { Db } from '../db/open'
import { builds, events } from '../db/schema'

const LABEL = 'Brought up to date with this Snug Bolt'

/**
 * Brings every build kept by an earlier Snug Bolt to the form of this one: a change like any other in its list of changes, so that
 * an earlier state can still be fetched. Single changes from before cannot be undone any more, since they speak of another form.
 * A build that the rules would refuse afterwards is left as it lies.
 * @returns ids of those that were left
 */
export async function bringUpToDate(db: Db): Promise<string[]> {
  const earlier = await db
    .select({ id: builds.id })
    .from(builds)
    .where(sql`${builds.doc}->>'schema' IS DISTINCT FROM ${String(SCHEMA)}`)
  const left: string[] = []
  // One by one, so that a thousand of them are never held at once.
  for (const { id } of earlier) if (!(await upgraded(db, id))) left.push(id)
  return left
}

const upgraded = (db: Db, id: string): Promise<boolean> =>
  db.transaction(async (tx) => {
    const [row] = await tx.select().from(builds).where(eq(builds.id, id)).for('update')
    // Another process on the same database may have been sooner.
    if (row!.doc.schema === SCHEMA) return true
    const result = checkedBuild(migrated(row!.doc))
    if (!result.ok) return false
    const revision = row!.revision + 1
    const at = new Date().toISOString()
    await tx.insert(events).values({ buildId: id, revision, at, kind: 'change', label: LABEL, edits: editsBetween(row!.doc, result.value) })
    await tx.update(builds).set({ doc: result.value, revision, updatedAt: at, undo: [], redo: [] }).where(eq(builds.id, id))
    return true
  })

/** The edits, a top-level key each, that turn one document into another. */
export function editsBetween(before: Build, after: Build): Edit[] {
  const [a, b] = [before, after] as unknown as [Record<string, Json>, Record<string, Json>]
  return [...new Set([...Object.keys(a), ...Object.keys(b)])]
    .filter((k) => !sameJson(a[k], b[k]))
    .map((k) => ({ path: [k], ...(a[k] === undefined ? {} : { from: a[k] }), ...(b[k] === undefined ? {} : { to: b[k] }) }))
}
