import type { QueryClient } from '@tanstack/react-query'

/**
 * What was fetched under these names is fetched again. A first fetch under way is begun anew too: it may have been answered before the news it
 * would be told by, and a library that only marks it would take that answer for the newest.
 */
export async function refetched(queries: QueryClient, names: readonly string[]): Promise<void> {
  for (const name of names) {
    await queries.cancelQueries({ queryKey: [name], predicate: (q) => q.state.data === undefined }, { silent: true })
    await queries.invalidateQueries({ queryKey: [name] })
  }
}
