import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('old holes beside the bridge, and the block under it', () => {
  judgeRows([
    // 6 - 8 = -2; 38 - 6 - 34 = -2.
    {
      what: '2 mm before the plate',
      joint: 'bridge-on-body',
      check: 'old-front',
      verdict: 'tight',
      says: 'Old holes show 2 mm in front of the plate.',
      job: 'Plug the old holes flush; they will show through a clear finish.',
      sizes: { 'body/oldHoles.front': 8 },
    },
    {
      what: '2 mm behind the plate',
      joint: 'bridge-on-body',
      check: 'old-back',
      verdict: 'tight',
      says: 'Old holes show 2 mm behind the plate.',
      job: 'Plug the old holes flush; they will show through a clear finish.',
      sizes: { 'body/oldHoles.back': 34 },
    },
    // (80 - 74 - 10)/2 = -2: outside the block.
    {
      what: 'studs beside the block',
      joint: 'bridge-on-body',
      check: 'in-block',
      verdict: 'wont-go',
      sizes: { 'body/block.width': 80 },
      traits: { 'body/build': 'semi-hollow' },
    },
  ])
})
