import type { Station } from '@snug/core'
import { Box, CalendarCheck, Drill, NotebookPen, Puzzle, SlidersHorizontal, SprayCan, Spline } from 'lucide-react'
import { lazy } from 'react'
import type { Pocket } from '../app/pocket'

const FETCH = {
  parts: () => import('./parts/PartsStation'),
  fit: () => import('./fit/FitStation'),
  drill: () => import('./drill/DrillStation'),
  wire: () => import('./wire/WireStation'),
  finish: () => import('./finish/FinishStation'),
  setup: () => import('./setup/SetupStation'),
  plan: () => import('./plan/PlanStation'),
  log: () => import('./log/LogStation'),
}

/** Fetches every station in a quiet moment, so that all of them open while the server is away. One that does not come is asked for when it is opened. */
export async function fetchAll(): Promise<void> {
  for (const fetch of Object.values(FETCH)) await fetch().catch(() => undefined)
}

/** What is in each pocket of the tool roll; a station's page is fetched when it is first opened. */
export const POCKETS: Record<Station, Pocket> = {
  parts: { icon: Box, Page: lazy(FETCH.parts) },
  fit: { icon: Puzzle, Page: lazy(FETCH.fit) },
  drill: { icon: Drill, Page: lazy(FETCH.drill) },
  wire: { icon: Spline, Page: lazy(FETCH.wire) },
  finish: { icon: SprayCan, Page: lazy(FETCH.finish) },
  setup: { icon: SlidersHorizontal, Page: lazy(FETCH.setup) },
  plan: { icon: CalendarCheck, Page: lazy(FETCH.plan) },
  log: { icon: NotebookPen, Page: lazy(FETCH.log) },
}
