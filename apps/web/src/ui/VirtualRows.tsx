import { useVirtualizer } from '@tanstack/react-virtual'
import { useEffect, useRef, type ReactNode } from 'react'

/** Height of one row, px: all are alike, so that thousands of them need no measuring. */
const ROW = 54

/** A list of any length in a frame of its own: only what is in sight is drawn. */
export function VirtualRows<T extends { id: string }>({
  items,
  hand,
  onNearEnd,
  testId,
  row,
}: {
  items: readonly T[]
  hand: T | undefined
  /** The last rows there are come into sight. */
  onNearEnd?: () => void
  testId?: string
  row: (item: T) => ReactNode
}) {
  const scroller = useRef<HTMLDivElement>(null)
  const rows = useVirtualizer({ count: items.length, getScrollElement: () => scroller.current, estimateSize: () => ROW, overscan: 8 })
  const shown = rows.getVirtualItems()
  const last = shown.at(-1)?.index ?? 0
  const near = items.length > 0 && last >= items.length - 20
  useEffect(() => {
    if (near) onNearEnd?.()
  }, [near, onNearEnd])
  const at = hand ? items.indexOf(hand) : -1
  useEffect(() => {
    if (at > 0) rows.scrollToIndex(at, { align: 'auto' })
  }, [at, rows])
  return (
    <div ref={scroller} className="min-h-0 flex-1 overflow-auto max-[820px]:h-[50vh] max-[820px]:flex-none" data-testid={testId}>
      <ul className="relative" style={{ height: rows.getTotalSize() }}>
        {shown.map((v) => {
          const item = items[v.index]!
          return (
            <li key={item.id} className="absolute inset-x-0" style={{ height: ROW, transform: `translateY(${v.start}px)` }}>
              {row(item)}
            </li>
          )
        })}
      </ul>
    </div>
  )
}
