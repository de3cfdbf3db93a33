import { migrate } from 'drizzle-orm/pglite/migrator'
import { existsSync } from 'node:fs'
import { mkdir, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { takeFolder } from '../db/lock'
import { connect, MIGRATIONS, type Db } from '../db/open'
import { alone } from '../db/server'
import { durable } from '../db/durable'
import { BadBackup, rowsOf, verified } from './lines'
import { standOf, upTo } from './migrations'
import { fill, isEmpty } from './tables'

/**
 * Makes a database of a backup. What lies in the folder is put aside under a name of its own, never written over.
 * @param replace there may be a database already
 * @param begin makes the new database
 * @returns rows by table, and where the earlier one lies
 * @throws BadBackup, FolderTaken
 */
export async function restore(
  file: string,
  folder: string,
  { replace = false, now = new Date(), begin = durable }: { replace?: boolean; now?: Date; begin?: typeof durable } = {},
): Promise<{ counts: Record<string, number>; aside?: string }> {
  const head = await verified(file)
  await mkdir(folder, { recursive: true })
  const release = await takeFolder(folder)
  const place = join(folder, 'database')
  const making = join(folder, 'database.restoring')
  try {
    if (existsSync(place) && !replace)
      throw new BadBackup(
        `There is a database in ${folder} already. Name an empty folder, or say --replace: what is there is then put aside. Nothing was changed.`,
      )
    await rm(making, { recursive: true, force: true })
    const client = await begin(making)
    try {
      const db = connect(client)
      await brought(db, file, head.migration, (part) => migrate(db, { migrationsFolder: part }))
    } finally {
      await client.close()
    }
    const aside = existsSync(place) ? join(folder, `database.before-${now.toISOString().replaceAll(/[:.]/g, '-')}`) : undefined
    if (aside) await rename(place, aside)
    await rename(making, place)
    return { counts: head.counts, ...(aside ? { aside } : {}) }
  } catch (e) {
    await rm(making, { recursive: true, force: true })
    throw e
  } finally {
    await release()
  }
}

/** A database in the form the backup was made by, with its rows. */
async function brought(db: Db, file: string, migration: string, migrateTo: (folder: string) => Promise<void>): Promise<void> {
  await upTo(MIGRATIONS, migration, migrateTo)
  await fill(db, async (put) => {
    for await (const row of rowsOf(file)) await put(row)
  })
}

/**
 * Makes a database server's database of a backup; it must be a new one, since nothing is ever written over.
 * @returns rows by table
 * @throws BadBackup, BadServer
 */
export async function restoreToServer(file: string, url: string): Promise<Record<string, number>> {
  const head = await verified(file)
  return alone(url, async (db, migrateTo) => {
    const stand = await standOf(db, MIGRATIONS)
    if (stand && (stand.tag !== head.migration || !(await isEmpty(db))))
      throw new BadBackup(
        'The database DATABASE_URL names is in use already. Make a new one (createdb) and name that. Nothing was changed.',
      )
    await brought(db, file, head.migration, migrateTo)
    return head.counts
  })
}
