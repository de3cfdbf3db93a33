import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { newBuild, type Build } from './build'
import { applyChange, edit, EditConflict, EditRefused, inverse, jsonAt, sameJson, type Json } from './change'
import { choosePart, planJob, removePart, setField, setSize } from './changes'
import { sizeAt } from './read'

const empty = newBuild({ name: 'Test', handedness: 'right', strings: 6, scale: 647.7 }, '2026-11-23')
const size = (value: number) => ({ value, doubt: 0.05, known: 'calipers' as const })
const body = { kind: 'body' as const, name: 'Body', state: 'in hand' as const, sizes: { 'pocket.widthMouth': size(56.1) }, traits: {} }
const withBody = applyChange(empty, choosePart(empty, 'body', body))
const mouth = { slot: 'body' as const, size: 'pocket.widthMouth' }

describe('changes', () => {
  it('leave the document they came from alone', () => {
    const before = JSON.stringify(empty)
    applyChange(empty, setField(empty, ['finish', 'coats'], 8, 'more'))
    expect(JSON.stringify(empty)).toBe(before)
  })
  it('are taken back exactly, whatever they were', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.constantFrom('coats', 'solids', 'start', 'system'), fc.oneof(fc.integer(), fc.string(), fc.constant(undefined))),
          { maxLength: 12 },
        ),
        (acts) => {
          let doc: Build = empty
          const done = []
          for (const [key, to] of acts) {
            const change = { label: key, edits: [edit(doc, ['finish', key], to as Json | undefined)] }
            doc = applyChange(doc, change)
            done.push(change)
          }
          for (const change of done.toReversed()) doc = applyChange(doc, inverse(change))
          expect(sameJson(doc as unknown as Json, empty as unknown as Json)).toBe(true)
        },
      ),
    )
  })
  it('refuse to be applied on something else than they were made on', () => {
    const change = setField(empty, ['finish', 'coats'], 8, 'more')
    const moved = applyChange(empty, setField(empty, ['finish', 'coats'], 6, 'some'))
    expect(() => applyChange(moved, change)).toThrow(EditConflict)
  })
  it('never reach into what every object inherits', () => {
    expect(() => applyChange(empty, { label: 'x', edits: [{ path: ['__proto__', 'x'], to: 1 }] })).toThrow(EditRefused)
    expect(jsonAt(empty, ['constructor'])).toBeUndefined()
  })
  it('say what a person did', () => expect(setSize(withBody, mouth, size(56.3)).label).toBe('Pocket width, mouth 56.1 → 56.3'))
})

describe('jobs on paper', () => {
  const job = { slot: 'body' as const, size: 'pocket.widthMouth', delta: 0.5, doubt: 0.1, text: 'Shave' }
  const planned = applyChange(withBody, planJob(withBody, 'pocket-mouth/shave-wall', job))
  it('change what the joints see, with their own doubt', () => {
    expect(sizeAt(planned, mouth)!.value).toBeCloseTo(56.6, 12)
    expect(sizeAt(planned, mouth)!.doubt).toBeCloseTo(Math.hypot(0.05, 0.1), 12)
  })
  it('go when the size is measured anew, and come back with an undo', () => {
    const change = setSize(planned, mouth, size(56.58))
    const measured = applyChange(planned, change)
    expect(measured.jobs).toEqual({})
    expect(applyChange(measured, inverse(change)).jobs).toEqual(planned.jobs)
  })
  it('leave with their part', () => expect(applyChange(planned, removePart(planned, 'body')).jobs).toEqual({}))
})
