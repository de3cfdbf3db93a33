import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { postsBeyondNut } from '../../instrument/tuners'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Cure, DetailTable, JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizesIn } from '../../judge/known'
import { certain, likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { capital, listed, theStrings, those } from '../../quantity/words'
import { furtherDown, type Further } from './lowerWraps'

/** Under this angle a string rattles in its slot like a spring, degrees. [practice] */
const RATTLES = 4.5

/** A tree stands so far from the nut, as a share of the way to the post. [practice] */
const TREE_AT = 0.4

const deg = (r: number) => (r * 180) / Math.PI

const refs = { drop: sizeRef('neck', 'head.drop'), wrap: sizeRef('tuners', 'post.height'), slot: sizeRef('nut', 'slot') }

/** So many strings, those with the furthest posts; of two alike the higher. */
function furthest(build: Build, count: number): number[] {
  const beyond = postsBeyondNut(build)
  const far = (n: number) => beyond[build.strings - n] ?? 100
  return stringsOf(build)
    .toSorted((a, b) => far(b) - far(a) || a - b)
    .slice(0, count)
}

/** Its wraps above the head's face: those of its own post where the posts differ, mm. */
const wrapOf = (build: Build, n: number, otherwise: number): number =>
  sizeAt(build, { slot: 'tuners', size: `post.height.${n}` })?.value ?? otherwise

/** Strings the tree there is holds down; none without one. */
const heldByTree = (build: Build): number[] =>
  build.parts['string-tree'] ? furthest(build, drawnAt(build, sizeRef('string-tree', 'holds'))) : []

/**
 * Angle of one string at the nut = headstock angle + atan((slot height above the head's face - wrap height) / distance to the post).
 * [physics] With a tree the strings it holds go to the tree first: those with the furthest posts, whose angle is the flattest.
 */
function angleOf(
  build: Build,
  wrapAt = (n: number, otherwise: number) => wrapOf(build, n, otherwise),
): (n: number, drop: number, wrap: number, slot: number, tilt: number, crown: number) => number {
  const beyond = postsBeyondNut(build)
  const tree = build.parts['string-tree'] && {
    height: drawnAt(build, sizeRef('string-tree', 'height')),
    held: heldByTree(build),
  }
  return (n, drop, wrap, slot, tilt, crown) => {
    const distance = beyond[build.strings - n] ?? 100
    const height = drop + crown + slot
    if (tree?.held.includes(n)) return tilt + deg(Math.atan((height - tree.height) / (TREE_AT * Math.abs(distance))))
    return tilt + deg(Math.atan((height - wrapAt(n, wrap)) / Math.abs(distance)))
  }
}
const ANGLES = { ...refs, tilt: sizeRef('neck', 'head.angle'), crown: sizeRef('neck', 'crown') }
type Have = Record<keyof typeof ANGLES, Size>
const stringsOf = (build: Build) => Array.from({ length: build.strings }, (_, i) => i + 1)

/** How steeply the strings break over the nut. */
export function nutBreakJoint(build: Build): JudgedJoint {
  const drawn = (n: number) => {
    const [drop, wrap, slot, tilt, crown] = Object.values(ANGLES).map((r) => drawnAt(build, r)) as [number, number, number, number, number]
    return angleOf(build)(n, drop, wrap, slot, tilt, crown)
  }
  const known = Object.values(ANGLES).every((r) => sizeAt(build, r))
  return judged(build, {
    id: 'nut-break',
    condition: true,
    title: 'Break angle at the nut',
    slots: ['neck', 'nut', 'tuners', ...(['strings', 'string-tree'] as const).filter((slot) => build.parts[slot])],
    at: () => pt(-24, 30),
    tables: () => (known ? angleTable(build, drawn) : []),
    draw: drawnOnceKnown(build, 'Break angle at the nut', refs, (have) => breakDrawing(build, have, drawn)),
    asks: [flattestString],
  })
}

/** The angle of each string, from what is known. @param wrapAt its wraps on another post */
function angleAt(build: Build, have: Have, wrapAt?: Parameters<typeof angleOf>[1]): (n: number) => number {
  const angle = angleOf(build, wrapAt)
  return (n) => angle(n, have.drop.value, have.wrap.value, have.slot.value, have.tilt.value, have.crown.value)
}

/** Strings that lie too flat to stay in their slots. */
const flatOf = (build: Build, have: Have): number[] => {
  const at = angleAt(build, have)
  return stringsOf(build).filter((n) => at(n) < RATTLES)
}

function flattestString(build: Build): Question {
  const have = sizesIn(build, ANGLES)
  const at = angleAt(build, have)
  const flattest = stringsOf(build).reduce((a, b) => (at(b) < at(a) ? b : a))
  const low = certain(at(flattest))
  // Read here, where what nobody has said is met, and not first when somebody looks at the jobs.
  const pressed = pressedBy(build, have, flatOf(build, have))
  return {
    id: 'flattest',
    spread: true,
    label: `Flattest string, ${flattest}`,
    clearance: low,
    unit: 'deg',
    bands: [
      // However flat: a tree or wraps further down are a small job.
      { upTo: RATTLES, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      likelyOf(low) < 0
        ? `String ${flattest} rises from the nut by ${(-likelyOf(low)).toFixed(1)}° instead of bearing on it: it lifts out of its slot.`
        : likelyOf(low) < RATTLES
          ? `String ${flattest} breaks over the nut by only ${likelyOf(low).toFixed(1)}°: it rattles in its slot like a spring.`
          : `The flattest string breaks over the nut by ${likelyOf(low).toFixed(1)}°.`,
    cures: ({ verdict }) => (verdict === 'snug' ? [] : [...sorting(build, have), ...pressing(pressed)]),
  }
}

/** Held down by trees, or wound further down where that does it. */
function pressing({ held, free, wound, rest }: Pressed): Cure[] {
  const byTree = { ...BY_TREE, id: 'string-tree', job: `${capital(treesFor(held, free))}.` }
  if (!wound.length) return [byTree]
  const some = treesFor(held, rest)
  return [some ? { ...BY_TREE, id: 'tree-and-wraps', job: `${capital(some)}; wind ${furtherWords(wound)}.` } : winding(wound), byTree]
}

interface Pressed {
  /** Strings that lie too flat under the tree they have, and those no tree holds yet. */
  held: readonly number[]
  free: readonly number[]
  /** Of those without a tree who is wound further down, and who has to have one. */
  wound: readonly Further[]
  rest: readonly number[]
}

/** Who is wound further down: all that lie too flat, or as many as save a tree. Nothing is wound where the post clamps the string. */
function pressedBy(build: Build, have: Have, flat: readonly number[]): Pressed {
  const under = heldByTree(build)
  const [held, free] = [flat.filter((n) => under.includes(n)), flat.filter((n) => !under.includes(n))]
  const none = { held, free, wound: [], rest: free }
  if (!free.length || !build.parts.strings || traitAt(build, 'tuners', 'locking') === 'clamp') return none
  const beyond = postsBeyondNut(build)
  const height = have.drop.value + have.crown.value + have.slot.value
  const wound = free.flatMap((n) => {
    const distance = Math.abs(beyond[build.strings - n] ?? 100)
    const wanted = height - distance * Math.tan(((RATTLES - have.tilt.value) * Math.PI) / 180)
    return furtherDown(build, n, wrapOf(build, n, have.wrap.value), wanted) ?? []
  })
  const rest = free.filter((n) => !wound.some((w) => w.n === n))
  return treeCount(rest) < treeCount(free) ? { held, free, wound, rest } : none
}

/** Strings to be wound further down as they go on; none where posts are changed about instead, or before it is known how they lie. */
export function woundFurther(build: Build): readonly Further[] {
  if (!build.parts.nut || !Object.values(ANGLES).every((r) => sizeAt(build, r))) return []
  const have = sizesIn(build, ANGLES)
  return sorting(build, have).length ? [] : pressedBy(build, have, flatOf(build, have)).wound
}

const winding = (wound: readonly Further[]): Cure => ({
  id: 'lower-wraps',
  job: `Wind ${furtherWords(wound, wound.length === 1 ? ' its post' : ' their posts')}.`,
  how: 'Costs nothing while they go on; one that is cut already is too short for it.',
  gives: 'nothing',
  tools: [],
})

/** "strings 2 and 3 further down their posts: 1 and 2 turns more". */
const furtherWords = (wound: readonly Further[], posts = ''): string => {
  const turns = wound.map((w) => w.turns)
  return `${theStrings(wound.map((w) => w.n))} further down${posts}: ${listed(turns)} ${turns.every((t) => t === 1) ? 'turn' : 'turns'} more`
}

const BY_TREE = {
  how: 'The lower of the two heights in the bag; placed after stringing, two fifths of the way from the nut to their posts; small pilot. Entered under Parts it has its hole and its turn in the plan.',
  gives: 'neck',
  toGet: true,
  tools: ['string tree', 'small bit'],
}

/** Posts of several heights belong to given strings: the shorter, the further from the nut. Offered where that alone is enough. */
function sorting(build: Build, have: Have): Cure[] {
  const all = stringsOf(build).map((n) => ({ n, wrap: wrapOf(build, n, have.wrap.value) }))
  if (all.every((s) => s.wrap === all[0]!.wrap)) return []
  const far = furthest(build, build.strings)
  const low = all.map((s) => s.wrap).toSorted((a, b) => a - b)
  const then = new Map(far.map((n, i) => [n, low[i]!]))
  const moved = all.filter((s) => then.get(s.n) !== s.wrap)
  const at = angleAt(build, have, (n) => then.get(n)!)
  if (!moved.length || stringsOf(build).some((n) => at(n) < RATTLES)) return []
  const [first, ...others] = moved.map(({ n, wrap }) => ({
    slot: 'tuners' as const,
    size: `post.height.${n}`,
    delta: then.get(n)! - wrap,
    doubt: 0,
  }))
  const told = moved.every((s) => sizeAt(build, { slot: 'tuners', size: `post.height.${s.n}` }))
  return [
    {
      id: 'sort-posts',
      job: `Change the tuners about: the taller posts nearest the nut, the shorter furthest; those of ${theStrings(moved.map((s) => s.n))} move.`,
      how: 'Strings off, screws out one tuner at a time, each kept with its own; tuners made for one side stay on it.',
      gives: 'nothing',
      tools: ['screwdriver'],
      ...(told ? { plan: { ...first!, also: others } } : {}),
    },
  ]
}

/** How many: one presses two neighbours down, and no strings that have others between them. */
function treeCount(strings: readonly number[]): number {
  const runs = strings.reduce<number[]>((lengths, n, i) => {
    if (i > 0 && strings[i - 1] === n - 1) lengths[lengths.length - 1]!++
    else lengths.push(1)
    return lengths
  }, [])
  return runs.reduce((sum, run) => sum + Math.ceil(run / 2), 0)
}

/** "a lower string tree for string 1 and 2 string trees for strings 3, 4 and 5": in place of the one there is, and beside it. */
const treesFor = (held: readonly number[], free: readonly number[]): string => {
  const count = treeCount(free)
  return those(
    [`a lower string tree for ${theStrings(held)}`, held.length],
    [`${count === 1 ? 'a string tree' : `${count} string trees`} for ${theStrings(free)}`, count],
  )
}

function breakDrawing(build: Build, have: Record<keyof typeof refs, Size>, angle: (n: number) => number) {
  const worst = stringsOf(build).reduce((a, b) => (angle(b) < angle(a) ? b : a))
  const crown = drawnAt(build, sizeRef('neck', 'crown'))
  const far = Math.abs(postsBeyondNut(build)[build.strings - worst] ?? 100)
  const wrap = wrapOf(build, worst, have.wrap.value)
  const face = have.drop.value + crown
  const marks: Mark[] = [
    { mark: 'area', role: 'neck-wood', points: rectangle(-far - 16, face, 0, face + 14) },
    { mark: 'area', role: 'board', points: rectangle(0, crown, 30, crown + 6) },
    { mark: 'area', role: 'plastic', points: rectangle(-3.3, -have.slot.value, 0, face) },
    { mark: 'area', role: 'metal', points: rectangle(-far - 3, face - wrap - 4, -far + 3, face) },
    { mark: 'line', role: 'string', points: [pt(30, -have.slot.value), pt(0, -have.slot.value), pt(-far, face - wrap)] },
    {
      mark: 'dimension',
      from: pt(-far - 9, face),
      to: pt(-far - 9, face - wrap),
      text: printMm(wrap, 1),
      emphasis: true,
    },
  ]
  return framed(`String ${worst} from nut to post, from the side`, 'true proportion', marks, [
    { label: `Angle of string ${worst}`, value: `${angle(worst).toFixed(1)}°` },
  ])
}

/** Steeper than this a string binds in its slot: advice, not a fault. A tilted head bears more than a parallel one, degrees. [practice] */
const STEEP = { parallel: 12, tilted: 18 }

function angleTable(build: Build, angle: (n: number) => number): DetailTable[] {
  const steep = drawnAt(build, sizeRef('neck', 'head.angle')) > 2 ? STEEP.tilted : STEEP.parallel
  const note = (a: number) => (a < RATTLES ? 'rattles' : a > steep ? 'steep: round the slot’s back edge, fewer wraps' : '')
  return [
    {
      title: 'Break angle string by string',
      columns: ['string', 'degrees', ''],
      rows: Array.from({ length: build.strings }, (_, i) => [String(i + 1), `${angle(i + 1).toFixed(1)}°`, note(angle(i + 1))]),
    },
  ]
}
