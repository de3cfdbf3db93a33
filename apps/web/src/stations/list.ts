import { STATIONS, type Station } from '@snug/core'
import { Box, CalendarCheck, Drill, NotebookPen, Puzzle, SlidersHorizontal, SprayCan, Spline } from 'lucide-react'
import { lazy, type ComponentType } from 'react'
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

type Fetched = { default: ComponentType }
const there: Partial<Record<Station, Fetched>> = {}
const fetched = async (station: Station): Promise<Fetched> => (there[station] = await FETCH[station]())

/** Fetches every station in a quiet moment, so that all of them open while the server is away. One that does not come is asked for when it is opened. */
export async function fetchAll(): Promise<void> {
  for (const station of STATIONS) await fetched(station).catch(() => undefined)
}

/** Fetches the page of a station that is about to be opened. */
export const fetchStation = (station: string | undefined): void => {
  if (STATIONS.some((s) => s === station)) void fetched(station as Station).catch(() => undefined)
}

/** A page that is there already is shown at once: what is said meanwhile would stand for a third of a second, however soon it came. */
const page = (station: Station) =>
  lazy(() => {
    const now = there[station]
    return now ? ({ then: (show: (page: Fetched) => void) => show(now) } as unknown as Promise<Fetched>) : fetched(station)
  })

/** What is in each pocket of the tool roll; a station's page is fetched when it is first opened. */
export const POCKETS: Record<Station, Pocket> = {
  parts: { icon: Box, Page: page('parts') },
  fit: { icon: Puzzle, Page: page('fit') },
  drill: { icon: Drill, Page: page('drill') },
  wire: { icon: Spline, Page: page('wire') },
  finish: { icon: SprayCan, Page: page('finish') },
  setup: { icon: SlidersHorizontal, Page: page('setup') },
  plan: { icon: CalendarCheck, Page: page('plan') },
  log: { icon: NotebookPen, Page: page('log') },
}
