import type { Part, PartState } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { usualPart } from '../parts/starting/fill'
import type { Build } from './build'
import { asJson, edit, type Change } from './change'
import { removePart } from './changes'

/** Where each part of an instrument is when the box is opened. */
export const PILES = ['box', 'apart', 'coming', 'none'] as const
export type Pile = (typeof PILES)[number]

const STATE: Readonly<Record<Exclude<Pile, 'none'>, PartState>> = { box: 'in hand', apart: 'planned', coming: 'ordered' }
/** How each pile is said. */
export const PILE_WORDS: Readonly<Record<Pile, string>> = {
  box: 'in the box',
  apart: 'still to be bought',
  coming: 'on its way',
  none: 'not on this instrument',
}

export const pileOf = (part: Part | undefined): Pile =>
  !part ? 'none' : part.state === 'in hand' ? 'box' : part.state === 'ordered' ? 'coming' : 'apart'

/**
 * Puts parts on a pile, as one change. A slot that was empty gets a part as usual of its kind; one that the instrument has not is emptied.
 */
export function putOnPile(build: Build, slots: readonly Slot[], pile: Pile): Change {
  const what = slots.map((s) => slotSpec(s).label.toLowerCase()).join(', ')
  const label = `${what.charAt(0).toUpperCase()}${what.slice(1)}: ${PILE_WORDS[pile]}`
  if (pile === 'none') return { label, edits: slots.filter((s) => build.parts[s]).flatMap((s) => removePart(build, s).edits) }
  const state = STATE[pile]
  return {
    label,
    edits: slots.map((slot) =>
      build.parts[slot]
        ? edit(build, ['parts', slot, 'state'], state)
        : edit(build, ['parts', slot], asJson({ ...usualPart(slot, { name: slotSpec(slot).label }, build.parts), state })),
    ),
  }
}

/** Parts that nobody has said where they are: those of a starting set before the box is opened. */
export const unsorted = (build: Build): Slot[] => (Object.keys(build.parts) as Slot[]).filter((s) => build.parts[s]!.state === 'planned')
