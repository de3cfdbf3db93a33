import { describe } from 'vitest'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('switch screws, toggles, plug', () => {
  judgeRows([
    {
      what: 'screws 1 mm wider than the holes',
      joint: 'switch',
      check: 'screws',
      verdict: 'tight',
      says: 'The switch’s screws are 41.2 mm apart and the guard’s holes 40.',
      sizes: { 'guard/switch.screws': 40 },
      job: /^Draw the holes 0\.6 mm outwards/,
    },
    {
      what: 'screws 6 mm off',
      joint: 'switch',
      check: 'screws',
      verdict: 'wont-go',
      says: 'The switch’s screws are 41.2 mm apart and the guard’s holes 35.',
      job: 'Drill new holes 41.2 mm apart, in line with the slot.',
      sizes: { 'guard/switch.screws': 35 },
    },
    {
      what: 'the plug 2 mm too long',
      joint: 'jack',
      check: 'plug',
      verdict: 'tight',
      job: 'Deepen the jack bore by 4.5 mm.',
      sizes: { 'body/jack.depth': 50 },
      says: /not click home/,
    },
    {
      what: 'the plug 10 mm too long',
      joint: 'jack',
      check: 'plug',
      verdict: 'wont-go',
      says: 'The plug reaches 52 mm and the bore ends at 42 mm: it would not click home.',
      job: 'Deepen the jack bore by 12.5 mm.',
      sizes: { 'body/jack.depth': 42 },
    },
  ])
  judgeRows(
    [
      {
        what: 'a toggle in its hole',
        joint: 'switch',
        check: 'hole',
        verdict: 'snug',
        says: 'The toggle’s thread is 12 mm and its hole 12.3 mm.',
      },
      {
        what: 'hole too small for a toggle',
        joint: 'switch',
        check: 'hole',
        verdict: 'tight',
        says: 'The toggle’s thread is 12 mm and its hole 11.5 mm.',
        sizes: { 'guard/switch.hole': 11.5 },
        job: /^Ream the toggle’s hole to 12\.3/,
      },
      {
        what: 'hole much too large',
        joint: 'switch',
        check: 'hole',
        verdict: 'loose',
        says: 'The toggle’s thread is 12 mm and its hole 14 mm.',
        job: 'none',
        sizes: { 'guard/switch.hole': 14 },
      },
      {
        what: 'thread too short',
        joint: 'switch',
        check: 'thread',
        verdict: 'wont-go',
        job: 'Take a toggle with 6 mm of thread.',
        sizes: { 'switch/thread.length': 4 },
        says: /too short/,
      },
      {
        what: 'thread that stands proud',
        joint: 'switch',
        check: 'thread',
        verdict: 'loose',
        says: 'The toggle’s thread stands 9 mm over its nut.',
        job: 'none',
        sizes: { 'switch/thread.length': 14 },
      },
    ],
    () =>
      changed(
        fullBuild(),
        { 'guard/switch.hole': 12.3, 'switch/thread.diameter': 12, 'switch/thread.length': 8 },
        { 'switch/contacts': 'toggle-3' },
      ),
  )
})
