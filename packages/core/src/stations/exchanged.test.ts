import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange, inverse } from '../document/change'
import { choosePart, chooseParts, removePart, setCircuit, setPartField } from '../document/changes'
import { offersOf } from '../circuit/schemes/harnessOf'
import { wireKey } from '../circuit/schemes/edited'
import type { Side } from '../drill/holeCard'
import { evaluator } from '../evaluate/evaluator'
import { SLOT_NAMES, type Slot } from '../parts/slots'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { wirable } from '../testing/wirable'
import { withReading } from '../testing/setup'
import { withUndone } from './exchanged'

const TODAY = '2026-12-01'
const evaluated = evaluator()
const resultsOf = (build: Build) => evaluated(build, TODAY)
const another = (build: Build, slot: Slot) => choosePart(build, slot, { ...build.parts[slot]!, name: 'Another one' })
const exchange = (build: Build, slot: Slot): Build => applyChange(build, withUndone(build, another(build, slot), resultsOf(build)))
/** Everything of the plan and every hole ticked off. */
const finished = (build: Build): Build => {
  const { plan, drill } = resultsOf(build)
  const ids = [...plan.steps.map((s) => s.id), ...drill.map((c) => `drill-${c.id}`)]
  return { ...build, steps: Object.fromEntries(ids.map((id) => [id, { done: '2026-11-20T18:00:00+01:00' }])) }
}
/** In which part a hole is. */
const inWhat = (side: Side): Slot =>
  /^(head|heel)/.test(side) ? 'neck' : side === 'guard' ? 'guard' : side === 'control plate' ? 'control-plate' : 'body'
const openAgain = (was: Build, now: Build) => Object.keys(was.steps).filter((id) => !now.steps[id])

describe('a part that is exchanged after work was done to it', () => {
  it('leaves no hole made in it or for it ticked, no joint soldered on it, nothing mounted of it; what was done to others stays done', () => {
    const law = fc.property(fc.nat(everyMake().length - 1), fc.nat(), fc.nat(), (m, mask, n) => {
      const build = finished(undrilled(drillable(everyMake()[m]!), mask))
      const slots = Object.keys(build.parts) as Slot[]
      const slot = slots[n % slots.length]!
      const change = withUndone(build, another(build, slot), resultsOf(build))
      const then = applyChange(build, change)
      const open = openAgain(build, then)
      for (const c of resultsOf(build).drill)
        expect(open.includes(`drill-${c.id}`), `${c.id} for ${slot}`).toBe(c.slot === slot || inWhat(c.side) === slot)
      for (const s of resultsOf(build).plan.steps)
        if (
          s.station !== 'drill' &&
          s.stage !== 'parcel' &&
          s.station !== 'finish' &&
          [s.slot, ...(s.slots ?? []), ...(s.on ?? [])].includes(slot)
        )
          expect(open, `${s.id} for ${slot}`).toContain(s.id)
      // What was noted before it was taken apart was noted all the same.
      expect(open.filter((id) => /^(note|take-apart|arrive|buy)/.test(id))).toEqual([])
      expect(applyChange(then, inverse(change))).toEqual(build)
      expect(resultsOf(then).failed).toEqual({})
    })
    holds(law, 200)
  })

  it('another wiring: nothing of it is read or heard yet, it is soldered once more, and what is no wire of it comes off', () => {
    const build = finished(wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', second: true }))
    const was = resultsOf(build).wire
    if (!was.ok) throw new Error('no wiring')
    build.circuit = {
      ...build.circuit,
      soldered: Object.fromEntries(was.wires.map((w) => [w.key, TODAY])),
      found: { 'jack-1': 8100 },
      heard: { '0 volume': 'good' },
    }
    const setting = { switches: {}, knobs: {} }
    build.readings = { 1: { ohm: 8100, probes: ['jack.tip', 'jack.sleeve'], setting, at: TODAY } }
    expect(was.leftovers).toEqual([])
    const recipe = offersOf(build).find((o) => !o.lacks && o.recipe.id !== was.recipe)!.recipe
    const change = withUndone(build, setCircuit(build, 'scheme', recipe.id, recipe.label), resultsOf(build))
    const then = applyChange(build, change)
    expect([then.readings, then.circuit.found, then.circuit.heard]).toEqual([{}, {}, {}])
    expect(openAgain(build, then).toSorted()).toEqual(['meter-check', 'solder'])
    // Every wire of the new one is soldered already, or still to be; every other comes off.
    const now = resultsOf(then).wire
    if (!now.ok) throw new Error('no wiring')
    expect(then.circuit.soldered).toEqual(build.circuit.soldered)
    expect(now.leftovers.map((l) => l.key).toSorted()).toEqual(
      was.wires
        .map((w) => w.key)
        .filter((key) => !now.wires.some((w) => w.key === key))
        .toSorted(),
    )
    expect(now.leftovers.length).toBeGreaterThan(0)
    expect(now.leftovers.map((l) => `${l.from} to ${l.to}`)).toContainEqual(expect.stringMatching(/second tone, lug \d/))
    for (const { from, to } of now.leftovers) expect(`${from} ${to}`).not.toMatch(/undefined|\w\.\w/)
    expect(applyChange(then, inverse(change))).toEqual(build)
    // Chosen by its name what was chosen by the parts is the same.
    const same = withUndone(build, setCircuit(build, 'scheme', was.recipe, 'the same'), resultsOf(build))
    expect(applyChange(build, same).readings).toEqual(build.readings)
  })
  it('a new pickup: soldered anew, its colours and its wires gone, the other one’s kept', () => {
    const build = finished(fullBuild())
    const [theirs, others] = [wireKey('neck-a.start', 'switch.1'), wireKey('bridge-a.start', 'switch.3')]
    build.circuit = {
      ...build.circuit,
      soldered: { [theirs]: TODAY, [others]: TODAY },
      leads: { 'neck-a.start': 'red', 'bridge-a.start': 'white' },
    }
    const setting = { switches: {}, knobs: {} }
    build.readings = { 1: { ohm: 8100, probes: ['jack.tip', 'jack.sleeve'], setting, at: TODAY } }
    build.circuit.found = { 'jack-1': 8100 }
    expect(exchange(build, 'tuners').readings).toEqual(build.readings)
    const then = exchange(withReading(build, { what: 'pickup', string: 1, slot: 'pickup-neck', value: 2.4 }), 'pickup-neck')
    // What was read at the jack was the old one too.
    expect([then.readings, then.circuit.found]).toEqual([{}, {}])
    expect(then.circuit.soldered).toEqual({ [others]: TODAY })
    expect(then.circuit.leads).toEqual({ 'bridge-a.start': 'white' })
    expect(Object.values(then.setup.readings).filter((r) => r.slot === 'pickup-neck')).toEqual([])
    const open = openAgain(build, then)
    for (const id of ['solder', 'meter-check', 'close-guard', 'set-pickups', 'drill-route-neck']) expect(open).toContain(id)
    for (const id of ['neck-on', 'nut-on', 'string-up', 'drill-route-bridge', 'level-frets']) expect(open).not.toContain(id)
  })

  it('has not come because the old one did', () => {
    const at = { done: '2026-11-20T18:00:00+01:00' }
    const [neck, nut] = [SLOT_NAMES.indexOf('pickup-neck'), SLOT_NAMES.indexOf('nut')]
    const build: Build = {
      ...fullBuild(),
      steps: { 'arrive-pickup-neck': at, 'arrive-nut': at, [`buy-${neck}.${nut}`]: at, [`buy-${nut}`]: at },
    }
    const ordered = choosePart(build, 'pickup-neck', {
      ...build.parts['pickup-neck']!,
      name: 'Another one',
      state: 'ordered',
      arrives: '2026-12-20',
    })
    const then = applyChange(build, withUndone(build, ordered, resultsOf(build)))
    expect(Object.keys(then.steps).toSorted()).toEqual(['arrive-nut', `buy-${nut}`])
    expect(resultsOf(then).plan.steps.find((s) => s.id === 'arrive-pickup-neck')).toMatchObject({
      state: 'waiting',
      notBefore: '2026-12-20',
    })
  })

  it('a new neck: what was read of relief and nut is gone, the body’s film and holes stay', () => {
    const painted: Build = {
      ...fullBuild(),
      finish: {
        ...fullBuild().finish,
        system: 'lacquer',
        uncounted: { from: 3, to: 5 },
        grits: { 'top 320': '2026-11-12' },
        laid: {
          a: { product: 'lacquer-clear', at: '2026-11-10T18:00:00+01:00' },
          n: { zone: 'neck-back', product: 'oil', at: '2026-11-10T18:00:00+01:00' },
        },
      },
    }
    const build = withReading(withReading(finished(painted), { what: 'relief', value: 0.2 }), {
      what: 'level',
      string: 1,
      slot: 'pickup-neck',
      value: -12,
    })
    const then = exchange(build, 'neck')
    expect(Object.values(then.setup.readings).map((r) => r.what)).toEqual(['level'])
    expect(Object.keys(then.finish.laid!)).toEqual(['a'])
    expect(openAgain(build, then)).toEqual(
      expect.arrayContaining(['neck-on', 'nut-on', 'hardware', 'level-frets', 'place', 'drill-neck-screws', 'set-relief']),
    )
    expect(openAgain(build, then).some((id) => id.startsWith('coats-') || id === 'rub-out' || id === 'solder')).toBe(false)
    const body = exchange(build, 'body')
    expect(Object.keys(body.finish.laid!)).toEqual(['n'])
    expect([then.finish.uncounted, body.finish.uncounted, body.finish.grits]).toEqual([{ from: 3, to: 5 }, undefined, {}])
    expect(openAgain(build, body)).toEqual(expect.arrayContaining(['rub-out', 'sand', 'neck-on', 'close-guard', 'drill-stud-bores']))
  })
  it('of other strings neither pitch nor levels were read; how the neck lies is told by what they pull', () => {
    const read = [
      { what: 'relief', value: 0.2 },
      { what: 'action', string: 1, value: 1.5 },
      { what: 'cents', string: 3, value: 2 },
      { what: 'level', string: 1, slot: 'pickup-neck', value: -12 },
      { what: 'dive', string: 3, value: 4 },
    ] as const
    const then = exchange(read.reduce<Build>(withReading, finished(fullBuild())), 'strings')
    expect(Object.values(then.setup.readings).map((r) => r.what)).toEqual(['relief', 'action'])
  })

  it('is told, and only where another part comes or one goes', () => {
    const build = finished(fullBuild())
    const told = (change: Parameters<typeof withUndone>[1]) => withUndone(build, change, resultsOf(build))
    expect(told(another(build, 'nut')).label).toMatch(/^Nut: Another one\. Open again: .+ and \d+ more$/)
    expect(openAgain(build, applyChange(build, told(removePart(build, 'nut'))))).toContain('nut-on')
    expect(told(setPartField(build, 'nut', 'name', 'Bone')).edits).toHaveLength(1)
    // Put where nothing was, nothing was done to it.
    const bare = applyChange(build, removePart(build, 'nut'))
    expect(withUndone(bare, choosePart(bare, 'nut', build.parts.nut!), resultsOf(bare)).edits).toHaveLength(1)
    // Two at once, on which one job is planned: everything goes once.
    const both = chooseParts(
      build,
      [
        { slot: 'body', part: build.parts.body! },
        { slot: 'neck', part: build.parts.neck! },
      ],
      'Two',
    )
    expect(() => applyChange(build, told(both))).not.toThrow()
  })
})
