import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { Express } from 'express'
import request from 'supertest'
import { inject } from 'vitest'
import { createApp, type AppOptions } from '../app'
import { NewsHub } from '../news/hub'
import { newDatabase } from './newDatabase'
import { open, type OpenDb } from '../db/open'
import { openServer } from '../db/postgres'

/** These tests run on a PostgreSQL server (see vitest.config.ts). */
const ON_SERVER = process.env.SNUG_TEST_ON === 'postgres'

async function database(): Promise<OpenDb> {
  if (ON_SERVER) return openServer(await newDatabase())
  return open({ dataDir: 'memory://', loadDataDir: new Blob([await readFile(join(inject('template'), 'image'))]) })
}

/** The real application on a real database, PGlite in memory or PostgreSQL, spoken to over HTTP from localhost. */
export async function startApp(options: Omit<AppOptions, 'opened' | 'hub'> = {}) {
  const opened = await database()
  const hub = new NewsHub()
  await opened.listen(hub.pass, hub.missed)
  const app = createApp({ opened, hub, ...options })
  return { db: opened.db, hub, tidy: opened.tidy, close: opened.close, app, device: () => device(app), ...device(app) }
}

/** One who speaks to it, and keeps the cookies it is given. */
function device(app: Express) {
  const agent = request.agent(app)
  const call = (method: 'get' | 'post' | 'put' | 'delete', path: string) => agent[method](`/api${path}`).set('Host', 'localhost')
  return {
    agent,
    get: (path: string) => call('get', path),
    remove: (path: string) => call('delete', path),
    post: (path: string, body: object | string = {}) => call('post', path).set('Content-Type', 'application/json').send(body),
    put: (path: string, body: object | string = {}) => call('put', path).set('Content-Type', 'application/json').send(body),
    raw: (method: 'get' | 'post', path: string) => agent[method](`/api${path}`),
    signIn: (bench: string, phrase: string) => agent.post('/sign-in').set('Host', 'localhost').type('form').send({ bench, phrase }),
  }
}
export type Device = ReturnType<typeof device>
export type TestApp = Awaited<ReturnType<typeof startApp>>

export const WANTED = { name: 'Trial build', handedness: 'right', strings: 6, scale: 647.7 }
