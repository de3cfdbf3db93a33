import { describe } from 'vitest'
import type { Build } from '../../document/build'
import { aPart } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('a battery aboard', () => {
  const active = (): Build => {
    const b = changed(fullBuild(), { 'body/battery.room': 60, 'pot-volume/resistance': 25e3 }, { 'jack/contacts': 'stereo' })
    return { ...b, parts: { ...b.parts, battery: aPart('battery', { length: 54, depth: 17 }) } }
  }
  judgeRows(
    [
      { what: 'it has room', joint: 'active', check: 'room', verdict: 'snug', says: '60 mm of room for a 54 mm battery.' },
      {
        what: '4 mm too long',
        joint: 'active',
        check: 'room',
        verdict: 'wont-go',
        says: '50 mm of room for a 54 mm battery.',
        job: 'Cut a battery box in from the back, 56 mm of room in it.',
        sizes: { 'body/battery.room': 50 },
      },
      {
        what: 'a mono jack never switches it off',
        joint: 'active',
        check: 'switching',
        verdict: 'tight',
        says: 'A mono jack leaves the battery on for good; active pickups want a stereo jack and usually 25 k pots. Some want no string ground: look in the sheet.',
        traits: { 'jack/contacts': 'mono' },
        job: /stereo jack/,
      },
    ],
    active,
  )
})
