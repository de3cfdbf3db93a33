import type { Build } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import { pt } from '../geometry/point'
import { layersOf } from './stack'
import { EDGE_SHARE, plannedFilm } from './film'

/** The layers to scale in um: full thickness on the flat at the left, thinner round the edge at the right. */
export function finishDrawing(build: Build): Drawing {
  const total = plannedFilm(build)
  const scale = 60 / Math.max(total, 60)
  const marks: Mark[] = []
  const numbers: Drawing['numbers'] = []
  const flatEnd = 70
  const edgeEnd = 120
  marks.push({ mark: 'area', role: 'body-wood', points: [pt(0, 0), pt(flatEnd, 0), pt(edgeEnd, 14), pt(edgeEnd, 26), pt(0, 26)] })
  let flat = 0
  let shade = 0
  for (const layer of layersOf(build)) {
    const { coats } = layer
    if (!layer.film) continue
    for (let c = 0; c < coats; c++) {
      const next = flat + layer.film
      const [lo, hi] = [flat * scale, next * scale]
      marks.push({
        mark: 'area',
        role: shade % 2 ? 'film' : 'film-light',
        points: [
          pt(0, -lo),
          pt(flatEnd, -lo),
          pt(edgeEnd, 14 - lo * EDGE_SHARE),
          pt(edgeEnd, 14 - hi * EDGE_SHARE),
          pt(flatEnd, -hi),
          pt(0, -hi),
        ],
      })
      flat = next
      shade++
    }
    numbers.push({ label: `${layer.label}, ${coats} coats of ${layer.film} µm`, value: `${coats * layer.film} µm` })
    marks.push({
      mark: 'label',
      at: pt(3, -(flat - (coats * layer.film) / 2) * scale + 1.5),
      text: layer.label.toLowerCase(),
      anchor: 'start',
    })
  }
  marks.push({ mark: 'dimension', from: pt(-8, 0), to: pt(-8, -flat * scale), text: `${flat}`, emphasis: true })
  marks.push({
    mark: 'dimension',
    from: pt(edgeEnd + 7, 14),
    to: pt(edgeEnd + 7, 14 - flat * scale * EDGE_SHARE),
    text: `${Math.round(flat * EDGE_SHARE)}`,
  })
  marks.push({ mark: 'label', at: pt(35, 17), text: 'flat', anchor: 'middle' })
  marks.push({ mark: 'label', at: pt(106, 22), text: 'edge', anchor: 'middle' })
  return {
    title: 'The film, layer by layer',
    note: 'thickness in µm, to one scale · edges keep about two thirds',
    marks,
    bounds: { x: -24, y: -66, width: 168, height: 96 },
    numbers: [
      ...numbers,
      { label: 'On the flat', value: `${flat} µm` },
      { label: 'On edges', value: `${Math.round(flat * EDGE_SHARE)} µm` },
    ],
  }
}
