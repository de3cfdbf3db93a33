import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { idleFor } from '../instrument/idleParts'
import { everyMake, knownBuild } from '../testing/anyBuild'
import { aPart } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'
import { templatesOf } from './templates/templates'

const PARTS = {
  tailpiece: aPart('tailpiece', { height: 12, studDiameter: 11, studLength: 25, studSpacing: 82 }),
  ferrules: aPart('ferrules', { count: 6, diameter: 8, length: 9 }),
  'ring-neck': aPart('ring-neck', { 'height.neckSide': 5, 'screw.length': 12, 'screw.thread': 2.4, 'screw.root': 1.7 }, { foot: 'flat' }),
  'jack-plate': aPart('jack-plate', { hole: 9.7, thickness: 1.5, 'screw.length': 15, 'screw.thread': 3, 'screw.root': 2 }),
  'control-plate': aPart('control-plate', {
    length: 160,
    width: 32,
    thickness: 1.5,
    'screw.length': 15,
    'screw.thread': 3,
    'screw.root': 2,
  }),
} satisfies Partial<Build['parts']>
const withAll = (build: Build): Build => ({ ...build, parts: { ...build.parts, ...PARTS } })
const build = changed(withAll(undrilled(drillable(fullBuild()))), { 'body/tail.toBridge': 45 })

describe('a part that nothing takes', () => {
  it.each<[string, string, string | undefined, string, string]>([
    ['tail-bores', 'bridge/mount', 'two-stud', 'post', 'the bridge holds the strings itself'],
    ['ferrule-bores', 'bridge/mount', 'post', 'string-through', 'no string goes through the body'],
    ['ring-neck', 'pickup-neck/mount', 'guard', 'ring', 'the neck pickup does not hang from a ring'],
    ['jack-plate', 'jack/held', 'thread', 'plate', 'the jack is held by its own thread'],
    ['plate-screws', 'body/access', 'back', 'front', 'the controls do not go in from the front'],
  ])('%s are not made for it, nor before it is told whether it is one', (id, trait, idle, taken, why) => {
    const card = (told: string | undefined) => holeCards(changed(build, {}, { [trait]: told })).find((c) => c.id === id)!
    expect(card(idle)).toMatchObject({
      stands: 'refused',
      steps: [],
      missing: [],
      says: expect.stringContaining(`Nothing takes what it is for: ${why}. Take that part out under Parts`),
    })
    expect(card(taken).guards.map((g) => g.id)).not.toContain('idle')
    const [slot, name] = trait.split('/')
    const open = card(undefined)
    expect(['waiting', open.missing.length ? [] : [{ slot, trait: name }]]).toEqual([open.stands, open.untold])
  })
  it('nor is there a paper to drill by', () => {
    const papers = (mount: string) => templatesOf(changed(build, {}, { 'bridge/mount': mount })).map((t) => t.id)
    expect(papers('string-through')).toContain('ferrules')
    expect(papers('post')).not.toContain('ferrules')
  })
  it('what is there already is left alone, and said nothing of', () => {
    const there = changed(
      build,
      { 'body/tail.bore': 11, 'body/tail.boreDepth': 26, 'body/tail.spacing': 82 },
      { 'bridge/mount': 'two-stud', 'body/bored.tail': 'drilled' },
    )
    const card = holeCards(there).find((c) => c.id === 'tail-bores')!
    expect([card.work, card.guards.map((g) => g.id)]).toEqual(['keep', expect.not.arrayContaining(['idle'])])
  })
  it('no hole in wood is ready for one, in any build', () => {
    let [met, refused] = [0, 0]
    const drawn = fc.oneof(knownBuild, fc.constantFrom(...everyMake())).map((any) => undrilled(drillable(any)))
    const asked = holds(
      fc.property(drawn, fc.constantFrom(...(Object.keys(PARTS) as (keyof typeof PARTS)[])), (any, slot) => {
        // All of it is known, so that nothing but that it is of no use stands against it.
        const now = changed({ ...any, parts: { ...any.parts, [slot]: PARTS[slot] } }, { 'body/tail.toBridge': 45 })
        if (!idleFor(now.parts, slot)) return
        met++
        for (const c of holeCards(now).filter((k) => k.slot === slot && k.side !== 'control plate' && k.work !== 'keep')) {
          expect(['refused', 'waiting', 'done'], c.id).toContain(c.stands)
          if (c.guards.some((g) => g.id === 'idle')) refused++
        }
      }),
      400,
    )
    expect(
      [met, refused].every((n) => n > asked / 5),
      `${met} and ${refused} of ${asked}`,
    ).toBe(true)
  })
})
