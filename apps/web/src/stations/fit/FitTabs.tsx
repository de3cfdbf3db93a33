import { StationTabs, useTab } from '../../ui/StationTabs'

export const FIT_TABS = ['joints', 'mockup'] as const

export function FitTabs() {
  const [tab, onTab] = useTab(FIT_TABS)
  return (
    <StationTabs
      tabs={[
        ['joints', 'Joints'],
        ['mockup', 'Mock-up sheet'],
      ]}
      tab={tab}
      onTab={onTab}
      label="Dry fit"
    />
  )
}
