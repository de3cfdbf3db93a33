import { describe } from 'vitest'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.

describe('head and nut', () => {
  judgeRows([
    // (42 - 38)/2 = 2.0, under 2.5.
    {
      what: '2 mm from the edges',
      joint: 'strings-on-board',
      check: 'nut',
      verdict: 'tight',
      says: 'Outer strings lie 2 mm inside the board’s edges at the nut; 3 to 4 is usual.',
      sizes: { 'nut/spread': 38 },
      job: /35\.4 mm/,
    },
    // 14 - 14.5 = -0.5.
    {
      what: 'made for a thicker head',
      joint: 'tuner-bore',
      check: 'grip.min',
      verdict: 'tight',
      says: 'The headstock is 14 mm thick; they take at least 14.5.',
      job: 'Put washers of 0.8 mm under the bushings’ nuts.',
      sizes: { 'tuners/grip.min': 14.5 },
    },
    // 11 - 9 = 2 mm apart: the bit wanders from 0.3 to 2.2 + 1.
    {
      what: '2 mm beside the old hole',
      joint: 'tuner-bore',
      check: 'old-screws',
      verdict: 'tight',
      says: 'The new screws fall 2 mm beside the old holes: the bit would wander into them.',
      job: 'Plug the old screw holes before new ones are drilled.',
      sizes: { 'neck/oldScrew.offset': 11, 'neck/oldScrew.side': 0, 'tuners/screw.side': 0 },
    },
    // Moved 12 mm to the bass the first post stands 6.5 mm from the head's edge, and 9 is usual.
    {
      what: 'posts 12 mm off',
      joint: 'tuner-row',
      check: 'edge',
      verdict: 'tight',
      says: 'The nearest post stands 6.5 mm inside the headstock’s edge; 9 is usual.',
      job: 'Glue a strip 2.5 mm wide to that edge of the headstock, grain along it, or take another neck.',
      sizes: { 'neck/tuner.offset': 30 },
    },
    // 15 mm further out, where the edge is no straight line: 8.2 and 9 are 17.2 mm, which is no strip.
    {
      what: 'posts 27 mm off',
      joint: 'tuner-row',
      check: 'edge',
      verdict: 'wont-go',
      says: 'The nearest post stands 8.2 mm outside the headstock’s edge; 9 is usual.',
      job: 'Read the places of the posts and of the headstock’s edge again; if both are right, take another neck.',
      sizes: { 'neck/tuner.offset': 45 },
    },
    // 0.9 as read, 3.95 - 3.4 = 0.55 by the other way.
    {
      what: '0.35 apart',
      joint: 'nut-in-slot',
      check: 'slot-readings',
      verdict: 'cant-tell',
      sizes: { 'nut/slot': 0.9 },
      says: /which is right/,
    },
  ])
})
