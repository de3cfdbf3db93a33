import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { parted } from '../../geometry/area'
import { rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { outlinePoints } from '../../instrument/outline'
import { laidEdge, PLATE_PLACE, plateCorners, poseFrom } from '../../instrument/platePlace'
import type { Question } from '../../judge/joint'
import { sizeIn, traitIn } from '../../judge/known'
import type { Band } from '../../judge/verdict'
import { likelyOf, normal, ofSize, propagate } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { insideBy } from '../guard/guardRooms'

/** Two edges that are laid to each other by eye, mm. [practice] */
const BESIDE: readonly Band[] = [
  { upTo: -3, is: 'wont-go' },
  { upTo: 0.2, is: 'tight' },
  { upTo: Infinity, is: 'snug' },
]

const PLATE = [...PLATE_PLACE, sizeRef('control-plate', 'width')]
const BRIDGE = [
  sizeRef('body', 'mouthToBridge'),
  sizeRef('bridge', 'plate.front'),
  sizeRef('bridge', 'plate.length'),
  sizeRef('bridge', 'plate.width'),
]

const cornersOf = ([x, y, tail, long, wide]: readonly number[]): Point[] => plateCorners(poseFrom(x!, y!, tail!, long!), long!, wide!)

const read = (build: Build, refs: typeof PLATE) => refs.map((ref) => ofSize(sizeIn(build, ref)))

/** The plate beside the bridge's. */
export function besideBridge(build: Build): Question[] {
  if (!build.parts.bridge) return []
  const gap = propagate(
    (v) => {
      const [studs, front, long, wide] = v.slice(5) as [number, number, number, number]
      return parted(cornersOf(v), rectangle(studs - front, -wide / 2, studs - front + long, wide / 2))
    },
    [...read(build, PLATE), ...read(build, BRIDGE)],
  )
  return [beside('bridge', 'the bridge', gap)]
}

const edgeOf = ([x, y, tail, long, wide]: readonly number[], round: boolean): Point[] =>
  laidEdge(poseFrom(x!, y!, tail!, long!), long!, wide!, round)

/** The plate beside the guard, which lies against the neck's heel. */
export function besideGuard(build: Build): Question[] {
  const { guard } = build.parts
  if (!guard) return []
  const rows = guard.outline ?? []
  if (rows.length < 3) return [{ ...beside('guard', 'the guard', normal(0, 1)), lacks: 'the guard’s outline' }]
  const outline = outlinePoints(rows)
  const round = traitIn(build, 'control-plate', 'ends') === 'round'
  const gap = propagate(
    ([heelEnd, ...v]) => {
      const edge = edgeOf(v, round).map((p) => pt(p.x - heelEnd!, p.y))
      return -Math.max(...edge.map((p) => insideBy(outline, p)), ...outline.map((p) => insideBy(edge, p)))
    },
    [ofSize(sizeIn(build, sizeRef('body', 'pocket.length'))), ...read(build, PLATE)],
  )
  return [beside('guard', 'the guard', gap)]
}

/** Wood beyond a plate's edge, mm: less looks like a slip. [practice] */
const RIM = 3

/** The plate on the body's front, where the body is drawn. */
export function onTheBody(build: Build): Question[] {
  const rows = build.parts.body?.outline ?? []
  if (rows.length < 3) return []
  const outline = outlinePoints(rows)
  const round = traitIn(build, 'control-plate', 'ends') === 'round'
  const wood = propagate((v) => Math.min(...edgeOf(v, round).map((p) => insideBy(outline, p))), read(build, PLATE))
  const by = likelyOf(wood)
  return [
    {
      id: 'on-body',
      label: 'Control plate to the body’s edge',
      clearance: wood,
      bands: [
        { upTo: 0, is: 'wont-go' },
        { upTo: RIM, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        by < 0
          ? `The control plate hangs ${printMm(-by, 1)} mm over the body’s edge.`
          : `${printMm(by, 1)} mm of wood beyond the control plate’s edge.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'plate-inwards',
                job: 'Lay the plate further in, where its route allows it.',
                how: 'Before its screws’ holes are drilled; the route still has to be covered.',
                gives: 'nothing',
                tools: ['rule', 'tape'],
              },
            ],
    },
  ]
}

const beside = (id: string, what: string, gap: Question['clearance']): Question => ({
  id: `beside-${id}`,
  label: `Control plate to ${what}`,
  clearance: gap,
  bands: BESIDE,
  says: () =>
    likelyOf(gap) < 0
      ? `The control plate lies ${printMm(-likelyOf(gap), 1)} mm over ${what}.`
      : `${printMm(likelyOf(gap), 1)} mm between the control plate and ${what}.`,
  cures: ({ verdict }) =>
    verdict === 'snug'
      ? []
      : [
          {
            id: `clear-of-${id}`,
            job:
              id === 'guard'
                ? 'Trim the guard along the plate, scribed with both laid on.'
                : 'Lay the plate further out, where its route allows it.',
            how:
              id === 'guard'
                ? 'File to the line and chamfer it like the rest of the edge.'
                : 'Before its screws’ holes are drilled; the route still has to be covered.',
            gives: id === 'guard' ? 'guard' : 'nothing',
            tools: id === 'guard' ? ['scriber', 'flat file'] : ['rule', 'tape'],
          },
        ],
})
