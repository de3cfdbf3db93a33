import { lugParts, type Harness } from './harness'

const END: Record<string, string> = { start: 'start', finish: 'finish', tip: 'tip', sleeve: 'sleeve', ring: 'ring' }

/** A lug as a person finds it: "selector, lug A2", "neck, start", "tone case". */
export function lugName(harness: Harness, lug: string): string {
  const { component, own } = lugParts(lug)
  const c = harness.components.find((x) => x.id === component)
  if (!c) return lug
  return c.is === 'ground' ? c.label : `${c.label}, ${END[own] ?? `lug ${own}`}`
}
