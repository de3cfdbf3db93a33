import type { Build } from '../../document/build'
import { judgeJoints } from '../../fit/findJoints'
import { jobsLeft, mockupSteps } from '../../fit/mockup/mockup'
import { isAnother } from '../../judge/another'
import { stageOfCure } from './jobStage'
import { listed } from '../../quantity/words'
import type { Sheet } from '../sheet'

type Job = ReturnType<typeof jobsLeft>[number]
const line = (j: Job) => `${j.job} (${listed([j.joint, ...j.alsoFor].map((joint) => joint.title))})`

/** Wood and plastic are cut before the film; what is exchanged, wired or set is not. */
function beforeFinish(j: Job): boolean {
  const stage = stageOfCure(j)
  return stage === 'wood' || (stage === 'hardware' && j.gives !== 'nothing' && !isAnother(j))
}

/** The trial build on paper: steps in order with room for the reading, and the jobs that remain. */
export function mockupSheet(build: Build): Sheet {
  const jobs = jobsLeft(judgeJoints(build))
  const later = jobs.filter((j) => !beforeFinish(j))
  return {
    id: 'trial-build',
    title: `Trial build: ${build.name}`,
    about: 'Everything together once before any coat goes on, then apart again. Nothing pressed, nothing forced.',
    blocks: [
      { table: { columns: ['', 'what', 'how', 'reading'], rows: mockupSteps(build).map((s, i) => [String(i + 1), s.title, s.how, '']) } },
      { heading: 'Wood and plastic jobs, all before finish' },
      { tick: jobs.filter(beforeFinish).map(line) },
      ...(later.length ? [{ heading: 'Other parts, wires and settings to see to' }, { tick: later.map(line) }] : []),
    ],
  }
}
