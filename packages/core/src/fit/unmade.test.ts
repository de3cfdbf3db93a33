import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { isThrough } from '../document/read'
import { isUnmade } from '../document/unmade'
import { holeStakes } from '../drill/stakes'
import { holeCards } from '../drill/holes'
import { HOLES, holeOf } from '../parts/holes'
import { KINDS } from '../parts/kinds/index'
import type { TraitSpec } from '../parts/kind'
import { missingSizes } from '../parts/missing'
import { slotSpec } from '../parts/slots'
import { anyBuild } from '../testing/anyBuild'
import { jointIn } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { fit } from '../stations/fit/fit'
import { findJoints, judgeJoints } from './findJoints'
import { USUAL_TOOLS } from './measure/measureNext'
import { stakes } from './measure/stakes'

type Hole = (typeof HOLES)[number]
const keys = (hole: Hole) => hole.sizes.map((size) => `${hole.kind}/${size}`)
/** The hole is said to be there or not; nothing of it has been read. */
const said = (build: Build, hole: Hole, there: 'none' | 'drilled'): Build =>
  changed(
    build,
    Object.fromEntries(keys(hole).map((k) => [k, undefined])),
    Object.fromEntries(hole.traits.map((t) => [`${hole.kind}/${t}`, there])),
  )
const asked = (build: Build) => [
  ...findJoints(build).flatMap((j) => j.missing),
  ...[...stakes(build, USUAL_TOOLS)].flat().flatMap((s) => s.needs),
  ...holeStakes(build, USUAL_TOOLS).flatMap((s) => s.needs),
]

/** Holes for screws, wires and keys, and what is cut by its part. */
const UNSIZED = [
  'body/routed.binding',
  'body/bored.neck',
  'body/bored.slot',
  'body/bored.slot-2',
  'body/bored.jackPlate',
  'body/bored.ground',
  'body/bored.pickups',
  'body/bored.rings',
  'body/bored.guard',
  'body/bored.plate',
  'body/bored.tilt',
  'body/bored.claw',
  'body/bored.buttons',
  'neck/pilots',
  'neck/bored.tunerScrews',
  'neck/bored.tree',
]

describe('a hole that is not there', () => {
  it('its sizes, the traits that tell and its cards are those of the parts and of Drill', () => {
    const cards = new Set(
      [fullBuild(), drillable(fullBuild()), changed(fullBuild(), {}, { 'jack/held': 'panel' })]
        .flatMap((b) => holeCards(b).map((c) => c.id))
        .concat(
          'bridge-screws',
          'tail-bores',
          'string-holes',
          'ferrule-bores',
          'toggle-hole',
          'toggle-hole-2',
          'switch-slot-2',
          'nut-screws',
        ),
    )
    for (const hole of HOLES) {
      const kind = KINDS[hole.kind]
      for (const size of hole.sizes) expect(Object.keys(kind.sizes), size).toContain(size)
      for (const trait of hole.traits) expect((kind.traits as Readonly<Record<string, TraitSpec>>)[trait]?.hole, trait).toBe(true)
      for (const id of hole.cards) expect(cards, id).toContain(id)
    }
  })
  it('every hole there is stands in the table, but those of which nothing is measured', () => {
    const traits = Object.values(KINDS).flatMap((kind) =>
      Object.entries(kind.traits).flatMap(([trait, spec]) => ((spec as TraitSpec).hole ? [`${kind.kind}/${trait}`] : [])),
    )
    const listed = new Set(HOLES.flatMap((hole) => hole.traits.map((t) => `${hole.kind}/${t}`)))
    expect(traits.filter((t) => !listed.has(t))).toEqual(UNSIZED)
  })
  it('has a card that makes it wherever a joint waits for it', () => {
    let waited = 0
    holds(
      fc.property(anyBuild, fc.nat(), (build, mask) => {
        const bare = undrilled(build, mask)
        const cards = new Set(holeCards(bare).map((c) => c.id))
        // What nobody has said of a bridge or a body may take away the hole.
        for (const joint of judgeJoints(bare).filter((j) => !j.untold.length))
          for (const ref of joint.unmade) {
            waited++
            const makes = holeOf(slotSpec(ref.slot).kind, ref.size)!.cards
            expect(
              makes.some((id) => cards.has(id)),
              `${joint.id} waits for ${ref.slot}/${ref.size}`,
            ).toBe(true)
          }
      }),
      200,
    )
    expect(waited).toBeGreaterThan(100)
  })
  it('over controls in a hollow top nothing is routed: how thick the top is can be read', () => {
    const hollow = changed(
      without(fullBuild(), 'guard'),
      { 'body/control.top': undefined },
      { 'body/access': 'sound-hole', 'body/build': 'semi-hollow', 'body/routed.control': 'none' },
    )
    const top = { slot: 'body', size: 'control.top' }
    const pot = (b: Build) => jointIn(b, 'pot-volume')
    expect([pot(hollow).missing, pot(hollow).unmade]).toEqual([expect.arrayContaining([top]), []])
    // Nor does a card make a passage there.
    const none = changed(hollow, { 'body/passage.diameter': undefined }, { 'body/bored.passage': 'none' })
    expect(judgeJoints(none).find((j) => j.id === 'wire-passage')?.unmade ?? []).toEqual([])
    // From the back it is what the route leaves.
    const routed = changed(hollow, {}, { 'body/access': 'back', 'body/build': 'solid' })
    expect(pot(routed).unmade).toEqual(expect.arrayContaining([top]))
  })
  it('has no size that anybody could read, and no joint is surer than with its sizes unread', () => {
    let hung = 0
    holds(
      fc.property(anyBuild, fc.constantFrom(...HOLES), (build, hole) => {
        if (!build.parts[hole.kind]) return
        // Of one piece nobody is asked whether its pocket is there, and the neck's axis is the neck's own.
        if (isThrough(build) && hole.cards.includes('route-pocket')) return
        const [unmade, unread] = [said(build, hole, 'none'), said(build, hole, 'drilled')]
        const none = asked(unmade).filter((r) => keys(hole).includes(`${r.slot}/${r.size}`))
        expect(none).toEqual([])
        expect(missingSizes(unmade.parts[hole.kind]!).filter((s) => hole.sizes.includes(s))).toEqual([])
        const [now, then] = [findJoints(unmade), findJoints(unread)]
        expect(now.map((j) => [j.id, j.verdict])).toEqual(then.map((j) => [j.id, j.verdict]))
        for (const [i, joint] of now.entries()) {
          // What is not asked now is what was asked then.
          const of = [...joint.missing, ...joint.unmade].map((r) => `${r.slot}/${r.size}`).toSorted()
          expect(of, joint.id).toEqual([...then[i]!.missing, ...then[i]!.unmade].map((r) => `${r.slot}/${r.size}`).toSorted())
          for (const ref of joint.unmade) {
            expect(isUnmade(unmade, ref)).toBe(true)
            hung++
          }
          if (joint.verdict === 'cant-tell' && joint.unmade.length && !joint.missing.length && !joint.untold.length)
            expect(joint.says).toMatch(/^Not made yet: /)
        }
      }),
      30,
    )
    expect(hung).toBeGreaterThan(5)
  })
})

describe('pots in a top without their holes', () => {
  const top = () => {
    const { guard: _, ...parts } = fullBuild().parts
    const b = changed({ ...fullBuild(), parts }, { 'body/pot.hole': undefined, 'body/control.top': 2.5 }, { 'body/bored.controls': 'none' })
    return b
  }
  it('wait for them, and say so', () => {
    const joint = jointIn(top(), 'pot-volume')
    expect([joint.verdict, joint.missing, joint.settles]).toEqual(['cant-tell', [], undefined])
    expect(joint.unmade).toEqual([{ slot: 'body', size: 'pot.hole' }])
    expect(joint.says).toBe('Not made yet: pot hole in the top (body); the cards under Drill say how.')
  })
  it('are counted by Drill, not by Dry fit; once the card is ticked off their size is asked for', () => {
    const build = top()
    const open = (b: Build) => fit.count!(b, findJoints(b))
    const drilled = { ...build, steps: { ...build.steps, 'drill-pot-holes': { done: '2026-11-28T18:00:00Z' } } }
    expect(open(drilled) - open(build)).toBe(2)
    expect(jointIn(drilled, 'pot-volume')).toMatchObject({ unmade: [], missing: [{ slot: 'body', size: 'pot.hole' }] })
    expect(jointIn(changed(build, { 'body/pot.hole': 9.7 }), 'pot-volume').unmade).toEqual([])
  })
})
