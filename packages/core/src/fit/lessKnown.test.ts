import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { specAt } from '../document/read'
import type { Check, JudgedJoint } from '../judge/joint'
import { isAtOdds } from '../parts/atOdds'
import { anyBuild, untold } from '../testing/anyBuild'
import { askedTraits } from '../testing/takenFrom'
import { holds } from '../testing/holds'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

/** Thousands of builds, on whatever machine, ms. */
const LONG = 600_000

/** One joint of a build, one thing it was judged by taken away, and the joint again. */
const cases = fc.record({ build: anyBuild, kind: fc.nat(), taken: fc.nat() })

function judgedTwice({ build, kind, taken }: { build: Build; kind: number; taken: number }) {
  const here = JOINT_KINDS.filter((k) => existsIn(k, build))
  const k = here[kind % here.length]!
  const before = k.find(build)
  const known = [
    ...before.reads
      // What is left out where there is none is known to be none.
      .filter((r) => !specAt(r).optional && build.parts[r.slot]?.sizes[r.size] && build.parts[r.slot]!.sizes[r.size]!.known !== 'assumed')
      .map((r) => ['sizes', r.slot, r.size] as const),
    ...before.slots.flatMap((slot) => askedTraits(build, slot).map((trait) => ['traits', slot, trait] as const)),
  ]
  if (!known.length) return undefined
  const [what, slot, name] = known[taken % known.length]!
  // Of two sizes that cannot both be right either is as good as unknown: without the one the other is believed.
  if (what === 'sizes' && isAtOdds(build.parts[slot]!, name)) return undefined
  const less = untold(build, what, slot, name)
  return { before, after: k.find(less), exists: existsIn(k, less), took: `${slot}/${name}` }
}

/** Snug only when every check is; a sure fault is never hidden; what cannot be told says what would tell. */
function holdsTogether(joint: JudgedJoint): void {
  if (joint.verdict === 'snug') for (const c of joint.checks) expect(c.raw.verdict, `${joint.id}/${c.id}`).toBe('snug')
  if (joint.verdict === 'cant-tell')
    expect(
      joint.missing.length +
        joint.untold.length +
        joint.unmade.length +
        Number(joint.settles !== undefined) +
        // What is no size is named in words: an outline nobody has drawn, the guard or plate a jack sits in.
        Number(/^Not known yet: [a-z]/.test(joint.says)),
      joint.id,
    ).toBeGreaterThan(0)
  const fault = joint.checks.find((c) => c.raw.verdict === 'wont-go') ?? joint.checks.find((c) => c.raw.verdict === 'tight')
  if (fault) expect(joint.verdict, joint.id).toBe(fault.raw.verdict)
}

/** What a check that cannot be told lacks. Of a hole that is said not to be there it is named as not made yet. */
const lacks = (check: Check): string[] =>
  check.raw.verdict === 'cant-tell'
    ? [...[...check.unknown, ...check.unmade].map((r) => `${r.slot}/${r.size}`), ...check.untold.map((t) => `${t.slot}/${t.trait}`)]
    : []

describe('less known never reads better', () => {
  it(
    'taking a size or trait away leaves each check as it was, or untold; what it lacks is named',
    () => {
      let untoldNow = 0
      const asked = holds(
        fc.property(cases, (c) => {
          const twice = judgedTwice(c)
          if (!twice) return
          const { before, after, took } = twice
          holdsTogether(before)
          for (const check of after.checks) {
            const was = before.checks.find((b) => b.id === check.id)
            const at = `${before.id}/${check.id} without ${took}`
            if (check.raw.verdict === 'cant-tell') {
              if (was && was.raw.verdict !== 'cant-tell') {
                untoldNow++
                expect(lacks(check), at).toContain(took)
              }
            } else if (was) expect(check.raw.verdict, at).toBe(was.raw.verdict)
          }
          // A check may only vanish where the parts are such that it cannot exist.
          for (const was of before.checks.filter((b) => b.raw.verdict === 'tight' || b.raw.verdict === 'wont-go')) {
            expect(
              after.checks.map((a) => a.id),
              `${before.id}/${was.id} without ${took}`,
            ).toContain(was.id)
          }
        }),
        5_000,
      )
      expect(untoldNow).toBeGreaterThan(asked / 12)
    },
    LONG,
  )
})
