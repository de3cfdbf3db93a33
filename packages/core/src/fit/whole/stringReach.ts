import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { Asker } from '../../judge/ask'
import { judged } from '../../judge/assemble'
import type { DetailTable, JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizeIn } from '../../judge/known'
import { certain, likelyOf } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { theStrings } from '../../quantity/words'
import { ballToNut, leftOver, lengthRef, stringRuns, THROUGH_POST, TURNS, wantedLength, type StringRun } from './stringRun'

/** A scale from which a set sold for another instrument may be too short, mm. [practice, from memory] */
const LONG_SCALE = 750

/** Every set sold for a guitar reaches on a guitar: the joint exists for a longer scale, and where somebody measured or cut the strings. */
export function lengthsMatter(build: Build): boolean {
  const scale = sizeAt(build, sizeRef('neck', 'scale'))?.value ?? build.scale
  const { sizes } = build.parts.strings!
  return scale >= LONG_SCALE || Object.keys(sizes).some((key) => key === 'winding' || key.startsWith('length'))
}

/** Does each string get from what holds it through its post, with enough left to be wound? */
export const stringReachJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'string-reach',
    title: 'Strings long enough for their posts',
    slots: ['strings', 'tuners', 'neck', 'bridge'],
    at: pt(-60, -30),
    tables: [lengthTable(build)],
    draw: () => reachDrawing(build),
    asks: [(b) => ends(b, 'ends'), (b) => ends(b, 'cut-ends'), thickWinding],
  })

const reachesAs = (run: StringRun, left: number): string =>
  left < 0
    ? `ends ${printMm(-left, 0)} mm before it could be held`
    : run.clamped
      ? `goes through its post with ${printMm(left, 0)} mm left for the clamp to hold`
      : `leaves ${printMm(left, 0)} mm behind its post: ${(left / run.turn).toFixed(1)} turns round it`

interface Reach {
  run: StringRun
  /** What is left of it past its post, mm. */
  left: number
}
/** Of the strings as sold, or of those that were cut and have a length of their own. */
type Which = 'ends' | 'cut-ends'
const reaches = (build: Build, which: Which): Reach[] =>
  stringRuns(build).flatMap((run) => {
    const ref = lengthRef(build, run.number)
    return (ref.size === 'length') === (which === 'ends') ? [{ run, left: leftOver(run, sizeIn(build, ref).value) }] : []
  })
/** More than it has to have, mm. */
const over = ({ run, left }: Reach): number => left - (run.clamped ? 0 : TURNS.wanted * run.turn)
const worstOf = (all: readonly Reach[]): Reach | undefined => all.toSorted((a, b) => over(a) - over(b))[0]

function ends(build: Build, id: Which): Question | undefined {
  const all = reaches(build, id)
  const worst = worstOf(all)
  if (!worst) return undefined
  const { run } = worst
  const short = all.flatMap((h) => (over(h) < 0 ? [h.run] : []))
  const clearance = certain(over(worst))
  return {
    id,
    spread: true,
    label: `${id === 'ends' ? 'String' : 'Cut string'} ${run.number} ${run.clamped ? 'through' : 'past'} its post`,
    clearance,
    shown: certain(worst.left),
    bands: [
      { upTo: run.clamped ? 0 : (TURNS.least - TURNS.wanted) * run.turn, is: 'wont-go' },
      ...(run.clamped ? [] : [{ upTo: 0, is: 'tight' as const }]),
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => `String ${run.number} ${reachesAs(run, worst.left)}.`,
    cures: ({ verdict }) => {
      if (verdict === 'snug') return []
      const other = {
        id: 'longer-strings',
        job: `${verdict === 'tight' ? 'Or take' : 'Take'} longer strings: ${short.map((r) => `${r.number} at least ${printMm(Math.ceil(wantedLength(r)), 0)} mm`).join(', ')} from ball to end.`,
        how: 'Measured with its ball against a stop, or read from the packet. A string that was cut is never spliced: it lets go under its pull.',
        gives: 'strings',
        tools: [],
      }
      if (verdict !== 'tight') return [other]
      return [
        {
          id: 'lock-by-turn',
          job: `Lock ${theStrings(short.map((r) => r.number))} under ${short.length === 1 ? 'its' : 'their'} own first turn, and wind what there is.`,
          how: 'Through the post, half round it under the string, up and back over it, pulled tight; then wound. Gloves or pliers for the end, eyes covered.',
          gives: 'nothing',
          tools: ['pliers', 'eye protection'],
        },
        other,
      ]
    },
  }
}

/** A bass string's thick part has to lie over the nut, or the thin end sounds in its place. */
function thickWinding(build: Build): Question | undefined {
  const winding = sizeAt(build, sizeRef('strings', 'winding'))
  if (!winding) return undefined
  const toNut = ballToNut(build)
  const over = certain(winding.value - toNut)
  const mm = printMm(Math.abs(likelyOf(over)), 0)
  return {
    id: 'winding',
    spread: true,
    label: 'Thick winding over the nut',
    clearance: over,
    bands: [
      { upTo: 0, is: 'wont-go' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      likelyOf(over) < 0
        ? `The thick winding ends ${mm} mm before the nut: the thin end lies in its slot, and the string neither sounds nor tunes as it should.`
        : `The thick winding runs ${mm} mm past the nut.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'longer-winding',
              job: `Take strings for a longer scale: wound for at least ${printMm(Math.ceil(toNut), 0)} mm from the ball.`,
              how: 'Strings run through the body need more of it than strings from a bridge’s back edge: where the bridge has both, that may save the set.',
              gives: 'strings',
              tools: [],
            },
          ],
  }
}

function lengthTable(build: Build): DetailTable {
  return {
    title: 'String by string, mm',
    columns: ['string', 'ball to post', 'wanted in all', 'has', 'turns'],
    rows: stringRuns(build).map((run) => {
      const has = sizeAt(build, lengthRef(build, run.number))?.value
      const left = has === undefined ? undefined : leftOver(run, has)
      return [
        String(run.number),
        printMm(run.toNut + run.toPost, 0),
        printMm(wantedLength(run), 0),
        has === undefined ? '?' : printMm(has, 0),
        left === undefined || run.clamped ? '–' : left < 0 ? 'none' : (left / run.turn).toFixed(1),
      ]
    }),
  }
}

const TITLE = 'String past its post'

/** The head end of the string that is worst off, laid out straight; nothing while what nobody knows moves its end. */
function reachDrawing(build: Build) {
  const asker = new Asker(build)
  const known = (['ends', 'cut-ends'] as const).filter((which) => {
    const [check] = asker.judge((b) => ends(b, which))
    return check && !check.supposed && check.raw.verdict !== 'cant-tell'
  })
  const worst = worstOf(known.flatMap((which) => reaches(build, which)))
  if (!worst) return nothingYet(TITLE)
  const { run, left } = worst
  const post =
    sizeAt(build, sizeRef('tuners', 'post.diameter'))?.value ??
    run.turn / Math.PI - drawnAt(build, { slot: 'strings', size: `gauge.${run.number}` })
  const through = run.toPost + THROUGH_POST
  const end = through + left
  const marks: Mark[] = [
    { mark: 'area', role: 'neck-wood', points: rectangle(-30, -26, through + 20, 26) },
    { mark: 'area', role: 'plastic', points: rectangle(-4, -21, 0, 21) },
    { mark: 'circle', role: 'metal', at: pt(run.toPost, 0), r: post / 2 },
    { mark: 'line', role: 'string', points: [pt(Math.min(-30, end - 30), 0), pt(end, 0)] },
    { mark: 'dimension', from: pt(through, 14), to: pt(end, 14), text: printMm(Math.abs(left), 0), emphasis: true },
  ]
  return framed(`String ${run.number} laid past its post`, 'true proportion', marks, [
    { label: 'Ball to post', value: `${printMm(run.toNut + run.toPost, 0)} mm` },
    { label: 'Wanted in all', value: `${printMm(wantedLength(run), 0)} mm` },
  ])
}
