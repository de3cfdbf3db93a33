import { neckHome } from '../../instrument/neckWords'
import type { Build } from '../../document/build'
import { neckEnd, sizeAt, sizeRef, traitAt } from '../../document/read'
import { bridgePlace, TRAVEL_SPARE } from '../../instrument/bridgePlace'
import { datums } from '../../instrument/datums'
import { isOnStuds } from '../../instrument/vibrato'
import { printMm } from '../../quantity/length'
import { bushed } from '../bushed'
import type { Finder } from '../finder'
import { guarded, unread } from '../guard'
import type { Guard } from '../holeCard'
import { acrossBody, evenly } from '../place'
import { summed } from '../told'

const STUDS = sizeRef('body', 'mouthToBridge')

/** Bores for the bushings a bridge stands or pivots on. */
export const studBores: Finder = (build, bench) => {
  if (!build.parts.body || !isOnStuds(traitAt(build, 'bridge', 'mount'))) return undefined
  const own = sizeRef('bridge', 'studSpacing')
  const body = sizeRef('body', 'studSpacing')
  return bushed(
    build,
    bench,
    {
      id: 'stud-bores',
      title: 'Stud bores for the bridge',
      slot: 'bridge',
      side: 'front',
      goesIn: 'two threaded bushings, tapped in square',
      located: 'the scale and the two outer strings; the bridge held over its marks before anything is drilled',
      first: [...neckHome(build), 'two threads for the outer strings, nut to bridge'],
      back: 'Dowel of the same wood glued in, a day to dry, drilled anew; under the bridge it does not show.',
    },
    {
      there: { slot: 'body', trait: 'bored.studs' },
      bushing: sizeRef('bridge', 'studDiameter'),
      length: sizeRef('bridge', 'studLength'),
      bore: sizeRef('body', 'studBore'),
      boreDepth: sizeRef('body', 'studBoreDepth'),
      spacing: { own, body },
      planned: acrossBody(build, [STUDS], own, evenly(2)),
      found: acrossBody(build, [STUDS], body, evenly(2)),
      guards: [windowGuard(build)],
    },
  )
}

/** Bores for the studs a tailpiece hangs on. */
export const tailBores: Finder = (build, bench) => {
  if (!build.parts.body || !build.parts.tailpiece) return undefined
  const own = sizeRef('tailpiece', 'studSpacing')
  const body = sizeRef('body', 'tail.spacing')
  const along = [STUDS, sizeRef('body', 'tail.toBridge')]
  return bushed(
    build,
    bench,
    {
      id: 'tail-bores',
      title: 'Stud bores for the tailpiece',
      slot: 'tailpiece',
      side: 'front',
      goesIn: 'two threaded bushings, tapped in square; the ground wire under one of them first',
      located: 'the bridge’s studs: a line parallel to theirs',
      first: ['the bridge’s own bores'],
      back: 'Dowel of the same wood glued in, a day to dry, drilled anew.',
    },
    {
      there: { slot: 'body', trait: 'bored.tail' },
      bushing: sizeRef('tailpiece', 'studDiameter'),
      length: sizeRef('tailpiece', 'studLength'),
      bore: sizeRef('body', 'tail.bore'),
      boreDepth: sizeRef('body', 'tail.boreDepth'),
      spacing: { own, body },
      planned: acrossBody(build, along, own, evenly(2)),
      found: acrossBody(build, along, body, evenly(2)),
    },
  )
}

/** May the bridge stand where its holes are planned, so that every saddle can be brought in tune? */
export function windowGuard(build: Build): Guard {
  const refs = [
    sizeRef('neck', 'scale'),
    neckEnd(build),
    sizeRef('body', 'pocket.length'),
    STUDS,
    sizeRef('bridge', 'travel.front'),
    sizeRef('bridge', 'travel.back'),
  ]
  const [scale, heelEnd, pocket, studs, front, back] = refs.map((r) => sizeAt(build, r))
  if (!scale || !heelEnd || !pocket || !studs || !front || !back) return unread(build, 'window', 'In tune from there', refs)
  const { from, to } = bridgePlace(scale.value, { front: front.value, back: back.value })
  const at = datums(build).studs
  const doubt = summed([
    [1, heelEnd],
    [1, pocket],
    [1, studs],
    [1, scale],
    [1, at - from < to - at ? back : front],
  ]).doubt
  const spare = Math.min(at - from, to - at) + TRAVEL_SPARE
  const words = `between ${printMm(from, 1)} and ${printMm(to, 1)} mm from the nut every string can be brought in tune`
  return guarded(
    'window',
    'In tune from there',
    { value: spare, doubt },
    [
      { upTo: 0, is: 'wont-go' },
      { upTo: TRAVEL_SPARE, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    from > to
      ? `No place will do: its saddles travel too little for this scale.`
      : at < from || at > to
        ? `Its place is ${printMm(at, 1)} mm from the nut; ${words}.`
        : `${printMm(at, 1)} mm from the nut; ${words}.`,
    from > to ? 'Take a bridge whose saddles travel further.' : 'Move it there before a hole is made.',
  )
}
