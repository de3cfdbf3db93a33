import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { checksOnce } from '../judge/assemble'
import type { Check, JudgedJoint } from '../judge/joint'
import { isAtOdds } from '../parts/atOdds'
import { likelyOf } from '../quantity/distribution'
import { knownBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { JOINT_KINDS } from './jointKinds'
import { existsIn, type JointKind } from './kind'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

/** The clearance with one size taken so much further; of the joint's checks only those that read it are asked again. */
function shifted(build: Build, kind: JointKind, joint: JudgedJoint, check: string, ref: Check['reads'][number], by: number) {
  const part = build.parts[ref.slot]!
  const size = part.sizes[ref.size]!
  const moved = { ...part, sizes: { ...part.sizes, [ref.size]: { ...size, value: size.value + by } } }
  // A size moved past what another of its part allows is believed no longer: what is then taken in its place says nothing of its doubt.
  if (isAtOdds(moved, ref.size)) return undefined
  const then = { ...build, parts: { ...build.parts, [ref.slot]: moved } }
  const c = (checksOnce(joint, then, ref) ?? kind.find(then).checks).find((x) => x.id === check)
  return c && likelyOf(c.clearance)
}

/** Where a best place does not move for half a sigma and then does, its slope says less than a whole one does, mm. */
const FLAT = 0.02

/** Of a guard's best place what its openings are off across is of little weight, and is not counted. */
const BESIDE = /widthEnd|neck\.width/

describe('every doubt counts', () => {
  it(
    'a check is as unsure as the sizes it reads make it, by taking each a sigma further',
    () => {
      let met = 0
      const cases = holds(
        fc.property(knownBuild, fc.nat(), (build, n) => {
          const here = JOINT_KINDS.filter((k) => existsIn(k, build))
          const kind = here[n % here.length]!
          const joint = kind.find(build)
          const every = joint.checks
          // More builds say more than more checks of one.
          for (const c of every.length ? [every[(n >> 8) % every.length]!] : []) {
            if (c.unknown.length || c.untold.length || kind.id === 'guard-cover') continue
            let variance = 0
            for (const ref of c.reads) {
              const size = build.parts[ref.slot]?.sizes[ref.size]
              if (!size?.doubt || size.known === 'assumed' || BESIDE.test(`${ref.slot}/${ref.size}`)) continue
              const [up, down] = [1, -1].map((sign) => shifted(build, kind, joint, c.id, ref, (sign * size.doubt) / 2))
              // A count is read as it is; a half of it is no reading.
              if (up === undefined || down === undefined || /count|frets|holds/.test(ref.size)) continue
              variance += ((up - down) / 2) ** 2
            }
            const sigma = Math.sqrt(c.clearance.reduce((s, n2) => s + n2.weight * n2.sigma ** 2, 0))
            expect(sigma, `${kind.id}/${c.id}`).toBeGreaterThanOrEqual(0.8 * Math.sqrt(variance) - FLAT)
            met++
          }
        }),
        5_000,
      )
      expect(met).toBeGreaterThan(cases / 6)
    },
    LONG,
  )
})
