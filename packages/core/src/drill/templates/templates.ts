import type { Build } from '../../document/build'
import { sizeAt, traitAt } from '../../document/read'
import { boxAround } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { PLACES, type PickupPlace } from '../../instrument/guardPlace'
import { outlinePoints } from '../../instrument/outline'
import { printMm } from '../../quantity/length'
import { USUAL_BENCH, type Bench } from '../bench'
import { routerPair, templateOffset } from '../cards/routes'
import { hollowsOf, type Hollow } from '../hollows'
import type { HoleCard, Side } from '../holeCard'
import { holeCards } from '../holes'
import { drawnEdge } from '../place'
import { withoutGuesses } from '../told'
import { closed, hole, laidOut, line, roundedBox, TEMPLATE_IDS, words, type Shape, type Template, type TemplateId } from './template'

type Made = Pick<Template, 'title' | 'seen' | 'notes' | 'shapes'> & { legend?: string[] }
type Maker = (build: Build, bench: Bench) => Made | undefined

/** One template of a build, when what it shows is known. */
export function templateOf(build: Build, id: TemplateId, bench: Bench = USUAL_BENCH): Template | undefined {
  const made = MAKERS[id](withoutGuesses(build), bench)
  return made && laidOut({ legend: [], id, ...made }, build.handedness)
}

/** Which templates a build has, with what the others wait for. */
export const templatesOf = (
  build: Build,
  bench: Bench = USUAL_BENCH,
): { id: TemplateId; title: string; template: Template | undefined; waits?: string }[] =>
  TEMPLATE_IDS.filter((id) => EXISTS[id](build)).map((id) => {
    const template = templateOf(build, id, bench)
    return { id, title: TITLES[id], template, ...(template ? {} : { waits: WAITS[id] }) }
  })

const TITLES: Record<TemplateId, string> = {
  'body-front': 'Body, front',
  'body-back': 'Body, back',
  'head-front': 'Headstock, front',
  'head-back': 'Headstock, back',
  practice: 'Practice piece for the tuners',
  guard: 'Pickguard',
  ferrules: 'Row of ferrules',
  'route-neck': 'Router template, neck pickup',
  'route-middle': 'Router template, middle pickup',
  'route-bridge': 'Router template, bridge pickup',
  'route-control': 'Router template, control route',
  shim: 'Shim for the pocket',
  cover: 'Cover for the control cavity',
}
const WAITS: Record<TemplateId, string> = {
  'body-front': 'the body’s outline',
  'body-back': 'the body’s outline',
  'head-front': 'the headstock’s outline',
  'head-back': 'the headstock’s outline',
  practice: 'the tuners’ row and their bores',
  guard: 'the guard’s outline',
  ferrules: 'the ferrules’ diameter and the string spacing',
  'route-neck': 'the pickup’s cover and its middle on the body',
  'route-middle': 'the pickup’s cover and its middle on the body',
  'route-bridge': 'the pickup’s cover and its middle on the body',
  'route-control': 'the control route’s length, width and place',
  shim: 'the pocket’s length and widths',
  cover: 'the control route’s length and width',
}
const has = (slot: keyof Build['parts']) => (b: Build) => b.parts[slot] !== undefined
const EXISTS: Record<TemplateId, (b: Build) => boolean> = {
  'body-front': has('body'),
  'body-back': has('body'),
  'head-front': has('neck'),
  'head-back': has('neck'),
  practice: (b) => has('neck')(b) && has('tuners')(b),
  guard: has('guard'),
  ferrules: has('ferrules'),
  'route-neck': has('pickup-neck'),
  'route-middle': has('pickup-middle'),
  'route-bridge': has('pickup-bridge'),
  'route-control': (b) => has('body')(b) && (has('pot-volume')(b) || has('pot-tone')(b)),
  shim: (b) => has('body')(b) && has('neck')(b),
  cover: (b) => has('body')(b) && traitAt(b, 'body', 'access') === 'back',
}

const MAKERS: Record<TemplateId, Maker> = {
  'body-front': (b, bench) => body(b, bench, 'front'),
  'body-back': (b, bench) => body(b, bench, 'back'),
  'head-front': (b, bench) => head(b, bench, 'head front'),
  'head-back': (b, bench) => head(b, bench, 'head back'),
  practice,
  guard: guardTemplate,
  ferrules: ferruleRow,
  'route-neck': (b, bench) => routeTemplate(b, bench, 'neck'),
  'route-middle': (b, bench) => routeTemplate(b, bench, 'middle'),
  'route-bridge': (b, bench) => routeTemplate(b, bench, 'bridge'),
  'route-control': controlTemplate,
  shim,
  cover,
}

/** Holes of these sides as they are marked; what is there is shown and not cut. */
const holesOn = (cards: readonly HoleCard[], sides: readonly Side[]): Shape[] =>
  cards
    .filter((c) => sides.includes(c.side) && c.bit !== undefined && c.stands !== 'refused')
    .flatMap((c) => c.places.flatMap((p, i) => hole(p, c.bit!, nameOf(c, i), c.work === 'keep')))
/** On the drawing each hole has its number; the row's name and size stand once at its foot. */
const nameOf = (c: HoleCard, i: number) => (c.places.length > 1 ? `${MARK[c.id] ?? ''}${i + 1}` : (MARK[c.id] ?? c.title.toLowerCase()))
/** A letter before the number tells rows apart that lie near each other. */
const MARK: Record<string, string> = {
  'tuner-screws': 's',
  'bridge-screws': 'b',
  'string-holes': 'h',
  'ferrule-bores': 'f',
  'neck-clearance': 'n',
  'tail-bores': 't',
  'pot-holes': 'p',
  'ground-wire': 'g',
  'toggle-hole': 'w',
}
const legend = (cards: readonly HoleCard[], sides: readonly Side[]): string[] =>
  cards
    .filter((c) => sides.includes(c.side) && c.bit !== undefined && c.places.length && c.stands !== 'refused')
    .map(
      (c) =>
        `${c.places.length > 1 ? `${nameOf(c, 0)} to ${nameOf(c, c.places.length - 1)}` : nameOf(c, 0)}: ${c.title.toLowerCase()}, ${printMm(c.bit!, 1)} mm${c.work === 'keep' ? ', there already' : ''}.`,
    )

function body(build: Build, bench: Bench, seen: 'front' | 'back'): Made | undefined {
  const edge = drawnEdge(build)
  if (!edge) return undefined
  const d = datums(build)
  const cards = holeCards(build, bench).filter((c) => !c.id.startsWith('route-'))
  const hollows = hollowsOf(build).filter((h) => h.face === seen)
  const end = Math.max(...edge.map((p) => p.x))
  return {
    title: TITLES[`body-${seen}`],
    seen,
    notes: [...registration(cards, seen), ...doubts(cards, seen)],
    legend: legend(cards, [seen]),
    shapes: [
      closed(edge, 'cut'),
      ...hollows.flatMap((h) => hollowShape(build, h)),
      ...holesOn(cards, [seen]),
      line([pt(d.mouth - 60, 0), pt(end + 8, 0)]),
      words(pt(end + 8, -2), 'centre line', 'end'),
    ],
  }
}

function hollowShape(build: Build, h: Hollow): Shape[] {
  const radius = sizeAt(build, { slot: 'body', size: `route.${h.id.replace('route-', '')}.radius` })?.value ?? 3
  return [
    closed(roundedBox(h.box, h.id === 'pocket' ? 0 : radius)),
    words(pt(h.box.x + h.box.width / 2, h.box.y + h.box.height / 2 + 9), h.name),
  ]
}

/** Two holes that are there lay a second paper exactly on the first. */
function registration(cards: readonly HoleCard[], side: Side): string[] {
  const there = cards.find((c) => c.side === side && c.work === 'keep' && c.places.length >= 2)
  if (!there) return []
  const [a, b] = [there.places[0]!, there.places.at(-1)!]
  return [
    `Lay it on by ${there.title.toLowerCase()} that are there: ${printMm(Math.hypot(a.x - b.x, a.y - b.y), 1)} mm apart on the wood and on the paper.`,
  ]
}

/** Which of the holes on it are placed by numbers that are not sure. */
const doubts = (cards: readonly HoleCard[], side: Side): string[] =>
  cards
    .filter((c) => c.side === side && c.places.length && (c.placeDoubt ?? 0) > 0.5 && c.work !== 'keep')
    .map((c) => `${c.title}: known to ±${printMm(c.placeDoubt!, 1)} mm; ${c.located} decides.`)

function head(build: Build, bench: Bench, side: 'head front' | 'head back'): Made | undefined {
  const rows = build.parts.neck?.outline
  if (!rows) return undefined
  const outline = outlinePoints(rows)
  const cards = holeCards(build, bench)
  const back = side === 'head back'
  return {
    title: TITLES[back ? 'head-back' : 'head-front'],
    seen: back ? 'back' : 'front',
    notes: back ? ['Screws are drilled from this side; the post bores are shown to lay it on by.'] : [],
    legend: legend(cards, [side]),
    shapes: [
      closed(outline, 'cut'),
      line([pt(Math.min(...outline.map((p) => p.x)) - 6, 0), pt(12, 0)]),
      ...postBores(cards, back),
      ...holesOn(cards, back ? ['head back'] : []),
    ],
  }
}

/** The posts' bores: named on the face they are drilled from, only shown on the other. */
function postBores(cards: readonly HoleCard[], shown: boolean): Shape[] {
  const bores = cards.find((c) => c.id === 'tuner-bores')
  if (!bores?.bit) return []
  return bores.places.flatMap((p, i) => hole(p, bores.bit!, shown ? '' : nameOf(bores, i), shown || bores.work === 'keep'))
}

/** The posts alone on a piece of scrap: drilled, the tuners hung in it, before the neck is touched. */
function practice(build: Build, bench: Bench): Made | undefined {
  const bores = holeCards(build, bench).find((c) => c.id === 'tuner-bores')
  if (!bores?.bit || !bores.places.length) return undefined
  const { x, y, width, height } = boxAround(bores.places, 20)
  return {
    title: TITLES.practice,
    seen: 'front',
    notes: ['Scrap as thick as the headstock; drill it as the card says, hang every tuner, look whether the housings clear.'],
    legend: legend([bores], [bores.side]),
    shapes: [
      closed(roundedBox({ x, y, width, height }, 4), 'cut'),
      ...bores.places.flatMap((p, i) => hole(p, bores.bit!, nameOf(bores, i))),
    ],
  }
}

/** The guard in its own frame: its neck edge at 0. */
function guardTemplate(build: Build, bench: Bench): Made | undefined {
  const rows = build.parts.guard?.outline
  if (!rows) return undefined
  const size = (key: string) => sizeAt(build, { slot: 'guard', size: key })?.value
  const outline = outlinePoints(rows)
  const openings = PLACES.flatMap((p): Shape[] => {
    const [c, l, w] = [size(`opening.${p}.centre`), size(`opening.${p}.length`), size(`opening.${p}.width`)]
    if (c === undefined || l === undefined || w === undefined || !build.parts[`pickup-${p}`]) return []
    const y = size(`opening.${p}.side`) ?? 0
    return [closed(roundedBox({ x: c - l / 2, y: y - w / 2, width: l, height: w }, size(`opening.${p}.radius`) ?? 2), 'cut')]
  })
  const card = holeCards(build, bench).find((c) => c.id === 'pot-holes')
  const pots = (['volume', 'tone'] as const).flatMap((n): Shape[] => {
    const [x, y] = [size(`${n}.x`), size(`${n}.y`)]
    return x === undefined || y === undefined || card?.bit === undefined ? [] : hole(pt(x, y), card.bit, `${n}, ${printMm(card.bit, 1)} mm`)
  })
  return {
    title: TITLES.guard,
    seen: 'front',
    notes: ['Screw holes are marked on the wood through the guard itself, not from paper.'],
    shapes: [
      closed(outline, 'cut'),
      ...openings,
      ...pots,
      line([pt(Math.min(...outline.map((p) => p.x)) - 6, 0), pt(Math.max(...outline.map((p) => p.x)) + 6, 0)]),
    ],
  }
}

/** A straight strip that guides the recesses, screwed or clamped on over the outer two string holes. */
function ferruleRow(build: Build, bench: Bench): Made | undefined {
  const card = holeCards(build, bench).find((c) => c.id === 'ferrule-bores')
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
      ...ys.flatMap((y, i) => hole(pt(0, y), card.bit!, i === 0 ? `${printMm(card.bit!, 1)} mm` : '')),
    ],
  }
}

/** An opening for a guide bushing, larger than the cut by what the bushing is wider than the bit. */
function routeTemplate(build: Build, bench: Bench, place: PickupPlace): Made | undefined {
  const card = holeCards(build, bench).find((c) => c.id === `route-${place}`)
  const pair = routerPair(bench.bushings, bench.routerBits)
  const box = hollowsOf(build).find((h) => h.id === `route-${place}`)?.box
  const cover = (['length', 'width'] as const).map((s) => sizeAt(build, { slot: `pickup-${place}`, size: s })?.value)
  const centre = sizeAt(build, { slot: 'body', size: `route.${place}.centre` })?.value
  if (!card || !pair || centre === undefined) return undefined
  const [l, w] = box ? [box.width, box.height] : cover
  if (l === undefined || w === undefined) return undefined
  const room = box ? 0 : 1
  return bushingTemplate(
    `route-${place}`,
    pair,
    { l: l + 2 * room, w: w + 2 * room },
    sizeAt(build, { slot: 'body', size: `route.${place}.radius` })?.value,
    'front',
  )
}

/** The control route, from the face it is cut from. */
function controlTemplate(build: Build, bench: Bench): Made | undefined {
  const hollow = hollowsOf(build).find((h) => h.id === 'control')
  const pair = routerPair(bench.bushings, bench.routerBits)
  return hollow && pair && bushingTemplate('route-control', pair, { l: hollow.box.width, w: hollow.box.height }, undefined, hollow.face)
}

/** An opening so much larger than its cut that a bushing runs in it. */
function bushingTemplate(
  id: TemplateId,
  pair: { bushing: number; bit: number },
  cut: { l: number; w: number },
  radius: number | undefined,
  seen: 'front' | 'back',
): Made {
  const offset = templateOffset(pair.bushing, pair.bit)
  const size = { l: cut.l + 2 * offset, w: cut.w + 2 * offset }
  const corner = Math.max(pair.bit / 2, radius ?? 0)
  return {
    title: TITLES[id],
    seen,
    notes: [
      `FOR A ${printMm(pair.bushing, 2)} mm BUSHING AND A ${printMm(pair.bit, 2)} mm BIT: the edge stands ${printMm(offset, 3)} mm outside the cut. With a bearing bit it cuts too large.`,
    ],
    shapes: [
      closed(roundedBox({ x: -size.l / 2, y: -size.w / 2, width: size.l, height: size.w }, corner + offset), 'cut'),
      closed(roundedBox({ x: -cut.l / 2, y: -cut.w / 2, width: cut.l, height: cut.w }, corner)),
      line([pt(-size.l / 2 - 25, 0), pt(size.l / 2 + 25, 0)]),
      line([pt(0, -size.w / 2 - 15), pt(0, size.w / 2 + 15)]),
      words(pt(2, -size.w / 2 - 8), 'across the strings', 'start'),
    ],
  }
}

/** A full-pocket shim with its screw holes; its slope is cut, not drawn. */
function shim(build: Build): Made | undefined {
  const size = (key: string) => sizeAt(build, { slot: 'body', size: key })?.value
  const [l, mouth, end] = [size('pocket.length'), size('pocket.widthMouth'), size('pocket.widthEnd')]
  if (l === undefined || mouth === undefined || end === undefined) return undefined
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
function cover(build: Build): Made | undefined {
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
