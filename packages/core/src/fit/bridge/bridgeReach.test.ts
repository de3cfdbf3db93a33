import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('the instrument the neck came from', () => {
  // Here 462 - 76 + 255 = 641 mm.
  judgeRows([
    {
      what: '3 mm nearer then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      sizes: { 'neck/old.nutToStuds': 638 },
      says: /stood 638 mm from the nut; here they are 3 mm further away/,
    },
    {
      what: '3 mm further then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      sizes: { 'neck/old.nutToStuds': 644 },
      says: /3 mm nearer/,
    },
    { what: 'as here', joint: 'bridge-reach', check: 'as-old', verdict: 'snug', sizes: { 'neck/old.nutToStuds': 641.2 } },
  ])
})
