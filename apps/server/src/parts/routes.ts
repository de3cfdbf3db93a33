import { problemsOfPart } from '@snug/contract'
import type { Part } from '@snug/core'
import { asc, eq } from 'drizzle-orm'
import { Router } from 'express'
import { randomUUID } from 'node:crypto'
import type { Db } from '../db/open'
import { stashParts } from '../db/schema'
import { HttpProblem } from '../http/problem'

/** The stash: parts on hand that wait for a build. */
export function partRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/parts', async (_req, res) => {
    res.json((await db.select().from(stashParts).orderBy(asc(stashParts.createdAt))).map((r) => ({ id: r.id, part: r.doc })))
  })
  routes.post('/parts', async (req, res) => {
    const problems = problemsOfPart(req.body)
    if (problems.length) throw new HttpProblem(422, problems[0]!.why, { problems })
    const row = { id: randomUUID(), doc: req.body as Part, createdAt: new Date().toISOString() }
    await db.insert(stashParts).values(row)
    res.status(201).json({ id: row.id, part: row.doc })
  })
  routes.delete('/parts/:id', async (req, res) => {
    const gone = await db.delete(stashParts).where(eq(stashParts.id, req.params.id)).returning({ id: stashParts.id })
    if (!gone.length) throw new HttpProblem(404, 'There is no such part in the stash.')
    res.status(204).end()
  })
  return routes
}
