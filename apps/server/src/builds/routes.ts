import { ChangeRequest, NewBuildRequest, problemsOfBundle, RevisionRequest } from '@snug/contract'
import { bundleOutside, bundleSchema, toBundle, type Bundle } from '@snug/formats'
import type { Edit } from '@snug/core'
import express, { Router } from 'express'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { HttpProblem } from '../http/problem'
import { listLog } from '../log/store'
import { changeBuild, createBuild, insertBuild, listBuilds, listEvents, putAway, readBuild, stepBack } from './store'

/** Largest bundle taken in. */
const IMPORT_LIMIT = '10mb'

export function buildRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/builds', async (_req, res) => void res.json(await listBuilds(db)))
  routes.post('/builds', async (req, res) => void res.status(201).json(await createBuild(db, bodyAs(NewBuildRequest, req.body))))
  routes.get('/builds/:id', async (req, res) => void res.json(await readBuild(db, req.params.id)))
  routes.delete('/builds/:id', async (req, res) => {
    await putAway(db, req.params.id, true)
    res.status(204).end()
  })
  routes.post('/builds/:id/restore', async (req, res) => {
    await putAway(db, req.params.id, false)
    res.json(await readBuild(db, req.params.id))
  })
  routes.post('/builds/:id/changes', async (req, res) => {
    const { revision, label, edits } = bodyAs(ChangeRequest, req.body)
    res.json(await changeBuild(db, req.params.id, revision, { label, edits: edits as Edit[] }))
  })
  for (const kind of ['undo', 'redo'] as const)
    routes.post(
      `/builds/:id/${kind}`,
      async (req, res) => void res.json(await stepBack(db, req.params.id as string, bodyAs(RevisionRequest, req.body).revision, kind)),
    )
  routes.get('/builds/:id/events', async (req, res) => void res.json(await listEvents(db, req.params.id)))
  routes.get('/builds/:id/bundle', async (req, res) => {
    const state = await readBuild(db, req.params.id)
    const log = await listLog(db, req.params.id)
    res.attachment(`${state.id}.snug-bolt.json`).json(toBundle(state.build, log, new Date().toISOString()))
  })
  routes.get('/schema/build-bundle', (_req, res) => void res.json(bundleSchema()))
  return routes
}

/** Import has its own, larger limit and therefore its own parser. */
export function importRoutes(db: Db): Router {
  const routes = Router()
  routes.post('/import', express.json({ limit: IMPORT_LIMIT }), async (req, res) => {
    const outside = bundleOutside(req.body)
    if (!outside.ok) throw new HttpProblem(422, outside.why)
    const problems = problemsOfBundle(outside.data)
    if (problems.length) throw new HttpProblem(422, `${problems[0]!.why} (at ${problems[0]!.path}). Nothing was imported.`, { problems })
    const { build, log } = outside.data as unknown as Bundle
    res.status(201).json(await insertBuild(db, build, log))
  })
  return routes
}
