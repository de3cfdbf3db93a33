import { describe, expect, it } from 'vitest'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('springs', () => {
  judgeRows([
    {
      what: 'one spring',
      joint: 'springs',
      check: 'balance',
      verdict: 'wont-go',
      says: 'The strings pull 463 N; that asks for 2.8 springs and 1 is fitted. The claw cannot take up so much.',
      sizes: { 'springs/count': 1 },
      job: /Fit 3 springs/,
    },
    {
      what: 'five springs',
      joint: 'springs',
      check: 'balance',
      verdict: 'loose',
      says: 'The strings pull 463 N; that asks for 2.8 springs and 5 are fitted. The claw takes up the rest.',
      job: 'Fit 3 springs.',
      sizes: { 'springs/count': 5 },
    },
    // 463 x 9 / (20 x 36) = 5.8 springs; five of 20 x 5.8 / 5 = 23.2 N.
    {
      what: 'springs too soft for any claw',
      joint: 'springs',
      check: 'balance',
      verdict: 'wont-go',
      sizes: { 'springs/pull': 20 },
      job: 'Take 5 springs that pull 24 N each at the same stretch.',
    },
    {
      what: 'springs under a fixed bridge',
      joint: 'springs',
      check: 'vibrato',
      verdict: 'wont-go',
      says: 'The bridge is fixed: there is nothing for springs to pull on.',
      job: 'Leave the springs and their claw out.',
      traits: { 'bridge/mount': 'screws' },
    },
  ])
  it('under a fixed bridge nobody counts them', () =>
    expect(jointIn(changed(fullBuild(), {}, { 'bridge/mount': 'screws' }), 'springs').checks.map((c) => c.id)).toEqual(['vibrato']))
  it('no vibrato, no springs', () => expect(() => jointIn(without(fullBuild(), 'springs'), 'springs')).toThrow())
})
