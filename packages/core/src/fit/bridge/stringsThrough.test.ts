import { describe } from 'vitest'
import type { Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

// Limits [practice], sums [physics]; each sum beside its check.
const withPart = (slot: Slot, part: Part, mount: string): Build => {
  const build = changed(fullBuild(), {}, { 'bridge/mount': mount })
  return { ...build, parts: { ...build.parts, [slot]: part } }
}

describe('strings through their holes', () => {
  // The thickest is 1.168 mm and wants 0.2 more; what is wound round its ball 2.2.
  judgeRows(
    [
      {
        what: '1.2 mm',
        joint: 'strings-through',
        check: 'hole-ferrules',
        verdict: 'tight',
        says: 'The thickest string, 1.17 mm, does not pass the 1.2 mm hole in the string ferrules.',
        job: 'Drill the hole in the string ferrules out to 1.37 mm at least: a bit of 1.5.',
        sizes: { 'ferrules/string.hole': 1.2 },
      },
    ],
    () => withPart('ferrules', aPart('ferrules', { count: 6, diameter: 8, length: 9, 'string.hole': 3.6 }), 'string-through'),
  )
  judgeRows(
    [
      {
        what: '1.2 mm',
        joint: 'strings-through',
        check: 'hole-tailpiece',
        verdict: 'tight',
        says: 'The thickest string, 1.17 mm, does not pass the 1.2 mm hole in the tailpiece.',
        job: 'Drill the hole in the tailpiece out to 1.37 mm at least: a bit of 1.5.',
        sizes: { 'tailpiece/string.hole': 1.2 },
      },
    ],
    () => withPart('tailpiece', aPart('tailpiece', { 'string.hole': 2 }, { type: 'stop' }), 'post'),
  )
  judgeRows([
    // 3.2 - 1.168 - 0.2 - 2.2 = -0.37.
    {
      what: '3.2 mm',
      joint: 'strings-through',
      check: 'hole-body',
      verdict: 'tight',
      says: 'The thickest string, 1.17 mm, does not pass the 3.2 mm hole in the body with its ball’s twist, which takes 2.2 more.',
      job: 'Drill the hole in the body out to 3.57 mm at least: a bit of 3.7.',
      sizes: { 'body/string.hole': 3.2 },
      traits: { 'bridge/mount': 'string-through' },
    },
  ])
})
