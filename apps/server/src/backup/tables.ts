import { createHash } from 'node:crypto'
import { sql } from 'drizzle-orm'
import type { Db } from '../db/open'
import type { BackupRow } from './lines'

/** All tables, each behind those it names rows of. */
export const TABLES = ['benches', 'builds', 'events', 'photos', 'log_entries', 'stock', 'links'] as const
/** Who is signed in is of no use in another place. */
export const LEFT_OUT = ['sessions'] as const
/** Which row comes first, wherever the table lies: two copies are compared by it. */
const ORDER: Record<(typeof TABLES)[number], string> = {
  benches: 'id collate "C"',
  builds: 'id collate "C"',
  events: 'build_id collate "C", revision',
  photos: 'id collate "C"',
  log_entries: 'id collate "C"',
  stock: 'id collate "C"',
  links: 'token collate "C"',
}
/** Columns that count by themselves, and go on counting behind what was brought back. */
const COUNTED = [['log_entries', 'seq']] as const
/** Rows fetched at once: pictures are large. */
const AT_ONCE = 100

/**
 * Every row of every table, as it was at one moment. The database itself writes them as JSON, so that either kind of it reads them.
 * @param put takes each row
 */
export const eachRow = (db: Db, put: (row: BackupRow) => Promise<void>): Promise<void> =>
  db.transaction(
    async (tx) => {
      for (const table of TABLES) {
        // A database of an earlier form has fewer.
        if (!(await exists(tx, table))) continue
        await tx.execute(sql.raw(`declare backup cursor for select to_jsonb(t)::text as r from "${table}" t order by ${ORDER[table]}`))
        for (let rows = await rowsOf(tx, NEXT); rows.length; rows = await rowsOf(tx, NEXT))
          for (const { r } of rows) await put({ t: table, r: JSON.parse(r as string) as Record<string, unknown> })
        await tx.execute(sql.raw('close backup'))
      }
    },
    { isolationLevel: 'repeatable read' },
  )

const NEXT = `fetch ${AT_ONCE} from backup`
const rowsOf = async (db: Pick<Db, 'execute'>, query: string): Promise<Record<string, unknown>[]> =>
  ((await db.execute(sql.raw(query))) as unknown as { rows: Record<string, unknown>[] }).rows

const exists = async (db: Pick<Db, 'execute'>, table: string): Promise<boolean> =>
  Boolean((await rowsOf(db, `select to_regclass('public.${table}') is not null as there`))[0]?.there)

/** Is there nothing in it but the bench every database begins with? */
export async function isEmpty(db: Pick<Db, 'execute'>): Promise<boolean> {
  for (const table of TABLES) {
    if (!(await exists(db, table))) continue
    const untouched = table === 'benches' ? "where id <> 'own' or doc is not null" : ''
    if ((await rowsOf(db, `select 1 from "${table}" ${untouched} limit 1`)).length) return false
  }
  return true
}

/** Fills an empty database with rows, in one transaction. @param each hands over every row */
export const fill = (db: Db, each: (put: (row: BackupRow) => Promise<void>) => Promise<void>): Promise<void> =>
  db.transaction(async (tx) => {
    // The bench it began with gives way to what comes.
    if (await exists(tx, 'benches')) await rowsOf(tx, 'delete from benches')
    await each(async (row) => void (await putBack(tx, row)))
    await countOn(tx)
  })

/** How many rows each table has, and a digest of them all: two databases with the same are the same. */
export async function digests(db: Db): Promise<Record<string, { rows: number; sha256: string }>> {
  const found = new Map<string, { rows: number; hash: ReturnType<typeof createHash> }>()
  await eachRow(db, ({ t, r }) => {
    const of = found.get(t) ?? { rows: 0, hash: createHash('sha256') }
    of.rows++
    of.hash.update(`${JSON.stringify(r)}\n`)
    found.set(t, of)
    return Promise.resolve()
  })
  return Object.fromEntries([...found].map(([t, { rows, hash }]) => [t, { rows, sha256: hash.digest('hex') }]))
}

/** Puts a row back as it was. */
const putBack = (db: Pick<Db, 'execute'>, { t, r }: BackupRow): Promise<unknown> =>
  db.execute(
    sql`insert into ${sql.identifier(t)} select * from jsonb_populate_record(null::${sql.identifier(t)}, ${JSON.stringify(r)}::jsonb)`,
  )

/** What counts by itself goes on behind the highest that was brought back. */
async function countOn(db: Pick<Db, 'execute'>): Promise<void> {
  for (const [table, column] of COUNTED) {
    const there = await rowsOf(db, `select 1 from information_schema.columns where table_name = '${table}' and column_name = '${column}'`)
    if (there.length)
      await rowsOf(
        db,
        `select setval(pg_get_serial_sequence('${table}', '${column}'), greatest(coalesce(max("${column}"), 0), 1)) from "${table}"`,
      )
  }
}
