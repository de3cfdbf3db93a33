import { useEffect } from 'react'

/** What the window is called, the nearest first: tabs, the history, a bookmark and a printed page go by it, and readers say it on arrival. */
export function useTitle(...parts: readonly (string | undefined)[]): void {
  const title = [...parts.filter(Boolean), 'Snug Bolt'].join(' · ')
  useEffect(() => {
    document.title = title
  }, [title])
}
