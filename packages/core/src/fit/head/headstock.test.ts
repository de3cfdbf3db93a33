import { describe, expect, it } from 'vitest'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'
import { stringPlaces } from '../bridge/radii'

// Limits [practice], sums [physics].
describe('tuners', () => {
  judgeRows([
    {
      what: 'bores 0.8 too small',
      joint: 'tuner-bore',
      check: 'bore',
      verdict: 'tight',
      says: 'Bores are 9.1 mm and the bushings 9.9 mm. Bushings go in before the tuners, so that each post stands square.',
      sizes: { 'neck/tuner.bore': 9.1 },
      job: /^Ream the bores to 9\.9 mm/,
    },
    {
      what: 'bores 1.2 too large',
      joint: 'tuner-bore',
      check: 'bore',
      verdict: 'loose',
      says: 'Bores are 11.1 mm and the bushings 9.9 mm. Bushings go in before the tuners, so that each post stands square.',
      sizes: { 'neck/tuner.bore': 11.1 },
      job: /adapter ferrules/,
    },
    {
      what: 'bores 3 mm too large',
      joint: 'tuner-bore',
      check: 'bore',
      verdict: 'wont-go',
      says: 'Bores are 12.9 mm and the bushings 9.9 mm. Bushings go in before the tuners, so that each post stands square.',
      job: 'Use adapter ferrules, 12.9 mm outside, for the smaller posts.',
      sizes: { 'neck/tuner.bore': 12.9 },
    },
    {
      what: 'screws that come through',
      joint: 'tuner-bore',
      check: 'screw',
      verdict: 'wont-go',
      says: 'A 16 mm screw comes 0.8 mm through the headstock’s face.',
      job: 'Take tuner screws of 12 mm or less.',
      sizes: { 'tuners/screw.length': 16 },
    },
    {
      what: 'screws 1.7 mm under the face',
      joint: 'tuner-bore',
      check: 'screw',
      verdict: 'tight',
      says: 'A 13.5 mm screw leaves 1.7 mm of wood before the headstock’s face.',
      job: 'Take tuner screws of 12 mm or less.',
      sizes: { 'tuners/screw.length': 13.5 },
    },
    {
      what: '0.2 mm wider than their pitch',
      joint: 'tuner-row',
      check: 'row',
      verdict: 'tight',
      job: 'Deburr the casting seams and measure a housing again.',
      sizes: { 'tuners/housing.width': 25.6 },
      says: /the last one will not go in/,
    },
    {
      what: '1 mm wider than their pitch',
      joint: 'tuner-row',
      check: 'row',
      verdict: 'wont-go',
      says: '6 housings of 26.4 mm on 25.4 mm centres are 4.9 mm too wide together: the last one will not go in.',
      job: 'Deburr the casting seams and measure a housing again.',
      sizes: { 'tuners/housing.width': 26.4 },
    },
  ])
  it('two rows of three touch at two places, one row of six at five', () => {
    const wide = changed(fullBuild(), { 'tuners/housing.width': 25.6 })
    const lack = (b: typeof wide) => checkIn(b, 'tuner-row', 'row').clearance[0]!.mean
    expect(lack(wide)).toBeCloseTo(-(5 * 0.2 - 0.1), 9)
    expect(lack(changed(wide, {}, { 'neck/head': 'two-rows' }))).toBeCloseTo(-(2 * 0.2 - 0.1), 9)
  })
  it('new screws beside old holes: the same place, beside, well apart under the housing, or in sight', () => {
    const old = (offset: number, side = 0) =>
      checkIn(
        changed(fullBuild(), { 'neck/oldScrew.offset': offset, 'neck/oldScrew.side': side, 'tuners/screw.side': 0 }),
        'tuner-bore',
        'old-screws',
      )
    expect(old(9).raw.verdict).toBe('snug')
    expect(old(9).says).toMatch(/fall into the old holes/)
    expect(old(7.2).raw.verdict).toBe('tight')
    expect(old(7.2).cures[0]!.job).toMatch(/^Plug the old screw holes before new/)
    expect(old(3).raw.verdict).toBe('snug')
    expect(old(3).says).toMatch(/under the new housings/)
    expect(old(16).raw.verdict).toBe('tight')
    expect(old(16).cures[0]!.job).toMatch(/touch them in/)
    expect(old(9, -12).raw.verdict).toBe('tight')
  })
  it('old holes are counted along the row and across it, and covered as far as the housing goes less a millimetre', () => {
    const says = (offset: number, side: number, own = 0) =>
      checkIn(
        changed(fullBuild(), {
          'neck/oldScrew.offset': offset,
          'neck/oldScrew.side': side,
          'tuners/screw.side': own,
          'tuners/housing.width': 24.8,
          'tuners/housing.length': 15,
        }),
        'tuner-bore',
        'old-screws',
      ).says
    // Both 9 mm away from the post and 4 to the same side of it.
    expect(says(9, 4, 4)).toBe('The new screws fall into the old holes.')
    expect(says(9, 4, -4)).toBe('The old holes lie under the new housings, 8 mm from their screws.')
    // 24.8 / 2 - 1 = 11.4 across, 15 / 2 - 1 = 6.5 along.
    expect(says(11.3, 4)).toMatch(/lie under the new housings, 4\.6 mm/)
    expect(says(11.5, 4)).toMatch(/show beside the new housings, 4\.7 mm/)
    expect(says(5, -6.4)).toMatch(/lie under/)
    expect(says(5, -6.6)).toMatch(/show beside/)
    // Thread 2.2 and a millimetre of wood: 3.2 apart.
    expect(says(9, 3.1)).toMatch(/wander into them/)
    expect(says(9, 3.3)).not.toMatch(/wander into them/)
  })
  it('bores, headstocks and bushings’ nuts: every job by its sum', () => {
    const first = (sizes: Record<string, number>, check: string) => checkIn(changed(fullBuild(), sizes), 'tuner-bore', check).cures[0]!
    // A bushing is pressed in: its own 9.9.
    expect(first({ 'neck/tuner.bore': 9.6, 'tuners/bushing': 9.9 }, 'bore').job).toBe('Ream the bores to 9.9 mm.')
    // 17 in 16 at most: one too thick, and 0.3 to spare.
    const thick = first({ 'neck/head.thickness': 17, 'tuners/grip.max': 16 }, 'grip.max')
    expect(thick.job).toBe('Plane the back of the headstock down by 1.3 mm, or countersink the bushings’ seats.')
    expect(thick.plan!.delta).toBeCloseTo(-1.3, 9)
    expect(first({ 'neck/head.thickness': 10, 'tuners/grip.min': 11 }, 'grip.min').job).toMatch(/^Put washers of 1\.3 mm/)
  })
  it('an untouched headstock has no old holes to speak of', () =>
    expect(jointIn(fullBuild(), 'tuner-bore').checks.map((c) => c.id)).not.toContain('old-screws'))
})

describe('nut', () => {
  judgeRows([
    {
      what: '1.2 mm too low',
      joint: 'nut-in-slot',
      check: 'height',
      verdict: 'tight',
      sizes: { 'nut/height': 2.6 },
      says: /1\.2 mm too low/,
      job: /^Shim the nut by 1\.3 mm/,
    },
    {
      what: '4 mm too low',
      joint: 'nut-in-slot',
      check: 'height',
      verdict: 'wont-go',
      says: 'The nut stands 4 mm too low: its slots end 3.6 mm under the fret plane and 0.4 is wanted to file from.',
      job: 'A new blank at least 6.6 mm high.',
      sizes: { 'nut/height': 2, 'neck/nut.slotDepth': 5.6 },
    },
    {
      what: '1 mm too high',
      joint: 'nut-in-slot',
      check: 'height',
      verdict: 'tight',
      says: 'The slots end 1.5 mm over the fret plane: high, file the bottom of the nut first.',
      sizes: { 'nut/height': 4.9 },
      job: /off the nut’s bottom/,
    },
    {
      what: '0.3 mm too thick for its slot',
      joint: 'nut-in-slot',
      check: 'width',
      verdict: 'tight',
      says: 'The slot is 3.4 mm wide and the nut 3.7 mm.',
      job: 'Sand the nut’s back face by 0.35 mm.',
      sizes: { 'nut/width': 3.7 },
    },
    {
      what: '0.5 mm too thin for its slot',
      joint: 'nut-in-slot',
      check: 'width',
      verdict: 'loose',
      says: 'The slot is 3.4 mm wide and the nut 2.9 mm.',
      job: 'Glue a shaving of 0.45 mm to the nut’s back face.',
      sizes: { 'nut/width': 2.9 },
    },
    {
      what: '1.4 mm too thin for its slot',
      joint: 'nut-in-slot',
      check: 'width',
      verdict: 'wont-go',
      job: 'Take a nut 3.35 mm wide along the strings.',
      sizes: { 'nut/width': 2 },
    },
    // A nut of 2.2 sanded into a slot of 2 would be thinner than any nut: the slot is widened.
    {
      what: 'a slot too narrow for any nut',
      joint: 'nut-in-slot',
      check: 'width',
      verdict: 'tight',
      job: 'Widen the slot by 0.25 mm, all of it off the wall towards the headstock.',
      sizes: { 'nut/width': 2.2, 'neck/nut.slotWidth': 2 },
    },
    {
      what: '3 mm short of the board',
      joint: 'nut-in-slot',
      check: 'length',
      verdict: 'wont-go',
      job: 'Take a nut at least 42 mm long.',
      sizes: { 'nut/length': 39 },
    },
    {
      what: '1 mm beyond the board',
      joint: 'nut-in-slot',
      check: 'length',
      verdict: 'tight',
      says: 'The nut is 43 mm long on a 42 mm board.',
      job: 'File the nut’s ends flush: 0.5 mm off each where it sits in the middle, 1 in all.',
      sizes: { 'nut/length': 43 },
    },
    {
      what: '1 mm short of the board',
      joint: 'nut-in-slot',
      check: 'length',
      verdict: 'loose',
      says: 'The nut is 41 mm long on a 42 mm board.',
      job: 'none',
      sizes: { 'nut/length': 41 },
    },
    {
      what: 'string slots too narrow',
      joint: 'nut-in-slot',
      check: 'slots',
      verdict: 'tight',
      says: 'String slots are 0.02 mm narrower than their strings; 0.05 to 0.10 is wanted.',
      job: 'Widen the slots by 0.09 mm.',
      sizes: { 'nut/slot.extra': -0.02 },
    },
    {
      what: 'string slots too wide',
      joint: 'nut-in-slot',
      check: 'slots',
      verdict: 'loose',
      says: 'String slots are 0.25 mm wider than their strings; 0.05 to 0.10 is wanted.',
      job: 'none',
      sizes: { 'nut/slot.extra': 0.25 },
    },
  ])
  it('a blank is meant to stand high', () =>
    expect(checkIn(changed(fullBuild(), { 'nut/height': 6.5 }, { 'nut/type': 'blank' }), 'nut-in-slot', 'height').raw.verdict).toBe('snug'))
})

describe('locking nut', () => {
  judgeRows(
    [
      {
        what: 'its screws meet the holes',
        joint: 'nut-in-slot',
        check: 'lock-screws',
        verdict: 'snug',
        says: 'Its screws are 20 mm apart and the neck’s holes 20 mm.',
      },
      {
        what: '1 mm off',
        joint: 'nut-in-slot',
        check: 'lock-screws',
        verdict: 'tight',
        says: 'Its screws are 20 mm apart and the neck’s holes 19 mm.',
        job: 'Plug the neck’s holes and drill them 20 mm apart.',
        sizes: { 'neck/nut.screws': 19 },
      },
      {
        what: '3 mm off',
        joint: 'nut-in-slot',
        check: 'lock-screws',
        verdict: 'wont-go',
        says: 'Its screws are 20 mm apart and the neck’s holes 23 mm.',
        job: 'Plug the neck’s holes and drill them 20 mm apart.',
        sizes: { 'neck/nut.screws': 23 },
      },
    ],
    () => changed(fullBuild(), { 'nut/screw.spread': 20, 'neck/nut.screws': 20 }, { 'nut/type': 'locking' }),
  )
})

describe('spacing card for saddles without notches', () => {
  const gauges = [1.17, 0.91, 0.66, 0.43, 0.33, 0.25]
  it('spaces between the strings’ edges are equal and the ends meet the spacing [physics]', () => {
    const places = stringPlaces(52.5, gauges)
    expect(places.at(-1)).toBeCloseTo(52.5, 9)
    const gaps = places.slice(1).map((p, i) => p - places[i]! - (gauges[i]! + gauges[i + 1]!) / 2)
    for (const g of gaps) expect(g).toBeCloseTo(gaps[0]!, 9)
  })
  it('is offered only where the saddles have no notches', () => {
    const titles = (way: string) =>
      jointIn(changed(fullBuild(), {}, { 'bridge/notched': way }), 'radii')
        .tables()
        .map((t) => t.title)
    expect(titles('no').join()).toMatch(/Spacing card/)
    expect(titles('yes').join()).not.toMatch(/Spacing card/)
  })
})

describe('break angle at the nut', () => {
  judgeRows([
    {
      what: 'high wraps, and the tree too high: string 5 wants 8 - (10.6 - 58.4 tan 4.5) = 2 mm, three of 0.91',
      joint: 'nut-break',
      check: 'flattest',
      verdict: 'tight',
      sizes: { 'tuners/post.height': 8, 'string-tree/height': 9.5 },
      says: /rattles in its slot/,
      job: /^A lower string tree for strings 1, 2, 3 and 4; wind string 5 further down: 3 turns more/,
    },
  ])
  it('the angle by its formula [physics]', () => {
    const b = without(fullBuild(), 'string-tree')
    const [table] = jointIn(b, 'nut-break').tables()
    // String 6: first post 33 mm away; slot 9 + 1.1 + 0.5 over the face, wraps 5.
    expect(table!.rows[5]![1]).toBe(`${((Math.atan((10.6 - 5) / 33) * 180) / Math.PI).toFixed(1)}°`)
  })
  it('a tilted head adds its angle and bears steeper strings before they bind', () => {
    const b = without(fullBuild(), 'string-tree')
    const row = (angle: number) =>
      jointIn(changed(b, { 'neck/head.angle': angle, 'neck/head.drop': angle ? 4 : 9 }), 'nut-break').tables()[0]!.rows[5]!
    expect(parseFloat(row(13)[1]!)).toBeGreaterThan(12)
    expect(row(13)[2]).toBe('')
    expect(jointIn(changed(b, { 'neck/tuner.first': 18 }), 'nut-break').tables()[0]!.rows[5]![2]).toMatch(/^steep/)
  })
})

describe('strings through their holes', () => {
  judgeRows([
    {
      what: 'bridge holes of 1 mm',
      joint: 'strings-through',
      check: 'hole-bridge',
      verdict: 'tight',
      says: 'The thickest string, 1.17 mm, does not pass the 1 mm hole in the bridge.',
      sizes: { 'bridge/string.hole': 1 },
      job: /^Drill the hole in the bridge out to 1\.37/,
    },
    {
      what: 'tuner posts of 1.2 mm',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'tight',
      says: 'The thickest string, 1.17 mm, does not pass the 1.2 mm hole in the tuners.',
      job: 'Drill the hole in the tuners out to 1.37 mm at least: a bit of 1.5.',
      sizes: { 'tuners/string.hole': 1.2 },
    },
  ])
})

describe('radii', () => {
  judgeRows(
    [
      {
        what: 'an arch of 305 under a board of 305',
        joint: 'radii',
        check: 'radius',
        verdict: 'snug',
        says: 'The board asks for 305 mm at the saddle and the bridge has 305: outer strings end where they should.',
      },
      {
        what: 'an arch of 180 mm under a board of 305',
        joint: 'radii',
        check: 'radius',
        verdict: 'tight',
        says: 'The board asks for 305 mm at the saddle and the bridge has 200: outer strings end 0.6 mm too low.',
        job: 'Deepen the inner saddle slots by up to 0.6 mm.',
        sizes: { 'bridge/saddle.radius': 200 },
      },
    ],
    () => changed(fullBuild(), { 'bridge/saddle.radius': 305 }, { 'bridge/saddles': 'arched' }),
  )
})
