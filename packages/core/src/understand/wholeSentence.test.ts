import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { evaluate } from '../evaluate/evaluate'
import { fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { heardAs } from './understood'

const AT = '2026-12-01T20:00:00Z'
const build: Build = {
  ...fullBuild(),
  setup: { school: 'ordinary' as const, readings: {} },
  finish: { ...fullBuild().finish, system: 'none' as const, layers: [{ product: 'acrylic-clear' as const, coats: 3 }] },
}
const coats = evaluate(build, '2026-12-01').finish.plan!.coats
const heard = (text: string) => heardAs(build, text, 'mm', coats)
const after = (text: string) => applyChange(build, heard(text).understood!.change!(build, AT))

const string = fc.integer({ min: 1, max: build.strings })
const hundredths = (from: number, to: number) => fc.integer({ min: from * 100, max: to * 100 }).map((n) => n / 100)
/** Eighths of a turn, as people say them. */
const turns = fc.constantFrom(
  ...([
    ['an eighth of a turn', 1 / 8],
    ['1/4 turn', 1 / 4],
    ['a quarter turn', 1 / 4],
    ['one quarter of a turn', 1 / 4],
    ['half a turn', 1 / 2],
    ['three quarters of a turn', 3 / 4],
    ['one turn', 1],
    ['1 1/4 turns', 5 / 4],
    ['one and a half turns', 3 / 2],
    ['2 turns', 2],
  ] as const),
)
const sense = fc.constantFrom(
  ...([
    ['clockwise', 1],
    ['counter-clockwise', -1],
    ['anticlockwise', -1],
  ] as const),
)
const way = fc.constantFrom(
  ...([
    ['back', 1],
    ['towards the tail', 1],
    ['forward', -1],
    ['towards the nut', -1],
  ] as const),
)

/** A sentence that is understood, with what it must come to. */
interface Sentence {
  text: string
  kept: (b: Build) => unknown
  value: unknown
}
const lastTurn = (b: Build) => Object.values(b.setup.turns ?? {}).map(({ at: _, ...t }) => t)
const lastReading = (b: Build) => Object.values(b.setup.readings).map(({ at: _, pull: __, gauge: ___, newton: ____, ...r }) => r)

const sentence: fc.Arbitrary<Sentence> = fc.oneof(
  fc.tuple(fc.constantFrom('relief', 'float'), hundredths(0, 2), fc.constantFrom('', ' mm')).map(([what, value, mm]) => ({
    text: `${what} is ${value}${mm}`,
    kept: lastReading,
    value: [{ what, value }],
  })),
  fc.tuple(string, hundredths(0, 5), fc.boolean()).map(([n, value, behind]) => ({
    text: behind ? `action of string ${n} is ${value}` : `string ${n}, action ${value} mm`,
    kept: lastReading,
    value: [{ what: 'action', value, string: n }],
  })),
  fc.tuple(string, fc.integer({ min: 1, max: 60 }), fc.constantFrom(1, -1), fc.boolean()).map(([n, value, s, signed]) => ({
    text: `string ${n} reads ${signed ? `${s < 0 ? '-' : '+'}${value} cents` : `${value} cents ${s < 0 ? 'flat' : 'sharp'}`}`,
    kept: lastReading,
    value: [{ what: 'cents', value: s * value, string: n }],
  })),
  fc.tuple(fc.constantFrom('truss', 'claw'), turns, sense).map(([screw, [said, n], [way, s]]) => ({
    text: `${screw} ${said} ${way}`,
    kept: lastTurn,
    value: [{ screw, turns: s * n }],
  })),
  fc
    .tuple(fc.constantFrom('bass', 'treble'), fc.constantFrom('post', 'side', 'wheel', 'stud'), turns, sense)
    .map(([screw, on, [said, n], [way, s]]) => ({
      text: `${screw} ${on} ${said} ${way}`,
      kept: lastTurn,
      value: [{ screw, turns: s * n }],
    })),
  fc.tuple(string, turns, way).map(([n, [said, t], [where, s]]) => ({
    text: `saddle of string ${n} ${said} ${where}`,
    kept: lastTurn,
    value: [{ screw: 'length', string: n, turns: s * t }],
  })),
  fc.tuple(fc.constantFrom('bought tuners for', 'tuners cost', 'paid for tuners'), hundredths(1, 900)).map(([words, price]) => ({
    text: `${words} ${price}`,
    kept: (b: Build) => b.parts.tuners!.price,
    value: price,
  })),
  fc.integer({ min: 1, max: 3 }).map((n) => ({
    text: `${n} coats of clear`,
    kept: (b: Build) => Object.keys(b.finish.laid ?? {}).length,
    value: n,
  })),
  fc.tuple(hundredths(54, 58), fc.constantFrom('calipers', 'rule')).map(([value, known]) => ({
    text: `pocket width mouth ${value} ${known}`,
    kept: (b: Build) => ({
      value: b.parts.body!.sizes['pocket.widthMouth']!.value,
      known: b.parts.body!.sizes['pocket.widthMouth']!.known,
    }),
    value: { value, known },
  })),
)

/** What turns a sentence round, makes it one of two things, or tells of another day. */
const besides = fc.constantFrom('0.7', 'and 0.7', 'not', 'wanted', 'should', 'if', 'tomorrow never', '?', 'until 2026-12-05', 'a dozen')

describe('an entry is taken whole or not at all', () => {
  it('what it comes to is what was said: number, unit, string, sense', () => {
    holds(
      fc.property(sentence, ({ text, kept, value }) => {
        expect(heard(text).understood?.change, text).toBeDefined()
        expect(kept(after(text)), text).toEqual(value)
      }),
      1500,
    )
  })
  it('one number or one such word more, anywhere in it, and nothing is changed', () => {
    holds(
      fc.property(sentence, besides, fc.nat(), ({ text }, more, place) => {
        const words = text.split(' ')
        const at = place % (words.length + 1)
        const said = [...words.slice(0, at), more, ...words.slice(at)].join(' ')
        expect(heard(said).understood?.change, said).toBeUndefined()
      }),
      1500,
    )
  })
  it.each([
    'relief was 0.3, now 0.2',
    'relief should be 0.3',
    'relief 0.3?',
    'action bass 1.6, treble 1.4',
    'string 1 is 2 cents flat, string 2 is 3 cents sharp',
    'string 6 3 cents',
    'string 6 -3 cents flat',
    'open string 3 is 4 cents sharp',
    'string 3 at fret 5 is 4 cents sharp',
    'truss 1/4 turn clockwise, then 1/8 back',
    'no coats of clear today',
    'clear coat 3 runs at the horn',
    'sanded after 2 coats of clear',
    'two coats of clear planned for tomorrow',
    'ordered 2 cans of clear coat',
    'bought 6 tuners',
    'bought bridge 55 and tuners 24',
    'bought tuners 24 dollars',
    'bought tuners for 1,234',
    'bought body on 2026-12-01 for 80',
    'body cost me 3 evenings',
    'would have paid 24 for the tuners',
    'pocket depth 15.9 to 16.1',
    'pocket depth about 16',
    'pocket depth is not 16',
    'pocket depth 16 at the mouth and 15.8 at the end',
    'neck pickup resistance is 8.8',
    'thickness at fret 3 is 21.5',
  ])('stays a note: %s', (text) => expect(heard(text).understood).toBeUndefined())
  it.each([
    ['G string 4 cents sharp', { what: 'cents', value: 4, string: 3 }],
    ['low E 3 cents flat', { what: 'cents', value: -3, string: 6 }],
    ['the A string is 2 cents flat', { what: 'cents', value: -2, string: 5 }],
    ['action on string 6 at fret 12 is 1.6', { what: 'action', value: 1.6, string: 6, fret: 12 }],
    ['action at the 17th fret, bass side, 2 mm', { what: 'action', value: 2, string: 6, fret: 17 }],
    ['relief at fret 8 is 0.3', { what: 'relief', value: 0.3 }],
    ['relief is −0.1', { what: 'relief', value: -0.1 }],
  ])('by its note, at its fret: %s', (text, reading) => expect(lastReading(after(text))).toEqual([reading]))
  it('two strings of that note, or a letter that may be an article, are no string', () => {
    expect(heard('E string 2 cents flat').understood).toBeUndefined()
    expect(heard('a string is 2 cents flat').understood).toBeUndefined()
  })
  it('how many there are is not what they cost; what they would cost is not ordered', () => {
    expect(after('bought 6 tuners for 24').parts.tuners!.price).toBe(24)
    const planned = { ...build, parts: { ...build.parts, tuners: { ...build.parts.tuners!, state: 'planned' as const } } }
    const u = heardAs(planned, 'the tuners cost 24 euro').understood!
    expect(applyChange(planned, u.change!(planned, AT)).parts.tuners).toMatchObject({ price: 24, state: 'planned' })
  })
  it('the third coat is one, and only where it is next', () => {
    expect(Object.keys(after('coat 1 of clear').finish.laid!)).toHaveLength(1)
    expect(heard('third coat of clear').understood).toMatchObject({ says: 'Coat 3 of clear. Next of it under Finish is coat 1.' })
    expect(heard('third coat of clear').understood!.change).toBeUndefined()
    expect(heard('two coats of clear on the neck').understood!.change).toBeUndefined()
  })
  it('a fret that a label names is no second number; a scale length is no weight', () => {
    expect(heard('neck thickness at fret 12 is 23').understood!.size!.ref.size).toBe('fret12.thickness')
    expect(heard('scale length 648 rule').understood!.size).toMatchObject({ ref: { size: 'scale' }, size: { value: 648, known: 'rule' } })
    expect(heard('neck pickup 8.80k').understood!.size).toMatchObject({ ref: { size: 'resistance' }, size: { value: 8800 } })
    expect(heard('string 1 gauge 0.010 in').understood!.size).toMatchObject({ ref: { size: 'gauge.1' }, size: { value: 0.254 } })
  })
})
