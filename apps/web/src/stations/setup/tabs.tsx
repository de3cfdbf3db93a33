import { StationTabs, useTab } from '../../ui/StationTabs'

const TABS = [
  ['sequence', 'Sequence'],
  ['buzz', 'Buzz'],
  ['nut', 'Nut'],
  ['intonation', 'Intonation'],
  ['vibrato', 'Vibrato'],
  ['pickups', 'Pickups'],
  ['strings', 'Strings'],
  ['trouble', 'Trouble'],
] as const
export type SetupTab = (typeof TABS)[number][0]
const IDS = TABS.map(([id]) => id)

export const useSetupTab = (): [SetupTab, (tab: SetupTab) => void] => useTab(IDS)

export function SetupTabs() {
  const [tab, onTab] = useSetupTab()
  return <StationTabs tabs={TABS} tab={tab} onTab={onTab} label="Set up" />
}
