import type { Wanted } from './wirable'

/** Two single coils on a toggle. */
export const PAIR: Wanted = { places: ['neck', 'bridge'], contacts: 'toggle-3' }
/** Three on a lever of five. */
export const TRIO: Wanted = { places: ['neck', 'middle', 'bridge'], contacts: 'lever-5' }
/** Two humbuckers with four leads each. */
export const HUM: Wanted = { ...PAIR, two: ['neck', 'bridge'], leads: 'four' }
