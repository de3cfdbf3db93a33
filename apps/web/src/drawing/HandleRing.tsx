import type { Handle } from '@snug/core'
import { useRef, type KeyboardEvent, type PointerEvent } from 'react'
import type { Project } from './MarkShape'

interface Props {
  handle: Handle
  project: Project
  scale: number
  onMove: (id: string, value: number) => void
}

const inRange = (h: Handle, value: number) => Math.min(h.max, Math.max(h.min, Math.round(value / h.step) * h.step))
/** Milliseconds within which a drawing has followed a key. */
const RECKONING = 500
const UNIT = { deg: '°', mm: ' mm' } as const

/** Rings that lie close overlap, and the last drawn lies on top: what the finger means is the one whose middle is nearest. */
function meant(ring: SVGGElement, e: { clientX: number; clientY: number }): SVGGElement {
  const far = (g: SVGGElement) => {
    const box = g.querySelector('.handle-ring')!.getBoundingClientRect()
    return Math.hypot(box.x + box.width / 2 - e.clientX, box.y + box.height / 2 - e.clientY)
  }
  const all = [...(ring.ownerSVGElement?.querySelectorAll<SVGGElement>('.handle') ?? [])]
  return all.reduce((a, b) => (far(b) < far(a) ? b : a), ring)
}

/** A ring on a drawing that is dragged up and down, or moved by the arrow keys; it says its value as it goes. */
export function HandleRing({ handle, project, scale, onMove }: Props) {
  const held = useRef<{ y: number; value: number } | undefined>(undefined)
  // A second key comes before the first is reckoned: it goes on from what was asked for, not from what is drawn.
  const asked = useRef({ to: 0, at: -Infinity })
  const { x, y } = project(handle.at)
  const move = (value: number) => {
    const to = inRange(handle, value)
    if (Math.abs(to - handle.value) > handle.step / 2) onMove(handle.id, to)
  }
  const onPointerDown = (e: PointerEvent<SVGGElement>) => {
    const ring = meant(e.currentTarget, e)
    if (ring !== e.currentTarget) {
      e.stopPropagation()
      ring.dispatchEvent(new window.PointerEvent('pointerdown', e.nativeEvent))
      return
    }
    e.currentTarget.setPointerCapture(e.pointerId)
    held.current = { y: e.clientY, value: handle.value }
  }
  const onPointerMove = (e: PointerEvent<SVGGElement>) => {
    if (held.current) move(held.current.value + ((held.current.y - e.clientY) / scale) * handle.perUp)
  }
  const onKeyDown = (e: KeyboardEvent) => {
    const way = handle.perUp < 0 ? -1 : 1
    const steps: Record<string, number> = {
      ArrowUp: way,
      ArrowRight: way,
      ArrowDown: -way,
      ArrowLeft: -way,
      PageUp: 10 * way,
      PageDown: -10 * way,
    }
    const by = steps[e.key]
    if (by === undefined) return
    // Arrows also walk through lists; here they belong to the ring.
    e.preventDefault()
    e.stopPropagation()
    const from = e.timeStamp - asked.current.at < RECKONING ? asked.current.to : handle.value
    asked.current = { to: inRange(handle, from + by * handle.step), at: e.timeStamp }
    move(asked.current.to)
  }
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={handle.label}
      aria-valuemin={handle.min}
      aria-valuemax={handle.max}
      aria-valuenow={Number(handle.value.toFixed(3))}
      aria-valuetext={`${handle.value.toFixed(2)}${UNIT[handle.unit]}`}
      className="handle"
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={() => (held.current = undefined)}
      onPointerCancel={() => (held.current = undefined)}
      onKeyDown={onKeyDown}
    >
      <circle cx={x} cy={y} r={20} fill="transparent" />
      <circle className="handle-ring" cx={x} cy={y} r={9} />
      <path className="handle-arrow" d={`M${x - 3} ${y - 12}l3 -4l3 4M${x - 3} ${y + 12}l3 4l3 -4`} />
    </g>
  )
}
