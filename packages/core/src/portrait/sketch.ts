import { usualAt } from '../document/usualAt'
import type { Build } from '../document/build'
import { sizeAt, traitAt } from '../document/read'
import type { Mark, Role } from '../drawing/drawing'
import { over, turnedOver } from '../drawing/turnedOver'
import { rectangle } from '../geometry/box'
import { pt, type Point } from '../geometry/point'
import { isNaught } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { told } from '../quantity/size'

/** What a reading is taken with at its place: jaws over it, jaws in it, the rod down to a floor, a rule along it, a gauge held to it. */
export type Hold = 'outside' | 'inside' | 'depth' | 'rule' | 'gauge'

/** Where a size is taken. */
export interface Place {
  view: string
  from: Point
  to: Point
  hold: Hold
  /** The size is so many times what is read there: half a scale doubled, ten threads for one. */
  times: number
}

/** A part seen from one side, mm, in a frame of its own. */
export interface View {
  id: string
  title: string
  marks: Mark[]
  /** It lies as on the instrument, the neck to the left. */
  onInstrument?: true
}

/**
 * Draws one part from its sizes, view by view, and says of each size where on the part it is taken. What is not known is drawn by the
 * usual value and dotted.
 */
export class Sketch {
  readonly views: View[] = []
  readonly places = new Map<string, Place>()
  private hidden = false

  /**
   * @param asked the size that is about to be taken: what it belongs to is drawn even where nothing of it is known
   * @param usual for drawing only, where a kind's usual value would stand in a strange place
   */
  constructor(
    readonly build: Build,
    readonly slot: Slot,
    private readonly asked: string | undefined,
    private readonly usual: Readonly<Record<string, number>> = {},
  ) {}

  get part(): Part | undefined {
    return this.build.parts[this.slot]
  }
  trait(name: string): string | undefined {
    return traitAt(this.build, this.slot, name)
  }
  /** What the size is drawn as. */
  v(size: string): number {
    const spec = KINDS[slotSpec(this.slot).kind].sizes[size]
    if (!spec) throw new Error(`${this.slot} has no size ${size}`)
    return sizeAt(this.build, { slot: this.slot, size })?.value ?? usualAt(this.build, spec, this.usual[size])
  }
  /** Has somebody said it, by listing or by reading? */
  known(size: string): boolean {
    const { part } = this
    return !!part && told(part.sizes[size]) !== undefined && !isNaught(KINDS[part.kind], part.traits, size)
  }

  view(id: string, title: string): this {
    this.views.push({ id, title, marks: [] })
    return this
  }
  /** One that lies as on the instrument, the neck to the left: drawn with the bass side below, and turned over for a left hand. */
  onInstrument(id: string, title: string): this {
    this.views.push({ id, title, marks: [], onInstrument: true })
    return this
  }
  /** All of it drawn: what lies as on the instrument is made as such a hand has it. */
  made(): this {
    if (this.build.handedness === 'right') return this
    for (const view of this.views.filter((v) => v.onInstrument)) view.marks = view.marks.map(turnedOver)
    const turned = new Set(this.views.flatMap((v) => (v.onInstrument ? [v.id] : [])))
    for (const [size, p] of this.places) if (turned.has(p.view)) this.places.set(size, { ...p, from: over(p.from), to: over(p.to) })
    return this
  }
  /** About to be taken. */
  isAsked(size: string): boolean {
    return size === this.asked
  }
  /** Draws what a part of this kind need not have: only where it is known of, is here by its partner, or is asked for. */
  only(sizes: readonly string[], here: boolean, draw: () => void): this {
    const before = this.hidden
    this.hidden = !here && !sizes.some((s) => this.isAsked(s) || this.known(s))
    draw()
    this.hidden = before
    return this
  }
  mark(mark: Mark): this {
    if (!this.hidden) this.views.at(-1)!.marks.push(mark)
    return this
  }
  /** What hangs on no size of its own is as known as the part is at all. */
  private dashed(sizes: readonly string[]) {
    const known = sizes.length ? sizes.every((s) => this.known(s)) : Object.keys(this.part?.sizes ?? {}).some((s) => this.known(s))
    return known ? {} : { dashed: true }
  }

  area(role: Role, points: Point[], sizes: readonly string[]): this {
    return this.mark({ mark: 'area', role, points, ...this.dashed(sizes) })
  }
  box(role: Role, x0: number, y0: number, x1: number, y1: number, sizes: readonly string[]): this {
    return this.area(role, rectangle(Math.min(x0, x1), Math.min(y0, y1), Math.max(x0, x1), Math.max(y0, y1)), sizes)
  }
  round(role: Role, at: Point, diameter: number, sizes: readonly string[]): this {
    return this.mark({ mark: 'circle', role, at, r: Math.abs(diameter) / 2, ...this.dashed(sizes) })
  }
  line(role: Role, ...points: Point[]): this {
    return this.mark({ mark: 'line', role, points })
  }
  /** A screw standing with its head up at (x, y). */
  screw(x: number, y: number, length: number, thread: number, root: number, sizes: readonly string[]): this {
    const [t, r] = [thread / 2, root / 2]
    const turns = Math.max(3, Math.min(24, Math.round(length / Math.max(0.8, thread * 0.45))))
    // Its point is as long as it is thick, and of a stub half of it.
    const step = Math.max(length - thread, length / 2) / turns
    const right = Array.from({ length: turns }, (_, i) => [pt(x + r, y + i * step), pt(x + t, y + (i + 0.5) * step)]).flat()
    const left = right.toReversed().map((p) => pt(2 * x - p.x, p.y))
    const head = [pt(x - thread, y), pt(x - thread * 0.7, y - thread * 0.6), pt(x + thread * 0.7, y - thread * 0.6), pt(x + thread, y)]
    return this.area('metal', [...head, ...right, pt(x, y + length), ...left], sizes)
  }

  take(size: string, hold: Hold, from: Point, to: Point, times = 1): this {
    this.places.set(size, { view: this.views.at(-1)!.id, from, to, hold, times })
    return this
  }
  /** Along the drawing from x on. */
  along(size: string, hold: Hold, x: number, y: number): this {
    return this.take(size, hold, pt(x, y), pt(x + this.v(size), y))
  }
  /** Up and down, its middle at y. */
  across(size: string, hold: Hold, x: number, y = 0): this {
    return this.take(size, hold, pt(x, y - this.v(size) / 2), pt(x, y + this.v(size) / 2))
  }
  /** To both sides of x. */
  wide(size: string, hold: Hold, x: number, y: number): this {
    return this.take(size, hold, pt(x - this.v(size) / 2, y), pt(x + this.v(size) / 2, y))
  }
  /** Down from y on. */
  down(size: string, hold: Hold, x: number, y: number): this {
    return this.take(size, hold, pt(x, y), pt(x, y + this.v(size)))
  }
  /** What no jaws reach across, such as a radius: held to the edge there. */
  gauge(size: string, at: Point): this {
    return this.take(size, 'gauge', at, at)
  }
}
