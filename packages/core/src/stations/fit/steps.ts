import type { Build } from '../../document/build'
import { isGlued, traitAt } from '../../document/read'
import type { Joint } from '../../judge/joint'
import { woodNamed } from '../../parts/woods'
import { before, parcelsOf } from '../../plan/reasons'
import { step, type Step } from '../../plan/step'
import { stageOfCure, stageOfPlanned } from './jobStage'

/** A sentence used as a heading loses its full stop. */
const asTitle = (sentence: string) => sentence.replace(/\.$/, '')

/** Jobs planned on paper, cures of what will not go as it is, and the trial build, which waits for the neck's pocket. */
export function fitSteps(build: Build, joints: readonly Joint[], earlier: readonly Step[]): Step[] {
  if (!Object.keys(build.parts).length) return []
  const told = new Set<string>()
  const jobs = joints
    .flatMap((joint) => jobsOf(build, joint, earlier).map((job) => ({ joint, job })))
    .filter(({ job }) => !told.has(job.id) && told.add(job.id))
  const trial = step({
    id: 'trial-build',
    title: 'Trial build: bare neck in pocket, bridge, guard and controls in place',
    why: `Everything together once before any finish, then apart again.${isSoft(build) ? ' Soft wood: padding under the body, no watch, no belt buckle.' : ''}`,
    station: 'fit',
    stage: 'trial',
    slot: 'neck',
    minutes: 60,
    befores: [
      ...parcelsOf(['body', 'neck', 'bridge', 'guard'], earlier),
      ...jobs.filter(({ joint }) => joint.seatsNeck).map(({ job }) => before(job.id, 'dryFitFirst')),
    ],
  })
  const glued = step({
    id: 'neck-on',
    title: 'Glue the neck in',
    why: 'Clamps and a block shaped to the board made ready and tried dry; glue on both faces, clamp, wipe what squeezes out with a damp rag.',
    station: 'fit',
    stage: 'wood',
    slot: 'neck',
    minutes: 45,
    wait: 24 * 60,
    cautions: ['Read the glue’s label for open time, clamping time and warmth.'],
    befores: [before(trial.id, 'dryBeforeGlue')],
  })
  return [...jobs.map(({ job }) => job), trial, ...(build.parts.body && build.parts.neck && isGlued(build) ? [glued] : [])]
}

/** A wood that a buckle or a bench marks for good. */
const isSoft = (build: Build): boolean => woodNamed(traitAt(build, 'body', 'wood'))?.hard === false

function jobsOf(build: Build, j: Joint, earlier: readonly Step[]): Step[] {
  const common = { station: 'fit', thing: j.id, minutes: 30, befores: parcelsOf(j.slots, earlier) } as const
  if (j.planned.length)
    return j.planned.map((id) =>
      step({
        ...common,
        id: `job-${id}`,
        stage: stageOfPlanned(build.jobs[id]!),
        title: asTitle(build.jobs[id]!.text),
        why: `${j.title}: planned on paper; measure again when it is done.`,
      }),
    )
  if (j.verdict !== 'tight' && j.verdict !== 'wont-go') return []
  const [cure] = j.cures
  return [
    step({
      ...common,
      id: `cure-${j.id}`,
      stage: stageOfCure(cure),
      title: asTitle(cure?.job ?? j.says),
      why: `${j.title}: ${j.verdict === 'tight' ? 'tight as it is' : 'won’t go as it is'}.`,
      ...(cure ? { tools: cure.tools.join(', ') } : {}),
    }),
  ]
}
