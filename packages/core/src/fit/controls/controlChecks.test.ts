import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('controls and leads', () => {
  judgeRows([
    // 17.5 - 16 = 1.5, and 2 is wanted.
    {
      what: '1.5 mm under its lugs',
      joint: 'pot-tone',
      check: 'depth',
      verdict: 'tight',
      says: 'The pot hangs 16 mm deep in 17.5 mm of room.',
      job: 'Deepen the control route by 1 mm, to 18.5 mm.',
      sizes: { 'body/control.depth': 17.5 },
    },
    // From pickup to volume pot 117 and 74 mm, 40 more for bends: 100 mm do not reach.
    ...(['middle', 'bridge'] as const).map((place) => ({
      what: 'a lead of 90 mm',
      joint: 'leads',
      check: `pickup-${place}`,
      verdict: 'tight' as const,
      sizes: { [`pickup-${place}/lead.length`]: 60 },
    })),
    // The route reaches 58.5 mm to the bass, the guard's edge 59.3; 1.5 mm are wanted, and 0.5 more.
    {
      what: 'a millimetre over the route',
      joint: 'guard-cover',
      check: 'cover',
      verdict: 'tight',
      says: 'The guard covers the middle route’s edge by only 0.8 mm.',
      job: 'Glue a strip of the body’s wood, 1.2 mm wide, into the middle route’s edge and cut it flush.',
      sizes: { 'body/route.middle.width': 117 },
    },
    // 70 - 59.3 = 10.7, and 1.5 + 0.5: no strip is 12.7 mm wide.
    {
      what: 'a route far wider than the guard',
      joint: 'guard-cover',
      check: 'cover',
      verdict: 'wont-go',
      says: 'The middle route shows 10.7 mm beside the guard.',
      job: 'Read the places of the guard and of the middle route again; if both are right, take another guard.',
      sizes: { 'body/route.middle.width': 140 },
    },
  ])
})
