import type { PitchLine } from '@snug/core'
import { CategoryScale, Chart, LinearScale, LineElement, PointElement, type ChartData, type ChartOptions } from 'chart.js'
import { useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { useThemeColours } from '../../ui/useThemeColours'

Chart.register(LinearScale, CategoryScale, PointElement, LineElement)

/** Cents over the frets: the string in hand heavy, dashed as it will be once its saddle is moved, the others thin beside it. */
export default function PitchChart({ lines, then, seen }: { lines: readonly PitchLine[]; then: PitchLine | undefined; seen: number }) {
  const c = useThemeColours()
  const data = useMemo(
    (): ChartData<'line'> => ({
      labels: (lines[0]?.cents ?? []).map((_, i) => String(i + 1)),
      datasets: [
        ...lines.map((l) => ({
          data: l.cents,
          borderColor: l.number === seen ? c.violet : c.soft,
          borderWidth: l.number === seen ? 2.6 : 0.8,
          pointRadius: l.number === seen ? 2 : 0,
        })),
        ...(then ? [{ data: then.cents, borderColor: c.violet, borderWidth: 1.6, borderDash: [6, 4], pointRadius: 0 }] : []),
      ],
    }),
    [lines, then, seen, c],
  )
  const options = useMemo((): ChartOptions<'line'> => {
    const ticks = { color: c.soft, font: { size: 11 } }
    return {
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: { ticks, grid: { display: false }, title: { display: true, text: 'fret', color: c.soft } },
        y: {
          ticks,
          grid: { color: c.hairline },
          title: { display: true, text: 'cents off', color: c.soft },
          suggestedMin: -6,
          suggestedMax: 12,
        },
      },
    }
  }, [c])
  const mine = lines.find((l) => l.number === seen)
  return (
    <div className="h-72 px-4 pt-2">
      <Line
        role="img"
        aria-label={`String ${seen}: from ${Math.min(...(mine?.cents ?? [0])).toFixed(1)} to ${Math.max(...(mine?.cents ?? [0])).toFixed(1)} cents over the frets`}
        data={data}
        options={options}
      />
    </div>
  )
}
