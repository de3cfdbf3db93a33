import { describe, expect, it } from 'vitest'
import fc from 'fast-check'
import type { Build } from '../../document/build'
import { boxAround } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { areaOf } from '../../geometry/polygon'
import { bodyOutline } from '../../instrument/bodyShape'
import { datums } from '../../instrument/datums'
import { tunerPosts } from '../../instrument/tuners'
import { GRIPPY, restingAngle, SLIPPERY } from '../../physics/restingAngle'
import { anyBuild, knownBuild, untold } from '../../testing/anyBuild'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { holds } from '../../testing/holds'
import { checkIn } from '../../testing/rows'
import { centreOfMass, lumps, type Lump } from './balance'

// Sums of a centre of mass [physics]; each beside its check.

const lump = (build: Build, label: string): Lump => lumps(build).find((l) => l.label === label)!
/** A body of straight sides, 400 long from 60 before the pocket's mouth, 300 wide, its middle 10 towards the bass side. */
const boxOfWood = (sizes: Record<string, number> = {}, traits: Record<string, string> = {}): Build => {
  const build = changed(fullBuild(), sizes, traits)
  build.parts.body!.outline = [-60, 0, 100, 200, 300, 340].map((x) => ({ x, bass: 160, treble: 140 }))
  delete build.parts.body!.sizes.mass
  return build
}

describe('centre of mass', () => {
  it('of three lumps', () => {
    const { gram, at, doubt, along } = centreOfMass([
      { label: 'a', gram: 1000, at: pt(0, 0), doubt: 100 },
      { label: 'b', gram: 2000, at: pt(400, 40), doubt: 30, weighed: true },
      { label: 'c', gram: 1000, at: pt(400, 80), doubt: 0 },
    ])
    expect(gram).toBe(4000)
    // (0 + 2000 x 400 + 1000 x 400) / 4000 and (2000 x 40 + 1000 x 80) / 4000.
    expect(at.x).toBeCloseTo(300, 9)
    expect(at.y).toBeCloseTo(40, 9)
    expect(doubt).toBeCloseTo(Math.hypot(100, 30), 9)
    // Ten of 100 moves it 300 x 100 / 4000 = 7.5, beside the 12 of all the places.
    expect(along).toBeCloseTo(Math.hypot(7.5, 12), 9)
  })
  it('takes each part where it lies from the nut', () => {
    const { heelEnd, mouth, studs } = datums(fullBuild())
    expect([heelEnd, mouth, studs]).toEqual([462, 386, 641])
    const all = lumps(changed(fullBuild(), { 'neck/tuner.slant': 0 }))
    const where = Object.fromEntries(all.map((l) => [l.label, [l.gram, l.at.x, l.at.y]]))
    expect(where['neck']).toEqual([640, 462 * 0.42, 0])
    expect(where['bridge']).toEqual([290, 649, 0])
    expect(where['neck pickup']).toEqual([95, 494, 0])
    expect(where['middle pickup']).toEqual([70, 550, 0])
    expect(where['bridge pickup']).toEqual([95, 609, 0])
    expect(where['pickguard']).toEqual([60, 552, -30])
    // Six of 29 g, posts from 33 by 25.4: their middle at 33 + 2.5 x 25.4.
    expect(where['tuners']![0]).toBe(174)
    expect(where['tuners']![1]).toBeCloseTo(-96.5, 9)
    expect(lump(fullBuild(), 'tuners').doubt).toBeCloseTo(6, 9)
    expect(where['tailpiece']).toBeUndefined()
    const tail = structuredClone(changed(fullBuild(), { 'body/tail.toBridge': 55 }, { 'bridge/mount': 'post' }))
    tail.parts.tailpiece = aPart('tailpiece', { mass: 90 }, {})
    tail.parts['control-plate'] = aPart('control-plate', {}, {})
    expect([lump(tail, 'tailpiece').gram, lump(tail, 'tailpiece').at.x]).toEqual([90, 696])
    expect(lump(tail, 'control plate').at).toEqual(pt(621, -74))
  })
  it('a body nobody weighed weighs what its outline, thickness and wood say', () => {
    const body = lump(boxOfWood(), 'body')
    // 400 x 300 mm and its round ends, 44.2 thick, a tenth of it routed, hard maple of 0.63 a tenth heavier than oven dry: within 15 %.
    const area = areaOf(bodyOutline(boxOfWood(), 0))
    expect(area / (400 * 300)).toBeGreaterThan(1)
    expect(area / (400 * 300)).toBeLessThan(1.05)
    expect(body.gram).toBeCloseTo((area * 44.2 * 0.9 * 0.63 * 1.1) / 1000, 6)
    expect(body.doubt / body.gram).toBeCloseTo(0.15, 9)
    // The round end at its tail is the longer.
    expect(body.at.x - (386 + 140)).toBeGreaterThan(0)
    expect(body.at.x - (386 + 140)).toBeLessThan(10)
    expect(body.at.y).toBeCloseTo(10, 0)
    expect(body.weighed).toBeUndefined()
    expect(lump(boxOfWood({}, { 'body/build': 'semi-hollow' }), 'body').gram / body.gram).toBeCloseTo(0.62 / 0.9, 6)
  })
  it('without what was measured of its chambers', () => {
    const chambers = { 'body/chamber.count': 2, 'body/chamber.length': 100, 'body/chamber.width': 60, 'body/chamber.depth': 30 }
    const body = lump(boxOfWood(chambers, { 'body/build': 'chambered' }), 'body')
    // 2 x 100 x 60 x 30 = 360 000 mm3 of 0.63 a tenth heavier: 249.5 g.
    expect(lump(boxOfWood(), 'body').gram - body.gram).toBeCloseTo((360_000 * 0.63 * 1.1) / 1000, 6)
    const unmeasured = lump(boxOfWood({ ...chambers, 'body/chamber.depth': 0 }, { 'body/build': 'chambered' }), 'body')
    expect(unmeasured.gram / lump(boxOfWood(), 'body').gram).toBeCloseTo(0.62 / 0.9, 9)
  })
  it('by a few numbers of its shape it is known within a fifth', () => {
    const build = boxOfWood({ 'body/outline.length': 420, 'body/outline.lower': 330 })
    build.parts.body!.outline = []
    const body = lump(build, 'body')
    expect(body.doubt / body.gram).toBeCloseTo(0.2, 9)
  })
  it('of no shape at all it is as usual, and is not weighed', () => {
    const build = boxOfWood()
    build.parts.body!.outline = []
    expect(lump(build, 'body')).toMatchObject({ weighed: true, usual: true })
    expect(lump(fullBuild(), 'body')).toMatchObject({ gram: 1900, doubt: 10, weighed: true })
    expect(lump(fullBuild(), 'body').usual).toBeUndefined()
  })
})

describe('balance', () => {
  it('heavier tuners and a lighter body move the centre of mass headward [physics]', () => {
    const margin = (b: ReturnType<typeof fullBuild>) => jointIn(b, 'balance').figure!.value
    const plain = margin(fullBuild())
    expect(margin(changed(fullBuild(), { 'tuners/mass': 60 }))).toBeLessThan(plain)
    expect(margin(changed(fullBuild(), { 'body/mass': 1200 }))).toBeLessThan(plain)
    expect(margin(changed(fullBuild(), { 'body/button.upper.x': -80 }))).toBeCloseTo(plain + 40, 6)
  })
  it('says where it rests on a grippy and on a slippery strap', () => {
    const [rests] = jointIn(fullBuild(), 'balance').tables()
    expect(rests!.title).toMatch(/it rests$/)
    expect(rests!.rows.map((r) => r[0])).toEqual(['grippy: suede or cotton', 'slippery: smooth nylon'])
  })
  it('a mass nobody weighed is about so much, and no rest is told by it', () => {
    const usual = structuredClone(fullBuild())
    usual.parts.neck!.sizes.mass = { value: 620, doubt: 100, known: 'assumed' }
    const rows = (b: ReturnType<typeof fullBuild>) => jointIn(b, 'balance').tables().at(-1)!.rows
    expect(rows(fullBuild()).find(([part]) => part === 'neck')![1]).toMatch(/^\d+$/)
    expect(rows(usual).find(([part]) => part === 'neck')![1]).toBe('about 620')
    expect(
      jointIn(usual, 'balance')
        .tables()
        .map((t) => t.title),
    ).toEqual(['What weighs where'])
  })
  it('three classes: level, loose near the button, tight when it surely dips', () => {
    const at = (x: number) => jointIn(changed(fullBuild(), { 'body/button.upper.x': x }), 'balance').verdict
    expect(at(-40)).toBe('snug')
    expect(at(51)).toBe('loose')
    expect(at(100)).toBe('tight')
  })
  it('a button is moved no further than its horn goes: past that only what else helps is told', () => {
    const tip = Math.min(...fullBuild().parts.body!.outline!.map((row) => row.x))
    const near = changed(fullBuild(), { 'body/button.upper.x': 85 })
    const { value: margin } = jointIn(near, 'balance').figure!
    const forward = Math.max(5, 30 - margin)
    expect(85 - forward).toBeGreaterThan(tip + 8)
    expect(checkIn(near, 'balance', 'margin').cures[0]!.job).toBe(
      `Move the upper strap button ${Math.round(forward)} mm towards the headstock.`,
    )
    const heavy = changed(fullBuild(), { 'tuners/mass': 190, 'body/mass': 900, 'body/button.upper.x': tip + 9 })
    expect(jointIn(heavy, 'balance').verdict).toBe('tight')
    expect(jointIn(heavy, 'balance').cures.map((c) => c.id)).toEqual(['light-tuners', 'grippy-strap'])
    expect(jointIn(heavy, 'balance').cures[0]!.job).toMatch(/^Lighter tuners/)
  })
  it('what ten grams less at the tuners do', () => {
    const dips = changed(fullBuild(), { 'body/button.upper.x': 85 })
    // Of 3324 g with its middle at 452.9, tuners at -94.9: 10 x 547.8 / 3314 = 1.7 mm.
    const { gram, at } = centreOfMass(lumps(dips))
    expect([Math.round(gram), at.x.toFixed(1)]).toEqual([3324, '452.9'])
    expect(checkIn(dips, 'balance', 'margin').cures[1]!.job).toBe(
      'Or lighter tuners: 10 g less there moves the balance 1.7 mm towards the tail.',
    )
  })
  it('rests by the rim at its upper button and the lower one on the centre line', () => {
    const hung = (upper: number) => {
      const build = boxOfWood({ 'tuners/mass': 60, 'body/button.upper.x': upper })
      build.parts.body!.sizes.mass = { value: 1500, doubt: 10, known: 'scale' }
      const com = centreOfMass(lumps(build)).at
      const angles = [GRIPPY, SLIPPERY].map((f) => restingAngle(com, pt(386 + upper, 160), pt(386 + 365, 0), f)) as [number, number]
      return {
        angles,
        build,
        rests: jointIn(build, 'balance')
          .tables()[0]!
          .rows.map((r) => r[1]),
        says: jointIn(build, 'balance').says,
      }
    }
    const near = hung(-30)
    expect(near.angles[0]).toBe(0)
    expect(near.angles[1].toFixed(0)).toBe('30')
    expect(near.rests).toEqual(['level', 'neck down 30°'])
    expect(near.says).toContain('level on a grippy strap, the neck sinks on a slippery one')
    // Further out on its horn it sinks less.
    expect(hung(-60).rests).toEqual(['level', 'neck down 10°'])
    const heavy = near.build
    const noLower = untold(heavy, 'sizes', 'body', 'button.lower.x')
    // Nothing of it where the lower button is not told, the upper one is read beyond the wood, or nobody knows the body's shape.
    const shapeless = structuredClone(heavy)
    shapeless.parts.body!.outline = []
    for (const build of [noLower, changed(heavy, { 'body/button.upper.x': -120 }), shapeless])
      expect(
        jointIn(build, 'balance')
          .tables()
          .map((t) => t.title),
      ).toEqual(['What weighs where'])
  })
})

describe('its drawing', () => {
  it('shows each part where it is said to lie, and measures from the button to the middle, whatever the build', () => {
    let held = 0
    holds(
      fc.property(fc.oneof(knownBuild, anyBuild), (build) => {
        const joint = jointIn(build, 'balance')
        const { marks, bounds, numbers } = joint.draw()
        const all = lumps(build)
        const com = centreOfMass(all)
        // A left-handed one lies with its bass side above.
        const seen = (p: Point) => (build.handedness === 'left' ? pt(p.x, 0 - p.y) : p)
        const discs = marks.filter((m) => m.mark === 'circle' && m.role === 'metal')
        expect(discs.map((c) => c.mark === 'circle' && pt(c.at.x, c.at.y + 0))).toEqual(all.map((l) => pt(seen(l.at).x, seen(l.at).y + 0)))
        // Of two parts the heavier has the larger disc.
        for (const [i, a] of all.entries())
          for (const [k, b] of all.entries())
            if (a.gram > b.gram) expect((discs[i] as { r: number }).r).toBeGreaterThanOrEqual((discs[k] as { r: number }).r)
        expect(marks).toContainEqual(expect.objectContaining({ mark: 'circle', role: 'sounding', at: seen(com.at) }))
        expect(numbers.map((n) => n.label)).toEqual(all.map((l) => l.label))
        for (const [i, l] of all.entries())
          expect(numbers[i]!.value).toMatch(new RegExp(`${Math.round(l.gram)} g at ${Math.round(l.at.x)} mm$`))
        // Everything lies inside the picture, its furthest tuner too.
        const inside = boxAround([...all.map((l) => l.at), ...tunerPosts(build)])
        expect(inside.x).toBeGreaterThan(bounds.x)
        expect(inside.x + inside.width).toBeLessThan(bounds.x + bounds.width)
        const told = build.parts.body?.sizes['button.upper.x']
        const measure = marks.find((m) => m.mark === 'dimension')
        expect(measure !== undefined).toBe(told !== undefined)
        if (measure?.mark !== 'dimension' || !told) return
        const button = datums(build).mouth + told.value
        expect([measure.from.x, measure.to.x]).toEqual([button, com.at.x])
        expect(measure.text).toBe(Math.abs(com.at.x - button).toFixed(0))
        held++
      }),
      1_000,
    )
    expect(held).toBeGreaterThan(50)
  })
})
