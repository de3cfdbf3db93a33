import { describe, expect, it } from 'vitest'
import { wirable, type Wanted } from '../../testing/wirable'
import { PAIR, TRIO, HUM } from '../../testing/wirings'
import { whatIfs } from '../bench/whatIfs'
import { harnessOf, optionsOf } from './harnessOf'

const BUILDS: Record<string, Wanted> = {
  'one pickup': { places: ['bridge'] },
  'two on a toggle': PAIR,
  'two on a toggle, a second of everything': { ...PAIR, second: true },
  'two volumes and tones': { ...PAIR, second: true, options: { volumes: 'two', tones: 'two' } },
  'two volumes, independent': { ...PAIR, second: true, options: { volumes: 'two', style: 'independent' } },
  'two volumes, no selector': { places: ['neck', 'bridge'], second: true },
  'either on a slide': { ...PAIR, contacts: 'slide' },
  'two on four': { ...PAIR, contacts: 'lever-4' },
  'humbuckers on four poles': { ...HUM, contacts: 'lever-5x4' },
  'humbuckers and a pulled knob': { ...HUM, pull: true, options: { pull: 'split' } },
  'a second circuit': { ...PAIR, second: true, options: { preset: 'neck' } },
  'a rotary of tones': { ...PAIR, rotary: true, options: { tone: 'rotary' } },
  'three on five': TRIO,
  'three on five, a second of everything': { ...TRIO, second: true },
  'the middle mixed in': { ...TRIO, contacts: 'toggle-3', second: true },
  'three on a rotary': { ...TRIO, contacts: 'rotary-6' },
}
/** As it stands, and after each choice of how the tone and the volumes are. */
const BEFORE: Record<string, string>[] = [
  {},
  { tone: 'none' },
  { tone: 'hidden' },
  { tone: 'rotary' },
  { volumes: 'two' },
  { volumes: 'one' },
]
const circuitOf = (build: ReturnType<typeof wirable>) => {
  const made = harnessOf(build)
  return made.ok ? { recipe: made.recipe, drawn: JSON.stringify(made.harness), notes: made.notes } : undefined
}
const choosing = (build: ReturnType<typeof wirable>, options: Record<string, string>) => ({
  ...build,
  circuit: { ...build.circuit, options: { ...build.circuit.options, ...options } },
})

describe.each(Object.entries(BUILDS))('%s', (_, wanted) => {
  it.each(BEFORE)('after %j every choice that can be made makes another circuit', (before) => {
    const build = choosing(wirable(wanted), before)
    const now = circuitOf(build)!
    for (const { spec, chosen, lacks } of optionsOf(build, now.recipe))
      for (const [id] of spec.choices) {
        if (id === chosen || lacks[id]) continue
        // On a knob or inside the cavity: the same wires, another place.
        if (spec.id === 'tone' && [id, chosen].toSorted().join() === 'hidden,one') continue
        expect(circuitOf(choosing(build, { [spec.id]: id }))!.drawn, `${spec.id} ${chosen} to ${id}`).not.toBe(now.drawn)
      }
  })
  it('nothing is laid beside itself', () => {
    const build = wirable(wanted)
    const now = circuitOf(build)!
    const sound = (b: typeof build) => `${circuitOf(b)!.drawn} ${b.circuit.cable}`
    for (const other of whatIfs(build)) expect(sound(other.build), other.label).not.toBe(`${now.drawn} ${build.circuit.cable}`)
  })
})

describe('choices that go together', () => {
  it('no tone is none at all, also where there are two', () => {
    const build = choosing(wirable(BUILDS['two volumes and tones']!), { tone: 'none' })
    const made = harnessOf(build)
    expect(made.ok && made.harness.components.filter((c) => c.id.startsWith('tone') || c.id.startsWith('cap')).map((c) => c.id)).toEqual([])
    expect(made.ok && made.notes.join(' ')).toMatch(/Tones: no tone is wired\./)
  })
  it('what a choice stands on that is gone is said', () => {
    const notes = (options: Record<string, string>, wanted = BUILDS['two on a toggle, a second of everything']!) =>
      circuitOf(choosing(wirable(wanted), options))!.notes.join(' ')
    expect(notes({ volumes: 'one', style: 'independent' })).toMatch(/Two volumes are: there is one volume for both\./)
    expect(notes({ volumes: 'one', tones: 'two' })).toMatch(/Tones: a tone for each comes with a volume for each\./)
    expect(notes({ preset: 'neck', volumes: 'two' })).toMatch(/Volumes: the second volume belongs to the second circuit\./)
    expect(notes({ tone: 'none', noLoad: 'yes' })).toMatch(/Tone at 10: no tone is wired\./)
  })
})
