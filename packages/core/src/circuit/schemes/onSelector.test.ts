import { describe, expect, it } from 'vitest'
import { newBuild } from '../../document/build'
import { START_IDS, STARTING_SETS } from '../../parts/starting/sets'
import { wirable, type Wanted } from '../../testing/wirable'
import { topology } from '../bench/topology'
import type { Harness } from '../model/harness'
import { switchesOf } from '../model/switchStates'
import { harnessOf, type SchemeResult } from './harnessOf'
import { leftOut } from './leftOut'

function wired(result: SchemeResult): SchemeResult & { ok: true } {
  if (!result.ok) throw new Error(result.says ?? result.missing.join())
  return result
}
/** What is heard from the first position of the selector to the last; of an instrument without one, what is always heard. */
function heard(harness: Harness, more: Record<string, number> = {}): string[] {
  const selector = switchesOf(harness).find((s) => s.id === 'switch')
  return (selector?.table.positions ?? [[]]).map((_, i) => topology(harness, { switch: i + 1, ...more }).words)
}

describe('two pickups on a selector', () => {
  const BOTH = 'neck ‖ bridge'
  it.each([
    ['toggle-3', ['bridge', BOTH, 'neck'], []],
    ['lever-3', ['bridge', BOTH, 'neck'], []],
    ['on-on-on', ['bridge', BOTH, 'neck'], []],
    ['lever-5', ['bridge', BOTH, BOTH, BOTH, 'neck'], [/^Positions 2, 3 and 4 sound alike/]],
    ['lever-4', ['bridge', BOTH, 'neck', 'neck + bridge'], [/must not be joined to its ground lead/]],
    ['on-on', ['bridge', 'neck'], []],
    ['slide', ['bridge', 'neck'], []],
    ['on-off-on', ['bridge', 'nothing', 'neck'], [/^In the middle it is silent/]],
  ])('a %s gives %j', (contacts, sounds, notes) => {
    const { harness, notes: said } = wired(harnessOf(wirable({ places: ['neck', 'bridge'], contacts })))
    expect(heard(harness)).toEqual(sounds)
    expect(said).toEqual(notes.map((note) => expect.stringMatching(note) as string))
  })
  it.each(['toggle-3', 'lever-3', 'lever-5', 'on-on-on'])('a volume for each on a %s: as many sounds', (contacts) => {
    const one = wired(harnessOf(wirable({ places: ['neck', 'bridge'], contacts })))
    const two = wired(harnessOf(wirable({ places: ['neck', 'bridge'], contacts, second: true, options: { volumes: 'two' } })))
    expect(heard(two.harness)).toEqual(heard(one.harness))
  })
})

describe('a humbucker of which the joint of its coils comes out as well', () => {
  const HUM: Wanted = { places: ['neck', 'bridge'], two: ['neck', 'bridge'], contacts: 'toggle-3', pull: true }
  const soundsOf = (w: Wanted, leads: Wanted['leads']) => {
    const { harness } = wired(harnessOf(wirable({ ...w, leads })))
    return [1, 2].flatMap((pull) => heard(harness, { 'tone-pull': pull }))
  }
  it.each<[string, Wanted]>([
    ['parted by a pulled knob', { ...HUM, options: { pull: 'split' } }],
    ['parted by a lever of four poles', { ...HUM, contacts: 'lever-5x4' }],
    ['turned over', { ...HUM, options: { pull: 'phase' } }],
    ['whole', HUM],
    ['tapped beside a single', { ...HUM, places: ['neck', 'middle', 'bridge'], contacts: 'lever-5x4', options: { tap: 'tap' } }],
  ])('sounds as with four leads: %s', (_, w) => {
    expect(soundsOf(w, 'three')).toEqual(soundsOf(w, 'four'))
    expect(soundsOf(w, 'three').join()).toContain('both coils in series')
  })
  it('is parted where two leads cannot be', () => {
    const split: Wanted = { ...HUM, options: { pull: 'split' } }
    expect(soundsOf(split, 'three').slice(3)).toEqual(expect.arrayContaining([expect.stringMatching(/^bridge, coil nearer the/)]))
    expect(soundsOf(split, 'two').slice(3)).toEqual(soundsOf(split, 'two').slice(0, 3))
  })
  it('has its coils side by side never: their ends are joined inside', () => {
    const parallel = { ...HUM, leads: 'three', options: { pull: 'parallel' } } as const
    expect(wired(harnessOf(wirable(parallel))).notes.join(' ')).toMatch(/the bridge pickup is no humbucker with four leads/)
    expect(soundsOf(parallel, 'three').slice(3)).toEqual(soundsOf(parallel, 'three').slice(0, 3))
    expect(soundsOf(parallel, 'four')[3]).toMatch(/parallel|‖/)
  })
})

describe('what each starting set comes with can be wired', () => {
  it.each(START_IDS)('%s: every position sounds, and no control is left over', (start) => {
    const { strings, scale } = STARTING_SETS[start]
    const build = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-30')
    const { harness } = wired(harnessOf(build))
    expect(heard(harness)).not.toContain('nothing')
    expect(leftOut(build, harness)).toEqual([])
  })
})
