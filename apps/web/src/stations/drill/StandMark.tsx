import type { HoleCard } from '@snug/core'
import { Check, CircleCheck, CircleDashed, CircleDot, OctagonX, TriangleAlert } from 'lucide-react'
import { STANDING, WORK } from './holeWords'

/** How a hole stands, by shape and not by colour alone. */
export function StandMark({ card, size = 19 }: { card: HoleCard; size?: number }) {
  const label = card.work === 'keep' && card.stands === 'ready' ? WORK.keep : STANDING[card.stands]
  if (card.stands === 'done') return <Check size={size} className="text-snug" aria-label={label} />
  if (card.stands === 'refused') return <OctagonX size={size} className="text-wont" aria-label={label} />
  if (card.stands === 'waiting') return <CircleDashed size={size} className="text-soft" aria-label={label} />
  if (card.stands === 'mind') return <TriangleAlert size={size} className="text-copper" aria-label={label} />
  if (card.work === 'keep') return <CircleDot size={size} className="text-soft" aria-label={label} />
  return <CircleCheck size={size} aria-label={label} />
}
