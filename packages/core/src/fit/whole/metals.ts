import type { Build } from '../../document/build'
import type { Mark } from '../../drawing/drawing'
import { framed } from '../../drawing/sections'
import { rectangle } from '../../geometry/box'
import { pt } from '../../geometry/point'
import { datums } from '../../instrument/datums'
import { takenPart } from '../../instrument/idleParts'
import { judged } from '../../judge/assemble'
import type { JudgedJoint } from '../../judge/joint'
import type { Metal } from '../../parts/part'
import { SLOT_NAMES, slotSpec, type Slot } from '../../parts/slots'
import { settled } from '../../judge/settled'

/** The parts whose metal somebody has said, but for those that nothing takes. */
export const metalsOn = (build: Build): { slot: Slot; metal: Metal }[] =>
  SLOT_NAMES.flatMap((slot) => {
    const metal = build.parts[slot]?.metal
    return metal && takenPart(build, slot) ? [{ slot, metal }] : []
  })

/** Metals and colours side by side: a soft joint, photographs lie. */
export function metalsJoint(build: Build): JudgedJoint {
  const metals = metalsOn(build)
  const kinds = [...new Set(metals.map((m) => m.metal))]
  const most = kinds.toSorted((a, b) => metals.filter((m) => m.metal === b).length - metals.filter((m) => m.metal === a).length)[0]
  const odd = metals.filter((m) => m.metal !== most)
  return judged(build, {
    id: 'metals',
    condition: true,
    title: 'Metals match',
    slots: metals.map((m) => m.slot),
    at: () => pt(datums(build).studs + 40, 50),
    draw: () =>
      framed(
        'Metals on this build',
        'outlined: the odd ones',
        metals.flatMap((m, i): Mark[] => [
          { mark: 'area', role: m.metal === most ? 'metal' : 'open', points: rectangle(0, i * 9, 12, i * 9 + 6) },
          { mark: 'label', at: pt(15, i * 9 + 5), text: `${slotSpec(m.slot).label}: ${m.metal}`, anchor: 'start' },
        ]),
        metals.map((m) => ({ label: slotSpec(m.slot).label, value: m.metal })),
        0.1,
        [pt(90, 0)],
      ),
    asks: [
      () =>
        settled(
          'metals',
          'Parts of another metal',
          !odd.length,
          'loose',
          odd.length
            ? `Most parts are ${most}; not so: ${odd.map((o) => `${slotSpec(o.slot).label.toLowerCase()} (${o.metal})`).join(', ')}. It works; the eye decides, and photographs lie.`
            : `All ${most ?? 'metal'} parts match.`,
        ),
    ],
  })
}
