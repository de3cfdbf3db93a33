import type { Problem } from './checked'

/** Letters kept in all, a few megabytes; when they are full, all of it is begun anew. */
const ROOM = 4e6
const DAY = 86_400_000
/** What is longer than this is checked each time. */
const LONGEST = 20_000

let fine = new Map<object, Set<string>>()
/** The very objects found fine: nobody changes a document in place, so a change leaves all it does not touch the same objects. */
let same = new WeakMap<object, WeakSet<object>>()
let letters = 0
let day = 0

/**
 * A rule that need not look again at what it found fine today: of a build with hundreds of sizes a change touches one. What is the
 * same JSON is as fine as it was; rules about days ask what day it is, so all is looked at anew on the next.
 * @param of the rule itself, by which its findings are told from another's
 */
export function remembered(of: object, value: unknown, problems: () => Problem[]): Problem[] {
  if (typeof value !== 'object' || value === null) return problems()
  const today = Math.floor(Date.now() / DAY)
  if (today !== day || letters > ROOM) {
    fine = new Map()
    same = new WeakMap()
    letters = 0
    day = today
  }
  let these = same.get(of)
  if (!these) same.set(of, (these = new WeakSet()))
  if (these.has(value)) return []
  const found = byText(of, value, problems)
  if (!found.length) these.add(value)
  return found
}

function byText(of: object, value: object, problems: () => Problem[]): Problem[] {
  const text = JSON.stringify(value)
  if (text.length > LONGEST) return problems()
  let mine = fine.get(of)
  if (!mine) fine.set(of, (mine = new Set()))
  if (mine.has(text)) return []
  const found = problems()
  if (!found.length) {
    mine.add(text)
    letters += text.length
  }
  return found
}
