import type { Build } from '../document/build'
import { sizesFor, traitAt, valueAt, nameOf, type SizeRef } from '../document/read'
import type { Drawing } from '../drawing/drawing'
import { pt } from '../geometry/point'
import { datums } from '../instrument/datums'
import { tunerPosts } from '../instrument/tuners'
import { woodNamed } from '../parts/woods'
import { blindDepth, nearest, BITS, pilotBit, FACE_GUARD } from '../physics/pilot'
import { printMm } from '../quantity/length'
import type { Size } from '../quantity/size'
import { DRILL_CAUTIONS, type DrawnCard, type HoleCard } from './holeCard'
import { holeDrawing } from './holeDrawing'

type Finder = (build: Build) => DrawnCard[]

/** Wood is taken as hard, the safer guess for a pilot, until named. */
const isHard = (build: Build, slot: 'body' | 'neck') => woodNamed(traitAt(build, slot, 'wood'))?.hard ?? slot === 'neck'

type Basics = Pick<HoleCard, 'id' | 'title' | 'slot' | 'face' | 'goesIn' | 'measureFrom' | 'tools'>
function waiting(base: Basics, missing: SizeRef[]): DrawnCard {
  return {
    ...base,
    places: [],
    bits: [],
    bit: 0,
    state: 'waiting',
    says: `Not known yet: ${missing.map((r) => nameOf(r).toLowerCase()).join(', ')}.`,
    cautions: DRILL_CAUTIONS,
    missing,
    draw: () => ({ title: base.title, marks: [], bounds: { x: 0, y: 0, width: 40, height: 20 }, numbers: [] }),
  }
}

/** A blind pilot hole with everything on its card. */
function pilotCard(
  base: Basics,
  input: { places: HoleCard['places']; root: number; hard: boolean; wanted: number; wood: number; guard?: number; what: string },
): DrawnCard {
  const { exact, bit } = pilotBit(input.root, input.hard)
  const d = blindDepth(input.wanted, bit, input.wood, input.guard)
  const share = input.hard ? '90 % of its root in hardwood' : '70 % of its root in softwood'
  const state = d.refused ? 'refused' : d.cutShort ? 'mind' : 'ready'
  const says = d.refused
    ? `Do not drill: ${printMm(input.wood, 1)} mm of wood leaves no safe depth for this screw.`
    : d.cutShort
      ? `The screw reaches ${printMm(input.wanted, 1)} mm but the bit stops at ${printMm(d.depth, 1)}: ${printMm(input.guard ?? FACE_GUARD, 1)} mm must stay under the far face. Use a shorter screw.`
      : `${input.what}: pilot ${printMm(exact)} mm is ${share}; ${printMm(d.left, 1)} mm of wood stays under the tip.`
  return {
    ...base,
    places: input.places,
    bits: [
      `try ${printMm(bit, 1)} mm in scrap of the same wood first; a screw that needs force will snap`,
      `${printMm(bit, 1)} mm, tape at ${printMm(d.flag, 1)} mm from the tip`,
    ],
    bit,
    depth: d.depth,
    flag: d.flag,
    left: d.left,
    state,
    says,
    cautions: DRILL_CAUTIONS,
    missing: [],
    draw: () => holeDrawing({ title: base.title, bit, wood: input.wood, depth: d.depth, flag: d.flag, left: d.left }),
  }
}

/** Bores for the bushings a vibrato pivots on. */
const studBores: Finder = (build) => {
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

/** Screws of a fixed bridge along its back edge. */
const bridgeScrews: Finder = (build) => {
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

/** Holes for strings that run through the body. */
const stringHoles: Finder = (build) => {
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

/** The small screws that keep tuners from turning. */
const tunerScrews: Finder = (build) => {
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

/** Neck screws: clearance through the body, pilots in the heel that stay clear of the board. */
const neckScrewHoles: Finder = (build) => {
  if (!build.parts['neck-screws'] || !build.parts.body || !build.parts.neck) return []
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
const neckScrewClearance: Finder = (build) => {
  if (!build.parts['neck-screws'] || !build.parts.body) return []
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

/** Holes for the pots in the guard, reamed rather than drilled where they are only a little small. */
const potHoles: Finder = (build) => {
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

const engaged = (length: Size, through: number) => Math.max(0, length.value - through)

/** In the order holes are drilled: references and bridge, through holes, then small screws. */
const FINDERS: readonly Finder[] = [studBores, bridgeScrews, stringHoles, neckScrewClearance, neckScrewHoles, potHoles, tunerScrews]

const drawnCards = (build: Build): DrawnCard[] => (build.parts.body || build.parts.neck ? FINDERS.flatMap((find) => find(build)) : [])

/** Every hole card of a build, in drilling order. */
export const holeCards = (build: Build): HoleCard[] => drawnCards(build).map(({ draw: _, ...card }) => card)

/** The drawing of one card, when the build has it. */
export const drawHole = (build: Build, id: string): Drawing | undefined =>
  drawnCards(build)
    .find((c) => c.id === id)
    ?.draw()
