import { useEffect } from 'react'
import { useBench } from '../../state/benchStore'
import { useBuild } from '../../state/buildStore'
import { useTab } from '../../ui/StationTabs'
import { AxisTab } from './AxisTab'
import { HeadTab } from './HeadTab'
import { HolesTab } from './HolesTab'
import { OutlineTab } from './OutlineTab'
import { TemplatesTab } from './TemplatesTab'
import { ToolsTab } from './ToolsTab'
import { PhotoTab } from './photo/PhotoTab'
import { DRILL_TABS } from './tabs'

/** Drill: where everything comes, a card for each hole, paper at true size, and what there is to do it with. */
export default function DrillStation() {
  const [tab] = useTab(DRILL_TABS)
  useTools()
  if (tab === 'axis') return <AxisTab />
  if (tab === 'head') return <HeadTab />
  if (tab === 'outline') return <OutlineTab />
  if (tab === 'photo') return <PhotoTab />
  if (tab === 'templates') return <TemplatesTab />
  if (tab === 'tools') return <ToolsTab />
  return <HolesTab />
}

/** The cards follow the tools: they are fetched with the station, and the build is reckoned again where they are others. */
function useTools() {
  const load = useBench((s) => s.load)
  useEffect(() => {
    const before = useBench.getState().bench
    void load().then(() => {
      if (JSON.stringify(useBench.getState().bench) !== JSON.stringify(before)) useBuild.getState().again()
    })
  }, [load])
}
