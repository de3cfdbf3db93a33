import type { Station } from '@snug/core'
import { Box, CalendarCheck, Drill, NotebookPen, Puzzle, SlidersHorizontal, SprayCan, Spline, type LucideIcon } from 'lucide-react'

/** The eight pockets of the tool roll, in the order work goes. */
export const POCKETS: readonly { station: Station; name: string; key: string; icon: LucideIcon }[] = [
  { station: 'parts', name: 'Parts', key: '1', icon: Box },
  { station: 'fit', name: 'Dry fit', key: '2', icon: Puzzle },
  { station: 'drill', name: 'Drill', key: '3', icon: Drill },
  { station: 'wire', name: 'Wire', key: '4', icon: Spline },
  { station: 'finish', name: 'Finish', key: '5', icon: SprayCan },
  { station: 'setup', name: 'Set up', key: '6', icon: SlidersHorizontal },
  { station: 'plan', name: 'Plan', key: '7', icon: CalendarCheck },
  { station: 'log', name: 'Log', key: '8', icon: NotebookPen },
]
