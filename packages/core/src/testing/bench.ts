import { newBuild, type Build } from '../document/build'
import { JOINT_KINDS } from '../fit/jointKinds'
import { existsIn } from '../fit/kind'
import type { JudgedJoint } from '../judge/joint'
import type { Part } from '../parts/part'
import { slotSpec, type Slot } from '../parts/slots'
import { lengthDoubt, type Known } from '../quantity/size'

/** Small builds for tests: parts written as size: value, read with calipers unless said. */
export type Sizes = Record<string, number | readonly [value: number, known: Known, doubt?: number]>

export function aPart(slot: Slot, sizes: Sizes, traits: Record<string, string> = {}, more: Partial<Part> = {}): Part {
  return {
    kind: slotSpec(slot).kind,
    name: slot,
    state: 'in hand',
    traits,
    sizes: Object.fromEntries(
      Object.entries(sizes).map(([key, v]) => {
        const [value, known, doubt] = typeof v === 'number' ? ([v, 'calipers', undefined] as const) : v
        return [key, { value, known, doubt: doubt ?? lengthDoubt(known, 'hardware') }]
      }),
    ),
    ...more,
  }
}

export function aBuild(parts: Partial<Record<Slot, Part>>, more: Partial<Build> = {}): Build {
  const fresh = newBuild({ name: 'Trial', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-24')
  return { ...fresh, finish: { ...fresh.finish, system: 'lacquer' }, parts, ...more }
}

/** A case says only what it turns on: what else is asked of its parts is as on another build, mostly one on which everything fits. */
export function withRest(build: Build, other: Build): Build {
  const parts = Object.fromEntries(
    Object.entries(build.parts).map(([slot, part]) => {
      const rest = other.parts[slot as Slot]
      return [slot, { ...part, sizes: { ...rest?.sizes, ...part.sizes }, traits: { ...rest?.traits, ...part.traits } }]
    }),
  )
  return { ...build, parts }
}

export function jointIn(build: Build, id: string): JudgedJoint {
  const kind = JOINT_KINDS.find((k) => k.id === id && existsIn(k, build))
  if (!kind) throw new Error(`no joint ${id}`)
  return kind.find(build)
}

/** The first cure done on paper. */
export function cured(build: Build, id: string, cure = 0): Build {
  const plan = jointIn(build, id).cures[cure]!.plan!
  return { ...build, jobs: { [id]: { ...plan, text: 'done' } } }
}
