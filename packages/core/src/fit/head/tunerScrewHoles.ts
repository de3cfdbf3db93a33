import { capital, aMm } from '../../quantity/words'
import { longestScrew, OTHER_SCREW } from '../../judge/otherScrew'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Question } from '../../judge/joint'
import { drawnAt, gapOf, sizeIn } from '../../judge/known'
import { likelyOf, linear, ofSize, propagate } from '../../quantity/distribution'
import { printMm, printSide } from '../../quantity/length'

/** Wood that must stay under a headstock screw, mm. [practice] */
const UNDER_SCREW = 2.5

export function screws(build: Build): Question[] {
  const refs = { head: sizeRef('neck', 'head.thickness'), screw: sizeRef('tuners', 'screw.length') }
  const head = sizeIn(build, refs.head)
  const screw = sizeIn(build, refs.screw)
  const plateRef = sizeRef('tuners', 'plate.thickness')
  const plate = sizeIn(build, plateRef)
  const left = gapOf([
    [1, head],
    [1, plate],
    [-1, screw],
  ])
  const longest = longestScrew(screw.value, left, UNDER_SCREW)
  return [
    {
      id: 'screw',
      label: 'Wood under the screw’s tip',
      clearance: linear([[1, left]], -UNDER_SCREW),
      shown: left,
      bands: [
        { upTo: -UNDER_SCREW, is: 'wont-go' },
        { upTo: 0, is: 'tight' },
        { upTo: Infinity, is: 'snug' },
      ],
      says: () =>
        likelyOf(left) < 0
          ? `${capital(aMm(screw.value, 1))} screw comes ${printMm(-likelyOf(left), 1)} mm through the headstock’s face.`
          : `${capital(aMm(screw.value, 1))} screw leaves ${printMm(likelyOf(left), 1)} mm of wood before the headstock’s face.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'short-tuner-screws',
                job: `Take tuner screws of ${longest} mm or less.`,
                how: 'Or nip the tip off and file it round; a screw that comes through shows on the face for good.',
                gives: 'nothing',
                toGet: true,
                tools: ['side cutters', 'file'],
                plan: { slot: 'tuners', size: 'screw.length', delta: longest - screw.value, doubt: OTHER_SCREW },
              },
            ],
    },
  ]
}

/** Two holes this near each other hold no screw: wood between them, mm. [practice] */
const BETWEEN = 1
/** A new screw falls into an old hole of the same place, mm. [practice] */
const SAME_HOLE = 0.3

/** New tuners on a used headstock: their screws may fall beside the old holes, and the old holes may show. */
export function oldScrews(build: Build): Question[] {
  const refs = { old: sizeRef('neck', 'oldScrew.offset'), own: sizeRef('tuners', 'screw.offset') }
  const old = sizeAt(build, refs.old)
  if (!old) return []
  const own = sizeIn(build, refs.own)
  const [oldSideRef, ownSideRef] = [sizeRef('neck', 'oldScrew.side'), sizeRef('tuners', 'screw.side')]
  const [oldSide, ownSide] = [sizeIn(build, oldSideRef), sizeIn(build, ownSideRef)]
  const apart = propagate(([a, b, c, d]) => Math.hypot(a! - b!, c! - d!), [ofSize(old), ofSize(own), ofSize(oldSide), ofSize(ownSide)])
  const thread = drawnAt(build, sizeRef('tuners', 'screw.thread'))
  const [width, length] = (['housing.width', 'housing.length'] as const).map((size) => sizeIn(build, sizeRef('tuners', size)).value)
  const covered = Math.abs(old.value) <= width! / 2 - 1 && Math.abs(oldSide.value) <= length! / 2 - 1
  const away = likelyOf(apart)
  const clash = away > SAME_HOLE && away < thread + BETWEEN
  return [
    {
      id: 'old-screws',
      label: 'New screw from the old hole',
      clearance: apart,
      bands: [
        { upTo: SAME_HOLE, is: 'snug' },
        { upTo: thread + BETWEEN, is: 'tight' },
        { upTo: Infinity, is: covered ? 'snug' : 'tight' },
      ],
      says: () =>
        away <= SAME_HOLE
          ? 'The new screws fall into the old holes.'
          : clash
            ? `The new screws fall ${printMm(away, 1)} mm beside the old holes: the bit would wander into them.`
            : covered
              ? `The old holes lie under the new housings, ${printMm(away, 1)} mm from their screws.`
              : `The old holes show beside the new housings, ${printMm(away, 1)} mm from the new screws.`,
      cures: ({ verdict }) =>
        verdict === 'snug'
          ? []
          : [
              {
                id: 'plug-old-screws',
                job: clash ? 'Plug the old screw holes before new ones are drilled.' : 'Plug the old screw holes and touch them in.',
                how: 'A tapered sliver of the neck’s wood with glue, cut flush when dry; before any coat goes on. Row aligned by a straight-edge first.',
                gives: 'nothing',
                tools: ['wood slivers', 'wood glue', 'small bit'],
              },
              {
                id: 'same-screw-tuners',
                job: 'Or tuners whose screws fall into the old holes, or that need none.',
                how: `Ask for the screw’s place from the post’s centre: ${printSide(old.value, 1, ['away from the nut', 'towards the nut'])}, ${printSide(oldSide.value, 1, ['towards the headstock’s middle', 'towards its edge'])}.`,
                gives: 'the tuners',
                tools: [],
              },
            ],
    },
  ]
}
