import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from '../document/build'
import { lacks } from '../parts/starting/fill'
import { START_IDS, STARTING_SETS } from '../parts/starting/sets'
import { anyBuild } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

/** Sizes that joints wait for and that Parts would not offer a field for, as the instrument is said to have none of them. */
const notThere = (build: Build): string[] =>
  JOINT_KINDS.filter((k) => existsIn(k, build)).flatMap((k) =>
    k
      .find(build)
      .missing.filter((r) => lacks(build.parts, r.slot, r.size))
      .map((r) => `${k.id} waits for ${r.slot}/${r.size}`),
  )

describe('what a joint waits for', () => {
  it.each(START_IDS)('is a size this instrument has: begun as %s', (start) => {
    const { strings, scale } = STARTING_SETS[start]
    expect(notThere(newBuild({ name: 'New', handedness: 'right', strings, scale, start }, '2026-11-30'))).toEqual([])
  })
  it('nor does any drawn build wait for what Parts has no field for', () => {
    holds(
      fc.property(anyBuild, (build) => {
        expect(notThere(build)).toEqual([])
      }),
      120,
    )
  })
})
