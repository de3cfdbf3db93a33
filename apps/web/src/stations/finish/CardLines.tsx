import { setFinish, type FinishCard } from '@snug/core'
import { useState } from 'react'
import { useBuild, useOpenBuild } from '../../state/buildStore'

/** The lines of a card with boxes to tick; what hurts or cannot be undone is asked before the first. */
export function CardLines({ card }: { card: FinishCard }) {
  const build = useOpenBuild()
  const change = useBuild((s) => s.change)
  const ticked = build.finish.ticked ?? {}
  const key = (i: number) => `${card.id}-${i}`
  const begun = card.lines.some((_, i) => ticked[key(i)])
  const [sure, setSure] = useState(false)
  const may = !card.confirm || begun || sure
  const tick = (i: number, on: boolean) => {
    const { [key(i)]: _, ...others } = ticked
    change((b) =>
      setFinish(b, 'ticked', on ? { ...others, [key(i)]: true } : others, `${card.title}: ${on ? 'done' : 'not done'}, line ${i + 1}`),
    )
  }
  return (
    <div className="mt-2">
      {card.confirm && !begun && (
        <label className="flex min-h-12 items-start gap-3 border-l-4 border-copper bg-canvas p-2">
          <input
            type="checkbox"
            className="mt-1 size-5 shrink-0 accent-[var(--violet)]"
            checked={sure}
            onChange={(e) => setSure(e.target.checked)}
          />
          {card.confirm}
        </label>
      )}
      <ol>
        {card.lines.map((line, i) => (
          <li key={line}>
            <label className="flex min-h-10 items-start gap-3 py-1">
              <input
                type="checkbox"
                className="mt-1 size-5 shrink-0 accent-[var(--violet)]"
                disabled={!may}
                checked={ticked[key(i)] === true}
                onChange={(e) => tick(i, e.target.checked)}
              />
              <span className={ticked[key(i)] ? 'text-soft line-through' : ''}>{line}</span>
            </label>
          </li>
        ))}
      </ol>
    </div>
  )
}
