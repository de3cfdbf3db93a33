import type { Build } from '@snug/core'
import { bundleSchema } from '@snug/contract/schema'
import { heron } from '@snug/demo'
import Ajv from 'ajv/dist/2020'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { OWN } from '../db/schema'
import { startApp, WANTED, type TestApp } from '../testing/app'
import { insertBuild } from './store'

let app: TestApp
beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())

it('a build begun with a starting set has its parts, all of them guesses; another word for one is refused', async () => {
  const { body } = await app.post('/builds', { ...WANTED, start: 'bolt-guard-vibrato' }).expect(201)
  const parts = (body as { build: Build }).build.parts
  expect(Object.keys(parts).length).toBeGreaterThan(15)
  expect(
    Object.values(parts)
      .flatMap((p) => Object.values(p.sizes))
      .every((s) => s.known === 'assumed'),
  ).toBe(true)
  const refused = await app.post('/builds', { ...WANTED, start: 'harp' }).expect(422)
  expect(JSON.stringify(refused.body)).toMatch(/begins with nothing or with one of/)
})
it('an example is a copy that has an id of its own, each time', async () => {
  const [one, two] = [
    (await app.post('/builds/example', {}).expect(201)).body,
    (await app.post('/builds/example', {}).expect(201)).body,
  ] as {
    id: string
    build: { name: string; parts: object }
  }[]
  expect(one!.id).not.toBe(two!.id)
  expect(one!.build.name).toBe('Heron, an example')
  expect(Object.keys(one!.build.parts).length).toBeGreaterThan(15)
  await app.remove(`/builds/${one!.id}`).expect(204)
})
it('of a rescue everything is here and coated; of a raw kit nothing is and the wood is bare', async () => {
  const of = async (job: string) =>
    ((await app.post('/builds', { ...WANTED, start: 'bolt-through', job }).expect(201)).body as { build: Build }).build.parts
  for (const [job, state, surface] of [
    ['kit', 'planned', 'raw'],
    ['rescue', 'in hand', 'coated'],
  ] as const) {
    const parts = await of(job)
    expect(new Set(Object.values(parts).map((p) => p.state))).toEqual(new Set([state]))
    expect(parts.body!.traits.surface).toBe(surface)
  }
  await app.post('/builds', { ...WANTED, job: 'holiday' }).expect(422)
})
const fresh = async () => (await app.post('/builds', WANTED).expect(201)).body as { id: string; revision: number }
const rename = (revision: number, from: string, to: string) => ({ revision, label: `Name ${to}`, edits: [{ path: ['name'], from, to }] })

describe('a build over HTTP', () => {
  it('is put on the shelf, read, put away and brought back', async () => {
    const { id } = await fresh()
    const ids = async () => ((await app.get('/builds').expect(200)).body as { id: string }[]).map((b) => b.id)
    expect(await ids()).toContain(id)
    await app.remove(`/builds/${id}`).expect(204)
    expect(await ids()).not.toContain(id)
    await app.post(`/builds/${id}/restore`).expect(200)
    expect(await ids()).toContain(id)
  })

  it('takes a change, undo, redo; every one an event with its own revision', async () => {
    const { id } = await fresh()
    const changed = (await app.post(`/builds/${id}/changes`, rename(0, WANTED.name, 'Second')).expect(200)).body
    expect(changed).toMatchObject({ revision: 1, build: { name: 'Second' }, canUndo: true, canRedo: false })
    const undone = (await app.post(`/builds/${id}/undo`, { revision: 1 }).expect(200)).body
    expect(undone).toMatchObject({ revision: 2, build: { name: WANTED.name }, canUndo: false, canRedo: true })
    const redone = (await app.post(`/builds/${id}/redo`, { revision: 2 }).expect(200)).body
    expect(redone).toMatchObject({ revision: 3, build: { name: 'Second' } })
    const events = (await app.get(`/builds/${id}/events`).expect(200)).body as { kind: string; revision: number }[]
    expect(events.map((e) => [e.revision, e.kind])).toEqual([
      [3, 'redo'],
      [2, 'undo'],
      [1, 'change'],
    ])
  })

  it('answers a stale revision with 409 and the state as it is; nothing is lost', async () => {
    const { id } = await fresh()
    await app.post(`/builds/${id}/changes`, rename(0, WANTED.name, 'First')).expect(200)
    const answer = await app.post(`/builds/${id}/changes`, rename(0, WANTED.name, 'Late')).expect(409)
    expect(answer.type).toBe('application/problem+json')
    expect(answer.body.current).toMatchObject({ revision: 1, build: { name: 'First' } })
    expect(answer.body.detail).toMatch(/another window/)
  })

  it.each([
    [
      'a neck 5 m long',
      ['parts', 'neck', 'sizes', 'scale'],
      { value: 5000, doubt: 1, known: 'tape' },
      /5000 mm cannot be right; allowed is 450 mm to 950 mm/,
    ],
    [
      'a negative width',
      ['parts', 'body', 'sizes', 'pocket.widthMouth'],
      { value: -56, doubt: 0.05, known: 'calipers' },
      /cannot be right/,
    ],
    ['text for a number', ['parts', 'body', 'sizes', 'pocket.widthMouth'], { value: 'wide', doubt: 0.05, known: 'calipers' }, /number/],
    [
      'a size nobody knows',
      ['parts', 'body', 'sizes', 'pocket.smell'],
      { value: 1, doubt: 0, known: 'rule' },
      /no size called "pocket.smell"/,
    ],
    ['a part of the wrong kind', ['parts', 'nut'], { kind: 'tuners', name: 'x', state: 'planned', sizes: {}, traits: {} }, /nut/i],
    ['a field that does not exist', ['colour'], 'red', /no field called "colour"/],
    ['strings out of range', ['strings'], 13, /4 to 12/],
  ])('refuses %s with one sentence and writes nothing', async (_, path, to, sentence) => {
    const id = `heron-${Math.abs(
      JSON.stringify([path, to])
        .split('')
        .reduce((n, c) => (n * 31 + c.charCodeAt(0)) | 0, 7),
    )}`
    const doc = heron('2026-11-24', '2027-02-15', '2026-12-05')
    await insertBuild(app.db, OWN, doc, [], id)
    let from: unknown = doc
    for (const key of path) from = (from as Record<string, unknown> | undefined)?.[key]
    const answer = await app
      .post(`/builds/${id}/changes`, { revision: 0, label: 'bad', edits: [{ path, ...(from === undefined ? {} : { from }), to }] })
      .expect(422)
    expect((answer.body.problems as { why: string }[]).map((p) => p.why).join(' ')).toMatch(sentence)
    expect((await app.get(`/builds/${id}`)).body).toMatchObject({ revision: 0, build: { strings: 6 } })
  })

  it.each([
    ['an empty name', { ...WANTED, name: '' }, /name/],
    ['no strings', { ...WANTED, strings: null }, /4 to 12/],
    ['a scale of 5 m', { ...WANTED, scale: 5000 }, /500 to 900 mm/],
    ['an unknown field', { ...WANTED, colour: 'red' }, /no field called "colour"/],
    ['a list instead of an object', [], /object/],
  ])('refuses a new build with %s', async (_, body, sentence) => {
    const answer = await app.post('/builds', body).expect(422)
    expect(answer.body.detail).toMatch(sentence)
  })

  it('a change to the prototype is turned away', async () => {
    const { id } = await fresh()
    await app.post(`/builds/${id}/changes`, { revision: 0, label: 'x', edits: [{ path: ['__proto__', 'x'], to: 1 }] }).expect((r) => {
      expect(r.status).toBeGreaterThanOrEqual(400)
      expect(r.status).toBeLessThan(500)
    })
  })
})

describe('bundles', () => {
  const imported = (text: string | object) => app.post('/import', text)
  const bundleOf = async () => {
    await insertBuild(app.db, OWN, heron('2026-11-24', '2027-02-15', '2026-12-05'), [], 'heron-bundle').catch(() => undefined)
    await app.post('/builds/heron-bundle/log', { kind: 'note', text: 'Found the bag of screws', station: 'parts', thing: 'neck-screws' })
    return (await app.get('/builds/heron-bundle/bundle').expect(200)).body
  }

  it('goes out and comes back without loss, and its schema describes it', async () => {
    const bundle = await bundleOf()
    const validate = new Ajv({ strict: false, inlineRefs: false, code: { optimize: false }, formats: { 'date-time': true } }).compile(
      bundleSchema(),
    )
    expect(validate(bundle), JSON.stringify(validate.errors)).toBe(true)
    const { id } = (await imported(bundle).expect(201)).body
    const again = (await app.get(`/builds/${id}/bundle`)).body
    const entries = (log: { id?: string }[]) => log.map((e) => ({ ...e, id: '' }))
    expect(again.build).toEqual(bundle.build)
    expect(entries(again.log)).toEqual(entries(bundle.log))
  })

  it.each([
    ['broken JSON', '{"format": "snug-bolt-b', 400, /not JSON/],
    ['foreign JSON', '{"drawing": {}}', 422, /not a build bundle/],
    ['a newer version', '{"format":"snug-bolt-build","version":99}', 422, /reads up to version 2\. Update/],
    ['no build inside', '{"format":"snug-bolt-build","version":1,"exported":"2026-11-24T10:00:00Z","log":[]}', 422, /no build/],
  ])('%s is refused with a sentence', async (_, text, status, sentence) => {
    const before = (await app.get('/builds')).body.length
    const answer = await imported(text).expect(status)
    expect(answer.body.detail).toMatch(sentence)
    expect((await app.get('/builds')).body.length).toBe(before)
  })

  it('an absurd size inside is named with its place', async () => {
    const bundle = await bundleOf()
    bundle.build.parts.neck.sizes.scale.value = 5000
    const answer = await imported(bundle).expect(422)
    expect(answer.body.detail).toMatch(/5000 mm cannot be right.*build\.parts\.neck\.sizes\.scale/)
  })
})
