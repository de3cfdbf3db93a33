import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { Asker } from '../../judge/ask'
import { judged } from '../../judge/assemble'
import type { Cure, DetailTable, JudgedJoint, Question } from '../../judge/joint'
import { sizeIn } from '../../judge/known'
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
    at: () => pt(-60, -30),
    tables: () => [lengthTable(build)],
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

/** Past its post as much as holds it under a lock of its own, or in its clamp, mm. */
const leastLeft = (run: StringRun): number => (run.clamped ? 0 : TURNS.least * run.turn)
const lacks = ({ run, left }: Reach): boolean => left < leastLeft(run)

/** What nobody measures at a string's two ends is said at both ends of its range where it decides. */
const endsAs = (reach: Reach): string => {
  const { run, left } = reach
  if (!lacks(reach)) return `String ${run.number} ${reachesAs(run, left)}.`
  return `On the longest way it may have, string ${run.number} ${reachesAs(run, left)}; on the shortest, it ${reachesAs(run, left + run.slack)}.`
}

function ends(build: Build, id: Which): Question | undefined {
  const all = reaches(build, id)
  const worst = worstOf(all)
  if (!worst) return undefined
  const { run } = worst
  const short = all.filter((h) => over(h) < 0)
  return {
    id,
    spread: true,
    label: `${id === 'ends' ? 'String' : 'Cut string'} ${run.number} ${run.clamped ? 'through' : 'past'} its post`,
    clearance: certain(over(worst)),
    shown: certain(worst.left),
    bands: [
      { upTo: over(worst) - worst.left + leastLeft(run) - run.slack, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () => endsAs(worst),
    cures: ({ verdict }) => {
      if (verdict === 'snug') return []
      const other = {
        id: 'longer-strings',
        job: `${verdict === 'tight' ? 'Or take' : 'Take'} longer strings: ${short.map((h) => `${h.run.number} at least ${printMm(Math.ceil(wantedLength(h.run)), 0)} mm`).join(', ')} from ball to end.`,
        how: 'Measured with its ball against a stop, or read from the packet. A string that was cut is never spliced: it lets go under its pull.',
        gives: 'the strings',
        tools: [],
      }
      return verdict === 'tight' ? [lacks(worst) ? triedFirst(short) : lockedByTurn(short), other] : [other]
    },
  }
}

/** Whether it is long enough only the string itself can say. */
function triedFirst(short: readonly Reach[]): Cure {
  const runs = short.filter(lacks).map((h) => h.run)
  const clamped = runs[0]!.clamped
  const past = printMm(Math.ceil(THROUGH_POST + Math.max(...runs.map(leastLeft))), 0)
  return {
    id: 'hold-to-post',
    job: `Hold ${theStrings(runs.map((r) => r.number))} to ${runs.length === 1 ? 'its post' : 'their posts'} first: with ${past} mm past the middle of the post ${clamped ? 'the clamp holds it' : 'it holds, locked under its own first turn'}; with less, it is too short.`,
    how: `The ball seated where it is held, the string laid over its saddle and the nut and pulled straight by hand.${clamped ? '' : ' Others that leave less than two turns are locked so too.'} Eyes covered: a loose end whips.`,
    gives: 'nothing',
    tools: ['rule', 'eye protection'],
  }
}

const lockedByTurn = (short: readonly Reach[]): Cure => ({
  id: 'lock-by-turn',
  job: `Lock ${theStrings(short.map((h) => h.run.number))} under ${short.length === 1 ? 'its' : 'their'} own first turn, and wind what there is.`,
  how: 'Through the post, half round it under the string, up and back over it, pulled tight; then wound. Gloves or pliers for the end, eyes covered.',
  gives: 'nothing',
  tools: ['pliers', 'eye protection'],
})

/** A bass string's thick part has to lie over the nut, or the thin end sounds in its place. */
function thickWinding(build: Build): Question | undefined {
  const winding = sizeAt(build, sizeRef('strings', 'winding'))
  if (!winding) return undefined
  const { most, slack } = ballToNut(build)
  const over = certain(winding.value - most)
  const mm = (by: number) => printMm(Math.abs(by), 0)
  const past = likelyOf(over)
  return {
    id: 'winding',
    spread: true,
    label: 'Thick winding over the nut',
    clearance: over,
    bands: [
      { upTo: -slack, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      past < -slack
        ? `The thick winding ends ${mm(past + slack)} mm or more before the nut: the thin end lies in its slot, and the string neither sounds nor tunes as it should.`
        : past < 0
          ? `The thick winding may end ${mm(past)} mm before the nut or run ${mm(past + slack)} mm past it, as the string is held behind.`
          : `The thick winding runs ${mm(past)} mm past the nut.`,
    cures: ({ verdict }) => {
      if (verdict === 'snug') return []
      const other = {
        id: 'longer-winding',
        job: `${verdict === 'tight' ? 'Or take' : 'Take'} strings for a longer scale: wound for at least ${mm(Math.ceil(most))} mm from the ball.`,
        how: 'Strings run through the body need more of it than strings from a bridge’s back edge: where the bridge has both, that may save the set.',
        gives: 'the strings',
        tools: [],
      }
      if (verdict !== 'tight') return [other]
      return [
        {
          id: 'lay-over-nut',
          job: 'Lay the string in its place before it is cut, and see that its thick part goes over the nut.',
          how: 'The ball seated where it is held, the string over its saddle and pulled straight by hand along the neck.',
          gives: 'nothing',
          tools: [],
        },
        other,
      ]
    },
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
  const through = run.toPost + THROUGH_POST
  const end = through + left
  const marks: Mark[] = [
    { mark: 'area', role: 'neck-wood', points: rectangle(-30, -26, through + 20, 26) },
    { mark: 'area', role: 'plastic', points: rectangle(-4, -21, 0, 21) },
    { mark: 'circle', role: 'metal', at: pt(run.toPost, 0), r: run.post / 2 },
    { mark: 'line', role: 'string', points: [pt(Math.min(-30, end - 30), 0), pt(end, 0)] },
    { mark: 'dimension', from: pt(through, 14), to: pt(end, 14), text: printMm(Math.abs(left), 0), emphasis: true },
  ]
  return framed(`String ${run.number} laid past its post`, 'true proportion', marks, [
    { label: 'Ball to post', value: `${printMm(run.toNut + run.toPost, 0)} mm` },
    { label: 'Wanted in all', value: `${printMm(wantedLength(run), 0)} mm` },
  ])
}
