import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { aBuild, aPart } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())

describe('cautions and empty benches', () => {
  it('every card that turns a bit carries its cautions', () => {
    for (const c of holeCards(full())) expect(c.cautions.join(' '), c.id).toMatch(/Eye protection|eye and ear protection/)
  })
  it('the springs’ claw is screwed down under a vibrato only', () => {
    const mounted = (mount: string | undefined) => card(changed(full(), {}, { 'bridge/mount': mount }), 'claw-screws')
    expect([mounted('two-stud'), mounted('screws'), mounted('post')].map(Boolean)).toEqual([true, false, false])
  })
  it('nothing to drill in an empty build', () => expect(holeCards(without(fullBuild(), 'body', 'neck'))).toEqual([]))
  it('10 000 tuner screws in any headstock: what is ready leaves the face whole, what is refused would not have', () =>
    fc.assert(
      fc.property(
        fc.record({
          head: fc.double({ min: 9, max: 22, noNaN: true }),
          length: fc.double({ min: 5, max: 24, noNaN: true }),
          root: fc.double({ min: 0.8, max: 2.4, noNaN: true }),
          ear: fc.double({ min: 0.5, max: 3, noNaN: true }),
          doubt: fc.constantFrom(0, 0.05, 0.3),
        }),
        ({ head, length, root, ear, doubt }) => {
          const b = aBuild({
            neck: aPart(
              'neck',
              { 'head.thickness': [head, 'calipers', doubt], 'tuner.bore': 10 },
              { wood: 'hard-maple', 'bored.tunerScrews': 'none', 'bored.tuners': 'none' },
            ),
            tuners: aPart(
              'tuners',
              {
                'screw.length': length,
                'screw.root': root,
                'screw.thread': root * 1.35,
                'plate.thickness': ear,
                'screw.offset': 10,
                'screw.side': 0,
              },
              { screws: 'own' },
            ),
          })
          const c = card(b, 'tuner-screws')
          const through = length - ear - head
          if (c.stands !== 'refused') expect(through).toBeLessThan(0.2 + doubt)
          if (through > 0.3 + doubt) expect(c.stands).toBe('refused')
          if (c.stands !== 'refused') expect(c.flag!).toBeLessThanOrEqual(head - 2.5 + 1e-9)
        },
      ),
      { numRuns: 10_000 },
    ))
})
