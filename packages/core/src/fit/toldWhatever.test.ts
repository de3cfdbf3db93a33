import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { specAt } from '../document/read'
import { keyOf } from '../judge/completed'
import type { Check, Cure } from '../judge/joint'
import { bandOf } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import type { Size } from '../quantity/size'
import { knownBuild, untold } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { JOINT_KINDS } from './findJoints'
import { existsIn, type JointKind } from './kind'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

const cases = fc.record({ build: knownBuild, kind: fc.nat(), taken: fc.nat() })

/** What nobody knows, and the build with each of the answers it may turn out to have. */
interface Taken {
  at: string
  less: Build
  found: Build[]
}

const answered = (build: Build, slot: Slot, what: 'sizes' | 'traits', name: string, answer: Size | string): Build => {
  const part = build.parts[slot]!
  return { ...build, parts: { ...build.parts, [slot]: { ...part, [what]: { ...part[what], [name]: answer } } } }
}

function takenFrom(build: Build, kind: JointKind, n: number): Taken | undefined {
  const joint = kind.find(build)
  // A part's mass that was not weighed is reckoned from its wood and said as "about".
  const sizes = joint.reads.filter((r) => !specAt(r).optional && r.size !== 'mass')
  const traits = joint.slots.flatMap((slot) => Object.keys(build.parts[slot]?.traits ?? {}).map((trait) => ({ slot, trait })))
  const refs = [...sizes, ...traits]
  const ref = refs[n % refs.length]
  if (!ref) return undefined
  const at = keyOf(ref)
  if ('size' in ref) {
    const { low, high } = bandOf(specAt(ref))
    const sizesOf = [low, high].map((value): Size => ({ value, doubt: 0, known: 'calipers' }))
    return {
      at,
      less: untold(build, 'sizes', ref.slot, ref.size),
      found: sizesOf.map((size) => answered(build, ref.slot, 'sizes', ref.size, size)),
    }
  }
  const options = KINDS[slotSpec(ref.slot).kind].traits[ref.trait]!.options
  return {
    at,
    less: untold(build, 'traits', ref.slot, ref.trait),
    found: options.map(([option]) => answered(build, ref.slot, 'traits', ref.trait, option)),
  }
}

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
