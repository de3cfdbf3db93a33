import type { DetailTable } from '@snug/core'
import { CategoryScale, Chart, Filler, LinearScale, LineElement, PointElement } from 'chart.js'
import { Line } from 'react-chartjs-2'
import { useThemeColours } from './useThemeColours'

Chart.register(LinearScale, CategoryScale, PointElement, LineElement, Filler)

/** A small line over a few labels, with the wanted range as a band. */
export default function YearChart({ table }: { table: DetailTable & { chart: NonNullable<DetailTable['chart']> } }) {
  const { labels, values, unit, limits } = table.chart
  const c = useThemeColours()
  const flat = (y: number) => labels.map(() => y)
  return (
    <div className="h-36">
      <Line
        aria-label={`${table.title}: from ${Math.min(...values).toFixed(2)} to ${Math.max(...values).toFixed(2)} ${unit}`}
        role="img"
        data={{
          labels,
          datasets: [
            ...(limits
              ? [
                  {
                    data: flat(limits.to),
                    borderColor: c.snug,
                    borderWidth: 0.7,
                    pointRadius: 0,
                    fill: '+1',
                    backgroundColor: `${c.snug}26`,
                  },
                  { data: flat(limits.from), borderColor: c.snug, borderWidth: 0.7, pointRadius: 0 },
                ]
              : []),
            { data: values, borderColor: c.violet, borderWidth: 2, pointRadius: 1.5, tension: 0.35 },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          plugins: { legend: { display: false }, tooltip: { enabled: false } },
          scales: {
            x: { ticks: { color: c.soft, font: { size: 11 } }, grid: { display: false } },
            y: {
              title: { display: true, text: unit, color: c.soft },
              ticks: { color: c.soft, font: { size: 11 } },
              grid: { color: c.hairline },
            },
          },
        }}
      />
    </div>
  )
}
