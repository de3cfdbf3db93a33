import type { Build } from '../document/build'
import { idleFor, undecidedFor } from '../instrument/idleParts'
import { waiting, withGuards, type Base } from './card'
import type { DrawnCard, Side } from './holeCard'

/** What can be made again for little. */
const NO_WOOD: ReadonlySet<Side> = new Set(['guard', 'control plate'])

/** No hole is made in wood for a part that nothing takes: of two things that were told one is not so. Which is looked at before. */
export function heldByNothing(build: Build, card: DrawnCard): DrawnCard {
  if (NO_WOOD.has(card.side) || card.work === 'keep') return card
  const why = idleFor(build.parts, card.slot)
  // A neck of which nobody has said is screwed on; a glued one has no card of them.
  const asked = card.slot === 'neck-screws' ? undefined : undecidedFor(build.parts, card.slot)
  if (why) {
    const says = `Nothing takes what it is for: ${why}. Take that part out under Parts, or put right there what was told.`
    // Whether such a hole is there already may be what is waited for.
    return card.stands === 'waiting'
      ? { ...card, says: `${says} ${card.says}` }
      : withGuards(card, [{ id: 'idle', label: 'A part that something takes', verdict: 'wont-go', says }])
  }
  return asked && (card.stands === 'ready' || card.stands === 'mind') ? waiting(build, baseOf(card), [], [asked], card) : card
}

const baseOf = ({ id, title, slot, side, goesIn, located, first, back, byPart }: DrawnCard): Base => ({
  id,
  title,
  slot,
  side,
  goesIn,
  located,
  first,
  back,
  ...(byPart ? { byPart } : {}),
})
