import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { toast } from 'sonner'
import type * as Api from './api'

interface Got {
  id: string
  at: string
  text: string
  build: string
  photo?: string
}
const server = vi.hoisted(() => ({ answers: 201, pictures: 201, log: [] as Got[], photos: new Map<string, string>() }))
vi.mock('./api', async (original) => {
  const actual = await original<typeof Api>()
  return {
    ...actual,
    api: {
      addPhoto: (build: string, file: File, id: string) => {
        if (server.pictures !== 201) return Promise.reject(new actual.ApiProblem(server.pictures, 'Too many pictures.'))
        server.photos.set(id, `${build} ${file.name}`)
        return Promise.resolve({ id })
      },
      addLog: (build: string, entry: Omit<Got, 'build'>) => {
        if (server.answers !== 201) return Promise.reject(new actual.ApiProblem(server.answers, 'Not taken.'))
        if (!server.log.some((e) => e.id === entry.id)) server.log.push({ ...entry, build })
        return Promise.resolve(entry)
      },
    },
  }
})
const { sendWaiting, sendWordsAlone, useWaiting, writeDown } = await import('./logQueue')
const { keptPicture } = await import('./keptPictures')

const words = (text: string) => ({ kind: 'note' as const, text })
const waiting = () => useWaiting.getState().waiting.map((w) => w.text)

beforeEach(async () => {
  server.answers = 201
  server.pictures = 201
  await sendWaiting()
  server.log = []
  server.photos.clear()
})

describe('entries of the log', () => {
  it('go to the server at once, and nothing of them is left', async () => {
    expect(await writeDown('b', words('One'))).toBe('written')
    expect([server.log.map((e) => e.text), waiting(), localStorage.length]).toEqual([['One'], [], 0])
  })
  it('go although something went wrong in the round before', async () => {
    server.answers = 0
    expect(await writeDown('b', words('One'))).toBe('waits')
    server.answers = 422
    vi.spyOn(toast, 'error').mockImplementationOnce(() => {
      throw new Error('The page is gone')
    })
    await expect(sendWaiting()).rejects.toThrow('The page is gone')
    server.answers = 201
    expect(await sendWaiting()).toEqual(['b'])
    expect([server.log.map((e) => e.text), waiting()]).toEqual([['One'], []])
  })
  it.each([0, 401, 429, 500, 503, 507])(
    'wait while it answers %i, and go in their order and with their times when it takes them',
    async (status) => {
      server.answers = status
      expect(await writeDown('b', words('One'))).toBe('waits')
      expect(await writeDown('c', words('Two'))).toBe('waits')
      expect([waiting(), localStorage.length]).toEqual([['One', 'Two'], 2])
      const times = useWaiting.getState().waiting.map((w) => w.at)
      expect(await sendWaiting()).toEqual([])
      server.answers = 201
      expect(await sendWaiting()).toEqual(['b', 'c'])
      expect(server.log.map((e) => [e.build, e.text, e.at])).toEqual([
        ['b', 'One', times[0]],
        ['c', 'Two', times[1]],
      ])
      expect([waiting(), localStorage.length]).toEqual([[], 0])
    },
  )
  it('that can never be are refused at once, and not kept', async () => {
    server.answers = 422
    await expect(writeDown('b', words('One'))).rejects.toThrow('Not taken.')
    expect([waiting(), localStorage.length]).toEqual([[], 0])
  })
  it('that were refused later are let go, and what comes after them goes on', async () => {
    server.answers = 0
    await writeDown('b', words('One'))
    server.answers = 404
    await sendWaiting()
    expect([waiting(), localStorage.length]).toEqual([[], 0])
  })
  it('another window left are sent too, and sent by both are one', async () => {
    const left = { ...words('Left'), build: 'b', id: 'left', at: '2026-11-20T19:30:00Z' }
    localStorage.setItem('snug-log/left', JSON.stringify(left))
    localStorage.setItem('snug-log/spoilt', '{')
    await Promise.all([sendWaiting(), sendWaiting()])
    expect(server.log.map((e) => e.text)).toEqual(['Left'])
    expect(localStorage.getItem('snug-log/left')).toBeNull()
    localStorage.clear()
  })
})

describe('an entry with a picture', () => {
  const picture = () => new File(['grain'], 'grain.jpg', { type: 'image/jpeg' })
  const only = () => useWaiting.getState().waiting[0]!
  it('goes at once, the picture before the words that name it', async () => {
    expect(await writeDown('b', words('Grain'), picture())).toBe('written')
    const [{ id, photo }] = server.log as [Got]
    expect([photo, server.photos.get(id)]).toEqual([id, 'b grain.jpg'])
    expect([waiting(), localStorage.length, await keptPicture(id)]).toEqual([[], 0, undefined])
  })
  it('waits with its picture while the server is away; both go when it is there', async () => {
    server.pictures = 0
    expect(await writeDown('b', words('Grain'), picture())).toBe('waits')
    const { id } = only()
    expect(await (await keptPicture(id))!.text()).toBe('grain')
    server.pictures = 201
    expect(await sendWaiting()).toEqual(['b'])
    expect(server.log.map((e) => [e.text, e.photo])).toEqual([['Grain', id]])
    expect([...server.photos]).toEqual([[id, 'b grain.jpg']])
    expect([waiting(), await keptPicture(id)]).toEqual([[], undefined])
  })
  it('whose words did not get through after its picture did is sent again as the same picture', async () => {
    server.answers = 503
    await writeDown('b', words('Grain'), picture())
    server.answers = 201
    await sendWaiting()
    expect([server.photos.size, server.log.length, server.log[0]!.photo]).toEqual([1, 1, server.log[0]!.id])
  })
  it('refused at once is not kept: the person has both before them', async () => {
    server.pictures = 422
    await expect(writeDown('b', words('Grain'), picture())).rejects.toThrow('Too many pictures.')
    expect([waiting(), localStorage.length, server.log]).toEqual([[], 0, []])
  })
  it('refused later waits for a word, is not sent again by itself, and holds nothing else up', async () => {
    server.pictures = 0
    await writeDown('b', words('Grain'), picture())
    server.pictures = 422
    expect(await sendWaiting()).toEqual([])
    expect(only().refused).toBe('Too many pictures.')
    server.pictures = 201
    server.answers = 0
    await writeDown('b', words('After'))
    server.answers = 201
    await sendWaiting()
    expect([server.log.map((e) => e.text), waiting()]).toEqual([['After'], ['Grain']])
    const { id } = only()
    expect(await (await keptPicture(id))!.text()).toBe('grain')
    expect(await sendWordsAlone(id)).toEqual(['b'])
    expect(server.log.map((e) => [e.text, e.photo])).toEqual([
      ['After', undefined],
      ['Grain', undefined],
    ])
    expect([waiting(), await keptPicture(id)]).toEqual([[], undefined])
  })
  it('that the browser does not give back waits for a word; its words do not go without it unasked', async () => {
    server.pictures = 0
    await writeDown('b', words('Grain'), picture())
    server.pictures = 201
    const broken = vi.spyOn(IDBObjectStore.prototype, 'get').mockImplementation(() => {
      throw new Error('the disk is ill')
    })
    expect(await sendWaiting()).toEqual([])
    expect([server.log, only().refused]).toEqual([[], 'This browser does not give it back.'])
    broken.mockRestore()
    const { id } = only()
    expect(await (await keptPicture(id))!.text()).toBe('grain')
    await sendWordsAlone(id)
    expect(waiting()).toEqual([])
  })
  it('in a browser that keeps nothing waits in its window', async () => {
    vi.resetModules()
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new Error('nothing is kept here')
      },
    })
    const fresh = await import('./keptPictures')
    await fresh.keepPicture('x', picture())
    expect(await (await fresh.keptPicture('x'))!.text()).toBe('grain')
    await fresh.dropPicture('x')
    expect(await fresh.keptPicture('x')).toBeUndefined()
    vi.unstubAllGlobals()
  })
})
