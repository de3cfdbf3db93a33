import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { carried, homography } from '../geometry/homography'
import { pt, type Point } from '../geometry/point'
import type { GreyPicture } from './picture'
import { cardKnown, pictureLength, scaledBy, type KnownPlace } from './scaledBy'
import { findSheet, RING, SHEET_SIGMA, sheetMarks, sheetSize, type SheetPaper } from './sheet'

/** A camera over the middle of the paper: the map from the paper's millimetres to pixels. */
function camera(c: {
  tilt: number
  towards: number
  roll: number
  distance: number
  focal: number
  width: number
  height: number
  over: Point
}) {
  const [t, w, r] = [c.tilt, c.towards, c.roll].map((a) => (a * Math.PI) / 180) as [number, number, number]
  return (p: Point): Point => {
    const [x, y] = [p.x - c.over.x, p.y - c.over.y]
    // Turned in the plane, then tilted about the line square to where it tilts.
    const [u, v] = [x * Math.cos(w) + y * Math.sin(w), -x * Math.sin(w) + y * Math.cos(w)]
    const z = c.distance + u * Math.sin(t)
    const [px, py] = [(c.focal * u * Math.cos(t)) / z, (c.focal * v) / z]
    const [bx, by] = [px * Math.cos(w) - py * Math.sin(w), px * Math.sin(w) + py * Math.cos(w)]
    return pt(c.width / 2 + bx * Math.cos(r) - by * Math.sin(r), c.height / 2 + bx * Math.sin(r) + by * Math.cos(r))
  }
}
type Camera = Parameters<typeof camera>[0]

/** The sheet as that camera sees it, 2 x 2 samples a pixel, on a bench of middling grey, with noise. */
function rendered(paper: SheetPaper, c: Camera, mirrored = false): GreyPicture {
  const { width: w, height: h } = sheetSize(paper)
  const project = camera(c)
  const corners = [pt(0, 0), pt(w, 0), pt(w, h), pt(0, h)]
  const back = homography(corners.map(project), corners)!
  const marks = sheetMarks(paper)
  const tone = (p: Point): number => {
    if (p.x < 0 || p.y < 0 || p.x > w || p.y > h) return 120
    for (const m of marks) {
      const d = Math.hypot(p.x - m.x, p.y - m.y)
      if (d <= RING.dot || (d >= RING.inner && d <= RING.outer)) return 25
    }
    return 225
  }
  const grey = new Uint8Array(c.width * c.height)
  let seed = 7
  for (let y = 0; y < c.height; y++)
    for (let x = 0; x < c.width; x++) {
      let sum = 0
      for (const [dx, dy] of [
        [-0.25, -0.25],
        [0.25, -0.25],
        [-0.25, 0.25],
        [0.25, 0.25],
      ] as const)
        sum += tone(carried(back, pt(x + dx, y + dy)))
      seed = (seed * 1103515245 + 12345) % 2147483648
      const light = 0.85 + (0.3 * x) / c.width
      grey[y * c.width + (mirrored ? c.width - 1 - x : x)] = Math.max(0, Math.min(255, (sum / 4) * light + (seed / 2147483648 - 0.5) * 8))
    }
  return { width: c.width, height: c.height, grey }
}

const CAMERAS: [string, SheetPaper, Camera][] = [
  ['from above', 'a4', { tilt: 3, towards: 40, roll: 4, distance: 620, focal: 1100, width: 1200, height: 900, over: pt(105, 148) }],
  ['tilted', 'a4', { tilt: 18, towards: 250, roll: -30, distance: 640, focal: 1100, width: 1200, height: 900, over: pt(100, 150) }],
  [
    'upside down, Letter',
    'letter',
    { tilt: 10, towards: 120, roll: 170, distance: 640, focal: 1100, width: 1200, height: 900, over: pt(108, 140) },
  ],
]

describe.each(CAMERAS)('our reference sheet %s', (_, paper, c) => {
  const sheet = findSheet(rendered(paper, c))
  it('is found by itself, each mark where it is', () => {
    const project = camera(c)
    expect(sheet?.mirrored).toBe(false)
    sheetMarks(paper).forEach((m, i) => {
      const is = project(m)
      expect(Math.hypot(sheet!.marks[i]!.x - is.x, sheet!.marks[i]!.y - is.y), `mark ${i}`).toBeLessThan(0.5)
    })
  })
  it('makes 300 mm across it true within half a millimetre, and says at least that doubt', () => {
    const known = sheet!.marks.map((at, i): KnownPlace => ({ at, is: sheetMarks(paper)[i]!, sigma: SHEET_SIGMA }))
    const s = scaledBy(known, { lens: { k: 0, focal: c.focal, middle: pt(c.width / 2, c.height / 2) } })!
    const project = camera(c)
    for (const [a, b] of [
      [pt(20, 10), pt(20 + 180, 10 + 240)],
      [pt(-45, 140), pt(255, 140)],
    ] as const) {
      const length = pictureLength(s, project(a), project(b), 0.2)
      const is = Math.hypot(a.x - b.x, a.y - b.y)
      expect(is).toBeCloseTo(300, 9)
      expect(Math.abs(length.mm - is)).toBeLessThan(0.5)
      expect(Math.abs(length.mm - is)).toBeLessThanOrEqual(length.doubt)
    }
  })
})

describe('what is no sheet, and one that is turned over', () => {
  it('a mirrored picture is noticed', () => expect(findSheet(rendered('a4', CAMERAS[0]![2], true))?.mirrored).toBe(true))
  it('a picture without it gives nothing', () =>
    expect(findSheet({ width: 300, height: 200, grey: new Uint8Array(60_000).fill(180) })).toBeUndefined())
})

describe('doubts', () => {
  const normal = (rnd: () => number) => Math.sqrt(-2 * Math.log(1 - rnd())) * Math.cos(2 * Math.PI * rnd())
  it('cover the error of a picked card in at least 95 of 100 of a thousand pictures, and are not idle', () => {
    let [covered, wide] = [0, 0]
    let seed = 42
    const rnd = () => (seed = (seed * 1664525 + 1013904223) % 4294967296) / 4294967296
    for (let i = 0; i < 1000; i++) {
      const project = camera({
        tilt: 15 * rnd(),
        towards: 360 * rnd(),
        roll: 360 * rnd(),
        distance: 600,
        focal: 1480,
        width: 1600,
        height: 1200,
        over: pt(0, 0),
      })
      const place = { x: -60 + 120 * rnd(), y: -60 + 120 * rnd() }
      const corners = [pt(0, 0), pt(85.6, 0), pt(85.6, 53.98), pt(0, 53.98)].map((p) => project(pt(p.x + place.x, p.y + place.y)))
      const off = corners.map((p) => pt(p.x + 0.3 * normal(rnd), p.y + 0.3 * normal(rnd)))
      const s = scaledBy(cardKnown(off, 0.3), { lens: { k: 0, focal: 1480, middle: pt(800, 600) } })!
      const [a, b] = [pt(-100 * rnd(), -60 * rnd()), pt(100 * rnd() + 20, 60 * rnd())]
      const [pa, pb] = [project(a), project(b)].map((p) => pt(p.x + normal(rnd), p.y + normal(rnd)))
      const length = pictureLength(s, pa!, pb!, 1)
      const error = Math.abs(length.mm - Math.hypot(a.x - b.x, a.y - b.y))
      if (error <= length.doubt) covered++
      if (error > length.doubt / 4) wide++
    }
    expect(covered).toBeGreaterThanOrEqual(950)
    expect(wide).toBeGreaterThan(300)
  })
  it('grow with the picks’ own, with the distance from the card, and with what lies below', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 2, noNaN: true }), (picked) => {
        const project = camera({ tilt: 8, towards: 30, roll: 0, distance: 600, focal: 1480, width: 1600, height: 1200, over: pt(0, 0) })
        const corners = [pt(0, 0), pt(85.6, 0), pt(85.6, 53.98), pt(0, 53.98)].map(project)
        const s = scaledBy(cardKnown(corners, 0.2))!
        const at = (p: number, x: number) => pictureLength(s, project(pt(x, 0)), project(pt(x + 50, 0)), p).doubt
        expect(at(picked + 0.5, 0)).toBeGreaterThan(at(picked, 0))
        expect(at(picked, 150)).toBeGreaterThan(at(picked, 0))
        const below = scaledBy(cardKnown(corners, 0.2), { below: { mm: 6, doubt: 1 }, distance: 600 })!
        expect(pictureLength(below, project(pt(0, 0)), project(pt(50, 0)), picked).doubt).toBeGreaterThan(at(picked, 0))
        // 6 mm below at 600: read 606/600 too long.
        expect(pictureLength(below, project(pt(0, 0)), project(pt(50, 0)), picked).mm).toBeCloseTo((50 * 600) / 606, 3)
      }),
      { numRuns: 30 },
    ))
})

describe('the map between two planes', () => {
  const spot = fc.record({ x: fc.double({ min: -200, max: 200, noNaN: true }), y: fc.double({ min: -150, max: 150, noNaN: true }) })
  it('goes through its four points, and carries any other place there and back', () =>
    fc.assert(
      fc.property(fc.double({ min: 0, max: 25, noNaN: true }), fc.double({ min: 0, max: 360, noNaN: true }), spot, (tilt, towards, p) => {
        const project = camera({ tilt, towards, roll: 20, distance: 600, focal: 1400, width: 1600, height: 1200, over: pt(0, 0) })
        const square = [pt(-120, -100), pt(120, -100), pt(120, 100), pt(-120, 100)]
        const h = homography(square.map(project), square)!
        const found = carried(h, project(p))
        expect(Math.hypot(found.x - p.x, found.y - p.y)).toBeLessThan(0.05)
      }),
    ))
  it('three points in line, or fewer than four, make none', () => {
    expect(homography([pt(0, 0), pt(1, 0), pt(1, 1)], [pt(0, 0), pt(1, 0), pt(1, 1)])).toBeUndefined()
    expect(homography([pt(0, 0), pt(1, 0), pt(2, 0), pt(3, 0)], [pt(0, 0), pt(1, 0), pt(2, 0), pt(3, 0)])).toBeUndefined()
  })
})
