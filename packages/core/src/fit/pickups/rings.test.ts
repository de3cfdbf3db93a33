import { describe } from 'vitest'
import type { Build } from '../../document/build'
import { aPart } from '../../testing/bench'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('pickup rings', () => {
  const arched = () =>
    changed(without(fullBuild(), 'guard'), {}, { 'pickup-neck/mount': 'ring', 'pickup-bridge/mount': 'ring', 'body/top': 'arched' })
  const ring = (slot: 'ring-neck' | 'ring-bridge', length: number) =>
    aPart(slot, { length, width: 70, radius: 1.5, 'height.neckSide': 4, 'height.bridgeSide': 5 }, { foot: 'curved' })
  const ringed = (): Build => {
    const build = arched()
    return { ...build, parts: { ...build.parts, 'ring-neck': ring('ring-neck', 36.8), 'ring-bridge': ring('ring-bridge', 36.8) } }
  }
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
      {
        what: 'a flat foot on an arched top',
        joint: 'room-bridge',
        check: 'ring',
        verdict: 'tight',
        says: 'A flat foot on an arched top: the ring rocks, and cracks when its screws are drawn.',
        job: 'Take a ring with a curved foot.',
        traits: { 'ring-bridge/foot': 'flat' },
      },
      { what: 'the right way round', joint: 'room-neck', check: 'ring', verdict: 'snug', says: 'The ring’s foot and way round are right.' },
    ],
    ringed,
  )
})
