import { LIMITS } from '@snug/core'
import { sql } from 'drizzle-orm'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { startApp, WANTED, type TestApp } from '../testing/app'
import { compactAll } from './compact'

let app: TestApp
let id: string
/** Enough that a stretch of it is older than all that can be taken back. */
const CHANGES = 2 * LIMITS.undo + 300
const names = Array.from({ length: CHANGES }, (_, n) => (n % 5 === 4 ? undefined : `Name ${n}`))
beforeAll(async () => {
  app = await startApp()
  id = ((await app.post('/builds', WANTED)).body as { id: string }).id
  // As they are written one by one, put in at once: most change the name, every fifth the budget.
  let name = WANTED.name
  const rows = names.map((to, n) => {
    const edit = to ? { path: ['name'], from: name, to } : { path: ['budget'], ...(n > 4 ? { from: n - 5 } : {}), to: n }
    name = to ?? name
    // An evening's work is on one day, the next is not.
    const at = new Date(Date.parse('2026-01-01T20:00:00Z') + Math.floor(n / 40) * 86_400_000 + (n % 40) * 60_000).toISOString()
    return sql`(${id}, ${n + 1}, ${at}::timestamptz, 'change', ${to ? `Called ${to}` : `Budget ${n}`}, ${JSON.stringify([edit])}::jsonb)`
  })
  for (let n = 0; n < rows.length; n += 500)
    await app.db.execute(
      sql`insert into events (build_id, revision, at, kind, label, edits) values ${sql.join(rows.slice(n, n + 500), sql`, `)}`,
    )
  const undo = Array.from({ length: LIMITS.undo }, (_, i) => CHANGES - LIMITS.undo + i + 1)
  await app.db.execute(
    sql`update builds set revision = ${CHANGES}, undo = ${JSON.stringify(undo)}::jsonb, doc = doc || ${JSON.stringify({ name, budget: CHANGES - 1 })}::jsonb where id = ${id}`,
  )
})
afterAll(() => app.close())

const revisions = async () =>
  ((await app.db.execute(sql`select revision from events where build_id = ${id} order by revision`)).rows as { revision: number }[]).map(
    (r) => r.revision,
  )
const at = async (revision: number) => (await app.get(`/builds/${id}/at/${revision}`).expect(200)).body as object

it('an old history takes less room: every state that is still in it is as it was, and the last thousand changes are taken back one by one', async () => {
  const before = await revisions()
  const states = new Map<number, object>()
  for (const r of [0, 4, 5, 40, 41, 803, 1000, CHANGES - LIMITS.undo, CHANGES - 7, CHANGES]) states.set(r, await at(r))
  const gone = await compactAll(app.db)
  const after = await revisions()
  expect(before.length - after.length).toBe(gone)
  // Four names in a row are one act; a night between them makes two.
  expect(gone).toBeGreaterThan(0.5 * (CHANGES - LIMITS.undo))
  expect(after).toContain(4)
  expect(after).toContain(40)
  expect(after).not.toContain(2)
  const last = after.filter((r) => r >= CHANGES - LIMITS.undo)
  expect(last).toEqual(Array.from({ length: LIMITS.undo + 1 }, (_, i) => CHANGES - LIMITS.undo + i))
  for (const [r, was] of states) if (r === 0 || after.includes(r)) expect(await at(r), `revision ${r}`).toEqual(was)
  expect(await compactAll(app.db)).toBe(0)
  for (let n = 0; n < 12; n++) await app.post(`/builds/${id}/undo`, { revision: CHANGES + n }).expect(200)
  const now = (await app.get(`/builds/${id}`).expect(200)).body as { build: { name: string } }
  expect(now.build.name).toBe(names.slice(0, CHANGES - 12).findLast((n) => n !== undefined))
})
