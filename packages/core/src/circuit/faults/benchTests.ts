import { lugName } from '../model/lugNames'
import { jackProbes, type Harness, type PotPart } from '../model/harness'
import { decibel, MUTED, pickupsOf, SOUND_WORDS, soundsOtherwise } from '../model/heard'
import { APART, heardWith, soundAt, standsOf, type Stand } from '../model/stands'
import type { Setting } from '../model/setting'
import { potsOf } from '../model/switchStates'

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
  /** What is heard where all is well, if that is not the same everywhere. */
  well?: string
  /** The guard or panel has to be open for it; nothing is unsoldered. */
  open: boolean
}

/** What came of a test: ohms, or a word from what it can come to. */
export type Outcome = number | string

export const HEARD: Record<Exclude<TestKind, 'ohms'>, readonly string[]> = {
  farad: ['as marked', 'far too little', 'nothing', 'shorted'],
  tap: ['thumps', 'faint', 'nothing'],
  strum: ['as it should', 'weak', 'thin', 'dull', 'bright', 'too loud', 'dead'],
  tone: ['darkens', 'darkens a little', 'does nothing', 'kills it'],
  volume: ['silent', 'one pickup falls out', 'stays'],
  touch: ['falls', 'stays the same', 'rises'],
}

/** Where a knob is tried: where turned down it silences what sounds, or else where it is heard at all. */
function standOf(harness: Harness, stands: readonly Stand[], p: PotPart): Stand & { silences: boolean } {
  const turned = stands.map((stand) => ({
    stand,
    at10: heardWith(harness, stand.switches),
    at0: heardWith(harness, stand.switches, { [p.id]: 0 }),
  }))
  const loud = (parts: ReturnType<typeof heardWith>) => Math.max(...parts.map((v) => decibel(v[1]!)))
  const heard = turned.filter(({ at10, at0 }) => soundsOtherwise(at10, at0, APART))
  const silent = heard.find(({ at10, at0 }) => loud(at0) - loud(at10) < MUTED)
  return { ...(silent ?? heard[0] ?? turned[0]!).stand, silences: silent !== undefined }
}

/** The test of a knob by ear. What it should show is part of its name: what was noted against another expectation says nothing of this one. */
export const turnTest = (harness: Harness, stands: readonly Stand[], p: PotPart): BenchTest => {
  const { id, switches, silences } = standOf(harness, stands, p)
  const kind = p.id.startsWith('tone') ? 'tone' : 'volume'
  const where = id === stands[0]!.id ? [] : [id]
  return {
    id: ['turn', p.id, ...(kind === 'volume' && !silences ? ['of a mix'] : []), ...where].join(' '),
    kind,
    says: `Play${inPosition(id)}${id.includes(',') ? ',' : ''} and turn the ${p.label} right down.`,
    setting: { switches, knobs: {} },
    of: p.id,
    minutes: 0.5,
    open: false,
  }
}

const inPosition = (id: string) => (id ? ` in position ${id}` : '')

/** Every test that needs no iron, the quickest kinds first. */
export function benchTests(harness: Harness): BenchTest[] {
  const stands = standsOf(harness)
  const first = { switches: stands[0]!.switches, knobs: {} }
  const [tip, sleeve] = jackProbes(harness)
  const say = (lug: string) => lugName(harness, lug)
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
  const strings = harness.components.some((c) => c.id === 'strings')
  const pickups = pickupsOf(harness)
  const used = [...new Set(harness.wires.filter((w) => !w.inside).flatMap((w) => [w.from, w.to]))].filter((l) => l !== tip && l !== sleeve)
  return [
    ...stands.map(({ id, switches }) =>
      ohms(id, tip, sleeve, { switches, knobs: {} }, `Meter from tip to sleeve${inPosition(id)}, knobs at 10.`, 0.7),
    ),
    ...potsOf(harness).flatMap((p) =>
      (p.id.startsWith('volume') ? [0, 5] : [0]).map((turn) => {
        const { id, switches } = standOf(harness, stands, p)
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
        well: SOUND_WORDS[soundAt(harness, { switches })],
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
    ...potsOf(harness).map((p) => turnTest(harness, stands, p)),
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
