import { lugParts, type Harness } from './harness'

const END: Record<string, string> = {
  start: 'start',
  finish: 'finish',
  tip: 'tip',
  sleeve: 'sleeve',
  ring: 'ring',
  plus: 'plus',
  minus: 'minus',
}

/** A lug as a person finds it: "selector, lug A2", "neck, start", "tone case". */
export function lugName(harness: Harness, lug: string): string {
  const { component, own } = lugParts(lug)
  const c = harness.components.find((x) => x.id === component)
  if (!c) return lug
  return c.is === 'ground' ? c.label : `${c.label}, ${END[own] ?? `lug ${own}`}`
}

/**
 * How lugs are counted on pots, said wherever they are drawn or listed: lug 1 is the end the wiper stands at when the knob is turned right
 * down, so that whoever is in doubt asks the meter. [practice]
 */
export const LUGS_COUNTED =
  'Pots: lug 1 is the one the middle lug beeps with when the knob is turned right down (anticlockwise seen from the knob). Seen from the solder side with the lugs pointing up it is on the left; seen from the knob with the lugs pointing down it is on the left too.'
