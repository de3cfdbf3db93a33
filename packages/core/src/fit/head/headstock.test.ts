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
      sizes: { 'neck/tuner.bore': 9.1 },
      job: /^Ream the bores to 9\.9 mm/,
    },
    {
      what: 'bores 1.2 too large',
      joint: 'tuner-bore',
      check: 'bore',
      verdict: 'loose',
      sizes: { 'neck/tuner.bore': 11.1 },
      job: /adapter ferrules/,
    },
    { what: 'bores 3 mm too large', joint: 'tuner-bore', check: 'bore', verdict: 'wont-go', sizes: { 'neck/tuner.bore': 12.9 } },
    { what: 'screws that come through', joint: 'tuner-bore', check: 'screw', verdict: 'wont-go', sizes: { 'tuners/screw.length': 16 } },
    { what: 'screws 1.7 mm under the face', joint: 'tuner-bore', check: 'screw', verdict: 'tight', sizes: { 'tuners/screw.length': 13.5 } },
    {
      what: '0.2 mm wider than their pitch',
      joint: 'tuner-row',
      check: 'row',
      verdict: 'tight',
      sizes: { 'tuners/housing.width': 25.6 },
      says: /the last one will not go in/,
    },
    { what: '1 mm wider than their pitch', joint: 'tuner-row', check: 'row', verdict: 'wont-go', sizes: { 'tuners/housing.width': 26.4 } },
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
    expect(old(7.2).cures[0]!.job).toMatch(/^Plug the old screw holes, then drill/)
    expect(old(3).raw.verdict).toBe('snug')
    expect(old(3).says).toMatch(/under the new housings/)
    expect(old(16).raw.verdict).toBe('tight')
    expect(old(16).cures[0]!.job).toMatch(/touch them in/)
    expect(old(9, -12).raw.verdict).toBe('tight')
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
      sizes: { 'nut/height': 2, 'neck/nut.slotDepth': 5.6 },
    },
    {
      what: '1 mm too high',
      joint: 'nut-in-slot',
      check: 'height',
      verdict: 'tight',
      sizes: { 'nut/height': 4.9 },
      job: /off the nut’s bottom/,
    },
    { what: '0.3 mm too thick for its slot', joint: 'nut-in-slot', check: 'width', verdict: 'tight', sizes: { 'nut/width': 3.7 } },
    { what: '0.5 mm too thin for its slot', joint: 'nut-in-slot', check: 'width', verdict: 'loose', sizes: { 'nut/width': 2.9 } },
    { what: '1 mm beyond the board', joint: 'nut-in-slot', check: 'length', verdict: 'tight', sizes: { 'nut/length': 43 } },
    { what: '1 mm short of the board', joint: 'nut-in-slot', check: 'length', verdict: 'loose', sizes: { 'nut/length': 41 } },
    { what: 'string slots too narrow', joint: 'nut-in-slot', check: 'slots', verdict: 'tight', sizes: { 'nut/slot.extra': -0.02 } },
    { what: 'string slots too wide', joint: 'nut-in-slot', check: 'slots', verdict: 'loose', sizes: { 'nut/slot.extra': 0.25 } },
  ])
  it('a blank is meant to stand high', () =>
    expect(checkIn(changed(fullBuild(), { 'nut/height': 6.5 }, { 'nut/type': 'blank' }), 'nut-in-slot', 'height').raw.verdict).toBe('snug'))
})

describe('locking nut', () => {
  judgeRows(
    [
      { what: 'its screws meet the holes', joint: 'nut-in-slot', check: 'lock-screws', verdict: 'snug' },
      { what: '1 mm off', joint: 'nut-in-slot', check: 'lock-screws', verdict: 'tight', sizes: { 'neck/nut.screws': 19 } },
      { what: '3 mm off', joint: 'nut-in-slot', check: 'lock-screws', verdict: 'wont-go', sizes: { 'neck/nut.screws': 23 } },
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
    const titles = (way: string) => jointIn(changed(fullBuild(), {}, { 'bridge/notched': way }), 'radii').tables.map((t) => t.title)
    expect(titles('no').join()).toMatch(/Spacing card/)
    expect(titles('yes').join()).not.toMatch(/Spacing card/)
  })
})

describe('break angle at the nut', () => {
  judgeRows([
    {
      what: 'high wraps and no tree',
      joint: 'nut-break',
      check: 'flattest',
      verdict: 'tight',
      sizes: { 'tuners/post.height': 8, 'string-tree/height': 9.5 },
      says: /rattles in its slot/,
      job: /two or three wraps more/,
    },
  ])
  it('the angle by its formula [physics]', () => {
    const b = without(fullBuild(), 'string-tree')
    const [table] = jointIn(b, 'nut-break').tables
    // String 6: first post 33 mm away; slot 9 + 1.1 + 0.5 over the face, wraps 5.
    expect(table!.rows[5]![1]).toBe(`${((Math.atan((10.6 - 5) / 33) * 180) / Math.PI).toFixed(1)}°`)
  })
  it('a tilted head adds its angle and bears steeper strings before they bind', () => {
    const b = without(fullBuild(), 'string-tree')
    const row = (angle: number) =>
      jointIn(changed(b, { 'neck/head.angle': angle, 'neck/head.drop': angle ? 4 : 9 }), 'nut-break').tables[0]!.rows[5]!
    expect(parseFloat(row(13)[1]!)).toBeGreaterThan(12)
    expect(row(13)[2]).toBe('')
    expect(jointIn(changed(b, { 'neck/tuner.first': 18 }), 'nut-break').tables[0]!.rows[5]![2]).toMatch(/^steep/)
  })
})

describe('strings through their holes', () => {
  judgeRows([
    {
      what: 'bridge holes of 1 mm',
      joint: 'strings-through',
      check: 'hole-bridge',
      verdict: 'tight',
      sizes: { 'bridge/string.hole': 1 },
      job: /^Drill the hole in the bridge out to 1\.37/,
    },
    {
      what: 'tuner posts of 1.2 mm',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'tight',
      sizes: { 'tuners/string.hole': 1.2 },
    },
  ])
})

describe('radii', () => {
  judgeRows(
    [
      { what: 'an arch of 305 under a board of 305', joint: 'radii', check: 'radius', verdict: 'snug' },
      {
        what: 'an arch of 180 mm under a board of 305',
        joint: 'radii',
        check: 'radius',
        verdict: 'tight',
        sizes: { 'bridge/saddle.radius': 200 },
      },
    ],
    () => changed(fullBuild(), { 'bridge/saddle.radius': 305 }, { 'bridge/saddles': 'arched' }),
  )
})
