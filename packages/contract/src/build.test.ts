import { fullBuild } from '@snug/core/testing/fullBuild'
import type { Build, Part } from '@snug/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isBuild, problemsOfBuild } from './build'
import { problemsOfPart } from './part'

const full = fullBuild()
/** The full build with one place set to something. */
function withPlace(path: string, value: unknown): unknown {
  const doc = structuredClone(full) as unknown as Record<string, unknown>
  const keys = path.split('/')
  let at = doc
  for (const key of keys.slice(0, -1)) at = (at[key] ??= {}) as Record<string, unknown>
  if (value === undefined) delete at[keys.at(-1)!]
  else at[keys.at(-1)!] = value
  return doc
}

const READING = { ohm: 8000, probes: ['jack.tip', 'jack.sleeve'], setting: { switches: {}, knobs: {} }, at: '2026-11-24T20:00:00Z' }

describe('a whole build at the border', () => {
  it('a good one passes', () => {
    expect(problemsOfBuild(full)).toEqual([])
    expect(isBuild(full)).toBe(true)
  })
  it.each<[path: string, value: unknown, at: string, why: RegExp]>([
    ['schema', 1, 'schema', /version this Snug Bolt does not know/],
    ['name', '', 'name', /1 to 80 letters/],
    ['handedness', 'both', 'handedness', /right or left/],
    ['strings', 13, 'strings', /whole number from 4 to 12/],
    ['strings', 6.5, 'strings', /whole number/],
    ['scale', 5000, 'scale', /500 to 900 mm/],
    ['scale', '647.7', 'scale', /must be a number/],
    ['due', '14.2.2027', 'due', /like 2027-02-14/],
    ['due', '2027-13-01', 'due', /like 2027-02-14/],
    ['due', '2027-02-31', 'due', /not a day of the calendar/],
    ['due', '1999-12-31', 'due', /too far off; days go from 2000-01-01/],
    ['due', '2099-01-01', 'due', /too far off/],
    ['finish/start', '2027-04-31', 'finish.start', /not a day of the calendar/],
    ['parts/nut/arrives', '2027-02-30', 'parts.nut.arrives', /not a day of the calendar/],
    ['steps/solder', { done: '2026-W48-3' }, 'steps.solder.done', /2026-11-23T19:30:00Z/],
    ['steps/solder', { done: '2026-11' }, 'steps.solder.done', /2026-11-23T19:30:00Z/],
    ['steps/solder', { done: '2026-02-30T10:00:00Z' }, 'steps.solder.done', /not a day of the calendar/],
    ['jobs/x', { slot: 'neck', size: 'nothing', delta: 1, doubt: 0, text: 'x' }, 'jobs.x.size', /no size called "nothing"/],
    ['jobs/x', { slot: 'body', size: 'pocket.widthMouth', delta: 9e5, doubt: 0, text: 'x' }, 'jobs.x.delta', /cannot be right; allowed/],
    ['name', 'He\u0000ron', 'name', /U\+0000, letter 3/],
    ['name', 'half \ud83d', 'name', /U\+D83D/],
    ['currency', 'euro', 'currency', /three letters/],
    ['budget', -1, 'budget', /from 0 to/],
    ['room/now', 120, 'room.now', /5 to 95 %/],
    ['evenings', [60, 60], 'evenings', /7 to 7 numbers, Monday first; this one has 2/],
    ['evenings', [60, 60, 60, 60, 60, 60, 2000], 'evenings.6', /0 to 960/],
    ['finish/system', 'varnish', 'finish.system', /one of none, lacquer, acrylic/],
    ['finish/coats', 0, 'finish.coats', /1 to 20/],
    ['finish/weather/air', 99, 'finish.weather.air', /°C/],
    ['finish/layers', [{ product: 'wax', coats: 0 }], 'finish.layers.0.coats', /1 to 40/],
    ['finish/layers', [{ product: 'wax', coats: 1, colour: 'red' }], 'finish.layers.0.colour', /#1f6f78/],
    ['finish/layers', [{ product: 'wax', coats: 1, burst: 500 }], 'finish.layers.0.burst', /1 to 300 mm/],
    ['finish/zones', { lid: { layers: [] } }, 'finish.zones.lid', /"lid" is not a zone/],
    ['finish/labels', { wax: { solids: 0 } }, 'finish.labels.wax.solids', /0.5 to 100 %/],
    ['finish/labels', { wax: { basis: 'area' } }, 'finish.labels.wax.basis', /by volume or by weight/],
    ['finish/drying', { air: 20 }, 'finish.drying.humidity', /Humidity/],
    ['finish/forecast', [{ at: '27 Nov', air: 10, humidity: 50 }], 'finish.forecast.0.at', /2026-11-27T18/],
    ['finish/forecast', [{ at: '2026-11-27T18', air: 10, humidity: 0 }], 'finish.forecast.0.humidity', /1 to 100 %/],
    ['finish/uncounted', { from: 2.5, to: 4 }, 'finish.uncounted.from', /0 to 60/],
    [
      'finish/passes',
      { a: { at: '2026-11-24T19:00:00Z', texture: 'rough', grits: [], block: true } },
      'finish.passes.a.texture',
      /one of glass/,
    ],
    [
      'finish/passes',
      { a: { at: '2026-11-24T19:00:00Z', texture: 'glass', grits: [3], block: true } },
      'finish.passes.a.grits.0',
      /24 to 10000/,
    ],
    ['finish/abrasives', 'mesh', 'finish.abrasives', /P or unmarked/],
    ['finish/mixes', { a: { name: 'x', parts: [{ name: 'red', parts: -1 }], thin: 0 } }, 'finish.mixes.a.parts.0.parts', /0 to 1000/],
    ['finish/wear', { a: { name: 'x', face: 'front', points: [{ x: 1, y: 1 }] } }, 'finish.wear.a.points', /3 to 200/],
    ['finish/troubles', { a: { symptom: '', at: '2026-11-24T19:00:00Z' } }, 'finish.troubles.a.symptom', /names what is seen/],
    ['setup/school', 'high', 'setup.school', /one of low, ordinary/],
    ['setup/tuning', { name: 'x', notes: [99] }, 'setup.tuning.notes.0', /60 semitones below/],
    ['setup/turns', { a: { screw: 'knob', turns: 1, at: '2026-11-24T20:04:00Z' } }, 'setup.turns.a.screw', /one of truss, claw/],
    ['setup/turns', { a: { screw: 'truss', turns: 99, at: '2026-11-24T20:04:00Z' } }, 'setup.turns.a.turns', /-40 to 40/],
    [
      'setup/troubles',
      { b: { symptom: 'x', at: '2026-11-24T20:04:00Z', found: { damp: 3 } } },
      'setup.troubles.b.found.damp',
      /showed it, or not/,
    ],
    ['setup/attack', 9, 'setup.attack', /0.1 to 6 mm/],
    ['setup/rocks', { '1-9': 3 }, 'setup.rocks.1-9', /0 to 2 mm/],
    ['setup/vibrato', { springs: 9 }, 'setup.vibrato.springs', /1 to 6/],
    ['setup/saddle', 200, 'setup.saddle', /0 to 60 mm/],
    ['circuit/cable', 31, 'circuit.cable', /0 to 30/],
    ['circuit/volume', 5, 'circuit.volume', /no field called "volume"/],
    ['readings/a', { ...READING, probes: ['jack.tip'] }, 'readings.a.probes', /2 to 2 lugs/],
    ['readings/a', { ...READING, setting: { switches: { switch: 0 }, knobs: {} } }, 'readings.a.setting.switches.switch', /1 to 24/],
    ['readings/a', { ...READING, setting: { switches: {}, knobs: { volume: 11 } } }, 'readings.a.setting.knobs.volume', /0 to 10/],
    ['steps/solder', { done: 'yesterday' }, 'steps.solder.done', /2026-11-23T19:30:00Z/],
    ['jobs/x', { slot: 'lid', size: 'a', delta: 1, doubt: 0, text: 'x' }, 'jobs.x.slot', /slot of the build/],
    ['jobs/x', { slot: 'body', size: 'a', delta: NaN, doubt: 0, text: 'x' }, 'jobs.x.delta', /must be a number/],
    ['mockup/neck-in', { outcome: 'fine', at: '2026-11-24T20:00:00Z', basis: 'a' }, 'mockup.neck-in.outcome', /ends measured, goes/],
    ['slots/lid', 'open', 'slots.lid', /"lid" is not a slot/],
    ['slots/guard', 'perhaps', 'slots.guard', /one of fixed, preferred, open/],
    ['parcels/Seller', -3, 'parcels.Seller', /Postage is a number/],
    ['consumables/tub', { name: 'tub', price: 4, share: 3 }, 'consumables.tub.share', /0 to 1/],
    ['tools', ['hammer'], 'tools.0', /one of calipers/],
    ['orders/guard', { revision: 0, at: '2026-11-24', sizes: {} }, 'orders.guard.revision', /from 1 to 1000/],
    ['parts/lid', full.parts.nut, 'parts.lid', /"lid" is not a slot; slots are body/],
    ['parts/nut', full.parts.jack, 'parts.nut.kind', /takes a nut, not a jack/],
    ['parts/nut/name', '', 'parts.nut.name', /1 to 120 letters/],
    ['parts/nut/colour', 'red', 'parts.nut.colour', /like #d9b98a/],
    ['parts/nut/metal', 'tin', 'parts.nut.metal', /one of nickel/],
    ['steps/solder', { done: '2026-11-23T19:30:00Z', took: -3 }, 'steps.solder.took', /minutes a step took/],
    ['plan', { begins: 1500 }, 'plan.begins', /When the evening begins/],
    ['plan', { cutOff: -1 }, 'plan.cutOff', /nothing final is begun/],
    ['plan', { booked: { solder: { by: '', on: '2026-12-05' } } }, 'plan.booked.solder.by', /Who comes/],
    ['plan', { leftOut: { solder: 'never' } }, 'plan.leftOut.solder', /A day is written like/],
    ['plan', { booked: { solder: { by: 'a shop', on: 'soon' } } }, 'plan.booked.solder.on', /A day is written like/],
    ['delivered', { on: '2026-12-05', faults: [''] }, 'delivered.faults.0', /known fault has 1 to 400/],
    [
      'delivered',
      { on: '2026-12-05', faults: [], reopened: { on: '2026-12-06', why: '' } },
      'delivered.reopened.why',
      /Why it was taken in/,
    ],
    ['job', 'theft', 'job', /A job is one of kit/],
    ['parts/nut/state', 'lost', 'parts.nut.state', /planned, ordered, in hand/],
    ['parts/nut/sizes/width', { value: 90, doubt: 0.1, known: 'calipers' }, 'parts.nut.sizes.width', /allowed is 2 mm to 10 mm/],
    ['parts/nut/sizes/width', { value: 3, doubt: 0.1, known: 'guess' }, 'parts.nut.sizes.width.known', /one of calipers/],
    [
      'parts/nut/sizes/width',
      { value: 3, doubt: 0.1, known: 'rule', film: 6000 },
      'parts.nut.sizes.width.film',
      /Film that lay on it must be a number from 0 to 5000 µm/,
    ],
    ['parts/nut/traits/type', 'soft', 'parts.nut.traits.type', /cannot be "soft"/],
    ['parts/body/outline', [{ x: 0, bass: 1 }], 'parts.body.outline.0.treble', /half-width must be a number/],
    ['extra', true, 'extra', /no field called "extra"/],
    ['parts/nut/weight', 3, 'parts.nut.weight', /no field called "weight"/],
  ])('%s = %j is refused at %s', (path, value, at, why) => {
    const found = problemsOfBuild(withPlace(path, value))
    expect(found.map((p) => p.path)).toContain(at)
    expect(found.find((p) => p.path === at)!.why).toMatch(why)
    expect(isBuild(withPlace(path, value))).toBe(false)
  })
  it.each(['name', 'parts', 'jobs', 'finish', 'setup', 'evenings', 'room', 'circuit', 'readings', 'steps'])(
    '%s may not be missing',
    (key) => {
      expect(problemsOfBuild(withPlace(key, undefined)).some((p) => p.path === key || p.path.startsWith(`${key}.`))).toBe(true)
    },
  )
  it.each([[null], ['text'], [[]], [42], [undefined]])('%j is no build', (plain) => {
    expect(problemsOfBuild(plain)).toEqual([{ path: '', why: 'This should be an object with named fields.' }])
  })
  it('whatever JSON comes in, it answers with sentences and never throws', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (junk) => {
        for (const doc of [junk, withPlace('parts', junk), withPlace('parts/nut', junk), withPlace('finish', junk)])
          for (const p of problemsOfBuild(doc)) expect(p.why.length).toBeGreaterThan(5)
      }),
      { numRuns: 60 },
    )
  })
  it('any size of any part set out of its range is found, with its path', () => {
    const refs = Object.entries(full.parts).flatMap(([slot, part]) => Object.keys(part!.sizes).map((size) => [slot, size] as const))
    fc.assert(
      fc.property(fc.constantFrom(...refs), fc.constantFrom(-1e7, 1e8), ([slot, size], value) => {
        const doc = structuredClone(full) as Build
        doc.parts[slot as 'body']!.sizes[size]!.value = value
        expect(problemsOfBuild(doc).map((p) => p.path)).toEqual([`parts.${slot}.sizes.${size}`])
      }),
      { numRuns: 60 },
    )
  })
})

describe('a part at the border', () => {
  const nut = full.parts.nut as Part
  it('a good one passes, with what the seller promised', () => {
    expect(problemsOfPart(nut)).toEqual([])
    expect(problemsOfPart({ ...nut, promised: { width: { value: 3.5, doubt: 0.4, known: 'listed' } }, note: 'from the drawer' })).toEqual(
      [],
    )
  })
  it('shape is told before ranges, so that one slip gives one sentence', () => {
    const found = problemsOfPart({ ...nut, price: 'six', sizes: { width: { value: 900, doubt: 0, known: 'rule' } } })
    expect(found.map((p) => p.path)).toEqual(['price'])
  })
  it('too many sizes are told as such', () => {
    const sizes = Object.fromEntries(Array.from({ length: 200 }, (_, i) => [`s${i}`, { value: 1, doubt: 0, known: 'rule' }]))
    expect(problemsOfPart({ ...nut, sizes })[0]!.why).toMatch(/200 entries; at most 120/)
  })
})
