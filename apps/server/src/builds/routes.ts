import { BackRequest, ChangeRequest, checkedBundle, NewBuildRequest, RevisionRequest } from '@snug/contract'
import { LIMITS, whyNotPlain, type Edit } from '@snug/core'
import { bundleOutside, bundleSchema, toBundle } from '@snug/formats'
import express, { Router } from 'express'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { HttpProblem } from '../http/problem'
import { listLog } from '../log/store'
import type { NewsHub } from '../news/hub'
import {
  changeBuild,
  createBuild,
  goBack,
  insertBuild,
  listBuilds,
  listEvents,
  putAway,
  readBuild,
  stepBack,
  type BuildState,
} from './store'

export function buildRoutes(db: Db, hub: NewsHub): Router {
  const routes = Router()
  const told = (state: BuildState): BuildState => {
    hub.tell({ build: state.id, revision: state.revision })
    return state
  }
  routes.get('/builds', async (_req, res) => void res.json(await listBuilds(db)))
  routes.post('/builds', async (req, res) => void res.status(201).json(await createBuild(db, bodyAs(NewBuildRequest, req.body))))
  routes.get('/builds/:id', async (req, res) => void res.json(await readBuild(db, req.params.id)))
  routes.delete('/builds/:id', async (req, res) => {
    await putAway(db, req.params.id, true)
    hub.tell({ build: req.params.id, away: true })
    res.status(204).end()
  })
  routes.post('/builds/:id/restore', async (req, res) => {
    await putAway(db, req.params.id, false)
    hub.tell({ build: req.params.id, away: false })
    res.json(await readBuild(db, req.params.id))
  })
  routes.post('/builds/:id/changes', async (req, res) => {
    const { revision, label, edits } = bodyAs(ChangeRequest, req.body)
    res.json(told(await changeBuild(db, req.params.id, revision, { label, edits: edits as Edit[] })))
  })
  routes.post('/builds/:id/back', async (req, res) => {
    const { revision, to } = bodyAs(BackRequest, req.body)
    res.json(told(await goBack(db, req.params.id, revision, to)))
  })
  for (const kind of ['undo', 'redo'] as const)
    routes.post(
      `/builds/:id/${kind}`,
      async (req, res) =>
        void res.json(told(await stepBack(db, req.params.id as string, bodyAs(RevisionRequest, req.body).revision, kind))),
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
  routes.post('/import', express.json({ limit: LIMITS.file }), async (req, res) => {
    const unfit = whyNotPlain(req.body, LIMITS.fileValues)
    if (unfit) throw new HttpProblem(422, `${unfit.why} Nothing was imported.`, { problems: [unfit] })
    const outside = bundleOutside(req.body)
    if (!outside.ok) throw new HttpProblem(422, outside.why)
    const bundle = checkedBundle(outside.data)
    if (!bundle.ok) {
      const [first] = bundle.problems
      throw new HttpProblem(422, `${first!.why} (at ${first!.path}). Nothing was imported.`, {
        problems: bundle.problems.slice(0, LIMITS.findings),
      })
    }
    res.status(201).json(await insertBuild(db, bundle.value.build, bundle.value.log))
  })
  return routes
}
