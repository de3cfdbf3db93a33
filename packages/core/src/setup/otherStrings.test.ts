import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { applyChange, inverse } from '../document/change'
import { partProblems } from '../parts/check'
import { stringPulls } from '../instrument/stringPulls'
import { tuningOf, tuningsFor } from '../instrument/tunings'
import { everyMake } from '../testing/anyBuild'
import { changed, fullBuild } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { withReading } from '../testing/setup'
import { balanceWork } from './balance'
import { parseGauges, putOn } from './otherStrings'
import { staleSays, totalPull } from './staleness'
import { stringsThen } from './stringsThen'

const READINGS: readonly [SetupReading['what'], string, Partial<SetupReading>][] = [
  ['relief', 'relief', {}],
  ['action', 'action', { string: 1 }],
  ['cents', 'pitch', { string: 2 }],
  ['pickup', 'pickup heights', { string: 1, slot: 'pickup-neck' }],
]
/** Read with the strings that are on, or with others before them. */
const read = (build: Build, of: number): Build =>
  READINGS.reduce(
    (b, [what, , at]) => withReading(b, { what, value: 0.3, pull: of * totalPull(build)!, at: '2026-11-20T10:00:00Z', ...at }),
    build,
  )

const written = (text: string, strings = 6) => {
  const p = parseGauges(text, strings)
  return p.ok ? p.value : p.why
}

describe('other strings that go on', () => {
  it('are what was foretold: each pull, all of them, where a vibrato rests, and what has to be read again', () => {
    let moved = 0
    const strung = everyMake().filter((b) => b.parts.strings && totalPull(b) !== undefined)
    const law = fc.property(
      fc.nat(strung.length - 1),
      fc.double({ min: 0.85, max: 1.2, noNaN: true }),
      fc.nat(),
      fc.option(fc.nat(6), { nil: undefined }),
      fc.constantFrom(0.94, 1, 1, 1.08),
      (m, wider, t, wound, of) => {
        const build = read(strung[m]!, of)
        const tunings = tuningsFor(build.strings)
        const other = {
          tuning: tunings[t % tunings.length]!,
          gauges: stringPulls(build).map((p) => p.gauge * wider),
          ...(wound === undefined ? {} : { wound }),
        }
        const told = stringsThen(build, other)
        const change = putOn(build, other)
        const then = applyChange(build, change)
        expect(told.strings.map((s) => [s.number, s.note, s.will])).toEqual(stringPulls(then).map((p) => [p.number, p.note, p.newton]))
        expect(told.total!.will).toBe(totalPull(then))
        if (told.float) expect(told.float.will).toBe(balanceWork(then)!.rest?.gap)
        expect(told.stale).toEqual(READINGS.filter(([what, , at]) => staleSays(then, { what, ...at })).map(([, word]) => word))
        if (told.stale.length) moved++
        expect(partProblems(then.parts.strings!)).toEqual([])
        expect(applyChange(then, inverse(change))).toEqual(build)
      },
    )
    expect(moved + holds(law, 300)).toBeGreaterThan(0)
    expect(moved).toBeGreaterThan(10)
  })

  it('keep nothing of the old set but the silk of its kind: no core, no cut length, no wound count, no price', () => {
    const old = changed(
      fullBuild(),
      { 'strings/core.5': 0.38, 'strings/length': 980, 'strings/length.1': 820, 'strings/wound': 3 },
      { 'strings/wrap': 'bronze' },
    )
    old.parts.strings = { ...old.parts.strings!, price: 9, seller: 'Low Tide Strings' }
    const now = applyChange(old, putOn(old, { gauges: [0.3, 0.4, 0.61, 0.81, 1.07, 1.32] }))
    const { strings } = now.parts
    expect(Object.keys(strings!.sizes).toSorted()).toEqual([1, 2, 3, 4, 5, 6].map((n) => `gauge.${n}`))
    expect(strings).toMatchObject({ name: 'Strings, 12 to 52 thousandths', state: 'in hand', traits: {} })
    expect(strings!.price).toBeUndefined()
    // Three were wound of the old set; a third of 24 thousandths is, whoever said that.
    expect(stringPulls(now).map((p) => p.wound)).toEqual([false, false, true, true, true, true])
  })

  it('a wound third weighs less than a plain one as thick, and is told by a letter', () => {
    const set = written('12 16 24w 32 42 52') as { gauges: number[]; wound: number }
    expect(set.wound).toBe(4)
    expect((written('12 16 20p 32w 42w 52w') as { wound: number }).wound).toBe(3)
    expect(written('12 16 24 32 42 52')).not.toHaveProperty('wound')
    expect(written('12 16 24w 32p 42 52')).toMatch(/marked plain is as thick as one marked wound/)
    expect(written('12 16 x 32 42 52')).toMatch(/“x” is not a gauge/)
    const b = fullBuild()
    const third = (wound: number) => stringPulls(applyChange(b, putOn(b, { gauges: set.gauges, wound })))[2]!.newton
    expect(third(4)).toBeLessThan(0.97 * third(3))
  })

  it('are one change, said as a person would, with the tuning where that is another too', () => {
    const b = fullBuild()
    const low = tuningsFor(6).find((t) => t.name === 'a step down')!
    const { gauges } = written('12 16 24w 32 42 52') as { gauges: number[] }
    // Half thousandths are gauges of their own.
    const halves = putOn(b, { gauges: [9.5, 12, 16, 24, 34, 44].map((t) => t * 0.0254) })
    expect(halves.label).toBe('Other strings: 9.5 12 16 24 34 44 thousandths')
    expect(applyChange(b, halves).parts.strings!.name).toBe('Strings, 9.5 to 44 thousandths')
    expect(putOn(b, { gauges }).label).toBe('Other strings: 12 16 24 32 42 52 thousandths')
    const both = putOn(b, { gauges, tuning: low })
    expect(both.label).toMatch(/^Other strings: 12 16 24 32 42 52 thousandths\. Tuned a step down: /)
    expect(tuningOf(applyChange(b, both)).name).toBe('a step down')
    expect(putOn(b, { tuning: low }).label).toMatch(/^Tuned a step down: /)
  })
})
