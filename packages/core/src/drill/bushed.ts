import { capital } from '../quantity/words'
import type { Build } from '../document/build'
import { sizeAt, type SizeRef } from '../document/read'
import { pastWrapping, PRESS_BANDS } from '../fit/bridge/press'
import { woodUnderBridge } from '../instrument/woodUnderBridge'
import type { TraitRef } from '../judge/completed'
import { drawnAt } from '../judge/known'
import { judge } from '../judge/verdict'
import { blindDepth, exitError } from '../physics/pilot'
import { normal } from '../quantity/distribution'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import { bitWords, boreBit, methodFor, type Bench } from './bench'
import { filled, waiting, type Base } from './card'
import { edgeGuard, guarded, unread, untellable } from './guard'
import type { DrawnCard, Guard, Work } from './holeCard'
import { inwardsOf, type Located } from './place'
import { bodyLayer, holeSection } from './section'
import { isThere, summed } from './told'

/** A bushing tapped into the body's top. */
export interface Bushed {
  there: TraitRef
  bushing: SizeRef
  length: SizeRef
  bore: SizeRef
  boreDepth: SizeRef
  /** The same distance on the part and in the wood. */
  spacing?: { own: SizeRef; body: SizeRef }
  /** Where it comes, and where it is. */
  planned: Located
  found: Located
  guards?: readonly Guard[]
}

/** A bushing 0.05 to 0.15 mm over its bore taps in square. [practice] */
const UNDER = { from: 0.15, to: 0.05, best: 0.1 }
/** How far a pattern may be off before a bridge no longer drops on, mm. [practice] */
const PATTERN = 0.5
/** Room under a bushing, mm. [practice] */
const BELOW = 1

/** Bores that a bushing is tapped into: what is there is measured and kept, opened or plugged; what is not is drilled. */
export function bushed(build: Build, bench: Bench, base: Base, b: Bushed): DrawnCard {
  const there = isThere(build, b.there, b.bore)
  const size = (ref: SizeRef) => sizeAt(build, ref)
  if (there === undefined) return waiting(build, base, [], [b.there], { places: b.planned.places, takes: size(b.bushing)?.value })
  const pair = there && b.spacing ? [b.spacing.own, b.spacing.body] : []
  const needed = [b.bushing, ...pair, ...(there ? [b.bore] : [b.length, ...(woodUnderBridge(build) ? [woodUnderBridge(build)!.size] : [])])]
  const missing = [...needed.filter((ref) => !size(ref)), ...(there ? [] : b.planned.missing.filter((m) => !needed.includes(m)))]
  if (missing.length) return waiting(build, base, missing)
  const bushing = size(b.bushing)!
  if (!there) return bored(build, bench, base, b, bushing, 'new')
  const bore = size(b.bore)!
  const over = summed([
    [1, bushing],
    [-1, bore],
  ])
  const wrong = wrongPattern(build, b)
  if (wrong) return bored(build, bench, base, b, bushing, 'plug', wrong)
  const { verdict } = judge(normal(over.value, over.doubt / 2), PRESS_BANDS)
  if (over.value > 0 && (verdict === 'tight' || verdict === 'wont-go')) return reamed(build, bench, base, b, bushing, bore)
  if (verdict === 'wont-go' || (over.value < 0 && pastWrapping(over.value)))
    return bored(build, bench, base, b, bushing, 'plug', `The bores are ${printMm(-over.value)} mm larger than the bushings.`)
  return kept(build, base, b, over, verdict)
}

/** What is said of bores too near or too far apart for the part. */
function wrongPattern(build: Build, { spacing }: Bushed): string | undefined {
  const [own, body] = spacing ? [sizeAt(build, spacing.own)!, sizeAt(build, spacing.body)!] : []
  if (!own || !body) return undefined
  const off = judge(normal(Math.abs(own.value - body.value), Math.hypot(own.doubt, body.doubt) / 2), [
    { upTo: PATTERN, is: 'snug' },
    { upTo: Infinity, is: 'wont-go' },
  ])
  return off.verdict === 'wont-go' ? `The bores are ${printMm(body.value, 1)} mm apart and it wants ${printMm(own.value, 1)}.` : undefined
}

function kept(build: Build, base: Base, b: Bushed, over: Size, verdict: string): DrawnCard {
  const bore = sizeAt(build, b.bore)!.value
  const loose = verdict === 'loose'
  const snug = verdict === 'snug'
  return filled(build, base, {
    work: 'keep',
    mindful: !snug,
    says: snug
      ? `The bores are there and take the bushings, ${printMm(over.value)} mm larger: nothing is drilled.`
      : loose
        ? `The bores are there, ${printMm(Math.max(0, -over.value))} mm wider than the bushings. Nothing is drilled: wrap each bushing, as Dry fit says.`
        : `The bores are there; bushing over bore ${printMm(over.value)} ±${printMm(over.doubt)} mm leaves open whether it taps in. Try one by hand before you drill anything.`,
    places: b.found.places,
    ...(b.found.doubt === undefined ? {} : { placeDoubt: b.found.doubt }),
    from: b.found.from,
    steps: [
      loose
        ? 'wrap each bushing, as Dry fit says, until it starts by hand and does not drop in'
        : 'try a bushing in each by hand; it starts and does not drop in',
      'tap in square with the stud screwed in, after the bridge was tried on loose posts',
    ],
    bit: bore,
    size: printMm(bore),
    with: 'soft-faced hammer and a block',
    guards: deepEnough(build, b),
    draw: () => holeSection({ title: base.title, layers: bodyLayer(build, woodUnderBridge(build)), bit: bore, ...depthOf(build, b) }),
  })
}

/** As deep as somebody measured it, or as its bushing has to go: blind it is in either case. */
function depthOf(build: Build, b: Bushed): { depth: number; depthUnread?: true } {
  const deep = sizeAt(build, b.boreDepth)?.value
  return deep === undefined ? { depth: drawnAt(build, b.length), depthUnread: true } : { depth: deep }
}

const DEEPER = 'Bore deeper than the bushing'

function deepEnough(build: Build, b: Bushed): Guard[] {
  const [deep, long] = [sizeAt(build, b.boreDepth), sizeAt(build, b.length)]
  if (!deep || !long) return [unread(build, 'deep', DEEPER, [b.boreDepth, b.length])]
  const spare = summed([
    [1, deep],
    [-1, long],
  ])
  return [
    guarded(
      'deep',
      DEEPER,
      spare,
      [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      spare.value < 0
        ? `The bores are ${printMm(-spare.value, 1)} mm too shallow: the bushings would stand proud. Deepen them with a bit of their own size, tape at the depth.`
        : `The bores are ${printMm(spare.value, 1)} mm deeper than the bushings.`,
    ),
  ]
}

function reamed(build: Build, bench: Bench, base: Base, b: Bushed, bushing: Size, bore: Size): DrawnCard {
  const bit = boreBit(bushing.value - UNDER.from, bushing.value - UNDER.to, bushing.value - UNDER.best, bench.bits)
  const { method, why } = methodFor(bench, inwardsOf(build, b.found.places)?.most)
  return filled(build, base, {
    work: 'ream',
    alters: [b.bore],
    mindful: !bit.owned,
    says: [
      `The bores are there, ${printMm(bore.value)} mm, and the bushings ${printMm(bushing.value)}: driven in, they split the wood. Open them up to ${printMm(bit.bit)} mm, ${printMm(bushing.value - bit.bit)} under the bushing.`,
      why ?? '',
    ]
      .filter(Boolean)
      .join(' '),
    places: b.found.places,
    ...(b.found.doubt === undefined ? {} : { placeDoubt: b.found.doubt }),
    from: ['the bores themselves: the bit follows them'],
    steps: [
      `try a bushing in scrap of the same wood, in a hole of ${bitWords(bit)}`,
      `${printMm(bit.bit)} mm by its rim, slowly; the depth as it is`,
      'chamfer by hand, so that film cannot lift',
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: method.words,
    guards: deepEnough(build, b),
    draw: () => holeSection({ title: base.title, layers: bodyLayer(build, woodUnderBridge(build)), bit: bit.bit, ...depthOf(build, b) }),
  })
}

/** Drilled where nothing is, or where what was there has been plugged. */
function bored(build: Build, bench: Bench, base: Base, b: Bushed, bushing: Size, work: Work, because = ''): DrawnCard {
  const located = b.planned
  const into = woodUnderBridge(build)
  if (!into)
    return waiting(build, base, [], [{ slot: 'body', trait: 'build' }], { about: because, places: located.places, takes: bushing.value })
  const missing = [b.length, into.size].filter((ref) => !sizeAt(build, ref))
  if (missing.length || located.missing.length) return waiting(build, base, [...missing, ...located.missing], [], { about: because })
  const [length, wood] = [sizeAt(build, b.length)!, sizeAt(build, into.size)!]
  const bit = boreBit(bushing.value - UNDER.from, bushing.value - UNDER.to, bushing.value - UNDER.best, bench.bits)
  const hole = blindDepth(length.value + BELOW, bit.bit, wood.value - wood.doubt)
  const inwards = inwardsOf(build, located.places)
  const { method, why } = methodFor(bench, inwards?.most)
  const lean = exitError(length.value, method.degrees)
  const guards: Guard[] = [
    ...(b.guards ?? []),
    inwards
      ? edgeGuard({ value: inwards.least, doubt: located.doubt ?? 0 }, bushing.value, 'the body’s edge')
      : untellable('edge', 'To the body’s edge', 'nobody drew the body’s outline'),
    ...(hole.flag < length.value
      ? [
          guarded(
            'depth',
            'Room for the bushing',
            { value: hole.depth - length.value, doubt: length.doubt },
            [
              { upTo: 0, is: 'wont-go' },
              { upTo: Infinity, is: 'snug' },
            ],
            `The bushing is ${printMm(length.value, 1)} mm long and only ${printMm(hole.depth, 1)} mm may be drilled here.`,
            'Take a shorter one.',
          ),
        ]
      : []),
  ]
  return filled(build, base, {
    ...(work === 'plug' ? { alters: [b.bore, ...(b.spacing ? [b.spacing.body] : [])] } : {}),
    work,
    mindful: !bit.owned || hole.cutShort,
    says: [
      because && `${because} Plug them, let them dry, drill anew.`,
      bit.owned
        ? `A bushing of ${printMm(bushing.value)} mm wants ${printMm(bushing.value - UNDER.from)} to ${printMm(bushing.value - UNDER.to)} mm: the ${printMm(bit.bit)} mm bit.`
        : `A bushing of ${printMm(bushing.value)} mm wants ${printMm(bushing.value - UNDER.from)} to ${printMm(bushing.value - UNDER.to)} mm and no bit of yours is that: get ${printMm(bit.bit)} mm before you drill.`,
      why ?? '',
    ]
      .filter(Boolean)
      .join(' '),
    places: located.places,
    ...(located.doubt === undefined ? {} : { placeDoubt: located.doubt }),
    from: located.from,
    steps: [
      ...(work === 'plug' ? ['dowel of the bore’s size and the body’s wood, grain along the body’s, glue, a day to dry, cut flush'] : []),
      `try a bushing in scrap of the same wood: it starts by hand and taps in, in a hole of ${bitWords(bit)}`,
      'mark both from the two things below, look whether both readings agree, then an awl',
      '3 mm first, square',
      `${printMm(bit.bit)} mm, point in the mark, tape at ${printMm(hole.flag, 1)} mm from the tip`,
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    depth: hole.depth,
    flag: hole.flag,
    left: wood.value - hole.flag,
    with: method.words,
    guards,
    mind: [
      `${capital(method.words)}: leans ${printMm(lean)} mm over the bushing’s length.`,
      'A point that is not a twist bit’s has another flag: measure its tip.',
    ],
    draw: (made) =>
      holeSection({
        title: base.title,
        layers: bodyLayer(build, woodUnderBridge(build)),
        ...(made ? { bit: bit.bit, depth: hole.depth, flag: hole.flag, left: wood.value - hole.flag } : {}),
      }),
  })
}
