import { partPicture, type Build, type Slot } from '@snug/core'
import { useMemo } from 'react'
import { MarkShape, type Project } from '../drawing/MarkShape'
import '../drawing/roles.css'

interface Props {
  build: Build
  slot: Slot
  width: number
  height: number
}

/** A part as it looks, small and without a word; its name stands beside it. */
export function PartPicture({ build, slot, width, height }: Props) {
  const { marks, bounds } = useMemo(() => partPicture(build, slot), [build, slot])
  const scale = Math.min(width / bounds.width, height / bounds.height)
  const project: Project = (p) => ({
    x: (width - bounds.width * scale) / 2 + (p.x - bounds.x) * scale,
    y: (height - bounds.height * scale) / 2 + (p.y - bounds.y) * scale,
  })
  return (
    <svg width={width} height={height} aria-hidden="true" className="shrink-0">
      {marks.map((mark, i) => mark.mark !== 'label' && <MarkShape key={i} mark={mark} project={project} scale={scale} />)}
    </svg>
  )
}
