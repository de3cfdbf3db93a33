import type { Build } from '../document/build'
import { traitAt, nameOf, type SizeRef } from '../document/read'
import { woodNamed } from '../parts/woods'
import { blindDepth, pilotBit, FACE_GUARD } from '../physics/pilot'
import { printMm } from '../quantity/length'
import { DRILL_CAUTIONS, type DrawnCard, type HoleCard } from './holeCard'
import { holeDrawing } from './holeDrawing'

export type Finder = (build: Build) => DrawnCard[]

/** Wood is taken as hard, the safer guess for a pilot, until named. */
export const isHard = (build: Build, slot: 'body' | 'neck') => woodNamed(traitAt(build, slot, 'wood'))?.hard ?? slot === 'neck'

export type Basics = Pick<HoleCard, 'id' | 'title' | 'slot' | 'face' | 'goesIn' | 'measureFrom' | 'tools'>
export function waiting(base: Basics, missing: SizeRef[]): DrawnCard {
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
export function pilotCard(
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
