import type { Build } from '../../document/build'
import { isGlued, sizeAt, sizeRef, traitAt } from '../../document/read'
import { pt } from '../../geometry/point'
import { TIP_CLEAR } from '../../fit/whole/screwLimits'
import { datums } from '../../instrument/datums'
import { sizeToDraw } from '../../judge/known'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { bitWords, boreBit, methodFor } from '../bench'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { guarded, unread, WOOD_LEFT } from '../guard'
import type { Guard } from '../holeCard'
import type { Located } from '../place'
import { inwardsOf } from '../place'
import { screwed } from '../screwed'
import { holeSection } from '../section'
import { isThere, summed } from '../told'

const ALONG = sizeRef('neck-screws', 'spread.along')
const ACROSS = sizeRef('neck-screws', 'spread.across')
const THICK = sizeRef('body', 'thickness')
const POCKET = sizeRef('body', 'pocket.depth')
const THREAD = sizeRef('neck-screws', 'thread')
/** The thread must slip through by this, mm. [practice] */
const FREE = { from: 0.3, to: 0.5, best: 0.4 }

const screwedOn = (build: Build) => build.parts['neck-screws'] !== undefined && build.parts.body !== undefined && !isGlued(build)

/** Four screws under a plate over the pocket's middle; another number of them, or a pattern nobody measured, has no places in numbers. */
function pattern(build: Build): Located {
  const [along, across] = [sizeAt(build, ALONG), sizeAt(build, ACROSS)]
  const missing = [ALONG, ACROSS].filter((r) => !sizeAt(build, r))
  if (!along || !across || sizeAt(build, sizeRef('neck-screws', 'count'))?.value !== 4) return { places: [], from: [], missing }
  const d = datums(build)
  const middle = (d.mouth + d.heelEnd) / 2
  return {
    places: [-1, 1].flatMap((a) => [1, -1].map((s) => pt(middle + (a * along.value) / 2, (s * across.value) / 2))),
    doubt: Math.hypot(along.doubt, across.doubt) / 2,
    from: [],
    missing: [],
  }
}

/** Clearance holes through the body, so that the screws pull the neck down instead of holding it off. */
export const neckClearance: Finder = (build, bench) => {
  if (!screwedOn(build)) return undefined
  const base: Base = {
    id: 'neck-clearance',
    title: 'Neck screw holes through the body',
    slot: 'neck-screws',
    side: 'back',
    goesIn: 'the neck screws, free to turn',
    located: 'the plate, laid square to the centre line over the pocket’s middle',
    first: ['the plate or the bushings'],
    back: 'Dowel, a day to dry, drilled anew; the plate hides it.',
  }
  const trait = { slot: 'body', trait: 'bored.neck' } as const
  const there = isThere(build, trait)
  if (there === undefined) return waiting(build, base, [], [trait])
  const located = pattern(build)
  const missing = [THREAD, ...(there ? [] : [THICK, POCKET])].filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const thread = sizeAt(build, THREAD)!.value
  const wood = summed([
    [1, sizeToDraw(build, THICK)],
    [-1, sizeToDraw(build, POCKET)],
  ])
  const unread = [THICK, POCKET].some((ref) => !sizeAt(build, ref))
  const bit = boreBit(thread + FREE.from, thread + FREE.to, thread + FREE.best, bench.bits)
  const at = { takes: thread + FREE.best, places: located.places, ...(located.doubt === undefined ? {} : { placeDoubt: located.doubt }) }
  const from = located.places.length
    ? [
        `${printMm(sizeAt(build, ALONG)!.value, 1)} x ${printMm(sizeAt(build, ACROSS)!.value, 1)} mm about the pocket’s middle on the centre line`,
      ]
    : ['the plate’s own holes']
  const draw = (size: number) => () =>
    holeSection({
      title: base.title,
      layers: [{ label: 'under the pocket', thickness: Math.max(1, wood.value), role: 'body-wood', ...(unread ? { unread } : {}) }],
      bit: size,
    })
  if (there)
    return filled(build, base, {
      work: 'keep',
      says: `The holes are there. The plate or the bushings laid on, square over the pocket’s middle: each lies in the middle of the one over it. A screw’s ${printMm(thread, 1)} mm thread must slip through without biting: where it bites, drill through with ${bitWords(bit)}.`,
      ...at,
      from: ['the holes themselves'],
      with: 'by hand',
      draw: draw(bit.bit),
    })
  const { method, why } = methodFor(bench, inwardsOf(build, located.places)?.most)
  return filled(build, base, {
    work: 'new',
    mindful: !bit.owned,
    says: [
      `Thread ${printMm(thread, 1)} mm plus ${FREE.from} to ${FREE.to}: ${bitWords(bit)}. The screw turns freely here and bites only in the heel.`,
      why ?? '',
    ]
      .filter(Boolean)
      .join(' '),
    ...at,
    from,
    steps: [
      '2 mm from the back, square, scrap clamped into the pocket so that its floor does not split out',
      `${printMm(bit.bit)} mm from the back, right through ${printMm(wood.value, 1)} mm`,
      'chamfer the pocket’s floor by hand, so that no rim holds the heel off',
    ],
    bit: bit.bit,
    size: printMm(bit.bit),
    with: method.words,
    guards: wood.value > 0 ? [] : [deeperThanBody(wood)],
    draw: draw(bit.bit),
  })
}

/** Two readings that cannot both be right. */
const deeperThanBody = (wood: Size): Guard => ({
  id: 'under',
  label: 'Wood under the pocket',
  verdict: 'wont-go',
  says: `The pocket is read ${printMm(-wood.value, 1)} mm deeper than the body is thick. Measure both again.`,
})

/** A truss rod's channel along the centre line is about so wide, mm. [practice] */
const CHANNEL = 7

/** Screws beside the truss rod, not into it. */
function toRod(build: Build): Guard {
  const [across, thread] = [sizeAt(build, ACROSS), sizeAt(build, THREAD)]
  if (!across || !thread) return unread(build, 'rod', 'Wood to the truss rod', [ACROSS, THREAD])
  const wood = (across.value - thread.value - CHANNEL) / 2
  return guarded(
    'rod',
    'Wood to the truss rod',
    { value: wood, doubt: Math.hypot(across.doubt, thread.doubt) / 2 },
    WOOD_LEFT,
    wood <= 0
      ? `The screws stand ${printMm(across.value, 1)} mm apart across: they would go into the truss rod’s channel on the centre line.`
      : `${printMm(wood, 1)} mm of wood to a channel of ${CHANNEL} mm on the centre line.`,
    'Measure again how far apart they stand; if it is so, take a plate with wider holes and plug these.',
  )
}

/** Pilots in the heel that stay clear of the board and of the rod. */
export const neckPilots: Finder = (build, bench) => {
  if (!screwedOn(build) || !build.parts.neck) return undefined
  const there = { slot: 'neck', trait: 'pilots' } as const
  const known = isThere(build, there)
  return screwed(
    build,
    bench,
    {
      id: 'neck-screws',
      title: 'Neck screw pilots in the heel',
      slot: 'neck-screws',
      side: 'heel',
      goesIn: 'neck screws through the body',
      located: 'the body’s own holes: marked through them with the neck clamped home',
      first: ['the holes through the body', 'the heel home in its pocket by hand, on the axis, and clamped'],
      back: 'Hardwood dowel glued in, a day to dry, drilled anew; the pocket hides it.',
    },
    {
      work: known === undefined ? undefined : known ? 'keep' : 'new',
      there,
      length: sizeRef('neck-screws', 'length'),
      root: sizeRef('neck-screws', 'root'),
      thread: THREAD,
      through: [
        [1, sizeRef('neck-screws', 'plate.thickness')],
        [1, THICK],
        [-1, POCKET],
      ],
      held: { label: 'plate and body', role: 'body-wood' },
      wood: { terms: [[1, sizeRef('neck', 'heel.thickness')]], face: 'the board', least: TIP_CLEAR },
      woodOf: 'neck',
      located: pattern(build),
      over: 'the neck clamped home in its pocket, on its axis, looked at through the body’s holes',
      guards: traitAt(build, 'neck', 'truss') === 'no-rod' ? [] : [toRod(build)],
      mind: ['The neck is held down by a clamp, or by a helper, while it is driven.'],
    },
  )
}
