import type { Build, FinishZone } from '../document/build'
import { plannedFilm } from '../finish/film'
import { isClosed, partOfZone, surfaceOf } from '../finish/stack'
import { groupOf, WHOLE, zoneGroups } from '../finish/zones'
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

/** Begun inside a hollow or a bore, where no coat lies, or under a plate that hides it. */
const INSIDE = /^(claw-screws|ground-wire|jack-passage|pickup-)/

/**
 * A hole through a film that is there says first how it goes through that without chipping it. One made before the film gets it too: a line
 * says how it is freed again, and what the film takes. What stays in it goes in after that.
 */
export function withFilm(build: Build, card: DrawnCard): DrawnCard {
  if (!card.steps.length) return card
  return { ...card, steps: [...through(build, card), ...card.steps, ...freeing(build, card), ...(card.lasts ? [card.lasts] : [])] }
}

/** What lies on a face when it is drilled: the coat its part came with, or coats of one's own; nothing on raw wood; undefined where nobody says. */
function filmOn(build: Build, card: DrawnCard, zone: FinishZone): string | undefined {
  const part = partOfZone(zone)
  if (isClosed(build, part)) return 'what it came with'
  const group = groupOf(zoneGroups(build), zone)?.id
  const isLaid = Object.keys(build.finish.laid ?? {}).some((coat) => (coat.includes('/') ? coat.split('/')[0] : WHOLE) === group)
  // A tree is placed by its strings: every coat lies under it by then.
  if (isLaid || (card.id === 'string-tree' && plannedFilm(build, zone) > 0)) return 'the film'
  return surfaceOf(build, part) === undefined ? undefined : ''
}

/** How the film is got through: a bit that bites from its first turn lifts it, and so does a cutter. [practice: both schools begin by tape] */
function through(build: Build, card: DrawnCard): string[] {
  const zone = ZONE[card.side]
  if (!zone || card.work === 'keep' || INSIDE.test(card.id)) return []
  const film = filmOn(build, card, zone)
  if (film === '') return []
  const [where, what] = film === undefined ? ['where it came with a film: ', 'it'] : ['', film]
  if (card.work === 'ream')
    return [`${where}tape round the hole; chamfer through ${what} by hand to the new width first, so that nothing catches its edge`]
  if (card.bit === undefined)
    return [`${where}tape along the line, and ${what} cut through on it with a knife before any cutter comes near`]
  return [`${where}tape over the place, the mark on it; the bit backwards until it is through ${what}, only then forwards`]
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
