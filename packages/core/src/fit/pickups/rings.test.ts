import { describe } from 'vitest'
import type { Build } from '../../document/build'
import { aPart } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('pickup rings', () => {
  const ringed = (): Build => ({
    ...changed(without(fullBuild(), 'guard'), {}, { 'pickup-neck/mount': 'ring', 'body/top': 'arched' }),
    parts: {
      ...changed(without(fullBuild(), 'guard'), {}, { 'pickup-neck/mount': 'ring', 'body/top': 'arched' }).parts,
      'ring-neck': aPart(
        'ring-neck',
        { length: 36.8, width: 70, radius: 1.5, 'height.neckSide': 4, 'height.bridgeSide': 5 },
        { foot: 'curved' },
      ),
    },
  })
  judgeRows(
    [
      {
        what: 'a flat foot on an arched top',
        joint: 'room-neck',
        check: 'ring',
        verdict: 'tight',
        job: 'Take a ring with a curved foot.',
        traits: { 'ring-neck/foot': 'flat' },
        says: /flat foot on an arched top/,
      },
      {
        what: 'tall side to the neck',
        joint: 'room-neck',
        check: 'ring',
        verdict: 'tight',
        says: 'The ring is the wrong way round: its lower side belongs towards the neck.',
        sizes: { 'ring-neck/height.neckSide': 6 },
        job: /Turn the ring round/,
      },
      { what: 'the right way round', joint: 'room-neck', check: 'ring', verdict: 'snug', says: 'The ring’s foot and way round are right.' },
    ],
    ringed,
  )
})
