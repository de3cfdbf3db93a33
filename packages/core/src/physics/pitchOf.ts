/** A pitch heard in a sound. */
export interface HeardPitch {
  /** First partial, Hz. */
  hertz: number
  /** Stiffness B that its partials show. */
  stiffness: number
  /** How like itself the sound is after one period, 0 to 1. */
  clear: number
}

/** What was heard, or why nothing was. */
export type Listened = { ok: true; heard: HeardPitch } | { ok: false; why: string }

const LOWEST = 36
const HIGHEST = 1500
/**
 * Periods the first look is taken at, s, and the rate it takes for each, Hz. A period of a dozen samples lies between two of them, and
 * where its partials are strong three periods are more like the sound than one.
 */
const LOOKS = [
  { from: 0, to: 1 / 600, at: 22_050 },
  { from: 1 / 600, to: 1 / 250, at: 11_025 },
  { from: 1 / 250, to: 1 / LOWEST, at: 4000 },
] as const
/** Attack that is passed over, s, and the longest piece listened to. */
const ATTACK = 0.015
const LONGEST = 0.6
const CLEAR = 0.5
const MOST_PARTIALS = 9

/**
 * The pitch of a plucked string: its period from how the sound is like itself, then each partial's own frequency, and the first one from
 * all of them together, as a stiff string's partials lie. [ours; NSDF published: McLeod and Wyvill 2005, from memory]
 * @param samples -1 to 1 @param rate per second
 */
export function pitchOf(samples: ArrayLike<number>, rate: number): Listened {
  const piece = soundingPiece(samples, rate)
  if (!piece) return { ok: false, why: 'Nothing sounds loud enough: pluck it once, alone, and let it ring.' }
  const period = coarsePeriod(piece, rate)
  if (!period || period.clear < CLEAR) return { ok: false, why: 'No single pitch stands out: damp the other strings and pluck again.' }
  const shown = windowed(piece)
  const first = octaveOf(shown, rate, period.hertz)
  const heard = fitted(shown, rate, first)
  return { ok: true, heard: { ...heard, clear: period.clear } }
}

/** From just after the loudest beginning, its mean taken away. */
function soundingPiece(samples: ArrayLike<number>, rate: number): Float64Array | undefined {
  const block = Math.max(1, Math.round(rate * 0.005))
  let most = 0
  const loud: number[] = []
  for (let i = 0; i + block <= samples.length; i += block) {
    let mean = 0
    for (let j = 0; j < block; j++) mean += samples[i + j]! / block
    let sum = 0
    for (let j = 0; j < block; j++) sum += (samples[i + j]! - mean) ** 2
    const level = Math.sqrt(sum / block)
    loud.push(level)
    most = Math.max(most, level)
  }
  if (most < 1e-4) return undefined
  const onset = loud.findIndex((l) => l > 0.4 * most) * block
  const from = onset > 0 ? onset + Math.round(ATTACK * rate) : 0
  const length = Math.min(samples.length - from, Math.round(LONGEST * rate))
  if (length < rate * 0.06) return undefined
  const piece = new Float64Array(length)
  let mean = 0
  for (let i = 0; i < length; i++) mean += samples[from + i]! / length
  for (let i = 0; i < length; i++) piece[i] = samples[from + i]! - mean
  return piece
}

/** Sum of a sound times itself so much later. */
function overlap(x: Float64Array, lag: number, width: number): number {
  let [a, b, c, d] = [0, 0, 0, 0]
  let i = 0
  // Four sums side by side, so that none waits for another.
  for (; i + 3 < width; i += 4) {
    a += x[i]! * x[i + lag]!
    b += x[i + 1]! * x[i + lag + 1]!
    c += x[i + 2]! * x[i + lag + 2]!
    d += x[i + 3]! * x[i + lag + 3]!
  }
  for (; i < width; i++) a += x[i]! * x[i + lag]!
  return a + b + c + d
}

/** Averages of so many samples each. */
function thinned(piece: Float64Array, thin: number): Float64Array {
  const x = new Float64Array(Math.floor(piece.length / thin))
  for (let i = 0; i < x.length; i++) {
    let sum = 0
    for (let j = 0; j < thin; j++) sum += piece[i * thin + j]!
    x[i] = sum / thin
  }
  return x
}

interface Peak {
  /** After how long it is like itself again, s. */
  after: number
  height: number
}

/** Peaks of the normalised square difference between two lags, once the sound was unlike itself: the hill at no lag at all is no period. */
function likeness(
  piece: Float64Array,
  rate: number,
  { from, to, at }: (typeof LOOKS)[number],
  unlike: boolean,
): { peaks: Peak[]; unlike: boolean } {
  const x = thinned(piece, Math.max(1, Math.round(rate / at)))
  const r = (rate * x.length) / piece.length
  const longest = Math.min(x.length >> 1, Math.ceil(r * to) + 2)
  const width = x.length - longest
  // Power up to each place: that of any stretch is a difference of two.
  const power = new Float64Array(x.length + 1)
  for (let i = 0; i < x.length; i++) power[i + 1] = power[i]! + x[i]! * x[i]!
  const like = (lag: number) => {
    const both = power[width]! + power[width + lag]! - power[lag]!
    return both ? (2 * overlap(x, lag, width)) / both : 0
  }
  const peaks: Peak[] = []
  const start = Math.max(1, Math.floor(r * from) - 1)
  let [a, top] = [start > 1 ? like(start - 1) : 1, like(start)]
  for (let lag = start; lag < longest; lag++) {
    const c = like(lag + 1)
    if (top < 0) unlike = true
    if (lag >= r / HIGHEST && unlike && top > a && top >= c && top >= 0.3) {
      const shift = (0.5 * (a - c)) / (a - 2 * top + c)
      peaks.push({ after: (lag + shift) / r, height: top - (a - c) * shift * 0.25 })
    }
    ;[a, top] = [top, c]
  }
  return { peaks, unlike }
}

/** The first peak that is nearly the highest: short periods are looked at finely, long ones roughly. */
function coarsePeriod(piece: Float64Array, rate: number): { hertz: number; clear: number } | undefined {
  let unlike = false
  const peaks = LOOKS.flatMap((look) => {
    const seen = likeness(piece, rate, look, unlike)
    unlike = seen.unlike
    return seen.peaks
  })
  const most = Math.max(0, ...peaks.map((p) => p.height))
  const first = peaks.find((p) => p.height >= 0.92 * most)
  return first && { hertz: 1 / first.after, clear: Math.min(1, first.height) }
}

/** Loudness of a frequency in a windowed piece, and where its peak lies near it. */
function partialNear(shown: Float64Array, rate: number, hertz: number, rounds = 2): { hertz: number; level: number } {
  let at = hertz
  let level = 0
  for (let round = 0; round < rounds; round++) {
    const blocks = demodulated(shown, rate, at)
    const best = peakOf(blocks)
    level = best.level
    at += best.offset
  }
  return { hertz: at, level }
}

const BLOCKS = 160

/** Blackman-Harris over the piece, its multiples of the angle from the first; what does not fill the blocks is left out. [published: Harris 1978] */
function windowed(piece: Float64Array): Float64Array {
  const n = Math.floor(piece.length / BLOCKS) * BLOCKS
  const shown = new Float64Array(n)
  const w = (2 * Math.PI) / n
  const [wc, ws] = [Math.cos(w), Math.sin(w)]
  let cw = 1
  let sw = 0
  for (let i = 0; i < n; i++) {
    const c2 = 2 * cw * cw - 1
    shown[i] = piece[i]! * (0.35875 - 0.48829 * cw + 0.14128 * c2 - 0.01168 * (2 * cw * c2 - cw))
    const w1 = cw * wc - sw * ws
    sw = sw * wc + cw * ws
    cw = w1
  }
  return shown
}

/** Shift a frequency to nothing and sum in blocks: what is left turns slowly. */
function demodulated(shown: Float64Array, rate: number, hertz: number): { re: Float64Array; im: Float64Array; step: number } {
  const size = shown.length / BLOCKS
  const re = new Float64Array(BLOCKS)
  const im = new Float64Array(BLOCKS)
  const turn = (2 * Math.PI * hertz) / rate
  const [dc, ds] = [Math.cos(turn), Math.sin(turn)]
  let c = 1
  let s = 0
  let i = 0
  for (let b = 0; b < BLOCKS; b++) {
    let [sr, si] = [0, 0]
    for (const end = i + size; i < end; i++) {
      const y = shown[i]!
      sr += y * c
      si -= y * s
      const c1 = c * dc - s * ds
      s = s * dc + c * ds
      c = c1
    }
    re[b] = sr
    im[b] = si
  }
  return { re, im, step: size / rate }
}

/** Highest point of the spectrum of those blocks near nothing, Hz off. */
function peakOf({ re, im, step }: ReturnType<typeof demodulated>): { offset: number; level: number } {
  const span = 4 / (BLOCKS * step)
  const power = (f: number): number => {
    const turn = 2 * Math.PI * f * step
    let sr = 0
    let si = 0
    const tc = Math.cos(turn)
    const ts = Math.sin(turn)
    let c = 1
    let s = 0
    for (let b = 0; b < BLOCKS; b++) {
      sr += re[b]! * c + im[b]! * s
      si += im[b]! * c - re[b]! * s
      const c1 = c * tc - s * ts
      s = s * tc + c * ts
      c = c1
    }
    return sr * sr + si * si
  }
  const grid = 16
  let best = 0
  let most = -1
  for (let g = -grid; g <= grid; g++) {
    const p = power((g / grid) * span)
    if (p > most) [most, best] = [p, g]
  }
  let [low, high] = [((best - 1) / grid) * span, ((best + 1) / grid) * span]
  // Golden section on a single hill.
  const k = (Math.sqrt(5) - 1) / 2
  let [a, b] = [high - k * (high - low), low + k * (high - low)]
  let [pa, pb] = [power(a), power(b)]
  for (let i = 0; i < 26; i++) {
    if (pa < pb) {
      ;[low, a, pa] = [a, b, pb]
      b = low + k * (high - low)
      pb = power(b)
    } else {
      ;[high, b, pb] = [b, a, pa]
      a = high - k * (high - low)
      pa = power(a)
    }
  }
  return { offset: (low + high) / 2, level: Math.sqrt(Math.max(pa, pb)) }
}

/** A partial this much under the loudest is not there. [ours] */
const ABSENT = 0.03
const LOOKED_AT = 8

/**
 * The period that all partials have in common: where only every second or third of them sounds, it is that one; where others sound
 * between them, it is longer.
 */
function octaveOf(shown: Float64Array, rate: number, coarse: number): number {
  const level = (f: number) => (f < 0.42 * rate ? partialNear(shown, rate, f, 1) : { hertz: f, level: 0 })
  // The loudest of the first few says exactly what the first look said roughly.
  const known = [1, 2, 3, 4, 5].map((k) => ({ k, ...level(k * coarse) }))
  const sure = known.filter((p) => Math.abs(p.hertz / (p.k * coarse) - 1) < 0.03).toSorted((x, y) => y.level - x.level)[0]
  const hertz = sure ? sure.hertz / sure.k : coarse
  const levels = Array.from({ length: LOOKED_AT }, (_, i) => level((i + 1) * hertz).level)
  const loudest = Math.max(...levels)
  for (const m of [5, 4, 3, 2])
    if (m * hertz <= HIGHEST && levels.every((l, i) => (i + 1) % m === 0 || l < ABSENT * loudest)) return m * hertz
  for (const part of [3, 2]) {
    const low = hertz / part
    if (low < LOWEST) continue
    const between = [1, 2, 4, 5].filter((k) => k % part !== 0)
    const there = between.filter((k) => {
      const p = level(k * low)
      return p.level > ABSENT * loudest && Math.abs(p.hertz - k * low) < Math.max(1.5, 0.006 * k * low)
    })
    if (there.length >= 2) return low
  }
  return hertz
}

/** The partials' own frequencies and the line they lie on: (f_k/k)2 = f0 2 (1 + B k2), weighted by how surely each is known. */
function fitted(shown: Float64Array, rate: number, hertz: number): { hertz: number; stiffness: number } {
  let [a, b] = [hertz * hertz, 0]
  const points: { k: number; y: number; weight: number }[] = []
  let loudest = 0
  for (let k = 1; k <= MOST_PARTIALS; k++) {
    const expected = k * Math.sqrt(Math.max(1, a + b * k * k))
    if (expected > 0.42 * rate) break
    const p = partialNear(shown, rate, expected)
    loudest = Math.max(loudest, p.level)
    if (p.level < 0.004 * loudest || Math.abs(p.hertz / expected - 1) > 0.02) continue
    // An error of a partial counts by its number less in the first.
    points.push({ k, y: (p.hertz / k) ** 2, weight: (p.level * k) ** 2 })
    if (points.length > 1) ({ a, b } = line(points))
    else a = points[0]!.y
  }
  // One that lies off the line is something else: hum, or another string.
  for (let round = 0; round < 2 && points.length > 3; round++) {
    const off = points.map((p) => Math.abs(p.y - a - b * p.k * p.k) / p.y)
    const middle = off.toSorted((x, y) => x - y)[off.length >> 1]!
    const worst = off.indexOf(Math.max(...off))
    if (off[worst]! < 1e-4 || off[worst]! < 6 * middle) break
    points.splice(worst, 1)
    ;({ a, b } = line(points))
  }
  return { hertz: Math.sqrt(a + b), stiffness: Math.max(0, b / a) }
}

function line(points: readonly { k: number; y: number; weight: number }[]): { a: number; b: number } {
  let [w, wx, wy, wxx, wxy] = [0, 0, 0, 0, 0]
  for (const p of points) {
    const x = p.k * p.k
    w += p.weight
    wx += p.weight * x
    wy += p.weight * p.y
    wxx += p.weight * x * x
    wxy += p.weight * x * p.y
  }
  const d = w * wxx - wx * wx
  if (Math.abs(d) < 1e-12 * w * wxx) return { a: wy / w, b: 0 }
  // A string is never softer than none: its partials are never flat.
  const b = Math.max(0, (w * wxy - wx * wy) / d)
  return { a: (wy - b * wx) / w, b }
}
