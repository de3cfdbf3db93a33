import { findJoints } from '../../fit/findJoints'
import { drawJoint } from '../../fit/inHand'
import { isAsItWas } from '../../fit/wasTogether'
import { harmless } from '../../fit/harmless'
import type { Joint } from '../../judge/joint'
import { wordOf } from '../../judge/verdict'
import type { Contribution } from '../contribution'
import { mockupSheet } from './sheets'
import { fitSteps } from './steps'

/** A figure counts as moved beyond this, in its own unit. [ours] */
const MOVED = 0.005
/** So many moved figures are told of; verdicts all. */
const TOLD = 2

/** Open for no other reason than that a hole is still to be made: that is counted where holes are. */
const waitsForHole = (j: Joint): boolean => j.verdict === 'cant-tell' && j.unmade.length > 0 && !j.missing.length && !j.untold.length

/** Dry fit: every joint, those that need a person first and those that nobody touches last. */
export const fit: Contribution<Joint[]> = {
  result: (build, _today, _earlier, remember) => {
    const joints = findJoints(build, (kind) => remember(`joint ${kind.id}`, build, kind.find))
    const judged = joints.map((joint) => harmless(build, joint, joints))
    return [...judged.filter((j) => !isAsItWas(build, j)), ...judged.filter((j) => isAsItWas(build, j))]
  },
  steps: fitSteps,
  things: (build, joints) => joints.map((j) => ({ id: j.id, title: j.title, at: j.at, draw: () => drawJoint(build, j.id) })),
  sheets: (build) => [mockupSheet(build)],
  count: (build, joints) =>
    joints.filter((j) => j.verdict !== 'snug' && j.verdict !== 'loose' && !waitsForHole(j) && !isAsItWas(build, j)).length,
  moved: (before, after) => {
    const pairs = after.flatMap((now) => {
      const was = before.find((j) => j.id === now.id)
      return was ? [{ was, now }] : []
    })
    const verdicts = pairs.filter(({ was, now }) => was.verdict !== now.verdict)
    const figures = pairs.filter(
      ({ was, now }) => was.verdict === now.verdict && was.figure && now.figure && Math.abs(was.figure.value - now.figure.value) > MOVED,
    )
    return [
      ...verdicts.map(
        ({ was, now }) => `${now.title.toLowerCase()}: ${wordOf(was.verdict, was.condition)} → ${wordOf(now.verdict, now.condition)}`,
      ),
      ...figures.slice(0, TOLD).map(({ was, now }) => `${now.title.toLowerCase()} ${was.figure!.text} → ${now.figure!.text}`),
    ]
  },
}
