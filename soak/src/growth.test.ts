import { heron } from '@snug/demo'
import { sql } from 'drizzle-orm'
import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { compactAll } from '../../apps/server/src/builds/compact'
import { insertBuild } from '../../apps/server/src/builds/store'
import { inPieces } from '../../apps/server/src/db/pieces'
import { openFolder, type Db } from '../../apps/server/src/db/open'
import { events, OWN } from '../../apps/server/src/db/schema'
import { emptyFolder, builtServer, killAll, killed, start } from '../../apps/server/src/testing/serverProcess'
import { PATIENCE, report, rounds } from './length'

const BUILDS = rounds(30, 2000)
const CHANGES = rounds(2500, 20_000)

let folder: string
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'snug-soak-growth-'))
  await builtServer()
})
afterAll(async () => {
  await killAll()
  await rm(folder, { recursive: true, force: true })
})

it('a shelf full of whole instruments, one of them with a long history, is as it was after the history was compacted, and smaller', {
  timeout: PATIENCE,
}, async () => {
  const opened = await openFolder(await emptyFolder(folder))
  await filled(opened.db)
  await opened.close()
  const early = await asked(`${BUILDS} builds, ${CHANGES} changes of one`)
  const again = await openFolder(folder)
  const before = await sizeOf(again.db)
  const begun = performance.now()
  const gone = await compactAll(again.db)
  const took = performance.now() - begun
  await again.db.execute(sql`vacuum full events`)
  const after = await sizeOf(again.db)
  await again.close()
  report(
    `compacted in ${(took / 1000).toFixed(1)} s: ${gone} of ${CHANGES} events given up, ${(before / 1e6).toFixed(1)} MB before, ${(after / 1e6).toFixed(1)} MB after`,
  )
  expect(gone).toBeGreaterThan(0.8 * (CHANGES - 1000) - 100)
  expect(after).toBeLessThan(before)
  expect(await asked('after that')).toEqual(early)
})

const sizeOf = async (db: Db): Promise<number> =>
  Number(((await db.execute(sql`select pg_total_relation_size('events') as n`)).rows as { n: number }[])[0]!.n)

async function filled(db: Db): Promise<void> {
  const doc = heron('2026-11-26', '2027-02-18', '2026-12-08')
  for (let n = 0; n < BUILDS; n++) await insertBuild(db, OWN, { ...doc, name: `Heron ${n}` }, [], `heron-${n}`)
  // An evening of forty changes: a size read, another, a number turned until it is right.
  let budget: number = doc.budget!
  const rows = Array.from({ length: CHANGES }, (_, i) => {
    const edit = { path: ['budget'], from: budget, to: i }
    budget = i
    const at = new Date(Date.parse('2024-01-01T20:00:00Z') + Math.floor(i / 40) * 86_400_000 + (i % 40) * 120_000).toISOString()
    return { buildId: 'heron-0', revision: i + 1, at, kind: 'change' as const, label: `Budget ${i}`, edits: [edit] }
  })
  await inPieces(rows, (piece) => db.insert(events).values(piece))
  const undo = JSON.stringify(Array.from({ length: 1000 }, (_, i) => CHANGES - 999 + i))
  await db.execute(
    sql`update builds set revision = ${CHANGES}, undo = ${undo}::jsonb, doc = jsonb_set(doc, '{budget}', ${String(budget)}::jsonb) where id = 'heron-0'`,
  )
}

/** What a window asks for, and how long that took. @returns what the build was like at the end of the first evening */
async function asked(beside: string): Promise<unknown> {
  const { child, url } = await start(folder)
  const get = async (path: string) => {
    const times: number[] = []
    let text = ''
    for (let n = 0; n < 9; n++) {
      const begun = performance.now()
      text = await (await fetch(`${url}/api${path}`)).text()
      times.push(performance.now() - begun)
    }
    return { ms: times.toSorted((a, b) => a - b)[4]!.toFixed(0), body: JSON.parse(text) as unknown }
  }
  const shelf = await get('/builds')
  const build = await get('/builds/heron-0')
  const page = await get('/builds/heron-0/events')
  const was = await get('/builds/heron-0/at/40')
  report(
    `${beside}: the shelf listed in ${shelf.ms} ms, a build opened in ${build.ms}, a page of changes in ${page.ms}, looked at as it was almost all changes ago in ${was.ms}`,
  )
  await killed(child)
  expect(shelf.body).toHaveLength(BUILDS)
  return was.body
}
