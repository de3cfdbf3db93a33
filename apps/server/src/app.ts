import { LIMITS } from '@snug/core'
import express, { Router, type Express } from 'express'
import helmet from 'helmet'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pinoHttp } from 'pino-http'
import type { Logger } from 'pino'
import { door } from './benches/door'
import { Known } from './benches/known'
import { toolRoutes } from './benches/tools'
import { setBench } from './benches/who'
import { buildRoutes } from './builds/routes'
import { bundleRoutes, importRoutes } from './bundle/routes'
import type { Db, OpenDb } from './db/open'
import { OWN } from './db/schema'
import { fitAddress, jsonOnly, ownPageOnly, roomToWrite } from './http/guard'
import { notFound, problemHandler } from './http/problem'
import { ownBuild } from './links/ownBuild'
import { Owners } from './links/owners'
import { linkRoutes } from './links/routes'
import { logRoutes } from './log/routes'
import { NewsHub } from './news/hub'
import { newsRoutes } from './news/routes'
import { openApi } from './openapi'
import { gate } from './share/gate'
import type { Sessions } from './share/sessions'
import { photoRoutes } from './photos/routes'
import { stockImportRoutes, stockRoutes } from './stock/routes'

export interface AppOptions {
  opened: Pick<OpenDb, 'db' | 'wantRoom' | 'wrote'>
  /** Where news comes in; without it windows hear nothing of each other. */
  hub?: NewsHub
  /** Folder of the built interface; absent in tests of the API. */
  web?: string
  logger?: Logger
  /** Names and addresses besides this machine's own by which it is reached. */
  addresses?: readonly string[]
  /** Other devices may come in with the phrase this was kept of. */
  share?: { phrase: string; sessions?: Sessions }
  /** Every bench signs in. */
  benches?: boolean
}

/** The whole server as an Express application; whoever calls it decides where it listens. */
export function createApp({ opened, hub = new NewsHub(), web, logger, addresses = [], share, benches = false }: AppOptions): Express {
  const app = express()
  const { db, wantRoom, wrote } = opened
  app.disable('x-powered-by')
  if (logger) app.use(pinoHttp({ logger, autoLogging: { ignore: (req) => !req.url?.startsWith('/api') } }))
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          // Inline style attributes place things on drawings; no inline script runs.
          styleSrc: ["'self'", "'unsafe-inline'"],
          fontSrc: ["'self'", 'data:'],
          imgSrc: ["'self'", 'data:', 'blob:'],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'none'"],
          formAction: ["'self'"],
        },
      },
      // A form of our own page says where it comes from; no other site learns it.
      referrerPolicy: { policy: 'same-origin' },
      strictTransportSecurity: false,
    }),
  )
  app.use(ownPageOnly(addresses), fitAddress)
  // Whoever spreads requests over several processes asks after them without signing in.
  if (benches) {
    const known = new Known(db)
    hub.onSignedIn(known.forget)
    app.get('/api/health', (_req, res) => void res.json({ ok: true })).use(door(db, known))
  } else {
    if (share) app.use(gate(share.phrase, share.sessions))
    app.use((_req, res, next) => {
      setBench(res, { id: OWN })
      next()
    })
  }
  app.use('/api', jsonOnly, roomToWrite(wantRoom), (req, res, next) => {
    if (req.method !== 'GET') res.once('finish', wrote)
    next()
  })
  const owners = benches ? new Owners(db) : undefined
  if (owners) hub.onHanded(owners.forget)
  app.use('/api', ownBuild(db, owners))
  app.use(
    '/api',
    importRoutes(db),
    stockImportRoutes(db),
    photoRoutes(db),
    express.json({ limit: LIMITS.body }),
    api(db, hub, benches || share !== undefined, owners),
    notFound,
  )
  if (web && existsSync(web)) {
    app.use(express.static(web, { index: false, maxAge: '1h' }))
    // A piece of an older build of the interface is gone, not the page under another name.
    app.use('/assets', notFound)
    app.get('/{*path}', (_req, res) => res.sendFile(join(web, 'index.html'), { maxAge: 0 }))
  }
  app.use(notFound)
  app.use(problemHandler)
  return app
}

function api(db: Db, hub: NewsHub, reached: boolean, owners?: Owners): Router {
  const routes = Router()
  routes.get('/health', (_req, res) => void res.json({ ok: true }))
  routes.get('/openapi.json', (_req, res) => void res.json(openApi()))
  return routes.use(
    newsRoutes(hub),
    buildRoutes(db),
    linkRoutes(db, reached, owners),
    bundleRoutes(db),
    logRoutes(db),
    stockRoutes(db),
    toolRoutes(db),
  )
}
