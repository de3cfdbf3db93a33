import { describe, expect, it } from 'vitest'
import { datums } from '../instrument/datums'
import type { Build } from '../document/build'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { drawHole, holeCards } from './holes'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
const full = () => drillable(fullBuild())

describe('a wire passage under a hole', () => {
  // Jack at (330, -100), route's middle at (200, -100) from the mouth: the passage runs along y = -100.
  const run = (bridgeScrewAt: number) =>
    changed(
      full(),
      {
        'body/jack.x': 330,
        'body/jack.y': -30,
        'body/control.x': 200,
        'body/control.y': -30,
        'body/control.length': 40,
        'body/control.width': 40,
        'body/control.depth': 35,
        'body/passage.diameter': undefined,
        'body/mouthToBridge': 300,
        'body/studSpacing': undefined,
        'body/studBore': undefined,
        'bridge/screw.spread': bridgeScrewAt * 2,
        'bridge/screw.length': 35,
        'bridge/screws': 2,
      },
      { 'body/bored.passage': 'none', 'body/bored.bridge': 'none', 'bridge/mount': 'screws' },
    )
  const guard = (b: Build) => card(b, 'bridge-screws').guards.find((g) => g.id === 'way-jack-passage')
  // Screws 30 mm beside the centre line stand over the passage's middle: 0 - (3.5 + 8)/2 < 0.
  it('a screw over it is refused, by name', () => {
    expect(guard(run(30))!.verdict).toBe('wont-go')
    expect(card(run(30), 'bridge-screws').says).toMatch(/cut the wires in the passage from the jack/)
  })
  // 30 - 15 = 15 mm away: 15 - 5.75 = 9.25 mm of wood, more than 3 + 2 of doubt.
  it('one 15 mm beside it is not spoken of', () => expect(guard(run(15))).toBeUndefined())
  it('a short screw ends above it', () => {
    expect(guard(changed(run(30), { 'bridge/screw.length': 12 }))).toBeUndefined()
  })
  it('a passage somebody else bored may run elsewhere: it cannot be told, and the card says how to see', () => {
    const g = guard(changed(run(30), { 'body/passage.diameter': 8 }, { 'body/bored.passage': 'drilled' }))!
    expect(g.verdict).not.toBe('snug')
    expect(g.says).toMatch(/stiff wire/)
  })
})

describe('the string ground’s passage under a fixed bridge', () => {
  // Five screws over 58 mm at 270 mm from the mouth, the control route beside them: straight across it would run under two of them.
  const under = (more: Parameters<typeof changed>[1] = {}, mount = 'screws') =>
    changed(
      full(),
      {
        'body/control.x': 270,
        'body/control.y': -90,
        'body/control.length': 80,
        'body/control.width': 40,
        'body/control.depth': 35,
        'body/mouthToBridge': 270,
        'body/vibrato.length': undefined,
        'bridge/studSpacing': undefined,
        'bridge/screw.spread': 58,
        'bridge/screw.thread': 3.5,
        'bridge/screws': 5,
        'bridge/spread': 52,
        'bridge/plate.front': 9,
        'bridge/plate.length': 46,
        'bridge/holes.behind': 17,
        ...more,
      },
      { 'body/bored.ground': 'none', 'body/bored.bridge': 'none', 'bridge/mount': mount },
    )
  const row = (b: Build) => datums(b).studs
  // 2 of doubt and 1 of wood beside (3.5 + 3)/2: 6.25 mm; tried by 2 mm, and in front the plate reaches 9 - 4 = 5 only: 8 behind.
  it('begins behind the screws, the nearest place from which it clears them, and says so', () => {
    const b = under()
    const c = card(b, 'ground-wire')
    expect(c.places[0]!.x - row(b)).toBe(8)
    expect(c.from[0]).toMatch(/^7 mm to the treble side of the centre line, 8 mm behind the line of the bridge’s screws$/)
    // 8 - 1.75 - 1.5.
    expect(c.guards.find((g) => g.id === 'posts')).toMatchObject({ verdict: 'snug', says: expect.stringMatching(/^4\.8 mm of wood/) })
    expect(card(b, 'bridge-screws').says).not.toMatch(/passage/)
  })
  // In front there is room: 15 - 4 = 11, and 8 behind is tried before 8 in front; strings 9 behind leave -8 as the nearest that clears both.
  it('in front of them where strings go down behind', () => {
    const b = under({ 'bridge/plate.front': 15, 'bridge/holes.behind': 9 }, 'string-through')
    expect(card(b, 'ground-wire').places[0]!.x - row(b)).toBe(-8)
    expect(card(b, 'ground-wire').from[0]).toMatch(/8 mm in front of the line/)
  })
  it('where no place under the plate will do it is refused, and not the screws', () => {
    const b = under({ 'bridge/plate.front': 5, 'bridge/plate.length': 10 })
    expect(card(b, 'ground-wire').stands).toBe('refused')
    expect(card(b, 'ground-wire').says).toMatch(/groove under the plate/)
    expect(card(b, 'bridge-screws').says).not.toMatch(/passage/)
  })
  it('screws nobody counted: it cannot be told', () =>
    expect(card(under({ 'bridge/screws': undefined }), 'ground-wire').guards.find((g) => g.id === 'posts')!.verdict).toBe('cant-tell'))
})

describe('what a passage looks like', () => {
  const at = changed(
    full(),
    {
      'body/jack.x': 330,
      'body/jack.y': -30,
      'body/control.x': 260,
      'body/control.y': -90,
      'body/control.length': 40,
      'body/control.width': 40,
      'body/control.depth': 35,
      'body/thickness': 44,
      'body/vibrato.length': undefined,
      'body/mouthToBridge': 270,
      'bridge/plate.front': 9,
      'bridge/plate.length': 46,
      'bridge/screws': 5,
      'bridge/screw.spread': 58,
      'body/passage.diameter': undefined,
    },
    { 'body/bored.ground': 'none', 'body/bored.passage': 'none', 'bridge/mount': 'screws' },
  )
  const figures = (b: Build, id: string) => drawHole(b, id)!.marks.flatMap((m) => (m.mark === 'dimension' ? [m.text] : []))
  it('the string ground’s slants: along the top and down, by its card’s own angle', () => {
    const c = card(at, 'ground-wire')
    const [run, depth] = figures(at, 'ground-wire').map(Number)
    // 35 deep from the front, 6 above its floor.
    expect(depth).toBe(29)
    const degrees = Number(/(\d+) degrees/.exec(c.says)![1])
    expect((Math.atan2(depth!, run!) * 180) / Math.PI).toBeCloseTo(degrees, -0.4)
    expect(Math.hypot(run!, depth!)).toBeCloseTo(Number(/(\d+) mm long/.exec(c.says)![1]), -0.4)
  })
  it('into a shallow route from the back it comes out inside that route', () => {
    const back = changed(at, { 'body/control.depth': 20 }, { 'body/access': 'back' })
    // The route begins 24 mm under the top; 4 mm further.
    expect(figures(back, 'ground-wire').map(Number)[1]).toBe(28)
    expect(card(back, 'ground-wire').steps[1]).toMatch(/28 mm below the top/)
  })
  it('the jack’s is seen from above, as long as its card says, and nothing is given a thickness nobody measured', () => {
    // 70 along, 60 across: 92.
    expect(figures(at, 'jack-passage')).toEqual(['92'])
    expect(card(at, 'jack-passage').says).toMatch(/92 mm at most/)
    const kept = changed(at, { 'body/thickness': undefined }, { 'body/bored.jack': 'drilled' })
    expect(figures(kept, 'jack-bore').join()).not.toMatch(/44/)
  })
})

describe('the string ground’s passage from a stud’s bore', () => {
  const posts = (bored: 'drilled' | 'none') =>
    changed(
      full(),
      {
        'body/claw.x': undefined,
        'body/vibrato.length': undefined,
        'body/vibrato.width': undefined,
        'body/spring.depth': undefined,
        'bridge/studSpacing': 74,
        'body/studSpacing': 74,
        'body/control.x': 300,
        'body/control.y': -90,
        'body/control.length': 90,
        'body/control.width': 60,
        'body/control.depth': 35,
        'body/thickness': 45,
        'body/mouthToBridge': 300,
      },
      { 'bridge/mount': 'post', 'body/bored.ground': 'none', 'body/bored.studs': bored },
    )
  it.each(['drilled', 'none'] as const)('begins in it, so that neither breaks into the other: stud bores %s', (bored) => {
    const ground = card(posts(bored), 'ground-wire')
    // The stud stands 74 / 2 beside the centre line; the route's near wall at -60 is 23 away, 35 - 6 = 29 mm down.
    expect(ground.stands).toBe('ready')
    expect(ground.says).toMatch(/^From the bore of a stud down to the control route: 37 mm long, 52 degrees below the top, 3 mm\.$/)
    expect(ground.places).toEqual([{ x: datums(posts(bored)).studs, y: -37 }])
    expect(ground.guards.filter((g) => g.verdict !== 'snug')).toEqual([])
    expect(card(posts(bored), 'stud-bores').guards.map((g) => g.id)).not.toContain('way-ground-wire')
  })
})
