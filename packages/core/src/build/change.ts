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
}

/** An edit could not be made because the document no longer reads what the edit expected there. */
export class EditConflict extends Error {
  constructor(readonly path: string[]) {
    super(`Something else changed ${path.join(' ')} first.`)
  }
}

type Holder = Record<string, Json>
const isHolder = (x: unknown): x is Holder => typeof x === 'object' && x !== null

const FORBIDDEN = new Set(['__proto__', 'constructor', 'prototype'])

/** The JSON standing at a path, or undefined. */
export function jsonAt(doc: object, path: readonly string[]): Json | undefined {
  let at: Json | undefined = doc as Holder
  for (const key of path) {
    if (!isHolder(at) || !Object.hasOwn(at, key)) return undefined
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
 * Applies a change to a copy of the document; the document itself stays as it was.
 * @throws EditConflict when a place does not hold `from`, or its surroundings are gone
 */
export function applyChange(build: Build, change: Change): Build {
  let doc = build as unknown as Holder
  for (const one of change.edits) doc = applyEdit(doc, one)
  return doc as unknown as Build
}

function applyEdit(doc: Holder, { path, from, to }: Edit): Holder {
  if (path.length === 0 || path.some((key) => FORBIDDEN.has(key))) throw new EditConflict(path)
  if (!sameJson(jsonAt(doc, path), from)) throw new EditConflict(path)
  const copy = (at: Json | undefined, depth: number): Holder => {
    if (!isHolder(at)) throw new EditConflict(path)
    const next = (Array.isArray(at) ? [...at] : { ...at }) as Holder
    const key = path[depth]!
    if (depth < path.length - 1) next[key] = copy(next[key], depth + 1)
    else if (to === undefined) delete next[key]
    else next[key] = to
    return next
  }
  return copy(doc, 0)
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
