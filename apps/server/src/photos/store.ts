import { LIMITS, type LogEntry, type PhotoFile } from '@snug/core'
import { and, asc, eq, sql } from 'drizzle-orm'
import { randomUUID } from 'node:crypto'
import type { Db } from '../db/open'
import { logEntries, photos } from '../db/schema'
import { HttpProblem } from '../http/problem'
import { looked, type Looked } from './looked'

const about = {
  id: photos.id,
  name: photos.name,
  type: photos.type,
  width: photos.width,
  height: photos.height,
  createdAt: photos.createdAt,
  /** It belongs to an entry of the log, which is never deleted. */
  logged: sql<boolean>`exists (select 1 from log_entries where log_entries.photo = photos.id)`,
}

export const listPhotos = (db: Db, buildId: string) =>
  db.select(about).from(photos).where(eq(photos.buildId, buildId)).orderBy(asc(photos.createdAt), asc(photos.id))

/** Keeps a picture; one with an id that is there already was sent before, and its answer was lost. */
export async function addPhoto(db: Db, buildId: string, name: string, sent: Uint8Array, id: string = randomUUID()) {
  const seen = looked(sent)
  const before = await there(db, buildId, id)
  if (before) return before
  const [{ n, bytes } = { n: 0, bytes: 0 }] = await db
    .select({ n: sql<number>`count(*)::int`, bytes: sql<number>`coalesce(sum(length(${photos.bytes})), 0)::int` })
    .from(photos)
    .where(eq(photos.buildId, buildId))
  if (n >= LIMITS.photos) throw new HttpProblem(422, `A build keeps at most ${LIMITS.photos} pictures.`)
  if (bytes + seen.bytes.length > LIMITS.photoBytes)
    throw new HttpProblem(
      422,
      `The pictures of a build have at most ${LIMITS.photoBytes / 1e6} MB together; there are ${(bytes / 1e6).toFixed(1)} MB, and this one has ${(seen.bytes.length / 1e6).toFixed(1)}. Save it smaller and try again.`,
    )
  const [told] = await db
    .insert(photos)
    .values(rowOf(id, buildId, name, new Date().toISOString(), seen))
    .onConflictDoNothing({ target: photos.id })
    .returning(about)
  const kept = told ?? (await there(db, buildId, id))
  if (!kept) throw new HttpProblem(409, 'Another picture has that id already.')
  return kept
}

const there = async (db: Db, buildId: string, id: string) => (await db.select(about).from(photos).where(of(buildId, id)))[0]

const rowOf = (id: string, buildId: string, name: string, createdAt: string, seen: Looked) => ({
  id,
  buildId,
  name: name.slice(0, LIMITS.photoName) || 'picture',
  createdAt,
  ...seen,
  bytes: new Uint8Array(seen.bytes),
})

export async function readPhoto(db: Db, buildId: string, id: string) {
  const [row] = await db.select().from(photos).where(of(buildId, id))
  if (!row) throw new HttpProblem(404, 'This build has no such picture.')
  return row
}

const of = (buildId: string, id: string) => and(eq(photos.id, id), eq(photos.buildId, buildId))

/** A picture that an entry of the log holds stays with it. */
export async function removePhoto(db: Db, buildId: string, id: string): Promise<void> {
  const [entry] = await db.select({ id: logEntries.id }).from(logEntries).where(eq(logEntries.photo, id)).limit(1)
  if (entry) throw new HttpProblem(409, 'This picture belongs to an entry of the log, and entries are struck, never deleted.')
  const gone = await db.delete(photos).where(of(buildId, id)).returning({ id: photos.id })
  if (!gone.length) throw new HttpProblem(404, 'This build has no such picture.')
}

/** A build's pictures as they go into its bundle. */
export async function photoFiles(db: Db, buildId: string): Promise<PhotoFile[]> {
  const rows = await db.select().from(photos).where(eq(photos.buildId, buildId)).orderBy(asc(photos.createdAt), asc(photos.id))
  return rows.map(({ id, name, createdAt, bytes }) => ({
    id,
    name,
    createdAt: new Date(createdAt).toISOString(),
    data: Buffer.from(bytes).toString('base64'),
  }))
}

/** Pictures of a bundle, looked at like any others, and its log with the names they have from now on. */
export function unpacked(files: readonly PhotoFile[], log: readonly LogEntry[]) {
  const total = files.reduce((sum, f) => sum + f.data.length, 0)
  if (total > (LIMITS.photoBytes * 4) / 3 + 4 * LIMITS.photos)
    throw new HttpProblem(422, `The pictures of a build have at most ${LIMITS.photoBytes / 1e6} MB together. Nothing was imported.`)
  const named = new Map<string, string>()
  const rows = files.map((f) => {
    const bytes = Buffer.from(f.data, 'base64')
    if (bytes.toString('base64') !== f.data)
      throw new HttpProblem(422, `The picture ${f.name} is not written in base64. Nothing was imported.`)
    const row = rowOf(randomUUID(), '', f.name, f.createdAt, looked(bytes))
    named.set(f.id, row.id)
    return row
  })
  const entries = log.map((e) => {
    if (e.photo === undefined) return e
    const photo = named.get(e.photo)
    if (!photo)
      throw new HttpProblem(422, `An entry of the log names a picture that the bundle does not hold (${e.photo}). Nothing was imported.`)
    return { ...e, photo }
  })
  return { rows, entries }
}
