import { positionWords } from './positionWords'
import { frequencies, type ToleranceBand } from '@snug/core'
import {
  CategoryScale,
  Chart,
  LinearScale,
  LineElement,
  LogarithmicScale,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
} from 'chart.js'
import { useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { useThemeColours } from '../../ui/useThemeColours'
import type { Laid } from './CircuitFile'
import type { PositionCurve } from '../../workers/positionCurve'

Chart.register(LineElement, PointElement, LinearScale, LogarithmicScale, CategoryScale, Tooltip)

const HERTZ = frequencies(200)
const TICKS = [20, 50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000]

/** Loudness over pitch: the position in hand heavy, the others thin beside it. */
export function ResponseChart({
  curves,
  position,
  label,
  band,
  laid,
}: {
  curves: readonly PositionCurve[]
  position: string
  label: string
  /** Within which the curve in hand lies when its parts are as they come. */
  band?: ToleranceBand | undefined
  /** A circuit from a file, laid over it. */
  laid?: Laid | undefined
}) {
  const colours = useThemeColours()
  const data = useMemo((): ChartData<'line', { x: number; y: number }[]> => {
    return {
      datasets: curves
        .toSorted((a, b) => Number(a.id === position) - Number(b.id === position))
        .map((c) => ({
          label: positionWords(c.id),
          data: [...c.gains].map((y, i) => ({ x: HERTZ[i]!, y })),
          borderColor: c.id === position ? colours.violet : colours.soft,
          borderWidth: c.id === position ? 2.5 : 0.8,
          pointRadius: 0,
        }))
        .concat(
          band
            ? [band.low, band.high].map((edge, i) => ({
                label: i ? 'highest of 95 in 100' : 'lowest of 95 in 100',
                data: [...edge].map((y, k) => ({ x: HERTZ[k]!, y })),
                borderColor: colours.copper,
                borderWidth: 1.2,
                borderDash: [2, 2],
                pointRadius: 0,
              }))
            : [],
        )
        .concat(
          laid
            ? [
                {
                  label: laid.name,
                  data: [...laid.gains].map((y, k) => ({ x: HERTZ[k]!, y })),
                  borderColor: colours.ink,
                  borderWidth: 1.6,
                  pointRadius: 0,
                },
              ]
            : [],
        ),
    }
  }, [curves, position, colours, band, laid])
  const options = useMemo((): ChartOptions<'line'> => {
    const { soft: ink, hairline: line } = colours
    const font = { family: 'Barlow Condensed', size: 13 }
    const numbers = { family: 'JetBrains Mono Variable', size: 11 }
    return {
      animation: false,
      maintainAspectRatio: false,
      parsing: false,
      normalized: true,
      interaction: { mode: 'nearest', axis: 'x', intersect: false },
      plugins: {
        tooltip: {
          callbacks: {
            title: ([t]) => `${Math.round(t!.parsed.x ?? 0)} Hz`,
            label: (t) => `${t.dataset.label}: ${(t.parsed.y ?? 0).toFixed(1)} dB`,
          },
        },
      },
      scales: {
        x: {
          type: 'logarithmic',
          min: 20,
          max: 20000,
          grid: { color: line },
          title: { display: true, text: 'Hz', color: ink, font },
          afterBuildTicks: (axis) => (axis.ticks = TICKS.map((value) => ({ value }))),
          ticks: { color: ink, font: numbers, callback: (v) => (Number(v) >= 1000 ? `${Number(v) / 1000}k` : String(v)) },
        },
        y: {
          suggestedMin: -30,
          suggestedMax: 12,
          grid: { color: line },
          title: { display: true, text: 'dB re one coil', color: ink, font },
          ticks: { color: ink, font: numbers, stepSize: 10, callback: (v) => String(v).replace('-', '−') },
        },
      },
    }
  }, [colours])
  return <Line data={data} options={options} aria-label={label} role="img" />
}
