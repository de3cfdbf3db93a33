import { LIMITS } from '@snug/core'
import express, { Router, type Express } from 'express'
import helmet from 'helmet'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pinoHttp } from 'pino-http'
import type { Logger } from 'pino'
import { benchRoutes } from './bench/routes'
import { buildRoutes } from './builds/routes'
import { bundleRoutes, importRoutes } from './bundle/routes'
import type { OpenDb } from './db/open'
import { fitAddress, jsonOnly, ownPageOnly, roomToWrite } from './http/guard'
import { notFound, problemHandler } from './http/problem'
import { logRoutes } from './log/routes'
import { NewsHub } from './news/hub'
import { newsRoutes } from './news/routes'
import { openApi } from './openapi'
import { gate } from './share/gate'
import type { KeptPhrase } from './share/phrase'
import type { Sessions } from './share/sessions'
import { photoRoutes } from './photos/routes'
import { stockImportRoutes, stockRoutes } from './stock/routes'

export interface AppOptions {
  opened: Pick<OpenDb, 'db' | 'wantRoom' | 'wrote'>
  /** Folder of the built interface; absent in tests of the API. */
  web?: string
  logger?: Logger
  /** Other devices may come in: at these addresses, with this phrase. */
  share?: { addresses: readonly string[]; phrase: KeptPhrase; sessions?: Sessions }
}

/** The whole server as an Express application; whoever calls it decides where it listens. */
export function createApp({ opened, web, logger, share }: AppOptions): Express {
  const app = express()
  const { db, wantRoom, wrote } = opened
  const hub = new NewsHub()
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
      strictTransportSecurity: false,
    }),
  )
  app.use(ownPageOnly(share?.addresses ?? []), fitAddress)
  if (share) app.use(gate(share.phrase, share.sessions))
  app.use('/api', jsonOnly, roomToWrite(wantRoom), (req, res, next) => {
    if (req.method !== 'GET') res.once('finish', wrote)
    next()
  })
  app.use('/api/stock', (req, res, next) => {
    if (req.method !== 'GET') res.once('finish', () => res.statusCode < 300 && hub.tell({ stock: true }))
    next()
  })
  app.use(
    '/api',
    importRoutes(db),
    stockImportRoutes(db),
    photoRoutes(db),
    express.json({ limit: LIMITS.body }),
    api(opened, hub),
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

function api({ db }: Pick<OpenDb, 'db'>, hub: NewsHub): Router {
  const routes = Router()
  routes.get('/health', (_req, res) => void res.json({ ok: true }))
  routes.get('/openapi.json', (_req, res) => void res.json(openApi()))
  return routes.use(newsRoutes(hub), buildRoutes(db, hub), bundleRoutes(db), logRoutes(db), stockRoutes(db), benchRoutes(db))
}
