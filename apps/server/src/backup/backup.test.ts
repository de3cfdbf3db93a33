import { sql } from 'drizzle-orm'
import { existsSync } from 'node:fs'
import { mkdir, mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { gunzipSync, gzipSync } from 'node:zlib'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { connect, MIGRATIONS, openFolder, type Db } from '../db/open'
import { png } from '../photos/testing'
import { emptyFolder, fromBlank } from '../testing/serverProcess'
import { startApp, WANTED, type TestApp } from '../testing/app'
import { backUp, backUpBefore, backUpDaily } from './backup'
import { keptDays } from './kept'
import { standOf, upTo } from './migrations'
import { restore } from './restore'
import { LEFT_OUT, TABLES } from './tables'

let home: string
let app: TestApp
let file: string
beforeAll(async () => {
  home = await mkdtemp(join(tmpdir(), 'snug-backup-'))
  app = await startApp()
  const { id } = (await app.post('/builds', { ...WANTED, name: 'Zwölf “Saiten”\n' })).body as { id: string }
  await app.post(`/builds/${id}/changes`, { revision: 0, label: 'Budget', edits: [{ path: ['budget'], to: 460.5 }] }).expect(200)
  const photo = app.raw('post', `/builds/${id}/photos?name=a.png`).set('Host', 'localhost').set('Content-Type', 'image/png')
  const picture = ((await photo.send(png(300, 200)).expect(201)).body as { id: string }).id
  for (let n = 0; n < 250; n++) await app.post(`/builds/${id}/log`, { kind: 'note', text: `entry ${n}` }).expect(201)
  await app.post(`/builds/${id}/log`, { kind: 'photo', text: 'with its picture', photo: picture }).expect(201)
  await app.post('/stock', {
    part: { kind: 'nut', name: 'Nut', state: 'in hand', sizes: {}, traits: {} },
    holding: 'stash',
    quantity: 1,
    reserved: {},
  })
  file = join(home, 'all.ndjson.gz')
}, 60_000)
afterAll(async () => {
  await app.close()
  await rm(home, { recursive: true, force: true })
})

/** Everything a database holds, table by table, each row as the database writes it. */
async function whole(db: Db): Promise<Record<string, string[]>> {
  const of = async (table: string) =>
    ((await db.execute(sql.raw(`select to_jsonb(t)::text as r from "${table}" t`))) as unknown as { rows: { r: string }[] }).rows
      .map((r) => r.r)
      .toSorted()
  return Object.fromEntries(await Promise.all(TABLES.map(async (t) => [t, await of(t)])))
}

describe('a backup', () => {
  it('brought back into an empty folder is the same in every row, and the log goes on counting behind it', async () => {
    const counts = await backUp(app.db, MIGRATIONS, file, new Date('2026-11-26T20:00:00Z'))
    expect(counts).toMatchObject({ builds: 1, events: 1, photos: 1, log_entries: 251, stock: 1 })
    const folder = join(home, 'drill')
    expect((await restore(file, folder)).counts).toEqual(counts)
    const opened = await openFolder(folder)
    try {
      expect(await whole(opened.db)).toEqual(await whole(app.db))
      const [{ n }] = (
        (await opened.db.execute(sql`select nextval(pg_get_serial_sequence('log_entries', 'seq'))::int as n`)) as unknown as {
          rows: [{ n: number }]
        }
      ).rows
      expect(n).toBe(252)
    } finally {
      await opened.close()
    }
  })
  it('is plain: lines of JSON, packed, the first of which says what it is', async () => {
    const lines = gunzipSync(await readFile(file))
      .toString()
      .trimEnd()
      .split('\n')
    expect(JSON.parse(lines[0]!)).toMatchObject({ format: 'snug-bolt-backup', version: 1, made: '2026-11-26T20:00:00.000Z' })
    expect(JSON.parse(lines.at(-1)!)).toMatchObject({ end: { builds: 1 } })
  })
  it.each([
    ['cut short', (b: Buffer) => b.subarray(0, b.length - 40), /cannot be unpacked|not whole/],
    ['without its end', (b: Buffer) => gzipSync(gunzipSync(b).toString().trimEnd().split('\n').slice(0, -1).join('\n')), /end is missing/],
    ['with another number in it', (b: Buffer) => gzipSync(gunzipSync(b).toString().replace('460.5', '999')), /digest differs/],
    ['something else', () => gzipSync('{"drawing": true}\n'), /no backup of Snug Bolt/],
    ['not packed', () => Buffer.from('hello'), /cannot be unpacked/],
    ['of a newer Snug Bolt', (b: Buffer) => gzipSync(gunzipSync(b).toString().replace('"version":1', '"version":9')), /newer Snug Bolt/],
  ])('%s is refused in a sentence, and nothing is made of it', async (name, spoil, why) => {
    const bad = join(home, `bad-${name.replaceAll(' ', '-')}`)
    await writeFile(bad, spoil(await readFile(file)))
    const folder = join(home, 'never')
    await expect(restore(bad, folder)).rejects.toThrow(why)
    expect(existsSync(join(folder, 'database'))).toBe(false)
  })
  it('never goes over what is there: it is refused, or put aside when that is said', async () => {
    const folder = await emptyFolder(join(home, 'there'))
    await expect(restore(file, folder)).rejects.toThrow(/already/)
    const { aside } = await restore(file, folder, { replace: true, now: new Date('2026-11-27T08:00:00Z'), begin: fromBlank })
    expect(aside).toMatch(/database\.before-2026-11-27T08-00-00-000Z$/)
    expect(existsSync(join(aside!, 'PG_VERSION'))).toBe(true)
  })
})

describe('before it is brought up to date', () => {
  it('a database of an earlier form is written down as it is, and that backup comes back and is brought up to date', async () => {
    const folder = join(home, 'earlier')
    await mkdir(folder)
    const client = await fromBlank(join(folder, 'database'))
    const db = connect(client)
    await upTo(MIGRATIONS, '0004_photos', (part) => migrate(db, { migrationsFolder: part }))
    await db.execute(
      sql`insert into builds (id, revision, doc, undo, redo, created_at, updated_at) values ('b', 0, '{}', '[]', '[]', now(), now())`,
    )
    await db.execute(
      sql`insert into log_entries (id, build_id, at, kind, text) values ('e', 'b', '2026-11-20T10:00:00Z', 'note', 'before')`,
    )
    await backUpBefore(db, MIGRATIONS, folder, new Date())
    await client.close()
    const [made] = await readdir(join(folder, 'backups'))
    expect(made).toBe('before-0004_photos-is-followed.ndjson.gz')
    const back = join(home, 'earlier-back')
    await restore(join(folder, 'backups', made!), back, { begin: fromBlank })
    const opened = await openFolder(back)
    try {
      expect(await standOf(opened.db, MIGRATIONS)).toMatchObject({ behind: false })
      const { rows } = (await opened.db.execute(sql`select text, seq from log_entries`)) as unknown as { rows: object[] }
      expect(rows).toEqual([{ text: 'before', seq: 1 }])
      // Up to date there is nothing to write down.
      await backUpBefore(opened.db, MIGRATIONS, back, new Date())
      expect(existsSync(join(back, 'backups'))).toBe(false)
    } finally {
      await opened.close()
    }
  })
})

describe('one a day', () => {
  it('is made once a day, and older ones thin out', async () => {
    const folder = join(home, 'daily')
    await backUpDaily(app.db, MIGRATIONS, folder, new Date('2026-11-26T08:00:00Z'))
    const made = await readFile(join(folder, 'backups/2026-11-26.ndjson.gz'))
    await app.post('/builds', WANTED).expect(201)
    await backUpDaily(app.db, MIGRATIONS, folder, new Date('2026-11-26T22:00:00Z'))
    expect(Buffer.compare(await readFile(join(folder, 'backups/2026-11-26.ndjson.gz')), made)).toBe(0)
    await writeFile(join(folder, 'backups/2020-01-01.ndjson.gz'), 'old')
    await writeFile(join(folder, 'backups/by-hand.ndjson.gz'), 'mine')
    await backUpDaily(app.db, MIGRATIONS, folder, new Date('2026-11-27T08:00:00Z'))
    expect((await readdir(join(folder, 'backups'))).toSorted()).toEqual([
      '2026-11-26.ndjson.gz',
      '2026-11-27.ndjson.gz',
      'by-hand.ndjson.gz',
    ])
  })
  it('a year of days leaves a week of days, eight weeks and twelve months', () => {
    const days = Array.from({ length: 500 }, (_, i) => new Date(Date.UTC(2026, 10, 26) - i * 86_400_000).toISOString().slice(0, 10))
    const kept = keptDays(days, '2026-11-26')
    expect(kept.slice(0, 7)).toEqual(days.slice(0, 7))
    const ages = kept.map((d) => (Date.UTC(2026, 10, 26) - Date.parse(d)) / 86_400_000)
    expect(ages.filter((a) => a >= 7 && a < 56).length).toBeGreaterThanOrEqual(7)
    expect(ages.filter((a) => a >= 7 && a < 56).length).toBeLessThanOrEqual(8)
    expect(ages.filter((a) => a >= 56).length).toBeGreaterThanOrEqual(10)
    expect(ages.filter((a) => a >= 56).length).toBeLessThanOrEqual(13)
    expect(Math.max(...ages)).toBeLessThan(400)
    // What was kept yesterday and is not younger than it may be is kept today: nothing thins out twice.
    expect(keptDays(kept, '2026-11-26')).toEqual(kept)
  })
})

it('every table there is goes into a backup, or is left out on purpose', async () => {
  const { rows } = (await app.db.execute("select tablename from pg_tables where schemaname = 'public'")) as unknown as {
    rows: { tablename: string }[]
  }
  expect(rows.map((r) => r.tablename).toSorted()).toEqual([...TABLES, ...LEFT_OUT].toSorted())
})
