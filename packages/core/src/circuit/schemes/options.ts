import { listed } from '../../quantity/words'
import type { Build } from '../../document/build'
import { traitAt } from '../../document/read'
import { potSlot, type PotControl } from '../../instrument/controlPlace'
import { PLACES } from '../../instrument/guardPlace'
import type { Slot } from '../../parts/slots'
import type { OptionSpec } from './recipe'

const PULLS = ['tone', 'volume', 'tone-2', 'volume-2'] as const satisfies readonly PotControl[]

/** A switch of two poles and two positions beside the selector: under a knob that is pulled, or a small toggle. */
export type Extra = { id: string; pot: PotControl } | { id: 'mini' }

export function extraOf(build: Build): Extra | undefined {
  const pot = PULLS.find((p) => traitAt(build, potSlot(p), 'pull') === 'push-pull')
  if (pot) return { pot, id: `${pot}-pull` }
  return traitAt(build, 'switch-2', 'contacts') === 'on-on' ? { id: 'mini' } : undefined
}

/** Of a pot that is there nobody has said whether its knob can be pulled. */
const isPullUntold = (build: Build): boolean =>
  PULLS.some((p) => build.parts[potSlot(p)] && traitAt(build, potSlot(p), 'pull') === undefined)

const isActive = (build: Build, p: (typeof PLACES)[number]) => traitAt(build, `pickup-${p}`, 'circuit') === 'active'
export const anyActive = (build: Build): boolean => PLACES.some((p) => isActive(build, p))
/** An active pickup's coils are its own affair. */
const humbuckers = (build: Build) => PLACES.filter((p) => traitAt(build, `pickup-${p}`, 'coils') === 'two' && !isActive(build, p))
const withLeads = (build: Build, ...leads: readonly string[]) =>
  humbuckers(build).filter((p) => leads.includes(traitAt(build, `pickup-${p}`, 'leads') ?? ''))
/** Both ends of each coil come out: only then can they lie side by side. */
const fourLeads = (build: Build) => withLeads(build, 'four')
/** What joins the coils comes out: grounded, it leaves one of them. */
const parted = (build: Build) => withLeads(build, 'three', 'four')
/** What of these the build has not, in words; nothing where it has them all. */
export const needs = (build: Build, ...slots: readonly Slot[]): string | undefined => {
  const gone = slots.filter((s) => !build.parts[s])
  return gone.length ? `it needs ${listed(gone.map((s) => WORDS[s] ?? s))} among the parts` : undefined
}
const WORDS: Partial<Record<Slot, string>> = {
  'pot-volume': 'a volume pot',
  'pot-tone': 'a tone pot',
  'pot-volume-2': 'a second volume pot',
  'pot-tone-2': 'a second tone pot',
  capacitor: 'a tone capacitor',
  'capacitor-2': 'a second capacitor',
  'switch-2': 'a second switch',
}

/** Why a humbucker cannot be parted into its coils; nothing where one can. */
export function splitLacks(build: Build): string | undefined {
  if (!humbuckers(build).length) return 'there is no humbucker'
  if (parted(build).length) return undefined
  const told = humbuckers(build).every((p) => traitAt(build, `pickup-${p}`, 'leads'))
  return told
    ? 'two leads come out of the humbuckers: their coils cannot be parted without opening them'
    : 'nobody has said how many leads the humbuckers have (under Parts, or look: four and a shield, three, or two)'
}

export const TONE: OptionSpec = {
  id: 'tone',
  label: 'Tone',
  choices: [
    ['one', 'on a knob'],
    ['none', 'none'],
    ['hidden', 'set once, inside the cavity'],
    ['rotary', 'a rotary of fixed capacitors'],
  ],
  why: 'Takes treble away below 10; a pickup without one is a little brighter. Set once inside leaves a hole less; a rotary gives five sounds that come back the same.',
  lacks: (build, choice) => {
    if (choice === 'one' || choice === 'hidden') return needs(build, 'pot-tone', 'capacitor')
    if (choice !== 'rotary') return undefined
    const contacts = traitAt(build, 'switch-2', 'contacts')
    return contacts === 'rotary-5' || contacts === 'rotary-6' ? undefined : 'it needs a rotary as second switch among the parts'
  },
  byParts: (build) => (build.parts['pot-tone'] ? undefined : 'rotary'),
}
/** What of a tone control is not there to be chosen for; nothing where one is wired. */
const noTone = (build: Build): string | undefined => (chosenOf(build, TONE) === 'none' ? 'no tone is wired' : undefined)

export const TONE_AT: OptionSpec = {
  id: 'toneAt',
  label: 'Tone is joined',
  choices: [
    ['before', 'before the volume'],
    ['after', 'after the volume'],
  ],
  why: 'After the volume the treble holds better when the volume is turned down.',
  lacks: (build, choice) => (choice === 'after' ? noTone(build) : undefined),
}
/** Somebody has said that the second pots are no circuit of their own. */
const ofEach = ({ circuit: { options } }: Build): boolean =>
  options.volumes === 'two' || options.tones === 'two' || options.preset === 'none'

/** Second pots serve each pickup for itself, unless they may as well make a circuit of their own. */
const forEach = (build: Build): string | undefined => (ofEach(build) || PRESET.lacks?.(build, 'neck') ? 'two' : undefined)

/** What of an option the build cannot have, by choice, in words. */
export const lacksOf = (build: Build, spec: OptionSpec): Record<string, string> =>
  Object.fromEntries(
    spec.choices.flatMap(([id]) => [[id, spec.lacks?.(build, id)] as const]).filter((l): l is [string, string] => l[1] !== undefined),
  )

/** What an option stands at: as it was chosen, as the parts speak for, or at the first of its choices, each where it can be had. */
export function chosenOf(build: Build, spec: OptionSpec): string {
  const lacks = lacksOf(build, spec)
  const open = spec.choices.map(([id]) => id).filter((id) => !lacks[id])
  return (
    [build.circuit.options[spec.id], spec.byParts?.(build)].find((id) => id !== undefined && open.includes(id)) ??
    open[0] ??
    spec.choices[0]![0]
  )
}

/** A volume for each of two pickups on a selector: nothing of it where the second volume belongs to a circuit of its own. */
export const volumeForEach = (build: Build): boolean => chosenOf(build, VOLUMES) === 'two' && chosenOf(build, PRESET) !== 'neck'
/** With two volumes the number of tones says where they are joined. */
export const TONE_AT_EACH: OptionSpec = {
  ...TONE_AT,
  lacks: (build, choice) => {
    if (!volumeForEach(build)) return TONE_AT.lacks!(build, choice)
    if (noTone(build)) return choice === 'after' ? noTone(build) : undefined
    if (chosenOf(build, TONES_EACH) === 'two') return choice === 'after' ? 'a tone for each pickup comes before its volume' : undefined
    return choice === 'before' ? 'one tone for two volumes comes after both' : undefined
  },
}
/** Two tones on a lever of five positions each belong to some of them. */
export const TONE_AT_LEVER: OptionSpec = {
  ...TONE_AT,
  lacks: (build, choice) =>
    TONE_AT.lacks!(build, choice) ??
    (choice === 'after' && chosenOf(build, TONES) === 'two' ? 'two tones hang on the selector, before the volume' : undefined),
}
export const NO_LOAD: OptionSpec = {
  id: 'noLoad',
  label: 'Tone at 10',
  choices: [
    ['no', 'still loads the pickup'],
    ['yes', 'is cut off (a no-load pot)'],
  ],
  why: 'Cut off at 10 it is as if there were none: brighter, with a click on the way.',
  lacks: (build, choice) =>
    choice === 'no' ? undefined : chosenOf(build, TONE) === 'rotary' ? 'a rotary has no track to be cut off' : noTone(build),
}
export const BLEED: OptionSpec = {
  id: 'bleed',
  label: 'Treble bleed',
  choices: [
    ['none', 'none'],
    ['cap', 'capacitor alone, 1 nF'],
    ['parallel', '150 k beside 1 nF'],
    ['series', '130 k behind 1.2 nF'],
  ],
  why: 'Keeps the treble as the volume goes down; alone it grows thin, with a resistor it stays even.',
  lacks: (build, choice) => (choice === 'none' ? undefined : needs(build, 'pot-volume')),
}
export const VOLUMES: OptionSpec = {
  id: 'volumes',
  label: 'Volumes',
  choices: [
    ['one', 'one for both'],
    ['two', 'one for each'],
  ],
  why: 'Two let the pickups be mixed in the middle position.',
  lacks: (build, choice) =>
    choice === 'two'
      ? (needs(build, 'pot-volume', 'pot-volume-2') ??
        (build.circuit.options.preset === 'neck' && !PRESET.lacks!(build, 'neck')
          ? 'the second volume belongs to the second circuit'
          : undefined))
      : undefined,
  byParts: forEach,
}
export const STYLE: OptionSpec = {
  id: 'style',
  label: 'Two volumes are',
  choices: [
    ['coupled', 'coupled: pickup at the outer lug'],
    ['independent', 'independent: pickup at the wiper'],
  ],
  why: 'Coupled: one at 0 silences both in the middle. Independent: it does not, and grows darker as it is turned down.',
  lacks: (build, choice) => (choice === 'independent' && !volumeForEach(build) ? 'there is one volume for both' : undefined),
}
const { lacks: _, ...EITHER_STYLE } = STYLE
/** Without a selector each volume is also the switch of its pickup. */
export const MIXED_STYLE: OptionSpec = {
  ...EITHER_STYLE,
  choices: STYLE.choices.toReversed(),
  why: 'Independent: one at 0 leaves the other alone, and grows darker as it is turned down. Coupled: either at 0 silences both.',
}
export const TONES: OptionSpec = {
  id: 'tones',
  label: 'Tones',
  choices: [
    ['one', 'one for all'],
    ['two', 'one each'],
  ],
  why: 'Two tones are set once for each pickup.',
  lacks: (build, choice) =>
    choice === 'two'
      ? (needs(build, 'pot-tone', 'pot-tone-2') ??
        noTone(build) ??
        (chosenOf(build, TONE) === 'rotary' ? 'one rotary serves all' : undefined))
      : undefined,
  byParts: forEach,
}
/** On a selector they go with the volumes. */
export const TONES_EACH: OptionSpec = {
  ...TONES,
  lacks: (build, choice) =>
    TONES.lacks!(build, choice) ?? (choice === 'two' && !volumeForEach(build) ? 'a tone for each comes with a volume for each' : undefined),
}
export const TAP: OptionSpec = {
  id: 'tap',
  label: 'Humbuckers in between',
  choices: [
    ['whole', 'whole'],
    ['tap', 'one coil of each'],
  ],
  why: 'One coil each beside the middle pickup: clearer, and quiet where the two hum against each other.',
  lacks: (build, choice) => (choice === 'tap' ? splitLacks(build) : undefined),
}
export const PULL: OptionSpec = {
  id: 'pull',
  label: 'Pulled knob or small toggle',
  choices: [
    ['none', 'does nothing'],
    ['split', 'one coil of the outer humbuckers'],
    ['parallel', 'coils of the bridge humbucker side by side'],
    ['phase', 'neck pickup turned over'],
    ['blower', 'bridge pickup straight to the jack'],
  ],
  why: 'One coil is clear and hums; side by side is clear and does not; turned over is thin, heard only together; straight is loudest.',
  lacks: (build, choice) => {
    if (choice === 'none') return undefined
    if (!extraOf(build))
      return isPullUntold(build)
        ? 'no small on-on toggle is among the parts, and whether a knob can be pulled nobody has said: say it of the pots under Parts'
        : 'no knob of the build can be pulled, and no small on-on toggle is among the parts'
    if (choice === 'split')
      return splitLacks(build) ?? (parted(build).every((p) => p === 'middle') ? 'only the outer pickups can be parted by it' : undefined)
    if (choice === 'parallel')
      return fourLeads(build).includes('bridge') ? undefined : (splitLacks(build) ?? 'the bridge pickup is no humbucker with four leads')
    if (choice === 'phase' && !build.parts['pickup-neck']) return 'there is no neck pickup'
    if (choice === 'phase' && isActive(build, 'neck')) return 'an active pickup cannot be turned over: its ground is its battery’s'
    if (choice === 'blower' && !build.parts['pickup-bridge']) return 'there is no bridge pickup'
    return undefined
  },
}
/** Where one coil of a humbucker is put to ground with four leads out of it, which one is left is a matter of how they are joined. */
const stays = (isParted: (build: Build) => boolean): OptionSpec => ({
  id: 'stays',
  label: 'The coil that stays',
  choices: [
    ['neck', 'the one nearer the neck'],
    ['bridge', 'the one nearer the bridge'],
    ['apart', 'the outer one of either humbucker'],
  ],
  why: 'Beside a coil that hums the other way it is quiet, and each position says so. The two outer ones are quiet together; beside a middle pickup it hangs on how that is wound.',
  lacks: (build, choice) => {
    if (choice === 'neck') return undefined
    if (!isParted(build)) return 'no coil is put to ground here'
    const outer = fourLeads(build).filter((p) => p !== 'middle')
    if (!outer.length) return splitLacks(build) ?? 'it is settled inside the pickup where fewer than four leads come out'
    return choice === 'apart' && outer.length < 2 ? 'there are not two humbuckers with four leads' : undefined
  },
})
export const STAYS = stays((build) => chosenOf(build, PULL) === 'split')
export const STAYS_TAPPED = stays((build) => chosenOf(build, PULL) === 'split' || chosenOf(build, TAP) === 'tap')
export const STAYS_ALWAYS = stays(() => true)
export const PRESET: OptionSpec = {
  id: 'preset',
  label: 'Second circuit',
  choices: [
    ['none', 'none'],
    ['neck', 'neck pickup with a small volume and tone of its own'],
  ],
  why: 'A sound set once and called up by a slide: a darker rhythm beside the main circuit.',
  lacks: (build, choice) =>
    choice === 'none'
      ? undefined
      : (needs(build, 'switch-2', 'pot-volume-2', 'pot-tone-2', 'capacitor-2') ??
        (build.parts['pickup-neck'] ? undefined : 'there is no neck pickup')),
  // A slide calls up nothing else.
  byParts: (build) => (!ofEach(build) && traitAt(build, 'switch-2', 'contacts') === 'slide' ? 'neck' : undefined),
}
export const KILL: OptionSpec = {
  id: 'kill',
  label: 'Kill button',
  choices: [
    ['none', 'none'],
    ['button', 'a button that joins tip and sleeve'],
  ],
  why: 'Silence while it is pressed.',
}
