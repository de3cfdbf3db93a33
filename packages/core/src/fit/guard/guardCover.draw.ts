import { ofHand } from '../../drawing/turnedOver'
import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { potSlot, potsIn } from '../../instrument/controlPlace'
import { datums } from '../../instrument/datums'
import { laid, type Pose } from '../../instrument/guardPlace'
import { panelOf } from '../../instrument/panel'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'
import { insideBy, laidOutline, routeCorners, controlRoute } from './guardRooms'

export function coverDrawing(build: Build, pose: Pose) {
  const own = laidOutline(build, pose)
  const outline = own.length ? own : rectangle(0, -95, 165, 60)
  const marks: Mark[] = [{ mark: 'area', role: 'plastic', points: outline }]
  for (const r of routeCorners(build)) marks.push({ mark: 'area', role: 'cavity', points: r.corners })
  const control = controlRoute(build)
  if (control) {
    const { middle: m, half: h } = control
    marks.push({ mark: 'area', role: 'cavity', points: rectangle(m.x - h.x, m.y - h.y, m.x + h.x, m.y + h.y) })
    for (const c of panelOf(build).slot === 'guard' ? potsIn(build) : []) {
      const [x, y] = [valueAt(build, sizeRef('guard', `${c}.x`)), valueAt(build, sizeRef('guard', `${c}.y`))]
      if (x !== undefined && y !== undefined)
        marks.push({
          mark: 'circle',
          role: 'metal',
          at: laid(pose, pt(x, y)),
          r: drawnAt(build, sizeRef(potSlot(c), 'body.diameter')) / 2,
        })
    }
  }
  const d = datums(build)
  const w = drawnAt(build, sizeRef('bridge', 'plate.width')) / 2
  const front = drawnAt(build, sizeRef('bridge', 'plate.front'))
  const x = d.studs - d.heelEnd
  marks.push({
    mark: 'area',
    role: 'metal',
    points: rectangle(x - front, -w, x - front + drawnAt(build, sizeRef('bridge', 'plate.length')), w),
  })
  const drawing = framed(
    'Guard laid over the routes, from above',
    'true proportion · dark: routes under it',
    marks,
    routeCorners(build).map((r) => ({
      label: `${r.place} route covered by`,
      value: `${printMm(Math.min(...r.corners.map((c) => insideBy(outline, c))), 1)} mm`,
    })),
    0.04,
  )
  return ofHand(drawing, build.handedness)
}
