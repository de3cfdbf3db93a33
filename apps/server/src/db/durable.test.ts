import request from 'supertest'
import { fsyncSync } from 'node:fs'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createApp } from '../app'
import { WANTED } from '../testing/app'
import { emptyFolder } from '../testing/serverProcess'
import { openFolder, type OpenDb } from './open'

let home: string
let opened: OpenDb
let synced = 0
/** Whether the disk is really waited for. */
let waits = true
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-durable-'))
  opened = await openFolder(await emptyFolder(join(home, 'data')), (descriptor) => {
    synced++
    if (waits) fsyncSync(descriptor)
  })
})
afterAll(async () => {
  await opened.close()
  await rm(home, { recursive: true, force: true })
})

describe('power loss', () => {
  it('every kind of write is on the disk before it is answered; reading writes nothing', async () => {
    const agent = request.agent(createApp({ opened }))
    const send = async (method: 'post' | 'put' | 'delete' | 'get', path: string, body?: object) => {
      const before = synced
      const call = agent[method](`/api${path}`).set('Host', 'localhost')
      const answer = body ? await call.set('Content-Type', 'application/json').send(body) : await call
      expect(answer.status, `${method} ${path}`).toBeLessThan(300)
      return { answer: answer.body as { id: string; revision: number }, syncs: synced - before }
    }
    const made = await send('post', '/builds', WANTED)
    const { id } = made.answer
    const item = {
      part: { kind: 'nut', name: 'Nut', state: 'in hand', sizes: {}, traits: {} },
      holding: 'stash',
      quantity: 1,
      reserved: {},
    }
    const put = await send('post', '/stock', item)
    const entry = await send('post', `/builds/${id}/log`, { kind: 'note', text: 'x' })
    const edits = [{ path: ['budget'], to: 5 }]
    const writes = [
      made,
      put,
      entry,
      await send('post', `/builds/${id}/changes`, { revision: 0, label: 'Budget', edits }),
      await send('post', `/builds/${id}/undo`, { revision: 1 }),
      await send('post', `/builds/${id}/redo`, { revision: 2 }),
      await send('post', `/builds/${id}/back`, { revision: 3, to: 0 }),
      await send('post', `/builds/${id}/log/${entry.answer.id}/strike`, {}),
      await send('put', `/stock/${put.answer.id}`, { ...item, quantity: 2 }),
      await send('post', '/stock/many', { items: [item, item] }),
      await send('post', '/import', (await send('get', `/builds/${id}/bundle`)).answer),
      await send('delete', `/stock/${put.answer.id}`),
      await send('delete', `/builds/${id}`),
      await send('post', `/builds/${id}/restore`, {}),
    ]
    for (const [i, w] of writes.entries()) expect(w.syncs, `write ${i}`).toBeGreaterThanOrEqual(1)
    for (const path of ['/builds', `/builds/${id}`, '/stock', `/builds/${id}/log`]) expect((await send('get', path)).syncs).toBe(0)
  })
})

describe('growth', () => {
  it('what changes leave behind is given back', { timeout: 120_000 }, async () => {
    waits = false
    const agent = request.agent(createApp({ opened }))
    const post = (path: string, body: object) => agent.post(`/api${path}`).set('Host', 'localhost').send(body)
    const { id } = (await post('/builds', WANTED)).body as { id: string }
    const size = async () => {
      const { rows } = (await opened.db.execute(`select pg_total_relation_size('builds') as n`)) as unknown as { rows: { n: number }[] }
      return Number(rows[0]!.n)
    }
    let revision = 0
    const rounds = async (n: number) => {
      for (let i = 0; i < n; i++) {
        const edits = [{ path: ['budget'], ...(revision ? { from: revision } : {}), to: revision + 1 }]
        await post(`/builds/${id}/changes`, { revision, label: 'count', edits }).expect(200)
        revision++
      }
      await opened.tidy()
      return size()
    }
    // Room that was given back is found again only after some rounds: from then on the table stays as large as it is.
    for (let n = 0; n < 7; n++) await rounds(150)
    const before = await size()
    for (let n = 0; n < 4; n++) await rounds(150)
    // Without tidying, eleven rounds take more than half as much again as seven.
    expect(await size()).toBeLessThan(1.15 * before)
  })
})
