import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { applyChange } from '../document/change'
import { setSize } from '../document/changes'
import { sizeAt, sizeRef, type SizeRef } from '../document/read'
import { filmToCome, plannedFilm, zoneOfOpening } from '../finish/film'
import { filmLaid } from '../finish/laid'
import { coatId, WHOLE, zoneGroups } from '../finish/zones'
import { jointIn } from '../testing/bench'
import { changed, fullBuild } from '../testing/fullBuild'
import { withFilmOn } from './readOnFilm'

/** The first so many coats of what most of the instrument gets are laid. */
function laid(build: Build, coats: number): Build {
  const [group] = zoneGroups(build)
  const ids = group!.layers.flatMap((l) => Array.from({ length: l.coats }, (_, i) => [coatId(WHOLE, l.key, i + 1), l.product] as const))
  const on = ids.slice(0, coats).map(([id, product]) => [id, { product, at: '2026-12-01T19:00' }])
  return { ...build, finish: { ...build.finish, laid: Object.fromEntries(on) } }
}
const ALL = 99
const read = (build: Build, ref: SizeRef, value: number, known: 'calipers' | 'listed' = 'calipers') =>
  applyChange(build, withFilmOn(build, setSize(build, ref, { value, doubt: 0.05, known })))

const OPENINGS = [
  sizeRef('body', 'studBore'),
  sizeRef('body', 'jack.bore'),
  sizeRef('body', 'route.bridge.length'),
  sizeRef('body', 'pocket.widthMouth'),
  sizeRef('neck', 'tuner.bore'),
]
const unmasked = (): Build => ({ ...fullBuild(), finish: { ...fullBuild().finish, maskPocket: false } })

describe('an opening read while film lies on its walls', () => {
  it('has that film in its reading: what is still to come is the rest, and once all lies there nothing', () => {
    const build = unmasked()
    for (const ref of OPENINGS) {
      const whole = plannedFilm(build, zoneOfOpening(build, ref))
      expect(filmToCome(build, ref)).toBeCloseTo((2 * whole) / 1000, 9)
      for (const coats of [1, 3, ALL]) {
        const half = laid(build, coats)
        // Read before, or only listed, it stands for bare wood whatever lies there by now.
        expect(filmToCome(half, ref)).toBeCloseTo((2 * whole) / 1000, 9)
        expect(sizeAt(read(half, ref, 50, 'listed'), ref)?.film).toBeUndefined()
        const again = read(half, ref, 50)
        expect(sizeAt(again, ref)?.film, ref.size).toBe(filmLaid(half, zoneOfOpening(build, ref)!))
        expect(filmToCome(again, ref)).toBeCloseTo((2 * (whole - filmLaid(half, 'front'))) / 1000, 9)
      }
      expect(filmToCome(read(laid(build, ALL), ref, 50), ref), ref.size).toBe(0)
    }
  })
  it('by hand: two coats of 12 and five of 14 um are 0.188 mm off a bore; after the first two, 0.14 mm', () => {
    const build = fullBuild()
    expect(filmToCome(build, sizeRef('body', 'studBore'))).toBeCloseTo(0.188, 9)
    expect(filmToCome(read(laid(build, 2), sizeRef('body', 'studBore'), 9.85), sizeRef('body', 'studBore'))).toBeCloseTo(0.14, 9)
  })
  it('a bore cleared after the last coat is judged as it was read', () => {
    const build = fullBuild()
    expect(jointIn(build, 'bridge-on-body').coated).toBe('tight')
    const cleared = read(laid(build, ALL), sizeRef('body', 'studBore'), 9.91)
    expect(jointIn(cleared, 'bridge-on-body')).toMatchObject({ verdict: 'snug', coated: 'snug' })
  })
  it('no film on a masked pocket, on sizes that are no openings, or where nothing lies yet', () => {
    const on = laid(fullBuild(), ALL)
    expect(sizeAt(read(on, sizeRef('body', 'pocket.widthMouth'), 56), sizeRef('body', 'pocket.widthMouth'))?.film).toBeUndefined()
    expect(sizeAt(read(on, sizeRef('body', 'thickness'), 44), sizeRef('body', 'thickness'))?.film).toBeUndefined()
    expect(sizeAt(read(fullBuild(), sizeRef('body', 'studBore'), 9.9), sizeRef('body', 'studBore'))?.film).toBeUndefined()
  })
  it('a coat that was not laid after all is still to come', () => {
    const ref = sizeRef('body', 'studBore')
    const on = read(laid(fullBuild(), 3), ref, 9.95)
    expect(filmToCome(on, ref)).toBeCloseTo(0.188 - (2 * filmLaid(on, 'front')) / 1000, 9)
    expect(filmToCome(laid(on, 2), ref)).toBeCloseTo(0.188 - (2 * filmLaid(laid(on, 2), 'front')) / 1000, 9)
    expect(filmToCome(laid(on, 0), ref)).toBeCloseTo(0.188, 9)
    // More of them laid since are not in what was read before.
    expect(filmToCome(laid(on, ALL), ref)).toBeCloseTo(filmToCome(on, ref), 9)
  })
  it('saying that it was read bare, or how it is known, is no new reading', () => {
    const ref = sizeRef('body', 'studBore')
    const on = read(laid(fullBuild(), ALL), ref, 9.95)
    const { film: _, ...bare } = sizeAt(on, ref)!
    const bared = withFilmOn(on, setSize(on, ref, bare))
    expect(bared.label).toBe('Stud bore diameter 9.95, read bare')
    const said = applyChange(on, bared)
    expect(sizeAt(said, ref)?.film).toBeUndefined()
    const kept = applyChange(on, withFilmOn(on, setSize(on, ref, { ...bare, film: 94, known: 'rule' })))
    expect(sizeAt(kept, ref)).toMatchObject({ film: 94, known: 'rule' })
  })
})

describe('whose film an opening gets', () => {
  const raw = (body: string, neck: string) => changed(fullBuild(), {}, { 'body/surface': body, 'neck/surface': neck })
  it('tuner bores get the neck’s: none on a neck that came finished, whatever the body is', () => {
    for (const body of ['raw', 'coated']) {
      expect(filmToCome(raw(body, 'coated'), sizeRef('neck', 'tuner.bore'))).toBe(0)
      expect(filmToCome(raw(body, 'raw'), sizeRef('neck', 'tuner.bore'))).toBeCloseTo(0.188, 9)
      expect(jointIn(raw(body, 'coated'), 'tuner-bore').coated).toBe('snug')
      expect(jointIn(raw(body, 'raw'), 'tuner-bore').coated).toBe('cant-tell')
    }
  })
  it('a jack’s bore gets the rim’s, ferrules the back’s', () => {
    const rim = (zone: 'rim' | 'back', coats: number): Build => ({
      ...fullBuild(),
      finish: { ...fullBuild().finish, zones: { [zone]: { layers: [{ name: 'clear', product: 'lacquer-clear', coats }] } } },
    })
    const [one, nine] = [rim('rim', 1), rim('rim', 9)].map((b) => filmToCome(b, sizeRef('body', 'jack.bore')))
    expect(nine).toBeCloseTo(9 * one!, 9)
    const back = [rim('back', 1), rim('back', 9)].map((b) => filmToCome(b, sizeRef('body', 'ferrule.bore')))
    expect(back[1]).toBeCloseTo(9 * back[0]!, 9)
    expect(filmToCome(rim('back', 9), sizeRef('body', 'studBore'))).toBeCloseTo(0.188, 9)
  })
})
