import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { findJoints } from '../fit/findJoints'
import { inHollow } from '../instrument/panel'
import { knownBuild } from '../testing/anyBuild'
import { aPart } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'
import { hollowsOf } from './hollows'

/** No guard, no plate, and the controls go in by a sound hole; a bridge on posts. */
const hollow = (build: Build): Build =>
  changed(
    without(build, 'guard', 'control-plate'),
    {},
    { 'body/build': 'semi-hollow', 'body/access': 'sound-hole', 'bridge/mount': 'post' },
  )
const NO_SPRINGS = {
  'body/claw.x': undefined,
  'body/vibrato.length': undefined,
  'body/vibrato.width': undefined,
  'body/spring.depth': undefined,
}
/** What says where a room for the controls was cut. */
const OF_A_ROUTE = ['control.x', 'control.y', 'control.length', 'control.width']

describe('small screws in a front whose wood nobody knows the end of', () => {
  const ring = aPart(
    'ring-neck',
    {
      length: 37,
      width: 70,
      radius: 2,
      'height.neckSide': 4,
      'height.bridgeSide': 5,
      'screw.length': 12,
      'screw.thread': 2.4,
      'screw.root': 1.7,
    },
    { foot: 'flat' },
  )
  const made = (how: string | undefined): Build => {
    const build = undrilled(drillable(fullBuild()))
    const body = { ...build.parts.body!, traits: { ...build.parts.body!.traits } }
    if (how) body.traits.build = how
    else delete body.traits.build
    return changed({ ...build, parts: { ...build.parts, body, 'ring-neck': ring } }, {}, { 'pickup-neck/mount': 'ring' })
  }
  const card = (how: string | undefined, id: string) => holeCards(made(how)).find((c) => c.id === id)!
  it('are told what stays under them in a solid body alone; elsewhere to knock first', () => {
    for (const id of ['ring-neck', 'guard-screws']) {
      expect(card('solid', id).guards.map((g) => g.id)).toContain('tip')
      expect(card('solid', id).left).toBeGreaterThan(30)
      for (const how of ['semi-hollow', 'chambered', undefined]) {
        const { guards, left, stands, depth } = card(how, id)
        expect(
          guards.map((g) => g.id),
          `${id} ${how}`,
        ).not.toContain('tip')
        expect(guards.find((g) => g.id === 'chamber')!.says, `${id} ${how}`).toMatch(/knock before a bit goes in/)
        expect([left, stands], `${id} ${how}`).toEqual([undefined, 'mind'])
        expect(depth).toBe(card('solid', id).depth)
      }
    }
  })
  it('those of a pickup in the wood stand in the block of a hollow body', () => {
    const hung = (how: string, block: number) =>
      holeCards(
        changed(
          made(how),
          {
            'body/block.thickness': block,
            'pickup-neck/screw.length': 20,
            'pickup-neck/depth': 10,
            'pickup-neck/screw.root': 2.2,
            'pickup-neck/screw.diameter': 3,
            'body/route.neck.depth': 18,
          },
          { 'pickup-neck/mount': 'body', 'bridge/mount': 'screws' },
        ),
      ).find((c) => c.id === 'pickup-neck')!
    const left = (how: string, block: number) => [hung(how, block).says, ...hung(how, block).guards.map((g) => g.says)].join(' ')
    // 20 long less 18 - 10 = 8 of air: 12 in the wood. 44.2 - 18 - 12 = 14.2; of a block of 34 4 are left.
    expect(left('solid', 34)).toMatch(/ends 14\.2 mm under the body’s back/)
    expect(left('semi-hollow', 34)).toMatch(/ends 4 mm under the block’s far side/)
  })
})

describe('a body that is hollow under its controls', () => {
  it('has no room cut for them, whatever else it is: none is asked for, none is named', () => {
    const cases = holds(
      fc.property(knownBuild, fc.nat(), (drawn, mask) => {
        const build = undrilled(hollow(drawn), mask)
        expect(inHollow(build)).toBe(true)
        expect(hollowsOf(build).map((h) => h.id)).not.toContain('control')
        const cards = holeCards(build)
        for (const c of cards) {
          expect(
            c.missing.filter((r) => OF_A_ROUTE.includes(r.size)),
            c.id,
          ).toEqual([])
          const texts = [c.says, c.located, ...c.first, ...c.steps, ...c.mind, ...c.guards.map((g) => g.says)]
          for (const text of texts) expect(text, c.id).not.toMatch(/control route/i)
        }
        expect(cards.map((c) => c.id)).not.toContain('route-control')
        expect(cards.map((c) => c.id)).not.toContain('jack-passage')
        for (const joint of findJoints(build)) {
          for (const check of joint.checks) {
            expect(
              check.reads.filter((r) => OF_A_ROUTE.includes(r.size)),
              `${joint.id}/${check.id}`,
            ).toEqual([])
            for (const cure of check.cures) expect(cure.job, `${joint.id}/${check.id}`).not.toMatch(/control route|rout the top/i)
          }
        }
      }),
      150,
    )
    expect(cases).toBeGreaterThan(0)
  })
  const semi = (block: number) =>
    changed(
      hollow(drillable(fullBuild())),
      {
        ...NO_SPRINGS,
        'body/block.width': block,
        'body/control.top': 5,
        'body/thickness': 45,
        'bridge/studSpacing': 74,
        'body/studSpacing': 74,
      },
      { 'body/bored.ground': 'none' },
    )
  const ground = (build: Build) => holeCards(build).find((c) => c.id === 'ground-wire')!
  it('the string ground leaves the centre block by its side', () => {
    // 110 / 2 - 74 / 2 = 18 mm to its side, as deep as far: 45 degrees, 25.5 mm.
    expect(ground(semi(110)).says).toMatch(
      /^From the bore of a stud out of the centre block’s side, 18 mm away: 25 mm long, 45 degrees below the top, 3 mm/,
    )
    expect(ground(semi(110)).from).toEqual(['37 mm to the treble side of the centre line, in line with the bridge’s studs'])
    // Never nearer to the back than the top is thick and 4 mm: 45 - 5 - 4.
    expect(ground(semi(170)).says).toMatch(/48 mm away: 60 mm long, 37 degrees/)
  })
  it('where the block ends before the studs, straight down through the top', () => {
    expect(ground(semi(60)).says).toMatch(/^From the bore of a stud straight down through the top, .*: the centre block ends before it\.$/)
    expect(ground(semi(60)).steps[0]).toMatch(/square, through the top and no further/)
  })
  it('nobody has said how wide the block is: it is asked for', () => {
    const unsaid = semi(110)
    delete unsaid.parts.body!.sizes['block.width']
    expect(ground(unsaid).stands).toBe('waiting')
    expect(ground(unsaid).missing).toEqual([{ slot: 'body', size: 'block.width' }])
  })
  it('before the top is drilled what stands inside is looked for', () => {
    const cards = holeCards(undrilled(semi(110)))
    const of = (id: string) => cards.find((c) => c.id === id)!
    expect(of('pot-holes').first).toEqual(['a mirror and a lamp through the sound hole: no brace, block or lining under the marks'])
    expect(of('jack-bore').located).toMatch(/^the rim, where it is hollow behind/)
  })
})
