import { sizesFor, traitAt } from '../document/read'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { printMm } from '../quantity/length'
import { DRILL_CAUTIONS } from './holeCard'
import { holeDrawing } from './holeDrawing'
import { type Finder, type Basics, waiting } from './pilotCard'

/** Holes for strings that run through the body. */
export const stringHoles: Finder = (build) => {
  if (traitAt(build, 'bridge', 'mount') !== 'string-through') return []
  const base: Basics = {
    id: 'string-holes',
    title: 'String holes',
    slot: 'bridge',
    face: 'front',
    goesIn: 'the strings; ferrules from the back',
    measureFrom: 'the fixed bridge itself, used as the guide',
    tools: 'one stiff bit of final size; drill press, or stand',
  }
  const { have, missing } = sizesFor(build, {
    spread: { slot: 'bridge', size: 'spread' },
    thickness: { slot: 'body', size: 'thickness' },
    studs: { slot: 'body', size: 'mouthToBridge' },
  })
  if (missing.length) return [waiting(base, missing)]
  const x = datums(build).studs + 14
  const places = Array.from({ length: build.strings }, (_, i) => pt(x, have.spread.value * (i / (build.strings - 1) - 0.5)))
  const bit = 4.5
  const wander = (degrees: number) => printMm(exitError(have.thickness.value, degrees))
  return [
    {
      ...base,
      places,
      bits: [`${bit} mm, right through, lift often to clear the flutes`],
      bit,
      state: 'mind',
      says: `Through ${printMm(have.thickness.value, 1)} mm the exit wanders ${wander(2)} mm by hand, ${wander(0.7)} with a guide block, ${wander(0.4)} in a stand, ${wander(0.15)} in a press. Bore the ferrules from the back by a straight template; the error stays inside.`,
      cautions: DRILL_CAUTIONS,
      missing: [],
      draw: () => holeDrawing({ title: base.title, bit, wood: have.thickness.value }),
    },
  ]
}

/** How far a hole comes out beside its mark, mm: thickness x tan(angle). [physics] */
export const exitError = (thickness: number, degrees: number): number => thickness * Math.tan((degrees * Math.PI) / 180)
