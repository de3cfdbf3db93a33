import { ofHand } from '../../drawing/turnedOver'
import type { Build } from '../../document/build'
import { sizeAt, sizeRef } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { sizeText } from '../../judge/assemble'
import { signed } from '../../judge/joint'
import { drawnAt } from '../../judge/known'
import { printMm } from '../../quantity/length'
import { type PocketPlace, LINED_TO } from './pocketWidth.limits'

/** A gap is enlarged so much as long as the picture holds it, mm. [ours] */
const ENLARGED = { by: 8, upTo: 1.5 }
/** Thinner hatching is not seen, mm. [ours] */
const HATCHED = 1.6

/**
 * Pocket and heel from above, the gap enlarged by a stated factor; what has to come off is hatched.
 * @param shaved the walls the joint's cure takes from, and how much
 */
export function pocketDrawing(build: Build, place: PocketPlace, shaved: readonly { wall: 'bass' | 'treble'; off: number }[]): Drawing {
  const at = (slot: 'body' | 'neck', size: string) => sizeAt(build, { slot, size })
  const size = {
    pocketMouth: at('body', 'pocket.widthMouth'),
    pocketEnd: at('body', 'pocket.widthEnd'),
    heelMouth: at('neck', 'heel.widthMouth'),
    heelEnd: at('neck', 'heel.widthEnd'),
  }
  const length = drawnAt(build, sizeRef('body', 'pocket.length'))
  const pm = drawnAt(build, sizeRef('body', 'pocket.widthMouth'))
  const pe = drawnAt(build, sizeRef('body', 'pocket.widthEnd'))
  const gap = { mouth: size.heelMouth ? pm - size.heelMouth.value : LINED_TO, end: size.heelEnd ? pe - size.heelEnd.value : LINED_TO }
  const times = Math.max(Math.abs(gap.mouth), Math.abs(gap.end)) > ENLARGED.upTo ? 1 : ENLARGED.by
  const heel = { mouth: pm - gap.mouth * times, end: pe - gap.end * times }
  const wall = 14
  const marks: Mark[] = [
    {
      mark: 'area',
      role: 'body-wood',
      points: [
        pt(0, -pm / 2 - wall),
        pt(length + wall, -pe / 2 - wall),
        pt(length + wall, pe / 2 + wall),
        pt(0, pm / 2 + wall),
        pt(0, pm / 2),
        pt(length, pe / 2),
        pt(length, -pe / 2),
        pt(0, -pm / 2),
      ],
    },
    {
      mark: 'area',
      role: 'neck-wood',
      dashed: !size.heelMouth || !size.heelEnd,
      points: [
        pt(-26, -heel.mouth / 2),
        pt(0, -heel.mouth / 2),
        pt(length - 0.6, -heel.end / 2),
        pt(length - 0.6, heel.end / 2),
        pt(0, heel.mouth / 2),
        pt(-26, heel.mouth / 2),
      ],
    },
    { mark: 'line', role: 'centre', points: [pt(-30, 0), pt(length + wall + 4, 0)] },
  ]
  for (const { wall, off } of shaved) {
    const w = wall === 'bass' ? 1 : -1
    const y = (w * (place === 'mouth' ? pm : pe)) / 2
    const x = place === 'mouth' ? 0 : length - 34
    const deep = Math.max(HATCHED, off * times)
    marks.push({ mark: 'area', role: 'remove', points: rectangle(x, Math.min(y, y + w * deep), x + 34, Math.max(y, y + w * deep)) })
  }
  const shown = place === 'mouth' ? size.pocketMouth : size.pocketEnd
  const heelShown = place === 'mouth' ? size.heelMouth : size.heelEnd
  const x = place === 'mouth' ? 12 : length - 14
  const half = place === 'mouth' ? pm / 2 : pe / 2
  if (shown) marks.push({ mark: 'dimension', from: pt(x, -half), to: pt(x, half), text: printMm(shown.value), emphasis: true })
  if (heelShown) {
    const hx = place === 'mouth' ? -14 : length - 40
    const h = place === 'mouth' ? heel.mouth / 2 : heel.end / 2
    marks.push({ mark: 'dimension', from: pt(hx, -h), to: pt(hx, h), text: printMm(heelShown.value) })
  }
  marks.push({ mark: 'label', at: pt(length / 2, -half - wall / 2), text: 'treble wall', anchor: 'middle' })
  marks.push({ mark: 'label', at: pt(length / 2, half + wall / 2), text: 'bass wall', anchor: 'middle' })
  const drawing: Drawing = {
    title: 'Pocket and heel from above',
    note: `${times === 1 ? 'true proportion' : `gap drawn ×${times}`}${shaved.length ? ' · hatched: where to shave' : ''}`,
    marks,
    bounds: { x: -30, y: -half - wall - 2, width: length + wall + 36, height: 2 * (half + wall + 2) },
    numbers: [
      { label: `Pocket width, ${place}`, value: shown ? sizeText(shown) : 'not known' },
      { label: `Heel width, ${place}`, value: heelShown ? sizeText(heelShown) : 'not known' },
      { label: 'Gap, total', value: shown && heelShown ? `${signed(gap[place])} mm` : 'not known' },
    ],
  }
  return ofHand(drawing, build.handedness)
}
