import { useQuery } from '@tanstack/react-query'
import { api } from './api'

/** Everything of some kinds, for choosing; the 500 first of each. */
export function useCandidates(kinds: readonly string[]) {
  return useQuery({
    queryKey: ['stock', 'kinds', kinds],
    queryFn: async () => (await Promise.all([...new Set(kinds)].map((kind) => api.stock({ kind, limit: 500 })))).flatMap((p) => p.items),
    enabled: kinds.length > 0,
  })
}
