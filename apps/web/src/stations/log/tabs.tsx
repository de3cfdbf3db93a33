import { StationTabs, useTab } from '../../ui/StationTabs'

const TABS = [
  ['entries', 'Entries'],
  ['changes', 'Changes'],
  ['handover', 'Handing over'],
] as const
export type LogTab = (typeof TABS)[number][0]
const IDS = TABS.map(([id]) => id)

export const useLogTab = (): [LogTab, (tab: LogTab) => void] => useTab(IDS)

export function LogTabs() {
  const [tab, onTab] = useLogTab()
  return <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Log" />
}
