import { migrated, SCHEMA, type Build } from '@snug/core'
import { readFileSync } from 'node:fs'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { OWN } from '../db/schema'
import { startApp, type TestApp } from '../testing/app'
import { insertBuild } from './store'
import { bringUpToDate } from './upgrade'

const heron1 = () =>
  JSON.parse(readFileSync(new URL('../../../../demo/src/earlier/heron.1.json', import.meta.url), 'utf8')) as Build & { schema: number }

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())
const change = (id: string, revision: number, edits: object[]) => app.post(`/builds/${id}/changes`, { revision, label: 'x', edits })

it('a build kept by an earlier Snug Bolt is brought up to date once, and goes on from there', async () => {
  await insertBuild(app.db, OWN, heron1(), [], 'old')
  await insertBuild(app.db, OWN, migrated(heron1()) as Build, [], 'new')
  expect(await bringUpToDate(app.db)).toEqual([])
  expect((await app.get('/builds/old')).body).toMatchObject({ revision: 1, canUndo: false, build: { schema: SCHEMA } })
  expect((await app.get('/builds/new')).body).toMatchObject({ revision: 0 })
  expect(await bringUpToDate(app.db)).toEqual([])
  expect((await app.get('/builds/old')).body.revision).toBe(1)
  expect((await app.get('/builds/old/events')).body).toMatchObject([{ revision: 1, label: 'Brought up to date with this Snug Bolt' }])
  await change('old', 1, [{ path: ['budget'], from: heron1().budget, to: 7 }]).expect(200)
  // The state from before comes back, in the form of today.
  const back = await app.post('/builds/old/back', { revision: 2, to: 1 }).expect(200)
  expect(back.body.build).toEqual(migrated(heron1()))
  await change('old', 3, [{ path: ['budget'], from: heron1().budget, to: 9 }]).expect(200)
  expect((await app.post('/builds/old/back', { revision: 4, to: 0 }).expect(200)).body.build).toEqual(migrated(heron1()))
})

it('one the rules would refuse is left as it lies, and named', async () => {
  await insertBuild(app.db, OWN, { ...heron1(), name: '' }, [], 'unfit')
  expect(await bringUpToDate(app.db)).toEqual(['unfit'])
  expect((await app.get('/builds/unfit')).body).toMatchObject({ revision: 0, build: { schema: 1 } })
})

it('a bundle of an earlier Snug Bolt comes in as a build of today', async () => {
  const bundle = { format: 'snug-bolt-build', version: 1, exported: '2026-11-20T19:00:00Z', build: heron1(), log: [] }
  expect((await app.post('/import', bundle).expect(201)).body.build).toEqual(migrated(heron1()))
})
