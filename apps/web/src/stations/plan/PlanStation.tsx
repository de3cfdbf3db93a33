import { lazy, Suspense } from 'react'
import { StepsTab } from './StepsTab'
import { usePlanTab } from './tabs'

const TonightTab = lazy(() => import('./TonightTab'))
const AheadTab = lazy(() => import('./AheadTab'))
const HoursTab = lazy(() => import('./HoursTab'))

/** Plan: the steps in order with their reasons, what to do tonight, and when it all ends. */
export default function PlanStation() {
  const [tab] = usePlanTab()
  if (tab === 'steps') return <StepsTab />
  return <Suspense>{tab === 'tonight' ? <TonightTab /> : tab === 'ahead' ? <AheadTab /> : <HoursTab />}</Suspense>
}
