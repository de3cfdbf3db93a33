import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { EMPTY, startServer } from './server'

/** Before all tests: one data folder with an empty database, closed in order. */
export default async function setup(): Promise<() => Promise<void>> {
  const folder = await mkdtemp(join(tmpdir(), 'snug-e2e-empty-'))
  const { child } = await startServer(folder, [], false)
  const over = new Promise((done) => child.once('exit', done))
  child.kill('SIGTERM')
  await over
  process.env[EMPTY] = folder
  return () => rm(folder, { recursive: true, force: true })
}
