import { StationTabs, useTab } from '../../ui/StationTabs'

export const DRILL_TABS = ['holes', 'axis', 'head', 'outline', 'photo', 'templates', 'tools'] as const

export function DrillTabs() {
  const [tab, onTab] = useTab(DRILL_TABS)
  return (
    <StationTabs
      tabs={[
        ['holes', 'Holes'],
        ['axis', 'Neck axis and bridge'],
        ['head', 'Headstock'],
        ['outline', 'Outline'],
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
