import type { ReactNode } from 'react'
import { StationTabs, useTab } from '../../ui/StationTabs'
import { TAB_IDS, TABS } from './tabs'

/** The left side of every tab: tabs on top, its list below, what it adds up to at the foot. */
export function PartsList({ children, foot }: { children: ReactNode; foot?: ReactNode }) {
  const [tab, onTab] = useTab(TAB_IDS)
  return (
    <div className="flex h-full flex-col">
      <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Parts" />
      <div className="min-h-0 flex-1 overflow-auto">{children}</div>
      {foot && <div className="label flex flex-wrap gap-x-5 border-t border-hairline bg-canvas/50 px-4 py-2 text-[15px]">{foot}</div>}
    </div>
  )
}
