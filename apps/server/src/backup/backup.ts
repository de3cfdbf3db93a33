import { mkdir, readdir, rm } from 'node:fs/promises'
import { join } from 'node:path'
import type { Db } from '../db/open'
import { keptDays } from './kept'
import { BACKUP_FORMAT, BACKUP_VERSION, writeBackup } from './lines'
import { standOf } from './migrations'
import { eachRow } from './tables'

const FOLDER = 'backups'
const DAILY = /^(\d{4}-\d{2}-\d{2})\.ndjson\.gz$/

/** Writes the whole database into one file. @returns rows by table */
export async function backUp(db: Db, migrations: string, file: string, now: Date): Promise<Record<string, number>> {
  const stand = await standOf(db, migrations)
  if (!stand) return {}
  const head = { format: BACKUP_FORMAT, version: BACKUP_VERSION, made: now.toISOString(), migration: stand.tag } as const
  return writeBackup(file, head, (put) => eachRow(db, put))
}

/** Before a database is brought up to date it is written down as it is. */
export async function backUpBefore(db: Db, migrations: string, folder: string, now: Date): Promise<void> {
  const stand = await standOf(db, migrations)
  if (!stand?.behind) return
  await mkdir(join(folder, FOLDER), { recursive: true })
  await backUp(db, migrations, join(folder, FOLDER, `before-${stand.tag}-is-followed.ndjson.gz`), now)
}

/** One a day, and of the older ones ever fewer. */
export async function backUpDaily(db: Db, migrations: string, folder: string, now: Date): Promise<void> {
  const place = join(folder, FOLDER)
  await mkdir(place, { recursive: true })
  const today = now.toISOString().slice(0, 10)
  const days = async () => (await readdir(place)).flatMap((f) => DAILY.exec(f)?.[1] ?? [])
  if (!(await days()).includes(today)) await backUp(db, migrations, join(place, `${today}.ndjson.gz`), now)
  const there = await days()
  const kept = new Set(keptDays(there, today))
  for (const day of there) if (!kept.has(day)) await rm(join(place, `${day}.ndjson.gz`))
}
