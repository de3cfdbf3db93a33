import { StationTabs, useTab } from '../../ui/StationTabs'

export const DRILL_TABS = ['holes', 'axis', 'head', 'templates', 'tools'] as const

export function DrillTabs() {
  const [tab, onTab] = useTab(DRILL_TABS)
  return (
    <StationTabs
      tabs={[
        ['holes', 'Holes'],
        ['axis', 'Neck axis and bridge'],
        ['head', 'Headstock'],
        ['templates', 'Paper'],
        ['tools', 'My tools'],
      ]}
      tab={tab}
      onTab={onTab}
      label="Drill"
    />
  )
}
