import { choosePart, removePart, setSize, type Build, type Change, type StockItem } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { toBundle } from '@snug/formats'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import type { News } from '../db/news'
import { startApp, type TestApp } from '../testing/app'

let app: TestApp
let build: { id: string; revision: number; build: Build }
let item: StockItem
/** A name a careless query would trip over. */
const part = { ...fullBuild().parts['pot-tone']!, name: 'Pot "O\'Drawer" %_', state: 'in hand' as const }

beforeAll(async () => {
  app = await startApp()
})
afterAll(() => app.close())
beforeEach(async () => {
  build = (await app.post('/import', toBundle(fullBuild(), [], '2026-11-24T20:00:00Z')).expect(201)).body as typeof build
  if (item) await app.remove(`/stock/${item.id}`)
  item = (await app.post('/stock', { part, holding: 'stash', quantity: 2, reserved: {} }).expect(201)).body as StockItem
})

const change = async (made: Change) => {
  build = (await app.post(`/builds/${build.id}/changes`, { revision: build.revision, ...made }).expect(200)).body as typeof build
}
const step = async (back: 'undo' | 'redo') => {
  build = (await app.post(`/builds/${build.id}/${back}`, { revision: build.revision }).expect(200)).body as typeof build
}
const reserved = async () => ((await app.get('/stock?kind=pot&holding=stash')).body as { items: StockItem[] }).items[0]!.reserved

describe('reservations follow the slots', () => {
  it('taken from the stash, taken back, made again, taken out', async () => {
    await change(choosePart(build.build, 'pot-tone', part))
    expect(await reserved()).toEqual({ [build.id]: 1 })
    await step('undo')
    expect(await reserved()).toEqual({})
    await step('redo')
    expect(await reserved()).toEqual({ [build.id]: 1 })
    await change(setSize(build.build, { slot: 'pot-tone', size: 'resistance' }, { value: 251e3, doubt: 1e3, known: 'meter' }))
    expect(await reserved()).toEqual({ [build.id]: 1 })
    await change(removePart(build.build, 'pot-tone'))
    expect(await reserved()).toEqual({})
  })
  it('two builds share a drawer; the third piece is nobody’s', async () => {
    await change(choosePart(build.build, 'pot-tone', part))
    const first = build.id
    build = (await app.post('/import', toBundle(fullBuild(), [], '2026-11-24T20:00:00Z')).expect(201)).body as typeof build
    await change(choosePart(build.build, 'pot-tone', part))
    await change(choosePart(build.build, 'pot-volume', part))
    expect(await reserved()).toEqual({ [first]: 1, [build.id]: 1 })
  })
  it('tells the windows that show the stash when something in it is put by or free again, and of no other change', async () => {
    const heard: News[] = []
    const deaf = app.hub.hear(
      'own',
      (news) => heard.push(news),
      () => undefined,
    )
    const told = async (made: Change) => {
      await change(made)
      await vi.waitFor(() => expect(heard).toContainEqual({ build: build.id, revision: build.revision }))
      return heard.splice(0).some((news) => 'stock' in news)
    }
    expect(await told(choosePart(build.build, 'pot-tone', part))).toBe(true)
    expect(await told(setSize(build.build, { slot: 'pot-tone', size: 'resistance' }, { value: 251e3, doubt: 1e3, known: 'meter' }))).toBe(
      false,
    )
    expect(await told(choosePart(build.build, 'pot-tone', { ...part, name: 'Pot nobody has' }))).toBe(true)
    expect(await told(removePart(build.build, 'pot-tone'))).toBe(false)
    deaf()
  })
  it('a change that is refused leaves the drawer as it was', async () => {
    const bad = choosePart(build.build, 'pot-tone', { ...part, sizes: { resistance: { value: 1e15, doubt: 1, known: 'meter' } } })
    await app.post(`/builds/${build.id}/changes`, { revision: build.revision, ...bad }).expect(422)
    const stale = choosePart(build.build, 'pot-tone', part)
    await app.post(`/builds/${build.id}/changes`, { revision: build.revision + 7, ...stale }).expect(409)
    expect(await reserved()).toEqual({})
  })
})
