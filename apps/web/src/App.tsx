import { STATION_NAME, STATIONS, type Station } from '@snug/core'
import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { Suspense, useEffect } from 'react'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import { Toaster } from 'sonner'
import { hearNews, lookAgain, sendWhatWasLeft, useBuild } from './state/buildStore'
import { sendWaiting } from './state/logQueue'
import { listenToNews } from './state/news'
import { usePrefs } from './state/prefs'
import { refetched } from './state/stale'
import { Shell } from './app/Shell'
import { useKeptFocus } from './app/useKeptFocus'
import { fetchAll, POCKETS, SHELF } from './stations/list'
import { ArrivalBoundary, StationBoundary } from './app/Trouble'

const queries = new QueryClient({ defaultOptions: { queries: { retry: 1, refetchOnWindowFocus: false } } })

/** What was fetched is fetched anew where it is shown; a change of a build also moves what it has put by of the stock. */
const stale = (keys: string[]) => void refetched(queries, keys)

function StationPage({ station }: { station: Station }) {
  const why = useBuild((s) => s.evaluation?.failed[station])
  const { Page } = POCKETS[station]
  return (
    <StationBoundary name={STATION_NAME[station]} why={why}>
      <Suspense fallback={<p className="p-8 text-soft">Fetching the station…</p>}>
        <Page />
      </Suspense>
    </StationBoundary>
  )
}

function ShelfPage() {
  return (
    <ArrivalBoundary name="The shelf">
      <Suspense fallback={null}>
        <SHELF.Page />
      </Suspense>
    </ArrivalBoundary>
  )
}

const router = createBrowserRouter([
  { path: '/', element: <ShelfPage /> },
  {
    path: '/builds/:id',
    element: <Shell pockets={POCKETS} />,
    children: [
      { index: true, element: <Navigate to="fit" replace /> },
      ...STATIONS.map((station) => ({ path: `${station}/:thing?`, element: <StationPage station={station} /> })),
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
])

export function App() {
  useKeptFocus()
  const theme = usePrefs((p) => p.theme)
  useEffect(() => {
    document.documentElement.dataset.theme = theme
  }, [theme])
  useEffect(() => {
    sendWhatWasLeft()
    // Not before what was asked for is there.
    const quiet = setTimeout(() => void fetchAll(), 4000)
    const deaf = listenToNews(
      (news) => {
        hearNews(news)
        stale('stock' in news ? ['stock'] : news.log ? ['log'] : ['builds'])
      },
      () => {
        lookAgain()
        stale(['builds', 'stock', 'log'])
        void sendWaiting().then((builds) => builds.length && stale(['log']))
      },
    )
    return () => {
      clearTimeout(quiet)
      deaf()
    }
  }, [])
  return (
    <QueryClientProvider client={queries}>
      <RouterProvider router={router} />
      <Toaster theme={theme} position="bottom-center" toastOptions={{ style: { fontFamily: 'var(--font-text)', fontSize: 15 } }} />
    </QueryClientProvider>
  )
}
