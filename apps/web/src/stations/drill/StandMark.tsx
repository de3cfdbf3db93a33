import type { HoleCard } from '@snug/core'
import { Check, CircleCheck, CircleDashed, CircleDot, OctagonX, TriangleAlert } from 'lucide-react'
import { STANDING, WORK } from './holeWords'

/** How a hole stands, by shape and not by colour alone; silent where the word stands beside it. */
export function StandMark({ card, size = 19, silent = false }: { card: HoleCard; size?: number; silent?: boolean }) {
  const name = card.work === 'keep' && card.stands === 'ready' ? WORK.keep : STANDING[card.stands]
  const said = silent ? { 'aria-hidden': true as const } : { 'aria-label': name }
  if (card.stands === 'done') return <Check size={size} className="text-snug" {...said} />
  if (card.stands === 'refused') return <OctagonX size={size} className="text-wont" {...said} />
  if (card.stands === 'waiting') return <CircleDashed size={size} className="text-soft" {...said} />
  if (card.stands === 'mind') return <TriangleAlert size={size} className="text-copper" {...said} />
  if (card.work === 'keep') return <CircleDot size={size} className="text-soft" {...said} />
  return <CircleCheck size={size} {...said} />
}
