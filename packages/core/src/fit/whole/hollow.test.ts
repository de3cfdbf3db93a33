import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

/** "about 2640": by its wood, not by a scale. */
const about = (cell: string): number => Number(/^about (\d+)$/.exec(cell)![1])

describe('hollow bodies', () => {
  const hollow = (rim: number) =>
    changed(fullBuild(), { 'body/rim.thickness': rim, 'body/block.width': 110 }, { 'body/build': 'chambered' })
  it('a strap button wants solid wood behind it', () => {
    // 9 mm of rim where 14 mm of thread are wanted.
    expect(checkIn(hollow(9), 'strap-buttons', 'rim').raw.verdict).toBe('tight')
    expect(checkIn(hollow(15), 'strap-buttons', 'rim').raw.verdict).toBe('snug')
    expect(jointIn(fullBuild(), 'strap-buttons').checks.map((c) => c.id)).not.toContain('rim')
  })
  it('chambers that were measured lighten the body by what they hold', () => {
    const gram = (b: Build) =>
      jointIn(b, 'balance')
        .tables()
        .at(-1)!
        .rows.find(([part]) => part === 'body')![1]!
    const unweighed = (sizes: Record<string, number>) => {
      const b = changed(hollow(20), sizes)
      delete b.parts.body!.sizes.mass
      return about(gram(b))
    }
    const chambers = { 'body/chamber.count': 2, 'body/chamber.length': 150, 'body/chamber.width': 60, 'body/chamber.depth': 30 }
    // Hard maple 0.63, 1.1 for damp: two of 150 x 60 x 30 mm hold 540 cm3, 374 g; twice as many, twice that.
    const one = unweighed(chambers) - unweighed({ ...chambers, 'body/chamber.count': 4 })
    expect(one).toBeCloseTo(540 * 0.63 * 1.1, -1)
  })
  it('four numbers make a shape to weigh by, with a wider doubt than a drawn one', () => {
    const b = changed(fullBuild(), {
      'body/outline.length': 400,
      'body/outline.upper': 280,
      'body/outline.waist': 230,
      'body/outline.lower': 330,
    })
    delete b.parts.body!.outline
    delete b.parts.body!.sizes.mass
    const row = jointIn(b, 'balance')
      .tables()
      .at(-1)!
      .rows.find(([part]) => part === 'body')!
    // About 80 % of 400 x 330 mm, 44.2 thick, 0.9 of it wood: 4.2 dm3 of 0.69.
    expect(about(row[1]!)).toBeGreaterThan(2200)
    expect(about(row[1]!)).toBeLessThan(3200)
  })
})
