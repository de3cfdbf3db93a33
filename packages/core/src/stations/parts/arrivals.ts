import type { Build } from '../../document/build'
import { chosenParts } from '../../document/read'
import { isSlot, SLOT_NAMES, slotSpec, type Slot } from '../../parts/slots'
import { plays } from '../../parts/starting/jobs'
import { step, type Step } from '../../plan/step'
import { sayDay } from '../../quantity/days'

/** Not before the day it is promised for; once that is past nobody knows when, but by how much it is late already tells something. */
const comesOn = (promised: string | undefined, today: string): Pick<Step, 'notBefore' | 'undated' | 'promised'> =>
  promised === undefined ? { undated: 'on its way' } : promised >= today ? { notBefore: promised } : { undated: 'on its way', promised }

/** A step for each job that somebody else's bench does: it waits for the day it was promised back. */
export const shopSteps = (build: Build, today: string): Step[] =>
  Object.entries(build.shop ?? {}).map(([id, job]) =>
    step({
      id: `shop-${id}`,
      title: `Back from the shop: ${job.what}`,
      why: job.back
        ? `Promised back for ${sayDay(job.back)}, for ${job.price.toFixed(2)} ${build.currency}. Look at it in daylight before you pay.`
        : `No day is promised yet; it asks ${job.price.toFixed(2)} ${build.currency}. Ask for a day: what comes after it waits.`,
      station: 'parts',
      stage: 'parcel',
      ...(job.slot ? { slot: job.slot, thing: job.slot } : {}),
      minutes: 15,
      ...comesOn(job.back, today),
    }),
  )

/** Which parts come, or are ordered, with a step of such an id. */
export function bringsOf(id: string): Slot[] {
  const [, act, of = ''] = /^(arrive|buy)-(.+)$/.exec(id) ?? []
  if (act === 'arrive') return isSlot(of) ? [of] : []
  return act === 'buy' ? of.split('.').flatMap((i) => SLOT_NAMES[Number(i)] ?? []) : []
}

/** A step for each part that was ordered and is not in hand yet, and one for all that are still to be bought. */
export function arrivalSteps(build: Build, today: string): Step[] {
  const parts = chosenParts(build)
  const ordered = parts.filter(([, p]) => p.state === 'ordered')
  return [
    ...ordered.map(([slot, p]) =>
      step({
        id: `arrive-${slot}`,
        title: `${slotSpec(slot).label} in hand: ${p.name}`,
        why: !p.arrives
          ? 'Ordered, no day promised. Check it against its listing when it comes.'
          : p.arrives < today
            ? `It was promised for ${sayDay(p.arrives)} and is not here: ask for a new day. Nobody knows when what waits for it can be done.`
            : `Promised for ${sayDay(p.arrives)}. Check it against its listing the same day.`,
        station: 'parts',
        stage: 'parcel',
        slot,
        thing: slot,
        minutes: 10,
        ...comesOn(p.arrives, today),
      }),
    ),
    ...toBuy(
      build,
      SLOT_NAMES.filter((slot) => build.parts[slot]?.state === 'planned'),
    ),
  ]
}

/** One act, however many parts it is: listing them one by one would hide the work behind them. */
function toBuy(build: Build, slots: readonly Slot[]): Step[] {
  const [first] = slots
  if (!first) return []
  const names = slots.map((slot) => slotSpec(slot).label.toLowerCase())
  const open = `${slots.length === 1 ? 'One part is' : `${slots.length} parts are`} neither here nor ordered.`
  return [
    step({
      // Ticked off, it stands for these parts and no others.
      id: `buy-${slots.map((slot) => SLOT_NAMES.indexOf(slot)).join('.')}`,
      title: `Say what came, or order: ${names.slice(0, 3).join(', ')}${names.length > 3 ? ` and ${names.length - 3} more` : ''}`,
      why: plays(build)
        ? `${open} What came is put on its pile under Parts; until all of it is here the instrument stays together.`
        : `${open} What came in the box is put on its pile under Parts; the rest is ordered.`,
      station: 'parts',
      stage: 'parcel',
      thing: first,
      slots,
      minutes: 10,
      undated: 'not ordered',
    }),
  ]
}
