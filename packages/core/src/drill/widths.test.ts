import { describe, expect, it } from 'vitest'
import { areaOf } from '../geometry/polygon'
import { outlinePoints } from '../instrument/outline'
import { rowBetween, widthId, widthOf, widthSet, widthsDrawing } from './widths'

const ROWS = [0, 40, 80, 120, 160].map((x) => ({ x, bass: 100, treble: 90 }))

describe('a table of half-widths on its drawing', () => {
  it('has a ring on each width, and the ring is where the edge runs', () => {
    const drawing = widthsDrawing(ROWS, 'x', 'right')
    expect(drawing.handles).toHaveLength(10)
    const ring = drawing.handles!.find((h) => h.id === widthId(2, 'treble'))!
    expect([ring.at, ring.value]).toEqual([{ x: 80, y: -90 }, 90])
    const edge = outlinePoints(ROWS)
    for (const h of drawing.handles!) expect(Math.min(...edge.map((p) => Math.hypot(p.x - h.at.x, p.y - h.at.y))), h.id).toBeLessThan(0.01)
  })
  // Bass lies below the centre line: dragged up by 10 it is 10 narrower; the treble side dragged up is wider.
  it('up is narrower on the bass side and wider on the treble side', () => {
    const per = (side: 'bass' | 'treble') => widthsDrawing(ROWS, 'x', 'right').handles!.find((h) => h.id === widthId(1, side))!.perUp
    expect([per('bass'), per('treble')]).toEqual([-1, 1])
  })
  it('a width changed widens the area by what it adds, and no other', () => {
    const wider = widthSet(ROWS, 2, 'bass', 120)
    expect(wider[2]).toEqual({ x: 80, bass: 120, treble: 90 })
    expect(wider.filter((r, i) => r.bass !== ROWS[i]!.bass)).toHaveLength(1)
    // A hump of 20 over some 80 mm: between a triangle's 800 and a rectangle's 1 600 mm2.
    const grown = areaOf(outlinePoints(wider)) - areaOf(outlinePoints(ROWS))
    expect(grown).toBeGreaterThan(700)
    expect(grown).toBeLessThan(1600)
  })
  it('a place changed puts the row where it belongs', () => {
    expect(widthSet(ROWS, 0, 'x', 100).map((r) => r.x)).toEqual([40, 80, 100, 120, 160])
  })
  it('a new row stands in the longest stretch, on the edge', () => {
    const more = rowBetween([ROWS[0]!, ROWS[1]!, { ...ROWS[4]!, bass: 60 }])
    expect(more[2]).toEqual({ x: 100, bass: 80, treble: 90 })
  })
  it('of a row that belongs to one horn alone only that horn has rings', () => {
    const drawing = widthsDrawing([{ x: -30, bass: 110, treble: 0, bassInner: 80 }, ...ROWS], 'x', 'right')
    expect(drawing.handles!.filter((h) => h.id.startsWith('0.')).map((h) => h.id)).toEqual(['0.bass', '0.bassInner'])
  })
  it('reads its own names and no others', () => {
    expect(widthOf(widthId(3, 'bassInner'))).toEqual({ at: 3, side: 'bassInner' })
    expect(widthOf('3.middle')).toBeUndefined()
  })
})
