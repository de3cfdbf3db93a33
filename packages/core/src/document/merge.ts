import type { Build } from './build'
import { applyChange, edit, isRecord, jsonAt, sameJson, type Change, type Edit, type Json } from './change'

/** One place that two windows set to different values. */
export interface Clash {
  path: string[]
  mine?: Json
  theirs?: Json
  /** What it stood in is no longer there: a part taken out, a job dropped. */
  gone: boolean
}

export interface Merged {
  /** Theirs with all of mine on it that does not clash. */
  build: Build
  /** Those changes, as edits on theirs. */
  kept: Change[]
  /** Changes that touch a place which reads something else by now. */
  clashing: { change: Change; clashes: Clash[] }[]
}

/**
 * Changes made here, put on a build that moved on elsewhere. Different places never clash; the same place clashes when it reads
 * neither what my change found there nor what it sets. A change is kept whole or not at all.
 */
export function mergeOnto(theirs: Build, changes: readonly Change[]): Merged {
  const merged: Merged = { build: theirs, kept: [], clashing: [] }
  for (const change of changes) {
    const clashes: Clash[] = []
    let next = merged.build
    const edits = change.edits
      .flatMap((one) => addedTo(next, one))
      .flatMap((one) => {
        const at = jsonAt(next, one.path)
        if (sameJson(at, one.to)) return []
        const gone = one.path.length > 1 && jsonAt(next, one.path.slice(0, -1)) === undefined
        if (gone || !sameJson(at, one.from)) {
          clashes.push({
            path: one.path,
            gone,
            ...(one.to === undefined ? {} : { mine: one.to }),
            ...(at === undefined ? {} : { theirs: at }),
          })
          return []
        }
        next = applyChange(next, { label: '', edits: [one] })
        return [one]
      })
    if (clashes.length) merged.clashing.push({ change, clashes })
    else if (edits.length) {
      merged.kept.push({ ...change, edits })
      merged.build = next
    }
  }
  return merged
}

/** What began a record that somebody else began meanwhile adds to theirs; where the two say otherwise of one entry it is another record. */
function addedTo(theirs: Build, one: Edit): Edit[] {
  const at = jsonAt(theirs, one.path)
  if (one.from !== undefined || !isRecord(at) || !isRecord(one.to)) return [one]
  const entries = Object.entries(one.to)
  return entries.every(([key, to]) => at[key] === undefined || sameJson(at[key], to))
    ? entries.map(([key, to]) => ({ path: [...one.path, key], to }))
    : [one]
}

/** The same change on a build that moved on: every place it touches is set, whatever stands there now, unless what held it is gone. */
export const putOnTop = (build: Build, change: Change): Change => ({
  label: change.label,
  edits: change.edits
    .filter((e) => e.path.length === 1 || jsonAt(build, e.path.slice(0, -1)) !== undefined)
    .map((e) => edit(build, e.path, e.to))
    .filter((e) => !sameJson(e.from, e.to)),
})
