import { useSearchParams } from 'react-router'

/** Is the thing in hand shown as it is at the bench, large and by itself? The address says it, so that a step can lead there. */
export function useAtBench(): [boolean, (at: boolean) => void] {
  const [params, setParams] = useSearchParams()
  const put = (at: boolean) =>
    setParams(
      (p) => {
        if (at) p.set('at', 'bench')
        else p.delete('at')
        return p
      },
      { replace: true },
    )
  return [params.get('at') === 'bench', put]
}
