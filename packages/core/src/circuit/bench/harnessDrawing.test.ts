import { describe, expect, it } from 'vitest'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import { harnessDrawing } from './harnessDrawing'
import { signalPath } from './signalPath'

const made = harnessOf(wirable({ places: ['neck', 'middle', 'bridge'], contacts: 'lever-5', pull: true }))
if (!made.ok) throw new Error('missing')
const { harness } = made
const lugs = (seen: 'solder' | 'playing') =>
  new Map(
    harnessDrawing(harness, { switch: 1 }, seen).marks.flatMap((m) => (m.mark === 'circle' && m.thing ? [[m.thing, m.at] as const] : [])),
  )

describe('the harness drawn', () => {
  it('has every lug once, and a line for every wire', () => {
    const drawing = harnessDrawing(harness, { switch: 1 }, 'solder')
    expect(drawing.numbers).toHaveLength(harness.wires.length)
    const lines = drawing.marks.filter((m) => m.mark === 'line' && m.thing)
    expect(lines).toHaveLength(harness.wires.length)
  })
  it('from the playing side each part’s lugs lie the other way round, and the parts stay where they are', () => {
    const [back, front] = [lugs('solder'), lugs('playing')]
    const x = (m: typeof back, lug: string) => m.get(lug)!.x
    expect(x(back, 'volume.1')).toBeLessThan(x(back, 'volume.3'))
    expect(x(front, 'volume.1')).toBeGreaterThan(x(front, 'volume.3'))
    expect(x(front, 'volume.1')).toBeCloseTo(x(back, 'volume.3'), 9)
    expect(x(front, 'volume.2')).toBeCloseTo(x(back, 'volume.2'), 9)
  })
  it('no two parts lie on each other', () => {
    const boxes = harnessDrawing(harness, { switch: 1 }, 'solder').marks.flatMap((m) =>
      m.mark === 'area'
        ? [
            {
              x0: Math.min(...m.points.map((p) => p.x)),
              x1: Math.max(...m.points.map((p) => p.x)),
              y0: Math.min(...m.points.map((p) => p.y)),
              y1: Math.max(...m.points.map((p) => p.y)),
            },
          ]
        : [],
    )
    boxes.forEach((a, i) =>
      boxes.slice(i + 1).forEach((b) => expect(a.x1 <= b.x0 || b.x1 <= a.x0 || a.y1 <= b.y0 || b.y1 <= a.y0).toBe(true)),
    )
  })
})

describe('following the signal', () => {
  const carries = (position: number) => [...signalPath(harness, { switch: position }).wires].map((w) => `${w.from} ${w.to}`)
  it('the bridge’s lead is live in position 1 and dead in 5', () => {
    expect(carries(1)).toContain('bridge.finish switch.A1')
    expect(carries(5)).not.toContain('bridge.finish switch.A1')
    expect(carries(5)).toContain('neck.finish switch.A3')
  })
  it('no ground wire carries it', () => {
    for (const p of [1, 2, 3, 4, 5])
      for (const w of signalPath(harness, { switch: p }).wires) expect(w.role, `${w.from} ${w.to}`).not.toBe('ground')
  })
  it('says what each part on the way does', () => {
    const { says } = signalPath(harness, { switch: 2 })
    expect(says[0]).toBe('Sounding: middle ‖ bridge.')
    expect(says.join(' ')).toMatch(/selector joins A0 to A1, A0 to A2/)
    expect(says.at(-1)).toMatch(/leaves at jack, tip/)
  })
})
