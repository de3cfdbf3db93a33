import type { Part, PartState } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { plays } from '../parts/starting/jobs'
import { chosenParts, isThrough } from './read'
import { usualPart } from '../parts/starting/fill'
import type { Build } from './build'
import { edit, type Change } from './change'
import { chooseParts, removeParts } from './changes'

/** Where each part of an instrument is when the box is opened, or before an instrument is changed. */
export const PILES = ['box', 'place', 'apart', 'coming', 'none'] as const
export type Pile = (typeof PILES)[number]

const STATE: Readonly<Record<Exclude<Pile, 'none'>, PartState>> = { box: 'in hand', place: 'in place', apart: 'planned', coming: 'ordered' }
const OF_A_BOX: Readonly<Record<Pile, string>> = {
  box: 'in the box',
  place: 'in place already',
  apart: 'still to be bought',
  coming: 'on its way',
  none: 'not on this instrument',
}
const OF_AN_INSTRUMENT: Readonly<Record<Pile, string>> = {
  box: 'comes off, or lies here to go on',
  place: 'in place, stays as it is',
  apart: 'another one, still to be bought',
  coming: 'another one, on its way',
  none: 'not on this instrument',
}
/** How each pile is said, for what comes in a box or for an instrument that plays. */
export const pileWords = (build: Pick<Build, 'job'>): Readonly<Record<Pile, string>> => (plays(build) ? OF_AN_INSTRUMENT : OF_A_BOX)

export const pileOf = (part: Part | undefined): Pile =>
  !part ? 'none' : part.state === 'in place' ? 'place' : part.state === 'in hand' ? 'box' : part.state === 'ordered' ? 'coming' : 'apart'

/**
 * Puts parts on a pile, as one change. A slot that was empty gets a part as usual of its kind, and so does
 * one whose part was in place where another is bought: nothing of the old one is the new one's. One that the instrument has not is emptied.
 */
export function putOnPile(build: Build, pressed: readonly Slot[], pile: Pile): Change {
  const slots = pile === 'apart' || pile === 'coming' ? withItsOther(build, pressed) : pressed
  const what = slots.map((s) => slotSpec(s).label.toLowerCase()).join(', ')
  const label = `${what.charAt(0).toUpperCase()}${what.slice(1)}: ${pileWords(build)[pile]}`
  if (pile === 'none')
    return removeParts(
      build,
      slots.filter((s) => build.parts[s]),
      label,
    )
  const state = STATE[pile]
  const another = (slot: Slot) => {
    const part = build.parts[slot]
    return !part || (part.state === 'in place' && (pile === 'apart' || pile === 'coming'))
  }
  const chosen = slots
    .filter(another)
    .map((slot) => ({ slot, part: { ...usualPart(slot, { name: slotSpec(slot).label }, build.parts), state } }))
  const same = slots.filter((slot) => !another(slot))
  const moved = same.map((slot) => edit(build, ['parts', slot, 'state'], state))
  // What was missing from its parcel came after all.
  const found = same.filter((slot) => (pile === 'box' || pile === 'place') && build.unpacked?.[slot] === 'missing')
  return {
    label,
    edits: [...moved, ...chooseParts(build, chosen, label).edits, ...found.map((slot) => edit(build, ['unpacked', slot], undefined))],
  }
}

/** Says of a part where it is: on the pile of that state. */
export const putWhere = (build: Build, slot: Slot, state: PartState): Change =>
  putOnPile(build, [slot], PILES.find((pile) => pile !== 'none' && STATE[pile] === state)!)

/** Of one piece neither body nor neck is bought without the other. */
function withItsOther(build: Build, slots: readonly Slot[]): readonly Slot[] {
  const one: readonly Slot[] = ['body', 'neck']
  const both = isThrough(build) && slots.some((slot) => one.includes(slot))
  return both ? [...slots, ...one.filter((slot) => build.parts[slot] && !slots.includes(slot))] : slots
}

/** Parts that nobody has said where they are: those of a starting set before the box is opened. */
export const unsorted = (build: Build): Slot[] => chosenParts(build).flatMap(([slot, part]) => (part.state === 'planned' ? [slot] : []))
