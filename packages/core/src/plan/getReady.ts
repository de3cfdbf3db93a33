import type { PlannedStep } from './step'
import { insteadOf, type Owned } from './tools'

/** A tool or a thing used up, with the open steps that ask for it. */
export interface Ready {
  tool: string
  for: string[]
  /** The day it is first asked for. */
  by?: string
  /** What its person said of it; nothing yet where absent. */
  owned?: Owned
  /** What does in its place. */
  instead?: string
}

/** What all open steps ask for, the soonest first. @param owned what is said of each, by its name */
export function getReady(steps: readonly PlannedStep[], owned: Readonly<Record<string, Owned>> = {}): Ready[] {
  const found = new Map<string, Ready>()
  for (const s of steps) {
    if (s.state === 'done' || !s.tools) continue
    for (const tool of s.tools
      // What does as well is no second thing to look out.
      .split(/,(?! or )/)
      .map((t) => t.trim())
      .filter(Boolean)) {
      const said = owned[tool]
      const instead = insteadOf(tool)
      const at = found.get(tool) ?? {
        tool,
        for: [],
        ...(s.date ? { by: s.date } : {}),
        ...(said ? { owned: said } : {}),
        ...(instead ? { instead } : {}),
      }
      at.for.push(s.title)
      if (s.date && (!at.by || s.date < at.by)) at.by = s.date
      found.set(tool, at)
    }
  }
  return [...found.values()].toSorted((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9'))
}

/** Money for all that is to be bought, and how much of it has no price yet. */
export function toolCost(ready: readonly Ready[]): { money: number; unpriced: number } {
  const bought = ready.filter((r) => r.owned?.have === 'buy')
  return {
    money: bought.reduce((sum, r) => sum + (r.owned!.price ?? 0), 0),
    unpriced: bought.filter((r) => r.owned!.price === undefined).length,
  }
}
