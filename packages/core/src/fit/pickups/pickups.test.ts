import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { aPart, jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
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
      job: 'Deepen the route by 4.5 mm.',
      sizes: { 'body/route.neck.depth': 14 },
    },
    {
      what: 'far deeper than its route',
      joint: 'room-neck',
      check: 'depth',
      verdict: 'wont-go',
      says: 'Run down it needs 17 mm and the route is 5 mm deep: it cannot be lowered far enough.',
      job: 'Deepen the route by 13.5 mm.',
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

describe('a pickup that hangs in the wood', () => {
  const inWood = (): Build => {
    const b = changed(
      without(fullBuild(), 'guard', 'shielding'),
      {
        'body/route.neck.width': 70,
        'body/route.neck.length': 36.6,
        'pickup-neck/screw.length': 22,
        'pickup-neck/screw.diameter': 3,
        'pickup-neck/travel': 5,
      },
      { 'pickup-neck/mount': 'body' },
    )
    return b
  }
  judgeRows(
    [
      {
        what: 'screws hold 12 mm of wood',
        joint: 'room-neck',
        check: 'bite',
        verdict: 'snug',
        says: 'At the highest setting the screws still hold 12 mm of wood.',
      },
      {
        what: 'screws reach the wood by 1 mm',
        joint: 'room-neck',
        check: 'bite',
        verdict: 'tight',
        job: 'Take height screws at least 15 mm long.',
        sizes: { 'pickup-neck/screw.length': 11 },
        says: /only 1 mm; they want 4\.5/,
      },
      {
        what: 'screws hang in the air',
        joint: 'room-neck',
        check: 'bite',
        verdict: 'wont-go',
        says: 'At the highest setting the screws reach the wood by only 0 mm; they want 4.5.',
        job: 'Glue a block of the same wood on the route’s floor under each ear.',
        sizes: { 'pickup-neck/screw.length': 9 },
      },
    ],
    inWood,
  )
})

describe('pickup rings', () => {
  const ringed = (): Build => ({
    ...changed(without(fullBuild(), 'guard'), {}, { 'pickup-neck/mount': 'ring', 'body/top': 'arched' }),
    parts: {
      ...changed(without(fullBuild(), 'guard'), {}, { 'pickup-neck/mount': 'ring', 'body/top': 'arched' }).parts,
      'ring-neck': aPart(
        'ring-neck',
        { length: 36.8, width: 70, radius: 1.5, 'height.neckSide': 4, 'height.bridgeSide': 5 },
        { foot: 'curved' },
      ),
    },
  })
  judgeRows(
    [
      {
        what: 'a flat foot on an arched top',
        joint: 'room-neck',
        check: 'ring',
        verdict: 'tight',
        job: 'Take a ring with a curved foot.',
        traits: { 'ring-neck/foot': 'flat' },
        says: /flat foot on an arched top/,
      },
      {
        what: 'tall side to the neck',
        joint: 'room-neck',
        check: 'ring',
        verdict: 'tight',
        says: 'The ring is the wrong way round: its lower side belongs towards the neck.',
        sizes: { 'ring-neck/height.neckSide': 6 },
        job: /Turn the ring round/,
      },
      { what: 'the right way round', joint: 'room-neck', check: 'ring', verdict: 'snug', says: 'The ring’s foot and way round are right.' },
    ],
    ringed,
  )
})

describe('poles under strings', () => {
  judgeRows([
    {
      what: '4 mm narrower than the strings there',
      joint: 'poles-bridge',
      check: 'poles',
      verdict: 'tight',
      job: 'Leave it: outer strings sound a little weaker over missed poles.',
      sizes: { 'pickup-bridge/poles.spread': 46 },
      says: /outside the outer poles/,
    },
    {
      what: '9 mm wider',
      joint: 'poles-neck',
      check: 'poles',
      verdict: 'wont-go',
      says: 'The outer strings pass 4.3 mm inside the outer poles.',
      job: 'Leave it: outer strings sound a little weaker over missed poles.',
      sizes: { 'pickup-neck/poles.spread': 57 },
    },
    {
      what: 'turned round',
      joint: 'poles-neck',
      check: 'bass-side',
      verdict: 'tight',
      says: 'The neck pickup sits turned round: its bass end is under the high strings.',
      traits: { 'pickup-neck/bassSide': 'turned' },
      job: /Turn the neck pickup round/,
    },
    {
      what: 'marked and the right way',
      joint: 'poles-neck',
      check: 'bass-side',
      verdict: 'snug',
      says: 'Its bass end lies under the low strings.',
      traits: { 'pickup-neck/bassSide': 'marked' },
    },
  ])
  it('a blade does not care', () =>
    expect(
      jointIn(changed(fullBuild(), { 'pickup-bridge/poles.spread': 42 }, { 'pickup-bridge/poles': 'blade' }), 'poles-bridge').verdict,
    ).toBe('snug'))
  it('a slanted row is narrower across: spread times the cosine [physics]', () => {
    const off = (slant: number) => checkIn(changed(fullBuild(), { 'pickup-bridge/slant': slant }), 'poles-bridge', 'poles').shown![0]!.mean
    expect(off(20) - off(0)).toBeCloseTo((51 * (1 - Math.cos((20 * Math.PI) / 180))) / 2, 9)
    expect(off(-20)).toBeCloseTo(off(20), 12)
  })
})

describe('guard on body', () => {
  judgeRows([
    {
      what: 'neck opening 4 mm too near the bridge',
      joint: 'guard-openings',
      check: 'openings',
      verdict: 'tight',
      says: 'No shift cures it: with the guard in its best place the neck opening still lacks 1 mm.',
      sizes: { 'guard/opening.neck.centre': 34.4 },
      job: /^File the guard: neck opening, neck side/,
    },
    {
      what: 'neck opening 6 mm too near the bridge',
      joint: 'guard-openings',
      check: 'openings',
      verdict: 'wont-go',
      job: 'File the guard: neck opening, neck side: 3.9 mm.',
      sizes: { 'guard/opening.neck.centre': 37 },
      says: /No shift cures it/,
    },
    {
      what: 'bridge opening 6 mm to the bass side',
      joint: 'guard-openings',
      check: 'openings',
      verdict: 'tight',
      says: 'No shift cures it: with the guard in its best place the bridge opening still lacks 0.6 mm.',
      sizes: { 'guard/opening.bridge.side': 5.8 },
      job: /treble side/,
    },
    {
      what: 'all a little to the tail',
      joint: 'guard-openings',
      check: 'openings',
      verdict: 'snug',
      sizes: { 'body/pocket.length': 75.5 },
      says: /All pickups pass/,
    },
    {
      what: 'cut-out narrower than the heel',
      joint: 'guard-cover',
      check: 'neck-cut',
      verdict: 'tight',
      says: 'The neck cut-out is 0.85 mm narrower than the heel.',
      job: 'File the guard’s neck cut-out, 0.58 mm each side.',
      sizes: { 'guard/neck.width': 55.5 },
    },
    {
      what: 'cut-out much wider than the heel',
      joint: 'guard-cover',
      check: 'neck-cut',
      verdict: 'loose',
      says: 'The neck cut-out is 3.15 mm wider than the heel.',
      job: 'none',
      sizes: { 'guard/neck.width': 59.5 },
    },
    {
      what: 'edge under the bridge plate',
      joint: 'guard-cover',
      check: 'bridge-edge',
      verdict: 'tight',
      says: 'The guard’s edge meets the bridge plate: 2.5 mm has to go.',
      sizes: { 'guard/bridge.edge': 175 },
      job: /^Trim the guard/,
    },
    {
      what: 'a screw 1 mm from a route',
      joint: 'guard-cover',
      check: 'screws',
      verdict: 'tight',
      says: 'A guard screw lands 1 mm from a route; the wood there splits out under 3 mm.',
      job: 'Glue a block into the route’s corner so that 6 mm of wood stand beside that screw, or leave the screw out.',
      sizes: { 'guard/screw.edge': 1 },
    },
    {
      what: 'a screw in the route',
      joint: 'guard-cover',
      check: 'screws',
      verdict: 'wont-go',
      says: 'A guard screw lands 0 mm from a route; the wood there splits out under 3 mm.',
      job: 'Glue a block into the route’s corner so that 6 mm of wood stand beside that screw, or leave the screw out.',
      sizes: { 'guard/screw.edge': 0 },
    },
    {
      what: 'volume against the route’s wall',
      joint: 'guard-cover',
      check: 'in-route-volume',
      verdict: 'tight',
      job: 'Take a volume pot with a smaller body, or turn its lugs into the room there is.',
      sizes: { 'guard/volume.y': -60 },
      says: /within 0 mm of the control route’s wall/,
    },
    {
      what: 'tone outside the route',
      joint: 'guard-cover',
      check: 'in-route-tone',
      verdict: 'wont-go',
      says: /^The tone pot’s shaft stands [\d.]+ mm outside the control route: /,
      job: 'Read the place of the tone pot’s hole and of the control route again; if both are right, take another guard.',
      sizes: { 'guard/tone.x': 280 },
    },
  ])
  it('the other school opens the wood, and is not offered where it would break into the pocket', () => {
    const tail = changed(fullBuild(), { 'guard/opening.neck.centre': 34.4 })
    expect(jointIn(tail, 'guard-openings').cures.map((c) => c.id)).toContain('open-route-neck')
    // An opening too near the neck wants the route opened towards the pocket, which lies 11 mm away.
    const neck = changed(fullBuild(), { 'guard/opening.neck.centre': 17 })
    const j = jointIn(neck, 'guard-openings')
    expect(j.cures.map((c) => c.id)).not.toContain('open-route-neck')
    expect(j.cures.at(-1)!.how).toMatch(/would break into the pocket/)
  })
  it('the table: how each opening lies, what goes and what gap then shows', () => {
    const [table] = jointIn(changed(fullBuild(), { 'guard/opening.neck.centre': 35 }), 'guard-openings').tables
    expect(table!.rows.map((r) => r[0])).toEqual(['neck', 'middle', 'bridge'])
    expect(table!.rows[0]![3]).toMatch(/^neck side \d/)
    expect(table!.rows[1]![3]).toBe('nothing')
    const [filed, gap] = [/[\d.]+$/.exec(table!.rows[0]![3]!)!, /^[\d.]+/.exec(table!.rows[0]![4]!)!].map(Number) as [number, number]
    // The gap is what was filed and the 0.8 mm the opening was larger than its cover.
    expect(gap).toBeCloseTo(filed + 0.8, 1)
  })
  it('known by two sellers’ listings it is never snug; one seller’s drawing is nearly trusted', () => {
    const listed = (seller: string) => {
      const b = structuredClone(fullBuild())
      for (const [key, s] of Object.entries(b.parts.guard!.sizes))
        if (key.startsWith('opening.')) b.parts.guard!.sizes[key] = { ...s, known: 'listed', doubt: 0.2 }
      for (const [key, s] of Object.entries(b.parts.body!.sizes))
        if (key.startsWith('route.')) b.parts.body!.sizes[key] = { ...s, known: 'listed', doubt: 0.2 }
      b.parts.guard!.seller = seller
      return jointIn(b, 'guard-openings')
    }
    expect(listed('b').verdict).toBe('cant-tell')
    expect(listed('b').says).toMatch(/Measure opening to opening/)
    expect(listed('a').verdict).toBe('snug')
  })
  it('nothing known of the openings: says what to measure', () => {
    const j = jointIn(changed(fullBuild(), { 'guard/opening.neck.centre': undefined }), 'guard-openings')
    expect(j.verdict).toBe('cant-tell')
    expect(j.settles).toEqual({ slot: 'guard', size: 'opening.neck.centre' })
  })
})

describe('shields', () => {
  judgeRows([
    {
      what: 'nothing joins them',
      joint: 'shields-meet',
      check: 'closed',
      verdict: 'tight',
      says: 'The box is open: the cavity is not lined, nothing joins the two.',
      job: 'Line both and join them: a tab of foil folded over the cavity’s edge, or a wire.',
      traits: { 'shielding/tab': 'none', 'body/shield': 'none' },
    },
  ])
})
