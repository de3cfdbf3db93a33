import type { Build } from '../../document/build'
import { sizeRef, traitAt } from '../../document/read'
import { isUnmade } from '../../document/unmade'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { neckToExchange } from '../../instrument/neckWords'
import { outlinePoints } from '../../instrument/outline'
import { tunerPosts } from '../../instrument/tuners'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { Cure, Question, JudgedJoint } from '../../judge/joint'
import { drawnAt, landing, sizeIn, sizesIn, sizeToDraw } from '../../judge/known'
import { doubtOf, likelyOf, linear, ofSize, propagate, type Distribution } from '../../quantity/distribution'
import type { OutlineRow } from '../../parts/part'
import { digitsKnown } from '../../quantity/digitsKnown'
import { printMm, printSide } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { insideBy } from '../guard/guardRooms'

/** A housing’s wall bears no more filing than this on a face, mm. [practice, from memory] */
const FILED_AT_MOST = 0.3
/** What is glued to a headstock's edge is hardly wider, mm. [practice, from memory] */
const STRIP_AT_MOST = 15
/** Posts stand at least this far from the headstock's edge, mm. [practice] */
export const POST_EDGE = 9

/**
 * What a row of n equal housings asks for: with bores that leave a play c each, posts may spread by c in all, so it goes
 * when (n - 1)(w - P) <= c. [physics]
 * @returns shortfall in mm (negative: room left) and what comes off each face that touches another, mm
 */
export function rowShortfall(n: number, width: number, pitch: number, play: number): { total: number; perFace: number } {
  const total = (n - 1) * (width - pitch) - Math.max(0, play)
  return { total, perFace: n > 1 ? Math.max(0, total) / (2 * (n - 1)) : 0 }
}

const refs = { width: sizeRef('tuners', 'housing.width'), pitch: sizeRef('neck', 'tuner.pitch') }

/** Tuners beside each other: housings against their pitch, with the play of the bores. */
export function tunerRowJoint(build: Build): JudgedJoint {
  return judged(build, {
    id: 'tuner-row',
    title: 'Tuners in a row',
    slots: ['tuners', 'neck'],
    at: () => {
      const posts = tunerPosts(build)
      const third = posts[Math.min(2, posts.length - 1)]
      return third ? pt(third.x, posts[0]!.y + 30) : pt(-90, 40)
    },
    draw: drawnOnceKnown(build, 'Row of tuners from the back', refs, (have) => rowDrawing(build, have)),
    asks: [housings, edge],
  })
}

/** How many stand in one row. */
function inRow(build: Build): number {
  const count = drawnAt(build, sizeRef('tuners', 'count'))
  return traitAt(build, 'neck', 'head') === 'two-rows' ? Math.ceil(count / 2) : count
}
const PLAY = { bore: sizeRef('neck', 'tuner.bore'), bush: sizeRef('tuners', 'bushing') }

function housings(build: Build): Question {
  const have = sizesIn(build, refs)
  const { bore, bush } = sizesIn(build, PLAY)
  const row = inRow(build)
  const spare = propagate(
    ([w, p, b, u]) => -rowShortfall(row, w!, p!, b! - u!).total,
    [ofSize(have.width), ofSize(have.pitch), ofSize(bore), ofSize(bush)],
  )
  const digits = digitsKnown(doubtOf(spare))
  const { total, perFace } = rowShortfall(row, have.width.value, have.pitch.value, bore.value - bush.value)
  const face = Math.max(0.01, perFace + landing(spare, (row - 1) * 0.01) / (2 * Math.max(1, row - 1)))
  return {
    id: 'row',
    label: `${row} housings in a row`,
    clearance: spare,
    bands: [
      { upTo: -3, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: () =>
      total > 0
        ? `${row} housings of ${printMm(have.width.value)} mm on ${printMm(have.pitch.value)} mm centres are ${printMm(total, digits)} mm too wide together: the last one will not go in.`
        : `${row} housings of ${printMm(have.width.value)} mm sit on ${printMm(have.pitch.value)} mm centres with ${printMm(-total, digits)} mm to spare.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            {
              id: 'deburr',
              job: 'Deburr the casting seams and measure a housing again.',
              how: 'Half of this trouble is burr from the casting; a few strokes of a fine file on each flange.',
              gives: 'nothing',
              tools: ['fine file'],
            },
            face > FILED_AT_MOST ? narrower(Math.floor((have.width.value - 2 * face) * 10) / 10) : filing(face),
          ],
  }
}

const filing = (face: number): Cure => ({
  id: 'file-flanges',
  job: `File ${printMm(face)} mm off each face that touches another.`,
  how: 'Flat on a sheet of P180; count the strokes so that all faces lose the same. Plating goes where two meet, unseen.',
  gives: 'tuners',
  tools: ['P180 on a flat plate'],
  plan: { slot: 'tuners', size: 'housing.width', delta: -2 * face, doubt: 0.01 },
})

const narrower = (width: number): Cure => ({
  id: 'narrow-tuners',
  job: `Take tuners with housings of ${printMm(width, 1)} mm or less.`,
  how: `That much filed off would open these: a wall bears about ${FILED_AT_MOST} mm a face.`,
  gives: 'the tuners',
  tools: [],
})

function rowDrawing(build: Build, have: Record<keyof typeof refs, Size>) {
  const row = inRow(build)
  const bore = sizeToDraw(build, PLAY.bore)
  const bush = sizeToDraw(build, PLAY.bush)
  const marks: Mark[] = []
  for (let i = 0; i < row; i++) {
    const x = i * have.pitch.value
    const w = have.width.value / 2
    marks.push({ mark: 'area', role: 'metal', points: rectangle(x - w, -7, x + w, 7) })
    marks.push(
      { mark: 'circle', role: 'cavity', at: pt(x, 0), r: bore.value / 2 },
      { mark: 'circle', role: 'metal', at: pt(x, 0), r: bush.value / 2 },
    )
    const over = have.width.value - have.pitch.value
    // What the bores' play takes up needs no filing.
    if (i > 0 && (row - 1) * over > Math.max(0, bore.value - bush.value))
      marks.push({
        mark: 'area',
        role: 'remove',
        points: rectangle(x - have.pitch.value / 2 - over / 2, -9, x - have.pitch.value / 2 + over / 2, 9),
      })
  }
  marks.push({ mark: 'dimension', from: pt(0, 14), to: pt(have.pitch.value, 14), text: printMm(have.pitch.value) })
  marks.push({
    mark: 'dimension',
    from: pt(-have.width.value / 2, -12),
    to: pt(have.width.value / 2, -12),
    text: printMm(have.width.value),
    emphasis: true,
  })
  return framed('Row of tuners from the back', 'true proportion · hatched: where housings meet', marks, [
    { label: 'Housing', value: `${printMm(have.width.value)} mm` },
    { label: 'Centre to centre', value: `${printMm(have.pitch.value)} mm` },
    { label: 'Play of a bore', value: `${printMm(bore.value - bush.value)} mm` },
  ])
}

/** Posts against the headstock's edge: by its outline, or as read with a rule where nobody has drawn it. */
function edge(build: Build): Question[] {
  const rows = build.parts.neck?.outline
  const drawn = rows && rows.length >= 3
  const nearest = drawn ? nearestPost(build, rows) : ofSize(sizeIn(build, sizeRef('neck', 'tuner.edge')))
  return [
    {
      id: 'edge',
      ...(drawn ? { spread: true } : {}),
      label: 'Nearest post to the headstock edge',
      clearance: linear([[1, nearest]], -POST_EDGE),
      shown: nearest,
      bands: [
        { upTo: -6, is: 'wont-go' },
        { upTo: -1, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        `The nearest post stands ${printSide(likelyOf(nearest), 1, ['inside', 'outside'])} the headstock’s edge; ${POST_EDGE} is usual.`,
      cures: ({ verdict }) => (verdict === 'snug' ? [] : [furtherIn(build, POST_EDGE - likelyOf(nearest))]),
    },
  ]
}

/** A post too near the edge: where nothing is bored yet it moves, otherwise the wood comes to it. */
function furtherIn(build: Build, by: number): Cure {
  const mm = printMm(by, 1)
  const bored = !isUnmade(build, sizeRef('neck', 'tuner.bore'))
  if (bored && by > STRIP_AT_MOST)
    return {
      id: 'other-head',
      job: `Read the places of the posts and of the headstock’s edge again; if both are right, take another ${neckToExchange(build)}.`,
      how: `A strip ${mm} mm wide is no edge any more but half a headstock.`,
      gives: 'the neck',
      tools: ['rule'],
    }
  return {
    id: 'further-in',
    job: bored
      ? `Glue a strip ${mm} mm wide to that edge of the headstock, grain along it, or take another ${neckToExchange(build)}.`
      : `Mark that post ${mm} mm further in, or glue a strip so wide to that edge before anything is bored.`,
    how: `See first that each housing and its screw lie on wood: where they do and the edge is nowhere thinner than the housing’s rim, it can stay as it is. ${bored ? 'A strip shows under a clear finish.' : 'Drill’s headstock layout moves the whole row.'}`,
    gives: 'neck',
    tools: bored ? ['wood glue', 'clamps'] : ['pencil', 'awl'],
  }
}

/** How exactly an outline table follows the wood between its rows, mm. [ours] */
const OUTLINE_SIGMA = 0.5

function nearestPost(build: Build, rows: readonly OutlineRow[]): Distribution {
  const outline = outlinePoints(rows)
  return [{ weight: 1, mean: Math.min(...tunerPosts(build).map((p) => insideBy(outline, p))), sigma: OUTLINE_SIGMA }]
}
