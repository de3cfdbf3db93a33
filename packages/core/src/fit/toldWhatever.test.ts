import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Check, Cure } from '../judge/joint'
import { knownBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { takenFrom } from '../testing/takenFrom'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

const cases = fc.record({ build: knownBuild, kind: fc.nat(), taken: fc.nat() })

const wordOf = ({ job, how, gives, tools, plan }: Cure) =>
  JSON.stringify([job.replace(/^Or (.)/, (_, c: string) => c.toUpperCase()), how, gives, tools, plan])

describe('what is told of a sure check holds whatever is found for what nobody knows', () => {
  it(
    'a size taken away and then found at either end of its band, or a trait and then said: words without a caveat are the same, and so is every job',
    () => {
      const met = { caveats: 0, words: 0, jobs: 0 }
      holds(
        fc.property(cases, ({ build, kind, taken }) => {
          const here = JOINT_KINDS.filter((k) => existsIn(k, build))
          const k = here[kind % here.length]!
          const out = takenFrom(build, k, taken)
          if (!out) return
          const sure = k.find(out.less).checks.filter((c) => c.raw.verdict !== 'cant-tell')
          for (const build of out.found) {
            const found = k.find(build)
            for (const check of sure) {
              const then = found.checks.find((c) => c.id === check.id)
              if (then?.raw.verdict === check.raw.verdict) sameWords(`${k.id}/${check.id} without ${out.at}`, check, then)
            }
          }
        }),
        600,
      )
      function sameWords(at: string, check: Check, then: Check) {
        if (/nobody knows yet|not known yet/.test(check.says)) met.caveats++
        else {
          met.words++
          expect(check.says, at).toBe(then.says)
        }
        for (const cure of check.cures) {
          const known = then.cures.find((c) => c.id === cure.id)
          if (!known) continue
          met.jobs++
          expect(wordOf(cure), at).toBe(wordOf(known))
        }
      }
      for (const [what, n] of Object.entries(met)) expect(n, what).toBeGreaterThan(3)
    },
    LONG,
  )
})
