import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { jointOf, type JointBase } from '../../judge/assemble'
import { type JudgedJoint } from '../../judge/joint'
import { KINDS } from '../../parts/kinds/index'
import { slotSpec, type Slot } from '../../parts/slots'
import { settled } from './settled'

/** Every handed part against the build's hand. */
export function handsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const handed = (Object.keys(build.parts) as Slot[]).filter((s) => KINDS[slotSpec(s).kind].traits.hand)
  const wrong = handed.filter((s) => {
    const hand = traitAt(build, s, 'hand')
    return hand !== undefined && hand !== 'either' && hand !== build.handedness
  })
  const names = wrong.map((s) => slotSpec(s).label.toLowerCase()).join(', ')
  const base: JointBase = {
    id: 'hands',
    title: 'Right- and left-handed parts',
    slots: handed,
    at: pt(d.mouth - 30, 26),
    draw: () => handsDrawing(build, handed, wrong),
  }
  return jointOf(build, base, [
    settled(
      'hands',
      'Parts of the other hand',
      !wrong.length,
      'wont-go',
      wrong.length ? `Made for the other hand: ${names}.` : `Every handed part is for a ${build.handedness}-handed build, or for either.`,
      [
        {
          id: 'other-hand',
          job: `Find the ${names} for a ${build.handedness}-handed build.`,
          how: 'Tuners of the other hand turn backwards; a nut may be cut anew; a neck must be the right one.',
          gives: names,
          tools: [],
        },
      ],
    ),
  ])
}

function handsDrawing(build: Build, handed: readonly Slot[], wrong: readonly Slot[]) {
  const marks: Mark[] = handed.flatMap((s, i): Mark[] => [
    { mark: 'area', role: wrong.includes(s) ? 'remove' : 'good', points: rectangle(0, i * 9, 7, i * 9 + 6) },
    { mark: 'label', at: pt(10, i * 9 + 5), text: `${slotSpec(s).label}: ${traitAt(build, s, 'hand') ?? 'not said'}`, anchor: 'start' },
  ])
  marks.push({ mark: 'line', role: 'guide', points: [pt(90, 0), pt(91, 0)] })
  return framed(
    `For a ${build.handedness}-handed build`,
    'hatched: of the other hand',
    marks,
    handed.map((s) => ({ label: slotSpec(s).label, value: traitAt(build, s, 'hand') ?? 'not said' })),
  )
}
