import type { Point } from '../geometry/point'
import { fundamental, tensionFor, type Ends } from './stiffString'

/** A neck as strings see it, mm: x from the nut, y up from the board. */
export interface Crowns {
  /** Bottom of the nut's slot, and the crowns, the first fret's first. */
  nut: Point
  crowns: readonly Point[]
}

/** Where the finger holds the string: so much of the fret's space behind its fret, and so far under the line from crown to crown, mm. */
export interface Finger {
  behind: number
  depth: number
}

/** A string and how it is held beyond nut and saddle. */
export interface Strung {
  /** E A of the core, N. */
  stretching: number
  /** E I of the core, N m2. */
  bending: number
  /** kg/m */
  mass: number
  hertz: number
  ends: Ends
  /** Free string behind nut and saddle that shares the stretch, mm. */
  behind?: number
  /** How far the ends give way, mm for each N. */
  gives?: number
}

const length = (points: readonly Point[]): number =>
  points.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - points[i]!.x, p.y - points[i]!.y), 0)

/** Shortest line over points it cannot pass below. [physics: upper hull] */
function over(points: readonly Point[]): Point[] {
  const line: Point[] = []
  for (const p of points) {
    while (line.length > 1) {
      const [a, b] = [line.at(-2)!, line.at(-1)!]
      if ((b.y - a.y) * (p.x - a.x) > (p.y - a.y) * (b.x - a.x)) break
      line.pop()
    }
    line.push(p)
  }
  return line
}

/** The string's way from slot to saddle while it is held at a fret; open at fret 0. */
export function heldPath({ nut, crowns }: Crowns, saddle: Point, fret: number, finger?: Finger): Point[] {
  if (fret === 0) return over([nut, ...crowns, saddle])
  const crown = crowns[fret - 1]!
  const right = over([crown, ...crowns.slice(fret), saddle])
  if (!finger) return [...over([nut, ...crowns.slice(0, fret - 1), crown]).slice(0, -1), ...right]
  const before = fret > 1 ? crowns[fret - 2]! : nut
  const x = crown.x - finger.behind * (crown.x - before.x)
  const held = { x, y: crown.y + ((before.y - crown.y) * (crown.x - x)) / (crown.x - before.x) - finger.depth }
  return [...over([nut, ...crowns.slice(0, fret - 1), held]), ...right]
}

/**
 * How sharp a fretted note sounds against the tempered scale of its open string, cents: the string is stretched by the way it is pressed,
 * its mass spread over more length, and its ends make it stiff. [physics]
 * @param saddle its top, mm
 */
export function sharpAt(neck: Crowns, string: Strung, saddle: Point, frets: readonly number[], finger?: Finger): number[] {
  const behind = string.behind ?? 0
  const open = length(heldPath(neck, saddle, 0)) + behind
  const sounding = length(over([neck.nut, ...neck.crowns, saddle]))
  const slack = tensionFor(string, sounding, string.hertz, string.ends)
  const unstretched = open / (1 + slack / string.stretching)
  const give = string.gives ?? 0
  return frets.map((fret) => {
    const held = length(heldPath(neck, saddle, fret, finger)) + behind
    // The ends give way by so much for each newton more, which takes back as much of the stretch.
    const rate = string.stretching / unstretched
    const tension = (rate * (held - unstretched) + rate * give * slack) / (1 + rate * give)
    const crown = neck.crowns[fret - 1]!
    const speaking = Math.hypot(saddle.x - crown.x, saddle.y - crown.y)
    const f = fundamental({ tension, bending: string.bending, mass: (string.mass * open) / held }, speaking, string.ends)
    return 1200 * Math.log2(f / (string.hertz * 2 ** (fret / 12)))
  })
}

/** How far behind the scale line a saddle stands that brings fret 12 in tune with the open string, mm. */
export function saddleBack(neck: Crowns, string: Strung, scale: number, height: number, finger?: Finger): number {
  const miss = (back: number) => sharpAt(neck, string, { x: scale + back, y: height }, [12], finger)[0]!
  // A cent is worth L ln2/1200 of string at fret 12; secants from there.
  let [a, atA] = [0, miss(0)]
  let b = (atA * scale * Math.LN2) / 1200
  let atB = miss(b)
  for (let i = 0; i < 6 && Math.abs(atB) > 1e-4; i++) {
    const next = b - (atB * (b - a)) / (atB - atA)
    ;[a, atA] = [b, atB]
    ;[b, atB] = [next, miss(next)]
  }
  return b
}
