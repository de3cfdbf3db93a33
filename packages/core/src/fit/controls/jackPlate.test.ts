import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import type { Part } from '../../parts/part'
import type { Slot } from '../../parts/slots'
import { JACK_PLATE } from '../../testing/anyBuild'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

/** Limits [practice], sums [physics]; each with the sum by hand. */

const withParts = (parts: Partial<Record<Slot, Part>>, build = fullBuild()): Build => ({ ...build, parts: { ...build.parts, ...parts } })

describe('a jack over a wide bore', () => {
  // Bore 24, plate 40 x 32 with screws 34 apart, hole 9.7, 1.5 thick; jack 9.5, 21 wide, 8 mm of thread, nut 2.2, washer 0.6.
  const plated = () =>
    changed(
      withParts({ 'jack-plate': JACK_PLATE }),
      { 'body/jack.bore': 24, 'jack/nut.thickness': 2.2, 'jack/washer.thickness': 0.6 },
      { 'body/rim': 'straight', 'jack/held': 'plate' },
    )
  it('falls through without a plate, and is held by one', () => {
    expect(jointIn(changed(fullBuild(), { 'body/jack.bore': 24 }), 'jack').verdict).toBe('wont-go')
    expect(jointIn(plated(), 'jack').verdict).toBe('snug')
  })
  judgeRows(
    [
      // 9.3 - 9.5 = -0.2; 10.8 - 9.5 = 1.3, over 1.
      {
        what: 'hole 0.2 too small',
        joint: 'jack-plate',
        check: 'hole',
        verdict: 'tight',
        says: 'The plate’s hole is 9.3 mm and the jack needs 9.5 mm.',
        job: 'Ream the plate’s hole to 9.7 mm.',
        sizes: { 'jack-plate/hole': 9.3 },
      },
      {
        what: 'hole 1.3 too wide',
        joint: 'jack-plate',
        check: 'hole',
        verdict: 'wont-go',
        says: 'The plate’s hole is 1.3 mm wider than the jack’s thread: its nut bears on nothing.',
        job: 'Take a jack plate with a hole of 9.7 mm, or put a flat washer wider than the hole on either side.',
        sizes: { 'jack-plate/hole': 10.8 },
      },
      // 8 - 1.5 - 0.6 - 2.2 = 3.7: one nut of 2.2 behind, and with 1 mm of thread kept no washer more.
      { what: '3.7 mm out', joint: 'jack-plate', check: 'thread', verdict: 'snug', says: /3\.7 mm out of its nut/ },
      // 4 - 4.3 = -0.3: the washer's 0.6 is more than that.
      {
        what: '0.3 too short',
        joint: 'jack-plate',
        check: 'thread',
        verdict: 'tight',
        says: 'The thread is 0.3 mm too short for plate, washer and nut.',
        sizes: { 'jack/thread.length': 4 },
        job: /Leave the washer off/,
      },
      // (32 - 30.6)/2 = 0.7, and 1 is wanted.
      {
        what: '0.7 over the edge',
        joint: 'jack-plate',
        check: 'covers',
        verdict: 'wont-go',
        says: 'The plate lies 0.7 mm over the bore’s edge on its narrow side.',
        job: 'Take a plate at least 34 mm wide.',
        sizes: { 'body/jack.bore': 30.6 },
      },
      // (34 - 27)/2 - 1.5 = 2, and 3 is wanted: 27 + 2 (1.5 + 3) = 36 from screw to screw.
      {
        what: '2 mm of wood',
        joint: 'jack-plate',
        check: 'screws',
        verdict: 'tight',
        says: '2 mm of wood stands between the bore and each screw; 3 is wanted.',
        job: 'Take a plate whose screws stand at least 36 mm apart, or glue a plug of the body’s wood beside the bore first.',
        sizes: { 'body/jack.bore': 27 },
      },
      // 24 - 25 = -1; turned the narrow way 24 - 20 = 4.
      {
        what: 'wider than the bore',
        joint: 'jack-plate',
        check: 'entry',
        verdict: 'tight',
        says: 'The jack is 25 mm wide and does not go into the 24 mm bore.',
        job: 'none',
        sizes: { 'jack/width': 25 },
      },
      {
        what: 'turned in',
        joint: 'jack-plate',
        check: 'entry',
        verdict: 'snug',
        sizes: { 'jack/width': 25, 'jack/narrow': 20 },
        says: /turned the narrow way/,
      },
      // 24 - 24.1 = -0.1.
      {
        what: 'cup 0.1 too wide',
        joint: 'jack-plate',
        check: 'cup',
        verdict: 'tight',
        says: 'The cup is 24.1 mm and its bore 24 mm.',
        job: 'Widen the bore to 24.3 mm.',
        sizes: { 'jack-plate/cup.diameter': 24.1 },
      },
      {
        what: 'flat on a curve',
        joint: 'jack-plate',
        check: 'curve',
        verdict: 'tight',
        says: 'A flat plate on a curved rim: it rocks on its middle, and its screws pull it out of true.',
        job: 'Take a curved plate, or bend this one over a rod a little at a time.',
        traits: { 'body/rim': 'curved' },
      },
      {
        what: 'curved on a curve',
        joint: 'jack-plate',
        check: 'curve',
        verdict: 'snug',
        says: 'The plate is bent as the rim is.',
        traits: { 'body/rim': 'curved', 'jack-plate/curve': 'curved' },
      },
    ],
    plated,
  )
})
