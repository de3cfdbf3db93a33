import { traitAt } from '../document/read'
import { pt } from '../geometry/point'
import type { SwitchControl } from '../instrument/controlPlace'
import type { Sketch } from './sketch'

export const HOLE_PLACES = ['volume', 'tone', 'volume-2', 'tone-2', 'switch', 'switch-2'] as const

/** A pickup's opening in wood or in a guard, seen from the front: its middle along the centre line and beside it. */
export function opening(s: Sketch, name: string, here: boolean): void {
  const size = (k: string) => `${name}.${k}`
  const [c, l, w, side] = ['centre', 'length', 'width', 'side'].map((k) => s.v(size(k))) as [number, number, number, number]
  const known = ['centre', 'length', 'width'].map(size)
  s.only([...known, size('side'), size('radius')], here, () => {
    s.box('cavity', c - l / 2, side - w / 2, c + l / 2, side + w / 2, known)
    s.along(size('centre'), 'rule', 0, side)
    s.wide(size('length'), 'inside', c, side - w / 4).across(size('width'), 'inside', c, side)
    s.take(size('side'), 'rule', pt(c, 0), pt(c, side)).gauge(size('radius'), pt(c + l / 2, side + w / 2))
  })
}

const isSwitch = (hole: (typeof HOLE_PLACES)[number]): hole is SwitchControl => hole === 'switch' || hole === 'switch-2'
/** The slot its place belongs to. */
const holed = (hole: (typeof HOLE_PLACES)[number]): string => (isSwitch(hole) ? hole : `pot-${hole}`)

/** A lever's slot with its two screws, or a toggle's hole, in what carries it. */
function switchSlot(s: Sketch, of: SwitchControl): void {
  const at = pt(s.v(`${of}.x`), s.v(`${of}.y`))
  const [slot, screws, hole] = [`${of}.slot`, `${of}.screws`, `${of}.hole`]
  s.box('cavity', at.x - s.v(slot) / 2, at.y - 1.5, at.x + s.v(slot) / 2, at.y + 1.5, [slot, `${of}.x`, `${of}.y`])
  for (const side of [-1, 1]) s.round('cavity', pt(at.x + (side * s.v(screws)) / 2, at.y), 3, [screws])
  s.wide(slot, 'inside', at.x, at.y).wide(screws, 'rule', at.x, at.y)
  s.only([hole], false, () => s.round('cavity', at, s.v(hole), [hole]).wide(hole, 'inside', at.x, at.y))
}

/** Every control's hole in what carries it, by its own marks. */
export function controlHoles(s: Sketch): void {
  for (const hole of HOLE_PLACES)
    s.only([`${hole}.x`, `${hole}.y`], !hole.endsWith('-2') || holed(hole) in s.build.parts, () => {
      const [x, y] = [s.v(`${hole}.x`), s.v(`${hole}.y`)]
      s.take(`${hole}.x`, 'rule', pt(0, y), pt(x, y)).take(`${hole}.y`, 'rule', pt(x, 0), pt(x, y))
      if (!isSwitch(hole)) s.round('cavity', pt(x, y), s.v('pot.hole'), [`${hole}.x`, `${hole}.y`, 'pot.hole'])
    })
  s.wide('pot.hole', 'inside', s.v('volume.x'), s.v('volume.y'))
  for (const hole of HOLE_PLACES.filter(isSwitch))
    s.only([`${hole}.slot`, `${hole}.screws`], hole === 'switch' || hole in s.build.parts, () => switchSlot(s, hole))
  const [x, y] = [s.v('jack.x'), s.v('jack.y')]
  s.only(['jack.x', 'jack.y', 'jack.hole'], traitAt(s.build, 'jack', 'held') === 'panel', () => {
    s.round('cavity', pt(x, y), s.v('jack.hole'), ['jack.x', 'jack.y', 'jack.hole'])
    s.take('jack.x', 'rule', pt(0, y), pt(x, y)).take('jack.y', 'rule', pt(x, 0), pt(x, y)).wide('jack.hole', 'inside', x, y)
  })
}
