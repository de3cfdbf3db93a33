import type { Point } from '@snug/core'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'

export interface PickedMark {
  at: Point
  role: 'scale' | 'found' | 'measure' | 'trace'
}
const LOOK: Record<PickedMark['role'], string> = {
  scale: 'var(--copper)',
  found: 'var(--violet)',
  measure: 'var(--wont)',
  trace: 'var(--violet)',
}

interface Props {
  address: string
  name: string
  width: number
  height: number
  marks: readonly PickedMark[]
  /** Runs of places joined by a line. */
  lines: readonly { points: readonly Point[]; closed: boolean; role: PickedMark['role'] }[]
  onPick: (at: Point) => void
  /** Moves the last place picked by so many pixels of the picture. */
  onNudge: (dx: number, dy: number) => void
}

const NUDGE: Record<string, readonly [number, number]> = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }

/** The picture as wide as its room, with what was picked on it; a click picks, the arrows move the last place by a pixel. */
export function PictureBoard({ address, name, width, height, marks, lines, onPick, onNudge }: Props) {
  const ref = useRef<SVGSVGElement>(null)
  const press = (e: PointerEvent) => {
    const box = ref.current!.getBoundingClientRect()
    onPick({ x: ((e.clientX - box.left) / box.width) * width - 0.5, y: ((e.clientY - box.top) / box.height) * height - 0.5 })
  }
  const key = (e: KeyboardEvent) => {
    const by = NUDGE[e.key]
    if (by) {
      e.preventDefault()
      e.stopPropagation()
      onNudge(by[0] * (e.shiftKey ? 0.25 : 1), by[1] * (e.shiftKey ? 0.25 : 1))
    } else if (e.key === 'Enter') onPick({ x: width / 2, y: height / 2 })
  }
  const r = width / 180
  return (
    <svg
      ref={ref}
      role="application"
      tabIndex={0}
      aria-label={`${name}: click a place to pick it, Enter picks the middle, the arrows move the last one`}
      viewBox={`-0.5 -0.5 ${width} ${height}`}
      className="block h-auto cursor-crosshair touch-manipulation"
      // All of it is in sight: a place is picked by looking at the whole.
      style={{ width: `min(100%, calc((100vh - 240px) * ${width / height}))` }}
      onPointerDown={press}
      onKeyDown={key}
    >
      <image href={address} x={-0.5} y={-0.5} width={width} height={height} />
      {lines.map((l, i) => (
        <path
          key={i}
          d={`M${l.points.map((p) => `${p.x} ${p.y}`).join('L')}${l.closed ? 'Z' : ''}`}
          fill="none"
          stroke={LOOK[l.role]}
          strokeWidth={r * 0.35}
        />
      ))}
      {marks.map((m, i) => (
        <g key={i} stroke={LOOK[m.role]} strokeWidth={r * 0.3} fill="none">
          <circle cx={m.at.x} cy={m.at.y} r={r} />
          <path d={`M${m.at.x - 2 * r} ${m.at.y}h${4 * r}M${m.at.x} ${m.at.y - 2 * r}v${4 * r}`} />
        </g>
      ))}
    </svg>
  )
}

/** The neighbourhood of a place, eight times as large. */
export function Magnified({ address, width, height, at }: { address: string; width: number; height: number; at: Point | undefined }) {
  if (!at) return null
  const span = 24
  return (
    <svg
      viewBox={`${at.x - span} ${at.y - span} ${2 * span} ${2 * span}`}
      className="size-40 border border-hairline bg-canvas"
      role="img"
      aria-label="The last place picked, enlarged"
      style={{ imageRendering: 'pixelated' }}
    >
      <image href={address} x={-0.5} y={-0.5} width={width} height={height} />
      <path d={`M${at.x - span} ${at.y}h${2 * span}M${at.x} ${at.y - span}v${2 * span}`} stroke="var(--wont)" strokeWidth="0.4" />
    </svg>
  )
}
