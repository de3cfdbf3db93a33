import { existsSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest'
import { addBench } from '../benches/store'
import { changeBuild, createBuild } from '../builds/store'
import { MIGRATIONS, openFolder, type Db } from '../db/open'
import { openServer } from '../db/postgres'
import { OWN } from '../db/schema'
import { addLink } from '../links/store'
import { addEntry } from '../log/store'
import { addPhoto } from '../photos/store'
import { png } from '../photos/testing'
import { addStock } from '../stock/store'
import { newDatabase } from '../testing/newDatabase'
import { emptyFolder, fromBlank } from '../testing/serverProcess'
import { backUp } from './backup'
import { move } from './move'
import { restore, restoreToServer } from './restore'
import { digests, isEmpty } from './tables'

let home: string
let folder: string
let full: Awaited<ReturnType<typeof digests>>
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-move-'))
  folder = await emptyFolder(join(home, 'data'))
  const opened = await openFolder(folder)
  await filled(opened.db)
  full = await digests(opened.db)
  await opened.close()
})
afterAll(() => rm(home, { recursive: true, force: true }))

async function filled(db: Db) {
  const { id } = await createBuild(db, OWN, { name: 'Zwölf “Saiten”\n', handedness: 'left', strings: 12, scale: 647.7 })
  for (let n = 0; n < 120; n++)
    await changeBuild(db, id, n, { label: `Budget ${n}`, edits: [{ path: ['budget'], ...(n ? { from: n - 1 + 0.5 } : {}), to: n + 0.5 }] })
  const photo = await addPhoto(db, id, 'a.png', png(300, 200))
  for (let n = 0; n < 130; n++) await addEntry(db, id, { kind: 'note', text: `entry ${n}` })
  await addEntry(db, id, { kind: 'photo', text: 'with its picture', photo: photo.id })
  await addStock(db, OWN, [
    { part: { kind: 'nut', name: 'Nut', state: 'in hand', sizes: {}, traits: {} }, holding: 'stash', quantity: 2, reserved: { [id]: 1 } },
  ])
  await addLink(db, id)
  await addBench(db, 'Anna', 'maple screw lamp')
}
const of = async (url: string) => {
  const opened = await openServer(url)
  try {
    return await digests(opened.db)
  } finally {
    await opened.close()
  }
}
const ofFolder = async (at: string) => {
  const opened = await openFolder(at)
  try {
    return await digests(opened.db)
  } finally {
    await opened.close()
  }
}

describe.skipIf(inject('postgres') === '')('a data folder and a database server', () => {
  it('hold the same after a move, row by row, and again after a move back; the place it came from is as it was', async () => {
    const url = await newDatabase(false)
    expect(await move('server', folder, url)).toEqual({
      benches: 2,
      builds: 1,
      events: 120,
      photos: 1,
      log_entries: 131,
      stock: 1,
      links: 1,
    })
    expect(await of(url)).toEqual(full)
    const back = await emptyFolder(join(home, 'back'))
    await move('folder', back, url)
    expect(await ofFolder(back)).toEqual(full)
    expect(await ofFolder(folder)).toEqual(full)
    // What counts by itself goes on behind what came.
    const opened = await openServer(url)
    const [build] = (await opened.db.execute('select id from builds')).rows as { id: string }[]
    await addEntry(opened.db, build!.id, { kind: 'note', text: 'behind' })
    const last = (await opened.db.execute('select text from log_entries order by seq desc limit 1')).rows as { text: string }[]
    expect(last).toEqual([{ text: 'behind' }])
    await opened.close()
  })
  it('are never written over', async () => {
    const url = await newDatabase()
    await move('server', folder, url)
    await expect(move('server', folder, url)).rejects.toThrow(/holds something already\. Make a new one/)
    await expect(move('folder', folder, url)).rejects.toThrow(/data folder .* holds something already/)
    await expect(move('server', join(home, 'none'), url)).rejects.toThrow(/There is no database in/)
    expect(existsSync(join(home, 'none'))).toBe(false)
    expect(await of(url)).toEqual(full)
  })
  it('read each other’s backups', async () => {
    const url = await newDatabase()
    await move('server', folder, url)
    const server = await openServer(url)
    const file = join(home, 'server.ndjson.gz')
    await backUp(server.db, MIGRATIONS, file, new Date('2026-11-26T20:00:00Z'))
    await server.close()
    await restore(file, join(home, 'restored'), { begin: fromBlank })
    expect(await ofFolder(join(home, 'restored'))).toEqual(full)
    const fresh = await newDatabase(false)
    await restoreToServer(file, fresh)
    expect(await of(fresh)).toEqual(full)
    await expect(restoreToServer(file, fresh)).rejects.toThrow(/in use already/)
    const upToDate = await newDatabase()
    await restoreToServer(file, upToDate)
    expect(await of(upToDate)).toEqual(full)
  })
})

it('a database is empty until somebody puts something into it', async () => {
  const at = await emptyFolder(join(home, 'empty'))
  const opened = await openFolder(at)
  expect(await isEmpty(opened.db)).toBe(true)
  await addBench(opened.db, 'Anna', 'maple screw lamp')
  expect(await isEmpty(opened.db)).toBe(false)
  await opened.close()
})
