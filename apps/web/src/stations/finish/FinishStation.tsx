import { lazy, Suspense } from 'react'
import { useBuild } from '../../state/buildStore'
import { ChooseTab } from './ChooseTab'
import { StackTab } from './StackTab'
import { useFinishTab } from './tabs'

// Looked for when their turn comes, not on the way through.
const ColourTab = lazy(() => import('./ColourTab'))
const CalendarTab = lazy(() => import('./CalendarTab'))
const SandingTab = lazy(() => import('./SandingTab'))
const CardsTab = lazy(() => import('./CardsTab'))
const TroubleTab = lazy(() => import('./TroubleTab'))

/** Finish: the stack of each zone, its colours, the coats on the person's evenings and in their weather, sanding and its odds, trouble. */
export default function FinishStation() {
  const finish = useBuild((s) => s.evaluation!.finish)
  const [tab] = useFinishTab()
  if (tab === 'choose') return <ChooseTab finish={finish} />
  if (tab === 'stack') return <StackTab finish={finish} />
  return (
    <Suspense>
      {tab === 'colour' ? (
        <ColourTab />
      ) : tab === 'calendar' ? (
        <CalendarTab finish={finish} />
      ) : tab === 'sanding' ? (
        <SandingTab finish={finish} />
      ) : tab === 'cards' ? (
        <CardsTab />
      ) : (
        <TroubleTab />
      )}
    </Suspense>
  )
}
