import type { Build } from '../document/build'
import { isGlued, sizeAt, traitAt, valueAt, isThrough } from '../document/read'
import type { Mark } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { datums } from '../instrument/datums'
import { hasBinding, isBare } from './zones'

/** One thing that is covered before anything is sprayed, and where it lies: mm from the nut, mm across. */
export interface Masked {
  id: 'pocket' | 'board' | 'bridge' | 'border' | 'binding' | 'sound-hole'
  says: string
  points: Point[]
}

/** What is masked on this instrument, by its own sizes. */
export function maskedOf(build: Build): Masked[] {
  const d = datums(build)
  const size = (slot: 'neck' | 'bridge', name: string, otherwise: number) => sizeAt(build, { slot, size: name })?.value ?? otherwise
  const nut = size('neck', 'nut.width', 42) / 2
  const end = size('neck', 'board.widthEnd', 56) / 2
  const pocket = (valueAt(build, { slot: 'body', size: 'pocket.widthMouth' }) ?? 2 * end) / 2
  const length = isThrough(build) ? d.heelEnd : size('neck', 'boardLength', d.heelEnd + 8)
  const border = build.finish.zones?.['neck-back']?.border
  const width = size('bridge', 'width', 70) / 2
  return [
    ...(build.finish.maskPocket && !isGlued(build)
      ? [{ id: 'pocket' as const, says: 'the pocket: film closes the joint', points: rectangle(d.mouth, -pocket, d.heelEnd, pocket) }]
      : []),
    ...(isBare(build, 'board') && build.parts.neck
      ? [
          {
            id: 'board' as const,
            says: 'the fretboard and its edges',
            points: [pt(0, -nut), pt(length, -end), pt(length, end), pt(0, nut)],
          },
        ]
      : []),
    ...(build.parts.bridge
      ? [
          {
            id: 'bridge' as const,
            says: 'where the string ground meets the bridge',
            points: rectangle(d.studs - 6, -width / 2, d.studs + 6, width / 2),
          },
        ]
      : []),
    ...(border === undefined
      ? []
      : [
          {
            id: 'border' as const,
            says: `the border on the neck’s back, ${border} mm from the nut`,
            points: [pt(border, -nut - 6), pt(border, nut + 6)],
          },
        ]),
    ...(hasBinding(build) && isBare(build, 'binding')
      ? [{ id: 'binding' as const, says: 'the binding, or it is scraped afterwards', points: [] }]
      : []),
    ...soundHole(build, d.mouth),
  ]
}

/** Through a sound hole the mist goes into the body, where it stays. */
function soundHole(build: Build, mouth: number): Masked[] {
  const [diameter, x, y] = (['diameter', 'x', 'y'] as const).map((k) => valueAt(build, { slot: 'body', size: `soundHole.${k}` }))
  const there = diameter !== undefined || traitAt(build, 'body', 'access') === 'sound-hole'
  if (!there && traitAt(build, 'body', 'build') !== 'semi-hollow') return []
  const placed = there && diameter !== undefined && x !== undefined && y !== undefined
  const round = (i: number) =>
    pt(mouth + x! + (diameter! / 2) * Math.cos((i * Math.PI) / 16), y! + (diameter! / 2) * Math.sin((i * Math.PI) / 16))
  const points = placed ? Array.from({ length: 32 }, (_, i) => round(i)) : []
  return [
    { id: 'sound-hole', says: `the sound holes${there ? '' : ', where it has any'}: paper or foam in them, flush, and out again`, points },
  ]
}

/** The same on the drawing: hatched, the border a line. */
export const maskMarks = (build: Build): Mark[] =>
  maskedOf(build).flatMap((m): Mark[] => {
    if (!m.points.length) return []
    if (m.id === 'border') return [{ mark: 'line', role: 'guide', dashed: true, points: m.points }]
    return [{ mark: 'area', role: 'doubt', points: m.points }]
  })

/** Places that are to be worn, on the front. */
export const wearMarks = (build: Build): Mark[] =>
  Object.values(build.finish.wear ?? {})
    .filter((w) => w.face === 'front')
    .map((w): Mark => ({ mark: 'area', role: 'remove', dashed: true, points: w.points }))
