import { missed } from './missed'
import type { Build } from '../document/build'
import { valueAt } from '../document/read'
import { stringPulls, type StringPull } from '../instrument/stringPulls'
import { stretching } from '../physics/stiffString'
import { setupModel, type SetupModel } from './model'
import { acrossSaddles } from './saddleArch'
import { toldAt } from '../judge/known'

/** Steel's modulus, GPa. [practice] */
const STEEL = 200
/** Bends are looked at from this fret up. [ours] */
const FROM = 7

/**
 * How far aside a string is pushed at a fret to raise its note, mm: the stretch that raises it, shared by the string on both sides of the
 * finger. [physics: T grows by E A strain; the note follows the root of T]
 * @param length nut to saddle, mm; @param at nut to finger, mm
 */
export function pushFor(string: Pick<StringPull, 'newton' | 'core'>, length: number, at: number, semitones: number): number {
  const strain = (string.newton * (2 ** (semitones / 6) - 1)) / stretching(string.core, STEEL)
  const longer = (w: number) => Math.hypot(at, w) + Math.hypot(length - at, w) - length
  let [low, high] = [0, length / 4]
  for (let i = 0; i < 50; i++) {
    const w = (low + high) / 2
    if (longer(w) < strain * length) low = w
    else high = w
  }
  return (low + high) / 2
}

export interface Choke {
  string: number
  fret: number
  /** Least left over a higher fret while it is bent, mm; and over which. */
  margin: number
  over: number
}

/**
 * Least clearance of bent strings over an arched board: the string goes straight from where it is pushed to on its fret to its saddle, and
 * crosses higher crowns nearer the board's ridge. No swing counted: it chokes where even the string at rest touches. [physics; a cone where
 * the board is compound]
 */
export function chokes(build: Build, semitones = 2, model: SetupModel = setupModel(build)): Choke[] {
  const radiusNut = toldAt(build, { slot: 'neck', size: 'board.radius' })?.value
  const spread = toldAt(build, { slot: 'bridge', size: 'spread' })?.value
  const nutSpread = (valueAt(build, { slot: 'neck', size: 'nut.width' }) ?? 42.5) - 7
  const pulls = stringPulls(build)
  if (radiusNut === undefined || spread === undefined) return []
  const radiusEnd = valueAt(build, { slot: 'neck', size: 'board.radiusEnd' }) ?? radiusNut
  const board = model.strings[0]!.neck.crowns.at(-1)!.x
  const fall = (x: number, y: number) => {
    const r = radiusNut + ((radiusEnd - radiusNut) * x) / board
    return r - Math.sqrt(r ** 2 - y ** 2)
  }
  const ends = acrossSaddles(build, spread)
  const starts = acrossSaddles(build, nutSpread)
  const found: Choke[] = []
  for (const s of model.strings) {
    const pull = pulls.find((p) => p.number === s.number)
    if (!pull) continue
    const [y0, y1] = [starts[s.number - 1]!, ends[s.number - 1]!]
    for (let fret = FROM; fret < model.frets; fret++) {
      const crown = s.neck.crowns[fret - 1]!
      const push = pushFor(pull, s.saddle.x, crown.x, semitones)
      const rest = y0 + ((y1 - y0) * crown.x) / s.saddle.x
      // Towards the middle of the board, as a hand bends: away from the nearer edge.
      const bent = rest + (rest < 0 ? push : -push)
      // Heights over the ridge's own curve.
      const from = crown.y - fall(crown.x, bent)
      const to = s.saddle.y - fall(s.saddle.x, y1)
      let worst: Choke | undefined
      for (let over = fret; over < model.frets; over++) {
        const c = s.neck.crowns[over]!
        const t = (c.x - crown.x) / (s.saddle.x - crown.x)
        const margin = from + (to - from) * t - (c.y - fall(c.x, bent + (y1 - bent) * t))
        if (!worst || margin < worst.margin) worst = { string: s.number, fret, margin, over: over + 1 }
      }
      if (worst) found.push(worst)
    }
  }
  return found
}

/** What bends do here, in words. */
export function chokeSays(list: readonly Choke[], semitones = 2): string {
  const step = semitones === 2 ? 'a whole step' : `${semitones} semitones`
  if (!list.length) return 'Whether bends choke needs the board’s radius, the string spread and gauges.'
  const worst = list.toSorted((a, b) => a.margin - b.margin)[0]!
  const bad = list.filter((c) => c.margin < 0)
  return bad.length
    ? `Bent by ${step}, ${bad.length} ${bad.length === 1 ? 'place chokes' : 'places choke'}: string ${worst.string} at fret ${worst.fret} lies on fret ${worst.over}, ${missed(worst.margin)} too low.`
    : `Bent by ${step} nothing chokes; nearest is string ${worst.string} at fret ${worst.fret}, ${worst.margin.toFixed(2)} mm over fret ${worst.over}.`
}
