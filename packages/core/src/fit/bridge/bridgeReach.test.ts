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
      job: 'Read both distances again, nut to fret 12 too: its double is the scale, whatever the old bridge did.',
      sizes: { 'neck/old.nutToStuds': 638 },
      says: /stood 638 mm from the nut; here they are 3 mm further away/,
    },
    {
      what: '3 mm further then',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'tight',
      job: 'Read both distances again, nut to fret 12 too: its double is the scale, whatever the old bridge did.',
      sizes: { 'neck/old.nutToStuds': 644 },
      says: /3 mm nearer/,
    },
    {
      what: 'as here',
      joint: 'bridge-reach',
      check: 'as-old',
      verdict: 'snug',
      says: 'On the old instrument studs or screws stood 641.2 mm from the nut, and so they do here.',
      sizes: { 'neck/old.nutToStuds': 641.2 },
    },
  ])
})
