import type { Build } from '../../document/build'
import { sizeRef, valueAt } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { judged } from '../../judge/assemble'
import { type JudgedJoint } from '../../judge/joint'
import { inCentreBlock } from './blocks'
import { studPull } from './studPull'
import { pressCheck } from './press'

/** A tailpiece's studs, by the same rule. */
export function tailStudsJoint(build: Build): JudgedJoint {
  const d = datums(build)
  const refs = { stud: sizeRef('tailpiece', 'studDiameter'), bore: sizeRef('body', 'tail.bore') }
  return judged(build, {
    id: 'tail-studs',
    title: 'Tailpiece studs in the body',
    slots: ['tailpiece', 'body'],
    at: pt(d.studs + (valueAt(build, sizeRef('body', 'tail.toBridge')) ?? 45), 48),
    refs,
    checks: ({ stud, bore }) => [
      pressCheck(build, {
        id: 'press',
        label: 'Bushing minus bore',
        stud,
        bore,
        reads: Object.values(refs),
        slot: 'body',
        size: 'tail.bore',
      }),
      ...inCentreBlock(build, 'tailpiece'),
      ...studPull(build, 'tailpiece'),
    ],
    draw: ({ stud, bore }) =>
      boreSection({
        title: 'Tailpiece stud in its bore',
        into: 'body-wood',
        thickness: valueAt(build, sizeRef('body', 'block.thickness')) ?? 42,
        bore: bore.value,
        boreDepth: valueAt(build, sizeRef('body', 'studBoreDepth')) ?? 24,
        plug: {
          label: 'Bushing',
          diameter: stud.value,
          length: valueAt(build, sizeRef('tailpiece', 'studLength')) ?? 20,
          flange: stud.value + 2,
        },
      }),
  })
}
