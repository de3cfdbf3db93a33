import { capital, aMm } from '../../quantity/words'
import type { Build } from '../../document/build'
import { sizeRef, type SizeRef } from '../../document/read'
import { inOpening } from '../../drawing/sections'
import { filmToCome } from '../../finish/film'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import type { PickupPlace } from '../../instrument/guardPlace'
import { Asker } from '../../judge/ask'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { amount, drawnAt, gapOf, sizeIn, sizesIn, traitIn } from '../../judge/known'
import { certain, likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { springFree, springShut } from './heightSprings'
import { biteDrawing, screwBite, tipInBody } from './heightScrews'
import { type Frame, frameOf } from '../../instrument/pickupFrame'
import { boardEnd } from './boardEnd'
import { boardEndDrawing } from './boardEnd.draw'
import { openingCures } from './openingCures'
import { ears } from './pickupEars'
import { OPENING_BANDS, HIDDEN_BANDS } from './pickupLimits'

/** Clearance a square-cornered cover needs on each side of a rounded opening: (ro - rc)(1 - 1/sqrt 2). [physics] */
export const cornerNeeds = (opening: number, cover: number): number => Math.max(0, opening - cover) * (1 - Math.SQRT1_2)
/** Corners that overlap by less than this go in by hand, mm. [ours] */
const PUSHES_IN = 0.02
/** How far the corners overlap along the diagonal when the sides are flush: (ro - rc)(sqrt 2 - 1). [physics] */
export const cornerOverlap = (opening: number, cover: number): number => Math.max(0, opening - cover) * (Math.SQRT2 - 1)

/** A pickup in what frames it (guard, ring or the body's own route) and in the wood below. */
export function pickupRoomJoint(build: Build, place: PickupPlace): JudgedJoint {
  const slot = `pickup-${place}` as const
  const frame = frameOf(build, place)
  const refs = refsOf(frame, slot)
  const title = `${capital(place)} pickup in its ${frame.name}`
  return judged(build, {
    id: `room-${place}`,
    title,
    slots: [slot, frame.slot, 'body'],
    at: () => pt(datums(build).mouth + drawnAt(build, sizeRef('body', `route.${place}.centre`)), -30),
    draw: drawnOnceKnown(build, title, refs, (have) => {
      const wide = have.openLength.value > have.length.value && have.openWidth.value > have.width.value
      if (wide && place === 'neck' && underBoard(build)) return boardEndDrawing(build)
      if (wide && hangsShort(build, place)) return biteDrawing(build, place)
      return inOpening(
        title,
        { length: have.openLength.value, width: have.openWidth.value, radius: drawnAt(build, frame.radius) },
        { length: have.length.value, width: have.width.value, radius: drawnAt(build, sizeRef(slot, 'radius')) },
        frame.slot === 'body' ? 'body-wood' : 'plastic',
      )
    }),
    asks: [
      // What frames it hangs on how it is held, and so do its sizes.
      (b) => sides(b, place),
      (b) => corner(b, place),
      (b) => ringWay(b, frameOf(b, place)),
      (b) => (place === 'neck' ? boardEnd(b) : []),
      (b) => route(b, place),
      (b) => ears(b, place),
      (b) => depth(b, place),
      (b) => screwBite(b, place),
      (b) => tipInBody(b, place),
      (b) => springShut(b, place),
      (b) => springFree(b, place),
    ],
  })
}

const refsOf = (frame: Frame, slot: `pickup-${PickupPlace}`) => ({
  length: sizeRef(slot, 'length'),
  width: sizeRef(slot, 'width'),
  openLength: frame.length,
  openWidth: frame.width,
})

/** Do its screws let go of the wood at the highest setting? Then that is what to look at. */
const hangsShort = (build: Build, place: PickupPlace): boolean =>
  new Asker(build).judge((b) => screwBite(b, place)).some((c) => c.raw.verdict === 'tight' || c.raw.verdict === 'wont-go')

/** Does the board's end stand over its cover, or too near it? */
const underBoard = (build: Build): boolean =>
  new Asker(build).judge(boardEnd).some((c) => c.raw.verdict === 'tight' || c.raw.verdict === 'wont-go')

function sides(build: Build, place: PickupPlace): Question[] {
  const frame = frameOf(build, place)
  const refs = refsOf(frame, `pickup-${place}`)
  const have = sizesIn(build, refs)
  const one = (id: 'length' | 'width', label: string, open: 'openLength' | 'openWidth'): Question => {
    const c = gapOf([
      [1, have[open]],
      [-1, have[id]],
    ])
    return {
      id,
      label,
      clearance: c,
      bands: OPENING_BANDS,
      ...(frame.slot === 'body' ? { coats: filmToCome(build, refs[open]) } : {}),
      says: ({ verdict }) => {
        const over = likelyOf(c)
        const spare = printMm(Math.abs(over))
        if (spare === '0')
          return `The pickup is as ${id === 'width' ? 'wide' : 'long'} as its ${frame.name}: it goes in with force or not at all.`
        if (over < 0) return `The pickup is ${spare} mm too ${id === 'width' ? 'wide' : 'long'} for its ${frame.name}.`
        if (verdict === 'tight') return `Only ${spare} mm to spare: the cover drags in its ${frame.name}.`
        return verdict === 'loose'
          ? `${printMm(over, 1)} mm of daylight beside the cover.`
          : `The cover drops in with ${spare} mm to spare.`
      },
      cures: ({ verdict }) =>
        verdict === 'snug' || verdict === 'loose' ? [] : openingCures(build, frame, { cover: refs[id], opening: refs[open] }, likelyOf(c)),
    }
  }
  return [one('width', 'Across', 'openWidth'), one('length', 'Along the strings', 'openLength')]
}

function corner(build: Build, place: PickupPlace): Question[] {
  const frame = frameOf(build, place)
  const slot = `pickup-${place}` as const
  const have = sizesIn(build, refsOf(frame, slot))
  const ro = sizeIn(build, frame.radius)
  const rcRef: SizeRef = { slot, size: 'radius' }
  const rc = sizeIn(build, rcRef)
  const share = 1 - Math.SQRT1_2
  // The narrower way decides; one law for round and for square, since a step in it would pass for doubt.
  const along = have.openLength.value - have.length.value
  const across = have.openWidth.value - have.width.value
  const [open, cover] = along < across ? [have.openLength, have.length] : [have.openWidth, have.width]
  const sideways = Math.max(0, Math.min(along, across)) / 2
  const spare = gapOf([
    [0.5, open],
    [-0.5, cover],
    [-share, ro],
    [share, rc],
  ])
  const needs = cornerNeeds(ro.value, rc.value)
  const inWood = frame.slot === 'body'
  return [
    {
      id: 'corner',
      label: 'Corners',
      clearance: spare,
      bands: [
        { upTo: -PUSHES_IN, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? 'The corners clear.'
          : Math.min(along, across) < 0
            ? `The cover is larger than its ${frame.name}: its corners clear once its sides do.`
            : `Square corners in ${aMm(ro.value, 1)} radius need ${printMm(needs)} mm on each side and have ${printMm(sideways)}; flush they overlap ${printMm(cornerOverlap(ro.value, rc.value))} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug' || Math.min(along, across) < 0
          ? []
          : [
              {
                id: 'square-corners',
                job: `Square the ${frame.name}’s corners out to ${printMm(Math.max(0, rc.value), 1)} mm of radius.`,
                how: `A ${inWood ? 'narrow chisel down each corner' : 'needle file into each corner'}; or round the cover’s corners instead.`,
                gives: inWood ? 'body' : frame.name,
                tools: [inWood ? 'narrow chisel' : 'needle file, or paper on a pen'],
                plan: { slot: frame.radius.slot, size: frame.radius.size, delta: rc.value - ro.value, doubt: 0.2 },
              },
            ],
    },
  ]
}

/** A ring has its foot and its way round: curved feet for arched tops, the lower side towards the neck. */
function ringWay(build: Build, frame: Frame): Question[] {
  const { slot } = frame
  if (slot !== 'ring-neck' && slot !== 'ring-bridge') return []
  const foot = traitIn(build, slot, 'foot')
  const top = traitIn(build, 'body', 'top')
  const low = sizeIn(build, sizeRef(slot, 'height.neckSide')).value
  const high = sizeIn(build, sizeRef(slot, 'height.bridgeSide')).value
  const wrongFoot = (foot === 'curved') !== (top === 'arched')
  const turned = low > high
  return [
    {
      id: 'ring',
      label: 'Ring’s foot and way round',
      clearance: certain(wrongFoot || turned ? -1 : 1),
      unit: 'none',
      bands: [
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        wrongFoot
          ? `A ${foot} foot on ${top === 'arched' ? 'an arched' : 'a flat'} top: the ring rocks, and cracks when its screws are drawn.`
          : turned
            ? 'The ring is the wrong way round: its lower side belongs towards the neck.'
            : 'The ring’s foot and way round are right.',
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: wrongFoot ? 'other-ring' : 'turn-ring',
                job: wrongFoot ? `Take a ring with a ${top === 'arched' ? 'curved' : 'flat'} foot.` : 'Turn the ring round.',
                how: 'Screws only as far as they hold: rings crack under torque.',
                gives: wrongFoot ? 'the ring' : 'nothing',
                tools: ['screwdriver'],
              },
            ],
    },
  ]
}

/** The wood below a guard or ring: lining and film count, hidden play does not. */
function route(build: Build, place: PickupPlace): Question[] {
  const frame = frameOf(build, place)
  if (frame.slot === 'body') return []
  const have = sizesIn(build, refsOf(frame, `pickup-${place}`))
  const lining = build.parts.shielding
    ? sizeIn(build, sizeRef('shielding', 'thickness'))
    : { value: 0, doubt: 0, known: 'assumed' as const }
  const checks: Question[] = []
  for (const [id, label, own] of [
    ['length', 'Route, along the strings', have.length],
    ['width', 'Route, across', have.width],
  ] as const) {
    const ref = sizeRef('body', `route.${place}.${id}`)
    const wood = sizeIn(build, ref)
    if (!wood) continue
    const c = gapOf([
      [1, wood],
      [-1, own],
      [-2, lining],
    ])
    checks.push({
      id: `route-${id}`,
      label,
      clearance: c,
      bands: HIDDEN_BANDS,
      coats: filmToCome(build, ref),
      says: ({ verdict }) =>
        verdict === 'snug'
          ? 'The route below is large enough.'
          : `The route below is ${printMm(-likelyOf(c))} mm too ${id === 'width' ? 'narrow' : 'short'}, lining included.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: `open-route-${id}`,
                job: `Open the route by ${amount(0.4 - likelyOf(c), 0.2, 1)} mm, under the ${frameOf(build, place).name} where it is not seen.`,
                how: 'Chisel or drum; before any coat goes on and before the lining goes in.',
                gives: 'body',
                tools: ['chisel', 'P80 on a flat stick'],
                plan: { slot: 'body', size: ref.size, delta: 0.4 - likelyOf(c), doubt: 0.2 },
              },
            ],
    })
  }
  return checks
}

function depth(build: Build, place: PickupPlace): Question[] {
  const refs = { route: sizeRef('body', `route.${place}.depth`), pickup: sizeRef(`pickup-${place}`, 'depth') }
  const wood = sizeIn(build, refs.route)
  const own = sizeIn(build, refs.pickup)
  const c = gapOf([
    [1, wood],
    [-1, own],
  ])
  return [
    {
      id: 'depth',
      label: 'Depth, screws run down',
      clearance: c,
      bands: [
        { upTo: -8, is: 'wont-go' },
        { upTo: 0.5, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `Run down it hangs ${printMm(own.value, 1)} mm deep in ${printMm(wood.value, 1)} mm.`
          : own.value <= wood.value
            ? `Run down it hangs ${printMm(own.value, 1)} mm deep in ${printMm(wood.value, 1)} mm: ${printMm(wood.value - own.value, 1)} mm is left below it for its leads.`
            : `Run down it needs ${printMm(own.value, 1)} mm and the route is ${printMm(wood.value, 1)} mm deep: it cannot be lowered far enough.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'deepen-route',
                job: `Deepen the route by ${printMm(1.5 - likelyOf(c), 1)} mm, to ${printMm(wood.value + 1.5 - likelyOf(c), 1)} mm.`,
                how: 'A bearing bit follows the walls; passes of 3 mm; mind what lies below. Before any coat goes on.',
                gives: 'body',
                tools: ['router', 'bearing bit'],
                plan: { slot: 'body', size: refs.route.size, delta: 1.5 - likelyOf(c), doubt: 0.5 },
              },
            ],
    },
  ]
}
