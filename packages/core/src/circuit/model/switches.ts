/** A switch as its contacts: for each position the pairs of lugs that are joined. */
export interface SwitchTable {
  label: string
  lugs: readonly string[]
  positions: readonly (readonly (readonly [string, string])[])[]
}

const poles = (names: string, throws: number) =>
  [...names].flatMap((p) => [`${p}0`, ...Array.from({ length: throws }, (_, i) => `${p}${i + 1}`)])

/** 5-way lever with two poles of three contacts: in-between positions bridge two neighbours. [practice] */
const LEVER_5: SwitchTable = {
  label: '5-way lever, two poles',
  lugs: poles('AB', 3),
  positions: [[1], [1, 2], [2], [2, 3], [3]].map((on) => ['A', 'B'].flatMap((p) => on.map((n) => [`${p}0`, `${p}${n}`] as const))),
}

/** 5-way lever with four poles and all five contacts of each apart. [practice] */
const LEVER_5X4: SwitchTable = {
  label: '5-way lever, four poles',
  lugs: poles('ABCD', 5),
  positions: [1, 2, 3, 4, 5].map((n) => ['A', 'B', 'C', 'D'].map((p) => [`${p}0`, `${p}${n}`] as const)),
}

/** 3-way toggle: one, both, the other. [practice] */
const TOGGLE_3: SwitchTable = {
  label: '3-way toggle',
  lugs: poles('A', 2),
  positions: [[1], [1, 2], [2]].map((on) => on.map((n) => ['A0', `A${n}`] as const)),
}

export const SWITCHES: Record<string, SwitchTable> = { 'lever-5': LEVER_5, 'lever-5x4': LEVER_5X4, 'toggle-3': TOGGLE_3 }
