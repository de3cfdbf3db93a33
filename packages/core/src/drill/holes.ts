import type { Build } from '../document/build'
import { answersSizes } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import { type DrawnCard, type HoleCard } from './holeCard'
import { type Finder } from './pilotCard'
import { studBores } from './studBores'
import { bridgeScrews } from './bridgeScrewHoles'
import { stringHoles } from './stringHoles'
import { tunerScrews } from './tunerScrewHoles'
import { neckScrewHoles, neckScrewClearance } from './neckScrewHoles'
import { potHoles } from './potHoles'

/** In the order holes are drilled: references and bridge, through holes, then small screws. */
const FINDERS: readonly Finder[] = [studBores, bridgeScrews, stringHoles, neckScrewClearance, neckScrewHoles, potHoles, tunerScrews]

/**
 * The build without its guesses: a hole cannot be taken back, so that a size nobody has read or been told is missing here, and its card says
 * so. Read through, so that whoever watches the build sees what is really read.
 */
const withoutGuesses = (build: Build): Build =>
  answersSizes(new Proxy(build, {}), (slot, size) => {
    const entered = build.parts[slot]?.sizes[size]
    return entered?.known === 'assumed' ? undefined : entered
  })

const drawnCards = (build: Build): DrawnCard[] => {
  const told = withoutGuesses(build)
  return build.parts.body || build.parts.neck ? FINDERS.flatMap((find) => find(told)) : []
}

/** Every hole card of a build, in drilling order. */
export const holeCards = (build: Build): HoleCard[] => drawnCards(build).map(({ draw: _, ...card }) => card)

/** The drawing of one card, when the build has it. */
export const drawHole = (build: Build, id: string): Drawing | undefined =>
  drawnCards(build)
    .find((c) => c.id === id)
    ?.draw()
