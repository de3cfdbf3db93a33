import type { Build } from '../document/build'
import type { SizeRef } from '../document/read'
import type { Point } from '../geometry/point'
import type { TraitRef } from '../judge/completed'
import { missingSays } from '../judge/doubtWords'
import type { TraitSpec } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import { slotSpec } from '../parts/slots'
import { partDrawing, sizeDrawing } from '../portrait/partDrawing'
import { unreadSays } from './told'
import { DRILL_CAUTIONS, type DrawnCard, type Guard, type HoleCard } from './holeCard'

/** What is known of a hole before anything about it is worked out. */
export type Base = Pick<DrawnCard, 'id' | 'title' | 'slot' | 'side' | 'goesIn' | 'located' | 'first' | 'back' | 'byPart'>

const NOTHING = {
  places: [],
  from: [],
  steps: [],
  size: '',
  with: '',
  guards: [],
  mind: [],
  cautions: DRILL_CAUTIONS,
  missing: [],
  untold: [],
} satisfies Partial<HoleCard>

/**
 * A card that cannot be filled in: it says what to measure or tell, and its drawing shows where.
 * @param known where its holes come all the same, and how wide they are
 */
export function waiting(
  build: Build,
  base: Base,
  missing: readonly SizeRef[],
  untold: readonly TraitRef[] = [],
  known: { about?: string; places?: Point[]; takes?: number | undefined } = {},
): DrawnCard {
  const [first] = missing
  const slot = first?.slot ?? untold[0]?.slot ?? base.slot
  return {
    ...NOTHING,
    ...base,
    stands: 'waiting',
    says: [known.about, untold.length ? lookFirst(untold) : '', missing.length ? unreadSays(build, missing) : ''].filter(Boolean).join(' '),
    missing: [...missing],
    untold: [...untold],
    ...(known.places ? { places: known.places } : {}),
    ...(known.takes === undefined ? {} : { takes: known.takes }),
    draw: () => ({ ...(first ? sizeDrawing(build, first) : partDrawing(build, slot)), title: base.title }),
  }
}

/** What has to be looked at, or said, before any size matters. */
const lookFirst = (untold: readonly TraitRef[]): string =>
  untold.every(({ slot, trait }) => (KINDS[slotSpec(slot).kind].traits as Readonly<Record<string, TraitSpec>>)[trait]?.hole)
    ? 'Look at the part: nobody has said whether it is there already.'
    : missingSays([], untold)

export type Filled = Partial<Omit<DrawnCard, 'stands' | 'draw' | keyof Base>> &
  Pick<HoleCard, 'work' | 'says'> & { draw: DrawnCard['draw']; mindful?: boolean }

/**
 * A card with everything on it. It is refused where a guard is, to be minded where one is near or cannot be told, and done once it is
 * ticked off.
 */
export function filled(build: Build, base: Base, { mindful, guards = [], ...card }: Filled): DrawnCard {
  const done = card.work !== 'keep' && build.steps[`drill-${base.id}`]
  const stands: HoleCard['stands'] = done ? 'done' : mindful ? 'mind' : 'ready'
  // Every edit fills in a hundred cards: several objects spread into one literal take Node six times as long.
  const own: DrawnCard = Object.assign({ stands }, NOTHING, base, card)
  return withGuards(
    done ? { ...own, says: `Ticked off on ${done.done.slice(0, 10)}: try the part in it, and measure what you made.` } : own,
    guards,
  )
}

/** A card that is refused whatever its sizes turn out to be; what is there already and what has to be looked at first stay as they are. */
export function refusedAnyhow(card: DrawnCard, guard: Guard): DrawnCard {
  if (card.untold.length || (card.work !== undefined && card.work !== 'new')) return card
  return withGuards(card.stands === 'waiting' ? { ...card, stands: 'ready', work: 'new', missing: [], says: '' } : card, [guard])
}

/** A card on which more stands against it than it knew by itself. */
export function withGuards(card: DrawnCard, more: readonly Guard[]): DrawnCard {
  if (!more.length) return card
  const against = more.filter((g) => g.verdict === 'wont-go').map((g) => g.says)
  const refused = against.length > 0 && (card.stands === 'ready' || card.stands === 'mind') && card.work !== 'keep'
  const doubtful = more.some((g) => g.verdict !== 'snug')
  return {
    ...card,
    guards: [...card.guards, ...more],
    stands: refused ? 'refused' : card.stands === 'ready' && doubtful ? 'mind' : card.stands,
    // Of a hole that is not to be made nothing is said but why; what is made already is told what stands against it too.
    steps: refused ? [] : card.steps,
    says: [...against, ...(refused ? [] : [card.says])].join(' '),
  }
}
