import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import type { SwitchControl } from '../../instrument/controlPlace'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { isCarried, panelOf } from '../../instrument/panel'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

export function switchDrawing(build: Build, of: SwitchControl) {
  const route = drawnAt(build, sizeRef('body', 'control.depth'))
  const own = drawnAt(build, sizeRef(of, 'depth'))
  const panel = panelOf(build)
  const guard = isCarried(panel) ? drawnAt(build, panel.thickness) : 3
  const slot = drawnAt(build, sizeRef(isCarried(panel) ? panel.slot : 'guard', `${of}.slot`))
  const marks: Mark[] = [
    { mark: 'area', role: isCarried(panel) ? panel.role : 'plastic', points: rectangle(-36, -guard, -slot / 2, 0) },
    { mark: 'area', role: isCarried(panel) ? panel.role : 'plastic', points: rectangle(slot / 2, -guard, 36, 0) },
    {
      mark: 'area',
      role: 'body-wood',
      points: [pt(-46, 0), pt(-36, 0), pt(-36, route), pt(36, route), pt(36, 0), pt(46, 0), pt(46, route + 7), pt(-46, route + 7)],
    },
    { mark: 'area', role: 'metal', points: rectangle(-20, 0.5, 20, own) },
    { mark: 'area', role: 'metal', points: rectangle(-1.2, -15, 1.2, 0.5) },
    { mark: 'dimension', from: pt(28, 0), to: pt(28, route), text: printMm(route, 1) },
    { mark: 'dimension', from: pt(-28, 0), to: pt(-28, own), text: printMm(own, 1), emphasis: true },
  ]
  return framed('Switch in its cavity', 'true proportion', marks, [
    { label: 'Route', value: `${printMm(route, 1)} mm deep` },
    { label: 'Switch', value: `${printMm(own, 1)} mm deep` },
  ])
}
