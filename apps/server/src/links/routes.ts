import { HandOverRequest } from '@snug/contract'
import { Router } from 'express'
import { otherBenches } from '../benches/store'
import { benchName, benchOf } from '../benches/who'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { handOver } from './handOver'
import type { Owners } from './owners'
import { addLink, listLinks, removeLink } from './store'

/** Who else sees a build: by a link, or from now on instead. @param reached others can reach this server at all */
export function linkRoutes(db: Db, reached: boolean, owners?: Owners): Router {
  const routes = Router()
  routes.get('/me', async (_req, res) => {
    const name = benchName(res)
    res.json({ reached, ...(name === undefined ? {} : { bench: name, others: await otherBenches(db, benchOf(res)) }) })
  })
  routes.get('/builds/:id/links', async (req, res) => void res.json(await listLinks(db, req.params.id)))
  routes.post('/builds/:id/links', async (req, res) => void res.status(201).json(await addLink(db, req.params.id)))
  routes.delete('/builds/:id/links/:token', async (req, res) => {
    await removeLink(db, req.params.id, req.params.token)
    res.status(204).end()
  })
  routes.post('/builds/:id/hand-over', async (req, res) => {
    const name = benchName(res)
    await handOver(db, req.params.id, { id: benchOf(res), ...(name === undefined ? {} : { name }) }, bodyAs(HandOverRequest, req.body).to)
    // Other processes hear of it in a moment.
    owners?.forget(req.params.id)
    res.status(204).end()
  })
  return routes
}
