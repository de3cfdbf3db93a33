import type { PGliteOptions } from '@electric-sql/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { existsSync, realpathSync } from 'node:fs'
import { mkdir, rename, rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { durable, watched, type Sync } from './durable'
import { LivingClient, type Client } from './living'
import { takeFolder } from './lock'
import { giveUpReserve, keepReserve, NoRoom, ROOM_TO_START, ROOM_TO_WRITE, wantRoom } from './room'
import { CHANNEL } from './channel'
import { connect, type Db } from './connect'
import { allTold } from './news'
import { tidier } from './tidy'

export interface OpenDb {
  db: Db
  /** Throws NoRoom when nothing may be written now, nor so many bytes more. */
  wantRoom: (more?: number) => void
  /** To be told of each write, so that what it left behind is given back in a quiet moment. */
  wrote: () => void
  tidy: () => Promise<void>
  /** Hears the news of every process on this database. @param missed some may have been lost */
  listen: (hear: (payload: string) => void, missed: () => void) => Promise<unknown>
  close: () => Promise<void>
}

/** A folder that cannot be used as it is, with the way out. */
export class BadFolder extends Error {}

/** Migrations lie beside src and beside dist alike. */
export const MIGRATIONS = join(dirname(fileURLToPath(import.meta.url)), import.meta.url.includes('/src/') ? '../../drizzle' : '../drizzle')

export { connect, type Db }

/**
 * Opens (and at first creates) the database in a folder, for this process alone, and brings it up to date.
 * A new one is made beside its place and renamed when whole, so that a creation cut short leaves nothing half-made.
 * @param beforeIt what is done with a database as it lies, before it is brought up to date
 * @throws FolderTaken, NoRoom, BadFolder
 */
export async function openFolder(folder: string, sync?: Sync, beforeIt?: (db: Db, migrations: string) => Promise<void>): Promise<OpenDb> {
  const release = await own(folder)
  const place = join(folder, 'database')
  try {
    if (!existsSync(place)) {
      wantRoom(folder, ROOM_TO_START)
      const making = join(folder, 'database.making')
      await rm(making, { recursive: true, force: true })
      const fresh = await durable(making, sync)
      await fresh.close()
      await rename(making, place)
    }
    await keepReserve(folder).catch(() => undefined)
    const client = new LivingClient(await existing(folder, place, sync), async () => {
      await giveUpReserve(folder)
      return durable(place, sync)
    })
    await beforeIt?.(connect(client as unknown as Client), MIGRATIONS)
    return await upToDate(client, {
      wantRoom: (more = 0) => wantRoom(folder, ROOM_TO_WRITE + more),
      release: async () => {
        await keepReserve(folder).catch(() => undefined)
        await release()
      },
    })
  } catch (e) {
    await release()
    throw sentenceFor(e, folder)
  }
}

/** Takes the folder, or says plainly what is wrong with it. */
async function own(folder: string): Promise<() => Promise<void>> {
  try {
    await mkdir(folder, { recursive: true })
    return await takeFolder(folder)
  } catch (e) {
    throw sentenceFor(e, folder)
  }
}

/** A folder to be made on a read-only disk is answered with ENOENT. */
const UNWRITABLE = new Set(['EROFS', 'EACCES', 'EPERM', 'ENOENT'])

function sentenceFor(e: unknown, folder: string): unknown {
  const code = codeOf(e)
  if (UNWRITABLE.has(code))
    return new BadFolder(
      `The data folder ${folder} cannot be written to. Give yourself the right to write there, or start with another folder (SNUG_DATA).`,
    )
  if (code === 'ENOTDIR' || code === 'EEXIST')
    return new BadFolder(`${folder} is a file, not a folder. Start with another folder (SNUG_DATA).`)
  if (code === 'ENOSPC') return new NoRoom(folder, 0, ROOM_TO_START)
  return e
}

const codeOf = (e: unknown): string => (typeof e === 'object' && e !== null && 'code' in e ? String(e.code) : '')

/** Opens what is there; a database that will not open is left exactly as it lies. */
async function existing(folder: string, place: string, sync?: Sync) {
  if (!existsSync(join(place, 'PG_VERSION'))) throw damaged(folder, place, 'its first page is missing')
  try {
    return await durable(place, sync)
  } catch (e) {
    try {
      wantRoom(folder)
    } catch (full) {
      await giveUpReserve(folder)
      return durable(place, sync).catch(() => Promise.reject(full as Error))
    }
    throw damaged(folder, place, e instanceof Error && e.message ? e.message : 'it stopped while it was opened')
  }
}

const damaged = (folder: string, place: string, why: string) =>
  new BadFolder(
    `The database in ${realpathSync(folder)} is damaged and cannot be opened (${why}). Nothing was changed in it. Keep ${place} as it is, put a copy you trust in its place, or start with another folder (SNUG_DATA) and bring in the bundles you saved.`,
  )

async function upToDate(client: LivingClient, more: { wantRoom: (more?: number) => void; release: () => Promise<void> }): Promise<OpenDb> {
  const db = connect(client as unknown as Client)
  await migrate(db, { migrationsFolder: MIGRATIONS })
  const { wrote, tidy, stop } = tidier(client as unknown as Client)
  return {
    db,
    wantRoom: more.wantRoom,
    wrote,
    tidy,
    listen: (hear, missed) => client.listen(CHANNEL, hear, missed),
    close: async () => {
      stop()
      await allTold(db)
      await client.close()
      await more.release()
    },
  }
}

/** Opens a database from given options (in memory, from a dump) and migrates it. */
export async function open(options: PGliteOptions): Promise<OpenDb> {
  const make = () => watched(options)
  return upToDate(new LivingClient(await make(), make), { wantRoom: () => undefined, release: () => Promise.resolve() })
}
