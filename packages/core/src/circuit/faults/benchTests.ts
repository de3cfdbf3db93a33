import { lugName } from '../model/lugNames'
import { compile } from '../engine/solver'
import { jackProbes, type Harness, type PotPart } from '../model/harness'
import { toNetlist } from '../model/toNetlist'
import type { Setting } from '../model/setting'
import { potsOf, switchesOf } from '../model/switchStates'

export type TestKind = 'ohms' | 'farad' | 'tap' | 'strum' | 'tone' | 'volume' | 'touch'

/** One thing to do at the bench and what to look or listen for. */
export interface BenchTest {
  id: string
  kind: TestKind
  /** What is done, for a person with the meter in hand. */
  says: string
  setting: Setting
  /** Where the meter goes. */
  probes?: readonly [string, string]
  /** The pickup a screwdriver taps, or the knob that is turned. */
  of?: string
  minutes: number
  /** The guard or panel has to be open for it; nothing is unsoldered. */
  open: boolean
}

/** What came of a test: ohms, or a word from what it can come to. */
export type Outcome = number | string

export const HEARD: Record<Exclude<TestKind, 'ohms'>, readonly string[]> = {
  farad: ['as marked', 'far too little', 'nothing', 'shorted'],
  tap: ['thumps', 'faint', 'nothing'],
  strum: ['as it should', 'weak', 'thin', 'dull', 'bright', 'dead'],
  tone: ['darkens', 'darkens a little', 'does nothing', 'kills it'],
  volume: ['silent', 'stays'],
  touch: ['falls', 'stays the same', 'rises'],
}

/** Ways the switches stand that are worth listening to: each position of the selector, and each other switch thrown once. */
export function standsOf(harness: Harness): { id: string; switches: Record<string, number> }[] {
  const switches = switchesOf(harness)
  const [main, ...rest] = [...switches.filter((s) => s.id === 'switch'), ...switches.filter((s) => s.id !== 'switch')]
  if (!main) return [{ id: '', switches: {} }]
  const resting = Object.fromEntries(rest.map((s) => [s.id, 1]))
  return [
    ...main.table.positions.map((_, i) => ({ id: String(i + 1), switches: { ...resting, [main.id]: i + 1 } })),
    ...rest.flatMap((s) =>
      s.table.positions.slice(1).map((_, i, all) => ({
        id: all.length > 1 ? `1, ${s.label} at ${i + 2}` : `1, ${s.label} thrown`,
        switches: { ...resting, [main.id]: 1, [s.id]: i + 2 },
      })),
    ),
  ]
}

/** Does turning a knob down change what a meter at the jack shows, or what is heard, with the switches so? */
function matters(harness: Harness, p: PotPart, switches: Record<string, number>): boolean {
  const level = (turn: number) => {
    const solver = compile(toNetlist(harness, { switches, knobs: { [p.id]: turn } }, { cable: 500e-12, amplifier: 1e6 }))
    const out = { re: 0, im: 0 }
    solver.solve(3000, out)
    return 20 * Math.log10(Math.max(1e-9, Math.hypot(out.re, out.im)))
  }
  return Math.abs(level(0) - level(10)) > 2
}

/** Every test that needs no iron, the quickest kinds first. */
export function benchTests(harness: Harness): BenchTest[] {
  const stands = standsOf(harness)
  const first = { switches: stands[0]!.switches, knobs: {} }
  const [tip, sleeve] = jackProbes(harness)
  const say = (lug: string) => lugName(harness, lug)
  const inPosition = (id: string) => (id ? ` in position ${id}` : '')
  // A meter that reads ohms feeds its own current: no other may flow.
  const dead = (says: string) => (harness.components.some((c) => c.is === 'battery') ? `Battery off its clip. ${says}` : says)
  const ohms = (id: string, a: string, b: string, setting: Setting, says: string, minutes: number, open = false): BenchTest => ({
    id: `ohms ${a} ${b} ${id}`,
    kind: 'ohms',
    says: dead(says),
    setting,
    probes: [a, b],
    minutes,
    open,
  })
  // A knob is tried where turning it does something.
  const standOf = (p: PotPart) => stands.find((s) => matters(harness, p, s.switches)) ?? stands[0]!
  const strings = harness.components.some((c) => c.id === 'strings')
  const pickups = [...new Set(harness.components.flatMap((c) => (c.is === 'coil' ? [c.pickup] : [])))]
  const used = [...new Set(harness.wires.filter((w) => !w.inside).flatMap((w) => [w.from, w.to]))].filter((l) => l !== tip && l !== sleeve)
  return [
    ...stands.map(({ id, switches }) =>
      ohms(id, tip, sleeve, { switches, knobs: {} }, `Meter from tip to sleeve${inPosition(id)}, knobs at 10.`, 0.7),
    ),
    ...potsOf(harness).flatMap((p) =>
      (p.id.startsWith('volume') ? [0, 5] : [0]).map((turn) => {
        const { id, switches } = standOf(p)
        const says = `Meter from tip to sleeve${inPosition(id)}, ${p.label} at ${turn}.`
        return ohms(`${p.id} ${turn}`, tip, sleeve, { switches, knobs: { [p.id]: turn } }, says, 0.8)
      }),
    ),
    ...(strings
      ? [
          ohms('', sleeve, 'strings.1', first, 'Meter from the sleeve to the strings.', 0.7),
          ohms('', tip, 'strings.1', first, `Meter from the tip to the strings${inPosition(stands[0]!.id)}.`, 0.7),
        ]
      : []),
    ...stands.flatMap(({ id, switches }): BenchTest[] => [
      {
        id: `strum ${id}`,
        kind: 'strum',
        says: `Strum${inPosition(id)}, knobs at 10.`,
        setting: { switches, knobs: {} },
        minutes: 0.6,
        open: false,
      },
      ...pickups.map(
        (p): BenchTest => ({
          id: `tap ${p} ${id}`,
          kind: 'tap',
          says: `Tap the ${p} pickup with a screwdriver${inPosition(id)}.`,
          setting: { switches, knobs: {} },
          of: p,
          minutes: 0.5,
          open: false,
        }),
      ),
    ]),
    ...potsOf(harness).map(
      (p): BenchTest => ({
        id: `turn ${p.id}`,
        kind: p.id.startsWith('tone') ? 'tone' : 'volume',
        says: `Play and turn the ${p.label} to 0.`,
        setting: first,
        of: p.id,
        minutes: 0.5,
        open: false,
      }),
    ),
    ...(strings
      ? [
          {
            id: 'touch',
            kind: 'touch' as const,
            says: 'Listen to the hum and lay a hand on the strings.',
            setting: first,
            minutes: 0.5,
            open: false,
          },
        ]
      : []),
    ...used.flatMap((lug) => [
      ohms('', lug, sleeve, first, `Guard open: meter from ${say(lug)} to the sleeve.`, 2, true),
      ohms('', lug, tip, first, `Guard open: meter from ${say(lug)} to the tip.`, 2, true),
    ]),
    ...harness.components.flatMap((c): BenchTest[] =>
      c.is === 'pot'
        ? [
            ['1', '3'],
            ['1', '2'],
          ].map(([a, b]) =>
            ohms(
              'across',
              `${c.id}.${a}`,
              `${c.id}.${b}`,
              first,
              `Guard open: meter across lugs ${a} and ${b} of the ${c.label}.`,
              2,
              true,
            ),
          )
        : c.is === 'capacitor'
          ? [
              {
                id: `farad ${c.id}`,
                kind: 'farad',
                says: dead(`Guard open: capacitance across the ${c.label}.`),
                setting: first,
                of: c.id,
                minutes: 2.5,
                open: true,
              },
            ]
          : [],
    ),
    ...harness.wires
      .filter((w) => !w.inside)
      .map((w) => ohms('ends', w.from, w.to, first, `Guard open: meter along one wire, from ${say(w.from)} to ${say(w.to)}.`, 1.8, true)),
  ]
}
