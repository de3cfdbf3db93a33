import type { LogEntry } from '@snug/core'
import type { LogRequest } from '@snug/contract'
import { and, asc, eq } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import { tell } from '../db/news'
import type { Db } from '../db/open'
import { logEntries } from '../db/schema'
import { HttpProblem } from '../http/problem'
import { readPhoto } from '../photos/store'

type Row = Omit<typeof logEntries.$inferSelect, 'seq'>
const iso = (t: string) => new Date(t).toISOString()
const entryOf = (row: Row): LogEntry => ({
  id: row.id,
  at: iso(row.at),
  kind: row.kind,
  text: row.text,
  ...(row.station ? { station: row.station } : {}),
  ...(row.thing ? { thing: row.thing } : {}),
  ...(row.photo ? { photo: row.photo } : {}),
  ...(row.struckAt ? { struck: iso(row.struckAt) } : {}),
})

/** In the order they were written, which no clock set back can change. */
export async function listLog(db: Db, buildId: string): Promise<LogEntry[]> {
  return (await db.select().from(logEntries).where(eq(logEntries.buildId, buildId)).orderBy(asc(logEntries.seq))).map(entryOf)
}

/** Writes an entry; one with an id that is there already was sent before, and its answer was lost. */
export async function addEntry(db: Db, buildId: string, wanted: LogRequest): Promise<LogEntry> {
  if (wanted.photo !== undefined) await readPhoto(db, buildId, wanted.photo)
  const row: Row = {
    id: wanted.id ?? randomUUID(),
    buildId,
    at: writtenAt(wanted.at),
    kind: wanted.kind,
    text: wanted.text,
    station: wanted.station ?? null,
    thing: wanted.thing ?? null,
    photo: wanted.photo ?? null,
    struckAt: null,
  }
  const [made] = await db.insert(logEntries).values(row).onConflictDoNothing({ target: logEntries.id }).returning()
  if (made) {
    tell(db, { build: buildId, log: true })
    return entryOf(made)
  }
  const [there] = await db
    .select()
    .from(logEntries)
    .where(and(eq(logEntries.id, row.id), eq(logEntries.buildId, buildId)))
  if (!there) throw new HttpProblem(409, 'Another entry has that id already.')
  return entryOf(there)
}

/** When it was written as far as can be: nothing was written later than now. */
const writtenAt = (said: string | undefined): string => {
  const now = new Date().toISOString()
  return said !== undefined && Date.parse(said) < Date.parse(now) ? new Date(said).toISOString() : now
}

/** Strikes an entry, or takes the strike back; it stays where it is. */
export async function strikeEntry(db: Db, buildId: string, id: string, struck: boolean): Promise<LogEntry> {
  const [row] = await db
    .update(logEntries)
    .set({ struckAt: struck ? new Date().toISOString() : null })
    .where(and(eq(logEntries.id, id), eq(logEntries.buildId, buildId)))
    .returning()
  if (!row) throw new HttpProblem(404, 'There is no such log entry.')
  tell(db, { build: buildId, log: true })
  return entryOf(row)
}
