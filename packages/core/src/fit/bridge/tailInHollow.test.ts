import { describe } from 'vitest'
import type { Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.
const withPart = (slot: Slot, part: Part): Build => ({ ...fullBuild(), parts: { ...fullBuild().parts, [slot]: part } })

describe('tailpiece in a hollow body', () => {
  // (90 - 82 - 11)/2 = -1.5: outside the block.
  judgeRows(
    [
      {
        what: 'studs beside the block',
        joint: 'tail-studs',
        check: 'in-block',
        verdict: 'wont-go',
        says: 'The studs stand 1.5 mm outside the centre block: there is only the top to hold them.',
        job: 'Glue hardwood to the block’s sides until it is 101 mm wide.',
        sizes: { 'body/block.width': 90 },
        traits: { 'body/build': 'semi-hollow' },
      },
    ],
    () =>
      changed(
        withPart('tailpiece', aPart('tailpiece', { studDiameter: 11, studLength: 22, studSpacing: 82, height: 12 }, { type: 'stop' })),
        {
          'body/tail.bore': 10.9,
          'body/tail.spacing': 82,
        },
        { 'bridge/mount': 'post' },
      ),
  )
})
