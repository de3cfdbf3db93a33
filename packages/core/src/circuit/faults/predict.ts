import { compile } from '../engine/solver'
import type { Element } from '../engine/netlist'
import { ohmTable } from '../engine/ohmTable'
import type { Harness } from '../model/harness'
import { decibel, givenBy, MUTED, pickupsOf, PLUGGED_IN, together, type Complex } from '../model/heard'
import { toNetlist } from '../model/toNetlist'
import type { Setting } from '../model/setting'
import type { BenchTest, Outcome } from './benchTests'

/** Beyond so much below what it should be little is heard, dB. [ours] */
const FAINT = -12
/** So much more of the lows than there should be is heard at once, dB; treble alone is bright. [ours] */
const LOUDER = 8

/** Resistance of a finger, ohm, and round stray capacitances of a person in a room with mains, farad: only order and rough size mean anything. [ours] */
const FINGER = 10e3
const STRAY: readonly (readonly [string, string, number])[] = [
  ['mains', 'body', 10e-12],
  ['body', '0', 100e-12],
  ['body', 'hot', 1e-12],
  ['body', 'strings.1', 10e-12],
  ['strings.1', 'hot', 2e-12],
  ['mains', 'hot', 2e-14],
  ['mains', 'case.1', 2e-13],
  ['case.1', '0', 20e-12],
]

/** What a harness would show: readings by factoring once a setting, sound by solving where ears tell. What was asked once is kept. */
export class TestBench {
  private readonly tables = new Map<string, (a: string, b: string) => number>()
  private readonly alone = new Map<string, readonly Complex[]>()
  private readonly levels = new Map<string, readonly number[]>()

  /** @param good what it is heard against: itself while nothing is wrong */
  constructor(
    readonly harness: Harness,
    private readonly good?: TestBench,
  ) {}

  outcome(test: BenchTest): Outcome {
    switch (test.kind) {
      case 'ohms':
        return this.ohms(test.setting, test.probes![0], test.probes![1])
      case 'farad':
        return this.capacitance(test)
      case 'tap':
        return this.tapped(test)
      case 'strum':
        return this.strummed(test.setting)
      case 'tone':
        return this.toneTurned(test)
      case 'volume':
        return this.volumeTurned(test)
      case 'touch':
        return this.touched(test.setting)
    }
  }

  private ohms(setting: Setting, a: string, b: string): number {
    const key = keyOf(setting)
    let table = this.tables.get(key)
    if (!table) {
      table = ohmTable(toNetlist(this.harness, setting).elements)
      this.tables.set(key, table)
    }
    const ohm = table(a, b)
    return ohm > 20e6 ? Infinity : ohm
  }

  private capacitance({ setting, of }: BenchTest): string {
    if (this.ohms(setting, `${of}.1`, `${of}.2`) < 100) return 'shorted'
    const [is, should] = [this.harness, (this.good ?? this).harness].map((h) => h.components.find((c) => c.id === of))
    const share = is?.is === 'capacitor' && should?.is === 'capacitor' ? is.farad / should.farad : 1
    return share > 0.5 ? 'as marked' : share > 0.01 ? 'far too little' : 'nothing'
  }

  /** dB where ears tell, every coil struck. Positions are what each pickup gives in them: those are asked for anyway. */
  private level(setting: Setting): readonly number[] {
    const key = keyOf(setting)
    const known = this.levels.get(key)
    if (known) return known
    const parts = Object.keys(setting.knobs).length
      ? [givenBy(this.harness, setting)]
      : pickupsOf(this.harness).map((p) => this.of(setting, p))
    const found = together(parts)
    this.levels.set(key, found)
    return found
  }

  /** What one pickup alone gives. */
  private of(setting: Setting, pickup: string): readonly Complex[] {
    const key = `${keyOf(setting)} ${pickup}`
    const known = this.alone.get(key)
    if (known) return known
    const found = givenBy(this.harness, setting, pickup)
    this.alone.set(key, found)
    return found
  }

  /** One pickup alone struck: how loud it comes out against what it should be anywhere. */
  private tapped(test: BenchTest): string {
    const middle = decibel(this.of(test.setting, test.of!)[1]!)
    return middle > FAINT ? 'thumps' : middle > MUTED ? 'faint' : 'nothing'
  }

  private strummed(setting: Setting): string {
    const now = this.level(setting)
    const should = (this.good ?? this).level(setting)
    const [low, middle, high] = now.map((l, i) => l - should[i]!) as [number, number, number]
    // Against silence that belongs here nothing can be missed.
    if (should[1]! < MUTED - 20) return now[1]! < MUTED - 20 ? 'as it should' : 'too loud'
    if (Math.max(low, middle) < MUTED) return 'dead'
    if (middle < -15 || (low < -9 && high - low > 6)) return 'thin'
    if (high < -5 && low > -4) return 'dull'
    if (low > LOUDER) return 'too loud'
    if (high > 4 && Math.abs(low) < 3) return 'bright'
    return middle < -4 ? 'weak' : 'as it should'
  }

  private toneTurned(test: BenchTest): string {
    const at10 = this.level(test.setting)
    const at0 = this.level(with0(test))
    const [low, , high] = at0.map((l, i) => l - at10[i]!) as [number, number, number]
    if (low < -15) return 'kills it'
    if (high < -14) return 'darkens'
    return high < -3 ? 'darkens a little' : 'does nothing'
  }

  /** Each pickup by itself: of two that are alike one can fall out and leave the sum as it was. */
  private volumeTurned(test: BenchTest): string {
    const middle = (setting: Setting) => pickupsOf(this.harness).map((p) => decibel(this.of(setting, p)[1]!))
    const [at10, at0] = [middle(test.setting), middle(with0(test))]
    const sounding = at10.flatMap((level, i) => (level > MUTED ? [at0[i]! - level < MUTED] : []))
    return sounding.length && sounding.every(Boolean) ? 'silent' : sounding.some(Boolean) ? 'one pickup falls out' : 'stays'
  }

  private touched(setting: Setting): string {
    const [alone, hand] = [false, true].map((touching) => humOf(this.harness, setting, touching))
    const change = hand! - alone!
    return change < -5 ? 'falls' : change > 5 ? 'rises' : 'stays the same'
  }
}

/** Settings are few and asked for again and again: each has its key made once. */
const keys = new WeakMap<Setting, string>()
function keyOf(setting: Setting): string {
  let key = keys.get(setting)
  if (!key) keys.set(setting, (key = `${Object.values(setting.switches).join()} ${JSON.stringify(setting.knobs)}`))
  return key
}
const with0 = ({ setting, of }: BenchTest): Setting => ({ ...setting, knobs: { ...setting.knobs, [of!]: 0 } })

/** Hum at the tip, dB, with or without a hand on the strings. */
function humOf(harness: Harness, setting: Setting, touching: boolean): number {
  const { elements, output } = toNetlist(harness, setting, PLUGGED_IN, { only: 'none' })
  const names = new Set(elements.flatMap((e) => (e.type === 'K' ? [] : e.nodes)))
  const hot = ['volume.3', 'switch.A0', 'jack.tip'].find((lug) => names.has(lug))!
  const stray = STRAY.map(([a, b, value], i): Element => {
    const node = (n: string) => (n === 'hot' ? hot : n)
    return { type: 'C', ref: `stray ${i}`, nodes: [node(a), node(b)], value }
  })
  const hand: Element[] = touching ? [{ type: 'R', ref: 'hand', nodes: ['body', 'strings.1'], value: FINGER }] : []
  const solver = compile({ elements: [...elements, { type: 'V', ref: 'mains', nodes: ['mains', '0'], ac: 1 }, ...stray, ...hand], output })
  const out = { re: 0, im: 0 }
  solver.solve(50, out)
  return decibel(out)
}
