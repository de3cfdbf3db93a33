import type { LogKind } from '@snug/core'
import { Camera, Coins, Eye, Gauge, Lightbulb, Notebook, PaintRoller, RotateCw, Ruler, type LucideIcon } from 'lucide-react'

const ICON: Record<LogKind, LucideIcon> = {
  note: Notebook,
  measurement: Ruler,
  reading: Gauge,
  turns: RotateCw,
  coat: PaintRoller,
  mistake: Eye,
  decision: Lightbulb,
  cost: Coins,
  photo: Camera,
}

export function EntryIcon({ kind }: { kind: LogKind }) {
  const Icon = ICON[kind]
  return <Icon size={17} aria-label={kind} />
}
