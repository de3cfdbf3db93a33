import { sizesFor, traitAt } from '../document/read'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { blindDepth, nearest, BITS } from '../physics/pilot'
import { printMm } from '../quantity/length'
import { DRILL_CAUTIONS } from './holeCard'
import { holeDrawing } from './holeDrawing'
import { type Finder, type Basics, waiting } from './pilotCard'

/** Bores for the bushings a vibrato pivots on. */
export const studBores: Finder = (build) => {
  if (traitAt(build, 'bridge', 'mount') !== 'two-stud') return []
  const base: Basics = {
    id: 'stud-bores',
    title: 'Stud bores',
    slot: 'bridge',
    face: 'front',
    goesIn: 'two threaded bushings, tapped in square',
    measureFrom: 'fret 12, its distance from the nut doubled, and the centre line',
    tools: 'drill press or stand; brad-point bit; backing not needed',
  }
  const { have, missing } = sizesFor(build, {
    spacing: { slot: 'bridge', size: 'studSpacing' },
    diameter: { slot: 'bridge', size: 'studDiameter' },
    length: { slot: 'bridge', size: 'studLength' },
    thickness: { slot: 'body', size: 'thickness' },
    studs: { slot: 'body', size: 'mouthToBridge' },
  })
  if (missing.length) return [waiting(base, missing)]
  const x = datums(build).studs
  // Interference of 0.05 to 0.15 mm holds a bushing. [practice]
  const exact = have.diameter.value - 0.1
  const bit = nearest(BITS, exact)
  const d = blindDepth(have.length.value + 1, bit, have.thickness.value)
  const off = bit - have.diameter.value
  const holds = off <= -0.05 && off >= -0.55
  return [
    {
      ...base,
      places: [pt(x, have.spacing.value / 2), pt(x, -have.spacing.value / 2)],
      bits: [
        '3 mm pilot, square',
        `${printMm(bit, 1)} mm brad point, tape at ${printMm(d.flag, 1)} mm`,
        'try the bushing in scrap of the same wood',
      ],
      bit,
      depth: d.depth,
      flag: d.flag,
      left: d.left,
      state: d.refused ? 'refused' : d.cutShort || !holds ? 'mind' : 'ready',
      says: holds
        ? `Bushing ${printMm(have.diameter.value)} mm wants a bore of ${printMm(exact)} mm, 0.05 to 0.15 mm under; the ${printMm(bit, 1)} mm bit is nearest: try it in scrap.`
        : `Bushing ${printMm(have.diameter.value)} mm wants a bore of ${printMm(exact)} mm and the nearest bit is ${printMm(bit, 1)} mm: too ${off > -0.05 ? 'loose' : 'tight'}. Get the right bit before drilling.`,
      cautions: DRILL_CAUTIONS,
      missing: [],
      draw: () => holeDrawing({ title: base.title, bit, wood: have.thickness.value, depth: d.depth, flag: d.flag, left: d.left }),
    },
  ]
}
