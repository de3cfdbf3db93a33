import type { ForecastHour } from '@snug/core'
import Papa from 'papaparse'

/** Hours read from a file, or the sentence that says what is wrong in which row. */
export type ForecastRead = { ok: true; hours: ForecastHour[]; skipped: number } | { ok: false; why: string }

const MOST = 400
/** What columns may be called. */
const NAMES = {
  at: /^(time|date|hour|when|datetime|timestamp)/i,
  air: /^(temp|air(?!.*(?:press|qual)))/i,
  humidity: /^(humid|rh|relative)/i,
  surface: /^surface/i,
} as const

/** A temperature's unit stands at its end, or at the end of its column's name: "Temp (°F)", "temp_f". */
const FAHRENHEIT = /(?:°\s*|[^a-z]|^)F(?:ahrenheit)?[)\]\s]*$/i
const TIME =
  /^(\d{4}-\d{2}-\d{2})(?:T|\s+)(\d{1,2})(?::(\d{2}))?(?::\d{2}(?:\.\d+)?)?\s*(?:([ap])\.?m\.?|(Z|UTC|GMT|[+-]\d{2}(?::?\d{2})?))?$/i

/** The hour a time lies in, where the person is; nothing where it is no time. */
function hourOf(text: string): string | undefined {
  const [, day, hours, minutes = '00', half, zone] = TIME.exec(text.trim()) ?? []
  if (day === undefined) return undefined
  const hour = half ? (Number(hours) % 12) + (/p/i.test(half) ? 12 : 0) : Number(hours)
  if (hour > 23 || (half && (Number(hours) < 1 || Number(hours) > 12))) return undefined
  const stamp = `${day}T${String(hour).padStart(2, '0')}`
  if (!zone) return Number.isNaN(Date.parse(`${stamp}:00Z`)) ? undefined : stamp
  const offset = /^[+-]/.test(zone) ? zone.replace(/^(.\d{2}):?(\d{2})?$/, (_, h: string, m = '00') => `${h}:${m}`) : 'Z'
  const at = new Date(`${stamp}:${minutes}:00${offset}`)
  if (Number.isNaN(at.getTime())) return undefined
  const two = (n: number) => String(n).padStart(2, '0')
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}T${two(at.getHours())}`
}

/** A number with its unit behind it, if it has one. */
function numberOf(cell: string, unit: RegExp): number | undefined {
  const found = /^([+-]?\d+(?:[.,]\d+)?)\s*(.*)$/.exec(cell.trim().replace('−', '-'))
  return found && (found[2] === '' || unit.test(found[2]!)) ? Number(found[1]!.replace(',', '.')) : undefined
}

/** °C, whichever degrees the cell or its column is in. */
function celsius(cell: string, column: string): number | undefined {
  const degrees = numberOf(cell, /^(?:°\s*)?[CF]$/i)
  const own = /[CF]$/i.exec(cell.trim())?.[0]
  const inF = own ? /F/i.test(own) : FAHRENHEIT.test(column)
  // [published: the definition of the Fahrenheit scale]
  return degrees === undefined || !inF ? degrees : Math.round(((degrees - 32) / 1.8) * 10) / 10
}

/**
 * Reads a forecast as CSV, whatever its separator: columns time, temperature in °C or, where it is said, °F, humidity in %, and surface if
 * there is one, named in the first row. A time is written like 2026-11-27 18:00, 2026-11-27T18 or 2026-11-27 6 PM; one with a zone is turned
 * into the time here.
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
    const cell = (c: number) => row[c] ?? ''
    const key = hourOf(cell(at.at))
    const air = celsius(cell(at.air), head[at.air]!)
    const humidity = numberOf(cell(at.humidity), /^%/)
    const refused = (c: number, why: string) => ({ ok: false as const, why: `Row ${i + 2}: "${cell(c)}" is ${why}.` })
    if (key === undefined) return refused(at.at, 'no time; write it like 2026-11-27 18:00')
    if (air === undefined || air < -40 || air > 60)
      return refused(at.air, 'no temperature from −40 to 60 °C, or as much in °F where that is said')
    if (humidity === undefined || humidity < 1 || humidity > 100) return refused(at.humidity, 'no humidity from 1 to 100 %')
    const surface = at.surface < 0 ? undefined : celsius(cell(at.surface), head[at.surface]!)
    // Of several readings within an hour the first stands for it.
    if (hours.has(key) || hours.size >= MOST) {
      skipped++
      continue
    }
    hours.set(key, { at: key, air, humidity, ...(surface !== undefined && surface >= -40 && surface <= 80 ? { surface } : {}) })
  }
  return { ok: true, hours: [...hours.values()].toSorted((a, b) => (a.at < b.at ? -1 : 1)), skipped }
}
