import { STATIONS, type Station } from '@snug/core'
import type { LucideIcon } from 'lucide-react'
import type { FetchedPage } from './fetchedPage'

/** One pocket of the tool roll: its sign, and the page of its station. */
export interface Pocket extends FetchedPage {
  icon: LucideIcon
}

/** The key that opens a station: its number in the roll. */
export const keyOf = (station: Station): string => String(STATIONS.indexOf(station) + 1)
