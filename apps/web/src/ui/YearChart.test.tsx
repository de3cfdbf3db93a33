import { cleanup, render } from '@testing-library/react'
import type { ChartData } from 'chart.js'
import { afterEach, expect, it, vi } from 'vitest'
import YearChart from './YearChart'

const drawn = vi.hoisted(() => ({ data: undefined as ChartData<'line'> | undefined }))
vi.mock('react-chartjs-2', () => ({
  Line: ({ data }: { data: ChartData<'line'> }) => {
    drawn.data = data
    return <figure />
  },
}))
// As a browser gives them.
vi.mock('./useThemeColours', () => ({
  useThemeColours: () => ({
    snug: 'rgb(42, 115, 83)',
    violet: 'rgb(76, 61, 143)',
    soft: 'rgb(90, 84, 76)',
    hairline: 'rgb(214, 205, 186)',
  }),
}))
afterEach(cleanup)

it('the wanted band is the ink of what goes, seen through, from the one limit to the other', () => {
  const chart = { labels: ['Jan', 'Jul'], values: [-0.3, -0.5], unit: 'mm', limits: { from: 0, to: 0.35 } }
  render(<YearChart table={{ title: 'The gap over the year', columns: [], rows: [], chart }} />)
  const [to, from, gap] = drawn.data!.datasets
  expect(to).toMatchObject({ data: [0.35, 0.35], fill: '+1', backgroundColor: 'rgba(42, 115, 83, 0.15)' })
  expect(from).toMatchObject({ data: [0, 0], borderColor: 'rgb(42, 115, 83)' })
  expect(gap).toMatchObject({ data: [-0.3, -0.5], borderColor: 'rgb(76, 61, 143)' })
})
