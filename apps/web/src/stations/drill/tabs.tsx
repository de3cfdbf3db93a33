import { StationTabs, useTab } from '../../ui/StationTabs'

export const DRILL_TABS = ['holes', 'axis', 'head', 'photo', 'templates', 'tools'] as const

export function DrillTabs() {
  const [tab, onTab] = useTab(DRILL_TABS)
  return (
    <StationTabs
      tabs={[
        ['holes', 'Holes'],
        ['axis', 'Neck axis and bridge'],
        ['head', 'Headstock'],
        ['photo', 'Picture'],
        ['templates', 'Paper'],
        ['tools', 'My tools'],
      ]}
      tab={tab}
      onTab={onTab}
      label="Drill"
    />
  )
}
