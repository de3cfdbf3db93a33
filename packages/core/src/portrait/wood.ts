import type { Build } from '../document/build'
import { hasTrussNut, sizeAt, sizeRef, traitAt, valueAt, isThrough } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { bodyShape } from '../instrument/bodyShape'
import { outlinePoints } from '../instrument/outline'
import { askew, hasRoundEnds, laidEdge, onBody, poseFrom, routeTurn, usualPlace } from '../instrument/platePlace'
import { tunerPosts } from '../instrument/tuners'
import { fretPlace } from '../physics/frets'
import { opening } from './places'
import type { Sketch } from './sketch'

/** Where things are drawn on a body of which nobody has said where they are. [ours] */
const USUAL_BODY: Readonly<Record<string, number>> = {
  mouthToBridge: 186,
  studBore: 10,
  'route.neck.centre': 96,
  'route.middle.centre': 132,
  'route.bridge.centre': 166,
  'route.neck.length': 40,
  'route.middle.length': 40,
  'route.bridge.length': 40,
  'route.neck.width': 72,
  'route.middle.width': 72,
  'route.bridge.width': 72,
  'vibrato.length': 44,
  'vibrato.width': 68,
  'switch-2.x': 196,
  'switch-2.y': -72,
  'volume-2.x': 252,
  'volume-2.y': -101,
  'tone-2.x': 287,
  'tone-2.y': -117,
  'control.x': 272,
  'control.y': -84,
  'control.length': 110,
  'control.width': 56,
  'pot.hole': 9.5,
  'switch.hole': 12.5,
  'ferrule.bore': 8,
  'tail.spacing': 82,
  'tail.bore': 11,
  'jack.bore': 22,
  'jack.depth': 40,
  'jack.wall': 6,
  'passage.diameter': 8,
  'battery.room': 58,
  'button.upper.x': -40,
  'block.width': 100,
  'soundHole.diameter': 80,
  'soundHole.x': 60,
  'soundHole.y': 66,
  'chamber.length': 120,
  'chamber.width': 60,
  'chamber.depth': 30,
  'oldHoles.front': 8,
  'oldHoles.back': 20,
  'claw.x': 108,
  'spring.depth': 18,
  'rim.thickness': 20,
  'binding.thickness': 1.5,
  'binding.height': 6,
  axisAtBridge: 1,
  'pocket.dip': 0.3,
  'outline.length': 400,
  'outline.upper': 276,
  'outline.waist': 234,
  'outline.lower': 316,
}
/** A route under a plate is longer and narrower than one in the wood. */
const UNDER_PLATE: Readonly<Record<string, number>> = {
  'control.x': 260,
  'control.y': -78,
  'control.length': 134,
  'control.width': 29,
}
export const bodyUsual = (build: Build): Readonly<Record<string, number>> =>
  build.parts['control-plate'] ? { ...USUAL_BODY, ...UNDER_PLATE, ...usualPlace(build) } : USUAL_BODY

export function sketchBody(s: Sketch): void {
  const { rows, known } = bodyShape(s.build)
  const first = rows[0]!.x
  const last = rows.at(-1)!.x
  const [mouth, end, length, bridge] = [s.v('pocket.widthMouth'), s.v('pocket.widthEnd'), s.v('pocket.length'), s.v('mouthToBridge')]
  const hasPart = (slot: string) => slot in s.build.parts
  s.view('front', 'from the front')
  s.mark({ mark: 'area', role: 'body-wood', points: outlinePoints(rows), ...(known === 'drawn' ? {} : { dashed: true }) })
  // What lies in the block is drawn over it.
  s.only(['block.width'], s.trait('build') === 'semi-hollow', () => {
    s.box('neck-wood', bridge - 30, -s.v('block.width') / 2, bridge + 30, s.v('block.width') / 2, ['block.width'])
    s.across('block.width', 'rule', bridge - 30)
  })
  s.only(['pocket.widthMouth', 'pocket.widthEnd', 'pocket.length', 'pocket.radius'], !isThrough(s.build), () => {
    s.area(
      'cavity',
      [pt(0, -mouth / 2), pt(length, -end / 2), pt(length, end / 2), pt(0, mouth / 2)],
      ['pocket.widthMouth', 'pocket.widthEnd', 'pocket.length'],
    )
    s.across('pocket.widthMouth', 'inside', 0).across('pocket.widthEnd', 'inside', length)
    s.along('pocket.length', 'rule', 0, 0).gauge('pocket.radius', pt(length, end / 2))
  })
  s.line('centre', pt(first, 0), pt(last, 0)).along('mouthToBridge', 'rule', 0, 0)
  // Studs, or the outer screws.
  const studs = s.v('studSpacing')
  for (const side of [-1, 1])
    s.round('cavity', pt(bridge, (side * studs) / 2), s.v('studBore'), ['studBore', 'studSpacing', 'mouthToBridge'])
  s.across('studSpacing', 'rule', bridge).wide('studBore', 'inside', bridge, -studs / 2)
  s.take('axisAtBridge', 'rule', pt(bridge, 0), pt(bridge, s.v('axisAtBridge')))
  for (const place of ['neck', 'middle', 'bridge'] as const) opening(s, `route.${place}`, hasPart(`pickup-${place}`))
  s.only(['oldHoles.front', 'oldHoles.back'], false, () => {
    s.round('open', pt(bridge - s.v('oldHoles.front'), 24), 3, ['oldHoles.front'])
    s.round('open', pt(bridge + s.v('oldHoles.back'), 24), 3, ['oldHoles.back'])
    s.take('oldHoles.front', 'rule', pt(bridge, 24), pt(bridge - s.v('oldHoles.front'), 24))
    s.along('oldHoles.back', 'rule', bridge, 24)
  })
  s.only(['vibrato.length', 'vibrato.width'], false, () => {
    const half = s.v('vibrato.width') / 2
    s.box('cavity', bridge + 4, -half, bridge + 4 + s.v('vibrato.length'), half, ['vibrato.length', 'vibrato.width'])
    s.along('vibrato.length', 'inside', bridge + 4, 0).across('vibrato.width', 'inside', bridge + 10)
  })
  s.only(['string.hole', 'ferrule.bore'], hasPart('ferrules'), () => {
    for (let i = 0; i < s.build.strings; i++)
      s.round('cavity', pt(bridge + 30, 52 * (i / (s.build.strings - 1) - 0.5)), s.v('string.hole'), ['string.hole'])
    s.wide('string.hole', 'inside', bridge + 30, -26)
    s.round('open', pt(bridge + 30, 26), s.v('ferrule.bore'), ['ferrule.bore']).wide('ferrule.bore', 'inside', bridge + 30, 26)
  })
  s.only(['tail.toBridge', 'tail.spacing', 'tail.bore'], hasPart('tailpiece'), () => {
    const [at, half] = [bridge + s.v('tail.toBridge'), s.v('tail.spacing') / 2]
    for (const side of [-1, 1]) s.round('cavity', pt(at, side * half), s.v('tail.bore'), ['tail.bore', 'tail.spacing', 'tail.toBridge'])
    s.along('tail.toBridge', 'rule', bridge, -half).wide('tail.bore', 'inside', at, half).across('tail.spacing', 'rule', at)
  })
  s.only(['control.length', 'control.width', 'control.x', 'control.y'], s.trait('access') !== 'sound-hole', () => {
    const [x, y, l, w] = [s.v('control.x'), s.v('control.y'), s.v('control.length'), s.v('control.width')]
    s.area('cavity', askew(pt(x, y), l, w, routeTurn(s.build)), ['control.length', 'control.width', 'control.x', 'control.y'])
    s.wide('control.length', 'inside', x, y).across('control.width', 'inside', x, y)
    s.take('control.x', 'rule', pt(0, y), pt(x, y)).take('control.y', 'rule', pt(x, 0), pt(x, y))
  })
  s.only(['plate.x', 'plate.y', 'plate.tail'], hasPart('control-plate'), () => {
    const [x, y, tail] = [s.v('plate.x'), s.v('plate.y'), s.v('plate.tail')]
    const long = valueAt(s.build, sizeRef('control-plate', 'length')) ?? 160
    const wide = valueAt(s.build, sizeRef('control-plate', 'width')) ?? 32
    const pose = poseFrom(x, y, tail, long)
    s.area('metal', laidEdge(pose, long, wide, hasRoundEnds(s.build) ?? true), ['plate.x', 'plate.y', 'plate.tail'])
    const end = onBody(pose, pt(long, 0))
    s.take('plate.x', 'rule', pt(0, y), pt(x, y))
      .take('plate.y', 'rule', pt(x, 0), pt(x, y))
      .take('plate.tail', 'rule', pt(end.x, 0), pt(end.x, tail))
  })
  // Under a guard or a plate they are its holes.
  for (const [hole, size, here] of [
    ['volume', 'pot.hole', 'pot-volume'],
    ['tone', 'pot.hole', 'pot-tone'],
    ['volume-2', 'pot.hole', 'pot-volume-2'],
    ['tone-2', 'pot.hole', 'pot-tone-2'],
    ['switch', 'switch.hole', 'switch'],
    ['switch-2', 'switch-2.hole', 'switch-2'],
  ] as const)
    s.only([`${hole}.x`, `${hole}.y`, size], hasPart(here) && !hasPart('guard') && !hasPart('control-plate'), () => {
      const [x, y] = [s.v(`${hole}.x`), s.v(`${hole}.y`)]
      s.round('cavity', pt(x, y), s.v(size), [`${hole}.x`, `${hole}.y`, size])
      s.take(`${hole}.x`, 'rule', pt(0, y), pt(x, y)).take(`${hole}.y`, 'rule', pt(x, 0), pt(x, y))
      s.wide(size, 'inside', x, y)
    })
  const [jx, jy] = [s.v('jack.x'), s.v('jack.y')]
  s.round('cavity', pt(jx, jy), 8, ['jack.x', 'jack.y'])
  s.take('jack.x', 'rule', pt(0, jy), pt(jx, jy)).take('jack.y', 'rule', pt(jx, 0), pt(jx, jy))
  const horn = rows.reduce((a, r) => (Math.abs(r.x - s.v('button.upper.x')) < Math.abs(a.x - s.v('button.upper.x')) ? r : a)).bass
  s.round('metal', pt(s.v('button.upper.x'), horn), 12, ['button.upper.x']).along('button.upper.x', 'rule', 0, horn)
  s.round('metal', pt(s.v('button.lower.x'), 0), 12, ['button.lower.x']).along('button.lower.x', 'rule', 0, 0)
  s.only(['soundHole.diameter', 'soundHole.x', 'soundHole.y'], s.trait('access') === 'sound-hole', () => {
    const [x, y] = [s.v('soundHole.x'), s.v('soundHole.y')]
    s.round('cavity', pt(x, y), s.v('soundHole.diameter'), ['soundHole.diameter', 'soundHole.x', 'soundHole.y'])
    s.wide('soundHole.diameter', 'inside', x, y)
    s.take('soundHole.x', 'rule', pt(0, y), pt(x, y)).take('soundHole.y', 'rule', pt(x, 0), pt(x, y))
  })
  s.only(['chamber.length', 'chamber.width'], s.trait('build') === 'chambered', () => {
    const [l, w] = [s.v('chamber.length'), s.v('chamber.width')]
    s.box('open', 120, 70, 120 + l, 70 + w, ['chamber.length', 'chamber.width'])
    s.along('chamber.length', 'rule', 120, 70 + w / 2).take('chamber.width', 'rule', pt(120 + l / 2, 70), pt(120 + l / 2, 70 + w))
  })
  s.along('outline.length', 'rule', first, 0)
  s.across('outline.upper', 'rule', first + 0.26 * (last - first)).across('outline.waist', 'rule', first + 0.48 * (last - first))
  s.across('outline.lower', 'rule', first + 0.74 * (last - first))
  s.take('rim.thickness', 'rule', pt(last, 0), pt(last - s.v('rim.thickness'), 0))
  bodySection(s, Math.max(last, bridge + 60, s.v('control.x') + 70))
}

/** So much of a board that is one piece with the body is shown beside it, mm. [ours] */
const BOARD_SHOWN = 60

/** Cut along the centre line, the front up. */
function bodySection(s: Sketch, tail: number): void {
  const t = s.v('thickness')
  const [length, bridge, depth] = [s.v('pocket.length'), s.v('mouthToBridge'), s.v('pocket.depth')]
  s.view('section', 'cut along the centre line')
  s.box('body-wood', 0, 0, tail, t, ['thickness']).down('thickness', 'outside', tail - 30, 0)
  s.only(['arch.bridge', 'arch.tail'], s.trait('top') === 'arched', () => {
    const [rise, behind, stop] = [s.v('arch.bridge'), s.v('arch.tail'), bridge + s.v('tail.toBridge')]
    const crest = [pt(length, 0), pt(bridge, -rise), pt(stop, -behind), pt(Math.max(tail, stop), 0)]
    s.area('body-wood', crest, ['arch.bridge', 'arch.tail'])
    s.take('arch.bridge', 'depth', pt(bridge, 0), pt(bridge, -rise)).take('arch.tail', 'depth', pt(stop, 0), pt(stop, -behind))
  })
  s.only(['binding.thickness', 'binding.height'], false, () => {
    const [thick, high] = [s.v('binding.thickness'), s.v('binding.height')]
    s.box('plastic', tail - thick, t - high, tail, t, ['binding.thickness', 'binding.height'])
    s.take('binding.thickness', 'outside', pt(tail - thick, t), pt(tail, t)).take(
      'binding.height',
      'depth',
      pt(tail, t),
      pt(tail, t - high),
    )
  })
  const lean = Math.tan((s.v('pocket.tilt') * Math.PI) / 180) * (length / 2)
  s.only(['pocket.depth', 'pocket.dip'], !isThrough(s.build), () => {
    s.area('cavity', [pt(0, 0), pt(length, 0), pt(length, depth - lean), pt(0, depth + lean)], ['pocket.depth', 'pocket.length'])
    s.down('pocket.depth', 'depth', length / 2, 0).down('pocket.dip', 'depth', length * 0.3, depth)
  })
  s.only(['pocket.tilt'], !isThrough(s.build), () => s.gauge('pocket.tilt', pt(length / 2, depth)))
  s.only(['board.over', 'board.tilt'], isThrough(s.build), () => {
    const over = s.v('board.over')
    s.gauge('board.tilt', pt(-BOARD_SHOWN / 2, -over))
    s.box('board', -BOARD_SHOWN, -over, 0, 0, ['board.over']).down('board.over', 'depth', -8, -over)
  })
  for (const place of ['neck', 'middle', 'bridge'] as const)
    s.only([`route.${place}.depth`], `pickup-${place}` in s.build.parts, () => {
      const [c, l, d] = ['centre', 'length', 'depth'].map((k) => s.v(`route.${place}.${k}`)) as [number, number, number]
      s.box('cavity', c - l / 2, 0, c + l / 2, d, [`route.${place}.depth`]).down(`route.${place}.depth`, 'depth', c, 0)
    })
  const bore = s.v('studBore')
  s.box('cavity', bridge - bore / 2, 0, bridge + bore / 2, s.v('studBoreDepth'), ['studBoreDepth', 'studBore'])
  s.down('studBoreDepth', 'depth', bridge, 0)
  s.only(['tail.boreDepth'], 'tailpiece' in s.build.parts, () => {
    const [at, half] = [bridge + s.v('tail.toBridge'), s.v('tail.bore') / 2]
    s.box('cavity', at - half, 0, at + half, s.v('tail.boreDepth'), ['tail.boreDepth', 'tail.bore', 'tail.toBridge'])
    s.down('tail.boreDepth', 'depth', at, 0)
  })
  const [x, l] = [s.v('control.x'), s.v('control.length')]
  const back = s.trait('access') === 'back'
  const floor = back ? t - s.v('control.depth') : s.v('control.depth')
  s.box('cavity', x - l / 2, back ? t : 0, x + l / 2, floor, ['control.depth'])
  s.take('control.depth', 'depth', pt(x, back ? t : 0), pt(x, floor)).down('control.top', 'depth', x + l / 4, 0)
  s.box('cavity', tail - s.v('jack.depth'), t / 2 - s.v('jack.bore') / 2, tail, t / 2 + s.v('jack.bore') / 2, ['jack.bore', 'jack.depth'])
  s.across('jack.bore', 'inside', tail, t / 2).take('jack.depth', 'depth', pt(tail, t / 2), pt(tail - s.v('jack.depth'), t / 2))
  s.take('jack.wall', 'depth', pt(tail, t / 2 + s.v('jack.bore') / 2), pt(tail - s.v('jack.wall'), t / 2 + s.v('jack.bore') / 2))
  s.down('block.thickness', 'outside', bridge + 14, 0)
  s.only(['passage.diameter'], true, () => {
    const d = s.v('passage.diameter')
    s.box('open', s.v('route.bridge.centre') + 20, t * 0.3 - d / 2, x - l / 2, t * 0.3 + d / 2, ['passage.diameter'])
    s.across('passage.diameter', 'inside', x - l / 2, t * 0.3)
  })
  s.only(['chamber.depth', 'rim.thickness'], s.trait('build') === 'chambered', () => {
    s.box('open', tail - 70, 4, tail - 45, 4 + s.v('chamber.depth'), ['chamber.depth']).down('chamber.depth', 'depth', tail - 58, 4)
  })
  s.only(['claw.x', 'spring.depth'], 'springs' in s.build.parts, () => {
    s.box('cavity', s.v('claw.x'), t, bridge, t - s.v('spring.depth'), ['spring.depth', 'claw.x'])
    s.take('spring.depth', 'depth', pt(s.v('claw.x') + 20, t), pt(s.v('claw.x') + 20, t - s.v('spring.depth')))
    s.along('claw.x', 'rule', 0, t + 4)
  })
  s.only(['battery.room'], 'battery' in s.build.parts, () => {
    s.box('cavity', x - 20, t, x - 20 + s.v('battery.room'), t - 26, ['battery.room']).along('battery.room', 'inside', x - 20, t - 4)
  })
}

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
  s.view('front', 'from the front')
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
  s.view('back', 'from the back, at the heel')
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
