import type { Build } from '../../document/build'
import { sizeRef } from '../../document/read'
import { boreSection } from '../../drawing/sections'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { drawnOnceKnown, judged } from '../../judge/assemble'
import type { JudgedJoint } from '../../judge/joint'
import { drawnAt, sizesIn } from '../../judge/known'
import { inCentreBlock } from './blocks'
import { studPull } from './studPull'
import { patternCheck } from './pattern'
import { pressCheck, PRESSED } from './press'

/** A tailpiece's studs, by the same rule. */
export function tailStudsJoint(build: Build): JudgedJoint {
  const refs = { stud: sizeRef('tailpiece', 'studDiameter'), bore: sizeRef('body', 'tail.bore') }
  return judged(build, {
    id: 'tail-studs',
    title: 'Tailpiece studs in the body',
    slots: ['tailpiece', 'body'],
    at: () => pt(datums(build).studs + drawnAt(build, sizeRef('body', 'tail.toBridge')), 48),
    draw: drawnOnceKnown(build, 'Tailpiece stud in its bore', refs, ({ stud, bore }) =>
      boreSection({
        pressed: PRESSED,
        title: 'Tailpiece stud in its bore',
        into: 'body-wood',
        thickness: drawnAt(build, sizeRef('body', 'block.thickness')),
        bore: bore.value,
        boreDepth: drawnAt(build, sizeRef('body', 'tail.boreDepth')),
        plug: {
          label: 'Bushing',
          diameter: stud.value,
          length: drawnAt(build, sizeRef('tailpiece', 'studLength')),
          flange: stud.value + 2,
        },
      }),
    ),
    asks: [
      (b) => pressCheck(b, { id: 'press', label: 'Bushing minus bore', ...sizesIn(b, refs), slot: 'body', size: 'tail.bore' }),
      (b) => [patternCheck(b, { what: 'tailpiece', own: sizeRef('tailpiece', 'studSpacing'), body: sizeRef('body', 'tail.spacing') })],
      (b) => inCentreBlock(b, 'tailpiece'),
      (b) => studPull(b, 'tailpiece'),
    ],
  })
}
