import {
  counted,
  DEW_MARGIN,
  forecastDays,
  setFinish,
  simulatedWeather,
  type FinishResult,
  type ForecastHour,
  type Layer,
} from '@snug/core'
import { readForecastCsv } from '@snug/formats/forecastCsv'
import { lazy, Suspense, useMemo, useState } from 'react'
import { toast } from 'sonner'
import { today } from '../../state/today'
import { useBuild, useOpenBuild } from '../../state/buildStore'
import { Button } from '../../ui/Button'
import { FileButton } from '../../ui/FileButton'
import { NumberEntry } from '../../ui/NumberEntry'
import { day } from '../../ui/times'

const WeatherChart = lazy(() => import('./WeatherChart'))

/** A week of hours: which of them allow a coat of what comes next, and why the others do not. */
export function ForecastBoard({ finish }: { finish: FinishResult }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const forecast = build.finish.forecast
  const product = nextLayer(finish)
  const days = useMemo(() => (forecast && product ? forecastDays(forecast, product) : []), [forecast, product])
  const [date, setDate] = useState<string>()
  const seen = days.find((d) => d.date === date) ?? days[0]
  const put = (hours: ForecastHour[] | undefined, says: string) => change((b) => setFinish(b, 'forecast', hours, says))
  const read = async (file: File) => {
    const found = readForecastCsv(await file.text())
    if (!found.ok) {
      toast.error(found.why)
      return
    }
    put(found.hours, `Forecast: ${counted(found.hours.length, 'hour')} from ${file.name}`)
    if (found.skipped) toast(`${counted(found.skipped, 'row')} left out: several readings within an hour, or more than a document holds.`)
  }
  return (
    <section className="px-4 pt-2" aria-label="Forecast">
      <div className="flex flex-wrap items-center gap-2">
        <Button onClick={() => put(simulatedWeather(seedOf(today()), today()), 'Forecast of the simulated station')}>
          Ask the simulated station
        </Button>
        <FileButton name="Forecast as CSV" accept=".csv,.txt,text/csv" onFile={(f) => void read(f)}>
          Read a CSV
        </FileButton>
        <TypedDay onDay={(hours) => put(merged(forecast, hours), `Forecast typed for ${hours[0]!.at.slice(0, 10)}`)} />
        {forecast && (
          <Button look="quiet" onClick={() => put(undefined, 'Forecast put away')}>
            Put it away
          </Button>
        )}
      </div>
      {!forecast && (
        <p className="mt-2 text-soft">
          No forecast yet. From the station, a file, or typed: then each day shows the hours in which{' '}
          {product ? product.label.toLowerCase() : 'a coat'} may go on.
        </p>
      )}
      {product && days.length > 0 && seen && (
        <>
          <p className="mt-2">
            Hours for <b>{product.label.toLowerCase()}</b>: {product.limits.air[0]} to {product.limits.air[1]} °C, at most{' '}
            {product.limits.humidity[1]} %, {DEW_MARGIN} °C over the dew point.
          </p>
          <table className="mt-1 w-full text-[14px]">
            <caption className="sr-only">Hours that allow {product.label}</caption>
            <tbody>
              {days.map((d) => (
                <tr key={d.date} className="border-t border-hairline">
                  <th scope="row" className="pr-2 text-left font-normal whitespace-nowrap">
                    <button
                      type="button"
                      aria-pressed={d.date === seen.date}
                      className={`min-h-9 ${d.date === seen.date ? 'font-semibold text-violet' : ''}`}
                      onClick={() => setDate(d.date)}
                    >
                      {day(d.date)}
                    </button>
                  </th>
                  <td className="w-full">
                    <div className="flex h-5" aria-hidden="true">
                      {d.hours.map((h) => (
                        <span
                          key={h.hour}
                          title={`${h.hour}:00, ${h.at.air} °C, ${h.at.humidity} %${h.verdict.ok ? '' : `: ${h.verdict.says[0]}`}`}
                          className={`h-full flex-1 border-r border-paper ${h.verdict.ok ? 'bg-snug' : 'bg-hairline'}`}
                        />
                      ))}
                    </div>
                  </td>
                  <td className="figure pl-2 text-right whitespace-nowrap">{d.best ? `${d.best.from}–${d.best.to} h` : 'none'}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <Suspense fallback={<div className="h-44" />}>
            <WeatherChart day={seen} product={product} />
          </Suspense>
          <p className="text-[14px] text-soft">{why(seen)}</p>
        </>
      )}
    </section>
  )
}

/** The next product that is sprayed, for which the hours count; the next of any kind where none is. */
function nextLayer(finish: FinishResult): Layer | undefined {
  const open = (finish.plan?.coats ?? []).filter((c) => !c.laid)
  const layerOf = (c: (typeof open)[number] | undefined) =>
    finish.groups.find((g) => g.id === c?.group)?.layers.find((l) => l.key === c?.layer)
  return open.map(layerOf).find((l) => l?.applied === 'spray') ?? layerOf(open[0]) ?? finish.groups[0]?.layers.at(-1)
}

/** Why the day has no hour, or no more: the reason that stands in most of its hours. */
function why(d: ReturnType<typeof forecastDays>[number]): string {
  const against = d.hours.filter((h) => !h.verdict.ok)
  if (!against.length) return 'The whole day allows it. A body from a colder room is not as warm as the air: its surface counts.'
  const worst = against.toSorted((a, b) => b.verdict.says.length - a.verdict.says.length)[0]!
  return `At ${worst.hour}:00: ${worst.verdict.says.join(' ')}`
}

const seedOf = (date: string) => Number(date.replaceAll('-', ''))

const merged = (old: readonly ForecastHour[] | undefined, add: readonly ForecastHour[]): ForecastHour[] =>
  [...(old ?? []).filter((h) => !add.some((a) => a.at === h.at)), ...add].toSorted((a, b) => (a.at < b.at ? -1 : 1)).slice(-400)

/** A day as the radio tells it: coldest at six, warmest at three, damp at both. */
function TypedDay({ onDay }: { onDay: (hours: ForecastHour[]) => void }) {
  const [open, setOpen] = useState(false)
  const [date, setDate] = useState(today())
  const [low, setLow] = useState(8)
  const [high, setHigh] = useState(16)
  const [damp, setDamp] = useState(60)
  if (!open) return <Button onClick={() => setOpen(true)}>Type a day</Button>
  const hours = (): ForecastHour[] =>
    Array.from({ length: 24 }, (_, h) => {
      const warm = (1 + Math.cos(((h - 15) / 24) * 2 * Math.PI)) / 2
      const air = Math.round((low + (high - low) * warm) * 10) / 10
      // The same water in colder air is damper: about three hundredths for each degree.
      const humidity = Math.min(99, Math.max(1, Math.round(damp + (high - air) * 3)))
      return { at: `${date}T${String(h).padStart(2, '0')}`, air, humidity }
    })
  return (
    <div className="flex flex-wrap items-end gap-2">
      <label className="label text-[14px] text-soft">
        Day
        <input
          type="date"
          className="block min-h-10 rounded border border-hairline bg-sheet px-2 text-ink"
          value={date}
          onChange={(e) => e.target.value && setDate(e.target.value)}
        />
      </label>
      <div className="w-24">
        <NumberEntry label="Coldest, °C" value={low} from={-40} to={60} onCommit={setLow} />
      </div>
      <div className="w-24">
        <NumberEntry label="Warmest, °C" value={high} from={-40} to={60} onCommit={setHigh} />
      </div>
      <div className="w-28">
        <NumberEntry label="% when warmest" value={damp} from={1} to={100} onCommit={setDamp} />
      </div>
      <Button
        look="main"
        onClick={() => {
          onDay(hours())
          setOpen(false)
        }}
      >
        Take the day
      </Button>
    </div>
  )
}
