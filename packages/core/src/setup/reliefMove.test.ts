import { describe, expect, it } from 'vitest'
import { changed, fullBuild } from '../testing/fullBuild'
import { measuredBuild } from '../testing/setup'
import { setupResult } from './setupResult'

/** The move for a relief of 0.5 mm, more than the 0.25 to 0.3 mm wanted, or of what is given. */
function move(truss: string | undefined, relief = 0.5) {
  const bare = { ...fullBuild(), setup: { school: 'ordinary' as const, readings: {} } }
  return setupResult(measuredBuild(changed(bare, {}, { 'neck/truss': truss }), { relief })).moves.find((m) => m.id === 'relief')!
}

describe('relief, by what the neck has to turn', () => {
  it('a nut that was told is turned from where it sits', () => {
    expect(move('head').says).toMatch(/^Tighten \(clockwise, looking from the headstock/)
    expect(move('heel').says).toMatch(/^Tighten \(clockwise, looking from the body/)
  })
  it('a neck of which nobody said it is looked at first: a bar has no nut, and its relief is mended otherwise', () => {
    expect(move(undefined).says).toMatch(/^Look whether it has a truss nut.*under Parts\. If it has: Tighten \(clockwise/)
    expect(move('fixed').says).toMatch(/^More than is wanted, and nothing on this neck turns/)
  })
  it('relief that is right leaves alone what there is to leave alone', () => {
    expect([undefined, 'head', 'fixed', 'no-rod'].map((truss) => move(truss, 0.28).says)).toEqual([
      'As it should be.',
      'Leave the truss rod alone.',
      'As it should be.',
      'As it should be.',
    ])
  })
})
