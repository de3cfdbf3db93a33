import type { Choice, ChooseRequest, Slot, StockItem, WhyNot } from '@snug/core'
import { useState } from 'react'
import { shopWorker, stopShopWorker } from '../../workers/compute'

/** A part that was asked about, of what request, and what stands against it. */
interface Asked {
  request: ChooseRequest
  item: StockItem
  result?: WhyNot
}

/**
 * Sets found for a request, and what stands against a part. Both hold for what they were asked of and nothing else: of another request, or
 * of another state of the build, the sets are old, and what was asked about a part is gone.
 * @param request the same object as long as what is asked for is the same
 */
export function useSets(request: ChooseRequest) {
  const [found, setFound] = useState<{ request: ChooseRequest; choice: Choice }>()
  const [why, setWhy] = useState<Asked>()
  const [busy, setBusy] = useState(false)
  return {
    choice: found?.choice,
    old: found !== undefined && found.request !== request,
    busy,
    find: async () => {
      setBusy(true)
      setWhy(undefined)
      try {
        setFound({ request, choice: await shopWorker().choose(request) })
      } finally {
        setBusy(false)
      }
    },
    stop: () => {
      stopShopWorker()
      setBusy(false)
    },
    why: why?.request === request ? why : undefined,
    ask: async (slot: Slot, item: StockItem) => {
      const asked = { request, item }
      setWhy(asked)
      const result = await shopWorker().whyNot(request, slot, item)
      // Another part may have been asked about meanwhile.
      setWhy((now) => (now === asked ? { ...asked, result } : now))
    },
    look: () => setWhy(undefined),
  }
}
