import type { ForecastHour } from '@snug/core'
import Papa from 'papaparse'

/** Hours read from a file, or the sentence that says what is wrong in which row. */
export type ForecastRead = { ok: true; hours: ForecastHour[]; skipped: number } | { ok: false; why: string }

const MOST = 400
/** What columns may be called. */
const NAMES = {
  at: /^(time|date|hour|when|datetime|timestamp)/i,
  air: /^(temp|air|temperature)/i,
  humidity: /^(humid|rh|relative)/i,
  surface: /^surface/i,
} as const

/**
 * Reads a forecast as CSV, whatever its separator: columns time, temperature in °C, humidity in %, and surface if there is one, named in the
 * first row. A time is written like 2026-11-27 18:00 or 2026-11-27T18.
 */
export function readForecastCsv(text: string): ForecastRead {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: true })
  const [head, ...rows] = data
  if (!head || !rows.length)
    return { ok: false, why: 'The forecast is empty. Rows of time, temperature and humidity are wanted, with their names in the first.' }
  const column = (name: keyof typeof NAMES) => head.findIndex((h) => NAMES[name].test(h.trim()))
  const at = { at: column('at'), air: column('air'), humidity: column('humidity'), surface: column('surface') }
  const missing = (['at', 'air', 'humidity'] as const).filter((n) => at[n] < 0)
  if (missing.length) {
    const said = { at: 'time', air: 'temperature', humidity: 'humidity' }
    return {
      ok: false,
      why: `The first row names no column for ${missing.map((m) => said[m]).join(' and ')}. It reads: ${head.join(', ').slice(0, 80)}.`,
    }
  }
  const hours = new Map<string, ForecastHour>()
  let skipped = 0
  for (const [i, row] of rows.entries()) {
    const when = /^(\d{4}-\d{2}-\d{2})[T ](\d{1,2})/.exec((row[at.at] ?? '').trim())
    const number = (c: number) =>
      Number(
        (row[c] ?? '')
          .trim()
          .replace(',', '.')
          .replace(/[°%C\s]+$/i, ''),
      )
    const [air, humidity] = [number(at.air), number(at.humidity)]
    const hour = when && Number(when[2])
    if (!when || hour! > 23) return { ok: false, why: `Row ${i + 2}: "${row[at.at] ?? ''}" is no time; write it like 2026-11-27 18:00.` }
    if (!Number.isFinite(air) || air < -40 || air > 60 || (row[at.air] ?? '').trim() === '')
      return { ok: false, why: `Row ${i + 2}: "${row[at.air] ?? ''}" is no temperature from -40 to 60 °C.` }
    if (!Number.isFinite(humidity) || humidity < 1 || humidity > 100)
      return { ok: false, why: `Row ${i + 2}: "${row[at.humidity] ?? ''}" is no humidity from 1 to 100 %.` }
    const surface = at.surface >= 0 && (row[at.surface] ?? '').trim() ? number(at.surface) : undefined
    const key = `${when[1]}T${String(hour).padStart(2, '0')}`
    // Of several readings within an hour the first stands for it.
    if (hours.has(key) || hours.size >= MOST) {
      skipped++
      continue
    }
    hours.set(key, { at: key, air, humidity, ...(surface !== undefined && surface >= -40 && surface <= 80 ? { surface } : {}) })
  }
  return { ok: true, hours: [...hours.values()].toSorted((a, b) => (a.at < b.at ? -1 : 1)), skipped }
}
