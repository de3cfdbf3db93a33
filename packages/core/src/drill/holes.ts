import type { Build } from '../document/build'
import type { Drawing } from '../drawing/drawing'
import { SWITCHES_OF } from '../instrument/controlPlace'
import { PLACES } from '../instrument/guardPlace'
import { withFilm } from './afterFilm'
import { USUAL_BENCH, type Bench } from './bench'
import { withGuards } from './card'
import { pocketRoute, vibratoRoute } from './cards/bodyRoutes'
import { bindingLedge } from './cards/bindingLedge'
import { bridgeScrews } from './cards/bridgeScrews'
import { controlRoute } from './cards/controlRoute'
import { jackHole, potHoles, toggleHole } from './cards/controls'
import { clawScrews, guardScrews, pickupScrews, plateScrews, ringScrews } from './cards/held'
import { neckClearance, neckPilots } from './cards/neckScrews'
import { nutScrews, tiltHole } from './cards/neckMore'
import { groundPassage, jackPassage } from './cards/passage'
import { jackBore, jackPlateScrews, strapButtons } from './cards/rim'
import { batteryRoom, pickupRoute } from './cards/routes'
import { ferruleBores, stringHoles } from './cards/strings'
import { switchSlot } from './cards/switchSlot'
import { studBores, tailBores } from './cards/studBores'
import { stringTree, tunerBores, tunerScrews } from './cards/tuners'
import type { Finder } from './finder'
import type { DrawnCard, HoleCard } from './holeCard'
import { heldByNothing } from './heldByNothing'
import { keptInPlace } from './inPlace'
import { withNeighbours } from './neighbours'
import { withArch } from './onArch'
import { carrierUntold } from './carrierUntold'
import { overOpen } from './overOpen'
import { withoutGuesses } from './told'

/** In the order they are made: what is riskiest and what others are measured from first, what hangs on strings last. */
const FINDERS: readonly Finder[] = [
  pocketRoute,
  ...PLACES.map(pickupRoute),
  controlRoute,
  vibratoRoute,
  bindingLedge,
  batteryRoom,
  neckClearance,
  neckPilots,
  tiltHole,
  studBores,
  tailBores,
  bridgeScrews,
  stringHoles,
  ferruleBores,
  tunerBores,
  potHoles,
  ...SWITCHES_OF.flatMap((of) => [toggleHole(of), switchSlot(of)]),
  jackHole,
  jackBore,
  jackPassage,
  groundPassage,
  ...PLACES.map(pickupScrews),
  ringScrews('neck'),
  ringScrews('bridge'),
  tunerScrews,
  nutScrews,
  clawScrews,
  jackPlateScrews,
  guardScrews,
  plateScrews,
  strapButtons,
  stringTree,
]

/** Every hole card with its drawing and what it cuts. Takes milliseconds: who needs several asks once. */
export function drawnCards(build: Build, bench: Bench): DrawnCard[] {
  if (!build.parts.body && !build.parts.neck) return []
  const told = withoutGuesses(build)
  const cards = FINDERS.flatMap((find) => find(told, bench) ?? []).map((card) =>
    keptInPlace(told, heldByNothing(told, carrierUntold(told, overOpen(told, card)))),
  )
  return withNeighbours(told, cards).map(({ card, more }) => withFilm(build, withArch(told, withGuards(card, more))))
}

/** Every hole card of a build, in the order of the work. */
export const holeCards = (build: Build, bench: Bench = USUAL_BENCH): HoleCard[] =>
  drawnCards(build, bench).map(({ draw: _, ...card }) => card)

/** The drawing of one card, when the build has it. */
export const drawHole = (build: Build, id: string, bench: Bench = USUAL_BENCH): Drawing | undefined => {
  const card = drawnCards(build, bench).find((c) => c.id === id)
  return card && cardDrawing(card)
}

/** What a card draws: where it is refused, nothing of how it would be made. */
export const cardDrawing = (card: DrawnCard): Drawing => card.draw(card.stands !== 'refused')
