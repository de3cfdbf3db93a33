import type { Build } from '../../document/build'
import { traitAt, valueAt } from '../../document/read'
import type { PickupPlace } from '../../instrument/guardPlace'
import type { TraitRef } from '../../judge/completed'
import type { Slot } from '../../parts/slots'
import type { Harness } from '../model/harness'
import { isSwitchName, SWITCHES, type SwitchName } from '../model/switches'
import { edited } from './edited'
import { idlePullsSay, leftOut, leftOutSays } from './leftOut'
import { counted } from '../../quantity/words'
import { anyActive, chosenOf, lacksOf, needs } from './options'
import type { OptionSpec, Recipe } from './recipe'
import { RECIPES } from './recipes'
import { takenAsUsualSays } from './takenAsUsual'
import { Weaver } from './weaver'

/** The harness of a build, or what a wiring could not do without. */
export type SchemeResult =
  | { ok: true; harness: Harness; notes: string[]; recipe: Recipe }
  | { ok: false; missing: Slot[]; untold: TraitRef[]; says?: string }

/** From the bridge up, as selectors count. */
const BRIDGE_FIRST: readonly PickupPlace[] = ['bridge', 'middle', 'neck']
const BY_PARTS = 'by-parts'

const pickupsOf = (build: Build): PickupPlace[] => BRIDGE_FIRST.filter((p) => build.parts[`pickup-${p}`])

/** A wiring that could be chosen, and what of the build stands against it; nothing where it fits. */
export interface Offer {
  recipe: Recipe
  lacks?: string
}

const labelsOf = (contacts: readonly SwitchName[]): string => [...new Set(contacts)].map((c) => SWITCHES[c].label).join('; ')

/** Every wiring there is, those for this many pickups first. */
export function offersOf(build: Build): Offer[] {
  const count = pickupsOf(build).length
  const contacts = traitAt(build, 'switch', 'contacts')
  return RECIPES.map((recipe): Offer => {
    if (recipe.count !== count)
      return { recipe, lacks: `it is for ${recipe.count} ${recipe.count === 1 ? 'pickup' : 'pickups'}; the build has ${count}` }
    if (recipe.passiveOnly && anyActive(build)) return { recipe, lacks: recipe.passiveOnly }
    const fits = !recipe.contacts.length || (isSwitchName(contacts) && recipe.contacts.includes(contacts))
    // All that is lacking: a pot bought for a wiring that then wants another switch is bought for nothing.
    const lacks = [
      needs(build, ...(recipe.needs ?? [])),
      fits
        ? undefined
        : `${build.parts.switch && contacts ? 'it is for another switch' : 'it wants a switch'}: ${labelsOf(recipe.contacts)}`,
    ].filter((said) => said !== undefined)
    return lacks.length ? { recipe, lacks: lacks.join(', and ') } : { recipe }
  }).toSorted((a, b) => Number(a.recipe.count !== count) - Number(b.recipe.count !== count))
}

/** The wiring that was chosen, or the first the parts allow. */
function recipeOf(build: Build): Recipe | undefined {
  const chosen = RECIPES.find((r) => r.id === build.circuit.scheme)
  return chosen ?? offersOf(build).find((o) => !o.lacks)?.recipe
}

/** What each option stands at, and which of its choices the build cannot have. */
export interface OptionState {
  spec: OptionSpec
  chosen: string
  /** By choice: what stands against it. */
  lacks: Record<string, string>
}

/** The options of a wiring. A choice the parts do not allow is not taken. */
export function optionsOf(build: Build, recipe: Recipe): OptionState[] {
  return recipe.options.map((spec) => ({ spec, chosen: chosenOf(build, spec), lacks: lacksOf(build, spec) }))
}

/** What nobody has told of a pickup that decides how it is wired: a humbucker wired as a single coil is another instrument's circuit. */
function untoldOf(build: Build, slot: `pickup-${PickupPlace}`): TraitRef[] {
  if (traitAt(build, slot, 'circuit') === 'active') return []
  const trait = ['circuit', 'coils'].find((t) => !traitAt(build, slot, t))
  return trait ? [{ slot, trait }] : []
}

/** Two pickups are quiet together, and in step, by which way each is wound and magnetised. */
function senseSays(build: Build, places: readonly PickupPlace[]): string[] {
  const unsaid = places.filter((p) => !traitAt(build, `pickup-${p}`, 'sense') && traitAt(build, `pickup-${p}`, 'circuit') !== 'active')
  if (places.length < 2 || !unsaid.length) return []
  return [
    `Nobody has said how ${unsaid.length > 1 ? 'these pickups are' : 'this pickup is'} wound: ${unsaid.join(', ')}. Taken as ${unsaid.length === places.length ? 'all alike' : 'the others are'}; whether two together hum less, and sound full or thin, is only told by ear until it is said under Parts.`,
  ]
}

/** The build's parts wired as chosen, with what was changed by hand. */
export function harnessOf(build: Build): SchemeResult {
  const places = pickupsOf(build)
  const missing: Slot[] = [
    ...(places.length ? [] : (['pickup-bridge'] as const)),
    // A pickup whose resistance nobody knows has no circuit: it is asked for like a part that is not there.
    ...places
      .filter(
        (p) =>
          traitAt(build, `pickup-${p}`, 'circuit') !== 'active' &&
          valueAt(build, { slot: `pickup-${p}`, size: 'resistance' }) === undefined,
      )
      .map((p): Slot => `pickup-${p}`),
    ...(places.length > 1 && !build.parts.switch && !offersOf(build).some((o) => !o.lacks) ? (['switch'] as const) : []),
    ...(build.parts.jack ? [] : (['jack'] as const)),
    ...(!build.parts.battery && places.some((p) => traitAt(build, `pickup-${p}`, 'circuit') === 'active') ? (['battery'] as const) : []),
  ]
  const contacts = traitAt(build, 'switch', 'contacts')
  const untold: TraitRef[] = [
    ...(places.length > 1 && build.parts.switch && !contacts ? [{ slot: 'switch', trait: 'contacts' } as const] : []),
    ...places.flatMap((p) => untoldOf(build, `pickup-${p}`)),
    // A jack of two contacts leaves the battery of an active one on for good.
    ...(anyActive(build) && build.parts.jack && !traitAt(build, 'jack', 'contacts') ? [{ slot: 'jack', trait: 'contacts' } as const] : []),
  ]
  if (missing.length || untold.length) return { ok: false, missing, untold }
  const recipe = recipeOf(build)
  if (!recipe || recipe.count !== places.length || offersOf(build).find((o) => o.recipe === recipe)?.lacks)
    return { ok: false, missing: [], untold: [], says: unfit(build, recipe) }
  const options = optionsOf(build, recipe)
  const weaver = new Weaver(build, Object.fromEntries(options.map((o) => [o.spec.id, o.chosen])))
  recipe.weave(weaver, places, isSwitchName(contacts) ? (contacts as SwitchName) : undefined)
  const { harness, notes } = edited(weaver.finish(), build.circuit.edits)
  const refused = options.flatMap(({ spec, chosen, lacks }) => {
    const wanted = build.circuit.options[spec.id]
    return wanted !== undefined && wanted !== chosen && lacks[wanted] ? [`${spec.label}: ${lacks[wanted]}.`] : []
  })
  return {
    ok: true,
    harness,
    notes: [
      ...weaver.notes,
      ...senseSays(build, places),
      ...takenAsUsualSays(build, harness),
      ...refused,
      ...notes,
      ...leftOutSays(leftOut(build, harness)),
      ...idlePullsSay(
        harness,
        recipe.options.some((o) => o.id === 'pull'),
      ),
    ],
    recipe,
  }
}

function unfit(build: Build, recipe: Recipe | undefined): string {
  if (recipe && build.circuit.scheme !== BY_PARTS)
    return `“${recipe.label}” was chosen, and ${offersOf(build).find((o) => o.recipe === recipe)?.lacks ?? 'it does not fit'}. Choose another wiring under Wiring, or another part under Parts.`
  const count = pickupsOf(build).length
  const contacts = traitAt(build, 'switch', 'contacts')
  const named = isSwitchName(contacts) ? ` (${SWITCHES[contacts].label})` : ''
  const ofThese = offersOf(build).filter((o) => o.recipe.count === count)
  const nearly = ofThese.find((o) => o.lacks && isSwitchName(contacts) && o.recipe.contacts.includes(contacts))
  if (nearly) return `On this switch${named} there is “${nearly.recipe.label}”, and ${nearly.lacks}. Or choose another switch.`
  const others = ofThese.flatMap((o) => o.recipe.contacts).filter((c) => c !== contacts)
  return `No wiring here is for ${counted(count, 'pickup')} on this switch${named}. Choose another switch under Parts: ${labelsOf(others)}.`
}
