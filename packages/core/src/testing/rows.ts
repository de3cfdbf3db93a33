import { expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Check, JudgedJoint } from '../judge/joint'
import type { Verdict } from '../judge/verdict'
import { jointIn } from './bench'
import { changed, fullBuild } from './fullBuild'

/** One change to a build on which everything is snug, and what one check of one joint then says. */
export interface Row {
  what: string
  joint: string
  check: string
  verdict: Verdict
  sizes?: Parameters<typeof changed>[1]
  traits?: Parameters<typeof changed>[2]
  says?: RegExp | string
  /** First cure offered. */
  job?: RegExp | string
}

export function checkIn(build: Build, joint: string, id: string): Check {
  const found = jointIn(build, joint).checks.find((c) => c.id === id)
  if (!found) throw new Error(`joint ${joint} has no check ${id}`)
  return found
}

/** The build with one planned cure done on paper. */
export const onPaper = (build: Build, cure: JudgedJoint['cures'][number]): Build => ({
  ...build,
  jobs: { ...build.jobs, trial: { ...cure.plan!, text: cure.job } },
})

/** Word for word, or as far as the pattern goes. */
function told(words: string, as: RegExp | string): void {
  if (typeof as === 'string') expect(words).toBe(as)
  else expect(words).toMatch(as)
}

/** Each row is a test: the verdict and its words; and that whatever can be planned against it does cure it. */
export function judgeRows(rows: readonly Row[], from: () => Build = fullBuild): void {
  it.each(rows.map((r) => [`${r.joint}/${r.check}, ${r.what}: ${r.verdict}`, r] as const))('%s', (_, r) => {
    const build = changed(from(), r.sizes, r.traits)
    const c = checkIn(build, r.joint, r.check)
    expect(c.raw.verdict).toBe(r.verdict)
    if (r.says) told(c.says, r.says)
    if (r.job) told(c.cures[0]?.job ?? 'none', r.job)
    if (r.verdict === 'snug') expect(c.cures).toEqual([])
    for (const cure of c.cures.filter((x) => x.plan)) {
      expect(checkIn(onPaper(build, cure), r.joint, r.check).raw.verdict, `after “${cure.job}”`).toBe('snug')
    }
    expect(jointIn(build, r.joint).draw().marks.length).toBeGreaterThan(0)
  })
}
