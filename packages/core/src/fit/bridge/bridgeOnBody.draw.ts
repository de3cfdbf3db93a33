import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { boreSection, framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { signed } from '../../judge/joint'
import { PRESSED } from './press'
import { printMm } from '../../quantity/length'

export function studDrawing(build: Build) {
  const v = (slot: 'body' | 'bridge', size: string, otherwise: number) => valueAt(build, { slot, size }) ?? otherwise
  return boreSection({
    pressed: PRESSED,
    title: 'Stud bushing in its bore',
    into: 'body-wood',
    thickness: v('body', 'block.thickness', v('body', 'thickness', 44)),
    bore: v('body', 'studBore', 10),
    boreDepth: v('body', 'studBoreDepth', 26),
    plug: {
      label: 'Bushing',
      diameter: v('bridge', 'studDiameter', 10),
      length: v('bridge', 'studLength', 24),
      flange: v('bridge', 'studDiameter', 10) + 2,
    },
  })
}

export function plateDrawing(build: Build) {
  const v = (slot: 'body' | 'bridge', size: string, otherwise: number) => valueAt(build, { slot, size }) ?? otherwise
  const front = v('bridge', 'plate.front', 6)
  const length = v('bridge', 'plate.length', 40)
  const w = v('bridge', 'plate.width', 80) / 2
  const wood = v('body', 'studSpacing', 56)
  const own = v('bridge', 'screw.spread', 56)
  const marks: Mark[] = [{ mark: 'area', role: 'metal', points: rectangle(-front, -w, length - front, w) }]
  for (const s of [-1, 1]) {
    marks.push({ mark: 'circle', role: 'cavity', at: pt(0, (s * wood) / 2), r: 2 })
    marks.push({ mark: 'circle', role: 'open', at: pt(0, (s * own) / 2), r: 2.6 })
  }
  for (const [key, s] of [
    ['oldHoles.front', -1],
    ['oldHoles.back', 1],
  ] as const) {
    const at = valueAt(build, sizeRef('body', key))
    if (at !== undefined) for (const y of [-20, 0, 20]) marks.push({ mark: 'circle', role: 'remove', at: pt(s * at, y), r: 2 })
  }
  marks.push(
    { mark: 'dimension', from: pt(-front - 10, -wood / 2), to: pt(-front - 10, wood / 2), text: printMm(wood, 1) },
    {
      mark: 'dimension',
      from: pt(length - front + 10, -own / 2),
      to: pt(length - front + 10, own / 2),
      text: printMm(own, 1),
      emphasis: true,
    },
  )
  return framed(
    'Bridge plate over its holes, from above',
    'dark: holes in the wood · outlined: the bridge’s own · hatched: old holes',
    marks,
    [
      { label: 'Body pattern', value: `${printMm(wood)} mm` },
      { label: 'Bridge pattern', value: `${printMm(own)} mm` },
      { label: 'Apart', value: `${signed(own - wood)} mm` },
    ],
  )
}
