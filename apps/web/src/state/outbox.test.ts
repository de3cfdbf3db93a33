import { newBuild, setField, type Build, type Change } from '@snug/core'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type * as Api from './api'

const server = vi.hoisted(() => ({ revision: 0, build: undefined as unknown, sent: [] as string[], asked: 0 }))
vi.mock('./api', async (original) => {
  const full = () => ({ id: 'b', revision: server.revision, build: server.build as Build, canUndo: false, canRedo: false, updatedAt: '' })
  return {
    ...(await original<typeof Api>()),
    api: {
      build: () => {
        server.asked++
        return Promise.resolve(full())
      },
      change: (_: string, __: number, change: Change) => {
        server.sent.push(change.label)
        server.revision++
        return Promise.resolve(full())
      },
    },
  }
})
const { Outbox } = await import('./outbox')

const start = newBuild({ name: 'Trial', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-24')
const rename = (to: string): Change => setField(start, ['name'], to, `Name ${to}`)
interface Line {
  inLine: (work: () => Promise<void>) => void
}
/** An outbox whose hearer breaks down for as long as it is told to. */
function boxOf() {
  const hearer = { broken: false }
  const tell = () => {
    if (hearer.broken) throw new Error('The page is gone')
  }
  const box = new Outbox(
    { id: 'b', revision: 0, build: start, canUndo: false, canRedo: false, updatedAt: '' },
    { tell, say: () => undefined },
  )
  // A line that takes turns for nothing would take them for ever: it is stopped here.
  const line = box as unknown as Line
  const { inLine } = line
  const turns = vi.spyOn(line, 'inLine').mockImplementation((work) => {
    if (turns.mock.calls.length > 20) throw new Error('Turns for nothing')
    inLine.call(box, work)
  })
  return { box, hearer, turns }
}
const settled = async () => {
  for (let i = 0; i < 20; i++) await new Promise((r) => setTimeout(r, 0))
}

beforeEach(() => {
  Object.assign(server, { revision: 0, build: start, sent: [], asked: 0 })
  localStorage.clear()
})

describe('when something goes wrong while an answer is taken', () => {
  it('what comes after is sent all the same, and each change once', async () => {
    const { box, hearer } = boxOf()
    const first = rename('One')
    box.push(first)
    hearer.broken = true
    await settled()
    hearer.broken = false
    expect(box.sending.is).toBe('waiting')
    box.push(setField(start, ['currency'], 'GBP', 'Currency'))
    await settled()
    expect(server.sent).toEqual(['Name One', 'Currency'])
    expect([box.unsent, box.sending.is]).toEqual([0, 'quiet'])
  })
  it('news is asked about once, not for ever', async () => {
    const { box, hearer, turns } = boxOf()
    box.push(rename('One'))
    hearer.broken = true
    // Heard while the change is under way, and further on than its answer.
    box.heard(7)
    await settled()
    expect(server.asked).toBe(1)
    expect(turns.mock.calls.length).toBeLessThanOrEqual(3)
  })
})
