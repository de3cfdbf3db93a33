import { sql } from 'drizzle-orm'
import { cp, mkdtemp, readFile, rm, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { Db } from '../db/open'

interface Journal {
  entries: { tag: string }[]
}

const journalOf = async (folder: string): Promise<Journal> =>
  JSON.parse(await readFile(join(folder, 'meta/_journal.json'), 'utf8')) as Journal

/** The last migration a database has, and whether there are more to come; nothing where it has none yet. */
export async function standOf(db: Pick<Db, 'execute'>, folder: string): Promise<{ tag: string; behind: boolean } | undefined> {
  const there = (await db.execute(sql`select to_regclass('drizzle.__drizzle_migrations') is not null as there`)) as unknown as {
    rows: { there: boolean }[]
  }
  if (!there.rows[0]?.there) return undefined
  const { rows } = (await db.execute(sql`select count(*)::int as n from drizzle.__drizzle_migrations`)) as unknown as {
    rows: { n: number }[]
  }
  const { entries } = await journalOf(folder)
  const n = rows[0]!.n
  return n === 0 ? undefined : { tag: entries[Math.min(n, entries.length) - 1]!.tag, behind: n < entries.length }
}

/** Migrations up to one of them, in a folder of their own while something is done with it. @throws where there is no such one */
export async function upTo<T>(folder: string, tag: string, act: (part: string) => Promise<T>): Promise<T> {
  const journal = await journalOf(folder)
  const at = journal.entries.findIndex((e) => e.tag === tag)
  if (at < 0) throw new Error(`There is no migration ${tag}: the backup is of a newer Snug Bolt. Bring this one up to date first.`)
  const part = await mkdtemp(join(tmpdir(), 'snug-migrations-'))
  try {
    await cp(folder, part, { recursive: true })
    await writeFile(join(part, 'meta/_journal.json'), JSON.stringify({ ...journal, entries: journal.entries.slice(0, at + 1) }))
    return await act(part)
  } finally {
    await rm(part, { recursive: true, force: true })
  }
}
