import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { Build, SetupReading } from '../document/build'
import { evaluator } from '../evaluate/evaluator'
import { KINDS } from '../parts/kinds/index'
import { slotSpec, type Slot } from '../parts/slots'
import type { PlannedStep } from '../plan/step'
import { nutMove } from '../setup/nutMove'
import { nutSlots } from '../setup/nutSlots'
import { setupModel } from '../setup/model'
import { everyMake, everyTrait, untold } from '../testing/anyBuild'
import { changed, fullBuild, without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { withReading } from '../testing/setup'

const TODAY = '2026-11-24'
/** What one trait changes is soon computed anew. */
const evaluated = evaluator()
const stepsOf = (build: Build): PlannedStep[] => evaluated(build, TODAY).plan.steps
const stepOf = (build: Build, id: string) => stepsOf(build).find((s) => s.id === id)
const specOf = (slot: Slot, trait: string) => KINDS[slotSpec(slot).kind].traits[trait]!
const optionsOf = (slot: Slot, trait: string): string[] => specOf(slot, trait).options.map(([option]) => option)
const toldAs = (build: Build, slot: Slot, trait: string, option: string): Build => changed(build, {}, { [`${slot}/${trait}`]: option })

/** Work on holes and joints is told by their own stations; days move with the hours of what comes before. */
const isOfItsOwn = (s: PlannedStep) => !(s.station === 'drill' || (s.station === 'fit' && s.thing) || s.calendar || s.id === 'rub-out')
/** Springs, a tailpiece, a control plate are among the parts, and nothing says that they are idle. */
const CHOSEN = /^Springs let go|in their places, before |tailpiece/
const said = (build: Build): Set<string> =>
  new Set(
    stepsOf(build)
      .filter(isOfItsOwn)
      .flatMap((s) => [s.title, s.why, ...s.cautions].filter((words) => !CHOSEN.test(words)).map((words) => `${s.id}: ${words}`)),
  )

describe('what the plan says while a kind is untold', () => {
  it('is what it says whichever it turns out to be, or what it says of none', () => {
    const asked = everyMake().map((make) =>
      everyTrait(make).filter(([slot, trait]) => {
        const spec = specOf(slot, trait)
        // What nobody is asked is as usual until somebody says otherwise; and screws among the parts say how a neck is held.
        return !spec.unasked && !spec.hole && !(trait === 'joint' && make.parts['neck-screws'])
      }),
    )
    const law = fc.property(fc.nat(everyMake().length - 1), fc.nat(), (m, t) => {
      const [slot, trait] = asked[m]![t % asked[m]!.length]!
      const before = said(untold(everyMake()[m]!, 'traits', slot, trait))
      const options = optionsOf(slot, trait)
      const then = options.map((option) => said(toldAs(everyMake()[m]!, slot, trait, option)))
      for (const words of before) {
        const by = options.filter((_, i) => then[i]!.has(words))
        expect(by.length === 0 || by.length === options.length ? '' : `${slot} ${trait} taken as ${by.join(', ')}: ${words}`).toBe('')
      }
    })
    expect(holds(law, 300)).toBeGreaterThan(60)
  })
})

describe('a neck of which nobody has said how it is held', () => {
  const open = changed(without(fullBuild(), 'neck-screws'), {}, { 'neck/joint': undefined })
  it('is asked about before the wood is sanded, for a glued one is in by then', () => {
    expect(stepOf(open, 'tell-joint')!.title).toBe('Say under Parts how the neck is held: by screws or by glue')
    expect(stepOf(open, 'sand')!.befores.map((b) => b.id)).toContain('tell-joint')
    expect(stepOf(open, 'sand')!.title).not.toMatch(/pocket/)
    expect(stepOf(open, 'neck-on')!.title).toBe('Neck on')
    expect(stepOf(open, 'closing-pass')!.why).not.toMatch(/neck screws/)
  })
  it.each([
    ['bolt', 'Screw the neck on', /mask the pocket/],
    ['set', 'Glue the neck in', /glue off round the neck/],
  ])('told %s it is asked no more', (joint, title, sanded) => {
    const told = changed(open, {}, { 'neck/joint': joint })
    expect(stepOf(told, 'tell-joint')).toBeUndefined()
    expect(stepOf(told, 'neck-on')!.title).toBe(title)
    expect(stepOf(told, 'sand')!.title).toMatch(sanded)
  })
  it('nor with screws for it among the parts', () => {
    expect(stepOf(changed(fullBuild(), {}, { 'neck/joint': undefined }), 'tell-joint')).toBeUndefined()
  })
})

describe('a nut of which nobody has said what it is', () => {
  const read = (type: string | undefined, sliver: number): Build =>
    Array.from({ length: 6 }, (_, i): SetupReading => ({ what: 'sliver', string: i + 1, value: sliver })).reduce(
      withReading,
      changed(fullBuild(), {}, { 'nut/type': type }),
    )
  const work = (b: Build) => nutSlots(b, setupModel(b))
  it('is neither filed nor shimmed before it is said', () => {
    const b = read(undefined, 0.6)
    expect(nutMove(work(b), undefined).says).toMatch(/^Too high: string 1 by 0\.\d\d mm.*Say under Parts what nut it is/)
    for (const s of work(b)) expect(s.says).toMatch(/mm high\. First say what nut it is\.$/)
    expect(stepOf(b, 'nut-on')!.title).toBe('Nut on')
    expect(stepOf(b, 'set-nut')!.why).toMatch(/Say under Parts what nut it is/)
  })
  it('the amounts are the same once it is said', () => {
    const file = (type: string | undefined) => work(read(type, 0.6)).map((s) => s.file)
    expect(file('slotted')).toEqual(file(undefined))
    expect(file('locking')).toEqual(file(undefined))
    expect(nutMove(work(read('slotted', 0.6)), 'filed').says).toMatch(/^To file: string 1/)
  })
  it('too low, a shim under it helps whichever it is', () => {
    for (const type of [undefined, 'slotted', 'locking'])
      for (const s of work(read(type, 0))) expect(s.says, type).toMatch(/shim under the/i)
  })
})

describe('controls of which nobody has said how they go in', () => {
  const open = changed(fullBuild(), {}, { 'body/access': undefined })
  it('are soldered where the wire list says, and on no guard', () => {
    expect(stepOf(open, 'solder')!.title).toBe('Solder the harness, in wire-list order')
    expect(stepOf(open, 'solder')!.why).toMatch(/^Say first under Parts how the controls go in/)
    expect(stepOf(open, 'harness-in')).toBeUndefined()
    expect(stepOf(changed(open, {}, { 'body/access': 'front' }), 'solder')!.title).toMatch(/on the guard/)
    expect(stepOf(changed(open, {}, { 'body/access': 'back' }), 'harness-in')).toBeDefined()
  })
})
