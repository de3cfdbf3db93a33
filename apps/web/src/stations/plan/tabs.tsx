import { StationTabs, useTab } from '../../ui/StationTabs'

const TABS = [
  ['steps', 'Steps'],
  ['tonight', 'Tonight'],
  ['ahead', 'Ahead'],
  ['bench', 'Hours and bench'],
] as const
export type PlanTab = (typeof TABS)[number][0]
const IDS = TABS.map(([id]) => id)

export const usePlanTab = (): [PlanTab, (tab: PlanTab) => void] => useTab(IDS)

export function PlanTabs() {
  const [tab, onTab] = usePlanTab()
  return <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Plan" />
}
