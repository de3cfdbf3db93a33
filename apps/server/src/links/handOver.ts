import { and, eq, isNotNull, sql } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { tell } from '../db/news'
import type { Db } from '../db/open'
import { benches, builds, links, logEntries, stock } from '../db/schema'
import { HttpProblem } from '../http/problem'

/**
 * Gives a build to another bench: with its log, its pictures and all its changes. What was put by for it in the stash goes with it,
 * since the parts lie in the same box; links the earlier bench had given out lead nowhere any more.
 */
export async function handOver(db: Db, buildId: string, from: { id: string; name?: string }, to: string): Promise<void> {
  const given = await db.transaction(async (tx) => {
    const [build] = await tx.select().from(builds).where(eq(builds.id, buildId)).for('update')
    if (build?.benchId !== from.id) throw new HttpProblem(409, 'This build was handed over already.')
    const [bench] = await tx
      .select({ id: benches.id })
      .from(benches)
      .where(and(eq(benches.name, to), isNotNull(benches.phrase)))
    if (!bench)
      throw new HttpProblem(422, `There is no bench called ${to} that somebody can sign in to.`, {
        problems: [{ path: 'to', why: 'no such bench' }],
      })
    if (bench.id === from.id) throw new HttpProblem(422, `${build.doc.name} is at this bench already.`)
    const at = new Date().toISOString()
    const putBy = await tx
      .select()
      .from(stock)
      .where(and(eq(stock.benchId, from.id), sql`jsonb_exists(${stock.doc}->'reserved', ${buildId})`))
      .for('update')
    for (const { id, doc } of putBy) {
      const { [buildId]: taken = 0, ...reserved } = doc.reserved
      const quantity = doc.quantity - taken
      // A kind of part that is always kept in store stays on the list, with none left.
      if (quantity <= 0 && !doc.minimum && !Object.keys(reserved).length) await tx.delete(stock).where(eq(stock.id, id))
      else
        await tx
          .update(stock)
          .set({ doc: { ...doc, quantity: Math.max(0, quantity), reserved } })
          .where(eq(stock.id, id))
    }
    await tx.delete(links).where(eq(links.buildId, buildId))
    await tx.update(builds).set({ benchId: bench.id }).where(eq(builds.id, buildId))
    await tx.insert(logEntries).values({
      id: randomUUID(),
      buildId,
      at,
      kind: 'note',
      text: from.name === undefined ? `Handed to ${to}` : `Handed from ${from.name} to ${to}`,
      station: null,
      thing: null,
      struckAt: null,
      photo: null,
    })
    return { build: buildId, revision: build.revision }
  })
  tell(db, { build: buildId, handed: to }, from.id)
  tell(db, { stock: true }, from.id)
  // To the bench it belongs to by now.
  tell(db, given)
}
