import { describe, expect, it } from 'vitest'
import { USUAL_TOOLS } from './measureNext'
import { bestTool } from './readings'

describe('the tool for a size', () => {
  it.each([
    ['body', 'pocket.widthMouth', 'calipers'],
    ['neck', 'scale', 'rule'],
    ['strings', 'length', 'rule'],
    ['neck', 'nutToHeelEnd', 'rule'],
    ['pickup-neck', 'resistance', 'meter'],
  ] as const)('%s, %s: %s', (slot, size, tool) => expect(bestTool({ slot, size }, USUAL_TOOLS)?.tool).toBe(tool))
  it('what is longer than calipers open is not asked of somebody who has nothing else', () => {
    expect(bestTool({ slot: 'neck', size: 'scale' }, ['calipers'])).toBeUndefined()
    expect(bestTool({ slot: 'neck', size: 'scale' }, ['calipers', 'tape'])?.tool).toBe('tape')
    expect(bestTool({ slot: 'neck', size: 'nut.width' }, ['calipers'])?.tool).toBe('calipers')
  })
})
