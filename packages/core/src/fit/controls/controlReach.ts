import { ofHand } from '../../drawing/turnedOver'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, valueAt, type SizeRef } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { pt, type Point } from '../../geometry/point'
import { controlPlace, controlRefs, potSlot, potsIn, type PotControl } from '../../instrument/controlPlace'
import { isCarried, panelOf } from '../../instrument/panel'
import { onBody, PLATE_PLACE, poseFrom } from '../../instrument/platePlace'
import { judged } from '../../judge/assemble'
import type { Cure, JudgedJoint, Question } from '../../judge/joint'
import { sizeIn, sizesIn } from '../../judge/known'
import { likelyOf, linear, ofSize, propagate, type Distribution } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Knob to knob and knob to string, mm: closer than this hands get in each other's way. [practice] */
const KNOB_TO_KNOB = 30
const KNOB_TO_STRING = 15

const spreadRef = sizeRef('bridge', 'spread')
/** Where a pot's shaft stands on the instrument: its own two sizes, and after them where the plate lies that carries it. */
const shaftOf = (build: Build, control: PotControl): readonly SizeRef[] => {
  const { x, y } = controlRefs(build, control)
  return panelOf(build).slot === 'control-plate' ? [x, y, ...PLATE_PLACE] : [x, y]
}
/** @param values of the sizes above, in their order */
function standsAt([x, y, ...plate]: readonly number[]): Point {
  const at = pt(x!, y!)
  return plate.length ? onBody(poseFrom(...(plate as [number, number, number, number])), at) : at
}

/** Of all pots the two that stand nearest to each other. */
function nearest<A extends { at: Point }>(pots: readonly A[]): readonly [A, A] {
  const pairs = pots.flatMap((a, i) => pots.slice(i + 1).map((b) => [a, b] as const))
  const gap = ([a, b]: readonly [A, A]) => Math.hypot(a.at.x - b.at.x, a.at.y - b.at.y)
  return pairs.reduce((least, pair) => (gap(pair) < gap(least) ? pair : least))
}

/** Can the player reach the controls? Distances between knobs and from the outer string. */
export const controlReachJoint = (build: Build): JudgedJoint => {
  return judged(build, {
    id: 'control-reach',
    condition: true,
    title: 'Controls within reach',
    slots: [panelOf(build).slot, ...potsIn(build).map(potSlot), 'bridge', ...(build.parts.knobs ? (['knobs'] as const) : [])],
    at: () => {
      const last = controlPlace(build, potsIn(build).at(-1)!)
      return pt(last.x + 16, last.y)
    },
    draw: () => reachDrawing(build),
    asks: [distances],
  })
}

/** Room for a fingertip between two knobs' edges, mm. [practice] */
const FINGER = 4

/** Two knobs wider than their shafts are apart: asked where somebody has measured the knobs. */
function between(build: Build, apart: Distribution): Question[] {
  const wide = sizeAt(build, sizeRef('knobs', 'diameter'))
  if (!wide) return []
  const gap = linear([
    [1, apart],
    [-1, ofSize(wide)],
  ])
  const room = likelyOf(gap)
  const widest = Math.floor(likelyOf(apart) - FINGER)
  return [
    {
      id: 'edges',
      label: 'Between the knobs’ edges',
      clearance: linear([[1, gap]], -FINGER),
      shown: gap,
      bands: [
        { upTo: -FINGER, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        room < 0
          ? `Knobs of ${printMm(wide.value, 1)} mm overlap by ${printMm(-room, 1)} mm: one cannot turn beside the other.`
          : `Between knobs of ${printMm(wide.value, 1)} mm ${printMm(room, 1)} mm are left${verdict === 'snug' ? '.' : `; a fingertip wants ${FINGER}.`}`,
      cures: ({ verdict }) =>
        verdict === 'snug' || widest < SMALLEST
          ? []
          : [
              {
                id: 'small-knobs',
                job: `Take knobs of ${widest} mm or less.`,
                how: 'Across their widest, the skirt.',
                gives: 'the knobs',
                tools: [],
                plan: { slot: 'knobs', size: 'diameter', delta: widest - wide.value, doubt: 0.2 },
              },
            ],
    },
  ]
}
/** Knobs are hardly made smaller, mm. [practice] */
const SMALLEST = 10

const TITLE = 'Controls and the outer string, from above'
function reachDrawing(build: Build): Drawing {
  const told = potsIn(build).map((control) => ({ control, have: shaftOf(build, control).map((ref) => valueAt(build, ref)) }))
  const spread = sizeAt(build, spreadRef)
  if (!spread || told.some((t) => t.have.includes(undefined))) return nothingYet(TITLE)
  const pots = told.map(({ control, have }) => ({ control, at: standsAt(have as number[]) }))
  const [v, ends] = [pots.find((p) => p.control === 'volume')!.at, pots.map((p) => p.at.x)]
  const [{ at: a }, { at: b }] = nearest(pots)
  // The outer string on the volume's own side, which is the one that is judged.
  const y = (Math.sign(v.y) || -1) * (spread.value / 2)
  const marks: Mark[] = [
    { mark: 'line', role: 'string', points: [pt(Math.min(...ends) - 50, y), pt(Math.max(...ends) + 30, y)] },
    ...pots.map((p): Mark => ({ mark: 'circle', role: 'metal', at: p.at, r: 10 })),
    { mark: 'dimension', from: a, to: b, text: printMm(Math.hypot(a.x - b.x, a.y - b.y), 0), emphasis: true },
    { mark: 'dimension', from: pt(v.x - 18, v.y), to: pt(v.x - 18, y), text: printMm(Math.abs(v.y - y), 0) },
  ]
  const drawing = framed(TITLE, 'true proportion', marks, [
    { label: 'Knob to knob', value: `${printMm(Math.hypot(a.x - b.x, a.y - b.y), 1)} mm` },
    { label: 'Volume to outer string', value: `${printMm(Math.abs(v.y - y), 1)} mm` },
  ])
  return ofHand(drawing, build.handedness)
}

/** What is moved, and away from what. */
const STANDS = {
  knob: { holes: 'these holes', from: 'apart', one: 'one of the two holes', moved: 'from the other' },
  string: { holes: 'its hole', from: 'beside the outer string', one: 'the volume’s hole', moved: 'beside the outer string' },
} as const

/**
 * A shaft is moved by another guard or plate, or in the top, which may be drilled or not: nobody is asked for that.
 * @param under it comes up under the strings, where no knob is small enough
 */
function movedShaft(build: Build, id: keyof typeof STANDS, least: number, under: boolean): Cure {
  const panel = panelOf(build)
  const { holes, from, one, moved } = STANDS[id]
  const smaller = (words: string) => (under ? '' : `, or ${words}`)
  const hold = 'Hold the guitar and mark where the hand falls before drilling.'
  return isCarried(panel)
    ? {
        id: `move-${id}`,
        job: `Take a new ${panel.name} with ${holes} at least ${least} mm ${from}${smaller('smaller knobs')}.`,
        how: hold,
        gives: `the ${panel.name}`,
        tools: ['pencil'],
      }
    : {
        id: `move-${id}`,
        job: `Move ${one}, at least ${least} mm ${moved}${smaller('take smaller knobs')}.`,
        how: `While the top is not drilled only its mark; where it is, the hole is plugged with dowel of the same grain, an evening to dry, and drilled anew: a plug shows under a clear finish. ${hold}`,
        gives: 'body',
        tools: ['pencil', 'dowel', 'wood glue'],
      }
}

function distances(build: Build): Question[] {
  const pots = potsIn(build).map((control) => {
    const { x, y } = sizesIn(build, controlRefs(build, control))
    return { control, x, y, at: pt(x.value, y.value) }
  })
  const pair = nearest(pots)
  const [one, other] = pair
  const apart = propagate(([a, b, c, e]) => Math.hypot(a! - c!, b! - e!), [ofSize(one.x), ofSize(one.y), ofSize(other.x), ofSize(other.y)])
  // How far along the body its plate lies moves it no nearer to the strings.
  const across = shaftOf(build, 'volume').filter((ref) => ref !== PLATE_PLACE[0])
  const string = propagate(
    ([s, x, y, ...plate]) => Math.abs(standsAt([x!, y!, ...(plate.length ? [0, ...plate] : [])]).y) - s! / 2,
    [spreadRef, ...across].map((ref) => ofSize(sizeIn(build, ref))),
  )
  const near = (id: keyof typeof STANDS, label: string, what: typeof apart, least: number, says: string): Question => ({
    id,
    label,
    clearance: linear([[1, what]], -least),
    shown: what,
    // Less than nothing: a shaft that comes up under the strings.
    bands: [
      { upTo: -least, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      likelyOf(what) < 0
        ? `The volume comes up under the strings, ${printMm(-likelyOf(what), 1)} mm inside the outer one; fingers want ${least} beside it.`
        : `${says} ${printMm(likelyOf(what), 0)} mm apart${verdict === 'snug' ? '.' : `; fingers want ${least}.`}`,
    cures: ({ verdict }) => (verdict === 'snug' ? [] : [movedShaft(build, id, least, likelyOf(what) < 0)]),
  })
  const bodies = pair.map(({ control }) => sizeIn(build, sizeRef(potSlot(control), 'body.diameter')))
  const cases = linear([[1, apart], ...bodies.map((b) => [-0.5, ofSize(b)] as const)], -1)
  return [
    {
      id: 'bodies',
      label: 'Between the pots’ bodies',
      clearance: cases,
      bands: [
        { upTo: -1, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () => {
        const left = likelyOf(cases) + 1
        return left < 0
          ? `The pots’ bodies lie ${printMm(-left, 1)} mm over each other.`
          : `The pots’ bodies pass each other with ${printMm(left, 1)} mm between them.`
      },
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'small-pots',
                job: 'Take pots with a smaller body, 16 or 17 mm.',
                how: 'Turned so that their lugs point apart; insulate where cases come near.',
                gives: 'the pot',
                tools: [],
              },
            ],
    },
    near('knob', 'Knob to knob', apart, KNOB_TO_KNOB, 'Knobs stand'),
    ...between(build, apart),
    near('string', 'Volume to the outer string', string, KNOB_TO_STRING, 'Volume and outer string are'),
  ]
}
