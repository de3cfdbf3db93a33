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
  it('each wire runs from lug to lug; one to a pot’s case goes straight down to the bar; what sounds is drawn through, the rest dashed', () => {
    const { marks } = harnessDrawing(harness, { switch: 1 }, 'solder')
    const at = lugs('solder')
    const bar = marks.find((m) => m.mark === 'line' && !m.thing)!
    const foot = bar.mark === 'line' ? bar.points[0]!.y : NaN
    const live = signalPath(harness, { switch: 1 }).wires
    const met = { down: 0, live: 0, dead: 0 }
    for (const w of harness.wires.filter((x) => !x.inside)) {
      const line = marks.find((m) => m.mark === 'line' && m.thing === `${w.from} ${w.to}`)!
      if (line.mark !== 'line') throw new Error('a wire is a line')
      const ends = [line.points[0]!, line.points.at(-1)!]
      const onCase = [w.from, w.to].map((l) => l.startsWith('case.'))
      if (w.role === 'ground' && onCase.includes(true)) {
        // Metal of the instrument hangs on the bar by its own name.
        const end = onCase[1] ? w.from : w.to
        const lug = (at.get(end) ?? at.get(end.replace(/\.1$/, '')))!
        expect(line).toMatchObject({ role: 'ground', points: [lug, { x: lug.x, y: foot }] })
        met.down++
        continue
      }
      expect(ends, `${w.from} ${w.to}`).toEqual([at.get(w.from) ?? ends[0], at.get(w.to) ?? ends[1]])
      // It hangs under both its lugs, the lower the further they are apart.
      const low = Math.max(...line.points.map((p) => p.y))
      expect(low).toBeGreaterThan(Math.max(ends[0]!.y, ends[1]!.y))
      expect(line.dashed ?? false).toBe(!live.has(w))
      expect(line.role).toBe(live.has(w) ? 'sounding' : 'hot')
      met[live.has(w) ? 'live' : 'dead']++
    }
    expect(Math.min(met.down, met.live, met.dead)).toBeGreaterThan(1)
  })
  it('a part of several lugs has each named over it, and every lug’s circle lies above the wires', () => {
    const { marks } = harnessDrawing(harness, { switch: 1 }, 'solder')
    const named = (lug: string, text: string) =>
      marks.some(
        (m) => m.mark === 'label' && m.text === text && m.at.x === lugs('solder').get(lug)!.x && m.at.y === lugs('solder').get(lug)!.y - 4,
      )
    expect(named('volume.2', '2')).toBe(true)
    expect(named('switch.A0', 'A0')).toBe(true)
    const lastWire = marks.findLastIndex((m) => m.mark === 'line' && m.thing)
    expect(marks.findIndex((m) => m.mark === 'circle' && m.thing === 'volume.2')).toBeGreaterThan(lastWire)
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
