import { sandingSays, type FilmState, type PlaceRisk, type Sanding } from '@snug/core'
import { percent } from './words'

const spoken = (figure: string) => figure.replace('>', 'over ').replace('<', 'under ')

/** The odds of going through, with none and with each more clear: a bar each, the first under 5 % marked. */
export function OddsBars({
  state,
  sanding,
  more,
}: {
  state: FilmState
  sanding: Sanding
  more: readonly { more: number; worst: PlaceRisk }[]
}) {
  const first = more.find((m) => m.worst.chance < 0.05)
  const now = more[0]!.worst
  return (
    <section className="pt-2" aria-label="Odds of sanding through">
      <p>
        {sandingSays(sanding)}, it goes through to {state.under} in <b className="figure">{spoken(percent(now.chance))}</b> of 100, at{' '}
        {now.label} first.{' '}
        {now.chance < 0.05
          ? 'It can be cut.'
          : first
            ? `${first.more} more ${first.more === 1 ? 'coat brings' : 'coats bring'} it under 5.`
            : 'Six more do not help: level less, begin finer.'}
      </p>
      {now.chance >= 0.05 && (
        <div className="mt-1 flex items-end gap-3" aria-hidden="true">
          {more.map((m) => (
            <div key={m.more} className="w-12 text-center">
              <div
                className={m.more === first?.more ? 'bg-violet' : 'bg-violet/35'}
                style={{ height: `${Math.max(2, 44 * m.worst.chance)}px` }}
              />
              <div className="figure text-[12px] leading-tight">
                {percent(m.worst.chance)} %
                <br />+{m.more}
              </div>
            </div>
          ))}
        </div>
      )}
    </section>
  )
}
