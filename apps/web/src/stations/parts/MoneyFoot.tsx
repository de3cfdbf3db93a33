import type { Spending } from '@snug/core'

/** What a build costs, in one line at the foot of a list. */
export const MoneyFoot = ({ sum, currency }: { sum: Spending; currency: string }) => (
  <>
    <span>
      Planned <b className="figure">{sum.planned.toFixed(2)}</b> {currency}
    </span>
    <span>
      Paid <b className="figure">{sum.paid.toFixed(2)}</b>
    </span>
    {sum.left !== undefined && (
      <span className={sum.left < 0 ? 'text-wont' : ''}>
        Budget left <b className="figure">{sum.left.toFixed(2)}</b>
      </span>
    )}
    {sum.saved !== undefined && (
      <span>
        {sum.saved < 0 ? 'Dearer' : 'Cheaper'} than the originals by <b className="figure">{Math.abs(sum.saved).toFixed(2)}</b>
      </span>
    )}
    {sum.profit !== undefined && (
      <span className={sum.profit < 0 ? 'text-wont' : ''}>
        {sum.profit < 0 ? 'Lost' : 'Left'} when sold <b className="figure">{Math.abs(sum.profit).toFixed(2)}</b>
      </span>
    )}
    {sum.unpriced > 0 && <span className="text-soft">{sum.unpriced} without a price</span>}
  </>
)
