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
  it.each([
    // 50 °F are 10 °C, 14 °F are −10 °C.
    ['time,Temp (°F),humidity', '2026-11-27 18:00,50,60', 10],
    ['time,temp_f,humidity', '2026-11-27 18:00,14,60', -10],
    ['time,temperature,humidity', '2026-11-27 18:00,50 °F,60', 10],
    ['time,Temp (°F),humidity', '2026-11-27 18:00,10 °C,60', 10],
    ['time,Air pressure,Air temperature,humidity', '2026-11-27 18:00,1013,10,60', 10],
    ['time,temp of the shelf,humidity', '2026-11-27 18:00,50,60', 50],
  ])('%s: %s is %d °C', (head, row, wanted) =>
    expect(readForecastCsv(csv([row], head))).toMatchObject({ ok: true, hours: [{ air: wanted }] }),
  )
  it('half a day is told by its letters, and a time of another zone is turned into the time here', () => {
    const hour = (time: string) => {
      const found = readForecastCsv(csv([`${time},12,60`]))
      return found.ok ? found.hours[0]!.at : found.why
    }
    expect(['6 PM', '06:00 pm', '6:30 AM', '12 AM', '12:15 PM'].map((t) => hour(`2026-11-27 ${t}`))).toEqual([
      '2026-11-27T18',
      '2026-11-27T18',
      '2026-11-27T06',
      '2026-11-27T00',
      '2026-11-27T12',
    ])
    const here = (iso: string) => {
      const d = new Date(iso)
      return [d.getFullYear(), d.getMonth() + 1, d.getDate(), d.getHours()]
    }
    const numbers = (at: string) => at.match(/\d+/g)!.map(Number)
    expect(numbers(hour('2026-11-27T18:00:00Z'))).toEqual(here('2026-11-27T18:00:00Z'))
    expect(numbers(hour('2026-11-27T18:40+05:30'))).toEqual(here('2026-11-27T13:10:00Z'))
    expect(numbers(hour('2026-11-27 18:00 -0800'))).toEqual(here('2026-11-28T02:00:00Z'))
    for (const none of ['2026-11-27 13 PM', '2026-11-27 18:00 or so', '2026-13-27 18:00']) expect(hour(none)).toMatch(/is no time/)
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
    [csv(['2026-11-27 18:00,12 hPa,60']), /"12 hPa" is no temperature/],
    [csv(['2026-11-27 18:00,12,160']), /"160" is no humidity/],
  ])('%j says what is wrong', (text, why) => {
    const read = readForecastCsv(text)
    expect(!read.ok && read.why).toMatch(why)
  })
})
