import { migrate } from 'drizzle-orm/pglite/migrator'
import { existsSync } from 'node:fs'
import { mkdir, rename, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { takeFolder } from '../db/lock'
import { connect, MIGRATIONS } from '../db/open'
import { durable } from '../db/durable'
import { BadBackup, rowsOf, verified } from './lines'
import { upTo } from './migrations'
import { countOn, putBack } from './tables'

/**
 * Makes a database of a backup. What lies in the folder is put aside under a name of its own, never written over.
 * @param replace there may be a database already
 * @returns rows by table, and where the earlier one lies
 * @throws BadBackup, FolderTaken
 */
export async function restore(
  file: string,
  folder: string,
  { replace = false, now = new Date() }: { replace?: boolean; now?: Date } = {},
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
    const client = await durable(making)
    try {
      const db = connect(client)
      await upTo(MIGRATIONS, head.migration, (part) => migrate(db, { migrationsFolder: part }))
      await db.transaction(async (tx) => {
        for await (const row of rowsOf(file)) await putBack(tx, row)
        await countOn(tx)
      })
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
