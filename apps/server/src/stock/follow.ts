import { partsMoved, putBy, type Build, type Change } from '@snug/core'
import { and, eq, or, sql } from 'drizzle-orm'
import type { Db } from '../db/open'
import { stock } from '../db/schema'

/**
 * Reservations follow the slots of a build: written in the build's own transaction, so that undo takes them along.
 * @param db the transaction the change is written in
 * @returns whether anything in the stash is put by, or free, that was not
 */
export async function followSlots(
  db: Pick<Db, 'select' | 'update'>,
  build: { id: string; benchId: string },
  change: Change,
  after: Build,
): Promise<boolean> {
  const moved = partsMoved(change)
  if (!moved.length) return false
  const named = moved.map(({ kind, name }) => and(eq(stock.kind, kind), sql`${stock.doc}->'part'->>'name' = ${name}`))
  const rows = await db
    .select()
    .from(stock)
    .where(and(eq(stock.benchId, build.benchId), eq(stock.holding, 'stash'), or(...named)))
    .orderBy(stock.createdAt, stock.id)
    .for('update')
  const touched = putBy(
    change,
    after,
    build.id,
    rows.map((r) => ({ id: r.id, ...r.doc })),
  )
  for (const { id, ...doc } of touched) await db.update(stock).set({ doc }).where(eq(stock.id, id))
  return touched.length > 0
}
