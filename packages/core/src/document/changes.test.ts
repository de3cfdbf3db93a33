import { describe, expect, it } from 'vitest'
import { fullBuild } from '../testing/fullBuild'
import type { Build } from './build'
import { applyChange, inverse, sameJson, type Change, type Json } from './change'
import {
  choosePart,
  chooseParts,
  clearSize,
  dropJob,
  notHere,
  openNotHere,
  planJob,
  removePart,
  setField,
  setIn,
  setPartField,
  setSize,
  setTrait,
  tickStep,
} from './changes'
import { enteredAt, nameOf, sizeAt, sizesFor, specAt, traitAt, valueAt, withJobs } from './read'

const full = fullBuild()
const mouth = { slot: 'body' as const, size: 'pocket.widthMouth' }
const size = (value: number, known: 'calipers' | 'listed' = 'calipers') => ({ value, doubt: 0.05, known })
const job = { slot: 'body' as const, size: 'pocket.widthMouth', delta: 0.4, doubt: 0.1, text: 'Shave the wall' }

/** Every act a person has, on the full build. */
const ACTS: [string, (b: Build) => Change][] = [
  ['a size', (b) => setSize(b, mouth, size(56.2))],
  ['a size cleared', (b) => clearSize(b, mouth)],
  ['a trait', (b) => setTrait(b, 'body', 'wood', 'ash')],
  ['a trait cleared', (b) => setTrait(b, 'body', 'wood', undefined)],
  ['a part chosen', (b) => choosePart(b, 'nut', { ...b.parts.nut!, name: 'another' })],
  ['a part taken out', (b) => removePart(b, 'guard')],
  ['a price', (b) => setPartField(b, 'guard', 'price', 12)],
  ['a job planned', (b) => planJob(b, 'pocket-mouth/shave', job)],
  ['a slot opened', (b) => setIn(b, 'slots', 'guard', 'open', 'open')],
  ['a setting', (b) => setField(b, ['finish', 'coats'], 9, 'nine coats')],
  ['a step ticked', (b) => tickStep(b, 'solder', 'Solder', '2026-11-24T20:00:00Z')],
]

describe('acts of a person', () => {
  it('say what became of what, in the words of the part: a figure, else how it is known; a trait by its own names', () => {
    expect(setSize(full, mouth, size(56.2)).label).toBe('Pocket width, mouth 56.55 → 56.2')
    const was = enteredAt(full, mouth)!.value
    expect(setSize(full, mouth, { value: was, doubt: 0.3, known: 'rule' }).label).toBe(`Pocket width, mouth ${was}, rule ±0.3`)
    expect(setTrait(full, 'body', 'access', 'back').label).toBe('Body, controls go in through: a back panel')
    expect(setTrait(full, 'body', 'access', undefined).label).toBe('Body, controls go in through: cleared')
  })
  it.each(ACTS)('%s: has words, changes the build, and is taken back exactly', (_, act) => {
    const change = act(full)
    expect(change.label.length).toBeGreaterThan(3)
    const after = applyChange(full, change)
    expect(sameJson(after as unknown as Json, full as unknown as Json)).toBe(false)
    expect(sameJson(applyChange(after, inverse(change)) as unknown as Json, full as unknown as Json)).toBe(true)
  })
  it('the first reading keeps what the seller said beside it; a second does not overwrite it', () => {
    const listed = applyChange(full, setSize(full, mouth, size(56, 'listed')))
    const told = applyChange(listed, choosePart(listed, 'body', { ...listed.parts.body!, promised: {} }))
    const once = applyChange(told, setSize(told, mouth, size(56.4)))
    expect(once.parts.body!.promised!['pocket.widthMouth']!.value).toBe(56)
    const twice = applyChange(once, setSize(once, mouth, size(56.6)))
    expect(twice.parts.body!.promised!['pocket.widthMouth']!.value).toBe(56)
  })
  it('a job goes with its part and comes back with it', () => {
    const planned = applyChange(full, planJob(full, 'x', job))
    const out = removePart(planned, 'body')
    expect(applyChange(planned, out).jobs).toEqual({})
    expect(applyChange(applyChange(planned, out), inverse(out)).jobs).toEqual(planned.jobs)
    expect(applyChange(planned, dropJob(planned, 'x')).jobs).toEqual({})
  })
  it('how a part was found when it was unpacked goes with it, and says nothing of the next', () => {
    const seen = { ...full, unpacked: { nut: 'damaged' as const, body: 'present' as const } }
    const change = choosePart(seen, 'nut', { ...full.parts.nut!, name: 'another' })
    expect(applyChange(seen, change).unpacked).toEqual({ body: 'present' })
    expect(applyChange(applyChange(seen, change), inverse(change)).unpacked).toEqual(seen.unpacked)
    expect(applyChange(seen, removePart(seen, 'body')).unpacked).toEqual({ nut: 'damaged' })
  })
  it('an entry in a record that is not there yet makes the record, and taking it back unmakes it', () => {
    const change = setIn(full, 'slots', 'neck', 'preferred', 'preferred')
    const after = applyChange(full, change)
    expect(after.slots).toEqual({ neck: 'preferred' })
    expect(applyChange(after, inverse(change)).slots).toBeUndefined()
    expect(setIn(full, 'slots', 'neck', undefined, 'nothing').edits).toEqual([])
  })
  it('labels say from what to what', () => {
    expect(setSize(full, mouth, size(56.2)).label).toBe('Pocket width, mouth 56.55 → 56.2')
    expect(tickStep(full, 'a', 'Solder', undefined).label).toMatch(/Not done after all: Solder/)
    expect(removePart(full, 'guard').label).toBe('Pickguard taken out')
  })
})

describe('reading a build', () => {
  it('entered, with planned jobs, or missing', () => {
    const planned = { ...full, jobs: { a: job, b: { ...job, delta: -0.1 } } }
    expect(enteredAt(planned, mouth)!.value).toBe(56.55)
    expect(sizeAt(planned, mouth)!.value).toBeCloseTo(56.85, 12)
    expect(sizeAt(planned, mouth)!.doubt).toBeCloseTo(Math.hypot(0.05, 0.1, 0.1), 12)
    expect(valueAt(full, { slot: 'tailpiece', size: 'height' })).toBeUndefined()
    expect(withJobs(planned, { slot: 'neck', size: 'crown' }, size(1)).value).toBe(1)
  })
  it('all that is asked for, or the list of what is missing', () => {
    const { have, missing } = sizesFor(full, { a: mouth, b: { slot: 'body', size: 'mass' }, c: { slot: 'tailpiece', size: 'height' } })
    expect(have.a.value).toBe(56.55)
    expect(missing).toEqual([{ slot: 'tailpiece', size: 'height' }])
  })
  it('names as people say them; a size no kind has is a mistake in code', () => {
    expect(nameOf(mouth)).toBe('Pocket width, mouth')
    expect(() => specAt({ slot: 'nut', size: 'pocket.depth' })).toThrow(/nut has no size pocket\.depth/)
    expect(traitAt(full, 'body', 'wood')).toBe('hard-maple')
    expect(traitAt(full, 'tailpiece', 'type')).toBeUndefined()
  })
  it('opens at once every slot whose part is not in hand, but none that was said to stay', () => {
    const build = structuredClone(fullBuild())
    build.parts.guard!.state = 'planned'
    build.parts.tuners!.state = 'ordered'
    build.parts.nut!.state = 'planned'
    build.slots = { nut: 'fixed', body: 'preferred' }
    expect(notHere(build).toSorted()).toEqual(['guard', 'tuners'])
    const after = applyChange(build, openNotHere(build))
    expect(after.slots).toEqual({ nut: 'fixed', body: 'preferred', guard: 'open', tuners: 'open' })
    expect(notHere(after)).toEqual([])
    expect(applyChange(after, inverse(openNotHere(build)))).toEqual(build)
  })
})

describe('a set of parts', () => {
  const both = {
    ...full,
    jobs: {
      plane: {
        slot: 'neck',
        size: 'heel.widthMouth',
        delta: -0.2,
        doubt: 0.05,
        text: 'Plane',
        also: [{ ...job, text: undefined }],
      } as never,
      file: { slot: 'nut', size: 'length', delta: -0.2, doubt: 0.05, text: 'File' } as never,
    },
  }
  it('that takes the place of two on which one job is planned is one change, and the job leaves once', () => {
    const { body, neck } = full.parts
    const change = chooseParts(
      both,
      [
        { slot: 'body', part: { ...body!, name: 'Another' } },
        { slot: 'neck', part: { ...neck!, name: 'Another' } },
      ],
      'Set of 2 parts',
    )
    const then = applyChange(both, change)
    expect([then.parts.body!.name, then.parts.neck!.name, Object.keys(then.jobs)]).toEqual(['Another', 'Another', ['file']])
    expect(applyChange(then, inverse(change))).toEqual(both)
  })
})
