import { describe, expect, it } from 'vitest'
import type { Build } from '../document/build'
import { changed, fullBuild } from '../testing/fullBuild'
import { balanceDrawing } from './balanceDrawing'
import { balanceWork, roundsSay, USUAL_VIBRATO } from './balance'

describe('a claw', () => {
  const measured = (springs: number, of: Partial<typeof USUAL_VIBRATO> | { claw: { x: number; y: number } } = {}): Build => ({
    ...changed(fullBuild(), { 'springs/count': springs }),
    setup: { ...fullBuild().setup, vibrato: { ...USUAL_VIBRATO, ...of, springs, school: 'float' } },
  })
  const shown = (build: Build) => balanceDrawing(build).numbers.find((n) => n.label === 'Both claw screws')!.value
  it('is told its turns, in the words of the drawing', () => {
    const says = balanceWork(measured(4))!.says.find((s) => s.startsWith('For 1 mm'))!
    expect(says).toContain(`both claw screws ${shown(measured(4))} (`)
    expect(shown(measured(4))).toMatch(/^[\d/ ]+ turns? (counter-)?clockwise$/)
  })
  // Strings of 463 N on a lever of 11 ask 127 N of springs on one of 40; one of 12 + 2 N/mm gives that stretched by 58 mm, and has some 14.
  it('whose screws end before is told no turns but other springs, and the drawing says the same', () => {
    const says = balanceWork(measured(1))!.says.join(' ')
    expect(says).toMatch(
      /For 1 mm the claw would have to go more than 20 mm further in, and its screws end before: more or stiffer springs first\./,
    )
    expect(says).not.toMatch(/both claw screws/)
    expect(shown(measured(1))).toBe('further than they go')
    // Hooked 23 mm further away six of them pull some 46 N more each: they have to be let go nearly to their closed length, 36 mm.
    const held = balanceWork(measured(6, { claw: { x: -90, y: -34 } }))!.says.join(' ')
    expect(held).toMatch(/more than 20 mm further out, and its screws end before: fewer or softer springs first\./)
  })
})

describe('rounds of tuning until a floating plate keeps its place', () => {
  // 0.7 ^ 6 = 0.118, ^ 7 = 0.082; 0.93 ^ 31 = 0.105, ^ 32 = 0.098; 0.2 ^ 2 = 0.04.
  it.each([
    [0.7, '70 % of what the plate is off: 7 rounds', true],
    [0.93, '93 % of what the plate is off: 32 rounds', true],
    [0.46, '46 % of what the plate is off: 3 rounds', false],
    [0.2, '20 % of what the plate is off: 2 rounds', false],
    [0.05, '5 % of what the plate is off: one round', false],
    [0.003, 'one round of tuning is enough', false],
  ])('of which each leaves %d: %s', (left, says, shimmed) => {
    expect(roundsSay(left, 1.2)).toContain(says)
    expect(roundsSay(left, 1.2).includes('a shim of 1.2 mm under its back edge')).toBe(shimmed)
  })
})
