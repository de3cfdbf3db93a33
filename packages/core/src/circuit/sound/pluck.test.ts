import { describe, expect, it } from 'vitest'
import { fullBuild, changed } from '../../testing/fullBuild'
import { stringPulls } from '../../instrument/stringPulls'
import { harnessOf } from '../schemes/harnessOf'
import { colourOf, partials, RATE, strum } from './pluck'

const LOAD = { cable: 5e-10, amplifier: 1e6 }
const build = changed(fullBuild(), { 'strings/core.4': 0.33, 'strings/core.5': 0.38, 'strings/core.6': 0.457 })
const made = harnessOf(build)
if (!made.ok) throw new Error('missing')
const { harness } = made
const at = (position: number, knobs = {}) => ({ switches: { switch: position }, knobs })
const positions = harness.components.find((c) => c.id === 'switch')! as unknown as { table: { positions: unknown[] } }
const NECK = positions.table.positions.length

describe('a plucked string through the circuit', () => {
  const E = stringPulls(build).find((s) => s.number === 6)!
  it('its first partial is the string’s pitch, the others stretched upwards by its stiffness', () => {
    const all = partials(build, harness, at(1), LOAD, E)
    expect(all[0]!.hertz).toBeCloseTo(82.41, 1)
    for (const [i, p] of all.entries()) expect(p.hertz).toBeGreaterThanOrEqual((i + 1) * 82.4)
    expect(all[19]!.hertz / (20 * 82.407)).toBeGreaterThan(1.005)
  })
  it('a pickup hears less of the first partials by the bridge than by the neck [physics]', () => {
    const low = (position: number) => {
      const all = partials(build, harness, at(position), LOAD, E)
      return all[0]!.level / all.reduce((s, p) => s + p.level, 0)
    }
    expect(low(1)).toBeLessThan(low(NECK))
  })
  it('a pole under a node of a partial is deaf to it', () => {
    // The fourth partial has a node at a quarter of the string: a coil there.
    const quarter = {
      ...harness,
      components: harness.components.map((c) => (c.is === 'coil' ? { ...c, at: { x: build.scale * 0.75, y: 0 } } : c)),
    }
    const all = partials(build, quarter, at(1), LOAD, E)
    expect(all[3]!.level).toBeLessThan(1e-3 * all[2]!.level)
  })
  it('turning the tone down takes the highs and leaves the lows', () => {
    const of = (tone: number) => partials(build, harness, at(1, { tone }), LOAD, E)
    const share = (i: number) => of(0)[i]!.level / of(10)[i]!.level
    expect(share(0)).toBeGreaterThan(0.7)
    expect(share(35)).toBeLessThan(0.2)
  })
})

describe('the sound', () => {
  it('is a wave within its bounds that dies away', () => {
    const wave = strum(build, harness, at(1), LOAD, 1.5)
    expect(wave).toHaveLength(1.5 * RATE)
    const power = (from: number, to: number) => wave.slice(from * RATE, to * RATE).reduce((s, v) => s + v * v, 0)
    expect(wave.reduce((m, v) => Math.max(m, Math.abs(v)), 0)).toBeCloseTo(0.8, 5)
    expect(power(1.2, 1.4)).toBeLessThan(power(0.3, 0.5))
  })
  it('a volume at nothing is silence, and stays it', () => {
    expect(strum(build, harness, at(1, { volume: 0 }), LOAD, 0.2).every((v) => Math.abs(v) < 1e-3)).toBe(true)
    expect(colourOf(build, harness, at(1, { volume: 0 }), LOAD).words).toBe('silence')
  })
  it('in words the neck is darker than the bridge', () => {
    expect(colourOf(build, harness, at(NECK), LOAD).centre).toBeLessThan(colourOf(build, harness, at(1), LOAD).centre)
    expect(colourOf(build, harness, at(1), LOAD).words).toMatch(/centre of weight at \d+ Hz/)
  })
})
