import type { WireRole } from '../model/harness'

/** What a colour is taken for first, by role: the trade's everyday choice. [practice] */
const WANTED: Record<WireRole, readonly string[]> = {
  ground: ['black', 'green', 'brown', 'bare'],
  hot: ['white', 'red', 'yellow', 'orange'],
  signal: ['white', 'yellow', 'red', 'orange'],
  link: ['green', 'blue', 'yellow', 'grey'],
  jumper: ['bare', 'blue', 'grey'],
  supply: ['red', 'orange', 'brown'],
}
/** Ground first: it must not look like anything else. */
const ORDER: readonly WireRole[] = ['ground', 'supply', 'hot', 'signal', 'link', 'jumper']

/** Colours a person can tell one wire's job by, chosen from what is on hand. */
export interface Colours {
  of: Record<WireRole, string>
  /** What is alike and has to be tagged; nothing where ground differs from everything that carries signal. */
  says?: string
}

/** @param reels metres on hand by colour; without any the usual ones are listed as if bought */
export function coloursFor(reels: Readonly<Record<string, number>> = {}): Colours {
  const have = Object.keys(reels).filter((c) => reels[c]! > 0)
  if (!have.length) return { of: { hot: 'white', signal: 'white', ground: 'black', link: 'green', jumper: 'bare', supply: 'red' } }
  const of = {} as Record<WireRole, string>
  for (const role of ORDER) {
    const free = have.filter((c) => !Object.values(of).includes(c))
    const fit = (list: readonly string[]) => WANTED[role].find((c) => list.includes(c))
    // What carries signal may share a colour; ground shares with nothing while there is another.
    const others = have.filter((c) => c !== of.ground)
    of[role] = fit(free) ?? (role === 'ground' ? undefined : (fit(others) ?? others[0])) ?? free[0] ?? have[0]!
  }
  const alike = of.ground === of.hot
  return {
    of,
    ...(alike ? { says: `One colour only: every wire gets a flag of tape at both ends before it is cut, ground wires two.` } : {}),
  }
}
