import { LIMITS } from '@snug/core'
import express, { Router } from 'express'
import { readBuild } from '../builds/store'
import type { Db } from '../db/open'
import { HttpProblem } from '../http/problem'
import { addPhoto, listPhotos, readPhoto, removePhoto } from './store'

/** An id made where the picture was taken, so that one sent twice is one. */
const ID = /^[\w-]{1,60}$/

/** Pictures of a build: kept in the data folder's database, as bytes that are only ever shown. */
export function photoRoutes(db: Db): Router {
  const routes = Router()
  routes.get('/builds/:id/photos', async (req, res) => {
    await readBuild(db, req.params.id)
    res.json(await listPhotos(db, req.params.id))
  })
  routes.post('/builds/:id/photos', express.raw({ type: 'image/*', limit: LIMITS.file }), async (req, res) => {
    const buildId = req.params.id as string
    await readBuild(db, buildId)
    const bytes: unknown = req.body
    if (!(bytes instanceof Uint8Array) || !bytes.length) throw new HttpProblem(422, 'No picture came along.')
    const { name, id } = req.query
    if (id !== undefined && !(typeof id === 'string' && ID.test(id)))
      throw new HttpProblem(422, 'A picture’s id has 1 to 60 letters, digits and dashes.')
    res.status(201).json(await addPhoto(db, buildId, typeof name === 'string' ? name : '', bytes, id))
  })
  routes.get('/builds/:id/photos/:photo', async (req, res) => {
    const row = await readPhoto(db, req.params.id, req.params.photo)
    res
      .type(row.type)
      .set({ 'Cache-Control': 'private, max-age=3600', 'Content-Disposition': 'inline', 'X-Content-Type-Options': 'nosniff' })
      .send(Buffer.from(row.bytes))
  })
  routes.delete('/builds/:id/photos/:photo', async (req, res) => {
    await removePhoto(db, req.params.id, req.params.photo)
    res.status(204).end()
  })
  return routes
}
