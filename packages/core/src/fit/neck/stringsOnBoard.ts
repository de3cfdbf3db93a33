import type { Build } from '../../document/build'
import { sizeRef, type SizeRef, isThrough } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint, Question } from '../../judge/joint'
import { gapOf, sizesIn, sizeToDraw } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { fretPlace } from '../../physics/frets'
import { likelyOf, ofSize, propagate, type Distribution } from '../../quantity/distribution'
import { printMm, printSide } from '../../quantity/length'

/** String centre to board edge at nut and last fret: usual 3 to 4 mm, worrying under 2.5. [practice] */
const MARGIN_BANDS: readonly Band[] = [
  { upTo: 1.2, is: 'wont-go' },
  { upTo: 2.5, is: 'tight' },
  { upTo: 7.5, is: 'snug' },
  { upTo: Infinity, is: 'loose' },
]
/** A difference between the two margins that the eye sees, mm. [practice] */
const VISIBLE = 0.8

/**
 * Margins from the outer strings to the board's edges at the last fret, mm. The neck turns about the pocket's middle,
 * so an axis that passes the bridge on the bass side carries the board's end that way and the nut the other.
 * @param e axis beside the bridge's middle, mm, bass positive
 */
export function boardMargins(
  board: { widthEnd: number; scale: number; frets: number; pocketMiddle: number },
  spread: { nut: number; bridge: number },
  e: number,
): { bass: number; treble: number } {
  const last = fretPlace(board.scale, board.frets)
  const slope = e / (board.scale - board.pocketMiddle)
  const boardMiddle = slope * (last - board.pocketMiddle)
  const nutMiddle = -slope * board.pocketMiddle
  const along = last / board.scale
  const middle = nutMiddle * (1 - along)
  const half = (spread.nut + (spread.bridge - spread.nut) * along) / 2
  return {
    bass: boardMiddle + board.widthEnd / 2 - (middle + half),
    treble: middle - half - (boardMiddle - board.widthEnd / 2),
  }
}

export function stringsOnBoardJoint(build: Build): JudgedJoint {
  const refs = {
    widthEnd: sizeRef('neck', 'board.widthEnd'),
    frets: sizeRef('neck', 'frets'),
    nut: sizeRef('nut', 'spread'),
    bridge: sizeRef('bridge', 'spread'),
  }
  return judged(build, {
    id: 'strings-on-board',
    condition: true,
    title: 'Strings on the board',
    slots: ['neck', 'nut', 'bridge'],
    at: () => pt(datums(build).heelEnd - 60, 44),
    draw: drawnOnceKnown(build, 'Board at the last fret', refs, ({ widthEnd }) => {
      const margins = marginsIn(build, refs)
      return boardDrawing(build, widthEnd.value, { bass: likelyOf(margins.bass), treble: likelyOf(margins.treble) })
    }),
    asks: [
      marginAtNut,
      (b) => {
        const margins = marginsIn(b, refs)
        const axis = sizeToDraw(b, AXIS).value
        const both = [marginQuestion(build, 'bass', margins, axis), marginQuestion(build, 'treble', margins, axis)]
        return likelyOf(margins.bass) < likelyOf(margins.treble) ? both : both.toReversed()
      },
    ],
  })
}

/** At the nut the strings lie in the middle of the board, whichever way the neck points; between nut and last fret both edges run straight. */
function marginAtNut(build: Build): Question {
  const have = sizesIn(build, { board: sizeRef('neck', 'nut.width'), strings: sizeRef('nut', 'spread') })
  const margin = gapOf([
    [0.5, have.board],
    [-0.5, have.strings],
  ])
  return {
    id: 'nut',
    label: 'Margin at the nut, either side',
    clearance: margin,
    bands: MARGIN_BANDS,
    says: () => `Outer strings lie ${printSide(likelyOf(margin), 1, INSIDE)} the board’s edges at the nut; 3 to 4 is usual.`,
    cures: ({ verdict }) =>
      verdict === 'tight' || verdict === 'wont-go'
        ? [
            {
              id: 'closer-nut',
              job: `Take a nut with ${printMm(have.board.value - 2 * USUAL_MARGIN, 1)} mm from first to last string.`,
              how: 'Cut from a blank, the old one shows how deep its slots were; a locking one is made in that size or not at all.',
              gives: 'the nut',
              tools: ['nut blank', 'nut files or round jet-cleaning files'],
              plan: { slot: 'nut', size: 'spread', delta: have.board.value - 2 * USUAL_MARGIN - have.strings.value, doubt: 0.2 },
            },
          ]
        : [],
  }
}
const INSIDE = ['inside', 'outside'] as const
/** [practice] */
const USUAL_MARGIN = 3.3

const AXIS = sizeRef('body', 'axisAtBridge')
type Margins = Record<'bass' | 'treble', Distribution>

function marginsIn(build: Build, refs: Readonly<Record<'widthEnd' | 'frets' | 'nut' | 'bridge', SizeRef>>): Margins {
  const [widthEnd, frets, nut, bridge] = [refs.widthEnd, refs.frets, refs.nut, refs.bridge].map((r) => sizeToDraw(build, r))
  const { scale, mouth, heelEnd } = datums(build)
  const margin = (side: 'bass' | 'treble') =>
    propagate(
      ([w, n, b, e]) =>
        boardMargins({ widthEnd: w!, scale, frets: frets!.value, pocketMiddle: (mouth + heelEnd) / 2 }, { nut: n!, bridge: b! }, e!)[side],
      [ofSize(widthEnd!), ofSize(nut!), ofSize(bridge!), ofSize(sizeToDraw(build, AXIS))],
    )
  return { bass: margin('bass'), treble: margin('treble') }
}

function marginQuestion(build: Build, side: 'bass' | 'treble', margins: Margins, axis: number): Question {
  const [bass, treble] = [likelyOf(margins.bass), likelyOf(margins.treble)]
  const bias = bass - treble
  return {
    id: side,
    label: `Margin, ${side} side`,
    clearance: margins[side],
    bands: MARGIN_BANDS,
    says: ({ verdict }) => {
      const list = `Outer strings run ${printSide(bass, 1, INSIDE)} (bass) and ${printSide(treble, 1, INSIDE)} (treble) the board’s edges at the last fret.`
      if (verdict === 'tight' || verdict === 'wont-go') return `${list} Under 2.5 mm a string slips off the edge when fretted.`
      if (Math.abs(bias) > VISIBLE) return `${list} The eye sees that difference of ${printMm(Math.abs(bias), 1)} mm.`
      return list
    },
    cures: ({ verdict }) =>
      verdict === 'tight' || verdict === 'wont-go'
        ? [
            Math.abs(bias) > VISIBLE
              ? isThrough(build)
                ? {
                    id: 'bridge-aside',
                    job: `Set the bridge ${printMm(Math.abs(axis), 1)} mm to the ${axis > 0 ? 'bass' : 'treble'} side, over the neck’s own axis.`,
                    how: 'Two threads for the outer strings show its place. Holes that are there are plugged with hardwood dowel, a day to dry, and bored anew.',
                    gives: 'body',
                    tools: ['two threads', 'hardwood dowel', 'drill'],
                  }
                : {
                    id: 'turn-neck',
                    job: `Turn the neck: bring its axis ${printMm(Math.abs(axis), 1)} mm to the ${axis > 0 ? 'treble' : 'bass'} side at the bridge.`,
                    how: 'Ease one wall at the mouth and the other at the end, about half the pocket’s share each; two threads for the outer strings show it best.',
                    gives: 'body',
                    tools: ['two threads', 'chisel', 'P120 on a flat block'],
                  }
              : {
                  id: 'narrower-spacing',
                  job: 'Use a nut or saddles with closer string spacing.',
                  how: 'A new nut cut from a blank is the cheaper of the two, a locking one is bought; board edges stay as they are.',
                  gives: 'the nut',
                  tools: ['nut blank', 'nut files or round jet-cleaning files'],
                },
          ]
        : [],
  }
}

/** The board cut across at the last fret, strings above it, seen from the bridge; true proportion. */
function boardDrawing(build: Build, width: number, margin: { bass: number; treble: number }): Drawing {
  const side = build.handedness === 'left' ? -1 : 1
  const n = build.strings
  const left = -width / 2 + (side > 0 ? margin.bass : margin.treble)
  const right = width / 2 - (side > 0 ? margin.treble : margin.bass)
  const marks: Mark[] = [
    { mark: 'area', role: 'neck-wood', points: rectangle(-width / 2, 7, width / 2, 20) },
    { mark: 'area', role: 'board', points: rectangle(-width / 2, 1.2, width / 2, 7) },
    { mark: 'area', role: 'fret', points: rectangle(-width / 2 + 0.5, 0, width / 2 - 0.5, 1.2) },
  ]
  for (let i = 0; i < n; i++) {
    const x = n === 1 ? 0 : left + ((right - left) * i) / (n - 1)
    // Looking from bridge to nut the low strings lie on the left of a right-handed neck.
    const thick = side > 0 ? n - 1 - i : i
    marks.push({ mark: 'circle', role: 'string', at: pt(x, -2), r: 0.3 + 0.09 * thick })
  }
  const [l, r] = side > 0 ? [margin.bass, margin.treble] : [margin.treble, margin.bass]
  marks.push({ mark: 'dimension', from: pt(-width / 2, -7), to: pt(left, -7), text: printMm(l, 1), emphasis: true })
  marks.push({ mark: 'dimension', from: pt(right, -7), to: pt(width / 2, -7), text: printMm(r, 1), emphasis: true })
  marks.push({ mark: 'label', at: pt(-width / 2, -12), text: side > 0 ? 'bass' : 'treble', anchor: 'start' })
  marks.push({ mark: 'label', at: pt(width / 2, -12), text: side > 0 ? 'treble' : 'bass', anchor: 'end' })
  return {
    title: 'Board at the last fret, seen from the bridge',
    note: 'true proportion',
    marks,
    bounds: { x: -width / 2 - 6, y: -16, width: width + 12, height: 40 },
    numbers: [
      { label: 'Board width at the last fret', value: `${printMm(width)} mm` },
      { label: 'Margin, bass side', value: `${printMm(margin.bass, 1)} mm` },
      { label: 'Margin, treble side', value: `${printMm(margin.treble, 1)} mm` },
    ],
  }
}
