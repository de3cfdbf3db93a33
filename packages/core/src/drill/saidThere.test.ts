import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { setTrait } from '../document/changes'
import { beginBuild } from '../evaluate/beginBuild'
import type { TraitSpec } from '../parts/kind'
import { KINDS, type KindName } from '../parts/kinds/index'
import { slotSpec } from '../parts/slots'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'
import { saidThere, thereOf, type SaidThere } from './saidThere'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)
const other = (build: Build, { ref, said }: SaidThere): Build =>
  applyChange(build, setTrait(build, ref.slot, ref.trait, said === 'none' ? 'drilled' : 'none'))
/** As if nobody had looked, and nothing were in place. */
const unseen = (build: Build): Build => ({
  ...build,
  parts: Object.fromEntries(
    Object.entries(build.parts).map(([slot, p]) => [
      slot,
      { ...p, traits: Object.fromEntries(Object.entries(p.traits).filter(([trait]) => !isHole(p.kind, trait))) },
    ]),
  ),
})
const isHole = (kind: KindName, trait: string) => (KINDS[kind].traits as Readonly<Record<string, TraitSpec>>)[trait]?.hole === true

describe('what was said of a hole', () => {
  it('can be said otherwise, and back: what is there is not made, what is not there is not kept', () => {
    const met = { drilled: 0, none: 0 }
    const law = fc.property(fc.nat(everyMake().length - 1), fc.nat(), fc.boolean(), (m, mask, all) => {
      const build = all ? undrilled(drillable(everyMake()[m]!), mask) : everyMake()[m]!
      for (const { id } of holeCards(build)) {
        const said = saidThere(build, id)
        if (!said) continue
        met[said.said]++
        const then = other(build, said)
        const [was, is] = [card(build, id)!, card(then, id)]
        if (said.said === 'none') expect(was.work, id).not.toBe('keep')
        else expect(is?.work, id).not.toBe('keep')
        expect(saidThere(then, id)?.said, id).toBe(said.said === 'none' ? 'drilled' : 'none')
        expect(other(then, saidThere(then, id)!)).toEqual(build)
      }
    })
    holds(law, 200)
    expect(met.none).toBeGreaterThan(50)
  })
  it('of an instrument that plays all was said to be there; one that is not is made', () => {
    const build = beginBuild(
      { name: 'Here', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-guard-vibrato', job: 'upgrade' },
      '2026-12-01',
    )
    expect(card(build, 'route-middle')!.work).toBe('keep')
    const said = saidThere(build, 'tuner-bores')!
    expect(said).toEqual({ ref: { slot: 'neck', trait: 'bored.tuners' }, said: 'drilled' })
    expect(card(other(build, said), 'tuner-bores')!.work).not.toBe('keep')
    expect(card(other(build, said), 'tuner-bores')!.stands).toBe('waiting')
  })
  it('what a card asks of its hole is what it is said by', () => {
    const asked = new Set<string>()
    const toggled = everyMake().find((b) => b.parts.switch?.traits.contacts?.startsWith('toggle'))!
    const more = [
      changed(fullBuild(), { 'body/binding.thickness': 1.5, 'body/binding.height': 6 }, { 'neck/tiltScrew': 'screw' }),
      { ...toggled, parts: { ...toggled.parts, 'switch-2': { ...toggled.parts.switch! } } },
    ]
    for (const make of [...everyMake(), ...more])
      for (let mask = 0; mask < 4; mask++) {
        const build = unseen(undrilled(drillable(make), mask ? 2 ** 30 - mask : 0))
        for (const c of holeCards(build))
          for (const ref of c.untold) {
            if (!isHole(slotSpec(ref.slot).kind, ref.trait)) continue
            asked.add(c.id)
            expect(thereOf(build, c.id), c.id).toEqual(ref)
          }
      }
    expect(asked.size).toBe(38)
  })
  it('nothing is said of a hole whose sizes were read, nor where nobody looked', () => {
    for (const build of everyMake()) for (const c of holeCards(unseen(build))) expect(saidThere(unseen(build), c.id)).toBeUndefined()
    const read = drillable(everyMake()[0]!)
    expect(read.parts.neck!.sizes['tuner.bore']).toBeDefined()
    expect(saidThere(read, 'tuner-bores')).toBeUndefined()
  })
})
