import { describe, expect, it } from 'vitest'
import { holeCards } from '../../drill/holes'
import type { Build } from '../../document/build'
import { drillable } from '../../testing/drillable'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { jointIn } from '../../testing/bench'
import { checkIn, judgeRows } from '../../testing/rows'

/** Four pots in a wider control route: a volume and a tone for each of two pickups. */
function fourPots(): Build {
  const full = fullBuild()
  const { 'pot-volume': volume, 'pot-tone': tone } = full.parts
  return changed(
    { ...full, parts: { ...full.parts, 'pot-volume-2': volume!, 'pot-tone-2': tone! } },
    {
      'body/control.width': 90,
      'body/control.y': -70,
      'guard/volume-2.x': 214,
      'guard/volume-2.y': -40,
      'guard/tone-2.x': 256,
      'guard/tone-2.y': -50,
    },
  )
}

describe('the second volume and tone', () => {
  judgeRows(
    (['volume', 'tone'] as const).flatMap((pot) => [
      // 19 - 2.5 of guard - 2 of nut - 0.7 of washer.
      {
        what: '19 mm bushing through 2.5 mm',
        joint: `pot-${pot}-2`,
        check: 'thread',
        verdict: 'wont-go' as const,
        says: /leaves 13.8 mm of thread over the nut/,
        sizes: { [`pot-${pot}-2/bushing.length`]: 19 },
      },
      {
        what: '8 mm hole for a 9.4 bushing',
        joint: `pot-${pot}-2`,
        check: 'hole',
        verdict: 'tight' as const,
        says: 'The hole is 8 mm and the bushing 9.4 mm.',
        sizes: { 'guard/pot.hole': 8 },
      },
      {
        what: 'deeper than the route',
        joint: `pot-${pot}-2`,
        check: 'depth',
        verdict: 'wont-go' as const,
        says: 'The pot hangs 40 mm deep in 38 mm of room.',
        sizes: { [`pot-${pot}-2/body.depth`]: 40 },
      },
      {
        what: '3 mm under the pot',
        joint: 'wire-passage',
        check: `under-${pot}-2`,
        verdict: 'tight' as const,
        says: new RegExp(`Under the second ${pot} pot are 3 mm`),
        sizes: { [`pot-${pot}-2/body.depth`]: 35 },
      },
      // The route's wall runs 25 mm from the centre line, the body reaches 12 further than its shaft.
      {
        what: 'against the route’s wall',
        joint: 'guard-cover',
        check: `in-route-${pot}-2`,
        verdict: 'tight' as const,
        says: new RegExp(`The second ${pot} pot comes within 1 mm of the control route’s wall`),
        sizes: { [`guard/${pot}-2.y`]: -38 },
      },
    ]),
    fourPots,
  )
  // A knob bored 6.08 on a shaft of an inch kind.
  const inch = {
    what: 'an inch shaft among metric ones',
    verdict: 'tight' as const,
    job: /^Take a knob with a bore of 6\.4 mm for the /,
  }
  judgeRows(
    [
      {
        what: inch.what,
        joint: 'knobs',
        check: 'bore-tone',
        verdict: inch.verdict,
        says: 'Knob bore 6.08 mm, the tone’s shaft 6.35 mm.',
        job: inch.job,
        sizes: { 'pot-tone/shaft.diameter': 6.35 },
      },
      ...(['volume', 'tone'] as const).map((pot) => ({
        what: inch.what,
        joint: 'knobs',
        check: `bore-${pot}-2`,
        verdict: inch.verdict,
        says: `Knob bore 6.08 mm, the second ${pot}’s shaft 6.35 mm.`,
        job: inch.job,
        sizes: { [`pot-${pot}-2/shaft.diameter`]: 6.35 },
      })),
    ],
    fourPots,
  )
  it('with shafts of one kind the volume’s speaks for all', () => {
    expect(jointIn(fourPots(), 'knobs').checks.map((c) => c.id)).toEqual(['bore'])
  })
  it('is counted among those that stand too near: 20 mm to the volume, 30 wanted', () => {
    expect(checkIn(fourPots(), 'control-reach', 'knob').raw.verdict).toBe('snug')
    const near = checkIn(changed(fourPots(), { 'guard/volume-2.x': 192, 'guard/volume-2.y': -50 }), 'control-reach', 'knob')
    expect(near.raw.verdict).toBe('tight')
    expect(near.says).toBe('Knobs stand 20 mm apart; fingers want 30.')
  })
  it('has its hole on the card with the others, and a route that reaches round it', () => {
    const card = (b: Build, id: string) => holeCards(b).find((c) => c.id === id)!
    const guarded = card(drillable(changed(fourPots(), { 'guard/pot.hole': undefined })), 'pot-holes')
    expect(guarded.places).toHaveLength(4)
    expect(guarded.from).toContain('second tone: 256 mm from the guard’s neck edge, 50 to the treble side')
    const at = { 'body/volume.x': 260, 'body/volume.y': -70, 'body/tone.x': 296, 'body/tone.y': -84 }
    const second = { 'body/volume-2.x': 290, 'body/volume-2.y': -46, 'body/tone-2.x': 330, 'body/tone-2.y': -60 }
    const routed = (four: boolean) => {
      const gone = Object.fromEntries(['x', 'y', 'length', 'width', 'depth'].map((k) => [`body/control.${k}`, undefined]))
      const base = without(four ? fourPots() : fullBuild(), 'guard')
      return card(
        drillable(
          changed(
            base,
            { ...gone, ...at, ...(four ? second : {}), 'body/pot.hole': undefined },
            { 'body/access': 'back', 'body/routed.control': 'none' },
          ),
        ),
        'route-control',
      )
    }
    // Outermost shafts, 12 mm of pot and 5 round it either way: 36 + 34 along and 14 + 34 across; then 70 + 34 and 38 + 34.
    expect(routed(false).size).toBe('70x48')
    expect(routed(true).size).toBe('104x72')
  })
})

describe('the second switch', () => {
  const slide = () => {
    const b = fourPots()
    return changed(
      { ...b, parts: { ...b.parts, 'switch-2': b.parts.switch! } },
      { 'guard/switch-2.x': 165, 'guard/switch-2.y': -40, 'guard/switch-2.slot': 27, 'guard/switch-2.screws': 41 },
      { 'switch-2/contacts': 'slide' },
    )
  }
  judgeRows(
    [
      {
        what: 'deeper than the route',
        joint: 'switch-2',
        check: 'depth',
        verdict: 'wont-go',
        says: 'The switch hangs 40 mm deep in 38 mm of room; lugs and wires want 3 mm below.',
        sizes: { 'switch-2/depth': 40 },
      },
      {
        what: 'a slot too short for it',
        joint: 'switch-2',
        check: 'swing',
        verdict: 'tight',
        says: 'The slide needs 26 mm and the slot is 24: it stops before the end positions.',
        job: 'Lengthen the slot by 2.8 to 3.2 mm, half at each end.',
        sizes: { 'guard/switch-2.slot': 24 },
      },
      {
        what: 'screws 1.2 mm wider than the holes',
        joint: 'switch-2',
        check: 'screws',
        verdict: 'tight',
        says: 'The switch’s screws are 41.2 mm apart and the guard’s holes 40.',
        sizes: { 'guard/switch-2.screws': 40 },
      },
    ],
    slide,
  )
  judgeRows(
    [
      {
        what: 'a toggle in a hole half a millimetre small',
        joint: 'switch-2',
        check: 'hole',
        verdict: 'tight',
        says: 'The toggle’s thread is 6 mm and its hole 5.5 mm.',
        job: /^Ream the toggle’s hole to 6\.3/,
        sizes: { 'guard/switch-2.hole': 5.5 },
      },
      {
        what: 'a toggle whose thread is shorter than the guard is thick',
        joint: 'switch-2',
        check: 'thread',
        verdict: 'wont-go',
        says: /too short/,
        sizes: { 'switch-2/thread.length': 2 },
      },
    ],
    () =>
      changed(
        slide(),
        { 'switch-2/thread.diameter': 6, 'switch-2/thread.length': 8, 'guard/switch-2.hole': 6.3 },
        { 'switch-2/contacts': 'on-on' },
      ),
  )
  it('has a slot of its own on a card of its own, and a hole where it is a rotary', () => {
    const uncut = { 'guard/switch-2.slot': undefined, 'guard/switch-2.screws': undefined }
    const cards = (contacts: string) =>
      holeCards(drillable(changed(slide(), { ...uncut, 'switch-2/thread.diameter': 9.5 }, { 'switch-2/contacts': contacts }))).filter(
        (c) => c.slot === 'switch-2',
      )
    expect(cards('slide').map((c) => [c.id, c.title, c.work])).toEqual([
      ['switch-slot-2', 'Slot for the second switch, in the guard', 'new'],
    ])
    expect(cards('rotary-6').map((c) => [c.id, c.title, c.work])).toEqual([
      ['toggle-hole-2', 'Second switch’s rotary hole in the guard', 'new'],
    ])
    expect(cards('slide')[0]!.from).toEqual(['middle of the slot, second switch: 165 mm from the guard’s neck edge, 40 to the treble side'])
  })
})
