import type { Drawing, Mark } from '@snug/core'
import type { ReactElement, ReactNode } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { DrawingView } from '../drawing/DrawingView'
import { LongView, type Pin } from '../longview/LongView'
import { useBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'

interface Props {
  pins?: readonly Pin[]
  overlay?: readonly Mark[]
  selected?: string | undefined
  onPick?: (id: string) => void
  /** A drawing of the thing in hand, or what stands in its place. */
  loupe: Drawing | ReactElement | undefined
  fromSide?: boolean
  /** Left: what there is. Right: the one thing in hand. */
  list: ReactNode
  hand: ReactNode
  listLabel: string
}

/** How every station is laid out: long view and loupe above, the list and the thing in hand below. */
export function Workspace({ pins, overlay, selected, onPick, loupe, list, hand, listLabel, fromSide = false }: Props) {
  const build = useBuild((s) => s.build)
  const stage = usePrefs((p) => p.stage)
  // The bar of a trial lies over the foot of the bench; what is under it can still be scrolled up.
  const foot = useBuild((s) => s.trial !== undefined) ? 'pb-24' : ''
  return (
    <div className={`workspace stage-${stage}`}>
      <div className="ws-long border-b border-hairline">
        <ErrorBoundary resetKeys={[build]} fallback={<Empty>The instrument cannot be drawn from these sizes.</Empty>}>
          <LongView
            {...(pins ? { pins } : {})}
            {...(overlay ? { overlay } : {})}
            selected={selected}
            fromSide={fromSide}
            {...(onPick ? { onPick } : {})}
          />
        </ErrorBoundary>
      </div>
      {stage !== 'whole' && (
        <>
          <section aria-label="Loupe" className="ws-loupe border-b border-l border-hairline bg-sheet">
            {loupe && ('marks' in loupe ? <DrawingView drawing={loupe} /> : loupe)}
          </section>
          <section aria-label={listLabel} className={`ws-list overflow-auto ${foot}`} tabIndex={-1}>
            {list}
          </section>
          <section aria-label="In hand" tabIndex={-1} className={`ws-hand overflow-auto border-l border-hairline px-5 py-3 ${foot}`}>
            {hand}
          </section>
        </>
      )}
    </div>
  )
}

/** Said where a station has nothing to show yet: what to do next. */
export const Empty = ({ children }: { children: ReactNode }) => <div className="p-6 text-soft">{children}</div>
