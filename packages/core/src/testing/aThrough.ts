import type { Build } from '../document/build'
import type { SizeSpec } from '../parts/kind'
import { KINDS } from '../parts/kinds/index'
import type { Part } from '../parts/part'
import { fullBuild, without } from './fullBuild'

const DEGREE = Math.PI / 180
/** Sizes of a body that are counted from where the neck comes in. */
const FROM_MOUTH = Object.entries<SizeSpec>(KINDS.body.sizes).flatMap(([size, { fromNeck }]) => (fromNeck ? [size] : []))

/**
 * The same instrument with its neck in one piece with the body: nothing of it lies elsewhere, but its places are counted from the end of
 * the board, taken to be where the heel ended, and the board's height from the front there.
 */
export function throughOf(build: Build): Build {
  const { body, neck } = build.parts as { body: Part; neck: Part }
  const of = (part: Part, size: string): number => part.sizes[size]!.value
  const pocket = of(body, 'pocket.length')
  const tilt = body.sizes['pocket.tilt']?.value ?? 0
  const over = of(neck, 'heel.thickness') - of(body, 'pocket.depth') + pocket * Math.tan(tilt * DEGREE)
  // An arched front has risen by there, evenly on its way to the bridge: what is counted from it is so much less.
  const arched = body.traits.top !== 'flat'
  const toBridge = body.sizes.mouthToBridge?.value
  const risen = arched && toBridge ? ((body.sizes['arch.bridge']?.value ?? 0) * pocket) / toBridge : 0
  const known = { doubt: 0.05, known: 'calipers' } as const
  const left = Object.entries(body.sizes).filter(([size]) => !size.startsWith('pocket.'))
  const moved = left.map(
    ([size, s]) =>
      [
        size,
        FROM_MOUTH.includes(size) ? { ...s, value: s.value - pocket } : size.startsWith('arch.') ? { ...s, value: s.value - risen } : s,
      ] as const,
  )
  const ofNeck = Object.entries(neck.sizes).filter(([size]) => !size.startsWith('heel.') && size !== 'nutToHeelEnd')
  return {
    ...without(build, 'neck-screws'),
    parts: {
      ...without(build, 'neck-screws').parts,
      body: {
        ...body,
        traits: { ...body.traits, neckIs: 'through' },
        sizes: {
          ...Object.fromEntries(moved),
          ...(body.sizes['pocket.tilt'] ? { 'board.tilt': body.sizes['pocket.tilt'] } : {}),
          'board.over': { value: over - risen, ...known },
        },
        ...(body.outline ? { outline: body.outline.map((row) => ({ ...row, x: row.x - pocket })) } : {}),
      },
      neck: { ...neck, sizes: { ...Object.fromEntries(ofNeck), boardLength: neck.sizes.nutToHeelEnd! } },
    },
  }
}

export const aThrough = (): Build => throughOf(fullBuild())
