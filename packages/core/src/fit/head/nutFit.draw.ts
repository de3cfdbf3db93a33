import type { Build } from '../../document/build'
import { sizeRef, sizesFor } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed, nothingYet } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

export function nutDrawing(build: Build) {
  const { have, missing } = sizesFor(build, { height: sizeRef('nut', 'height'), depth: sizeRef('neck', 'nut.slotDepth') })
  if (missing.length) return nothingYet('Nut in its slot')
  const w = drawnAt(build, sizeRef('neck', 'nut.slotWidth'))
  const nw = drawnAt(build, sizeRef('nut', 'width'))
  const crown = drawnAt(build, sizeRef('neck', 'crown'))
  const bottom = have.depth.value
  const top = bottom - have.height.value
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'neck-wood',
      points: [
        pt(-16, crown + 2),
        pt(-w, crown + 2),
        pt(-w, bottom),
        pt(0, bottom),
        pt(0, crown + 6),
        pt(26, crown + 6),
        pt(26, bottom + 7),
        pt(-16, bottom + 7),
      ],
    },
    { mark: 'area', role: 'board', points: rectangle(0, crown, 26, crown + 6) },
    { mark: 'area', role: 'fret', points: rectangle(19, 0, 21, crown) },
    { mark: 'area', role: 'plastic', points: rectangle(-nw, top, 0, bottom) },
    { mark: 'line', role: 'guide', dashed: true, points: [pt(-16, 0), pt(26, 0)] },
    { mark: 'line', role: 'string', points: [pt(-16, top + 2.2), pt(-nw, top), pt(0, top), pt(26, top - 0.2)] },
    { mark: 'dimension', from: pt(8, 0), to: pt(8, top), text: printMm(-top), emphasis: true },
    { mark: 'dimension', from: pt(-9, bottom), to: pt(-9, 0), text: printMm(bottom, 1) },
  ]
  return framed('Nut in its slot, from the side', 'true proportion · dashed: fret plane', marks, [
    { label: 'Slot bottom above the fret plane', value: `${printMm(-top)} mm` },
    { label: 'Nut height', value: `${printMm(have.height.value)} mm` },
  ])
}
