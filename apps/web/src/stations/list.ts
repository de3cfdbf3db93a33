import type { Station } from '@snug/core'
import { Box, CalendarCheck, Drill, NotebookPen, Puzzle, SlidersHorizontal, SprayCan, Spline } from 'lucide-react'
import { lazy } from 'react'
import type { Pocket } from '../app/pocket'

/** What is in each pocket of the tool roll; a station's page is fetched when it is first opened. */
export const POCKETS: Record<Station, Pocket> = {
  parts: { icon: Box, Page: lazy(() => import('./parts/PartsStation')) },
  fit: { icon: Puzzle, Page: lazy(() => import('./fit/FitStation')) },
  drill: { icon: Drill, Page: lazy(() => import('./drill/DrillStation')) },
  wire: { icon: Spline, Page: lazy(() => import('./wire/WireStation')) },
  finish: { icon: SprayCan, Page: lazy(() => import('./finish/FinishStation')) },
  setup: { icon: SlidersHorizontal, Page: lazy(() => import('./setup/SetupStation')) },
  plan: { icon: CalendarCheck, Page: lazy(() => import('./plan/PlanStation')) },
  log: { icon: NotebookPen, Page: lazy(() => import('./log/LogStation')) },
}
