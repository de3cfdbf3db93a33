import type { Build, Drawing, Mark } from '@snug/core'
import { ArrowLeft } from 'lucide-react'
import { useEffect, useRef, type MouseEvent, type ReactElement, type ReactNode } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { useLocation, useNavigate } from 'react-router'
import { DrawingView } from '../drawing/DrawingView'
import { LongView, type Pin } from '../longview/LongView'
import { useBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { Button } from '../ui/Button'

interface LongProps {
  /** The build as it was earlier, drawn in place of the open one. */
  build?: Build
  pins?: readonly Pin[]
  paint?: (marks: Mark[], view: 'front' | 'back' | 'side') => Mark[]
  overlay?: readonly Mark[]
  selected?: string | undefined
  onPick?: (id: string) => void
}

interface Props extends LongProps {
  /** A drawing of the thing in hand, or what stands in its place. */
  loupe: Drawing | ReactElement | undefined
  fromSide?: boolean
  /** Left: what there is. Right: the one thing in hand. */
  list: ReactNode
  hand: ReactNode
  listLabel: string
}

/** Where all stands in one column; as app/layout.css has it. */
const ONE_COLUMN = '(max-width: 820px)'

/** How every station is laid out: long view and loupe above, the list and the thing in hand below. */
export function Workspace({ loupe, list, hand, listLabel, fromSide = false, ...long }: Props) {
  const stage = usePrefs((p) => p.stage)
  const foot = useFoot()
  const { over, listRef, overList, back } = useOverList()
  return (
    <div className={`workspace stage-${stage}`}>
      <Long {...long} fromSide={fromSide} />
      {stage !== 'whole' && (
        <>
          <section aria-label="Loupe" className="ws-loupe border-b border-l border-hairline bg-sheet">
            {loupe && ('marks' in loupe ? <DrawingView drawing={loupe} /> : loupe)}
          </section>
          <section ref={listRef} aria-label={listLabel} className={`ws-list overflow-auto ${foot}`} tabIndex={-1} onClick={overList}>
            {/* What stands in it is under it, for whoever goes by headings. */}
            <h2 className="sr-only">{listLabel}</h2>
            {list}
          </section>
          <section
            aria-label="In hand"
            tabIndex={-1}
            className={`ws-hand overflow-auto border-l border-hairline px-5 py-3 ${over ? 'ws-over' : ''} ${foot}`}
            onKeyDown={(e) => e.key === 'Escape' && back()}
          >
            {over && (
              <Button className="mb-3" onClick={back}>
                <ArrowLeft size={16} aria-hidden /> Back to the list
              </Button>
            )}
            {hand}
          </section>
        </>
      )}
    </div>
  )
}

/**
 * Where everything stands in one column, what is picked from the list opens over it: it would change far above what the hand sees.
 * It is a place of its own in the history, so that the way back of a telephone closes it and does not leave the station.
 */
function useOverList() {
  const navigate = useNavigate()
  const over = (useLocation().state as { over?: true } | null)?.over === true
  const list = useRef<HTMLElement>(null)
  const wasOver = useRef(over)
  useEffect(() => {
    // The list has moved down by what lies above it again.
    if (wasOver.current && !over)
      list.current
        ?.querySelector('[aria-current="true"]')
        ?.scrollIntoView({ block: window.matchMedia?.(ONE_COLUMN).matches ? 'center' : 'nearest' })
    wasOver.current = over
  }, [over])
  return {
    over,
    listRef: list,
    overList: (e: MouseEvent<HTMLElement>) => {
      if (!(e.target as Element).closest('li button') || !window.matchMedia?.(ONE_COLUMN).matches) return
      // After what was picked stands in the address. Whatever else is picked meanwhile, by a key, is in the same place.
      const here = () => ({ search: window.location.search, pathname: window.location.pathname })
      setTimeout(() => void navigate(here(), { state: { over: true }, replace: over }))
    },
    back: () => {
      if (over) void navigate(-1)
    },
  }
}

interface BoardProps extends LongProps {
  /** The drawing the work is done on, with all that belongs to it. */
  board: ReactNode
  boardLabel: string
  hand: ReactNode
}

/** When the work is a drawing: the long view folds to its strip, the board takes its place and the list's, the hand stays where it is. */
export function Board({ board, boardLabel, hand, ...long }: BoardProps) {
  const stage = usePrefs((p) => p.stage)
  const foot = useFoot()
  return (
    <div className={`workspace ${stage === 'whole' ? 'stage-whole' : 'with-board'}`}>
      <Long {...long} fromSide={false} />
      {stage !== 'whole' && (
        <>
          <section aria-label={boardLabel} className={`ws-board overflow-auto ${foot}`} tabIndex={-1}>
            {board}
          </section>
          <section aria-label="In hand" tabIndex={-1} className={`ws-hand overflow-auto border-l border-hairline px-5 py-3 ${foot}`}>
            {hand}
          </section>
        </>
      )}
    </div>
  )
}

/** The bar of a trial lies over the foot of the bench; what is under it can still be scrolled up. */
const useFoot = () => (useBuild((s) => s.trial !== undefined) ? 'pb-24' : '')

function Long({ build: other, pins, paint, overlay, selected, onPick, fromSide }: LongProps & { fromSide: boolean }) {
  const open = useBuild((s) => s.build)
  const build = other ?? open
  return (
    <div className="ws-long border-b border-hairline">
      <ErrorBoundary resetKeys={[build]} fallback={<Empty>The instrument cannot be drawn from these sizes.</Empty>}>
        <LongView
          {...(other ? { build: other } : {})}
          {...(pins ? { pins } : {})}
          {...(paint ? { paint } : {})}
          {...(overlay ? { overlay } : {})}
          selected={selected}
          fromSide={fromSide}
          {...(onPick ? { onPick } : {})}
        />
      </ErrorBoundary>
    </div>
  )
}

/** Said where a station has nothing to show yet: what to do next. */
export const Empty = ({ children }: { children: ReactNode }) => <div className="p-6 text-soft">{children}</div>
