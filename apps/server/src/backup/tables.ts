import { sql } from 'drizzle-orm'
import type { Db } from '../db/open'
import type { BackupRow } from './lines'

/** All tables, each behind those it names rows of. */
export const TABLES = ['builds', 'events', 'photos', 'log_entries', 'stock', 'benches'] as const
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
        const [found] = await rowsOf(tx, `select to_regclass('public.${table}') is not null as there`)
        // A database of an earlier form has fewer.
        if (!found?.there) continue
        await tx.execute(sql.raw(`declare backup cursor for select to_jsonb(t)::text as r from "${table}" t`))
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

/** Puts a row back as it was. */
export const putBack = (db: Pick<Db, 'execute'>, { t, r }: BackupRow): Promise<unknown> =>
  db.execute(
    sql`insert into ${sql.identifier(t)} select * from jsonb_populate_record(null::${sql.identifier(t)}, ${JSON.stringify(r)}::jsonb)`,
  )

/** What counts by itself goes on behind the highest that was brought back. */
export async function countOn(db: Pick<Db, 'execute'>): Promise<void> {
  for (const [table, column] of COUNTED) {
    const there = await rowsOf(db, `select 1 from information_schema.columns where table_name = '${table}' and column_name = '${column}'`)
    if (there.length)
      await rowsOf(
        db,
        `select setval(pg_get_serial_sequence('${table}', '${column}'), greatest(coalesce(max("${column}"), 0), 1)) from "${table}"`,
      )
  }
}
