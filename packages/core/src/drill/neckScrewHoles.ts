import type { Build } from '../document/build'
import { sizesFor, valueAt, isGlued } from '../document/read'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { BITS } from '../physics/pilot'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import { DRILL_CAUTIONS } from './holeCard'
import { holeDrawing } from './holeDrawing'
import { type Finder, isHard, type Basics, waiting, pilotCard } from './pilotCard'

/** Neck screws: clearance through the body, pilots in the heel that stay clear of the board. */
export const neckScrewHoles: Finder = (build) => {
  if (!build.parts['neck-screws'] || !build.parts.body || !build.parts.neck || isGlued(build)) return []
  const base: Basics = {
    id: 'neck-screws',
    title: 'Neck screw pilots in the heel',
    slot: 'neck-screws',
    face: 'heel',
    goesIn: 'neck screws through the body',
    measureFrom: 'the body’s own holes, marked through with the neck clamped in its pocket',
    tools: 'drill press or hand drill with guide block; wax the screws',
  }
  const { have, missing } = sizesFor(build, {
    length: { slot: 'neck-screws', size: 'length' },
    root: { slot: 'neck-screws', size: 'root' },
    thickness: { slot: 'body', size: 'thickness' },
    pocket: { slot: 'body', size: 'pocket.depth' },
    heel: { slot: 'neck', size: 'heel.thickness' },
  })
  if (missing.length) return [waiting(base, missing)]
  const value = (size: string, otherwise: number) => valueAt(build, { slot: 'neck-screws', size }) ?? otherwise
  const through = have.thickness.value - have.pocket.value + value('plate.thickness', 1.5)
  // Never closer than 3 mm to the board's face or a fret. [practice]
  return [
    pilotCard(base, {
      places: neckScrewPlaces(build),
      root: have.root.value,
      hard: isHard(build, 'neck'),
      wanted: engaged(have.length, through),
      wood: have.heel.value,
      guard: 3,
      what: `Screw root ${printMm(have.root.value)} mm, ${printMm(through, 1)} mm of body and plate before it`,
    }),
  ]
}

/** Clearance holes in the body, so that the screws pull the neck down instead of holding it off. */
export const neckScrewClearance: Finder = (build) => {
  if (!build.parts['neck-screws'] || !build.parts.body || isGlued(build)) return []
  const base: Basics = {
    id: 'neck-clearance',
    title: 'Neck screw holes through the body',
    slot: 'neck-screws',
    face: 'back',
    goesIn: 'the neck screws, free to turn',
    measureFrom: 'the plate, laid square to the centre line over the pocket',
    tools: 'drill press or guide block; scrap clamped in the pocket so that the floor does not split out',
  }
  const { have, missing } = sizesFor(build, {
    thread: { slot: 'neck-screws', size: 'thread' },
    thickness: { slot: 'body', size: 'thickness' },
    pocket: { slot: 'body', size: 'pocket.depth' },
  })
  if (missing.length) return [waiting(base, missing)]
  const wood = have.thickness.value - have.pocket.value
  // Screw plus 0.3 to 0.5 mm. [practice]
  const bit = BITS.find((b) => b >= have.thread.value + 0.3) ?? have.thread.value + 0.5
  return [
    {
      ...base,
      places: neckScrewPlaces(build),
      bits: ['2 mm pilot from the back', `${printMm(bit, 1)} mm, right through ${printMm(wood, 1)} mm into scrap`],
      bit,
      state: 'ready',
      says: `Thread ${printMm(have.thread.value)} mm plus 0.3 to 0.5: the screw must turn freely here and bite only in the heel.`,
      cautions: DRILL_CAUTIONS,
      missing: [],
      draw: () => holeDrawing({ title: base.title, bit, wood }),
    },
  ]
}

function neckScrewPlaces(build: Build) {
  const value = (size: string, otherwise: number) => valueAt(build, { slot: 'neck-screws', size }) ?? otherwise
  const d = datums(build)
  const middle = (d.mouth + d.heelEnd) / 2
  const along = value('spread.along', 51) / 2
  const across = value('spread.across', 38) / 2
  return [pt(middle - along, across), pt(middle - along, -across), pt(middle + along, across), pt(middle + along, -across)]
}

const engaged = (length: Size, through: number) => Math.max(0, length.value - through)
