import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('bridge, screws and block', () => {
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
    // 44.2 + 2 - 45 = 1.2 under the tip; 12 - 2 = 10 in the wood, and 12 is wanted.
    {
      what: '45 mm screws',
      joint: 'bridge-screws',
      check: 'through',
      verdict: 'tight',
      says: 'A 45 mm screw leaves 1.2 mm of wood and holds about 1293 N.',
      job: 'Take bridge screws of 43 mm or less.',
      sizes: { 'bridge/screw.length': 45, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
    {
      what: '12 mm screws',
      joint: 'bridge-screws',
      check: 'bite',
      verdict: 'tight',
      says: '10 mm of thread in the wood.',
      job: 'Take bridge screws 3 mm longer.',
      sizes: { 'bridge/screw.length': 12, 'bridge/plate.thickness': 2 },
      traits: { 'bridge/mount': 'screws' },
    },
  ])
})
