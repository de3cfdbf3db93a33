import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { PLACES } from '../../instrument/guardPlace'
import { groundOf, type GroundPlace } from '../../instrument/stringGround'
import { printMm } from '../../quantity/length'
import type { Component, Harness } from '../model/harness'

/** Slack a lead needs to be soldered in front of the hole, mm. [ours] */
const WORKING = 175

/** Its widest size, by kind of part. */
const WIDEST: Partial<Record<Component['is'], string>> = { pot: 'body.diameter', jack: 'width', switch: 'depth' }
/** Room a part needs beside itself to be turned through a hole, mm. [ours] */
const THUMB = 3

/** How a harness gets into a body that has no panel. */
export interface Feeding {
  steps: string[]
  /** Pickup leads too short to be drawn out to the hole and soldered there, by pickup, with what they lack, mm; what nobody measured is left out. */
  short: { pickup: string; lacks: number }[]
  /** The other way: pickups in first, their leads drawn out to the hole and soldered there. */
  tethered: string[]
  /** Parts that do not go through the sound hole, by how much, mm; what nobody measured is left out. */
  tooWide: { label: string; over: number }[]
  /** Parts whose size or place nobody has said: their turn is not known for sure. */
  unsure: string[]
}

/**
 * The string ground is the first wire in: behind a harness no hand reaches its bore any more. The harness is soldered to it in front of the
 * hole. [practice]
 */
export const GROUND_LED_IN: Record<GroundPlace, string> = {
  claw: 'soldered to the claw, its other end out of the sound hole. Claw to that end must beep.',
  stud: 'its bare end down the stud’s bore, taped there until the bushing goes in; its other end out of the sound hole. Bushing to that end must beep.',
  plate:
    'its bare end in its groove under the bridge’s plate, paint and lacquer scraped off where it lies; its other end out of the sound hole. Plate to that end must beep.',
}

const SOLDERED_TO_IT = 'String ground soldered to it in front of the hole; from what it grounds to the sleeve under 1 ohm.'

const fed = (c: Component) => c.is === 'pot' || c.is === 'jack' || (c.is === 'switch' && !c.id.endsWith('-pull'))

/**
 * Order of feeding through a sound hole: everything tested outside, what goes furthest first, the selector last because it blocks the hand.
 * Nothing for bodies with a panel or a guard. [practice; far before near ours]
 */
export function feedingOf(build: Build, harness: Harness): Feeding | undefined {
  if (traitAt(build, 'body', 'access') !== 'sound-hole') return undefined
  const size = (s: 'soundHole.x' | 'soundHole.y' | 'soundHole.diameter') => sizeAt(build, sizeRef('body', s))?.value
  const d = datums(build)
  const hole = pt(d.mouth + (size('soundHole.x') ?? 0), size('soundHole.y') ?? 0)
  const far = (c: Component) => Math.hypot(c.at.x - hole.x, c.at.y - hole.y)
  const parts = harness.components.filter(fed).toSorted((a, b) => Number(a.id === 'switch') - Number(b.id === 'switch') || far(b) - far(a))
  const ground = groundOf(traitAt(build, 'bridge', 'mount'))
  const short = PLACES.flatMap((p) => {
    const lead = sizeAt(build, sizeRef(`pickup-${p}`, 'lead.length'))
    const coil = harness.components.find((c) => c.is === 'coil' && c.pickup === p)
    const lacks = lead && coil && !coil.guessed ? far(coil) + WORKING - lead.value : 0
    return lacks > 0 ? [{ pickup: p, lacks }] : []
  })
  const wide = size('soundHole.diameter')
  const tooWide = parts.flatMap((c) => {
    const across = c.slot && sizeAt(build, { slot: c.slot, size: WIDEST[c.is] ?? '' })?.value
    return wide !== undefined && across !== undefined && across + THUMB > wide ? [{ label: c.label, over: across + THUMB - wide }] : []
  })
  const thing = (c: Component) =>
    c.is === 'pot' || c.is === 'switch'
      ? `the ${c.label}: a tube on its shaft`
      : `the ${c.label}: a rod or a plug pushed through from outside`
  return {
    steps: [
      ...(ground ? [`String ground first: ${GROUND_LED_IN[ground]}`] : []),
      'Solder the whole circuit outside, on a card with the holes of the body in it, wires as long as their way inside and a hand’s breadth.',
      'Pickups drawn in with their leads tagged; both leads through a narrow bore together.',
      'Whole check and a listen outside the body, before anything is fed in.',
      ...(ground ? [SOLDERED_TO_IT] : []),
      'Nuts and washers stay outside, on the tube or the puller: never on the wires inside.',
      ...parts.map(
        (c, i) =>
          `${i + 1}. ${thing(c)}, drawn in through the sound hole to its own hole; washer and nut dropped on as the thread shows, finger tight.`,
      ),
      'Wires folded clear of the top, tied; each shaft turned over its travel; the whole check again before the nuts are drawn tight.',
    ],
    tethered: [
      'Pickups mounted first, their leads tagged before they vanish; both through a narrow bore together.',
      `Leads drawn out of the sound hole: each needs its way inside and ${WORKING} mm to be soldered in front of it, towels over the top.`,
      'Controls soldered to them outside, tested and listened to as they hang there.',
      'Then fed in as above, the furthest first; a shaft that is split gets its tube on one half.',
    ],
    short,
    tooWide,
    unsure: [
      ...parts.filter((c) => c.guessed).map((c) => c.label),
      ...(size('soundHole.x') === undefined || size('soundHole.y') === undefined ? ['the sound hole'] : []),
    ],
  }
}

/** What of it stands against soldering at the hole, in sentences. */
export const feedingSays = ({ short, unsure, tooWide }: Feeding): string[] => [
  ...tooWide.map(
    (t) => `The ${t.label} is ${printMm(t.over, 0)} mm too wide to be turned through the sound hole: it has to be a smaller one.`,
  ),
  ...short.map(
    (s) =>
      `The ${s.pickup} pickup’s lead is ${printMm(s.lacks, 0)} mm too short to be soldered in front of the hole: lengthen it before it goes in, joint in shrink tube.`,
  ),
  ...(unsure.length ? [`Nobody has said where ${unsure.join(', ')} sits: its turn is a guess.`] : []),
]
