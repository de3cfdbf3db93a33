import type { HoleCard } from '../../drill/holeCard'
import type { Stage, Step } from '../../plan/step'

/** Which joints must be in order before a hole is marked by the parts that meet there. */
const AFTER: Record<string, readonly string[]> = {
  'neck-clearance': ['pocket-mouth', 'pocket-end', 'pocket-depth'],
  'neck-screws': ['pocket-mouth', 'pocket-end', 'pocket-depth', 'neck-screws'],
  'stud-bores': ['pocket-mouth', 'pocket-end', 'strings-on-board', 'bridge-on-body'],
  'bridge-screws': ['pocket-mouth', 'pocket-end', 'strings-on-board', 'bridge-on-body', 'bridge-screws'],
  'tuner-screws': ['tuner-bore', 'tuner-row'],
  'guard-screws': ['guard-openings', 'guard-cover'],
  'jack-plate': ['jack', 'jack-plate'],
  'strap-buttons': ['strap-buttons', 'balance'],
}

/** Done when all holes are: it moves none of them, and would wait for itself. */
const AFTER_HOLES: readonly Stage[] = ['wiring', 'strings']

/** Cures of Dry fit that alter nothing but what this hole's card alters: one piece of work, told here with its bit and its cautions. */
export const sameWork = (card: HoleCard, earlier: readonly Step[]): string[] =>
  earlier
    .filter((s) => s.alters?.length && s.alters.every((a) => card.alters?.some((b) => a.slot === b.slot && a.size === b.size)))
    .map((s) => s.id)

/** Jobs at the joints a hole is located by; what is the hole itself, told less fully, is none of them. */
export const jobsBefore = (card: HoleCard, earlier: readonly Step[]): Step[] =>
  card.work === 'keep'
    ? []
    : earlier.filter(
        (s) =>
          s.station === 'fit' &&
          !AFTER_HOLES.includes(s.stage) &&
          s.thing !== undefined &&
          AFTER[card.id]?.includes(s.thing) &&
          !sameWork(card, earlier).includes(s.id),
      )

const afterCache = new WeakMap<readonly HoleCard[], { key: string; cards: HoleCard[] }>()

/** Cards with what has to be done first at the joints they are located by: until then none of them is ready. */
export function afterJoints(cards: readonly HoleCard[], earlier: readonly Step[]): HoleCard[] {
  const jobs = cards.map((c) => jobsBefore(c, earlier).map((s) => s.title))
  const key = JSON.stringify(jobs)
  const kept = afterCache.get(cards)
  if (kept?.key === key) return kept.cards
  const now = cards.map((c, i) =>
    jobs[i]!.length ? { ...c, first: [...jobs[i]!, ...c.first], stands: c.stands === 'ready' ? ('mind' as const) : c.stands } : c,
  )
  afterCache.set(cards, { key, cards: now })
  return now
}
