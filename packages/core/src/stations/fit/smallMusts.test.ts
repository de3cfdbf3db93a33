import { describe, expect, it } from 'vitest'
import type { Build } from '../../document/build'
import { evaluate } from '../../evaluate'
import { changed, fullBuild } from '../../testing/fullBuild'
import { tailed } from '../../testing/tailed'

const jobOf = (build: Build, joint: string) => evaluate(build, '2026-12-01').plan.steps.find((s) => s.id === `cure-${joint}`)

describe('a small job without which nothing plays', () => {
  it('a lead that does not reach even in place is no work to leave out; one that only hinders the soldering is', () => {
    // In place it takes 116 mm, with the guard turned over 142.
    const lead = (mm: number) => jobOf(changed(fullBuild(), { 'wire/lead.jack': mm }), 'leads')
    expect(lead(100)).toMatchObject({ need: 'must', minutes: 15, title: expect.stringMatching(/^Cut a new lead of 210 mm/) })
    expect(lead(118)).toMatchObject({ need: 'should', minutes: 15 })
    expect(lead(150)).toBeUndefined()
  })
  it('so is a tailpiece over which the strings would jump out, and not one a little off', () => {
    // atan((13.3 − 11.5) / 45) = 2.3 degrees, under the 5 at which they leave; atan((13.3 − 7.5) / 45) = 7.4, under the usual 8.
    const tail = (mm: number) => jobOf(changed(tailed(), { 'tailpiece/height': mm }), 'saddle-break')
    expect(tail(11.5)).toMatchObject({
      need: 'must',
      minutes: 10,
      title: expect.stringMatching(/^Set the tailpiece so that strings leave it 6 mm/),
    })
    expect(tail(7.5)).toMatchObject({ need: 'should' })
    expect(tail(4)).toBeUndefined()
  })
})
