import { mouthOf } from '../instrument/neckWords'
import type { Build } from '../document/build'
import { applyChange, type Change } from '../document/change'
import { setSize } from '../document/changes'
import { neckEnd, sizeAt, sizeRef, type SizeRef } from '../document/read'
import type { Drawing, Mark } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import { bridgePlace, TRAVEL_SPARE } from '../instrument/bridgePlace'
import { compensations, type Compensation } from '../instrument/compensation'
import { datums } from '../instrument/datums'
import { printMm } from '../quantity/length'

const STUDS = sizeRef('body', 'mouthToBridge')
const REFS = {
  scale: sizeRef('neck', 'scale'),
  pocket: sizeRef('body', 'pocket.length'),
  front: sizeRef('bridge', 'travel.front'),
  back: sizeRef('bridge', 'travel.back'),
}

/** Where the bridge may stand, from the nut, mm, and what each place does to what lies under its plate. */
export interface BridgeWindow {
  from: number
  to: number
  /** The same for the strings that are chosen alone: wider, and no promise for another set. */
  forSet?: { from: number; to: number; strings: Compensation[] }
  /** Where it is planned or stands; nothing while nobody has said. */
  at?: number
  /** Old holes by name, from the nut, and whether the plate hides them where it stands. */
  oldHoles: { name: string; at: number; hidden?: boolean }[]
  /** The stretch in which the plate hides all of them, as far as the window goes. */
  hides?: { from: number; to: number }
  /** The plate in front of its reference and behind it, mm; nothing while nobody measured it. */
  plate?: { front: number; behind: number }
}

/** The window, or what it waits for. */
export function bridgeWindow(build: Build): { window: BridgeWindow } | { missing: SizeRef[] } {
  const missing = [...Object.values(REFS), neckEnd(build)].filter((r) => build.parts[r.slot] && !sizeAt(build, r))
  const absent = !build.parts.neck || !build.parts.body || !build.parts.bridge
  if (missing.length || absent) return { missing }
  const value = (r: SizeRef) => sizeAt(build, r)!.value
  const { from, to } = bridgePlace(value(REFS.scale), { front: value(REFS.front), back: value(REFS.back) })
  const studs = sizeAt(build, STUDS)?.value
  const d = datums(build)
  const at = studs === undefined ? undefined : d.mouth + studs
  const [front, length] = [sizeAt(build, sizeRef('bridge', 'plate.front'))?.value, sizeAt(build, sizeRef('bridge', 'plate.length'))?.value]
  const plate = front === undefined || length === undefined ? undefined : { front, behind: length - front }
  return {
    window: {
      from,
      to,
      ...forSet(build, value(REFS.scale), { front: value(REFS.front), back: value(REFS.back) }),
      ...(at === undefined ? {} : { at }),
      ...(plate ? { plate } : {}),
      ...oldOnes(build, at, plate, { from, to }),
    },
  }
}

/** Of the strings that are chosen: only when every one of them is known. */
function forSet(build: Build, scale: number, travel: { front: number; back: number }): Pick<BridgeWindow, 'forSet'> {
  const strings = compensations(build)
  if (!strings.length || strings.length < build.strings) return {}
  const [least, most] = [Math.min(...strings.map((s) => s.from)), Math.max(...strings.map((s) => s.to))]
  return {
    forSet: { from: scale + most + TRAVEL_SPARE - travel.back, to: scale + least - TRAVEL_SPARE + travel.front, strings },
  }
}

function oldOnes(
  build: Build,
  at: number | undefined,
  plate: BridgeWindow['plate'],
  room: { from: number; to: number },
): Pick<BridgeWindow, 'oldHoles' | 'hides'> {
  if (at === undefined) return { oldHoles: [] }
  const [front, back] = [sizeAt(build, sizeRef('body', 'oldHoles.front'))?.value, sizeAt(build, sizeRef('body', 'oldHoles.back'))?.value]
  // Both are measured from the bridge's reference where it stands now.
  const places = [
    ...(front === undefined ? [] : [{ name: 'foremost old hole', at: at - front }]),
    ...(back === undefined ? [] : [{ name: 'rearmost old hole', at: at + back }]),
  ]
  if (!plate) return { oldHoles: places }
  const oldHoles = places.map((h) => ({ ...h, hidden: h.at >= at - plate.front && h.at <= at + plate.behind }))
  if (!places.length) return { oldHoles }
  const from = Math.max(room.from, ...places.map((h) => h.at - plate.behind))
  const to = Math.min(room.to, ...places.map((h) => h.at + plate.front))
  return { oldHoles, ...(from <= to ? { hides: { from, to } } : {}) }
}

/** How exactly a place is pencilled, mm. [ours] */
const PENCIL = 0.3

/**
 * The bridge planned elsewhere: its reference from the nut, mm. Old holes stay where they are in the wood; they are measured from the
 * reference, so that their numbers move the other way. One change, one undo.
 */
export function bridgeMoved(build: Build, at: number): Change {
  const was = sizeAt(build, STUDS)
  const to = Math.round((at - datums(build).mouth) * 10) / 10
  let now = build
  const edits = [{ ref: STUDS, value: to, doubt: PENCIL }, ...(was ? oldOnesMoved(build, to - was.value) : [])].flatMap(
    ({ ref, value, doubt }) => {
      const made = setSize(now, ref, { value, doubt, known: 'rule' })
      now = applyChange(now, made)
      return made.edits
    },
  )
  return { label: `Bridge placed ${printMm(to, 1)} mm from ${mouthOf(build)}`, edits }
}

const oldOnesMoved = (build: Build, by: number) =>
  (['front', 'back'] as const).flatMap((end) => {
    const ref = sizeRef('body', `oldHoles.${end}`)
    const hole = sizeAt(build, ref)
    const value = hole && Math.round((hole.value + (end === 'front' ? by : -by)) * 10) / 10
    return hole && value !== undefined ? [{ ref, value, doubt: hole.doubt }] : []
  })

/** In sentences: the window, where it stands in it, what it hides. */
export function windowSays(w: BridgeWindow): string[] {
  const hidden = w.oldHoles.filter((h) => h.hidden === false)
  return [
    w.from > w.to
      ? 'No place will do: the saddles travel too little for this scale.'
      : `Strings of any usual set can be brought in tune with the bridge’s reference between ${printMm(w.from, 1)} and ${printMm(w.to, 1)} mm from the nut.`,
    w.at === undefined
      ? 'Nobody has said where it stands: drag it into the window, or measure it.'
      : w.at < w.from || w.at > w.to
        ? `At ${printMm(w.at, 1)} mm it stands ${printMm(Math.max(w.from - w.at, w.at - w.to), 1)} mm outside.`
        : `At ${printMm(w.at, 1)} mm it has ${printMm(w.at - w.from, 1)} mm to go towards the neck and ${printMm(w.to - w.at, 1)} towards the tail.`,
    ...(w.forSet ? [setSays(w.forSet)] : []),
    ...(w.oldHoles.length === 0
      ? []
      : !w.plate
        ? ['How far its plate reaches is not measured: what it hides is not known.']
        : hidden.length
          ? [
              `It leaves the ${hidden.map((h) => h.name).join(' and the ')} showing${w.hides ? `; between ${printMm(w.hides.from, 1)} and ${printMm(w.hides.to, 1)} mm it hides all of them` : '; no place in the window hides all of them'}.`,
            ]
          : ['Its plate hides the old holes.']),
  ]
}

const setSays = ({ from, to, strings }: NonNullable<BridgeWindow['forSet']>): string => {
  const each = strings.map((s) => `${s.note} ${printMm(s.from, 1)} to ${printMm(s.to, 1)}`).join(', ')
  const place = from > to ? 'no place lets all of them be in tune' : `from ${printMm(from, 1)} to ${printMm(to, 1)} mm from the nut`
  return `For the set that is chosen: ${place}. Its saddles come to stand behind the scale line by ${each} mm, pressed lightly and hard${strings.some((s) => s.coreEstimated) ? '; cores are estimated' : ''}.`
}

/** Drawn upright, the nut above: the window, the plate where it stands, old holes; the plate is dragged up and down. */
export function windowDrawing(w: BridgeWindow): Drawing {
  const at = w.at ?? (w.from + w.to) / 2
  const places = [w.from, w.to, at, ...w.oldHoles.map((h) => h.at)]
  const plate = w.plate ?? { front: 6, behind: 30 }
  const [top, foot] = [Math.min(...places, at - plate.front) - 8, Math.max(...places, at + plate.behind) + 8]
  const marks: Mark[] = [
    { mark: 'area', role: 'body-wood', points: rectangle(-44, top, 44, foot) },
    ...(w.from <= w.to ? [{ mark: 'area', role: 'doubt', points: rectangle(-44, w.from, 44, w.to) } as Mark] : []),
    { mark: 'area', role: 'metal', points: rectangle(-38, at - plate.front, 38, at + plate.behind), dashed: w.at === undefined },
    { mark: 'line', role: 'centre', points: [pt(-42, at), pt(42, at)] },
    ...w.oldHoles.flatMap((h): Mark[] => [
      { mark: 'circle', role: h.hidden === false ? 'open' : 'cavity', at: pt(-26, h.at), r: 2 },
      { mark: 'circle', role: h.hidden === false ? 'open' : 'cavity', at: pt(26, h.at), r: 2 },
    ]),
    { mark: 'dimension', from: pt(50, w.from), to: pt(50, w.to), text: printMm(Math.max(0, w.to - w.from), 1) },
    { mark: 'label', at: pt(0, at + 9), text: `${printMm(at, 1)} from the nut`, anchor: 'middle' },
  ]
  return {
    title: 'Where the bridge may stand',
    note: 'nut above · violet: every string in tune',
    marks,
    handles: [
      {
        id: 'bridge',
        label: 'The bridge’s reference, mm from the nut',
        at: pt(0, at),
        value: at,
        min: Math.min(w.from, at) - 15,
        max: Math.max(w.to, at) + 15,
        step: 0.1,
        unit: 'mm',
        // Up is towards the nut.
        perUp: -1,
      },
    ],
    bounds: { x: -52, y: top - 3, width: 118, height: foot - top + 6 },
    numbers: [
      { label: 'From', value: `${printMm(w.from, 1)} mm` },
      { label: 'To', value: `${printMm(w.to, 1)} mm` },
      { label: 'Stands at', value: w.at === undefined ? 'not known' : `${printMm(w.at, 1)} mm` },
      ...(w.forSet ? [{ label: 'For the chosen set', value: `${printMm(w.forSet.from, 1)} to ${printMm(w.forSet.to, 1)} mm` }] : []),
      ...w.oldHoles.map((h) => ({
        label: h.name,
        value: `${printMm(h.at, 1)} mm${h.hidden === undefined ? '' : h.hidden ? ', hidden' : ', shows'}`,
      })),
    ],
  }
}
