import { describe, expect, it } from 'vitest'
import { electricalDoubt, isMeasured, KNOWN, lengthDoubt, toolStep } from './size'

describe('how a size is known', () => {
  it('measured is what a tool read', () =>
    expect(KNOWN.filter(isMeasured)).toEqual(['calipers', 'rule', 'tape', 'template', 'photo', 'meter', 'scale']))
  it('doubt of a length by its tool, by its trade where it is listed [ours]', () => {
    expect((['calipers', 'rule', 'template', 'tape', 'assumed'] as const).map((k) => lengthDoubt(k, 'wood'))).toEqual([
      0.05, 0.3, 0.5, 1, 2,
    ])
    expect([lengthDoubt('listed', 'wood'), lengthDoubt('listed', 'hardware')]).toEqual([0.8, 0.4])
    expect(lengthDoubt('calipers', 'hardware')).toBe(lengthDoubt('calipers', 'wood'))
  })
  it('doubt of a resistance: a hundredth read, a tenth listed, a fifth assumed; of either sign', () => {
    expect([electricalDoubt('meter', 8000), electricalDoubt('listed', 8000), electricalDoubt('assumed', -8000)]).toEqual([80, 800, 1600])
  })
  it('arrow keys step by what the tool can tell [ours]', () =>
    expect((['calipers', 'rule', 'template', 'tape', 'listed', 'meter'] as const).map(toolStep)).toEqual([0.05, 0.5, 0.5, 1, 0.1, 0.1]))
})
