import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { fretPlace } from '../physics/frets'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())
/** The same with no stud bores in the body. */
const blank = () => changed(full(), { 'body/studBore': undefined, 'body/studBoreDepth': undefined }, { 'body/bored.studs': 'none' })

describe('places from two things within reach, which agree', () => {
  it('from the mouth and from fret 12 it is the same place, for any scale and any pocket', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 600, max: 780, noNaN: true }),
        fc.double({ min: 60, max: 110, noNaN: true }),
        fc.double({ min: 230, max: 330, noNaN: true }),
        (scale, pocket, studs) => {
          const b = changed(blank(), { 'neck/scale': scale, 'body/pocket.length': pocket, 'body/mouthToBridge': studs })
          const c = card(b, 'stud-bores')
          if (c.stands === 'waiting') return
          const fromMouth = Number(/^([\d.]+) mm from the pocket/.exec(c.from[0]!)![1])
          const [, fret12, way] = /([\d.]+) mm (beyond|before) fret 12/.exec(c.from[1]!)!
          const nut = fretPlace(scale, 12) + (way === 'beyond' ? 1 : -1) * Number(fret12)
          expect(nut).toBeCloseTo(462 - pocket + fromMouth, 0)
          expect(c.places[0]!.x).toBeCloseTo(nut, 0)
        },
      ),
      { numRuns: 100 },
    ))
  // Fret 12 at 381.0 and the bridge’s reference at 762.0: 381 beyond fret 12.
  it('a long-scale conversion: fret 12 at 381.0, the studs at 762.0', () => {
    const b = changed(blank(), { 'neck/scale': 762, 'neck/nutToHeelEnd': 540, 'body/pocket.length': 76, 'body/mouthToBridge': 298 })
    expect(card(b, 'stud-bores').from[1]).toMatch(/381 mm beyond fret 12/)
  })
  // Window for 647.7: foremost saddle 648.2, rearmost 654.7. Travel -3 and 18: studs from 654.7 + 1.5 - 18 = 638.2 to 648.2 - 1.5 - 3 = 643.7.
  it('a place from which no saddle reaches is refused', () => {
    expect(card(blank(), 'stud-bores').guards.find((g) => g.id === 'window')!.says).toMatch(
      /641 mm from the nut; between 638\.2 and 643\.7/,
    )
    expect(card(changed(blank(), { 'body/mouthToBridge': 262 }), 'stud-bores').stands).toBe('refused')
  })
})
