import type { WireEdit } from '../../document/build'
import { frequencies, sweep } from '../engine/response'
import { compile } from '../engine/solver'
import { lugsOf, type Harness, type Wire } from '../model/harness'
import { pickupsOf } from '../model/heard'
import { toNetlist, type Load, type Source } from '../model/toNetlist'
import { lugName } from '../model/lugNames'
import { potsOf, switchStates } from '../model/switchStates'
import { exchanged } from '../model/exchanged'
import { wireKey } from '../schemes/edited'
import { topology } from './topology'

/** Curves further apart than this anywhere are heard as two, dB. [ours] */
const HEARD = 1
/** What lies this far below is not listened to, dB. */
const FLOOR = -60

/** A sheet that came with the parts, or a circuit as it was found, beside the one worked out here. */
export interface SheetCompared {
  /** Joints of ours that the sheet does not make, by any way. */
  lacks: string[]
  /** Joints of the sheet that ours does not make. */
  more: string[]
  /** Drawn from the other side, say the pots: what is left when their outer lugs change places. */
  mirrored?: string
  /** Position by position, where both can be reckoned. */
  sounds: { id: string; ours: string; sheet: string; same: boolean }[]
}

export interface SheetLine {
  from: string
  to: string
}

/**
 * Joint by joint: what hangs together by wires alone counts, so that a ground chained from case to case is the same as one led to a star.
 * @param sheet pairs of lugs, by our names of them
 */
export function compareSheet(harness: Harness, sheet: readonly SheetLine[], load: Load): SheetCompared {
  const found = differences(harness, sheet)
  const turned = { ...harness, wires: turnedPots(harness, asWires(sheet)) }.wires
  const other = differences(harness, turned)
  const mirrored = found.lacks.length + found.more.length > 1 && other.lacks.length + other.more.length === 0
  const theirs: Harness = { ...harness, wires: [...harness.wires.filter((w) => w.inside), ...asWires(sheet)] }
  return {
    ...found,
    ...(mirrored
      ? {
          mirrored:
            'Turned over it is the same: the sheet shows the pots from the other side, outer lugs changed. Wired as drawn from this side every pot would work backwards.',
        }
      : {}),
    sounds: sheet.length ? soundsOf(harness, theirs, load) : [],
  }
}

/** What to take away and add so that the harness is wired as the sheet shows, joint by joint. */
export function editsToMatch(harness: Harness, sheet: readonly SheetLine[]): Record<string, WireEdit> {
  const wanted = new Set(sheet.map(({ from, to }) => wireKey(from, to)))
  const ours = harness.wires.filter((w) => !w.inside)
  const have = new Set(ours.map((w) => wireKey(w.from, w.to)))
  const cut = ours.filter((w) => !wanted.has(wireKey(w.from, w.to)))
  const added = sheet.filter(({ from, to }) => !have.has(wireKey(from, to)))
  return Object.fromEntries([
    ...cut.map(({ from, to, role }) => [wireKey(from, to), { is: 'cut', from, to, role }] as const),
    ...added.map(({ from, to }) => [wireKey(from, to), { is: 'added', from, to, role: 'signal' }] as const),
  ])
}

const asWires = (sheet: readonly SheetLine[]): Wire[] => sheet.map(({ from, to }) => ({ from, to, role: 'signal' }))

/** Wires with the outer lugs of every pot in each other's place. */
function turnedPots(harness: Harness, wires: Wire[]): Wire[] {
  return harness.components.reduce<Harness>((h, c) => (c.is === 'pot' ? exchanged(h, `${c.id}.1`, `${c.id}.3`) : h), { ...harness, wires })
    .wires
}

function differences(harness: Harness, sheet: readonly SheetLine[]): { lacks: string[]; more: string[] } {
  const ours = netsOf(harness, harness.wires)
  const inside = harness.wires.filter((w) => w.inside)
  const theirs = netsOf(harness, [...inside, ...sheet])
  const say = ({ from, to }: SheetLine) => `${lugName(harness, from)} to ${lugName(harness, to)}`.replace(/ \(.*?\)/g, '')
  return {
    lacks: harness.wires.filter((w) => !w.inside && theirs(w.from) !== theirs(w.to)).map(say),
    more: sheet.filter((w) => ours(w.from) !== ours(w.to)).map(say),
  }
}

/** What hangs together by wires: one name for all of it. */
function netsOf(harness: Harness, wires: readonly SheetLine[]): (lug: string) => string {
  const parent = new Map(harness.components.flatMap(lugsOf).map((l) => [l, l]))
  const find = (l: string): string => {
    const up = parent.get(l) ?? l
    return up === l ? l : find(up)
  }
  for (const { from, to } of wires) parent.set(find(from), find(to))
  return find
}

/** Position by position: what each pickup gives, with every knob at 10 and each alone at 5, and all of them together. */
function soundsOf(ours: Harness, theirs: Harness, load: Load): SheetCompared['sounds'] {
  const hertz = frequencies(60)
  const turned = [{}, ...potsOf(ours).map((p) => ({ [p.id]: 5 }))]
  // Of pickups that are alike the sum tells neither which of them sounds nor whose volume it is.
  const heard: (readonly [Record<string, number>, Source])[] = [
    [{}, 'string'],
    ...turned.flatMap((knobs) => pickupsOf(ours).map((pickup) => [knobs, { pickup }] as const)),
  ]
  return switchStates(ours).map(({ id, switches }) => {
    const same = heard.every(([knobs, source]) => {
      const curve = (h: Harness) => sweep(compile(toNetlist(h, { switches: { ...switches }, knobs }, load, source)), hertz)
      const [a, b] = [curve(ours), curve(theirs)]
      return a.every((x, i) => Math.max(x, b[i]!) < FLOOR || Math.abs(x - b[i]!) < HEARD)
    })
    return { id, ours: topology(ours, switches).words, sheet: topology(theirs, switches).words, same }
  })
}
