import { describe, expect, it } from 'vitest'
import { sizeRef } from '../document/read'
import { fullBuild } from '../testing/fullBuild'
import { exchange } from './reach'

const build = fullBuild()
const inGuard = [sizeRef('pot-volume', 'bushing.length'), sizeRef('guard', 'thickness')]
const inTop = [sizeRef('pot-volume', 'bushing.length'), sizeRef('body', 'control.top')]
const whose = ['pot-volume', 'guard', 'body'] as const
const told = (others: (typeof inGuard)[]) => exchange(build, inGuard, undefined, whose, others).map((c) => c.job)

describe('which part is exchanged where no job does it', () => {
  it('is one of those the check reads, the body last', () => {
    expect(told([])).toEqual(['Exchange the volume pot or pickguard: no job on what is here does it.'])
    expect(exchange(build, inTop.toReversed(), undefined, whose, [])[0]!.job).toMatch(/^Exchange the volume pot or body:/)
    // What is read of a part that is not of the joint is not its to put right.
    expect(exchange(build, inTop, undefined, ['pot-volume'], [])[0]!.job).toMatch(/^Exchange the volume pot:/)
  })
  it('is not told where that hangs on what nobody knows: which of them carries the pot', () => {
    expect(told([inGuard, inTop])).toEqual([])
    expect(told([inGuard, inGuard.toReversed()])).toHaveLength(1)
  })
})
