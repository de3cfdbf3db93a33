import type { Build } from '../../document/build'
import { sizeRef, isThrough } from '../../document/read'
import { pt } from '../../geometry/point'
import { controlRefs, potsIn } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { laid, seenFrom, type Pose } from '../../instrument/guardPlace'
import { outlinePoints } from '../../instrument/outline'
import { panelOf } from '../../instrument/panel'
import { judged } from '../../judge/assemble'
import type { Question, JudgedJoint } from '../../judge/joint'
import { gapOf, sizeIn, sizesIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf, normal, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { filledEdge } from './filledEdge'
import { guardLies, guardScrews } from './guardOnWood'
import { guardFit } from './guardOpenings'
import { coverDrawing } from './guardCover.draw'
import { insideBy, routeCorners, controlRoute } from './guardRooms'
import { inRoute, wallFrom } from './inRoute'

/** A guard covers a route's edge by at least this, mm. [practice] */
const COVER = 1.5
const COVER_BANDS: readonly Band[] = [
  { upTo: 0, is: 'wont-go' },
  { upTo: COVER, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]
const STRAIGHT: Pose = { along: 0, across: 0, turn: 0 }

/** With the guard in its best place: does it lie over every route's edge, clear the neck and the bridge, and find wood for its screws? */
export const guardCoverJoint = (build: Build): JudgedJoint =>
  judged(build, {
    id: 'guard-cover',
    title: 'Guard over routes, neck and bridge',
    slots: ['guard', 'body', 'neck', 'bridge'],
    at: () => pt(datums(build).heelEnd + 110, 58),
    draw: () => coverDrawing(build, guardFit(build)?.pose ?? STRAIGHT),
    asks: [
      (b) => {
        const pose = guardFit(b)?.pose ?? STRAIGHT
        return [...cover(b, pose), ...bridgeEdge(b, pose), ...controls(b, pose)]
      },
      neckCut,
      guardScrews,
      guardLies,
    ],
  })

function cover(build: Build, pose: Pose): Question[] {
  const rows = build.parts.guard?.outline ?? []
  const corners = routeCorners(build)
  if (!corners.length) return []
  if (rows.length < 3)
    return [
      {
        id: 'cover',
        label: 'Guard beyond the route edges',
        clearance: normal(0, COVER),
        bands: COVER_BANDS,
        lacks: 'the guard’s outline',
        says: () => '',
      },
    ]
  const outline = outlinePoints(rows)
  const worst = corners
    .flatMap((r) => r.corners.map((c) => ({ place: r.place, by: insideBy(outline, seenFrom(pose, c)) })))
    .reduce((a, b) => (b.by < a.by ? b : a))
  return [
    {
      id: 'cover',
      label: 'Guard beyond the route edges',
      clearance: gapOf([], worst.by).map((n) => ({ ...n, sigma: 0.3 })),
      bands: COVER_BANDS,
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `The guard covers every route edge by ${printMm(worst.by, 1)} mm or more.`
          : worst.by < 0
            ? `The ${worst.place} route shows ${printMm(-worst.by, 1)} mm beside the guard.`
            : `The guard covers the ${worst.place} route’s edge by only ${printMm(worst.by, 1)} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              filledEdge({
                id: 'fill-route-edge',
                panel: 'guard',
                route: `the ${worst.place} route`,
                edge: `the ${worst.place} route’s edge`,
                lack: COVER - worst.by,
              }),
            ],
    },
  ]
}

function neckCut(build: Build): Question[] {
  const refs = {
    cut: sizeRef('guard', 'neck.width'),
    heel: isThrough(build) ? sizeRef('neck', 'board.widthEnd') : sizeRef('neck', 'heel.widthEnd'),
  }
  const cut = sizeIn(build, refs.cut)
  const heel = sizeIn(build, refs.heel)
  const c = gapOf([
    [1, cut],
    [-1, heel],
  ])
  return [
    {
      id: 'neck-cut',
      label: 'Neck cut-out',
      clearance: c,
      bands: [
        { upTo: -3, is: 'wont-go' },
        { upTo: 0.05, is: 'tight' },
        { upTo: 1.5, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () => {
        const off = printMm(Math.abs(likelyOf(c)))
        const what = isThrough(build) ? 'board' : 'heel'
        return off === '0'
          ? `The neck cut-out is as wide as the ${what}.`
          : `The neck cut-out is ${off} mm ${likelyOf(c) < 0 ? 'narrower' : 'wider'} than the ${what}.`
      },
      cures: ({ verdict }) =>
        verdict === 'tight' || verdict === 'wont-go'
          ? [
              {
                id: 'file-cut-out',
                job: `File the guard’s neck cut-out, ${printMm((0.3 - likelyOf(c)) / 2)} mm each side.`,
                how: 'Even strokes on both sides, so that the guard stays on the centre line.',
                gives: 'guard',
                tools: ['flat file'],
                plan: { slot: 'guard', size: 'neck.width', delta: 0.3 - likelyOf(c), doubt: 0.1 },
              },
            ]
          : [],
    },
  ]
}

function bridgeEdge(build: Build, pose: Pose): Question[] {
  const refs = { edge: sizeRef('guard', 'bridge.edge'), bridge: sizeRef('body', 'mouthToBridge'), pocket: sizeRef('body', 'pocket.length') }
  const edge = sizeIn(build, refs.edge)
  const bridge = sizeIn(build, refs.bridge)
  const pocket = sizeIn(build, refs.pocket)
  const frontRef = sizeRef('bridge', 'plate.front')
  const front = sizeIn(build, frontRef)
  const c = gapOf(
    [
      [1, bridge],
      [-1, pocket],
      [-1, front],
      [-1, edge],
    ],
    -pose.along,
  )
  return [
    {
      id: 'bridge-edge',
      label: 'Guard to bridge plate',
      clearance: c,
      bands: [
        { upTo: -8, is: 'wont-go' },
        { upTo: 0.3, is: 'tight' },
        { upTo: 8, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      says: () =>
        likelyOf(c) < 0.3
          ? `The guard’s edge meets the bridge plate: ${printMm(0.5 - likelyOf(c), 1)} mm has to go.`
          : `${printMm(likelyOf(c), 1)} mm between guard and bridge plate.`,
      cures: ({ verdict }) =>
        verdict === 'tight' || verdict === 'wont-go'
          ? [
              {
                id: 'trim-bridge-edge',
                job: `Trim the guard in front of the bridge by ${printMm(0.6 - likelyOf(c), 1)} mm.`,
                how: 'Scribe it with the bridge in place, file to the line, chamfer like the rest of the edge.',
                gives: 'guard',
                tools: ['flat file', 'scriber'],
                plan: { slot: 'guard', size: 'bridge.edge', delta: likelyOf(c) - 0.6, doubt: 0.2 },
              },
            ]
          : [],
    },
  ]
}

/** Every control it carries hangs in the route with its body's radius and room for wires. */
function controls(build: Build, pose: Pose): Question[] {
  if (panelOf(build).slot !== 'guard') return []
  const route = controlRoute(build)!
  return potsIn(build).map((control) => {
    const { x, y } = sizesIn(build, controlRefs(build, control))
    const free = propagate(([px, py]) => wallFrom(route, laid(pose, pt(px!, py!))), [ofSize(x), ofSize(y)])
    return inRoute(build, control, free)
  })
}
