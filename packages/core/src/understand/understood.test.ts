import { describe, expect, it } from 'vitest'
import { applyChange } from '../document/change'
import { readingsOf } from '../document/setupReadings'
import { evaluate } from '../evaluate/evaluate'
import { fullBuild } from '../testing/fullBuild'
import { heardAs } from './understood'

const AT = '2026-12-01T20:00:00Z'
const build = { ...fullBuild(), setup: { school: 'ordinary' as const, readings: {} } }
const heard = (text: string) => heardAs(build, text)
const after = (text: string) => applyChange(build, heard(text).understood!.change!(build, AT))

describe('an entry as people say it', () => {
  it('heel width is 56.3: two could be meant, and both are offered', () => {
    const h = heard('heel width is 56.3')
    expect(h.understood).toBeUndefined()
    expect(h.near.map((n) => n.size!.ref.size).toSorted()).toEqual(['heel.widthEnd', 'heel.widthMouth'])
    const mouth = h.near.find((n) => n.size!.ref.size === 'heel.widthMouth')!
    expect(applyChange(build, mouth.change!(build, AT)).parts.neck!.sizes['heel.widthMouth']!.value).toBe(56.3)
  })
  it('relief 0.3; action bass 5/64 in; string 3 four cents flat', () => {
    expect(readingsOf(after('relief 0.3'), { what: 'relief' }).at(-1)!.value).toBe(0.3)
    expect(readingsOf(after('action bass 1.6 mm'), { what: 'action', string: 6 }).at(-1)!.value).toBeCloseTo(1.6, 6)
    expect(readingsOf(after('action on string 2 is 1.4'), { what: 'action', string: 2 }).at(-1)!.value).toBeCloseTo(1.4, 6)
    expect(readingsOf(after('string 3 reads 4 cents flat'), { what: 'cents', string: 3 }).at(-1)!.value).toBe(-4)
  })
  it('an action of no string, or one that cannot be, is not taken', () => {
    expect(heard('action 1.6').understood?.kind).not.toBe('reading')
    expect(heard('relief 30').understood).toBeUndefined()
  })
  it('bridge position reads 8.1k', () => {
    expect(heard('bridge position reads 8.1k').understood).toMatchObject({
      kind: 'reading',
      says: expect.stringMatching(/8.10 kΩ in the bridge position/) as string,
    })
  })
  it('bought tuners 24 euro: its price, and ordered where it was only planned', () => {
    expect(after('bought tuners 24 euro').parts.tuners!.price).toBe(24)
    const planned = { ...build, parts: { ...build.parts, tuners: { ...build.parts.tuners!, state: 'planned' as const } } }
    const u = heardAs(planned, 'paid 24 for the tuners').understood!
    expect(applyChange(planned, u.change!(planned, AT)).parts.tuners).toMatchObject({ price: 24, state: 'ordered' })
    expect(u.says).toMatch(/price 24.00 EUR, ordered/)
    expect(heard('bought tuners 1,200 euro').understood).toBeUndefined()
    expect(after('bought tuners 1200 euro').parts.tuners!.price).toBe(1200)
  })
  it('two coats of clear', () =>
    expect(heard('two coats of clear').understood).toMatchObject({
      kind: 'coat',
      says: expect.stringMatching(/^2 coats of clear/) as string,
    }))
  it('two coats of clear lay the next two that are planned, and tick the layer with its last; more than are planned only say so', () => {
    const b = { ...build, finish: { ...build.finish, system: 'none' as const, layers: [{ product: 'acrylic-clear' as const, coats: 2 }] } }
    const coats = evaluate(b, '2026-12-01').finish.plan!.coats
    const u = heardAs(b, 'two coats of clear', 'mm', coats).understood!
    const laid = applyChange(b, u.change!(b, AT))
    expect(Object.values(laid.finish.laid!).map((c) => c.product)).toEqual(['acrylic-clear', 'acrylic-clear'])
    expect(laid.steps[coats[0]!.step]).toMatchObject({ done: AT })
    const one = heardAs(b, 'one coat of clear', 'mm', coats).understood!
    expect(applyChange(b, one.change!(b, AT)).steps[coats[0]!.step]).toBeUndefined()
    const three = heardAs(b, 'three coats of clear', 'mm', coats).understood!
    expect(three.change).toBeUndefined()
    expect(three.says).toMatch(/Only 2 of it are still planned/)
  })
  it('turns with their sense; without it nothing is certain', () => {
    expect(Object.values(after('truss 1/4 turn clockwise').setup.turns!)).toMatchObject([{ screw: 'truss', turns: 0.25 }])
    expect(Object.values(after('claw half a turn looser').setup.turns!)).toMatchObject([{ screw: 'claw', turns: -0.5 }])
    expect(heard('truss a quarter turn').understood).toBeUndefined()
    expect(Object.values(after('bass post a quarter turn counter-clockwise').setup.turns!)).toMatchObject([{ screw: 'bass', turns: -0.25 }])
    expect(Object.values(after('treble side 1 1/4 turns clockwise').setup.turns!)).toMatchObject([{ screw: 'treble', turns: 1.25 }])
    expect(Object.values(after('saddle 3 half a turn back').setup.turns!)).toMatchObject([{ screw: 'length', string: 3, turns: 0.5 }])
    expect(Object.values(after('saddle of string 2 one turn forward').setup.turns!)).toMatchObject([
      { screw: 'length', string: 2, turns: -1 },
    ])
    // A post is neither tight nor loose, and a saddle goes back or forward, not round.
    for (const text of ['bass post a quarter turn tighter', 'saddle 3 half a turn clockwise', 'saddle 9 one turn back'])
      expect(heard(text).understood, text).toBeUndefined()
  })
  it('words that are a note stay one', () => {
    for (const text of ['glued the nut with one dot', 'called the shop, back on Tuesday', 'it is late'])
      expect(heard(text)).toEqual({ near: [] })
  })
})
