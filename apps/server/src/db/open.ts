import { PGlite, type PGliteOptions } from '@electric-sql/pglite'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { existsSync } from 'node:fs'
import { mkdir, rename, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { takeFolder } from './lock'
import * as schema from './schema'

export type Db = ReturnType<typeof connect>

export interface OpenDb {
  db: Db
  close: () => Promise<void>
}

/** Migrations lie beside src and beside dist alike. */
const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), import.meta.url.includes('/src/') ? '../../drizzle' : '../drizzle')

const connect = (client: PGlite) => drizzle({ client, schema })

/**
 * Opens (and at first creates) the database in a folder, for this process alone, and brings it up to date.
 * A new one is made beside its place and renamed when whole, so that a creation cut short leaves nothing half-made.
 */
export async function openFolder(folder: string): Promise<OpenDb> {
  await mkdir(folder, { recursive: true })
  const release = await takeFolder(folder)
  try {
    const place = join(folder, 'database')
    if (!existsSync(place)) {
      const making = join(folder, 'database.making')
      await rm(making, { recursive: true, force: true })
      const fresh = await PGlite.create(making)
      await fresh.close()
      await rename(making, place)
    }
    const opened = await open({ dataDir: place })
    return {
      db: opened.db,
      close: async () => {
        await opened.close()
        await release()
      },
    }
  } catch (e) {
    await release()
    throw e
  }
}

/** Opens a database from given options (in memory, from a dump) and migrates it. */
export async function open(options: PGliteOptions): Promise<OpenDb> {
  const client = await PGlite.create(options)
  const db = connect(client)
  await migrate(db, { migrationsFolder: MIGRATIONS })
  return { db, close: () => client.close() }
}
