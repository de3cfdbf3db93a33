import type { Build } from '@snug/core'
import { fullBuild } from '@snug/core/testing/fullBuild'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { cleanup, render, within } from '@testing-library/react'
import type { ReactElement } from 'react'
import { MemoryRouter, Route, Routes } from 'react-router'
import { afterEach } from 'vitest'
import { useBuild } from '../state/buildStore'
import { usePrefs } from '../state/prefs'
import { today } from '../state/today'
import { evaluatedOnce, rankedOnce, roundOnce } from './localCompute'
import { resetServer } from './localApi'

/** jsdom lays nothing out: every watched element is as large as a loupe, and scrolling does nothing. */
class Laid {
  constructor(private readonly tell: (entries: { target: Element; contentRect: { width: number; height: number } }[]) => void) {}
  observe(target: Element) {
    this.tell([{ target, contentRect: { width: 700, height: 260 } }])
  }
  unobserve() {}
  disconnect() {}
}
globalThis.ResizeObserver = Laid as unknown as typeof ResizeObserver
Element.prototype.scrollIntoView = () => undefined
Element.prototype.setPointerCapture = () => undefined

afterEach(() => {
  cleanup()
  useBuild.getState().close()
})

/** The build open in the store and on the in-memory server, with everything reckoned. */
export function layOut(build: Build = fullBuild()): Build {
  resetServer(build)
  usePrefs.setState({ system: 'mm', view: 'front', stage: 'normal', theme: 'light', lacking: [] })
  useBuild.setState({
    id: 'b',
    build,
    revision: 0,
    evaluation: evaluatedOnce(build, today()),
    round: roundOnce(build, build.tools),
    ranked: rankedOnce(build, build.tools),
    canUndo: false,
    canRedo: false,
  })
  return build
}

/** A piece of the interface at an address of the open build, as the shell would show it. */
export function show(element: ReactElement, path = 'fit') {
  const queries = new QueryClient({ defaultOptions: { queries: { retry: false } } })
  return render(
    <QueryClientProvider client={queries}>
      <MemoryRouter initialEntries={[`/builds/b/${path}`]}>
        <Routes>
          <Route path="/builds/:id/:station/:thing?" element={element} />
        </Routes>
      </MemoryRouter>
    </QueryClientProvider>,
  )
}

/** The two panes tests look into most; found by class, since finding regions by role is slow in jsdom. */
export const inHand = () => within(document.querySelector<HTMLElement>('.ws-hand')!)
export const loupe = () => within(document.querySelector<HTMLElement>('.ws-loupe')!)
