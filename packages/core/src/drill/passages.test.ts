import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holeCards } from './holes'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
const full = () => drillable(fullBuild())

describe('a wire passage under a hole', () => {
  // Jack at (330, -100), route's middle at (200, -100) from the mouth: the passage runs along y = -100.
  const run = (bridgeScrewAt: number) =>
    changed(
      full(),
      {
        'body/jack.x': 330,
        'body/jack.y': -30,
        'body/control.x': 200,
        'body/control.y': -30,
        'body/control.length': 40,
        'body/control.width': 40,
        'body/control.depth': 35,
        'body/passage.diameter': undefined,
        'body/mouthToBridge': 300,
        'body/studSpacing': undefined,
        'body/studBore': undefined,
        'bridge/screw.spread': bridgeScrewAt * 2,
        'bridge/screw.length': 35,
        'bridge/screws': 2,
      },
      { 'body/bored.passage': 'none', 'body/bored.bridge': 'none', 'bridge/mount': 'screws' },
    )
  const guard = (b: Build) => card(b, 'bridge-screws').guards.find((g) => g.id === 'way-jack-passage')
  // Screws 30 mm beside the centre line stand over the passage's middle: 0 - (3.5 + 8)/2 < 0.
  it('a screw over it is refused, by name', () => {
    expect(guard(run(30))!.verdict).toBe('wont-go')
    expect(card(run(30), 'bridge-screws').says).toMatch(/cut the wires in the passage from the jack/)
  })
  // 30 - 15 = 15 mm away: 15 - 5.75 = 9.25 mm of wood, more than 3 + 2 of doubt.
  it('one 15 mm beside it is not spoken of', () => expect(guard(run(15))).toBeUndefined())
  it('a short screw ends above it', () => {
    expect(guard(changed(run(30), { 'bridge/screw.length': 12 }))).toBeUndefined()
  })
  it('a passage somebody else bored may run elsewhere: it cannot be told, and the card says how to see', () => {
    const g = guard(changed(run(30), { 'body/passage.diameter': 8 }, { 'body/bored.passage': 'drilled' }))!
    expect(g.verdict).not.toBe('snug')
    expect(g.says).toMatch(/stiff wire/)
  })
})
