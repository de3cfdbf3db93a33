import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { PencilLines } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { axisAdvice, axisCuts, axisFrom, offsetAt } from './axis'

/** A body whose middle lies 150 mm from the edge it is read from, and a neck of some width whose axis leans. */
const lines = (along: number, off: number, neckHalf: number): PencilLines => ({
  along,
  bassLine: 150 - off - neckHalf,
  trebleLine: 150 - off + neckHalf,
  bassEnd: 150 - 37,
  trebleEnd: 150 + 37,
})

describe('the neck’s axis from pencil lines', () => {
  // Lines at 95 and 151, ends of the route at 113 and 187: the neck's middle at 123, the body's at 150: 27 nearer to the bass edge.
  it('one place gives the offset, by midpoints, bass side positive', () => {
    expect(offsetAt({ along: 200, bassLine: 95, trebleLine: 151, bassEnd: 113, trebleEnd: 187 }).value).toBe(27)
    expect(offsetAt(lines(200, -1.2, 28)).value).toBeCloseTo(-1.2, 12)
  })
  it('whatever the taper, the angle and the offset at the bridge are those of the axis', () =>
    fc.assert(
      fc.property(
        fc.record({
          off: fc.double({ min: -5, max: 5, noNaN: true }),
          slope: fc.double({ min: -0.03, max: 0.03, noNaN: true }),
          near: fc.double({ min: 80, max: 130, noNaN: true }),
          far: fc.double({ min: 200, max: 260, noNaN: true }),
          bridge: fc.double({ min: 240, max: 320, noNaN: true }),
        }),
        ({ off, slope, near, far, bridge }) => {
          const at = (x: number, half: number) => lines(x, off + slope * x, half)
          const found = axisFrom(at(near, 29), at(far, 34), bridge)!
          expect(found.atBridge.value).toBeCloseTo(off + slope * bridge, 6)
          expect(Math.tan((found.angle!.value * Math.PI) / 180)).toBeCloseTo(slope, 9)
        },
      ),
    ))
  // 0.3 mm each at 100 and 220, carried to 255: hypot((1 - 1.2917) 0.3, 1.2917 x 0.3) = 0.397.
  it('its doubt grows with how far it is carried', () =>
    expect(axisFrom(lines(100, 1, 29), lines(220, 1, 34), 255)!.atBridge.doubt).toBeCloseTo(0.3973, 3))
  it('nothing from no lines; a single place says no angle', () => {
    expect(axisFrom(undefined, undefined, 255)).toBeUndefined()
    expect(axisFrom(undefined, lines(220, -2, 30), 255)).toEqual({ atBridge: expect.objectContaining({ value: expect.closeTo(-2, 9) }) })
  })
})

describe('bringing it back', () => {
  // 1.2 mm to treble, pocket 76, its middle 217 mm from the bridge, no play: 1.2 x 76 / 434 = 0.21 off each.
  it('1.2 mm to treble at the bridge: the bass wall at the end and the treble wall at the mouth, 0.21 mm each', () => {
    const { cuts } = axisCuts(-1.2, 217, 76, 0)
    expect(cuts.map((c) => [c.place, c.wall])).toEqual([
      ['end', 'bass'],
      ['mouth', 'treble'],
    ])
    for (const c of cuts) expect(c.amount).toBeCloseTo(0.2101, 4)
  })
  it('off to the bass it is the treble wall at the end and the bass wall at the mouth', () =>
    expect(axisCuts(2, 217, 76, 0).cuts.map((c) => `${c.wall} ${c.place}`)).toEqual(['treble end', 'bass mouth']))
  // A turn by e/D moves the heel's ends, l/2 from its middle, by e l/(2D): exact geometry against it, to a hundredth.
  it('agrees with turning the heel by exact geometry', () =>
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 4, noNaN: true }), fc.constantFrom(1, -1), (e, side) => {
        const turn = Math.atan((side * e) / 217)
        const end = 38 * Math.sin(turn)
        const { cuts } = axisCuts(side * e, 217, 76, 0)
        for (const c of cuts) expect(c.amount).toBeCloseTo(Math.abs(end), 2)
        // Turned back towards the middle, the heel's end swings away from where the bridge end was: into the wall that is named.
        expect(cuts.find((c) => c.place === 'end')!.wall).toBe(side > 0 ? 'treble' : 'bass')
      }),
    ))
  // Play 0.2: half of it, 0.1, is used at each wall: 0.35 - 0.1 for 2 mm.
  it('the play is used first; where it is enough the neck is only turned', () => {
    expect(axisCuts(2, 217, 76, 0.2).cuts[0]!.amount).toBeCloseTo((2 * 76) / 434 - 0.1, 9)
    expect(axisCuts(1, 217, 76, 0.4).cuts).toEqual([])
    expect(axisCuts(1, 217, 76, 0.4).byPlay).toBe(1)
  })
  it('is said with its walls and amounts, drawn with the same, and left where it is small', () => {
    const build = changed(fullBuild(), { 'body/axisAtBridge': -2, 'neck/heel.widthMouth': 56.55, 'neck/heel.widthEnd': 56.55 })
    const advice = axisAdvice(build)!
    expect(advice.says.join(' ')).toMatch(
      /2 ±0\.1 mm to the treble side.*bass wall at the pocket’s end by 0\.35 mm and the treble wall at the pocket’s mouth by 0\.35/,
    )
    expect(
      advice
        .draw()
        .numbers.filter((n) => /Off the/.test(n.label))
        .map((n) => n.value),
    ).toEqual(['0.35 mm', '0.35 mm'])
    expect(axisAdvice(changed(fullBuild(), { 'body/axisAtBridge': 0.7 }))!.says.join(' ')).toMatch(/margins decide, not the axis/)
    expect(axisAdvice(changed(fullBuild(), { 'body/axisAtBridge': 0.05 }))!.cuts).toEqual([])
  })
})

describe('what is said of an axis', () => {
  /** Pocket 76, its mouth 255 from the bridge: its middle is 217 from it. */
  const said = (off: number | undefined, sizes: Record<string, number | undefined> = {}, traits: Record<string, string> = {}) =>
    axisAdvice(changed(fullBuild(), { 'body/axisAtBridge': off, ...sizes }, traits))
  const HOME = { 'neck/heel.widthMouth': 56.55, 'neck/heel.widthEnd': 56.55 }
  // The smaller play counts: 0.3 at the mouth, 0.2 at the end.
  const PLAY = { 'neck/heel.widthMouth': 56.25, 'neck/heel.widthEnd': 56.35 }
  const LOOK =
    'Look at Dry fit first: it is corrected where an outer string comes nearer than 2.5 mm to the board’s edge or a pole is more than 1.5 mm off; otherwise it may stay.'
  const SMALL = 'Where the outer strings’ margins and the poles are in order, leave it: margins decide, not the axis.'

  // 2 x 76 / 434 = 0.350 a wall without play; half of 0.2 less with it: 0.250, and 0.2 x 217 / 76 = 0.57 by turning.
  it.each([
    ['none to be sure of', 0.08, HOME, ['The axis passes the bridge’s middle by 0.1 ±0.1 mm: as good as through it.'], 0],
    ['as much as it is unsure', 0.1, HOME, ['The axis passes the bridge’s middle by 0.1 ±0.1 mm: as good as through it.'], 0],
    [
      'little, no play: 0.6 x 76 / 434 = 0.105',
      0.6,
      HOME,
      [
        'The axis passes 0.6 ±0.1 mm to the bass side of the bridge’s middle.',
        SMALL,
        'If you do correct it: ease the treble wall at the pocket’s end by 0.11 mm and the bass wall at the pocket’s mouth by 0.11 mm.',
      ],
      2,
    ],
    [
      'just little',
      -0.8,
      PLAY,
      [
        'The axis passes 0.8 ±0.1 mm to the treble side of the bridge’s middle.',
        SMALL,
        'Turning the neck in its play of 0.2 mm brings 0.6 mm of it back. The rest: ease the bass wall at the pocket’s end by 0.04 mm and the treble wall at the pocket’s mouth by 0.04 mm.',
      ],
      2,
    ],
    [
      'much, no play',
      -2,
      HOME,
      [
        'The axis passes 2 ±0.1 mm to the treble side of the bridge’s middle.',
        LOOK,
        'Ease the bass wall at the pocket’s end by 0.35 mm and the treble wall at the pocket’s mouth by 0.35 mm.',
      ],
      2,
    ],
    [
      'much, with play',
      2,
      PLAY,
      [
        'The axis passes 2 ±0.1 mm to the bass side of the bridge’s middle.',
        LOOK,
        'Turning the neck in its play of 0.2 mm brings 0.6 mm of it back. The rest: ease the treble wall at the pocket’s end by 0.25 mm and the bass wall at the pocket’s mouth by 0.25 mm.',
      ],
      2,
    ],
    [
      'within its play',
      0.5,
      PLAY,
      [
        'The axis passes 0.5 ±0.1 mm to the bass side of the bridge’s middle.',
        SMALL,
        'Just turn the neck in its play of 0.2 mm, its head towards the bass side: it reaches.',
      ],
      0,
    ],
    [
      'one width unknown',
      2,
      { ...HOME, 'neck/heel.widthEnd': undefined },
      [
        'The axis passes 2 ±0.1 mm to the bass side of the bridge’s middle.',
        LOOK,
        'Widths of heel and pocket are not known: how much the neck may be turned in its play is not, either.',
      ],
      0,
    ],
    [
      'the other unknown',
      2,
      { ...HOME, 'body/pocket.widthMouth': undefined },
      [
        'The axis passes 2 ±0.1 mm to the bass side of the bridge’s middle.',
        LOOK,
        'Widths of heel and pocket are not known: how much the neck may be turned in its play is not, either.',
      ],
      0,
    ],
  ] as const)('%s', (_, off, sizes, says, cuts) => {
    const advice = said(off, sizes)!
    expect(advice.says).toEqual(says)
    expect(advice.cuts).toHaveLength(cuts)
    expect(advice.draw().numbers.filter((n) => /Off the/.test(n.label))).toHaveLength(cuts)
  })
  it('of one piece the bridge goes over its axis, and no wall is eased', () => {
    const advice = said(-2, HOME, { 'body/neckIs': 'through' })!
    expect(advice.says.at(-1)).toBe(
      'The neck stands as it was built: the bridge goes 2 mm to the treble side, over its axis, before a hole is made for it.',
    )
    expect(advice.cuts).toEqual([])
  })
  it('nothing before it is known where axis, pocket and bridge are', () => {
    expect(said(undefined)).toBeUndefined()
    for (const size of ['body/pocket.length', 'body/mouthToBridge']) expect(said(2, { [size]: undefined }), size).toBeUndefined()
  })
})
