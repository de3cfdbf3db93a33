import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { wantedRight } from '../instrument/tuners'
import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { JACK_PLATE } from '../testing/anyBuild'
import { aPart, jointIn } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { checkIn, judgeRows } from '../testing/rows'

/** Geometry that a strict trial found missing: each with the sum by hand. Limits [practice], sums [physics]. */

const withParts = (parts: Partial<Record<Slot, Part>>, build = fullBuild()): Build => ({ ...build, parts: { ...build.parts, ...parts } })
const ring = (neckSide: number, bridgeSide: number): Part =>
  aPart('ring-bridge', { length: 37, width: 70, radius: 2, 'height.neckSide': neckSide, 'height.bridgeSide': bridgeSide }, { foot: 'flat' })

describe('what stands up under the strings', () => {
  // Body to crown at fret 22, 465.9 mm from the nut: 25.4 - 15.9 + 1.1 = 10.6; saddles at 10.6 + 2 x 1.59 - 0.5 = 13.28, 647.7 mm from it.
  // Under the neck ring's edges, 493 -+ 18.5 mm: 10.6 + 2.68 x 8.6/181.8 = 10.73 and 10.6 + 2.68 x 45.6/181.8 = 11.27.
  // Under the bridge ring's edges, 605 -+ 18.5 mm: 12.38 and 12.92. A ring wants 1 mm of air.
  const rows = (place: 'neck' | 'bridge', side: 'neck' | 'bridge', under: number) =>
    judgeRows(
      [
        { what: 'a millimetre and a tenth of air', height: under - 1.1, verdict: 'snug' as const },
        { what: '0.7 mm of air', height: under - 0.7, verdict: 'tight' as const },
        { what: '0.3 mm into them', height: under + 0.3, verdict: 'wont-go' as const },
      ].map(({ what, height, verdict }) => ({
        what,
        joint: 'bridge-height',
        check: `ring-${place}-${side}`,
        verdict,
        sizes: { [`ring-${place}/height.${side}Side`]: height, [`pickup-${place}/above`]: 0.5 },
      })),
      () => withParts({ [`ring-${place}`]: { ...ring(4, 4), name: `ring-${place}` } }),
    )
  rows('neck', 'neck', 10.73)
  rows('neck', 'bridge', 11.27)
  rows('bridge', 'neck', 12.38)
  rows('bridge', 'bridge', 12.92)
  it('a cover is measured from what it hangs on: guard, ring or body', () => {
    // At 605 mm the held string stands 12.65 over the body; the cover 3 mm over its mount.
    const air = (b: Build) => checkIn(changed(b, { 'pickup-bridge/above': 3 }), 'bridge-height', 'cover-bridge').shown![0]!.mean
    expect(air(fullBuild())).toBeCloseTo(12.65 - 3 - 2.5, 1)
    expect(air(withParts({ 'ring-bridge': ring(6, 8) }))).toBeCloseTo(12.65 - 3 - 7, 1)
    expect(air(without(fullBuild(), 'guard'))).toBeCloseTo(12.65 - 3, 1)
  })
  judgeRows([
    // At 550 mm the held string stands 11.84: 11.84 - 2.5 - 8.5 = 0.8.
    { what: '0.8 mm under them', joint: 'bridge-height', check: 'cover-middle', verdict: 'tight', sizes: { 'pickup-middle/above': 8.5 } },
  ])
  it('a lower ring is offered before wood is cut, and brings the pickup down by as much', () => {
    const high = changed(withParts({ 'ring-bridge': ring(8, 8) }), { 'pickup-bridge/above': 4 })
    // 12.66 - 8 - 4 = 0.66 of air where 1.6 is wanted.
    const c = checkIn(high, 'bridge-height', 'cover-bridge')
    expect(c.cures.map((x) => x.id)).toEqual(['lower-ring-bridge', 'lower-cover-bridge'])
    expect(c.cures[0]!.job).toMatch(/0\.9 mm lower/)
  })
})

describe('each side of the strings has its own target', () => {
  // Low: 1.25 treble, 1.5 bass: saddles at 10.6 + 2.5 - 0.5 = 12.6 and 13.1. Ordinary: 13.28 both.
  const at = (low: number, high: number, school: 'low' | 'ordinary') => {
    const b = changed(fullBuild(), { 'bridge/height.min': low, 'bridge/height.max': high })
    const set = { ...b, setup: { ...b.setup, school } }
    return [checkIn(set, 'bridge-height', 'low-stop'), checkIn(set, 'bridge-height', 'high-stop')].map((c) => c.clearance[0]!.mean)
  }
  it('the lowest stop is held against the treble, the highest against the bass', () => {
    expect(at(10, 15, 'low')).toEqual([expect.closeTo(2.6, 2), expect.closeTo(1.9, 2)])
    expect(at(10, 15, 'ordinary')).toEqual([expect.closeTo(3.28, 2), expect.closeTo(1.72, 2)])
  })
})

describe('height screws of a hung pickup over their whole travel', () => {
  const hung = () =>
    changed(without(fullBuild(), 'guard', 'shielding'), { 'body/pot.hole': 9.6, 'body/control.top': 3 }, { 'pickup-neck/mount': 'body' })
  // Run right down: 44.2 - 18 of spring room - 17 - 6 = 3.2 under the tip; 2.5 must stay. Twice as long: 44.2 - 18 - 17 - 14 = -4.8.
  judgeRows(
    [
      {
        what: '3.2 mm under the tip',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'snug',
        sizes: { 'pickup-neck/screw.length': 6, 'pickup-neck/depth': 17 },
      },
      {
        what: '1.7 mm under the tip',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'tight',
        sizes: { 'pickup-neck/screw.length': 7.5, 'pickup-neck/depth': 17 },
      },
      {
        what: 'into the spring room',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'wont-go',
        sizes: { 'pickup-neck/screw.length': 14, 'pickup-neck/depth': 17 },
        says: /come through into the spring room by 4\.8 mm/,
      },
    ],
    hung,
  )
  for (const place of ['middle', 'bridge'] as const)
    // A fixed bridge has no spring room: 44.2 - 17 - 26 = 1.2.
    judgeRows(
      [
        {
          what: '1.2 mm under the tip',
          joint: `room-${place}`,
          check: 'tip',
          verdict: 'tight',
          sizes: { [`pickup-${place}/screw.length`]: 26, [`pickup-${place}/depth`]: 17 },
          traits: { [`pickup-${place}/mount`]: 'body', 'bridge/mount': 'screws' },
        },
      ],
      hung,
    )
})

describe('tuners by the side of the head', () => {
  it.each([
    [6, 'right', 'bass', 0],
    [6, 'right', 'treble', 6],
    [6, 'left', 'bass', 6],
    [6, 'left', 'treble', 0],
    [6, 'right', 'two-rows', 3],
    [7, 'right', 'two-rows', 3],
    [7, 'left', 'two-rows', 4],
  ] as const)('%i for a %s-handed head, %s: %i on the right', (count, hand, rows, right) =>
    expect(wantedRight(count, hand, rows)).toBe(right),
  )
  const tuners = (hand: string, neck: Record<string, string>, right?: number) =>
    checkIn(
      changed(fullBuild(), right === undefined ? {} : { 'tuners/count.right': right }, { 'tuners/hand': hand, ...neck }),
      'hands',
      'hand-tuners',
    )
  it('a set for a right hand goes on a right-handed head, and not on one that is turned round', () => {
    expect(tuners('right', { 'neck/row': 'bass' }).raw.verdict).toBe('snug')
    const wrong = tuners('right', { 'neck/row': 'treble' })
    expect([wrong.raw.verdict, wrong.says]).toEqual([
      'wont-go',
      'This head takes 6 for the right side of the head, seen from the front; these tuners are 6 for the left side of the head.',
    ])
    expect(tuners('left', { 'neck/row': 'treble' }).raw.verdict).toBe('snug')
  })
  it('a set counted by sides goes where those sides are', () => {
    expect(tuners('either', { 'neck/head': 'two-rows' }, 3).raw.verdict).toBe('snug')
    expect(tuners('either', { 'neck/head': 'two-rows' }, 6).raw.verdict).toBe('wont-go')
    expect(tuners('right', { 'neck/head': 'two-rows' }).raw.verdict).toBe('wont-go')
    expect(tuners('either', { 'neck/row': 'treble' }).raw.verdict).toBe('snug')
  })
  it('nobody has said on which side they stand: that is asked', () => {
    const b = fullBuild()
    delete b.parts.neck!.traits.row
    const c = checkIn(changed(b, {}, { 'tuners/hand': 'right' }), 'hands', 'hand-tuners')
    expect([c.raw.verdict, c.untold.map((t) => t.trait)]).toEqual(['cant-tell', ['row']])
  })
})

describe('what is wound round a string', () => {
  // Silk of 1.9 mm in a 2.0 mm post hole: 2.0 - 1.9 - 0.2 = -0.1. A twist of 1.7 in the block's 1.8: -0.1.
  judgeRows([
    {
      what: 'silk of 1.9 mm',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'tight',
      sizes: { 'strings/silk.diameter': 1.9, 'tuners/string.hole': 2 },
      says: /^The thread at the tuner end, 1\.9 mm,/,
    },
    {
      what: 'silk thinner than the string',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'snug',
      sizes: { 'strings/silk.diameter': 1, 'tuners/string.hole': 2 },
    },
    {
      what: 'a twist of 1.7 mm',
      joint: 'strings-through',
      check: 'hole-bridge',
      verdict: 'tight',
      sizes: { 'strings/twist.diameter': 1.7 },
      says: /twist at the ball end, 1\.7 mm,/,
    },
    // Measured, it stands for itself: 3.2 - 2.8 - 0.2 = 0.2, where 2.2 over the string was reckoned with.
    {
      what: 'a twist of 2.8 mm in 3.2',
      joint: 'strings-through',
      check: 'hole-body',
      verdict: 'snug',
      sizes: { 'body/string.hole': 3.2, 'strings/twist.diameter': 2.8 },
      traits: { 'bridge/mount': 'string-through' },
    },
  ])
})

describe('a jack over a wide bore', () => {
  // Bore 24, plate 40 x 32 with screws 34 apart, hole 9.7, 1.5 thick; jack 9.5, 21 wide, 8 mm of thread, nut 2.2, washer 0.6.
  const plated = () =>
    changed(
      withParts({ 'jack-plate': JACK_PLATE }),
      { 'body/jack.bore': 24, 'jack/nut.thickness': 2.2, 'jack/washer.thickness': 0.6 },
      { 'body/rim': 'straight' },
    )
  it('falls through without a plate, and is held by one', () => {
    expect(jointIn(changed(fullBuild(), { 'body/jack.bore': 24 }), 'jack').verdict).toBe('wont-go')
    expect(jointIn(plated(), 'jack').verdict).toBe('snug')
  })
  judgeRows(
    [
      // 9.3 - 9.5 = -0.2; 10.8 - 9.5 = 1.3, over 1.
      { what: 'hole 0.2 too small', joint: 'jack-plate', check: 'hole', verdict: 'tight', sizes: { 'jack-plate/hole': 9.3 } },
      { what: 'hole 1.3 too wide', joint: 'jack-plate', check: 'hole', verdict: 'wont-go', sizes: { 'jack-plate/hole': 10.8 } },
      // 8 - 1.5 - 0.6 - 2.2 = 3.7: one nut of 2.2 behind, and with 1 mm of thread kept no washer more.
      { what: '3.7 mm out', joint: 'jack-plate', check: 'thread', verdict: 'snug', says: /3\.7 mm out of its nut/ },
      // 4 - 4.3 = -0.3: the washer's 0.6 is more than that.
      {
        what: '0.3 too short',
        joint: 'jack-plate',
        check: 'thread',
        verdict: 'tight',
        sizes: { 'jack/thread.length': 4 },
        job: /Leave the washer off/,
      },
      // (32 - 30.6)/2 = 0.7, and 1 is wanted.
      { what: '0.7 over the edge', joint: 'jack-plate', check: 'covers', verdict: 'wont-go', sizes: { 'body/jack.bore': 30.6 } },
      // (34 - 27)/2 - 1.5 = 2, and 3 is wanted.
      { what: '2 mm of wood', joint: 'jack-plate', check: 'screws', verdict: 'tight', sizes: { 'body/jack.bore': 27 } },
      // 24 - 25 = -1; turned the narrow way 24 - 20 = 4.
      { what: 'wider than the bore', joint: 'jack-plate', check: 'entry', verdict: 'tight', sizes: { 'jack/width': 25 } },
      {
        what: 'turned in',
        joint: 'jack-plate',
        check: 'entry',
        verdict: 'snug',
        sizes: { 'jack/width': 25, 'jack/narrow': 20 },
        says: /turned the narrow way/,
      },
      // 24 - 24.1 = -0.1.
      { what: 'cup 0.1 too wide', joint: 'jack-plate', check: 'cup', verdict: 'tight', sizes: { 'jack-plate/cup.diameter': 24.1 } },
      { what: 'flat on a curve', joint: 'jack-plate', check: 'curve', verdict: 'tight', traits: { 'body/rim': 'curved' } },
      {
        what: 'curved on a curve',
        joint: 'jack-plate',
        check: 'curve',
        verdict: 'snug',
        traits: { 'body/rim': 'curved', 'jack-plate/curve': 'curved' },
      },
    ],
    plated,
  )
})

describe('the nut at each of its ends', () => {
  judgeRows([
    // Slot 3.4: 3.4 - 3.5 = -0.1 at the treble end; the bass end is as it was.
    {
      what: 'treble end 0.1 too thick',
      joint: 'nut-in-slot',
      check: 'width.treble',
      verdict: 'tight',
      sizes: { 'nut/width.treble': 3.5 },
      job: /0\.15 mm at the treble end/,
    },
    // x1 = 36.35, x3 = 103.04: the slot moves 103.04/66.69 = 1.545 times what the gap wants: (0.5 - 0.1) x 1.545 = 0.62.
    {
      what: '0.5 on the treble side',
      joint: 'nut-in-slot',
      check: 'fret1-treble',
      verdict: 'loose',
      sizes: { 'nut/fret1.treble': 0.5 },
      job: /treble side 0\.62 mm deeper/,
    },
    { what: '0.1 on the bass side', joint: 'nut-in-slot', check: 'fret1-bass', verdict: 'snug', sizes: { 'nut/fret1.bass': 0.1 } },
  ])
  it('a feeler that says nothing at all asks for a shim tapering from that end', () => {
    // (0.1 - 0.01) x 1.545 = 0.14.
    const b = changed(fullBuild(), { 'nut/fret1.bass': 0.01 })
    b.parts.nut!.sizes['fret1.bass']!.doubt = 0.01
    const c = checkIn(b, 'nut-in-slot', 'fret1-bass')
    expect(c.raw.verdict).toBe('tight')
    expect(c.cures[0]!.job).toMatch(/by 0\.14 mm at its bass end/)
  })
  it('each end is filed by half of what stands out', () => {
    // 42.8 - 42 = 0.8: 0.40 each.
    const c = checkIn(changed(fullBuild(), { 'nut/length': 42.8 }), 'nut-in-slot', 'length')
    expect(c.cures[0]!.job).toMatch(/0\.4 mm off each .* 0\.8 in all/)
  })
})

describe('leads and harness', () => {
  judgeRows([
    // Five wires of 1.4: 1.2 x 5^0.5 x 1.4 = 3.76. 19 - 16 = 3 mm under the pot.
    ...(['volume', 'tone'] as const).map((pot) => ({
      what: '3 mm under the pot',
      joint: 'wire-passage',
      check: `under-${pot}`,
      verdict: 'tight' as const,
      sizes: { 'body/control.depth': 19 },
      says: /are 3 mm and the leads laid together are 3\.8/,
    })),
  ])
  const harness = (sizes: Record<string, number> = {}, traits: Record<string, string> = {}) =>
    changed(
      withParts({
        harness: aPart(
          'harness',
          { 'pot.pitch': 46, 'lead.length': 200, 'bushing.diameter': 9.4, pickups: 3 },
          { frame: 'free', ground: 'yes' },
        ),
      }),
      sizes,
      traits,
    )
  judgeRows(
    [
      { what: 'a lead too few', joint: 'harness', check: 'pickup-leads', verdict: 'tight', sizes: { 'harness/pickups': 2 } },
      { what: 'as many', joint: 'harness', check: 'pickup-leads', verdict: 'snug', says: /a lead for each pickup/ },
      { what: 'no ground', joint: 'harness', check: 'ground-wire', verdict: 'tight', traits: { 'harness/ground': 'no' } },
    ],
    harness,
  )
  it('names the wires this body does not need', () => {
    const two = without(harness(), 'pickup-middle')
    const c = checkIn(two, 'harness', 'pickup-leads')
    expect([c.raw.verdict, c.says]).toEqual([
      'snug',
      'This body does not need one of its pickup leads: sleeve the end, fold it back and tape it down; do not let it touch foil.',
    ])
  })
  it('made to be sold, the pickups’ leads stay as long as they came', () => {
    const title = (b: Build) => jointIn(b, 'leads').tables[0]!.title
    expect(title({ ...fullBuild(), sale: 900 })).toMatch(/made to be sold: leave the pickups’ own leads as long as they came/)
    expect(title(fullBuild())).not.toMatch(/sold/)
  })
})

describe('hollow bodies', () => {
  const hollow = (rim: number) =>
    changed(fullBuild(), { 'body/rim.thickness': rim, 'body/block.width': 110 }, { 'body/build': 'chambered' })
  it('a strap button wants solid wood behind it', () => {
    // 9 mm of rim where 14 mm of thread are wanted.
    expect(checkIn(hollow(9), 'strap-buttons', 'rim').raw.verdict).toBe('tight')
    expect(checkIn(hollow(15), 'strap-buttons', 'rim').raw.verdict).toBe('snug')
    expect(jointIn(fullBuild(), 'strap-buttons').checks.map((c) => c.id)).not.toContain('rim')
  })
  it('chambers that were measured lighten the body by what they hold', () => {
    const gram = (b: Build) =>
      jointIn(b, 'balance')
        .tables.at(-1)!
        .rows.find(([part]) => part === 'body')![1]!
    const unweighed = (sizes: Record<string, number>) => {
      const b = changed(hollow(20), sizes)
      delete b.parts.body!.sizes.mass
      return Number(gram(b))
    }
    const chambers = { 'body/chamber.count': 2, 'body/chamber.length': 150, 'body/chamber.width': 60, 'body/chamber.depth': 30 }
    // Hard maple 0.63, 1.1 for damp: two of 150 x 60 x 30 mm hold 540 cm3, 374 g; twice as many, twice that.
    const one = unweighed(chambers) - unweighed({ ...chambers, 'body/chamber.count': 4 })
    expect(one).toBeCloseTo(540 * 0.63 * 1.1, -1)
  })
  it('four numbers make a shape to weigh by, with a wider doubt than a drawn one', () => {
    const b = changed(fullBuild(), {
      'body/outline.length': 400,
      'body/outline.upper': 280,
      'body/outline.waist': 230,
      'body/outline.lower': 330,
    })
    delete b.parts.body!.outline
    delete b.parts.body!.sizes.mass
    const row = jointIn(b, 'balance')
      .tables.at(-1)!
      .rows.find(([part]) => part === 'body')!
    // About 80 % of 400 x 330 mm, 44.2 thick, 0.9 of it wood: 4.2 dm3 of 0.69.
    expect(Number(row[1])).toBeGreaterThan(2200)
    expect(Number(row[1])).toBeLessThan(3200)
  })
})

describe('the instrument the neck came from', () => {
  // Here 462 - 76 + 255 = 641 mm.
  judgeRows([
    {
      what: '3 mm nearer then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      sizes: { 'neck/old.nutToStuds': 638 },
      says: /stood 638 mm from the nut; here they are 3 mm further away/,
    },
    {
      what: '3 mm further then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      sizes: { 'neck/old.nutToStuds': 644 },
      says: /3 mm nearer/,
    },
    { what: 'as here', joint: 'bridge-reach', check: 'as-old', verdict: 'snug', sizes: { 'neck/old.nutToStuds': 641.2 } },
  ])
})
