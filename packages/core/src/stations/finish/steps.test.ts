import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, ZoneLayer } from '../../document/build'
import { evaluate } from '../../evaluate/evaluate'
import { addLayer } from '../../finish/editing'
import { maskedOf, maskMarks } from '../../finish/masking'
import { dryingTimers } from '../../finish/timers'
import { zoneGroups } from '../../finish/zones'
import { planOf } from '../../testing/coatPlanOf'
import { addDays, daysBetween } from '../../quantity/days'
import { changed, fullBuild } from '../../testing/fullBuild'
import { PRODUCT_IDS } from '../../finish/products'

const made = (finish: Partial<Build['finish']>, surface = 'raw'): Build => {
  const build = changed(fullBuild(), {}, { 'body/surface': surface, 'neck/surface': 'raw' })
  return {
    ...build,
    steps: {},
    finish: { ...build.finish, start: '2026-12-01', weather: { air: 20, surface: 20, humidity: 50 }, ...finish },
  }
}
const CLEAR: ZoneLayer[] = [
  { product: 'acrylic-colour', coats: 2 },
  { product: 'acrylic-clear', coats: 3 },
]
const steps = (b: Build, today = '2026-12-01') => evaluate(b, today).plan.steps

describe('steps of the finish', () => {
  it('say the days of their coats: of one evening that evening', () => {
    const [first] = steps(made({ system: 'acrylic', layers: [{ product: 'acrylic-colour', coats: 1 }] })).filter((s) => s.calendar)
    expect(first!.why).toMatch(/^\d+ Dec\. /)
    const longer = steps(made({ system: 'acrylic', layers: [{ product: 'waterborne-clear', coats: 4 }] })).find((s) => s.calendar)!
    expect(longer.why).toMatch(/^\d+ Dec to \d+ Dec\. /)
  })
  it('each layer of each zone after the one below it, the rub-out after all of them and the sealed holes, wax after that', () =>
    fc.assert(
      fc.property(
        fc.array(fc.record({ product: fc.constantFrom(...PRODUCT_IDS), coats: fc.integer({ min: 1, max: 3 }) }), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.array(fc.record({ product: fc.constantFrom(...PRODUCT_IDS), coats: fc.integer({ min: 1, max: 3 }) }), { maxLength: 3 }),
        (layers, neck) => {
          const build = made({ layers, zones: { 'neck-back': { layers: neck } } })
          const found = steps(build).filter((s) => s.station === 'finish')
          const at = (id: string) => found.findIndex((s) => s.id === id)
          expect(new Set(found.map((s) => s.id)).size).toBe(found.length)
          for (const s of found)
            for (const b of s.befores) if (at(b.id) >= 0) expect(at(b.id), `${s.id} after ${b.id}`).toBeLessThan(at(s.id))
          const coats = found.filter((s) => s.id.startsWith('coats-'))
          expect(coats).toHaveLength(zoneGroups(build).reduce((n, g) => n + g.layers.length, 0))
          for (const s of coats) expect(s.cautions.length).toBeGreaterThan(0)
        },
      ),
      { numRuns: 25 },
    ))
  it('a stack without a name of a finish has its steps all the same', () => {
    const found = steps(made({ system: 'none', layers: CLEAR }))
    expect(found.map((s) => s.id)).toEqual(expect.arrayContaining(['coats-colour', 'coats-top', 'seal-holes', 'rub-out']))
  })
  it.each([
    ['acrylic-clear', 'Rub out and polish', 150, true],
    ['shellac', 'Rub out and polish', 150, true],
    ['oil-varnish', 'Buff with a soft cloth', 20, false],
    ['oil-thin', 'Buff with a soft cloth', 20, false],
    ['hard-wax', 'Wipe over with a dry cloth', 5, false],
  ] as const)('%s ends so: %s', (product, title, minutes, wet) => {
    const build = made({ system: 'none', layers: [{ product, coats: 2 }] })
    const found = steps(build)
    const last = found.find((s) => s.id === 'rub-out')!
    expect(last).toMatchObject({ title, minutes })
    expect(last.noisy ?? false).toBe(wet)
    // Only what is cut wet needs its holes sealed and is warned of pads in a drill.
    expect(found.some((s) => s.id === 'seal-holes')).toBe(wet)
    expect(last.cautions.some((c) => c.includes('pads in a drill'))).toBe(wet)
    // Hardware waits for it whatever it is.
    expect(found.find((s) => s.id === 'hardware')!.befores.map((b) => b.id)).toContain('rub-out')
  })
  it('where the body is lacquered and the neck oiled, the whole is rubbed out and the neck is not', () => {
    const both = made({ system: 'none', layers: CLEAR, zones: { 'neck-back': { layers: [{ product: 'oil-varnish', coats: 3 }] } } })
    const last = steps(both).find((s) => s.id === 'rub-out')!
    expect(last.title).toBe('Rub out and polish')
    expect(last.why).toMatch(/Neck.*: only buff with a soft cloth\.$/)
  })
  it('a way back that was taken is a step, and the rub-out waits for its days', () => {
    const rubOut = (finish: Partial<Build['finish']>) => steps(made({ layers: CLEAR, ...finish })).find((s) => s.id === 'rub-out')!
    const troubles = { a: { symptom: 'runs', at: '2026-12-02T19:00:00Z', way: 'block' } }
    const mend = steps(made({ layers: CLEAR, troubles })).find((s) => s.id === 'mend-a')!
    expect(mend).toMatchObject({ minutes: 40, wait: 5 * 1440, title: 'Mend: runs or sags' })
    expect(rubOut({ troubles }).befores.map((b) => b.id)).toContain('mend-a')
    expect(rubOut({ troubles }).date! >= rubOut({}).date!).toBe(true)
    expect(
      steps(made({ layers: CLEAR, troubles: { a: { symptom: 'through', at: '2026-12-02T19:00:00Z', way: 'leave' } } })).some(
        (s) => s.id === 'mend-a',
      ),
    ).toBe(false)
  })
  it('the usual wait is told of the system as it comes, not of what was put together in its place', () => {
    const why = (finish: Partial<Build['finish']>) => steps(made({ system: 'lacquer', ...finish })).find((s) => s.id === 'rub-out')!.why
    expect(why({})).toMatch(/7 to 21 days before wet sanding/)
    expect(why({ layers: [{ product: 'oil-varnish', coats: 4 }] })).not.toMatch(/wet sanding/)
  })
  it('coats moved by a month move the rub-out with them', () => {
    const on = (day: string) =>
      Object.fromEntries(['colour-1', 'colour-2', 'top-1', 'top-2', 'top-3'].map((id) => [id, { product: 'x', at: `${day}T19:00` }]))
    const rub = (day: string) => steps(made({ layers: CLEAR, laid: on(day) }), '2027-02-01').find((s) => s.id === 'rub-out')!.notBefore
    expect([rub('2026-12-01'), rub('2027-01-01')]).toEqual(['2026-12-04', '2027-01-04'])
  })
})

describe('a slip of one coat', () => {
  /** All wood is behind; the first coat is laid on its day, or so many days later. */
  const laidOn = (days: number) => {
    const bare = made({ layers: CLEAR })
    const wood = steps(bare).filter((s) => s.stage === 'wood' || s.stage === 'trial' || s.id === 'sand')
    const behind = { ...bare, steps: Object.fromEntries(wood.map((s) => [s.id, { done: '2026-11-30T20:00:00Z' }])) }
    const day = addDays('2026-12-01', days)
    const laid = { 'colour-1': { product: 'acrylic-colour', at: `${day}T19:00:00Z`, air: 20, surface: 20, humidity: 50 } }
    return steps({ ...behind, finish: { ...behind.finish, laid } }, day)
  }
  it('moves everything after it, and nothing that does not stand on it', () => {
    const [planned, slipped] = [laidOn(0), laidOn(7)]
    const after = new Set(['coats-colour'])
    for (const s of planned) if (s.befores.some((b) => after.has(b.id))) after.add(s.id)
    expect(after.size).toBeGreaterThan(10)
    const date = (list: typeof planned, id: string) => list.find((s) => s.id === id)?.date
    for (const id of after) if (id !== 'coats-colour') expect(date(slipped, id)! >= addDays(date(planned, id)!, 5), id).toBe(true)
    const free = planned.filter((s) => s.state !== 'done' && !after.has(s.id))
    expect(free.length).toBeGreaterThan(0)
    // What waits for no coat is done as soon as ever: on the first evening there is.
    for (const s of free)
      expect(daysBetween('2026-12-08', date(slipped, s.id)!), s.id).toBeLessThanOrEqual(daysBetween('2026-12-01', s.date!) + 1)
  })
})

describe('the label’s word', () => {
  it('lays what the table refuses, with a test piece asked; nothing lets dye through a seal', () => {
    const over = made({ layers: [{ product: 'wipe-on-poly', coats: 2 }] })
    expect(addLayer(over, 'whole', 'lacquer-clear').ok).toBe(false)
    expect(addLayer(over, 'whole', 'lacquer-clear', true).ok).toBe(true)
    expect(addLayer(over, 'whole', 'water-dye', true)).toMatchObject({ ok: false, why: expect.stringMatching(/does not go into the wood/) })
  })
})

describe('clocks', () => {
  const build = made({
    layers: [{ product: 'lacquer-clear', coats: 2 }],
    laid: { 'top-1': { product: 'x', at: '2026-12-01T19:00:00+00:00', air: 10, humidity: 50 } },
  })
  const at = (iso: string, b = build) => dryingTimers(b, zoneGroups(b), planOf(b).coats, Date.parse(iso))
  it('run from what was laid, twice as long at 10 degrees, and end', () => {
    const [clock] = at('2026-12-01T19:30:00Z')
    expect(clock).toMatchObject({ label: 'Nitrocellulose clear 1', then: 'next coat', at: Date.parse('2026-12-01T21:00:00Z') })
    expect(at('2026-12-01T21:00:01Z')).toEqual([])
  })
  it('after the last coat it is the rub-out that is waited for', () => {
    const all = {
      ...build,
      finish: {
        ...build.finish,
        laid: { ...build.finish.laid, 'top-2': { product: 'x', at: '2026-12-01T22:00:00+00:00', air: 20, humidity: 50 } },
      },
    }
    expect(at('2026-12-02T00:00:00Z', all)[0]).toMatchObject({ then: 'rub out', at: Date.parse('2026-12-08T22:00:00Z') })
  })
})

describe('masking', () => {
  it('pocket, board and ground lie where they are on this instrument; what is coated is not masked', () => {
    const build = made({ layers: CLEAR })
    expect(maskedOf(build).map((m) => m.id)).toEqual(expect.arrayContaining(['pocket', 'board', 'bridge']))
    const own = made({ layers: CLEAR, maskPocket: false, zones: { board: { layers: [{ product: 'oil-varnish', coats: 2 }] } } })
    expect(maskedOf(own).map((m) => m.id)).not.toEqual(expect.arrayContaining(['pocket']))
    expect(maskedOf(own).map((m) => m.id)).not.toEqual(expect.arrayContaining(['board']))
    expect(maskMarks(build).length).toBeGreaterThan(2)
    const border = made({ layers: CLEAR, zones: { 'neck-back': { layers: CLEAR, border: 14 } } })
    expect(
      maskedOf(border)
        .find((m) => m.id === 'border')!
        .points.every((p) => p.x === 14),
    ).toBe(true)
  })
})
