import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('what is wound round a string', () => {
  // Silk of 1.9 mm in a 2.0 mm post hole: 2.0 - 1.9 - 0.2 = -0.1. A twist of 1.7 in the block's 1.8: -0.1.
  judgeRows([
    {
      what: 'silk of 1.9 mm',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'tight',
      job: 'Drill the hole in the tuners out to 2.1 mm at least: a bit of 2.2.',
      sizes: { 'strings/silk.diameter': 1.9, 'tuners/string.hole': 2 },
      says: /^The thread at the tuner end, 1\.9 mm,/,
    },
    // A post of 6 mm is whole up to a hole of 2.7.
    {
      what: 'a string that wants more than half the post',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'tight',
      job: 'Take tuners whose posts have a hole of at least 3 mm.',
      sizes: { 'strings/gauge.6': 2.8, 'tuners/string.hole': 2, 'tuners/post.diameter': 6 },
    },
    {
      what: 'silk thinner than the string',
      joint: 'strings-through',
      check: 'hole-tuners',
      verdict: 'snug',
      says: 'The thickest string, 1.17 mm, passes the hole in the tuners.',
      sizes: { 'strings/silk.diameter': 1, 'tuners/string.hole': 2 },
    },
    {
      what: 'a twist of 1.7 mm',
      joint: 'strings-through',
      check: 'hole-bridge',
      verdict: 'tight',
      job: 'Drill the hole in the bridge out to 1.9 mm at least: a bit of 2.',
      sizes: { 'strings/twist.diameter': 1.7 },
      says: /twist at the ball end, 1\.7 mm,/,
    },
    // Measured, it stands for itself: 3.2 - 2.8 - 0.2 = 0.2, where 2.2 over the string was reckoned with.
    {
      what: 'a twist of 2.8 mm in 3.2',
      joint: 'strings-through',
      check: 'hole-body',
      verdict: 'snug',
      says: 'The twist at the ball end, 2.8 mm, passes the hole in the body.',
      sizes: { 'body/string.hole': 3.2, 'strings/twist.diameter': 2.8 },
      traits: { 'bridge/mount': 'string-through' },
    },
  ])
})
