import { capital } from '../quantity/words'
import type { Build } from '../document/build'
import { sizeAt, traitAt, type SizeRef } from '../document/read'
import type { Role } from '../drawing/drawing'
import type { TraitRef } from '../judge/completed'
import { woodNamed } from '../parts/woods'
import { blindDepth, FACE_GUARD, pilotBand } from '../physics/pilot'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import { bitWords, methodFor, pilotBit, type Bench } from './bench'
import { filled, waiting, type Base } from './card'
import { edgeGuard, tipGuard, untellable } from './guard'
import type { DrawnCard, Guard, Work } from './holeCard'
import { inwardsOf, type Located } from './place'
import { holeSection } from './section'
import { summed } from './told'
import { longestScrew } from '../judge/otherScrew'
import { normal } from '../quantity/distribution'

export type Terms = readonly (readonly [factor: number, ref: SizeRef])[]

/** A wood screw and what it goes through and into. */
export interface Screwed {
  work: Work | undefined
  /** Which trait says whether its hole is there. */
  there: TraitRef
  length: SizeRef
  root: SizeRef
  thread: SizeRef
  /** What it holds down, which is not drilled here. */
  through: Terms
  held: { label: string; role: Role }
  /** The wood under that, where it has a far side. */
  wood?: { terms: Terms; face: string; least?: number }
  woodOf: 'body' | 'neck'
  located: Located
  /** Its place decides where it goes: without it nothing can be drilled. */
  byNumbers?: boolean
  /** How holes that are there already are laid under what is screwed on: the two were often drilled by different hands. */
  over?: string
  guards?: readonly Guard[]
  mind?: readonly string[]
}

/** A small screw's pilot is made to two thirds of its length and no deeper. [practice] */
const TINY = 2.5
/** Wood with no far side within reach is drawn so much deeper than the hole, mm. */
const GOES_ON = 12
/** A bit so near to what is wanted is what is wanted, mm. [ours] */
const SAME_BIT = 0.12
/** A tape flag is set and read to about this, mm. [ours] */
const FLAG = 0.5

const INTO: Record<Screwed['woodOf'], Role> = { body: 'body-wood', neck: 'neck-wood' }

/** The pilot for a wood screw: bit by the wood, depth by the face under it, everything on its card. */
export function screwed(build: Build, bench: Bench, base: Base, s: Screwed): DrawnCard {
  const known = { places: s.located.places, takes: sizeAt(build, s.thread)?.value }
  if (s.work === undefined) return waiting(build, base, [], [s.there], known)
  if (s.work === 'keep') return kept(build, base, s)
  const needed = [s.length, s.root, s.thread, ...s.through.map(([, r]) => r), ...(s.wood?.terms ?? []).map(([, r]) => r)]
  const missing = [...needed.filter((ref) => !sizeAt(build, ref)), ...(s.byNumbers ? s.located.missing : [])]
  if (missing.length) return waiting(build, base, [...new Map(missing.map((m) => [`${m.slot}/${m.size}`, m])).values()], [], known)
  const size = (ref: SizeRef) => sizeAt(build, ref)!
  const total = (terms: Terms) => summed(terms.map(([f, ref]) => [f, size(ref)]))
  const [length, root, thread] = [size(s.length), size(s.root), size(s.thread)]
  const above = total(s.through)
  const bites = summed([
    [1, length],
    [-1, above],
  ])
  const wood = s.wood && total(s.wood.terms)
  const beyond =
    wood &&
    summed([
      [1, wood],
      [-1, bites],
    ])
  const least = s.wood?.least ?? FACE_GUARD
  const named = woodNamed(traitAt(build, s.woodOf, 'wood'))
  const band = pilotBand(root.value, named?.density)
  const bit = pilotBit(band, root.value, bench.bits)
  const single = band.to - band.from < 0.01
  const wanted = thread.value <= TINY ? Math.min(bites.value, (2 / 3) * length.value) : bites.value
  // The face is kept whole for the thinnest the wood may be.
  const hole = blindDepth(wanted, bit.bit, wood ? wood.value - wood.doubt : Infinity, least)
  const holds = above.value + 3 * thread.value
  const longest = beyond && longestScrew(length.value, normal(beyond.value, beyond.doubt / 2), least)
  const guards = [
    ...(s.guards ?? []),
    ...edgesOf(build, base, s, thread.value),
    ...(wood && s.wood
      ? [
          tipGuard(
            beyond!,
            least,
            s.wood.face,
            longest! >= holds ? `Take one of ${longest} mm or less.` : 'No shorter one would hold in what is left.',
          ),
        ]
      : []),
    // Too little wood for a hole is one thing, a screw that hardly reaches it another.
    ...(hole.refused && hole.cutShort ? [noDepth(wood!, s.wood!.face)] : []),
    ...(bites.value < 3 * thread.value ? [shortScrew(bites, thread.value, hole.refused, longerScrew(holds, longest))] : []),
  ]
  const { method, why } = methodFor(bench, onBody(base) ? inwardsOf(build, s.located.places)?.most : 0)
  const percent = (d: number) => `${Math.round((100 * d) / root.value)} %`
  const asWanted =
    Math.abs(bit.bit - band.from) < SAME_BIT
      ? `, as ${named?.label} wants it.`
      : `; ${named?.label} wants ${percent(band.from)}, ${printMm(band.from)} mm: this is the nearest in your box.`
  return filled(build, base, {
    work: s.work,
    mindful: !named || !bit.owned || hole.cutShort,
    says: [
      !named
        ? `Nobody has said what wood it goes into: try ${printMm(band.from, 1)} to ${printMm(band.to, 1)} mm in scrap of it, the smallest first.`
        : single
          ? `The ${printMm(bit.bit)} mm bit is ${percent(bit.bit)} of the ${printMm(root.value)} mm root${asWanted}`
          : `${capital(named.label)} is neither hard nor soft: ${printMm(band.from, 1)} to ${printMm(band.to, 1)} mm, the smallest first in scrap.`,
      bit.owned ? '' : 'Your box has none: get it before you drill.',
      hole.cutShort && !hole.refused
        ? `The tape at ${printMm(hole.flag, 1)} mm stops the bit so that ${printMm(least, 1)} mm stay under ${s.wood!.face}.`
        : '',
      why ?? '',
    ]
      .filter(Boolean)
      .join(' '),
    places: s.located.places,
    ...(s.located.doubt === undefined ? {} : { placeDoubt: s.located.doubt }),
    from: s.located.from,
    steps: [
      `in scrap of the same wood: ${bitWords(bit)}${single ? '' : larger(bit.bit, band.to, bench.bits)}`,
      'mark with an awl, deep enough that the bit cannot wander',
      `${printMm(bit.bit)} mm, tape at ${printMm(hole.flag, 1)} mm from the tip`,
      'chamfer by hand, wax the thread, start every screw before tightening any; hand driver',
    ],
    bit: bit.bit,
    takes: thread.value,
    size: single && named ? printMm(bit.bit) : `${printMm(band.from, 1)}–${printMm(band.to, 1)}`,
    depth: hole.depth,
    flag: hole.flag,
    ...(wood ? { left: wood.value - hole.flag } : {}),
    with: method.words,
    guards,
    mind: [
      ...(s.mind ?? []),
      `Depth to ±${printMm(Math.hypot(FLAG, wood?.doubt ?? 0), 1)} mm.`,
      'If it needs force: stop, back out, clear the dust, wax, go on; never harder.',
    ],
    untold: named ? [] : [{ slot: s.woodOf, trait: 'wood' }],
    draw: (made) =>
      holeSection({
        title: base.title,
        above: above.value > 0 ? [{ ...s.held, thickness: above.value }] : [],
        layers: [
          {
            label: s.woodOf === 'neck' ? 'neck' : 'body',
            thickness: wood?.value ?? hole.flag + GOES_ON,
            role: INTO[s.woodOf],
            ...(wood ? {} : { unread: true }),
          },
        ],
        ...(made ? { bit: bit.bit, depth: hole.depth, flag: hole.flag, ...(wood ? { left: wood.value - hole.flag } : {}) } : {}),
        screw: { length: length.value, thread: thread.value },
      }),
  })
}

const takes = (build: Build, s: Screwed): { takes?: number } => {
  const thread = sizeAt(build, s.thread)
  return thread ? { takes: thread.value } : {}
}

/** Holes that are there already: nothing is drilled; whether the screw holds in them is found by turning it in by hand. */
function kept(build: Build, base: Base, s: Screwed): DrawnCard {
  return filled(build, base, {
    work: 'keep',
    says: `The holes are there. ${s.over ? 'Look first whether they lie where they are wanted, then turn' : 'Turn'} a screw in by hand: it should bite and not wobble; loose: plug with a sliver of wood and glue; tight: wax.`,
    places: s.located.places,
    ...takes(build, s),
    ...(s.located.doubt === undefined ? {} : { placeDoubt: s.located.doubt }),
    from: s.located.from,
    ...(s.over
      ? {
          steps: [
            `${s.over}: each hole lies in the middle of the one over it, and a screw stands upright in it`,
            'one that does not: hardwood dowel and glue, a day to dry, marked and drilled anew; a screw that leans pulls the part aside',
          ],
        }
      : {}),
    with: 'hand driver',
    guards: [...(s.guards ?? [])],
    draw: waiting(build, base, [s.length]).draw,
  })
}

const onBody = (base: Base) => base.side === 'front' || base.side === 'back'

function edgesOf(build: Build, base: Base, s: Screwed, diameter: number): Guard[] {
  if (!onBody(base) || !s.located.places.length) return []
  const inwards = inwardsOf(build, s.located.places)
  if (!inwards) return [untellable('edge', 'To the body’s edge', 'nobody drew the body’s outline')]
  return [edgeGuard({ value: inwards.least, doubt: s.located.doubt ?? 0 }, diameter, 'the body’s edge')]
}

const noDepth = (wood: Size, face: string): Guard => ({
  id: 'depth',
  label: 'Room for a hole',
  verdict: 'wont-go',
  says: `Do not drill: ${printMm(Math.max(0, wood.value), 1)} mm of wood leaves no safe depth before ${face}. Hold the part another way.`,
})

/** What comes after the smallest bit, of those in the box or a size to get, never over what the wood may want at most. */
function larger(bit: number, most: number, owned: readonly number[]): string {
  const next = owned.filter((b) => b > bit + 1e-9 && b <= most + 1e-9)
  if (!next.length && most - bit < 0.1) return ''
  return `; where the screw wants force, ${next.length ? next.map((b) => printMm(b)).join(', then ') : `a size larger, no more than ${printMm(most, 1)}`} mm`
}

/** @param holds the shortest screw that holds, and longest: that ends before what is behind the wood, mm; nothing where there is room */
function longerScrew(holds: number, longest: number | undefined): string {
  const least = Math.ceil(holds - 1e-9)
  if (longest === undefined) return `Take one of ${least} mm or more.`
  if (longest < least) return 'No longer one has room. Hold the part another way.'
  return longest === least ? `Take one of ${least} mm.` : `Take one of ${least} to ${longest} mm.`
}

const shortScrew = (bites: Size, thread: number, none: boolean, longer: string): Guard => ({
  id: 'bite',
  label: 'Thread in the wood',
  verdict: none || bites.value <= thread ? 'wont-go' : 'tight',
  says: `Only ${printMm(Math.max(0, bites.value), 1)} mm of the screw bites; three times its ${printMm(thread, 1)} mm is the least that holds. ${longer}`,
  spare: { value: bites.value - 3 * thread, doubt: bites.doubt },
})
