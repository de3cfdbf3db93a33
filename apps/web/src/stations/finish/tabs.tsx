import { StationTabs, useTab } from '../../ui/StationTabs'

export const FINISH_TABS = ['coats', 'choose'] as const

export function FinishTabs() {
  const [tab, onTab] = useTab(FINISH_TABS)
  return (
    <StationTabs
      tabs={[
        ['coats', 'Coats'],
        ['choose', 'Which finish'],
      ]}
      tab={tab}
      onTab={onTab}
      label="Finish"
    />
  )
}
