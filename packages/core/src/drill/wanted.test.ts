import { describe, expect, it } from 'vitest'
import { areaOf } from '../geometry/polygon'
import { outlinePoints } from '../instrument/outline'
import type { OutlineRow } from '../parts/part'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { wantedOver } from './wanted'

const own = fullBuild().parts.body!.outline!
const wider = (by: number): OutlineRow[] => own.map((r) => ({ ...r, bass: r.bass + by, treble: r.treble + by }))

describe('a wanted outline over a bought body', () => {
  it('the same outline lacks nothing, wastes nothing and opens nothing', () => {
    const over = wantedOver(fullBuild(), own)!
    expect([over.lacks, over.waste]).toEqual([expect.closeTo(0, 3), expect.closeTo(0, 3)])
    expect(over.opened).toEqual([])
  })
  it('a larger one lacks, a smaller one wastes, by the difference of their areas', () => {
    const area = (rows: OutlineRow[]) => areaOf(outlinePoints(rows))
    expect(wantedOver(fullBuild(), wider(5))!.lacks).toBeCloseTo(area(wider(5)) - area(own), -1)
    const small = wantedOver(fullBuild(), wider(-5))!
    expect(small.waste).toBeCloseTo(area(own) - area(wider(-5)), -1)
    expect(small.lacks).toBeCloseTo(0, 1)
  })
  // The control route reaches 76 + 28 = 104 mm to the treble side, 236 to 348 mm behind the mouth.
  it('routes and holes it would open, or leave with a thin wall, are named', () => {
    const build = changed(drillable(fullBuild()))
    const cut = wantedOver(
      build,
      own.map((r) => ({ ...r, treble: Math.min(r.treble, 90) })),
    )!
    expect(cut.opened.map((o) => o.name)).toContain('the control route')
    expect(cut.says.join(' ')).toMatch(/would open the control route/)
    const near = wantedOver(
      build,
      own.map((r) => ({ ...r, treble: Math.min(r.treble, 105) })),
    )!
    expect(near.opened.find((o) => o.name === 'the control route')!.wall).toBeLessThan(5)
  })
  it('nothing over a body nobody drew', () => {
    const bare = fullBuild()
    delete bare.parts.body!.outline
    expect(wantedOver(bare, own)).toBeUndefined()
  })
})
