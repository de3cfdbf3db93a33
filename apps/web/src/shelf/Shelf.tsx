import { useWindowVirtualizer } from '@tanstack/react-virtual'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { counted, daysBetween } from '@snug/core'
import { Download, Moon, Sun, Upload } from 'lucide-react'
import { useLayoutEffect, useRef, useState } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Link, useNavigate } from 'react-router'
import { toast } from 'sonner'
import { Hatches } from '../drawing/Hatches'
import { api, type BuildSummary } from '../state/api'
import { usePrefs } from '../state/prefs'
import { today } from '../state/today'
import { Button } from '../ui/Button'
import { useTitle } from '../ui/useTitle'
import { BenchName } from './BenchName'
import { NewBuildForm } from './NewBuildForm'
import { SMALL_HEIGHT, SmallInstrument } from './SmallInstrument'
import { ToOthers } from './ToOthers'

/** The start: every build lying on its shelf, drawn small and true, and a place for a new one. */
export default function Shelf() {
  const builds = useQuery({ queryKey: ['builds'], queryFn: api.builds, staleTime: 0, refetchOnMount: 'always' })
  const { theme, toggleTheme } = usePrefs()
  const { run, file, input } = useImport()
  useTitle('Shelf')
  return (
    <div className="mx-auto flex min-h-full max-w-[1180px] flex-col px-6 py-5">
      <Hatches />
      <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hairline pb-3">
        <h1 className="text-[30px]">Snug Bolt</h1>
        <p className="w-full text-soft max-sm:order-last sm:w-auto">from a pile of parts to a playing instrument</p>
        <BenchName />
        <button
          type="button"
          aria-label={`${theme === 'light' ? 'Dark' : 'Light'} theme`}
          onClick={toggleTheme}
          className="grid size-10 place-items-center hover:text-violet"
        >
          {theme === 'light' ? <Moon size={17} /> : <Sun size={17} />}
        </button>
        {input}
        <Button onClick={file} disabled={run.isPending}>
          <Upload size={16} aria-hidden /> Bring in a bundle
        </Button>
      </header>
      <main className="grid flex-1 grid-cols-1 gap-8 pt-5 min-[900px]:grid-cols-[1fr_330px]">
        <section aria-label="Builds on the shelf">
          {builds.isError && (
            <p role="alert" className="text-wont">
              {builds.error.message}
            </p>
          )}
          {builds.data?.length === 0 && <FirstOfAll />}
          {builds.data && <Rows builds={builds.data} />}
        </section>
        <section aria-labelledby="new-build" className="self-start border border-hairline bg-sheet p-5">
          <h2 id="new-build" className="text-[22px]">
            New build
          </h2>
          <NewBuildForm />
        </section>
      </main>
    </div>
  )
}

/** What to do where nothing is yet. */
function FirstOfAll() {
  const navigate = useNavigate()
  const example = useMutation({
    mutationFn: api.example,
    onSuccess: (state) => void navigate(`/builds/${state.id}`),
    onError: (e) => toast.error(e.message),
  })
  return (
    <div className="max-w-[34rem] text-[17px]">
      <p className="text-[20px]">The shelf is empty.</p>
      <ol className="mt-3 list-decimal space-y-2 pl-6">
        <li>Say what kind of job it is and what the instrument is like. All its parts are then there, with usual sizes, dotted.</li>
        <li>Put each part on its pile: in the box, on its way, still to be bought, not on this instrument.</li>
        <li>Measure what settles most, one size at a time. Joints, holes, wiring, coats and the plan follow from it.</li>
      </ol>
      <p className="mt-4">
        Or look round first:{' '}
        <Button onClick={() => example.mutate()} disabled={example.isPending}>
          Open an example
        </Button>
      </p>
      <p className="mt-1 text-[15px] text-soft">It is a copy, yours to spoil and to put away.</p>
    </div>
  )
}

/** Height of a row before it has been laid out, px. */
const ROW = 296

/** Only the rows in sight are laid out: a shelf may hold a thousand builds. */
function Rows({ builds }: { builds: BuildSummary[] }) {
  const list = useRef<HTMLUListElement>(null)
  const [top, setTop] = useState(0)
  useLayoutEffect(() => setTop(list.current?.offsetTop ?? 0), [])
  const rows = useWindowVirtualizer({ count: builds.length, estimateSize: () => ROW, overscan: 2, scrollMargin: top })
  return (
    <ul ref={list} className="relative" style={{ height: rows.getTotalSize() }}>
      {rows.getVirtualItems().map((row) => (
        <li
          key={builds[row.index]!.id}
          ref={rows.measureElement}
          data-index={row.index}
          aria-setsize={builds.length}
          aria-posinset={row.index + 1}
          className="absolute inset-x-0 top-0 border-b-[5px] border-canvas pb-1"
          style={{ transform: `translateY(${row.start - top}px)` }}
        >
          <ShelfRow build={builds[row.index]!} />
        </li>
      ))}
    </ul>
  )
}

function ShelfRow({ build }: { build: BuildSummary }) {
  const { id } = build
  const queries = useQueryClient()
  const putAway = useMutation({
    mutationFn: () => api.putAway(id),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['builds'] })
      toast(`${build.name} is put away. Nothing of it is lost.`, {
        action: {
          label: 'Bring it back',
          onClick: () => void api.restore(id).then(() => queries.invalidateQueries({ queryKey: ['builds'] })),
        },
      })
    },
    onError: (e) => toast.error(e.message),
  })
  const again = useMutation({
    mutationFn: () => api.anotherJob(id),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: ['builds'] })
      toast(`${made.build.name}: all is in place. Say under Parts what is changed.`)
    },
    onError: (e) => toast.error(e.message),
  })
  const copy = useMutation({
    mutationFn: () => api.copy(id),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['builds'] }),
    onError: (e) => toast.error(e.message),
  })
  const chosen = build.parts
  return (
    <>
      <Link to={`/builds/${id}`} className="group block pt-3 hover:bg-canvas/40">
        <Drawn build={build} />
        <span className="flex flex-wrap items-baseline gap-x-4 px-2 pb-1">
          <b className="label text-[22px] group-hover:text-violet">{build.name}</b>
          <span className="text-soft">
            {build.handedness === 'left' ? 'left-handed, ' : ''}
            {build.strings} strings, <span className="figure text-[14px]">{build.scale}</span> mm scale
          </span>
          <span className="text-soft">{chosen ? `${counted(chosen, 'part')} chosen` : 'nothing chosen yet'}</span>
          {build.due && <span className="text-soft">due in {counted(daysBetween(today(), build.due), 'day')}</span>}
        </span>
      </Link>
      <span role="group" aria-label={build.name} className="flex gap-1 px-1">
        <a
          href={`/api/builds/${id}/bundle`}
          download
          className="label inline-flex min-h-10 items-center gap-1.5 px-2 text-[14px] text-soft hover:text-violet"
        >
          <Download size={14} aria-hidden /> Bundle
        </a>
        <button
          type="button"
          onClick={() => copy.mutate()}
          disabled={copy.isPending}
          className="label min-h-10 px-2 text-[14px] text-soft hover:text-violet"
        >
          Copy
        </button>
        <button
          type="button"
          onClick={() => again.mutate()}
          disabled={again.isPending}
          className="label min-h-10 px-2 text-[14px] text-soft hover:text-violet"
        >
          Another job on it
        </button>
        <ToOthers id={id} name={build.name} />
        <button type="button" onClick={() => putAway.mutate()} className="label min-h-10 px-2 text-[14px] text-soft hover:text-wont">
          Put away
        </button>
      </span>
    </>
  )
}

/** The instrument itself, fetched when its row comes into sight. One that cannot be drawn takes nothing with it. */
function Drawn({ build: { id, revision } }: { build: BuildSummary }) {
  const whole = useQuery({ queryKey: ['build', id, revision], queryFn: () => api.build(id), staleTime: Infinity, gcTime: 60_000 })
  const cannot = (
    <span className="block p-6 text-soft">This one cannot be drawn. Open it, or save it as a bundle; nothing of it is lost.</span>
  )
  return (
    <span className="block" style={{ minHeight: SMALL_HEIGHT }}>
      {whole.isError && cannot}
      {whole.data && (
        <ErrorBoundary fallback={cannot} resetKeys={[revision]}>
          <SmallInstrument build={whole.data.build} />
        </ErrorBoundary>
      )}
    </span>
  )
}

/** Reads a bundle file and puts its build on the shelf; what is wrong with it is said, and nothing half-imported. */
function useImport() {
  const ref = useRef<HTMLInputElement>(null)
  const navigate = useNavigate()
  const run = useMutation({
    mutationFn: async (file: File) => {
      if (file.size > 10e6)
        throw new Error(`${file.name} is ${(file.size / 1e6).toFixed(1)} MB; at most 10 MB are taken. Nothing was imported.`)
      const text = await file.text()
      const { readBundle } = await import('@snug/formats/bundle')
      const read = readBundle(text)
      if (!read.ok) throw new Error(read.why)
      return api.importBundle(text)
    },
    onSuccess: (state) => void navigate(`/builds/${state.id}`),
    onError: (e) => toast.error(e.message, { duration: 12000 }),
  })
  const input = (
    <input
      ref={ref}
      type="file"
      accept="application/json,.json"
      className="sr-only"
      aria-label="Bundle file"
      tabIndex={-1}
      aria-hidden
      onChange={(e) => {
        const [file] = e.target.files ?? []
        if (file) run.mutate(file)
        e.target.value = ''
      }}
    />
  )
  return { run, file: () => ref.current?.click(), input }
}
