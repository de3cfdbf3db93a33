import { describe } from 'vitest'
import type { Build } from '../../document/build'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('a pickup that hangs in the wood', () => {
  const inWood = (): Build => {
    const b = changed(
      without(fullBuild(), 'guard', 'shielding'),
      {
        'body/route.neck.width': 70,
        'body/route.neck.length': 36.6,
        'pickup-neck/screw.length': 22,
        'pickup-neck/screw.diameter': 3,
        'pickup-neck/travel': 5,
      },
      { 'pickup-neck/mount': 'body' },
    )
    return b
  }
  judgeRows(
    [
      {
        what: 'screws hold 12 mm of wood',
        joint: 'room-neck',
        check: 'bite',
        verdict: 'snug',
        says: 'At the highest setting the screws still hold 12 mm of wood.',
      },
      {
        what: 'screws reach the wood by 1 mm',
        joint: 'room-neck',
        check: 'bite',
        verdict: 'tight',
        job: 'Take height screws at least 15 mm long.',
        sizes: { 'pickup-neck/screw.length': 11 },
        says: /only 1 mm; they want 4\.5/,
      },
      {
        what: 'screws hang in the air',
        joint: 'room-neck',
        check: 'bite',
        verdict: 'wont-go',
        says: 'At the highest setting the screws reach the wood by only 0 mm; they want 4.5.',
        job: 'Glue a block of the same wood on the route’s floor under each ear.',
        sizes: { 'pickup-neck/screw.length': 9 },
      },
    ],
    inWood,
  )
})
