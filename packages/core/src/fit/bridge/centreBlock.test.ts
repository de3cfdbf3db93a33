import { describe, expect, it } from 'vitest'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('centre block of a hollow body', () => {
  const hollow = () => changed(fullBuild(), { 'body/block.width': 96 }, { 'body/build': 'semi-hollow' })
  judgeRows(
    [
      {
        what: '6 mm of wood beside the studs',
        joint: 'bridge-on-body',
        check: 'in-block',
        verdict: 'snug',
        says: '6 mm of the centre block stands beside each stud; 3 is wanted.',
      },
      {
        what: '1 mm of wood',
        joint: 'bridge-on-body',
        check: 'in-block',
        verdict: 'tight',
        says: '1 mm of the centre block stands beside each stud; 3 is wanted.',
        sizes: { 'body/block.width': 86 },
        job: /^Glue hardwood/,
      },
      {
        what: 'studs beside the block',
        joint: 'bridge-on-body',
        check: 'in-block',
        verdict: 'wont-go',
        sizes: { 'body/block.width': 70 },
        says: /outside the centre block/,
      },
    ],
    hollow,
  )
  it('a solid body has no block to miss', () =>
    expect(jointIn(changed(fullBuild(), { 'body/block.width': 40 }), 'bridge-on-body').checks.map((c) => c.id)).not.toContain('in-block'))
})
