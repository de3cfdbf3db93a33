import { useQuery } from '@tanstack/react-query'
import { api } from './api'

/** As many as the server gives at a time. */
const PAGE = 500

/** Everything of a kind, however many pages: what is left out of a comparison cannot be called worse. */
async function allOf(kind: string) {
  const first = await api.stock({ kind, limit: PAGE })
  const pages = Math.ceil(first.total / PAGE)
  const rest = await Promise.all(
    Array.from({ length: Math.max(0, pages - 1) }, (_, n) => api.stock({ kind, limit: PAGE, offset: (n + 1) * PAGE })),
  )
  return [first, ...rest].flatMap((page) => page.items)
}

/** Everything of some kinds, for choosing. */
export function useCandidates(kinds: readonly string[]) {
  return useQuery({
    queryKey: ['stock', 'kinds', kinds],
    queryFn: async () => (await Promise.all([...new Set(kinds)].map(allOf))).flat(),
    enabled: kinds.length > 0,
  })
}
