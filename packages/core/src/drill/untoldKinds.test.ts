import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { KINDS } from '../parts/kinds/index'
import { slotSpec } from '../parts/slots'
import { everyMake, everyTrait, untold } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'

const waitsFor = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)?.untold

describe('a hole that may be made while a kind is untold', () => {
  it('is made whichever that turns out to be', () => {
    const makes = everyMake().map((make) => undrilled(drillable(make)))
    const asked = makes.map((make) =>
      everyTrait(make).filter(([slot, trait]) => {
        const spec = KINDS[slotSpec(slot).kind].traits[trait]!
        return !spec.unasked && !spec.hole
      }),
    )
    const law = fc.property(fc.nat(makes.length - 1), fc.nat(), (m, t) => {
      const make = makes[m]!
      const [slot, trait] = asked[m]![t % asked[m]!.length]!
      const made = holeCards(untold(make, 'traits', slot, trait)).filter((c) => c.stands === 'ready' || c.stands === 'mind')
      for (const [option] of KINDS[slotSpec(slot).kind].traits[trait]!.options) {
        const then = new Set(holeCards(changed(make, {}, { [`${slot}/${trait}`]: option })).map((c) => c.id))
        for (const c of made) expect(then.has(c.id), `${c.id} with ${slot} ${trait} ${option}`).toBe(true)
      }
    })
    expect(holds(law, 600)).toBeGreaterThan(120)
  })
})

describe('a jack of which nobody has said where it sits', () => {
  const bare = undrilled(drillable(fullBuild()))
  const held = (how: string | undefined) => changed(bare, {}, { 'jack/held': how })
  it('gets no bore in the rim: beside the controls it has none there', () => {
    expect(waitsFor(held(undefined), 'jack-bore')).toEqual([{ slot: 'jack', trait: 'held' }])
    expect(waitsFor(held('thread'), 'jack-bore')).toEqual([])
    expect(waitsFor(held('panel'), 'jack-bore')).toBeUndefined()
  })
  it('nor is a bore that is there opened up', () => {
    const narrow = changed(fullBuild(), { 'body/jack.bore': 9 }, { 'jack/held': undefined })
    const card = (b: Build) => holeCards(b).find((c) => c.id === 'jack-bore')!
    expect(card(narrow).work).toBeUndefined()
    expect(card(changed(narrow, {}, { 'jack/held': 'thread' })).work).toBe('ream')
  })
})
