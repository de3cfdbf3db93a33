import type { Build } from '../document/build'
import { sizeAt, withJobs, isThrough, tiltRef } from '../document/read'
import type { Mark } from '../drawing/drawing'
import { rectangle } from '../geometry/box'
import { pt } from '../geometry/point'
import type { Slot } from '../parts/slots'
import { datums } from './datums'
import { riseAt } from './frontRise'

/** The instrument from its edge in true proportion: where the neck's angle lives. Up is negative y. */
export function sideProfile(build: Build): Mark[] {
  const d = datums(build)
  const value = (slot: Slot, size: string, otherwise: number) => sizeAt(build, { slot, size })?.value ?? otherwise
  const thickness = value('body', 'thickness', 44)
  const pocket = value('body', 'pocket.depth', 16)
  const through = isThrough(build)
  const heel = through ? value('body', 'board.over', 9) : value('neck', 'heel.thickness', 25.4)
  const flat = { value: 0, doubt: 0, known: 'assumed' } as const
  const tilt = ((sizeAt(build, tiltRef(build)) ?? withJobs(build, tiltRef(build), flat)).value * Math.PI) / 180
  const board = heel - pocket
  const crown = value('neck', 'crown', 1.1)
  const surface = (x: number) => board + (x - d.mouth) * Math.tan(tilt)
  const rise = riseAt(build, 'bridge')?.value ?? 0
  const saddle = rise + (value('bridge', 'height.min', 9) + value('bridge', 'height.max', 15)) / 2
  const head = value('neck', 'head.thickness', 14)
  const tail = d.mouth + Math.max(330, ...(build.parts.body?.outline ?? []).map((r) => r.x))
  const neckDepth = 21
  const length = through ? d.heelEnd : value('neck', 'boardLength', d.heelEnd + 8)
  const tip = Math.min(-150, ...(build.parts.neck?.outline ?? []).map((r) => r.x))
  const dashed = (slot: Slot) => !build.parts[slot]
  return [
    {
      mark: 'area',
      role: 'body-wood',
      points: [
        pt(d.mouth - 60, 0),
        pt(d.mouth, 0),
        pt(d.studs, -rise),
        pt(d.studs + 40, -rise),
        pt(tail, 0),
        pt(tail, thickness),
        pt(d.mouth - 60, thickness),
      ],
      thing: 'body',
      dashed: dashed('body'),
    },
    {
      mark: 'area',
      role: 'neck-wood',
      points: [
        pt(0, -surface(0)),
        pt(d.heelEnd, -surface(d.heelEnd)),
        pt(d.heelEnd, -surface(d.heelEnd) + heel),
        pt(d.mouth, -surface(d.mouth) + heel),
        pt(d.mouth - 34, -surface(d.mouth) + neckDepth),
        pt(0, -surface(0) + neckDepth - 1),
      ],
      thing: 'neck',
      dashed: dashed('neck'),
    },
    {
      mark: 'area',
      role: 'neck-wood',
      points: rectangle(tip, -surface(0) + 4, 0, -surface(0) + 4 + head),
      thing: 'neck',
      dashed: dashed('neck'),
    },
    {
      mark: 'area',
      role: 'board',
      points: [pt(0, -surface(0)), pt(length, -surface(length)), pt(length, -surface(length) + 5), pt(0, -surface(0) + 5)],
      thing: 'neck',
      dashed: dashed('neck'),
    },
    {
      mark: 'line',
      role: 'string',
      points: [pt(0, -surface(0) - crown - value('nut', 'slot', 0.5)), pt(d.scale, -saddle)],
      thing: 'strings',
      dashed: dashed('strings'),
    },
    {
      mark: 'area',
      role: 'metal',
      points: rectangle(d.studs - 4, -saddle, d.studs + 26, -rise),
      thing: 'bridge',
      dashed: dashed('bridge'),
    },
  ]
}
