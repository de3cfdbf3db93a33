import { LBF, gaugeName, type SetupResult } from '@snug/core'

export function Pulls({ setup }: { setup: SetupResult }) {
  return (
    <table className="mt-2 w-full">
      <caption className="sr-only">Pull of each string</caption>
      <thead>
        <tr className="label text-left text-[14px] text-soft">
          <th>string</th>
          <th>gauge</th>
          <th className="text-right">newton</th>
          <th className="text-right">lbf</th>
        </tr>
      </thead>
      <tbody className="figure text-[15px]">
        {setup.pulls.map((p) => (
          <tr key={p.number} className="border-t border-hairline">
            <td className="py-1">
              {p.number} {p.note}{' '}
              <span className="font-text text-[13px] text-soft">
                {p.wound ? (p.coreEstimated ? 'wound, core estimated' : 'wound') : 'plain'}
              </span>
            </td>
            <td>{gaugeName(p.gauge)} thou</td>
            <td className="text-right">{p.newton.toFixed(1)}</td>
            <td className="text-right">{(p.newton / LBF).toFixed(1)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t border-ink font-bold">
          <td colSpan={2}>Together</td>
          <td className="figure text-right">{setup.total.toFixed(1)}</td>
          <td className="figure text-right">{(setup.total / LBF).toFixed(1)}</td>
        </tr>
      </tfoot>
    </table>
  )
}
