import { describe, expect, it } from 'vitest'
import { judgeJoints } from '../fit/findJoints'
import { partProblems } from '../parts/check'
import { SLOT_NAMES, type Slot } from '../parts/slots'
import { PILES, pileOf, putOnPile, putWhere, unsorted } from './box'
import { beginBuild } from '../evaluate/beginBuild'
import { newBuild, type Build } from './build'
import { applyChange, inverse } from './change'

const begun = (): Build => newBuild({ name: 'Kit', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-through' }, '2026-11-24')

describe('what came in the box', () => {
  it('a part put on any pile lies there, and only it; taken back everything is as it was', () => {
    for (const pile of PILES)
      for (const slot of SLOT_NAMES) {
        const build = begun()
        const change = putOnPile(build, [slot], pile)
        const then = applyChange(build, change)
        expect(pileOf(then.parts[slot]), `${slot} ${pile}`).toBe(pile)
        for (const other of SLOT_NAMES) if (other !== slot) expect(then.parts[other]).toEqual(build.parts[other])
        expect(applyChange(then, inverse(change))).toEqual(build)
      }
  })
  it('all that came is one change', () => {
    const build = begun()
    const then = applyChange(build, putOnPile(build, unsorted(build), 'box'))
    expect(Object.values(then.parts).every((p) => p.state === 'in hand')).toBe(true)
    expect(unsorted(then)).toEqual([])
  })
  it('what nobody foresaw is added as usual of its kind, every size a guess', () => {
    const build = begun()
    for (const slot of ['string-tree', 'battery', 'shielding'] as Slot[]) {
      const part = applyChange(build, putOnPile(build, [slot], 'coming')).parts[slot]!
      expect(partProblems(part)).toEqual([])
      expect(part.state).toBe('ordered')
      expect(Object.values(part.sizes).length).toBeGreaterThan(0)
      for (const size of Object.values(part.sizes)) expect(size.known).toBe('assumed')
    }
  })
  it('a part that is not on it takes its joints and the jobs planned on it with it', () => {
    const build = begun()
    build.jobs = { shave: { slot: 'tuners', size: 'housing.width', delta: -0.2, doubt: 0.05, text: 'File', joint: 'tuner-row' } as never }
    const then = applyChange(build, putOnPile(build, ['tuners'], 'none'))
    expect(judgeJoints(build).some((j) => j.slots.includes('tuners'))).toBe(true)
    expect(judgeJoints(then).some((j) => j.slots.includes('tuners'))).toBe(false)
    expect(then.jobs).toEqual({})
  })
  it('another one, bought for a part that was in place, has nothing of the old one; what only comes off keeps its sizes', () => {
    const begunHere = newBuild(
      { name: 'Here', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-through', job: 'upgrade' },
      '2026-11-24',
    )
    begunHere.parts.tuners!.sizes.bushing = { value: 8.4, doubt: 0.05, known: 'calipers' }
    begunHere.parts.tuners!.traits.locking = 'clamp'
    for (const pile of ['apart', 'coming'] as const) {
      const { tuners } = applyChange(begunHere, putOnPile(begunHere, ['tuners'], pile)).parts
      expect(pileOf(tuners)).toBe(pile)
      expect(tuners!.sizes.bushing).toMatchObject({ known: 'assumed' })
      expect(tuners!.sizes.bushing!.value).not.toBe(8.4)
      expect(tuners!.traits.locking).toBeUndefined()
    }
    for (const pile of ['box', 'place'] as const)
      expect(applyChange(begunHere, putOnPile(begunHere, ['tuners'], pile)).parts.tuners!.sizes.bushing!.value).toBe(8.4)
    for (const [state, pile] of [
      ['planned', 'apart'],
      ['ordered', 'coming'],
      ['in hand', 'box'],
      ['in place', 'place'],
    ] as const)
      expect(putWhere(begunHere, 'tuners', state)).toEqual(putOnPile(begunHere, ['tuners'], pile))
    expect(putOnPile(begunHere, ['tuners'], 'apart').label).toBe('Tuners: another one, still to be bought')
  })
  it('a neck that is one piece with its body is not bought without it', () => {
    const glued = beginBuild(
      { name: 'Here', handedness: 'right', strings: 6, scale: 628, start: 'post-stop', job: 'upgrade' },
      '2026-11-24',
    )
    for (const slot of ['neck', 'body'] as const) {
      const then = applyChange(glued, putOnPile(glued, [slot], 'apart'))
      expect([then.parts.neck!.state, then.parts.body!.state]).toEqual(['planned', 'planned'])
      expect(then.parts.tuners!.state).toBe('in place')
    }
    expect(putOnPile(glued, ['neck'], 'coming').label).toBe('Neck, body: another one, on its way')
    const screwed = beginBuild(
      { name: 'Here', handedness: 'right', strings: 6, scale: 647.7, start: 'bolt-through', job: 'upgrade' },
      '2026-11-24',
    )
    expect(applyChange(screwed, putOnPile(screwed, ['neck'], 'apart')).parts.body!.state).toBe('in place')
    // A job that reads both of them goes once.
    const planned = {
      ...glued,
      jobs: {
        shave: {
          joint: 'pocket-mouth',
          text: 'Plane',
          ...{ slot: 'neck', size: 'heel.widthMouth', delta: -0.2, doubt: 0.05 },
          also: [{ slot: 'body', size: 'pocket.widthMouth', delta: 0.2, doubt: 0.05 }],
        } as never,
      },
    }
    for (const pile of ['apart', 'none'] as const) expect(applyChange(planned, putOnPile(planned, ['neck', 'body'], pile)).jobs).toEqual({})
  })
  it('is said as a person would', () => {
    const build = begun()
    expect(putOnPile(build, ['nut', 'strings'], 'coming').label).toBe('Nut, strings: on its way')
    expect(putOnPile(build, ['guard'], 'none').edits).toEqual([])
  })
})
