import { startTransition, useEffect, useState } from 'react'

const canWait = () => typeof requestIdleCallback === 'function'

/**
 * A long list a piece at a time, so that the page stays free for the hand between the pieces: the first at once, the next whenever the
 * browser has nothing better to do. Where a browser cannot say so, all at once.
 * @param key names the list; another one begins anew
 */
export function useGradually<T>(list: readonly T[], piece: number, key: string): readonly T[] {
  const [shown, setShown] = useState({ key, count: piece })
  const count = !canWait() ? list.length : shown.key === key ? shown.count : piece
  const more = count < list.length
  useEffect(() => {
    if (!more) return
    const waiting = requestIdleCallback(() => startTransition(() => setShown({ key, count: count + piece })), { timeout: 200 })
    return () => cancelIdleCallback(waiting)
  }, [more, count, key, piece])
  return list.slice(0, count)
}
