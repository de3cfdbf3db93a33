import { LogRequest } from '@snug/contract'
import { Router } from 'express'
import { readBuild } from '../builds/store'
import type { Db } from '../db/open'
import { bodyAs } from '../http/body'
import { addEntry, listLog, strikeEntry } from './store'

export function logRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/builds/:id/log', async (req, res) => void res.json(await listLog(db, req.params.id)))
  routes.post('/builds/:id/log', async (req, res) => {
    const wanted = bodyAs(LogRequest, req.body)
    await readBuild(db, req.params.id)
    res.status(201).json(await addEntry(db, req.params.id, wanted))
  })
  for (const [verb, struck] of [
    ['strike', true],
    ['unstrike', false],
  ] as const)
    routes.post(
      `/builds/:id/log/:entry/${verb}`,
      async (req, res) => void res.json(await strikeEntry(db, req.params.id as string, req.params.entry as string, struck)),
    )
  return routes
}
