import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { sizeAt, sizeRef } from '../document/read'
import { insideOf } from '../geometry/polygon'
import { pt, type Point } from '../geometry/point'
import { potsIn } from '../instrument/controlPlace'
import { plateEdge } from '../instrument/platePlace'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { onAPlate } from '../testing/onAPlate'
import { holeCards } from './holes'

/** Nothing is drilled in what carries the controls. */
const bare = (build: Build, slot: 'guard' | 'control-plate'): Build =>
  changed(
    drillable(build),
    { [`${slot}/pot.hole`]: undefined, [`${slot}/switch.slot`]: undefined, [`${slot}/switch.screws`]: undefined },
    { [`${slot}/bored.controls`]: 'none', [`${slot}/bored.slot`]: 'none' },
  )
const onGuard = bare(fullBuild(), 'guard')
const onPlate = bare(onAPlate(), 'control-plate')
const told = (build: Build, id: string) =>
  holeCards(build)
    .find((c) => c.id === id)!
    .guards.map((g) => [g.id, g.verdict, g.spare?.value.toFixed(2)])
const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!

describe('pot holes that are still to be drilled in a control plate', () => {
  // 160 x 34 with round ends, its switch at 46, pots at 84 and 120, screws 150 apart of 3 mm: at 5 and 155. A bit of 9.5: 4.75.
  it('where everything has its room nothing is told, and both cards are ready', () => {
    expect(told(onPlate, 'pot-holes')).toEqual([])
    expect(told(onPlate, 'switch-slot')).toEqual([])
    expect([card(onPlate, 'pot-holes').stands, card(onPlate, 'switch-slot').stands]).toEqual(['ready', 'ready'])
  })
  it('10 beside its middle line leaves 17 − 10 − 4.75 = 2.25 to its edge, 13 comes out by 0.75', () => {
    expect(told(changed(onPlate, { 'control-plate/volume.y': 10 }), 'pot-holes')).toEqual([['edge', 'snug', '2.25']])
    const out = changed(onPlate, { 'control-plate/volume.y': 13 })
    expect(told(out, 'pot-holes')).toEqual([['edge', 'wont-go', '-0.75']])
    expect(card(out, 'pot-holes').says).toBe('It would come out at the plate’s edge. Move its mark.')
  })
  it('beyond its end is beyond its edge', () => {
    expect(told(changed(onPlate, { 'control-plate/tone.x': 170 }), 'pot-holes')).toContainEqual(['edge', 'wont-go', '-14.75'])
  })
  it('148 is 7 before the screw at 155: less 1.5 and 4.75 leaves 0.75', () => {
    expect(told(changed(onPlate, { 'control-plate/tone.x': 148 }), 'pot-holes')).toContainEqual(['screws', 'tight', '0.75'])
  })
  it('74 is 28 behind the switch, whose screw stands 20.6 behind it: less 1.7 and 4.75 leaves 0.95', () => {
    const near = changed(onPlate, { 'control-plate/volume.x': 74 })
    expect(told(near, 'pot-holes')).toEqual([['near-switch-slot', 'tight', '0.95']])
    expect(told(near, 'switch-slot')).toEqual([['near-pot-holes', 'tight', '0.95']])
    expect(told(changed(onPlate, { 'control-plate/volume.x': 56 }), 'pot-holes')).toEqual([['near-switch-slot', 'wont-go', '-6.45']])
  })
  it('a slot at the plate’s end: 20 less 20.6 is beyond it with a screw of its own, and it runs over the plate’s at 5', () => {
    expect(told(changed(onPlate, { 'control-plate/switch.x': 20 }), 'switch-slot').map(([id, v]) => [id, v])).toEqual([
      ['edge', 'wont-go'],
      ['screws', 'wont-go'],
    ])
  })
  it('a plate nobody measured is asked for', () => {
    const unread = card(changed(onPlate, { 'control-plate/width': undefined }), 'pot-holes').guards.find((g) => g.id === 'edge')!
    expect(unread.missing).toEqual([{ slot: 'control-plate', size: 'width' }])
  })
})

describe('pot holes that are still to be drilled in a guard', () => {
  it('where everything has its room nothing is told', () => {
    expect(told(onGuard, 'pot-holes')).toEqual([])
    expect(card(onGuard, 'pot-holes').stands).toBe('ready')
  })
  // The volume's mark is 192 along and 70 to the treble; 9.5 and 9.8 want 9.65 between their middles.
  it('8 mm from a jack’s hole that is there it is refused: plastic is not plugged, and what stays is of the guard', () => {
    const beside = (off: number, hole?: number) =>
      card(
        changed(
          onGuard,
          { 'guard/jack.x': 192 + off, 'guard/jack.y': -70, 'guard/jack.hole': hole, 'guard/tone.x': 300, 'guard/switch.x': 20 },
          { 'jack/held': 'panel', ...(hole ? {} : { 'guard/bored.jack': 'no' }) },
        ),
        'pot-holes',
      ).guards.find((g) => g.id === 'near-jack-hole')!
    expect([beside(8, 9.8).label, beside(8, 9.8).verdict, beside(8, 9.8).says]).toEqual([
      'Left to the jack hole in the guard',
      'wont-go',
      'It would break into the jack hole in the guard: their centres are 8 mm apart and 9.7 are needed. Move its mark, or take another guard: a plug in it stays in sight.',
    ])
    expect(beside(8).says).toMatch(/Measure both places again; if it is so, one of them has to move\.$/)
    expect(beside(10.6, 9.8).says).toBe('Only 1 mm of guard to the jack hole in the guard.')
  })
  // The bridge pickup's opening: 36.8 x 70 about 143, so 35 to either side and from 124.6 to 161.4.
  it('to an opening: 42 beside the centre line is 7 from it, less 4.75 leaves 2.25; over it, it is refused', () => {
    expect(told(changed(onGuard, { 'guard/volume.x': 143, 'guard/volume.y': 42, 'guard/switch.x': 300 }), 'pot-holes')).toContainEqual([
      'opening-bridge',
      'snug',
      '2.25',
    ])
    const over = changed(onGuard, { 'guard/volume.x': 150, 'guard/volume.y': -20 })
    expect(told(over, 'pot-holes')).toContainEqual(['opening-bridge', 'wont-go', '-16.15'])
    expect(card(over, 'pot-holes').stands).toBe('refused')
  })
  it('outside of its outline it is refused', () => {
    expect(told(changed(onGuard, { 'guard/volume.x': 350, 'guard/volume.y': -170 }), 'pot-holes')).toContainEqual([
      'edge',
      'wont-go',
      expect.stringMatching(/^-/),
    ])
  })
  // How a slot lies in a guard nobody says: 41.2 apart and 1.7 more at either end, so 1.7 to 22.3 from its middle at 148, −62.
  it('20 from the switch’s middle a screw of it is met or 13.55 stay, by the way it is turned', () => {
    const near = changed(onGuard, { 'guard/volume.x': 168, 'guard/volume.y': -62 })
    const guard = card(near, 'pot-holes').guards.find((g) => g.id === 'near-switch-slot')!
    expect(guard.verdict).toBe('cant-tell')
    expect(guard.says).toBe(
      '0 to 13.6 mm stay to the slot for the switch, in the guard, by how the slot is turned: pencil its line and both its screws first.',
    )
    expect(told(changed(onGuard, { 'guard/volume.x': 149, 'guard/volume.y': -62 }), 'pot-holes')).toContainEqual([
      'near-switch-slot',
      'wont-go',
      expect.stringMatching(/^-/),
    ])
  })
})

it('wherever the marks are, what would come out at an edge or meet another hole is never ready', () => {
  let met = 0
  const anywhere = fc.array(fc.record({ x: fc.integer({ min: -5, max: 170 }), y: fc.integer({ min: -20, max: 20 }) }), {
    minLength: 3,
    maxLength: 3,
  })
  holds(
    fc.property(anywhere, fc.boolean(), (at, round) => {
      const places = ['switch', 'volume', 'tone'].flatMap((of, i) => [
        [`control-plate/${of}.x`, at[i]!.x],
        [`control-plate/${of}.y`, at[i]!.y],
      ])
      const build = changed(onPlate, Object.fromEntries(places), { 'control-plate/ends': round ? 'round' : 'square' })
      const inside = insideOf(plateEdge(160, 34, round))
      const rim = (p: Point, r: number) =>
        Array.from({ length: 16 }, (_, i) => pt(p.x + r * Math.cos((i * Math.PI) / 8), p.y + r * Math.sin((i * Math.PI) / 8)))
      const spot = (of: string) =>
        pt(
          sizeAt(build, sizeRef('control-plate', `${of}.x` as 'tone.x'))!.value,
          sizeAt(build, sizeRef('control-plate', `${of}.y` as 'tone.y'))!.value,
        )
      const pots = potsIn(build).map((of) => rim(spot(of), 4.7))
      const middle = spot('switch')
      const slot = [-1, 1].flatMap((s) => rim(pt(middle.x + s * 20.6, middle.y), 1.6))
      const screws = [5, 155].flatMap((x) => rim(pt(x, 0), 1.45))
      const inRound = (points: readonly Point[], c: Point, r: number) => points.some((p) => Math.hypot(p.x - c.x, p.y - c.y) < r)
      const potsOut = pots.some((p) => p.some((q) => !inside(q)) || inRound(screws, spot(potsIn(build)[pots.indexOf(p)]!), 4.7))
      const slotOut = slot.some((q) => !inside(q)) || [5, 155].some((x) => Math.abs(middle.y) < 2 && Math.abs(x - middle.x) < 22)
      const meets = potsIn(build).some((of) => inRound(slot, spot(of), 4.7))
      if (potsOut || meets) expect(card(build, 'pot-holes').stands).not.toBe('ready')
      if (slotOut || meets) expect(card(build, 'switch-slot').stands).not.toBe('ready')
      if (potsOut || slotOut || meets) met++
    }),
    400,
  )
  expect(met).toBeGreaterThan(20)
})
