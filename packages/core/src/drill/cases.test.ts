import { untold } from '../testing/anyBuild'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { fretPlace } from '../physics/frets'
import { tipCone } from '../physics/pilot'
import { aBuild, aPart } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { recessGuards, straightChance } from './cards/strings'
import { onTheWay } from './cards/passage'
import { angleWords, squareToRim } from './cards/rim'
import { routerPair, templateOffset } from './cards/router'
import { screwPlaces } from './cards/tuners'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())
/** The same with no stud bores in the body. */
const blank = () => changed(full(), { 'body/studBore': undefined, 'body/studBoreDepth': undefined }, { 'body/bored.studs': 'none' })
const guardOf = (build: Build, id: string, guard: string) => card(build, id).guards.find((g) => g.id === guard)

describe('what is there is measured, what is planned is drilled', () => {
  // Bushing 10.0 in a bore of 9.9: 0.1 larger, taps in.
  it('studs already bored: nothing is drilled', () => {
    const c = card(full(), 'stud-bores')
    expect([c.work, c.stands]).toEqual(['keep', 'ready'])
    expect(c.says).toMatch(/0\.1 mm larger: nothing is drilled/)
    expect(c.steps.join(' ')).not.toMatch(/drill/)
  })
  // 10.3 - 10.0 = 0.3 mm too large for a press of at most 0.17: opened to 10.15 ... 10.25, for which no half-millimetre bit will do.
  it('a bushing 0.3 mm over its bore is not ready: the bore is opened to 0.1 under the bushing', () => {
    const c = card(changed(full(), { 'body/studBore': 10, 'bridge/studDiameter': 10.3 }), 'stud-bores')
    expect([c.work, c.stands, c.bit]).toEqual(['ream', 'mind', 10.2])
    expect(c.says).toMatch(/10 mm, and the bushings 10\.3: driven in, they split the wood/)
  })
  it('a bore wider than its bushing is not drilled either: it is wrapped', () => {
    const c = card(changed(full(), { 'body/studBore': 10.2 }), 'stud-bores')
    expect([c.work, c.stands]).toEqual(['keep', 'mind'])
    expect(c.says).toMatch(/0\.2 mm wider than the bushings.*wrap/)
  })
  // Body 74, bridge 78: the bores cannot be used.
  it('bores of another pattern are plugged and made anew, at the bridge’s own spacing', () => {
    const c = card(changed(full(), { 'bridge/studSpacing': 78 }), 'stud-bores')
    expect(c.work).toBe('plug')
    expect(c.places.map((p) => p.y).toSorted((a, b) => a - b)).toEqual([-39, 39])
    expect(c.says).toMatch(/74 mm apart and it wants 78/)
  })
  // A tailpiece of 82 mm over bores 84 apart; what is there stands where the body has it, not where the tailpiece would.
  it('a tailpiece’s bores are compared with its own studs, and lie where they are', () => {
    const tail = (spacing: number | undefined) => {
      const b = changed(
        full(),
        { 'body/tail.toBridge': 45, 'body/tail.bore': 11.4, ...(spacing ? { 'body/tail.spacing': spacing } : {}) },
        { 'bridge/mount': 'post' },
      )
      const tailpiece = aPart('tailpiece', { studSpacing: 82, studDiameter: 11.5, studLength: 22, height: 12 }, { type: 'stop' })
      return card({ ...b, parts: { ...b.parts, tailpiece } }, 'tail-bores')
    }
    expect([tail(84).work, tail(84).says]).toEqual(['plug', expect.stringMatching(/84 mm apart and it wants 82/)])
    expect([tail(82.2).work, ...tail(82.2).places.map((p) => Math.abs(p.y))]).toEqual(['keep', 41.1, 41.1])
    expect([tail(undefined).stands, tail(undefined).missing]).toEqual(['waiting', [{ slot: 'body', size: 'tail.spacing' }]])
  })
  it('nobody has said whether it is there: the card asks, and drills nothing', () => {
    const b = changed(full(), { 'body/studBore': undefined })
    delete b.parts.body!.traits['bored.studs']
    const c = card(b, 'stud-bores')
    expect([c.work, c.stands]).toEqual([undefined, 'waiting'])
    expect(c.untold).toEqual([{ slot: 'body', trait: 'bored.studs' }])
  })
  // 10.0 - 0.15 ... 0.05 = 9.85 ... 9.95: none of 1, 1.5 ... 13.
  it('a bore for a 10 mm bushing wants 9.9 and no half-millimetre bit is that: get it; with one it is ready', () => {
    const c = card(blank(), 'stud-bores')
    expect([c.work, c.stands, c.bit]).toEqual(['new', 'mind', 9.9])
    expect(c.says).toMatch(/get 9\.9 mm before you drill/)
    const owned = card(blank(), 'stud-bores', { ...USUAL_BENCH, bits: [...USUAL_BENCH.bits, 9.9] })
    expect([owned.stands, owned.depth! + tipCone(9.9)]).toEqual(['ready', owned.flag])
  })
  // The heel's screws go through the pocket's floor: how thick that will be is not there to measure.
  it('a card that hangs on another hole says that it is made first, and asks for nothing; its guards say the same', () => {
    const bare = changed(
      full(),
      { 'body/pocket.depth': undefined, 'body/pocket.length': undefined },
      { 'body/routed.pocket': 'none', 'body/bored.neck': 'none' },
    )
    expect(card(bare, 'neck-clearance').says).toBe('Not made yet: pocket depth (body); the cards under Drill say how.')
    const studs = card(changed(bare, { 'body/studBore': undefined }, { 'body/bored.studs': 'none' }), 'stud-bores')
    expect(studs.guards.find((g) => g.id === 'window')!.says).toMatch(/^Not checked\. Not made yet: pocket length/)
    const routed = { ...bare, steps: { 'drill-route-pocket': { done: '2026-11-28T19:00:00Z' } } }
    expect(card(routed, 'neck-clearance').says).toBe('Not known yet: pocket depth (body).')
  })
  it('a guess is no size: an assumed bushing is asked for', () => {
    const b = blank()
    const assumed = { ...b.parts.bridge!.sizes, studDiameter: { value: 10, doubt: 1, known: 'assumed' as const } }
    const c = card({ ...b, parts: { ...b.parts, bridge: { ...b.parts.bridge!, sizes: assumed } } }, 'stud-bores')
    expect([c.stands, c.missing]).toEqual(['waiting', [{ slot: 'bridge', size: 'studDiameter' }]])
  })
  it('pilots that are there are tried by hand, and no flag is given', () => {
    const c = card(changed(full(), {}, { 'neck/pilots': 'drilled' }), 'neck-screws')
    expect([c.work, c.flag, c.bit]).toEqual(['keep', undefined, undefined])
    expect(c.steps[0]).toMatch(/^the neck clamped home in its pocket, on its axis, looked at through the body’s holes: each hole lies/)
  })
  it('holes that are there are laid under what comes over them, each said in its own way', () => {
    const told: Record<string, readonly [string, RegExp]> = {
      'guard-screws': ['body/bored.guard', /^the guard laid on/],
      'claw-screws': ['body/bored.claw', /^the claw held level/],
      'tuner-screws': ['neck/bored.tunerScrews', /looked at through its ears: each/],
    }
    for (const [id, [trait, over]] of Object.entries(told)) {
      const c = card(changed(full(), {}, { [trait]: 'drilled' }), id)
      expect([c.work, c.steps[0]]).toEqual(['keep', expect.stringMatching(over)])
      expect(c.steps[1]).toMatch(/dowel.*drilled anew/)
    }
    expect(card(changed(full(), {}, { 'body/bored.neck': 'drilled' }), 'neck-clearance').says).toMatch(/plate or the bushings laid on/)
    // One screw by itself lies under nothing.
    expect(card(changed(full(), {}, { 'body/bored.buttons': 'drilled' }), 'strap-buttons').steps).toEqual([])
  })
  it('a hole ticked off is done', () =>
    expect(card({ ...full(), steps: { 'drill-guard-screws': { done: '2026-11-20T19:00:00Z' } } }, 'guard-screws').stands).toBe('done'))
})

describe('pilots by the wood at hand', () => {
  it('a 4.2 mm neck screw in hard maple: 2.7 mm, and the words, the steps and the size are that one value', () => {
    const c = card(full(), 'neck-screws')
    expect([c.bit, c.size, c.stands]).toEqual([2.7, '2.7', 'mind'])
    expect(c.says).toMatch(/2\.7 mm bit is 90 % of the 3 mm root/)
    expect(c.steps.filter((s) => /2\.7 mm/.test(s))).toHaveLength(2)
    expect(card(full(), 'neck-screws', { ...USUAL_BENCH, bits: [...USUAL_BENCH.bits, 2.7] }).stands).toBe('ready')
  })
  it('an unknown wood is asked for: a band and the scrap test, never one number', () => {
    const b = full()
    delete b.parts.neck!.traits.wood
    const c = card(b, 'neck-screws')
    expect([c.stands, c.size]).toEqual(['mind', '2.1–2.7'])
    expect(c.untold).toEqual([{ slot: 'neck', trait: 'wood' }])
    expect(c.says).toMatch(/Nobody has said what wood/)
  })
  // 45 - (1.5 + 44.2 - 15.9) = 15.2 mm bite; heel 25.4: 10.2 mm stay beyond the tip.
  // An old row 4 mm in front: 4 - (4 + 3.5)/2 = 0.25 mm of wood where they are in line.
  it('bridge screws beside the holes of an earlier bridge: plug those in line first', () => {
    const b = changed(full(), { 'body/oldHoles.front': 4, 'body/oldHoles.back': 30 }, { 'bridge/mount': 'screws' })
    expect(guardOf(b, 'bridge-screws', 'old-front')!.verdict).toBe('tight')
    expect(guardOf(b, 'bridge-screws', 'old-front')!.spare!.value).toBeCloseTo(0.25, 9)
    expect(guardOf(b, 'bridge-screws', 'old-back')!.verdict).toBe('snug')
  })
  // (38 - 4.2 - 7)/2 = 13.4; at 10 mm apart (10 - 4.2 - 7)/2 is nothing.
  it('neck screws stay out of the truss rod’s channel', () => {
    expect(guardOf(full(), 'neck-screws', 'rod')!.spare!.value).toBeCloseTo(13.4, 9)
    expect(guardOf(changed(full(), { 'neck-screws/spread.across': 20 }), 'neck-screws', 'rod')!.verdict).toBe('snug')
    expect(guardOf(changed(full(), { 'neck-screws/spread.across': 10.5, 'neck-screws/thread': 4.2 }), 'neck-screws', 'rod')?.verdict).toBe(
      'wont-go',
    )
  })
  // Screw 18 through a nut of 3.95: 14.05 bite; neck 21 - 3.4 = 17.6: 3.55 mm stay under the tip.
  it('a locking nut’s screws stop before the back of the neck', () => {
    const locking = changed(full(), { 'nut/screw.length': 18 }, { 'nut/type': 'locking' })
    expect(guardOf(locking, 'nut-screws', 'tip')!.spare!.value).toBeCloseTo(3.55, 6)
    expect(card(changed(locking, { 'nut/screw.length': 24 }), 'nut-screws').stands).toBe('refused')
    expect(card(full(), 'nut-screws')).toBeUndefined()
  })
  // Thread 6: 6.5 to 7.5, a 7 mm bit, through 44.2 - 15.9 = 28.3.
  it('a tilt screw is reached through a hole it turns freely in; a neck without one has no such hole', () => {
    const tilt = card(changed(full(), {}, { 'neck/tiltScrew': 'screw' }), 'tilt-hole')
    expect([tilt.work, tilt.bit]).toEqual(['new', 7])
    expect(tilt.says).toMatch(/28\.3 mm/)
    expect(card(full(), 'tilt-hole')).toBeUndefined()
  })
  it('the tip of a neck screw stays 3 mm under the board', () => {
    expect(guardOf(full(), 'neck-screws', 'tip')!.spare!.value).toBeCloseTo(10.2, 6)
    const long = card(changed(full(), { 'neck-screws/length': 56 }), 'neck-screws')
    expect(long.stands).toBe('refused')
    expect(long.says).toMatch(/0\.8 mm too long: it would come out of the board/)
  })
})

describe('tuner screws', () => {
  const head = (thickness: number, length = 12) => changed(full(), { 'neck/head.thickness': thickness, 'tuners/screw.length': length })
  // 13.5 - 2.5 (and the 0.05 nobody is sure of) = 10.95 to the tip; two thirds of 12 is 8; cone 0.75/tan 59 = 0.45: flag 8.45.
  it('a 12 mm screw in a 13.5 mm headstock: pilot two thirds, the screw’s tip 2.7 mm under the face', () => {
    const c = card(head(13.5), 'tuner-screws')
    expect(c.depth).toBeCloseTo(8, 9)
    expect(c.flag).toBeCloseTo(8.45, 2)
    expect(guardOf(head(13.5), 'tuner-screws', 'tip')!.spare!.value).toBeCloseTo(13.5 - (12 - 1.2), 9)
    expect(c.stands).toBe('ready')
  })
  it('one that would come through the face is refused', () => {
    const c = card(head(13.5, 16), 'tuner-screws')
    expect([c.stands, c.says]).toEqual(['refused', expect.stringMatching(/1\.3 mm too long: it would come out of the headstock’s face/)])
  })
  // The row leaves the nut at 13 degrees towards the treble: 9 mm along it is 9 cos 13 = 8.77 away from the nut and 9 sin 13 = 2.02 across.
  it('stand beside their posts along the row, as far as the tuner says, never half of it', () => {
    const [screw] = screwPlaces(full()).places
    expect(screw!.x).toBeCloseTo(-33 - 9 * Math.cos((13 * Math.PI) / 180), 6)
    expect(screw!.y).toBeCloseTo(18 - 9 * Math.sin((13 * Math.PI) / 180), 6)
    expect(Math.hypot(screw!.x + 33, screw!.y - 18)).toBeCloseTo(9, 9)
    // Bore 10, thread 2.2: 9 - 6.1 = 2.9 mm of wood to the post's bore.
    expect(guardOf(full(), 'tuner-screws', 'post')!.spare!.value).toBeCloseTo(2.9, 9)
  })
  it('one so near its post that its pilot would break into the bore is refused', () => {
    expect(card(changed(full(), { 'tuners/screw.offset': 5.5 }), 'tuner-screws').stands).toBe('refused')
  })
  it('two rows: away from the nut is along the head, the middle is inwards on either side', () => {
    const b = changed(full(), { 'tuners/screw.side': 2, 'tuners/screw.offset': 9, 'neck/tuner.offset': 22 }, { 'neck/head': 'two-rows' })
    const places = screwPlaces(b).places
    expect(places[0]).toEqual(pt(-33 - 9, 20))
    // The third string's post is the furthest of its side, the first string's the nearest.
    expect(places[5]).toEqual(pt(-33 - 9, -20))
    expect(places[3]!.x).toBeCloseTo(-33 - 2 * 25.4 - 9, 9)
  })
  // Screws 9 mm behind posts 25.4 apart: 16.4 mm to the next post; at a pitch of 14 and an offset of 12 it is 2 mm from it.
  it('a screw that falls into the neighbour’s bore is refused', () => {
    const b = changed(full(), { 'neck/tuner.pitch': 14, 'tuners/screw.offset': 12 })
    expect(guardOf(b, 'tuner-screws', 'near-tuner-bores')?.verdict).toBe('wont-go')
  })
})

describe('places from two things within reach, which agree', () => {
  it('from the mouth and from fret 12 it is the same place, for any scale and any pocket', () =>
    fc.assert(
      fc.property(
        fc.double({ min: 600, max: 780, noNaN: true }),
        fc.double({ min: 60, max: 110, noNaN: true }),
        fc.double({ min: 230, max: 330, noNaN: true }),
        (scale, pocket, studs) => {
          const b = changed(blank(), { 'neck/scale': scale, 'body/pocket.length': pocket, 'body/mouthToBridge': studs })
          const c = card(b, 'stud-bores')
          if (c.stands === 'waiting') return
          const fromMouth = Number(/^([\d.]+) mm from the pocket/.exec(c.from[0]!)![1])
          const [, fret12, way] = /([\d.]+) mm (beyond|before) fret 12/.exec(c.from[1]!)!
          const nut = fretPlace(scale, 12) + (way === 'beyond' ? 1 : -1) * Number(fret12)
          expect(nut).toBeCloseTo(462 - pocket + fromMouth, 0)
          expect(c.places[0]!.x).toBeCloseTo(nut, 0)
        },
      ),
      { numRuns: 100 },
    ))
  // Fret 12 at 381.0 and the bridge’s reference at 762.0: 381 beyond fret 12.
  it('a long-scale conversion: fret 12 at 381.0, the studs at 762.0', () => {
    const b = changed(blank(), { 'neck/scale': 762, 'neck/nutToHeelEnd': 540, 'body/pocket.length': 76, 'body/mouthToBridge': 298 })
    expect(card(b, 'stud-bores').from[1]).toMatch(/381 mm beyond fret 12/)
  })
  // Window for 647.7: foremost saddle 648.2, rearmost 654.7. Travel -3 and 18: studs from 654.7 + 1.5 - 18 = 638.2 to 648.2 - 1.5 - 3 = 643.7.
  it('a place from which no saddle reaches is refused', () => {
    expect(card(blank(), 'stud-bores').guards.find((g) => g.id === 'window')!.says).toMatch(
      /641 mm from the nut; between 638\.2 and 643\.7/,
    )
    expect(card(changed(blank(), { 'body/mouthToBridge': 262 }), 'stud-bores').stands).toBe('refused')
  })
})

describe('rows, rims, templates, tools', () => {
  // (8 - 4.5)/2 = 1.75 mm.
  it('ferrules hide an error of the string holes up to half of what they are wider', () => {
    const at = (error: number) => recessGuards({ recess: 8, bore: 4.5, error, pitch: 10.5 })[0]!
    expect(at(1.7).verdict).toBe('snug')
    expect(at(1.8).verdict).toBe('tight')
    expect(at(1).spare!.value).toBeCloseTo(0.75, 9)
    const none = recessGuards({ recess: 4, bore: 4.5, error: 0.1, pitch: 10.5 })[0]!
    expect([none.verdict, none.says]).toEqual([
      'wont-go',
      'A recess of 4 mm is no wider than the string hole in it, 4.5: no wall of it is left to hold a ferrule. Take larger ferrules.',
    ])
  })
  it('a string-through row by hand in a 45 mm body: 1.57 mm off, and the better ways with theirs', () => {
    // A body with a vibrato's cavity under the row has nothing to drill there.
    const routed = changed(full(), { 'body/thickness': 45 }, { 'bridge/mount': 'string-through' })
    const b = untold(routed, 'sizes', 'body', 'vibrato.length')
    const c = card({ ...b, parts: { ...b.parts, ferrules: aPart('ferrules', { count: 6, diameter: 8, length: 9 }) } }, 'string-holes', {
      ...USUAL_BENCH,
      block: false,
    })
    expect([c.work, c.bit]).toEqual(['new', 4.5])
    expect(c.says).toMatch(/wanders up to 1\.57 mm/)
    // By hand one hole lies within 0.5 mm with 2 Phi(0.5 / 0.786) - 1 = 0.475; six with 0.0115.
    expect(straightChance(1.571, 6)).toBeCloseTo(0.0115, 3)
    expect(straightChance(0.12, 6)).toBeGreaterThan(0.999)
    expect(c.mind[1]).toMatch(/looks straight .*: 1 %/)
    expect(c.mind[0]).toMatch(/press 0\.12, stand 0\.31, guide block 0\.55, by eye 1\.57/)
  })
  it('a press whose throat is too short: the next way, with its error; one that reaches is used', () => {
    const at = (throat: number) => card(blank(), 'stud-bores', { ...USUAL_BENCH, throats: [throat] })
    expect(at(60).with).toMatch(/guide block/)
    expect(at(60).says).toMatch(/your press reaches 60: .*0\.7 instead of 0\.15 degrees/)
    expect(at(250).with).toBe('drill press')
  })
  // A circle's edge at 30 degrees from the far side: square to it is along its radius.
  it('buttons stand square to the curve', () => {
    const circle = Array.from({ length: 720 }, (_, i) => pt(100 * Math.cos((i * Math.PI) / 360), 100 * Math.sin((i * Math.PI) / 360)))
    for (const [turn, hole] of [
      [circle, pt(120 * Math.sin(0.5), 120 * Math.cos(0.5))],
      [circle.toReversed(), pt(120 * Math.sin(0.5), 120 * Math.cos(0.5))],
    ] as const) {
      const { at, fromAcross } = squareToRim(turn, hole)
      // The bit points back to the middle: towards smaller x, the neck.
      expect(fromAcross).toBeCloseTo((-0.5 * 180) / Math.PI, 0)
      expect(Math.hypot(at.x, at.y)).toBeCloseTo(100, 1)
    }
    expect(angleWords(-29)).toMatch(/29 degrees from straight across, pointing towards the neck/)
    expect(angleWords(29)).toMatch(/towards the tail/)
  })
  // A side that widens by 0.3 a millimetre, 120 beside the mouth: 40 before the mouth it is 120 - 12 = 108 from the centre line.
  it('buttons lie where the edge crosses their line, and where the centre line leaves the body', () => {
    const b = full()
    b.parts.body!.outline = [-120, -60, 0, 100, 200, 300, 400].map((x) => ({ x, bass: 120 + 0.3 * x, treble: 110 + 0.2 * x }))
    const [upper, lower] = card(b, 'strap-buttons').places
    const mouth = datums(b).mouth
    expect([upper!.x - mouth, upper!.y]).toEqual([expect.closeTo(-40, 1), expect.closeTo(108, 1)])
    // The end is rounded off behind the last width.
    expect(lower!.y).toBeCloseTo(0, 1)
    expect(lower!.x - mouth).toBeGreaterThan(400)
    const moved = card(changed(b, { 'body/button.upper.x': 20 }), 'strap-buttons').places[0]!
    expect([moved.x - mouth, moved.y]).toEqual([expect.closeTo(20, 1), expect.closeTo(126, 1)])
  })
  // (12.7 - 6.35)/2 = 3.175.
  it('template edge = cut + (bushing - bit)/2', () => {
    expect(templateOffset(12.7, 6.35)).toBeCloseTo(3.175, 12)
    expect(routerPair([12.7, 8], [6.35, 10])).toEqual({ bushing: 8, bit: 6.35 })
    const c = card(
      changed(full(), { 'body/route.neck.length': undefined, 'body/route.neck.width': undefined, 'body/route.neck.depth': undefined }),
      'route-neck',
    )
    expect(c.work).toBe('new')
    expect(c.steps[0]).toMatch(/12\.7 mm bushing and a 6\.35 mm bit: its edge 3\.175 mm outside the cut/)
  })
  // Pot bushings of 9.4 in holes of 8: reamed to 9.6.
  it('larger pots in small holes: reamed from both faces to two tenths over', () => {
    const c = card(changed(full(), { 'guard/pot.hole': 8 }), 'pot-holes')
    expect([c.work, c.bit, c.side]).toEqual(['ream', 9.6, 'guard'])
    expect(c.says).toMatch(/open them by 1\.6 mm, to 9\.6/)
    expect(c.mind.join(' ')).toMatch(/both faces/)
  })
  it('a passage that would break into the vibrato’s cavity is refused; one beside it is clear', () => {
    // The claw 118 mm and the cavity's end 255 + 30 mm behind the mouth at 386: 504 to 671, 29 either side.
    const into = onTheWay(full(), pt(724, -100), pt(560, 60))
    expect(into.find((g) => g.id === 'through-springs')?.verdict).toBe('wont-go')
    expect(onTheWay(full(), pt(724, -100), pt(680, -76)).map((g) => g.id)).toEqual([])
    expect(onTheWay(changed(full(), { 'body/vibrato.width': undefined }), pt(724, -100), pt(680, -76))[0]!.verdict).toBe('cant-tell')
  })
  it('no screw of the guard without wood under it', () => {
    expect(guardOf(changed(full(), { 'guard/screw.edge': 1 }), 'guard-screws', 'route')!.verdict).toBe('wont-go')
    expect(guardOf(full(), 'guard-screws', 'route')!.verdict).toBe('snug')
  })
  it('over a route that opens to the front there is no top to drill: the plate that carries the controls is asked for', () => {
    const places = {
      'body/volume.x': 260,
      'body/volume.y': -70,
      'body/tone.x': 296,
      'body/tone.y': -84,
      'body/switch.x': 230,
      'body/switch.y': -60,
    }
    const top = (access: string, known: boolean) =>
      changed(
        without(full(), 'guard'),
        { ...places, 'body/pot.hole': undefined, 'body/control.top': known ? 5 : undefined },
        { 'body/access': access, 'switch/contacts': 'toggle-3', 'body/bored.controls': 'none', 'body/bored.toggle': 'none' },
      )
    for (const id of ['pot-holes', 'toggle-hole'])
      for (const known of [true, false]) {
        const c = card(top('front', known), id)
        expect([c.stands, c.missing, c.steps]).toEqual(['refused', [], []])
        expect(c.says).toMatch(/^The control route opens to the front: there is no wood over it\./)
        expect(card(top('back', known), id).stands).not.toBe('refused')
      }
    // Holes that are there are kept; what nobody has said is asked.
    expect(card(changed(top('front', true), { 'body/pot.hole': 9.7 }), 'pot-holes').work).toBe('keep')
    expect(card(untold(top('front', true), 'traits', 'body', 'bored.controls'), 'pot-holes').stands).toBe('waiting')
  })
  it('the pot holes of a guard are no holes in the wood', () => {
    expect(card(full(), 'pot-holes').side).toBe('guard')
    const wood = changed(without(full(), 'guard'), {
      'body/pot.hole': 9.6,
      'body/control.top': 4,
      'body/volume.x': 260,
      'body/volume.y': -70,
      'body/tone.x': 300,
      'body/tone.y': -80,
    })
    expect(card(wood, 'pot-holes').side).toBe('front')
  })
})

describe('cautions and empty benches', () => {
  it('every card that turns a bit carries its cautions', () => {
    for (const c of holeCards(full())) expect(c.cautions.join(' '), c.id).toMatch(/Eye protection|eye and ear protection/)
  })
  it('the springs’ claw is screwed down under a vibrato only', () => {
    const mounted = (mount: string | undefined) => card(changed(full(), {}, { 'bridge/mount': mount }), 'claw-screws')
    expect([mounted('two-stud'), mounted('screws'), mounted('post')].map(Boolean)).toEqual([true, false, false])
  })
  it('nothing to drill in an empty build', () => expect(holeCards(without(fullBuild(), 'body', 'neck'))).toEqual([]))
  it('10 000 tuner screws in any headstock: what is ready leaves the face whole, what is refused would not have', () =>
    fc.assert(
      fc.property(
        fc.record({
          head: fc.double({ min: 9, max: 22, noNaN: true }),
          length: fc.double({ min: 5, max: 24, noNaN: true }),
          root: fc.double({ min: 0.8, max: 2.4, noNaN: true }),
          ear: fc.double({ min: 0.5, max: 3, noNaN: true }),
          doubt: fc.constantFrom(0, 0.05, 0.3),
        }),
        ({ head, length, root, ear, doubt }) => {
          const b = aBuild({
            neck: aPart(
              'neck',
              { 'head.thickness': [head, 'calipers', doubt], 'tuner.bore': 10 },
              { wood: 'hard-maple', 'bored.tunerScrews': 'none', 'bored.tuners': 'none' },
            ),
            tuners: aPart(
              'tuners',
              {
                'screw.length': length,
                'screw.root': root,
                'screw.thread': root * 1.35,
                'plate.thickness': ear,
                'screw.offset': 10,
                'screw.side': 0,
              },
              { screws: 'own' },
            ),
          })
          const c = card(b, 'tuner-screws')
          const through = length - ear - head
          if (c.stands !== 'refused') expect(through).toBeLessThan(0.2 + doubt)
          if (through > 0.3 + doubt) expect(c.stands).toBe('refused')
          if (c.stands !== 'refused') expect(c.flag!).toBeLessThanOrEqual(head - 2.5 + 1e-9)
        },
      ),
      { numRuns: 10_000 },
    ))
})
