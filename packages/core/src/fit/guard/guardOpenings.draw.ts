import { ofHand } from '../../drawing/turnedOver'
import { stopOf } from '../../instrument/neckWords'
import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt, type Point } from '../../geometry/point'
import { laid, PLACES, type GuardFit, type OpeningFit } from '../../instrument/guardPlace'
import { outlinePoints } from '../../instrument/outline'
import type { DetailTable } from '../../judge/joint'
import { drawnAt } from '../../judge/known'
import { printMm, printSide } from '../../quantity/length'
import { filed, poseWords, isAlong, gapAfter } from './guardOpenings.words'

/** With the guard in its best place: how each opening lies over its route, what goes, what will show. */
export function placeTable(build: Build, fits: readonly OpeningFit[], fit: GuardFit): DetailTable {
  return {
    title: `With the guard ${poseWords(fit, stopOf(build))}`,
    columns: ['opening', 'off along', 'off across', 'to file', 'gap that shows'],
    rows: fits.map((f) => {
      const at = laid(fit.pose, f.opening)
      const filings = fit.file.filter((x) => x.place === f.place)
      const spare = valueAt(build, sizeRef('guard', `opening.${f.place}.length`))! - 2 * f.half.along
      return [
        f.place,
        `${printMm(at.x - f.route.x, 1)} mm`,
        `${printMm(at.y - f.route.y, 1)} mm`,
        filings.length ? filings.map((x) => `${x.edge} ${printMm(filed(x), 1)}`).join(', ') : 'nothing',
        `${printMm(Math.max(0, ...filings.map((x) => gapAfter(build, x)), spare), 1)} mm`,
      ]
    }),
  }
}

/** Corners of a rectangle in the guard's frame, laid on the body. */
const laidBox = (fit: GuardFit | undefined, c: Point, l: number, w: number): Point[] => {
  const box = rectangle(c.x - l / 2, c.y - w / 2, c.x + l / 2, c.y + w / 2)
  return fit ? box.map((p) => laid(fit.pose, p)) : box
}

/** Routes and guard openings from above, at true proportion: routes solid, openings outlined, filing hatched. */
export function guardDrawing(build: Build, fit: GuardFit | undefined): Drawing {
  const pocket = drawnAt(build, sizeRef('body', 'pocket.length'))
  const rows = build.parts.guard?.outline
  const own = rows && rows.length >= 3 ? outlinePoints(rows).map((p) => (fit ? laid(fit.pose, p) : p)) : laidBox(fit, pt(80, -6), 172, 104)
  const marks: Mark[] = [{ mark: 'area', role: 'plastic', points: own }]
  const numbers: Drawing['numbers'] = []
  for (const place of PLACES) {
    if (!build.parts[`pickup-${place}`]) continue
    const v = (slot: 'body' | 'guard', key: string, otherwise: number) => valueAt(build, { slot, size: key }) ?? otherwise
    const rc = pt(v('body', `route.${place}.centre`, 0) - pocket, v('body', `route.${place}.side`, 0))
    const rl = v('body', `route.${place}.length`, 38)
    const rw = v('body', `route.${place}.width`, 72)
    const oc = pt(v('guard', `opening.${place}.centre`, 0), v('guard', `opening.${place}.side`, 0))
    const ol = v('guard', `opening.${place}.length`, 37)
    const ow = v('guard', `opening.${place}.width`, 70)
    if (rc.x === -pocket || !oc.x) continue
    marks.push({ mark: 'area', role: 'cavity', points: rectangle(rc.x - rl / 2, rc.y - rw / 2, rc.x + rl / 2, rc.y + rw / 2) })
    marks.push({ mark: 'area', role: 'open', points: laidBox(fit, oc, ol, ow) })
    for (const f of fit?.file.filter((x) => x.place === place) ?? []) {
      const strip = isAlong(f.edge)
        ? ([pt(oc.x + ((ol + filed(f)) / 2) * (f.edge === 'neck side' ? -1 : 1), oc.y), filed(f), ow] as const)
        : ([pt(oc.x, oc.y + ((ow + filed(f)) / 2) * (f.edge === 'treble side' ? -1 : 1)), ol, filed(f)] as const)
      marks.push({ mark: 'area', role: 'remove', points: laidBox(fit, ...strip) })
    }
    const at = fit ? laid(fit.pose, oc) : oc
    const filing = fit?.file.some((f) => f.place === place) ?? false
    marks.push({ mark: 'dimension', from: pt(rc.x, -47), to: pt(at.x, -47), text: printMm(Math.abs(at.x - rc.x), 1), emphasis: filing })
    numbers.push({
      label: `${place} opening beside its route`,
      value: printSide(at.x - rc.x, 1, ['towards the bridge', 'towards the neck']),
    })
  }
  marks.push({ mark: 'line', role: 'centre', points: [pt(-12, 0), pt(176, 0)] })
  const drawing: Drawing = {
    title: 'Guard over the routes, from above',
    note: 'dark: routes · outlined: openings · hatched: to file',
    marks,
    // The openings are what matters; a guard may go on beyond the picture.
    bounds: { x: -14, y: -62, width: 192, height: 112 },
    numbers: [...(fit ? [{ label: 'The guard lies', value: poseWords(fit, stopOf(build)) }] : []), ...numbers],
  }
  return ofHand(drawing, build.handedness)
}
