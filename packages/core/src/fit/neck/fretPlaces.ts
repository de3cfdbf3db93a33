import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { Asker } from '../../judge/ask'
import { judged } from '../../judge/assemble'
import type { Cure, JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizeIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { eighteenthPlace, fretPlace, nutTooFar } from '../../physics/frets'
import { certain } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { capital } from '../../quantity/words'

/** Fret 1 off by so much is two cents of every fretted note; the last fret by so much is five cents there; and what no nut does, mm. [ours] */
const FIRST = 0.8
const LAST = 0.5
const WRONG = 4
/** Two readings of one board agree within this, mm: two by the rule, and the doubled third. [ours] */
const AGREE = 0.6

const REFS = { first: sizeRef('neck', 'frets.first'), last: sizeRef('neck', 'frets.last') }

/** Frets are sawn by machine and seldom wrong: the joint exists where somebody has read their places. */
export const fretsRead = (build: Build): boolean => Object.values(REFS).some((ref) => sizeAt(build, ref) !== undefined)

/** Do the nut and the frets stand where the scale puts them? The scale is nut to fret 12, doubled: another fret shows a nut out of its place. */
export const fretPlacesJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'fret-places',
    title: 'Frets where the scale puts them',
    condition: true,
    slots: ['neck'],
    at: () => pt(60, 0),
    draw: () => placesDrawing(build),
    asks: [firstFret, lastFret],
  })

const bands = (within: number): readonly Band[] => [
  { upTo: -WRONG, is: 'wont-go' },
  { upTo: -within, is: 'tight' },
  { upTo: within, is: 'snug' },
  { upTo: WRONG, is: 'tight' },
  { upTo: Infinity, is: 'wont-go' },
]
const mm = (by: number): string => printMm(Math.abs(by), 1)
const stands = (n: number, further: number): string =>
  `Fret ${n} stands ${mm(further)} mm ${further > 0 ? 'further from' : 'nearer to'} the nut than the scale puts it`

function firstFret(build: Build): Question | undefined {
  if (!sizeAt(build, REFS.first)) return undefined
  const scale = sizeIn(build, sizeRef('neck', 'scale')).value
  const further = sizeIn(build, REFS.first).value - fretPlace(scale, 1)
  const nut = nutTooFar(further, 1)
  const n = Math.round(drawnAt(build, sizeRef('neck', 'frets')))
  const last = sizeAt(build, REFS.last)?.value
  const borneOut = last === undefined || Math.abs(last - fretPlace(scale - 2 * nut, n) - nut) <= AGREE
  return {
    id: 'first-fret',
    spread: true,
    label: 'Fret 1, off its place',
    clearance: certain(further),
    bands: bands(FIRST),
    says: ({ verdict }) =>
      verdict === 'snug'
        ? 'The nut stands where fret 1 wants it.'
        : verdict === 'tight'
          ? `${stands(1, further)}: ${borneOut ? nutSays(nut, scale) : 'but a nut out of its place would move the last fret too, and that is not so.'}`
          : `${stands(1, further)}: more than a nut is put wrong by.`,
    cures: ({ verdict }) => (verdict === 'snug' ? [] : verdict === 'tight' && borneOut ? [movedNut(nut)] : [readAgain(n)]),
  }
}

function lastFret(build: Build): Question | undefined {
  if (!sizeAt(build, REFS.last)) return undefined
  const scale = sizeIn(build, sizeRef('neck', 'scale')).value
  // A count has no doubt, however it came to be written with one.
  const n = Math.round(sizeIn(build, sizeRef('neck', 'frets')).value)
  const place = sizeIn(build, REFS.last).value
  const further = place - fretPlace(scale, n)
  const cents = 1200 * Math.log2((scale - fretPlace(scale, n)) / (scale - place))
  const from = madeSo(build, { scale, n, place, further })
  return {
    id: 'last-fret',
    spread: true,
    label: `Fret ${n}, off its place`,
    clearance: certain(further),
    bands: bands(LAST),
    says: ({ verdict }) =>
      verdict === 'snug'
        ? `Fret ${n} stands where the scale puts it.`
        : verdict === 'tight'
          ? `${stands(n, further)}: ${Math.abs(cents).toFixed(0)} cents ${cents > 0 ? 'sharp' : 'flat'} there. ${whySays(from, further, n, scale)}`
          : `${stands(n, further)}: another scale or a slip of the rule.`,
    cures: ({ verdict }) => {
      if (verdict === 'snug') return []
      if (verdict === 'tight' && from === 'eighteen') return [asItIs(n), readAgain(n)]
      if (verdict === 'tight' && from === 'nut') return [movedNut(nutTooFar(further, n)), readAgain(n)]
      return [readAgain(n)]
    },
  }
}

type Made = 'eighteen' | 'nut' | 'either' | 'neither'

/** What put the last fret where it is: the old rule, a misplaced nut, either of them as long as nobody reads fret 1, or neither. */
function madeSo(build: Build, at: { scale: number; n: number; place: number; further: number }): Made {
  const old = (n: number) => eighteenthPlace(at.scale / 2 / eighteenthPlace(1, 12), n)
  const byOld = Math.abs(at.place - old(at.n)) <= AGREE
  const first = sizeAt(build, REFS.first)?.value
  if (first === undefined) return byOld ? 'either' : 'nut'
  const nut = nutTooFar(at.further, at.n)
  const nutFirst = fretPlace(at.scale - 2 * nut, 1) + nut
  if (byOld && Math.abs(first - old(1)) <= AGREE) return 'eighteen'
  return Math.abs(first - nutFirst) <= AGREE ? 'nut' : 'neither'
}

const nutSays = (tooFar: number, scale: number): string =>
  `the nut stands ${mm(tooFar)} mm too ${tooFar > 0 ? 'far from' : 'near to'} the frets. The scale is ${printMm(scale - 2 * tooFar, 1)} mm then, and the bridge goes by that.`

function whySays(from: Made, further: number, n: number, scale: number): string {
  if (from === 'eighteen') return 'A board sawn by the old rule of 18 is so; the bridge goes by fret 12.'
  if (from === 'nut') return capital(nutSays(nutTooFar(further, n), scale))
  if (from === 'either') return 'A board sawn by the old rule of 18 is so, or a nut is out of its place: nut to fret 1 tells.'
  return 'Neither a nut out of its place nor the old rule of 18 does that together with fret 1.'
}

const movedNut = (tooFar: number): Cure => ({
  id: 'move-nut',
  job:
    tooFar > 0
      ? `Set the nut ${mm(tooFar)} mm nearer to fret 1: its slot cut on by so much, and its back filled.`
      : `Set the nut ${mm(tooFar)} mm further from fret 1: a strip of hardwood on the slot’s board side, or a nut whose front stands so far back.`,
  how: 'Nut to fret 12 and to fret 1 are read again first, the rule’s end held at the nut’s board side; and once more when it stands, since the scale is doubled from there.',
  gives: 'neck',
  tools: ['rule', 'fine saw', 'nut file'],
})

const asItIs = (n: number): Cure => ({
  id: 'keep-old-board',
  job: `Leave the frets, set each saddle by fret 12, and know that up to fret ${n} it stays out; put right it is only by another board.`,
  how: 'Old instruments were made so and are played so. Sold on, it is said.',
  gives: 'nothing',
  tools: [],
})

const readAgain = (n: number): Cure => ({
  id: 'read-frets',
  job: `Read nut to fret 1${n === 12 ? ' and to fret 12' : `, to fret 12 and to fret ${n}`} once more, and count the frets.`,
  how: 'Strings off, a long rule on the crowns along the middle, its end against the nut’s board side; each to the middle of the crown. The scale is fret 12 doubled.',
  gives: 'nothing',
  tools: ['rule'],
})

const TITLE = 'Frets as read and as reckoned'

/** The board from above: where the read fret stands and where the scale puts it; nothing while somebody's doubt decides. */
function placesDrawing(build: Build) {
  const asker = new Asker(build)
  const worst = [firstFret, lastFret]
    .flatMap((ask) => asker.judge(ask))
    .filter((c) => !c.supposed && c.raw.verdict !== 'cant-tell')
    .toSorted((a, b) => Math.abs(b.clearance[0]!.mean) - Math.abs(a.clearance[0]!.mean))[0]
  if (!worst) return nothingYet(TITLE)
  const scale = drawnAt(build, sizeRef('neck', 'scale'))
  const isFirst = worst.id === 'first-fret'
  const n = isFirst ? 1 : drawnAt(build, sizeRef('neck', 'frets'))
  const read = drawnAt(build, isFirst ? REFS.first : REFS.last)
  const due = fretPlace(scale, n)
  const marks: Mark[] = [
    { mark: 'area', role: 'board', points: rectangle(0, -24, Math.max(read, due) + 14, 24) },
    { mark: 'area', role: 'plastic', points: rectangle(-4, -22, 0, 22) },
    { mark: 'line', role: 'fret', points: [pt(read, -24), pt(read, 24)] },
    { mark: 'line', role: 'guide', points: [pt(due, -30), pt(due, 30)] },
    { mark: 'dimension', from: pt(0, 12), to: pt(read, 12), text: printMm(read, 1) },
    { mark: 'dimension', from: pt(Math.min(read, due), -14), to: pt(Math.max(read, due), -14), text: mm(read - due), emphasis: true },
  ]
  return framed(`Fret ${n} as read, and where the scale puts it`, 'true proportion', marks, [
    { label: 'Read', value: `${printMm(read, 1)} mm` },
    { label: 'By the scale', value: `${printMm(due, 1)} mm` },
  ])
}
