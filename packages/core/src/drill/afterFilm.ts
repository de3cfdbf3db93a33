import type { Build, FinishZone } from '../document/build'
import { plannedFilm } from '../finish/film'
import type { DrawnCard, Side } from './holeCard'

/** The zone a hole's mouth lies in. */
const ZONE: Partial<Record<Side, FinishZone>> = {
  front: 'front',
  back: 'back',
  rim: 'rim',
  'head front': 'head-face',
  'head back': 'neck-back',
}

/** Where nothing fits closely the film does no harm: inside a cavity, in a passage for wires, in a route with room all round. */
const ROOMY = /^(claw-screws|ground-wire|jack-passage|battery-room|route-(?!pocket)|pickup-)/

/** A hole made before the film gets it too: a line says how it is freed again, and what the film takes. What stays in it goes in after that. */
export function withFilm(build: Build, card: DrawnCard): DrawnCard {
  if (!card.steps.length) return card
  return { ...card, steps: [...card.steps, ...freeing(build, card), ...(card.lasts ? [card.lasts] : [])] }
}

function freeing(build: Build, card: DrawnCard): string[] {
  const zone = ZONE[card.side]
  if (!zone || card.work === 'keep' || card.id === 'string-tree' || ROOMY.test(card.id)) return []
  if (card.id === 'route-pocket' && build.finish.maskPocket) return []
  const film = plannedFilm(build, zone)
  if (!film) return []
  const both = ((2 * film) / 1000).toFixed(2)
  return [`after the last coat: ${freed(card)}: the film takes ${both} mm off its width`]
}

/** By hand, and by what cuts the film there and no wood: walls are scraped, a slot is filed, a round hole has its own bit. */
function freed({ id, with: tool }: DrawnCard): string {
  if (id === 'route-pocket') return 'its walls scraped free by hand, blade upright, never by router'
  if (tool.includes('flat file')) return 'chamfer by hand, then the flat file, drawn outwards'
  return 'chamfer by hand, then the same bit turned by hand, never a motor'
}
