import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { builtServer, emptyFolder, killAll, killed, launch, start } from '../testing/serverProcess'

let folder: string

beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'snug-crash-'))
  await builtServer()
})
afterAll(async () => {
  await killAll()
  await rm(folder, { recursive: true, force: true })
})

describe('a server killed in the middle of its work', () => {
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
    const first = await start(await emptyFolder(folder))
    await expect(start(folder)).rejects.toThrow(/already has the data folder .* open/)
    expect((await fetch(`${first.url}/api/health`)).status).toBe(200)
  })
})
