import type { Build } from '../../document/build'
import { boardRef, sizeRef, isThrough } from '../../document/read'
import type { Drawing, Handle, Mark } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { riseAt } from '../../instrument/frontRise'
import { riseOver } from '../../instrument/neckAngle'
import { signed } from '../../judge/joint'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

/** How much taller than true the side view is drawn. */
const TALL = 6

interface Side {
  /** Saddle top above the body as the bridge stands or is wanted, mm. */
  saddle: number | undefined
  /** Tilt of the fret plane, degrees, and the part of it that is a shim on trial. */
  tilt: number
  added: number
  held: { height: number; distance: number } | undefined
}

/** The instrument from the side, heights enlarged: body top, board, string, saddle and the bridge's reach. Neck and saddle can be dragged. */
export function sideDrawing(build: Build, { saddle: ys, tilt, added, held }: Side): Drawing {
  const d = datums(build)
  const board = drawnAt(build, boardRef(build)) - drawnAt(build, sizeRef('body', 'pocket.depth'))
  const crown = drawnAt(build, sizeRef('neck', 'crown'))
  const nut = drawnAt(build, sizeRef('nut', 'slot'))
  const low = drawnAt(build, sizeRef('bridge', 'height.min'))
  const high = drawnAt(build, sizeRef('bridge', 'height.max'))
  const up = (h: number) => -h * TALL
  // The bridge's heights are counted from the front it stands on, the neck's from that at the mouth.
  const rise = riseAt(build, 'bridge')?.value ?? 0
  const over = (h: number) => up(rise + h)
  // Height of the board's surface at x, the neck turning about the pocket mouth.
  const surface = (x: number) => board + riseOver(x - d.mouth, tilt)
  const start = d.scale * 0.44
  const saddle = d.scale
  const s = ys ?? (low + high) / 2
  const string = (x: number) => {
    const atNut = surface(0) + crown + nut
    return atNut + ((rise + s - atNut) * x) / saddle
  }
  const end = saddle + Math.max(24, (held?.distance ?? 0) + 8)
  // Of one piece the body's wood goes on under its board.
  const through = isThrough(build)
  const wood = through ? start : d.mouth
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'body-wood',
      points: [pt(wood, up(0)), pt(d.mouth, up(0)), pt(saddle, over(0)), pt(end, over(0)), pt(end, up(-5)), pt(wood, up(-5))],
    },
    {
      mark: 'area',
      role: 'board',
      points: [
        pt(start, up(surface(start))),
        pt(d.heelEnd, up(surface(d.heelEnd))),
        pt(d.heelEnd, up(through ? 0 : Math.max(0, surface(d.heelEnd) - 6))),
        pt(start, up(through ? 0 : surface(start) - 6)),
      ],
    },
    { mark: 'line', role: 'guide', dashed: true, points: [pt(start, up(surface(start) + crown)), pt(saddle, up(surface(saddle) + crown))] },
    {
      mark: 'line',
      role: 'string',
      points: [
        pt(start, up(string(start))),
        pt(saddle, over(s)),
        ...(held ? [pt(saddle + held.distance, over(Math.max(held.height, -5)))] : []),
      ],
    },
    { mark: 'area', role: 'doubt', points: rectangle(saddle + 6, over(low), saddle + 12, over(high)) },
    { mark: 'area', role: 'metal', points: rectangle(saddle - 3, over(s), saddle + 5, over(0)) },
    {
      mark: 'dimension',
      from: pt(saddle - 30, over(0)),
      to: pt(saddle - 30, up(string(saddle - 30))),
      text: `${printMm(s, 1)}`,
      emphasis: true,
    },
    {
      mark: 'dimension',
      from: pt(d.heelEnd + 14, up(0)),
      to: pt(d.heelEnd + 14, up(surface(d.heelEnd + 14) + crown)),
      text: printMm(board + crown, 1),
    },
    { mark: 'label', at: pt(saddle + 14, over(high)), text: printMm(high, 1), anchor: 'start' },
    { mark: 'label', at: pt(saddle + 14, over(low)), text: printMm(low, 1), anchor: 'start' },
  ]
  const grip = start + 16
  const neck: Handle = {
    id: 'tilt',
    label: 'Tilt added to the neck',
    at: pt(grip, up(surface(grip) - 3)),
    value: added,
    min: -0.5,
    max: 1.5,
    step: 0.01,
    unit: 'deg',
    // Headstock back takes this end of the board down.
    perUp: -((1 / TALL / (d.mouth - grip)) * 180) / Math.PI,
  }
  const handles: Handle[] = [
    // Of one piece it stands as it was built.
    ...(through ? [] : [neck]),
    {
      id: 'saddle',
      label: 'Saddle height above the body',
      at: pt(saddle + 1, over(s)),
      value: s,
      min: low,
      max: high,
      step: 0.05,
      unit: 'mm',
      perUp: 1 / TALL,
    },
  ]
  return {
    title: 'Neck and bridge from the side',
    note: `heights ×${TALL} · hatched: the bridge’s reach · drag the ring${handles.length > 1 ? 's' : ''}`,
    marks,
    handles,
    bounds: { x: start - 6, y: over(Math.max(high, s) + 3), width: end - start + 26, height: (rise + Math.max(high, s) + 9) * TALL },
    numbers: [
      { label: 'Board above body', value: `${printMm(board)} mm` },
      ...(rise ? [{ label: 'Front under the bridge', value: `${signed(rise)} mm` }] : []),
      { label: 'Neck tilt', value: `${signed(tilt)}°` },
      { label: 'Saddle height needed', value: ys === undefined ? 'not known' : `${printMm(ys)} mm` },
      { label: 'Bridge reach', value: `${printMm(low, 1)} to ${printMm(high, 1)} mm` },
    ],
  }
}

/** The heel's usable length, mm. */
export const heelOf = (build: Build): number => drawnAt(build, sizeRef('body', 'pocket.length'))
