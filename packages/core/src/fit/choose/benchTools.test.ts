import { describe, expect, it } from 'vitest'
import { BENCH_TOOLS, canDo } from './benchTools'

describe('tools at hand', () => {
  it('a job that names a lacking tool cannot be done', () => {
    expect(canDo(['router', 'bearing bit'], ['router'])).toBe(false)
    expect(canDo(['chisel'], ['router'])).toBe(true)
    expect(canDo([], BENCH_TOOLS)).toBe(true)
  })
  it('either of two will do', () => {
    expect(canDo(['router or wide flat bit'], ['router'])).toBe(true)
    expect(canDo(['tapered reamer or step bit'], ['reamer'])).toBe(true)
  })
  it('words, not letters: no plane does not forbid a plate, no file forbids nut files', () => {
    expect(canDo(['plate', 'P120 on a flat plate'], ['plane'])).toBe(true)
    expect(canDo(['nut files'], ['file'])).toBe(false)
  })
})
