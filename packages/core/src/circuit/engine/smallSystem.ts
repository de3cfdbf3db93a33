/** A few complex equations Y V = I, symmetric, of passive parts: no pivot is sought. Upper half only; the answer is left in b. */
export class SmallSystem {
  readonly re: Float64Array
  readonly im: Float64Array
  readonly bRe: Float64Array
  readonly bIm: Float64Array

  constructor(private readonly size: number) {
    this.re = new Float64Array(size * size)
    this.im = new Float64Array(size * size)
    this.bRe = new Float64Array(size)
    this.bIm = new Float64Array(size)
  }

  clear(): void {
    // By hand: for so few numbers the call costs more than the loop.
    for (let i = 0; i < this.re.length; i++) this.re[i] = this.im[i] = 0
    for (let i = 0; i < this.size; i++) this.bRe[i] = this.bIm[i] = 0
  }

  /** An admittance x + jy between two unknowns, -1 for ground, whose first end stands `rise` volts above its unknown against the other's. */
  add(a: number, b: number, x: number, y: number, rise: number): void {
    const n = this.size
    if (a >= 0) {
      this.re[a * n + a]! += x
      this.im[a * n + a]! += y
      this.bRe[a]! -= x * rise
      this.bIm[a]! -= y * rise
    }
    if (b >= 0) {
      this.re[b * n + b]! += x
      this.im[b * n + b]! += y
      this.bRe[b]! += x * rise
      this.bIm[b]! += y * rise
    }
    if (a < 0 || b < 0) return
    const at = a < b ? a * n + b : b * n + a
    this.re[at]! -= x
    this.im[at]! -= y
  }

  /** @param first the lowest unknown that is asked for */
  solve(first: number): void {
    const { re, im, bRe, bIm, size: n } = this
    for (let p = 0; p < n; p++) {
      const d = p * n + p
      const norm = 1 / (re[d]! * re[d]! + im[d]! * im[d]!)
      const dRe = re[d]! * norm
      const dIm = -im[d]! * norm
      for (let r = p + 1; r < n; r++) {
        const f = p * n + r
        const fRe = re[f]! * dRe - im[f]! * dIm
        const fIm = re[f]! * dIm + im[f]! * dRe
        for (let c = r; c < n; c++) {
          const s = p * n + c
          const t = r * n + c
          re[t]! -= fRe * re[s]! - fIm * im[s]!
          im[t]! -= fRe * im[s]! + fIm * re[s]!
        }
        bRe[r]! -= fRe * bRe[p]! - fIm * bIm[p]!
        bIm[r]! -= fRe * bIm[p]! + fIm * bRe[p]!
      }
    }
    for (let p = n - 1; p >= first; p--) {
      let x = bRe[p]!
      let y = bIm[p]!
      for (let c = p + 1; c < n; c++) {
        const k = p * n + c
        x -= re[k]! * bRe[c]! - im[k]! * bIm[c]!
        y -= re[k]! * bIm[c]! + im[k]! * bRe[c]!
      }
      const d = p * n + p
      const norm = 1 / (re[d]! * re[d]! + im[d]! * im[d]!)
      bRe[p] = (x * re[d]! + y * im[d]!) * norm
      bIm[p] = (y * re[d]! - x * im[d]!) * norm
    }
  }
}
