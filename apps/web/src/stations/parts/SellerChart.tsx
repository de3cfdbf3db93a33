import { spending } from '@snug/core'
import { Bar } from 'react-chartjs-2'
import { useOpenBuild } from '../../state/buildStore'
import { useThemeColours } from '../../ui/useThemeColours'

export function SellerChart() {
  const sum = spending(useOpenBuild())
  const c = useThemeColours()
  const rows = sum.sellers.filter((s) => s.planned + s.shipping > 0)
  return (
    <figure className="flex h-full flex-col p-3">
      <figcaption className="label text-[13px] text-soft uppercase">
        Money by seller · grey paid · violet to pay · copper postage
      </figcaption>
      <div className="min-h-0 flex-1">
        <Bar
          role="img"
          aria-label={`Planned money by seller: ${rows.map((s) => `${s.seller} ${(s.planned + s.shipping).toFixed(0)}`).join(', ')}`}
          data={{
            labels: rows.map((s) => s.seller),
            datasets: [
              { data: rows.map((s) => s.paid), backgroundColor: c.soft, barThickness: 12 },
              { data: rows.map((s) => s.planned - s.paid), backgroundColor: c.violet, barThickness: 12 },
              { data: rows.map((s) => s.shipping), backgroundColor: c.copper, barThickness: 12 },
            ],
          }}
          options={{
            indexAxis: 'y',
            animation: false,
            maintainAspectRatio: false,
            plugins: { legend: { display: false }, tooltip: { enabled: false } },
            scales: {
              x: { stacked: true, ticks: { color: c.soft, font: { size: 11 } }, grid: { color: c.hairline } },
              y: { stacked: true, ticks: { color: c.ink, font: { family: 'Barlow Condensed', size: 13 } }, grid: { display: false } },
            },
          }}
        />
      </div>
    </figure>
  )
}
