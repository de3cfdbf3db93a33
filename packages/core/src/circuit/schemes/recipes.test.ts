import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyWiring } from '../../testing/anyWiring'
import { wirable } from '../../testing/wirable'
import { dcAtJack, lugOhms } from '../bench/readings'
import { topology } from '../bench/topology'
import { compile } from '../engine/solver'
import { lugsOf, type Harness } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import { switchesOf, switchStates } from '../model/switchStates'
import { wireKey } from './edited'
import { harnessOf, offersOf, optionsOf } from './harnessOf'
import { RECIPES } from './recipes'
import { holds } from '../../testing/holds'

type Wanted = Parameters<typeof wirable>[0]
const made = (w: Wanted) => {
  const found = harnessOf(wirable(w))
  if (!found.ok) throw new Error(found.says ?? found.missing.join())
  return found
}
const h = (w: Wanted) => made(w).harness
const words = (harness: Harness, more: Record<string, number> = {}) =>
  (harness.components.find((c) => c.id === 'switch') as { table: { positions: readonly unknown[] } }).table.positions.map(
    (_, i) => topology(harness, { switch: i + 1, ...more }).words,
  )
const PAIR: Wanted = { places: ['neck', 'bridge'], contacts: 'toggle-3' }
const HUM: Wanted = { ...PAIR, two: ['neck', 'bridge'], leads: 'four' }
const TRIO: Wanted = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }

describe('laws of wirings, over every one with every option', () => {
  it('every wire ends on two lugs there are, and none lies twice', () =>
    void holds(
      fc.property(anyWiring, (w) => {
        const harness = h(w)
        const lugs = new Set(harness.components.flatMap(lugsOf))
        const keys = harness.wires.map((x) => wireKey(x.from, x.to))
        for (const x of harness.wires) for (const lug of [x.from, x.to]) expect(lugs.has(lug), lug).toBe(true)
        expect(new Set(keys).size).toBe(keys.length)
        expect(new Set(harness.components.map((c) => c.id)).size).toBe(harness.components.length)
      }),
      1600,
    ))
  it('every pickup is heard somewhere, and nothing is live that should be ground', () =>
    void holds(
      fc.property(anyWiring, (w) => {
        const harness = h(w)
        const heard = new Set<string>()
        for (const { switches } of switchStates(harness)) {
          for (const id of topology(harness, switches).sounding) heard.add(id)
          for (const c of harness.components)
            if (c.is === 'ground') expect(lugOhms(harness, { switches, knobs: {} }, [`${c.id}.1`, 'jack.sleeve']), c.id).toBe(0)
        }
        const pickups = new Set(harness.components.flatMap((c) => (c.is === 'coil' && heard.has(c.id) ? [c.pickup] : [])))
        expect([...pickups].toSorted()).toEqual([...w.places].toSorted())
      }),
      600,
    ))
  it('each case, frame and the strings has a ground wire of its own; foil alone grounds nothing', () =>
    void holds(
      fc.property(anyWiring, (w) => {
        const harness = h(w)
        const ends = harness.wires.flatMap((x) => [x.from, x.to])
        for (const c of harness.components) if (c.is === 'ground') expect(ends, c.id).toContain(`${c.id}.1`)
        // Every pot has a case and every switch that stands alone a frame.
        expect(harness.components.filter((c) => c.is === 'ground' && c.metal === 'case')).toHaveLength(
          Math.max(1, harness.components.filter((c) => c.is === 'pot').length),
        )
        expect(harness.components.filter((c) => c.is === 'ground' && c.metal === 'frame')).toHaveLength(
          switchesOf(harness).filter((s) => !s.id.endsWith('-pull')).length,
        )
        expect(harness.components.some((c) => c.id === 'strings')).toBe(true)
      }),
      800,
    ))
  it('the volume at nothing silences the jack but for a pickup that goes past it', () =>
    void holds(
      fc.property(anyWiring, (w) => {
        const harness = h(w)
        const past = (pull: number | undefined, preset: number | undefined) =>
          (w.options?.pull === 'blower' && pull === 2) || (w.options?.preset === 'neck' && preset === 2)
        for (const { switches } of switchStates(harness)) {
          const ohm = dcAtJack(harness, { switches, knobs: { volume: 0, 'volume-2': 0 } })
          const independent = w.options?.style === 'independent' && (w.options.volumes === 'two' || w.scheme === 'two-mixed')
          if (past(switches['tone-pull'], switches.preset) || independent) continue
          expect(ohm === 0 || ohm === Infinity, `${JSON.stringify(switches)} ${ohm}`).toBe(true)
        }
      }),
      600,
    ))
  it('what cannot be had is not taken, whatever was chosen', () =>
    void holds(
      fc.property(anyWiring, (w) => {
        const build = wirable(w)
        const recipe = RECIPES.find((r) => r.id === w.scheme)!
        for (const o of optionsOf(build, recipe)) expect(o.lacks[o.chosen], o.spec.id).toBeUndefined()
      }),
      1200,
    ))
})

describe('what is heard, position by position', () => {
  it('where a tone is joined is offered only where it is left open', () => {
    const offered = (options: Record<string, string>) => {
      const build = wirable({ ...PAIR, second: true, options })
      const { chosen, lacks } = optionsOf(build, RECIPES.find((r) => r.id === 'two')!).find((o) => o.spec.id === 'toneAt')!
      return [chosen, Object.keys(lacks)]
    }
    expect(offered({})).toEqual(['before', []])
    expect(offered({ volumes: 'two', tones: 'one' })).toEqual(['after', ['before']])
    expect(offered({ volumes: 'two', tones: 'two' })).toEqual(['before', ['after']])
    // A second tone pot is for the second pickup where nobody says otherwise.
    expect(offered({ volumes: 'two' })).toEqual(['before', ['after']])
    // The second volume is the second circuit's.
    expect(offered({ volumes: 'two', preset: 'neck' })).toEqual(['before', []])
  })
  describe('two volumes and no selector', () => {
    const MIX: Wanted = { places: ['neck', 'bridge'], second: true }
    const at = (style: string, knobs: Record<string, number>) =>
      dcAtJack(h({ ...MIX, options: { style } }), { switches: {}, knobs: { volume: 10, 'volume-2': 10, ...knobs } })
    const beside = (...ohms: number[]) => 1 / ohms.reduce((sum, r) => sum + 1 / r, 0)
    it('both are heard, and it is what two pickups without a switch are wired as', () => {
      expect(made(MIX).recipe.id).toBe('two-mixed')
      expect(topology(h(MIX), {}).words).toBe('neck ‖ bridge')
      // Both up: 7.4 and 8.8 k beside the two tracks of 500 k; the tone's capacitor passes no direct current.
      for (const style of ['coupled', 'independent']) expect(at(style, {})).toBeCloseTo(beside(7400, 8800, 500e3, 500e3), 3)
    })
    it('independent, the neck at 0 is shorted behind its own track and the bridge goes on; coupled, both are silent', () => {
      expect(at('independent', { 'volume-2': 0 })).toBeCloseTo(beside(8800, 500e3, 500e3), 3)
      expect(at('coupled', { 'volume-2': 0 })).toBe(0)
    })
    it('unasked it is independent; without a second volume it is not offered, and a switch is asked for', () => {
      const unasked = dcAtJack(h(MIX), { switches: {}, knobs: { volume: 10, 'volume-2': 0 } })
      expect(unasked).toBeCloseTo(beside(8800, 500e3, 500e3), 3)
      const one = wirable({ places: ['neck', 'bridge'] })
      expect(offersOf(one).find((o) => o.recipe.id === 'two-mixed')!.lacks).toMatch(/a second volume pot/)
      expect(harnessOf(one)).toMatchObject({ ok: false, missing: ['switch'] })
    })
    it('with a toggle among the parts it is the toggle’s wiring, until the other is chosen', () => {
      const both = { ...MIX, contacts: 'toggle-3' }
      expect(made(both).recipe.id).toBe('two')
      expect(h({ ...both, scheme: 'two-mixed' }).components.some((c) => c.id === 'switch')).toBe(false)
    })
  })
  it('three positions on a toggle, and the same on an on-on-on', () => {
    expect(words(h(PAIR))).toEqual(['bridge', 'neck ‖ bridge', 'neck'])
    expect(words(h({ ...PAIR, contacts: 'on-on-on' }))).toEqual(['bridge', 'neck ‖ bridge', 'neck'])
  })
  it('four positions: the last puts the bridge behind the neck', () => {
    expect(words(h({ ...PAIR, contacts: 'lever-4' }))).toEqual(['bridge', 'neck ‖ bridge', 'neck', 'neck + bridge'])
    // In series both windings are read at once: 7.4 and 8.8 k beside 500 k.
    expect(dcAtJack(h({ ...PAIR, contacts: 'lever-4' }), { switches: { switch: 4 }, knobs: {} })).toBeCloseTo(
      1 / (1 / 16200 + 1 / 500e3),
      3,
    )
  })
  it('five positions of three pickups', () =>
    expect(words(h(TRIO))).toEqual(['bridge', 'middle ‖ bridge', 'middle', 'neck ‖ middle', 'neck']))
  it('three on a three-way lever', () => expect(words(h({ ...TRIO, contacts: 'lever-3' }))).toEqual(['bridge', 'middle', 'neck']))
  it('two humbuckers on four poles: whole, one coil, both, one coil, whole', () => {
    expect(words(h({ ...HUM, contacts: 'lever-5x4' }))).toEqual([
      'bridge, both coils in series',
      'bridge, coil nearer the neck',
      'neck, both coils in series ‖ bridge, both coils in series',
      'neck, coil nearer the neck',
      'neck, both coils in series',
    ])
  })
  it('of two leads no coil can be parted: it says so, and draws no link wire', () => {
    const found = made({ ...HUM, leads: 'two', contacts: 'lever-5x4' })
    expect(found.notes.join(' ')).toMatch(/two leads come out/)
    expect(found.harness.wires.filter((x) => x.role === 'link').every((x) => x.inside)).toBe(true)
  })
  it('nobody said how many leads: no tap is offered, and why', () => {
    const build = wirable({ ...TRIO, two: ['bridge', 'neck'], contacts: 'lever-5x4' })
    const tap = optionsOf(build, RECIPES.find((r) => r.id === 'three-on-four-poles')!).find((o) => o.spec.id === 'tap')!
    expect(tap.chosen).toBe('whole')
    expect(tap.lacks.tap).toMatch(/how many leads/)
  })
})

describe('a knob that is pulled', () => {
  const pulled = (pull: string, more: Partial<Wanted> = {}) => h({ ...HUM, pull: true, options: { pull }, ...more })
  it('parts the humbuckers', () => {
    expect(words(pulled('split'), { 'tone-pull': 1 })[0]).toBe('bridge, both coils in series')
    expect(words(pulled('split'), { 'tone-pull': 2 })).toEqual([
      'bridge, coil nearer the neck',
      'neck, coil nearer the neck ‖ bridge, coil nearer the neck',
      'neck, coil nearer the neck',
    ])
  })
  it('puts the bridge’s coils side by side: a quarter of the resistance, and the hum still cancelled', () => {
    const harness = pulled('parallel')
    expect(words(harness, { 'tone-pull': 2 })[0]).toBe('bridge, coil nearer the neck ‖ bridge, coil nearer the bridge')
    expect(topology(harness, { switch: 1, 'tone-pull': 2 }).hum).toBeLessThan(-40)
    expect(dcAtJack(harness, { switches: { switch: 1, 'tone-pull': 2 }, knobs: {} })).toBeCloseTo(1 / (1 / 2200 + 1 / 500e3), 3)
  })
  it('turns the neck over: heard only together, where it takes away', () => {
    const harness = pulled('phase', { two: [] })
    expect(words(harness, { 'tone-pull': 2 })).toEqual(['bridge', 'neck ‖ bridge, out of phase', 'neck'])
    // Equal EMFs of 1 V: in phase the hum of both adds, turned over it takes away.
    expect(topology(harness, { switch: 2, 'tone-pull': 1 }).hum).toBeGreaterThan(-1)
    expect(topology(harness, { switch: 2, 'tone-pull': 2 }).hum).toBeLessThan(-10)
  })
  it('a small toggle does the same where no knob can be pulled', () => {
    const build = wirable({ ...HUM, second: true, options: { pull: 'split' } })
    build.parts['switch-2']!.traits.contacts = 'on-on'
    const found = harnessOf(build)
    if (!found.ok) throw new Error('it has all it needs')
    expect(words(found.harness, { mini: 2 })[0]).toBe('bridge, coil nearer the neck')
  })
  it('sends the bridge straight to the jack: no pot beside it, wherever the selector stands', () => {
    for (const position of [1, 2, 3])
      expect(dcAtJack(pulled('blower'), { switches: { switch: position, 'tone-pull': 2 }, knobs: { volume: 0 } })).toBeCloseTo(8800, 6)
  })
})

describe('two volumes', () => {
  const two = (style: string) => h({ ...PAIR, second: true, options: { volumes: 'two', style } })
  const at = (position: number, knobs: Record<string, number>) => ({ switches: { switch: position }, knobs })
  it('coupled: one at nothing silences the middle position', () => {
    expect(dcAtJack(two('coupled'), at(2, { 'volume-2': 0 }))).toBe(0)
    expect(dcAtJack(two('coupled'), at(1, { 'volume-2': 0 }))).toBeGreaterThan(8000)
  })
  it('independent: the other still sounds', () => expect(dcAtJack(two('independent'), at(2, { 'volume-2': 0 }))).toBeGreaterThan(8000))
  it('one each only where a second pot is', () => {
    const found = made({ ...PAIR, options: { volumes: 'two' } })
    expect(found.harness.components.filter((c) => c.is === 'pot')).toHaveLength(2)
    expect(found.notes.join(' ')).toMatch(/second volume pot/)
  })
})

describe('parts that no wire reaches', () => {
  const notes = (wanted: Wanted) => made(wanted).notes.filter((n) => n.startsWith('Among the parts'))
  it('a second volume and tone are told of until an option takes them', () => {
    // A small toggle may do something else: whether they make a circuit of their own nobody has said.
    const toggled = wirable({ ...PAIR, second: true })
    toggled.parts['switch-2']!.traits.contacts = 'on-on'
    const result = harnessOf(toggled)
    expect(result.ok && result.notes).toEqual([
      'Among the parts and in no wire of this wiring: second volume pot, second tone pot, second switch and second capacitor. Choose a wiring or an option that takes them, or leave them out.',
    ])
    expect(notes({ ...PAIR, second: true, options: { volumes: 'two', tones: 'two' } })).toEqual([
      expect.stringMatching(/^Among the parts and in no wire of this wiring: second switch\. Choose .* takes it, or leave it out\.$/),
    ])
    expect(notes({ ...PAIR, second: true, options: { preset: 'neck' } })).toEqual([])
    expect(notes(PAIR)).toEqual([])
  })
  it('a tone that is chosen away is told of as well', () =>
    expect(notes({ ...PAIR, options: { tone: 'none' } }).join()).toMatch(/: tone pot and (tone )?capacitor\./))
})

describe('a second circuit on a slide', () => {
  const harness = h({ ...PAIR, second: true, options: { preset: 'neck' } })
  it('takes the neck pickup over, whatever the selector does', () => {
    expect(words(harness, { preset: 2 })).toEqual(['neck', 'neck', 'neck'])
    expect(words(harness, { preset: 1 })).toEqual(['bridge', 'neck ‖ bridge', 'neck'])
  })
  it('has knobs of its own', () => {
    const read = (knobs: Record<string, number>) => dcAtJack(harness, { switches: { switch: 1, preset: 2 }, knobs })
    expect(read({ 'volume-2': 0 })).toBe(0)
    expect(read({ volume: 0 })).toBeGreaterThan(7000)
  })
})

describe('lugs as they are told to be counted', () => {
  it('lug 1 is the one the wiper stands at with the knob turned down, and the grounded one of a volume', () => {
    const harness = h(PAIR)
    const ohm = (volume: number, a: string, b: string) => lugOhms(harness, { switches: { switch: 1 }, knobs: { volume } }, [a, b])
    expect(ohm(0, 'volume.2', 'volume.1')).toBe(0)
    expect(ohm(10, 'volume.2', 'volume.3')).toBe(0)
    expect(ohm(10, 'volume.1', 'jack.sleeve')).toBe(0)
  })
})

describe('other choices', () => {
  it('a kill button joins tip and sleeve while it is pressed', () => {
    const harness = h({ ...PAIR, options: { kill: 'button' } })
    expect([1, 2].map((kill) => dcAtJack(harness, { switches: { switch: 1, kill }, knobs: {} }) === 0)).toEqual([false, true])
  })
  it('a treble bleed with a resistor beside it shows on a meter at half volume, a capacitor alone does not', () => {
    const read = (bleed: string) => dcAtJack(h({ ...PAIR, options: { bleed } }), { switches: { switch: 1 }, knobs: { volume: 5 } })
    expect(read('cap')).toBeCloseTo(read('none'), 6)
    expect(read('series')).toBeCloseTo(read('none'), 6)
    expect(read('parallel')).toBeLessThan(read('none') - 1000)
  })
  it('a no-load tone is not there at 10', () => {
    const harness = h({ ...PAIR, options: { noLoad: 'yes' } })
    const ohm = (tone: number) => lugOhms(harness, { switches: { switch: 1 }, knobs: { tone } }, ['tone.2', 'cap.1'])
    expect(ohm(10)).toBe(Infinity)
    expect(ohm(9)).toBeLessThan(500e3)
  })
  it('one pickup needs no selector', () => expect(topology(h({ places: ['bridge'] }), {}).words).toBe('bridge'))
})

describe('what is offered', () => {
  it('those for this many pickups first, each with what it lacks', () => {
    const offers = offersOf(wirable(PAIR))
    expect(offers[0]!.recipe.id).toBe('two')
    expect(offers.find((o) => o.recipe.id === 'two-on-four')!.lacks).toMatch(/4-way lever/)
    expect(offers.at(-1)!.lacks).toMatch(/the build has 2/)
  })
  it('a switch nobody looked at is asked for', () => {
    const build = wirable(PAIR)
    delete build.parts.switch!.traits.contacts
    expect(harnessOf(build)).toMatchObject({ ok: false, untold: [{ slot: 'switch', trait: 'contacts' }] })
  })
})

describe('active pickups', () => {
  const pair: Wanted = { ...PAIR, active: ['neck', 'bridge'] }
  it('have plus from the battery, whose minus reaches ground through a plug alone', () => {
    const { harness, notes } = made(pair)
    const ends = harness.wires.filter((x) => x.role === 'supply').map((x) => `${x.from} ${x.to}`)
    expect(ends.toSorted()).toEqual(['battery.minus jack.ring', 'battery.plus bridge.plus', 'battery.plus neck.plus'])
    expect(lugOhms(harness, { switches: {}, knobs: {} }, ['battery.minus', 'jack.sleeve'])).toBe(Infinity)
    expect(notes.join()).toMatch(/pull it when you put the guitar away/)
  })
  it('a jack without a ring keeps the battery on, and that is said', () => {
    const build = wirable(pair)
    build.parts.jack!.traits = { contacts: 'mono' }
    const found = harnessOf(build)
    expect(found.ok && found.notes.join()).toMatch(/leaves the battery on for good/)
    expect(found.ok && words(found.harness)).toEqual(['bridge', 'neck ‖ bridge', 'neck'])
  })
  it('a meter at the jack reads the volume’s track, not a coil: 500 k', () => {
    expect(dcAtJack(h(pair), { switches: { switch: 1 }, knobs: {} })).toBeCloseTo(500e3, 0)
  })
  it('without its battery, its plus or its ring it is silent; passive ones beside it are not', () => {
    const harness = h({ ...PAIR, active: ['bridge'] })
    expect(words(harness)).toEqual(['bridge', 'neck ‖ bridge', 'neck'])
    const flat = { ...harness, components: harness.components.map((c) => (c.is === 'battery' ? { ...c, flat: true as const } : c)) }
    expect(words(flat)).toEqual(['nothing', 'neck', 'neck'])
    for (const end of ['bridge.plus', 'jack.ring']) {
      const cut = { ...harness, wires: harness.wires.filter((x) => x.to !== end) }
      expect(words(cut), end).toEqual(['nothing', 'neck', 'neck'])
    }
  })
  it('picks up no hum of its own', () => expect(topology(h(pair), { switch: 1 }).humWords).toBe('hum cancelled'))
  it('cannot be parted, turned over, or put one behind the other', () => {
    const build = wirable({ ...pair, two: ['neck', 'bridge'], leads: 'four', pull: true })
    const recipe = RECIPES.find((r) => r.id === 'two')!
    const pull = optionsOf(build, recipe).find((o) => o.spec.id === 'pull')!
    expect(Object.keys(pull.lacks).toSorted()).toEqual(['parallel', 'phase', 'split'])
    expect(offersOf(wirable({ ...pair, contacts: 'lever-4' })).find((o) => o.recipe.id === 'two-on-four')!.lacks).toMatch(/active/)
  })
  it('a battery that is not among the parts is asked for', () => {
    const build = wirable(pair)
    delete build.parts.battery
    const found = harnessOf(build)
    expect(!found.ok && found.missing).toEqual(['battery'])
  })
})

describe('tones otherwise', () => {
  const level = (harness: Harness, rotary: number, hertz: number) => {
    const out = { re: 0, im: 0 }
    compile(toNetlist(harness, { switches: { switch: 1, rotary }, knobs: {} }, { cable: 500e-12, amplifier: 1e6 })).solve(hertz, out)
    return 20 * Math.log10(Math.hypot(out.re, out.im))
  }
  it('a rotary grows darker from position to position, and changes nothing low down', () => {
    const harness = h({ ...PAIR, rotary: true, options: { tone: 'rotary' } })
    const high = [1, 2, 3, 4, 5, 6].map((p) => level(harness, p, 3000))
    for (let i = 1; i < 6; i++) expect(high[i]!, `position ${i + 1}`).toBeLessThan(high[i - 1]!)
    expect(Math.abs(level(harness, 1, 40) - level(harness, 4, 40))).toBeLessThan(0.5)
    expect(harness.components.some((c) => c.id === 'tone')).toBe(false)
  })
  it('set once inside the cavity is a tone like any other, and says that no knob reaches it', () => {
    const found = made({ ...PAIR, options: { tone: 'hidden' } })
    expect(found.harness.components.some((c) => c.id === 'tone')).toBe(true)
    expect(found.notes.join()).toMatch(/before the cavity is closed/)
  })
})

describe('what a knob is called', () => {
  const labels = (w: Wanted) => h(w).components.flatMap((c) => (c.is === 'pot' ? [c.label] : []))
  it('after its pickup where it serves that one alone, by what it does where it serves all', () => {
    expect(labels(PAIR)).toEqual(['volume', 'tone'])
    expect(labels({ ...PAIR, second: true, options: { volumes: 'two', tones: 'one' } })).toEqual(['bridge volume', 'neck volume', 'tone'])
    expect(labels({ ...PAIR, second: true, options: { volumes: 'two', tones: 'two' } })).toEqual([
      'bridge volume',
      'neck volume',
      'bridge tone',
      'neck tone',
    ])
  })
  it('and one whose knob is pulled besides is still cut off at 10 where that was chosen', () => {
    const pulled = h({ ...HUM, pull: true, options: { pull: 'split', noLoad: 'yes' } }).components.find((c) => c.id === 'tone')
    expect(pulled).toMatchObject({ noLoad: true })
  })
})
