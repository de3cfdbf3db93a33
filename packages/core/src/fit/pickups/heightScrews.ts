import type { Build } from '../../document/build'
import { sizeRef, type SizeRef } from '../../document/read'
import { screwStack } from '../../drawing/sections'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { Question } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn, traitIn } from '../../judge/known'
import { likelyOf, linear } from '../../quantity/distribution'
import { printMm } from '../../quantity/length'
import { longestScrew, OTHER_SCREW } from '../../judge/otherScrew'
import { isVibrato } from '../../instrument/vibrato'
import { woodUnderBridge } from '../../instrument/woodUnderBridge'
import { FACE_GUARD } from '../../physics/pilot'

/**
 * A pickup that hangs from screws in the body: thread left in the wood at its highest setting must be at least one and a half
 * diameters. engaged = length - (route depth - depth of the ears) - travel. [practice]
 */
export function screwBite(build: Build, place: PickupPlace): Question[] {
  const slot = `pickup-${place}` as const
  if (traitIn(build, slot, 'mount') !== 'body') return []
  const refs = { screw: sizeRef(slot, 'screw.length'), depth: sizeRef(`body`, `route.${place}.depth`), own: sizeRef(slot, 'depth') }
  const screw = sizeIn(build, refs.screw)
  const wood = sizeIn(build, refs.depth)
  const own = sizeIn(build, refs.own)
  const travel = sizeIn(build, sizeRef(slot, 'travel'))
  const d = drawnAt(build, sizeRef(slot, 'screw.diameter'))
  // The ears sit at the bottom of the cover: raised by the travel they stand that far above the floor's gap.
  const engaged = gapOf([
    [1, screw],
    [-1, wood],
    [1, own],
    [-1, travel],
  ])
  const want = 1.5 * d
  return [
    {
      id: 'bite',
      label: 'Screws in the wood at the highest setting',
      clearance: linear([[1, engaged]], -want),
      shown: engaged,
      bands: [
        { upTo: -want, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'snug'
          ? `At the highest setting the screws still hold ${printMm(likelyOf(engaged), 1)} mm of wood.`
          : `At the highest setting the screws reach the wood by only ${printMm(Math.max(0, likelyOf(engaged)), 1)} mm; they want ${printMm(want, 1)}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'longer-screws',
                job: `Take height screws at least ${printMm(screw.value + want - likelyOf(engaged) + 0.5, 1)} mm long.`,
                how: 'Same thread; wax them, and make a pilot in the floor first.',
                gives: 'nothing',
                toGet: true,
                tools: ['screws', 'wax'],
                plan: { slot, size: 'screw.length', delta: want - likelyOf(engaged) + 0.5, doubt: 0.3 },
              },
              {
                id: 'floor-block',
                job: 'Or glue a block of the same wood on the route’s floor under each ear.',
                how: 'Lifts the floor to the screws; grain across, an evening to dry.',
                gives: 'nothing',
                tools: ['wood', 'wood glue'],
              },
            ],
    },
  ]
}

/**
 * The wood from the front down in which its cavities are cut: to the room of a vibrato's springs, to the back, or to the far side of the
 * block of a body that is not solid; nothing while nobody has said how it is built.
 */
export function underCavities(
  build: Build,
  mount: string | undefined,
): { terms: (readonly [factor: number, ref: SizeRef])[]; face: string; out: string } | undefined {
  if (isVibrato(mount))
    return {
      terms: [
        [1, sizeRef('body', 'thickness')],
        [-1, sizeRef('body', 'spring.depth')],
      ],
      face: 'the spring room',
      out: 'into the spring room',
    }
  const wood = woodUnderBridge(build)
  return wood && { terms: [[1, wood.size]], face: wood.face, out: wood.face }
}

/** The other end of the travel: run right down, the tip of a screw in the body stands as deep as the ears and its own length together. */
export function tipInBody(build: Build, place: PickupPlace): Question[] {
  const slot = `pickup-${place}` as const
  if (traitIn(build, slot, 'mount') !== 'body') return []
  const screw = sizeIn(build, sizeRef(slot, 'screw.length'))
  const under = underCavities(build, build.parts.bridge && traitIn(build, 'bridge', 'mount'))
  if (!under) return []
  const { face, out } = under
  const left = gapOf([
    ...under.terms.map(([factor, ref]) => [factor, sizeIn(build, ref)] as const),
    [-1, sizeIn(build, sizeRef(slot, 'depth'))],
    [-1, screw],
  ])
  const longest = longestScrew(screw.value, left, FACE_GUARD)
  return [
    {
      id: 'tip',
      label: 'Wood under the height screws’ tips, run right down',
      clearance: linear([[1, left]], -FACE_GUARD),
      shown: left,
      bands: [
        { upTo: -FACE_GUARD, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: ({ verdict }) =>
        verdict === 'wont-go'
          ? `Run right down, the height screws come through ${out} by ${printMm(Math.max(0, -likelyOf(left)), 1)} mm.`
          : `Run right down, the height screws end ${printMm(likelyOf(left), 1)} mm before ${face}.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'shorter-height-screws',
                job: `Take height screws of ${longest} mm or less, or nip these off.`,
                how: 'File the cut end round; then see that they still hold at the highest setting.',
                gives: 'nothing',
                tools: ['side cutters', 'file'],
                plan: { slot, size: 'screw.length', delta: longest - screw.value, doubt: OTHER_SCREW },
              },
              {
                id: 'hang-otherwise',
                job: `Or hang the pickup from ${place === 'middle' ? 'a guard' : 'a ring or a guard'}: then no screw of its goes into the wood.`,
                how: 'Its own screws and springs come with it; the route stays as it is.',
                gives: 'nothing',
                toGet: true,
                tools: ['screwdriver'],
              },
            ],
    },
  ]
}

/** The height screw at its highest: air under the ear, wood below. */
export function biteDrawing(build: Build, place: PickupPlace) {
  const slot = `pickup-${place}` as const
  const air =
    drawnAt(build, sizeRef('body', `route.${place}.depth`)) -
    drawnAt(build, sizeRef(slot, 'depth')) +
    drawnAt(build, sizeRef(slot, 'travel'))
  const wood = woodUnderBridge(build) ?? { size: sizeRef('body', 'thickness'), label: 'body' }
  return screwStack(
    'Height screw at the highest setting',
    [
      { label: 'air under the ear', thickness: Math.max(0.5, air), role: 'open' },
      {
        label: `${wood.label} under the route`,
        thickness: Math.max(0.5, drawnAt(build, wood.size) - drawnAt(build, sizeRef('body', `route.${place}.depth`))),
        role: 'body-wood',
      },
    ],
    { length: drawnAt(build, sizeRef(slot, 'screw.length')), thread: drawnAt(build, sizeRef(slot, 'screw.diameter')) },
  )
}
