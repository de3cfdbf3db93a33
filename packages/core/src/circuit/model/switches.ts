/** A switch as its contacts: for each position the pairs of lugs that are joined. */
export interface SwitchTable {
  label: string
  lugs: readonly string[]
  positions: readonly (readonly (readonly [string, string])[])[]
}

const poles = (names: string, throws: number) =>
  [...names].flatMap((p) => [`${p}0`, ...Array.from({ length: throws }, (_, i) => `${p}${i + 1}`)])

/** Every pole does the same: for each position the contacts its common is joined to. */
const alike = (label: string, names: string, throws: number, on: readonly (readonly number[])[]): SwitchTable => ({
  label,
  lugs: poles(names, throws),
  positions: on.map((contacts) => [...names].flatMap((p) => contacts.map((n) => [`${p}0`, `${p}${n}`] as const))),
})
const each = (n: number) => Array.from({ length: n }, (_, i) => [i + 1])

/** What is sold, each as a continuity test finds it. A cheap one may differ: then its own table is entered. [practice] */
export const SWITCHES = {
  'lever-5': alike('5-way lever, two poles', 'AB', 3, [[1], [1, 2], [2], [2, 3], [3]]),
  'lever-5x4': alike('5-way lever, four poles', 'ABCD', 5, each(5)),
  'lever-3': alike('3-way lever, two poles', 'AB', 3, each(3)),
  'lever-4': alike('4-way lever, two poles', 'AB', 4, each(4)),
  'toggle-3': alike('3-way toggle', 'A', 2, [[1], [1, 2], [2]]),
  'rotary-5': alike('rotary, two poles of five', 'AB', 5, each(5)),
  'rotary-6': alike('rotary, two poles of six', 'AB', 6, each(6)),
  'on-on': alike('on-on, two poles', 'AB', 2, each(2)),
  'on-off-on': alike('on-off-on, two poles', 'AB', 2, [[1], [], [2]]),
  'on-on-on': {
    label: 'on-on-on, two poles',
    lugs: poles('AB', 2),
    positions: [
      [
        ['A0', 'A1'],
        ['B0', 'B1'],
      ],
      [
        ['A0', 'A2'],
        ['B0', 'B1'],
      ],
      [
        ['A0', 'A2'],
        ['B0', 'B2'],
      ],
    ],
  },
  slide: alike('slide, two poles', 'AB', 2, each(2)),
} as const satisfies Record<string, SwitchTable>

export type SwitchName = keyof typeof SWITCHES
export const isSwitchName = (name: string | undefined): name is SwitchName => name !== undefined && name in SWITCHES

/** A switch somebody listened through: which lugs beep in which position. The wrong ones are named. */
export function tableProblems({ lugs, positions }: SwitchTable): string[] {
  if (lugs.length < 2) return ['A switch has two lugs at least.']
  if (new Set(lugs).size < lugs.length) return ['Two lugs have the same name.']
  if (!positions.length) return ['A switch has one position at least.']
  return [
    ...positions.flatMap((pairs, i) =>
      pairs.flatMap(([a, b]) => [
        ...[a, b].filter((l) => !lugs.includes(l)).map((l) => `Position ${i + 1} joins ${l}, which is none of its lugs.`),
        ...(a === b ? [`Position ${i + 1} joins ${a} to itself.`] : []),
      ]),
    ),
    ...(lugs.length > 2 && positions.every((pairs) => allJoined(lugs, pairs))
      ? ['Every position joins every lug: look again whether the meter was on the frame.']
      : []),
  ]
}

function allJoined(lugs: readonly string[], pairs: readonly (readonly [string, string])[]): boolean {
  const reached = new Set([lugs[0]!])
  for (let before = 0; before < reached.size; ) {
    before = reached.size
    for (const [a, b] of pairs) {
      if (reached.has(a)) reached.add(b)
      if (reached.has(b)) reached.add(a)
    }
  }
  return reached.size === lugs.length
}
