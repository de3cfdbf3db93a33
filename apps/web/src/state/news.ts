import type { News } from './api'

/**
 * Listens for what other windows change, while this one is in sight: a browser holds few connections to one server, and a window
 * nobody looks at needs none. Coming back into sight counts as news of everything.
 * @param back this window is in sight again, or the server is
 */
export function listenToNews(hear: (news: News) => void, back: () => void): () => void {
  if (typeof EventSource === 'undefined') return () => undefined
  let source: EventSource | undefined
  const open = () => {
    source = new EventSource('/api/news')
    source.onopen = back
    source.onmessage = (e) => hear(JSON.parse(e.data as string) as News)
  }
  const follow = () => {
    const seen = document.visibilityState === 'visible'
    if (seen && !source) open()
    if (!seen) {
      source?.close()
      source = undefined
    }
  }
  follow()
  document.addEventListener('visibilitychange', follow)
  return () => {
    document.removeEventListener('visibilitychange', follow)
    source?.close()
  }
}
