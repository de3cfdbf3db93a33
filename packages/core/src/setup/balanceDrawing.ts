import type { Build } from '../document/build'
import type { Drawing, Mark } from '../drawing/drawing'
import { pt, type Point } from '../geometry/point'
import { balanceAt, restOf } from '../physics/vibrato'
import { isTooFar, plateOf } from './balance'
import { turnWords } from './screws'

const RAD = Math.PI / 180
/** Angles are drawn so many times larger. */
const TILT = 4

/** The bridge from the side: plate and block as it rests now, dashed where it is wanted, the string's pull and the spring's. */
export function balanceDrawing(build: Build): Drawing {
  const p = plateOf(build)
  const plain: Drawing = { title: 'Vibrato from the side', marks: [], bounds: { x: -80, y: -40, width: 140, height: 90 }, numbers: [] }
  if (!p) return plain
  const wanted = build.setup.wanted?.float ?? 1
  const rest = restOf(p)
  const target = balanceAt(p, wanted)
  const turned = (q: Point, deg: number): Point => {
    const [c, s] = [Math.cos(deg * TILT * RAD), Math.sin(deg * TILT * RAD)]
    // Screens have y downwards.
    return pt(q.x * c - q.y * s, -(q.x * s + q.y * c))
  }
  const saddle = p.strings[0]!.saddle
  const shape = (deg: number): Point[] =>
    [
      pt(-4, 0),
      pt(p.back.x, p.back.y),
      pt(p.back.x, p.back.y + 3),
      pt(saddle.x + 6, 3),
      pt(saddle.x, saddle.y),
      pt(saddle.x - 6, 3),
      pt(-4, 3),
    ].map((q) => turned(q, deg))
  const block = (deg: number): Point[] =>
    [pt(p.block.x - 5, 0), pt(p.block.x + 5, 0), pt(p.block.x + 4, p.block.y - 4), pt(p.block.x - 4, p.block.y - 4)].map((q) =>
      turned(q, deg),
    )
  const now = rest?.angle ?? target.angle
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: [pt(-80, 2), pt(-6, 2), pt(-6, 12), pt(-80, 12)] },
    { mark: 'area', role: 'body-wood', points: [pt(p.back.x - 4, 2), pt(60, 2), pt(60, 12), pt(p.back.x - 4, 12)] },
    { mark: 'area', role: 'metal', points: shape(now) },
    { mark: 'area', role: 'metal', points: block(now) },
    { mark: 'line', role: 'good', dashed: true, points: [...shape(target.angle), shape(target.angle)[0]!] },
    { mark: 'line', role: 'string', points: [pt(-80, -saddle.y), turned(saddle, now)] },
    { mark: 'line', role: 'ground', points: [turned(p.block, now), pt(p.claw.x, -p.claw.y)] },
    { mark: 'circle', role: 'guide', at: pt(0, 0), r: 1.6 },
    { mark: 'label', at: pt(0, -6), text: 'edge', anchor: 'middle' },
    { mark: 'label', at: pt(p.claw.x + 4, -p.claw.y + 6), text: 'claw', anchor: 'start' },
  ]
  return {
    title: 'Vibrato from the side',
    note: `angles ×${TILT} · dashed: floating ${wanted} mm`,
    marks,
    bounds: { x: -82, y: -32, width: 146, height: 84 },
    numbers: [
      { label: 'At rest', value: rest ? `${rest.gap.toFixed(2)} mm under the back edge` : 'runs away' },
      { label: 'Wanted', value: `${wanted} mm` },
      { label: 'Both claw screws', value: isTooFar(p, target) ? 'further than they go' : turnWords(target.turns) },
    ],
  }
}
