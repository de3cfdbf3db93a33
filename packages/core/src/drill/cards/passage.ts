import { inHollow } from '../../instrument/panel'
import { groundOf } from '../../instrument/stringGround'
import { isVibrato } from '../../instrument/vibrato'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import { crosses } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { isBesideControls } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { printMm } from '../../quantity/length'
import { bitWords, boreBit, methodFor, type Bench } from '../bench'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { guarded, untellable } from '../guard'
import { hollowsOf, unplacedHollows } from '../hollows'
import type { DrawnCard, Guard } from '../holeCard'
import { slantSection } from '../slantSection'
import { wayDrawing } from '../wayDrawing'
import { isThere } from '../told'
import { beginUnderPlate } from './underPlate'

const CONTROL = (['control.x', 'control.y', 'control.length', 'control.width', 'control.depth'] as const).map((s) => sizeRef('body', s))
const THICK = sizeRef('body', 'thickness')
/** A bare wire passes a hole of this, a pair through the same, mm. [practice] */
const WIRE = { from: 2.5, to: 4, best: 3 }
/** A passage comes out so far above the floor of the route it meets, mm. [ours] */
const ABOVE_FLOOR = 6
/** And no nearer than this to where the route begins or ends, mm. [ours] */
const INSIDE = 4

/** How far beside its line a passage ends that is bored by hand, and one somebody else bored, 95 %, mm. [ours] */
const PLANNED = 2
const ASKEW = 10

/**
 * A straight bore from a place in the top down to the nearest wall of the control route: how long, and how steep.
 * @param depth how far below the top it comes out, mm
 */
export function slantingBore(from: Point, to: Point, depth: number): { length: number; slope: number } {
  const run = Math.hypot(to.x - from.x, to.y - from.y)
  return { length: Math.hypot(run, depth), slope: (Math.atan2(depth, run) * 180) / Math.PI }
}

/** The string ground's wire, from under a bridge that is no vibrato to the controls. */
export const groundPassage: Finder = (build, bench) => {
  const mount = traitAt(build, 'bridge', 'mount')
  if (!build.parts.body || !mount || isVibrato(mount)) return undefined
  const post = groundOf(mount) === 'stud'
  const base: Base = {
    id: 'ground-wire',
    title: 'Passage for the string ground',
    slot: 'bridge',
    side: 'front',
    goesIn: post ? 'a bare wire’s end, pinched under a stud’s bushing' : 'a bare wire’s end, laid under the plate',
    located: post ? 'a stud’s bore, from inside it' : 'the plate’s outline: well inside it, clear of every screw',
    first: [...(inHollow(build) ? [] : ['the control route']), post ? 'the stud bores, bushings out' : 'the bridge’s own screws'],
    back: 'A dowel in the wrong mouth; the bridge hides it. Or the wire in a groove under the plate.',
  }
  const there = isThere(build, { slot: 'body', trait: 'bored.ground' })
  if (there === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'bored.ground' }])
  if (there)
    return filled(build, base, {
      work: 'keep',
      says: 'It is there: push a wire through and look where it comes out.',
      with: 'a stiff wire',
      draw: waiting(build, base, [], [{ slot: 'body', trait: 'bored.ground' }]).draw,
    })
  if (inHollow(build)) return groundOutOfBlock(build, bench, base)
  const needed: SizeRef[] = [...CONTROL, THICK, sizeRef('body', 'mouthToBridge')]
  const missing = needed.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const value = (r: SizeRef) => sizeAt(build, r)!.value
  const d = datums(build)
  const control = hollowsOf(build).find((h) => h.id === 'control')!
  const half = bridgeWidth(build)
  const side = Math.sign(value(CONTROL[1]!)) || -1
  const endOf = (from: Point) =>
    pt(
      Math.min(Math.max(from.x, control.box.x + 5), control.box.x + control.box.width - 5),
      side > 0 ? control.box.y : control.box.y + control.box.height,
    )
  const hollow = spanOf(value(THICK), value(CONTROL[4]!), traitAt(build, 'body', 'access') === 'front')
  const depth = Math.min(Math.max(4, value(CONTROL[4]!) - ABOVE_FLOOR, hollow.from + INSIDE), hollow.to - INSIDE)
  const bit = boreBit(WIRE.from, WIRE.to, WIRE.best, bench.bits)
  const stud = pt(d.studs, (side * half) / 2)
  const y = side * betweenScrews(half / 2, sizeAt(build, sizeRef('bridge', 'screws'))?.value ?? 0)
  const { from, to, guard } = post
    ? { from: stud, to: endOf(stud), guard: undefined }
    : beginUnderPlate({ build, y, endOf, wide: bit.bit, doubt: PLANNED })
  const bore = slantingBore(from, to, depth)
  const { method } = methodFor({ ...bench, throats: [] }, undefined)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: `From ${post ? 'the bore of a stud' : 'under the plate'} down to the control route: ${printMm(bore.length, 0)} mm long, ${printMm(bore.slope, 0)} degrees below the top, ${bitWords(bit)}.`,
    places: [from],
    placeDoubt: 2,
    way: {
      from,
      to,
      wide: bit.bit,
      doubt: PLANNED,
      ...(post ? { startsIn: 'stud-bores' } : { clears: ['bridge-screws', 'string-holes'] }),
    },
    from: [
      `${printMm(Math.abs(from.y), 0)} mm to the ${side > 0 ? 'bass' : 'treble'} side of the centre line, ${lineWords(from.x - d.studs)} the bridge’s ${post ? 'studs' : 'screws'}`,
    ],
    steps: [
      `${printMm(bit.bit)} mm, long enough for ${printMm(bore.length + 15, 0)} mm, laid ${printMm(bore.slope, 0)} degrees below the top, pointing at the control route`,
      `stop when it comes out, ${printMm(depth, 0)} mm below the top; look before you push`,
      'a groove for the wire’s bare end, as deep as the wire less 0.1 to 0.2 mm, so that the plate presses it',
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: `${method.words}; a block sawn to ${printMm(bore.slope, 0)} degrees guides it`,
    guards: [...(guard ? [guard] : []), ...onTheWay(build, from, to)],
    draw: () =>
      slantSection({
        title: base.title,
        thick: value(THICK),
        run: Math.hypot(to.x - from.x, to.y - from.y),
        depth,
        bit: bit.bit,
        hollow: { ...hollow, label: 'control route' },
      }),
  })
}

/** Its studs or outer screws apart, by what holds it, mm; about so where nobody has said. */
function bridgeWidth(build: Build): number {
  const [studs, screws] = [sizeAt(build, sizeRef('bridge', 'studSpacing')), sizeAt(build, sizeRef('bridge', 'screw.spread'))]
  const own = groundOf(traitAt(build, 'bridge', 'mount')) === 'stud' ? (studs ?? screws) : (screws ?? studs)
  return (own ?? sizeAt(build, sizeRef('bridge', 'spread')))?.value ?? 50
}

const BLOCK = sizeRef('body', 'block.width')
const TOP = sizeRef('body', 'control.top')

/** In a hollow body the wire leaves the centre block by its side, or where the block ends before it, straight down through the top. */
function groundOutOfBlock(build: Build, bench: Bench, base: Base): DrawnCard {
  const needed = [BLOCK, TOP, THICK, sizeRef('body', 'mouthToBridge')]
  const missing = needed.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [block, top, thick] = [BLOCK, TOP, THICK].map((r) => sizeAt(build, r)!.value) as [number, number, number]
  const post = groundOf(traitAt(build, 'bridge', 'mount')) === 'stud'
  const half = bridgeWidth(build) / 2
  const y = post ? half : betweenScrews(half, sizeAt(build, sizeRef('bridge', 'screws'))?.value ?? 0)
  // On the treble side, where the controls hang.
  const from = pt(datums(build).studs, -y)
  const run = block / 2 - y < INSIDE ? 0 : block / 2 - y
  const bit = boreBit(WIRE.from, WIRE.to, WIRE.best, bench.bits)
  const depth = run ? Math.min(Math.max(run, top + INSIDE), thick - top - INSIDE) : top
  const to = pt(from.x, -(y + run))
  const bore = slantingBore(from, to, depth)
  const begins = post ? 'the bore of a stud' : 'under the plate'
  const { method } = methodFor({ ...bench, throats: [] }, undefined)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: run
      ? `From ${begins} out of the centre block’s side, ${printMm(run, 0)} mm away: ${printMm(bore.length, 0)} mm long, ${printMm(bore.slope, 0)} degrees below the top, ${bitWords(bit)}.`
      : `From ${begins} straight down through the top, ${bitWords(bit)}: the centre block ends before it.`,
    places: [from],
    placeDoubt: 2,
    way: {
      from,
      to,
      wide: bit.bit,
      doubt: PLANNED,
      ...(post ? { startsIn: 'stud-bores' } : { clears: ['bridge-screws', 'string-holes'] }),
    },
    from: [`${printMm(y, 0)} mm to the treble side of the centre line, in line with the bridge’s ${post ? 'studs' : 'screws'}`],
    steps: [
      run
        ? `${printMm(bit.bit)} mm, long enough for ${printMm(bore.length + 15, 0)} mm, laid ${printMm(bore.slope, 0)} degrees below the top, straight out towards the treble side`
        : `${printMm(bit.bit)} mm, square, through the top and no further`,
      'stop when it comes out; look for its mouth with a mirror through the sound hole',
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: run ? `${method.words}; a block sawn to ${printMm(bore.slope, 0)} degrees guides it` : method.words,
    guards: onTheWay(build, from, to),
    draw: () =>
      slantSection({
        title: base.title,
        thick,
        run,
        depth,
        bit: bit.bit,
        hollow: { from: top, to: thick - top, label: 'hollow' },
      }),
  })
}

/** A hollow from the top's side, mm: from the front down to its floor, from the back up to what stays of the top. */
const spanOf = (thick: number, deep: number, front: boolean) => (front ? { from: 0, to: deep } : { from: thick - deep, to: thick })

const lineWords = (behind: number): string =>
  Math.abs(behind) < 0.5 ? 'in line with' : `${printMm(Math.abs(behind), 0)} mm ${behind > 0 ? 'behind' : 'in front of'} the line of`

/** Beside the centre line, as far from every screw of an even row as it can be. @param end the outer screw, mm from the centre line */
export function betweenScrews(end: number, screws: number): number {
  if (screws < 2) return end / 2
  const pitch = (2 * end) / (screws - 1)
  // An odd row has a screw on the centre line, an even one has none there.
  return screws % 2 ? pitch / 2 : pitch
}

/** What lies between the two ends and would be opened. */
export function onTheWay(build: Build, from: Point, to: Point): Guard[] {
  const hit = hollowsOf(build).filter((h) => h.id !== 'control' && crosses(h.box, from, to))
  const guards = hit.map((h) =>
    guarded(
      `through-${h.id}`,
      `Clear of ${h.name}`,
      { value: -1, doubt: 0 },
      [
        { upTo: 0, is: 'wont-go' },
        { upTo: Infinity, is: 'snug' },
      ],
      `On its way it would break into ${h.name}.`,
      'Start from the other side, or go round it.',
    ),
  )
  return [
    ...guards,
    ...unplacedHollows(build).map(({ name }) => untellable(`through-${name}`, `Clear of ${name}`, `where ${name} lies is not known`)),
  ]
}

/** The passage from the jack's bore to the controls, where the bore does not reach them. */
export const jackPassage: Finder = (build, bench) => {
  if (!build.parts.body || !build.parts.jack || isBesideControls(build) || inHollow(build)) return undefined
  const base: Base = {
    id: 'jack-passage',
    byPart: true,
    title: 'Passage from the jack to the controls',
    slot: 'jack',
    side: 'rim',
    goesIn: 'the jack’s two wires',
    located: 'the jack’s bore, aimed at the middle of the control route',
    first: ['the jack’s bore', 'the control route'],
    back: 'The wires go where the bit came out, if that is inside; otherwise dowel and drill anew.',
  }
  const trait = { slot: 'body', trait: 'bored.passage' } as const
  const there = isThere(build, trait, sizeRef('body', 'passage.diameter'))
  if (there === undefined) return waiting(build, base, [], [trait])
  const needed: SizeRef[] = [sizeRef('body', 'jack.x'), sizeRef('body', 'jack.y'), ...CONTROL]
  const missing = needed.filter((r) => !sizeAt(build, r))
  const value = (r: SizeRef) => sizeAt(build, r)!.value
  const mouth = datums(build).mouth
  const ends = () => ({
    from: pt(mouth + value(needed[0]!), value(needed[1]!)),
    to: pt(mouth + value(CONTROL[0]!), value(CONTROL[1]!)),
  })
  const level = sizeAt(build, THICK)
  const drawn = (wide: number) =>
    wayDrawing(
      {
        title: base.title,
        ...ends(),
        wide,
        hollow: hollowsOf(build).find((h) => h.id === 'control')!.box,
        names: { from: 'jack’s bore', hollow: 'control route' },
      },
      build.handedness,
    )
  if (there) {
    const wide = sizeAt(build, sizeRef('body', 'passage.diameter'))
    return filled(build, base, {
      work: 'keep',
      says: `It is there${wide ? `, ${printMm(wide.value, 1)} mm at its narrowest` : ''}: nothing is drilled.`,
      ...(wide ? { bit: wide.value, size: printMm(wide.value, 1) } : {}),
      // Half way down is where it is usually bored, and nobody saw it: no level is taken for granted.
      ...(missing.length ? {} : { way: { ...ends(), wide: wide?.value ?? 8, doubt: ASKEW } }),
      draw: missing.length ? waiting(build, base, missing).draw : () => drawn(wide?.value ?? 6),
    })
  }
  if (missing.length) return waiting(build, base, missing)
  const { from, to } = ends()
  const run = Math.hypot(to.x - from.x, to.y - from.y)
  const bit = boreBit(6, 9, 8, bench.bits)
  const { method } = methodFor({ ...bench, throats: [] }, undefined)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: `From the jack’s bore to the control route’s middle, ${printMm(run, 0)} mm at most, half way down the body: ${bitWords(bit)}.`,
    places: [from],
    placeDoubt: 1,
    way: { from, to, wide: bit.bit, doubt: PLANNED, ...(level ? { level: level.value / 2 } : {}) },
    from: ['the middle of the jack’s bore'],
    steps: [
      'a rod or a pencil line over the top shows the way: bore and route in one line',
      `${printMm(bit.bit)} mm, level with the top; stop when it comes out`,
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: method.words,
    guards: onTheWay(build, from, to),
    draw: () => drawn(bit.bit),
  })
}
