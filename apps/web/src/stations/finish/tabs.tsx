import { chosenLayers } from '@snug/core'
import { useOpenBuild } from '../../state/buildStore'
import { StationTabs, useTab } from '../../ui/StationTabs'

const TABS = [
  ['stack', 'Stack'],
  ['choose', 'Which finish'],
  ['colour', 'Colour'],
  ['calendar', 'Weather and calendar'],
  ['sanding', 'Sanding'],
  ['cards', 'Cards'],
  ['trouble', 'Trouble'],
] as const
export type FinishTab = (typeof TABS)[number][0]
const IDS = TABS.map(([id]) => id)

/** The tab that is open: the stack to begin with; while nothing is laid yet, what there is to choose from. */
export function useFinishTab(): [FinishTab, (tab: FinishTab) => void] {
  const build = useOpenBuild()
  const none = !chosenLayers(build).length && !Object.keys(build.finish.zones ?? {}).length
  return useTab(none ? ['choose', ...IDS.filter((id) => id !== 'choose')] : IDS)
}

export function FinishTabs() {
  const [tab, onTab] = useFinishTab()
  return <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Finish" />
}
