import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { JOINT_KINDS } from '../fit/jointKinds'
import { existsIn } from '../fit/kind'
import type { Slot } from '../parts/slots'
import { aBass } from '../testing/aBass'
import { anyBuild, knownBuild } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { drillable } from '../testing/drillable'
import { holds } from '../testing/holds'
import { USUAL_BENCH } from './bench'
import { cardDrawing, drawnCards, holeCards } from './holes'

const drawn = fc.oneof(anyBuild, knownBuild).map(drillable)
/** What a person at the bench may do about it. */
const DOES = /[.:] (Take|Put|Hold|Measure|Plug|Lead|Start|Leave|Move|No shorter one would hold)\b/

const SCREWED = ['neck-screws', 'bridge', 'tuners', 'strap-buttons', 'guard', 'string-tree', 'nut'] as const
const lengthOf = (slot: Slot) => (slot === 'neck-screws' ? 'length' : 'screw.length')

/** The same screws, so much longer. */
function otherScrews(build: Build, slot: Slot, longer: number): Build {
  const size = lengthOf(slot)
  const part = build.parts[slot]
  const length = part?.sizes[size]
  if (!part || !length) return build
  return {
    ...build,
    parts: {
      ...build.parts,
      [slot]: { ...part, sizes: { ...part.sizes, [size]: { ...length, value: Math.max(2, length.value + longer) } } },
    },
  }
}

describe('a hole that is refused', () => {
  it('says why, what to do about it, and nothing of how it would be made; what is there already is not refused', () => {
    let refusals = 0
    const asked = holds(
      fc.property(drawn, (build) => {
        for (const c of drawnCards(build, USUAL_BENCH)) {
          for (const g of c.guards.filter((g) => g.verdict === 'wont-go')) {
            expect(g.says, `${c.id}/${g.id}`).toMatch(DOES)
            expect(c.says, `${c.id}/${g.id}`).toContain(g.says)
          }
          if (c.stands !== 'refused') continue
          refusals++
          expect(c.work).not.toBe('keep')
          expect(c.steps, c.id).toEqual([])
          const why = c.guards.filter((g) => g.verdict === 'wont-go').map((g) => g.says)
          expect([...c.says].sort().join(''), c.id).toBe([...why.join(' ')].sort().join(''))
          expect(
            cardDrawing(c).marks.some((m) => m.mark === 'label' && m.text === 'tape'),
            c.id,
          ).toBe(false)
        }
      }),
      1_500,
    )
    expect(refusals).toBeGreaterThan(asked / 4)
  })
  it('no figure in any of its words is less than nothing, and what is known to a tenth only is not said as sure', () =>
    void holds(
      fc.property(drawn, (build) => {
        for (const c of holeCards(build)) {
          for (const line of [c.says, ...c.steps, ...c.from, ...c.first, ...c.mind, ...c.guards.map((g) => g.says)])
            expect(line, c.id).not.toMatch(/(^|[ (])-\d|NaN|undefined| {2}/)
          for (const g of c.guards.filter((g) => g.verdict === 'cant-tell' && g.spare && g.spare.doubt >= 0.05))
            expect(g.says, `${c.id}/${g.id}`).toContain('±')
        }
      }),
      1_000,
    ))
  it('the screws it names instead stay under the face, and still bite', () => {
    let named = 0
    const asked = holds(
      fc.property(drawn, fc.constantFrom(...SCREWED), fc.integer({ min: 0, max: 30 }), (build, slot, longer) => {
        const now = otherScrews(build, slot, longer)
        for (const c of holeCards(now)) {
          const tip = c.slot === slot ? c.guards.find((g) => g.id === 'tip' && g.verdict !== 'snug') : undefined
          const longest = tip?.says.match(/Take one of (\d+) mm or less/)?.[1]
          if (!longest) continue
          named++
          const then = otherScrews(now, slot, Number(longest) - now.parts[slot]!.sizes[lengthOf(slot)]!.value)
          const guards = holeCards(then).find((k) => k.id === c.id)!.guards
          expect(guards.find((g) => g.id === 'tip')!.verdict, `${c.id} ${longest}`).toBe('snug')
          expect(guards.find((g) => g.id === 'bite')?.verdict, `${c.id} ${longest}`).toBeUndefined()
        }
      }),
      1_500,
    )
    expect(named).toBeGreaterThan(asked / 20)
  })
})

describe('a screw too long for its wood', () => {
  it('is changed for the same one by the hole and by the joint', () => {
    let both = 0
    const slots = fc.constantFrom('neck-screws', 'bridge', 'tuners', 'pickup-neck', 'pickup-middle', 'pickup-bridge')
    const asked = holds(
      fc.property(drawn, slots, fc.integer({ min: 5, max: 30 }), (build, slot, longer) => {
        const part = build.parts[slot]
        if (!part) return
        const hung = slot.startsWith('pickup') ? { mount: 'body' } : {}
        const now = otherScrews(
          { ...build, parts: { ...build.parts, [slot]: { ...part, traits: { ...part.traits, ...hung } } } },
          slot,
          longer,
        )
        const longest = holeCards(now)
          .flatMap((c) => (c.slot === slot ? c.guards : []))
          .flatMap((g) => /Take one of (\d+) mm or less/.exec(g.says)?.[1] ?? [])
        const cures = JOINT_KINDS.filter((k) => k.needs.includes(slot) && existsIn(k, now)).flatMap((k) => k.find(now).cures)
        const shorter = cures.filter((c) => c.plan?.slot === slot && c.plan.size === lengthOf(slot) && c.plan.delta < 0)
        if (!longest.length || !shorter.length) return
        both++
        for (const c of shorter) expect(longest, c.job).toContain(/of (\d+) mm or less/.exec(c.job)?.[1])
      }),
      1_500,
    )
    expect(both).toBeGreaterThan(asked / 20)
  })
  // 45 mm of body, 24 of route: 21 stay. A cover of 20 stands 4 over the floor when it is down: 30 mm of screw reach 26 into 21.
  it('a pickup’s screw crosses the air under its ears first: 22 mm are the longest, not 18', () => {
    const bass = changed(drillable(aBass()), {
      'pickup-neck/screw.length': 30,
      'pickup-neck/screw.root': 2,
      'pickup-neck/screw.diameter': 3,
    })
    const card = holeCards(bass).find((c) => c.id === 'pickup-neck')!
    expect(card.says).toMatch(/The screw is 5 mm too long: it would come out of the body’s back. Take one of 22 mm or less\./)
  })
})

describe('a hollow body holds bridge and studs by the wood that is under them', () => {
  const hollow = (mount: string, block: number | undefined) =>
    changed(
      drillable(fullBuild()),
      { 'bridge/screw.length': 25, 'bridge/plate.thickness': 2, 'body/thickness': 44, ...(block ? { 'body/block.thickness': block } : {}) },
      { 'bridge/mount': mount, 'body/build': 'semi-hollow', 'body/bored.bridge': 'none', 'body/bored.studs': 'none' },
    )
  const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
  // 23 mm of screw in a block of 20: 3 mm out of it, though the body is 44 mm thick.
  it('23 mm of screw come out of a block of 20', () =>
    expect(card(hollow('screws', 20), 'bridge-screws').says).toMatch(/too long: it would come out of the block’s far side/))
  it('nobody measured the block: asked for, not taken for the body', () =>
    expect(card(hollow('screws', undefined), 'bridge-screws').missing.map((m) => m.size)).toContain('block.thickness'))
  // Bushings of 25 and 1 mm of room under them want 26; 20 less 2.5 leave 17.5.
  it('bushings of 25 mm find no room in a block of 20', () => {
    const b = hollow('post', 20)
    delete b.parts.body!.sizes.studBore
    expect(card(b, 'stud-bores').says).toMatch(/25 mm long and only 1\d(\.\d)? mm may be drilled here/)
  })
  it('nobody said how the body is made: that is asked first', () => {
    const b = hollow('screws', 20)
    delete b.parts.body!.traits.build
    expect(card(b, 'bridge-screws')).toMatchObject({ stands: 'waiting', untold: [{ slot: 'body', trait: 'build' }] })
  })
})

describe('why there is no hole', () => {
  const card = (sizes: Parameters<typeof changed>[1]) =>
    holeCards(changed(drillable(fullBuild()), sizes, { 'bridge/mount': 'screws', 'body/bored.bridge': 'none' })).find(
      (c) => c.id === 'bridge-screws',
    )!
  const guards = (sizes: Parameters<typeof changed>[1]) => card(sizes).guards.map((g) => `${g.id} ${g.verdict}`)
  // 4 mm screws through a plate of 2.5: 1.5 bite.
  it('a screw that hardly reaches the wood is too short, and 44 mm of wood are not too little', () => {
    const short = { 'bridge/screw.length': 4, 'bridge/plate.thickness': 2.5, 'body/thickness': 44 }
    expect(guards(short)).toContain('bite wont-go')
    expect(guards(short).join()).not.toMatch(/depth/)
    // 2.5 of plate and three times 3.5; 44 of wood less the 2.5 that stay, and the plate: 44, and one less for what is not known to the tenth.
    expect(card(short).says).toMatch(/Take one of 13 to 43 mm\.$/)
  })
  // 12 of wood keep 2.5 before the back: a screw of 12 would end there, and 2.5 and three times 3.5 are 13.
  it('a screw too short for wood that has room for none that is longer is not told to be longer', () => {
    const bite = (sizes: Parameters<typeof changed>[1]) => card(sizes).guards.find((g) => g.id === 'bite')!.says
    const thin = { 'bridge/screw.length': 8, 'bridge/plate.thickness': 2.5, 'body/thickness': 12 }
    expect(bite(thin)).toMatch(/No longer one has room\. Hold the part another way\.$/)
    expect(bite({ ...thin, 'body/thickness': 14 })).toMatch(/Take one of 13 mm\.$/)
    expect(bite({ ...thin, 'body/thickness': 16 })).toMatch(/Take one of 13 to 15 mm\.$/)
  })
  // 6 mm of wood less 2.5 under the tip and the bit's cone leaves 2.9; of 5 mm nothing one could call a hole.
  it('wood too thin for any hole is', () =>
    expect(guards({ 'bridge/screw.length': 25, 'bridge/plate.thickness': 2, 'body/thickness': 5 })).toContain('depth wont-go'))
  it('an old row is before, behind, or on the line of the new one', () => {
    const old = (mm: number) => card({ 'body/oldHoles.front': mm }).guards.find((g) => g.id === 'old-front')!.says
    expect(old(2)).toMatch(/^A row of old holes lies 2 mm in front of these:/)
    expect(old(0)).toMatch(/^A row of old holes lies on the line of these:/)
  })
})
