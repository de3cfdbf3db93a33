import type { Harness } from '../model/harness'
import { soundAt, standsOf } from '../model/stands'
import { potsOf } from '../model/switchStates'
import { turnTest, type Outcome } from './benchTests'
import type { Evidence } from './rank'

/** What people say is wrong, in the trade's words; as far as a test says the same, it stands for that test. */
export interface Symptom {
  id: string
  says: string
  /** What it says of the circuit, as if that test had been done. */
  shows?: Evidence
  /** What to ask or do first. */
  first?: string
}

/** Every complaint that can be made of this harness, worked out once: to know where each knob is heard takes some hundred solutions. */
export function symptomsOf(harness: Harness): readonly Symptom[] {
  let known = kept.get(harness)
  if (!known) kept.set(harness, (known = everySymptom(harness)))
  return known
}
const kept = new WeakMap<Harness, readonly Symptom[]>()

function everySymptom(harness: Harness): Symptom[] {
  const stands = standsOf(harness)
  const strings = harness.components.some((c) => c.id === 'strings')
  const inPosition = (id: string) => (id ? ` in position ${id}` : '')
  const strum = (word: string, id: string, says: string): Symptom => ({
    id: `${word} ${id}`.trim(),
    says: `${says}${inPosition(id)}`,
    shows: { test: `strum ${id}`, outcome: word },
  })
  const touch = (outcome: Outcome, says: string, first: string): Symptom => ({
    id: `touch ${outcome}`,
    says,
    ...(strings ? { shows: { test: 'touch', outcome } } : {}),
    first,
  })
  const plain = (id: string, says: string, first: string): Symptom => ({ id, says, first })
  return [
    ...stands.flatMap((stand) => {
      const { id } = stand
      const sound = soundAt(harness, stand)
      // What belongs there is no complaint.
      if (sound === 'silent') return [strum('too loud', id, 'Sounds where it should be silent')]
      return [
        strum('dead', id, 'Dead'),
        ...(sound === 'thin' ? [] : [strum('thin', id, 'Weak and thin')]),
        strum('weak', id, 'Too quiet'),
        strum('dull', id, 'Muddy'),
        strum('bright', id, 'Too bright'),
        strum('too loud', id, 'Too loud'),
      ]
    }),
    touch(
      'rises',
      'Hum grows when the strings are touched',
      'Tip and sleeve changed at the jack, or live and ground crossed at the selector: meter sleeve to strings, then tip to strings.',
    ),
    touch(
      'stays the same',
      'Touching the strings changes nothing',
      'Touch the jack or a pot’s case instead: if the hum falls there, the strings have no ground.',
    ),
    touch(
      'falls',
      'Hum falls when the strings are touched',
      'That is how a good guitar behaves. Compare each position with what noise to expect of it before anything is opened.',
    ),
    ...potsOf(harness).flatMap((p): Symptom[] => {
      const { id: test } = turnTest(harness, stands, p)
      const shows = (outcome: Outcome) => ({ test, outcome })
      return p.id.startsWith('tone')
        ? [
            { id: `kills ${p.id}`, says: `The ${p.label} works as a volume`, shows: shows('kills it') },
            { id: `nothing ${p.id}`, says: `The ${p.label} does nothing`, shows: shows('does nothing') },
          ]
        : [{ id: `stays ${p.id}`, says: `The ${p.label} turns nothing off`, shows: shows('stays') }]
    }),
    plain(
      'crackle',
      'Crackles when a knob is turned',
      'Does it stop when you let go? Only while moving: a dirty or worn track, or direct current on the pot. Contact cleaner, thirty turns; then another pot.',
    ),
    plain(
      'hiss-steady',
      'Noise that follows a knob and stays when you let go',
      'Gone at full treble cut, it is picked up before that control: a missing ground or screen upstream, which the knob only uncovers. Likely, not certain: a screened lead replaced by two plain wires does it.',
    ),
    plain(
      'scratch-end',
      'Scratches only at the end of a knob’s way',
      'The track’s end is worn or full of flux: cleaner, then another pot.',
    ),
    plain(
      'only-near-10',
      'Volume only near 10',
      'Taper: a linear pot where an audio one belongs, or its outer lugs changed. Meter tip to sleeve with the knob at 5.',
    ),
    plain(
      'kills-both',
      'One volume at 0 silences both pickups in the middle',
      'Coupled volumes do that, and nothing is broken. Independent wiring does not, and grows darker as it is turned down: see Wiring.',
    ),
    plain(
      'jack-wiggled',
      'Works only with the plug wiggled',
      'Bend the jack’s tip spring in, look for a plug that does not go home, resolder tip and sleeve.',
    ),
    plain(
      'squeal',
      'Squeals at gain, without the strings',
      'A loose coil or cover that sings: wax, or foam under it. Tap covers with the amplifier up.',
    ),
    plain(
      'pops',
      'Pops when a switch is thrown',
      'Direct current on it: an active part’s coupling capacitor, or a shared battery. In a passive guitar a break before make: harmless.',
    ),
    plain(
      'tingle',
      'A tingle from strings or metal',
      'Stop and unplug. The amplifier or the outlet is dangerous; have a licensed electrician look. Nothing inside the guitar makes it safe.',
    ),
  ]
}

/** What complaints stand for, but for tests that were really done. */
export function evidenceOf(harness: Harness, complaints: Readonly<Record<string, unknown>>, found: readonly Evidence[]): Evidence[] {
  const done = new Set(found.map((e) => e.test))
  const told = symptomsOf(harness).flatMap((s) => (s.shows && complaints[s.id] && !done.has(s.shows.test) ? [s.shows] : []))
  return [...found, ...told.filter((e, i) => told.findIndex((x) => x.test === e.test) === i)]
}
