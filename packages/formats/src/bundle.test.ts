import { newBuild, type LogEntry } from '@snug/core'
import Ajv from 'ajv/dist/2020'
import { describe, expect, it } from 'vitest'
import { printBundle, readBundle, toBundle } from './bundle'
import { bundleSchema } from './bundleSchema'

const build = newBuild({ name: 'Trial', handedness: 'left', strings: 12, scale: 647.7 }, '2026-11-24')
const log: LogEntry[] = [{ id: 'a', at: '2026-11-24T19:30:00.000Z', kind: 'note', text: 'Line one\nline “two”' }]

describe('build bundle', () => {
  const bundle = toBundle(build, log, '2026-11-24T20:00:00.000Z')
  it('is read back as it was written', () => {
    const read = readBundle(printBundle(bundle))
    expect(read.ok && read.data).toEqual(bundle)
  })
  it('satisfies its published schema, and a foreign field does not', () => {
    const validate = new Ajv({ strict: false, inlineRefs: false, code: { optimize: false }, formats: { 'date-time': true } }).compile(
      bundleSchema(),
    )
    expect(validate(bundle), JSON.stringify(validate.errors)).toBe(true)
    expect(validate({ ...bundle, extra: 1 })).toBe(false)
    expect(validate({ ...bundle, build: { ...build, strings: 'six' } })).toBe(false)
  })
  it.each([
    ['', /not JSON/],
    ['[1,2]', /not a build bundle/],
    ['{"format":"snug-bolt-build","version":"1"}', /not a whole number/],
    ['{"format":"snug-bolt-build","version":2}', /up to version 1/],
  ])('refuses %j', (text, sentence) => {
    const read = readBundle(text)
    expect(!read.ok && read.why).toMatch(sentence)
  })
})
