import { simulatedWeather } from '@snug/core'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readForecastCsv } from './forecastCsv'

const csv = (rows: string[], head = 'time,temperature,humidity') => [head, ...rows].join('\n')

describe('a forecast as CSV', () => {
  it('reads what a station of this tool wrote, whatever the separator', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 99 }), fc.constantFrom(',', ';', '\t'), (seed, sep) => {
        const hours = simulatedWeather(seed, '2026-11-27', 2)
        const rows = hours.map((h) => [`${h.at.replace('T', ' ')}:00`, h.air, h.humidity].join(sep))
        expect(readForecastCsv(csv(rows, ['Date time', 'Temp (°C)', 'Humidity'].join(sep)))).toEqual({ ok: true, hours, skipped: 0 })
      }),
    ))
  it('a decimal comma, units and a surface of its own are read', () => {
    const read = readForecastCsv(csv(['2026-11-27T18;12,5 °C;60 %;9'], 'when;air;rh;surface'))
    expect(read).toEqual({ ok: true, skipped: 0, hours: [{ at: '2026-11-27T18', air: 12.5, humidity: 60, surface: 9 }] })
  })
  it('of several readings within an hour the first stands', () => {
    const read = readForecastCsv(csv(['2026-11-27 18:00,12,60', '2026-11-27 18:30,13,61']))
    expect(read).toMatchObject({ ok: true, skipped: 1, hours: [{ air: 12 }] })
  })
  it.each([
    ['', /is empty/],
    [csv([]), /is empty/],
    [csv(['2026-11-27 18:00,12'], 'time,temperature'), /no column for humidity/],
    [csv(['yesterday,12,60']), /Row 2: "yesterday" is no time/],
    [csv(['2026-11-27 25:00,12,60']), /Row 2.*no time/],
    [csv(['2026-11-27 18:00,warm,60']), /Row 2: "warm" is no temperature/],
    [csv(['2026-11-27 18:00,,60']), /no temperature/],
    [csv(['2026-11-27 18:00,12,160']), /"160" is no humidity/],
  ])('%j says what is wrong', (text, why) => {
    const read = readForecastCsv(text)
    expect(!read.ok && read.why).toMatch(why)
  })
})
