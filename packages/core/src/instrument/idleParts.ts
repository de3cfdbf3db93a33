import type { Part } from '../parts/part'
import type { Slot } from '../parts/slots'
import { isVibrato } from './vibrato'

type Parts = Partial<Record<Slot, Part>>

/** What is told of another part makes one a part that nothing takes. */
interface Rule {
  by: readonly [slot: Slot, trait: string]
  idle: (told: string) => string | undefined
  /** Where there is no such other part; nothing where it may be bought yet. */
  none?: string
}

/** What is said of a ring by the pickup it is for. */
const ring = (place: 'neck' | 'bridge'): Rule => ({
  by: [`pickup-${place}`, 'mount'],
  idle: (mount) => (mount === 'ring' ? undefined : `the ${place} pickup does not hang from a ring`),
  none: `there is no ${place} pickup`,
})

const mount = (takes: (mount: string) => boolean, or: string): Rule => ({
  by: ['bridge', 'mount'],
  idle: (told) => (takes(told) ? undefined : or),
})

const HELD_BY_THREAD: ReadonlySet<string> = new Set(['thread', 'panel'])

/** A battery may feed what is no part here. */
const RULES: Partial<Record<Slot, Rule>> = {
  springs: mount(isVibrato, 'the bridge does not move'),
  tailpiece: mount((m) => m === 'post', 'the bridge holds the strings itself'),
  ferrules: mount((m) => m === 'string-through', 'no string goes through the body'),
  'neck-screws': { by: ['neck', 'joint'], idle: (joint) => (joint === 'set' ? 'the neck is glued in' : undefined) },
  'ring-neck': ring('neck'),
  'ring-bridge': ring('bridge'),
  'control-plate': {
    by: ['body', 'access'],
    idle: (access) => (access === 'front' ? undefined : 'the controls do not go in from the front'),
  },
  'jack-plate': { by: ['jack', 'held'], idle: (held) => (HELD_BY_THREAD.has(held) ? 'the jack is held by its own thread' : undefined) },
}

const ONE_PIECE: Rule = { by: ['body', 'neckIs'], idle: () => 'neck and body are one piece' }

/** The rule of a part that is there, and what is told of the other; nothing where nobody has said, or where there is no other. */
function ruleOf(parts: Parts, slot: Slot): { rule: Rule; other: Part | undefined; told: string | undefined } | undefined {
  const rule = parts[slot] && (slot === 'neck-screws' && parts.body?.traits.neckIs === 'through' ? ONE_PIECE : RULES[slot])
  if (!rule) return undefined
  const [by, trait] = rule.by
  const other = parts[by]
  return { rule, other, told: other?.traits[trait] }
}

/** Why nothing in this build takes the part in this slot: bought for nothing, or another part is not what it was told to be. */
export function idleFor(parts: Parts, slot: Slot): string | undefined {
  const at = ruleOf(parts, slot)
  if (!at?.other) return at?.rule.none
  return at.told === undefined ? undefined : at.rule.idle(at.told)
}

/** The part in this slot where something takes it, as far as anybody has told. */
export const takenPart = ({ parts }: { parts: Parts }, slot: Slot): Part | undefined => (idleFor(parts, slot) ? undefined : parts[slot])

/** What nobody has told that decides whether anything takes the part in this slot. */
export function undecidedFor(parts: Parts, slot: Slot): { slot: Slot; trait: string } | undefined {
  const at = ruleOf(parts, slot)
  if (!at?.other || at.told !== undefined) return undefined
  const [by, trait] = at.rule.by
  return { slot: by, trait }
}
