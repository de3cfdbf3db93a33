import { newBuild, type LogEntry } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { printBundle, readBundle, toBundle } from './bundle'

const build = newBuild({ name: 'Trial', handedness: 'left', strings: 12, scale: 647.7 }, '2026-11-24')
const log: LogEntry[] = [{ id: 'a', at: '2026-11-24T19:30:00.000Z', kind: 'note', text: 'Line one\nline “two”' }]

describe('build bundle', () => {
  const bundle = toBundle(build, log, '2026-11-24T20:00:00.000Z')
  it('is read back as it was written', () => {
    const read = readBundle(printBundle(bundle))
    expect(read.ok && read.data).toEqual(bundle)
  })
  it.each([
    ['', /not JSON/],
    ['[1,2]', /not a build bundle/],
    ['{"format":"snug-bolt-build","version":"1"}', /not a whole number/],
    ['{"format":"snug-bolt-build","version":3}', /up to version 2/],
  ])('refuses %j', (text, sentence) => {
    const read = readBundle(text)
    expect(!read.ok && read.why).toMatch(sentence)
  })
})
