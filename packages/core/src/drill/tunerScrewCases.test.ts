import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { pt } from '../geometry/point'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { USUAL_BENCH } from './bench'
import { screwPlaces } from './cards/tuners'
import { holeCards } from './holes'

const card = (build: Build, id: string, bench = USUAL_BENCH) => holeCards(build, bench).find((c) => c.id === id)!
const full = () => drillable(fullBuild())
const guardOf = (build: Build, id: string, guard: string) => card(build, id).guards.find((g) => g.id === guard)

describe('tuner screws', () => {
  const head = (thickness: number, length = 12) => changed(full(), { 'neck/head.thickness': thickness, 'tuners/screw.length': length })
  // 13.5 - 2.5 (and the 0.05 nobody is sure of) = 10.95 to the tip; two thirds of 12 is 8; cone 0.75/tan 59 = 0.45: flag 8.45.
  it('a 12 mm screw in a 13.5 mm headstock: pilot two thirds, the screw’s tip 2.7 mm under the face', () => {
    const c = card(head(13.5), 'tuner-screws')
    expect(c.depth).toBeCloseTo(8, 9)
    expect(c.flag).toBeCloseTo(8.45, 2)
    expect(guardOf(head(13.5), 'tuner-screws', 'tip')!.spare!.value).toBeCloseTo(13.5 - (12 - 1.2), 9)
    expect(c.stands).toBe('ready')
  })
  it('one that would come through the face is refused', () => {
    const c = card(head(13.5, 16), 'tuner-screws')
    expect([c.stands, c.says]).toEqual(['refused', expect.stringMatching(/1\.3 mm too long: it would come out of the headstock’s face/)])
  })
  // The row leaves the nut at 13 degrees towards the treble: 9 mm along it is 9 cos 13 = 8.77 away from the nut and 9 sin 13 = 2.02 across.
  it('stand beside their posts along the row, as far as the tuner says, never half of it', () => {
    const [screw] = screwPlaces(full()).places
    expect(screw!.x).toBeCloseTo(-33 - 9 * Math.cos((13 * Math.PI) / 180), 6)
    expect(screw!.y).toBeCloseTo(18 - 9 * Math.sin((13 * Math.PI) / 180), 6)
    expect(Math.hypot(screw!.x + 33, screw!.y - 18)).toBeCloseTo(9, 9)
    // Bore 10, thread 2.2: 9 - 6.1 = 2.9 mm of wood to the post's bore.
    expect(guardOf(full(), 'tuner-screws', 'post')!.spare!.value).toBeCloseTo(2.9, 9)
  })
  it('one so near its post that its pilot would break into the bore is refused', () => {
    expect(card(changed(full(), { 'tuners/screw.offset': 5.5 }), 'tuner-screws').stands).toBe('refused')
  })
  it('two rows: away from the nut is along the head, the middle is inwards on either side', () => {
    const b = changed(full(), { 'tuners/screw.side': 2, 'tuners/screw.offset': 9, 'neck/tuner.offset': 22 }, { 'neck/head': 'two-rows' })
    const places = screwPlaces(b).places
    expect(places[0]).toEqual(pt(-33 - 9, 20))
    // The third string's post is the furthest of its side, the first string's the nearest.
    expect(places[5]).toEqual(pt(-33 - 9, -20))
    expect(places[3]!.x).toBeCloseTo(-33 - 2 * 25.4 - 9, 9)
  })
  // Screws 9 mm behind posts 25.4 apart: 16.4 mm to the next post; at a pitch of 14 and an offset of 12 it is 2 mm from it.
  it('a screw that falls into the neighbour’s bore is refused', () => {
    const b = changed(full(), { 'neck/tuner.pitch': 14, 'tuners/screw.offset': 12 })
    expect(guardOf(b, 'tuner-screws', 'near-tuner-bores')?.verdict).toBe('wont-go')
  })
})
