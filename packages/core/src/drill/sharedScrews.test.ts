import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { holeCards } from './holes'

const card = (build: Build, id: string) => holeCards(build).find((c) => c.id === id)!
const full = () => drillable(fullBuild())

describe('tuner screws shared by neighbours', () => {
  // Six posts 25 mm apart from 30 mm beyond the nut, in a straight row: screws at 17.5, 42.5 ... 167.5, seven of them.
  const shared = () =>
    changed(
      full(),
      {
        'neck/tuner.first': 30,
        'neck/tuner.pitch': 25,
        'neck/tuner.offset': 10,
        'neck/tuner.slant': 0,
        'tuners/screw.side': 6,
        'tuners/count': 6,
      },
      { 'tuners/screws': 'shared', 'neck/head': 'one-row', 'neck/row': 'bass' },
    )
  it('are one more than the tuners, midway between the posts and half a step beyond each end', () => {
    const c = card(shared(), 'tuner-screws')
    expect(c.places.map((p) => [p.x, p.y])).toEqual([17.5, 42.5, 67.5, 92.5, 117.5, 142.5, 167.5].map((x) => [-x, 4]))
    expect(c.mind[0]).toMatch(/None before the whole row is in/)
  })
  it('of two rows each has one more than its tuners', () => {
    const c = card(changed(shared(), {}, { 'neck/head': 'two-rows' }), 'tuner-screws')
    expect(c.places).toHaveLength(8)
    expect(c.places.filter((p) => p.y > 0).map((p) => -p.x)).toEqual([17.5, 42.5, 67.5, 92.5])
  })
  it('nobody said which it is: the card asks', () => {
    const b = shared()
    delete b.parts.tuners!.traits.screws
    expect(card(b, 'tuner-screws').untold).toEqual([{ slot: 'tuners', trait: 'screws' }])
  })
  it.each(['yes', 'no', undefined])('nobody said which it is, holes there: %s; no place is claimed and no clearance from it', (there) => {
    const b = changed(shared(), {}, there ? { 'neck/bored.tunerScrews': there } : {})
    delete b.parts.tuners!.traits.screws
    if (!there) delete b.parts.neck!.traits['bored.tunerScrews']
    const c = card(b, 'tuner-screws')
    expect(c.places).toEqual([])
    expect(c.guards.filter((g) => g.verdict === 'snug')).toEqual([])
  })
})
