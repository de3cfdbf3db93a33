import { useInfiniteQuery, useQuery } from '@tanstack/react-query'
import { api } from '../../state/api'

/** All changes of a build, latest first, fetched as they come into sight; a change made meanwhile asks for the newest again. */
export function useHistory(build: string, revision: number) {
  const pages = useInfiniteQuery({
    queryKey: ['history', build, revision],
    queryFn: ({ pageParam }) => api.events(build, pageParam),
    initialPageParam: undefined as number | undefined,
    getNextPageParam: (page) => ((page.at(-1)?.revision ?? 1) > 1 && page.length ? page.at(-1)!.revision : undefined),
    placeholderData: (before) => before,
  })
  return pages
}

/** The build as it was after a change; it never becomes another. */
export const useBuildAt = (build: string, revision: number | undefined) =>
  useQuery({
    queryKey: ['build-at', build, revision],
    queryFn: () => api.buildAt(build, revision!),
    enabled: revision !== undefined,
    staleTime: Infinity,
  })
