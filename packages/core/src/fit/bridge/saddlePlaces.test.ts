import { describe, expect, it } from 'vitest'
import { jointIn } from '../../testing/bench'
import { changed, fullBuild } from '../../testing/fullBuild'
import { judgeRows } from '../../testing/rows'

describe('saddles along and over the strings', () => {
  judgeRows([
    {
      what: 'studs 6 mm too far forward',
      joint: 'bridge-reach',
      check: 'back',
      verdict: 'snug',
      says: 'Every saddle reaches its place with 1.5 mm in hand.',
      sizes: { 'body/mouthToBridge': 259 },
    },
    {
      what: 'studs 15 mm too far forward',
      joint: 'bridge-reach',
      check: 'back',
      verdict: 'wont-go',
      says: 'The low strings’ saddles reach their back stop before they are in tune.',
      job: 'Place the bridge’s studs or screws between 638.2 and 643.7 mm from the nut.',
      sizes: { 'body/mouthToBridge': 238 },
    },
    {
      what: 'studs too far back',
      joint: 'bridge-reach',
      check: 'front',
      verdict: 'wont-go',
      says: 'The high strings’ saddles reach their front stop before they are in tune.',
      job: 'Place the bridge’s studs or screws between 638.2 and 643.7 mm from the nut.',
      sizes: { 'body/mouthToBridge': 268 },
    },
    {
      what: 'a spacing 5 mm too wide',
      joint: 'strings-on-board',
      check: 'bass',
      verdict: 'tight',
      says: 'Outer strings run 2 mm inside (bass) and 2 mm inside (treble) the board’s edges at the last fret. Under 2.5 mm a string slips off the edge when fretted.',
      job: 'Use a nut or saddles with closer string spacing.',
      sizes: { 'bridge/spread': 59 },
    },
    {
      what: 'an axis 3.4 mm off',
      joint: 'strings-on-board',
      check: 'treble',
      verdict: 'tight',
      says: 'Outer strings run 6.8 mm inside (bass) and 1.9 mm inside (treble) the board’s edges at the last fret. Under 2.5 mm a string slips off the edge when fretted.',
      job: 'Turn the neck: bring its axis 3.4 mm to the treble side at the bridge.',
      sizes: { 'body/axisAtBridge': 3.4 },
    },
  ])
  it('a neck of another scale moves every saddle’s place: numbers decide, not names', () => {
    expect(jointIn(changed(fullBuild(), { 'neck/scale': 628.65 }), 'bridge-reach').verdict).toBe('wont-go')
  })
})
