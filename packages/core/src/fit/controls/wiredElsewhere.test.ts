import { describe } from 'vitest'
import type { Build } from '../../document/build'
import { aPart } from '../../testing/bench'
import { fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('a harness wired for another guitar', () => {
  const harnessed = (frame: string): Build => {
    const b = fullBuild()
    return { ...b, parts: { ...b.parts, harness: aPart('harness', { 'pot.pitch': 60, 'bushing.diameter': 9.4 }, { frame }) } }
  }
  judgeRows(
    [
      {
        what: 'free wires long enough',
        joint: 'harness',
        check: 'pitch',
        verdict: 'snug',
        says: 'The harness fits the holes: 60 mm between its pots, 46 between the holes.',
      },
      {
        what: 'free wires too short',
        joint: 'harness',
        check: 'pitch',
        verdict: 'tight',
        says: 'Its wires reach 40 mm from pot to pot; over holes 46 mm apart they want 51.',
        sizes: { 'harness/pot.pitch': 40 },
        job: /^Put a wire \d+ mm long/,
      },
      {
        what: 'bushings too fat',
        joint: 'harness',
        check: 'bushing',
        verdict: 'tight',
        says: 'Holes of 9.6 mm and bushings of 10.5 mm.',
        job: 'Ream the holes to 10.7 mm.',
        sizes: { 'harness/bushing.diameter': 10.5 },
      },
    ],
    () => harnessed('free'),
  )
  judgeRows(
    [
      {
        what: 'on a plate 14 mm too wide',
        joint: 'harness',
        check: 'pitch',
        verdict: 'wont-go',
        says: 'The harness was made for other holes: 60 mm between its pots, 46.2 between the holes here.',
        job: /off their plate/,
      },
      {
        what: 'on a plate that matches',
        joint: 'harness',
        check: 'pitch',
        verdict: 'snug',
        says: 'The harness fits the holes: 46 mm between its pots, 46 between the holes.',
        sizes: { 'harness/pot.pitch': Math.hypot(44, 14) },
      },
    ],
    () => {
      const b = harnessed('rigid')
      b.parts.harness!.sizes['pot.pitch']!.doubt = 0.1
      return b
    },
  )
})
