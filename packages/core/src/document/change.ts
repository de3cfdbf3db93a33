import type { Build } from './build'

/** A value that may stand in a document: plain JSON. */
export type Json = string | number | boolean | null | Json[] | { [key: string]: Json }

/** One place in the document set to a new value. An absent `to` removes it, an absent `from` means there was nothing. */
export interface Edit {
  path: string[]
  from?: Json
  to?: Json
}

/** What one act of a person did to a build, in words and in edits. It carries its own way back. */
export interface Change {
  label: string
  edits: Edit[]
  /** When it was made, where that is known: ISO with zone. It is no part of what is done. */
  at?: string
}

/** An edit could not be made because the document no longer reads what the edit expected there. */
export class EditConflict extends Error {
  constructor(readonly path: string[]) {
    super(`Something else changed ${path.join(' ')} first.`)
  }
}

/** An edit that can never be made, whatever the document reads. */
export class EditRefused extends Error {
  constructor(
    readonly path: readonly string[],
    why: string,
  ) {
    super(why)
  }
}

type Holder = Record<string, Json>
const isHolder = (x: unknown): x is Holder => typeof x === 'object' && x !== null

/** The JSON standing at a path, or undefined. */
export function jsonAt(doc: object, path: readonly string[]): Json | undefined {
  let at: Json | undefined = doc as Holder
  for (const key of path) {
    // A list has a length of its own, which is no place in it.
    if (!isHolder(at) || !Object.hasOwn(at, key) || (Array.isArray(at) && key === 'length')) return undefined
    at = (at as Holder)[key]
  }
  return at
}

/** Describes setting one place, with its present value as the way back. */
export function edit(doc: object, path: string[], to: Json | undefined): Edit {
  const from = jsonAt(doc, path)
  return { path, ...(from === undefined ? {} : { from }), ...(to === undefined ? {} : { to }) }
}

/**
 * Sets one place entry by entry, where it is a record and stays one: who else sets another entry of it meanwhile set something else, and
 * both of them are kept.
 */
export function editEntries(doc: object, path: string[], to: Json | undefined): Edit[] {
  const from = jsonAt(doc, path)
  if (!isRecord(from) || !isRecord(to)) return [edit(doc, path, to)]
  const keys = [...new Set([...Object.keys(from), ...Object.keys(to)])]
  return keys.filter((key) => !sameJson(from[key], to[key])).map((key) => edit(doc, [...path, key], to[key]))
}
export const isRecord = (x: Json | undefined): x is Holder => isHolder(x) && !Array.isArray(x)

/**
 * Applies a change to a copy of the document; the document itself stays as it was.
 * @throws EditConflict when a place does not hold `from`, or its surroundings are gone
 * @throws EditRefused when a place cannot be: a name every object has of its own, a list place that is neither there nor its end
 */
export function applyChange(build: Build, change: Change): Build {
  let doc = build as unknown as Holder
  for (const one of change.edits) doc = applyEdit(doc, one)
  return doc as unknown as Build
}

function applyEdit(doc: Holder, { path, from, to }: Edit): Holder {
  if (path.length === 0) throw new EditRefused(path, 'An edit needs a path.')
  const odd = path.find((key) => key in Object.prototype)
  if (odd !== undefined) throw new EditRefused(path, `"${odd}" cannot be the name of anything here.`)
  if (!sameJson(jsonAt(doc, path), from)) throw new EditConflict(path)
  const copy = (at: Json | undefined, depth: number): Holder => {
    if (!isHolder(at)) throw new EditConflict(path)
    const key = path[depth]!
    if (Array.isArray(at) && depth === path.length - 1) return inList(at, key, path, to) as unknown as Holder
    const next = (Array.isArray(at) ? [...at] : { ...at }) as Holder
    if (depth < path.length - 1) next[key] = copy(next[key], depth + 1)
    else if (to === undefined) delete next[key]
    else next[key] = to
    return next
  }
  return copy(doc, 0)
}

/** In a list an edit sets what is there, puts one at the end, or takes the last away: a list never has a hole. */
function inList(list: readonly Json[], key: string, path: readonly string[], to: Json | undefined): Json[] {
  const last = list.length - 1
  const place = /^(0|[1-9]\d{0,8})$/.test(key) ? Number(key) : NaN
  if (to === undefined) {
    if (place !== last)
      throw new EditRefused(path, `Only the last entry of ${path.slice(0, -1).join(' ')} can be taken away, number ${last}.`)
    return list.slice(0, -1)
  }
  if (!(place <= list.length))
    throw new EditRefused(
      path,
      `${path.slice(0, -1).join(' ')} has ${list.length} entries: an edit sets one of them, or the next, number ${list.length}.`,
    )
  return [...list.slice(0, place), to, ...list.slice(place + 1)]
}

/** The change that takes this one back. */
export function inverse(change: Change): Change {
  return {
    label: change.label,
    edits: change.edits.toReversed().map(({ path, from, to }) => ({
      path,
      ...(to === undefined ? {} : { from: to }),
      ...(from === undefined ? {} : { to: from }),
    })),
  }
}

/** Deep equality of plain JSON; the order of keys does not matter. */
export function sameJson(a: Json | undefined, b: Json | undefined): boolean {
  if (a === b) return true
  if (!isHolder(a) || !isHolder(b) || Array.isArray(a) !== Array.isArray(b)) return false
  const keys = Object.keys(a)
  return keys.length === Object.keys(b).length && keys.every((k) => Object.hasOwn(b, k) && sameJson(a[k], b[k]))
}

/** A value as plain data, as it travels. */
export const asJson = (value: object): Json => JSON.parse(JSON.stringify(value)) as Json
