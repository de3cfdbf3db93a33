import { inHollow } from '../instrument/panel'
import { potsIn } from '../instrument/controlPlace'
import { isVibrato } from '../instrument/vibrato'
import type { Build } from '../document/build'
import { sizeAt, sizeRef, traitAt, isThrough } from '../document/read'
import type { Area } from '../geometry/area'
import { boxAround, type Box } from '../geometry/box'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { PLACES } from '../instrument/guardPlace'
import { askew, routeTurn } from '../instrument/platePlace'
import type { Size } from '../quantity/size'

/** A hollow in the body that a hole must not break into, in the instrument's frame. */
export interface Hollow extends Area {
  id: string
  name: string
  /** How surely its walls are known, 95 %, mm; nothing where it is not reckoned. */
  doubt?: number
  /** From which face it is cut, and how deep, where that is known, mm. */
  face: 'front' | 'back'
  depth?: number
  /** It is still to be cut. */
  planned?: true
}

/** What says where a hollow lies: its middle from where places on the body are counted and across, and its length and width. */
interface Said {
  x: Size | undefined
  /** Nothing where it lies on the centre line by itself. */
  y?: Size | undefined
  long: Size | undefined
  wide: Size | undefined
}

/** Every hollow of the body whose place somebody has said. */
export function hollowsOf(build: Build): Hollow[] {
  const { mouth } = datums(build)
  const size = (key: string) => sizeAt(build, { slot: 'body', size: key })
  const round = (id: string, name: string, face: Hollow['face'], { x, y, long, wide }: Said, depth?: Size): Hollow[] =>
    !x || !long || !wide
      ? []
      : [
          {
            id,
            name,
            face,
            box: { x: mouth + x.value - long.value / 2, y: (y?.value ?? 0) - wide.value / 2, width: long.value, height: wide.value },
            doubt: Math.max(Math.hypot(x.doubt, long.doubt / 2), Math.hypot(y?.doubt ?? 0, wide.doubt / 2)),
            ...(depth ? { depth: depth.value } : {}),
          },
        ]
  const pickups = PLACES.flatMap((p) =>
    round(
      `route-${p}`,
      `the ${p} pickup’s route`,
      'front',
      { x: size(`route.${p}.centre`), y: size(`route.${p}.side`), long: size(`route.${p}.length`), wide: size(`route.${p}.width`) },
      size(`route.${p}.depth`),
    ),
  )
  const pocket = size('pocket.length')
  const home = isThrough(build)
    ? []
    : round(
        'pocket',
        'the neck’s pocket',
        'front',
        { x: pocket && { ...pocket, value: pocket.value / 2, doubt: pocket.doubt / 2 }, long: pocket, wide: size('pocket.widthMouth') },
        size('pocket.depth'),
      )
  const [across, controlLong, controlWide] = [size('control.y'), size('control.length'), size('control.width')]
  const control =
    inHollow(build) || !across
      ? []
      : round(
          'control',
          'the control route',
          traitAt(build, 'body', 'access') === 'front' ? 'front' : 'back',
          { x: size('control.x'), y: across, long: controlLong, wide: controlWide },
          size('control.depth'),
        ).map((h) => ({ ...h, ...turnedAs(h.box, routeTurn(build)) }))
  return [...home, ...pickups, ...control, ...springRoom(size, round)]
}

/** A control route lies along its plate: its own corners, and the box round them, where that is laid askew. */
function turnedAs(box: Box, turn: number): Area {
  if (!turn) return { box }
  const corners = askew(pt(box.x + box.width / 2, box.y + box.height / 2), box.width, box.height, turn)
  return { box: boxAround(corners), askew: corners }
}

/** The springs' room, from the claw to behind the studs: it is in the wood whatever bridge stands over it. */
function springRoom(
  size: (key: string) => Size | undefined,
  round: (id: string, name: string, face: Hollow['face'], at: Said, depth?: Size) => Hollow[],
): Hollow[] {
  const [claw, studs, behind] = [size('claw.x'), size('mouthToBridge'), size('vibrato.length')]
  if (!claw || !studs || !behind) return []
  const end = studs.value + behind.value
  // A claw behind its studs was misread: where the room lies nobody knows.
  if (end <= claw.value) return []
  const doubt = Math.hypot(claw.doubt, studs.doubt, behind.doubt)
  return round(
    'springs',
    SPRING_ROOM.name,
    'back',
    {
      x: { ...claw, value: (claw.value + end) / 2, doubt: 0 },
      long: { ...claw, value: end - claw.value, doubt: 2 * doubt },
      wide: size('vibrato.width'),
    },
    size('spring.depth'),
  )
}

/** The room of a vibrato's springs, and what says where it lies and how deep it is. */
export const SPRING_ROOM = {
  name: 'the vibrato’s cavity',
  refs: (['claw.x', 'vibrato.length', 'vibrato.width', 'spring.depth'] as const).map((size) => sizeRef('body', size)),
}
/** A vibrato needs one, and where somebody measured any of it there is one, whatever bridge is chosen now. */
const hasSpringRoom = (build: Build): boolean =>
  (build.parts.bridge && isVibrato(traitAt(build, 'bridge', 'mount') ?? 'two-stud')) || SPRING_ROOM.refs.some((ref) => sizeAt(build, ref))

/** Hollows this instrument must have and whose place nobody measured: nothing can be called clear of them. */
export function unplacedHollows(build: Build): Pick<Hollow, 'id' | 'name'>[] {
  const known = new Set(hollowsOf(build).map((h) => h.id))
  return [
    ...(build.parts.neck && !isThrough(build) ? [{ id: 'pocket', name: 'the neck’s pocket' }] : []),
    ...PLACES.filter((p) => build.parts[`pickup-${p}`]).map((p) => ({ id: `route-${p}`, name: `the ${p} pickup’s route` })),
    ...(potsIn(build).length && !inHollow(build) ? [{ id: 'control', name: 'the control route' }] : []),
    ...(hasSpringRoom(build) ? [{ id: 'springs', name: SPRING_ROOM.name }] : []),
  ].filter(({ id }) => !known.has(id))
}
