import { describe, expect, it } from 'vitest'
import { contains } from '../../geometry/polygon'
import { datums } from '../../instrument/datums'
import { controlPlace } from '../../instrument/controlPlace'
import { guardOutline } from '../../instrument/guardOutline'
import { changed, fullBuild, without } from '../../testing/fullBuild'
import { wirable } from '../../testing/wirable'
import { harnessOf } from '../schemes/harnessOf'
import type { Build } from '../../document/build'
import { wireList } from './wireList'
import { along, layWires, routesOf } from './wireRoute'

const wired = (build: Build) => {
  const made = harnessOf(build)
  if (!made.ok) throw new Error('no harness')
  return made.harness
}

describe('the way a wire lies', () => {
  it('under a guard its corner is under the guard too, wherever one of the two corners is', () => {
    const build = fullBuild()
    const harness = wired(build)
    const guard = guardOutline(build, datums(build).heelEnd)
    const route = routesOf(build)
    const under = harness.components.filter((c) => contains(guard, c.at))
    expect(under.length).toBeGreaterThan(5)
    let corners = 0
    for (const a of under)
      for (const b of under) {
        const points = route(a, b)
        for (const p of points.slice(1, -1)) {
          expect(contains(guard, p), `${a.id} ${b.id}`).toBe(true)
          corners++
        }
      }
    expect(corners).toBeGreaterThan(10)
  })
  it('without a guard every pickup’s wire goes into the room of the controls, and so do those of jack and strings', () => {
    const build = without(fullBuild(), 'guard')
    const harness = wired(build)
    const room = controlPlace(build, 'volume')
    const route = routesOf(build)
    const part = (id: string) => harness.components.find((c) => c.id === id)!
    const coil = harness.components.find((c) => c.is === 'coil')!
    for (const [a, b] of [
      [coil, part('jack')],
      [part('jack'), part('strings')],
      [part('strings'), coil],
    ] as const)
      expect(
        route(a, b).some((p) => Math.hypot(p.x - room.x, p.y - room.y) < 1e-9),
        `${a.id} ${b.id}`,
      ).toBe(true)
  })
  it('a selector on the far horn is reached from the room of the controls, not straight from the pickups', () => {
    const build = changed(without(fullBuild(), 'guard'), {
      'body/volume.x': 300,
      'body/volume.y': -80,
      'body/switch.x': 40,
      'body/switch.y': 90,
    })
    const harness = wired(build)
    const room = controlPlace(build, 'volume')
    const part = (id: string) => harness.components.find((c) => c.id === id)!
    const coil = harness.components.find((c) => c.is === 'coil')!
    expect(routesOf(build)(coil, part('switch'))).toContainEqual(room)
  })
  it('is never shorter than straight, the same length from either end, and begins and ends at its parts', () => {
    for (const build of [fullBuild(), without(fullBuild(), 'guard'), wirable({ places: ['neck', 'bridge'], contacts: 'toggle-3' })]) {
      const route = routesOf(build)
      for (const a of wired(build).components)
        for (const b of wired(build).components) {
          const points = route(a, b)
          const straight = Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y)
          expect(along(points)).toBeGreaterThanOrEqual(straight - 1e-9)
          expect(along(points)).toBeCloseTo(along(route(b, a)), 6)
          expect([points[0], points.at(-1)]).toEqual(straight ? [a.at, b.at] : [points[0], points.at(-1)])
        }
    }
  })
  it('is what the list cuts by: 1.2 of it and 40 mm, up to the next 5', () => {
    const build = changed(without(fullBuild(), 'guard'), { 'body/jack.x': 300, 'body/jack.y': -120 })
    const harness = wired(build)
    const route = routesOf(build)
    const part = (lug: string) => harness.components.find((c) => c.id === lug.slice(0, lug.lastIndexOf('.')))!
    const rows = wireList(harness, { routes: route })
    const known = rows.filter((r) => r.length !== undefined)
    expect(known.length).toBeGreaterThan(0)
    for (const r of known) {
      const wire = harness.wires.find((w) => [w.from, w.to].toSorted().join(' ') === r.key)!
      const [a, b] = [part(wire.from), part(wire.to)]
      if (a !== b) expect(r.length).toBe(Math.ceil((1.2 * along(route(a, b)) + 40) / 5) * 5)
    }
  })
  it('wires on one way are drawn apart', () => {
    const laid = layWires(fullBuild(), wired(fullBuild()))
    const shapes = laid.filter((l) => l.points.length > 2).map((l) => JSON.stringify(l.points.slice(1, -1)))
    expect(new Set(shapes).size).toBeGreaterThan(shapes.length / 2)
  })
})
