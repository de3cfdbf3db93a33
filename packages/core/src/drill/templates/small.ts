import type { Build } from '../../document/build'
import { sizeAt, isThrough } from '../../document/read'
import { type Point, pt } from '../../geometry/point'
import { printMm } from '../../quantity/length'
import type { HoleCard } from '../holeCard'
import { closed, hole, line, roundedBox } from './template'
import { type Made, TITLES } from './titles'

/** A straight strip that guides the recesses, screwed or clamped on over the outer two string holes. */
export function ferruleRow(build: Build, cards: readonly HoleCard[]): Made | undefined {
  const card = cards.find((c) => c.id === 'ferrule-bores')
  const spread = sizeAt(build, { slot: 'bridge', size: 'spread' })?.value
  if (!card?.bit || spread === undefined) return undefined
  const ys = Array.from({ length: build.strings }, (_, i) => spread * (i / (build.strings - 1) - 0.5))
  return {
    title: TITLES.ferrules,
    seen: 'back',
    notes: ['Drill the template first, in a press, in something hard; lay it on by its outer two holes.'],
    shapes: [
      closed(roundedBox({ x: -15, y: -spread / 2 - 25, width: 30, height: spread + 50 }, 3), 'cut'),
      line([pt(0, -spread / 2 - 20), pt(0, spread / 2 + 20)]),
      ...ys.flatMap((y, i) => hole(pt(0, y), card.bit!, i === 0 ? `${printMm(card.bit!)} mm` : '')),
    ],
  }
}

/** A full-pocket shim with its screw holes; its slope is cut, not drawn. */
export function shim(build: Build): Made | undefined {
  const size = (key: string) => sizeAt(build, { slot: 'body', size: key })?.value
  const [l, mouth, end] = [size('pocket.length'), size('pocket.widthMouth'), size('pocket.widthEnd')]
  if (isThrough(build) || l === undefined || mouth === undefined || end === undefined) return undefined
  const loose = 0.5
  const outline: Point[] = [
    pt(0, -mouth / 2 + loose),
    pt(l - loose, -end / 2 + loose),
    pt(l - loose, end / 2 - loose),
    pt(0, mouth / 2 - loose),
  ]
  const screw = (key: string) => sizeAt(build, { slot: 'neck-screws', size: key })?.value
  const [along, across, thread] = [screw('spread.along'), screw('spread.across'), screw('thread')]
  const holes =
    along === undefined || across === undefined || thread === undefined
      ? []
      : [-1, 1].flatMap((a) => [-1, 1].flatMap((s) => hole(pt(l / 2 + (a * along) / 2, (s * across) / 2), thread + 0.5, '')))
  return {
    title: TITLES.shim,
    seen: 'front',
    notes: ['Thick end and slope as Dry fit says; half a millimetre smaller than the pocket all round. The mouth is at the left.'],
    shapes: [closed(outline, 'cut'), ...holes, line([pt(-6, 0), pt(l + 6, 0)])],
  }
}

/** A cover that lies on the wood round the control cavity. */
export function cover(build: Build): Made | undefined {
  const size = (key: string) => sizeAt(build, { slot: 'body', size: key })?.value
  const [l, w] = [size('control.length'), size('control.width')]
  if (l === undefined || w === undefined) return undefined
  const [rim, screw] = [9, 3.2]
  const at = (x: number, y: number) => pt(x * (l / 2 + rim / 2), y * (w / 2 + rim / 2))
  return {
    title: TITLES.cover,
    seen: 'back',
    notes: [
      `${rim} mm of cover all round the cavity; into a recess: the recess less 0.3 mm all round instead. Saw to the line, file; light passes.`,
    ],
    shapes: [
      closed(roundedBox({ x: -l / 2 - rim, y: -w / 2 - rim, width: l + 2 * rim, height: w + 2 * rim }, rim), 'cut'),
      closed(roundedBox({ x: -l / 2, y: -w / 2, width: l, height: w }, 4)),
      ...[at(-1, -0.7), at(-1, 0.7), at(1, -0.7), at(1, 0.7)].flatMap((p) => hole(p, screw, '')),
      line([pt(-l / 2 - rim - 4, 0), pt(l / 2 + rim + 4, 0)]),
    ],
  }
}
