import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { anyBuild } from '../testing/anyBuild'
import { judgeJoints } from './findJoints'

/** What is said over any build reads as a person would say it. */
describe('words of every joint', () => {
  it('no length below nothing, no number that is none, no job of nothing', { timeout: 120_000 }, () => {
    fc.assert(
      fc.property(anyBuild, (build) => {
        for (const joint of judgeJoints(build))
          for (const check of joint.checks) {
            const jobs = check.cures.flatMap((c) => [c.job, c.how])
            const sure = check.raw.verdict === 'cant-tell' ? [] : [check.says]
            for (const words of [...sure, ...jobs]) {
              expect(words, `${joint.id}/${check.id}`).not.toMatch(/NaN|Infinity|undefined|\bby 0 mm|\bof 0 mm\b/)
              // What is not known is given as the band it may lie in, which has signs of its own.
              expect(words.replace(/ By how much hangs on .*/, ''), `${joint.id}/${check.id}`).not.toMatch(/(^|[\s(])-\d/)
            }
          }
      }),
      { numRuns: 400, seed: 25 },
    )
  })
})
