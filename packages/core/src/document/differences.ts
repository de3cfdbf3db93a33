import { sayDay } from '../quantity/days'
import { isSlot, slotSpec } from '../parts/slots'
import { sameJson, type Json } from './change'
import { KINDS } from '../parts/kinds/index'
import type { Build } from './build'

/** One place where two states of a build differ. */
export interface Difference {
  path: string[]
  /** The place in words: "Neck, heel width". */
  what: string
  was?: Json
  is?: Json
}

type Holder = { [key: string]: Json }
const isHolder = (x: Json | undefined): x is Holder => typeof x === 'object' && x !== null && !Array.isArray(x)
/** A size is one thing though it has fields; so is a part that is only there in one of the two. */
const isWhole = (path: readonly string[]): boolean => path[0] === 'parts' && path[2] === 'sizes' && path.length === 4

/** Everywhere two states of a build differ, in the order of the document. */
export function differences(before: Build, after: Build): Difference[] {
  const found: Difference[] = []
  const walk = (was: Json | undefined, is: Json | undefined, path: string[]) => {
    if (sameJson(was, is)) return
    if (isHolder(was) && isHolder(is) && !isWhole(path)) {
      for (const key of new Set([...Object.keys(was), ...Object.keys(is)])) walk(was[key], is[key], [...path, key])
      return
    }
    found.push({ path, what: placeWords(path), ...(was === undefined ? {} : { was }), ...(is === undefined ? {} : { is }) })
  }
  walk(before as unknown as Json, after as unknown as Json, [])
  return found
}

/** Many things are kept under the moment they were noted at. */
const MOMENT = /(\d{4}-\d{2}-\d{2}T[\d:.]+(?:Z|[+-]\d{2}:\d{2}))/

/** camelCase and dashes as words, the first letter large. */
const spoken = (key: string): string =>
  key
    .split(MOMENT)
    .map((piece, i) =>
      i % 2
        ? `of ${sayDay(piece)}, ${piece.slice(11, 16)}`
        : piece
            .replace(/([a-z])([A-Z])/g, '$1 $2')
            .replaceAll('-', ' ')
            .toLowerCase(),
    )
    .join('')

/** A place of the document as a person names it. */
export function placeWords(path: readonly string[]): string {
  const [first, slot, what, name] = path
  const words =
    first === 'parts' && slot && isSlot(slot)
      ? [
          slotSpec(slot).label,
          ...(what === 'sizes' && name
            ? [KINDS[slotSpec(slot).kind].sizes[name]?.label.toLowerCase() ?? spoken(name)]
            : path.slice(2).map(spoken)),
        ]
      : path.map(spoken)
  const said = words.join(', ')
  return said.slice(0, 1).toUpperCase() + said.slice(1)
}
