/** Draws from a seed: the same seed, the same trouble. */
export class Draw {
  constructor(private state: number) {}
  /** Uniform in [0, 1); the well-known 32-bit mixing step. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0
    let t = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
  below = (n: number): number => Math.floor(this.next() * n)
  of = <T>(from: readonly T[]): T => from[this.below(from.length)]!
}

/** Values that have broken programs before. */
const NASTY: readonly unknown[] = [
  null,
  true,
  '',
  0,
  -1,
  1e308,
  -1e-308,
  4e9,
  '4000000000',
  'He\u0000ron',
  'half \ud83d',
  '2027-02-31',
  '2026-W10-1',
  '9999-12-31',
  [],
  {},
  [[[[[[[[[[[[[[1]]]]]]]]]]]]]],
  { toString: 1 },
  { value: 1e9, doubt: 0, known: 'rule' },
  'x'.repeat(5000),
  Array.from({ length: 3000 }, () => 1),
]

type Holder = Record<string, unknown>
const isHolder = (v: unknown): v is Holder => typeof v === 'object' && v !== null

/** Every place in a document. */
function places(root: unknown): [Holder, string][] {
  const found: [Holder, string][] = []
  const walk = (value: unknown) => {
    if (!isHolder(value)) return
    for (const key of Object.keys(value)) {
      found.push([value, key])
      walk(value[key])
    }
  }
  walk(root)
  return found
}

/** A copy with a few places set to trouble, moved, nudged or taken away. */
export function mutated<T>(doc: T, draw: Draw): T {
  const copy = structuredClone(doc)
  for (let n = 1 + draw.below(3); n > 0; n--) {
    const all = places(copy)
    if (!all.length) return copy
    const [holder, key] = draw.of(all)
    const act = draw.below(5)
    if (act === 0) delete holder[key]
    else if (act === 1) holder[draw.of(['extra', 'toString', 'valueOf', '7', ''])] = structuredClone(draw.of(NASTY))
    else if (act === 2 && typeof holder[key] === 'number') holder[key] *= draw.of([-1, 0.5, 1.01, 2, 1000])
    else if (act === 3) {
      const [from, name] = draw.of(all)
      holder[key] = structuredClone(from[name])
    } else holder[key] = structuredClone(draw.of(NASTY))
  }
  return copy
}

/** The same for a text file. */
export function mutatedText(text: string, draw: Draw): string {
  const at = draw.below(text.length)
  const bit = draw.of([',', '"', '\n', '\u0000', 'x'.repeat(3000), '±', '±99999', '1e99', '=1+1', '\ufeff', ';', 'NaN', '-'])
  return draw.below(3) ? text.slice(0, at) + bit + text.slice(at + draw.below(3)) : text.slice(0, at) + text.slice(at + 1 + draw.below(40))
}
