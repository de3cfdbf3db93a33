import { mouthOf } from '../../instrument/neckWords'
import { THREAD_KEPT } from '../../fit/controls/potLimits'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../../document/read'
import type { Area } from '../../geometry/area'
import { boxAround, rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import {
  CONTROL_WORDS,
  controlPlace,
  controlRefs,
  controlSaid,
  jackPanel,
  potSlot,
  potsIn,
  SWITCHES_OF,
  type Control,
  type PotControl,
  type SwitchControl,
} from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { isCarried, panelOf } from '../../instrument/panel'
import { onBody, onPlate, PLATE_PLACE, platePose } from '../../instrument/platePlace'
import { FRAME, isScrewedDown } from '../../instrument/switchMake'
import { FACE_GUARD } from '../../physics/pilot'
import { printMm } from '../../quantity/length'
import type { Size } from '../../quantity/size'
import { refusedAnyhow, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { guarded } from '../guard'
import type { Guard, Side } from '../holeCard'
import { fromEdge } from '../place'
import { plateTurn } from '../plateTurn'
import { isThere, summed } from '../told'
import { cut, cutThere } from './bodyRoutes'

const THICK = sizeRef('body', 'thickness')
const CONTROL = {
  long: sizeRef('body', 'control.length'),
  wide: sizeRef('body', 'control.width'),
  deep: sizeRef('body', 'control.depth'),
}
/** Room round a control for hands and wire, and over it for wire, mm. [practice] */
const ROUND_CONTROL = 5
const OVER = 4

/** Half a toggle's or a rotary's frame, mm. [practice, from memory] */
const TOGGLE = 14

/** A control that hangs in the route: how far it reaches from its place along and across, by which size, and how deep. */
interface Housed {
  control: Control | 'jack'
  wide?: SizeRef
  reach: (wide: number | undefined) => Point
  deep: SizeRef
}

const pot = (control: PotControl): Housed => ({
  control,
  wide: sizeRef(potSlot(control), 'body.diameter'),
  reach: (wide) => pt(wide! / 2, wide! / 2),
  deep: sizeRef(potSlot(control), 'body.depth'),
})

/** A jack beside them: its plug goes straight down. */
const JACK: Housed = {
  control: 'jack',
  wide: sizeRef('jack', 'width'),
  reach: (wide) => pt(wide! / 2, wide! / 2),
  deep: sizeRef('jack', 'depth'),
}

/** A switch on a plate lies along it; how it lies in a guard or in the wood nobody says, and it may have a hollow of its own. */
function switchIn(build: Build, control: SwitchControl): Housed {
  const deep = sizeRef(control, 'depth')
  if (!isScrewedDown(traitAt(build, control, 'contacts')!)) return { control, reach: () => pt(TOGGLE, TOGGLE), deep }
  return { control, wide: sizeRef(control, 'screw.spacing'), reach: (wide) => pt(wide! / 2 + FRAME.end, FRAME.across), deep }
}

const isOnPlate = (build: Build) => panelOf(build).slot === 'control-plate'
const switchesIn = (build: Build) => SWITCHES_OF.filter((of) => build.parts[of])

const housed = (build: Build): Housed[] => [
  ...potsIn(build).map(pot),
  ...(isOnPlate(build) ? switchesIn(build).map((of) => switchIn(build, of)) : []),
  ...(isOnPlate(build) && jackPanel(build) ? [JACK] : []),
]

/** Seen along its plate, where one carries the controls; along the strings otherwise. @returns there, and back */
function alongPlate(build: Build): readonly [(p: Point) => Point, (p: Point) => Point] {
  if (!isOnPlate(build)) return [(p) => p, (p) => p]
  const { mouth } = datums(build)
  const pose = platePose(build)
  return [
    (p) => onPlate(pose, pt(p.x - mouth, p.y)),
    (p) => {
      const at = onBody(pose, p)
      return pt(mouth + at.x, at.y)
    },
  ]
}

const named = (control: Control | 'jack'): string => (control === 'jack' ? control : CONTROL_WORDS[control])

/** What hangs beside the pots and is not reckoned in. */
const besidePots = (build: Build): string[] =>
  isOnPlate(build)
    ? []
    : [...switchesIn(build), ...(jackPanel(build) ? (['jack'] as const) : [])].map(
        (of) => `The ${named(of)} is not reckoned in: hold it to the wood and draw round its frame, with the same room round it.`,
      )

/** What is cut from one face is no use to the other: of two things that were told one is not so. */
const atOdds = (access: 'back' | 'sound-hole'): Guard => ({
  id: 'odds',
  label: 'One face it is cut from',
  verdict: 'wont-go',
  says: `The controls are told to go in ${access === 'back' ? 'from the back' : 'by the sound hole'}, and a control plate lies over a route cut from the front. Take the plate out under Parts, or say of the body that they go in from the front.`,
})

/** The room for the controls: round their places, as deep as the tallest of them, its wires and a lid. */
export const controlRoute: Finder = (build, bench) => {
  const access = traitAt(build, 'body', 'access')
  if (!build.parts.body || !potsIn(build).length || (access === 'sound-hole' && !isOnPlate(build))) return undefined
  const side: Side = access === 'back' ? 'back' : 'front'
  const panel = panelOf(build)
  const base: Base = {
    id: 'route-control',
    title: 'Control route',
    slot: potSlot(potsIn(build)[0]!),
    side,
    goesIn: 'the controls, their wires and a lid',
    located: `the controls’ own places, ${isCarried(panel) ? `through the ${panel.name}` : 'on the top'}`,
    first: ['every control’s place marked, shafts 30 mm apart and 15 from the strings'],
    back: 'A block of the same wood glued in, a day to dry; a larger lid hides a wall that ran away.',
  }
  const there = isThere(build, { slot: 'body', trait: 'routed.control' }, ...Object.values(CONTROL))
  if (there === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'routed.control' }])
  if (there) return cutThere(build, base, CONTROL)
  if (access === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'access' }])
  if ((access === 'back' || access === 'sound-hole') && isOnPlate(build)) return refusedAnyhow(waiting(build, base, []), atOdds(access))
  const unsaid = isOnPlate(build) ? switchesIn(build).filter((of) => traitAt(build, of, 'contacts') === undefined) : []
  if (unsaid.length)
    return waiting(
      build,
      base,
      [],
      unsaid.map((slot) => ({ slot, trait: 'contacts' })),
    )
  const controls = housed(build)
  const places = [
    ...controls.filter((c) => !controlSaid(build, c.control)).flatMap((c) => Object.values(controlRefs(build, c.control))),
    ...(isOnPlate(build) ? [...PLATE_PLACE, PLATE[1]] : []),
  ]
  const stack = ['bushing.length', 'nut.thickness', 'washer.thickness'].map((size): SizeRef => ({ slot: base.slot, size }))
  const needed = [THICK, ...controls.flatMap((c) => [...(c.wide ? [c.wide] : []), c.deep]), ...(access === 'back' ? stack : []), ...places]
  const missing = needed.filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const v = (r: SizeRef) => sizeAt(build, r)!
  const [seen, back] = alongPlate(build)
  const spots = controls.map((c) => {
    const at = controlPlace(build, c.control)
    return { at, on: seen(at), reach: c.reach(c.wide && v(c.wide).value) }
  })
  const held = [
    Math.min(...spots.map((s) => s.on.x - s.reach.x)),
    Math.max(...spots.map((s) => s.on.x + s.reach.x)),
    Math.min(...spots.map((s) => s.on.y - s.reach.y)),
    Math.max(...spots.map((s) => s.on.y + s.reach.y)),
  ] as const
  const round = roundIn(build, held)
  const [x0, x1, y0, y1] = [held[0] - round.along, held[1] + round.along, held[2] - round.across, held[3] + round.across]
  const tallest = controls.map((c) => v(c.deep)).reduce((a, b) => (b.value > a.value ? b : a))
  const thick = v(THICK)
  const top = access === 'back' ? topLeft(stack.map((r) => v(r).value)) : undefined
  const deep = top === undefined ? tallest.value + OVER : thick.value - top
  const room = summed([
    [1, { ...thick, value: deep }],
    [-1, tallest],
  ])
  const mind = [
    ...(access === 'back'
      ? ['Measured from the back: mirror the places. Prick one pot’s middle right through first and cut from that.']
      : []),
    ...besidePots(build),
  ]
  return cut(build, bench, base, {
    long: x1 - x0,
    wide: y1 - y0,
    deep,
    left: { value: thick.value - deep, doubt: access === 'back' ? 0.3 : thick.doubt },
    about: `${isOnPlate(build) ? 'Along its plate. ' : ''}${
      top === undefined
        ? `${roundWords(round)} round each control; the tallest is ${printMm(tallest.value, 1)} mm, and ${OVER} are for its wires.`
        : `${roundWords(round)} round each control; ${printMm(top, 1)} mm of top stay for the pots’ threads.`
    }`,
    places: [back(pt((x0 + x1) / 2, (y0 + y1) / 2))],
    cuts: {
      id: 'control',
      name: 'the control route',
      planned: true,
      face: access === 'back' ? 'back' : 'front',
      ...areaOf(rectangle(x0, y0, x1, y1).map(back)),
      depth: deep,
      doubt: Math.max(
        ...controls.map((c) => Math.hypot(...Object.values(controlRefs(build, c.control)).map((r) => sizeAt(build, r)?.doubt ?? 0))),
      ),
    },
    from: spots.map(
      (s, i) =>
        `${named(controls[i]!.control)}: ${fromEdge(s.at.x - datums(build).mouth, mouthOf(build))}, ${printMm(Math.abs(s.at.y), 1)} to the ${s.at.y > 0 ? 'bass' : 'treble'} side`,
    ),
    ...(mind.length ? { mind } : {}),
    after: [
      ...(access === 'back' ? ['a ledge for the lid, as deep as the lid is thick'] : []),
      'a passage to each pickup’s route and to the jack before anything is finished',
    ],
    guards: [
      ...underPlate(build, [x0, x1, y0, y1]),
      // From the front it is as deep as they want; from the back the top they hang in says how deep.
      ...(access === 'back' ? [roomFor(tallest, room, deep)] : []),
    ],
  })
}

/** Depth for the tallest control with its wires over it. @param room what is over it, mm */
const roomFor = (tallest: Size, room: Size, deep: number): Guard =>
  guarded(
    'room',
    'Room for the tallest control and its wires',
    { value: room.value - OVER, doubt: room.doubt },
    [
      { upTo: -OVER, is: 'wont-go' },
      { upTo: 0, is: 'tight' },
      { upTo: Infinity, is: 'snug' },
    ],
    `The tallest is ${printMm(tallest.value, 1)} mm in ${printMm(deep, 1)} mm of depth.`,
    'Take lower controls.',
  )

/** What its corners take up on the body; of one that lies askew the box round them too. */
function areaOf(corners: Point[]): Area {
  const box = boxAround(corners)
  return Math.abs(corners[1]!.y - corners[0]!.y) > 1e-6 ? { box, askew: corners } : { box }
}

/** A plate covers its route's edge by at least this, and lugs and wires want at least this round a control, mm. [practice] */
const COVERED = 1.5
const LEAST_ROUND = 2
/** What a router wanders and a plate is laid beside its line, mm. [ours] */
const SPARE = 0.5
const PLATE = [sizeRef('control-plate', 'length'), sizeRef('control-plate', 'width')] as const

type Held = readonly [x0: number, x1: number, y0: number, y1: number]

/** Beyond what hangs in it the plate's edges, mm: at its nearer end and at its nearer side. */
function beyond(build: Build, [x0, x1, y0, y1]: Held): { along: number; across: number } {
  const [long, wide] = PLATE.map((r) => sizeAt(build, r)!.value) as [number, number]
  return { along: Math.min(x0, long - x1), across: wide / 2 - Math.max(y1, -y0) }
}

/** Room round the controls: the usual, or what a narrow plate still covers with a little to spare. */
function roundIn(build: Build, held: Held): { along: number; across: number } {
  if (!isOnPlate(build)) return { along: ROUND_CONTROL, across: ROUND_CONTROL }
  const { along, across } = beyond(build, held)
  const within = (by: number) => Math.max(LEAST_ROUND, Math.min(ROUND_CONTROL, by - COVERED - SPARE))
  return { along: within(along), across: within(across) }
}
const roundWords = ({ along, across }: { along: number; across: number }): string =>
  along === across ? `${printMm(along, 1)} mm` : `${printMm(along, 1)} mm along the plate and ${printMm(across, 1)} across it`

/** The plate has to lie over it all round. */
function underPlate(build: Build, route: Held): Guard[] {
  if (!isOnPlate(build)) return []
  const [long, wide] = PLATE.map((r) => sizeAt(build, r)!)
  const by = Math.min(...Object.values(beyond(build, route)))
  return [
    ...plateTurn(build),
    guarded(
      'covered',
      'Covered by its plate',
      { value: by, doubt: Math.max(long!.doubt, wide!.doubt / 2) },
      [
        { upTo: 0, is: 'wont-go' },
        { upTo: COVERED - 1e-9, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      by < 0 ? `It would show ${printMm(-by, 1)} mm beside the plate.` : `The plate lies over its edge by ${printMm(by, 1)} mm.`,
      'Take a wider plate, or smaller controls.',
    ),
  ]
}

/** How much top may stay so that a pot's nut still catches: its bushing less nut, washer and what must show, mm; the guard of a face at least. */
function topLeft([bushing, nut, washer]: readonly number[]): number {
  return Math.max(FACE_GUARD + 0.5, Math.floor((bushing! - nut! - washer! - THREAD_KEPT - 0.5) * 2) / 2)
}
