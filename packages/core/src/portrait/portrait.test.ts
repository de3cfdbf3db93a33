import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { specAt } from '../document/read'
import type { Mark } from '../drawing/drawing'
import type { Point } from '../geometry/point'
import { boundsOf } from '../drawing/bounds'
import { KINDS } from '../parts/kinds/index'
import { SLOT_NAMES, slotSpec, type Slot } from '../parts/slots'
import { anyBuild, everyMake, everySize, untold } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { partDrawing, sizeDrawing } from './partDrawing'
import { sketchOf } from './sketches'

const finite = (marks: readonly Mark[]) => Object.values(boundsOf(marks)).every(Number.isFinite)
const lengths = (slot: Slot) => Object.entries(KINDS[slotSpec(slot).kind].sizes).flatMap(([key, s]) => (s.unit === 'mm' ? [key] : []))
const bare = (slot: Slot): Build => {
  const b = structuredClone(fullBuild())
  b.parts[slot] = { kind: slotSpec(slot).kind, name: 'a part', state: 'in hand', sizes: {}, traits: {} }
  return b
}
/** Of a set of more strings than the build has nobody asks. */
const asked = (build: Build, size: string) => Number(/\.(\d+)$/.exec(size)?.[1] ?? 0) <= build.strings

/** From a point to the nearest edge of what a mark draws, mm on the sheet. */
function toEdge(p: Point, m: Mark): number {
  if (m.mark === 'circle') return Math.abs(Math.hypot(p.x - m.at.x, p.y - m.at.y) - m.r)
  if (m.mark !== 'area' && m.mark !== 'line') return Infinity
  const closed = m.mark === 'area' ? [...m.points, m.points[0]!] : m.points
  return Math.min(
    ...closed.slice(1).map((b, i) => {
      const a = closed[i]!
      const along = { x: b.x - a.x, y: b.y - a.y }
      const long = along.x ** 2 + along.y ** 2
      const t = long ? Math.max(0, Math.min(1, ((p.x - a.x) * along.x + (p.y - a.y) * along.y) / long)) : 0
      return Math.hypot(p.x - a.x - t * along.x, p.y - a.y - t * along.y)
    }),
  )
}

describe('where each size is taken', () => {
  it.each(SLOT_NAMES.map((s) => [s] as const))('%s: every length has its place, whether anything of the part is known or not', (slot) => {
    for (const build of [fullBuild(), bare(slot)])
      for (const size of lengths(slot)) if (asked(build, size)) expect(sketchOf(build, slot, size).places.get(size), size).toBeDefined()
  })
  it('what is held to the part spans the size, whatever the sizes', () => {
    let spans = 0
    const cases = holds(
      fc.property(anyBuild, fc.nat(), (build, n) => {
        const slots = Object.keys(build.parts) as Slot[]
        const slot = slots[n % slots.length]!
        const sizes = lengths(slot).filter((s) => asked(build, s))
        const size = sizes[(n >> 6) % sizes.length]
        if (!size) return
        const sketch = sketchOf(build, slot, size)
        const { from, to, times, hold } = sketch.places.get(size)!
        const span = times * Math.hypot(to.x - from.x, to.y - from.y)
        if (hold === 'gauge' && span === 0) return
        expect(span, `${slot}/${size}`).toBeCloseTo(Math.abs(sketch.v(size)), 6)
        spans++
      }),
      2000,
    )
    expect(spans).toBeGreaterThan(0.6 * cases)
  })
  /** Drawn thinner than it is, as a zigzag, or cut off by the picture's edge. */
  const ELSEWHERE = new Set(['neck/crown.width', 'springs/diameter', 'body/block.thickness'])
  it('jaws touch an edge that is drawn, at both ends', () => {
    let held = 0
    holds(
      fc.property(anyBuild, fc.nat(), (build, n) => {
        const slots = Object.keys(build.parts) as Slot[]
        const slot = slots[n % slots.length]!
        for (const size of lengths(slot).filter((x) => asked(build, x) && !ELSEWHERE.has(`${slot}/${x}`))) {
          const sketch = sketchOf(build, slot, size)
          const place = sketch.places.get(size)!
          if (!['outside', 'inside'].includes(place.hold) || place.view === 'screw') continue
          const { marks } = sketch.views.find((v) => v.id === place.view)!
          for (const end of [place.from, place.to])
            expect(Math.min(...marks.map((m) => toEdge(end, m))), `${slot}/${size}`).toBeLessThan(0.6)
          held++
        }
      }),
      300,
    )
    expect(held).toBeGreaterThan(200)
  })
  it('a nut read narrower than its strings is held where it is, not where they would be', () => {
    const { from, to } = sketchOf(changed(fullBuild(), { 'nut/length': 30, 'nut/spread': 35.2 }), 'nut', 'height').places.get('height')!
    // Seen from the bridge the first string lies at the right.
    expect([from.x, to.x]).toEqual([15, 15])
  })
  it('radii and what lies between a string and a fret are held to a gauge; nothing else is', () => {
    for (const slot of SLOT_NAMES)
      for (const size of lengths(slot)) {
        const place = sketchOf(fullBuild(), slot, size).places.get(size)
        if (place?.hold === 'gauge') expect(`${slot}/${size}`).toMatch(/radius|fret1\.|slot\.extra/i)
      }
  })
  it('the drawing for a reading shows the place, with what is held there and what is known so far', () => {
    holds(
      fc.property(anyBuild, fc.nat(), (build, n) => {
        const slots = Object.keys(build.parts) as Slot[]
        const slot = slots[n % slots.length]!
        const sizes = lengths(slot).filter((s) => asked(build, s))
        const size = sizes[(n >> 6) % sizes.length]
        if (!size) return
        const d = sizeDrawing(build, { slot, size })
        expect(finite(d.marks), `${slot}/${size}`).toBe(true)
        expect(
          d.marks.some((m) => 'role' in m && m.role === 'tool'),
          `${slot}/${size}`,
        ).toBe(true)
        const { from, to } = sketchOf(build, slot, size).places.get(size)!
        for (const p of [from, to]) {
          expect(p.x >= d.bounds.x && p.x <= d.bounds.x + d.bounds.width, `${slot}/${size} along`).toBe(true)
          expect(p.y >= d.bounds.y && p.y <= d.bounds.y + d.bounds.height, `${slot}/${size} across`).toBe(true)
        }
        expect(d.numbers[0]!.label).toBe(specAt({ slot, size }).label)
      }),
      1000,
    )
  })
  it.each([
    ['tuners', 'count', '3 to 14 are found'],
    ['body', 'mass', '1100 g to 3600 g are found'],
    ['neck', 'head.angle', '0° to 18° are found'],
    ['body', 'axisAtBridge', '−5 to 5 mm are found'],
    ['body', 'pocket.depth', /\d to \d+(?:\.\d+)? mm are found/],
  ] as const)('what such parts are found with stands in its own unit: %s, %s', (slot, size, says) =>
    expect(sizeDrawing(untold(fullBuild(), 'sizes', slot, size), { slot, size }).note).toMatch(says),
  )
  it('ten threads for one, half a scale for a whole', () => {
    const pitch = sketchOf(fullBuild(), 'bridge', 'height.pitch').places.get('height.pitch')!
    expect(Math.hypot(pitch.to.x - pitch.from.x, pitch.to.y - pitch.from.y)).toBeCloseTo(
      10 * fullBuild().parts.bridge!.sizes['height.pitch']!.value,
      9,
    )
    const scale = sketchOf(fullBuild(), 'neck', 'scale').places.get('scale')!
    expect(scale.to.x).toBeCloseTo(fullBuild().parts.neck!.sizes.scale!.value / 2, 9)
  })
})

describe('a part as it looks', () => {
  const dashed = (marks: readonly Mark[]) => marks.filter((m) => 'dashed' in m && m.dashed).length
  it.each(SLOT_NAMES.map((s) => [s] as const))('%s: from its own sizes, or dotted from usual ones; never nothing', (slot) => {
    const drawn = partDrawing(bare(slot), slot)
    expect(drawn.marks.filter((m) => m.mark !== 'label').length).toBeGreaterThan(0)
    expect(finite(drawn.marks)).toBe(true)
    expect(drawn.marks.some((m) => m.mark === 'dimension')).toBe(false)
    if (lengths(slot).length) {
      expect(dashed(drawn.marks)).toBeGreaterThan(0)
      expect(drawn.note).toMatch(/dotted/)
    }
    const empty = { ...fullBuild(), parts: {} }
    expect(partDrawing(empty, slot).marks[0]).toMatchObject({ mark: 'label', text: 'Empty slot' })
  })
  it('an assumed size is dotted, a listed or measured one is not; only what is known is dimensioned', () => {
    const build = structuredClone(fullBuild())
    const sizes = build.parts.ferrules?.sizes ?? {}
    build.parts.ferrules = {
      kind: 'ferrules',
      name: 'six',
      state: 'in hand',
      traits: {},
      sizes: {
        ...sizes,
        diameter: { value: 8, doubt: 0.05, known: 'calipers' },
        length: { value: 9, doubt: 2, known: 'assumed' },
        'string.hole': { value: 3, doubt: 0.4, known: 'listed' },
      },
    }
    const drawn = partDrawing(build, 'ferrules')
    expect(dashed(drawn.marks)).toBe(1)
    expect(drawn.marks.flatMap((m) => (m.mark === 'dimension' ? [m.text] : []))).toEqual(['8', '3'])
  })
  it('each dimension says its own length, and lies inside the frame', () => {
    let met = 0
    const cases = holds(
      fc.property(anyBuild, fc.nat(), (build, n) => {
        const slots = Object.keys(build.parts) as Slot[]
        const drawn = partDrawing(build, slots[n % slots.length]!)
        const { x, y, width, height } = drawn.bounds
        for (const m of drawn.marks) {
          const box = boundsOf([m])
          expect(box.x >= x && box.y >= y && box.x + box.width <= x + width && box.y + box.height <= y + height, drawn.title).toBe(true)
          if (m.mark !== 'dimension') continue
          met++
          const digits = m.text.split('.')[1]?.length ?? 0
          expect(Math.abs(Math.hypot(m.to.x - m.from.x, m.to.y - m.from.y) - Math.abs(Number(m.text)))).toBeLessThanOrEqual(
            0.5 * 10 ** -digits + 1e-6,
          )
        }
      }),
      1000,
    )
    expect(met).toBeGreaterThan(0.8 * cases)
  })
  it('what is read with a meter is said beside the drawing', () => {
    const build = structuredClone(fullBuild())
    build.parts.capacitor = {
      kind: 'capacitor',
      name: '22 n film',
      state: 'in hand',
      sizes: { capacitance: { value: 22e-9, doubt: 1e-9, known: 'listed' } },
      traits: {},
    }
    expect(partDrawing(build, 'capacitor').marks).toContainEqual(expect.objectContaining({ mark: 'label', text: '22 nF' }))
    const wound = changed(fullBuild(), { 'pickup-neck/resistance': 7400, 'pickup-neck/inductance': 4.3, 'pickup-neck/load': 500e3 })
    // What pot it wants is no reading of it.
    expect(partDrawing(wound, 'pickup-neck').marks.flatMap((m) => (m.mark === 'label' ? [m.text] : []))).toContain('7.40 k · 4.3 H')
  })
  it('a longer part is a longer drawing: a lead of 400 mm twice one of 200', () => {
    const lead = (length: number) => {
      const b = bare('harness')
      b.parts.harness!.sizes = { 'lead.length': { value: length, doubt: 1, known: 'rule' } }
      const place = sketchOf(b, 'harness').places.get('lead.length')!
      return place.from.x - place.to.x
    }
    expect(lead(400)).toBeCloseTo(2 * lead(200), 9)
  })
})

/** Points along what a mark draws, as far apart as a hundredth of its length. */
function along(m: Mark): Point[] {
  if (m.mark === 'circle')
    return Array.from({ length: 100 }, (_, i) => ({
      x: m.at.x + m.r * Math.cos((i * Math.PI) / 50),
      y: m.at.y + m.r * Math.sin((i * Math.PI) / 50),
    }))
  if (m.mark !== 'area') return []
  return m.points.flatMap((a, i) => {
    const b = m.points[(i + 1) % m.points.length]!
    return Array.from({ length: 200 }, (_, k) => ({ x: a.x + ((b.x - a.x) * k) / 200, y: a.y + ((b.y - a.y) * k) / 200 }))
  })
}

describe('a size drawn large', () => {
  it('has an edge or a hole of the part in sight, whatever it is: bare wood is nowhere', () => {
    let close = 0
    for (const make of everyMake())
      for (const [slot, size] of everySize(make)) {
        const { marks, bounds } = sizeDrawing(make, { slot, size })
        const of = sketchOf(make, slot, size)
        const place = of.places.get(size)
        const view = place && of.views.find((v) => v.id === place.view)
        if (!view) continue
        const whole = boundsOf(view.marks)
        const own = new Set(view.marks.map((m) => JSON.stringify(m)))
        if (bounds.width >= 0.7 * whole.width) continue
        close++
        const seen = ({ x, y }: Point) =>
          x >= bounds.x - 1 && x <= bounds.x + bounds.width + 1 && y >= bounds.y - 1 && y <= bounds.y + bounds.height + 1
        // What lies all around covers what was drawn before it.
        const cover = marks.findLastIndex((m) => {
          const b = boundsOf([m])
          const [right, under] = [bounds.x + bounds.width, bounds.y + bounds.height]
          return m.mark === 'area' && b.x <= bounds.x && b.y <= bounds.y && b.x + b.width >= right && b.y + b.height >= under
        })
        expect(
          marks.slice(cover + 1).some((m) => own.has(JSON.stringify(m)) && along(m).some(seen)),
          `${slot} ${size}`,
        ).toBe(true)
      }
    expect(close).toBeGreaterThan(100)
  })
})
