import fc from 'fast-check'
import { expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { believedAt, enteredAt, isSaid, specAt, type SizeRef } from '../../document/read'
import { bandOf } from '../../parts/kind'
import { anyBuild } from '../../testing/anyBuild'
import { holds } from '../../testing/holds'
import { judgeJoints } from '../findJoints'
import { measuringRound, USUAL_TOOLS, type MeasureBundle } from './measureNext'
import { bestTool, withSizes } from './readings'

/** All of a bundle read: each as it was told, or as such a size is. */
function readAll(build: Build, bundle: MeasureBundle): Build {
  return withSizes(
    build,
    bundle.readings.map(({ ref }) => {
      const spec = specAt(ref)
      const { low, high } = bandOf(spec)
      const value = believedAt(build, ref)?.value ?? spec.usual ?? (low + high) / 2
      const { tool, doubt } = bestTool(ref, USUAL_TOOLS)!
      return [ref, { value, doubt: doubt(value), known: tool }]
    }),
  )
}

const isEntered = (build: Build, ref: SizeRef) => enteredAt(build, ref) !== undefined

it('what a bundle is said to settle waits for no word of anybody, and for no size but one that is at odds with what else was read', () => {
  let named = 0
  let waiting = 0
  const cases = holds(
    fc.property(anyBuild, (start) => {
      let build = start
      for (const bundle of measuringRound(start)) {
        build = readAll(build, bundle)
        const joints = judgeJoints(build)
        for (const id of bundle.settles) {
          const joint = joints.find((j) => j.id === id)
          named++
          if (joint?.verdict !== 'cant-tell') continue
          expect(joint.untold, id).toEqual([])
          for (const ref of joint.missing) expect([id, ref, isEntered(build, ref) && !isSaid(build, ref)]).toEqual([id, ref, true])
        }
        waiting += bundle.readings.filter((r) => r.joints.some((j) => joints.find((k) => k.id === j)?.untold.length)).length
      }
    }),
    200,
  )
  expect(cases).toBeGreaterThan(0)
  // Joints that somebody has to say a word about are worth readings too: they are not named as settled.
  expect(waiting).toBeGreaterThan(0)
  expect(named).toBeGreaterThan(0)
})
