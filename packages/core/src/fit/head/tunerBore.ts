import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { boreSection, framed } from '../../drawing/sections'
import { filmOn } from '../../finish/film'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { outlinePoints } from '../../instrument/outline'
import { tunerPosts } from '../../instrument/tuners'
import { judged } from '../../judge/assemble'
import { check, type Check, type JudgedJoint } from '../../judge/joint'
import { gapOf, landing, sizeOr } from '../../judge/known'
import { likelyOf, linear, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { insideBy } from '../guard/guardCover'

/** Posts stand at least this far from the headstock's edge, mm. [practice] */
const EDGE = 9
/** Wood that must stay under a headstock screw, mm. [practice] */
const UNDER_SCREW = 2.5

/**
 * What a row of n equal housings asks for: with bores that leave a play c each, posts may spread by c in all, so it goes
 * when (n - 1)(w - P) <= c. [physics]
 * @returns shortfall in mm (negative: room left) and what comes off each face that touches another, mm
 */
export function rowShortfall(n: number, width: number, pitch: number, play: number): { total: number; perFace: number } {
  const total = (n - 1) * (width - pitch) - Math.max(0, play)
  return { total, perFace: n > 1 ? Math.max(0, total) / (2 * (n - 1)) : 0 }
}

/** Tuners beside each other: housings against their pitch, with the play of the bores. */
export function tunerRowJoint(build: Build): JudgedJoint {
  const refs = { width: sizeRef('tuners', 'housing.width'), pitch: sizeRef('neck', 'tuner.pitch') }
  const posts = tunerPosts(build)
  const count = valueAt(build, sizeRef('tuners', 'count')) ?? build.strings
  const row = traitAt(build, 'neck', 'head') === 'two-rows' ? Math.ceil(count / 2) : count
  const boreRef = sizeRef('neck', 'tuner.bore')
  const bushRef = sizeRef('tuners', 'bushing')
  const bore = sizeOr(build, boreRef, 10, 0.1)
  const bush = sizeOr(build, bushRef, 10, 0.1)
  return judged(build, {
    id: 'tuner-row',
    title: 'Tuners in a row',
    slots: ['tuners', 'neck'],
    at: posts[Math.min(2, posts.length - 1)] ? pt(posts[Math.min(2, posts.length - 1)]!.x, posts[0]!.y + 30) : pt(-90, 40),
    refs,
    checks: (have) => {
      const spare = propagate(
        ([w, p, b, u]) => -rowShortfall(row, w!, p!, b! - u!).total,
        [ofSize(have.width), ofSize(have.pitch), ofSize(bore), ofSize(bush)],
      )
      const { total, perFace } = rowShortfall(row, have.width.value, have.pitch.value, bore.value - bush.value)
      const face = Math.max(0.01, perFace + landing(spare, (row - 1) * 0.01) / (2 * Math.max(1, row - 1)))
      return [
        check({
          id: 'row',
          label: `${row} housings in a row`,
          clearance: spare,
          bands: [
            { upTo: -3, is: 'wont-go' },
            { upTo: 0, is: 'tight' },
            { upTo: Infinity, is: 'snug' },
          ],
          reads: [refs.width, refs.pitch, boreRef, bushRef],
          says: () =>
            total > 0
              ? `${row} housings of ${printMm(have.width.value)} mm on ${printMm(have.pitch.value)} mm centres are ${printMm(total)} mm too wide together: the last one will not go in.`
              : `${row} housings of ${printMm(have.width.value)} mm sit on ${printMm(have.pitch.value)} mm centres with ${printMm(-total)} mm to spare.`,
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
                  {
                    id: 'file-flanges',
                    job: `File ${printMm(face)} mm off each face that touches another.`,
                    how: 'Flat on a sheet of P180; count the strokes so that all faces lose the same. Plating goes where two meet, unseen.',
                    gives: 'tuners',
                    tools: ['P180 on a flat plate'],
                    plan: { slot: 'tuners', size: 'housing.width', delta: -2 * face, doubt: 0.01 },
                  },
                ],
        }),
        ...edge(build),
      ]
    },
    draw: (have) => {
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
        if (over > 0 && i > 0)
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
    },
  })
}

/** Posts against the headstock's edge. */
function edge(build: Build): Check[] {
  const rows = build.parts.neck?.outline
  if (!rows || rows.length < 3) return []
  const outline = outlinePoints(rows)
  const nearest = Math.min(...tunerPosts(build).map((p) => insideBy(outline, p)))
  return [
    check({
      id: 'edge',
      label: 'Nearest post to the headstock edge',
      clearance: [{ weight: 1, mean: nearest - EDGE, sigma: 0.5 }],
      shown: [{ weight: 1, mean: nearest, sigma: 0.5 }],
      bands: [
        { upTo: -6, is: 'wont-go' },
        { upTo: -1, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      reads: [sizeRef('neck', 'tuner.first')],
      says: () => `The nearest post stands ${printMm(nearest, 1)} mm from the headstock’s edge; ${EDGE} is usual.`,
      cures: () => [],
    }),
  ]
}

/** A tuner's bushing in its bore, and its little screw in the headstock. */
export function tunerBoreJoint(build: Build): JudgedJoint {
  const refs = { bore: sizeRef('neck', 'tuner.bore'), bush: sizeRef('tuners', 'bushing') }
  const [post] = tunerPosts(build)
  return judged(build, {
    id: 'tuner-bore',
    title: 'Tuner bushings and screws',
    slots: ['tuners', 'neck'],
    at: post ? pt(post.x, post.y - 16) : pt(-40, -20),
    refs,
    checks: (have) => {
      const c = gapOf([
        [1, have.bore],
        [-1, have.bush],
      ])
      return [
        check({
          id: 'bore',
          label: 'Bore minus bushing',
          clearance: c,
          bands: [
            { upTo: -1.6, is: 'wont-go' },
            { upTo: -0.06, is: 'tight' },
            { upTo: 0.25, is: 'snug' },
            { upTo: 2, is: 'loose' },
            { upTo: Infinity, is: 'wont-go' },
          ],
          coats: filmOn(build, 2),
          reads: Object.values(refs),
          says: () =>
            `Bores are ${printMm(have.bore.value)} mm and the bushings ${printMm(have.bush.value)} mm. Ferrules go in before the tuners, so that each post stands square.`,
          cures: ({ verdict }) => {
            if (verdict === 'snug') return []
            if (likelyOf(c) < 0)
              return [
                {
                  id: 'ream-tuners',
                  job: `Ream the bores to ${printMm(have.bush.value + 0.05)} mm.`,
                  how: 'From both faces with a stop of tape; a bit run backwards first saves the edge. Backing scrap behind.',
                  gives: 'neck',
                  tools: ['tapered reamer or step bit'],
                  plan: { slot: 'neck', size: 'tuner.bore', delta: 0.05 - likelyOf(c), doubt: 0.05 },
                },
              ]
            return [
              {
                id: 'adapter',
                job: `Use adapter ferrules, ${printMm(have.bore.value)} outside, for the smaller posts.`,
                how: 'Pressed in, square; nothing is cut.',
                gives: 'nothing',
                tools: ['dowel', 'clamp'],
              },
            ]
          },
        }),
        ...screws(build),
        ...oldScrews(build),
        ...grip(build),
      ]
    },
    draw: (have) =>
      boreSection({
        title: 'Bushing in the headstock',
        into: 'neck-wood',
        thickness: valueAt(build, sizeRef('neck', 'head.thickness')) ?? 14,
        bore: have.bore.value,
        boreDepth: 99,
        plug: { label: 'Bushing', diameter: have.bush.value, length: 12, flange: have.bush.value + 3 },
      }),
  })
}

function screws(build: Build): Check[] {
  const refs = { head: sizeRef('neck', 'head.thickness'), screw: sizeRef('tuners', 'screw.length') }
  const head = sizeAt(build, refs.head)
  const screw = sizeAt(build, refs.screw)
  if (!head || !screw) return []
  const plateRef = sizeRef('tuners', 'plate.thickness')
  const plate = sizeOr(build, plateRef, 1.2, 0.4)
  const left = gapOf([
    [1, head],
    [1, plate],
    [-1, screw],
  ])
  return [
    check({
      id: 'screw',
      label: 'Wood under the screw’s tip',
      clearance: linear([[1, left]], -UNDER_SCREW),
      shown: left,
      bands: [
        { upTo: -UNDER_SCREW, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      reads: [...Object.values(refs), plateRef],
      says: () => `A ${printMm(screw.value, 1)} mm screw leaves ${printMm(likelyOf(left), 1)} mm of wood before the headstock’s face.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'short-tuner-screws',
                job: `Take tuner screws of ${printMm(head.value + plate.value - UNDER_SCREW, 0)} mm or less.`,
                how: 'Or nip the tip off and file it round; a screw that comes through shows on the face for good.',
                gives: 'nothing',
                tools: ['side cutters', 'file'],
                plan: { slot: 'tuners', size: 'screw.length', delta: likelyOf(left) - UNDER_SCREW - 0.3, doubt: 0.2 },
              },
            ],
    }),
  ]
}

/** Two holes this near each other hold no screw: wood between them, mm. [practice] */
const BETWEEN = 1
/** A new screw falls into an old hole of the same place, mm. [practice] */
const SAME_HOLE = 0.3

/** New tuners on a used headstock: their screws may fall beside the old holes, and the old holes may show. */
function oldScrews(build: Build): Check[] {
  const refs = { old: sizeRef('neck', 'oldScrew.offset'), own: sizeRef('tuners', 'screw.offset') }
  const old = sizeAt(build, refs.old)
  const own = sizeAt(build, refs.own)
  if (!old || !own) return []
  const [oldSideRef, ownSideRef] = [sizeRef('neck', 'oldScrew.side'), sizeRef('tuners', 'screw.side')]
  const [oldSide, ownSide] = [sizeOr(build, oldSideRef, 0, 0.5), sizeOr(build, ownSideRef, 0, 0.5)]
  const apart = propagate(([a, b, c, d]) => Math.hypot(a! - b!, c! - d!), [ofSize(old), ofSize(own), ofSize(oldSide), ofSize(ownSide)])
  const thread = valueAt(build, sizeRef('tuners', 'screw.thread')) ?? 2.2
  const width = valueAt(build, sizeRef('tuners', 'housing.width'))
  const length = valueAt(build, sizeRef('tuners', 'housing.length')) ?? width
  const covered =
    width !== undefined && length !== undefined && Math.abs(old.value) <= width / 2 - 1 && Math.abs(oldSide.value) <= length / 2 - 1
  const away = likelyOf(apart)
  const clash = away > SAME_HOLE && away < thread + BETWEEN
  return [
    check({
      id: 'old-screws',
      label: 'New screw from the old hole',
      clearance: apart,
      bands: [
        { upTo: SAME_HOLE, is: 'snug' },
        { upTo: thread + BETWEEN, is: 'tight' },
        { upTo: Infinity, is: covered ? 'snug' : 'tight' },
      ],
      reads: [...Object.values(refs), oldSideRef, ownSideRef].filter((r) => sizeAt(build, r)),
      says: () =>
        away <= SAME_HOLE
          ? 'The new screws fall into the old holes.'
          : clash
            ? `The new screws fall ${printMm(away, 1)} mm beside the old holes: the bit would wander into them.`
            : covered
              ? `The old holes lie under the new housings, ${printMm(away, 1)} mm from their screws.`
              : `The old holes show beside the new housings, ${printMm(away, 1)} mm from the new screws.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'plug-old-screws',
                job: clash ? 'Plug the old screw holes, then drill the new ones.' : 'Plug the old screw holes and touch them in.',
                how: 'A tapered sliver of the neck’s wood with glue, cut flush when dry; before any finish. Row aligned by a straight-edge first.',
                gives: 'nothing',
                tools: ['wood slivers', 'wood glue', 'small bit'],
              },
              {
                id: 'same-screw-tuners',
                job: 'Or tuners whose screws fall into the old holes, or that need none.',
                how: `Ask for the screw’s place from the post’s centre: ${printMm(old.value, 1)} mm along, ${printMm(oldSide.value, 1)} across.`,
                gives: 'the tuners',
                tools: [],
              },
            ],
    }),
  ]
}

/** A bushing or nut reaches through a headstock of so much and no more. */
function grip(build: Build): Check[] {
  const head = sizeAt(build, sizeRef('neck', 'head.thickness'))
  if (!head) return []
  const one = (id: 'grip.min' | 'grip.max', sign: 1 | -1): Check[] => {
    const ref = sizeRef('tuners', id)
    const limit = sizeAt(build, ref)
    if (!limit) return []
    const c = gapOf([
      [sign, limit],
      [-sign, head],
    ])
    const thick = id === 'grip.max'
    return [
      check({
        id,
        label: thick ? 'Thickest headstock they take, over this one' : 'This headstock over the thinnest they take',
        clearance: c,
        bands: [
          { upTo: thick ? -3 : -2, is: 'wont-go' },
          { upTo: 0, is: 'tight' },
          { upTo: Infinity, is: 'snug' },
        ],
        reads: [sizeRef('neck', 'head.thickness'), ref],
        says: () =>
          `The headstock is ${printMm(head.value, 1)} mm thick; they take ${thick ? 'at most' : 'at least'} ${printMm(limit.value, 1)}.`,
        cures: ({ verdict }) =>
          verdict === 'snug'
            ? []
            : thick
              ? [
                  {
                    id: 'thin-head',
                    job: `Plane the back of the headstock down by ${printMm(0.2 - likelyOf(c), 1)} mm, or countersink the bushings’ seats.`,
                    how: 'Before any finish; mind the wood the screws need.',
                    gives: 'neck',
                    tools: ['block plane', 'P120 on a flat block'],
                    plan: { slot: 'neck', size: 'head.thickness', delta: likelyOf(c) - 0.3, doubt: 0.1 },
                  },
                ]
              : [
                  {
                    id: 'washers-under',
                    job: `Put washers of ${printMm(0.3 - likelyOf(c), 1)} mm under the bushings’ nuts.`,
                    how: 'Polished ones on the face; the same under all.',
                    gives: 'nothing',
                    tools: ['washers'],
                  },
                ],
      }),
    ]
  }
  return [...one('grip.max', 1), ...one('grip.min', -1)]
}
