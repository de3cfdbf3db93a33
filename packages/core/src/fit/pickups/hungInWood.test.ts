import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { checkIn, judgeRows } from '../../testing/rows'

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
  it('the corners of its route are squared with a chisel, those of a guard with a needle file', () => {
    const corner = (b: Build) => checkIn(b, 'room-neck', 'corner').cures.map((c) => [c.gives, c.tools, c.how])
    const wood = changed(inWood(), { 'body/route.neck.radius': 4, 'pickup-neck/radius': 1 })
    expect(corner(wood)).toEqual([['body', ['narrow chisel'], 'A narrow chisel down each corner; or round the cover’s corners instead.']])
    const guard = changed(fullBuild(), { 'guard/opening.neck.radius': 4, 'pickup-neck/radius': 1 })
    expect(corner(guard)[0]!.slice(0, 2)).toEqual(['guard opening', ['needle file, or paper on a pen']])
  })
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
