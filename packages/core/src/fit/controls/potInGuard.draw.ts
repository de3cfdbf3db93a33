import type { PotSlot } from '../../instrument/controlPlace'
import type { Build } from '../../document/build'
import { isSaid, sizeRef } from '../../document/read'
import type { Drawing, Mark } from '../../drawing/drawing'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { panelOf } from '../../instrument/panel'
import { drawnAt } from '../../judge/known'
import type { SizeKey } from '../../parts/kinds/index'
import { capital } from '../../quantity/words'
import { printMm } from '../../quantity/length'
import { CLEAR } from './potPanel'

/** Pot through the guard, cut down its middle, true proportion: guard, washer, nut, thread left over, what packs it. */
export function potDrawing(build: Build, slot: PotSlot): Drawing {
  const value = (size: SizeKey<'pot'>) => drawnAt(build, sizeRef(slot, size))
  const panel = panelOf(build)
  const bushing = value('bushing.diameter')
  const length = value('bushing.length')
  const entered = build.parts[slot]?.sizes['bushing.length']?.value ?? length
  const guard = drawnAt(build, panel.thickness)
  const holeRef = sizeRef(panel.slot, 'pot.hole')
  const hole = drawnAt(build, holeRef)
  const body = value('body.diameter')
  const depth = value('body.depth')
  const shaft = value('shaft.diameter')
  const nut = value('nut.thickness')
  const washer = value('washer.thickness')
  const packed = entered - length
  const surplus = length - guard - nut - washer
  const top = -guard
  const b = bushing / 2
  const marks: Mark[] = [
    { mark: 'area', role: panel.role, points: rectangle(-26, top, -hole / 2, 0) },
    { mark: 'area', role: panel.role, points: rectangle(hole / 2, top, 26, 0) },
    { mark: 'area', role: 'metal', points: rectangle(-body / 2, packed, body / 2, packed + depth) },
    { mark: 'area', role: 'metal', points: rectangle(-b, packed - entered, b, packed) },
    { mark: 'area', role: 'metal', points: rectangle(-b - 3.4, top - washer, b + 3.4, top) },
    { mark: 'area', role: 'metal', points: rectangle(-b - 2.4, top - washer - nut, b + 2.4, top - washer) },
    { mark: 'area', role: 'metal', points: rectangle(-shaft / 2, packed - entered - 9, shaft / 2, packed - entered) },
    { mark: 'line', role: 'centre', points: [pt(0, packed - entered - 12), pt(0, packed + depth + 3)] },
  ]
  if (packed > 0) marks.push({ mark: 'area', role: 'good', points: rectangle(-b - 3, 0, b + 3, packed) })
  // A hole or a bushing nobody has read is drawn as usual: no ground to ream.
  const reamed = hole < bushing + CLEAR && isSaid(build, holeRef, sizeRef(slot, 'bushing.diameter'))
  if (reamed) {
    marks.push({ mark: 'area', role: 'remove', points: rectangle(-b - CLEAR / 2, top, -hole / 2, 0) })
    marks.push({ mark: 'area', role: 'remove', points: rectangle(hole / 2, top, b + CLEAR / 2, 0) })
  }
  const nutTop = top - washer - nut
  if (Math.abs(surplus) > 0.05)
    marks.push({
      mark: 'dimension',
      from: pt(b + 7, nutTop),
      to: pt(b + 7, packed - entered),
      text: printMm(Math.abs(surplus), 1),
      emphasis: true,
    })
  marks.push({ mark: 'dimension', from: pt(-b - 9, packed - entered), to: pt(-b - 9, packed), text: printMm(entered, 1) })
  marks.push({ mark: 'label', at: pt(25, top + guard / 2 + 0.8), text: `${panel.name} ${printMm(guard, 1)}`, anchor: 'end' })
  return {
    title: `Pot through the ${panel.name}, cut down the middle`,
    note: ['true proportion', ...(packed > 0 ? ['green: packing planned'] : []), ...(reamed ? ['hatched: to ream'] : [])].join(' · '),
    marks,
    bounds: { x: -30, y: packed - entered - 13, width: 60, height: entered + depth + 18 },
    numbers: [
      { label: 'Hole and bushing', value: `${printMm(hole, 1)} mm, ${printMm(bushing, 1)} mm` },
      { label: 'Bushing length', value: `${printMm(entered, 1)} mm` },
      { label: `${capital(panel.name)}, washer, nut`, value: `${printMm(guard, 1)} + ${printMm(washer, 1)} + ${printMm(nut, 1)} mm` },
      { label: 'Thread over the nut', value: `${printMm(surplus, 1)} mm` },
    ],
  }
}
