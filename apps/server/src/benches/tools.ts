import { BenchRequest } from '@snug/contract'
import { USUAL_BENCH, type Bench } from '@snug/core'
import { eq } from 'drizzle-orm'
import { Router } from 'express'
import type { Db } from '../db/open'
import { benches } from '../db/schema'
import { bodyAs } from '../http/body'
import { benchOf } from './who'

const upwards = (sizes: readonly number[]) => [...new Set(sizes)].sort((a, b) => a - b)

/** What the person has to drill and rout with; what people start with until they say. */
export function toolRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/bench', async (_req, res) => {
    const [row] = await db
      .select({ doc: benches.doc })
      .from(benches)
      .where(eq(benches.id, benchOf(res)))
    res.json(row?.doc ?? USUAL_BENCH)
  })
  routes.put('/bench', async (req, res) => {
    const said = bodyAs(BenchRequest, req.body)
    const doc: Bench = {
      bits: upwards(said.bits),
      throats: upwards(said.throats),
      stand: said.stand,
      block: said.block,
      routerBits: upwards(said.routerBits),
      bushings: upwards(said.bushings),
      ...(said.things ? { things: said.things } : {}),
    }
    const updatedAt = new Date().toISOString()
    await db
      .update(benches)
      .set({ doc, updatedAt })
      .where(eq(benches.id, benchOf(res)))
    res.json(doc)
  })
  return routes
}
