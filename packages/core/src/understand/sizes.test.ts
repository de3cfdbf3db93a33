import { describe, expect, it } from 'vitest'
import { aBuild, aPart } from '../testing/bench'
import { fullBuild } from '../testing/fullBuild'
import { nearest, understand } from './sizes'

const body = aPart('body', { 'pocket.widthMouth': 56.1, 'pocket.widthEnd': 56.5 })
const build = aBuild({
  body,
  'pickup-neck': aPart('pickup-neck', { length: 36, width: 69, resistance: [7900, 'meter', 79] }, { coils: 'two' }),
  capacitor: aPart('capacitor', {}),
  neck: aPart('neck', {}),
  springs: aPart('springs', {}),
})

describe('quick entries that are sizes', () => {
  it.each([
    ['pocket width mouth 56.12 calipers', 'body', 'pocket.widthMouth', 56.12, 0.05, 'calipers'],
    ['pocket width, mouth 56.1 rule', 'body', 'pocket.widthMouth', 56.1, 0.3, 'rule'],
    ['pocket width end 2-7/32 in calipers', 'body', 'pocket.widthEnd', 56.35625, 0.05, 'calipers'],
    ['neck pickup resistance 8.80k', 'pickup-neck', 'resistance', 8800, 88, 'meter'],
    ['capacitance 473', 'capacitor', 'capacitance', 47e-9, 0.47e-9, 'meter'],
    ['body weighs 1.9 kg', 'body', 'mass', 1900, 19, 'scale'],
    ['the body is 4 lb 6 oz', 'body', 'mass', 4 * 453.59237 + 6 * 28.349523125, 19.844666, 'scale'],
    ['neck weight 1.5 lbs listed', 'neck', 'mass', 680.388555, 68.0388555, 'listed'],
    // Half a degree by two heights 75 mm apart, each read to 0.3 mm: atan(0.4243 / 75).
    ['pocket floor tilt −0.5°', 'body', 'pocket.tilt', -0.5, 0.32411, 'rule'],
    ['headstock angle is 14 degrees, calipers', 'neck', 'head.angle', 14, 0.1, 'calipers'],
    ['neck pickup inductance 2.4 henries', 'pickup-neck', 'inductance', 2.4, 0.024, 'meter'],
  ] as const)('%s', (text, slot, size, value, doubt, known) => {
    const filing = understand(build, text)!
    expect(filing.ref).toEqual({ slot, size })
    expect(filing.size.value / value).toBeCloseTo(1, 9)
    expect(filing.size.doubt / doubt).toBeCloseTo(1, 5)
    expect(filing.size.known).toBe(known)
  })
  it.each([
    ['words without a number', 'glued the nut with one dot'],
    ['a number without words', '56.12'],
    ['two sizes that could be meant', 'pocket width 56.12'],
    ['a part that is not chosen', 'guard thickness 2.4'],
    ['a size that cannot be', 'pocket width mouth 561.2'],
    ['an unknown unit', 'pocket width mouth 56 ell'],
  ])('leaves alone: %s', (_, text) => expect(understand(build, text)).toBeUndefined())
  it.each([
    ['frets 22', 'neck', 'frets', 22],
    ['fitted 4 springs', 'springs', 'count', 4],
  ] as const)('what is counted is known: %s', (text, slot, size, value) =>
    expect(understand(build, text)).toMatchObject({ ref: { slot, size }, size: { value, doubt: 0 } }),
  )
  it.each([
    ['a weight nobody took', 'the body is too heavy, 2 kg'],
    ['half a fret', 'frets 21.5'],
    ['a tool that does not weigh', 'body weighs 1900 g calipers'],
  ])('leaves alone: %s', (_, text) => expect(understand(build, text)).toBeUndefined())
  it('of neck and body in one piece there is no pocket to have measured', () => {
    const body = build.parts.body!
    const through = { ...build, parts: { ...build.parts, body: { ...body, traits: { ...body.traits, neckIs: 'through' } } } }
    expect(understand(build, 'pocket width mouth 56.12')?.ref.size).toBe('pocket.widthMouth')
    expect(understand(through, 'pocket width mouth 56.12')?.ref.size).not.toBe('pocket.widthMouth')
    expect(understand(through, 'top of the board over the front is 9.2 mm')).toMatchObject({
      ref: { slot: 'body', size: 'board.over' },
      size: { value: 9.2 },
    })
  })
  it('the angle of a neck is not the one of its headstock: offered, never filed by itself', () => {
    const tilted = aBuild({ neck: aPart('neck', {}) })
    expect(understand(tilted, 'neck angle 2 degrees')).toBeUndefined()
    expect(understand(tilted, 'angle 2')).toBeUndefined()
    expect(nearest(tilted, 'neck angle 2 degrees').map((f) => f.ref.size)).toContain('head.angle')
    expect(understand(tilted, 'headstock angle 2')!.ref.size).toBe('head.angle')
  })
  it.each([
    ['pocket is 15.9 deep', 'body', 'pocket.depth'],
    ['body 44.5 mm thick', 'body', 'thickness'],
    ['headstock 14.2 thick calipers', 'neck', 'head.thickness'],
    ['neck screws 45 long', 'neck-screws', 'length'],
    ['tuner bushing diameter 9.9', 'tuners', 'bushing'],
  ] as const)('as it is said at the bench: %s', (text, slot, size) => expect(understand(fullBuild(), text)!.ref).toEqual({ slot, size }))
  it.each(['tuner hole 10', 'jack hole 22', 'pocket 56 wide', 'fret 22', 'board 51 wide', 'bridge 8.5 high'])(
    'what names two or none is still not filed: %s',
    (text) => expect(understand(fullBuild(), text)).toBeUndefined(),
  )
  it('a bare number follows the system shown', () => {
    expect(understand(build, 'pocket width mouth 2.21', 'in')!.size.value).toBeCloseTo(56.134, 3)
  })
  it.each([
    ['pocket width mouth is 56.12', 'pocket.widthMouth'],
    ['the pocket width at the mouth measures 56.12 mm', 'pocket.widthMouth'],
  ])('as people say it: %s', (text, size) => expect(understand(build, text)!.ref.size).toBe(size))
  it('a near miss offers the nearest that could have that number, none where nothing is near', () => {
    expect(nearest(aBuild({ body }), 'pocket width is 56.3').map((f) => f.ref.size)).toEqual(['pocket.widthMouth', 'pocket.widthEnd'])
    expect(nearest(build, 'moon 56.3')).toEqual([])
    expect(nearest(build, 'pocket width 999')).toEqual([])
  })
})
