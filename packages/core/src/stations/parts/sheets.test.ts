import { describe, expect, it } from 'vitest'
import type { Sheet } from '../sheet'
import { measuringSheet } from './sheets'

const labels = (sheet: Sheet) =>
  sheet.blocks.flatMap((b) => ('table' in b && b.table.columns[0] === 'size' ? b.table.rows.map((r) => r[0]!) : []))

describe('the sheet for measuring another instrument', () => {
  it('asks for what each string has of its own in one row, and for every other length once', () => {
    const tuners = labels(measuringSheet('tuners'))
    expect(tuners.filter((l) => /hole above its seat/.test(l))).toEqual(['String hole above its seat', 'Each string, hole above its seat'])
    expect(tuners).toContain('Post diameter')
    expect(new Set(tuners).size).toBe(tuners.length)
    expect(labels(measuringSheet('strings')).filter((l) => /^(String|Each string) ?\d*,? own length/.test(l))).toEqual([
      'Each string, own length',
    ])
  })
})
