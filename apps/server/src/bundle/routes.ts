import { checkedBundle } from '@snug/contract'
import { bundleSchema } from '@snug/contract/schema'
import { LIMITS, migrated, whyNotPlain } from '@snug/core'
import { bundleOutside, toBundle } from '@snug/formats/bundle'
import express, { Router } from 'express'
import { idFor } from '../builds/idFor'
import { insertBuild, readBuild } from '../builds/store'
import { benchOf } from '../benches/who'
import type { Db } from '../db/open'
import { HttpProblem } from '../http/problem'
import { listLog } from '../log/store'
import { photoFiles, unpacked } from '../photos/store'

/** A build with its log as one file. */
export function bundleRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/builds/:id/bundle', async (req, res) => {
    const state = await readBuild(db, req.params.id)
    const log = await listLog(db, req.params.id)
    const photos = await photoFiles(db, req.params.id)
    res.attachment(`${state.id}.snug-bolt.json`).json(toBundle(state.build, log, new Date().toISOString(), photos))
  })
  routes.get('/schema/build-bundle', (_req, res) => void res.json(bundleSchema()))
  return routes
}

/** Import has its own, larger limit and therefore its own parser. */
export function importRoutes(db: Db): Router {
  const routes = Router()
  routes.post('/import', express.json({ limit: LIMITS.bundle }), async (req, res) => {
    const unfit = whyNotPlain(req.body, LIMITS.fileValues)
    if (unfit) throw new HttpProblem(422, `${unfit.why} Nothing was imported.`, { problems: [unfit] })
    const outside = bundleOutside(req.body)
    if (!outside.ok) throw new HttpProblem(422, outside.why)
    const bundle = checkedBundle({ ...outside.data, build: migrated(outside.data.build) })
    if (!bundle.ok) {
      const [first] = bundle.problems
      throw new HttpProblem(422, `${first!.why} (at ${first!.path}). Nothing was imported.`, {
        problems: bundle.problems.slice(0, LIMITS.findings),
      })
    }
    const { build, log, photos = [] } = bundle.value
    const { rows, entries } = unpacked(photos, log)
    res.status(201).json(await insertBuild(db, benchOf(res), build, entries, idFor(build.name), rows))
  })
  return routes
}
