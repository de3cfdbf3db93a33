import express, { Router, type Express } from 'express'
import helmet from 'helmet'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { pinoHttp } from 'pino-http'
import type { Logger } from 'pino'
import { buildRoutes, importRoutes } from './builds/routes'
import type { Db } from './db/open'
import { jsonOnly, localOnly } from './http/guard'
import { notFound, problemHandler } from './http/problem'
import { logRoutes } from './log/routes'
import { openApi } from './openapi'
import { stockImportRoutes, stockRoutes } from './stock/routes'

/** Largest body of an ordinary request. */
const BODY_LIMIT = '5mb'

export interface AppOptions {
  db: Db
  /** Folder of the built interface; absent in tests of the API. */
  web?: string
  logger?: Logger
}

/** The whole server as an Express application; whoever calls it decides where it listens. */
export function createApp({ db, web, logger }: AppOptions): Express {
  const app = express()
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
  app.use(localOnly)
  app.use('/api', jsonOnly, importRoutes(db), stockImportRoutes(db), express.json({ limit: BODY_LIMIT }), api(db), notFound)
  if (web && existsSync(web)) {
    app.use(express.static(web, { index: false, maxAge: '1h' }))
    app.get('/{*path}', (_req, res) => res.sendFile(join(web, 'index.html'), { maxAge: 0 }))
  }
  app.use(problemHandler)
  return app
}

function api(db: Db): Router {
  const routes = Router()
  routes.get('/health', (_req, res) => void res.json({ ok: true }))
  routes.get('/openapi.json', (_req, res) => void res.json(openApi()))
  return routes.use(buildRoutes(db), logRoutes(db), stockRoutes(db))
}
