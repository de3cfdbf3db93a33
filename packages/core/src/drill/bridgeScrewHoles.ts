import { sizesFor, traitAt, valueAt } from '../document/read'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { printMm } from '../quantity/length'
import { type Finder, isHard, type Basics, waiting, pilotCard } from './pilotCard'

/** Screws of a fixed bridge along its back edge. */
export const bridgeScrews: Finder = (build) => {
  const mount = traitAt(build, 'bridge', 'mount')
  if (mount !== 'screws' && mount !== 'string-through') return []
  const base: Basics = {
    id: 'bridge-screws',
    title: 'Bridge screws',
    slot: 'bridge',
    face: 'front',
    goesIn: 'wood screws, start every one before tightening any',
    measureFrom: 'fret 12, its distance from the nut doubled, and the two outer strings',
    tools: 'hand drill with guide block, or stand; wax the screws',
  }
  const { have, missing } = sizesFor(build, {
    count: { slot: 'bridge', size: 'screws' },
    spacing: { slot: 'bridge', size: 'studSpacing' },
    thickness: { slot: 'body', size: 'thickness' },
    studs: { slot: 'body', size: 'mouthToBridge' },
    length: { slot: 'bridge', size: 'screw.length' },
    root: { slot: 'bridge', size: 'screw.root' },
  })
  if (missing.length) return [waiting(base, missing)]
  const x = datums(build).studs
  const n = have.count.value
  const plate = valueAt(build, { slot: 'bridge', size: 'plate.thickness' }) ?? 2
  const places = Array.from({ length: n }, (_, i) => pt(x, n === 1 ? 0 : have.spacing.value * (i / (n - 1) - 0.5)))
  return [
    pilotCard(base, {
      places,
      root: have.root.value,
      hard: isHard(build, 'body'),
      wanted: have.length.value - plate,
      wood: have.thickness.value,
      what: `Screw root ${printMm(have.root.value)} mm`,
    }),
  ]
}
