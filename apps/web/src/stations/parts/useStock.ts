import { keepPreviousData, useInfiniteQuery, useMutation, useQueryClient } from '@tanstack/react-query'
import type { StockItem } from '@snug/core'
import { toast } from 'sonner'
import { api, type NewStock } from '../../state/api'

const PAGE = 200

/** Pages of the stash and the offers, fetched as the list is scrolled. */
export function useStock(query: { q: string; kind: string; holding: string }) {
  return useInfiniteQuery({
    queryKey: ['stock', query],
    queryFn: ({ pageParam }) => api.stock({ ...query, offset: pageParam, limit: PAGE }),
    initialPageParam: 0,
    getNextPageParam: (last, all) => {
      const have = all.reduce((n, p) => n + p.items.length, 0)
      return have < last.total ? have : undefined
    },
    placeholderData: keepPreviousData,
  })
}

/** Acts on the stock; every list of it is fetched anew after one. */
export function useStockActs() {
  const queries = useQueryClient()
  const again = () => queries.invalidateQueries({ queryKey: ['stock'] })
  const onError = (e: Error) => void toast.error(e.message, { duration: 12000 })
  return {
    add: useMutation({ mutationFn: (item: NewStock) => api.addStock(item), onSuccess: again, onError }),
    addMany: useMutation({ mutationFn: (items: NewStock[]) => api.addMany(items), onSuccess: again, onError }),
    change: useMutation({ mutationFn: (item: StockItem) => api.changeStock(item), onSuccess: again, onError }),
    remove: useMutation({ mutationFn: (id: string) => api.removeStock(id), onSuccess: again, onError }),
    importJson: useMutation({ mutationFn: (items: unknown) => api.importJson(items), onSuccess: again, onError }),
    importCsv: useMutation({ mutationFn: (csv: string) => api.importCsv(csv), onSuccess: again, onError }),
  }
}
