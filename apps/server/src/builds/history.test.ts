import { afterAll, beforeAll, expect, it } from 'vitest'
import { startApp, WANTED, type TestApp } from '../testing/app'

let app: TestApp
let id: string
beforeAll(async () => {
  app = await startApp()
  id = ((await app.post('/builds', WANTED)).body as { id: string }).id
  for (const [revision, name] of NAMES.entries())
    await app
      .post(`/builds/${id}/changes`, {
        revision,
        label: `Called ${name}`,
        edits: [{ path: ['name'], from: revision ? NAMES[revision - 1] : WANTED.name, to: name }],
      })
      .expect(200)
})
afterAll(() => app.close())

/** More than one page of changes. */
const NAMES = Array.from({ length: 205 }, (_, i) => `Name ${i + 1}`)

interface Event {
  revision: number
  label: string
}

it('every change is in the list, page by page, latest first', async () => {
  const first = (await app.get(`/builds/${id}/events`).expect(200)).body as Event[]
  expect(first.map((e) => e.revision)).toEqual(Array.from({ length: 200 }, (_, i) => 205 - i))
  const rest = (await app.get(`/builds/${id}/events?before=${first.at(-1)!.revision}`).expect(200)).body as Event[]
  expect(rest.map((e) => e.label)).toEqual(['Called Name 5', 'Called Name 4', 'Called Name 3', 'Called Name 2', 'Called Name 1'])
  expect((await app.get(`/builds/${id}/events?before=soon`).expect(422)).body.detail).toMatch(/whole number/)
})

it('a build is looked at as it was, which changes nothing', async () => {
  expect((await app.get(`/builds/${id}/at/3`).expect(200)).body).toMatchObject({ name: 'Name 3' })
  expect((await app.get(`/builds/${id}/at/0`).expect(200)).body).toMatchObject({ name: WANTED.name })
  expect((await app.get(`/builds/${id}/at/205`).expect(200)).body).toMatchObject({ name: 'Name 205' })
  expect((await app.get(`/builds/${id}`).expect(200)).body).toMatchObject({ revision: 205, build: { name: 'Name 205' } })
  expect((await app.get(`/builds/${id}/at/206`).expect(422)).body.detail).toMatch(/been through 205 changes/)
  await app.get('/builds/nobody/at/0').expect(404)
})
