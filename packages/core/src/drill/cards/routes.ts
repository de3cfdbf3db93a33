import { mouthOf } from '../../instrument/neckWords'
import { inHollow } from '../../instrument/panel'
import { fromEdge } from '../place'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import type { PickupPlace } from '../../instrument/guardPlace'
import { printMm } from '../../quantity/length'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { floorGuard, passesOf, routed, routeDrawing, ROUTER_CAUTIONS } from './router'
import { floorOver, ROUND, routeWalls } from './routeWalls'
import { summed } from '../told'

/** Room under a cover in its route, mm. [practice] */
const UNDER = 3
/** A pickup's route in the top. */
export const pickupRoute =
  (place: PickupPlace): Finder =>
  (build, bench) => {
    const slot = `pickup-${place}` as const
    if (!build.parts.body || !build.parts[slot]) return undefined
    const base: Base = {
      id: `route-${place}`,
      title: `${place[0]!.toUpperCase()}${place.slice(1)} pickup’s route`,
      slot,
      side: 'front',
      goesIn: 'the pickup, with room for its cover and its lead',
      located: 'the outer strings: its middle between them, square to the centre line',
      first: ['two threads for the outer strings, nut to bridge', 'the bridge’s place, decided'],
      back: 'A block of the same wood glued in, a day to dry, cut anew; under a ring or guard it does not show.',
    }
    const own = (['length', 'width', 'depth'] as const).map((s) => sizeRef('body', `route.${place}.${s}`))
    const trait = { slot: 'body', trait: 'routed' } as const
    const there =
      own.some((r) => sizeAt(build, r)) || traitAt(build, 'body', 'routed') === 'drilled'
        ? true
        : traitAt(build, 'body', 'routed') === 'none'
          ? false
          : undefined
    if (there === undefined) return waiting(build, base, [], [trait])
    const centre = sizeRef('body', `route.${place}.centre`)
    if (there) return routeThere(build, base, own, centre, place)
    const cover = (['length', 'width', 'depth'] as const).map((s) => sizeRef(slot, s))
    const thick = sizeRef('body', 'thickness')
    const missing = [...cover, thick, centre].filter((r) => !sizeAt(build, r))
    if (missing.length) return waiting(build, base, missing)
    const [long, wide, deep] = cover.map((r) => sizeAt(build, r)!)
    const size = { long: long!.value + 2 * ROUND, wide: wide!.value + 2 * ROUND, deep: deep!.value + UNDER }
    const floor = summed([
      [1, sizeAt(build, thick)!],
      [-1, deep!],
    ])
    const left = { value: floor.value - UNDER, doubt: floor.doubt }
    const { pair, offset, steps } = routed(bench)
    const at = sizeAt(build, centre)!
    const { mouth } = datums(build)
    const box = { x: mouth + at.value - size.long / 2, y: -size.wide / 2, width: size.long, height: size.wide }
    const under = floorOver(build, box, left)
    return filled(build, base, {
      work: 'new',
      mindful: !pair,
      says: `${printMm(size.long, 1)} x ${printMm(size.wide, 1)} mm and ${printMm(size.deep, 1)} deep, ${ROUND} mm round the cover and ${UNDER} under it, in ${passesOf(size.deep)}.`,
      places: [pt(mouth + at.value, 0)],
      placeDoubt: at.doubt,
      from: [`its middle ${fromEdge(at.value, mouthOf(build))} on the centre line`],
      steps: [...steps, 'bearing bit to deepen; corners by chisel where the cover is square'],
      size: `${printMm(size.long, 0)}x${printMm(size.wide, 0)}`,
      depth: size.deep,
      left: under.left,
      with: 'router',
      guards: [...under.guards, ...routeWalls(build, { place, at, long: { ...long!, value: size.long } })],
      cuts: {
        id: base.id,
        name: `the ${place} pickup’s route`,
        planned: true,
        face: 'front',
        box,
        doubt: Math.max(Math.hypot(at.doubt, long!.doubt / 2), wide!.doubt / 2),
        depth: size.deep,
      },
      cautions: ROUTER_CAUTIONS,
      draw: () => routeDrawing(base.title, size.long, size.wide, offset),
    })
  }

function routeThere(build: Build, base: Base, own: readonly SizeRef[], centre: SizeRef, place: PickupPlace) {
  const missing = own.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [long, wide, deep] = own.map((r) => sizeAt(build, r)!.value)
  const at = sizeAt(build, centre)
  return filled(build, base, {
    work: 'keep',
    says: `The route is there, ${printMm(long!, 1)} x ${printMm(wide!, 1)} mm and ${printMm(deep!, 1)} deep; whether the pickup has room in it stands under Dry fit.`,
    ...(at ? { places: [pt(datums(build).mouth + at.value, sizeAt(build, sizeRef('body', `route.${place}.side`))?.value ?? 0)] } : {}),
    size: `${printMm(long!, 0)}x${printMm(wide!, 0)}`,
    draw: () => routeDrawing(base.title, long!, wide!, undefined),
  })
}

/** Room for a battery or its box in the back. */
export const batteryRoom: Finder = (build, bench) => {
  if (!build.parts.body || !build.parts.battery) return undefined
  const hollow = inHollow(build)
  const base: Base = {
    id: 'battery-room',
    title: 'Room for the battery',
    slot: 'battery',
    side: 'back',
    byPart: true,
    goesIn: 'the battery in its box, under a lid',
    located: `${hollow ? 'where the back is solid: knocked along' : 'beside the control route, so that its wires go straight in'}; clear of every hollow and 8 mm from the edge`,
    first: [...(hollow ? [] : ['the control route']), 'the box itself, laid where it goes'],
    back: 'A block of the same wood glued in, a day to dry.',
  }
  const room = sizeAt(build, sizeRef('body', 'battery.room'))
  const refs = [sizeRef('battery', 'length'), sizeRef('battery', 'depth'), sizeRef('body', 'thickness')]
  if (room)
    return filled(build, base, {
      work: 'keep',
      says: `There is a room of ${printMm(room.value, 1)} mm; whether the battery goes in stands under Dry fit.`,
      draw: () => routeDrawing(base.title, room.value, room.value / 2, undefined),
    })
  const missing = refs.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [long, deep, thick] = refs.map((r) => sizeAt(build, r)!)
  const cut = { long: long!.value + 2 * ROUND, deep: deep!.value + UNDER }
  const left = { value: thick!.value - cut.deep, doubt: Math.hypot(thick!.doubt, deep!.doubt) }
  const { offset, steps } = routed(bench)
  return filled(build, base, {
    work: 'new',
    mindful: true,
    says: `${printMm(cut.long, 1)} mm long and ${printMm(cut.deep, 1)} deep, ${ROUND} mm round the box and ${UNDER} under it, in ${passesOf(cut.deep)}.`,
    from: ['the box’s own outline'],
    steps: ['draw round the box where nothing lies under it on either face', ...steps],
    size: printMm(cut.long, 0),
    depth: cut.deep,
    left: left.value,
    with: 'router',
    guards: [floorGuard(left)],
    cautions: ROUTER_CAUTIONS,
    draw: () => routeDrawing(base.title, cut.long, cut.long / 2, offset),
  })
}
