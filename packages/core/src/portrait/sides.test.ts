import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { boundsOf } from '../drawing/bounds'
import type { Mark } from '../drawing/drawing'
import type { Slot } from '../parts/slots'
import { anyBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { partDrawing, partPicture } from './partDrawing'
import { sketchOf } from './sketches'

const pointsOf = (m: Mark) => (m.mark === 'area' || m.mark === 'line' ? m.points : m.mark === 'circle' ? [m.at] : [])
/** By how much a side stands elsewhere on the sheet than it was drawn; nothing where it is another. */
function shift(side: readonly Mark[], on: readonly Mark[]): { x: number; y: number } | undefined {
  const [a, b] = [side.flatMap(pointsOf), on.flatMap(pointsOf)]
  if (side.some((m, i) => m.mark !== on[i]?.mark) || a.length !== b.length || !a.length) return undefined
  const by = { x: b[0]!.x - a[0]!.x, y: b[0]!.y - a[0]!.y }
  return a.every((p, i) => Math.abs(p.x + by.x - b[i]!.x) + Math.abs(p.y + by.y - b[i]!.y) < 1e-6) ? by : undefined
}

describe('the sides of a part', () => {
  it('lie under one another where it is long and beside one another where it is tall, in line, clear of each other', () => {
    const met = { under: 0, beside: 0, left: 0 }
    holds(
      fc.property(anyBuild, fc.nat(), (build, n) => {
        const slots = Object.keys(build.parts) as Slot[]
        const slot = slots[n % slots.length]!
        const drawn = partDrawing(build, slot).marks
        const [main, ...rest] = sketchOf(build, slot).views.filter((v) => v.marks.length)
        if (!main) return
        // The first side and its dimensions stand as they were drawn.
        expect(drawn.slice(0, main.marks.length)).toEqual(main.marks)
        expect(partPicture(build, slot).marks).toEqual(main.marks)
        const dims = drawn.slice(main.marks.length).findIndex((m) => m.mark !== 'dimension')
        let at = dims < 0 ? drawn.length : main.marks.length + dims
        const whole = boundsOf(drawn.slice(0, at))
        for (const { marks } of rest) {
          const box = boundsOf(drawn.slice(0, at))
          const own = boundsOf(marks)
          const placed = drawn.slice(at, at + marks.length)
          if (!shift(marks, placed)) {
            // Far larger than what it would stand beside, it is left out.
            expect(own.width > 1.2 * whole.width || own.height > 1.2 * whole.height, slot).toBe(true)
            met.left++
            continue
          }
          const now = boundsOf(placed)
          const gap = 0.16 * Math.max(box.height, own.height)
          if (whole.width > 1.5 * whole.height) {
            expect(now.y, slot).toBeCloseTo(box.y + box.height + gap, 6)
            expect(now.x + now.width / 2, slot).toBeCloseTo(box.x + box.width / 2, 6)
            met.under++
          } else {
            expect(now.x, slot).toBeCloseTo(box.x + box.width + gap, 6)
            expect(now.y + now.height / 2, slot).toBeCloseTo(box.y + box.height / 2, 6)
            met.beside++
          }
          const next = drawn.slice(at + marks.length).findIndex((m) => m.mark !== 'dimension')
          at = next < 0 ? drawn.length : at + marks.length + next
        }
      }),
      600,
    )
    expect(Math.min(met.under, met.beside)).toBeGreaterThan(5)
  })
  it('a screw is as long as it is, nowhere thicker than its thread nor thinner than its root', () => {
    let met = 0
    holds(
      fc.property(anyBuild, (build) => {
        for (const slot of Object.keys(build.parts) as Slot[]) {
          const sketch = sketchOf(build, slot)
          const view = sketch.views.find((v) => v.id === 'screw')
          const areas = (view?.marks ?? []).filter((m) => m.mark === 'area')
          const of = (what: string) =>
            [...sketch.places].find(([size, p]) => p.view === 'screw' && new RegExp(`\\b${what}$`).test(size))?.[0]
          const [length, thread, root] = ['length', 'thread', 'root'].map(of)
          if (!length || !thread || !root || areas.length !== 1) continue
          const points = pointsOf(areas[0]!)
          const middle = points.reduce((tip, p) => (p.y > tip.y ? p : tip)).x
          // The head's upper side lies over where it is measured from.
          const top = sketch.places.get(length)!.from.y
          const shank = points.filter((p) => p.y > top + 1e-9 && p.x !== middle)
          const out = shank.map((p) => 2 * Math.abs(p.x - middle))
          expect(Math.max(...points.map((p) => p.y)) - top, slot).toBeCloseTo(sketch.v(length), 6)
          expect(Math.max(...out), slot).toBeCloseTo(Math.max(sketch.v(thread), sketch.v(root)), 6)
          expect(Math.min(...out), slot).toBeCloseTo(Math.min(sketch.v(thread), sketch.v(root)), 6)
          // Every turn as far from the last, down to where the point begins.
          const right = shank.filter((p) => p.x > middle).map((p) => p.y)
          const steps = right.slice(1).map((y, i) => y - right[i]!)
          for (const s of steps) expect(s, slot).toBeCloseTo(steps[0]!, 6)
          expect(Math.max(...right), slot).toBeLessThan(top + sketch.v(length) + 1e-9)
          // A head twice as wide as the thread, both sides alike; a root nobody can believe stands out beside it.
          const wide = Math.max(sketch.v(thread), sketch.v(root) / 2)
          const head = points.filter((p) => p.y <= top + 1e-9).map((p) => p.x - middle)
          expect(Math.max(...head), slot).toBeCloseTo(wide, 6)
          expect(Math.min(...head), slot).toBeCloseTo(-wide, 6)
          met++
        }
      }),
      120,
    )
    expect(met).toBeGreaterThan(20)
  })
})
