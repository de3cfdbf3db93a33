import { afterEach, beforeEach, expect, it, vi } from 'vitest'
import { askEarly, takeEarly } from './early'

const asked = vi.fn((path: string) => Promise.resolve(new Response(path)))
beforeEach(() => {
  vi.stubGlobal('fetch', asked)
  vi.useFakeTimers({ toFake: ['performance'] })
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

it('is handed to the first who asks for the same, once', async () => {
  void askEarly('/api/builds/heron')
  expect(takeEarly('/api/builds/plover')).toBeUndefined()
  expect(await (await takeEarly('/api/builds/heron'))!.text()).toBe('/api/builds/heron')
  expect(takeEarly('/api/builds/heron')).toBeUndefined()
})
it('is not handed over when it may be so no longer', () => {
  void askEarly('/api/builds/heron')
  vi.advanceTimersByTime(5001)
  expect(takeEarly('/api/builds/heron')).toBeUndefined()
})
it('that failed is no answer: whoever wants it asks for itself', async () => {
  asked.mockImplementationOnce(() => Promise.reject(new Error('away')))
  void askEarly('/api/builds/heron').catch(() => undefined)
  await Promise.resolve()
  await Promise.resolve()
  expect(takeEarly('/api/builds/heron')).toBeUndefined()
})
