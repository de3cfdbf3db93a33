import { readFile } from 'node:fs/promises'
import { sql } from 'drizzle-orm'
import { afterAll, afterEach, beforeAll, expect, it, vi } from 'vitest'
import type { LogEntry } from '@snug/core'
import { startApp, WANTED, type TestApp } from '../testing/app'

let app: TestApp
let build: string
beforeAll(async () => {
  app = await startApp()
  build = ((await app.post('/builds', WANTED)).body as { id: string }).id
})
afterAll(() => app.close())
afterEach(() => void vi.useRealTimers())

const write = async (text: string) => (await app.post(`/builds/${build}/log`, { kind: 'note', text }).expect(201)).body as LogEntry
const texts = async () => ((await app.get(`/builds/${build}/log`)).body as LogEntry[]).map((e) => e.text)

it('entries stand in the order they were written, also after the machine’s clock was set back', async () => {
  await write('first')
  vi.useFakeTimers({ now: new Date('2024-01-01T10:00:00Z'), toFake: ['Date'] })
  const second = await write('second')
  expect(second.at).toBe('2024-01-01T10:00:00.000Z')
  vi.useRealTimers()
  await write('third')
  expect(await texts()).toEqual(['first', 'second', 'third'])
  // A strike rewrites the row and moves nothing.
  await app.post(`/builds/${build}/log/${second.id}/strike`).expect(200)
  expect(await texts()).toEqual(['first', 'second', 'third'])
})

it('entries of a Snug Bolt that knew only their times are put in order by them', async () => {
  const rows = ['c', 'a', 'b'].map(
    (id, n) => sql`(${id}, ${build}, ${`2026-11-0${'abc'.indexOf(id) + 1}T10:00:00Z`}, 'note', ${id}, ${100 - n})`,
  )
  await app.db.execute(sql`delete from log_entries`)
  await app.db.execute(sql`insert into log_entries (id, build_id, at, kind, text, seq) values ${sql.join(rows, sql`, `)}`)
  const steps = (await readFile(new URL('../../drizzle/0005_log_order.sql', import.meta.url), 'utf8')).split('--> statement-breakpoint')
  await app.db.execute(sql.raw(steps.at(-1)!))
  expect(await texts()).toEqual(['a', 'b', 'c'])
})

it('one that is sent twice is one, and keeps when it was written; nothing is written later than now', async () => {
  const entry = { kind: 'note', text: 'While you were away', id: 'made-at-the-bench', at: '2026-11-20T19:30:00Z' }
  const first = (await app.post(`/builds/${build}/log`, entry).expect(201)).body as LogEntry
  const again = (await app.post(`/builds/${build}/log`, { ...entry, text: 'Another text' }).expect(201)).body as LogEntry
  expect(first).toMatchObject({ id: 'made-at-the-bench', at: '2026-11-20T19:30:00.000Z', text: 'While you were away' })
  expect(again).toEqual(first)
  expect((await texts()).filter((t) => t === 'While you were away')).toHaveLength(1)
  // The same id in another build is another's.
  const other = ((await app.post('/builds', WANTED)).body as { id: string }).id
  await app.post(`/builds/${other}/log`, entry).expect(409)
  const tomorrow = new Date(Date.now() + 86_400_000).toISOString()
  const early = (await app.post(`/builds/${build}/log`, { kind: 'note', text: 'Tomorrow', at: tomorrow })).body as LogEntry
  expect(Date.parse(early.at)).toBeLessThanOrEqual(Date.now())
  await app.post(`/builds/${build}/log`, { kind: 'note', text: 'When?', at: 'yesterday' }).expect(422)
})
