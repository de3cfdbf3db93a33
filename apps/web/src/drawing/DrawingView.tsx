import type { Drawing } from '@snug/core'
import { useMemo } from 'react'
import { HandleRing } from './HandleRing'
import { MarkShape, pickedThing, type Project } from './MarkShape'
import './roles.css'
import { useSize } from './useSize'

interface Props {
  drawing: Drawing
  onPick?: (thing: string) => void
  /** Makes the drawing's handles draggable. */
  onHandle?: (id: string, value: number) => void
}

/** A computed drawing fitted to the room it has, with its numbers as a table for those who cannot see it. */
export function DrawingView({ drawing, onPick, onHandle }: Props) {
  const { ref, width, height } = useSize<HTMLDivElement>()
  const { x, y, width: wide, height: high } = drawing.bounds
  const scale = Math.min(width / wide, height / high)
  const project: Project = useMemo(() => {
    const left = (width - wide * scale) / 2
    const top = (height - high * scale) / 2
    return (p) => ({ x: left + (p.x - x) * scale, y: top + (p.y - y) * scale })
  }, [x, y, wide, high, height, scale, width])
  const press = (thing: string | undefined) => thing && onPick?.(thing)
  return (
    <figure className="flex h-full min-h-0 flex-col">
      <figcaption className="label line-clamp-2 shrink-0 px-4 pt-2 text-[13px] text-soft">
        <span className="font-semibold tracking-wide text-ink">{drawing.title}</span>
        {drawing.note && <span> · {drawing.note}</span>}
      </figcaption>
      <div ref={ref} className="min-h-0 flex-1">
        {width > 0 && scale > 0 && (
          <svg
            width={width}
            height={height}
            role={onHandle && drawing.handles ? 'group' : 'img'}
            aria-label={drawing.title}
            onClick={(e) => press(pickedThing(e))}
          >
            {drawing.marks.map((mark, i) => (
              <MarkShape key={i} mark={mark} project={project} scale={scale} pickable={!!onPick} sheet={width} />
            ))}
            {onHandle &&
              drawing.handles?.map((h) => <HandleRing key={h.id} handle={h} project={project} scale={scale} onMove={onHandle} />)}
          </svg>
        )}
      </div>
      {/* A table keeps the width of its words, seen or not: what holds it is what is hidden. */}
      <div className="sr-only">
        <table>
          <caption>{drawing.title}, in numbers</caption>
          <tbody>
            {drawing.numbers.map((n) => (
              <tr key={n.label}>
                <th scope="row">{n.label}</th>
                <td>{n.value}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </figure>
  )
}
