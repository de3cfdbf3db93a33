import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { tunerPosts } from '../../instrument/tuners'
import { judged } from '../../judge/assemble'
import { check, type DetailTable, type JudgedJoint } from '../../judge/joint'
import { likelyOf, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'

/** Under this angle a string rattles in its slot like a spring, degrees. [practice] */
const RATTLES = 4.5

const deg = (r: number) => (r * 180) / Math.PI

/**
 * Break angle at the nut = headstock angle + atan((slot height above the head's face - wrap height) / distance to the post).
 * [physics] With a tree the strings it holds go to the tree first.
 */
export function nutBreakJoint(build: Build): JudgedJoint {
  const refs = { drop: sizeRef('neck', 'head.drop'), wrap: sizeRef('tuners', 'post.height'), slot: sizeRef('nut', 'slot') }
  const posts = tunerPosts(build)
  const tilt = valueAt(build, sizeRef('neck', 'head.angle')) ?? 0
  const crown = valueAt(build, sizeRef('neck', 'crown')) ?? 1.1
  const tree = build.parts['string-tree'] && valueAt(build, sizeRef('string-tree', 'height'))
  const holds = valueAt(build, sizeRef('string-tree', 'holds')) ?? 2
  const angle = (n: number, drop: number, wrap: number, slot: number) => {
    const post = posts[build.strings - n]
    const distance = post ? Math.hypot(post.x, 0) : 100
    const height = drop + crown + slot
    if (tree !== undefined && n <= holds) return tilt + deg(Math.atan((height - tree) / (0.42 * distance)))
    return tilt + deg(Math.atan((height - wrap) / distance))
  }
  return judged(build, {
    id: 'nut-break',
    title: 'Break angle at the nut',
    slots: ['neck', 'nut', 'tuners', ...(build.parts['string-tree'] ? (['string-tree'] as const) : [])],
    at: pt(-24, 30),
    refs,
    tables: angleTable(build, (n) =>
      angle(n, valueAt(build, refs.drop) ?? 0, valueAt(build, refs.wrap) ?? 0, valueAt(build, refs.slot) ?? 0),
    ),
    checks: (have) => {
      const at = (n: number) => propagate(([d, w, s]) => angle(n, d!, w!, s!), [ofSize(have.drop), ofSize(have.wrap), ofSize(have.slot)])
      const numbers = Array.from({ length: build.strings }, (_, i) => i + 1)
      const flattest = numbers.reduce((a, b) => (likelyOf(at(b)) < likelyOf(at(a)) ? b : a))
      const low = at(flattest)
      return [
        check({
          id: 'flattest',
          label: `Flattest string, ${flattest}`,
          clearance: low,
          unit: 'deg',
          bands: [
            { upTo: 0.5, is: 'wont-go' },
            { upTo: RATTLES, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: Object.values(refs),
          says: () =>
            likelyOf(low) < RATTLES
              ? `String ${flattest} breaks over the nut by only ${likelyOf(low).toFixed(1)}°: it rattles in its slot like a spring.`
              : `The flattest string breaks over the nut by ${likelyOf(low).toFixed(1)}°.`,
          cures: ({ verdict }) =>
            verdict === 'snug'
              ? []
              : [
                  {
                    id: 'lower-wraps',
                    job: `Wind string ${flattest} further down its post, two or three wraps more.`,
                    how: 'Costs nothing; string on, cut longer.',
                    gives: 'nothing',
                    tools: [],
                  },
                  {
                    id: 'string-tree',
                    job: `Or a string tree for strings 1 and 2${flattest > 2 ? ', and a second for 3 and 4' : ''}.`,
                    how: 'The lower of the two heights in the bag; placed after stringing, near the second tuner; small pilot.',
                    gives: 'neck',
                    tools: ['string tree', 'small bit'],
                  },
                ],
        }),
      ]
    },
    draw: (have) => {
      const worst = Array.from({ length: build.strings }, (_, i) => i + 1).reduce((a, b) =>
        angle(b, have.drop.value, have.wrap.value, have.slot.value) < angle(a, have.drop.value, have.wrap.value, have.slot.value) ? b : a,
      )
      const far = Math.abs(posts[build.strings - worst]?.x ?? 100)
      const face = have.drop.value + crown
      const marks: Mark[] = [
        { mark: 'area', role: 'neck-wood', points: rectangle(-far - 16, face, 0, face + 14) },
        { mark: 'area', role: 'board', points: rectangle(0, crown, 30, crown + 6) },
        { mark: 'area', role: 'plastic', points: rectangle(-3.3, -have.slot.value, 0, face) },
        { mark: 'area', role: 'metal', points: rectangle(-far - 3, face - have.wrap.value - 4, -far + 3, face) },
        { mark: 'line', role: 'string', points: [pt(30, -have.slot.value), pt(0, -have.slot.value), pt(-far, face - have.wrap.value)] },
        {
          mark: 'dimension',
          from: pt(-far - 9, face),
          to: pt(-far - 9, face - have.wrap.value),
          text: printMm(have.wrap.value, 1),
          emphasis: true,
        },
      ]
      return framed(`String ${worst} from nut to post, from the side`, 'true proportion', marks, [
        { label: `Angle of string ${worst}`, value: `${angle(worst, have.drop.value, have.wrap.value, have.slot.value).toFixed(1)}°` },
      ])
    },
  })
}

/** Steeper than this a string binds in its slot: advice, not a fault. A tilted head bears more than a parallel one, degrees. [practice] */
const STEEP = { parallel: 12, tilted: 18 }

function angleTable(build: Build, angle: (n: number) => number): DetailTable[] {
  const steep = (valueAt(build, sizeRef('neck', 'head.angle')) ?? 0) > 2 ? STEEP.tilted : STEEP.parallel
  const note = (a: number) => (a < RATTLES ? 'rattles' : a > steep ? 'steep: round the slot’s back edge, fewer wraps' : '')
  return [
    {
      title: 'Break angle string by string',
      columns: ['string', 'degrees', ''],
      rows: Array.from({ length: build.strings }, (_, i) => [String(i + 1), `${angle(i + 1).toFixed(1)}°`, note(angle(i + 1))]),
    },
  ]
}
