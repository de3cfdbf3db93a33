import { describe, expect, it } from 'vitest'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { harnessOf } from '../schemes/harnessOf'
import { feedingOf, feedingSays } from './feeding'

const hollow = (sizes = {}) =>
  changed(
    without(fullBuild(), 'guard'),
    {
      'body/soundHole.x': 100,
      'body/soundHole.y': -60,
      'body/soundHole.diameter': 60,
      'body/volume.x': 260,
      'body/volume.y': -70,
      'body/tone.x': 310,
      'body/tone.y': -90,
      'body/switch.x': 120,
      'body/switch.y': -70,
      'body/jack.x': 360,
      'body/jack.y': -120,
      ...sizes,
    },
    { 'body/access': 'sound-hole' },
  )
const feeding = (b = hollow()) => {
  const made = harnessOf(b)
  if (!made.ok) throw new Error('missing')
  return feedingOf(b, made.harness)
}
const turn = (b = hollow()) => feeding(b)!.steps.flatMap((s) => /^\d+\. the ([a-z ]+):/.exec(s)?.[1] ?? [])

describe('feeding a harness through a sound hole', () => {
  // From the hole at (100, -60): jack 267 mm, tone 212, volume 160, switch 22.
  it('far before near, the selector last', () => expect(turn()).toEqual(['jack', 'tone', 'volume', 'selector']))
  it('the selector last even where it sits furthest', () => expect(turn(hollow({ 'body/switch.x': 400 })).at(-1)).toBe('selector'))
  it('the whole check comes before anything is fed in', () => {
    const { steps } = feeding()!
    expect(steps.findIndex((s) => /Whole check and a listen outside/.test(s))).toBeLessThan(steps.findIndex((s) => /^1\. /.test(s)))
  })
  it('the string ground is the first wire in, and the harness is soldered to it before it is fed', () => {
    for (const [mount, where] of [
      ['post', /down the stud’s bore/],
      ['string-through', /under the bridge’s plate/],
      ['two-stud', /to the claw/],
    ] as const) {
      const { steps } = feeding(changed(hollow(), {}, { 'bridge/mount': mount }))!
      expect(steps[0]).toMatch(/^String ground first: /)
      expect(steps[0], mount).toMatch(where)
      const soldered = steps.findIndex((s) => /^String ground soldered to it/.test(s))
      expect(soldered).toBeGreaterThan(steps.findIndex((s) => /^Whole check/.test(s)))
      expect(soldered).toBeLessThan(steps.findIndex((s) => /^1\. /.test(s)))
    }
    expect(feeding(changed(hollow(), {}, { 'bridge/mount': undefined }))!.steps.join()).not.toMatch(/String ground/)
  })
  it('a lead too short to be soldered in front of the hole is told by how much', () => {
    const b = hollow({ 'pickup-bridge/lead.length': 150 })
    const found = feeding(b)!
    const coil = (
      harnessOf(b) as { harness: { components: { is: string; pickup?: string; at: { x: number; y: number } }[] } }
    ).harness.components.find((c) => c.is === 'coil' && c.pickup === 'bridge')!
    const way = Math.hypot(coil.at.x - (462 - 76 + 100), coil.at.y + 60)
    expect(found.short.find((s) => s.pickup === 'bridge')!.lacks).toBeCloseTo(way + 175 - 150, 6)
    expect(feedingSays(found).join(' ')).toMatch(/bridge pickup’s lead is \d+ mm too short/)
  })
  it('a part wider than the sound hole is named by how much: 24 + 3 against 25 is 2 mm too wide, against 27 it goes', () => {
    const found = feeding(hollow({ 'body/soundHole.diameter': 25, 'pot-volume/body.diameter': 24 }))!
    expect(found.tooWide.find((t) => t.label === 'volume')!.over).toBeCloseTo(2, 6)
    expect(feedingSays(found).join(' ')).toMatch(/volume is 2 mm too wide/)
    expect(feeding(hollow({ 'body/soundHole.diameter': 27, 'pot-volume/body.diameter': 24 }))!.tooWide.map((t) => t.label)).not.toContain(
      'volume',
    )
  })
  it('tethered, the check comes before the feeding too', () => {
    const { tethered } = feeding()!
    expect(tethered.findIndex((s) => /tested and listened/.test(s))).toBeLessThan(tethered.findIndex((s) => /fed in/.test(s)))
  })
  it('a place nobody has said is named', () => {
    const b = hollow()
    b.parts.body!.sizes['tone.x'] = { ...b.parts.body!.sizes['tone.x']!, known: 'assumed' }
    expect(feedingSays(feeding(b)!).join(' ')).toMatch(/where tone sits/)
  })
  it('a body with a guard has none', () => expect(feeding(changed(fullBuild(), {}, { 'body/access': 'front' }))).toBeUndefined())
})
