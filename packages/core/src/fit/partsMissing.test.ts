import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { JudgedJoint } from '../judge/joint'
import type { Slot } from '../parts/slots'
import { anyBuild, everyMake } from '../testing/anyBuild'
import { without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { judgeJoints } from './findJoints'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

/** All of it, also what is only worked out for whoever looks. */
const looked = (joints: readonly JudgedJoint[]) => joints.map((j) => ({ says: j.says, cures: j.cures, drawn: j.draw().title }))
/** Those that read the part where it is there. */
const readers = (build: Build, slot: Slot) =>
  JOINT_KINDS.filter((k) => k.also?.includes(slot) && existsIn(k, build)).map((k) => k.find(build))

describe('joints of a build that is not all there yet', () => {
  it('every make without each of its parts: what reads it where it is there is judged', () => {
    for (const make of everyMake())
      for (const slot of Object.keys(make.parts) as Slot[])
        expect(() => looked(readers(without(make, slot), slot)), `${make.parts.bridge?.traits.mount} without ${slot}`).not.toThrow()
  })
  it('without any of them', () => {
    holds(
      fc.property(
        fc.oneof(anyBuild, fc.constantFrom(...everyMake())),
        fc.array(fc.nat(), { minLength: 1, maxLength: 12 }),
        (build, which) => {
          const slots = Object.keys(build.parts) as Slot[]
          expect(() => looked(judgeJoints(without(build, ...which.map((n) => slots[n % slots.length]!))))).not.toThrow()
        },
      ),
      600,
    )
  })
})
