import { createHash } from 'node:crypto'
import { once } from 'node:events'
import { createReadStream, createWriteStream } from 'node:fs'
import { open, rename, rm } from 'node:fs/promises'
import { createInterface } from 'node:readline'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'

export const BACKUP_FORMAT = 'snug-bolt-backup'
export const BACKUP_VERSION = 1

/** The first line of a backup: what it is, when it was made, and by which form of the database. */
export interface BackupHead {
  format: typeof BACKUP_FORMAT
  version: number
  made: string
  /** The last migration the database had. */
  migration: string
}

/** A row of a table as the database itself writes it as JSON. */
export interface BackupRow {
  t: string
  r: Record<string, unknown>
}

/** The last line: how many rows each table has, and the digest of every line before. */
interface BackupEnd {
  end: Record<string, number>
  sha256: string
}

/** A file that is no backup, or not whole, with the sentence that says so. */
export class BadBackup extends Error {}

/**
 * Writes a backup beside its place, brings it to the disk and gives it its name; what was cut short is never found under it.
 * @param each hands over every row
 */
export async function writeBackup(
  file: string,
  head: BackupHead,
  each: (put: (row: BackupRow) => Promise<void>) => Promise<void>,
): Promise<Record<string, number>> {
  const counts: Record<string, number> = {}
  const digest = createHash('sha256')
  const making = `${file}.making`
  const packed = createGzip()
  const written = pipeline(packed, createWriteStream(making))
  written.catch(() => undefined)
  const write = async (of: object, counted = true) => {
    const text = `${JSON.stringify(of)}\n`
    if (counted) digest.update(text)
    if (!packed.write(text)) await Promise.race([once(packed, 'drain'), written])
  }
  try {
    await write(head)
    await each(async (row) => {
      counts[row.t] = (counts[row.t] ?? 0) + 1
      await write(row)
    })
    await write({ end: counts, sha256: digest.digest('hex') } satisfies BackupEnd, false)
    packed.end()
    await written
    const handle = await open(making, 'r')
    await handle.sync().finally(() => handle.close())
    await rename(making, file)
  } catch (e) {
    packed.destroy()
    await rm(making, { force: true })
    throw e
  }
  return counts
}

/** The lines of a backup one by one. @throws BadBackup where it cannot be unpacked */
async function* linesOf(file: string): AsyncGenerator<string> {
  const unpacked = createReadStream(file).pipe(createGunzip())
  const broken = new Promise<never>((_, fail) => unpacked.once('error', fail))
  broken.catch(() => undefined)
  const reader = createInterface({ input: unpacked, crlfDelay: Infinity })[Symbol.asyncIterator]()
  try {
    for (;;) {
      const next = await Promise.race([reader.next(), broken])
      if (next.done) return
      yield next.value
    }
  } catch (e) {
    throw new BadBackup(`${file} cannot be unpacked (${(e as Error).message}). It is cut short or no backup. Nothing was changed.`)
  }
}

/** Reads a backup through to its end before anything is done with it. @throws BadBackup */
export async function verified(file: string): Promise<BackupHead & { counts: Record<string, number> }> {
  const digest = createHash('sha256')
  let head: BackupHead | undefined
  let end: BackupEnd | undefined
  const counts: Record<string, number> = {}
  for await (const text of linesOf(file)) {
    if (end) throw new BadBackup(`${file} goes on behind its end. Nothing was changed.`)
    const said = parsed(file, text)
    if (!head) {
      head = headOf(file, said)
      digest.update(`${text}\n`)
    } else if ('end' in said) end = said as unknown as BackupEnd
    else {
      const { t } = said as unknown as BackupRow
      counts[t] = (counts[t] ?? 0) + 1
      digest.update(`${text}\n`)
    }
  }
  if (!head || !end) throw new BadBackup(`${file} is not whole: its end is missing. Nothing was changed.`)
  if (end.sha256 !== digest.digest('hex')) throw new BadBackup(`${file} is not as it was written: its digest differs. Nothing was changed.`)
  return { ...head, counts }
}

/** The rows of a backup that was verified. */
export async function* rowsOf(file: string): AsyncGenerator<BackupRow> {
  for await (const text of linesOf(file)) {
    const said = parsed(file, text)
    if ('t' in said) yield said as unknown as BackupRow
  }
}

function parsed(file: string, text: string): Record<string, unknown> {
  try {
    return JSON.parse(text) as Record<string, unknown>
  } catch {
    throw new BadBackup(`${file} holds a line that cannot be read. Nothing was changed.`)
  }
}

function headOf(file: string, said: Record<string, unknown>): BackupHead {
  if (said.format !== BACKUP_FORMAT) throw new BadBackup(`${file} is no backup of Snug Bolt. Nothing was changed.`)
  if (typeof said.version !== 'number' || said.version > BACKUP_VERSION)
    throw new BadBackup(`${file} was written by a newer Snug Bolt (version ${String(said.version)}). Bring this one up to date first.`)
  return said as unknown as BackupHead
}
