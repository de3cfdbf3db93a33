import { layCoats, takeCoatBack, type Coat } from '@snug/core'
import { now } from '../../state/now'
import { useBuild } from '../../state/buildStore'

/** Laying a coat and taking it back. @param all coats of every evening */
export function useLaying(all: readonly Coat[]) {
  const change = useBuild((s) => s.change)
  return {
    lay: (c: Coat) => {
      const at = now()
      change((b) => layCoats(b, all, [c], at))
    },
    takeBack: (c: Coat) => change((b) => takeCoatBack(b, c)),
  }
}
