import type { Build } from '../document/build'
import { sizeRef, valueAt, isThrough } from '../document/read'
import { pt } from '../geometry/point'
import { bodyShape, hornTip } from '../instrument/bodyShape'
import { outlinePoints } from '../instrument/outline'
import { askew, hasRoundEnds, laidEdge, onBody, poseFrom, routeTurn, usualPlace } from '../instrument/platePlace'
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
export const bodyUsual = (build: Build): Readonly<Record<string, number>> => ({
  ...USUAL_BODY,
  ...(build.parts['control-plate'] ? { ...UNDER_PLATE, ...usualPlace(build) } : {}),
  // Not every body has a horn that reaches so far.
  'button.upper.x': Math.max(USUAL_BODY['button.upper.x']!, hornTip(bodyShape(build))),
})

export function sketchBody(s: Sketch): void {
  const { rows, known } = bodyShape(s.build)
  const first = rows[0]!.x
  const last = rows.at(-1)!.x
  const [mouth, end, length, bridge] = [s.v('pocket.widthMouth'), s.v('pocket.widthEnd'), s.v('pocket.length'), s.v('mouthToBridge')]
  const hasPart = (slot: string) => slot in s.build.parts
  s.onInstrument('front', 'from the front')
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
