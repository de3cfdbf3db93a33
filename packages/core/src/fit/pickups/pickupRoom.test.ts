import { describe, expect, it } from 'vitest'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { cornerNeeds, cornerOverlap } from './pickupRoom'

// Limits [practice], sums [physics].
describe('pickup in its opening and route', () => {
  judgeRows([
    {
      what: '0.6 mm wider than its opening',
      joint: 'room-neck',
      check: 'width',
      verdict: 'tight',
      job: 'File the guard opening: 0.35 to 0.45 mm off each side, bass and treble.',
      sizes: { 'pickup-neck/width': 70.6 },
      says: /0\.6 mm too wide/,
    },
    {
      what: '4 mm wider than its opening',
      joint: 'room-neck',
      check: 'width',
      verdict: 'wont-go',
      says: 'The pickup is 4 mm too wide for its guard opening.',
      job: 'Cut the guard opening out: 2.05 to 2.15 mm off each side, bass and treble.',
      sizes: { 'pickup-neck/width': 74, 'body/route.neck.width': 80 },
    },
    {
      what: '3 mm narrower than its opening',
      joint: 'room-middle',
      check: 'width',
      verdict: 'loose',
      says: '3 mm of daylight beside the cover.',
      job: 'none',
      sizes: { 'pickup-middle/width': 67 },
    },
    {
      what: '0.4 mm longer than its opening',
      joint: 'room-bridge',
      check: 'length',
      verdict: 'tight',
      says: 'The pickup is 0.4 mm too long for its guard opening.',
      job: 'File the guard opening: 0.25 to 0.35 mm off each side, neck and bridge side.',
      sizes: { 'pickup-bridge/length': 37.2 },
    },
    {
      what: 'square corners in a 3 mm radius',
      joint: 'room-neck',
      check: 'corner',
      verdict: 'tight',
      says: 'Square corners in a 3 mm radius need 0.73 mm on each side and have 0.3; flush they overlap 1.04 mm.',
      job: 'Square the guard opening’s corners out to 0.5 mm of radius.',
      sizes: { 'guard/opening.neck.radius': 3, 'pickup-neck/radius': 0.5 },
    },
    {
      what: '2 mm too long for the body’s route',
      joint: 'room-bridge',
      check: 'route-length',
      verdict: 'tight',
      says: 'The route below is 2.2 mm too short, lining included.',
      job: 'Open the route by 2.4 to 2.8 mm, under the guard opening where it is not seen.',
      sizes: { 'body/route.bridge.length': 34 },
    },
    {
      what: '8 mm too wide for the body’s route',
      joint: 'room-bridge',
      check: 'route-width',
      verdict: 'wont-go',
      says: 'The route below is 8.6 mm too narrow, lining included.',
      job: 'Open the route by 8.8 to 9.2 mm, under the guard opening where it is not seen.',
      sizes: { 'body/route.bridge.width': 61 },
    },
    {
      what: 'ears 2 mm wider than the route',
      joint: 'room-neck',
      check: 'ears',
      verdict: 'tight',
      job: 'Cut the route 1.4 mm wider at each end for the ears.',
      sizes: { 'pickup-neck/ears.span': 76 },
      says: /cannot be lowered/,
    },
    {
      what: 'ears 8 mm wider than the route',
      joint: 'room-bridge',
      check: 'ears',
      verdict: 'wont-go',
      says: 'The ears are 8 mm wider than the route: the pickup sits on the wood and cannot be lowered.',
      job: 'Cut the route 4.4 mm wider at each end for the ears.',
      sizes: { 'pickup-bridge/ears.span': 82 },
    },
    {
      what: 'deeper than its route',
      joint: 'room-neck',
      check: 'depth',
      verdict: 'tight',
      says: 'Run down it needs 17 mm and the route is 14 mm deep: it cannot be lowered far enough.',
      job: 'Deepen the route by 4.5 mm, to 18.5 mm.',
      sizes: { 'body/route.neck.depth': 14 },
    },
    {
      what: 'far deeper than its route',
      joint: 'room-neck',
      check: 'depth',
      verdict: 'wont-go',
      says: 'Run down it needs 17 mm and the route is 5 mm deep: it cannot be lowered far enough.',
      job: 'Deepen the route by 13.5 mm, to 18.5 mm.',
      sizes: { 'body/route.neck.depth': 5 },
    },
  ])
  it('corners: what a cover needs and overlaps, ro 3 rc 1: 0.59 and 0.83 mm [physics]', () => {
    expect(cornerNeeds(3, 1)).toBeCloseTo(0.59, 2)
    expect(cornerOverlap(3, 1)).toBeCloseTo(0.83, 2)
    expect(cornerNeeds(1, 3)).toBe(0)
    for (let ro = 1; ro < 6; ro++) expect(cornerNeeds(ro + 1, 1)).toBeGreaterThanOrEqual(cornerNeeds(ro, 1))
  })
  it('foil on the walls takes its thickness from the route, twice', () => {
    const foil = (thickness: number) =>
      checkIn(changed(fullBuild(), { 'shielding/thickness': thickness }), 'room-neck', 'route-length').clearance[0]!.mean
    expect(foil(0.1) - foil(0.3)).toBeCloseTo(0.4, 6)
  })
  it('both schools: file the plastic, or file the cover; wood comes last', () => {
    const ids = jointIn(changed(fullBuild(), { 'pickup-neck/width': 70.6 }), 'room-neck').cures.map((c) => c.id)
    expect(ids.indexOf('file-width')).toBe(0)
    expect(ids.length).toBeGreaterThan(1)
  })
})
