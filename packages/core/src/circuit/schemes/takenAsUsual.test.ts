import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../../document/build'
import { START_IDS, STARTING_SETS } from '../../parts/starting/sets'
import { changed } from '../../testing/fullBuild'
import { wirable } from '../../testing/wirable'
import { judgeReading, predictReading, readingWords } from '../bench/readings'
import { harnessOf, offersOf, optionsOf } from './harnessOf'

const made = (build: Build) => {
  const result = harnessOf(build)
  if (!result.ok) throw new Error(JSON.stringify(result))
  return result
}
const taken = (build: Build) => made(build).notes.filter((n) => n.startsWith('Taken as usual'))
const told = wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3', two: ['neck', 'bridge'], leads: 'four' })

describe('controls of which nobody has said what they are', () => {
  it('are named with what they are taken for', () => {
    expect(taken(told)).toEqual([])
    expect(taken(changed(told, { 'pot-volume/resistance': undefined }))).toEqual([
      'Taken as usual, as nobody has said otherwise: volume 250 k. The sound hangs on it: read them and say it under Parts.',
    ])
    expect(taken(changed(told, {}, { 'pot-tone/taper': undefined }))[0]).toContain(': tone audio taper.')
    expect(taken(changed(told, { 'capacitor/capacitance': undefined }))[0]).toMatch(/: tone capacitor 22 n/)
  })
  it('so is what a starting set only assumes', () => {
    for (const start of START_IDS) {
      const { strings, scale } = STARTING_SETS[start]
      const b = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
      const result = harnessOf(b)
      if (result.ok && b.parts['pot-volume']) expect(taken(b), start).toHaveLength(1)
    }
  })
  it('a pot nobody read is not called wrong for being one of 500 k', () => {
    const unread = changed(told, { 'pot-volume/resistance': undefined })
    const { harness } = made(unread)
    const probes = ['volume.1', 'volume.3'] as const
    const setting = { switches: {}, knobs: {} }
    const alone = { ...harness, wires: [] }
    expect(readingWords(predictReading(unread, alone, setting, [...probes]))).toBe('not known yet')
    expect(judgeReading(unread, alone, { probes: [...probes], setting, ohm: 499e3, at: '2026-11-24' } as never)!.inside).toBe(true)
    // Read as 250 k ± 5 k it is.
    const read = changed(told, { 'pot-volume/resistance': 250e3 })
    expect(judgeReading(read, { ...made(read).harness, wires: [] }, { probes: [...probes], setting, ohm: 499e3 } as never)!.inside).toBe(
      false,
    )
  })
  it('whether a knob can be pulled is asked, not denied', () => {
    const lacks = (pull: string | undefined) => {
      const b = changed(told, {}, { 'pot-volume/pull': pull, 'pot-tone/pull': 'plain' })
      const recipe = offersOf(b).find((o) => !o.lacks && o.recipe.options.some((x) => x.id === 'pull'))!.recipe
      return optionsOf(b, recipe).find((o) => o.spec.id === 'pull')!.lacks['split']
    }
    expect(lacks(undefined)).toMatch(/nobody has said/)
    expect(lacks('plain')).toMatch(/^no knob of the build can be pulled/)
    expect(lacks('push-pull')).toBeUndefined()
  })
})
