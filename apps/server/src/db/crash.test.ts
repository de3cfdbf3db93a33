import { spawn, type ChildProcess } from 'node:child_process'
import { existsSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { build } from 'vite'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { WANTED } from '../testing/app'

const server = join(dirname(fileURLToPath(import.meta.url)), '../..')
let folder: string
const children: ChildProcess[] = []

/** Starts the built server as a process of its own on a free port; resolves with its address. */
function start(): Promise<{ child: ChildProcess; url: string }> {
  const child = spawn(process.execPath, ['dist/main.js'], { cwd: server, env: { ...process.env, SNUG_DATA: folder, SNUG_PORT: '0' } })
  children.push(child)
  return new Promise((done, fail) => {
    let said = ''
    const hear = (chunk: Buffer) => {
      said += chunk.toString()
      const url = /http:\/\/localhost:\d+/.exec(said)?.[0]
      if (url) done({ child, url })
    }
    child.stdout!.on('data', hear)
    child.stderr!.on('data', hear)
    child.once('exit', () => fail(new Error(said)))
  })
}

const post = async (url: string, path: string, body: object) => {
  const answer = await fetch(`${url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  return (await answer.json()) as { id: string; revision: number }
}

const killed = (child: ChildProcess) =>
  new Promise<void>((done) => {
    child.once('exit', () => done())
    child.kill('SIGKILL')
  })

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'snug-crash-'))
  if (!existsSync(join(server, 'dist/main.js'))) await build({ root: server, logLevel: 'error' })
}, 60_000)
afterAll(async () => {
  for (const c of children) if (c.exitCode === null) c.kill('SIGKILL')
  await rm(folder, { recursive: true, force: true })
})

describe('a server killed in the middle of its work', () => {
  it('loses nothing it acknowledged, and the folder opens again', { timeout: 120_000 }, async () => {
    let { child, url } = await start()
    const { id } = await post(url, '/builds', WANTED)
    let acknowledged = 0
    for (let round = 0; round < 3; round++) {
      // Writes without pause; the kill falls wherever it falls.
      const writing = (async () => {
        for (;;) {
          const state = await post(url, `/builds/${id}/changes`, {
            revision: acknowledged,
            label: 'count',
            edits: [{ path: ['budget'], ...(acknowledged ? { from: acknowledged } : {}), to: acknowledged + 1 }],
          })
          if (typeof state.revision !== 'number') return
          acknowledged = state.revision
        }
      })().catch(() => undefined)
      const until = acknowledged + 5
      while (acknowledged < until) await new Promise((r) => setImmediate(r))
      await killed(child)
      await writing
      ;({ child, url } = await start())
      const now = (await (await fetch(`${url}/api/builds/${id}`)).json()) as { revision: number; build: { budget: number } }
      // One more than acknowledged may be there: written, but the answer never arrived.
      expect(now.revision).toBeGreaterThanOrEqual(acknowledged)
      expect(now.revision).toBeLessThanOrEqual(acknowledged + 1)
      expect(now.build.budget).toBe(now.revision)
      acknowledged = now.revision
    }
    expect(acknowledged).toBeGreaterThanOrEqual(15)
  })

  it('a second server on the same folder is told so and leaves the first alone', { timeout: 60_000 }, async () => {
    await expect(start()).rejects.toThrow(/already has the data folder .* open/)
  })
})
