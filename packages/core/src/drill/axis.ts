import { ofHand } from '../drawing/turnedOver'
import type { Build, PencilLines } from '../document/build'
import { sizeAt, sizeRef, isThrough } from '../document/read'
import type { Drawing, Mark } from '../drawing/drawing'
import { framed } from '../drawing/sections'
import { pt } from '../geometry/point'
import { wallToEase } from '../fit/neck/pocketWidth.words'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'

/** A line is read off a rule to this, mm, 95 %. [ours] */
const READ = 0.3

/** How far the neck's axis passes beside the body's own middle at one place, mm, bass side positive. Necks taper: midpoints, never one edge. */
export function offsetAt({ bassLine, trebleLine, bassEnd, trebleEnd }: PencilLines): Size {
  // Read from an edge on the bass side: further away is further to the treble side.
  return { value: (bassEnd + trebleEnd) / 2 - (bassLine + trebleLine) / 2, doubt: READ, known: 'rule' }
}

export interface AxisFound {
  /** Beside the body's middle at the bridge, mm, bass side positive. */
  atBridge: Size
  /** To the body's centre line, degrees, leaning to the bass side towards the tail positive; nothing from a single place. */
  angle?: Size
}

/**
 * The neck's axis from pencil lines: one place gives the offset there, taken for the bridge's; two give the angle, and the offset is carried
 * on to the bridge. [physics: a straight line through two points, its doubt with it]
 * @param bridge from the pocket's mouth, mm
 */
export function axisFrom(near: PencilLines | undefined, far: PencilLines | undefined, bridge: number): AxisFound | undefined {
  const only = far ?? near
  if (!only) return undefined
  if (!near || !far || near.along === far.along) return { atBridge: offsetAt(only) }
  const [a, b] = [offsetAt(near), offsetAt(far)]
  const run = far.along - near.along
  const share = (bridge - near.along) / run
  const slope = (b.value - a.value) / run
  return {
    atBridge: { value: a.value + slope * (bridge - near.along), doubt: Math.hypot((1 - share) * a.doubt, share * b.doubt), known: 'rule' },
    angle: {
      value: (Math.atan(slope) * 180) / Math.PI,
      doubt: (Math.hypot(a.doubt, b.doubt) / Math.abs(run)) * (180 / Math.PI),
      known: 'rule',
    },
  }
}

export interface AxisCut {
  place: 'mouth' | 'end'
  wall: 'bass' | 'treble'
  /** Off that wall, mm. */
  amount: number
}

/**
 * How an axis that passes beside the bridge is brought back: the neck is turned about the pocket's middle by e/D; each of two walls gives
 * e l/(2D) less half the play, which is used first. [physics: levers]
 * @param off at the bridge, mm, bass side positive
 * @param reach pocket's middle to the bridge, mm
 * @param play pocket less heel, mm
 */
export function axisCuts(off: number, reach: number, pocket: number, play: number): { cuts: AxisCut[]; byPlay: number } {
  const each = Math.max(0, (Math.abs(off) * pocket) / (2 * reach) - Math.max(0, play) / 2)
  const byPlay = Math.min(Math.abs(off), (Math.max(0, play) * reach) / pocket)
  if (each < 1e-9) return { cuts: [], byPlay }
  return { cuts: (['end', 'mouth'] as const).map((place) => ({ place, wall: wallToEase(place, off), amount: each })), byPlay }
}

/** Less than this at the bridge nobody moves a neck for, mm (1/32 in). [practice] */
const WORTH = 0.8

export interface AxisAdvice {
  off: Size
  cuts: AxisCut[]
  says: string[]
  draw: () => Drawing
}

/** What to do about the axis as it is known, in words and drawn; nothing while it is not. */
export function axisAdvice(build: Build): AxisAdvice | undefined {
  const off = sizeAt(build, sizeRef('body', 'axisAtBridge'))
  const pocket = sizeAt(build, sizeRef('body', 'pocket.length'))?.value
  const bridge = sizeAt(build, sizeRef('body', 'mouthToBridge'))?.value
  if (!off || pocket === undefined || bridge === undefined) return undefined
  const through = isThrough(build)
  const width = (['pocket.widthMouth', 'pocket.widthEnd'] as const).map((s) => sizeAt(build, sizeRef('body', s))?.value)
  const heel = (['heel.widthMouth', 'heel.widthEnd'] as const).map((s) => sizeAt(build, sizeRef('neck', s))?.value)
  const plays = width.map((w, i) => (w === undefined || heel[i] === undefined ? undefined : w - heel[i]))
  const play = plays.some((p) => p === undefined) ? undefined : Math.min(...(plays as number[]))
  const { cuts, byPlay } = through ? { cuts: [], byPlay: 0 } : axisCuts(off.value, bridge - pocket / 2, pocket, play ?? 0)
  const side = off.value > 0 ? 'bass' : 'treble'
  const amount = printMm(Math.abs(off.value), 1)
  const unsure = Math.abs(off.value) <= off.doubt
  const small = Math.abs(off.value) <= WORTH
  const says = [
    unsure
      ? `The axis passes the bridge’s middle by ${amount} ±${printMm(off.doubt, 1)} mm: as good as through it.`
      : `The axis passes ${amount} ±${printMm(off.doubt, 1)} mm to the ${side} side of the bridge’s middle.`,
    ...(unsure
      ? []
      : [
          small
            ? 'Where the outer strings’ margins and the poles are in order, leave it: margins decide, not the axis.'
            : 'Look at Dry fit first: it is corrected where an outer string comes nearer than 2.5 mm to the board’s edge or a pole is more than 1.5 mm off; otherwise it may stay.',
          through
            ? `The neck stands as it was built: the bridge goes ${amount} mm to the ${side} side, over its axis, before a hole is made for it.`
            : play === undefined
              ? 'Widths of heel and pocket are not known: how much the neck may be turned in its play is not, either.'
              : cuts.length
                ? `${byPlay > 0.05 ? `Turning the neck in its play of ${printMm(play)} mm brings ${printMm(byPlay, 1)} mm of it back. The rest: ease` : small ? 'If you do correct it: ease' : 'Ease'} ${cuts.map((c) => `the ${c.wall} wall at the pocket’s ${c.place} by ${printMm(c.amount)} mm`).join(' and ')}.`
                : `Just turn the neck in its play of ${printMm(play)} mm, its head towards the ${side} side: it reaches.`,
        ]),
  ]
  return {
    off,
    cuts: unsure || play === undefined ? [] : cuts,
    says,
    draw: () => ofHand(axisDrawing(off.value, pocket, bridge, width[0] || 56, unsure || play === undefined ? [] : cuts), build.handedness),
  }
}

/** How much the axis's lean and what comes off are drawn larger than they are. */
const TIMES = 6

function axisDrawing(off: number, pocket: number, bridge: number, wide: number, cuts: readonly AxisCut[]): Drawing {
  const half = wide / 2
  const beside = (x: number) => (off * TIMES * (x - pocket / 2)) / (bridge - pocket / 2)
  const wallY = (wall: AxisCut['wall']) => (wall === 'bass' ? half : -half)
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'body-wood',
      points: [pt(0, -half - 26), pt(bridge + 30, -half - 26), pt(bridge + 30, half + 26), pt(0, half + 26)],
    },
    ...(pocket
      ? [{ mark: 'area' as const, role: 'cavity' as const, points: [pt(0, -half), pt(pocket, -half), pt(pocket, half), pt(0, half)] }]
      : []),
    ...cuts.map((c): Mark => {
      const y = wallY(c.wall)
      const out = Math.sign(y) * Math.max(1.5, c.amount * TIMES)
      const [x0, x1] = c.place === 'mouth' ? [0, pocket / 2] : [pocket, pocket / 2]
      return { mark: 'area', role: 'remove', points: [pt(x0, y), pt(x0, y + out), pt(x1, y)] }
    }),
    ...cuts.map(
      (c): Mark => ({
        mark: 'label',
        at: pt(c.place === 'mouth' ? 4 : pocket - 4, wallY(c.wall) + Math.sign(wallY(c.wall)) * 14),
        text: `${printMm(c.amount)}`,
        anchor: c.place === 'mouth' ? 'start' : 'end',
      }),
    ),
    { mark: 'line', role: 'centre', points: [pt(-10, 0), pt(bridge + 30, 0)] },
    { mark: 'line', role: 'string', points: [pt(-10, beside(-10)), pt(bridge + 20, beside(bridge + 20))] },
    { mark: 'circle', role: 'metal', at: pt(bridge, 0), r: 3 },
    { mark: 'dimension', from: pt(bridge, 0), to: pt(bridge, beside(bridge)), text: printMm(Math.abs(off), 1), emphasis: true },
    { mark: 'label', at: pt(bridge + 8, -half - 14), text: 'treble side', anchor: 'middle' },
    { mark: 'label', at: pt(bridge + 8, half + 20), text: 'bass side', anchor: 'middle' },
    ...(pocket ? [{ mark: 'label', at: pt(pocket + 8, half - 8), text: 'pocket', anchor: 'start' } as const] : []),
  ]
  return framed('The neck’s axis over the body', `sideways ×${TIMES}${pocket ? ' · hatched: what is eased' : ''}`, marks, [
    { label: 'Beside the bridge’s middle', value: `${printMm(Math.abs(off))} mm to the ${off > 0 ? 'bass' : 'treble'} side` },
    ...cuts.map((c) => ({ label: `Off the ${c.wall} wall at the ${c.place}`, value: `${printMm(c.amount)} mm` })),
  ])
}
