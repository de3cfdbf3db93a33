import request from 'supertest'
import { spawnSync } from 'node:child_process'
import { rmSync, statfsSync, writeFileSync } from 'node:fs'
import { mkdtemp, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createApp } from '../app'
import { startApp, WANTED } from '../testing/app'
import { DatabaseStopped } from './durable'
import { emptyFolder } from '../testing/serverProcess'
import { openFolder } from './open'
import { NoRoom } from './room'

let disk: string
let mounted = false
beforeAll(async () => {
  disk = await mkdtemp(join(tmpdir(), 'snug-disk-'))
  mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=260m', 'tmpfs', disk]).status === 0
})
afterAll(async () => {
  if (mounted) spawnSync('umount', ['-l', disk])
  await rm(disk, { recursive: true, force: true })
})

const ballast = () => join(disk, 'ballast')
function leave(bytes: number) {
  const { bavail, bsize } = statfsSync(disk)
  writeFileSync(ballast(), Buffer.alloc(Math.max(0, bavail * bsize - bytes)))
}

describe('a disk without room', () => {
  it('every write is refused with a sentence, reading goes on, and it recovers when there is room', { timeout: 60_000 }, async (t) => {
    if (!mounted) return t.skip('a small disk cannot be mounted here')
    const opened = await openFolder(await emptyFolder(join(disk, 'data')))
    const agent = request.agent(createApp({ opened }))
    const post = () => agent.post('/api/builds').set('Host', 'localhost').send(WANTED)
    await post().expect(201)
    for (const left of [12e6, 0]) {
      leave(left)
      const answer = await post().expect(507)
      expect(answer.type).toBe('application/problem+json')
      expect(answer.body.detail).toMatch(/disk of the data folder .* is full: \d+ MB are free and 64 MB are needed. Nothing was written/)
      expect((await agent.get('/api/builds').set('Host', 'localhost').expect(200)).body).toHaveLength(1)
      rmSync(ballast())
    }
    await post().expect(201)
    await opened.close()
  })

  it('room that goes between the look and the write: the database is opened again from what was kept back', {
    timeout: 60_000,
  }, async (t) => {
    if (!mounted) return t.skip('a small disk cannot be mounted here')
    const opened = await openFolder(join(disk, 'data'))
    const agent = request.agent(createApp({ opened: { ...opened, wantRoom: () => undefined } }))
    const noise = () =>
      Array.from({ length: 18 }, () => Math.random().toString(36).slice(2))
        .join('')
        .slice(0, 190)
    const items = Array.from({ length: 400 }, () => ({
      part: { kind: 'nut', name: 'Nut', note: Array.from({ length: 10 }, noise).join(''), state: 'in hand', sizes: {}, traits: {} },
      holding: 'stash',
      quantity: 1,
      reserved: {},
    }))
    const before = (await agent.get('/api/stock?limit=1').set('Host', 'localhost')).body.total as number
    leave(2e6)
    let taken = 0
    let refused: request.Response | undefined
    for (let n = 0; n < 60 && !refused; n++) {
      const answer = await agent.post('/api/stock/many').set('Host', 'localhost').send({ items })
      if (answer.status === 201) taken += items.length
      else refused = answer
    }
    expect(refused?.status).toBe(507)
    expect(refused?.body.detail).toMatch(/disk is full. Nothing was written/)
    const total = async () => (await agent.get('/api/stock?limit=1').set('Host', 'localhost').expect(200)).body.total as number
    expect(await total()).toBe(before + taken)
    rmSync(ballast())
    await agent.post('/api/builds').set('Host', 'localhost').send(WANTED).expect(201)
    expect(await total()).toBe(before + taken)
    await opened.close()
  })

  it('no room for a new database is said before one is begun', async (t) => {
    if (!mounted) return t.skip('a small disk cannot be mounted here')
    leave(50e6)
    await expect(openFolder(join(disk, 'other'))).rejects.toThrow(/disk of the data folder .*other is full: \d+ MB are free and 160 MB/)
    rmSync(ballast())
  })

  it.each([
    ['no room (class)', () => new NoRoom('data', 3e6, 64e6), 507, /3 MB are free and 64 MB are needed/],
    ['no room (database)', () => new Error('x', { cause: Object.assign(new Error('no space'), { code: '53100' }) }), 507, /disk is full/],
    ['no room (stopped)', () => new DatabaseStopped(Object.assign(new Error('no space'), { code: '53100' })), 507, /disk is full/],
    ['no room (file system)', () => Object.assign(new Error('write'), { code: 'ENOSPC' }), 507, /disk is full/],
    ['a stop for another reason', () => new DatabaseStopped(new Error('unreachable')), 503, /being opened again/],
    ['anything else', () => new Error('x'), 500, /Something went wrong on our side/],
  ])('a database that throws %s becomes an answer', async (_, make, status, sentence) => {
    const app = createApp({
      opened: {
        db: { select: () => ({ from: () => ({ where: () => Promise.reject(make()) }) }) } as never,
        wantRoom: () => undefined,
        wrote: () => undefined,
      },
    })
    const answer = await request(app).get('/api/builds/x').set('Host', 'localhost').expect(status)
    expect(answer.body.detail).toMatch(sentence)
  })
})

describe('a folder that cannot be used', () => {
  it('read-only', async (t) => {
    if (!mounted) return t.skip('a small disk cannot be mounted here')
    spawnSync('mount', ['-o', 'remount,ro', disk])
    try {
      await expect(openFolder(join(disk, 'fresh'))).rejects.toThrow(/fresh cannot be written to/)
      await expect(openFolder(join(disk, 'data'))).rejects.toThrow(/data cannot be written to/)
    } finally {
      spawnSync('mount', ['-o', 'remount,rw', disk])
    }
  })
  it('a file in its place, and a damaged database, each say so and are left alone', async (t) => {
    if (!mounted) return t.skip('a small disk cannot be mounted here')
    await writeFile(join(disk, 'file'), 'x')
    await expect(openFolder(join(disk, 'file'))).rejects.toThrow(/is a file, not a folder/)
    await writeFile(join(disk, 'data/database/global/pg_control'), 'rubbish')
    await expect(openFolder(join(disk, 'data'))).rejects.toThrow(/is damaged and cannot be opened .*Keep .*database as it is/)
    await rm(join(disk, 'data/database/PG_VERSION'))
    await expect(openFolder(join(disk, 'data'))).rejects.toThrow(/is damaged/)
  })
  it('the application goes on meanwhile', async () => {
    const app = await startApp()
    await app.get('/health').expect(200)
    await app.close()
  })
})
