import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { normal, probabilityBetween } from '../../quantity/distribution'
import { fullBuild } from '../../testing/fullBuild'
import { bestFirst, doubtOfBuild, measureNext, slices, rankSizes, type MeasureRank } from './measureNext'

/** The full build with some sizes known only by listing. */
function listed(refs: readonly string[], doubt = 0.6): Build {
  const b = structuredClone(fullBuild())
  for (const ref of refs) {
    const [slot, size] = ref.split('/') as ['body', string]
    b.parts[slot]!.sizes[size] = { ...b.parts[slot]!.sizes[size]!, known: 'listed', doubt }
  }
  return b
}

describe('what to measure next', () => {
  it('nothing, where every size is read and every joint snug', () => expect(measureNext(fullBuild())).toEqual([]))
  it('the one size a joint hangs on, with its tool and its minutes', () => {
    const [first] = measureNext(listed(['body/pocket.widthMouth']))
    expect(first!.ref).toEqual({ slot: 'body', size: 'pocket.widthMouth' })
    expect(first!.tool).toBe('calipers')
    expect(first!.minutes).toBeGreaterThan(0)
    expect(first!.joints).toContain('pocket-mouth')
  })
  it('the size with more say goes before one with less', () => {
    const ranked = measureNext(listed(['body/pocket.widthMouth', 'body/thickness']))
    const at = (size: string) => ranked.findIndex((r) => r.ref.size === size)
    expect(at('pocket.widthMouth')).toBe(0)
    expect(at('thickness') === -1 || at('thickness') > 0).toBe(true)
  })
  it('a gain is never negative, and the list falls', () => {
    const ranked = measureNext(
      listed(['body/pocket.widthMouth', 'neck/heel.widthMouth', 'bridge/studDiameter', 'nut/height', 'guard/opening.neck.centre']),
    )
    for (const r of ranked) expect(r.gain).toBeGreaterThanOrEqual(-1e-9)
    for (let i = 1; i < ranked.length; i++) expect(ranked[i]!.gain).toBeLessThanOrEqual(ranked[i - 1]!.gain + 1e-9)
  })
  it('a rule where there are no calipers; nothing to say of ohms without a meter', () => {
    expect(measureNext(listed(['body/pocket.widthMouth'], 1.4), ['rule'])[0]!.tool).toBe('rule')
    const b = listed(['body/pocket.widthMouth'])
    expect(measureNext(b, ['meter', 'scale'])).toEqual([])
  })
  it('a part still to be bought weighs more than one in hand', () => {
    const here = listed(['bridge/studDiameter'])
    const dear = structuredClone(here)
    dear.parts.bridge!.state = 'planned'
    dear.parts.bridge!.price = 120
    expect(measureNext(dear)[0]!.gain).toBeGreaterThan(measureNext(here)[0]!.gain)
  })
  it('one size at a time, so that it can be left off; put in order it is the whole', () => {
    const build = listed(['body/pocket.widthMouth', 'nut/height', 'bridge/studDiameter'])
    const sizes = rankSizes(build)
    const first = sizes.next()
    expect(first.done).toBe(false)
    expect(bestFirst(build, [first.value as MeasureRank, ...sizes])).toEqual(measureNext(build))
  })
  it('what is read settles: the doubt of the whole build falls', () => {
    expect(doubtOfBuild(listed(['body/pocket.widthMouth']))).toBeGreaterThan(doubtOfBuild(fullBuild()))
  })
})

describe('slices of equal chance', () => {
  it('each holds its share of a normal', () => {
    const d = normal(10, 2)
    const values = slices(d, 9)
    expect(values[4]).toBeCloseTo(10, 6)
    values.forEach((v, i) => expect(probabilityBetween(d, -Infinity, v)).toBeCloseTo((i + 0.5) / 9, 5))
  })
  it('reach into the wide part of a mixture', () => {
    const values = slices(
      [
        { weight: 0.85, mean: 0, sigma: 0.2 },
        { weight: 0.15, mean: 0, sigma: 4 },
      ],
      21,
    )
    expect(Math.max(...values)).toBeGreaterThan(2)
    for (let i = 1; i < values.length; i++) expect(values[i]!).toBeGreaterThan(values[i - 1]!)
  })
})
