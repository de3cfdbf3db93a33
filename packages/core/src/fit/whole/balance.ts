import { ofHand } from '../../drawing/turnedOver'
import type { Build } from '../../document/build'
import { asTold, sizeAt, sizeRef, traitAt, valueAt, type SizeRef, isThrough } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { boxAround } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { areaOf, centroidOf } from '../../geometry/polygon'
import { datums } from '../../instrument/datums'
import { bodyOutline, bodyShape, hornTip } from '../../instrument/bodyShape'
import { takenPart } from '../../instrument/idleParts'
import { postsBeyondNut, tunerPosts } from '../../instrument/tuners'
import { judged } from '../../judge/assemble'
import type { DetailTable, JudgedJoint, Question } from '../../judge/joint'
import { drawnAt, sizeIn, sizeToDraw } from '../../judge/known'
import type { OutlineRow } from '../../parts/part'
import { slotSpec, type Slot } from '../../parts/slots'
import { woodNamed } from '../../parts/woods'
import { GRIPPY, restingAngle, SLIPPERY } from '../../physics/restingAngle'
import { normal } from '../../quantity/distribution'
import { told } from '../../quantity/size'
import { printMm } from '../../quantity/length'

export interface Lump {
  label: string
  gram: number
  at: Point
  /** 95 % half-width, g. */
  doubt: number
  /** By a size of its own, whose doubt is counted where the size is read. */
  weighed?: true
  /** As usual of its kind: nobody weighed it, and nothing drawn says it. */
  usual?: true
}

/** Wood at room moisture weighs this much more than its oven-dry relative density says. [practice] */
const DAMP = 1.1
/** Routes, pocket and cavities take about this share of a solid body. [ours] */
const CARVED = 0.9
const HOLLOW = 0.62

/** A body's area, mm2, and its middle from the pocket's mouth; reckoned once for each outline. */
function shapeOf(build: Build): { area: number; middle: Point } {
  const { rows } = bodyShape(build)
  const known = shapes.get(rows)
  if (known) return known
  const outline = bodyOutline(build, 0)
  const shape = { area: areaOf(outline), middle: centroidOf(outline) ?? pt(0, 0) }
  shapes.set(rows, shape)
  return shape
}
const shapes = new WeakMap<readonly OutlineRow[], { area: number; middle: Point }>()

const named = (slot: Slot): string => slotSpec(slot).label.toLowerCase()
const massOf = (slot: Slot): SizeRef => ({ slot, size: 'mass' })

/** What is hollow of a chambered body, mm3, where its chambers were measured. */
function chambers(build: Build): number | undefined {
  const [count, length, width, depth] = (['count', 'length', 'width', 'depth'] as const).map((s) =>
    valueAt(build, sizeRef('body', `chamber.${s}`)),
  )
  return count === undefined || !length || !width || !depth ? undefined : count * length * width * depth
}

/** How many tuners there are, and their middle: on which side they stand, and beside what line, moves it across alone. */
function tunersOf(build: Build): { count: number; at: Point } {
  const posts = tunerPosts(build, asTold(build), asTold(build))
  return { count: posts.length, at: posts.reduce((s, p) => pt(s.x + p.x / posts.length, s.y + p.y / posts.length), pt(0, 0)) }
}

/** Every part with its mass where it lies, weighed or estimated from its wood. */
export function lumps(build: Build, weighed: (slot: Slot) => boolean = (slot) => sizeAt(build, massOf(slot)) !== undefined): Lump[] {
  const d = datums(build)
  const out: Lump[] = []
  const mass = (slot: Slot) => sizeToDraw(build, massOf(slot))
  const asKnown = (slot: Slot) => ({ weighed: true as const, ...(told(sizeAt(build, massOf(slot))) ? {} : { usual: true as const }) })
  const body = build.parts.body
  if (body) {
    const shape = shapeOf(build)
    const at = pt(d.mouth + shape.middle.x, shape.middle.y)
    // Not weighed, but drawn: its outline, thickness and wood say what it weighs, within about a seventh; by a few numbers, a fifth.
    const shaped = bodyShape(build).known
    if (!weighed('body') && shaped !== 'usual') {
      const wood = woodNamed(traitAt(build, 'body', 'wood'))
      const share = (traitAt(build, 'body', 'build') ?? 'solid') === 'solid' ? CARVED : HOLLOW
      const thick = drawnAt(build, sizeRef('body', 'thickness'))
      const hollows = chambers(build)
      const solid = hollows === undefined ? shape.area * thick * share : Math.max(0, shape.area * thick * CARVED - hollows)
      const gram = (solid * (wood?.density ?? 0.45) * DAMP) / 1000
      out.push({ label: 'body', gram, at, doubt: gram * (shaped === 'drawn' ? 0.15 : 0.2) })
    } else out.push({ label: 'body', gram: mass('body').value, at, doubt: mass('body').doubt, ...asKnown('body') })
  }
  if (build.parts.neck) {
    const { value, doubt } = mass('neck')
    out.push({ label: 'neck', gram: value, at: pt(d.heelEnd * 0.42, 0), doubt, ...asKnown('neck') })
  }
  if (build.parts.tuners) {
    const each = mass('tuners')
    const { count, at } = tunersOf(build)
    const gram = each.value * count
    out.push({ label: 'tuners', gram, at, doubt: each.doubt * count, ...asKnown('tuners') })
  }
  const metal: [Slot, () => number][] = [
    ['bridge', () => d.studs + 8],
    ['tailpiece', () => d.studs + drawnAt(build, sizeRef('body', 'tail.toBridge'))],
  ]
  for (const [slot, x] of metal)
    if (takenPart(build, slot))
      out.push({ label: named(slot), gram: mass(slot).value, at: pt(x(), 0), doubt: mass(slot).doubt, ...asKnown(slot) })
  // Of these nobody has a mass to enter; they are light and lie near the middle. [practice, from memory]
  const small: [Slot, number, Point][] = [
    ['pickup-neck', 95, pt(d.heelEnd + 32, 0)],
    ['pickup-middle', 70, pt(d.heelEnd + 88, 0)],
    ['pickup-bridge', 95, pt(d.studs - 32, 0)],
    ['guard', 60, pt(d.heelEnd + 90, -30)],
    ['control-plate', 70, pt(d.studs - 20, -74)],
  ]
  for (const [slot, usual, at] of small) {
    if (takenPart(build, slot)) out.push({ label: named(slot), gram: usual, at, doubt: usual * 0.3 })
  }
  return out
}

/** What was not weighed is about so much. */
const grams = (l: Lump): string => `${l.weighed && !l.usual ? '' : 'about '}${Math.round(l.gram)}`

/** Whole mass and centre of mass, with the 95 % half-width of its place along the neck that the estimated parts leave, mm. [physics] */
export function centreOfMass(all: readonly Lump[]): { gram: number; doubt: number; at: Point; along: number } {
  const gram = all.reduce((s, l) => s + l.gram, 0)
  const at = all.reduce((s, l) => pt(s.x + (l.gram * l.at.x) / gram, s.y + (l.gram * l.at.y) / gram), pt(0, 0))
  const along = Math.hypot(...all.map((l) => (l.weighed ? 0 : (l.doubt * (l.at.x - at.x)) / gram)), 12)
  return { gram, doubt: Math.hypot(...all.map((l) => l.doubt)), at, along }
}

const BUTTON = sizeRef('body', 'button.upper.x')

/** Hung on its strap: does the neck dip? Headward of the upper button it surely does, near it on a slippery strap. [practice] */
export function balanceJoint(build: Build): JudgedJoint {
  const { mouth } = datums(build)
  const all = lumps(build)
  const com = centreOfMass(all)
  const button = valueAt(build, BUTTON)
  // By a neck nobody weighed, or a body of which nobody knows the shape, no angle is told.
  const rests =
    button === undefined || all.some((l) => l.usual) || bodyShape(build).known === 'usual'
      ? undefined
      : restsAt(build, com.at, mouth, button)
  const weighed = (slot: Slot) => sizeAt(build, massOf(slot)) !== undefined
  return judged(build, {
    id: 'balance',
    condition: true,
    title: 'Balance on the strap',
    slots: ['body', 'neck', 'tuners', 'bridge'],
    at: () => (com.gram ? com.at : pt(mouth, 0)),
    draw: () => balanceDrawing(build, all, com),
    tables: () => [
      ...(rests ? [restTable(rests)] : []),
      {
        title: 'What weighs where',
        columns: ['part', 'gram', 'mm from the nut'],
        rows: [
          ...all.map((l) => [l.label, grams(l), Math.round(l.at.x).toString()]),
          ['together', `about ${Math.round(com.gram)}`, Math.round(com.at.x).toString()],
        ],
      },
    ],
    asks: [(b) => behindButton(b, weighed, rests)],
  })
}

function behindButton(build: Build, weighed: (slot: Slot) => boolean, rests: Rests | undefined): Question {
  const com = centreOfMass(lumps(build, weighed))
  const button = sizeIn(build, BUTTON)
  const margin = com.at.x - (datums(build).mouth + button.value)
  const head = Math.abs(margin)
  const forward = Math.max(5, 30 - margin)
  const horn = furthestFront(build)
  // Ten grams taken off where the tuners are. [physics: centre of mass]
  const tuners = tunersOf(build).at.x
  const lighter = (10 * (com.at.x - tuners)) / (com.gram - 10)
  return {
    id: 'margin',
    spread: true,
    label: 'Centre of mass behind the upper button',
    clearance: normal(margin, com.along / 2),
    bands: [
      { upTo: 0, is: 'tight' },
      { upTo: 25, is: 'loose' },
      { upTo: Infinity, is: 'snug' },
    ],
    says: ({ verdict }) =>
      `About ${(com.gram / 1000).toFixed(1)} kg. ${
        margin < 0
          ? `The centre of mass lies ${printMm(head, 0)} mm on the headstock’s side of the upper button: neck-heavy, it dips.`
          : `The centre of mass lies ${printMm(head, 0)} mm behind the upper button: ${hangs(rests ?? (verdict === 'loose' ? { grippy: 0, slippery: 90 } : LEVEL))}.`
      } Hang it and see: that overrides this sum.`,
    cures: ({ verdict }) =>
      verdict === 'snug'
        ? []
        : [
            ...(button.value - forward >= horn
              ? [
                  {
                    id: 'move-button',
                    job: `Move the upper strap button ${printMm(forward, 0)} mm towards the headstock.`,
                    how: `Further out on its horn${isThrough(build) ? '' : ', or behind the heel'}; plug the old hole.`,
                    gives: 'nothing',
                    tools: ['pilot bit'],
                    plan: { slot: 'body' as const, size: 'button.upper.x' as const, delta: -forward, doubt: 3 },
                  },
                ]
              : []),
            {
              id: 'light-tuners',
              job: `Or lighter tuners: 10 g less there moves the balance ${printMm(lighter, 1)} mm towards the tail.`,
              how: 'Open-geared ones weigh about half.',
              gives: 'the tuners',
              tools: [],
            },
            { id: 'grippy-strap', job: 'Or a grippy strap.', how: 'Suede side to the shirt.', gives: 'nothing', tools: [] },
          ],
  }
}

/** As far towards the headstock as a button can sit on this body, from the pocket's mouth; without limit where its shape is not known. */
function furthestFront(build: Build): number {
  const shape = bodyShape(build)
  return shape.known === 'usual' ? -Infinity : hornTip(shape)
}

/** Degrees the neck drops by on a grippy and on a slippery strap. */
interface Rests {
  grippy: number
  slippery: number
}
const LEVEL: Rests = { grippy: 0, slippery: 0 }
/** Less than this nobody minds, degrees. [ours] */
const MINDED = 8

function restsAt(build: Build, com: Point, mouth: number, upper: number): Rests | undefined {
  const lower = valueAt(build, sizeRef('body', 'button.lower.x'))
  if (lower === undefined) return undefined
  // The upper button sits on the bass-side rim at its place along the body, the lower one on the centre line.
  const beside = bodyOutline(build, mouth).filter((p) => Math.abs(p.x - mouth - upper) < 30)
  // A button read where there is no wood hangs by nothing.
  if (!beside.length) return undefined
  const rim = Math.max(0, ...beside.map((p) => p.y))
  const angle = (friction: number) => restingAngle(com, pt(mouth + upper, rim), pt(mouth + lower, 0), friction)
  return { grippy: angle(GRIPPY), slippery: angle(SLIPPERY) }
}

function hangs({ grippy, slippery }: Rests): string {
  if (Math.abs(slippery) <= MINDED) return 'it hangs level on most straps'
  return Math.abs(grippy) <= MINDED
    ? `level on a grippy strap, ${slippery > 0 ? 'the neck sinks' : 'the tail sinks'} on a slippery one`
    : `the ${grippy > 0 ? 'neck' : 'tail'} sinks even on a grippy strap`
}

function restTable({ grippy, slippery }: Rests): DetailTable {
  const words = (deg: number) =>
    Math.abs(deg) < 0.5 ? 'level' : Math.abs(deg) >= 85 ? 'does not hold' : `neck ${deg > 0 ? 'down' : 'up'} ${Math.abs(deg).toFixed(0)}°`
  return {
    title: 'Let go of, held by the strap alone, it rests',
    columns: ['strap', 'neck'],
    rows: [
      ['grippy: suede or cotton', words(grippy)],
      ['slippery: smooth nylon', words(slippery)],
    ],
  }
}

function balanceDrawing(build: Build, all: readonly Lump[], com: { at: Point; gram: number }): Drawing {
  const d = datums(build)
  const outline = bodyOutline(build, d.mouth)
  const button = valueAt(build, sizeRef('body', 'button.upper.x'))
  // The head ends a little past its furthest tuner.
  const end = Math.min(-150, ...postsBeyondNut(build).map((x) => -x - 20))
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: outline },
    { mark: 'area', role: 'neck-wood', points: [pt(end, -22), pt(d.heelEnd, -28), pt(d.heelEnd, 28), pt(end, 22)] },
    ...all.map((l): Mark => ({ mark: 'circle', role: 'metal', at: l.at, r: Math.max(4, Math.cbrt(l.gram) * 2.4) })),
    { mark: 'line', role: 'centre', points: [pt(com.at.x, -170), pt(com.at.x, 170)] },
    { mark: 'circle', role: 'sounding', at: com.at, r: 9 },
    { mark: 'label', at: pt(com.at.x + 8, 150), text: 'centre of mass', anchor: 'start' },
  ]
  if (button !== undefined) {
    const x = d.mouth + button
    marks.push(
      { mark: 'line', role: 'hot', points: [pt(x, -170), pt(x, 170)] },
      { mark: 'label', at: pt(x - 8, 150), text: 'upper button', anchor: 'end' },
    )
    marks.push({ mark: 'dimension', from: pt(x, -150), to: pt(com.at.x, -150), text: printMm(Math.abs(com.at.x - x), 0), emphasis: true })
  }
  const box = boxAround([...outline, ...all.map((l) => l.at), pt(end, 0), pt(0, 175), pt(0, -175)], 12)
  const drawing: Drawing = {
    title: 'Where it hangs from and where it weighs',
    note: 'true proportion · discs by mass',
    marks,
    bounds: box,
    numbers: all.map((l) => ({ label: l.label, value: `${grams(l)} g at ${Math.round(l.at.x)} mm` })),
  }
  return ofHand(drawing, build.handedness)
}
