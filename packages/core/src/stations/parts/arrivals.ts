import type { Build } from '../../document/build'
import { chosenParts } from '../../document/read'
import { slotSpec } from '../../parts/slots'
import { step, type Step } from '../../plan/step'

/** A step for each part that is not in hand. */
export const arrivalSteps = (build: Build): Step[] =>
  chosenParts(build)
    .filter(([, p]) => p.state !== 'in hand')
    .map(([slot, p]) =>
      step({
        id: `arrive-${slot}`,
        title: `${slotSpec(slot).label} in hand: ${p.name}`,
        why: p.arrives
          ? `Promised for ${p.arrives}. Check it against its listing the same day.`
          : 'Not ordered yet. Check it against its listing when it comes.',
        station: 'parts',
        stage: 'parcel',
        slot,
        thing: slot,
        minutes: 10,
        ...(p.arrives ? { notBefore: p.arrives } : {}),
      }),
    )
