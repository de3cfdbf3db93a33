import type { Build } from '../../document/build'
import { judgeJoints } from '../../fit/findJoints'
import { jobsLeft, mockupSteps } from '../../fit/mockup/mockup'
import type { Sheet } from '../sheet'

/** The trial build on paper: steps in order with room for the reading, and the jobs that remain. */
export function mockupSheet(build: Build): Sheet {
  const jobs = jobsLeft(judgeJoints(build))
  return {
    id: 'trial-build',
    title: `Trial build: ${build.name}`,
    about: 'Everything together once before any finish, then apart again. Nothing pressed, nothing forced.',
    blocks: [
      { table: { columns: ['', 'what', 'how', 'reading'], rows: mockupSteps(build).map((s, i) => [String(i + 1), s.title, s.how, '']) } },
      { heading: 'Wood and plastic jobs, all before finish' },
      { tick: jobs.map((j) => `${j.job} (${j.title})`) },
    ],
  }
}
