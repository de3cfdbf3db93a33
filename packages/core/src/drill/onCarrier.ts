import type { Build } from '../document/build'
import { sizeAt, sizeRef, traitAt, type SizeRef } from '../document/read'
import { pt, type Point } from '../geometry/point'
import { toArea } from '../geometry/area'
import { contains, nearestOnEdge } from '../geometry/polygon'
import { controlRefs, potsIn, type Control } from '../instrument/controlPlace'
import { PLACES } from '../instrument/guardPlace'
import { goesRound } from '../instrument/guardRound'
import { outlinePoints } from '../instrument/outline'
import { isCarried, panelOf } from '../instrument/panel'
import { hasRoundEnds, plateEdge } from '../instrument/platePlace'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import { BETWEEN, guarded, NEWS, unread, untellable, WOOD_LEFT } from './guard'
import type { DrawnCard, Guard } from './holeCard'
import { SCREW } from './slit'

/** The controls a card's holes are for. */
const CONTROLS_OF: Readonly<Record<string, (build: Build) => readonly (Control | 'jack')[]>> = {
  'pot-holes': potsIn,
  'toggle-hole': () => ['switch'],
  'toggle-hole-2': () => ['switch-2'],
  'switch-slot': () => ['switch'],
  'switch-slot-2': () => ['switch-2'],
  'jack-hole': () => ['jack'],
}

/** A round hole on the marks of the part that carries it: its middle, its radius, how surely its middle is known, 95 %, mm. */
interface Mark {
  at: Point
  r: number
  doubt: number
}

/** A hole in a guard or a control plate stays within it, and clear of what is open in it already. */
export function onCarrier(build: Build, card: DrawnCard): Guard[] {
  const panel = panelOf(build)
  const controls = CONTROLS_OF[card.id]?.(build)
  if (!controls || !isCarried(panel)) return []
  const marks = controls.flatMap((control) => marksOf(build, card, control))
  if (!marks.length) return []
  const own =
    panel.slot === 'guard'
      ? [...guardEdge(build, marks), ...openings(build, marks)]
      : [...plateEdges(build, marks), ...plateScrews(build, marks)]
  return [...own, ...jackUntold(build, card, panel.name)]
}

/** A jack of which nobody has said what holds it may want a hole of its own beside this one. */
const jackUntold = (build: Build, card: DrawnCard, panel: string): Guard[] =>
  card.id !== 'jack-hole' && build.parts.jack && traitAt(build, 'jack', 'held') === undefined
    ? [untellable('near-jack', 'Left to the jack', `nobody has said what holds the jack, and it may sit in the ${panel} too`)]
    : []

/** Of a slot all of its line where it is known how it lies, else its middle. */
function marksOf(build: Build, card: DrawnCard, control: Control | 'jack'): Mark[] {
  const { x, y } = controlRefs(build, control)
  const [along, across] = [sizeAt(build, x), sizeAt(build, y)]
  if (!along || !across) return []
  const doubt = Math.hypot(along.doubt, across.doubt)
  const at = pt(along.value, across.value)
  if (!card.slit) return card.bit === undefined ? [] : [{ at, r: (card.takes ?? card.bit) / 2, doubt }]
  const { half, turn } = card.slit
  // How it lies on a guard nobody says; on a plate it lies along it.
  const reach = turn === undefined ? 0 : half - SCREW
  const steps = Math.ceil(reach / ALONG)
  return Array.from({ length: 2 * steps + 1 }, (_, i) => ({
    at: pt(at.x + (steps ? (reach * (i - steps)) / steps : 0), at.y),
    r: SCREW,
    doubt,
  }))
}
/** A slot is looked at so often along its line, mm. */
const ALONG = 2

/** What stays between the nearest of the marks and something, told where it is news. @param free from a mark's middle, mm */
function left(id: string, what: string, marks: readonly Mark[], free: (at: Point) => number, doubt: number, opens: string): Guard[] {
  const all = marks.map((m) => ({ value: free(m.at) - m.r, doubt: Math.hypot(m.doubt, doubt) }))
  const [least] = all.toSorted((a, b) => a.value - b.value)
  if (!least || least.value > NEWS + least.doubt) return []
  return [
    guarded(
      id,
      `Left to ${what}`,
      least,
      WOOD_LEFT,
      least.value <= 0 ? opens : `${least.value < BETWEEN ? 'Only ' : ''}${printMm(least.value, 1)} mm stay to ${what}.`,
      'Move its mark.',
    ),
  ]
}

/** Inside an edge so much, outside of it less than nothing. */
const within = (edge: readonly Point[], at: Point): number => nearestOnEdge(edge, at).distance * (contains(edge, at) ? 1 : -1)

/** A guard whose outline nobody drew shows its edge to whoever holds it. */
function guardEdge(build: Build, marks: readonly Mark[]): Guard[] {
  const rows = build.parts.guard!.outline
  if (!rows || rows.length < 3) return []
  const edge = outlinePoints(rows)
  return left('edge', 'the guard’s edge', marks, (at) => within(edge, at), 0, 'It would come out at the guard’s edge.')
}

function openings(build: Build, marks: readonly Mark[]): Guard[] {
  if (!goesRound(build)) return []
  return PLACES.filter((p) => build.parts[`pickup-${p}`]).flatMap((p) => {
    const refs = (['centre', 'length', 'width'] as const).map((s): SizeRef => sizeRef('guard', `opening.${p}.${s}`))
    const [centre, long, wide] = refs.map((r) => sizeAt(build, r))
    const what = `the ${p} pickup’s opening`
    if (!centre || !long || !wide) return [unread(build, `opening-${p}`, `Left to ${what}`, refs)]
    const side = sizeAt(build, sizeRef('guard', `opening.${p}.side`))
    const box = { x: centre.value - long.value / 2, y: (side?.value ?? 0) - wide.value / 2, width: long.value, height: wide.value }
    const doubt = Math.max(Math.hypot(centre.doubt, long.doubt / 2), Math.hypot(side?.doubt ?? 0, wide.doubt / 2))
    return left(`opening-${p}`, what, marks, (at) => toArea({ box }, at), doubt, `It would break into ${what}.`)
  })
}

const PLATE = [sizeRef('control-plate', 'length'), sizeRef('control-plate', 'width')] as const

function plateEdges(build: Build, marks: readonly Mark[]): Guard[] {
  const [long, wide] = PLATE.map((r) => sizeAt(build, r))
  if (!long || !wide) return [unread(build, 'edge', 'Left to the plate’s edge', PLATE)]
  // Rounded ends reach no further than square ones.
  const edge = plateEdge(long.value, wide.value, hasRoundEnds(build) ?? true)
  const doubt = Math.max(long.doubt, wide.doubt / 2)
  return left('edge', 'the plate’s edge', marks, (at) => within(edge, at), doubt, 'It would come out at the plate’s edge.')
}

/** The two at its ends, on its middle line. */
function plateScrews(build: Build, marks: readonly Mark[]): Guard[] {
  const refs = [PLATE[0], sizeRef('control-plate', 'screw.spread'), sizeRef('control-plate', 'screw.thread')]
  const [long, spread, thread] = refs.map((r): Size | undefined => sizeAt(build, r))
  const what = 'the plate’s screw holes'
  if (!long || !spread || !thread) return [unread(build, 'screws', `Left to ${what}`, refs)]
  const ends = [-1, 1].map((s) => pt((long.value + s * spread.value) / 2, 0))
  const doubt = Math.hypot(long.doubt, spread.doubt) / 2
  return left(
    'screws',
    what,
    marks,
    (at) => Math.min(...ends.map((e) => Math.hypot(at.x - e.x, at.y - e.y))) - thread.value / 2,
    doubt,
    `It would break into ${what}.`,
  )
}
