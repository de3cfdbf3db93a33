import { mouthOf } from '../../instrument/neckWords'
import { isVibrato } from '../../instrument/vibrato'
import { aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { applyChange } from '../../document/change'
import { setSize } from '../../document/changes'
import { isThrough, sizeAt, sizeRef, specAt, traitAt, type SizeRef } from '../../document/read'
import { overMiddle } from '../../fit/bridge/sideSetting'
import { SWING } from '../../fit/bridge/blocks'
import { pt, type Point } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { risesOf } from '../../instrument/frontRise'
import { printMm } from '../../quantity/length'
import type { Bench } from '../bench'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { guarded } from '../guard'
import type { DrawnCard, Guard } from '../holeCard'
import type { Hollow } from '../hollows'
import { isThere, summed } from '../told'
import { floorGuard, passesOf, routed, routeDrawing, ROUTER_CAUTIONS } from './router'

const THICK = sizeRef('body', 'thickness')

/** A cut that is already in the body: what it measures, and where it is judged. */
export function cutThere(build: Build, base: Base, own: { long: SizeRef; wide: SizeRef; deep: SizeRef }): DrawnCard {
  const [long, wide, deep] = [own.long, own.wide, own.deep].map((r) => sizeAt(build, r)?.value)
  const told = long !== undefined && wide !== undefined && deep !== undefined
  // Nothing is cut: what is not measured of it is asked for where it is judged.
  return filled(build, base, {
    work: 'keep',
    says: `It is there${told ? `, ${printMm(long, 1)} x ${printMm(wide, 1)} mm and ${printMm(deep, 1)} deep` : ''}; whether everything has room in it stands under Dry fit.`,
    size: told ? `${printMm(long, 0)}x${printMm(wide, 0)}` : '',
    draw: () => routeDrawing(base.title, long, wide, undefined),
  })
}

interface Cut {
  /** Along the strings and across; nothing where the part itself says it, laid on the wood. */
  long?: number
  wide?: number
  /** Depth and the floor or top that stays, mm; no floor where it goes right through. */
  deep: number
  left?: { value: number; doubt: number }
  about: string
  places: Point[]
  from: string[]
  before?: string[]
  after?: string[]
  guards?: Guard[]
  mind?: string[]
  /** The hollow it makes, where its place is known in numbers. */
  cuts?: Hollow
}

/** A cut that is to be made by router. */
export function cut(build: Build, bench: Bench, base: Base, c: Cut): DrawnCard {
  const { pair, offset, steps } = routed(bench)
  const words = [c.long, c.wide]
    .filter((l) => l !== undefined)
    .map((l) => printMm(l, 1))
    .join(' x ')
  return filled(build, base, {
    work: 'new',
    mindful: !pair,
    says: `${words}${c.wide === undefined ? ' mm along the strings' : c.long === undefined ? ' mm wide' : ' mm'} and ${printMm(c.deep, 1)} deep, in ${passesOf(c.deep)}. ${c.about}`,
    places: c.places,
    from: c.from,
    steps: [...(c.before ?? []), ...steps, ...(c.after ?? [])],
    size: [c.long, c.wide]
      .filter((l) => l !== undefined)
      .map((l) => printMm(l, 0))
      .join('x'),
    ...(c.left ? { depth: c.deep, left: c.left.value } : {}),
    ...(c.cuts ? { cuts: c.cuts } : {}),
    with: 'router',
    guards: [...(c.left ? [floorGuard(c.left)] : []), ...(c.guards ?? [])],
    mind: [...(c.mind ?? []), 'Cut the riskiest while the wood is only a blank: spoilt then, it costs an evening.'],
    cautions: ROUTER_CAUTIONS,
    draw: () => routeDrawing(base.title, c.long, c.wide, offset),
  })
}

const HEEL = {
  mouth: sizeRef('neck', 'heel.widthMouth'),
  end: sizeRef('neck', 'heel.widthEnd'),
  thick: sizeRef('neck', 'heel.thickness'),
  heelEnd: sizeRef('neck', 'nutToHeelEnd'),
  scale: sizeRef('neck', 'scale'),
}
const HEIGHTS = [sizeRef('neck', 'crown'), sizeRef('nut', 'slot'), sizeRef('bridge', 'height.min'), sizeRef('bridge', 'height.max')]
const POCKET = {
  wide: sizeRef('body', 'pocket.widthMouth'),
  long: sizeRef('body', 'pocket.length'),
  deep: sizeRef('body', 'pocket.depth'),
}
/** A pocket is cut so much wider than its heel: a firm press by hand, mm. [practice] */
const PRESS = 0.2
/** A heel lower in its pocket than this is hardly held by its walls, mm. [ours] */
const HOLDS = 12
/** No pocket is less deep, mm. */
const LEAST = specAt(sizeRef('body', 'pocket.depth')).min
/** Depth the saddles are reckoned from before there is a pocket, mm; any will do, one is as much lower as the other is deeper. */
const TRIAL = 16

/** The neck's pocket: as wide as the heel, as deep as the middle of the bridge's range asks. */
export const pocketRoute: Finder = (build, bench) => {
  if (!build.parts.body || !build.parts.neck || isThrough(build)) return undefined
  const base: Base = {
    id: 'route-pocket',
    title: 'The neck’s pocket',
    slot: 'neck',
    side: 'front',
    byPart: true,
    goesIn: 'the heel, pressed in by hand',
    located: 'the heel itself, laid on the centre line: two straight-edges along the neck reach the bridge’s two outer strings',
    first: ['the centre line and the bridge’s place, pencilled', 'the neck’s outer strings, as two threads'],
    back: 'A block of the same wood glued in, a day to dry, cut anew; veneer lines a wall that came out wide.',
  }
  const there = isThere(build, { slot: 'body', trait: 'routed.pocket' }, ...Object.values(POCKET))
  if (there === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'routed.pocket' }])
  if (there) return cutThere(build, base, POCKET)
  // How deep hangs on where the saddles will stand, and so on how high the front carries the bridge.
  if (traitAt(build, 'body', 'top') === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'top' }])
  const heights = [...HEIGHTS, ...risesOf(build, 'bridge')]
  const needed = [...Object.values(HEEL), ...heights, THICK]
  const missing = needed.filter((r) => build.parts[r.slot] && !sizeAt(build, r))
  const absent = needed.find((r) => !build.parts[r.slot])
  if (missing.length || absent) return waiting(build, base, missing.length ? missing : [absent!])
  const v = (r: SizeRef) => sizeAt(build, r)!
  const tried = applyChange(build, setSize(build, sizeRef('body', 'pocket.depth'), { value: TRIAL, doubt: 0, known: 'calipers' }))
  const deep = Math.round((TRIAL + overMiddle(tried)!) * 10) / 10
  const doubt = Math.hypot(...[HEEL.thick, ...heights].map((r) => v(r).doubt))
  const wide = { mouth: v(HEEL.mouth).value + PRESS, end: v(HEEL.end).value + PRESS }
  const end = v(HEEL.scale).value - v(HEEL.heelEnd).value
  return cut(build, bench, base, {
    wide: wide.mouth,
    deep,
    left: { value: v(THICK).value - deep, doubt: Math.hypot(doubt, v(THICK).doubt) },
    about: `${printMm(wide.mouth, 1)} mm wide at the mouth and ${printMm(wide.end, 1)} at the end: ${PRESS} over the heel. So deep, the saddles stand in the middle of the bridge’s range.`,
    places: [],
    from: [`its end ${printMm(end, 1)} mm towards the neck from the scale line, square to the centre line`],
    before: ['template made round the heel itself, one layer of paper between; tried in scrap: the heel stays up by itself'],
    after: [
      'corners to the heel’s own rounding by chisel',
      'a straight-edge over the floor: nothing rocks; then fret 12 to the bridge’s line equals nut to fret 12',
    ],
    guards: [
      guarded(
        'holds',
        'Wall that holds the heel',
        { value: deep - HOLDS, doubt },
        [
          { upTo: LEAST - HOLDS, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        deep <= 0
          ? 'The bridge is too tall for this heel: the board would have to stand higher than the heel is thick.'
          : deep < LEAST
            ? `Only ${printMm(deep, 1)} mm of wall would hold the heel: that is no pocket, ${HOLDS} are usual.`
            : `${printMm(deep, 1)} mm of wall hold the heel; ${HOLDS} are usual.`,
        'Take a lower bridge, or a neck with a thicker heel.',
      ),
    ],
  })
}

const SPRINGS = {
  long: sizeRef('body', 'vibrato.length'),
  wide: sizeRef('body', 'vibrato.width'),
  deep: sizeRef('body', 'spring.depth'),
}
/** Room beside the block, each side; over and under a spring in its room, mm. [practice] */
const BESIDE = 4
const ROUND_SPRING = 6

/** A vibrato's block swings in a slot right through, and its springs lie in a room in the back. */
export const vibratoRoute: Finder = (build, bench) => {
  const mount = traitAt(build, 'bridge', 'mount')
  if (!build.parts.body || !build.parts.bridge || !isVibrato(mount)) return undefined
  const base: Base = {
    id: 'route-vibrato',
    title: 'Slot for the vibrato’s block',
    slot: 'bridge',
    side: 'front',
    goesIn: 'the block, swinging; behind it the springs, from the back',
    located: 'the bridge’s studs or screws, square to the centre line',
    first: ['the bridge’s place, decided: every string within its saddle’s travel'],
    back: 'A block of the same wood glued in with its grain along the body, two days to dry.',
  }
  const there = isThere(build, { slot: 'body', trait: 'routed.vibrato' }, ...Object.values(SPRINGS))
  if (there === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'routed.vibrato' }])
  if (there) return cutThere(build, base, SPRINGS)
  const refs = {
    depth: sizeRef('bridge', 'block.depth'),
    length: sizeRef('bridge', 'block.length'),
    spring: sizeRef('springs', 'diameter'),
    at: sizeRef('body', 'mouthToBridge'),
    thick: THICK,
  }
  const missing = Object.values(refs).filter((r) => build.parts[r.slot] && !sizeAt(build, r))
  if (missing.length || !build.parts.springs) return waiting(build, base, missing.length ? missing : [refs.spring])
  const v = (r: SizeRef) => sizeAt(build, r)!
  const sweep = Math.tan((SWING * Math.PI) / 180) * v(refs.depth).value
  const long = v(refs.length).value + sweep + 1
  const spare = summed([
    [1, v(THICK)],
    [-1, v(refs.depth)],
  ])
  const room = v(refs.spring).value + ROUND_SPRING
  return cut(build, bench, base, {
    long,
    deep: v(THICK).value,
    about: `Right through, as wide as the block and ${BESIDE} mm each side, the block laid on; the block is ${printMm(v(refs.length).value, 1)} mm long and its foot sweeps ${printMm(sweep, 1)} more.`,
    places: [pt(datums(build).studs + long / 2, 0)],
    from: [`its front wall ${printMm(v(refs.at).value, 1)} mm from ${mouthOf(build)}, at the studs or screws`],
    after: [
      'from both faces, half each, the template turned over on two dowels',
      `springs’ room from the back, ${printMm(room, 1)} mm deep and a ledge for its lid, from the slot to where the claw stands`,
    ],
    guards: [
      guarded(
        'block',
        'Block within the body',
        { value: spare.value, doubt: spare.doubt },
        [
          { upTo: -1, is: 'wont-go' },
          { upTo: 1, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        spare.value >= 1
          ? `The block ends ${printMm(spare.value, 1)} mm inside the back.`
          : `The block is ${printMm(v(refs.depth).value, 1)} mm deep in ${aMm(v(THICK).value, 1)} body.`,
        `Take a block of ${printMm(Math.floor((v(THICK).value - 1) * 10) / 10, 1)} mm or less.`,
      ),
    ],
  })
}
