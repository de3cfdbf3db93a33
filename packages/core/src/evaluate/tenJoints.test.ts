import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../document/build'
import { specAt } from '../document/read'
import { judgeJoints, verdictOf } from '../fit/findJoints'
import { bundled, USUAL_TOOLS, type MeasureRank } from '../fit/measure/measureNext'
import { withSizes } from '../fit/measure/readings'
import { bandOf } from '../parts/kind'
import { START_IDS, STARTING_SETS, type StartId } from '../parts/starting/sets'
import { measurer } from './measurer'

/**
 * Readings until the first joint is told, and until ten are, at most. Of a set neck, of a hollow body and of twelve strings more hangs
 * together: what they take is what it is today. One of them is how far back the saddles go: they may end far before their screws, as a bass's
 * do, so that nothing is told without it.
 */
const BOUNDS: Readonly<Record<StartId, readonly [first: number, ten: number]>> = {
  'bolt-guard-vibrato': [3, 38],
  'bolt-plate': [3, 30],
  'bolt-through': [3, 30],
  'post-stop': [5, 43],
  'through-neck': [2, 36],
  'semi-hollow': [5, 48],
  'twelve-string': [5, 42],
  'long-scale': [3, 30],
  bass: [3, 34],
}

/** Read as usual of its kind; a bore is a little wider than what goes in, as bores are. */
function asUsual({ ref, tool }: MeasureRank): Parameters<typeof withSizes>[1][number] {
  const spec = specAt(ref)
  const { low, high } = bandOf(spec)
  const usual = spec.usual ?? (low + high) / 2
  return [ref, { value: /bore/.test(spec.label) ? usual + 0.1 : usual, doubt: 0.05, known: tool }]
}
const told = (build: Build) => judgeJoints(build).filter((j) => j.verdict !== 'cant-tell').length

describe('the first hour of a kit, bundle after bundle as asked', () => {
  it.each(START_IDS)('%s: a verdict after a few readings, ten joints after no more than these', (start) => {
    const { strings, scale } = STARTING_SETS[start]
    let build = newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-24')
    const begun = told(build)
    const next = measurer()
    let [read, first, now] = [0, 0, begun]
    while (now < 10) {
      const [bundle] = bundled([...next(build, USUAL_TOOLS)].flat())
      for (const r of bundle!.readings) {
        build = withSizes(build, [asUsual(r)])
        // What is counted by eye is no reading.
        if (specAt(r.ref).unit !== 'count') read++
        // What all its joints are told without is asked of nobody.
        if (bundle!.settles.every((id) => verdictOf(build, id) !== 'cant-tell')) break
      }
      now = told(build)
      if (!first && now > begun) first = read
    }
    expect([first <= BOUNDS[start][0], read <= BOUNDS[start][1]], `${first} and ${read} readings`).toEqual([true, true])
  })
})
