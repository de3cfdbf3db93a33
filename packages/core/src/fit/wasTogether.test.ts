import { describe, expect, it } from 'vitest'
import { beginBuild } from '../evaluate/beginBuild'
import type { Build } from '../document/build'
import { evaluate } from '../evaluate/evaluate'
import { putOnPile } from '../document/box'
import { fit as FIT } from '../stations/fit/fit'
import { applyChange } from '../document/change'
import { choosePart, setSize } from '../document/changes'
import { recordTrials, trialOf } from '../document/trials'
import { JOB_IDS } from '../parts/starting/jobs'
import { START_IDS } from '../parts/starting/sets'
import { fullBuild } from '../testing/fullBuild'
import { findJoints } from './findJoints'
import { wasTogether } from './wasTogether'

const DAY = '2026-12-01'
const upgrade = (start: (typeof START_IDS)[number] = 'bolt-guard-vibrato'): Build =>
  beginBuild({ name: 'New', handedness: 'right', strings: 6, scale: 647.7, start, job: 'upgrade' }, DAY)
const said = (build: Build): Build => applyChange(build, recordTrials(build, wasTogether(build, findJoints(build)), DAY, 'It was together'))
const open = (build: Build) =>
  findJoints(build).filter((j) => j.verdict === 'cant-tell' || j.verdict === 'wont-go' || j.verdict === 'tight')

describe('an instrument that was together', () => {
  it.each(START_IDS)('%s: one word settles what nobody has measured, and nothing is asked of it any more', (start) => {
    const build = upgrade(start)
    const asked = wasTogether(build, findJoints(build))
    expect(asked.length).toBeGreaterThan(10)
    const then = said(build)
    expect(wasTogether(then, findJoints(then))).toEqual([])
    for (const { joint } of asked) {
      const now = findJoints(then).find((j) => j.id === joint.id)!
      expect(now.tried, joint.id).toMatchObject({ on: DAY })
      // What a trial says nothing of stays open.
      if (now.verdict === 'cant-tell')
        expect(
          now.checks.some((c) => c.raw.verdict === 'cant-tell'),
          joint.id,
        ).toBe(true)
    }
    expect(open(then).length).toBeLessThan(open(build).length / 2)
  })
  it.each(START_IDS)(
    '%s: of what stays in place nothing is counted, and it stands last; what another part meets is, and stands first',
    (start) => {
      const build = upgrade(start)
      const count = (b: Build) => FIT.count!(b, evaluate(b, DAY).fit)
      expect(count(build)).toBe(0)
      const other = applyChange(build, putOnPile(build, ['tuners'], 'apart'))
      const joints = evaluate(other, DAY).fit
      const meets = joints.filter((j) => j.verdict === 'cant-tell' && j.slots.includes('tuners'))
      expect(meets.length).toBeGreaterThan(2)
      expect(count(other)).toBe(meets.length)
      expect(joints.slice(0, meets.length)).toEqual(meets)
    },
  )
  it('a part that is exchanged opens its own joints again, and no others', () => {
    const then = said(upgrade())
    const other = { ...then.parts['pickup-bridge']!, name: 'Another pickup', state: 'ordered' as const }
    const now = applyChange(then, choosePart(then, 'pickup-bridge', other))
    const stale = Object.keys(now.trials!).filter((id) => trialOf(now, id)!.since)
    expect(stale).toContain('room-bridge')
    for (const j of findJoints(now))
      expect(stale.includes(j.id), j.id).toBe(trialOf(now, j.id) !== undefined && j.slots.includes('pickup-bridge'))
    // Bought and come, it was still not there then.
    const bought = { ...other, name: 'Bought', state: 'in hand' as const, seller: 'Capstan Hardware' }
    const fresh = applyChange(upgrade(), choosePart(upgrade(), 'pickup-bridge', bought))
    expect(wasTogether(fresh, findJoints(fresh)).filter(({ joint }) => joint.slots.includes('pickup-bridge'))).toEqual([])
    // Not here yet: nobody can have seen it go.
    expect(wasTogether(now, findJoints(now)).filter(({ joint }) => joint.slots.includes('pickup-bridge'))).toEqual([])
  })
  it('a size read for the first time changes nothing of what was tried; one that was known and is another does', () => {
    const then = said(upgrade())
    const ref = { slot: 'body', size: 'pocket.widthMouth' } as const
    const read = (b: Build, value: number) => applyChange(b, setSize(b, ref, { value, doubt: 0.05, known: 'calipers' }))
    const [first, second] = [read(then, 56.4), read(said(read(upgrade(), 56.4)), 55.9)]
    expect(trialOf(first, 'pocket-mouth')).toMatchObject({ trial: { result: 'goes' } })
    expect(trialOf(first, 'pocket-mouth')!.since).toBeUndefined()
    expect(trialOf(second, 'pocket-mouth')!.since).toBe('body/pocket.widthMouth')
  })
  it('of a box of new parts nothing is taken for granted', () => {
    for (const job of JOB_IDS.filter((id) => id === 'kit' || id === 'finished')) {
      const build = beginBuild({ name: 'New', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-plate', job }, DAY)
      expect(wasTogether(build, findJoints(build)), job).toEqual([])
    }
    expect(wasTogether(fullBuild(), findJoints(fullBuild()))).toEqual([])
  })
})
