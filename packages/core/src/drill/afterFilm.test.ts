import { describe, expect, it } from 'vitest'
import type { Build, ZoneLayer } from '../document/build'
import { layersOf } from '../finish/stack'
import { everyMake } from '../testing/anyBuild'
import { drillable } from '../testing/drillable'
import { changed, fullBuild } from '../testing/fullBuild'
import { undrilled } from '../testing/undrilled'
import { holeCards } from './holes'

const CLEAR: ZoneLayer[] = [
  { product: 'acrylic-colour', coats: 2 },
  { product: 'acrylic-clear', coats: 3 },
]
/** Of raw wood, in the system it comes with. */
const raw = (): Build => changed(fullBuild(), {}, { 'body/surface': 'raw', 'neck/surface': 'raw' })

describe('holes made before the film', () => {
  const ZONE = { front: 'front', back: 'back', rim: 'rim', 'head front': 'head-face', 'head back': 'neck-back' } as const
  // Its pocket is masked; in the others nothing fits closely.
  const INSIDE = ['route-pocket', 'ground-wire', 'jack-passage', 'claw-screws', 'pickup-bridge', 'pickup-middle', 'pickup-neck']
  it('every one that is to be made says how it is freed of it and what the film takes, by its own zone', () => {
    for (const layers of [CLEAR, [{ product: 'lacquer-clear', coats: 4 }]]) {
      const build = { ...drillable(raw()), finish: { ...drillable(raw()).finish, layers, zones: { back: { layers: [] } } } }
      for (const c of holeCards(build)) {
        const says = c.steps.find((s) => s.startsWith('after the last coat'))
        const zone = ZONE[c.side as keyof typeof ZONE]
        const should =
          zone !== undefined &&
          zone !== 'back' &&
          c.steps.length > 0 &&
          c.work !== 'keep' &&
          c.id !== 'string-tree' &&
          !INSIDE.includes(c.id)
        expect(says !== undefined, c.id).toBe(should)
        const um = layers.reduce((s, l) => s + l.coats * layersOf(build).find((x) => x.product === l.product)!.film, 0)
        if (says) expect(says, c.id).toMatch(new RegExp(`chamfer by hand, then the same bit.*${((2 * um) / 1000).toFixed(2)} mm`))
      }
    }
  })
  it('a pocket that is not masked is scraped, a slot filed; a route with room all round is left', () => {
    const build = undrilled(drillable(raw()))
    const open = { ...build, finish: { ...build.finish, layers: CLEAR, maskPocket: false } }
    const freed = (b: Build, id: string) =>
      holeCards(b)
        .find((c) => c.id === id)
        ?.steps.find((s) => s.startsWith('after the last coat'))
    expect(freed(open, 'route-pocket')).toMatch(
      /^after the last coat: its walls scraped free by hand, blade upright, never by router: the film takes/,
    )
    expect(freed({ ...open, finish: { ...open.finish, maskPocket: true } }, 'route-pocket')).toBeUndefined()
    for (const id of ['route-neck', 'route-control', 'claw-screws']) {
      expect(holeCards(open).find((c) => c.id === id)?.steps.length, id).toBeGreaterThan(0)
      expect(freed(open, id), id).toBeUndefined()
    }
    expect(freed(open, 'stud-bores')).toMatch(/then the same bit turned by hand, never a motor/)
  })
  it('what is pressed in for good goes in after the last coat', () => {
    let ferrules = 0
    for (const make of everyMake()) {
      const build = undrilled(drillable(make))
      for (const c of holeCards({ ...build, finish: { ...build.finish, layers: CLEAR } })) {
        const film = c.steps.findIndex((s) => s.startsWith('after the last coat'))
        if (film < 0) continue
        expect(c.steps.slice(0, film).join('; '), c.id).not.toMatch(/\b(press|tap) each in\b|\btap in square\b/)
        if (c.id !== 'ferrule-bores') continue
        ferrules++
        expect(c.steps.slice(film + 1)).toEqual(['press each in with a dowel, square'])
      }
    }
    expect(ferrules).toBeGreaterThan(0)
  })
  it('with no film there is nothing to free', () => {
    const build = { ...drillable(raw()), finish: { ...drillable(raw()).finish, system: 'none' as const } }
    for (const c of holeCards(build))
      expect(
        c.steps.some((s) => s.startsWith('after the last coat')),
        c.id,
      ).toBe(false)
  })
})
