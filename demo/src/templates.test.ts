// @vitest-environment jsdom
import { holeCards, sheetMarks, TEMPLATE_IDS, templateOf, templatesOf, type Build, type Point, type Template } from '@snug/core'
import { crossesOf, OVERLAP, PAPERS, referenceSheetPdf, templateDxf, templatePdf, templateSvg, tilesOf, type Paper } from '@snug/formats'
import DxfParser from 'dxf-parser'
import { beforeAll, describe, expect, it } from 'vitest'
import { dunlin } from './dunlin'
import { heron } from './heron'
import { plover } from './plover'
import { readPdf, type PageRead } from './readPdf'

const TODAY = '2026-11-24'
const HERON = heron(TODAY, '2027-02-15', '2026-12-05')
const PLOVER = plover(TODAY, '2027-02-15')
const DUNLIN = dunlin(TODAY, '2027-02-15', '2026-12-13')
const parse = (svg: string) => new DOMParser().parseFromString(svg, 'image/svg+xml')
const middle = (points: readonly Point[]): Point => {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)]
  return { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 }
}
const apart = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y)
const circles = (t: Template) => t.shapes.flatMap((s) => (s.shape === 'circle' ? [s] : []))

describe.each([
  ['Heron', HERON],
  ['Plover', PLOVER],
  ['Dunlin', DUNLIN],
])('templates of %s', (_, build) => {
  const all = TEMPLATE_IDS.flatMap((id) => templateOf(build, id) ?? [])
  it('has a body and a headstock from both faces, and a place for each that waits', () => {
    expect(all.map((t) => t.id)).toEqual(expect.arrayContaining(['body-front', 'body-back', 'head-front', 'head-back', 'shim']))
    for (const { template, waits } of templatesOf(build)) expect(template === undefined).toBe(waits !== undefined)
  })
  it('as SVG: one unit is one millimetre, with bars of 100 mm and 4 in to measure', () => {
    for (const t of all) {
      const svg = parse(templateSvg(t, build.name)).documentElement
      const [, , width, height] = svg.getAttribute('viewBox')!.split(' ').map(Number)
      expect(svg.getAttribute('width')).toBe(`${width}mm`)
      expect(svg.getAttribute('height')).toBe(`${height}mm`)
      const bars = [...svg.querySelectorAll('#check path')].map((p) => Number(/h([\d.]+)/.exec(p.getAttribute('d')!)![1]))
      expect(bars, t.id).toEqual([100, 101.6])
      expect(svg.querySelectorAll('script, foreignObject, image')).toHaveLength(0)
      expect([...svg.querySelectorAll('circle')].map((c) => [c.getAttribute('cx'), c.getAttribute('cy')].map(Number))).toEqual(
        circles(t).map((c) => [expect.closeTo(c.at.x, 2), expect.closeTo(c.at.y, 2)]),
      )
    }
  })
  it('as DXF, read by another reader: millimetres, every hole at its place, the edge as long as it is', () => {
    for (const t of all) {
      const read = new DxfParser().parseSync(templateDxf(t))!
      expect(read.header.$INSUNITS, t.id).toBe(4)
      const holes = read.entities.flatMap((e) => (e.type === 'CIRCLE' ? [e as unknown as { center: Point; radius: number }] : []))
      expect(holes).toHaveLength(circles(t).length)
      circles(t).forEach((c, i) => {
        expect(apart(holes[i]!.center, { x: c.at.x, y: -c.at.y }), t.id).toBeLessThan(0.05)
        expect(holes[i]!.radius).toBeCloseTo(c.r, 3)
      })
      const edge = t.shapes.find((s) => s.shape === 'path' && s.stroke === 'cut')
      const drawn = read.entities.find((e) => e.layer === 'cut' && e.type === 'LWPOLYLINE') as unknown as {
        vertices: Point[]
        shape: boolean
      }
      if (edge?.shape === 'path') {
        expect(drawn.vertices).toHaveLength(edge.points.length)
        expect(drawn.shape).toBe(true)
        edge.points.forEach((p, i) => expect(apart(drawn.vertices[i]!, { x: p.x, y: -p.y })).toBeLessThan(0.05))
      }
    }
  })
})

describe.each<[string, Build, Paper]>([
  ['Heron on A4', HERON, 'a4'],
  ['Plover on Letter', PLOVER, 'letter'],
])('the body of %s as PDF, read by another reader', (_, build, paper) => {
  const t = templateOf(build, 'body-front')!
  const tiles = tilesOf(t, paper)
  let pages: PageRead[]
  beforeAll(async () => {
    pages = await readPdf(await templatePdf(t, build.name, paper))
  })
  /** A place on a sheet, in the template's own frame. */
  const back = (p: Point, i: number): Point => ({ x: p.x - 10 + tiles[i]!.x, y: pages[i]!.height - 10 - p.y + tiles[i]!.y })

  it('has the paper’s size and a sheet a tile', () => {
    expect(pages).toHaveLength(tiles.length)
    expect(tiles.length).toBeGreaterThan(1)
    const { width, height } = PAPERS[paper]
    for (const p of pages)
      expect([p.width, p.height].toSorted((a, b) => a - b)).toEqual([expect.closeTo(width, 1), expect.closeTo(height, 1)])
    // 439 x 305 mm: six sheets upright, four across.
    expect(tiles.length).toBeLessThanOrEqual(6)
  })
  it('every sheet has bars of exactly 100 mm and 4 in, and says which way it is turned', () => {
    for (const p of pages) {
      const lengths = p.runs.filter((r) => r.points.length === 2).map((r) => apart(r.points[0]!, r.points[1]!))
      for (const bar of [100, 101.6]) expect(Math.min(...lengths.map((l) => Math.abs(l - bar)))).toBeLessThan(0.02)
      expect(p.words.join(' ')).toMatch(/True size: print at 100 %/)
      if (build.handedness === 'left') expect(p.words.join(' ')).toMatch(/LEFT-HANDED/)
      expect(t.legend.length).toBeGreaterThan(0)
      for (const line of t.legend) expect(p.words).toContain(line)
    }
  })
  it('every hole’s centre lies within 0.05 mm of its place, on at least one sheet', () => {
    for (const c of circles(t)) {
      const found = pages.flatMap((p, i) => p.runs.filter((r) => r.round).map((r) => apart(back(middle(r.points), i), c.at)))
      expect(Math.min(...found)).toBeLessThan(0.05)
    }
  })
  it('sheets overlap, a cross lies at one place on both that share it, and nothing of the edge falls between them', () => {
    const crosses = tiles.map((tile, i) => ({
      want: crossesOf(tile, tiles),
      have: pages[i]!.runs.filter((r) => r.round).map((r) => back(middle(r.points), i)),
    }))
    for (const { want, have } of crosses) for (const c of want) expect(Math.min(...have.map((h) => apart(h, c)))).toBeLessThan(0.05)
    const every = crosses.flatMap((c) => c.want)
    for (const c of every) expect(every.filter((o) => apart(o, c) < 1e-9).length).toBe(2)
    for (const s of t.shapes)
      if (s.shape === 'path')
        for (const p of s.points)
          expect(tiles.some((b) => p.x >= b.x && p.x <= b.x + b.width && p.y >= b.y && p.y <= b.y + b.height)).toBe(true)
    for (const a of tiles)
      for (const b of tiles) if (b.row === a.row && b.column === a.column + 1) expect(a.x + a.width - b.x).toBeCloseTo(OVERLAP, 9)
  })
})

describe('which way a template lies', () => {
  const across = (t: Template) => circles(t).map((c) => c.at.y)
  it('the headstock’s back is the mirror of its front: screws lie where the posts are seen from there', () => {
    const [front, back] = [templateOf(HERON, 'head-front')!, templateOf(HERON, 'head-back')!]
    expect([front.mirrored, back.mirrored]).toEqual([false, true])
    expect(back.notes.join(' ')).toMatch(/SEEN FROM THE BACK/)
    const posts = holeCards(HERON)
      .find((c) => c.id === 'tuner-bores')!
      .places.map((p) => p.y)
    expect(across(front)).toEqual(posts)
    expect(across(back).slice(0, 6)).toEqual(posts.map((y) => -y))
    const screws = holeCards(HERON)
      .find((c) => c.id === 'tuner-screws')!
      .places.map((p) => -p.y)
    expect(across(back).slice(6)).toEqual(screws)
  })
  it('a left-handed body is the mirror of a right-handed one, and says so', () => {
    const left = templateOf({ ...HERON, handedness: 'left' }, 'body-front')!
    const right = templateOf(HERON, 'body-front')!
    expect(left.notes[0]).toMatch(/LEFT-HANDED/)
    expect(across(left)).toEqual(across(right).map((y) => -y))
    expect(templateOf({ ...HERON, handedness: 'left' }, 'body-back')!.mirrored).toBe(false)
  })
  it('the guard’s pot holes stand on the guard’s template, none on the wood', () => {
    const named = (id: 'guard' | 'body-front') => [
      ...templateOf(HERON, id)!.shapes.flatMap((s) => (s.shape === 'text' ? [s.text] : [])),
      ...templateOf(HERON, id)!.legend,
    ]
    expect(named('body-front').join(' ')).not.toMatch(/pot|volume|tone/)
    expect(named('guard').join(' ')).toMatch(/volume, 9\.6 mm.*tone, 9\.6 mm/)
  })
  // (12.7 - 6.35)/2 = 3.175 outside a route of 40 x 74.
  it('a router template is larger than its cut by the bushing’s offset, and says for which bushing and bit', () => {
    const t = templateOf(HERON, 'route-neck')!
    const edge = t.shapes[0]!
    const xs = edge.shape === 'path' ? edge.points.map((p) => p.x) : []
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(40 + 2 * 3.175, 6)
    expect(t.notes.join(' ')).toMatch(/12\.7 mm BUSHING AND A 6\.35 mm BIT/)
  })
  it('nothing without an outline, and it says what it waits for', () => {
    const bare = structuredClone(HERON)
    delete bare.parts.body!.outline
    expect(templateOf(bare, 'body-front')).toBeUndefined()
    expect(templatesOf(bare).find((t) => t.id === 'body-front')!.waits).toMatch(/outline/)
  })
  it('what is only assumed is not printed', () => {
    const guess = structuredClone(PLOVER)
    for (const size of Object.values(guess.parts.body!.sizes)) size.known = 'assumed'
    expect(circles(templateOf(guess, 'body-front')!)).toEqual([])
  })
})

describe.each(['a4', 'letter'] as const)('the reference sheet on %s, read by another reader', (paper) => {
  it('has its marks where the finder takes them to be, and a bar of exactly 100 mm', async () => {
    const [page] = await readPdf(await referenceSheetPdf(paper))
    const round = page!.runs.filter((r) => r.round).map((r) => middle(r.points))
    for (const m of sheetMarks(paper)) {
      const near = round.filter((c) => apart(c, { x: m.x, y: page!.height - m.y }) < 0.05)
      expect(near.length).toBeGreaterThanOrEqual(2)
    }
    const lengths = page!.runs.filter((r) => r.points.length === 2).map((r) => apart(r.points[0]!, r.points[1]!))
    expect(Math.min(...lengths.map((l) => Math.abs(l - 100)))).toBeLessThan(0.02)
  })
})
