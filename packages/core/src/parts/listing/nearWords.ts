/** The words round a number. */
export interface Nearby {
  /** As they stand there, with the number in its place. */
  around: string
  /** Of its own clause. */
  own: ReadonlySet<string>
  /** Of its neighbours too: "Neck pocket 56 mm wide, 16 mm deep". */
  wide: ReadonlySet<string>
}

const WORDS_BEFORE = 6
/** Names of sizes are long. */
const NEIGHBOURS = 10
const WORDS_AFTER = 3
/** What ends a clause: a comma between figures does not. */
const CLAUSE = /[;|\n()•·]|[.,:!?](?=\s|$)/g

export function wordsAt(text: string, start: number, end: number): Nearby {
  const gap = /\s$/.test(text.slice(0, start)) ? ' ' : ''
  const before = text.slice(0, start).trim().split(/\s+/)
  const behind = /^\s/.test(text.slice(end)) ? ' ' : ''
  const after = text.slice(end).trim().split(/\s+/).slice(0, WORDS_AFTER)
  const opens = [...text.slice(0, start).matchAll(CLAUSE)].filter((m) => m[0] !== ':').at(-1)
  const from = opens ? opens.index + 1 : 0
  const closes = text.slice(end).search(CLAUSE)
  const to = closes < 0 ? text.length : end + closes
  return {
    around: `${before.slice(-WORDS_BEFORE).join(' ')}${gap}${text.slice(start, end)}${behind}${after.join(' ')}`.trim(),
    own: stems(`${text.slice(from, start)} ${text.slice(end, to)}`),
    wide: stems([...before.slice(-NEIGHBOURS), ...after].join(' ')),
  }
}

/** The words of a size's name; that of its part tells it from no other. */
export function namesOf(label: string, key: string, part: string): ReadonlySet<string> {
  const names = stems(`${label} ${key.replace(/([A-Z])/g, ' $1')}`)
  for (const word of stems(part)) names.delete(word)
  return names
}

/** How much of a size's names is among the words, each word taken once. */
function found(names: ReadonlySet<string>, words: ReadonlySet<string>): number {
  const others = [...names].filter((n) => !words.has(n)).filter((n) => ALSO[n]?.some((w) => words.has(w) && !names.has(w)))
  return [...names].filter((n) => words.has(n)).length + OTHER_WORD * others.length
}

/** A size is named in a number's own clause. */
export const isNamed = (names: ReadonlySet<string>, { own }: Nearby): boolean => found(names, own) > 0

/** How well a size's name goes with the words round a number: each of its words found counts, each not found takes a little away. */
export const nearness = (names: ReadonlySet<string>, { own, wide }: Nearby): number =>
  found(names, own) + 0.3 * found(names, wide) - 0.1 * names.size

/** What sellers say for a label's word. [practice] */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  depth: ['deep', 'height'],
  diameter: ['dia'],
  bore: ['hole', 'diameter', 'dia'],
  spread: ['spacing'],
  spacing: ['pitch', 'apart'],
  centre: ['spacing', 'apart', 'center'],
  width: ['wide'],
  length: ['long'],
  thickness: ['thick'],
  mass: ['weight', 'weigh'],
  head: ['headstock'],
  resistance: ['dcr'],
  fret1: ['1st'],
  fret12: ['12th'],
}
/** Another word for it says less than its own. [ours] */
const OTHER_WORD = 0.6

const stems = (text: string): Set<string> =>
  new Set(
    text
      .toLowerCase()
      // What stands behind a point is no number of a string.
      .replace(/\d*[.,]\d+/g, ' ')
      .split(/[^a-z0-9]+/)
      // The number of a string or a fret tells its sizes apart.
      .filter((w) => w.length > 2 || /^\d+$/.test(w))
      .map((w) => w.replace(/s$/, '')),
  )
