import { describe } from 'vitest'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

describe('height screws of a hung pickup over their whole travel', () => {
  const hung = () =>
    changed(without(fullBuild(), 'guard', 'shielding'), { 'body/pot.hole': 9.6, 'body/control.top': 3 }, { 'pickup-neck/mount': 'body' })
  // Run right down: 44.2 - 18 of spring room - 17 - 6 = 3.2 under the tip; 2.5 must stay. Twice as long: 44.2 - 18 - 17 - 14 = -4.8.
  judgeRows(
    [
      {
        what: '3.2 mm under the tip',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'snug',
        says: 'Run right down, the height screws end 3.2 mm before the spring room.',
        sizes: { 'pickup-neck/screw.length': 6, 'pickup-neck/depth': 17 },
      },
      {
        what: '1.7 mm under the tip',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'tight',
        says: 'Run right down, the height screws end 1.7 mm before the spring room.',
        job: 'Hang the pickup from a ring or a guard: then no screw of its goes into the wood.',
        sizes: { 'pickup-neck/screw.length': 7.5, 'pickup-neck/depth': 17 },
      },
      {
        what: 'into the spring room',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'wont-go',
        job: 'Hang the pickup from a ring or a guard: then no screw of its goes into the wood.',
        sizes: { 'pickup-neck/screw.length': 14, 'pickup-neck/depth': 17 },
        says: /come through into the spring room by 4\.8 mm/,
      },
    ],
    hung,
  )
  // A fixed bridge has no spring room: 44.2 - 17 - 26 = 1.2.
  for (const place of ['middle', 'bridge'] as const)
    judgeRows(
      [
        {
          what: '1.2 mm under the tip',
          joint: `room-${place}`,
          check: 'tip',
          verdict: 'tight',
          sizes: { [`pickup-${place}/screw.length`]: 26, [`pickup-${place}/depth`]: 17 },
          traits: { [`pickup-${place}/mount`]: 'body', 'bridge/mount': 'screws' },
        },
      ],
      hung,
    )
  // In a body with a block of 30 mm: 30 - 17 - 6 = 7 left; 30 - 17 - 14 = -1, though the body is 44.2 thick.
  judgeRows(
    [
      {
        what: '7 mm of the block under the tip',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'snug',
        says: 'Run right down, the height screws end 7 mm before the block’s far side.',
        sizes: { 'pickup-neck/screw.length': 6, 'pickup-neck/depth': 17, 'body/block.thickness': 30 },
      },
      {
        what: 'out of the block',
        joint: 'room-neck',
        check: 'tip',
        verdict: 'wont-go',
        says: 'Run right down, the height screws come through the block’s far side by 1 mm.',
        sizes: { 'pickup-neck/screw.length': 14, 'pickup-neck/depth': 17, 'body/block.thickness': 30 },
      },
    ],
    () => changed(hung(), {}, { 'bridge/mount': 'screws', 'body/build': 'semi-hollow' }),
  )
})
