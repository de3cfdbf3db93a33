import { INTO_WOOD, NOT_AT_HOME, type NextOffer } from '@snug/core'

const WORD = { cure: 'after cure', test: 'test first', never: 'no' } as const

/** What may be laid next: a press lays it; what does not hold says why, and can be laid where it does. */
export function Palette({
  offers,
  onLay,
  onLayBefore,
}: {
  offers: readonly NextOffer[]
  onLay: (product: string, byLabel?: boolean) => void
  /** @param at how many layers lie under it */
  onLayBefore: (product: string, at: number) => void
}) {
  const good = offers.filter((o) => o.said?.follow !== 'never')
  const not = offers.filter((o) => o.said?.follow === 'never')
  return (
    <section className="mt-3 border-t border-hairline bg-canvas/50 px-4 py-2" aria-label="Lay one more">
      <h3 className="label font-semibold">Lay one more</h3>
      <div className="mt-1 flex flex-wrap gap-2">
        {good.map((o) => (
          <button
            key={o.id}
            type="button"
            title={o.said?.says ?? o.product.how}
            onClick={() => onLay(o.id)}
            className="min-h-10 rounded border border-hairline bg-sheet px-2 text-left text-[14px] leading-tight hover:border-violet"
          >
            {o.product.label}
            {o.said && <span className="text-mind"> · {WORD[o.said.follow]}</span>}
          </button>
        ))}
      </div>
      <details className="mt-2 text-[14px] text-soft">
        <summary className="min-h-8">Not offered here, and why ({not.length + 1})</summary>
        <ul>
          {not.map((o) => (
            <li key={o.id}>
              {o.product.label}: {o.said!.says}
              <span className="block">
                {o.before !== undefined && (
                  <button type="button" className="mr-3 min-h-8 underline" onClick={() => onLayBefore(o.id, o.before!)}>
                    Lay {o.product.label.toLowerCase()} there
                  </button>
                )}
                {!INTO_WOOD.includes(o.product.medium) && (
                  <button type="button" className="min-h-8 underline" onClick={() => onLay(o.id, true)}>
                    Its label says it holds: lay {o.product.label.toLowerCase()}
                  </button>
                )}
              </span>
            </li>
          ))}
          <li>
            {NOT_AT_HOME.label}: {NOT_AT_HOME.why}
          </li>
        </ul>
      </details>
    </section>
  )
}
