import { STATIONS, type Station } from '@snug/core'
import { Box, CalendarCheck, Drill, NotebookPen, Puzzle, SlidersHorizontal, SprayCan, Spline } from 'lucide-react'
import { fetchedPage } from '../app/fetchedPage'
import type { Pocket } from '../app/pocket'

/** What is in each pocket of the tool roll. */
export const POCKETS: Record<Station, Pocket> = {
  parts: { icon: Box, ...fetchedPage(() => import('./parts/PartsStation')) },
  fit: { icon: Puzzle, ...fetchedPage(() => import('./fit/FitStation')) },
  drill: { icon: Drill, ...fetchedPage(() => import('./drill/DrillStation')) },
  wire: { icon: Spline, ...fetchedPage(() => import('./wire/WireStation')) },
  finish: { icon: SprayCan, ...fetchedPage(() => import('./finish/FinishStation')) },
  setup: { icon: SlidersHorizontal, ...fetchedPage(() => import('./setup/SetupStation')) },
  plan: { icon: CalendarCheck, ...fetchedPage(() => import('./plan/PlanStation')) },
  log: { icon: NotebookPen, ...fetchedPage(() => import('./log/LogStation')) },
}

/** The start, for whoever comes from the way there. */
export const SHELF = fetchedPage(() => import('../shelf/Shelf'))

/** Fetches every page in a quiet moment, so that all of them open while the server is away. One that does not come is asked for when it is opened. */
export async function fetchAll(): Promise<void> {
  for (const { fetch } of [SHELF, ...STATIONS.map((s) => POCKETS[s])]) await fetch().catch(() => undefined)
}

/** Fetches the page that an address asks for. */
export function fetchFor(path: string): void {
  const [, place, , name = 'fit'] = path.split('/')
  const station = STATIONS.find((s) => s === name)
  const page = place !== 'builds' ? SHELF : station && POCKETS[station]
  void page?.fetch().catch(() => undefined)
}
