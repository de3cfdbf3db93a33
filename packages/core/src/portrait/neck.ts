import type { Build } from '../document/build'
import { hasTrussNut, sizeAt, sizeRef, traitAt, isThrough } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { outlinePoints } from '../instrument/outline'
import { tunerPosts } from '../instrument/tuners'
import { fretPlace } from '../physics/frets'
import type { Sketch } from './sketch'

export const neckUsual = (build: Build): Readonly<Record<string, number>> => ({
  // Two rows stand either side of the centre line; a single one begins on it.
  'tuner.offset': traitAt(build, 'neck', 'head') === 'two-rows' ? 22 : 0,
  'frets.first': fretPlace(build.scale, 1),
  'frets.last': fretPlace(build.scale, sizeAt(build, sizeRef('neck', 'frets'))?.value ?? 22),
  'nut.screws': 26,
  'head.blank': 90,
  'crown.width': 2.5,
  'oldScrew.offset': 10,
  'old.nutToStuds': 630,
  'board.radiusEnd': 400,
})
/** A headstock nobody has drawn. [ours] */
const headOf = (half: number, long: number): Point[] => [
  pt(0, -half),
  pt(-14, -half - 3),
  pt(-34, -half - 16),
  pt(-long + 22, -half - 14),
  pt(-long, -half + 2),
  pt(-long - 4, half),
  pt(-long + 16, half + 14),
  pt(-34, half + 16),
  pt(-14, half + 3),
  pt(0, half),
]

export function sketchNeck(s: Sketch): void {
  const [nut, end, long, scale] = [s.v('nut.width'), s.v('board.widthEnd'), s.v('boardLength'), s.v('scale')]
  const heel = isThrough(s.build) ? long : s.v('nutToHeelEnd')
  const posts = tunerPosts(s.build)
  // The nearest to the nut; of a head turned round that is the highest string's.
  const row = s.trait('row') === 'treble' && s.trait('head') !== 'two-rows' ? posts.toReversed() : posts
  const [first, second] = [row[0] ?? pt(-32, 0), row[1] ?? pt(-57, 0)]
  const head = s.part?.outline
  const fret = (n: number) => scale * (1 - 2 ** (-n / 12))
  s.onInstrument('front', 'from the front')
  const furthest = Math.max(...posts.map((p) => -p.x), 80) + 18
  s.mark(
    head
      ? { mark: 'area', role: 'neck-wood', points: outlinePoints(head) }
      : { mark: 'area', role: 'neck-wood', points: headOf(nut / 2, furthest), dashed: true },
  )
  // As wide as it is said to be at the last fret, and on by the same taper to its end.
  const half = (x: number) => (nut + ((end - nut) * x) / fret(s.v('frets'))) / 2
  const wide = half(long)
  s.area('board', [pt(0, -nut / 2), pt(long, -wide), pt(long, wide), pt(0, nut / 2)], ['nut.width', 'board.widthEnd', 'boardLength'])
  for (let n = 1; n <= s.v('frets'); n++) {
    const x = fret(n)
    s.line('fret', pt(x, -half(x)), pt(x, half(x)))
  }
  s.take('scale', 'rule', pt(0, 0), pt(scale / 2, 0), 2).along('boardLength', 'rule', 0, wide)
  s.only(['nutToHeelEnd'], !isThrough(s.build), () => s.along('nutToHeelEnd', 'rule', 0, 0))
  s.across('nut.width', 'outside', 0).across('board.widthEnd', 'outside', fret(s.v('frets')))
  s.wide('crown.width', 'outside', fret(12), 0)
  for (const p of posts) s.round('cavity', p, s.v('tuner.bore'), ['tuner.bore', 'tuner.pitch', 'tuner.first'])
  s.wide('tuner.bore', 'inside', first.x, first.y)
  // Along a row that slants the pitch is along the slant.
  s.take('tuner.pitch', 'rule', first, second)
  s.take('tuner.first', 'rule', pt(0, first.y), pt(-s.v('tuner.first'), first.y))
  s.take('tuner.offset', 'rule', pt(first.x, 0), first)
  s.take('tuner.edge', 'rule', first, pt(first.x, first.y + s.v('tuner.edge'))).gauge('tuner.slant', first)
  for (const [size, y] of [
    ['frets.first', nut * 0.3],
    ['frets.last', nut * 0.4],
  ] as const)
    s.only([size], false, () => {
      const x = s.v(size)
      s.line('fret', pt(x, -half(x)), pt(x, half(x))).along(size, 'rule', 0, y)
    })
  s.only(['head.blank'], false, () => {
    const half = s.v('head.blank') / 2
    s.line('guide', pt(-furthest, -half), pt(0, -half))
      .line('guide', pt(-furthest, half), pt(0, half))
      .across('head.blank', 'outside', -furthest + 10)
  })
  s.only(['oldScrew.offset', 'oldScrew.side'], false, () => {
    const at = pt(first.x - s.v('oldScrew.offset'), first.y - s.v('oldScrew.side'))
    s.round('open', at, 2, ['oldScrew.offset', 'oldScrew.side'])
    s.take('oldScrew.offset', 'rule', first, pt(at.x, first.y)).take('oldScrew.side', 'rule', pt(at.x, first.y), at)
  })
  s.only(['nut.screws'], false, () => {
    for (const side of [-1, 1]) s.round('cavity', pt(-8, (side * s.v('nut.screws')) / 2), 3, ['nut.screws'])
    s.across('nut.screws', 'rule', -8)
  })
  s.only(['tilt.thread'], s.trait('tiltScrew') === 'screw', () => {
    const at = pt(s.v('nutToHeelEnd') - 12, 0)
    s.round('metal', at, s.v('tilt.thread'), ['tilt.thread']).across('tilt.thread', 'outside', at.x)
  })
  s.box('cavity', -s.v('nut.slotWidth'), -nut / 2, 0, nut / 2, ['nut.slotWidth'])
  s.take('nut.slotWidth', 'inside', pt(-s.v('nut.slotWidth'), -nut / 2), pt(0, -nut / 2))
  s.only(['truss.key'], hasTrussNut(s.build), () => {
    s.round('cavity', pt(-18, 0), s.v('truss.key'), ['truss.key']).across('truss.key', 'inside', -18)
  })
  s.along('old.nutToStuds', 'rule', 0, 0)
  s.gauge('board.radius', pt(fret(1), 0)).gauge('board.radiusEnd', pt(fret(s.v('frets')), 0))
  if (!isThrough(s.build) || ['heel.widthMouth', 'heel.widthEnd', 'heel.radius'].some((size) => s.isAsked(size) || s.known(size)))
    neckBack(s, heel)
  neckSide(s, heel, fret)
}

function neckBack(s: Sketch, heel: number): void {
  const [mouth, end] = [s.v('heel.widthMouth'), s.v('heel.widthEnd')]
  s.onInstrument('back', 'from the back, at the heel')
  const near = heel - 76
  s.area('neck-wood', [pt(near - 60, -mouth / 2 + 2), pt(near, -mouth / 2 + 1), pt(near, mouth / 2 - 1), pt(near - 60, mouth / 2 - 2)], [])
  const known = ['heel.widthMouth', 'heel.widthEnd', 'nutToHeelEnd']
  s.area('neck-wood', [pt(near, -mouth / 2), pt(heel, -end / 2), pt(heel, end / 2), pt(near, mouth / 2)], known)
  s.across('heel.widthMouth', 'outside', near).across('heel.widthEnd', 'outside', heel)
  s.gauge('heel.radius', pt(heel, end / 2))
}

/** From the treble side, the board up. */
function neckSide(s: Sketch, heel: number, fret: (n: number) => number): void {
  const [t1, t12, crown, drop] = [s.v('fret1.thickness'), s.v('fret12.thickness'), s.v('crown'), s.v('head.drop')]
  s.view('side', 'from the side')
  const shaft = Math.min(fret(12) + 60, heel - 80)
  // Of one piece it goes on into the body as thick as it is there.
  const deep = isThrough(s.build) && !s.isAsked('heel.thickness') && !s.known('heel.thickness') ? t12 : s.v('heel.thickness')
  s.area(
    'neck-wood',
    [pt(0, 0), pt(heel, 0), pt(heel, deep), pt(heel - 76, deep), pt(shaft, t12), pt(fret(12), t12), pt(fret(1), t1), pt(0, t1)],
    ['heel.thickness', 'fret1.thickness', 'fret12.thickness'],
  )
  s.box('board', 0, 0, s.v('boardLength'), s.v('board.thickness'), ['board.thickness', 'boardLength'])
  for (let n = 1; n <= s.v('frets'); n++) s.box('metal', fret(n) - 1.2, -crown, fret(n) + 1.2, 0, ['crown'])
  const a = (s.v('head.angle') * Math.PI) / 180
  const turned = (x: number, y: number) => pt(x * Math.cos(a) + y * Math.sin(a), drop - x * Math.sin(a) + y * Math.cos(a))
  const ht = s.v('head.thickness')
  s.area('neck-wood', [turned(0, 0), turned(-170, 0), turned(-170, ht), turned(0, ht)], ['head.thickness', 'head.drop'])
  s.take('head.thickness', 'outside', turned(-120, 0), turned(-120, ht)).take('head.drop', 'depth', pt(-4, 0), pt(-4, drop))
  s.gauge('head.angle', turned(-40, 0))
  s.down('fret1.thickness', 'outside', fret(1), 0).down('fret12.thickness', 'outside', fret(12), 0)
  s.down('board.thickness', 'outside', heel - 110, 0)
  s.only(['heel.thickness'], !isThrough(s.build), () => s.down('heel.thickness', 'outside', heel - 16, 0))
  s.take('crown', 'depth', pt(fret(12), -crown), pt(fret(12), 0))
  s.box('cavity', -s.v('nut.slotWidth'), -crown, 0, s.v('nut.slotDepth') - crown, ['nut.slotDepth'])
  s.down('nut.slotDepth', 'depth', -s.v('nut.slotWidth') / 2, -crown)
}
