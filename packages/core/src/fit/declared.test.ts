import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import type { Part } from '../parts/part'
import { anyBuild, everyMake } from '../testing/anyBuild'
import { holds } from '../testing/holds'
import { JOINT_KINDS } from './jointKinds'
import { existsIn } from './kind'

/** The same build, and what is looked up in its parts, as "bridge/mount"; that a part is there at all is not noted. */
function noting(build: Build): { build: Build; read: Set<string> } {
  const read = new Set<string>()
  const noted = <T extends object>(of: T, slot: string): T =>
    new Proxy(of, {
      get: (target, key) => {
        read.add(`${slot}/${String(key)}`)
        return Reflect.get(target, key) as unknown
      },
      getOwnPropertyDescriptor: (target, key) => {
        read.add(`${slot}/${String(key)}`)
        return Reflect.getOwnPropertyDescriptor(target, key)
      },
    })
  const within = (part: Part, slot: string): Part =>
    noted({ ...part, sizes: noted(part.sizes, slot), traits: noted(part.traits, slot) }, slot)
  const parts = Object.fromEntries(Object.entries(build.parts).map(([slot, part]) => [slot, within(part, slot)]))
  return { build: { ...build, parts }, read }
}
/** Asking whether it has any of these is asking no more than whether it is there. */
const NOTHING_OF_IT = new Set(['kind', 'sizes', 'traits'])

/** What each kind of joint looks up in parts it does not declare. */
function undeclared(whole: Build): string[] {
  return JOINT_KINDS.flatMap((kind) => {
    const { build, read } = noting(whole)
    if (existsIn(kind, build)) {
      const joint = kind.find(build)
      for (const check of joint.checks) void [check.says, check.raw, check.cures]
      void [joint.verdict, joint.says, joint.cures]
    }
    const declared = new Set<string>([...kind.needs, ...(kind.also ?? [])])
    const looks = (at: string) => {
      const [slot, what] = at.split('/') as [string, string]
      return !declared.has(slot) && !NOTHING_OF_IT.has(what)
    }
    return [...read].filter(looks).map((at) => `${kind.id} reads ${at}`)
  })
}

describe('a joint looks into no part it does not declare: choosing a set rests on that', () => {
  it('on every make', () => expect([...new Set(everyMake().flatMap(undeclared))]).toEqual([]))
  it('on whatever build', () =>
    void holds(
      fc.property(anyBuild, (build) => {
        expect(undeclared(build)).toEqual([])
      }),
      60,
    ))
})
