import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { onAPlate } from '../../testing/onAPlate'

const TODAY = '2026-11-24'
const stepsOf = (build: Build) => evaluate(build, TODAY).plan.steps
const stepOf = (build: Build, id: string) => stepsOf(build).find((s) => s.id === id)!
const mounted = (mount: string) => changed(without(fullBuild(), 'guard', 'springs'), {}, { 'bridge/mount': mount })

describe('the string ground, by how the bridge is held', () => {
  it.each([
    ['two-stud', /to the claw/],
    ['six-screw', /to the claw/],
    ['double-locking', /to the claw/],
    ['post', /into a stud’s bore/],
    ['screws', /under the bridge’s plate/],
    ['string-through', /under the bridge’s plate/],
  ])('%s: %s', (mount, title) => {
    expect(stepOf(mounted(mount), 'string-ground').title).toMatch(title)
    if (!/claw/.test(title.source))
      for (const s of stepsOf(mounted(mount)))
        expect(`${s.title} ${s.why} ${s.befores.map((b) => b.wayBack).join(' ')}`, s.id).not.toMatch(/claw/)
  })
  it('bushings wait for the wire that is pinched under one and a plate for the one under it; a claw’s wire does not hold them up', () => {
    const before = (build: Build) => stepOf(build, 'hardware').befores.map((b) => b.id)
    expect(before(mounted('post'))).toContain('string-ground')
    expect(before(mounted('screws'))).toContain('string-ground')
    expect(before(mounted('two-stud'))).not.toContain('string-ground')
    expect(before(fullBuild())).not.toContain('string-ground')
  })
  it('nobody has said how the bridge is held: no step is made up', () => {
    const build = fullBuild()
    delete build.parts.bridge!.traits.mount
    expect(stepOf(build, 'string-ground')).toBeUndefined()
  })
})

describe('a body hollow under its controls', () => {
  const hollow = (access: string) => changed(without(fullBuild(), 'guard'), {}, { 'body/build': 'semi-hollow', 'body/access': access })
  it('the harness is fed in through the sound hole, which takes twice as long; only the pickups’ routes are lined', () => {
    expect(stepOf(hollow('sound-hole'), 'harness-in')).toMatchObject({
      minutes: 90,
      why: expect.stringMatching(/^Fed in through the sound hole/),
    })
    expect(stepOf(hollow('back'), 'harness-in')).toMatchObject({ minutes: 45, why: expect.stringMatching(/^Leads through their passages/) })
    expect(stepOf(hollow('sound-hole'), 'shield').title).toBe('Line the pickups’ routes with foil')
    expect(stepOf(hollow('back'), 'shield').title).toBe('Line the cavities with foil')
  })
})

describe('what a meter is held to', () => {
  const hollow = (mount: string) => changed(mounted(mount), {}, { 'body/build': 'semi-hollow', 'body/access': 'sound-hole' })
  it.each([
    ['two-stud', 'Claw'],
    ['post', 'Bushing'],
    ['screws', 'Plate'],
  ])('%s: what is there when the wire is laid, not strings that come weeks later; through a sound hole its free end', (mount, held) => {
    expect(stepOf(mounted(mount), 'string-ground').why).toContain(
      `${held} to sleeve must read under 1 Ω; every string too, once they are on.`,
    )
    const { why } = stepOf(hollow(mount), 'string-ground')
    expect(why).toMatch(/^Before the harness is fed in: /)
    expect(why).toContain(`${held} to that end must beep.`)
    expect(why).not.toMatch(/sleeve/)
    expect(stepOf(hollow(mount), 'harness-in').why).toMatch(/the string ground soldered to it first/)
  })
})

describe('soldering and its check', () => {
  it('waits for every part that is soldered and still on its way', () => {
    const build = fullBuild()
    const parts = {
      ...build.parts,
      'pickup-bridge': { ...build.parts['pickup-bridge']!, state: 'ordered' as const, arrives: '2026-12-20' },
    }
    const solder = stepOf({ ...build, parts }, 'solder')
    expect(solder.state).not.toBe('ready')
    expect(solder.date! >= '2026-12-20').toBe(true)
    expect(stepOf(build, 'solder').state).toBe('ready')
  })
  it('without a guard it is soldered outside the body, nothing names a guard, and the check is better before the strings', () => {
    const bare = mounted('screws')
    expect(stepOf(bare, 'solder').title).toMatch(/outside the body/)
    expect(stepOf(bare, 'string-up').befores.map((b) => b.id)).not.toContain('meter-check')
    expect(stepOf(bare, 'string-up').better).toMatchObject([{ id: 'meter-check' }])
    const at = (id: string) => stepsOf(bare).findIndex((s) => s.id === id)
    expect(at('meter-check')).toBeLessThan(at('string-up'))
    for (const s of stepsOf(bare).filter((x) => x.station === 'wire'))
      expect(`${s.title} ${s.why} ${s.befores.map((b) => b.why).join(' ')}`, s.id).not.toMatch(/guard/)
  })
})

describe('a jack of which nobody has said where it sits', () => {
  const on = (held: string | undefined) => changed(onAPlate(), {}, { 'jack/held': held })
  it('beside controls on a plate: neither in it nor in the wood', () => {
    expect(stepOf(on('panel'), 'solder').why).toMatch(/grounds; jack; pickups where their wires/)
    expect(stepOf(on('thread'), 'solder').why).toMatch(/grounds; pickups and the jack where their wires/)
    expect(stepOf(on(undefined), 'solder').why).toMatch(/grounds; pickups, and the jack where it has a bore of its own, where their wires/)
    expect(stepOf(on(undefined), 'harness-in').title).toBe('Harness into the body: leads through, pickups, control plate and jack in')
    expect(stepOf(on('thread'), 'harness-in').title).toBe('Harness into the body: leads through, pickups, jack and control plate in')
  })
})

describe('under the strings', () => {
  it('a guard is tested and closed before they go on: it is a must', () => {
    const build = fullBuild()
    expect(build.parts.guard).toBeTruthy()
    expect(stepOf(build, 'string-up').befores.find((b) => b.id === 'close-guard')?.risk).toMatch(/strings come off again/)
    expect(stepOf(build, 'close-guard').befores.map((b) => b.id)).toContain('meter-check')
  })
})

describe('a fault that was found', () => {
  const build = fullBuild()
  build.circuit.mends = { 'open a b': { says: 'Off, or never soldered: a to b.', cure: 'Resolder both ends.', lugs: ['a', 'b'] } }
  it('is a step of the plan with its cure and the caution of soldering', () => {
    const step = stepOf(build, 'mend open a b')
    expect(step.title).toBe('Mend: Off, or never soldered: a to b')
    expect(step.why).toMatch(/Resolder both ends.*same test again/)
    expect(step.cautions.join()).toMatch(/fumes/)
  })
})
