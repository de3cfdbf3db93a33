import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { findJoints } from '../fit/findJoints'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const gone = { 'body/pocket.widthMouth': undefined, 'body/pocket.length': undefined, 'body/pocket.depth': undefined }
const HEIGHTS = { 'neck/heel.thickness': 25.4, 'neck/crown': 1, 'nut/slot': 0.5, 'bridge/height.min': 9, 'bridge/height.max': 15 }

describe('the neck’s pocket', () => {
  const noPocket = () =>
    changed(drillable(fullBuild()), { ...gone, ...HEIGHTS, 'body/pocket.widthEnd': 56 }, { 'body/routed.pocket': 'none' })
  it('a pocket somebody read is there, and nothing is cut', () => {
    const c = card(drillable(fullBuild()), 'route-pocket')
    expect([c.work, c.stands]).toEqual(['keep', 'ready'])
  })
  // 25.4 - p + 1 + 2 x action - 0.5 = 12, the middle of 9 to 15: p = 13.9 + 2 x action.
  it('is so deep that the saddles stand in the middle of the bridge’s range, and the joint says the same of it', () => {
    const c = card(noPocket(), 'route-pocket')
    expect(c.work).toBe('new')
    const action = (c.depth! - 13.9) / 2
    expect(action).toBeGreaterThan(0.9)
    expect(action).toBeLessThan(2.1)
    const cut = changed(noPocket(), {
      'body/pocket.depth': c.depth!,
      'body/pocket.widthMouth': 56.2,
      'body/pocket.length': 76,
      'body/pocket.tilt': 0,
    })
    const joint = findJoints(cut).find((j) => j.id === 'bridge-height')!
    expect(joint.says).toMatch(/Saddles stand 12(\.0|\.1)? mm above the body/)
  })
  it('is as much deeper as the heel is thicker, and as much shallower as the bridge is taller', () => {
    const depth = (sizes: Record<string, number>) => card(changed(noPocket(), sizes), 'route-pocket').depth!
    const now = depth({})
    expect(depth({ 'neck/heel.thickness': 26.4 })).toBeCloseTo(now + 1, 6)
    expect(depth({ 'bridge/height.min': 10, 'bridge/height.max': 16 })).toBeCloseTo(now - 1, 6)
  })
  // 56.0 heel + 0.2.
  it('is 0.2 mm wider than the heel at each end of it', () => {
    const c = card(changed(noPocket(), { 'neck/heel.widthMouth': 55.8, 'neck/heel.widthEnd': 56.4 }), 'route-pocket')
    expect(c.says).toMatch(/56 mm wide at the mouth and 56\.6 at the end/)
  })
  it('a bridge taller than the heel is thick is refused, not cut', () => {
    const c = card(changed(noPocket(), { 'bridge/height.min': 27, 'bridge/height.max': 33 }), 'route-pocket')
    expect(c.stands).toBe('refused')
    expect(c.says).toMatch(/too tall for this heel/)
  })
  it('nor is a pocket that would hold no heel: 5 mm of wall are the least there is, and what the wall is short of makes no pocket', () => {
    const now = card(noPocket(), 'route-pocket').depth!
    const over = (left: number) => {
      const { sizes } = noPocket().parts.bridge!
      const raised = (size: string) => sizes[size]!.value! + now - left
      const c = card(
        changed(noPocket(), { 'bridge/height.min': raised('height.min'), 'bridge/height.max': raised('height.max') }),
        'route-pocket',
      )
      return [c.depth, c.stands, c.says] as const
    }
    const [deep, stands, says] = over(4)
    expect([deep, stands]).toEqual([4, 'refused'])
    expect(says).toBe(
      'Only 4 mm of wall would hold the heel: that is no pocket, 12 are usual. Take a lower bridge, or a neck with a thicker heel.',
    )
    expect(over(6)[1]).not.toBe('refused')
    expect(over(6)[2]).toMatch(/6 deep, in 2 passes\./)
    expect(over(6)[2]).not.toMatch(/would hold/)
  })
  it('waits for the sizes it is reckoned from, by name', () => {
    const c = card(changed(noPocket(), { 'nut/slot': undefined }), 'route-pocket')
    expect(c.stands).toBe('waiting')
    expect(c.missing).toEqual([{ slot: 'nut', size: 'slot' }])
  })
})

describe('the control route', () => {
  const sizes = {
    'body/control.length': undefined,
    'body/control.width': undefined,
    'body/control.depth': undefined,
    'body/thickness': 44,
    'pot-volume/body.depth': 16,
    'pot-volume/body.diameter': 24,
    'pot-tone/body.depth': 18,
    'pot-tone/body.diameter': 24,
    'pot-volume/bushing.length': 9.5,
    'pot-volume/nut.thickness': 2,
    'pot-volume/washer.thickness': 0.6,
    'guard/volume.x': 190,
    'guard/volume.y': -66,
    'guard/tone.x': 225,
    'guard/tone.y': -82,
    // In the top itself, where no guard carries them.
    'body/volume.x': 266,
    'body/volume.y': -66,
    'body/tone.x': 301,
    'body/tone.y': -82,
  }
  const bare = (access: string) => changed(drillable(fullBuild()), sizes, { 'body/routed.control': 'none', 'body/access': access })
  // From the front: the tallest, 18, and 4 for wires; 44 - 22 = 22 stay. 35 + 24 + 2 x 5 = 69 long; 16 + 24 + 10 = 50 across.
  it('from the front it is as deep as the tallest control and its wires, and reaches 5 mm round each', () => {
    const c = card(bare('front'), 'route-control')
    expect([c.work, c.side, c.depth, c.left, c.size]).toEqual(['new', 'front', 22, 22, '69x50'])
  })
  // From the back: 9.5 - 2 - 0.6 - 0.3 = 6.6 may stay; half a millimetre less, rounded down: 6. 44 - 6 = 38.
  it('from the back so much top stays that the pots’ nuts catch', () => {
    const c = card(bare('back'), 'route-control')
    expect([c.side, c.depth, c.left]).toEqual(['back', 38, 6])
    expect(c.mind.join(' ')).toMatch(/mirror/)
  })
  it('a body too thin for the tallest control is refused', () => {
    const c = card(changed(bare('back'), { 'body/thickness': 22 }), 'route-control')
    expect(c.stands).toBe('refused')
    expect(c.says).toMatch(/tallest is 18 mm in 16 mm/)
  })
  it('asks from which face they go in before it cuts', () => {
    const b = bare('front')
    delete b.parts.body!.traits.access
    expect(card(b, 'route-control').untold).toEqual([{ slot: 'body', trait: 'access' }])
  })
})

describe('the vibrato’s slot', () => {
  const sizes = {
    'body/vibrato.length': undefined,
    'body/vibrato.width': undefined,
    'body/spring.depth': undefined,
    'body/thickness': 44,
    'bridge/block.depth': 40,
    'bridge/block.length': 12,
    'springs/diameter': 8,
  }
  const bare = () => changed(drillable(fullBuild()), sizes, { 'body/routed.vibrato': 'none' })
  // 12 + 40 tan 14 deg (9.97) + 1 = 22.97.
  it('is as long as the block and what its foot sweeps, and the joint calls that snug', () => {
    const c = card(bare(), 'route-vibrato')
    expect([c.work, c.size]).toEqual(['new', '23'])
    expect(c.says).toMatch(/^23 mm along the strings/)
    expect(c.steps.join(' ')).toMatch(/14 mm deep/)
  })
  it('a block deeper than the body is refused', () => {
    expect(card(changed(bare(), { 'bridge/block.depth': 46 }), 'route-vibrato').stands).toBe('refused')
  })
  it('a bridge that does not swing has none', () => {
    expect(card(changed(bare(), {}, { 'bridge/mount': 'screws' }), 'route-vibrato')).toBeUndefined()
  })
})

describe('a ledge for a binding', () => {
  const bound = (sizes = {}) =>
    changed(
      drillable(fullBuild()),
      { 'body/binding.thickness': 1.5, 'body/binding.height': 6, ...sizes },
      { 'body/routed.binding': 'none' },
    )
  // 1.5 - 0.15 = 1.35 in, 6 - 0.15 = 5.85 down; bearing 12.7 - 2 x 1.35 = 10.
  it('leaves the binding proud both ways, and names the bearing that does it', () => {
    const c = card(bound(), 'binding-ledge')
    expect(c.work).toBe('new')
    expect(c.says).toMatch(/^1\.35 mm in and 5\.85 mm down.*bearing of 10 mm/)
  })
  it('more than half of a hollow body’s rim is minded, all of it refused', () => {
    expect(card(bound({ 'body/rim.thickness': 1.4, 'body/binding.thickness': 1.5 }), 'binding-ledge').stands).toBe('refused')
  })
  it('no binding, no card', () => expect(card(drillable(fullBuild()), 'binding-ledge')).toBeUndefined())
  it('waits for the other of its two sizes', () => {
    expect(card(bound({ 'body/binding.height': undefined }), 'binding-ledge').missing).toEqual([{ slot: 'body', size: 'binding.height' }])
  })
})
