import type { PlannedStep } from './step'

/** A tool or a thing used up, with the open steps that ask for it. */
export interface Ready {
  tool: string
  for: string[]
  /** The day it is first asked for. */
  by?: string
}

/** What all open steps ask for, the soonest first. */
export function getReady(steps: readonly PlannedStep[]): Ready[] {
  const found = new Map<string, Ready>()
  for (const s of steps) {
    if (s.state === 'done' || !s.tools) continue
    for (const tool of s.tools
      .split(',')
      .map((t) => t.trim())
      .filter(Boolean)) {
      const at = found.get(tool) ?? { tool, for: [], ...(s.date ? { by: s.date } : {}) }
      at.for.push(s.title)
      if (s.date && (!at.by || s.date < at.by)) at.by = s.date
      found.set(tool, at)
    }
  }
  return [...found.values()].toSorted((a, b) => (a.by ?? '9').localeCompare(b.by ?? '9'))
}
