import fc from 'fast-check'
import { expect, it } from 'vitest'
import { evaluate } from '../evaluate/evaluate'
import type { Slot } from '../parts/slots'
import { anyBuild, everyMake } from '../testing/anyBuild'
import { without } from '../testing/fullBuild'
import { holds } from '../testing/holds'
import { undrilled } from '../testing/undrilled'
import { sheetsOf } from './things'

it('a build of which some parts are not there yet has every station and every sheet', () => {
  holds(
    fc.property(
      fc.oneof(anyBuild, fc.constantFrom(...everyMake())),
      fc.array(fc.nat(), { minLength: 1, maxLength: 12 }),
      fc.boolean(),
      (any, which, bare) => {
        const slots = Object.keys(any.parts) as Slot[]
        const left = without(any, ...which.map((n) => slots[n % slots.length]!))
        const build = bare ? undrilled(left) : left
        const results = evaluate(build, '2026-11-28')
        expect(results.failed).toEqual({})
        for (const sheet of sheetsOf(build, results)) expect(sheet.blocks.length, sheet.id).toBeGreaterThan(0)
      },
    ),
    300,
  )
})
