import fc from 'fast-check'
import type { Build } from '../document/build'
import { specAt } from '../document/read'
import { bandOf } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { SLOTS, slotSpec, type Slot } from '../parts/slots'
import { aBass } from './aBass'
import { aPart } from './bench'
import { aThrough } from './aThrough'
import { aLefty, anEight, aTwelve } from './otherMakes'
import { changed, fullBuild, without } from './fullBuild'
import { onAPlate } from './onAPlate'

/** Builds of every make: the one on which everything fits, turned into others by what differs between them. */
const MAKES: readonly (() => Build)[] = [
  fullBuild,
  () => without(fullBuild(), 'guard'),
  () =>
    changed(
      withSecondPots(withPart(fullBuild(), 'tailpiece', aTailpiece())),
      { 'body/arch.bridge': 4, 'body/arch.tail': 2.5, 'bridge/height.min': 6, 'bridge/height.max': 14 },
      { 'bridge/mount': 'post', 'body/top': 'arched' },
    ),
  () => changed(withPart(withPart(fullBuild(), 'ferrules', FERRULES), 'harness', HARNESS), {}, { 'bridge/mount': 'string-through' }),
  () =>
    changed(
      withPart(fullBuild(), 'jack-plate', JACK_PLATE),
      { 'body/jack.bore': 24, 'body/rim.thickness': 40 },
      { 'bridge/mount': 'screws', 'bridge/saddles': 'arched', 'body/build': 'semi-hollow', 'body/rim': 'straight', 'jack/held': 'plate' },
    ),
  () => changed(without(fullBuild(), 'guard'), {}, { 'bridge/mount': 'six-screw', 'switch/contacts': 'toggle-3' }),
  () =>
    changed(
      withPart(fullBuild(), 'battery', aPart('battery', { length: 50 })),
      { 'guard/jack.x': 232, 'guard/jack.y': -88, 'guard/jack.hole': 9.8, 'jack/depth': 30 },
      { 'bridge/mount': 'double-locking', 'nut/type': 'locking', 'jack/held': 'panel' },
    ),
  () => changed(withPart(fullBuild(), 'ring-neck', RING), {}, { 'pickup-neck/mount': 'ring', 'pickup-bridge/mount': 'body' }),
  () =>
    changed(
      withPart(withPart(fullBuild(), 'ring-neck', RING), 'ring-bridge', RING),
      {},
      {
        'guard/lies': 'beside',
        'pickup-neck/mount': 'ring',
        'pickup-middle/mount': 'body',
        'pickup-bridge/mount': 'ring',
        'body/access': 'back',
        'neck/truss': 'fixed',
      },
    ),
  () =>
    changed(
      without(fullBuild(), 'springs'),
      { 'bridge/height.min': 9, 'bridge/height.max': 15 },
      { 'bridge/mount': 'bar', 'bridge/saddles': 'arched', 'bridge/lengths': 'ends' },
    ),
  onAPlate,
  aBass,
  aLefty,
  aTwelve,
  anEight,
  aThrough,
]
const withPart = (build: Build, slot: Slot, part: Part): Build => ({ ...build, parts: { ...build.parts, [slot]: part } })
/** A volume and a tone for each of two pickups, and a slide to a second circuit. */
const withSecondPots = (build: Build): Build =>
  (['volume', 'tone'] as const).reduce(
    (b, control) => withPart(b, `pot-${control}-2`, build.parts[`pot-${control}`]!),
    withPart(build, 'switch-2', { ...build.parts.switch!, traits: { contacts: 'slide' } }),
  )
const aTailpiece = () =>
  aPart(
    'tailpiece',
    { studDiameter: 11.5, studLength: 22, studSpacing: 82, height: 12, 'string.hole': 2 },
    { type: 'stop', hand: 'either' },
  )
const FERRULES = aPart('ferrules', { count: 6, diameter: 8, length: 9, 'string.hole': 3.6 })
const HARNESS = aPart(
  'harness',
  { 'pot.pitch': 46, 'lead.length': 200, 'bushing.diameter': 9.4, pickups: 3 },
  { frame: 'free', ground: 'yes' },
)
/** A 24 mm bore under a plate of 40 x 32, screws 34 apart. */
export const JACK_PLATE = aPart('jack-plate', { hole: 9.7, thickness: 1.5, length: 40, width: 32, 'screw.spread': 34 }, { curve: 'flat' })
const RING = aPart('ring-neck', { length: 37, width: 70, radius: 2, 'height.neckSide': 4, 'height.bridgeSide': 5 }, { foot: 'flat' })

/** Made once: what is generated from them is always a copy. */
let kept: readonly Build[] | undefined
export const everyMake = (): readonly Build[] => (kept ??= MAKES.map((make) => make()))

/** Every size and trait a part of this build could have, as slot and name. */
export const everySize = (build: Build): [Slot, string][] => everything(build, 'sizes')
export const everyTrait = (build: Build): [Slot, string][] => everything(build, 'traits')
const everything = (build: Build, what: 'sizes' | 'traits'): [Slot, string][] =>
  SLOTS.flatMap(({ slot }) =>
    build.parts[slot] ? Object.keys(KINDS[slotSpec(slot).kind][what]).map((name): [Slot, string] => [slot, name]) : [],
  )

const names = new WeakMap<Build, { sizeNames: [Slot, string][]; traitNames: [Slot, string][] }>()
function namesOf(make: Build) {
  const known = names.get(make) ?? { sizeNames: everySize(make), traitNames: everyTrait(make) }
  names.set(make, known)
  return known
}

/** The build without one size or trait. */
export function untold(build: Build, what: 'sizes' | 'traits', slot: Slot, name: string): Build {
  const { [name]: _, ...rest } = build.parts[slot]![what] as Record<string, never>
  return { ...build, parts: { ...build.parts, [slot]: { ...build.parts[slot]!, [what]: rest } } }
}

type Edit = { near: number } | { share: number } | 'missing' | 'assumed'

/** How a size differs from the build on which everything fits: not at all, a little, or anything such a part is found with; or it is missing. */
const edits: fc.Arbitrary<Edit> = fc.oneof(
  { weight: 6, arbitrary: fc.record({ near: fc.double({ min: -1.5, max: 1.5, noNaN: true }) }) },
  { weight: 3, arbitrary: fc.record({ share: fc.double({ min: 0, max: 1, noNaN: true }) }) },
  { weight: 2, arbitrary: fc.constant('missing' as const) },
  { weight: 1, arbitrary: fc.constant('assumed' as const) },
)

const told = edits.filter((e) => typeof e === 'object')

/**
 * A build of any make, its traits drawn from their options or left untold, some of its sizes moved, some missing. Every value lies within
 * what such parts are found in.
 */
export const anyBuild = buildsWith(edits, 6, 14)
/** The same with nothing taken away: what is off is off by a little or by much, and known. */
export const knownBuild = buildsWith(told, 1, 60)

function buildsWith(edit: fc.Arbitrary<Edit>, lastOption: number, most: number): fc.Arbitrary<Build> {
  return fc
    .record({
      make: fc.nat(MAKES.length - 1),
      sizes: fc.array(fc.tuple(fc.nat(), edit), { maxLength: most, size: 'max' }),
      traits: fc.array(fc.tuple(fc.nat(), fc.nat(lastOption)), { maxLength: 5 }),
      doubt: fc.constantFrom(0, 0.02, 0.05, 0.3),
      film: fc.constantFrom(false, true),
    })
    .map(({ make, sizes, traits, doubt, film }) => {
      const like = everyMake()[make]!
      const { sizeNames, traitNames } = namesOf(like)
      const build = copied(like)
      for (const [at, option] of traits) {
        const [slot, trait] = traitNames[at % traitNames.length]!
        const told = build.parts[slot]!.traits
        const chosen = KINDS[slotSpec(slot).kind].traits[trait]!.options[option]?.[0]
        if (chosen) told[trait] = chosen
        else delete told[trait]
      }
      for (const [at, edit] of sizes) {
        const [slot, size] = sizeNames[at % sizeNames.length]!
        const known = build.parts[slot]!.sizes
        const now = known[size]
        if (edit === 'missing') delete known[size]
        else if (edit === 'assumed' ? now : true) {
          const { low, high } = bandOf(specAt({ slot, size }))
          const value =
            edit === 'assumed'
              ? now!.value
              : 'near' in edit
                ? (now?.value ?? (low + high) / 2) + edit.near
                : low + edit.share * (high - low)
          const within = Math.min(high, Math.max(low, value))
          known[size] = {
            value: specAt({ slot, size }).unit === 'count' ? Math.round(within) : within,
            doubt,
            known: edit === 'assumed' ? 'assumed' : 'calipers',
          }
        }
      }
      return { ...build, finish: { ...build.finish, maskPocket: film } }
    })
}

/** A build whose sizes and traits may be changed in place, without changing those of the other. */
const copied = (build: Build): Build => ({
  ...build,
  parts: Object.fromEntries(
    Object.entries(build.parts).map(([slot, part]) => [slot, { ...part, sizes: { ...part.sizes }, traits: { ...part.traits } }]),
  ),
})
