import type { Build } from '../../document/build'
import { chosenParts } from '../../document/read'
import { slotSpec } from '../../parts/slots'
import { step, type Step } from '../../plan/step'

/** A step for each job that somebody else's bench does: it waits for the day it was promised back. */
export const shopSteps = (build: Build): Step[] =>
  Object.entries(build.shop ?? {}).map(([id, job]) =>
    step({
      id: `shop-${id}`,
      title: `Back from the shop: ${job.what}`,
      why: job.back
        ? `Promised back for ${job.back}, for ${job.price.toFixed(2)} ${build.currency}. Look at it in daylight before you pay.`
        : `No day is promised yet; it asks ${job.price.toFixed(2)} ${build.currency}. Ask for a day: what comes after it waits.`,
      station: 'parts',
      stage: 'parcel',
      ...(job.slot ? { slot: job.slot, thing: job.slot } : {}),
      minutes: 15,
      ...(job.back ? { notBefore: job.back } : {}),
    }),
  )

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
