import { useSearchParams } from 'react-router'

/** Tabs of a station's list; the one that is open stands in the address, and the way back leads to the one before. */
export function useTab<T extends string>(tabs: readonly T[]): [T, (tab: T) => void] {
  const [params, setParams] = useSearchParams()
  const wanted = params.get('tab')
  const tab = tabs.find((t) => t === wanted) ?? tabs[0]!
  return [tab, (t) => t !== tab && setParams(t === tabs[0] ? {} : { tab: t })]
}

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
  return (
    <div role="tablist" aria-label={label} className="flex shrink-0 overflow-x-auto border-b border-hairline bg-canvas/50">
      {tabs.map(([id, name]) => (
        <button
          key={id}
          type="button"
          role="tab"
          aria-selected={tab === id}
          onClick={() => onTab(id)}
          className={`label min-h-10 px-4 text-[15px] font-semibold whitespace-nowrap ${tab === id ? 'border-b-2 border-violet text-violet' : 'border-b-2 border-transparent text-soft hover:text-ink'}`}
        >
          {name}
        </button>
      ))}
    </div>
  )
}
