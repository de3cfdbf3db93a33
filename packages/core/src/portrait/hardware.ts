import type { Build } from '../document/build'
import { sizeAt } from '../document/read'
import { pt } from '../geometry/point'
import { isOnStuds } from '../instrument/vibrato'
import type { Sketch } from './sketch'

export const BRIDGE_USUAL: Readonly<Record<string, number>> = {
  studSpacing: 74,
  studDiameter: 10,
  studLength: 22,
  'screw.spread': 68,
  'travel.front': 8,
  'travel.back': 6,
  'string.hole': 2.2,
  'back.height': 6,
  'back.distance': 12,
  'exit.height': 3,
  'exit.distance': 22,
  'block.depth': 0,
  key: 1.5,
}

/** x from the studs or screws towards the tail; heights above the body's top, upwards negative. */
export function sketchBridge(s: Sketch): void {
  const [front, long, wide] = [s.v('plate.front'), s.v('plate.length'), s.v('plate.width')]
  const strings = s.build.strings
  s.onInstrument('above', 'from above')
  s.box('metal', -front, -wide / 2, long - front, wide / 2, ['plate.length', 'plate.width', 'plate.front'])
  const y = (i: number) => s.v('spread') * (i / (strings - 1) - 0.5)
  for (let i = 0; i < strings; i++) {
    s.box('open', 2, y(i) - 3.5, 18, y(i) + 3.5, ['spread'])
    s.line('string', pt(-front - 30, y(i)), pt(14, y(i)))
  }
  s.across('spread', 'rule', 14)
    .along('plate.length', 'outside', -front, wide / 2 - 3)
    .across('plate.width', 'outside', long - front - 4)
  s.take('plate.front', 'rule', pt(0, wide / 2 - 8), pt(-front, wide / 2 - 8))
  const screwed = s.trait('mount') === 'six-screw' || s.trait('mount') === 'screws' || s.trait('mount') === 'string-through'
  s.only(['screw.spread'], screwed, () => {
    for (const side of [-1, 1]) s.round('cavity', pt(-front / 2, (side * s.v('screw.spread')) / 2), 4, ['screw.spread'])
    s.across('screw.spread', 'rule', -front / 2)
  })
  s.only(['studSpacing', 'studDiameter'], !screwed, () => {
    for (const side of [-1, 1])
      s.round('cavity', pt(0, (side * s.v('studSpacing')) / 2), s.v('studDiameter'), ['studSpacing', 'studDiameter'])
    s.across('studSpacing', 'rule', 0).wide('studDiameter', 'outside', 0, -s.v('studSpacing') / 2)
  })
  s.take('travel.front', 'rule', pt(0, y(0)), pt(-s.v('travel.front'), y(0))).along('travel.back', 'rule', 0, y(strings - 1))
  s.gauge('saddle.radius', pt(14, 0))
  bridgeSide(s, long - front)
}

function bridgeSide(s: Sketch, back: number): void {
  const [front, thick, low, high] = [s.v('plate.front'), s.v('plate.thickness'), s.v('height.min'), s.v('height.max')]
  s.view('side', 'from the side, the body under it')
  s.box('body-wood', -front - 24, 0, back + 30, 14, [])
  s.box('metal', -front, -thick, back, 0, ['plate.thickness', 'plate.length'])
  s.take('plate.thickness', 'outside', pt(back - 3, -thick), pt(back - 3, 0))
  s.box('metal', 4, -low, 18, -low + 5, ['height.min']).box('open', 4, -high, 18, -high + 5, ['height.max'])
  s.line('string', pt(-front - 24, -low), pt(8, -low), pt(8 + s.v('exit.distance'), -s.v('exit.height')))
  s.take('height.min', 'depth', pt(6, -low), pt(6, 0)).take('height.max', 'depth', pt(10, -high), pt(10, 0))
  s.take('back.height', 'depth', pt(8 + s.v('back.distance'), -s.v('back.height')), pt(8 + s.v('back.distance'), 0))
  s.take('back.distance', 'rule', pt(8, -low), pt(8 + s.v('back.distance'), -low))
  s.take('exit.height', 'depth', pt(8 + s.v('exit.distance'), 0), pt(8 + s.v('exit.distance'), -s.v('exit.height')))
  s.take('exit.distance', 'rule', pt(8, 0), pt(8 + s.v('exit.distance'), 0))
  s.only(['block.depth', 'block.length'], s.v('block.depth') > 0, () => {
    const [deep, long] = [s.v('block.depth'), s.v('block.length')]
    s.box('metal', 2, 0, 2 + long, deep, ['block.depth', 'block.length'])
    s.down('block.depth', 'outside', 2 + long / 2, 0).along('block.length', 'outside', 2, Math.min(deep, Math.max(2, deep * 0.7)))
  })
  s.only(['studLength'], isOnStuds(s.trait('mount')), () => {
    s.box('metal', -s.v('studDiameter') / 2, 0, s.v('studDiameter') / 2, s.v('studLength'), ['studLength', 'studDiameter'])
    s.down('studLength', 'outside', 0, 0)
  })
  const hole = pt(8 + s.v('exit.distance'), -s.v('exit.height'))
  s.round('cavity', hole, s.v('string.hole'), ['string.hole']).wide('string.hole', 'inside', hole.x, hole.y)
  threads(s)
  const mount = s.trait('mount')
  s.only(['holes.behind'], mount === 'string-through', () => {
    s.onInstrument('plate', 'its plate, from above')
    const x = s.v('holes.behind')
    s.box('metal', -front, -30, Math.max(x, 0) + 10, 30, ['plate.front'])
    for (const y of [-20, 0, 20]) s.round('cavity', pt(x, y), 3, ['holes.behind']).round('cavity', pt(0, y * 1.2), 4, ['screw.spread'])
    s.along('holes.behind', 'rule', 0, 0)
  })
  s.only(['screw.length', 'screw.root', 'screw.thread'], mount === 'six-screw' || mount === 'screws' || mount === 'string-through', () => {
    s.view('screw', 'one of its screws')
    screwOf(s, 'screw.length', 'screw.thread', 'screw.root')
  })
}

/** Ten turns of a thread are read at once. */
function threads(s: Sketch): void {
  s.view('screws', 'its small screws, much enlarged')
  for (const [size, x] of [
    ['height.pitch', 0],
    ['length.pitch', 10],
  ] as const) {
    const ten = 10 * s.v(size)
    s.screw(x, 0, ten * 1.3, 3, 2.4, [size]).take(size, 'rule', pt(x + 1.6, 0.1 * ten), pt(x + 1.6, 1.1 * ten), 0.1)
  }
  const key = s.v('key')
  const at = pt(22, 5)
  s.area(
    'cavity',
    Array.from({ length: 6 }, (_, i) => {
      const a = ((i * 60 + 30) * Math.PI) / 180
      return pt(at.x + (key / Math.sqrt(3)) * Math.sin(a + Math.PI / 6), at.y + (key / Math.sqrt(3)) * Math.cos(a + Math.PI / 6))
    }),
    ['key'],
  )
  s.wide('key', 'outside', at.x, at.y)
}

export const tunersUsual = (build: Build): Readonly<Record<string, number>> => ({
  'housing.width': 15,
  'housing.length': 20,
  'post.height': 14,
  // A stout tuner has a stout post.
  'post.diameter': 0.62 * (sizeAt(build, { slot: 'tuners', size: 'bushing' })?.value ?? 10),
  ...Object.fromEntries(Array.from({ length: 12 }, (_, i) => [`post.height.${i + 1}`, 14])),
  'string.hole': 1.8,
})

/** x across the post, the headstock's face at y 0, its back below. */
export function sketchTuners(s: Sketch): void {
  const [bush, post, flange, width] = [s.v('bushing'), s.v('post.height'), s.v('plate.thickness'), s.v('housing.width')]
  const [thin, thick] = [s.v('grip.min'), s.v('grip.max')]
  const grip = (thin + Math.max(thin, thick)) / 2
  s.view('side', 'as it sits, the headstock left out')
  const stem = s.v('post.diameter')
  s.box('metal', -stem / 2, -post - 5, stem / 2, 0, ['post.height'])
  s.round('cavity', pt(0, -post), s.v('string.hole'), ['string.hole'])
  s.box('metal', -bush / 2 - 3, -2.4, bush / 2 + 3, 0, ['bushing'])
  s.box('metal', -bush / 2, 0, bush / 2, grip, ['bushing'])
  for (let y = 1.5; y < grip - 0.5; y += 1.2) s.line('guide', pt(-bush / 2, y), pt(bush / 2, y - 0.5))
  s.box('metal', -width / 2, grip, width / 2, grip + flange, ['plate.thickness', 'housing.width'])
  s.box('metal', -width / 2 + 1.5, grip + flange, width / 2 - 1.5, grip + flange + 11, ['housing.width'])
  s.box('metal', width / 2 - 1.5, grip + flange + 4, width / 2 + 9, grip + flange + 8, [])
  s.area(
    'metal',
    [
      pt(width / 2 + 9, grip + flange),
      pt(width / 2 + 22, grip + flange - 2),
      pt(width / 2 + 24, grip + flange + 6),
      pt(width / 2 + 22, grip + flange + 14),
      pt(width / 2 + 9, grip + flange + 12),
    ],
    [],
  )
  s.wide('bushing', 'outside', 0, grip * 0.45)
  s.take('post.height', 'rule', pt(stem / 2 + 1, 0), pt(stem / 2 + 1, -post)).wide('string.hole', 'inside', 0, -post)
  s.wide('post.diameter', 'outside', 0, -post - 2.5)
  for (let n = 1; n <= s.build.strings; n++) {
    const own = `post.height.${n}`
    s.take(own, 'rule', pt(stem / 2 + 1, 0), pt(stem / 2 + 1, -s.v(own)))
  }
  s.take('plate.thickness', 'outside', pt(-width / 2 + 0.7, grip), pt(-width / 2 + 0.7, grip + flange))
  s.down('grip.min', 'rule', -bush / 2 - 2, 0).down('grip.max', 'rule', bush / 2 + 2, 0)
  const long = s.v('housing.length')
  s.view('back', 'from the back of the headstock')
  s.box('metal', -width / 2, -long / 2, width / 2, long / 2, ['housing.width', 'housing.length'])
  s.round('open', pt(0, 0), stem, [])
  s.box('metal', -2, long / 2, 2, long / 2 + 8, []).box('metal', -7, long / 2 + 8, 7, long / 2 + 20, [])
  const at = pt(s.v('screw.offset'), s.v('screw.side'))
  s.round('cavity', at, s.v('screw.thread'), ['screw.offset', 'screw.side'])
  s.wide('housing.width', 'outside', 0, -long / 4).across('housing.length', 'outside', -width / 4)
  s.take('screw.offset', 'rule', pt(0, 0), pt(at.x, 0)).take('screw.side', 'rule', pt(at.x, 0), at)
  s.view('screw', 'its screw')
  screwOf(s, 'screw.length', 'screw.thread', 'screw.root')
}

/** The screws a part comes with. */
export function ownScrew(s: Sketch): void {
  s.view('screw', 'one of its screws')
  screwOf(s, 'screw.length', 'screw.thread', 'screw.root')
}

/** A screw with its three sizes, its head left out of the length. */
export function screwOf(s: Sketch, length: string, thread: string, root?: string): void {
  const [l, t] = [s.v(length), s.v(thread)]
  const r = root ? s.v(root) : t * 0.7
  s.screw(0, 0, l, t, r, [length, thread, ...(root ? [root] : [])])
  s.down(length, 'outside', 0, 0).wide(thread, 'outside', 0, l * 0.35)
  if (root) s.wide(root, 'outside', 0, l * 0.62)
}

export const NUT_USUAL: Readonly<Record<string, number>> = {
  length: 42,
  height: 8,
  'width.treble': 3.3,
  'fret1.bass': 0.3,
  'fret1.treble': 0.2,
  'screw.spread': 26,
}

/** Seen from the bridge, its bottom at y 0: the thick strings at the left, for a left hand at the right. */
export function sketchNut(s: Sketch): void {
  const [long, high, spread, width] = [s.v('length'), s.v('height'), s.v('spread'), s.v('width')]
  const strings = s.build.strings
  s.view('face', 'seen from the bridge')
  s.box('plastic', -long / 2, -high - 1.2, long / 2, 0, ['length', 'height'])
  const x = (i: number) => (s.build.handedness === 'left' ? -1 : 1) * spread * (0.5 - i / (strings - 1))
  const slot = 1 + Math.max(0, s.v('slot.extra'))
  for (let i = 0; i < strings; i++) s.box('cavity', x(i) - slot / 2, -high - 1.2, x(i) + slot / 2, -high, ['spread', 'height'])
  s.wide('length', 'outside', 0, -high * 0.4).wide('spread', 'rule', 0, -high - 1.2)
  // Over the first string; on the nut all the same where the two were read so that it would lie beside it.
  const first = Math.sign(x(0)) * Math.min(long / 2, Math.abs(x(0)))
  s.take('height', 'outside', pt(first, 0), pt(first, -high))
  const plane = -high + s.v('slot')
  s.line('guide', pt(-long / 2 - 6, plane), pt(long / 2 + 6, plane))
  s.take('slot', 'depth', pt(x(strings - 1), plane), pt(x(strings - 1), -high)).gauge('radius', pt(0, -high))
  s.take('slot.extra', 'gauge', pt(x(0), -high), pt(x(0) + s.v('slot.extra'), -high))
  s.onInstrument('above', 'from above')
  // As wide at both ends until someone reads the other one.
  const treble = s.known('width.treble') || s.isAsked('width.treble') ? s.v('width.treble') : width
  s.area('plastic', [pt(0, -long / 2), pt(treble, -long / 2), pt(width, long / 2), pt(0, long / 2)], ['width', 'length'])
  s.along('width', 'outside', 0, long / 2).along('width.treble', 'outside', 0, -long / 2)
  s.only(['screw.spread'], s.trait('type') === 'locking', () => {
    for (const side of [-1, 1]) s.round('cavity', pt(width / 2, (side * s.v('screw.spread')) / 2), 2, ['screw.spread'])
    s.across('screw.spread', 'rule', width / 2)
  })
  s.view('fret1', 'a string held down at fret 3, much enlarged')
  s.box('board', 0, 3, 30, 5, [])
  for (const [size, at] of [
    ['fret1.bass', 8],
    ['fret1.treble', 22],
  ] as const) {
    const gap = s.v(size)
    s.round('metal', pt(at, 3.6), 2.4, []).line('string', pt(at - 6, 2.4 - gap), pt(at + 6, 2.4 - gap))
    s.take(size, 'gauge', pt(at, 2.4), pt(at, 2.4 - gap))
  }
  s.only(['screw.length', 'screw.thread', 'screw.root'], s.trait('type') === 'locking', () => ownScrew(s))
}

export const TAILPIECE_USUAL: Readonly<Record<string, number>> = { studSpacing: 82, studDiameter: 11, 'string.hole': 3 }

export function sketchTailpiece(s: Sketch): void {
  const [studs, bush] = [s.v('studSpacing'), s.v('studDiameter')]
  s.onInstrument('above', 'from above')
  s.box('metal', -7, -studs / 2 - 8, 7, studs / 2 + 8, ['studSpacing'])
  for (const side of [-1, 1]) s.round('cavity', pt(0, (side * studs) / 2), bush, ['studSpacing', 'studDiameter'])
  s.across('studSpacing', 'rule', 0).wide('studDiameter', 'outside', 0, -studs / 2)
  s.view('side', 'from the side, the body under it')
  const high = s.v('height')
  s.box('body-wood', -24, 0, 24, 6, []).box('metal', -bush / 2, 0, bush / 2, s.v('studLength'), ['studLength', 'studDiameter'])
  s.box('metal', -7, -high - 5, 7, -high + 4, ['height']).round('cavity', pt(-5, -high), s.v('string.hole'), ['string.hole'])
  s.take('height', 'depth', pt(-5, -high), pt(-5, 0)).down('studLength', 'outside', 0, 0).wide('string.hole', 'inside', -5, -high)
}

export function sketchFerrules(s: Sketch): void {
  const [d, l] = [s.v('diameter'), s.v('length')]
  s.view('side', 'one of them, cut open')
  s.box('metal', -d / 2 - 1, -1, d / 2 + 1, 0, ['diameter']).box('metal', -d / 2, 0, d / 2, l, ['diameter', 'length'])
  const hole = s.v('string.hole')
  s.box('cavity', -hole / 2, 0, hole / 2, l, ['string.hole'])
  s.wide('diameter', 'outside', 0, l * 0.6)
    .down('length', 'outside', 0, 0)
    .wide('string.hole', 'inside', 0, l)
}

export function sketchStringTree(s: Sketch): void {
  const h = s.v('height')
  s.view('side', 'on the headstock')
  s.box('neck-wood', -14, 0, 14, 8, [])
    .box('metal', -1.5, -h - 3, 1.5, 0, ['height'])
    .box('metal', -8, -h - 3, 8, -h - 1.4, ['height'])
  s.line('string', pt(-14, -h + 1), pt(0, -h), pt(14, -h + 2)).take('height', 'depth', pt(4, -h), pt(4, 0))
  ownScrew(s)
}

export function sketchStrapButtons(s: Sketch): void {
  const t = s.v('thickness')
  s.view('side', 'one of them with its screw')
  s.area(
    'metal',
    [pt(-6, 0), pt(6, 0), pt(4, t * 0.3), pt(4, t * 0.6), pt(7, t), pt(-7, t), pt(-4, t * 0.6), pt(-4, t * 0.3)],
    ['thickness'],
  )
  s.down('thickness', 'outside', 0, 0)
  s.view('screw', 'its screw')
  screwOf(s, 'screw.length', 'screw.thread', 'screw.root')
}

export const SPRINGS_USUAL: Readonly<Record<string, number>> = { free: 62 }

export function sketchSprings(s: Sketch): void {
  const [d, free] = [s.v('diameter'), s.v('free')]
  s.view('spring', 'one spring, free')
  const turns = 18
  const coil = Array.from({ length: 2 * turns + 1 }, (_, i) => pt((free * i) / (2 * turns), ((i % 2 ? 1 : -1) * d) / 2))
  s.mark({ mark: 'line', role: 'hot', points: coil, ...(s.known('free') && s.known('diameter') ? {} : { dashed: true }) })
  s.across('diameter', 'outside', free / 4).along('free', 'rule', 0, d / 2 + 2)
  s.view('arms', 'the vibrato from the side')
  const [arm, string] = [s.v('arm'), s.v('string.arm')]
  s.box('metal', -4, 0, 30, 3, [])
    .box('metal', 4, 3, 14, arm + 3, ['arm'])
    .line('string', pt(-40, -string), pt(20, -string))
  s.round('metal', pt(0, 0), 2, []).take('string.arm', 'rule', pt(0, 0), pt(0, -string)).down('arm', 'rule', 0, 0)
  ownScrew(s)
}

export function sketchNeckScrews(s: Sketch): void {
  s.view('screw', 'one of them')
  screwOf(s, 'length', 'thread', 'root')
  const [a, b] = [s.v('spread.along'), s.v('spread.across')]
  s.view('plate', 'the plate')
  s.box('metal', -a / 2 - 7, -b / 2 - 7, a / 2 + 7, b / 2 + 7, ['spread.along', 'spread.across'])
  for (const x of [-1, 1]) for (const y of [-1, 1]) s.round('cavity', pt((x * a) / 2, (y * b) / 2), s.v('thread'), ['thread'])
  s.wide('spread.along', 'rule', 0, b / 2).across('spread.across', 'rule', a / 2)
  s.view('edge', 'its edge')
  s.box('metal', 0, 0, 40, s.v('plate.thickness'), ['plate.thickness']).down('plate.thickness', 'outside', 20, 0)
}
