import { sizeAt, sizeRef } from '../../document/read'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { printMm } from '../../quantity/length'
import { filled, waiting, type Base } from '../card'
import type { Finder } from '../finder'
import { guarded } from '../guard'
import { isThere, summed } from '../told'
import { ROUTER_CAUTIONS } from './router'

const SIZES = { thick: sizeRef('body', 'binding.thickness'), high: sizeRef('body', 'binding.height') }
/** The binding stands so far out of its ledge, both ways, to be scraped flush, mm. [practice] */
const PROUD = 0.15
/** Common cutter a bearing is chosen for, mm. [practice] */
const CUTTER = 12.7
/** A ledge takes no more than this share of the rim of a hollow body. [ours] */
const OF_RIM = 0.5

/** A ledge round the edge for a binding, cut by a bearing that runs on the rim. */
export const bindingLedge: Finder = (build) => {
  if (!build.parts.body || (!sizeAt(build, SIZES.thick) && !sizeAt(build, SIZES.high))) return undefined
  const base: Base = {
    id: 'binding-ledge',
    title: 'Ledge for the binding',
    slot: 'body',
    side: 'front',
    byPart: true,
    goesIn: 'the binding, glued in and scraped flush',
    located: 'the rim itself: the cutter’s bearing runs on it, so that every bump of it is cut too',
    first: ['the rim sanded fair and square to the face', 'a ledge tried in scrap, the binding laid in it'],
    back: 'A strip of the same wood glued into the ledge, a day to dry, cut anew.',
  }
  const there = isThere(build, { slot: 'body', trait: 'routed.binding' })
  if (there === undefined) return waiting(build, base, [], [{ slot: 'body', trait: 'routed.binding' }])
  const missing = Object.values(SIZES).filter((r) => !sizeAt(build, r))
  if (missing.length) return waiting(build, base, missing)
  const [thick, high] = [sizeAt(build, SIZES.thick)!, sizeAt(build, SIZES.high)!]
  const cut = { in: thick.value - PROUD, down: high.value - PROUD }
  const draw = () =>
    framed(
      base.title,
      'section through the edge',
      [
        {
          mark: 'area',
          role: 'body-wood',
          points: [pt(0, cut.down), pt(cut.in, cut.down), pt(cut.in, 0), pt(40, 0), pt(40, 25), pt(0, 25)],
        },
        { mark: 'area', role: 'plastic', points: rectangle(-PROUD, -PROUD, cut.in, cut.down) },
        { mark: 'dimension', from: pt(0, -6), to: pt(cut.in, -6), text: printMm(cut.in), emphasis: true },
        { mark: 'dimension', from: pt(-8, 0), to: pt(-8, cut.down), text: printMm(cut.down), emphasis: true },
      ],
      [
        { label: 'In from the rim', value: `${printMm(cut.in)} mm` },
        { label: 'Down from the face', value: `${printMm(cut.down)} mm` },
      ],
    )
  if (there) return filled(build, base, { work: 'keep', says: 'It is there: lay the binding in it all round.', draw })
  const rim = sizeAt(build, sizeRef('body', 'rim.thickness'))
  const spare =
    rim &&
    summed([
      [OF_RIM, rim],
      [-1, thick],
    ])
  return filled(build, base, {
    work: 'new',
    mindful: true,
    says: `${printMm(cut.in)} mm in and ${printMm(cut.down)} mm down, so that the binding stands ${PROUD} mm proud both ways: a ${CUTTER} mm cutter with a bearing of ${printMm(CUTTER - 2 * cut.in)} mm.`,
    from: ['the rim and the face'],
    steps: [
      'first round against the feed at half depth, a hair at a time over end grain and in the waist, so that nothing tears out',
      'then with the bearing hard on the rim to full depth',
      'binding taped and glued, a day; then scraped, never sanded, to the wood',
    ],
    size: `${printMm(cut.in, 1)}x${printMm(cut.down, 1)}`,
    with: 'router, bearing bit',
    guards: spare
      ? [
          guarded(
            'rim',
            'Rim left beside it',
            spare,
            [
              { upTo: -rim.value * OF_RIM, is: 'wont-go' },
              { upTo: 0, is: 'tight' },
              { upTo: Infinity, is: 'snug' },
            ],
            `${printMm(Math.max(0, rim.value - cut.in), 1)} mm of rim stay.`,
            'Take narrower binding.',
          ),
        ]
      : [],
    cautions: [...ROUTER_CAUTIONS, 'Binding cement: open air, no flame, gloves; follow its label.'],
    draw,
  })
}
