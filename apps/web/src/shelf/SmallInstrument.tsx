import { lengthOf, type Build } from '@snug/core'
import { useMemo } from 'react'
import { MarkShape, type Project } from '../drawing/MarkShape'
import '../drawing/roles.css'
import { useSize } from '../drawing/useSize'
import { viewMarks } from '../longview/useLongView'

/** Height, px. */
export const SMALL_HEIGHT = 210

/** One build drawn small, in its own true proportion. */
export function SmallInstrument({ build, height = SMALL_HEIGHT }: { build: Build; height?: number }) {
  const { ref, width } = useSize<HTMLDivElement>()
  const marks = useMemo(
    () => viewMarks(build, 'front').filter((m) => !('role' in m) || (m.role !== 'string' && m.role !== 'guide')),
    [build],
  )
  const extent = useMemo(() => lengthOf(marks), [marks])
  const scale = Math.min(width / (extent.to - extent.from + 30), height / (2 * extent.half + 10))
  const project: Project = (p) => ({ x: 8 + (p.x - extent.from) * scale, y: height / 2 + p.y * scale })
  return (
    <div ref={ref} style={{ height }}>
      {width > 0 && (
        <svg width={width} height={height} aria-hidden="true">
          {marks.map((m, i) => (
            <MarkShape key={i} mark={m} project={project} scale={scale} />
          ))}
        </svg>
      )}
    </div>
  )
}
