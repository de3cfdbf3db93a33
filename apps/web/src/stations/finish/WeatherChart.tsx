import type { forecastDays, Layer } from '@snug/core'
import { CategoryScale, Chart, LinearScale, LineElement, PointElement, type ChartData, type ChartOptions } from 'chart.js'
import { useMemo } from 'react'
import { Line } from 'react-chartjs-2'
import { useThemeColours } from '../../ui/useThemeColours'

Chart.register(LinearScale, CategoryScale, PointElement, LineElement)

/** One day's air and its dew point with the product's limits; where the two lines come within 3 degrees nothing is coated. */
export default function WeatherChart({ day, product }: { day: ReturnType<typeof forecastDays>[number]; product: Layer }) {
  const c = useThemeColours()
  const data = useMemo((): ChartData<'line'> => {
    const line = (values: number[], colour: string, width: number, dash: number[] = []) => ({
      data: values,
      borderColor: colour,
      borderWidth: width,
      borderDash: dash,
      pointRadius: 0,
      tension: 0.3,
    })
    return {
      labels: day.hours.map((h) => `${h.hour}`),
      datasets: [
        line(
          day.hours.map((h) => h.at.air),
          c.violet,
          2.4,
        ),
        line(
          day.hours.map((h) => h.verdict.dewPoint),
          c.soft,
          1.6,
          [5, 4],
        ),
        line(
          day.hours.map(() => product.limits.air[0]),
          c.snug,
          0.8,
        ),
      ],
    }
  }, [day, product, c])
  const options = useMemo((): ChartOptions<'line'> => {
    const ticks = { color: c.soft, font: { size: 11 } }
    return {
      animation: false,
      maintainAspectRatio: false,
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: { ticks, grid: { display: false }, title: { display: true, text: 'hour', color: c.soft } },
        y: { ticks, grid: { color: c.hairline }, title: { display: true, text: '°C: air, dew point dashed', color: c.soft } },
      },
    }
  }, [c])
  const airs = day.hours.map((h) => h.at.air)
  return (
    <div className="h-44">
      <Line
        role="img"
        aria-label={`Air from ${Math.min(...airs)} to ${Math.max(...airs)} °C with its dew point, hour by hour`}
        data={data}
        options={options}
      />
    </div>
  )
}
