/** How a switch is made, and so how it is held: by two screws beside a slot, or by its own thread and nut. */
export type SwitchMake = 'lever' | 'slide' | 'toggle' | 'rotary'

/** @param contacts as a switch's part tells them */
export function switchMake(contacts: string): SwitchMake {
  if (contacts.startsWith('lever')) return 'lever'
  if (contacts.startsWith('rotary')) return 'rotary'
  return contacts === 'slide' ? 'slide' : 'toggle'
}

export const isScrewedDown = (contacts: string): boolean => ['lever', 'slide'].includes(switchMake(contacts))

/** A lever's frame beyond its screws, and half across, mm. [practice, from memory] */
export const FRAME = { end: 5, across: 8 }
