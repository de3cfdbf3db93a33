import { describe, expect, it } from 'vitest'
import { nearestOnEdge } from '../../geometry/polygon'
import { outlinePoints } from '../../instrument/outline'
import { changed, fullBuild } from '../../testing/fullBuild'
import { templateOf } from '../templates/templates'
import { headBlank } from './blank'

const ROWS = [-180, -120, -60, -10, 0].map((x) => ({ x, bass: x === -120 ? 52 : 40, treble: 38 }))
const blank = (width: number) => {
  const b = changed(fullBuild(), { 'neck/head.blank': width })
  b.parts.neck = { ...b.parts.neck!, outline: ROWS }
  return b
}

describe('a headstock still a blank', () => {
  // Bass side reaches 52: 52 + 5 - 80/2 = 17, and 3 to spare, rounded up with its doubt: 21. Treble 38 + 5 - 40 = 3: 7.
  it('too narrow: a strip on each side that lacks, wide enough for the saw line', () => {
    const found = headBlank(blank(80))!
    // The edge bows out a little between its rows: up to a millimetre more.
    expect(found.strips.map((s) => s.side)).toEqual(['bass', 'treble'])
    expect(found.strips[0]!.width - 21).toBeOneOf([0, 1])
    expect(found.strips[1]!.width - 7).toBeOneOf([0, 1])
    expect(found.says[0]).toMatch(/strip .* 21 mm wide/)
  })
  it('wide enough: no strip', () => expect(headBlank(blank(120))!.strips).toEqual([]))
  it('the saw line runs 5 mm outside all round', () => {
    const edge = outlinePoints(ROWS)
    const { saw } = headBlank(blank(120))!
    expect(saw.length).toBeGreaterThan(edge.length / 2)
    for (const p of saw) expect(nearestOnEdge(edge, p).distance).toBeCloseTo(5, 0)
  })
  it('the template shows it, dashed, and says what it is; a shaped headstock has none', () => {
    const dashed = (b: ReturnType<typeof blank>) =>
      templateOf(b, 'head-front')!.shapes.filter((s) => s.shape === 'path' && s.stroke === 'shown' && s.closed)
    expect(dashed(blank(120)).length).toBe(
      dashed({ ...blank(120), parts: { ...blank(120).parts, neck: { ...fullBuild().parts.neck!, outline: ROWS } } }).length + 1,
    )
    expect(templateOf(blank(120), 'head-front')!.notes.join(' ')).toMatch(/Dashed: the saw line, 5 mm outside/)
  })
  it('nothing of a neck nobody said is a blank', () => expect(headBlank(fullBuild())).toBeUndefined())
})
