import { OPEN_READING } from '@snug/core'
import { describe, expect, it } from 'vitest'
import { readMeterLog } from './meterLog'

const ohms = (text: string) => {
  const log = readMeterLog(text)
  if (!log.ok) throw new Error(log.why)
  return log.readings
}

describe('a meter’s log', () => {
  it('one reading a row, in order', () => expect(ohms('8.20k\n250\nOL').map((r) => r.ohm)).toEqual([8200, 250, OPEN_READING]))
  it('with headings, times and a unit in a column of its own', () =>
    expect(ohms('time;value;unit\n10:01;7.41;kOhm\n10:02;0.6;Ohm\n')).toEqual([{ ohm: 7410 }, { ohm: 0.6 }]))
  it('what says it is a resistance comes before a bare number, and what says it is none is none', () =>
    expect(ohms('3,8.20,kOhm,25\n4,0.35,V,1.2,MΩ\n5,350,mΩ,7\n6,0.35,V,12\n7,8.2k,21,°C')).toEqual([
      { line: 3, ohm: 8200 },
      { line: 4, ohm: 1.2e6 },
      { line: 5, ohm: 0.35 },
      { line: 6, ohm: 12 },
      { line: 7, ohm: 8200 },
    ]))
  it('with the line of the check in front', () =>
    expect(ohms('line,reading\n3,8.2k\n1,OL')).toEqual([
      { line: 3, ohm: 8200 },
      { line: 1, ohm: OPEN_READING },
    ]))
  it('counts what it passed over', () => {
    const log = readMeterLog('time,value\n10:01,8.2k\nsomething,else')
    expect(log.ok && log.skipped).toBe(2)
  })
  it.each([
    ['', /empty/],
    ['volts\nhello there', /No row of the log holds a resistance/],
  ])('%j is refused with a sentence', (text, why) => {
    const log = readMeterLog(text)
    expect(!log.ok && log.why).toMatch(why)
  })
})
