import { beforeEach, describe, expect, it, vi } from 'vitest'
import type * as Api from './api'

const server = vi.hoisted(() => ({ answers: 201, log: [] as { id: string; at: string; text: string; build: string }[] }))
vi.mock('./api', async (original) => {
  const actual = await original<typeof Api>()
  return {
    ...actual,
    api: {
      addLog: (build: string, entry: { id: string; at: string; text: string }) => {
        if (server.answers !== 201) return Promise.reject(new actual.ApiProblem(server.answers, 'Not taken.'))
        if (!server.log.some((e) => e.id === entry.id)) server.log.push({ ...entry, build })
        return Promise.resolve(entry)
      },
    },
  }
})
const { sendWaiting, useWaiting, writeDown } = await import('./logQueue')

const words = (text: string) => ({ kind: 'note' as const, text })
const waiting = () => useWaiting.getState().waiting.map((w) => w.text)

beforeEach(async () => {
  server.answers = 201
  await sendWaiting()
  server.log = []
})

describe('entries of the log', () => {
  it('go to the server at once, and nothing of them is left', async () => {
    expect(await writeDown('b', words('One'))).toBe('written')
    expect([server.log.map((e) => e.text), waiting(), localStorage.length]).toEqual([['One'], [], 0])
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
