import { describe, expect, it } from 'vitest'
import { wirable, type Wanted } from '../../testing/wirable'
import { PAIR, TRIO } from '../../testing/wirings'
import { listeningSheet } from '../bench/listening'
import { potsOf, switchStates } from '../model/switchStates'
import { harnessOf } from '../schemes/harnessOf'
import { expected } from './checkList'
import { cabinetOf, suspects } from './rank'
import { symptomsOf } from './symptoms'

const WIRINGS: Record<string, Wanted> = {
  'one pickup': { places: ['bridge'] },
  'two volumes, no selector': { places: ['neck', 'bridge'], second: true },
  'two volumes and tones, coupled': { ...PAIR, second: true, options: { volumes: 'two', tones: 'two' } },
  'two volumes, independent': { ...PAIR, second: true, options: { volumes: 'two', style: 'independent' } },
  'a second circuit': { ...PAIR, second: true, options: { preset: 'neck' } },
  'three, the middle mixed in': { ...TRIO, contacts: 'toggle-3', second: true },
  'three on five': TRIO,
  'a kill button': { ...PAIR, options: { kill: 'button' } },
  'a rotary of tones': { ...PAIR, rotary: true, options: { tone: 'rotary' } },
  'one turned over by a pulled knob': { ...PAIR, two: ['neck', 'bridge'], leads: 'four', pull: true, options: { pull: 'phase' } },
}
/** Its pickups alike to the last ohm: what falls out of their sum leaves no trace in it. */
const harness = (w: Wanted) => {
  const build = wirable(w)
  for (const place of w.places) build.parts[`pickup-${place}`]!.sizes = build.parts[`pickup-${w.places[0]!}`]!.sizes
  const made = harnessOf(build)
  if (!made.ok) throw new Error(made.says ?? 'no harness')
  return made.harness
}
const cabinet = (name: keyof typeof WIRINGS) => cabinetOf(harness(WIRINGS[name]!))
const well = (c: ReturnType<typeof cabinet>, id: string) => {
  const k = c.tests.findIndex((t) => t.id === id)
  return k < 0 ? undefined : expected(c.tests[k]!, c.shown[0]![k]!, 0)
}
const heard = (name: keyof typeof WIRINGS, id: string, control: string) =>
  listeningSheet(harness(WIRINGS[name]!), {})
    .rows.find((r) => r.id === id)!
    .cells.find((c) => c.control === control)!.expect

describe('knobs that are turned down while somebody listens', () => {
  it.each(Object.keys(WIRINGS))('%s: each is tried where it does something', (name) => {
    const c = cabinet(name)
    const turned = c.tests.flatMap((t, k) => (t.kind === 'tone' || t.kind === 'volume' ? [c.shown[0]![k]!] : []))
    expect(turned.length).toBeGreaterThan(0)
    for (const outcome of turned) expect(['silent', 'one pickup falls out', 'darkens']).toContain(outcome)
  })
  it.each(Object.keys(WIRINGS))('%s: the listening sheet says the same of it', (name) => {
    const h = harness(WIRINGS[name]!)
    const c = cabinetOf(h)
    const states = switchStates(h)
    const sheet = listeningSheet(h, {})
    const SAME = { silent: /^down to silence/, 'one pickup falls out': / falls? out, /, darkens: /^(goes dark|quieter or darker)/ } as const
    for (const [k, t] of c.tests.entries()) {
      if (t.kind !== 'tone' && t.kind !== 'volume') continue
      const row = states.find(({ switches }) => Object.entries(switches).every(([id, at]) => t.setting.switches[id] === at))!
      const label = potsOf(h).find((p) => p.id === t.of)!.label
      const cell = sheet.rows.find((r) => r.id === row.id)!.cells.find((x) => x.control === label)!
      expect(cell.expect, t.says).toMatch(SAME[c.shown[0]![k] as keyof typeof SAME])
    }
  })
  it('where each has its own volume, one falls out and the other stays, also where both are alike', () => {
    const c = cabinet('two volumes, no selector')
    expect(well(c, 'turn volume of a mix')).toBe('one pickup falling out, the rest staying')
    expect(well(c, 'turn volume-2 of a mix')).toBe('one pickup falling out, the rest staying')
    expect(heard('two volumes, no selector', '', 'bridge volume')).toBe('bridge falls out, neck stays, no crackle')
    expect(heard('two volumes, independent', '2', 'neck volume')).toBe('neck falls out, bridge stays, no crackle')
    // Lever at the neck: what is mixed in goes, what the lever chose stays.
    expect(heard('three, the middle mixed in', '2', 'middle volume')).toBe('middle falls out, neck and bridge stay, no crackle')
  })
  it('coupled, either silences both; alone in its position, one that is not heard does nothing', () => {
    expect(heard('two volumes and tones, coupled', '2', 'neck volume')).toBe('down to silence, no crackle')
    expect(heard('two volumes and tones, coupled', '1', 'neck volume')).toBe('does nothing here')
  })
  it('a knob that changes nothing there is a fault: its wiper, its track or a wire of it', () => {
    const c = cabinet('two volumes, no selector')
    const [first] = suspects(c, [
      { test: 'turn volume-2 of a mix', outcome: 'stays' },
      { test: 'turn volume of a mix', outcome: 'one pickup falls out' },
    ])
    expect(first!.fault).toBeDefined()
    expect(first!.fault!.at.join(' ') + first!.fault!.says).toMatch(/volume-2|neck/)
  })
  it('what was noted while it was said to do nothing counts against nobody', () => {
    const c = cabinet('two volumes, no selector')
    const noted = ['volume', 'volume-2'].map((pot) => ({ test: `turn ${pot}`, outcome: 'stays' }))
    expect(suspects(c, noted)).toEqual(suspects(c, []))
  })
  it('says in which position, and a complaint speaks of the same test', () => {
    const c = cabinet('two volumes, independent')
    const [turn] = c.tests.filter((t) => t.of === 'volume-2' && t.kind === 'volume')
    expect(turn!.says).toBe('Play in position 3 and turn the neck volume right down.')
    expect(symptomsOf(c.harness).find((s) => s.id === 'stays volume-2')!.shows).toEqual({ test: turn!.id, outcome: 'stays' })
  })
})

describe('what a strum sounds like where all is well', () => {
  it('killed it is silent', () => {
    const c = cabinet('a kill button')
    expect(well(c, 'strum 1')).toBe('every string full and clear')
    expect(well(c, 'strum 1, kill button thrown')).toBe('silence belongs here')
  })
  it('a button that does not kill is too loud, and one that always does is dead', () => {
    const c = cabinet('a kill button')
    const k = c.tests.findIndex((t) => t.id === 'strum 1, kill button thrown')
    const found = new Set(c.shown.map((s) => s[k]))
    expect(found).toContain('too loud')
    expect(found).not.toContain('bright')
  })
  it('what belongs there is no complaint', () => {
    const says = (name: keyof typeof WIRINGS) => symptomsOf(harness(WIRINGS[name]!)).map((s) => s.says)
    const killed = says('a kill button').filter((s) => s.endsWith('kill button thrown'))
    expect(killed).toEqual(['Sounds where it should be silent in position 1, kill button thrown'])
    const thin = says('one turned over by a pulled knob').filter((s) => s.includes('position 2, '))
    expect(thin.length).toBe(5)
    expect(thin.join()).not.toMatch(/thin/)
    expect(says('three on five')).toContain('Weak and thin in position 5')
  })
  it('a lost capacitor of a rotary is bright, not loud', () => {
    const c = cabinet('a rotary of tones')
    const lost = c.faults.findIndex((f) => f?.id.startsWith('open') && f.at.join(' ').includes('rotary-cap-6'))
    expect(lost).toBeGreaterThan(0)
    expect(c.shown[lost]![c.tests.findIndex((t) => t.id === 'strum 1, tone rotary at 6')]).toBe('bright')
  })
  it('turned against each other two pickups are thin and never silent, and are tried where both sound', () => {
    const c = cabinet('one turned over by a pulled knob')
    expect(c.tests.filter((t) => t.kind === 'strum').map((t) => t.id)).toEqual([
      'strum 1',
      'strum 2',
      'strum 3',
      expect.stringMatching(/^strum 2, .*thrown$/),
    ])
    expect(well(c, c.tests.filter((t) => t.kind === 'strum')[3]!.id)).toMatch(/^thin/)
    expect(heard('one turned over by a pulled knob', '2-2', 'strum')).toMatch(/^thin, hollow/)
    expect(heard('one turned over by a pulled knob', '1-2', 'strum')).toBe('every string full and clear')
  })
  it('one of two alike turned over by mistake is thin, not dead', () => {
    const c = cabinet('two volumes, independent')
    const i = c.faults.findIndex((f) => f?.id === 'reversed neck')
    expect(c.shown[i]![c.tests.findIndex((t) => t.id === 'strum 2')]).toBe('thin')
  })
})
