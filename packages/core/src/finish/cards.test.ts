import { describe, expect, it } from 'vitest'
import type { Build, ZoneLayer } from '../document/build'
import { datums } from '../instrument/datums'
import { changed, fullBuild } from '../testing/fullBuild'
import { finishCards } from './cards'
import { maskedOf, maskMarks } from './masking'

const CLEAR: ZoneLayer[] = [{ product: 'lacquer-clear', coats: 5 }]
const made = (finish: Partial<Build['finish']>): Build => ({ ...fullBuild(), finish: { ...fullBuild().finish, ...finish } })

describe('masking', () => {
  it('through a sound hole the mist goes into the body: it is stuffed, and drawn where it lies', () => {
    const hole = (more: Parameters<typeof changed>[1], traits: Parameters<typeof changed>[2]) =>
      maskedOf(changed(made({ layers: CLEAR }), more, traits)).find((m) => m.id === 'sound-hole')
    expect(hole({}, {})).toBeUndefined()
    expect(hole({}, { 'body/build': 'semi-hollow' })).toMatchObject({
      says: 'the sound holes, where it has any: paper or foam in them, flush, and out again',
      points: [],
    })
    const told = hole({ 'body/soundHole.diameter': 60, 'body/soundHole.x': 100, 'body/soundHole.y': 70 }, { 'body/access': 'sound-hole' })!
    expect(told.says).toBe('the sound holes: paper or foam in them, flush, and out again')
    expect(Math.max(...told.points.map((p) => p.y))).toBeCloseTo(100, 9)
    expect(Math.min(...told.points.map((p) => p.x))).toBeCloseTo(datums(fullBuild()).mouth + 70, 9)
  })
})

describe('what is masked, drawn', () => {
  it('hatched where it is said to be, its border a line; what has no place of its own is not drawn', () => {
    const build = made({ layers: CLEAR, maskPocket: true, zones: { 'neck-back': { layers: CLEAR, border: 30 }, board: { layers: [] } } })
    const said = maskedOf(build)
    expect(said.map((m) => m.id)).toEqual(['pocket', 'board', 'bridge', 'border'])
    expect(said.find((m) => m.id === 'border')!.says).toBe('the border on the neck’s back, 30 mm from the nut')
    const marks = maskMarks(build)
    expect(marks.map((m) => m.mark)).toEqual(['area', 'area', 'area', 'line'])
    expect(marks.map((m) => (m.mark === 'area' || m.mark === 'line' ? m.points : []))).toEqual(said.map((m) => m.points))
    expect(marks.at(-1)).toMatchObject({ role: 'guide', dashed: true })
    // The pocket by its own width, not by the board's.
    const wide = maskedOf(changed(build, { 'body/pocket.widthMouth': 58 }))[0]!
    expect(wide.points.map((p) => Math.abs(p.y))).toEqual([29, 29, 29, 29])
    for (const m of marks.slice(0, -1)) expect(m).toMatchObject({ role: 'doubt' })
    // Hollow, and nobody has said where its holes are: stuffed all the same, drawn nowhere.
    const hollow = changed(build, {}, { 'body/build': 'semi-hollow' })
    expect(maskedOf(hollow)).toHaveLength(5)
    expect(maskMarks(hollow)).toHaveLength(4)
  })
})

describe('cards by what is laid', () => {
  const asked = (product: string, neck: 'set' | 'bolt' = 'bolt') => {
    const build = changed(made({ layers: [{ product, coats: 4 }] }), {}, { 'neck/joint': neck })
    return Object.fromEntries(finishCards(build).map((c) => [c.id, c]))
  }
  it('oil has no film to cut: no polishing, no gloss to take off the neck, and no carton to spray in', () => {
    const [oil, clear] = [asked('oil-varnish'), asked('lacquer-clear')]
    expect([oil['polishing']!.asked, oil['neck-feel']!.asked]).toEqual([false, false])
    expect([clear['polishing']!.asked, clear['neck-feel']!.asked]).toEqual([true, true])
    const carton = /big carton/
    expect(oil['holders']!.lines.some((l) => carton.test(l))).toBe(false)
    expect(clear['holders']!.lines.some((l) => carton.test(l))).toBe(true)
  })
  it('wax over oil is no film either', () => {
    const build = made({
      layers: [
        { product: 'oil-varnish', coats: 4 },
        { product: 'wax', coats: 1 },
      ],
    })
    expect(finishCards(build).find((c) => c.id === 'polishing')!.asked).toBe(false)
  })
  it('a neck hangs by a tuner’s bore; glued in, all of it does', () => {
    expect(asked('lacquer-clear')['holders']!.lines).toContain('The neck hangs by a hook through a tuner’s bore.')
    const glued = asked('lacquer-clear', 'set')['holders']!.lines
    expect(glued).toContain('It hangs by a hook through a tuner’s bore.')
    expect(glued.join()).not.toMatch(/pocket/)
  })
})

describe('the burst’s card', () => {
  const of = (...layers: ZoneLayer[]) =>
    finishCards(made({ system: 'lacquer', layers: [...layers, ...CLEAR] })).find((c) => c.id === 'burst')!
  const dye = (colour: string, burst?: number): ZoneLayer => ({
    product: 'water-dye',
    coats: 1,
    colour,
    ...(burst === undefined ? {} : { burst }),
  })
  it('begins with the colours in their order, the lightest over all of it, and says how much of each', () => {
    const card = of(dye('#3a1808', 20), dye('#e0b040'), dye('#b04818', 45))
    expect(card.lines.slice(0, 3).map((l) => l.replace(/^[^:]*: /, ''))).toEqual([
      expect.stringMatching(/^all over, /),
      expect.stringMatching(/^45 mm in from the edge, /),
      expect.stringMatching(/^20 mm in from the edge, /),
    ])
    expect(card.asked).toBe(true)
    expect(card.numbers.map((n) => n.label.split(', ')[1])).toEqual(['amber', 'brown', 'dark brown'])
    for (const n of card.numbers) expect(n.value).toMatch(/^\d+ ml$/)
  })
  it('one colour all over is no burst; without any the card says where to give them', () => {
    expect(of(dye('#e0b040')).asked).toBe(false)
    expect(of()).toMatchObject({ asked: false, numbers: [] })
    expect(of().lines[0]).toMatch(/^Give layers a colour and a burst under Colour/)
  })
})

describe('the polishing card', () => {
  // Median grains 15.3, 12.6 and 10.3 µm [published: FEPA 43-2, from memory]; a scratch is about a third of its grain.
  it('says what each grit takes: a third of its grain', () =>
    expect(
      finishCards(made({ layers: CLEAR }))
        .find((c) => c.id === 'polishing')!
        .numbers.slice(0, 3),
    ).toEqual([
      { label: 'P1200 takes', value: '5 µm' },
      { label: 'P1500 takes', value: '4 µm' },
      { label: 'P2000 takes', value: '3 µm' },
    ]))
})
