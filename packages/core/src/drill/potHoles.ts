import { sizesFor, valueAt } from '../document/read'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { printMm } from '../quantity/length'
import { holeDrawing } from './holeDrawing'
import { type Finder, type Basics, waiting } from './pilotCard'

/** Holes for the pots in the guard, reamed rather than drilled where they are only a little small. */
export const potHoles: Finder = (build) => {
  if (!build.parts.guard || !(build.parts['pot-volume'] || build.parts['pot-tone'])) return []
  const base: Basics = {
    id: 'pot-holes',
    title: 'Pot holes in the guard',
    slot: 'guard',
    face: 'front',
    goesIn: 'the pots’ bushings',
    measureFrom: 'the guard’s own marks; the route’s walls below must clear the pots by 2 mm',
    tools: 'tapered reamer by hand, or step bit on scrap; tape on the face',
  }
  const { have, missing } = sizesFor(build, {
    hole: { slot: 'guard', size: 'pot.hole' },
    guard: { slot: 'guard', size: 'thickness' },
    bushing: { slot: build.parts['pot-volume'] ? 'pot-volume' : 'pot-tone', size: 'bushing.diameter' },
  })
  if (missing.length) return [waiting(base, missing)]
  const d = datums(build)
  // A tenth is enough to go through; reamed by hand, two tenths are aimed for. [practice]
  const small = have.hole.value < have.bushing.value + 0.1 - 1e-9
  const to = have.bushing.value + 0.2
  const places = (['volume', 'tone'] as const).flatMap((name) => {
    const x = valueAt(build, { slot: 'guard', size: `${name}.x` })
    const y = valueAt(build, { slot: 'guard', size: `${name}.y` })
    return x === undefined || y === undefined ? [] : [pt(d.heelEnd + x, y)]
  })
  return [
    {
      ...base,
      places,
      bits: small
        ? [`ream from ${printMm(have.hole.value, 1)} to ${printMm(to, 1)} mm, from both faces in turn`]
        : ['nothing to cut: try a pot in each hole'],
      bit: small ? to : have.hole.value,
      state: small ? 'mind' : 'ready',
      says: small
        ? `The holes are ${printMm(to - have.hole.value, 1)} mm too small; a reamer from one side only leaves a cone.`
        : `Holes of ${printMm(have.hole.value, 1)} mm take the ${printMm(have.bushing.value, 1)} mm bushings.`,
      cautions: ['Eye protection; clamp plastic between scrap, it grabs and cracks.'],
      missing: [],
      draw: () => holeDrawing({ title: base.title, bit: small ? to : have.hole.value, wood: have.guard.value }),
    },
  ]
}
