import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, type ReactNode } from 'react'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import { Toaster } from 'sonner'
import { hearNews, lookAgain, sendWhatWasLeft, useBuild } from './state/buildStore'
import { listenToNews } from './state/news'
import { usePrefs } from './state/prefs'
import { Shelf } from './shelf/Shelf'
import { Shell } from './app/Shell'
import { POCKETS } from './app/stations'
import { StationBoundary } from './app/Trouble'

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } })

/** What was fetched is fetched anew where it is shown; a change of a build also moves what it has put by of the stock. */
const stale = (keys: string[]) => keys.forEach((key) => void queries.invalidateQueries({ queryKey: [key] }))

/** Each station is fetched when it is first opened. */
const STATIONS = {
  parts: lazy(() => import('./stations/parts/PartsStation')),
  fit: lazy(() => import('./stations/fit/FitStation')),
  drill: lazy(() => import('./stations/drill/DrillStation')),
  wire: lazy(() => import('./stations/wire/WireStation')),
  finish: lazy(() => import('./stations/finish/FinishStation')),
  setup: lazy(() => import('./stations/setup/SetupStation')),
  plan: lazy(() => import('./stations/plan/PlanStation')),
  log: lazy(() => import('./stations/log/LogStation')),
}

function Station({ station, children }: { station: keyof typeof STATIONS; children: ReactNode }) {
  const why = useBuild((s) => s.evaluation?.failed[station])
  return (
    <StationBoundary name={POCKETS.find((p) => p.station === station)!.name} why={why}>
      {children}
    </StationBoundary>
  )
}

const router = createBrowserRouter([
  { path: '/', element: <Shelf /> },
  {
    path: '/builds/:id',
    element: <Shell />,
    children: [
      { index: true, element: <Navigate to="fit" replace /> },
      ...Object.entries(STATIONS).flatMap(([station, Page]) => {
        const element = (
          <Station station={station as keyof typeof STATIONS}>
            <Suspense fallback={<p className="p-8 text-soft">Fetching the station…</p>}>
              <Page />
            </Suspense>
          </Station>
        )
        return [{ path: `${station}/:thing?`, element }]
      }),
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
])

export function App() {
  const theme = usePrefs((p) => p.theme)
  useEffect(() => {
    document.documentElement.dataset.theme = theme
  }, [theme])
  useEffect(() => {
    sendWhatWasLeft()
    return listenToNews(
      (news) => {
        hearNews(news)
        stale('stock' in news ? ['stock'] : ['builds', 'stock'])
      },
      () => {
        lookAgain()
        stale(['builds', 'stock'])
      },
    )
  }, [])
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Toaster theme={theme} position="bottom-center" toastOptions={{ style: { fontFamily: 'var(--font-text)', fontSize: 15 } }} />
    </QueryClientProvider>
  )
}
