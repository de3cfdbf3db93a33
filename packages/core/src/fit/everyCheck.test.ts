import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { aPart } from '../testing/bench'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { checkIn, judgeRows } from '../testing/rows'

/** Checks that no other test holds to a sum, each with the sum beside it. Limits [practice], sums [physics]. */

const withPart = (slot: Slot, part: Part): Build => ({ ...fullBuild(), parts: { ...fullBuild().parts, [slot]: part } })

describe('pickups in guard and routes', () => {
  judgeRows([
    // 35.9 - 36 = -0.1.
    { what: 'opening 0.1 too short', joint: 'room-neck', check: 'length', verdict: 'tight', sizes: { 'guard/opening.neck.length': 35.9 } },
    // 69.5 - 69.4 - 2 x 0.1 of foil = -0.1; 18.1 - 18 - 0.2 = -0.1.
    { what: 'route 0.1 too narrow', joint: 'room-neck', check: 'route-width', verdict: 'tight', sizes: { 'body/route.neck.width': 69.5 } },
    {
      what: 'route 0.1 too short',
      joint: 'room-middle',
      check: 'route-length',
      verdict: 'tight',
      sizes: { 'body/route.middle.length': 18.1 },
    },
    {
      what: 'route 0.1 too narrow',
      joint: 'room-middle',
      check: 'route-width',
      verdict: 'tight',
      sizes: { 'body/route.middle.width': 69.5 },
    },
    // 0.3 a side; (4 - 1)(1 - 0.7071) = 0.88 is wanted.
    {
      what: 'corners 3 mm rounder',
      joint: 'room-middle',
      check: 'corner',
      verdict: 'tight',
      sizes: { 'guard/opening.middle.radius': 4, 'pickup-middle/radius': 1 },
    },
    // 71.5 - 72 = -0.5.
    {
      what: 'ears 0.5 wider than the route',
      joint: 'room-middle',
      check: 'ears',
      verdict: 'tight',
      sizes: { 'body/route.middle.width': 71.5 },
    },
    // 17.2 - 17 = 0.2, and 0.5 is wanted.
    { what: '0.2 mm under it', joint: 'room-middle', check: 'depth', verdict: 'tight', sizes: { 'body/route.middle.depth': 17.2 } },
    // 14 - 22 + 17 - 6 = 3; 1.5 x 3 = 4.5 is wanted.
    ...(['middle', 'bridge'] as const).map((place) => ({
      what: '3 mm of screw in the wood',
      joint: `room-${place}`,
      check: 'bite',
      verdict: 'tight' as const,
      sizes: { [`pickup-${place}/screw.length`]: 14, [`pickup-${place}/travel`]: 6, [`pickup-${place}/screw.diameter`]: 3 },
      traits: { [`pickup-${place}/mount`]: 'body' },
    })),
    // 69.3 - 69.4 = -0.1.
    {
      what: 'opening 0.1 too narrow',
      joint: 'room-bridge',
      check: 'width',
      verdict: 'tight',
      sizes: { 'guard/opening.bridge.width': 69.3 },
    },
    // At 386 + 164 mm the strings are 35.2 + 17.3 x 550/647.7 = 49.9 apart: (49.9 - 46)/2 = 1.95, over 1.5.
    { what: '3.9 mm narrower', joint: 'poles-middle', check: 'poles', verdict: 'tight', sizes: { 'pickup-middle/poles.spread': 46 } },
    // Axis 4 mm to the bass at the bridge: the nut lies 4 x 424/223.7 = 7.6 to the treble, at 493 mm (1 - 0.761) of it, 1.81: over 1.5 - 0.4.
    {
      what: 'neck axis 4 mm off',
      joint: 'poles-neck',
      check: 'poles',
      verdict: 'tight',
      sizes: { 'body/axisAtBridge': 4 },
      says: /1\.8 mm to the treble side/,
    },
    { what: 'turned', joint: 'poles-middle', check: 'bass-side', verdict: 'tight', traits: { 'pickup-middle/bassSide': 'turned' } },
    { what: 'turned', joint: 'poles-bridge', check: 'bass-side', verdict: 'tight', traits: { 'pickup-bridge/bassSide': 'turned' } },
    // 12 mm over the guard, where the held strings stand about 9.
    { what: '12 mm tall', joint: 'bridge-height', check: 'cover-neck', verdict: 'wont-go', sizes: { 'pickup-neck/above': 12 } },
  ])
})

describe('bridge, screws and block', () => {
  judgeRows([
    // 6 - 8 = -2; 38 - 6 - 34 = -2.
    { what: '2 mm before the plate', joint: 'bridge-on-body', check: 'old-front', verdict: 'tight', sizes: { 'body/oldHoles.front': 8 } },
    { what: '2 mm behind the plate', joint: 'bridge-on-body', check: 'old-back', verdict: 'tight', sizes: { 'body/oldHoles.back': 34 } },
    // (80 - 74 - 10)/2 = -2: outside the block.
    {
      what: 'studs beside the block',
      joint: 'bridge-on-body',
      check: 'in-block',
      verdict: 'wont-go',
      sizes: { 'body/block.width': 80 },
      traits: { 'body/build': 'semi-hollow' },
    },
    // 44.2 + 2 - 45 = 1.2 under the tip; 12 - 2 = 10 in the wood, and 12 is wanted.
    {
      what: '45 mm screws',
      joint: 'bridge-screws',
      check: 'through',
      verdict: 'tight',
      sizes: { 'bridge/screw.length': 45, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '12 mm screws',
      joint: 'bridge-screws',
      check: 'bite',
      verdict: 'tight',
      sizes: { 'bridge/screw.length': 12, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
  ])
})

describe('tailpiece in a hollow body', () => {
  // (90 - 82 - 11)/2 = -1.5: outside the block.
  judgeRows(
    [
      {
        what: 'studs beside the block',
        joint: 'tail-studs',
        check: 'in-block',
        verdict: 'wont-go',
        sizes: { 'body/block.width': 90 },
        traits: { 'body/build': 'semi-hollow' },
      },
    ],
    () =>
      changed(
        withPart('tailpiece', aPart('tailpiece', { studDiameter: 11, studLength: 22, studSpacing: 82, height: 12 }, { type: 'stop' })),
        {
          'body/tail.bore': 10.9,
        },
      ),
  )
})

describe('head and nut', () => {
  judgeRows([
    // (42 - 38)/2 = 2.0, under 2.5.
    {
      what: '2 mm from the edges',
      joint: 'strings-on-board',
      check: 'nut',
      verdict: 'tight',
      sizes: { 'nut/spread': 38 },
      job: /35\.4 mm/,
    },
    // 14 - 14.5 = -0.5.
    { what: 'made for a thicker head', joint: 'tuner-bore', check: 'grip.min', verdict: 'tight', sizes: { 'tuners/grip.min': 14.5 } },
    // 11 - 9 = 2 mm apart: the bit wanders from 0.3 to 2.2 + 1.
    {
      what: '2 mm beside the old hole',
      joint: 'tuner-bore',
      check: 'old-screws',
      verdict: 'tight',
      sizes: { 'neck/oldScrew.offset': 11, 'neck/oldScrew.side': 0, 'tuners/screw.side': 0 },
    },
    // Moved 12 mm to the bass the first post stands 6.5 mm from the head's edge, and 9 is usual.
    { what: 'posts 12 mm off', joint: 'tuner-row', check: 'edge', verdict: 'tight', sizes: { 'neck/tuner.offset': 30 } },
    // 0.9 as read, 3.95 - 3.4 = 0.55 by the other way.
    {
      what: '0.35 apart',
      joint: 'nut-in-slot',
      check: 'slot-readings',
      verdict: 'cant-tell',
      sizes: { 'nut/slot': 0.9 },
      says: /which is right/,
    },
  ])
})

describe('strings through their holes', () => {
  // The thickest is 1.168 mm and wants 0.2 more; what is wound round its ball 2.2.
  judgeRows(
    [{ what: '1.2 mm', joint: 'strings-through', check: 'hole-ferrules', verdict: 'tight', sizes: { 'ferrules/string.hole': 1.2 } }],
    () => withPart('ferrules', aPart('ferrules', { count: 6, diameter: 8, length: 9, 'string.hole': 3.6 })),
  )
  judgeRows(
    [{ what: '1.2 mm', joint: 'strings-through', check: 'hole-tailpiece', verdict: 'tight', sizes: { 'tailpiece/string.hole': 1.2 } }],
    () => withPart('tailpiece', aPart('tailpiece', { 'string.hole': 2 }, { type: 'stop' })),
  )
  judgeRows([
    // 3.2 - 1.168 - 0.2 - 2.2 = -0.37.
    {
      what: '3.2 mm',
      joint: 'strings-through',
      check: 'hole-body',
      verdict: 'tight',
      sizes: { 'body/string.hole': 3.2 },
      traits: { 'bridge/mount': 'string-through' },
    },
  ])
})

describe('controls and leads', () => {
  judgeRows([
    // 17.5 - 16 = 1.5, and 2 is wanted.
    { what: '1.5 mm under its lugs', joint: 'pot-tone', check: 'depth', verdict: 'tight', sizes: { 'body/control.depth': 17.5 } },
    // From pickup to volume pot 117 and 74 mm, 40 more for bends: 100 mm do not reach.
    ...(['middle', 'bridge'] as const).map((place) => ({
      what: 'a lead of 90 mm',
      joint: 'leads',
      check: `pickup-${place}`,
      verdict: 'wont-go' as const,
      sizes: { [`pickup-${place}/lead.length`]: 60 },
    })),
    // The route reaches 58.5 mm to the bass, the guard's edge 59.3.
    {
      what: 'a millimetre over the route',
      joint: 'guard-cover',
      check: 'cover',
      verdict: 'tight',
      sizes: { 'body/route.middle.width': 117 },
    },
  ])
})

describe('said, not measured', () => {
  judgeRows([
    {
      what: 'heel end, no notch',
      joint: 'truss-access',
      check: 'access',
      verdict: 'wont-go',
      traits: { 'neck/truss': 'heel', 'body/notch': 'no' },
    },
    { what: 'left', joint: 'hands', check: 'hand-body', verdict: 'wont-go', traits: { 'body/hand': 'left' } },
    { what: 'left', joint: 'hands', check: 'hand-neck', verdict: 'wont-go', traits: { 'neck/hand': 'left' } },
    { what: 'left', joint: 'hands', check: 'hand-bridge', verdict: 'wont-go', traits: { 'bridge/hand': 'left' } },
    { what: 'left', joint: 'hands', check: 'hand-guard', verdict: 'wont-go', traits: { 'guard/hand': 'left' } },
    { what: 'left', joint: 'hands', check: 'hand-tuners', verdict: 'wont-go', traits: { 'tuners/hand': 'left' } },
    { what: 'left', joint: 'hands', check: 'hand-nut', verdict: 'wont-go', traits: { 'nut/hand': 'left' } },
  ])
  judgeRows([{ what: 'left', joint: 'hands', check: 'hand-tailpiece', verdict: 'wont-go', traits: { 'tailpiece/hand': 'left' } }], () =>
    withPart('tailpiece', aPart('tailpiece', {}, { type: 'stop' })),
  )
  it('gold tuners among nickel are told, not forbidden', () => {
    const b = structuredClone(fullBuild())
    b.parts.tuners!.metal = 'gold'
    expect(checkIn(b, 'metals', 'metals').raw.verdict).toBe('loose')
    expect(checkIn(changed(fullBuild()), 'metals', 'metals').raw.verdict).toBe('snug')
  })
})

describe('string pull on a vibrato’s studs', () => {
  it('cannot be told without its springs, whose lever is no fact until they are chosen', () => {
    const c = checkIn(without(fullBuild(), 'springs'), 'bridge-on-body', 'pull')
    expect([c.raw.verdict, c.says]).toEqual(['cant-tell', 'Not known yet: which springs hold the vibrato.'])
    expect(checkIn(fullBuild(), 'bridge-on-body', 'pull').raw.verdict).toBe('snug')
  })
})
