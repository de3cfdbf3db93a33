import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { anyBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { findJoints } from './findJoints'

/** The same readings with so much of their doubt. */
const withDoubt = (build: Build, share: number): Build => ({
  ...build,
  parts: Object.fromEntries(
    Object.entries(build.parts).map(([slot, part]) => [
      slot,
      {
        ...part,
        sizes: Object.fromEntries(
          Object.entries(part.sizes).map(([key, size]) => [key, size.known === 'assumed' ? size : { ...size, doubt: size.doubt * share }]),
        ),
      },
    ]),
  ),
})

describe('read more finely', () => {
  it('what was sure stays so, and what is sure when read coarsely was so when read finely', () => {
    let sure = 0
    let settled = 0
    const asked = holds(
      fc.property(anyBuild, fc.constantFrom(0.5, 0.1), (build, share) => {
        const [coarse, fine] = [build, withDoubt(build, share)].map(
          (b) => new Map(findJoints(b).flatMap((j) => j.checks.map((c) => [`${j.id}/${c.id}`, c.raw.verdict] as const))),
        )
        for (const [check, verdict] of coarse!) {
          if (verdict === 'cant-tell') {
            if (fine!.get(check) !== 'cant-tell') settled++
            continue
          }
          expect(fine!.get(check), `${check}, with ${share} of the doubt`).toBe(verdict)
          sure++
        }
      }),
      60,
    )
    expect(sure).toBeGreaterThan(40 * asked)
    expect(settled).toBeGreaterThan(0)
  })
})
