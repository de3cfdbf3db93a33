import { sizeAt, sizeRef, valueAt, type Build } from '../build'
import { pt, rectangle, type Mark, type Point } from '../drawing'
import { datums } from '../layout/datums'
import { outlinePoints } from '../layout/outline'
import { likelyOf, printMm } from '../quantity'
import { jointOf, waitingJoint, type JointBase } from './assemble'
import { framed } from './draw/sections'
import { PLACES } from './guardOpenings'
import { check, type Check, type JudgedJoint } from './joint'
import { gapOf, sizeOr } from './known'

/** A guard covers a route's edge by at least this, mm. [practice] */
const COVER = 1.5
/** A guard screw stands at least this far from a route, mm. [practice] */
const SCREW_WOOD = 3

/** Shortest distance from a point to a closed polygon's edge, mm; negative outside. */
export function insideBy(points: readonly Point[], at: Point): number {
  let nearest = Infinity
  let inside = false
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length]!
    const [dx, dy] = [q.x - p.x, q.y - p.y]
    const t = Math.max(0, Math.min(1, ((at.x - p.x) * dx + (at.y - p.y) * dy) / (dx * dx + dy * dy || 1)))
    nearest = Math.min(nearest, Math.hypot(at.x - p.x - t * dx, at.y - p.y - t * dy))
    if (p.y > at.y !== q.y > at.y && at.x < ((q.x - p.x) * (at.y - p.y)) / (q.y - p.y) + p.x) inside = !inside
  })
  return inside ? nearest : -nearest
}

/** Does the guard lie over every route's edge, clear the neck and the bridge, and find wood for its screws? */
export function guardCoverJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const base: JointBase = {
    id: 'guard-cover',
    title: 'Guard over routes, neck and bridge',
    slots: ['guard', 'body', 'neck', 'bridge'],
    at: pt(d.heelEnd + 110, 58),
    draw: () => coverDrawing(build),
  }
  const checks = [...cover(build), ...neckCut(build), ...bridgeEdge(build), ...screws(build)]
  const edge = sizeRef('guard', 'screw.edge')
  return checks.length ? jointOf(build, base, checks) : waitingJoint(base, [edge])
}

/** Corners of every route, in the guard's own frame. */
function routeCorners(build: Build): { place: string; corners: Point[] }[] {
  const pocket = valueAt(build, sizeRef('body', 'pocket.length'))
  return PLACES.flatMap((place) => {
    const v = (k: 'centre' | 'length' | 'width') => valueAt(build, sizeRef('body', `route.${place}.${k}`))
    const [c, l, w] = [v('centre'), v('length'), v('width')]
    if (!build.parts[`pickup-${place}`] || pocket === undefined || c === undefined || l === undefined || w === undefined) return []
    return [{ place, corners: rectangle(c - pocket - l / 2, -w / 2, c - pocket + l / 2, w / 2) }]
  })
}

function cover(build: Build): Check[] {
  const rows = build.parts.guard?.outline
  const corners = routeCorners(build)
  if (!rows || rows.length < 3 || !corners.length) return []
  const outline = outlinePoints(rows)
  const worst = corners
    .flatMap((r) => r.corners.map((c) => ({ place: r.place, by: insideBy(outline, c) })))
    .reduce((a, b) => (b.by < a.by ? b : a))
  return [
    check({
      id: 'cover',
      label: 'Guard beyond the route edges',
      clearance: gapOf([], worst.by).map((n) => ({ ...n, sigma: 0.3 })),
      bands: [
        { upTo: 0, is: 'wont-go' },
        { upTo: COVER, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      reads: [sizeRef('guard', 'opening.neck.centre')],
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
              {
                id: 'fill-route-edge',
                job: `Glue a strip of the body’s wood into the ${worst.place} route’s edge and cut it flush.`,
                how: 'Before any finish; or take a guard with more width there.',
                gives: 'nothing',
                tools: ['wood strip', 'wood glue', 'chisel'],
              },
            ],
    }),
  ]
}

function neckCut(build: Build): Check[] {
  const refs = { cut: sizeRef('guard', 'neck.width'), heel: sizeRef('neck', 'heel.widthEnd') }
  const cut = sizeAt(build, refs.cut)
  const heel = sizeAt(build, refs.heel)
  if (!cut || !heel) return []
  const c = gapOf([
    [1, cut],
    [-1, heel],
  ])
  return [
    check({
      id: 'neck-cut',
      label: 'Neck cut-out',
      clearance: c,
      bands: [
        { upTo: -3, is: 'wont-go' },
        { upTo: 0.05, is: 'tight' },
        { upTo: 1.5, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      reads: Object.values(refs),
      says: () => `The neck cut-out is ${printMm(Math.abs(likelyOf(c)))} mm ${likelyOf(c) < 0 ? 'narrower' : 'wider'} than the heel.`,
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
    }),
  ]
}

function bridgeEdge(build: Build): Check[] {
  const refs = { edge: sizeRef('guard', 'bridge.edge'), bridge: sizeRef('body', 'mouthToBridge'), pocket: sizeRef('body', 'pocket.length') }
  const edge = sizeAt(build, refs.edge)
  const bridge = sizeAt(build, refs.bridge)
  const pocket = sizeAt(build, refs.pocket)
  if (!edge || !bridge || !pocket) return []
  const frontRef = sizeRef('bridge', 'plate.front')
  const front = sizeOr(build, frontRef, 6, 1)
  const c = gapOf([
    [1, bridge],
    [-1, pocket],
    [-1, front],
    [-1, edge],
  ])
  return [
    check({
      id: 'bridge-edge',
      label: 'Guard to bridge plate',
      clearance: c,
      bands: [
        { upTo: -8, is: 'wont-go' },
        { upTo: 0.3, is: 'tight' },
        { upTo: 8, is: 'snug' },
        { upTo: Infinity, is: 'loose' },
      ],
      reads: [...Object.values(refs), frontRef],
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
    }),
  ]
}

function screws(build: Build): Check[] {
  const ref = sizeRef('guard', 'screw.edge')
  const edge = sizeAt(build, ref)
  if (!edge) return []
  return [
    check({
      id: 'screws',
      label: 'Nearest screw to a route',
      clearance: gapOf([[1, edge]], -SCREW_WOOD),
      shown: gapOf([[1, edge]]),
      bands: [
        { upTo: -SCREW_WOOD, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      reads: [ref],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `Every screw stands on wood, ${printMm(edge.value, 1)} mm from a route or more.`
          : `A guard screw lands ${printMm(edge.value, 1)} mm from a route; the wood there splits out under ${SCREW_WOOD} mm.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'block-for-screw',
                job: 'Glue a block into the route’s corner for that screw, or leave the screw out.',
                how: 'A block of the body’s wood, flush with the top; a short screw.',
                gives: 'nothing',
                tools: ['wood', 'wood glue'],
                plan: { slot: 'guard', size: 'screw.edge', delta: 6, doubt: 0.5 },
              },
            ],
    }),
  ]
}

function coverDrawing(build: Build) {
  const rows = build.parts.guard?.outline
  const outline = rows && rows.length >= 3 ? outlinePoints(rows) : rectangle(0, -95, 165, 60)
  const marks: Mark[] = [{ mark: 'area', role: 'plastic', points: outline }]
  for (const r of routeCorners(build)) marks.push({ mark: 'area', role: 'cavity', points: r.corners })
  const d = datums(build)
  const w = (valueAt(build, sizeRef('bridge', 'plate.width')) ?? 80) / 2
  const front = valueAt(build, sizeRef('bridge', 'plate.front')) ?? 6
  const x = d.studs - d.heelEnd
  marks.push({
    mark: 'area',
    role: 'metal',
    points: rectangle(x - front, -w, x - front + (valueAt(build, sizeRef('bridge', 'plate.length')) ?? 36), w),
  })
  return framed(
    'Guard laid over the routes, from above',
    'true proportion · dark: routes under it',
    marks,
    routeCorners(build).map((r) => ({
      label: `${r.place} route covered by`,
      value: `${printMm(Math.min(...r.corners.map((c) => insideBy(outline, c))), 1)} mm`,
    })),
    0.04,
  )
}
