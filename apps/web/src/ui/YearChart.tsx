import type { DetailTable } from '@snug/core'
import { CategoryScale, Chart, Filler, LinearScale, LineElement, PointElement, type ChartData, type ChartOptions } from 'chart.js'
import { color } from 'chart.js/helpers'
import { useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { useThemeColours } from './useThemeColours'

Chart.register(LinearScale, CategoryScale, PointElement, LineElement, Filler)

/** The band is seen through, so that the lines of the grid are. Where the page has no inks yet there is none. */
function bandOf(ink: string): string {
  const wash = color(ink)
  return wash.valid ? wash.alpha(0.15).rgbString() : 'transparent'
}

/** A small line over a few labels, with the wanted range as a band; drawn anew only when its numbers or the theme change. */
export default function YearChart({ table }: { table: DetailTable & { chart: NonNullable<DetailTable['chart']> } }) {
  const { labels, values, unit, limits } = table.chart
  const c = useThemeColours()
  const data = useMemo((): ChartData<'line'> => {
    const limit = (y: number) => ({ data: labels.map(() => y), borderColor: c.snug, borderWidth: 0.7, pointRadius: 0 })
    const band = limits ? [{ ...limit(limits.to), fill: '+1', backgroundColor: bandOf(c.snug) }, limit(limits.from)] : []
    return { labels, datasets: [...band, { data: values, borderColor: c.violet, borderWidth: 2, pointRadius: 1.5, tension: 0.35 }] }
  }, [labels, values, limits, c])
  const options = useMemo((): ChartOptions<'line'> => {
    const ticks = { color: c.soft, font: { size: 11 } }
    return {
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: { ticks, grid: { display: false } },
        y: { title: { display: true, text: unit, color: c.soft }, ticks, grid: { color: c.hairline } },
      },
    }
  }, [unit, c])
  return (
    <div className="h-36">
      <Line
        aria-label={`${table.title}: from ${Math.min(...values).toFixed(2)} to ${Math.max(...values).toFixed(2)} ${unit}`}
        role="img"
        data={data}
        options={options}
      />
    </div>
  )
}
