import { useEffect, useRef, type KeyboardEvent } from 'react'
import { useSearchParams } from 'react-router'

/** Tabs of a station's list; the one that is open stands in the address, and the way back leads to the one before. */
export function useTab<T extends string>(tabs: readonly T[]): [T, (tab: T) => void] {
  const [params, setParams] = useSearchParams()
  const wanted = params.get('tab')
  const tab = tabs.find((t) => t === wanted) ?? tabs[0]!
  return [tab, (t) => t !== tab && setParams(t === tabs[0] ? {} : { tab: t })]
}

/** Each tab's page brings a row of its own, some of them only once it is fetched: the focus goes over to each that comes so soon, ms. */
const PATIENCE = 3000
let chosen = { from: '', at: -Infinity }

export function StationTabs<T extends string>({
  tabs,
  tab,
  onTab,
  label,
}: {
  tabs: readonly (readonly [T, string])[]
  tab: T
  onTab: (tab: T) => void
  label: string
}) {
  const row = useRef<HTMLDivElement>(null)
  useEffect(() => {
    if (chosen.from !== label || performance.now() - chosen.at > PATIENCE) return
    const lost = document.activeElement === document.body || row.current?.contains(document.activeElement)
    if (lost) row.current?.querySelector<HTMLElement>('[aria-selected=true]')?.focus()
  }, [tab, label])
  const choose = (to: T) => {
    if (to === tab) return
    chosen = { from: label, at: performance.now() }
    onTab(to)
  }
  const onKey = (e: KeyboardEvent) => {
    const at = tabs.findIndex(([id]) => id === tab)
    const to = { ArrowRight: at + 1, ArrowLeft: at - 1, Home: 0, End: tabs.length - 1 }[e.key]
    if (to === undefined || e.ctrlKey || e.metaKey || e.altKey) return
    e.preventDefault()
    choose(tabs[(to + tabs.length) % tabs.length]![0])
  }
  return (
    <div
      ref={row}
      role="tablist"
      aria-label={label}
      onKeyDown={onKey}
      className="flex shrink-0 overflow-x-auto border-b border-hairline bg-canvas/50"
    >
      {tabs.map(([id, name]) => (
        <button
          key={id}
          type="button"
          role="tab"
          aria-selected={tab === id}
          // One stop for the whole row; left and right walk in it.
          tabIndex={tab === id ? 0 : -1}
          onClick={() => choose(id)}
          className={`label min-h-10 px-4 text-[15px] font-semibold whitespace-nowrap ${tab === id ? 'border-b-2 border-violet text-violet' : 'border-b-2 border-transparent text-soft hover:text-ink'}`}
        >
          {name}
        </button>
      ))}
    </div>
  )
}
