import { BackRequest, ChangeRequest, NewBuildRequest, RevisionRequest } from '@snug/contract'
import type { Edit } from '@snug/core'
import { Router } from 'express'
import { benchOf, shownAs } from '../benches/who'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { HttpProblem } from '../http/problem'
import { exampleBuild } from './example'
import { buildAgain, changeBuild, createBuild, goBack, listBuilds, listEvents, lookBack, putAway, readBuild, stepBack } from './store'

export function buildRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/builds', async (_req, res) => void res.json(await listBuilds(db, benchOf(res))))
  routes.post(
    '/builds',
    async (req, res) => void res.status(201).json(await createBuild(db, benchOf(res), bodyAs(NewBuildRequest, req.body))),
  )
  routes.post('/builds/example', async (_req, res) => void res.status(201).json(await exampleBuild(db, benchOf(res))))
  routes.get('/builds/:id', async (req, res) => void res.json(shownAs(res, await readBuild(db, req.params.id))))
  routes.delete('/builds/:id', async (req, res) => {
    await putAway(db, req.params.id, true)
    res.status(204).end()
  })
  routes.post('/builds/:id/restore', async (req, res) => {
    await putAway(db, req.params.id, false)
    res.json(await readBuild(db, req.params.id))
  })
  routes.post('/builds/:id/another-job', async (req, res) => void res.status(201).json(await buildAgain(db, benchOf(res), req.params.id)))
  routes.post('/builds/:id/changes', async (req, res) => {
    const { revision, label, edits } = bodyAs(ChangeRequest, req.body)
    const { build, ...state } = await changeBuild(db, req.params.id, revision, { label, edits: edits as Edit[] })
    // Who made the change knows what came of it, and need not be sent all of it (RFC 7240).
    const minimal = req.headers.prefer === 'return=minimal'
    if (minimal) res.set('Preference-Applied', 'return=minimal')
    res.json(minimal ? state : { ...state, build })
  })
  routes.post('/builds/:id/back', async (req, res) => {
    const { revision, to } = bodyAs(BackRequest, req.body)
    res.json(await goBack(db, req.params.id, revision, to))
  })
  for (const kind of ['undo', 'redo'] as const)
    routes.post(
      `/builds/:id/${kind}`,
      async (req, res) => void res.json(await stepBack(db, req.params.id as string, bodyAs(RevisionRequest, req.body).revision, kind)),
    )
  routes.get('/builds/:id/events', async (req, res) => {
    const before = req.query.before === undefined ? undefined : Number(req.query.before)
    if (before !== undefined && !(Number.isInteger(before) && before >= 0 && before <= 1e9))
      throw new HttpProblem(422, '"before" is the number of a change, a whole number from 0.')
    res.json(await listEvents(db, req.params.id, before))
  })
  routes.get('/builds/:id/at/:revision', async (req, res) => void res.json(await lookBack(db, req.params.id, Number(req.params.revision))))
  return routes
}
