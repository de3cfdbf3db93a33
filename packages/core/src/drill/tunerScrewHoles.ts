import { sizesFor, valueAt } from '../document/read'
import { pt } from '../geometry/point'
import { tunerPosts } from '../instrument/tuners'
import { printMm } from '../quantity/length'
import { type Finder, isHard, type Basics, waiting, pilotCard } from './pilotCard'

/** The small screws that keep tuners from turning. */
export const tunerScrews: Finder = (build) => {
  if (!build.parts.tuners || !build.parts.neck) return []
  const base: Basics = {
    id: 'tuner-screws',
    title: 'Tuner screws',
    slot: 'tuners',
    face: 'head back',
    goesIn: 'one small screw a tuner',
    measureFrom: 'the tuners themselves, nipped loose and lined up by a straight-edge',
    tools: 'hand drill or pin vice; hand driver, wax on the thread',
  }
  const { have, missing } = sizesFor(build, {
    length: { slot: 'tuners', size: 'screw.length' },
    root: { slot: 'tuners', size: 'screw.root' },
    head: { slot: 'neck', size: 'head.thickness' },
  })
  if (missing.length) return [waiting(base, missing)]
  const flange = valueAt(build, { slot: 'tuners', size: 'plate.thickness' }) ?? 1.2
  const away = valueAt(build, { slot: 'tuners', size: 'screw.offset' }) ?? 10
  const places = tunerPosts(build).map((p) => pt(p.x - away * 0.3, p.y + away * Math.sign(p.y || 1) * 0.4))
  return [
    pilotCard(base, {
      places,
      root: have.root.value,
      hard: isHard(build, 'neck'),
      wanted: have.length.value - flange,
      wood: have.head.value,
      what: `Screw root ${printMm(have.root.value)} mm`,
    }),
  ]
}
