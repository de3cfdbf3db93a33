import type { Build } from '../../document/build'
import { isThrough, sizeRef, type SizeRef } from '../../document/read'
import type { Drawing } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'

/** So much of the board is drawn before its end, mm. */
const SHOWN = 45

/** The board's end and the cover behind it, from above: what lies over the other is hatched. */
export function boardEndDrawing(build: Build): Drawing {
  const v = (ref: SizeRef) => drawnAt(build, ref)
  const [long, wide] = [v(sizeRef('pickup-neck', 'length')), v(sizeRef('pickup-neck', 'width'))]
  const end = v(sizeRef('neck', 'board.widthEnd'))
  const reach = isThrough(build)
    ? 0
    : v(sizeRef('neck', 'boardLength')) - v(sizeRef('neck', 'nutToHeelEnd')) + v(sizeRef('body', 'pocket.length'))
  const gap = v(sizeRef('body', 'route.neck.centre')) - long / 2 - reach
  const y = wide / 2 + 14
  const text = printMm(Math.abs(gap), 1)
  return framed(
    'Neck pickup behind the board’s end',
    'from above, true proportion · hatched: overlap',
    [
      { mark: 'area', role: 'pickup', points: rectangle(0, -wide / 2, long, wide / 2) },
      { mark: 'area', role: 'board', points: rectangle(-gap - SHOWN, -end / 2, -gap, end / 2) },
      ...(gap < 0 ? [{ mark: 'area' as const, role: 'remove' as const, points: rectangle(0, -end / 2, -gap, end / 2) }] : []),
      { mark: 'dimension', from: pt(Math.min(0, -gap), y), to: pt(Math.max(0, -gap), y), text, emphasis: true },
    ],
    [{ label: gap < 0 ? 'Board over the cover' : 'Cover to the board’s end', value: `${text} mm` }],
  )
}
