import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

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
      job: 'Deepen the route by 1.3 mm, to 18.5 mm.',
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
