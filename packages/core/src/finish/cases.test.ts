import { describe, expect, it } from 'vitest'
import type { Build, LaidCoat, ZoneLayer } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { areaOf } from '../geometry/polygon'
import { inset } from '../geometry/inset'
import { pt } from '../geometry/point'
import { addDays, daysBetween } from '../quantity/days'
import { planOf } from '../testing/coatPlanOf'
import { changed, fullBuild } from '../testing/fullBuild'
import { beforeCoat, finishCards, type CardId } from './cards'
import { areaOfZones, areaToCoat, shoppingFor } from './cover'
import { filmEvidence } from './evidence'
import { budgetSays, coatsMore, strikeThrough, type Budget } from './filmBudget'
import { finishResult } from './finishPlan'
import { zoneLook } from './looks'
import { burstOrder } from './burst'
import { colourWanted, oneTo, potOf } from './mixing'
import { triedFinishes } from '../evaluate/finishes'
import { lateSays } from './offers'
import { gritGrid, STOP_TEST, woodGrits } from './sections'
import { groundOf, layersOf, stackFaults } from './stack'
import { causesOf, FILM_SYMPTOMS, filmSymptom } from './troubles'
import { weatherCheck } from './weather'
import { zoneGroups } from './zones'
import { PRODUCTS } from './products'

const made = (finish: Partial<Build['finish']>, surface = 'raw', minutes = 180): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': surface, 'neck/surface': 'raw' })
  return {
    ...build,
    evenings: [0, 0, 0, 0, 0, 0, 0].map(() => minutes),
    steps: {},
    finish: { ...build.finish, start: '2026-12-01', weather: { air: 20, surface: 20, humidity: 50 }, ...finish },
  }
}
const l = (product: string, coats: number, more: Partial<ZoneLayer> = {}): ZoneLayer => ({ product, coats, ...more })
const cardOf = (build: Build, id: CardId) => finishCards(build).find((c) => c.id === id)!
const laid = (ids: string[], at: (i: number) => string, more: Partial<LaidCoat> = {}) =>
  Object.fromEntries(ids.map((id, i) => [id, { product: 'x', at: at(i), ...more }]))

describe('cases from the bench', () => {
  it('burst on a craft-acrylic stain with 12 oil coats on two-hour evenings: every evening holds as many as its waits let', () => {
    const build = made(
      { layers: [l('acrylic-wash', 2, { colour: '#e0a030' }), l('acrylic-wash', 1, { colour: '#401808', burst: 60 }), l('oil-thin', 12)] },
      'raw',
      120,
    )
    expect(stackFaults(groundOf(build), layersOf(build))).toEqual([])
    const plan = planOf(build)
    const oil = plan.coats.filter((c) => c.product === 'oil-thin')
    expect(oil).toHaveLength(12)
    // 20 min of hands and 2 h of waiting do not fit twice into 2 h: one an evening.
    expect(daysBetween(oil[0]!.date, oil.at(-1)!.date)).toBe(11)
    // Three washes of 30 min with 30 between do not fit into one evening: two, the wash dry overnight, then twelve.
    expect(plan.lastCoat).toBe('2026-12-14')
    // Evenings of three hours hold two of them: 20 + 120 + 20 = 160 min.
    const longer = planOf({ ...build, evenings: build.evenings.map(() => 180) }).coats.filter((c) => c.product === 'oil-thin')
    expect(new Set(longer.map((c) => c.date)).size).toBe(6)
  })
  it('2 primer, 600, 3 metallic, 3 sparkle, 5 clear within one week: ten minutes and hours, then 3 days', () => {
    const build = made({ layers: [l('filler-primer', 2), l('metallic-base', 3), l('sparkle', 3), l('acrylic-clear', 5)] }, 'raw', 420)
    expect(stackFaults(groundOf(build), layersOf(build))).toEqual([])
    const plan = planOf(build)
    const gaps = (product: string) => {
      const mine = plan.coats.filter((c) => c.product === product)
      return mine.slice(1).map((c, i) => c.starts - mine[i]!.starts - mine[i]!.hands)
    }
    expect(gaps('metallic-base')).toEqual([10, 10])
    expect(gaps('sparkle')).toEqual([10, 10])
    expect(daysBetween('2026-12-01', plan.rubOut)).toBeLessThanOrEqual(7)
    expect(cardOf(build, 'metallic')).toMatchObject({ asked: true })
    expect(cardOf(build, 'before-coat').lines.join(' ')).toMatch(/hand-warm water.*each session/)
  })
  it('a sealed kit to be stained: strip all or a colour coat; no order seals and then dyes', () => {
    for (const surface of ['sealed', 'coated']) {
      const build = made({ layers: [l('water-dye', 2), l('lacquer-clear', 4)] }, surface)
      expect(finishResult(build, '2026-12-01').problems.join()).toMatch(/Sand all of it off to the wood, or choose a colour coat/)
    }
    const order = made({ layers: [l('shellac-sealer', 1), l('water-dye', 2)] })
    expect(stackFaults(groundOf(order), layersOf(order))[0]).toMatchObject({ at: 1, follow: 'never' })
  })
  it('1200 to 2500 after three clears of 12 µm on relief: ridges and edges first, over 50 %, and how many coats bring it under 5', () => {
    const b: Budget = { coats: { from: 3, to: 3 }, film: 12, doubt: 0.3, texture: 'relief', grits: [1200, 2500], block: true }
    const risks = strikeThrough(b)
    expect(risks[0]!.place).not.toBe('flat')
    expect(risks[0]!.chance).toBeGreaterThan(0.5)
    const more = coatsMore(b)!
    expect(strikeThrough({ ...b, coats: { from: 3 + more, to: 3 + more } }).every((r) => r.chance < 0.05)).toBe(true)
    expect(strikeThrough({ ...b, coats: { from: 2 + more, to: 2 + more } }).some((r) => r.chance >= 0.05)).toBe(true)
    expect(budgetSays(b)).toMatch(new RegExp(`${more} more coats`, 'i'))
  })
  it('a strike-through logged shows ways back, each with time and cost', () => {
    const build = made({
      system: 'lacquer',
      passes: { a: { at: '2026-12-20T19:00:00Z', texture: 'light peel', grits: [1200], block: true, through: 'edge' } },
    })
    const symptom = filmSymptom('through')!
    expect(symptom.ways.length).toBeGreaterThan(1)
    expect(symptom.ways.map((w) => w.says).join(' ')).toMatch(/the wait begins again/)
    const [first] = causesOf(build, symptom)
    expect(first!.because.join()).toMatch(/cut through at edges/)
  })
  it('a grit is not done without the stop test, and all sections get one before any gets the next', () => {
    expect(STOP_TEST.join(' ')).toMatch(/dry.*lamp.*shiny speck/i)
    const grid = gritGrid(made({ grits: { 'top 180': '2026-12-01' } }), woodGrits('film'))
    expect(grid.find((c) => c.section === 'top' && c.grit === 240)!.waits).toMatch(/back at P180 first/)
    expect(grid.find((c) => c.section === 'back' && c.grit === 180)!.waits).toBeUndefined()
    expect(woodGrits('film')).toEqual([180, 240, 320])
  })
  it('printed image: mirrored, dry first, mist coats over it, its redo logged', () => {
    const build = made({ layers: [l('lacquer-clear', 2), l('decal', 1), l('lacquer-clear', 4)] })
    const card = cardOf(build, 'decal')
    expect(card.asked).toBe(true)
    expect(card.lines.join(' ')).toMatch(/mirrored.*dry for a day.*Overnight/s)
    expect(stackFaults(groundOf(build), layersOf(build)).find((f) => f.at === 2)!.says).toMatch(/mist coats first/)
    expect(filmSymptom('transfer')!.ways[0]!.id).toBe('redo')
  })
  it('a colour recipe: burst of three, light to dark, ml of each for two faces and the rim, its thin part 1 to 9', () => {
    const build = made({
      system: 'lacquer',
      layers: [
        { product: 'lacquer-toner', coats: 2, colour: '#301808', burst: 40 },
        { product: 'water-dye', coats: 1, colour: '#e0a030' },
        { product: 'lacquer-toner', coats: 2, colour: '#a02818', burst: 90 },
      ],
    })
    const area = areaToCoat(build)
    const { zones, steps: order } = burstOrder(build)
    expect(order.map((o) => o.colour)).toEqual(['#e0a030', '#a02818', '#301808'])
    for (const o of order) expect(o.millilitres).toBeGreaterThan(5)
    // The dye wets all of it once, 60 ml/m2; of the narrower band both faces take less by its part of them, the rest as much.
    expect(order[0]!.millilitres).toBeCloseTo(areaOfZones(area, zones) * 60, 9)
    const faces = area.zones.front + area.zones.back
    const around = area.zones.binding / 0.007
    const band = (mm: number) => 2 * ((around * mm) / 1000)
    const rest = areaOfZones(area, zones) - faces
    expect(band(90)).toBeLessThan(faces)
    expect(order[2]!.millilitres / order[1]!.millilitres).toBeCloseTo((band(40) + rest) / (band(90) + rest), 9)
    // What is bought is what is laid.
    const bought = Object.fromEntries(shoppingFor(area, zoneGroups(build)).map((s) => [s.product, s.millilitres]))
    expect(bought['water-dye']).toBeCloseTo(order[0]!.millilitres, 9)
    expect(bought['lacquer-toner']).toBeCloseTo(order[1]!.millilitres + order[2]!.millilitres, 9)
    // A colour of one's own, sprayed twice: 60 ml/m2 a coat over both faces and the rim, four tenths past the work.
    expect(colourWanted(area, 2)).toBeCloseTo(((faces + area.zones.rim) * 60 * 2) / 0.6, 9)
    const pot = potOf(
      {
        parts: [
          { name: 'red', parts: 2 },
          { name: 'brown', parts: 1 },
        ],
        thin: oneTo(9),
      },
      100,
    )!
    expect(pot.colour).toBeCloseTo(10, 9)
    expect(pot.parts.map((p) => p.millilitres)).toEqual([expect.closeTo(6.667, 3), expect.closeTo(3.333, 3)])
  })
  it('thin by 15 % is of the paint: 200 ml take 30 ml', () => {
    const pot = potOf({ parts: [{ name: 'white', parts: 1 }], thin: 15 }, 230)!
    expect(pot.colour).toBeCloseTo(200, 9)
    expect(pot.thinner).toBeCloseTo(30, 9)
    expect(potOf({ parts: [], thin: 0 }, 100)).toBeUndefined()
  })
  it('silver grey after sanding is dry spray on metallic, not dust: respray nearer and wetter, no sanding', () => {
    const build = made({ layers: [l('filler-primer', 2), l('metallic-base', 3), l('acrylic-clear', 4)] })
    const symptom = filmSymptom('grey')!
    expect(causesOf(build, symptom)[0]!.says).toMatch(/dry, from too far/)
    expect(symptom.causes.every((c) => !/dust/.test(c.says))).toBe(true)
    expect(symptom.ways[0]!.says).toMatch(/nearer and wetter.*no sanding/)
  })
  it('mist school: 14 coats two days apart with two cans take 4 to 6 weeks', () => {
    const build = made({ layers: [l('lacquer-mist', 14)] })
    const plan = planOf(build)
    const weeks = daysBetween(plan.coats[0]!.date, plan.rubOut) / 7
    expect(weeks).toBeGreaterThanOrEqual(4)
    expect(weeks).toBeLessThanOrEqual(6.5)
    expect(shoppingFor(areaToCoat(build), zoneGroups(build))[0]!.containers).toBe(2)
    expect(cardOf(build, 'mist').lines.join(' ')).toMatch(/3 minutes.*off the body.*blob/is)
  })
  it('harsh solvent: respirator, gloves and open air stand before the first pass and are asked', () => {
    const card = cardOf(made({ system: 'lacquer' }), 'before-coat')
    expect(card.confirm).toMatch(/organic-vapour/)
    expect(card.lines[0]).toMatch(/[Rr]espirator.*gloves.*outdoors/)
    expect(card.cautions.join(' ')).toMatch(/No flame/)
    expect(cardOf(made({ system: 'oil' }), 'before-coat').confirm).toBeUndefined()
  })
  it('a cloth after the can asks for no respirator', () => {
    expect(beforeCoat(layersOf(made({ layers: [l('lacquer-clear', 1)] }))[0]).confirm).toMatch(/organic-vapour/)
    expect(beforeCoat(layersOf(made({ layers: [l('oil-varnish', 1)] }))[0]).confirm).toBeUndefined()
  })
  it('a wear pattern asks before it cannot be undone', () =>
    expect(cardOf(made({ system: 'lacquer' }), 'relic').confirm).toMatch(/cannot be undone/))
  it('binding: strip, ledge and tight turns from this outline; loose spots glued again', () => {
    const build = changed(made({ system: 'lacquer' }), { 'body/binding.thickness': 1.5, 'body/binding.height': 6 })
    const card = cardOf(build, 'binding')
    const value = (label: RegExp) => card.numbers.find((n) => label.test(n.label))!.value
    expect(card.asked).toBe(true)
    expect(value(/inwards/)).toBe('1.35 mm')
    expect(value(/downwards/)).toBe('5.85 mm')
    expect(parseInt(value(/a tenth more/))).toBeGreaterThan(parseInt(value(/Once round/)))
    const text = card.lines.join(' ')
    expect(text.indexOf('solvent')).toBeLessThan(text.indexOf('P220'))
    expect(text.indexOf('P220')).toBeLessThan(text.indexOf('Tape cut'))
    expect(text.indexOf('Tape cut')).toBeLessThan(text.indexOf('Glued'))
    expect(text).toMatch(/12 to 24 hours/)
    expect(filmSymptom('binding')!.ways[0]!.says).toMatch(/tape/)
  })
  it('filler: thin, overnight, P320, two or three times', () =>
    expect(cardOf(made({ layers: [l('grain-filler', 2)] }), 'filler').lines.join(' ')).toMatch(
      /Thin.*Overnight.*P320.*two or three.*test board.*opaque/s,
    ))
  it('unsealed tuner holes: wet sanding stays behind it, and cracks are put down to it', () => {
    const done = { done: '2026-12-02T20:00:00Z' }
    const build = { ...made({ system: 'lacquer' }), steps: { sand: done, 'coats-sealer': done, 'coats-top': done } }
    const rub = evaluate(build, '2027-01-10').plan.steps.find((s) => s.id === 'rub-out')!
    expect(rub.state).toBe('blocked')
    const wet = {
      ...build,
      finish: { ...build.finish, passes: { a: { at: '2027-01-10T19:00:00Z', texture: 'glass' as const, grits: [1200], block: true } } },
    }
    expect(causesOf(wet, filmSymptom('cracks')!)[0]!.because.join()).toMatch(/never ticked as sealed/)
  })
  it('lacquer two days too late for a gift says so and offers what makes it', () => {
    const build = made({ system: 'lacquer' })
    const due = { ...build, due: '2026-12-07' }
    const { plan } = evaluate(due, '2026-12-01')
    // All wood work stands before it: nothing of any finish is done within the week.
    expect(lateSays(due, [...triedFinishes(due, '2026-12-01')].at(-1)!)).toMatch(
      new RegExp(`all is done \\d+ \\w+, ${daysBetween('2026-12-07', plan.ends!)} days after the due date.*No finish is in time`),
    )
    const later = { ...build, due: addDays(plan.ends!, -3) }
    expect(lateSays(later, [...triedFinishes(later, '2026-12-01')].at(-1)!)).toMatch(
      /3 days after the due date.*In time would be: .*hard-wax oil/,
    )
  })
  it('a cold garage at 8 C and 85 %: refused with every reason, and what is laid there all the same is remembered', () => {
    const garage = { air: 8, surface: 8, humidity: 85 }
    const says = weatherCheck(garage, PRODUCTS['lacquer-clear']).says
    expect(says).toHaveLength(3)
    expect(says.join(' ')).toMatch(/too cold.*85 % humidity is above 75 %/)
    const build = made({ system: 'lacquer', laid: laid(['sealer-1', 'top-1'], (i) => `2026-12-01T19:0${i}`, garage) })
    expect(causesOf(build, filmSymptom('blush')!)[0]!.because.length).toBeGreaterThan(0)
    expect([...filmEvidence(build).keys()]).toEqual(expect.arrayContaining(['damp', 'dew', 'cold']))
  })
  it('a coat in the forbidden middle explains the wrinkles', () => {
    const build = made({
      layers: [l('acrylic-clear', 2)],
      laid: { 'top-1': { product: 'x', at: '2026-12-01T19:00' }, 'top-2': { product: 'x', at: '2026-12-01T22:00' } },
    })
    expect(causesOf(build, filmSymptom('wrinkle')!)[0]!.because.join()).toMatch(/3 h|180 min/)
    const fine = made({
      layers: [l('acrylic-clear', 2)],
      laid: { 'top-1': { product: 'x', at: '2026-12-01T19:00' }, 'top-2': { product: 'x', at: '2026-12-02T20:00' } },
    })
    expect(filmEvidence(fine).has('forbidden')).toBe(false)
  })
})

describe('causes and ways back', () => {
  it('every trouble has a cause and a way back with time, and its causes share one whole', () => {
    const build = made({ system: 'lacquer' })
    for (const s of FILM_SYMPTOMS) {
      expect(s.ways.length, s.id).toBeGreaterThan(0)
      const causes = causesOf(build, s)
      expect(
        causes.reduce((sum, c) => sum + c.share, 0),
        s.id,
      ).toBeCloseTo(1, 9)
      for (let i = 1; i < causes.length; i++) expect(causes[i]!.share).toBeLessThanOrEqual(causes[i - 1]!.share)
    }
  })
})

describe('colours seen', () => {
  const at = (finish: Partial<Build['finish']>, d: number, zone: 'front' | 'back' = 'front') => zoneLook(made(finish), zone).at(d)
  const light = (hex: string) => [1, 3, 5].reduce((s, i) => s + parseInt(hex.slice(i, i + 2), 16), 0)
  it('bare wood is the wood; waterborne hardly changes it, oil and lacquer warm it', () => {
    const wood = zoneLook(made({}), 'front').wood
    expect(at({ system: 'none' }, 10)).toBe(wood)
    expect(light(at({ layers: [l('oil-varnish', 6)] }, 10))).toBeLessThan(light(wood))
    expect(at({ layers: [l('waterborne-clear', 4)] }, 10)).toBe(wood)
  })
  it('paint hides what is under it, more with every coat', () => {
    const red = '#b02020'
    const far = (coats: number) => Math.abs(light(at({ layers: [l('acrylic-colour', coats, { colour: red })] }, 10)) - light(red))
    expect(far(1)).toBeGreaterThan(far(2))
    expect(far(4)).toBeLessThan(4)
  })
  it('a burst is dark at the edge, fades inwards and ends at its width', () => {
    const finish = { layers: [l('lacquer-toner', 3, { colour: '#402010', burst: 80 })] }
    const look = zoneLook(made(finish), 'front')
    expect(look.fade).toBe(80)
    expect(light(look.at(0))).toBeLessThan(light(look.at(40)))
    expect(light(look.at(40))).toBeLessThan(light(look.at(79)))
    expect(look.at(80)).toBe(look.at(200))
  })
  it('dye is stronger with strength and coats, and never lighter than none', () => {
    const dye = (strength: number, coats: number) => light(at({ layers: [l('water-dye', coats, { colour: '#204080', strength })] }, 10))
    expect(dye(100, 1)).toBeLessThan(dye(50, 1))
    expect(dye(50, 2)).toBeLessThan(dye(50, 1))
    expect(dye(0, 1)).toBe(light(zoneLook(made({}), 'front').wood))
  })
  it('a zone of its own colour leaves the others as they are', () => {
    const finish = { layers: [l('lacquer-clear', 4)], zones: { back: { layers: [l('acrylic-colour', 3, { colour: '#101010' })] } } }
    expect(light(at(finish, 10, 'back'))).toBeLessThan(light(at(finish, 10)))
    expect(at(finish, 10)).toBe(at({ layers: finish.layers }, 10))
  })
  it('a square drawn in by 10 is smaller by 10 on each side; a strip thinner than that is nothing', () => {
    const side = Array.from({ length: 100 }, (_, i) => i)
    const square = [
      ...side.map((x) => pt(x, 0)),
      ...side.map((y) => pt(100, y)),
      ...side.map((x) => pt(100 - x, 100)),
      ...side.map((y) => pt(0, 100 - y)),
    ]
    expect(areaOf(inset(square, 10))).toBeCloseTo(80 * 80, -2)
    expect(inset([pt(0, 0), pt(100, 0), pt(100, 5), pt(0, 5)], 10)).toEqual([])
  })
})
