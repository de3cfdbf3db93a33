import { readFile } from 'node:fs/promises'
import { join } from 'node:path'
import request from 'supertest'
import { inject } from 'vitest'
import { createApp } from '../app'
import { open, type OpenDb } from '../db/open'

/** The real application on a real PGlite in memory, spoken to over HTTP from localhost. */
export async function startApp() {
  const image = new Blob([await readFile(join(inject('template'), 'image'))])
  const opened: OpenDb = await open({ dataDir: 'memory://', loadDataDir: image })
  const agent = request.agent(createApp({ opened }))
  const call = (method: 'get' | 'post' | 'put' | 'delete', path: string) => agent[method](`/api${path}`).set('Host', 'localhost')
  return {
    db: opened.db,
    tidy: opened.tidy,
    close: opened.close,
    get: (path: string) => call('get', path),
    remove: (path: string) => call('delete', path),
    post: (path: string, body: object | string = {}) => call('post', path).set('Content-Type', 'application/json').send(body),
    put: (path: string, body: object | string = {}) => call('put', path).set('Content-Type', 'application/json').send(body),
    raw: (method: 'get' | 'post', path: string) => agent[method](`/api${path}`),
  }
}
export type TestApp = Awaited<ReturnType<typeof startApp>>

export const WANTED = { name: 'Trial build', handedness: 'right', strings: 6, scale: 647.7 }
