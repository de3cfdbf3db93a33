import { inHollow } from '../instrument/panel'
import { potsIn } from '../instrument/controlPlace'
import { isVibrato } from '../instrument/vibrato'
import type { Build } from '../document/build'
import { sizeAt, sizeRef, traitAt, isThrough } from '../document/read'
import type { Box } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { datums } from '../instrument/datums'
import { PLACES } from '../instrument/guardPlace'
import { askew, routeTurn } from '../instrument/platePlace'

/** A hollow in the body that a hole must not break into. */
export interface Hollow {
  id: string
  name: string
  box: Box
  /** Its own corners, where it lies askew in that box. */
  askew?: Point[]
  /** From which face it is cut, and how deep, where that is known, mm. */
  face: 'front' | 'back'
  depth?: number
}

/** Every hollow of the body whose place somebody has said, in the instrument's frame. */
export function hollowsOf(build: Build): Hollow[] {
  const d = datums(build)
  const size = (key: string) => sizeAt(build, { slot: 'body', size: key })?.value
  const round = (
    id: string,
    name: string,
    face: Hollow['face'],
    at: { x?: number; y?: number; long?: number; wide?: number },
    depth?: number,
  ): Hollow[] =>
    at.x === undefined || at.y === undefined || at.long === undefined || at.wide === undefined
      ? []
      : [
          {
            id,
            name,
            face,
            box: { x: d.mouth + at.x - at.long / 2, y: at.y - at.wide / 2, width: at.long, height: at.wide },
            ...(depth === undefined ? {} : { depth }),
          },
        ]
  const pickups = PLACES.flatMap((p) =>
    round(
      `route-${p}`,
      `the ${p} pickup’s route`,
      'front',
      at(size(`route.${p}.centre`), size(`route.${p}.side`) ?? 0, size(`route.${p}.length`), size(`route.${p}.width`)),
      size(`route.${p}.depth`),
    ),
  )
  const pocketLong = size('pocket.length')
  const pocket = isThrough(build)
    ? []
    : round(
        'pocket',
        'the neck’s pocket',
        'front',
        at(pocketLong && pocketLong / 2, 0, pocketLong, size('pocket.widthMouth')),
        size('pocket.depth'),
      )
  const control = round(
    'control',
    'the control route',
    traitAt(build, 'body', 'access') === 'front' ? 'front' : 'back',
    at(size('control.x'), size('control.y'), ...turned(size('control.length'), size('control.width'), routeTurn(build))),
    size('control.depth'),
  )
  const cut = inHollow(build) ? [] : control.map((h) => ({ ...h, ...corners(build, d.mouth) }))
  return [...pocket, ...pickups, ...cut, ...springRoom(size, round)]
}

/** Of a control route that lies along a plate laid askew. */
function corners(build: Build, mouth: number): { askew?: Point[] } {
  const turn = routeTurn(build)
  const v = (size: 'control.x' | 'control.y' | 'control.length' | 'control.width') => sizeAt(build, sizeRef('body', size))!.value
  return turn ? { askew: askew(pt(mouth + v('control.x'), v('control.y')), v('control.length'), v('control.width'), turn) } : {}
}

/** The box round a route that lies askew. */
const turned = (long: number | undefined, wide: number | undefined, turn: number): [number?, number?] => {
  if (long === undefined || wide === undefined) return [long, wide]
  const [c, s] = [Math.abs(Math.cos(turn)), Math.abs(Math.sin(turn))]
  return [long * c + wide * s, wide * c + long * s]
}

const at = (x?: number, y?: number, long?: number, wide?: number) => ({
  ...(x === undefined ? {} : { x }),
  ...(y === undefined ? {} : { y }),
  ...(long === undefined ? {} : { long }),
  ...(wide === undefined ? {} : { wide }),
})

/** The springs' room, from the claw to behind the studs: it is in the wood whatever bridge stands over it. */
function springRoom(
  size: (key: string) => number | undefined,
  round: (
    id: string,
    name: string,
    face: Hollow['face'],
    at: { x?: number; y?: number; long?: number; wide?: number },
    depth?: number,
  ) => Hollow[],
): Hollow[] {
  const [claw, studs, behind] = [size('claw.x'), size('mouthToBridge'), size('vibrato.length')]
  if (claw === undefined || studs === undefined || behind === undefined) return []
  const end = studs + behind
  return round('springs', SPRING_ROOM.name, 'back', at((claw + end) / 2, 0, end - claw, size('vibrato.width')), size('spring.depth'))
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
export function unplacedHollows(build: Build): string[] {
  const known = new Set(hollowsOf(build).map((h) => h.id))
  return [
    ...(build.parts.neck && !isThrough(build) ? [['pocket', 'the neck’s pocket']] : []),
    ...PLACES.filter((p) => build.parts[`pickup-${p}`]).map((p) => [`route-${p}`, `the ${p} pickup’s route`]),
    ...(potsIn(build).length && !inHollow(build) ? [['control', 'the control route']] : []),
    ...(hasSpringRoom(build) ? [['springs', SPRING_ROOM.name]] : []),
  ].flatMap(([id, name]) => (known.has(id!) ? [] : [name!]))
}
