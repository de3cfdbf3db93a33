import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { likelyOf } from '../quantity/distribution'
import { aBuild, aPart, cured, jointIn, type Sizes } from '../testing/bench'
import { BODY, body, neck } from '../testing/caseParts'
import { rowShortfall } from './head/tunerFit'
import { cornerNeeds, cornerOverlap } from './pickups/pickupRoom'

/** Hard moments of real work, with the numbers a bench meets. [practice], sums [physics]. */

const check = (b: Build, id: string, c: string) => jointIn(b, id).checks.find((x) => x.id === c)!

describe('pocket', () => {
  it('about 0.8 mm small: tight, an amount, no hammer', () => {
    const b = aBuild({ body: body({ 'pocket.widthMouth': 55.2 }), neck: neck() })
    const j = jointIn(b, 'pocket-mouth')
    expect(j.verdict).toBe('tight')
    expect(j.cures[0]!.job).toMatch(/^Shave both walls evenly near the mouth, [01]\.\d\d to 1\.\d\d mm/)
    expect(jointIn(cured(b, 'pocket-mouth'), 'pocket-mouth').verdict).toBe('snug')
  })
  it('a dip and chips: record the tilt, scrape, the shim that restores it', () => {
    const j = jointIn(aBuild({ body: body({ 'pocket.dip': 0.5 }), neck: neck() }), 'pocket-depth')
    expect(j.verdict).toBe('tight')
    expect(j.says).toMatch(/shim of 0\.5 mm can bring it back/)
  })
  it('an overhanging board that meets the guard before the heel is down', () => {
    const b = aBuild({
      body: body({ 'pocket.depth': 17.6 }),
      neck: neck({ boardLength: 498, 'board.thickness': 6 }),
      guard: aPart('guard', { thickness: 2.5, 'pot.hole': 9.5 }),
    })
    expect(jointIn(b, 'pocket-depth').says).toMatch(/meets the guard 0\.9 mm before the heel is down/)
    expect(jointIn(cured(b, 'pocket-depth'), 'pocket-depth').verdict).toBe('snug')
  })
  it('a heel-end adjuster without a notch won’t go until there is one', () => {
    const b = (notch: string) => aBuild({ body: body({}, { notch }), neck: neck({}, { truss: 'heel' }) })
    expect(jointIn(b('no'), 'truss-access').verdict).toBe('wont-go')
    expect(jointIn(b('yes'), 'truss-access').verdict).toBe('snug')
  })
  it('neck screws that would come through the board', () => {
    const b = aBuild({
      body: body(),
      neck: neck(),
      'neck-screws': aPart('neck-screws', { count: 4, length: 56, thread: 4.2, root: 3, 'plate.thickness': 1.5 }),
    })
    expect(jointIn(b, 'neck-screws').verdict).toBe('wont-go')
    expect(jointIn(b, 'neck-screws').says).toMatch(/1\.1 mm too long: they would come through/)
    expect(jointIn(cured(b, 'neck-screws'), 'neck-screws').verdict).toBe('snug')
  })
})

describe('pickups', () => {
  const b = (over: number, rc = 0.5) =>
    aBuild({
      body: body({
        'route.neck.centre': 104,
        'route.neck.length': 40,
        'route.neck.width': 90,
        'route.neck.depth': 22,
        'route.neck.radius': 3,
      }),
      guard: aPart('guard', {
        thickness: 2.5,
        'pot.hole': 9.5,
        'opening.neck.centre': 28,
        'opening.neck.length': 36.6,
        'opening.neck.width': 70,
        'opening.neck.radius': 3,
      }),
      'pickup-neck': aPart(
        'pickup-neck',
        { length: 36, width: 70 + over, depth: 18, radius: rc, resistance: [8000, 'meter', 80] },
        { coils: 'two' },
      ),
    })
  it('0.6 mm wider than its opening: tight, amount a side', () => {
    const j = jointIn(b(0.6), 'room-neck')
    expect(j.verdict).toBe('tight')
    expect(j.cures.find((c) => c.id === 'file-width')!.job).toMatch(/0\.35 to 0\.45 mm off each side/)
  })
  it('square corners in a 3 mm radius: 0.73 a side with rc 0.5, 0.59 with rc 1 [physics]', () => {
    expect(cornerNeeds(3, 1)).toBeCloseTo(0.586, 3)
    expect(cornerOverlap(3, 1)).toBeCloseTo(0.828, 3)
    expect(check(b(-0.4), 'room-neck', 'corner').raw.verdict).toBe('tight')
    expect(check(b(-0.4, 3), 'room-neck', 'corner').raw.verdict).toBe('snug')
  })
  it('in a body route film counts: 0.30 raw with 0.12 a wall leaves 0.06', () => {
    const p = aPart(
      'pickup-neck',
      { length: 36, width: 70, depth: 18, resistance: [8000, 'meter', 80] },
      { coils: 'single', mount: 'ring' },
    )
    const wood = aBuild({
      body: body({
        'route.neck.centre': 104,
        'route.neck.length': 36.3,
        'route.neck.width': 70.3,
        'route.neck.depth': 22,
        'route.neck.radius': 1,
      }),
      'pickup-neck': p,
    })
    const film = { ...wood, finish: { ...wood.finish, coats: 5 } }
    const c = check(film, 'room-neck', 'width')
    expect(c.coated!.chances.tight).toBeGreaterThan(c.raw.chances.tight)
  })
  it('screws that reach the wood by only 1 mm', () => {
    const j = jointIn(
      aBuild({
        body: body({
          'route.neck.centre': 104,
          'route.neck.length': 36.8,
          'route.neck.width': 86.8,
          'route.neck.depth': 20,
          'route.neck.radius': 1,
        }),
        'pickup-neck': aPart(
          'pickup-neck',
          { length: 36, width: 86, depth: 13, 'screw.length': 14, 'screw.diameter': 3, travel: 6, resistance: [7600, 'meter', 76] },
          { coils: 'single', mount: 'body' },
        ),
      }),
      'room-neck',
    )
    expect(j.verdict).toBe('tight')
    expect(j.says).toMatch(/only 1 mm; they want 4\.5/)
    expect(j.cures.find((c) => c.id === 'longer-screws')!.job).toMatch(/at least 18 mm long/)
  })
})

describe('rings and neighbours', () => {
  const ringed = (foot: string, top: string, low: number, high: number) =>
    aBuild({
      body: body({ 'route.neck.centre': 104 }, { top }),
      'pickup-neck': aPart('pickup-neck', { length: 38, width: 69.5, resistance: [8000, 'meter', 80] }, { coils: 'two', mount: 'ring' }),
      'ring-neck': aPart('ring-neck', { length: 38.9, width: 70.2, 'height.neckSide': low, 'height.bridgeSide': high }, { foot }),
    })
  it('a flat foot on an arched top, or a ring the wrong way round', () => {
    expect(jointIn(ringed('flat', 'arched', 4, 5), 'room-neck').says).toMatch(/A flat foot on an arched top/)
    expect(jointIn(ringed('curved', 'arched', 6, 4), 'room-neck').cures[0]!.job).toBe('Turn the ring round.')
    expect(jointIn(ringed('curved', 'arched', 4, 6), 'room-neck').verdict).toBe('snug')
  })
  it('pots whose bodies meet', () => {
    const at = (x: number) =>
      aBuild({
        body: body(),
        guard: aPart('guard', { thickness: 2.5, 'pot.hole': 9.5, 'volume.x': 190, 'volume.y': -66, 'tone.x': 190 + x, 'tone.y': -66 }),
        bridge: aPart('bridge', { spread: 52, 'height.min': 9, 'height.max': 16 }, { mount: 'two-stud' }),
        'pot-volume': aPart('pot-volume', { resistance: [500e3, 'meter', 5e3], 'body.diameter': 24 }, { taper: 'audio' }),
        'pot-tone': aPart('pot-tone', { resistance: [500e3, 'meter', 5e3], 'body.diameter': 24 }, { taper: 'audio' }),
      })
    expect(jointIn(at(22), 'control-reach').verdict).toBe('wont-go')
    expect(jointIn(at(40), 'control-reach').verdict).toBe('snug')
  })
})

describe('pots and holes', () => {
  const through = (length: number, thickness: number, where: 'guard' | 'body', hole = 9.6) =>
    aBuild({
      body: body({ 'control.depth': 38, 'pot.hole': hole, 'control.top': thickness }),
      ...(where === 'guard' ? { guard: aPart('guard', { thickness, 'pot.hole': hole }) } : {}),
      'pot-volume': aPart(
        'pot-volume',
        {
          resistance: [500e3, 'meter', 5e3],
          'bushing.diameter': 9.5,
          'bushing.length': length,
          'nut.thickness': 2.2,
          'washer.thickness': 0.6,
        },
        { taper: 'audio' },
      ),
    })
  it('19 mm through a 2.5 mm guard: nuts to add', () => {
    const j = jointIn(through(19, 2.5, 'guard'), 'pot-volume')
    expect(j.verdict).toBe('wont-go')
    expect(check(through(19, 2.5, 'guard'), 'pot-volume', 'thread').cures[0]!.job).toMatch(/6 inner nuts/)
  })
  it('9.5 mm through a 16 mm top: wrong the other way, the depth to rout', () => {
    const c = check(through(9.5, 16, 'body'), 'pot-volume', 'thread')
    expect(c.raw.verdict).toBe('wont-go')
    expect(likelyOf(c.clearance)).toBeCloseTo(-9.3, 6)
    expect(c.cures.find((x) => x.id === 'thin-top')!.job).toMatch(/from inside to 5\.7 mm/)
  })
  it('8.0 for 9.5 bushings: ream from both faces', () => {
    const c = check(through(9.5, 3, 'guard', 8), 'pot-volume', 'hole')
    expect(c.raw.verdict).toBe('tight')
    expect(c.cures[0]!.job).toMatch(/from 8 to 9\.7 mm/)
    expect(c.cures[0]!.how).toMatch(/both faces.*cone/)
  })
  it('a jack wider than the passage: thread first, solder after', () => {
    const b = aBuild({ body: body({ 'jack.bore': 9.8, 'passage.diameter': 9 }), jack: aPart('jack', { bore: 9.5, width: 21 }) })
    expect(jointIn(b, 'jack').cures[0]!.job).toMatch(/Thread the wires first/)
  })
})

describe('guard', () => {
  const fit = (guard: Sizes, seller = 'b') =>
    aBuild({
      body: aPart(
        'body',
        {
          ...BODY,
          'route.neck.centre': 104,
          'route.neck.length': 37,
          'route.neck.width': 90,
          'route.bridge.centre': 216,
          'route.bridge.length': 37,
          'route.bridge.width': 90,
        },
        { wood: 'alder' },
        { seller: 'a' },
      ),
      guard: aPart(
        'guard',
        { thickness: 2.5, 'pot.hole': 9.5, 'opening.neck.length': 36.5, 'opening.bridge.length': 36.5, ...guard },
        {},
        { seller },
      ),
      'pickup-neck': aPart('pickup-neck', { length: 36, width: 70, resistance: [8000, 'meter', 80] }, { coils: 'two' }),
      'pickup-bridge': aPart('pickup-bridge', { length: 36, width: 70, resistance: [8000, 'meter', 80] }, { coils: 'two' }),
    })
  it.each([5, 5.8, 8])(
    'openings %f mm closer together than the routes: no shift cures it, which edge and how much, or another guard',
    (off) => {
      const j = jointIn(fit({ 'opening.neck.centre': 28 + off, 'opening.bridge.centre': 140 }), 'guard-openings')
      expect(j.verdict).toBe('wont-go')
      expect(j.says).toMatch(/No shift cures it/)
      expect(j.cures[0]!.job).toMatch(/neck opening, neck side: \d(\.\d)? mm/)
      expect(j.cures.map((c) => c.id)).toContain('other-guard')
    },
  )
  it('the same known only from listings of two sellers: can’t tell, never snug', () => {
    const j = jointIn(fit({ 'opening.neck.centre': [28, 'listed', 0.1], 'opening.bridge.centre': [140, 'listed', 0.1] }), 'guard-openings')
    expect(j.verdict).toBe('cant-tell')
    expect(j.says).toMatch(/Measure opening to opening/)
    expect(j.settles).toBeDefined()
  })
})

describe('tuners and nut', () => {
  it('six of 24.65 on 24.5 with 0.1 play: 0.65 too much, 0.07 a face [physics]', () => {
    const r = rowShortfall(6, 24.65, 24.5, 0.1)
    expect(r.total).toBeCloseTo(0.65, 9)
    expect(r.perFace).toBeCloseTo(0.065, 9)
  })
  it('six of 24.6 on 24.5, 0.1 play: 0.4 in all, 0.04 a face; 0.05 with no play [physics]', () => {
    expect(rowShortfall(6, 24.6, 24.5, 0.1).total).toBeCloseTo(0.4, 9)
    expect(rowShortfall(6, 24.6, 24.5, 0.1).perFace).toBeCloseTo(0.04, 9)
    expect(rowShortfall(6, 24.6, 24.5, 0).perFace).toBeCloseTo(0.05, 9)
  })
  it('wider than the pitch: deburr first, then so much off each face', () => {
    const b = aBuild({
      neck: neck({ 'tuner.pitch': [24.5, 'calipers', 0.02], 'tuner.bore': [8.8, 'calipers', 0.02] }),
      tuners: aPart('tuners', {
        count: 6,
        'housing.width': [24.65, 'calipers', 0.02],
        bushing: [8.75, 'calipers', 0.02],
        'screw.length': 9,
        'screw.thread': 2.2,
        'screw.root': 1.6,
      }),
    })
    const j = jointIn(b, 'tuner-row')
    expect(j.verdict).toBe('tight')
    expect(j.cures.map((c) => c.id)).toEqual(['deburr', 'file-flanges'])
    expect(jointIn(cured(b, 'tuner-row', 1), 'tuner-row').verdict).toBe('snug')
  })
  it('a nut blank 1.2 mm too low: shim or new', () => {
    const b = aBuild({
      neck: neck({ 'nut.slotDepth': 3.6 }),
      nut: aPart('nut', { spread: 35, slot: 0.5, height: 2.8 }, { type: 'slotted' }),
    })
    const j = jointIn(b, 'nut-in-slot')
    expect(j.verdict).toBe('tight')
    expect(j.says).toMatch(/1\.2 mm too low/)
    expect(j.cures.map((c) => c.id)).toEqual(['shim-nut', 'new-nut'])
    expect(jointIn(cured(b, 'nut-in-slot'), 'nut-in-slot').verdict).toBe('snug')
  })
  it('a string that rattles in its slot: lower wraps, or a tree', () => {
    const b = aBuild({
      neck: neck({ 'head.drop': 8, 'tuner.first': 33, 'tuner.pitch': 25.4 }),
      nut: aPart('nut', { spread: 35, slot: 0.5 }),
      tuners: aPart('tuners', { count: 6, 'post.height': 6, 'screw.length': 9, 'screw.thread': 2.2, 'screw.root': 1.6 }),
    })
    expect(jointIn(b, 'nut-break').cures.map((c) => c.id)).toEqual(['lower-wraps', 'string-tree'])
  })
  it('a tuner screw that comes through the headstock’s face', () => {
    const b = aBuild({
      neck: neck({ 'tuner.bore': 10 }),
      tuners: aPart('tuners', {
        count: 6,
        bushing: 9.9,
        'screw.length': 16,
        'screw.thread': 2.2,
        'screw.root': 1.6,
        'plate.thickness': 1.2,
      }),
    })
    expect(check(b, 'tuner-bore', 'screw').raw.verdict).toBe('wont-go')
  })
})
