import { StationTabs, useTab } from '../../ui/StationTabs'

export const WIRE_TABS = ['positions', 'wiring', 'harness', 'wires', 'check', 'fault', 'trainer', 'found'] as const

export function WireTabs() {
  const [tab, onTab] = useTab(WIRE_TABS)
  return (
    <StationTabs
      tabs={[
        ['positions', 'Positions'],
        ['wiring', 'Wiring'],
        ['harness', 'Harness'],
        ['wires', 'Wire list'],
        ['check', 'Check'],
        ['fault', 'Find a fault'],
        ['trainer', 'Trainer'],
        ['found', 'What have I got'],
      ]}
      tab={tab}
      onTab={onTab}
      label="Wire"
    />
  )
}
