import type { Build } from '../../document/build'
import { sizeRef, traitAt } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import type { SwitchControl } from '../../instrument/controlPlace'
import { inHollow, isCarried, panelOf } from '../../instrument/panel'
import { isScrewedDown } from '../../instrument/switchMake'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

/** How far the picture goes to either side of the switch, mm. */
const WALL = 36
const END = 46

/** The switch in what holds it and the room under it, cut along its slot, or down the middle of its thread. */
export function switchDrawing(build: Build, of: SwitchControl): Drawing {
  const room = drawnAt(build, sizeRef('body', 'control.depth'))
  const own = drawnAt(build, sizeRef(of, 'depth'))
  const panel = panelOf(build)
  const thick = drawnAt(build, panel.thickness)
  const threaded = !isScrewedDown(traitAt(build, of, 'contacts') ?? 'lever-5')
  const open = openingOf(build, of, threaded) / 2
  // The top is the body's own wood; a guard or a plate ends at the room's walls.
  const end = isCarried(panel) ? WALL : END
  const marks: Mark[] = [
    { mark: 'area', role: panel.role, points: rectangle(-end, -thick, -open, 0) },
    { mark: 'area', role: panel.role, points: rectangle(open, -thick, end, 0) },
    ...roomUnder(build, room),
    ...(threaded ? byItsThread(build, of, own, thick) : byItsScrews(own)),
    { mark: 'dimension', from: pt(28, 0), to: pt(28, room), text: printMm(room, 1) },
    { mark: 'dimension', from: pt(-28, 0), to: pt(-28, own), text: printMm(own, 1), emphasis: true },
  ]
  return framed(`Switch in the ${panel.name} and the room under it`, 'true proportion', marks, [
    { label: 'Room', value: `${printMm(room, 1)} mm deep` },
    { label: 'Switch', value: `${printMm(own, 1)} mm deep` },
  ])
}

/** A toggle's hole, or a lever's slot; in the wood itself nobody measures a slot, and it is drawn as long as the lever swings. */
function openingOf(build: Build, of: SwitchControl, threaded: boolean): number {
  const { slot } = panelOf(build)
  if (threaded) return drawnAt(build, sizeRef(slot, `${of}.hole`))
  return slot === 'body' ? drawnAt(build, sizeRef(of, 'swing')) : drawnAt(build, sizeRef(slot, `${of}.slot`))
}

/** Open to the front it is a trough; from the back it has a cover; a hollow body goes on to either side. */
function roomUnder(build: Build, room: number): Mark[] {
  if (inHollow(build)) return [{ mark: 'area', role: 'body-wood', points: rectangle(-END, room, END, room + 3) }]
  if (isCarried(panelOf(build)))
    return [
      {
        mark: 'area',
        role: 'body-wood',
        points: [
          pt(-END, 0),
          pt(-WALL, 0),
          pt(-WALL, room),
          pt(WALL, room),
          pt(WALL, 0),
          pt(END, 0),
          pt(END, room + 7),
          pt(-END, room + 7),
        ],
      },
    ]
  return [
    { mark: 'area', role: 'body-wood', points: rectangle(-END, 0, -WALL, room + 2) },
    { mark: 'area', role: 'body-wood', points: rectangle(WALL, 0, END, room + 2) },
    { mark: 'area', role: 'plastic', points: rectangle(-WALL, room, WALL, room + 2) },
  ]
}

const byItsScrews = (own: number): Mark[] => [
  { mark: 'area', role: 'metal', points: rectangle(-20, 0.5, 20, own) },
  { mark: 'area', role: 'metal', points: rectangle(-1.2, -15, 1.2, 0.5) },
]

/** Its body under the hole, its thread through it, a nut on top, the bat over that. */
function byItsThread(build: Build, of: SwitchControl, own: number, thick: number): Mark[] {
  const thread = drawnAt(build, sizeRef(of, 'thread.diameter')) / 2
  const long = drawnAt(build, sizeRef(of, 'thread.length'))
  return [
    { mark: 'area', role: 'metal', points: rectangle(-thread - 3, 0, thread + 3, own) },
    { mark: 'area', role: 'metal', points: rectangle(-thread, -long, thread, 0) },
    { mark: 'area', role: 'metal', points: rectangle(-thread - 2, -thick - 2, thread + 2, -thick) },
    { mark: 'area', role: 'metal', points: rectangle(-1.2, -long - 10, 1.2, -long) },
  ]
}
