import type { Build } from '../document/build'
import { holeCards } from '../drill/holes'
import { saidOf, thereOf } from '../drill/saidThere'
import { applyChange } from '../document/change'
import { setTrait } from '../document/changes'
import { isPartHere, type Part } from '../parts/part'
import { withItsHoles } from './beginBuild'
import { evaluate } from './evaluate'

/**
 * The same instrument, come back for another job, as a build of its own: all that is on it is in place, with every size that is known of it,
 * its holes are there, its film is on. What was decided, promised and paid for the first time stays with the first build.
 * @param today ISO date
 */
export function anotherJob(build: Build, today: string): Build {
  const { schema, handedness, strings, scale, currency, room, tools, pencil, trials, jobs, readings, finish, evenings, setup } = build
  const { found: _, heard: __, complaints: ___, mends: ____, ...circuit } = build.circuit
  const { quiet, begins, cutOff, daysOff } = build.plan ?? {}
  const hours = {
    ...(quiet ? { quiet } : {}),
    ...(begins === undefined ? {} : { begins }),
    ...(cutOff === undefined ? {} : { cutOff }),
    ...(daysOff ? { daysOff } : {}),
  }
  const steps = laidFor(build, today)
  return withItsHoles(
    allMade({
      schema,
      name: `${build.name.slice(0, 107)}, another job`,
      handedness,
      strings,
      scale,
      job: 'upgrade',
      currency,
      room,
      parts: Object.fromEntries(Object.entries(build.parts).map(([slot, part]) => [slot, onIt(part)])),
      ...(tools ? { tools } : {}),
      ...(pencil ? { pencil } : {}),
      ...(trials ? { trials } : {}),
      jobs,
      circuit,
      readings,
      // What nobody ever began to lay is no film of it.
      finish:
        Object.keys(steps).some((id) => !id.startsWith('job-')) || Object.keys(finish.laid ?? {}).length
          ? finish
          : { ...finish, system: 'none' },
      evenings,
      ...(Object.keys(hours).length ? { plan: hours } : {}),
      setup,
      steps,
    }),
  )
}

/** What is here is on it; what it cost was paid for the first job. */
function onIt(part: Part): Part {
  if (!isPartHere(part)) return part
  const { price: _, original: __, arrives: ___, ...rest } = part
  return { ...rest, state: 'in place' }
}

/** Of what was done the film is on it and is not laid again, and what was planned on paper counts as done where it was. */
function laidFor(build: Build, today: string): Build['steps'] {
  const film = new Set(
    evaluate(build, today)
      .plan.steps.filter((s) => s.station === 'finish')
      .map((s) => s.id),
  )
  return Object.fromEntries(Object.entries(build.steps).filter(([id]) => film.has(id) || id.startsWith('job-')))
}

/** What was still to be drilled when it was begun has been. */
function allMade(build: Build): Build {
  return holeCards(build).reduce((b, { id, slot }) => {
    const ref = thereOf(b, id)
    return ref && isPartHere(b.parts[slot]) && saidOf(b, ref) === 'none' ? applyChange(b, setTrait(b, ref.slot, ref.trait, 'drilled')) : b
  }, build)
}
