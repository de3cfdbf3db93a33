import { pt } from '../geometry/point'
import { ownScrew, screwOf } from './hardware'
import type { Sketch } from './sketch'

export const RING_USUAL: Readonly<Record<string, number>> = { radius: 3, 'height.neckSide': 6, 'height.bridgeSide': 8 }

export function sketchRing(s: Sketch): void {
  const [l, w] = [s.v('length'), s.v('width')]
  s.view('above', 'from above')
  s.box('plastic', -l / 2 - 5, -w / 2 - 11, l / 2 + 5, w / 2 + 11, ['length', 'width']).box('cavity', -l / 2, -w / 2, l / 2, w / 2, [
    'length',
    'width',
  ])
  s.wide('length', 'inside', 0, 0)
    .across('width', 'inside', 0)
    .gauge('radius', pt(l / 2, w / 2))
  const [neck, bridge] = [s.v('height.neckSide'), s.v('height.bridgeSide')]
  s.view('side', 'from the side, the neck at the left')
  s.area(
    'plastic',
    [pt(-l / 2 - 5, 0), pt(l / 2 + 5, 0), pt(l / 2 + 5, -bridge), pt(-l / 2 - 5, -neck)],
    ['height.neckSide', 'height.bridgeSide'],
  )
  s.take('height.neckSide', 'outside', pt(-l / 2 - 5, 0), pt(-l / 2 - 5, -neck)).take(
    'height.bridgeSide',
    'outside',
    pt(l / 2 + 5, 0),
    pt(l / 2 + 5, -bridge),
  )
  ownScrew(s)
}

export const KNOBS_USUAL: Readonly<Record<string, number>> = { diameter: 19 }

export function sketchKnobs(s: Sketch): void {
  const [d, bore, deep] = [s.v('diameter'), s.v('bore'), s.v('depth')]
  s.view('side', 'one of them, cut open')
  s.box('plastic', -d / 2, -deep - 4, d / 2, 0, ['diameter', 'depth']).box('cavity', -bore / 2, -deep, bore / 2, 0, ['bore', 'depth'])
  s.wide('diameter', 'outside', 0, -deep * 0.8)
    .wide('bore', 'inside', 0, 0)
    .take('depth', 'depth', pt(0, 0), pt(0, -deep))
}

export function sketchShielding(s: Sketch): void {
  s.view('edge', 'its edge, much enlarged')
  s.box('ground', 0, 0, 3, s.v('thickness'), ['thickness']).down('thickness', 'outside', 1.5, 0)
}

export function sketchBattery(s: Sketch): void {
  const [l, d] = [s.v('length'), s.v('depth')]
  s.view('side', 'from the side')
  s.box('metal', 0, 0, l, d, ['length', 'depth'])
    .along('length', 'outside', 0, d / 2)
    .down('depth', 'outside', l / 3, 0)
}

export const WIRE_USUAL: Readonly<Record<string, number>> = { length: 600, 'lead.jack': 220, 'lead.ground': 180 }

export function sketchWire(s: Sketch): void {
  s.view('end', 'its end, much enlarged')
  s.round('plastic', pt(0, 0), s.v('diameter'), ['diameter']).round('metal', pt(0, 0), s.v('diameter') * 0.5, ['diameter'])
  s.wide('diameter', 'outside', 0, 0)
  s.view('laid', 'laid along a rule')
  const sizes = ['length', 'lead.jack', 'lead.ground'] as const
  const longest = Math.max(...sizes.map((size) => s.v(size)))
  sizes.forEach((size, i) => {
    const y = i * 0.1 * longest
    s.mark({ mark: 'line', role: size === 'lead.ground' ? 'ground' : 'hot', points: [pt(0, y), pt(s.v(size), y)] }).along(
      size,
      'rule',
      0,
      y,
    )
  })
}

export function sketchScrews(s: Sketch): void {
  s.view('screw', 'one of them')
  const head = s.v('head')
  s.box('metal', -head / 2, -1.2, head / 2, 0, ['head'])
  screwOf(s, 'length', 'thread', 'root')
  s.wide('head', 'outside', 0, -0.6)
}
export const SCREWS_USUAL: Readonly<Record<string, number>> = { length: 25, thread: 3.5, root: 2.5, head: 7 }

export const SHIM_USUAL: Readonly<Record<string, number>> = { thick: 1, thin: 0.2, length: 76 }

export function sketchShim(s: Sketch): void {
  const [thick, thin, long] = [s.v('thick'), s.v('thin'), s.v('length')]
  s.view('side', 'from the side')
  s.area('neck-wood', [pt(0, 0), pt(long, 0), pt(long, -thick), pt(0, -thin)], ['thick', 'thin', 'length'])
  s.along('length', 'outside', 0, 0).take('thick', 'outside', pt(long, 0), pt(long, -thick)).take('thin', 'outside', pt(0, 0), pt(0, -thin))
}

export const BINDING_USUAL: Readonly<Record<string, number>> = { width: 6, thickness: 1.5, length: 1500 }

export function sketchBinding(s: Sketch): void {
  const [w, t, long] = [s.v('width'), s.v('thickness'), s.v('length')]
  s.view('end', 'its end')
  s.box('plastic', 0, 0, t, w, ['width', 'thickness'])
    .down('width', 'outside', t / 2, 0)
    .along('thickness', 'outside', 0, w / 2)
  s.view('laid', 'laid along a rule')
  s.box('plastic', 0, 0, long, w, ['length', 'width']).along('length', 'rule', 0, w / 2)
}

export const STRINGS_USUAL: Readonly<Record<string, number>> = {
  length: 965,
  winding: 900,
  ...Object.fromEntries(Array.from({ length: 12 }, (_, i) => [`length.${i + 1}`, 900 + 10 * (i % 6)])),
}

/** Seen at their ends, thickest last, and one laid out. */
export function sketchStrings(s: Sketch): void {
  s.view('ends', 'each cut across, much enlarged')
  for (let n = 1; n <= s.build.strings; n++) {
    const x = (n - 1) * 3
    const gauge = s.v(`gauge.${n}`)
    s.round('metal', pt(x, 0), gauge, [`gauge.${n}`]).wide(`gauge.${n}`, 'outside', x, 0)
    s.only([`core.${n}`], false, () => {
      s.round('open', pt(x, 0), s.v(`core.${n}`), [`core.${n}`]).wide(`core.${n}`, 'outside', x, 0)
    })
    s.mark({ mark: 'label', at: pt(x, 2.4), text: String(n), anchor: 'middle' })
  }
  // More strings than the build has are in no drawing, and are asked of nobody.
  s.view('tail', 'the ends of the thickest')
  const [twist, silk] = [s.v('twist.diameter'), s.v('silk.diameter')]
  s.box('metal', 0, -0.6, 20, 0.6, [])
    .box('metal', 20, -twist / 2, 30, twist / 2, ['twist.diameter'])
    .round('metal', pt(33, 0), 5, [])
  s.across('twist.diameter', 'outside', 25)
  s.only(['silk.diameter'], false, () =>
    s.box('plastic', 0, -silk / 2, 8, silk / 2, ['silk.diameter']).across('silk.diameter', 'outside', 4),
  )
  s.view('whole', 'laid out straight, its ball at a stop')
  const length = s.v('length')
  stretched(s, 0, length)
  s.along('length', 'rule', 0, 0)
  s.only(['winding'], false, () => s.box('metal', 8, -2, s.v('winding'), 2, ['winding']).along('winding', 'rule', 0, 0))
  for (let n = 1; n <= s.build.strings; n++)
    s.only([`length.${n}`], false, () => {
      stretched(s, n * 22, s.v(`length.${n}`))
      s.mark({ mark: 'label', at: pt(-14, n * 22 + 4), text: String(n), anchor: 'middle' }).along(`length.${n}`, 'rule', 0, n * 22)
    })
}

/** A string from the far side of its ball to its end. */
const stretched = (s: Sketch, y: number, length: number) =>
  s.mark({ mark: 'circle', role: 'metal', at: pt(4, y), r: 4 }).line('string', pt(8, y), pt(Math.max(9, length), y))
