import { lazy, type ComponentType, type LazyExoticComponent } from 'react'

type Fetched = { default: ComponentType }

/** A page whose code is fetched when it is first asked for, or before by `fetch`. */
export interface FetchedPage {
  Page: LazyExoticComponent<ComponentType>
  fetch: () => Promise<unknown>
}

/** One that is there already is shown at once: what is said meanwhile would stand for a third of a second, however soon it came. */
export function fetchedPage(get: () => Promise<Fetched>): FetchedPage {
  let there: Fetched | undefined
  const fetch = async () => (there = await get())
  const now = (page: Fetched) => ({ then: (show: (page: Fetched) => void) => show(page) }) as unknown as Promise<Fetched>
  return { fetch, Page: lazy(() => (there ? now(there) : fetch())) }
}
