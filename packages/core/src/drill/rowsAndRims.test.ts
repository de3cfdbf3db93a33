import { untold } from '../testing/anyBuild'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { aPart } from '../testing/bench'
import { drillable } from '../testing/drillable'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { recessGuards, straightChance } from './cards/strings'
import { onTheWay } from './cards/passage'
import { angleWords, squareToRim } from './cards/rim'
import { routerPair, templateOffset } from './cards/router'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())
/** The same with no stud bores in the body. */
const blank = () => changed(full(), { 'body/studBore': undefined, 'body/studBoreDepth': undefined }, { 'body/bored.studs': 'none' })
const guardOf = (build: Build, id: string, guard: string) => card(build, id).guards.find((g) => g.id === guard)

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
    // The body came coated: that is cut through first.
    expect(c.steps[0]).toMatch(/^tape along the line, and what it came with cut through on it with a knife/)
    expect(c.steps[1]).toMatch(/12\.7 mm bushing and a 6\.35 mm bit: its edge 3\.175 mm outside the cut/)
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
