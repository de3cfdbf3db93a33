import fc from 'fast-check'
import { RECIPES } from '../circuit/schemes/recipes'
import { PLACES, type PickupPlace } from '../instrument/guardPlace'
import type { Wanted } from './wirable'

/** Every wiring with every option it can be built with. */
export const anyWiring: fc.Arbitrary<Wanted> = fc
  .record({
    recipe: fc.constantFrom(...RECIPES),
    two: fc.subarray([...PLACES]),
    leads: fc.constantFrom('two' as const, 'three' as const, 'four' as const, undefined),
    pull: fc.boolean(),
    second: fc.boolean(),
    rotary: fc.boolean(),
    active: fc.oneof({ weight: 3, arbitrary: fc.constant<PickupPlace[]>([]) }, { weight: 1, arbitrary: fc.subarray([...PLACES]) }),
    mount: fc.constantFrom('two-stud', 'post', 'screws'),
    pick: fc.array(fc.nat(6), { minLength: 12, maxLength: 12 }),
  })
  .map(({ recipe, pick, active, ...more }): Wanted => {
    const places = PLACES.filter((_, i) => (recipe.count === 3 ? true : recipe.count === 2 ? i !== 1 : i === 2))
    return {
      ...more,
      ...(recipe.needs?.includes('pot-volume-2') ? { second: true } : {}),
      places,
      active: recipe.passiveOnly ? [] : active.filter((p) => places.includes(p)),
      ...(recipe.contacts.length ? { contacts: recipe.contacts[pick[11]! % recipe.contacts.length]! } : {}),
      scheme: recipe.id,
      options: Object.fromEntries(recipe.options.map((o, i) => [o.id, o.choices[pick[i % 11]! % o.choices.length]![0]])),
    }
  })
