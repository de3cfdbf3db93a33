import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { setTimeout as sleep } from 'node:timers/promises'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { Draw } from '../../apps/server/src/fuzz/mutate'
import { builtServer, killAll } from '../../apps/server/src/testing/serverProcess'
import { makeDisk, type Disk } from './disk'
import { PATIENCE, report, rounds, SEED } from './length'
import { folderPlace, hasPostgres, serverPlace, type Place } from './places'
import { Load } from './writers'

const disks: Disk[] = []
beforeAll(() => builtServer())
afterAll(async () => {
  await killAll()
  for (const disk of disks) disk.remove()
})

/** Writes under load, takes the power away, looks what is there; so many times. */
async function rides(disk: Disk, place: Place, times: number): Promise<{ answered: number; lost: number; odd: string[] }> {
  const draw = new Draw(SEED)
  let door = await place.start()
  const load = await Load.on(door, 4)
  let lost = 0
  const odd: string[] = []
  for (let n = 0; n < times; n++) {
    const before = load.total
    load.begin(door)
    while (load.total < before + 8) await sleep(1)
    await sleep(draw.below(300))
    place.freeze()
    // Answers that are on their way arrive; what was not answered by now never is.
    await sleep(20)
    await disk.losePower(() => place.kill())
    await load.end()
    door = await place.start()
    const found = await load.compare(door)
    lost += found.lost
    odd.push(...found.odd)
  }
  await place.kill()
  return { answered: load.total, lost, odd }
}

const diskFor = (): Disk | undefined => {
  const disk = makeDisk(500)
  if (disk) disks.push(disk)
  else report('no disk can be mounted here, power loss is left out')
  return disk
}

const KINDS = [
  ['PGlite', (at: string) => folderPlace(at), true],
  ['PostgreSQL', (at: string) => serverPlace(at), hasPostgres()],
] as const

describe('the power goes under load: all that was only written, and not brought to the disk, is gone', () => {
  it.each(KINDS.filter(([, , here]) => here))(
    '%s loses nothing it answered, and opens every time',
    { timeout: PATIENCE },
    async (name, make) => {
      const disk = diskFor()
      if (!disk) return
      const times = rounds(1, 50)
      const { answered, lost, odd } = await rides(disk, await make(disk.at), times)
      report(`${name}: power lost ${times} times under load, ${answered} changes answered, ${lost} lost`)
      expect(odd).toEqual([])
      expect(lost).toBe(0)
    },
  )

  // Without this one, the ones above could be right for no reason.
  it('one that does not bring its writes to the disk is caught', { timeout: PATIENCE }, async () => {
    const disk = diskFor()
    if (!disk) return
    const careless = join(disk.at, '..', 'careless.cjs')
    writeFileSync(careless, "require('node:fs').fsyncSync = () => {}\nrequire('node:module').syncBuiltinESMExports()\n")
    const place = await folderPlace(disk.at, { NODE_OPTIONS: `--require ${careless}` })
    // It loses its writes, or does not even open.
    const outcome = await rides(disk, place, 1).then(
      ({ lost }) => lost > 0,
      () => true,
    )
    await place.kill()
    expect(outcome).toBe(true)
  })
})
