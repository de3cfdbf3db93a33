import { chmod, mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Draw } from '../../apps/server/src/fuzz/mutate'
import { builtServer, killAll } from '../../apps/server/src/testing/serverProcess'
import { PATIENCE, report, rounds, SEED } from './length'
import { folderPlace, hasPostgres, serverPlace } from './places'
import { Load } from './writers'

let home: string
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-soak-kill-'))
  await chmod(home, 0o711)
  await builtServer()
})
afterAll(async () => {
  await killAll()
  await rm(home, { recursive: true, force: true })
})

const KINDS = [
  ['PGlite', folderPlace, true],
  ['PostgreSQL', serverPlace, hasPostgres()],
] as const

describe.each(KINDS)('every process of a Snug Bolt on %s killed under load, again and again', (name, make, here) => {
  it.skipIf(!here)('loses nothing it answered, and opens every time', { timeout: PATIENCE }, async () => {
    const draw = new Draw(SEED)
    const place = await make(join(home, name))
    let door = await place.start()
    const load = await Load.on(door, 4)
    const times = rounds(2, 200)
    let lost = 0
    const odd: string[] = []
    for (let n = 0; n < times; n++) {
      const before = load.total
      load.begin(door)
      // At least something was answered, and then the blow falls wherever it falls.
      while (load.total < before + 4) await sleep(1)
      await sleep(draw.below(400))
      await place.kill()
      await load.end()
      door = await place.start()
      const found = await load.compare(door)
      lost += found.lost
      odd.push(...found.odd)
    }
    await place.kill()
    report(`${name}: killed ${times} times under load, ${load.total} changes answered, ${lost} lost`)
    expect(odd).toEqual([])
    expect(lost).toBe(0)
  })
})
