import type { Build } from '../document/build'
import type { Change } from '../document/change'
import { setPlan } from '../document/changes'
import type { Before, Step } from './step'

/** A step this job does not ask for: it stands in no plan, and nothing waits for it. */
export const isLeftOut = (build: Build, id: string): boolean => build.plan?.leftOut?.[id] !== undefined && !build.steps[id]?.done

/** A parcel comes or does not, and coats are those of the finish that is chosen: neither is left out of a plan. */
export const mayBeLeftOut = (s: Step): boolean =>
  s.calendar === undefined && !(s.stage === 'parcel' && (s.undated ?? s.notBefore) !== undefined)

type Named = Pick<Step, 'id' | 'title'>

/** @param day ISO date it is said on */
export function leaveOut(build: Build, steps: readonly Named[], day: string, label?: string): Change {
  const more = Object.fromEntries(steps.map((s) => [s.id, day]))
  const said = label ?? `Not part of this job: ${steps.map((s) => s.title).join('; ')}`
  return setPlan(build, 'leftOut', { ...build.plan?.leftOut, ...more }, said.slice(0, 400))
}

export function takeIn(build: Build, { id, title }: Named): Change {
  const { [id]: _, ...others } = build.plan?.leftOut ?? {}
  return setPlan(build, 'leftOut', Object.keys(others).length ? others : undefined, `Part of this job after all: ${title}`.slice(0, 400))
}

/** A step of what stays in place. */
const isIdle = (build: Build, s: Step): boolean => s.inPlace === true && !build.steps[s.id]?.done

/** The steps this job asks for; what came after one that is left out comes after what that came after. */
export function askedFor(build: Build, steps: readonly Step[]): readonly Step[] {
  const out = new Map(steps.filter((s) => isIdle(build, s) || isLeftOut(build, s.id)).map((s) => [s.id, s]))
  if (!out.size) return steps
  const standing = (befores: readonly Before[], seen: ReadonlySet<string>): Before[] =>
    befores.flatMap((b) => {
      const gone = out.get(b.id)
      if (!gone) return [b]
      return seen.has(b.id) ? [] : standing(gone.befores, new Set([...seen, b.id]))
    })
  const once = (befores: Before[]) => befores.filter((b, i) => befores.findIndex((o) => o.id === b.id) === i)
  return steps.flatMap((s) => {
    if (out.has(s.id)) return []
    if (![...s.befores, ...(s.better ?? [])].some((b) => out.has(b.id))) return [s]
    const better = s.better?.filter((b) => !out.has(b.id))
    return [{ ...s, befores: once(standing(s.befores, new Set())), ...(better ? { better } : {}) }]
  })
}
