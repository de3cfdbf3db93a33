import { LIMITS } from '@snug/core'
import { asc, count, eq } from 'drizzle-orm'
import express, { Router } from 'express'
import { imageSize } from 'image-size'
import { randomUUID } from 'node:crypto'
import type { Db } from '../db/open'
import { builds, photos } from '../db/schema'
import { HttpProblem } from '../http/problem'

/** Pictures a build may keep, and pixels one may have: what a browser can still work on. */
const MOST = 12
const MEGAPIXELS = 40

const TYPES = { jpg: 'image/jpeg', png: 'image/png' } as const

/** What a picture is, by its own bytes and not by what the sender calls it. */
function looked(bytes: Uint8Array): { type: 'image/jpeg' | 'image/png'; width: number; height: number } {
  let seen: { type?: string; width?: number; height?: number }
  try {
    seen = imageSize(bytes)
  } catch {
    throw new HttpProblem(422, 'That is no picture this can read, or it is broken: a JPEG or a PNG is wanted. Nothing was taken in.')
  }
  const type = TYPES[seen.type as keyof typeof TYPES]
  const { width = 0, height = 0 } = seen
  if (!type) throw new HttpProblem(422, `A ${seen.type ?? 'file of that kind'} is not taken in: a JPEG or a PNG is wanted.`)
  if (width < 100 || height < 100)
    throw new HttpProblem(422, `A picture of ${width} x ${height} pixels shows too little to measure; 100 each way are the least.`)
  if (width * height > MEGAPIXELS * 1e6)
    throw new HttpProblem(
      422,
      `A picture of ${width} x ${height} pixels, ${Math.round((width * height) / 1e6)} million, is too large: at most ${MEGAPIXELS} million. Save it smaller and try again.`,
    )
  return { type, width, height }
}

const about = {
  id: photos.id,
  name: photos.name,
  type: photos.type,
  width: photos.width,
  height: photos.height,
  createdAt: photos.createdAt,
}

/** Pictures of a build: kept in the data folder's database, as bytes that are only ever shown. */
export function photoRoutes(db: Db): Router {
  const routes = Router()
  const known = async (id: string) => {
    const [build] = await db.select({ id: builds.id }).from(builds).where(eq(builds.id, id))
    if (!build) throw new HttpProblem(404, 'There is no such build.')
  }
  routes.get('/builds/:id/photos', async (req, res) => {
    await known(req.params.id)
    res.json(await db.select(about).from(photos).where(eq(photos.buildId, req.params.id)).orderBy(asc(photos.createdAt), asc(photos.id)))
  })
  routes.post('/builds/:id/photos', express.raw({ type: 'image/*', limit: LIMITS.file }), async (req, res) => {
    const buildId = req.params.id as string
    await known(buildId)
    const bytes: unknown = req.body
    if (!(bytes instanceof Uint8Array) || !bytes.length) throw new HttpProblem(422, 'No picture came along.')
    const [{ n } = { n: 0 }] = await db.select({ n: count() }).from(photos).where(eq(photos.buildId, buildId))
    if (n >= MOST) throw new HttpProblem(422, `A build keeps at most ${MOST} pictures; take one out first.`)
    const seen = looked(bytes)
    const name = (typeof req.query.name === 'string' ? req.query.name : '').slice(0, 120) || 'picture'
    const row = { id: randomUUID(), buildId, name, ...seen, createdAt: new Date().toISOString() }
    const [told] = await db
      .insert(photos)
      .values({ ...row, bytes: new Uint8Array(bytes) })
      .returning(about)
    res.status(201).json(told)
  })
  routes.get('/photos/:id', async (req, res) => {
    const [row] = await db.select().from(photos).where(eq(photos.id, req.params.id))
    if (!row) throw new HttpProblem(404, 'There is no such picture.')
    res
      .type(row.type)
      .set({ 'Cache-Control': 'private, max-age=3600', 'Content-Disposition': 'inline', 'X-Content-Type-Options': 'nosniff' })
      .send(Buffer.from(row.bytes))
  })
  routes.delete('/photos/:id', async (req, res) => {
    const gone = await db.delete(photos).where(eq(photos.id, req.params.id)).returning({ id: photos.id })
    if (!gone.length) throw new HttpProblem(404, 'There is no such picture.')
    res.status(204).end()
  })
  return routes
}
