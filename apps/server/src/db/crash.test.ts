import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { WANTED } from '../testing/app'
import { builtServer, emptyFolder, killAll, killed, launch, start } from '../testing/serverProcess'

let folder: string

const post = async (url: string, path: string, body: object) => {
  const answer = await fetch(`${url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  })
  return (await answer.json()) as { id: string; revision: number }
}

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'snug-crash-'))
  await builtServer()
})
afterAll(async () => {
  await killAll()
  await rm(folder, { recursive: true, force: true })
})

describe('a server killed in the middle of its work', () => {
  it('loses nothing it acknowledged, and the folder opens again', { timeout: 120_000 }, async () => {
    let { child, url } = await start(await emptyFolder(folder))
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
      ;({ child, url } = await start(folder))
      const now = (await (await fetch(`${url}/api/builds/${id}`)).json()) as { revision: number; build: { budget: number } }
      // One more than acknowledged may be there: written, but the answer never arrived.
      expect(now.revision).toBeGreaterThanOrEqual(acknowledged)
      expect(now.revision).toBeLessThanOrEqual(acknowledged + 1)
      expect(now.build.budget).toBe(now.revision)
      acknowledged = now.revision
    }
    expect(acknowledged).toBeGreaterThanOrEqual(15)
  })

  it('started with the demo builds and killed while they are put in, has all of them after the next start, never some', async () => {
    const demo = { SNUG_DEMO: '1' }
    const launched = Date.now()
    const whole = await start(await emptyFolder(join(folder, 'whole')), demo)
    const took = Date.now() - launched
    const shelf = async (url: string) => ((await (await fetch(`${url}/api/builds`)).json()) as { id: string }[]).map((b) => b.id).sort()
    const wanted = await shelf(whole.url)
    expect(wanted.length).toBeGreaterThan(1)
    await killed(whole.child)
    // The demo builds are put in last, just before it is ready.
    for (const share of [0.7, 0.85, 0.95]) {
      const at = await emptyFolder(join(folder, `demo-${share}`))
      const first = launch(at, demo)
      await sleep(share * took)
      await killed(first)
      const { child, url } = await start(at, demo)
      expect(await shelf(url)).toEqual(wanted)
      const log = (await (await fetch(`${url}/api/builds/heron/log`)).json()) as object[]
      expect(log).toHaveLength(3)
      await killed(child)
    }
  })

  it('a second server on the same folder is told so and leaves the first alone', { timeout: 60_000 }, async () => {
    await expect(start(folder)).rejects.toThrow(/already has the data folder .* open/)
  })
})
