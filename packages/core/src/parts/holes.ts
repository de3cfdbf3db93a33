import type { Part } from './part'

/** A hole, the traits that say whether it is there, the sizes that it has once it is, and the cards by which it is made. */
interface Hole {
  kind: 'body' | 'neck' | 'guard' | 'control-plate'
  traits: readonly string[]
  sizes: readonly string[]
  cards: readonly string[]
}

const PLACES = ['neck', 'middle', 'bridge'] as const

/** Where a hole is wanted can be said before it is made; how wide and deep it is, cannot be measured. */
export const HOLES: readonly Hole[] = [
  {
    kind: 'body',
    traits: ['routed.pocket'],
    sizes: [...['widthMouth', 'widthEnd', 'length', 'depth', 'radius', 'dip', 'tilt'].map((s) => `pocket.${s}`), 'axisAtBridge'],
    cards: ['route-pocket'],
  },
  ...PLACES.map((place) => ({
    kind: 'body' as const,
    traits: ['routed'],
    sizes: ['length', 'width', 'depth', 'radius', 'side'].map((s) => `route.${place}.${s}`),
    cards: [`route-${place}`],
  })),
  {
    kind: 'body',
    traits: ['routed.control'],
    sizes: ['control.length', 'control.width', 'control.x', 'control.y', 'control.depth', 'control.top'],
    cards: ['route-control'],
  },
  { kind: 'body', traits: ['routed.vibrato'], sizes: ['vibrato.length', 'vibrato.width', 'spring.depth'], cards: ['route-vibrato'] },
  { kind: 'body', traits: ['bored.studs'], sizes: ['studBore', 'studBoreDepth'], cards: ['stud-bores'] },
  // Studs or outer screws, by the bridge.
  { kind: 'body', traits: ['bored.studs', 'bored.bridge'], sizes: ['studSpacing'], cards: ['stud-bores', 'bridge-screws'] },
  { kind: 'body', traits: ['bored.tail'], sizes: ['tail.spacing', 'tail.bore', 'tail.boreDepth'], cards: ['tail-bores'] },
  { kind: 'body', traits: ['bored.strings'], sizes: ['string.hole'], cards: ['string-holes'] },
  { kind: 'body', traits: ['bored.ferrules'], sizes: ['ferrule.bore'], cards: ['ferrule-bores'] },
  { kind: 'body', traits: ['bored.jack'], sizes: ['jack.bore'], cards: ['jack-bore'] },
  { kind: 'body', traits: ['bored.passage'], sizes: ['passage.diameter'], cards: ['jack-passage'] },
  ...(['body', 'guard', 'control-plate'] as const).flatMap((kind): Hole[] => [
    { kind, traits: ['bored.controls'], sizes: ['pot.hole'], cards: ['pot-holes'] },
    { kind, traits: ['bored.toggle'], sizes: ['switch.hole'], cards: ['toggle-hole'] },
    { kind, traits: ['bored.toggle-2'], sizes: ['switch-2.hole'], cards: ['toggle-hole-2'] },
  ]),
  ...(['guard', 'control-plate'] as const).flatMap((kind): Hole[] => [
    { kind, traits: ['bored.jack'], sizes: ['jack.hole'], cards: ['jack-hole'] },
    { kind, traits: ['bored.slot'], sizes: ['switch.slot', 'switch.screws'], cards: ['switch-slot'] },
    { kind, traits: ['bored.slot-2'], sizes: ['switch-2.slot', 'switch-2.screws'], cards: ['switch-slot-2'] },
  ]),
  { kind: 'neck', traits: ['bored.tuners'], sizes: ['tuner.bore'], cards: ['tuner-bores'] },
  { kind: 'neck', traits: ['bored.nut'], sizes: ['nut.screws'], cards: ['nut-screws'] },
]

const POCKET: ReadonlySet<string> = new Set(HOLES.find((hole) => hole.cards.includes('route-pocket'))!.sizes)

const BY_SIZE: ReadonlyMap<string, Hole> = new Map(
  HOLES.flatMap((hole) => hole.sizes.map((size) => [`${hole.kind}/${size}`, hole] as const)),
)

/** The hole a size is one of. */
export const holeOf = (kind: string, size: string): Hole | undefined => BY_SIZE.get(`${kind}/${size}`)

const IN_HOLLOW: ReadonlySet<string> = new Set(['control.top', 'control.depth'])
/** Over controls that go in by a sound hole the wood is the hollow top's own, and under them the room, whether or not anything is routed. */
const isHollowItself = ({ kind, traits }: Pick<Part, 'kind' | 'traits'>, size: string): boolean =>
  kind === 'body' && traits.access === 'sound-hole' && IN_HOLLOW.has(size)

/** Is it of a hole that is said not to be there? */
export function saidUnmade(part: Pick<Part, 'kind' | 'traits'>, size: string): boolean {
  if (isHollowItself(part, size)) return false
  const { kind, traits } = part
  // Of one piece there is no pocket, and what is else said of one is of the neck as it stands.
  if (kind === 'body' && traits.neckIs === 'through' && POCKET.has(size)) return false
  const said = holeOf(kind, size)?.traits.map((t) => traits[t]) ?? []
  return said.includes('none') && !said.includes('drilled')
}
