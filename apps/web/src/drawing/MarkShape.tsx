import type { Mark, Point } from '@snug/core'
import { memo } from 'react'

/** From the drawing's millimetres to the screen's pixels. */
export type Project = (p: Point) => Point

const FIGURE_WIDTH = 7.8

interface Props {
  mark: Mark
  project: Project
  scale: number
  selected?: boolean
  /** Marks that stand for a thing can be pressed; who shows them hears of it by `pickedThing`. */
  pickable?: boolean
  /** Width of the sheet, px: a figure that would leave it on the right stands on the left. */
  sheet?: number
}

/** Which thing's mark was pressed. */
export const pickedThing = (e: { target: EventTarget }): string | undefined =>
  (e.target as Element).closest<SVGElement>('[data-thing]')?.dataset.thing

const pathOf = (points: readonly Point[], project: Project, close: boolean) =>
  `M${points
    .map((p) => {
      const q = project(p)
      return `${q.x.toFixed(2)} ${q.y.toFixed(2)}`
    })
    .join('L')}${close ? 'Z' : ''}`

/** One mark in pixels. What a role looks like is in roles.css. */
export const MarkShape = memo(function MarkShape({ mark, project, scale, selected, pickable, sheet }: Props) {
  const thing = 'thing' in mark ? mark.thing : undefined
  const pick = thing && pickable ? { 'data-thing': thing } : {}
  const dashed = 'dashed' in mark && mark.dashed ? ' mk-dashed' : ''
  const chosen = selected ? { stroke: 'var(--violet)', strokeWidth: 2.4 } : {}
  switch (mark.mark) {
    case 'area':
      return (
        <path
          className={`mk mk-${mark.role}${dashed}${mark.tint ? ' mk-tinted' : ''}`}
          d={pathOf(mark.points, project, true)}
          {...pick}
          {...chosen}
          {...(mark.tint ? { style: { fill: mark.tint } } : {})}
        />
      )
    case 'line':
      return <path className={`mk mk-line mk-${mark.role}${dashed}`} d={pathOf(mark.points, project, false)} {...pick} />
    case 'circle': {
      const c = project(mark.at)
      return <circle className={`mk mk-${mark.role}${dashed}`} cx={c.x} cy={c.y} r={Math.max(1, mark.r * scale)} {...pick} {...chosen} />
    }
    case 'label': {
      const p = project(mark.at)
      return (
        <text
          className={mark.role ? `mk-text mk-text-${mark.role}` : 'mk-text'}
          x={p.x}
          y={p.y}
          textAnchor={mark.anchor ?? 'start'}
          dominantBaseline="middle"
        >
          {mark.text}
        </text>
      )
    }
    case 'dimension':
      return <Dimension from={project(mark.from)} to={project(mark.to)} text={mark.text} strong={mark.emphasis ?? false} sheet={sheet} />
  }
})

/** Arrowed line with its number on a patch of paper; beside the line when it is too short to carry it. */
interface DimensionProps {
  from: Point
  to: Point
  text: string
  strong: boolean
  sheet: number | undefined
}

function Dimension({ from, to, text, strong, sheet = Infinity }: DimensionProps) {
  const length = Math.hypot(to.x - from.x, to.y - from.y)
  const level = Math.abs(to.x - from.x) >= Math.abs(to.y - from.y)
  const width = text.length * (strong ? FIGURE_WIDTH * 1.16 : FIGURE_WIDTH) + 8
  const height = strong ? 21 : 18
  const inside = level ? length > width + 16 : length > height + 14
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 }
  const low = { x: Math.max(from.x, to.x), y: Math.max(from.y, to.y) }
  const right = (level ? low.x : middle.x) + width / 2 + 6
  const left = (level ? Math.min(from.x, to.x) : middle.x) - width / 2 - 6
  const at = inside ? middle : { x: right + width / 2 > sheet ? left : right, y: middle.y }
  const arrow = (tip: Point, other: Point) => {
    if (length < 9) return null
    const ux = (other.x - tip.x) / length
    const uy = (other.y - tip.y) / length
    const [bx, by] = [tip.x + ux * 7, tip.y + uy * 7]
    return <path d={`M${tip.x} ${tip.y}L${bx - uy * 2.6} ${by + ux * 2.6}L${bx + uy * 2.6} ${by - ux * 2.6}Z`} fill="var(--ink)" />
  }
  const end = (p: Point) => (level ? `M${p.x} ${p.y - 5}v10` : `M${p.x - 5} ${p.y}h10`)
  return (
    <g>
      <path className="mk-dim" d={`M${from.x} ${from.y}L${to.x} ${to.y}${end(from)}${end(to)}`} />
      {arrow(from, to)}
      {arrow(to, from)}
      <rect className="mk-sheet" x={at.x - width / 2} y={at.y - height / 2} width={width} height={height} rx={2} opacity={0.92} />
      <text
        className={`mk-figure${strong ? ' mk-figure-strong' : ''}`}
        x={at.x}
        y={at.y + 0.5}
        textAnchor="middle"
        dominantBaseline="middle"
      >
        {text}
      </text>
    </g>
  )
}
