import { useQuery } from '@tanstack/react-query'
import { ErrorBoundary } from 'react-error-boundary'
import type { ReactNode } from 'react'
import { api } from '../state/api'
import { useShallow } from 'zustand/react/shallow'
import { useBuild } from '../state/buildStore'
import { Button } from '../ui/Button'
import { moment } from '../ui/times'

const LATEST = 8

/** What a station shows when it cannot be shown: a sentence, the ways back, and the words for whoever mends it. */
export function Trouble({ what, why }: { what: string; why: string }) {
  const { id = '', canUndo, undo, goBack } = useBuild(useShallow(({ id, canUndo, undo, goBack }) => ({ id, canUndo, undo, goBack })))
  const events = useQuery({ queryKey: ['events', id], queryFn: () => api.events(id), enabled: id !== '', staleTime: 0 })
  return (
    <section role="alert" className="max-w-[46rem] p-6">
      <h2 className="text-[22px]">{what} cannot be worked out</h2>
      <p className="mt-1">
        Something in this build is more than Snug Bolt can deal with here. Nothing is lost, and the other stations go on. Most likely it
        came with the latest change: take that back, go back further, or save the build as a bundle first.
      </p>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="main" disabled={!canUndo} onClick={() => void undo()}>
          Undo the latest change
        </Button>
        <a className="label inline-flex min-h-10 items-center px-3 underline hover:text-violet" href={`/api/builds/${id}/bundle`} download>
          Save it as a bundle
        </a>
      </div>
      {!!events.data?.length && (
        <>
          <h3 className="label mt-4 text-[16px]">Or go back to before</h3>
          <ul>
            {events.data.slice(0, LATEST).map((e) => (
              <li key={e.revision}>
                <button
                  type="button"
                  className="min-h-9 text-left underline decoration-hairline underline-offset-4 hover:text-violet"
                  onClick={() => void goBack(e.revision - 1)}
                >
                  {e.label} <span className="figure text-[13px] text-soft">{moment(e.at)}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <details className="mt-4 text-[14px] text-soft">
        <summary>For whoever mends it</summary>
        <code>{why}</code>
      </details>
    </section>
  )
}

/** The browsers' words for a module that did not arrive: the server is away, or holds a newer interface than this page. */
const NOT_ARRIVED = /dynamically imported module|importing a module|module script failed/i

function NotArrived({ what }: { what: string }) {
  return (
    <section role="alert" className="max-w-[46rem] p-6">
      <h2 className="text-[22px]">{what} could not be fetched</h2>
      <p className="mt-1">
        The server did not answer, or Snug Bolt was brought up to date since this page was opened. What you entered is kept.
      </p>
      <div className="mt-3">
        <Button look="main" onClick={() => window.location.reload()}>
          Load the page again
        </Button>
      </div>
    </section>
  )
}

/** A station that fails while it is drawn takes nothing with it; any change of the build, or another station, tries anew. */
export function StationBoundary({ name, why, children }: { name: string; why: string | undefined; children: ReactNode }) {
  const build = useBuild((s) => s.build)
  if (why) return <Trouble what={name} why={why} />
  return (
    <ErrorBoundary
      resetKeys={[name, build]}
      fallbackRender={({ error }) =>
        NOT_ARRIVED.test(String(error)) ? <NotArrived what={name} /> : <Trouble what={name} why={String(error)} />
      }
    >
      {children}
    </ErrorBoundary>
  )
}

/** A page of no build that does not arrive; what else goes wrong in it is no matter of a build. */
export function ArrivalBoundary({ name, children }: { name: string; children: ReactNode }) {
  return (
    <ErrorBoundary
      fallbackRender={({ error }) => {
        if (NOT_ARRIVED.test(String(error))) return <NotArrived what={name} />
        throw error
      }}
    >
      {children}
    </ErrorBoundary>
  )
}
