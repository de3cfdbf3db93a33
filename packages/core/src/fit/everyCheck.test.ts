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
    {
      what: 'opening 0.1 too short',
      joint: 'room-neck',
      check: 'length',
      verdict: 'tight',
      says: 'The pickup is 0.1 mm too long for its guard opening.',
      job: 'File the guard opening: 0.10 to 0.20 mm off each side, neck and bridge side.',
      sizes: { 'guard/opening.neck.length': 35.9 },
    },
    // 69.5 - 69.4 - 2 x 0.1 of foil = -0.1; 18.1 - 18 - 0.2 = -0.1.
    {
      what: 'route 0.1 too narrow',
      joint: 'room-neck',
      check: 'route-width',
      verdict: 'tight',
      says: 'The route below is 0.1 mm too narrow, lining included.',
      job: 'Open the route by 0.3 to 0.7 mm, under the guard opening where it is not seen.',
      sizes: { 'body/route.neck.width': 69.5 },
    },
    {
      what: 'route 0.1 too short',
      joint: 'room-middle',
      check: 'route-length',
      verdict: 'tight',
      says: 'The route below is 0.1 mm too short, lining included.',
      job: 'Open the route by 0.3 to 0.7 mm, under the guard opening where it is not seen.',
      sizes: { 'body/route.middle.length': 18.1 },
    },
    {
      what: 'route 0.1 too narrow',
      joint: 'room-middle',
      check: 'route-width',
      verdict: 'tight',
      says: 'The route below is 0.1 mm too narrow, lining included.',
      job: 'Open the route by 0.3 to 0.7 mm, under the guard opening where it is not seen.',
      sizes: { 'body/route.middle.width': 69.5 },
    },
    // 0.3 a side; (4 - 1)(1 - 0.7071) = 0.88 is wanted.
    {
      what: 'corners 3 mm rounder',
      joint: 'room-middle',
      check: 'corner',
      verdict: 'tight',
      says: 'Square corners in a 4 mm radius need 0.88 mm on each side and have 0.3; flush they overlap 1.24 mm.',
      job: 'Square the guard opening’s corners out to 1 mm of radius.',
      sizes: { 'guard/opening.middle.radius': 4, 'pickup-middle/radius': 1 },
    },
    // 71.5 - 72 = -0.5.
    {
      what: 'ears 0.5 wider than the route',
      joint: 'room-middle',
      check: 'ears',
      verdict: 'tight',
      says: 'The ears are 0.5 mm wider than the route: the pickup sits on the wood and cannot be lowered.',
      job: 'Cut the route 0.7 mm wider at each end for the ears.',
      sizes: { 'body/route.middle.width': 71.5 },
    },
    // 17.2 - 17 = 0.2, and 0.5 is wanted.
    {
      what: '0.2 mm under it',
      joint: 'room-middle',
      check: 'depth',
      verdict: 'tight',
      says: 'Run down it hangs 17 mm deep in 17.2 mm: 0.2 mm is left below it for its leads.',
      job: 'Deepen the route by 1.3 mm.',
      sizes: { 'body/route.middle.depth': 17.2 },
    },
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
      says: 'The pickup is 0.1 mm too wide for its guard opening.',
      job: 'File the guard opening: 0.10 to 0.20 mm off each side, bass and treble.',
      sizes: { 'guard/opening.bridge.width': 69.3 },
    },
    // At 386 + 164 mm the strings are 35.2 + 17.3 x 550/647.7 = 49.9 apart: (49.9 - 46)/2 = 1.95, over 1.5.
    {
      what: '3.9 mm narrower',
      joint: 'poles-middle',
      check: 'poles',
      verdict: 'tight',
      says: 'The outer strings pass 1.9 mm outside the outer poles.',
      job: 'Leave it: outer strings sound a little weaker over missed poles.',
      sizes: { 'pickup-middle/poles.spread': 46 },
    },
    // Axis 4 mm to the bass at the bridge: the nut lies 4 x 424/223.7 = 7.6 to the treble, at 493 mm (1 - 0.761) of it, 1.81: over 1.5 - 0.4.
    {
      what: 'neck axis 4 mm off',
      joint: 'poles-neck',
      check: 'poles',
      verdict: 'tight',
      job: 'Leave it: outer strings sound a little weaker over missed poles.',
      sizes: { 'body/axisAtBridge': 4 },
      says: /1\.8 mm to the treble side/,
    },
    {
      what: 'turned',
      joint: 'poles-middle',
      check: 'bass-side',
      verdict: 'tight',
      says: 'The middle pickup sits turned round: its bass end is under the high strings.',
      job: 'Turn the middle pickup round in its opening.',
      traits: { 'pickup-middle/bassSide': 'turned' },
    },
    {
      what: 'turned',
      joint: 'poles-bridge',
      check: 'bass-side',
      verdict: 'tight',
      says: 'The bridge pickup sits turned round: its bass end is under the high strings.',
      job: 'Turn the bridge pickup round in its opening.',
      traits: { 'pickup-bridge/bassSide': 'turned' },
    },
    // 12 mm over the guard, where the held strings stand about 9.
    {
      what: '12 mm tall',
      joint: 'bridge-height',
      check: 'cover-neck',
      verdict: 'wont-go',
      says: 'Run right down the neck cover still stands 3.5 mm into the strings held at the last fret; 1.6 of air is wanted.',
      job: 'Let the neck pickup 5.3 mm deeper: deepen its route, or raise the strings with a plate under the heel.',
      sizes: { 'pickup-neck/above': 12 },
    },
  ])
})

describe('bridge, screws and block', () => {
  judgeRows([
    // 6 - 8 = -2; 38 - 6 - 34 = -2.
    {
      what: '2 mm before the plate',
      joint: 'bridge-on-body',
      check: 'old-front',
      verdict: 'tight',
      says: 'Old holes show 2 mm in front of the plate.',
      job: 'Plug the old holes flush; they will show through a clear finish.',
      sizes: { 'body/oldHoles.front': 8 },
    },
    {
      what: '2 mm behind the plate',
      joint: 'bridge-on-body',
      check: 'old-back',
      verdict: 'tight',
      says: 'Old holes show 2 mm behind the plate.',
      job: 'Plug the old holes flush; they will show through a clear finish.',
      sizes: { 'body/oldHoles.back': 34 },
    },
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
      says: 'A 45 mm screw leaves 1.2 mm of wood and holds about 1293 N.',
      job: 'Take bridge screws of 43 mm or less.',
      sizes: { 'bridge/screw.length': 45, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '12 mm screws',
      joint: 'bridge-screws',
      check: 'bite',
      verdict: 'tight',
      says: '10 mm of thread in the wood.',
      job: 'Take bridge screws 3 mm longer.',
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
        says: 'The studs stand 1.5 mm outside the centre block: there is only the top to hold them.',
        job: 'Glue hardwood to the block’s sides until it is 101 mm wide.',
        sizes: { 'body/block.width': 90 },
        traits: { 'body/build': 'semi-hollow' },
      },
    ],
    () =>
      changed(
        withPart('tailpiece', aPart('tailpiece', { studDiameter: 11, studLength: 22, studSpacing: 82, height: 12 }, { type: 'stop' })),
        {
          'body/tail.bore': 10.9,
          'body/tail.spacing': 82,
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
      says: 'Outer strings lie 2 mm inside the board’s edges at the nut; 3 to 4 is usual.',
      sizes: { 'nut/spread': 38 },
      job: /35\.4 mm/,
    },
    // 14 - 14.5 = -0.5.
    {
      what: 'made for a thicker head',
      joint: 'tuner-bore',
      check: 'grip.min',
      verdict: 'tight',
      says: 'The headstock is 14 mm thick; they take at least 14.5.',
      job: 'Put washers of 0.8 mm under the bushings’ nuts.',
      sizes: { 'tuners/grip.min': 14.5 },
    },
    // 11 - 9 = 2 mm apart: the bit wanders from 0.3 to 2.2 + 1.
    {
      what: '2 mm beside the old hole',
      joint: 'tuner-bore',
      check: 'old-screws',
      verdict: 'tight',
      says: 'The new screws fall 2 mm beside the old holes: the bit would wander into them.',
      job: 'Plug the old screw holes before new ones are drilled.',
      sizes: { 'neck/oldScrew.offset': 11, 'neck/oldScrew.side': 0, 'tuners/screw.side': 0 },
    },
    // Moved 12 mm to the bass the first post stands 6.5 mm from the head's edge, and 9 is usual.
    {
      what: 'posts 12 mm off',
      joint: 'tuner-row',
      check: 'edge',
      verdict: 'tight',
      says: 'The nearest post stands 6.5 mm inside the headstock’s edge; 9 is usual.',
      job: 'Glue a strip 2.5 mm wide to that edge of the headstock, grain along it, or take another neck.',
      sizes: { 'neck/tuner.offset': 30 },
    },
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
    [
      {
        what: '1.2 mm',
        joint: 'strings-through',
        check: 'hole-ferrules',
        verdict: 'tight',
        says: 'The thickest string, 1.17 mm, does not pass the 1.2 mm hole in the string ferrules.',
        job: 'Drill the hole in the string ferrules out to 1.37 mm at least: the next bit over that, about 1.42.',
        sizes: { 'ferrules/string.hole': 1.2 },
      },
    ],
    () => withPart('ferrules', aPart('ferrules', { count: 6, diameter: 8, length: 9, 'string.hole': 3.6 })),
  )
  judgeRows(
    [
      {
        what: '1.2 mm',
        joint: 'strings-through',
        check: 'hole-tailpiece',
        verdict: 'tight',
        says: 'The thickest string, 1.17 mm, does not pass the 1.2 mm hole in the tailpiece.',
        job: 'Drill the hole in the tailpiece out to 1.37 mm at least: the next bit over that, about 1.42.',
        sizes: { 'tailpiece/string.hole': 1.2 },
      },
    ],
    () => withPart('tailpiece', aPart('tailpiece', { 'string.hole': 2 }, { type: 'stop' })),
  )
  judgeRows([
    // 3.2 - 1.168 - 0.2 - 2.2 = -0.37.
    {
      what: '3.2 mm',
      joint: 'strings-through',
      check: 'hole-body',
      verdict: 'tight',
      says: 'The thickest string, 1.17 mm, does not pass the 3.2 mm hole in the body with its ball’s twist, which takes 2.2 more.',
      job: 'Drill the hole in the body out to 3.57 mm at least: the next bit over that, about 3.62.',
      sizes: { 'body/string.hole': 3.2 },
      traits: { 'bridge/mount': 'string-through' },
    },
  ])
})

describe('controls and leads', () => {
  judgeRows([
    // 17.5 - 16 = 1.5, and 2 is wanted.
    {
      what: '1.5 mm under its lugs',
      joint: 'pot-tone',
      check: 'depth',
      verdict: 'tight',
      says: 'The pot hangs 16 mm deep in a 17.5 mm route.',
      job: 'Deepen the control route by 1 mm.',
      sizes: { 'body/control.depth': 17.5 },
    },
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
      says: 'The guard covers the middle route’s edge by only 0.8 mm.',
      job: 'Glue a strip of the body’s wood into the middle route’s edge and cut it flush.',
      sizes: { 'body/route.middle.width': 117 },
    },
  ])
})

describe('said, not measured', () => {
  judgeRows([
    {
      what: 'pickups in a flat guard, arched front',
      joint: 'guard-cover',
      check: 'lies',
      verdict: 'tight',
      says: 'The guard is flat and the front is arched: screwed down it bends, draws its screws and cracks.',
      job: 'Hang the pickups from rings with curved feet, or take a body with a flat top.',
      traits: { 'body/top': 'arched' },
    },
    {
      what: 'a screwed plate, arched front',
      joint: 'bridge-on-body',
      check: 'lies',
      verdict: 'tight',
      says: 'The bridge’s plate is flat and the front is arched: it rocks, and its screws pull it crooked.',
      job: 'Let a flat seat into the arch under the whole plate, level with the rim.',
      traits: { 'body/top': 'arched', 'bridge/mount': 'screws' },
    },
    {
      what: 'heel end, no notch',
      joint: 'truss-access',
      check: 'access',
      verdict: 'wont-go',
      says: 'The truss nut sits at the heel and the body has no notch: the neck would have to come off for every turn.',
      job: 'Cut a notch 12 mm wide and 26 mm long at the pocket’s end.',
      traits: { 'neck/truss': 'heel', 'body/notch': 'no' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-body',
      verdict: 'wont-go',
      says: 'The body is made for the other hand.',
      job: 'Find a body for a right-handed build.',
      traits: { 'body/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-neck',
      verdict: 'wont-go',
      says: 'The neck is made for the other hand.',
      job: 'Find a neck for a right-handed build.',
      traits: { 'neck/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-bridge',
      verdict: 'wont-go',
      says: 'The bridge is made for the other hand.',
      job: 'Find a bridge for a right-handed build.',
      traits: { 'bridge/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-guard',
      verdict: 'wont-go',
      says: 'The pickguard is made for the other hand.',
      job: 'Find a pickguard for a right-handed build.',
      traits: { 'guard/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-tuners',
      verdict: 'wont-go',
      says: 'This head takes 6 for the left side of the head, seen from the front; these tuners are 6 for the right side of the head.',
      job: 'Take tuners made for this head, 6 for the left side of the head, or ones that go on either side.',
      traits: { 'tuners/hand': 'left' },
    },
    {
      what: 'left',
      joint: 'hands',
      check: 'hand-nut',
      verdict: 'wont-go',
      says: 'The nut is made for the other hand.',
      job: 'Find a nut for a right-handed build.',
      traits: { 'nut/hand': 'left' },
    },
  ])
  judgeRows(
    [
      {
        what: 'left',
        joint: 'hands',
        check: 'hand-tailpiece',
        verdict: 'wont-go',
        says: 'The tailpiece is made for the other hand.',
        job: 'Find a tailpiece for a right-handed build.',
        traits: { 'tailpiece/hand': 'left' },
      },
    ],
    () => withPart('tailpiece', aPart('tailpiece', {}, { type: 'stop' })),
  )
  judgeRows(
    [
      {
        what: 'heel end, no notch, neck to be glued',
        joint: 'truss-access',
        check: 'access',
        verdict: 'wont-go',
        says: /with the neck glued in nothing reaches it again\.$/,
        job: 'Cut a notch 12 mm wide and 26 mm long at the pocket’s end.',
        traits: { 'neck/truss': 'heel', 'body/notch': 'no', 'neck/joint': 'set' },
      },
    ],
    () => without(fullBuild(), 'neck-screws'),
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
